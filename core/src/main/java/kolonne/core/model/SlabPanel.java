package kolonne.core.model;

import java.util.List;

/**
 * A slab panel that hands its load to the beams around it.
 *
 * @param joints    corners in order around the panel (convex, in one level); joints between corners may be listed or not
 * @param thickness [mm]
 * @param weight    unit weight [N/mm3]
 * @param oneWay    true if the slab spans one way
 * @param spanAngle direction of the span for a one-way slab, from global X [rad]
 * @param holes     openings, each a polygon inside the panel that does not cross itself; they carry no load
 */
public record SlabPanel(
        String id,
        List<String> joints,
        double thickness,
        double weight,
        boolean oneWay,
        double spanAngle,
        List<List<Point>> holes) {
    public SlabPanel {
        joints = List.copyOf(joints);
        holes = holes.stream().map(List::copyOf).toList();
    }

    /** A panel without openings. */
    public SlabPanel(
            String id, List<String> joints, double thickness, double weight, boolean oneWay, double spanAngle) {
        this(id, joints, thickness, weight, oneWay, spanAngle, List.of());
    }
}
