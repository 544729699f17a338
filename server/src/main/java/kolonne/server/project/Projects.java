package kolonne.server.project;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Function;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingMarks;
import kolonne.core.design.HandSet;
import kolonne.core.finding.Finding;
import kolonne.core.mark.Marks;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelCheck;
import kolonne.core.type.Types;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.Brought;
import kolonne.server.store.By;
import kolonne.server.store.CommandRow;
import kolonne.server.store.DeedRow;
import kolonne.server.store.MappingRow;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;
import kolonne.server.store.Shared;
import kolonne.server.store.Upload;

/** All projects: stored through a {@link ProjectStore}, the ones in use kept in memory with their design. */
public final class Projects {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String REVISION = "revision";
    private static final int MOST_IN_MEMORY = 6;
    private static final int MOST_FOLLOWED = 18;
    /** Newer models between upload and adoption: each may be as large as a model. */
    private static final int MOST_REVISIONS = 4;
    /** The same of tables of forces. */
    private static final int MOST_TABLES = 6;

    private static final int MOST_WAITING = 40;
    /** How long jobs wait for a design, and between two looks. */
    private static final long LONGEST_NS = 120_000_000_000L;

    private static final long LOOK_NS = 50_000_000L;
    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private final ProjectStore store;
    private final Jobs jobs;
    private final Map<String, Workspace> open = new ConcurrentHashMap<>();
    private final Map<String, CommandLog> logs = new ConcurrentHashMap<>();
    private final Held<RevisedModel> revisions;
    private final Held<Upload> forceTables;
    private final Curves curves;
    private final Semaphore waiting = new Semaphore(MOST_WAITING);
    private final Changes changes;
    private final ProjectPaper paper;
    private final KeptBases bases;
    private final KeptSections sections;
    private final ProjectFiles files;
    private final Imports imports;
    private final DeletedProjects deleted;
    private final OtherServers others;
    private final Designs designs;
    private final Present present = new Present();

    /** Of a server by itself that keeps no design over a restart. */
    public Projects(ProjectStore store, Jobs jobs) {
        this(store, jobs, Shared.NONE);
    }

    public Projects(ProjectStore store, Jobs jobs, Shared shared) {
        this.store = store;
        this.jobs = jobs;
        this.designs = new Designs(this, jobs, shared);
        this.curves = new Curves(this, jobs, shared.uploads());
        this.revisions = new Held<>(
                new Held.Kind<>(
                        REVISION,
                        MOST_REVISIONS,
                        "The newer model is no longer held; choose the file again.",
                        r -> new Upload(r.project(), r.fileName(), r.bytes()),
                        this::revised),
                shared.uploads());
        jobs.does(REVISION, this::readRevision);
        this.forceTables = new Held<>(
                new Held.Kind<>(
                        "forces",
                        MOST_TABLES,
                        "The table is no longer held; choose the file again.",
                        Function.identity(),
                        Function.identity()),
                shared.uploads());
        this.changes = new Changes(this, store);
        this.paper = new ProjectPaper(this, store);
        this.bases = new KeptBases(store);
        this.sections = new KeptSections(store);
        this.files = new ProjectFiles(store);
        this.imports = new Imports(this, store, jobs, files);
        this.deleted = new DeletedProjects(store);
        this.others = new OtherServers(this, store, shared.presence());
    }

    /** Follows from now on what other servers on the same database store. */
    public void followOthers() {
        others.start();
    }

    /** Takes from now on designs that wait for a server or worker, or whose server died. @param patience how long others are waited for [ms] */
    public void help(int patience) {
        designs.help(patience);
    }

    /** Hands the designs under way to other servers and workers; for a server that ends. */
    public void handOver() {
        designs.close();
    }

    /** Who has which project open. */
    public Present present() {
        return present;
    }

    /** Projects that are held in memory. */
    List<Workspace> inMemory() {
        return List.copyOf(open.values());
    }

    /** Lets go of a project; whoever follows it asks anew. */
    void gone(Workspace w) {
        open.remove(w.id());
        logs.remove(w.id());
        w.putOut();
    }

    /** What title blocks and heads of pages tell of projects. */
    public ProjectPaper paper() {
        return paper;
    }

    /** Bases of design kept for all projects. */
    public KeptBases bases() {
        return bases;
    }

