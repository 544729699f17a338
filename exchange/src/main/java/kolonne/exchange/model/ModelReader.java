package kolonne.exchange.model;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.io.JsonEOFException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.ModelCheck;
import kolonne.exchange.ifc.AnalysisIfcReader;
import kolonne.exchange.json.StrictJson;

/** Reads a model file: JSON, a zip of CSV tables, a folder of them, or the analysis view of an IFC file. Never throws for what is in the file. */
public final class ModelReader {
    /** Largest file read, and largest total that a zip may unpack to [bytes]. */
    public static final long LARGEST = 256L << 20;

    private static final int MOST_ENTRIES = 100;
    private static final int MOST_FINDINGS = 500;
    private static final JsonMapper JSON = StrictJson.READER;

    private final List<Finding> findings = new ArrayList<>();

    private ModelReader() {}

    /** @param building null if the file cannot be made into one */
    public record Read(Building building, List<Finding> findings) {
        public Read {
            findings = List.copyOf(findings);
        }

        /** Whether the model can be analysed; without combinations for strength it cannot be designed. */
        public boolean analysable() {
            return building != null && ModelCheck.analysable(findings);
        }

        /** Whether the model can be analysed and designed. */
        public boolean sound() {
            return building != null && findings.stream().noneMatch(f -> f.severity() == Severity.FAILS);
        }
    }

    /** Reads a file or folder. */
    public static Read read(Path path) throws IOException {
        ModelReader r = new ModelReader();
        if (Files.isDirectory(path)) {
            Map<String, byte[]> files = new LinkedHashMap<>();
            try (Stream<Path> list = Files.list(path)) {
                for (Path p : list.sorted().toList()) {
                    if (p.toString().endsWith(".csv")) {
                        files.put(p.getFileName().toString(), Files.readAllBytes(p));
                    }
                }
            }
            return r.tables(files);
        }
        if (Files.size(path) > LARGEST) {
            return r.tooLarge(Files.size(path));
        }
        return read(Files.readAllBytes(path));
    }

    /** Reads the bytes of a JSON file, a zip of CSV tables or an IFC file. */
    public static Read read(byte[] bytes) {
        ModelReader r = new ModelReader();
        if (bytes.length > LARGEST) {
            return r.tooLarge(bytes.length);
        }
        if (new String(bytes, 0, Math.min(bytes.length, 1000), StandardCharsets.UTF_8).isBlank()) {
            return r.stop(Finding.fails("file.empty", "file", "The file is empty.", "Choose a model file."));
        }
        if (AnalysisIfcReader.looksLike(bytes)) {
            return r.ifc(bytes);
        }
        boolean zip = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3 && bytes[3] == 4;
        return zip ? r.zip(bytes) : r.json(bytes);
    }

    private Read tooLarge(long size) {
        return stop(Finding.fails(
                "file.too-large",
                "file",
                "The file has " + (size >> 20) + " MB; at most " + (LARGEST >> 20) + " MB are read.",
                "Split the building, or leave out station forces."));
    }

    private Read stop(Finding f) {
        findings.add(f);
        return new Read(null, findings);
    }

    private Read ifc(byte[] bytes) {
        Building b = AnalysisIfcReader.read(bytes, findings::add);
        if (b != null) {
            findings.addAll(ModelCheck.run(b, Map.of()));
        }
        return new Read(b, shown(findings));
    }

    // ---- JSON -----------------------------------------------------------------------------------------------------

    private Read json(byte[] bytes) {
        JsonNode root;
        try {
            root = JSON.readTree(bytes);
        } catch (JsonProcessingException e) {
            return stop(notJson(e, bytes));
        } catch (IOException e) {
            return stop(Finding.fails("file.not-text", "file", "The file is not UTF-8 text.", "Save it as UTF-8."));
        }
        if (root == null || !root.isObject()) {
            return stop(Finding.fails(
                    "file.not-a-model", "file", "The file is JSON but not an object.", "Choose a Kolonne model file."));
        }
        return object(root);
    }

    private static Finding notJson(JsonProcessingException e, byte[] bytes) {
        String at = e.getLocation() == null
                ? "file"
                : "line " + e.getLocation().getLineNr() + ", column "
                        + e.getLocation().getColumnNr();
        String first = new String(bytes, 0, Math.min(bytes.length, 200), StandardCharsets.UTF_8).strip();
        boolean looksLikeJson = first.startsWith("{") || first.startsWith("\uFEFF{");
        if (!looksLikeJson) {
            return Finding.fails(
                    "file.not-json",
                    at,
                    "The file is neither JSON nor a zip of tables nor IFC.",
                    "Choose a Kolonne model file (.json), a zip of CSV tables or an IFC file.");
        }
        return StrictJson.trouble(
                e, e instanceof JsonEOFException ? "file.truncated" : "file.not-json", "file", "docs/formats/model.md");
    }

