package kolonne.core.section;

/** Strength in bending about one axis of the section under a given axial force, nothing reduced. */
public final class MomentAtForce {
    /** Neutral axis as a part of the section's size: everything in tension, everything crushed. */
    private static final double LEAST = 1e-3;

    private static final double MOST = 50;
    private static final int STEPS = 24;

    private MomentAtForce() {}

    /**
     * Moment about x (compression at +y) or about y (at +x) [Nmm]; 0 where the force is more than the section bears.
     *
     * @param p compression positive [N]
     */
    public static double of(ColumnSection s, boolean aboutX, double p) {
        double theta = aboutX ? Math.PI / 2 : 0;
        double size = 2 * s.reach(theta);
        ColumnSection.Resultant low = s.at(theta, LEAST * size);
        ColumnSection.Resultant high = s.at(theta, MOST * size);
        if (p <= low.N() || p >= high.N()) {
            return 0;
        }
        double scale = Math.max(Math.abs(low.N()), Math.abs(high.N()));
        double c = Root.find(q -> (s.at(theta, q).N() - p) / scale, LEAST * size, MOST * size, 1e-7 * size);
        ColumnSection.Resultant r = s.at(theta, c);
        return Math.max(0, aboutX ? r.Mx() : r.My());
    }

    /** The largest over a range of forces; the moment rises to the force at balance and falls above it [Nmm]. */
    public static double largest(ColumnSection s, boolean aboutX, double least, double most) {
        double a = least;
        double b = most;
        for (int i = 0; i < STEPS; i++) {
            double third = (b - a) / 3;
            if (of(s, aboutX, a + third) < of(s, aboutX, b - third)) {
                a += third;
            } else {
                b -= third;
            }
        }
        return Math.max(of(s, aboutX, (a + b) / 2), Math.max(of(s, aboutX, least), of(s, aboutX, most)));
    }
}
