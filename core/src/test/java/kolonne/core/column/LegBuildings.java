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

    /** The same bodies, every second of its upright ells and tees drawn from its head: seen along the other way, a tee has turned by 180°, an ell by 90° with its legs changed. */
    public static Building everySecondFromItsHead(Building b) {
        Map<String, Section> sections = new java.util.LinkedHashMap<>();
        b.sections().forEach(s -> sections.put(s.id(), s));
        List<Member> members = new ArrayList<>();
        for (Member m : b.members()) {
            Shape shape = sections.get(m.section()).shape();
            boolean down = m.role() == Role.COLUMN && shape instanceof Shape.Flanged && members.size() % 2 == 0;
            String section = m.section();
            double angle = Math.PI - m.angle();
            if (down && shape instanceof Shape.Ell e) {
                section = "legs of " + m.section() + " changed";
                sections.putIfAbsent(section, new Section(section, new Shape.Ell(e.hf(), e.bf(), e.h(), e.bw())));
                angle = Math.PI / 2 - m.angle();
            }
            members.add(
                    !down
                            ? m
                            : new Member(
                                    m.id(),
                                    m.role(),
                                    m.end(),
                                    m.start(),
                                    section,
                                    m.material(),
                                    angle,
                                    m.endRelease(),
                                    m.startRelease(),
                                    m.rigidEnd(),
                                    m.rigidStart(),
                                    m.stiffness()));
        }
        return b.withSections(new ArrayList<>(sections.values())).withMembers(members);
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
