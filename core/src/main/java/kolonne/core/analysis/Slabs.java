package kolonne.core.analysis;

import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.SlabPanel;

/** The slab panels of a building as bodies: which lie beside a beam, and how large they are. */
public final class Slabs {
    /** Points closer than this are one [mm]. */
    private static final double SAME = 1;

    private final BuildingIndex index;
    private final Map<String, List<SlabPanel>> beside;

    public Slabs(BuildingIndex index) {
        this.index = index;
        this.beside = PanelLoads.beside(index);
    }

    /** Panels with a side along a beam: two where there is a slab on either side. */
    public List<SlabPanel> beside(String member) {
        return beside.getOrDefault(member, List.of());
    }

    /** Part of a full turn that a panel covers around joints: 1 within it, a half on a side, less at a corner; 0 outside and on other levels. */
    public ToDoubleFunction<Joint> around(SlabPanel p) {
        Outline o = Outline.of(p.joints().stream().map(index::joint).toList());
        return at -> o.mayHold(at) ? o.around(at) : 0;
    }

    /** Corners of a panel and the box around them, so that most joints are told apart without their angles. */
    private record Outline(List<Joint> corners, double[] low, double[] high) {
        static Outline of(List<Joint> corners) {
            double[] low = {Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE};
            double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
            for (Joint j : corners) {
                double[] at = {j.x(), j.y(), j.z()};
                for (int i = 0; i < 3; i++) {
                    low[i] = Math.min(low[i], at[i] - SAME);
                    high[i] = Math.max(high[i], at[i] + SAME);
                }
            }
            return new Outline(corners, low, high);
        }

        boolean mayHold(Joint j) {
            return j.z() >= low[2]
                    && j.z() <= high[2]
                    && j.x() >= low[0]
                    && j.x() <= high[0]
                    && j.y() >= low[1]
                    && j.y() <= high[1];
        }

        double around(Joint at) {
            double angle = 0;
            for (int i = 0; i < corners.size(); i++) {
                angle += angle(at, corners.get(i), corners.get((i + 1) % corners.size()));
            }
            return Math.abs(angle) / (2 * Math.PI);
        }
    }

    /** Between two corners seen from a joint; none for a side through it, so that the others tell what is left. */
    private static double angle(Joint at, Joint a, Joint b) {
        double ax = a.x() - at.x();
        double ay = a.y() - at.y();
        double bx = b.x() - at.x();
        double by = b.y() - at.y();
        double cross = ax * by - ay * bx;
        return Math.abs(cross) <= SAME * Math.hypot(bx - ax, by - ay) ? 0 : Math.atan2(cross, ax * bx + ay * by);
    }

    /** True area without openings [mm2]. */
    public double area(SlabPanel p) {
        return PanelLoads.netArea(index, p) * PanelLoads.slope(index, p);
    }
}
