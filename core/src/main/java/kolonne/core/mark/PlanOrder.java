package kolonne.core.mark;

/** The order of plans, that marks are numbered in. */
public final class PlanOrder {
    /** Places nearer to each other are in one row: programs write coordinates with more or fewer digits [mm]. */
    private static final double ROW = 10;
    /** Rows end where no coordinate in whole millimetres or inches lies [mm]. */
    private static final double END = 3.3;

    private PlanOrder() {}

    /** The row that a coordinate is in. @param coordinate [mm] */
    public static double row(double coordinate) {
        return Math.floor((coordinate + END) / ROW);
    }
}
