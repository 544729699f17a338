package kolonne.server.api;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.Building;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import kolonne.exchange.model.ModelWriter;

/** Edits that give members a shape; a section of that shape is taken where the model has one, else it is put in first. */
final class SectionEdits {
    private final Building building;
    private final boolean us;
    private final Map<Shape, String> known = new HashMap<>();
    private final Set<String> ids = new HashSet<>();

    SectionEdits(Building building, boolean us) {
        this.building = building;
        this.us = us;
        building.sections().forEach(s -> {
            known.putIfAbsent(s.shape(), s.id());
            ids.add(s.id());
        });
    }

    List<EditDto> give(List<String> members, Shape shape) {
        List<EditDto> out = new ArrayList<>();
        String id = known.get(shape);
        if (id == null) {
            id = fresh(shape);
            known.put(shape, id);
            out.add(put(id, shape));
        }
        out.add(new EditDto.SectionEdit(members, id));
        return out;
    }

    private String fresh(Shape shape) {
        String name = shape.label(us).replace(" × ", "x").replace(" in", "").replace(" ", "-");
        String id = name;
        for (int k = 2; !ids.add(id); k++) {
            id = name + "-" + k;
        }
        return id;
    }

    private EditDto put(String id, Shape shape) {
        Map<String, Object> row = ModelWriter.section(new Section(id, shape), building);
        return new EditDto.PutSectionEdit(
                "put-section",
                id,
                (String) row.get("shape"),
                (Double) row.get("b"),
                (Double) row.get("h"),
                (Double) row.get("d"),
                (Double) row.get("bw"),
                (Double) row.get("bf"),
                (Double) row.get("hf"));
    }
}