    /** Sections of the bench kept for all projects. */
    public KeptSections sections() {
        return sections;
    }

    /** Projects that were deleted and rest. */
    public DeletedProjects deleted() {
        return deleted;
    }

    /** Projects as files. */
    public ProjectFiles files() {
        return files;
    }

    /** How many are held in memory. */
    public int held() {
        return open.size();
    }

    public List<ProjectRow> list() {
        return store.list();
    }

    /** @throws NoSuchElementException if there is no such project */
    public ProjectRow find(String id) {
        return store.find(id).orElseThrow(() -> new NoSuchElementException("There is no project " + id + "."));
    }

    /** Starts reading an uploaded model, or a project that was downloaded; the job's result is the new project's id. */
    public Job importFile(String name, String fileName, byte[] bytes, Author by) {
        return imports.start(name, fileName, bytes, by);
    }

    /** Holds a project that was just stored: whoever opens it need not read and solve it again. */
    void hold(ProjectRow row, ModelReader.Read read, Analysis solved) {
        Workspace w = new Workspace(row.id(), row.version());
        w.read(read, read.building(), row.version(), false);
        w.keepFile(row.version(), read);
        w.keep(row.version(), solved);
        open.put(row.id(), w);
        evict();
    }

    /** Starts reading a newer model of a project's building; the job's result is its name among {@link #revisions}. */
    public Job readRevision(String id, String fileName, byte[] bytes) {
        find(id);
        int megabytes = Jobs.megabytes(Imports.memory(bytes));
        return jobs.start(REVISION, id, Brought.of(id, null, cut(fileName), By.NOBODY, megabytes), bytes);
    }

    private String readRevision(Job job, Brought what, byte[] bytes) {
        job.at("reading the model", 0, 0);
        return revisions.put(revised(new Upload(what.projectId(), what.fileName(), bytes)));
    }

    /** A newer model that another server read, or this one before. */
    private RevisedModel revised(Upload u) {
        ModelReader.Read read = ModelReader.read(u.content());
        if (!read.sound()) {
            throw new Jobs.Refused(read.findings());
        }
        return new RevisedModel(
                u.project(),
                u.fileName(),
                u.content(),
                shown(read, model(u.project()).building().unitSystem()));
    }

    /** Tables of station forces that are not taken in yet. */
    public Held<Upload> forceTables() {
        return forceTables;
    }

    /** Newer models that were read and are not adopted yet. */
    public Held<RevisedModel> revisions() {
        return revisions;
    }

    /** Stores a model drawn up in the application as a project that begins with a code's standard basis; it is analysed first. */
    public ProjectRow create(Building b, String code, Author by) {
        BuildingIndex index = new BuildingIndex(b);
        try {
            FrameAnalysis.solve(index);
        } catch (AnalysisFailed e) {
            throw new Jobs.Refused(e.findings());
        }
        Basis basis = Basis.standard(code);
        Marks marks = BuildingMarks.follow(Marks.NONE, index).marks();
        return store.by(by.by())
                .create(
                        cut(b.name()),
                        "drawn up in Kolonne",
                        ModelWriter.json(b),
                        BasisFile.write(basis),
                        Changes.first(marks));
    }

    /** How the columns of tables of forces were mapped before, by name. */
    public List<MappingRow> mappings() {
        return store.mappings();
    }

    /** Remembers how the columns of a table of forces were mapped. @param mapping a value that becomes JSON */
    public void putMapping(String name, Object mapping) {
        store.putMapping(cut(name, 100), JSON.valueToTree(mapping).toString());
    }

    /** On one line, no longer than names are. */
    public static String cut(String s) {
        return cut(s.replaceAll("\\p{Cntrl}", " ").strip(), 180);
    }

    /** The first characters of a text; one that takes two places is kept whole or left out. */
    static String cut(String s, int most) {
        int end = Math.min(most, s.length());
        return s.substring(0, end < s.length() && Character.isHighSurrogate(s.charAt(end - 1)) ? end - 1 : end);
    }

