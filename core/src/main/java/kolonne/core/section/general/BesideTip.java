package kolonne.core.section.general;

import kolonne.core.section.Root;

/**
 * The neutral axis whose resultants point along a ray near one of the tips of the surface, pure compression or pure tension. There the resultants of every
 * direction of the axis come together, and on the last stretch, where everything is crushed and yields, they stand still: no slope leads on.
 *
 * <p>For every direction the depth at which the resultants first point as far off the tip as the ray does is found; these lie in a loop round the tip, and
 * where the loop passes the ray the direction is the one looked for.
 */
final class BesideTip {
    /** Resultants as a vector of length one. */
    interface Pointing {
        double[] of(double theta, double logC);
    }

    private static final int DIRECTIONS = 48;
    private static final int DEPTHS = 40;
    private static final double FINE = 1e-12;

    private final Pointing pointing;
    private final double from;
    private final double to;
    private final double[] tip;
    private final double[] towards;
    private final double[] across;
    private final double off;

    /**
     * @param ray   of length one
     * @param least log of the shallowest depth that is looked at, {@code most} of the deepest
     */
    BesideTip(Pointing pointing, double[] ray, double least, double most) {
        this.pointing = pointing;
        double[] pushed = pointing.of(0, most);
        double[] pulled = pointing.of(0, least);
        boolean push = Vectors.dot(pushed, ray) >= Vectors.dot(pulled, ray);
        this.from = push ? most : least;
        this.to = push ? least : most;
        this.tip = push ? pushed : pulled;
        double along = Vectors.dot(tip, ray);
        double[] rest = {ray[0] - along * tip[0], ray[1] - along * tip[1], ray[2] - along * tip[2]};
        double size = Math.sqrt(Vectors.dot(rest, rest));
        this.off = Math.atan2(size, along);
        this.towards = size > 0 ? Vectors.unit(rest) : rest;
        this.across = Vectors.cross(tip, towards);
    }

    /**
     * Direction and log of the depth of the axis; where the loop does not pass the ray, of the axis in the loop that is nearest to it. That happens beside
     * pure compression by a block of stress: with bars at one side only none ceases to yield at the other, and the block fills the section still.
     */
    double[] axis() {
        if (off == 0) {
            return new double[] {0, from};
        }
        double before = turn(0);
        double nearest = 0;
        double least = Math.abs(before);
        for (int k = 1; k <= DIRECTIONS; k++) {
            double after = turn(theta(k));
            double theta = between(theta(k - 1), before, theta(k), after);
            if (!Double.isNaN(theta)) {
                return new double[] {theta, depth(theta)};
            }
            if (Math.abs(after) < least) {
                least = Math.abs(after);
                nearest = theta(k);
            }
            before = after;
        }
        return new double[] {nearest, depth(nearest)};
    }

    /** Direction between two in which the loop passes the ray, by their turns; not a number where it passes behind the tip or not at all. */
    private double between(double low, double before, double high, double after) {
        if (before * after > 0) {
            return Double.NaN;
        }
        double sign = before <= after ? 1 : -1;
        if (Math.abs(before) + Math.abs(after) < Math.PI) {
            return Root.find(t -> sign * turn(t), low, high, FINE);
        }
        if (high - low < FINE) {
            return Double.NaN;
        }
        // more than half a turn at once, from one bar that ceases to yield to the next: before the ray or behind the
        // tip
        double middle = (low + high) / 2;
        double there = turn(middle);
        double first = between(low, before, middle, there);
        return Double.isNaN(first) ? between(middle, there, high, after) : first;
    }

    private static double theta(int k) {
        return 2 * Math.PI * k / DIRECTIONS;
    }

    /** How far round the tip, from the ray, the loop is in a direction of the neutral axis. */
    private double turn(double theta) {
        double[] v = pointing.of(theta, depth(theta));
        return Math.atan2(Vectors.dot(v, across), Vectors.dot(v, towards));
    }

    /** The first depth on the way from the tip at which the resultants are as far off it as the ray. */
    private double depth(double theta) {
        double before = from;
        for (int k = 1; k <= DEPTHS; k++) {
            double at = from + (to - from) * k / DEPTHS;
            if (beyond(theta, at) >= 0) {
                double low = Math.min(before, at);
                double high = Math.max(before, at);
                double sign = to > from ? 1 : -1;
                return Root.find(c -> sign * beyond(theta, c), low, high, FINE);
            }
            before = at;
        }
        return to;
    }

    private double beyond(double theta, double logC) {
        double[] v = pointing.of(theta, logC);
        return Math.atan2(Math.hypot(Vectors.dot(v, towards), Vectors.dot(v, across)), Vectors.dot(v, tip)) - off;
    }
}
