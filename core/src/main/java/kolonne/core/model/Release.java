package kolonne.core.model;

/** Which of a member end's six local actions are released (true: cannot be transmitted). */
public record Release(boolean n, boolean vy, boolean vz, boolean t, boolean my, boolean mz) {
    public static final Release NONE = new Release(false, false, false, false, false, false);
    /** A pin: both bending moments released. */
    public static final Release PIN = new Release(false, false, false, false, true, true);

    /** Whether local action {@code i} (0 N, 1 Vy, 2 Vz, 3 T, 4 My, 5 Mz) is released. */
    public boolean at(int i) {
        return switch (i) {
            case 0 -> n;
            case 1 -> vy;
            case 2 -> vz;
            case 3 -> t;
            case 4 -> my;
            default -> mz;
        };
    }

    public boolean any() {
        return n || vy || vz || t || my || mz;
    }
}
