package kolonne.core.model;

/** Names places in plan by the grid lines that cross there. */
public final class GridNames {
    /** How near to a grid line a joint must lie to carry its name [mm]. */
    private static final double NEAR = 25;

    private GridNames() {}

    /** The names of the grid lines through a joint, for instance {@code D3}; the joint's id where there are none. */
    public static String of(BuildingIndex index, String joint) {
        Joint j = index.joint(joint);
        StringBuilder out = new StringBuilder();
        for (GridLine g : index.building().gridLines()) {
            if (distance(g, j) <= NEAR) {
                out.append(g.id());
            }
        }
        return out.length() == 0 ? joint : out.toString();
    }

    private static double distance(GridLine g, Joint j) {
        double dx = g.x2() - g.x1();
        double dy = g.y2() - g.y1();
        return Math.abs((j.x() - g.x1()) * dy - (j.y() - g.y1()) * dx) / Math.hypot(dx, dy);
    }
}
