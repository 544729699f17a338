package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import kolonne.core.finding.Finding;
import kolonne.core.project.Logo;
import kolonne.core.project.ProjectData;
import kolonne.core.project.ProjectData.Field;
import kolonne.core.project.Revision;
import kolonne.exchange.project.LogoFile;
import kolonne.exchange.project.ProjectFile;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.ProjectDataRow;
import kolonne.server.store.ProjectStore;

/** What title blocks and heads of pages tell of a project, changed field by field: two people may fill them in together. */
public final class ProjectPaper {
    /** A change is tried so often while others change other fields. */
    private static final int TRIES = 20;

    private final Projects projects;
    private final ProjectStore store;

    /** Project data as stored. @param version 0 where nobody said anything yet */
    public record Stored(int version, ProjectData data) {}

    ProjectPaper(Projects projects, ProjectStore store) {
        this.projects = projects;
        this.store = store;
    }

    public Stored of(String id) {
        projects.find(id);
        Optional<ProjectDataRow> row = store.data(id);
        return row.isEmpty()
                ? new Stored(0, ProjectData.EMPTY)
                : new Stored(row.get().version(), read(row.get()));
    }

    /** What is printed: the project's name where no title is given. */
    public Stored printed(String id) {
        Stored s = of(id);
        return s.data().text(Field.TITLE).isEmpty()
                ? new Stored(
                        s.version(),
                        s.data().with(Field.TITLE, projects.find(id).name()))
                : s;
    }

    private static ProjectData read(ProjectDataRow row) {
        ProjectData d =
                ProjectFile.read(row.body().getBytes(StandardCharsets.UTF_8)).data();
        if (d == null) {
            throw new IllegalStateException("stored project data cannot be read");
        }
        return row.logo() == null ? d : d.with(LogoFile.stored(row.logo()));
    }

    /** Changes a text. @param was what the person saw before */
    public Stored put(String id, Field field, String was, String text, Author by) {
        return change(id, by, d -> {
            unchanged(field.words(), d.text(field), was, text);
            return d.with(field, text);
        });
    }

    /** Changes the table of revisions as a whole. @param was what the person saw before */
    public Stored put(String id, List<Revision> was, List<Revision> revisions, Author by) {
        return change(id, by, d -> {
            unchanged("revisions", d.revisions(), was, revisions);
            return d.with(revisions);
        });
    }

    /** @param logo or null to take it away */
    public Stored put(String id, Logo logo, Author by) {
        return change(id, by, d -> d.with(logo));
    }

    private static void unchanged(String what, Object now, Object was, Object wanted) {
        if (!now.equals(was) && !now.equals(wanted)) {
            throw new Clash(List.of(Finding.fails(
                    "project.clash",
                    what,
                    "It is “" + shown(now) + "” by now.",
                    "Look at it and type it again if yours is right.")));
        }
    }

    private static String shown(Object o) {
        return o instanceof List<?> l ? l.size() + " lines" : o.toString();
    }

    private Stored change(String id, Author by, UnaryOperator<ProjectData> how) {
        for (int i = 0; i < TRIES; i++) {
            Stored now = of(id);
            ProjectData next = how.apply(now.data());
            List<Finding> findings = next.findings();
            if (!findings.isEmpty()) {
                throw new Jobs.Refused(findings);
            }
            if (store.by(by.by())
                    .putData(new ProjectDataRow(
                            id,
                            now.version() + 1,
                            ProjectFile.write(next),
                            next.logo() == null ? null : next.logo().bytes()))) {
                return new Stored(now.version() + 1, next);
            }
        }
        throw new Clash(List.of(Finding.fails(
                "project.busy", "title block", "Too many change it at once.", "Wait a moment and try again.")));
    }
}
