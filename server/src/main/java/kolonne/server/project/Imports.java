package kolonne.server.project;

import java.util.List;
import java.util.function.Supplier;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingMarks;
import kolonne.core.finding.Finding;
import kolonne.core.mark.Marks;
import kolonne.core.model.BuildingIndex;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.server.archive.ProjectArchive;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.Brought;
import kolonne.server.store.Database;
import kolonne.server.store.Ids;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;

/**
 * Files that become projects: models, and projects that were downloaded. The id of the project is settled before the work begins, so that a server that takes
 * it up from one that died stores nothing twice.
 */
final class Imports {
    private static final String KIND = "import";
    /** Memory over the size of a file while it is read. */
    private static final long READING = 7;
    /** The same of what a project's file unpacks to, of which one model is read. */
    private static final long ARCHIVE = 3;

    private final Projects projects;
    private final ProjectStore store;
    private final Jobs jobs;
    private final ProjectFiles files;

    Imports(Projects projects, ProjectStore store, Jobs jobs, ProjectFiles files) {
        this.projects = projects;
        this.store = store;
        this.jobs = jobs;
        this.files = files;
        jobs.does(KIND, this::made);
    }

    Job start(String name, String fileName, byte[] bytes, Author by) {
        long memory = ProjectArchive.isOne(bytes) ? ARCHIVE * ProjectArchive.mostUnpacked(bytes) : memory(bytes);
        String title = name == null || name.isBlank() ? null : Projects.cut(name);
        return jobs.start(
                KIND,
                null,
                Brought.of(Ids.random(), title, Projects.cut(fileName), by.by(), Jobs.megabytes(memory)),
                bytes);
    }

    /** What a model takes while it is read, by its size; a zip holds about eight times as much [bytes]. */
    static long memory(byte[] file) {
        boolean zip = file.length > 1 && file[0] == 'P' && file[1] == 'K';
        return READING * Math.min(ModelReader.LARGEST, (zip ? 8L : 1L) * file.length);
    }

    private String made(Job job, Brought what, byte[] bytes) {
        // by a server that died before it could tell
        if (stored(() -> store.find(what.projectId())).isPresent()) {
            return what.projectId();
        }
        if (!ProjectArchive.isOne(bytes)) {
            return model(job, what, bytes);
        }
        job.at("reading the project", 0, 0);
        return stored(() -> files.take(what.projectId(), bytes, what.by()));
    }

    private String model(Job job, Brought what, byte[] bytes) {
        job.at("reading the model", 0, 0);
        ModelReader.Read read = ModelReader.read(bytes);
        if (!read.sound()) {
            throw new Jobs.Refused(read.findings());
        }
        job.at("solving the frame", 0, 0);
        Analysis solved = FrameAnalysis.resolve(null, new BuildingIndex(read.building()), step -> job.at(step, 0, 0));
        String title = what.name() == null ? Projects.cut(read.building().name()) : what.name();
        Basis basis = Basis.standard(read.building().unitSystem().equals("US"));
        job.at("storing", 0, 0);
        Marks marks = BuildingMarks.follow(Marks.NONE, solved.index()).marks();
        ProjectRow row = stored(() -> store(what, title, bytes, basis, marks));
        projects.hold(row, read, solved);
        return row.id();
    }

    private ProjectRow store(Brought what, String title, byte[] bytes, Basis basis, Marks marks) {
        String id = what.projectId();
        try {
            return store.by(what.by())
                    .create(id, title, what.fileName(), bytes, BasisFile.write(basis), Changes.first(marks));
        } catch (RuntimeException e) {
            // a server that lost this work may have stored it meanwhile
            return store.find(id).orElseThrow(() -> e);
        }
    }

    /** Asks the database in a job. @throws Jobs.Refused where it does not do its part */
    private static <T> T stored(Supplier<T> work) {
        try {
            return work.get();
        } catch (RuntimeException e) {
            if (!Database.isOutage(e)) {
                throw e;
            }
            throw new Jobs.Refused(List.of(
                    Database.isFull(e)
                            ? Finding.fails(
                                    "server.disk",
                                    "server",
                                    "The disk of the database is full.",
                                    "Nothing was stored. Make room on it and bring the file again.")
                            : Finding.fails(
                                    "server.database",
                                    "server",
                                    "The database does not answer.",
                                    "Nothing was stored. Wait a moment and bring the file again.")));
        }
    }
}
