package kolonne.core.shape;

/**
 * The two legs of an ell or a tee about its centroid: the web from its free end to the outer face of the flange, the flange from end to end.
 *
 * @param left, right faces of the web [mm]
 * @param from, to    ends of the flange [mm]
 * @param free        height of the web's free end; {@code inner} and {@code outer} of the flange's faces, {@code inner} the one that the web comes out of
 */
public record Legs(double left, double right, double from, double to, double free, double inner, double outer) {
    /** The web of an ell stands at the left. */
    public static Legs of(Shape.Flanged f) {
        double half = f.width() / 2;
        double left = f.overhangs() == 1 ? -half : -f.bw() / 2;
        boolean below = f instanceof Shape.InvertedTee;
        double web = f.bw() * (f.h() - f.hf());
        double x = web * (left + f.bw() / 2) / f.A();
        double y = f.centroid();
        return new Legs(
                left - x,
                left + f.bw() - x,
                -half - x,
                half - x,
                (below ? f.h() : 0) - y,
                (below ? f.hf() : f.h() - f.hf()) - y,
                (below ? 0 : f.h()) - y);
    }

    /** 1 where the flange lies above the web's free end, -1 where it lies beneath. */
    public double up() {
        return Math.signum(outer - free);
    }

    /** Whether the flange juts out on the left of the web as well. */
    public boolean bothSides() {
        return left - from > 1e-6;
    }

    public boolean inWeb(double x) {
        return x > left && x < right;
    }

    public boolean inFlange(double y) {
        return (y - inner) * (y - outer) < 0;
    }

    /** Way from the centroid to the nearer face along a line through it, whichever way; 0 where the centroid lies outside the concrete [mm]. @param x, y a unit vector */
    public double reach(double x, double y) {
        return Math.min(way(x, y), way(-x, -y));
    }

    private double way(double x, double y) {
        double web = inWeb(0) && free * outer < 0 ? Math.min(way(left, right, x), way(free, outer, y)) : 0;
        double flange = from * to < 0 && inFlange(0) ? Math.min(way(from, to, x), way(inner, outer, y)) : 0;
        return Math.max(web, flange);
    }

    /** Way to the end of a stretch about 0 in its direction. */
    private static double way(double a, double b, double u) {
        return Math.abs(u) < 1e-9 ? Double.POSITIVE_INFINITY : (u > 0 ? Math.max(a, b) : Math.min(a, b)) / u;
    }
}
