package kolonne.exchange.project;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import kolonne.core.finding.Finding;
import kolonne.core.project.ProjectData;
import kolonne.core.project.Revision;
import kolonne.exchange.json.StrictJson;

/** Project data as JSON; see docs/formats/project.md. The logo is a file of its own. */
public final class ProjectFile {
    private static final String FORMAT = "kolonne-project";
    private static final JsonMapper JSON = new JsonMapper();

    private ProjectFile() {}

    /** Project data, or why it is none. @param data null where it cannot be used; @param logo name of the picture's file beside it, or null */
    public record Read(ProjectData data, String logo, List<Finding> findings) {}

    record Stored(
            String format,
            Integer version,
            String title,
            String client,
            String job,
            String address,
            String designer,
            String checker,
            String date,
            String notes,
            String paper,
            String logo,
            List<StoredRevision> revisions) {}

    record StoredRevision(String index, String date, String what, String by) {}

    public static String write(ProjectData d) {
        try {
            return JSON.writeValueAsString(new Stored(
                    FORMAT,
                    1,
                    d.text(ProjectData.Field.TITLE),
                    d.text(ProjectData.Field.CLIENT),
                    d.text(ProjectData.Field.JOB),
                    d.text(ProjectData.Field.ADDRESS),
                    d.text(ProjectData.Field.DESIGNER),
                    d.text(ProjectData.Field.CHECKER),
                    d.text(ProjectData.Field.DATE),
                    d.text(ProjectData.Field.NOTES),
                    d.text(ProjectData.Field.PAPER),
                    null,
                    d.revisions().stream()
                            .map(r -> new StoredRevision(r.index(), r.date(), r.what(), r.by()))
                            .toList()));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("project data cannot be written", e);
        }
    }

    public static Read read(byte[] bytes) {
        try {
            Stored s = StrictJson.READER.readValue(bytes, Stored.class);
            if (s == null || !FORMAT.equals(s.format()) || s.version() == null || s.version() != 1) {
                return refused(List.of(Finding.fails(
                        "project.format",
                        "project",
                        "The file is not project data of version 1.",
                        "Begin it with \"format\": \"" + FORMAT + "\", \"version\": 1.")));
            }
            ProjectData d = data(s);
            List<Finding> findings = d.findings();
            return findings.isEmpty() ? new Read(d, s.logo(), List.of()) : refused(findings);
        } catch (IOException e) {
            return refused(List.of(StrictJson.trouble(e, "project.json", "project", "docs/formats/project.md")));
        }
    }

    private static Read refused(List<Finding> findings) {
        return new Read(null, null, findings);
    }

    private static ProjectData data(Stored s) {
        Map<ProjectData.Field, String> texts = new EnumMap<>(ProjectData.Field.class);
        texts.put(ProjectData.Field.TITLE, plain(s.title()));
        texts.put(ProjectData.Field.CLIENT, plain(s.client()));
        texts.put(ProjectData.Field.JOB, plain(s.job()));
        texts.put(ProjectData.Field.ADDRESS, plain(s.address()));
        texts.put(ProjectData.Field.DESIGNER, plain(s.designer()));
        texts.put(ProjectData.Field.CHECKER, plain(s.checker()));
        texts.put(ProjectData.Field.DATE, plain(s.date()));
        texts.put(ProjectData.Field.NOTES, plain(s.notes()));
        texts.put(ProjectData.Field.PAPER, plain(s.paper()));
        List<Revision> revisions = new ArrayList<>();
        for (StoredRevision r : s.revisions() == null ? List.<StoredRevision>of() : s.revisions()) {
            if (r != null) {
                revisions.add(new Revision(plain(r.index()), plain(r.date()), plain(r.what()), plain(r.by())));
            }
        }
        return new ProjectData(texts, revisions, null);
    }

    private static String plain(String s) {
        return s == null ? "" : s.strip();
    }
}
