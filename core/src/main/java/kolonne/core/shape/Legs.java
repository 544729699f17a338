package kolonne.core.shape;

/**
 * The two legs of an ell or a tee about its centroid: the web from its free end to the outer face of the flange, the flange from end to end.
 *
 * @param left, right faces of the web [mm]
 * @param from, to    ends of the flange [mm]
 * @param free        height of the web's free end; {@code inner} and {@code outer} of the flange's faces, {@code inner} the one that the web comes out of
 */
public record Legs(double left, double right, double from, double to, double free, double inner, double outer) {
    /** Directions of lines through the centroid that are tried over half a turn, and how near the shortest is then looked for. */
    private static final int DIRECTIONS = 180;

    private static final double FINEST = 1e-9;

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

    /**
     * The shortest dimension of the section on a straight line through its centroid, and that on the line across it [mm] (ACI 318-19 18.7.2.1). Where the
     * centroid lies outside the concrete no such line measures the section: thickness and length of the leg that is thinner for its length.
     */
    public double[] shortest() {
        if (!inside()) {
            double[] web = {right - left, Math.abs(outer - free)};
            double[] flange = {Math.abs(outer - inner), to - from};
            return web[0] / web[1] < flange[0] / flange[1] ? web : flange;
        }
        double best = 0;
        for (int i = 1; i < DIRECTIONS; i++) {
            best = chord(Math.PI * i / DIRECTIONS) < chord(best) ? Math.PI * i / DIRECTIONS : best;
        }
        for (double step = Math.PI / DIRECTIONS; step > FINEST; step /= 2) {
            for (double near : new double[] {best - step, best + step}) {
                best = chord(near) < chord(best) ? near : best;
            }
        }
        return new double[] {chord(best), chord(best + Math.PI / 2)};
    }

    private boolean inside() {
        return inWeb(0) && free * outer < 0 || from * to < 0 && inFlange(0);
    }

    /** Length of the line through the centroid in that direction, to where it leaves the concrete on both sides. */
    private double chord(double theta) {
        double x = Math.cos(theta);
        double y = Math.sin(theta);
        double[] web = stretch(left, right, Math.min(free, outer), Math.max(free, outer), x, y);
        double[] flange = stretch(from, to, Math.min(inner, outer), Math.max(inner, outer), x, y);
        if (Math.max(web[0], flange[0]) <= Math.min(web[1], flange[1])) {
            return Math.max(web[1], flange[1]) - Math.min(web[0], flange[0]);
        }
        return web[0] <= 0 && web[1] >= 0 ? web[1] - web[0] : flange[1] - flange[0];
    }

    /** Where a line through the centroid is within a rectangle; empty, its end before its beginning, where it misses it. */
    private static double[] stretch(double x1, double x2, double y1, double y2, double x, double y) {
        double[] a = crossing(x1, x2, x);
        double[] b = crossing(y1, y2, y);
        return new double[] {Math.max(a[0], b[0]), Math.min(a[1], b[1])};
    }

    private static double[] crossing(double a, double b, double u) {
        if (Math.abs(u) < 1e-12) {
            return a * b <= 0
                    ? new double[] {Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY}
                    : new double[] {1, -1};
        }
        return new double[] {Math.min(a / u, b / u), Math.max(a / u, b / u)};
    }

    /** Way to the end of a stretch about 0 in its direction. */
    private static double way(double a, double b, double u) {
        return Math.abs(u) < 1e-9 ? Double.POSITIVE_INFINITY : (u > 0 ? Math.max(a, b) : Math.min(a, b)) / u;
    }
}