    private Read object(JsonNode root) {
        RowReader head = new RowReader(new JsonRow("file", root), findings::add);
        String format = head.text("format");
        double version = head.number("version");
        String name = head.text("name", "Untitled building");
        String unitName = head.text("units");
        if (!head.sound()) {
            return new Read(null, findings);
        }
        if (!format.equals(Tables.FORMAT) || version != Tables.VERSION) {
            return stop(Finding.fails(
                    "file.version",
                    "file.version",
                    "The file says " + format + " version " + version + "; this Kolonne reads " + Tables.FORMAT
                            + " version " + Tables.VERSION + ".",
                    "Export it in that version."));
        }
        Map<String, List<Row>> tables = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : root.properties()) {
            if (Tables.FIELDS.containsKey(e.getKey())) {
                tables.put(e.getKey(), rows(e.getKey(), e.getValue()));
            } else if (!Tables.HEADER.contains(e.getKey())) {
                findings.add(Finding.note(
                        "field.unknown",
                        "file." + e.getKey(),
                        "The field " + e.getKey() + " is not part of a model; it is left out.",
                        "Correct its name, or delete it."));
            }
        }
        return assemble(name, unitName, tables);
    }

    private List<Row> rows(String table, JsonNode array) {
        List<Row> out = new ArrayList<>();
        if (!array.isArray()) {
            findings.add(Finding.fails("field.type", table, "The field " + table + " is not a list.", "Write a list."));
            return out;
        }
        for (int i = 0; i < array.size(); i++) {
            JsonNode n = array.get(i);
            String place = table + "[" + i + "]"
                    + (n.path("id").isTextual() ? " " + n.get("id").textValue() : "");
            if (n.isObject()) {
                out.add(new JsonRow(place, n));
            } else {
                findings.add(Finding.fails("field.type", place, "The entry is not an object.", "Write { ... }."));
            }
        }
        return out;
    }

    // ---- tables ---------------------------------------------------------------------------------------------------

    private Read zip(byte[] bytes) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        long left = LARGEST;
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8)) {
            int entries = 0;
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                if (++entries > MOST_ENTRIES) {
                    return stop(Finding.fails(
                            "zip.entries",
                            "file",
                            "The zip holds more than " + MOST_ENTRIES + " files.",
                            "Zip the tables of one model only."));
                }
                if (e.isDirectory()) {
                    continue;
                }
                byte[] content = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, left + 1));
                left -= content.length;
                if (left < 0) {
                    return stop(Finding.fails(
                            "zip.too-large",
                            e.getName(),
                            "The zip unpacks to more than " + (LARGEST >> 20) + " MB.",
                            "Zip the tables of one model only."));
                }
                String name = e.getName().substring(e.getName().lastIndexOf('/') + 1);
                if (files.put(name, content) != null) {
                    return stop(Finding.fails(
                            "zip.duplicate", name, "The zip holds " + name + " twice.", "Keep one of them."));
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            return stop(Finding.fails("zip.damaged", "file", "The zip is damaged or cut short.", "Zip it again."));
        }
        if (files.size() == 1 && files.keySet().iterator().next().endsWith(".json")) {
            return json(files.values().iterator().next());
        }
        return tables(files);
    }

    private Read tables(Map<String, byte[]> files) {
        String name = "Untitled building";
        String units = null;
        Map<String, List<Row>> tables = new LinkedHashMap<>();
        CsvTable csv = new CsvTable(findings::add);
        for (Map.Entry<String, byte[]> f : files.entrySet()) {
            String table = f.getKey().replaceFirst("\\.csv$", "");
            if (table.equals("model")) {
                for (Row row : csv.rows("model", f.getValue())) {
                    name = row.has("name") ? row.text("name") : name;
                    units = row.has("units") ? row.text("units") : units;
                }
            } else if (Tables.FIELDS.containsKey(table)) {
                tables.put(table, csv.rows(table, f.getValue()));
            } else {
                findings.add(Finding.note(
                        "table.unknown",
                        f.getKey(),
                        "There is no table of that name; it is left out.",
                        "Name it after one of " + String.join(", ", Tables.FIELDS.keySet()) + "."));
            }
        }
        if (units == null) {
            return stop(Finding.fails(
                    "table.no-model",
                    "model.csv",
                    "The table model.csv with the units is missing.",
                    "Add model.csv with the columns name, units and the units SI or US."));
        }
        return assemble(name, units, tables);
    }

    /** As many as a person reads; those that fail come first where there are more. */
    private static List<Finding> shown(List<Finding> all) {
        if (all.size() <= MOST_FINDINGS) {
            return all;
        }
        List<Finding> out = new ArrayList<>(Stream.concat(
                        all.stream().filter(f -> f.severity() == Severity.FAILS),
                        all.stream().filter(f -> f.severity() != Severity.FAILS))
                .limit(MOST_FINDINGS)
                .toList());
        out.add(Finding.note(
                "file.more",
                "file",
                (all.size() - MOST_FINDINGS) + " more findings are not shown.",
                "Mend these first."));
        return out;
    }

    private Read assemble(String name, String unitName, Map<String, List<Row>> tables) {
        ModelUnits units = ModelUnits.of(unitName);
        if (units == null) {
            return stop(Finding.fails(
                    "file.units",
                    "file.units",
                    "The units are \"" + unitName + "\".",
                    "Write SI (m, mm, kN, MPa) or US (ft, in, kip, ksi)."));
        }
        ModelAssembler assembler = new ModelAssembler(tables, units, findings);
        Building b = assembler.assemble(name);
        findings.addAll(ModelCheck.run(b, assembler.unread()));
        return new Read(b, shown(findings));
    }
}
