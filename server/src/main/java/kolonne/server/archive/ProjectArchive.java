package kolonne.server.archive;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import kolonne.core.finding.Finding;
import kolonne.exchange.json.StrictJson;
import kolonne.exchange.model.ModelReader;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectDataRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.StoredProject;

/** One project as one file (docs/formats/project-file.md): its models as uploaded, all that was done, what title blocks tell. The same project gives the same bytes. */
public final class ProjectArchive {
    static final String HEAD = "kolonne.json";
    private static final String FORMAT = "kolonne-archive";
    private static final int VERSION = 1;
    private static final String HISTORY = "history.jsonl";
    private static final String DATA = "data.json";
    private static final String LOGO = "logo";
    private static final String MODELS = "models/";
    /** The last part, for whoever reads the file without the application; the application itself designs again. */
    private static final String RESULTS = "results.json";
    /** Newer models of one project. */
    private static final int MOST_MODELS = 500;
    /** What all entries unpack to at most [bytes]. */
    private static final long MOST_UNPACKED = 4L * ModelReader.LARGEST;
    /** And that over the size of the file: models are packed to a tenth or a twentieth; and for a very small one [bytes]. */
    private static final long RATIO = 40;

    private static final long SMALL = 16 << 20;
    /** Columns of the database. */
    private static final int LONGEST_NAME = 200;

    private static final int LONGEST_KIND = 40;
    private static final int LONGEST_PERSON = 80;
    private static final int LATEST_VERSION = 100_000_000;
    /** Entries have no time of their own: the same project gives the same bytes. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(2000, 1, 1, 0, 0);

    /** Numbers keep the digits that they were written with. */
    private static final JsonMapper EXACT = JsonMapper.builder(StrictJson.READER.getFactory())
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .disable(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES)
            .build();

    /** @param project null where there are findings */
    public record Read(StoredProject project, List<Finding> findings) {}

    private ProjectArchive() {}

