package kolonne.core.model;

/** Displacement [mm] or rotation [rad] that the ground gives a supported or spring-borne joint in a load case, global axes. */
public record Settlement(
        String loadCase, String joint, double ux, double uy, double uz, double rx, double ry, double rz) {
    /** Component {@code i} (0..2 translations, 3..5 rotations). */
    public double at(int i) {
        return switch (i) {
            case 0 -> ux;
            case 1 -> uy;
            case 2 -> uz;
            case 3 -> rx;
            case 4 -> ry;
            default -> rz;
        };
    }
}
