package kolonne.core.model;

/** Forces [N] and moments [Nmm] on a joint in global axes. */
public record JointLoad(
        String loadCase, String joint, double fx, double fy, double fz, double mx, double my, double mz) {
    /** Component 0..5. */
    public double at(int i) {
        return switch (i) {
            case 0 -> fx;
            case 1 -> fy;
            case 2 -> fz;
            case 3 -> mx;
            case 4 -> my;
            default -> mz;
        };
    }
}
