package kolonne.server.project;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.basis.Basis;
import kolonne.core.finding.Finding;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;

/** All projects: stored through a {@link ProjectStore}, the ones in use kept in memory with their design. */
public final class Projects {
    private static final int MOST_IN_MEMORY = 6;

    private final ProjectStore store;
    private final Jobs jobs;
    private final Map<String, Workspace> open = new ConcurrentHashMap<>();

    public Projects(ProjectStore store, Jobs jobs) {
        this.store = store;
        this.jobs = jobs;
    }

    public List<ProjectRow> list() {
        return store.list();
    }

    /** @throws NoSuchElementException if there is no such project */
    public ProjectRow find(String id) {
        return store.find(id).orElseThrow(() -> new NoSuchElementException("There is no project " + id + "."));
    }

    /** Starts reading an uploaded model; the job's result is the new project's id. */
    public Job importModel(String name, String fileName, byte[] bytes) {
        return jobs.start("import", job -> {
            job.at("reading the model", 0, 0);
            ModelReader.Read read = ModelReader.read(bytes);
            if (!read.sound()) {
                throw new Jobs.Refused(read.findings());
            }
            job.at("solving the frame", 0, 0);
            Workspace w = new Workspace("", 0);
            w.read(read);
            w.solved(job::at);
            String title = name == null || name.isBlank() ? read.building().name() : name;
            Basis basis = Basis.standard(read.building().unitSystem().equals("US"));
            job.at("storing", 0, 0);
            ProjectRow row = store.create(cut(title), cut(fileName), bytes, BasisFile.write(basis));
            return row.id();
        });
    }

    private static String cut(String s) {
        String clean = s.replaceAll("\\p{Cntrl}", " ").strip();
        return clean.length() > 180 ? clean.substring(0, 180) : clean;
    }

    /** The workspace of a project, with a design under way if there is none. */
    public Workspace open(String id) {
        ProjectRow row = find(id);
        Workspace w = open.computeIfAbsent(id, k -> new Workspace(id, row.version()));
        w.touch();
        if (w.published() == null && w.state().doing().isEmpty() && w.state().findings().isEmpty()) {
            synchronized (w) {
                if (w.published() == null && w.state().doing().isEmpty()) {
                    redesign(w, row.version());
                }
            }
        }
        evict();
        return w;
    }

    private void evict() {
        if (open.size() > MOST_IN_MEMORY) {
            open.values().stream().filter(w -> w.state().doing().isEmpty()).min(Comparator.comparingLong(Workspace::lastUse))
                .ifPresent(w -> open.remove(w.id()));
        }
    }

    /** The model as read; reads the stored file the first time. */
    public ModelReader.Read model(String id) {
        find(id);
        Workspace w = open(id);
        return model(w);
    }

    private ModelReader.Read model(Workspace w) {
        synchronized (w) {
            if (w.read() == null) {
                w.read(ModelReader.read(store.model(w.id()).content()));
            }
            return w.read();
        }
    }

    public ModelFileRow modelFile(String id) {
        find(id);
        return store.model(id);
    }

    /** The basis in force. */
    public Basis basis(String id) {
        find(id);
        String json = store.last(id, "set-basis").orElseThrow();
        BasisFile.Read read = BasisFile.read(json.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        if (read.basis() == null) {
            throw new IllegalStateException("the stored basis of " + id + " cannot be read: " + read.findings());
        }
        return read.basis();
    }

    /** Stores a basis and redesigns; empty if the project has moved past {@code version}. */
    public Optional<ProjectRow> setBasis(String id, int version, Basis basis) {
        Workspace w = open(id);
        Optional<ProjectRow> row = store.append(id, version, "set-basis", BasisFile.write(basis));
        row.ifPresent(r -> redesign(w, r.version()));
        return row;
    }

    public Optional<ProjectRow> rename(String id, int version, String name) {
        find(id);
        Optional<ProjectRow> row = store.rename(id, version, cut(name));
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

    public void delete(String id) {
        if (!store.delete(id)) {
            throw new NoSuchElementException("There is no project " + id + ".");
        }
        open.remove(id);
    }

    private void redesign(Workspace w, int version) {
        w.publish(new Workspace.State(version, w.state().designed(), "waiting", 0, 0, List.of()));
        jobs.start("design", job -> {
            run(w, version);
            return w.id();
        });
    }

    private void run(Workspace w, int version) {
        try {
            model(w);
            Basis basis = basis(w.id());
            w.design(basis, version, (doing, done, total) -> {
                if (w.state().version() != version) {
                    throw new CancellationException();
                }
                w.publish(new Workspace.State(version, w.state().designed(), doing, done, total, List.of()));
            });
            if (w.state().version() == version) {
                w.publish(new Workspace.State(version, version, "", 0, 0, List.of()));
            }
        } catch (AnalysisFailed e) {
            failed(w, version, e.findings());
            throw e;
        } catch (CancellationException e) {
            throw e; // a newer design is under way and says so itself
        } catch (RuntimeException e) {
            failed(w, version, List.of(Finding.fails("server.error", "server",
                "The design stopped because of an error inside Kolonne; it is in the log.", "Change the basis or try again.")));
            throw e;
        }
    }

    private static void failed(Workspace w, int version, List<Finding> findings) {
        w.publish(new Workspace.State(version, w.state().designed(), "", 0, 0, findings));
    }
}
