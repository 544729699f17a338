package kolonne.core.beam.line;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import kolonne.core.mark.PlanOrder;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Member;
import kolonne.core.model.Role;

/** Which beams lie in a roof: in a level that carries roof live load or snow and no other live load. */
public final class RoofBeams {
    private RoofBeams() {}

    /** Ids of the beams of all such levels. */
    public static Set<String> of(BuildingIndex index) {
        Building b = index.building();
        Map<String, CaseKind> kinds = new HashMap<>();
        b.loadCases().forEach(c -> kinds.put(c.id(), c.kind()));
        Map<Long, EnumSet<CaseKind>> levels = new HashMap<>();
        b.areaLoads()
                .forEach(l -> at(
                                levels,
                                index.joint(index.panel(l.panel()).joints().get(0))
                                        .z())
                        .add(kinds.get(l.loadCase())));
        b.memberLoads()
                .forEach(l -> at(levels, z(index, index.member(l.member()))).add(kinds.get(l.loadCase())));
        Set<String> out = new HashSet<>();
        for (Member m : b.members()) {
            EnumSet<CaseKind> there = at(levels, z(index, m));
            boolean roof = (there.contains(CaseKind.ROOF_LIVE) || there.contains(CaseKind.SNOW))
                    && !there.contains(CaseKind.LIVE);
            if (m.role() == Role.BEAM && roof) {
                out.add(m.id());
            }
        }
        return out;
    }

    private static double z(BuildingIndex index, Member m) {
        return Math.max(index.joint(m.start()).z(), index.joint(m.end()).z());
    }

    private static EnumSet<CaseKind> at(Map<Long, EnumSet<CaseKind>> levels, double z) {
        return levels.computeIfAbsent(PlanOrder.level(z), k -> EnumSet.noneOf(CaseKind.class));
    }
}