    /** The workspace of a project, with a design under way if there is none. */
    public Workspace open(String id) {
        ProjectRow row = find(id);
        Workspace w = open.computeIfAbsent(id, k -> new Workspace(id, row.version()));
        w.touch();
        if (w.published() == null
                && w.state().doing().isEmpty()
                && w.state().findings().isEmpty()) {
            synchronized (w) {
                if (w.published() == null && w.state().doing().isEmpty()) {
                    redesign(w, row.version());
                }
            }
        }
        evict();
        return w;
    }

    /**
     * A workspace with its newest design. The first one is waited for a while, by no more readers at a time than leave room for others: a reader that comes too
     * early, or whose project was put out of memory, need not ask again and again.
     */
    public Workspace designed(String id) {
        Workspace w = open(id);
        if (w.published() == null && waiting.tryAcquire()) {
            try {
                w.awaitPublished(PATIENCE);
            } finally {
                waiting.release();
            }
        }
        return w;
    }

    /** Waits for the design in a job: where another server left it, the building may still be on its way into the memory of this one. */
    public void awaited(Workspace w, Job job) {
        long until = System.nanoTime() + LONGEST_NS;
        while (!w.state().current() && w.state().findings().isEmpty() && System.nanoTime() < until) {
            job.at("waiting for the design", 0, 0);
            LockSupport.parkNanos(LOOK_NS);
        }
    }

    private void evict() {
        // pages that are open are told what others change: what they follow stays as long as memory allows
        if (open.size() > MOST_IN_MEMORY) {
            open.values().stream()
                    .filter(w -> w.state().doing().isEmpty() && (!w.followed() || open.size() > MOST_FOLLOWED))
                    .min(Comparator.comparingLong(Workspace::lastUse))
                    .ifPresent(this::gone);
        }
    }

    /** The model: the file as read and the edits in force; reads the stored file the first time. */
    public Workspace model(String id) {
        find(id);
        Workspace w = open(id);
        read(w);
        return w;
    }

    void read(Workspace w) {
        if (w.building() != null) {
            return; // whoever changes it holds it meanwhile
        }
        synchronized (w) {
            if (w.building() == null) {
                EditHistory h = history(w.id());
                ModelReader.Read read = file(w, h);
                Building b = h.applied(read.building());
                if (h.marks().all().isEmpty()) {
                    // stored by an older server, which counted lines anew whenever it showed them
                    Marks marks = BuildingMarks.follow(Marks.NONE, new BuildingIndex(b))
                            .marks();
                    store.putMarks(w.id(), Changes.first(marks));
                    logs.remove(w.id());
                }
                w.read(read, b, h.modelVersion(), h.forcesStale(read.building()));
            }
        }
    }

    /** The model file that a state of the history builds on, as read; reads the stored file if need be. */
    ModelReader.Read file(Workspace w, EditHistory h) {
        int version = h.fileVersion();
        ModelReader.Read read = w.file(version);
        if (read == null) {
            ModelFileRow row = version == 1 ? store.model(w.id()) : store.revision(w.id(), version);
            ModelReader.Read stored = ModelReader.read(row.content());
            if (stored.building() == null) {
                throw new Jobs.Refused(stored.findings());
            }
            read = h.fileUnits().map(u -> shown(stored, u)).orElse(stored);
            w.keepFile(version, read);
        }
        return read;
    }

    /** A project is shown in the units that it began with, whatever a newer model of it is written in. */
    static ModelReader.Read shown(ModelReader.Read read, String units) {
        return new ModelReader.Read(read.building().withUnitSystem(units), read.findings());
    }

    /** What the file and the model said when they were read; imported forces that no longer fit are told here. */
    public List<Finding> modelFindings(Workspace w) {
        List<Finding> out = new ArrayList<>(w.read().findings());
        if (w.building() != w.read().building()) {
            out.removeAll(ModelCheck.run(w.read().building()));
            out.addAll(ModelCheck.run(w.building()));
        }
        if (w.forcesStale()) {
            out.add(
                    0,
                    Finding.note(
                            "forces.stale",
                            "model",
                            "The stiffness or the loads were changed after the forces solved elsewhere "
                                    + "were taken; the forces belong to the older model.",
                            "Solve again elsewhere and import, or use Kolonne's own analysis."));
        }
        return out;
    }

    /** All that was done, oldest first. */
    public List<EditHistory.Entry> edits(String id) {
        Workspace w = model(id);
        return history(id).entries(w.read().building());
    }

