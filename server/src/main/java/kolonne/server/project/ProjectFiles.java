package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import kolonne.core.finding.Finding;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.project.LogoFile;
import kolonne.exchange.project.ProjectFile;
import kolonne.server.archive.ProjectArchive;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.By;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectStore;
import kolonne.server.store.StoredProject;

/** Projects that go as one file and come back. */
public final class ProjectFiles {
    private final ProjectStore store;

    ProjectFiles(ProjectStore store) {
        this.store = store;
    }

    /** All of a project as of now. @throws NoSuchElementException if there is none */
    public StoredProject copy(String id) {
        return store.copy(id).orElseThrow(() -> new NoSuchElementException("There is no project " + id + "."));
    }

    /** Takes a project in as a new one under an id that no other has, beside that from which it was made; that id. What cannot be followed is refused whole. */
    String take(String id, byte[] file, By by) {
        ProjectArchive.Read r = ProjectArchive.read(file);
        if (r.project() == null) {
            throw new Jobs.Refused(r.findings());
        }
        List<Finding> wrong = wrong(r.project());
        if (!wrong.isEmpty()) {
            throw new Jobs.Refused(wrong);
        }
        // where it is there already, a server that lost this work stored it
        store.by(by).put(r.project().as(id));
        return id;
    }

    /** What a page would stumble over: the whole history is followed once. */
    private static List<Finding> wrong(StoredProject p) {
        List<Finding> out = new ArrayList<>();
        for (CommandRow c : p.commands()) {
            if (!EditHistory.knows(c.kind())) {
                out.add(unreadable(
                        "change " + c.version(), "“" + c.kind() + "” is no kind of change that is known here."));
                return out;
            }
        }
        try {
            CommandLog log = new CommandLog(p.row().id());
            EditHistory h = new EditHistory(p.commands(), Integer.MAX_VALUE, log);
            ModelFileRow model =
                    h.fileVersion() == 1 ? p.model() : p.revisions().get(h.fileVersion());
            ModelReader.Read stored = ModelReader.read(model.content());
            if (!stored.sound()) {
                return stored.findings();
            }
            ModelReader.Read read =
                    h.fileUnits().map(u -> Projects.shown(stored, u)).orElse(stored);
            h.unreadable(read.building())
                    .ifPresent(v -> out.add(unreadable("change " + v, "This change of the model cannot be followed.")));
            h.basis();
            h.decisions();
            h.entries(read.building());
        } catch (RuntimeException e) {
            out.add(unreadable("history", "What was done to the project cannot be followed."));
        }
        if (p.data() != null) {
            boolean data = ProjectFile.read(p.data().body().getBytes(StandardCharsets.UTF_8))
                            .data()
                    != null;
            boolean logo =
                    p.data().logo() == null || LogoFile.read(p.data().logo()).logo() != null;
            if (!data || !logo) {
                out.add(unreadable("title block", "What title blocks tell cannot be read."));
            }
        }
        return out;
    }

    private static Finding unreadable(String where, String what) {
        return Finding.fails(
                "project-file.unreadable",
                where,
                what,
                "Download the project again; a file of a newer Kolonne needs that or a newer one.");
    }
}
