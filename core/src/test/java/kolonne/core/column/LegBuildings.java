package kolonne.core.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/** Demo buildings whose rectangular columns are ells and tees of about the same area, by section. */
public final class LegBuildings {
    private LegBuildings() {}

    public static Building of(DemoOptions o) {
        Building b = DemoBuilding.generate(o);
        Map<String, Section> sections = new java.util.LinkedHashMap<>();
        b.sections().forEach(s -> sections.put(s.id(), s));
        List<Member> members = new ArrayList<>();
        for (Member m : b.members()) {
            Shape s = sections.get(m.section()).shape();
            if (m.role() != Role.COLUMN || !(s instanceof Shape.Rectangle)) {
                members.add(m);
                continue;
            }
            int kind = Math.floorMod(m.section().hashCode(), 3);
            Shape.Flanged f = legs(s, kind);
            String id = f.word() + " " + m.section();
            sections.putIfAbsent(id, new Section(id, f));
            members.add(m.withSection(id));
        }
        return new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                b.joints(),
                b.materials(),
                new ArrayList<>(sections.values()),
                members,
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                b.combinations(),
                b.stationForces());
    }

    private static Shape.Flanged legs(Shape s, int kind) {
        double b = Math.max(200, 0.6 * s.width());
        double wide = Math.max(500, 1.3 * s.width());
        double deep = Math.max(500, 1.3 * s.depth());
        return switch (kind) {
            case 0 -> new Shape.Ell(b, deep, wide, b);
            case 1 -> new Shape.Tee(b, deep, 1.2 * wide, b);
            default -> Shape.flanged("inverted-tee", b, deep, 1.2 * wide, b);
        };
    }
}
