package kolonne.core.column;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/** Demo buildings whose columns are all round, a quarter wider than they were. */
public final class RoundBuildings {
    private RoundBuildings() {}

    /** @param us in whole inches */
    public static Building of(DemoOptions o, boolean us) {
        Building b = us ? DemoBuilding.customary(o) : DemoBuilding.generate(o);
        double step = us ? 25.4 : 25;
        Map<String, Section> sections = new LinkedHashMap<>();
        b.sections().forEach(s -> sections.put(s.id(), s));
        List<Member> members = new ArrayList<>();
        for (Member m : b.members()) {
            if (m.role() == Role.COLUMN) {
                Shape s = sections.get(m.section()).shape();
                double d = step * Math.ceil(1.25 * Math.max(s.width(), s.depth()) / step);
                String id = "round " + m.section();
                sections.putIfAbsent(id, new Section(id, new Shape.Circle(d)));
                members.add(m.withSection(id));
            } else {
                members.add(m);
            }
        }
        return b.withSections(List.copyOf(sections.values())).withMembers(members);
    }
}