    /** Whether a file is a project rather than a model. */
    public static boolean isOne(byte[] file) {
        try (ZipInputStream z = new ZipInputStream(new ByteArrayInputStream(file))) {
            ZipEntry first = z.getNextEntry();
            return first != null && first.getName().equals(HEAD);
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    /** What a file may unpack to [bytes]. */
    public static long mostUnpacked(byte[] file) {
        return Math.min(MOST_UNPACKED, SMALL + RATIO * file.length);
    }

    /** Writes results of a project; the stream stays open. */
    public interface Results {
        void to(OutputStream out) throws IOException;
    }

    public static void write(StoredProject p, OutputStream out) throws IOException {
        write(p, null, out);
    }

    /** @param results of the same version; null for none */
    public static void write(StoredProject p, Results results, OutputStream out) throws IOException {
        ZipOutputStream z = new ZipOutputStream(out, StandardCharsets.UTF_8);
        Map<Integer, ModelFileRow> models = new TreeMap<>(p.revisions());
        models.put(1, p.model());
        entry(z, HEAD, head(p, models));
        entry(z, HISTORY, history(p.commands()));
        for (Map.Entry<Integer, ModelFileRow> m : models.entrySet()) {
            entry(z, MODELS + m.getKey(), m.getValue().content());
        }
        if (p.data() != null) {
            entry(z, DATA, p.data().body().getBytes(StandardCharsets.UTF_8));
            if (p.data().logo() != null) {
                entry(z, LOGO, p.data().logo());
            }
        }
        if (results != null) {
            entry(z, RESULTS, results);
        }
        z.finish();
    }

    private static void entry(ZipOutputStream z, String name, byte[] content) throws IOException {
        entry(z, name, o -> o.write(content));
    }

    private static void entry(ZipOutputStream z, String name, Results content) throws IOException {
        ZipEntry e = new ZipEntry(name);
        e.setTimeLocal(NO_TIME);
        z.putNextEntry(e);
        content.to(z);
        z.closeEntry();
    }

    private static byte[] head(StoredProject p, Map<Integer, ModelFileRow> models) throws IOException {
        ObjectNode head = EXACT.createObjectNode()
                .put("format", FORMAT)
                .put("version", VERSION)
                .put("id", p.row().id())
                .put("name", p.row().name())
                .put("createdAt", p.row().createdAt().toString())
                .put("changedAt", p.row().changedAt().toString())
                .put("changes", p.row().version());
        ArrayNode list = head.putArray("models");
        models.forEach((version, m) -> list.addObject().put("version", version).put("fileName", m.fileName()));
        if (p.data() != null) {
            head.put("dataVersion", p.data().version());
        }
        return EXACT.writerWithDefaultPrettyPrinter().writeValueAsBytes(head);
    }

    /** A line each; bodies as they are stored. */
    private static byte[] history(List<CommandRow> commands) throws IOException {
        java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
        for (CommandRow c : commands) {
            try (JsonGenerator g = EXACT.createGenerator(out).disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET)) {
                g.writeStartObject();
                g.writeNumberField("version", c.version());
                g.writeStringField("kind", c.kind());
                g.writeStringField("madeAt", c.madeAt().toString());
                g.writeStringField("person", c.person());
                g.writeFieldName("body");
                g.writeRawValue(line(c.body()));
                g.writeFieldName("effects");
                g.writeRawValue(c.effects() == null ? "null" : line(c.effects()));
                g.writeEndObject();
            }
            out.write('\n');
        }
        return out.toByteArray();
    }

    /** Breaks of a line stand in JSON only between its parts. */
    private static String line(String json) {
        return json.replace("\r", "").replace('\n', ' ');
    }

    /** Reads a file; what is wrong with it is told in findings. */
    public static Read read(byte[] file) {
        try {
            return new Read(project(entries(file)), List.of());
        } catch (Damaged e) {
            return new Read(
                    null,
                    List.of(Finding.fails(
                            "project-file.damaged",
                            e.where,
                            e.getMessage(),
                            "Download the project again, or take another backup.")));
        }
    }

    private static Map<String, byte[]> entries(byte[] file) throws Damaged {
        Map<String, byte[]> out = new HashMap<>();
        long left = mostUnpacked(file);
        try (ZipInputStream z = new ZipInputStream(new ByteArrayInputStream(file), StandardCharsets.UTF_8)) {
            for (ZipEntry e = z.getNextEntry(); e != null && !e.getName().equals(RESULTS); e = z.getNextEntry()) {
                byte[] content = z.readNBytes((int) Math.min(ModelReader.LARGEST + 1L, left + 1));
                left -= content.length;
                if (content.length > ModelReader.LARGEST || left < 0) {
                    throw new Damaged(e.getName(), "It unpacks to more than a project may have.");
                }
                if (out.size() > MOST_MODELS + 4 || out.put(e.getName(), content) != null) {
                    throw new Damaged(e.getName(), "There are too many parts, or one of them twice.");
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new Damaged("file", "The file is cut short or is no sound zip.");
        }
        return out;
    }

    private static StoredProject project(Map<String, byte[]> parts) throws Damaged {
        JsonNode head = json(HEAD, part(parts, HEAD));
        if (!head.path("format").asText().equals(FORMAT) || head.path("version").asInt() != VERSION) {
            throw new Damaged(HEAD, "It is not the format " + FORMAT + ", version " + VERSION + ".");
        }
        String id = text(HEAD, head, "id", 12);
        int changes = whole(HEAD, head, "changes");
        ProjectRow row = new ProjectRow(
                id,
                text(HEAD, head, "name", LONGEST_NAME),
                time(HEAD, head, "createdAt"),
                time(HEAD, head, "changedAt"),
                changes);
        Map<Integer, ModelFileRow> models = models(id, head, parts);
        List<CommandRow> commands = commands(id, part(parts, HISTORY), changes);
        ModelFileRow first = models.remove(1);
        if (first == null) {
            throw new Damaged(HEAD, "The model that the project began with is missing.");
        }
        for (CommandRow c : commands) {
            if (c.kind().equals("revise-model") != models.containsKey(c.version())) {
                throw new Damaged(HISTORY, "Change " + c.version() + " and the newer models do not fit each other.");
            }
        }
        ProjectDataRow data = null;
        if (parts.containsKey(DATA)) {
            json(DATA, parts.get(DATA));
            data = new ProjectDataRow(
                    id,
                    whole(HEAD, head, "dataVersion"),
                    new String(parts.get(DATA), StandardCharsets.UTF_8),
                    parts.get(LOGO));
        }
        return new StoredProject(row, first, commands, models, data);
    }

    private static Map<Integer, ModelFileRow> models(String id, JsonNode head, Map<String, byte[]> parts)
            throws Damaged {
        Map<Integer, ModelFileRow> out = new HashMap<>();
        for (JsonNode m : head.path("models")) {
            int version = whole(HEAD, m, "version");
            out.put(
                    version,
                    new ModelFileRow(id, text(HEAD, m, "fileName", LONGEST_NAME), part(parts, MODELS + version)));
        }
        return out;
    }

    private static List<CommandRow> commands(String id, byte[] lines, int changes) throws Damaged {
        List<CommandRow> out = new ArrayList<>();
        int last = 0;
        for (String line : new String(lines, StandardCharsets.UTF_8).split("\n")) {
            if (line.isBlank()) {
                continue;
            }
            JsonNode c = json(HISTORY, line.getBytes(StandardCharsets.UTF_8));
            int version = whole(HISTORY, c, "version");
            if (version <= last || version > changes || !c.path("body").isContainerNode()) {
                throw new Damaged(HISTORY, "Change " + version + " is out of order or has no body.");
            }
            last = version;
            out.add(new CommandRow(
                    id,
                    version,
                    text(HISTORY, c, "kind", LONGEST_KIND),
                    c.path("body").toString(),
                    time(HISTORY, c, "madeAt"),
                    c.path("person").asText(""),
                    c.path("effects").isContainerNode() ? c.path("effects").toString() : null));
            if (out.get(out.size() - 1).person().length() > LONGEST_PERSON) {
                throw new Damaged(HISTORY, "The person of change " + version + " is longer than a name may be.");
            }
        }
        if (out.isEmpty() || out.get(0).version() != 1 || !out.get(0).kind().equals("set-basis")) {
            throw new Damaged(HISTORY, "It does not begin with a basis.");
        }
        out.sort(Comparator.comparing(CommandRow::version));
        return out;
    }

    private static byte[] part(Map<String, byte[]> parts, String name) throws Damaged {
        byte[] out = parts.get(name);
        if (out == null) {
            throw new Damaged(name, "This part of the file is missing.");
        }
        return out;
    }

    private static JsonNode json(String where, byte[] text) throws Damaged {
        try {
            JsonNode n = EXACT.readTree(text);
            if (n != null && n.isObject()) {
                return n;
            }
        } catch (IOException e) {
            // told below
        }
        throw new Damaged(where, "It cannot be read as JSON.");
    }

    private static String text(String where, JsonNode n, String field, int longest) throws Damaged {
        JsonNode v = n.path(field);
        if (!v.isTextual() || v.asText().isBlank() || v.asText().length() > longest) {
            throw new Damaged(where, field + " is missing or longer than " + longest + " characters.");
        }
        return v.asText();
    }

    private static int whole(String where, JsonNode n, String field) throws Damaged {
        JsonNode v = n.path(field);
        if (!v.isInt() || v.asInt() < 1 || v.asInt() > LATEST_VERSION) {
            throw new Damaged(where, field + " is no number of a version.");
        }
        return v.asInt();
    }

    private static LocalDateTime time(String where, JsonNode n, String field) throws Damaged {
        try {
            LocalDateTime t = LocalDateTime.parse(n.path(field).asText()).truncatedTo(ChronoUnit.MILLIS);
            if (t.getYear() >= 2000 && t.getYear() < 9999) {
                return t;
            }
        } catch (java.time.DateTimeException e) {
            // told below
        }
        throw new Damaged(where, field + " is no time.");
    }

    private static final class Damaged extends Exception {
        private static final long serialVersionUID = 1;
        private final String where;

        Damaged(String where, String what) {
            super(what);
            this.where = where;
        }
    }
}
