package kolonne.exchange.model;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.Member;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.StiffnessFactors;

/** Writes edits of a model as {@link EditFile} reads them, in the units of a building. */
public final class EditWriter {
    private static final JsonMapper JSON = new JsonMapper();

    private final Building building;

    private EditWriter(Building b) {
        building = b;
    }

    /** The edits as {@code {"edits": [...]}}. @param b whose units are used */
    public static ObjectNode write(List<ModelEdit> edits, Building b) {
        EditWriter w = new EditWriter(b);
        ObjectNode root = JSON.createObjectNode();
        ArrayNode list = root.putArray("edits");
        edits.forEach(e -> list.add(w.edit(e)));
        return root;
    }

    /** The same as bytes of a request. */
    public static byte[] bytes(List<ModelEdit> edits, Building b) {
        return write(edits, b).toString().getBytes(StandardCharsets.UTF_8);
    }

    private ObjectNode edit(ModelEdit edit) {
        if (edit instanceof ModelEdit.SetSection e) {
            return of("section", e.members()).put("section", e.section());
        }
        if (edit instanceof ModelEdit.SetMaterial e) {
            return of("material", e.members()).put("material", e.material());
        }
        if (edit instanceof ModelEdit.PutSection e) {
            return ((ObjectNode) row(building.withSections(List.of(e.section())), "sections"))
                    .put("kind", "put-section");
        }
        if (edit instanceof ModelEdit.SetStiffness e) {
            return with(of("stiffness", e.members()), member(e.factors(), Release.NONE, Release.NONE), "factor");
        }
        if (edit instanceof ModelEdit.SetReleases e) {
            return with(of("releases", e.members()), member(null, e.atStart(), e.atEnd()), "release");
        }
        if (edit instanceof ModelEdit.SetMemberLoads e) {
            ObjectNode out =
                    of("member-loads", List.of()).put("member", e.member()).put("case", e.loadCase());
            ArrayNode loads = out.putArray("loads");
            e.loads().forEach(l -> {
                ObjectNode row = JSON.valueToTree(ModelWriter.load(l, building.unitSystem()));
                loads.add(row.without(List.of("member", "case")));
            });
            return out;
        }
        if (edit instanceof ModelEdit.SetAreaLoad e) {
            Building one = building.withLoads(
                    building.loadCases(),
                    List.of(),
                    List.of(new AreaLoad(e.loadCase(), e.panel(), e.pressure())),
                    List.of());
            return ((ObjectNode) row(one, "areaLoads")).put("kind", "area-load");
        }
        if (edit instanceof ModelEdit.SetOptions e) {
            Building one = building.withOptions(e.options());
            ObjectNode out = of("options", List.of());
            List<Map<String, Object>> analysis = new ModelWriter(one).rowsOf("analysis");
            if (!analysis.isEmpty()) {
                out.set("analysis", JSON.valueToTree(analysis.get(0)));
            }
            out.set("roleStiffness", JSON.valueToTree(new ModelWriter(one).rowsOf("roleStiffness")));
            return out;
        }
        ModelEdit.UseForces e = (ModelEdit.UseForces) edit;
        ObjectNode out = of("forces", List.of());
        out.set(
                "rows",
                JSON.valueToTree(new ModelWriter(building.withStationForces(e.forces())).rowsOf("stationForces")));
        return out;
    }

    private static ObjectNode of(String kind, List<String> members) {
        ObjectNode out = JSON.createObjectNode().put("kind", kind);
        if (!members.isEmpty()) {
            ArrayNode ids = out.putArray("members");
            members.forEach(ids::add);
        }
        return out;
    }

    private static JsonNode row(Building b, String table) {
        List<Map<String, Object>> rows = new ModelWriter(b).rowsOf(table);
        return JSON.valueToTree(rows.get(0));
    }

    /** A member that has nothing but what an edit sets. */
    private ObjectNode member(StiffnessFactors factors, Release start, Release end) {
        Member m = new Member("-", Role.BEAM, "-", "--", "-", "-", 0, start, end, 0, 0, factors);
        return (ObjectNode) row(building.withMembers(List.of(m)), "members");
    }

    private static ObjectNode with(ObjectNode edit, ObjectNode row, String prefix) {
        row.properties().stream()
                .filter(f -> f.getKey().startsWith(prefix) && !f.getValue().isNull())
                .forEach(f -> edit.set(f.getKey(), f.getValue()));
        return edit;
    }
}
