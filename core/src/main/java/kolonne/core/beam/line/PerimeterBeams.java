package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.SlabPanel;

/**
 * Beams along the perimeter of a structure: those that do not have slab panels on both sides. Where a model has no panels every
 * beam counts as one, which is safe.
 */
public final class PerimeterBeams {
    /** Joints this near to a side of a panel lie on it [mm]. */
    private static final double ON_SIDE = 10;

    private PerimeterBeams() {}

    /** A beam seen from above. */
    private record Plan(String id, double x1, double y1, double x2, double y2) {}

    /** Ids of the beams. */
    public static Set<String> of(BuildingIndex index) {
        Map<Long, List<Plan>> byLevel = new HashMap<>();
        for (Member m : index.building().members()) {
            if (m.role() == Role.BEAM) {
                Joint a = index.joint(m.start());
                Joint b = index.joint(m.end());
                byLevel.computeIfAbsent(level(a), k -> new ArrayList<>())
                        .add(new Plan(m.id(), a.x(), a.y(), b.x(), b.y()));
            }
        }
        Map<String, Integer> sides = new HashMap<>();
        for (SlabPanel p : index.building().panels()) {
            List<Joint> corners = p.joints().stream().map(index::joint).toList();
            around(corners, byLevel.getOrDefault(level(corners.get(0)), List.of()), sides);
        }
        Set<String> out = new HashSet<>();
        byLevel.values()
                .forEach(l -> l.stream()
                        .filter(m -> sides.getOrDefault(m.id(), 0) < 2)
                        .forEach(m -> out.add(m.id())));
        return out;
    }

    private static long level(Joint j) {
        return Math.round(j.z() / 100);
    }

    /** Counts the beams on the sides of a panel; most are ruled out by its box. */
    private static void around(List<Joint> corners, List<Plan> beams, Map<String, Integer> sides) {
        double west = corners.stream().mapToDouble(Joint::x).min().orElseThrow() - ON_SIDE;
        double east = corners.stream().mapToDouble(Joint::x).max().orElseThrow() + ON_SIDE;
        double south = corners.stream().mapToDouble(Joint::y).min().orElseThrow() - ON_SIDE;
        double north = corners.stream().mapToDouble(Joint::y).max().orElseThrow() + ON_SIDE;
        for (Plan m : beams) {
            boolean within = m.x1 >= west
                    && m.x1 <= east
                    && m.y1 >= south
                    && m.y1 <= north
                    && m.x2 >= west
                    && m.x2 <= east
                    && m.y2 >= south
                    && m.y2 <= north;
            if (within && onSide(corners, m)) {
                sides.merge(m.id, 1, Integer::sum);
            }
        }
    }

    private static boolean onSide(List<Joint> corners, Plan m) {
        for (int i = 0; i < corners.size(); i++) {
            Joint p = corners.get(i);
            Joint q = corners.get((i + 1) % corners.size());
            if (on(p, q, m.x1, m.y1) && on(p, q, m.x2, m.y2)) {
                return true;
            }
        }
        return false;
    }

    private static boolean on(Joint p, Joint q, double x, double y) {
        double dx = q.x() - p.x();
        double dy = q.y() - p.y();
        double length = Math.sqrt(dx * dx + dy * dy);
        double along = ((x - p.x()) * dx + (y - p.y()) * dy) / length;
        double off = Math.abs((x - p.x()) * dy - (y - p.y()) * dx) / length;
        return off < ON_SIDE && along > -ON_SIDE && along < length + ON_SIDE;
    }
}
