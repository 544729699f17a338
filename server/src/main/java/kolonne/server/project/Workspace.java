package kolonne.server.project;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.exchange.model.ModelReader;

/**
 * One project in memory. The published design is replaced as a whole, so that a reader never sees half of one; while a
 * newer one is being made the old one is still served and said to be not current.
 */
public final class Workspace {
    /** A finished design. @param version of the project that it belongs to */
    public record Published(int version, BuildingDesign design, List<ResultRow> rows) {}

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

    private final String id;
    private final List<Consumer<State>> listeners = new CopyOnWriteArrayList<>();
    private volatile ModelReader.Read read;
    private volatile Analysis analysis;
    private volatile Published published;
    private volatile State state;
    private volatile long lastUse = System.currentTimeMillis();

    Workspace(String id, int version) {
        this.id = id;
        this.state = new State(version, 0, "", 0, 0, List.of());
    }

    public String id() {
        return id;
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

    /** The newest finished design; null before the first. */
    public Published published() {
        return published;
    }

    ModelReader.Read read() {
        return read;
    }

    void read(ModelReader.Read r) {
        this.read = r;
    }

    public void follow(Consumer<State> l) {
        listeners.add(l);
        l.accept(state);
    }

    public void unfollow(Consumer<State> l) {
        listeners.remove(l);
    }

    synchronized void publish(State s) {
        state = s;
        listeners.forEach(l -> l.accept(s));
    }

    /** A new name changes the version of the project, not the design, which stays current. */
    synchronized void renamed(int version) {
        published = new Published(version, published.design(), published.rows());
        publish(new State(version, version, "", 0, 0, List.of()));
    }

    /** Tells what is being computed. */
    interface Step {
        void at(String doing, int done, int total);
    }

    /** Solves if need be and designs; called by one job at a time. */
    synchronized Analysis solved(Step step) {
        if (analysis == null) {
            step.at("solving the frame", 0, 0);
            analysis = FrameAnalysis.solve(new BuildingIndex(read.building()));
        }
        return analysis;
    }

    void design(Basis basis, int version, Step step) {
        Analysis a = solved(step);
        BuildingDesign d = BuildingDesigner.design(a, basis, (done, total) -> {
            if (done * 10 / total != (done - 1) * 10 / total) { // ten times in all: every event redraws open pages
                step.at("designing", done, total);
            }
        });
        published = new Published(version, d, ResultRow.of(d));
    }
}
