package kolonne.core.model;

/**
 * A load on a member, in the positive sense of its direction.
 *
 * @param from distance from the start joint [mm]
 * @param to   distance from the start joint [mm], for a distributed load
 * @param w1   at {@code from}: [N/mm] distributed, [N] point, [Nmm] moment about the direction's axis, [Nmm/mm] distributed
 *             moment
 * @param w2   at {@code to}, for a distributed load or moment
 */
public record MemberLoad(
        String loadCase, String member, Kind kind, Direction direction, double from, double to, double w1, double w2) {
    /** By so much loads may reach past the ends of their members, whose lengths files round [mm]. */
    static final double PAST_END = 1;

    /** The same from end to end of a member at most. @param length of the member [mm] */
    public MemberLoad on(double length) {
        double begin = Math.max(0, Math.min(length, from));
        double end = Math.max(0, Math.min(length, to));
        return begin == from && end == to
                ? this
                : new MemberLoad(loadCase, member, kind, direction, begin, end, w1, w2);
    }

    /** Shape of a load. */
    public enum Kind {
        DISTRIBUTED,
        POINT,
        MOMENT,
        DISTRIBUTED_MOMENT;

        /** Whether it acts along a length. */
        public boolean spread() {
            return this == DISTRIBUTED || this == DISTRIBUTED_MOMENT;
        }
    }
}
