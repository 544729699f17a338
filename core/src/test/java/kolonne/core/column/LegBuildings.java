package kolonne.core.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
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

    /** Three of four columns as ells and tees of any proportions, some turned; the same in several lifts as it comes. */
    public static Building atRandom(Building b, long seed) {
        Random r = new Random(seed);
        Map<String, Section> sections = new java.util.LinkedHashMap<>();
        b.sections().forEach(s -> sections.put(s.id(), s));
        List<Member> members = new ArrayList<>();
        int made = 0;
        for (Member m : b.members()) {
            if (m.role() != Role.COLUMN || r.nextInt(4) == 0) {
                members.add(m);
                continue;
            }
            made += made == 0 || r.nextInt(3) == 0 ? 1 : 0;
            String id = "legs " + made;
            Shape.Flanged f = atRandom(r);
            sections.putIfAbsent(id, new Section(id, f));
            double angle = r.nextInt(3) == 0 ? 2 * Math.PI * r.nextDouble() : m.angle();
            members.add(new Member(
                    m.id(),
                    m.role(),
                    m.start(),
                    m.end(),
                    id,
                    m.material(),
                    angle,
                    m.startRelease(),
                    m.endRelease(),
                    m.rigidStart(),
                    m.rigidEnd(),
                    m.stiffness()));
        }
        return b.withSections(new ArrayList<>(sections.values())).withMembers(members);
    }

    private static Shape.Flanged atRandom(Random r) {
        double web = 200 + 50 * r.nextInt(9);
        double flange = 200 + 50 * r.nextInt(9);
        double h = Math.max(flange + 100, 400 + 50 * r.nextInt(15));
        double wide = Math.max(web + 100, 400 + 50 * r.nextInt(15));
        return switch (r.nextInt(3)) {
            case 0 -> new Shape.Ell(web, h, wide, flange);
            case 1 -> new Shape.Tee(web, h, wide, flange);
            default -> new Shape.InvertedTee(web, h, wide, flange);
        };
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
