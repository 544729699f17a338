package kolonne.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import kolonne.exchange.json.StrictJson;
import kolonne.exchange.model.ModelReader;
import kolonne.server.store.KeptKind;
import kolonne.server.store.KeptRow;
import kolonne.server.store.MappingRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;
import kolonne.server.store.StoredProject;

/** All that a database holds as one file (docs/formats/project-file.md), made while people work: every project is as of one moment. */
public final class Backup {
    private static final String HEAD = "kolonne-backup.json";
    private static final String FORMAT = "kolonne-backup";
    private static final int VERSION = 1;
    private static final String PROJECTS = "projects/";
    private static final String ENDING = ".zip";
    private static final JsonMapper JSON = StrictJson.READER;
    /** Lists of what is kept for all projects. */
    private static final Map<KeptKind, String> KEPT =
            new EnumMap<>(Map.of(KeptKind.BASIS, "keptBases", KeptKind.SECTION, "keptSections"));

    /** What became of a project. @param told a sentence */
    public record Outcome(String name, boolean taken, String told) {}

    private Backup() {}

    /** @return how many projects it holds */
    public static int write(ProjectStore store, OutputStream out) throws IOException {
        ZipOutputStream z = new ZipOutputStream(out, StandardCharsets.UTF_8);
        z.putNextEntry(new ZipEntry(HEAD));
        z.write(head(store));
        z.closeEntry();
        int count = 0;
        for (ProjectRow row : store.list()) {
            Optional<StoredProject> p = store.copy(row.id());
            if (p.isEmpty()) {
                continue; // deleted meanwhile
            }
            ByteArrayOutputStream one = new ByteArrayOutputStream();
            ProjectArchive.write(p.get(), one);
            z.putNextEntry(new ZipEntry(PROJECTS + row.id() + ENDING));
            one.writeTo(z);
            z.closeEntry();
            count++;
        }
        z.finish();
        return count;
    }

    private static byte[] head(ProjectStore store) throws IOException {
        ObjectNode head = JSON.createObjectNode().put("format", FORMAT).put("version", VERSION);
        KEPT.forEach((kind, list) -> {
            ArrayNode all = head.putArray(list);
            store.kept(kind).forEach(k -> all.addObject().put("name", k.name()).put("body", k.body()));
        });
        ArrayNode mappings = head.putArray("mappings");
        store.mappings().forEach(m -> mappings.addObject().put("name", m.name()).put("body", m.body()));
        return JSON.writeValueAsBytes(head);
    }

    /**
     * Brings back what a backup holds and the database does not: nothing that is there is changed.
     *
     * @throws IOException with what is wrong, if the file is no sound backup
     */
    public static List<Outcome> restore(Path file, ProjectStore store) throws IOException {
        List<Outcome> out = new ArrayList<>();
        try (ZipFile z = opened(file)) {
            JsonNode head = head(z);
            for (ZipEntry e : projects(z)) {
                out.add(restored(z, e, store));
            }
            KEPT.forEach((kind, list) -> {
                Set<String> there = new HashSet<>();
                store.kept(kind).stream().map(KeptRow::name).forEach(there::add);
                for (JsonNode k : head.path(list)) {
                    if (there.add(k.path("name").asText())) {
                        store.putKept(
                                kind, k.path("name").asText(), k.path("body").asText());
                    }
                }
            });
            Set<String> mappings = new HashSet<>();
            store.mappings().stream().map(MappingRow::name).forEach(mappings::add);
            for (JsonNode m : head.path("mappings")) {
                if (mappings.add(m.path("name").asText())) {
                    store.putMapping(m.path("name").asText(), m.path("body").asText());
                }
            }
        }
        return out;
    }

    /** Whether every project of a backup can be read; the first that cannot is told. */
    public static Optional<String> unsound(Path file) throws IOException {
        try (ZipFile z = opened(file)) {
            head(z);
            for (ZipEntry e : projects(z)) {
                ProjectArchive.Read r = ProjectArchive.read(content(z, e));
                if (r.project() == null) {
                    return Optional.of(e.getName() + ": " + r.findings().get(0).what());
                }
            }
        }
        return Optional.empty();
    }

    private static ZipFile opened(Path file) throws IOException {
        if (!Files.isRegularFile(file)) {
            throw new IOException("there is no file " + file + ".");
        }
        try {
            return new ZipFile(file.toFile(), StandardCharsets.UTF_8);
        } catch (ZipException e) {
            throw new IOException(file + " is cut short or is no backup; take another one.", e);
        }
    }

    private static JsonNode head(ZipFile z) throws IOException {
        ZipEntry e = z.getEntry(HEAD);
        JsonNode head = e == null ? null : JSON.readTree(content(z, e));
        if (head == null
                || !head.path("format").asText().equals(FORMAT)
                || head.path("version").asInt() != VERSION) {
            throw new IOException(z.getName() + " is no backup of the format " + FORMAT + ", version " + VERSION
                    + "; a single project is uploaded on the page Projects.");
        }
        return head;
    }

    private static List<ZipEntry> projects(ZipFile z) {
        return z.stream()
                .filter(e -> e.getName().startsWith(PROJECTS) && e.getName().endsWith(ENDING))
                .<ZipEntry>map(e -> e)
                .toList();
    }

    private static byte[] content(ZipFile z, ZipEntry e) throws IOException {
        try (InputStream in = z.getInputStream(e)) {
            byte[] out = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, 4L * ModelReader.LARGEST));
            if (in.read() >= 0) {
                throw new IOException(e.getName() + " is larger than a project may be.");
            }
            return out;
        } catch (ZipException damaged) {
            throw new IOException(e.getName() + " is damaged; take another backup.", damaged);
        }
    }

    private static Outcome restored(ZipFile z, ZipEntry e, ProjectStore store) throws IOException {
        ProjectArchive.Read r = ProjectArchive.read(content(z, e));
        if (r.project() == null) {
            return new Outcome(
                    e.getName(), false, "cannot be read: " + r.findings().get(0).what());
        }
        String name = r.project().row().name();
        return store.put(r.project())
                ? new Outcome(name, true, "brought back")
                : new Outcome(
                        name, false, "is there already, perhaps among the deleted projects, and was left as it is");
    }
}
