package kolonne.core.column.cage;

/**
 * How far ties of a lift stand apart: inside the joints at its ends, next to them, and between.
 *
 * @param joint  in the depth of the beams [mm]
 * @param end    over {@code foot} and {@code head} [mm]
 * @param middle elsewhere [mm]
 * @param foot   how far the closer ties at the foot reach above the beams there [mm]; {@code head} below those at the head
 */
public record TieSpacing(double joint, double end, double middle, double foot, double head) {
    /** One spacing throughout. */
    public static TieSpacing even(double s) {
        return new TieSpacing(s, s, s, 0, 0);
    }

    /** Whether ties at the ends stand closer than between. */
    public boolean closerAtEnds() {
        return Math.max(foot, head) > 0 && end < middle - 1e-9;
    }

    /** Whether ties in the joints stand closer than next to them. */
    public boolean closerInJoints() {
        return joint < beside() - 1e-9;
    }

    /** Next to the joints [mm]. */
    private double beside() {
        return Math.max(foot, head) > 0 ? end : middle;
    }
}
