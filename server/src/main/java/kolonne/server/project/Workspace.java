package kolonne.server.project;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Consumer;
import java.util.function.Supplier;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.HandSet;
import kolonne.core.design.JointFits;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Role;
import kolonne.core.type.Curve;
import kolonne.exchange.model.ModelReader;

/**
 * One project in memory. The published design is replaced as a whole, so that a reader never sees half of one; while a
 * newer one is being made the old one is still served and said to be not current.
 */
public final class Workspace {
    /** Analyses kept for comparison: each of a large building takes a quarter of a gigabyte. */
    private static final int MOST_ANALYSES = 3;
    /** Changes of which it is known in which window they were made. */
    private static final int MOST_WINDOWS = 200;

    /** Model files kept as read: the one in force, and one that an undo or a redo brings back. */
    private static final int MOST_FILES = 2;

    private static final Duration LONGEST_TURN = Duration.ofSeconds(4);

    /** Curves kept: of beams and columns, for a few states of the model and the basis. */
    private static final int MOST_CURVES = 6;

    /** What a curve of types depends on; types themselves do not change it. */
    public record CurveKey(Role role, int model, List<Integer> basis, HandSet hand, double tolerance) {}

    /** A finished design. @param version of the project that it belongs to */
    public record Published(int version, BuildingDesign design, List<ResultRow> rows, JointFits fits) {}

    /**
     * What the header says.
     *
     * @param version   of the project as stored
     * @param designed  version that the results belong to; 0 before the first design
     * @param doing     what is being computed, or empty
     */
    public record State(int version, int designed, String doing, int done, int total, List<Finding> findings) {
        public boolean current() {
            return version == designed && doing.isEmpty();
        }
    }

    /**
     * The newest change, so that other windows can be told.
     *
     * @param person who made it, empty where they do not say; {@code window} that it was made in
     * @param effects what it brought with it, in sentences
     */
    public record Change(int version, String person, String window, String summary, List<String> effects) {}

    private final String id;
    /** Held while a state is told, never while anything is computed. */
    private final Object telling = new Object();

    /** Changes take turns: who came first is served first, however many there are. */
    private final ReentrantLock turn = new ReentrantLock(true);

    private final List<Runnable> leaving = new java.util.concurrent.CopyOnWriteArrayList<>();
    private final List<Consumer<State>> listeners = new CopyOnWriteArrayList<>();
    private final Map<Integer, String> windows = new LinkedHashMap<>();
    /** By version of the project after the change of the model; the newest used stay. */
    private final Map<Integer, Analysis> analyses = new LinkedHashMap<>(8, 0.75f, true);

    /** Curves of types, by role and what they were made from; the newest used stay. */
    private final Map<CurveKey, Curve> curves = new LinkedHashMap<>(8, 0.75f, true);

    /** Model files as read, by version of the project at which they were taken; the newest used stay. */
    private final Map<Integer, ModelReader.Read> files = new LinkedHashMap<>(8, 0.75f, true);

    private volatile ModelReader.Read read;
    private volatile Building building;
    private volatile int modelVersion = 1;
    private volatile boolean forcesStale;
    private volatile Published published;
    private volatile Outcome outcome = Outcome.NONE;
    private volatile State state;
    private volatile Change last = new Change(0, "", "", "", List.of());
    private volatile long lastUse = System.currentTimeMillis();

    Workspace(String id, int version) {
        this.id = id;
        this.state = new State(version, 0, "", 0, 0, List.of());
    }

    public String id() {
        return id;
    }

