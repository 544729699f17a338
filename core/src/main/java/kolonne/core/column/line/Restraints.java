package kolonne.core.column.line;

import java.util.ArrayDeque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Spring;
import kolonne.core.model.Support;

/**
 * What holds the joints of columns against moving sideways: a support, a rigid floor, a slab, or a beam that runs in the direction and
 * leads to another column, support or floor. Lengths of columns run between such joints (ACI 318-19 6.2.5.1, R6.2.5.1; EN 1992-1-1 5.8.3.2).
 */
final class Restraints {
    /** A beam holds a joint in directions within 60° of its axis. */
    private static final double ALONG = 0.5;

    private final BuildingIndex index;
    private final Set<String> floors = new HashSet<>();
    private final Map<String, Support> supports = new HashMap<>();
    private final Map<String, Spring> springs = new HashMap<>();

    Restraints(BuildingIndex index) {
        this.index = index;
        for (Diaphragm d : index.building().diaphragms()) {
            if (d.rigid()) {
                floors.addAll(d.joints());
            }
        }
        index.building().panels().forEach(p -> floors.addAll(p.joints()));
        index.building().supports().forEach(s -> supports.put(s.joint(), s));
        index.building().springs().forEach(s -> springs.put(s.joint(), s));
    }

    /** Whether a joint is held in the plan direction (ux, uy), a unit vector. */
    boolean holds(Joint j, double ux, double uy) {
        return floors.contains(j.id())
                || supported(j, ux, uy)
                || index.membersAt(j.id()).stream().anyMatch(m -> beamHolds(m, j, ux, uy));
    }

    /** Whether anything but columns meets at a joint: the foot of a stack that stands on a beam or on the ground. */
    boolean stands(Joint j) {
        return supports.containsKey(j.id())
                || springs.containsKey(j.id())
                || index.membersAt(j.id()).stream().anyMatch(m -> m.role() == Role.BEAM);
    }

    private boolean supported(Joint j, double ux, double uy) {
        Support s = supports.get(j.id());
        Spring k = springs.get(j.id());
        boolean x = s != null && s.ux() || k != null && k.ux() > 0;
        boolean y = s != null && s.uy() || k != null && k.uy() > 0;
        return (x || Math.abs(ux) < ALONG) && (y || Math.abs(uy) < ALONG);
    }

    /** Half the depth of the shallowest beam that runs in a direction at a joint; joints lie at the beams' centres [mm]. */
    double halfBeam(Joint j, double ux, double uy) {
        return index.membersAt(j.id()).stream()
                .filter(m -> m.role() == Role.BEAM && along(m, j, ux, uy))
                .mapToDouble(m -> index.sectionOf(m).shape().depth() / 2)
                .min()
                .orElse(0);
    }

    private boolean along(Member m, Joint at, double ux, double uy) {
        Joint other = index.joint(index.otherEnd(m, at.id()));
        return Math.abs((other.x() - at.x()) * ux + (other.y() - at.y()) * uy) > ALONG * at.distanceTo(other);
    }

    private boolean beamHolds(Member m, Joint at, double ux, double uy) {
        return m.role() == Role.BEAM && along(m, at, ux, uy) && leadsSomewhere(m, at);
    }

    /** Whether beams lead from the far end of a member to a column, a support or a floor: a bracket with a free end holds nothing. */
    private boolean leadsSomewhere(Member from, Joint at) {
        Set<String> seen = new HashSet<>(List.of(at.id()));
        ArrayDeque<String> next = new ArrayDeque<>(List.of(index.otherEnd(from, at.id())));
        while (!next.isEmpty()) {
            String j = next.poll();
            if (!seen.add(j)) {
                continue;
            }
            if (floors.contains(j) || supports.containsKey(j)) {
                return true;
            }
            for (Member m : index.membersAt(j)) {
                if (m.role() == Role.COLUMN) {
                    return true;
                }
                next.add(index.otherEnd(m, j));
            }
        }
        return false;
    }
}
