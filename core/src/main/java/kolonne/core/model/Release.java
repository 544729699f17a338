package kolonne.core.model;

/**
 * How a member's end is connected to its joint, for each of the six local actions: {@link #RIGID} passes it in full, 0 not
 * at all (released), a number in between is the stiffness of the connection [N/mm for forces, Nmm/rad for moments].
 */
public record Release(double n, double vy, double vz, double t, double my, double mz) {
    public static final double RIGID = Double.POSITIVE_INFINITY;
    public static final Release NONE = new Release(RIGID, RIGID, RIGID, RIGID, RIGID, RIGID);
    /** Number of the action that bends an upright beam about its horizontal axis. */
    public static final int HORIZONTAL_AXIS = 4;

    /** A pin: both bending moments released. */
    public static final Release PIN = of(false, false, false, false, true, true);

    /** Full releases. */
    public static Release of(boolean n, boolean vy, boolean vz, boolean t, boolean my, boolean mz) {
        return new Release(free(n), free(vy), free(vz), free(t), free(my), free(mz));
    }

    private static double free(boolean released) {
        return released ? 0 : RIGID;
    }

    /** Stiffness of the connection for local action {@code i} (0 N, 1 Vy, 2 Vz, 3 T, 4 My, 5 Mz). */
    public double at(int i) {
        return switch (i) {
            case 0 -> n;
            case 1 -> vy;
            case 2 -> vz;
            case 3 -> t;
            case 4 -> my;
            default -> mz;
        };
    }

    /** Whether action {@code i} is not passed at all. */
    public boolean frees(int i) {
        return at(i) == 0;
    }

    /** Whether any action is released, in full or in part. */
    public boolean any() {
        for (int i = 0; i < 6; i++) {
            if (at(i) < RIGID) {
                return true;
            }
        }
        return false;
    }
}
