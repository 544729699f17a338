package kolonne.core.section;

/** Strength in bending towards one direction of the section under a given axial force, nothing reduced. */
public final class MomentAtForce {
    /** Neutral axis as a part of the section's size: everything in tension, everything crushed. */
    private static final double LEAST = 1e-3;

    private static final double MOST = 50;
    private static final int STEPS = 24;
    /** Moment about the other axis, over the whole, that counts as none. */
    private static final double NONE = 1e-7;

    private MomentAtForce() {}

    /**
     * The moment with compression towards (cos θ, sin θ) and the neutral axis across that direction: the largest there is, whatever comes about the other axis
     * with it [Nmm]; 0 where the force is more than the section bears.
     *
     * @param p compression positive [N]
     */
    public static double of(PlaneSection s, double theta, double p) {
        return bears(s, theta, p) ? Math.max(0, along(state(s, theta, p), theta)) : 0;
    }

    /**
     * The moment with nothing about the other axis [Nmm]; the neutral axis of a section that is not alike on both sides turns for it.
     *
     * @param p compression positive [N]
     */
    public static double alone(PlaneSection s, double theta, double p) {
        if (!bears(s, theta, p)) {
            return 0;
        }
        ColumnSection.Resultant r = state(s, theta, p);
        double scale = Math.max(1, Math.hypot(r.Mx(), r.My()));
        if (Math.abs(across(r, theta)) > NONE * scale) {
            double turn =
                    Root.find(t -> across(state(s, theta + t, p), theta) / scale, -Math.PI / 2, Math.PI / 2, NONE);
            r = state(s, theta + turn, p);
        }
        // nowhere without the other moment, so far off its centre the force acts
        return Math.abs(across(r, theta)) > 1e-4 * scale ? 0 : Math.max(0, along(r, theta));
    }

    /** The largest of {@link #of} over a range of forces; the moment rises to the force at balance and falls above it [Nmm]. */
    public static double largest(PlaneSection s, double theta, double least, double most) {
        double a = least;
        double b = most;
        for (int i = 0; i < STEPS; i++) {
            double third = (b - a) / 3;
            if (of(s, theta, a + third) < of(s, theta, b - third)) {
                a += third;
            } else {
                b -= third;
            }
        }
        return Math.max(of(s, theta, (a + b) / 2), Math.max(of(s, theta, least), of(s, theta, most)));
    }

    private static boolean bears(PlaneSection s, double theta, double p) {
        double size = s.size(theta);
        return p > s.at(theta, LEAST * size).N() && p < s.at(theta, MOST * size).N();
    }

    /** With compression towards a direction. */
    private static ColumnSection.Resultant state(PlaneSection s, double theta, double p) {
        double size = s.size(theta);
        double scale = Math.max(
                Math.abs(s.at(theta, LEAST * size).N()),
                Math.abs(s.at(theta, MOST * size).N()));
        return s.at(theta, Root.find(q -> (s.at(theta, q).N() - p) / scale, LEAST * size, MOST * size, 1e-7 * size));
    }

    private static double along(ColumnSection.Resultant r, double theta) {
        return r.My() * Math.cos(theta) + r.Mx() * Math.sin(theta);
    }

    private static double across(ColumnSection.Resultant r, double theta) {
        return r.Mx() * Math.cos(theta) - r.My() * Math.sin(theta);
    }
}
