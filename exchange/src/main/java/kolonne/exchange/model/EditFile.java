package kolonne.exchange.model;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.Member;
import kolonne.core.model.ModelEdit;
import kolonne.exchange.json.StrictJson;

/**
 * Edits of a model as JSON, {@code {"edits": [...]}}, with the fields and units of the model file. An edit has a {@code kind}:
 * section (members, section), put-section (a row of sections), stiffness (members, factor fields, none for the role's),
 * releases (members, releaseStart, releaseEnd), member-loads (member, case, loads), area-load (panel, case, pressure), options
 * (analysis, roleStiffness), forces (rows of stationForces).
 */
public final class EditFile {
    private static final JsonMapper JSON = StrictJson.READER;

    private final Building building;
    private final ModelUnits units;
    private final List<Finding> findings = new ArrayList<>();

    private EditFile(Building b) {
        building = b;
        units = ModelUnits.of(b.unitSystem());
    }

    /** Edits that could be read, and what was wrong with the others. */
    public record Read(List<ModelEdit> edits, List<Finding> findings) {
        public boolean sound() {
            return !edits.isEmpty() && findings.stream().noneMatch(f -> f.severity() == Severity.FAILS);
        }
    }

    /** Reads edits in the units of a building. */
    public static Read read(byte[] bytes, Building b) {
        EditFile f = new EditFile(b);
        List<ModelEdit> edits = new ArrayList<>();
        try {
            JsonNode list = JSON.readTree(bytes).path("edits");
            for (int i = 0; i < list.size(); i++) {
                ModelEdit e = f.edit("edits[" + i + "]", list.get(i));
                if (e != null) {
                    edits.add(e);
                }
            }
            if (list.isEmpty()) {
                f.fail("edits", "There are no edits.", "Give a list of at least one.");
            }
        } catch (IOException e) {
            f.findings.add(StrictJson.trouble(e, "edit", "body", "docs/formats/edits.md"));
        }
        return new Read(edits, f.findings);
    }

    private void fail(String where, String what, String mend) {
        findings.add(Finding.fails("edit", where, what, mend));
    }

    private ModelEdit edit(String place, JsonNode n) {
        RowReader r = new RowReader(new JsonRow(place, n), findings::add);
        String kind = r.text("kind");
        return switch (kind) {
            case "section" -> new ModelEdit.SetSection(members(r, place), r.id("section"));
            case "material" -> new ModelEdit.SetMaterial(members(r, place), r.id("material"));
            case "put-section" -> one(assemble("sections", place, n).sections(), ModelEdit.PutSection::new);
            case "stiffness" -> {
                Member m = asMember(place, n);
                yield m == null ? null : new ModelEdit.SetStiffness(members(r, place), m.stiffness());
            }
            case "releases" -> {
                Member m = asMember(place, n);
                yield m == null ? null : new ModelEdit.SetReleases(members(r, place), m.startRelease(), m.endRelease());
            }
            case "member-loads" ->
                new ModelEdit.SetMemberLoads(
                        known(r, place, "member"),
                        r.id("case"),
                        assemble(
                                        "memberLoads",
                                        place + ".loads",
                                        withAll(
                                                n.path("loads"),
                                                Map.of("member", r.id("member"), "case", r.id("case"))))
                                .memberLoads());
            case "area-load" ->
                one(
                        assemble("areaLoads", place, n).areaLoads(),
                        l -> new ModelEdit.SetAreaLoad(l.panel(), l.loadCase(), l.pressure()));
            case "options" ->
                new ModelEdit.SetOptions(assembled(
                                tables("analysis", place, n.path("analysis"), "roleStiffness", n.path("roleStiffness")))
                        .options());
            case "forces" ->
                new ModelEdit.UseForces(assemble("stationForces", place + ".rows", n.path("rows"))
                        .stationForces());
            default -> {
                fail(
                        place + ".kind",
                        "There is no edit of the kind \"" + kind + "\".",
                        "Use section, material, put-section, stiffness, releases, member-loads, area-load, options or forces.");
                yield null;
            }
        };
    }

    private List<String> members(RowReader r, String place) {
        List<String> ids = r.list("members");
        if (ids.isEmpty()) {
            fail(place + ".members", "The edit names no members.", "List at least one.");
        }
        ids.forEach(id -> exists(id, place + ".members"));
        return ids;
    }

    private String known(RowReader r, String place, String field) {
        String id = r.id(field);
        exists(id, place + "." + field);
        return id;
    }

    private void exists(String id, String place) {
        if (building.members().stream().noneMatch(m -> m.id().equals(id))) {
            fail(place, "There is no member " + id + ".", "Choose a member of the model.");
        }
    }

    /** Reads the member fields of an edit through the reader of members. */
    private Member asMember(String place, JsonNode n) {
        ObjectNode row = ((ObjectNode) n).deepCopy();
        row.remove(List.of("kind", "members"));
        row.put("id", "-")
                .put("role", "beam")
                .put("start", "-")
                .put("end", "--")
                .put("section", "-")
                .put("material", "-");
        List<Member> m = assemble("members", place, row).members();
        return m.isEmpty() ? null : m.get(0);
    }

    private static <T> ModelEdit one(List<T> rows, java.util.function.Function<T, ModelEdit> make) {
        return rows.isEmpty() ? null : make.apply(rows.get(0));
    }

    private static ArrayNode withAll(JsonNode rows, Map<String, String> fields) {
        ArrayNode out = JSON.createArrayNode();
        rows.forEach(row -> {
            ObjectNode o = row.isObject() ? ((ObjectNode) row).deepCopy() : JSON.createObjectNode();
            fields.forEach(o::put);
            out.add(o);
        });
        return out;
    }

    private Building assemble(String table, String place, JsonNode rows) {
        return assembled(tables(table, place, rows));
    }

    private Building assembled(Map<String, List<Row>> tables) {
        return new ModelAssembler(tables, units, findings, building).assemble(building.name());
    }

    private static Map<String, List<Row>> tables(Object... parts) {
        Map<String, List<Row>> out = new LinkedHashMap<>();
        String place = (String) parts[1];
        for (int i = 0; i < parts.length; i += i == 0 ? 3 : 2) {
            JsonNode rows = (JsonNode) parts[i == 0 ? 2 : i + 1];
            List<Row> list = new ArrayList<>();
            if (rows.isArray()) {
                for (int k = 0; k < rows.size(); k++) {
                    list.add(new JsonRow(place + "[" + k + "]", rows.get(k)));
                }
            } else if (rows.isObject()) {
                ObjectNode row = ((ObjectNode) rows).deepCopy();
                row.remove("kind");
                list.add(new JsonRow(place, row));
            }
            out.put((String) parts[i], list);
        }
        return out;
    }
}