    /** Whether there is a change to undo and one to redo. */
    public boolean[] undoable(String id) {
        EditHistory h = history(id);
        return new boolean[] {h.canUndo(), h.canRedo()};
    }

    /** What people have set on beam lines, by id of the line. */
    public HandSet hand(String id) {
        return history(id).hand();
    }

    /** Types that people have made. */
    public Types types(String id) {
        return history(id).types();
    }

    /** Curves of types. */
    public Curves curves() {
        return curves;
    }

    /** Marks of the lines and stacks that have the members of one that had this mark before; empty if none ever had it. */
    public List<String> whatBecame(String id, String mark) {
        return history(id).whatBecame(mark);
    }

    /** Changes of projects. */
    public Changes changes() {
        return changes;
    }

    CommandLog log(String id) {
        return logs.computeIfAbsent(id, CommandLog::new);
    }

    List<CommandRow> commands(String id) {
        return log(id).rows(store);
    }

    /** Whether a workspace is the one that is held in memory. */
    boolean holds(Workspace w) {
        return open.get(w.id()) == w;
    }

    /** Lets go of what was parsed of a project that is not held in memory. */
    void forget(String id) {
        if (!open.containsKey(id)) {
            logs.remove(id);
        }
    }

    EditHistory history(String id) {
        CommandLog log = log(id);
        return new EditHistory(log.rows(store), Integer.MAX_VALUE, log);
    }

    /** The analysis of the model in force, or as it stood at a version of the project. */
    public Analysis analysis(String id, int version) {
        Workspace w = model(id);
        synchronized (w) {
            CommandLog log = log(id);
            List<CommandRow> commands = log.rows(store);
            int at = new EditHistory(commands, version, log).modelVersion();
            if (at == w.modelVersion()) {
                return w.solved((doing, done, total) -> {});
            }
            Analysis a = w.kept(at);
            if (a == null) {
                EditHistory then = new EditHistory(commands, at, log);
                Building b = then.applied(file(w, then).building());
                boolean sameFile = then.fileVersion() == history(id).fileVersion();
                a = FrameAnalysis.resolve(sameFile ? w.kept(w.modelVersion()) : null, new BuildingIndex(b));
                w.keep(at, a);
            }
            return a;
        }
    }

    /** Kolonne's own analysis of the model in force, also where it is designed for forces solved elsewhere. */
    public Analysis ownAnalysis(String id) {
        Workspace w = model(id);
        synchronized (w) {
            if (!w.building().hasImportedForces()) {
                return w.solved((doing, done, total) -> {});
            }
            Analysis a = w.kept(-w.modelVersion());
            if (a == null) {
                a = FrameAnalysis.resolve(null, new BuildingIndex(w.building().withStationForces(List.of())));
                w.keep(-w.modelVersion(), a);
            }
            return a;
        }
    }

    /** The model file in force, as uploaded. */
    public ModelFileRow modelFile(String id) {
        find(id);
        int version = history(id).fileVersion();
        return version == 1 ? store.model(id) : store.revision(id, version);
    }

    /** The basis in force. */
    public Basis basis(String id) {
        find(id);
        return history(id).basis();
    }

    public Optional<ProjectRow> rename(String id, int version, String name, Author by) {
        find(id);
        Optional<ProjectRow> row = store.by(by.by()).rename(id, version, cut(name));
        row.ifPresent(r -> {
            Workspace w = open.get(id);
            if (w != null && w.state().current()) {
                w.renamed(r.version());
            } else if (w != null) {
                redesign(w, r.version());
            }
        });
        return row;
    }

    /** Takes down that a file of a project is given out. */
    public void exported(String id, String file, Author to) {
        store.by(to.by()).exported(id, file);
    }

    /** Who did what with a project, oldest first. */
    public List<DeedRow> deeds(String id) {
        find(id);
        return store.deeds(id);
    }

    /** Puts a project away among the deleted ones. */
    public void delete(String id, Author by) {
        if (!store.by(by.by()).delete(id, by.person())) {
            throw new NoSuchElementException("There is no project " + id + ".");
        }
        open.remove(id);
        logs.remove(id);
    }

    void redesign(Workspace w, int version) {
        designs.redesign(w, version);
    }
}
