package kolonne.core.model;

/** Which of a joint's six displacements are held, in global axes. */
public record Support(String joint, boolean ux, boolean uy, boolean uz, boolean rx, boolean ry, boolean rz) {
    public static Support fixed(String joint) {
        return new Support(joint, true, true, true, true, true, true);
    }

    public static Support pinned(String joint) {
        return new Support(joint, true, true, true, false, false, false);
    }

    /** Whether displacement {@code i} (0..2 translations, 3..5 rotations) is held. */
    public boolean holds(int i) {
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