    /** One change at a time, while nothing else is changed here. @throws Busy if those before it take longer than a person should wait without being told */
    <T> T inTurn(Supplier<T> change) {
        try {
            if (!turn.tryLock(LONGEST_TURN.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new Busy();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Busy();
        }
        try {
            synchronized (this) {
                return change.get();
            }
        } finally {
            turn.unlock();
        }
    }

    /** Does what can as well be done later, if nobody changes anything. */
    void ifFree(Runnable what) {
        if (turn.tryLock()) {
            try {
                synchronized (this) {
                    what.run();
                }
            } finally {
                turn.unlock();
            }
        }
    }

    void touch() {
        lastUse = System.currentTimeMillis();
    }

    long lastUse() {
        return lastUse;
    }

    public State state() {
        return state;
    }

    public Change last() {
        return last;
    }

    synchronized void last(Change c) {
        last = c;
        windows.put(c.version(), c.window());
        while (windows.size() > MOST_WINDOWS) {
            windows.remove(windows.keySet().iterator().next());
        }
    }

    /** Whether a window made the change of a version not long ago. */
    synchronized boolean madeBy(String window, int version) {
        return !window.isEmpty() && window.equals(windows.get(version));
    }

    /** The newest finished design; null before the first. */
    public Published published() {
        return published;
    }

    /** The file in force as read; null before that. */
    ModelReader.Read read() {
        return read;
    }

    /** The file that was taken at a version of the project; null if it is not in memory. */
    synchronized ModelReader.Read file(int version) {
        return files.get(version);
    }

    synchronized void keepFile(int version, ModelReader.Read r) {
        files.put(version, r);
        while (files.size() > MOST_FILES) {
            files.remove(files.keySet().iterator().next());
        }
    }

    /** The model with the edits in force; null before it is read. */
    public Building building() {
        return building;
    }

    /** Version of the project at which the model last changed. */
    public int modelVersion() {
        return modelVersion;
    }

    /** Whether imported forces belong to an older stiffness or older loads. */
    public boolean forcesStale() {
        return forcesStale;
    }

    synchronized void read(ModelReader.Read r, Building edited, int version, boolean stale) {
        read = r;
        building = edited;
        modelVersion = version;
        forcesStale = stale;
    }

    /** Takes a changed model with its analysis. @param file that it is made from */
    synchronized void edited(ModelReader.Read file, Building b, int version, Analysis a, boolean stale) {
        read = file;
        building = b;
        modelVersion = version;
        forcesStale = stale;
        keep(version, a);
    }

    synchronized void keep(int version, Analysis a) {
        analyses.put(version, a);
        while (analyses.size() > MOST_ANALYSES) {
            Integer oldest = analyses.keySet().stream()
                    .filter(v -> v != modelVersion)
                    .findFirst()
                    .orElseThrow();
            analyses.remove(oldest);
        }
    }

    /** The analysis of a version of the model, if it is still in memory; else null. */
    synchronized Analysis kept(int version) {
        return analyses.get(version);
    }

    synchronized void keep(CurveKey key, Curve c) {
        curves.put(key, c);
        while (curves.size() > MOST_CURVES) {
            curves.remove(curves.keySet().iterator().next());
        }
    }

    /** The curve that was made for this; null if it is not in memory. */
    synchronized Curve curve(CurveKey key) {
        return curves.get(key);
    }

    /** Tells the state now and whenever it changes. No newer one is told in between: the last that is told is the newest. */
    public void follow(Consumer<State> l) {
        synchronized (telling) {
            listeners.add(l);
            l.accept(state);
        }
    }

    public void unfollow(Consumer<State> l) {
        listeners.remove(l);
    }

    /** Waits until there is a design or a reason why there is none; no longer than {@code most}. */
    void awaitPublished(Duration most) {
        CountDownLatch done = new CountDownLatch(1);
        Consumer<State> l = s -> {
            if (published != null || s.doing().isEmpty() && !s.findings().isEmpty()) {
                done.countDown();
            }
        };
        follow(l);
        try {
            done.await(most.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            unfollow(l);
        }
    }

    boolean followed() {
        return !listeners.isEmpty();
    }

    /** Told when the workspace leaves the memory: whoever follows it must ask anew. */
    public void onPutOut(Runnable what) {
        leaving.add(what);
    }

    public void offPutOut(Runnable what) {
        leaving.remove(what);
    }

    void putOut() {
        leaving.forEach(Runnable::run);
    }

    /**
     * Tells a state; one of an older version of the project than is told already is not told any more. It never waits for the workspace: threads that design tell their
     * progress, while a change of the model holds the workspace and may itself need those threads.
     */
    void publish(State s) {
        synchronized (telling) {
            if (s.version() >= state.version()) {
                state = s;
                listeners.forEach(l -> l.accept(s));
            }
        }
    }

    /** A new name changes the version of the project, not the design, which stays current. */
    synchronized void renamed(int version) {
        published = new Published(version, published.design(), published.rows(), published.fits());
        publish(new State(version, version, "", 0, 0, List.of()));
    }

    /** Tells what is being computed. */
    interface Step {
        void at(String doing, int done, int total);

        /** Asked at every member. @throws java.util.concurrent.CancellationException if the work is no longer wanted */
        default void wanted() {}
    }

    /** The analysis of the model in force; solves if need be. */
    synchronized Analysis solved(Step step) {
        Analysis a = analyses.get(modelVersion);
        if (a == null) {
            a = FrameAnalysis.resolve(null, new BuildingIndex(building), s -> step.at(s, 0, 0));
            keep(modelVersion, a);
        }
        return a;
    }

    /** Takes what people decide now. @param lines ids of lines and stacks whose mark, cage by hand or type changed */
    synchronized void changed(Decisions now, Set<String> lines, int version) {
        BuildingDesign was = published.design();
        BuildingDesign d = was.with(now, lines);
        JointFits fits = JointFits.of(d, published.fits());
        publish(new Published(version, d, ResultRow.replaced(published.rows(), was, d, fits), fits));
        publish(new State(version, version, "", 0, 0, List.of()));
    }

    /** Designs all of it. */
    BuildingDesign design(Basis basis, Decisions decided, Step step) {
        Analysis a = solved(step);
        step.wanted();
        return BuildingDesigner.design(a, basis, decided, (done, total) -> {
            step.wanted();
            if (done * 10 / total != (done - 1) * 10 / total) { // ten times in all: every event redraws open pages
                step.at("designing", done, total);
            }
        });
    }

    void publish(int version, BuildingDesign d) {
        JointFits fits = JointFits.of(d);
        publish(new Published(version, d, ResultRow.of(d, fits), fits));
    }

    private void publish(Published p) {
        Published old = published;
        outcome = old == null ? Outcome.NONE : Outcome.of(old, p);
        published = p;
    }

    /** What became of lines and stacks from the design before to the newest. */
    public Outcome outcome() {
        return outcome;
    }
}
