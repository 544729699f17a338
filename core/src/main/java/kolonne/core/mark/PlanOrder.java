package kolonne.core.mark;

/** The order of plans, that marks are numbered in, and the levels that lie at one height. */
public final class PlanOrder {
    /** Places nearer to each other are in one row: programs write coordinates with more or fewer digits [mm]. */
    private static final double ROW = 10;
    /** Heights nearer to each other are one level [mm]. */
    private static final double LEVEL = 100;
    /** Rows and levels end where no coordinate in whole millimetres or inches lies, levels near half of their size [mm]. */
    private static final double END = 3.3;

    private PlanOrder() {}

    /** The row that a coordinate is in. @param coordinate [mm] */
    public static double row(double coordinate) {
        return Math.floor((coordinate + END) / ROW);
    }

    /** The decimetre that a height is next to. @param z [mm] */
    public static long level(double z) {
        return (long) Math.floor((z + LEVEL / 2 - END) / LEVEL);
    }
}
