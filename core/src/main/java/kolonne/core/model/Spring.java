package kolonne.core.model;

/** Elastic support of a joint in global axes: translations [N/mm], rotations [Nmm/rad]; 0 where there is none. */
public record Spring(String joint, double ux, double uy, double uz, double rx, double ry, double rz) {
    /** Stiffness of displacement {@code i} (0..2 translations, 3..5 rotations). */
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
