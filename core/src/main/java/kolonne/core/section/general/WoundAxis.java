package kolonne.core.section.general;

import java.util.function.DoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * The neutral axis whose resultants point along a ray, found without slopes: near pure compression and pure tension, where the resultants of every direction
 * of the axis come together and on the last stretch stand still, there is none to follow, and where a bar begins to yield it leads astray.
 *
 * <p>Directions and depths of the axis are parted into cells. Resultants change without steps; where on the way round a cell they wind round the ray, an axis
 * within points along it. That cell is halved and halved again, and the half is kept round which they wind.
 */
final class WoundAxis {
    /** Resultants as a vector of length one. */
    interface Pointing {
        double[] of(double theta, double logC);
    }

    private static final int SECTORS = 16;
    /** Depths of the axis over the size of the section where cells end; before and after them nearly all lies still. */
    private static final double[] DEPTHS = {
        1e-5, 1e-3, 0.01, 0.02, 0.03, 0.05, 0.07, 0.1, 0.14, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.85, 1, 1.2, 1.5, 2, 3, 5,
        10, 30, 1e3
    };

    /** Parts of a side of a cell that are looked at at least. */
    private static final int PARTS = 2;
    /** Turns round the ray from one place to the next that are believed [rad]. */
    private static final double TURN = 0.8;
    /** How far the way from one place to the next may bulge, as a part of its distance from the ray. */
    private static final double BULGE = 0.25;

    private static final int FINEST = 52;
    /** How far off the ray resultants may point. */
    private static final double NEAR = 1e-8;

    private static final double ROUNDING = 1e-12;
    /** Places that are looked at, at most; some thousands are usual. */
    private static final int MOST = 100_000;
    /** Half of the cell that is looked at first [rad], and in the log of the depth. */
    private static final double ABOUT = 0.1;

    private static final double ABOUT_DEPTH = 0.4;
    private static final int HALVINGS = 110;

    private final Pointing pointing;
    private final double[] ray;
    private final double[] e1;
    private final double[] e2;
    private final double[] bends;
    /** Logs of depths from the end nearer to the ray. */
    private final double[] depths;

    /** An axis that was come upon. */
    private double[] hit;

    private int places;

    /** A place in directions and depths, and where its resultants are as seen along the ray. */
    private record Place(double theta, double logC, double x, double y) {
        double off() {
            return Math.hypot(x, y);
        }

        double round() {
            return Math.atan2(y, x);
        }

        /** Whether it is off the ray by more than rounding. */
        boolean sure() {
            return off() > ROUNDING;
        }
    }

    /** Directions from a to b, depths from c to d. */
    private record Cell(double a, double b, double c, double d) {
        double theta() {
            return (a + b) / 2;
        }

        double logC() {
            return (c + d) / 2;
        }

        boolean wide() {
            return b - a > Math.abs(d - c);
        }

        Cell first() {
            return wide() ? new Cell(a, theta(), c, d) : new Cell(a, b, c, logC());
        }

        Cell second() {
            return wide() ? new Cell(theta(), b, c, d) : new Cell(a, b, logC(), d);
        }
    }

    /**
     * @param ray   of length one
     * @param bends directions in which resultants change at once, from 0 to 2π, growing
     * @param least log of the shallowest depth that is looked at, {@code most} of the deepest
     */
    WoundAxis(Pointing pointing, double[] ray, double[] bends, double least, double most) {
        this.pointing = pointing;
        this.ray = ray;
        this.e1 = Vectors.across(ray);
        this.e2 = Vectors.cross(ray, e1);
        this.bends = IntStream.rangeClosed(-1, 1)
                .mapToObj(turn -> DoubleStream.of(bends).map(b -> b + 2 * Math.PI * turn))
                .flatMapToDouble(turned -> turned)
                .toArray();
        boolean push = Vectors.dot(pointing.of(0, most), ray) >= Vectors.dot(pointing.of(0, least), ray);
        double[] all = DoubleStream.concat(
                        DoubleStream.of(least),
                        DoubleStream.concat(DoubleStream.of(DEPTHS).map(Math::log), DoubleStream.of(most)))
                .toArray();
        this.depths = IntStream.range(0, all.length)
                .mapToDouble(i -> all[push ? all.length - 1 - i : i])
                .toArray();
    }

    /**
     * Direction and log of the depth of the axis; null where there is none.
     *
     * @param near the same of an axis that may be near to it: the cell round that is looked at first
     */
    double[] axis(double[] near) {
        Cell about = new Cell(near[0] - ABOUT, near[0] + ABOUT, near[1] - ABOUT_DEPTH, near[1] + ABOUT_DEPTH);
        within(about, winds(about));
        if (hit == null) {
            anywhere();
        }
        return hit;
    }

    private void anywhere() {
        double[] before = sectors(depths[0]);
        for (int k = 1; k < depths.length; k++) {
            double low = depths[k - 1];
            double high = depths[k];
            double[] after = sectors(high);
            double left = deeper(0, low, high);
            for (int i = 0; i < SECTORS; i++) {
                double right = deeper(sector(i + 1), low, high);
                long winds = turns(before[i] + right - after[i] - left);
                left = right;
                within(new Cell(sector(i), sector(i + 1), low, high), winds);
                if (over()) {
                    return;
                }
            }
            before = after;
        }
    }

    private static double sector(int i) {
        return 2 * Math.PI * i / SECTORS;
    }

    private double[] sectors(double logC) {
        double[] out = new double[SECTORS];
        for (int i = 0; i < SECTORS; i++) {
            out[i] = round(sector(i), sector(i + 1), logC);
        }
        return out;
    }

    /** Comes upon the axis unless the resultants do not wind round the ray, or what they wind round points the other way. */
    private void within(Cell whole, long wound) {
        Cell at = whole;
        for (int k = 0; wound != 0 && !over() && k < HALVINGS; k++) {
            long winds = winds(at.first());
            at = (wound > 0 ? winds > 0 : winds < 0) ? at.first() : at.second();
        }
    }

    private long winds(Cell c) {
        return turns(round(c.a, c.b, c.c) + deeper(c.b, c.c, c.d) - round(c.a, c.b, c.d) - deeper(c.a, c.c, c.d));
    }

    private static long turns(double angle) {
        return Math.round(angle / (2 * Math.PI));
    }

    /** How far the resultants turn round the ray at one depth, from one direction to a greater [rad]. */
    private double round(double start, double end, double logC) {
        double sum = 0;
        double low = start;
        for (double bend : bends) {
            if (bend > low && bend < end) {
                sum += along(theta -> place(theta, logC), low, bend, (bend - low) / (end - start));
                low = bend;
            }
        }
        return sum + along(theta -> place(theta, logC), low, end, (end - low) / (end - start));
    }

    /** The same in one direction, from one depth to another. */
    private double deeper(double theta, double start, double end) {
        return along(logC -> place(theta, logC), start, end, 1);
    }

    /** @param share of the side of a cell */
    private double along(DoubleFunction<Place> line, double start, double end, double share) {
        int parts = (int) Math.ceil(PARTS * share);
        double sum = 0;
        Place before = line.apply(start);
        for (int k = 1; k <= parts; k++) {
            Place after = line.apply(start + (end - start) * k / parts);
            sum += turned(before, after, FINEST);
            before = after;
        }
        return sum;
    }

    /** Halved until the place in the middle says that they go straight enough, as seen from the ray, not to have gone by it between. */
    private double turned(Place p, Place q, int halvings) {
        double turn = turn(p, q);
        if (halvings == 0 || over() || !p.sure() || !q.sure()) {
            return turn;
        }
        Place middle = place((p.theta + q.theta) / 2, (p.logC + q.logC) / 2);
        double bulge = Math.hypot(middle.x - (p.x + q.x) / 2, middle.y - (p.y + q.y) / 2);
        double first = turn(p, middle);
        double second = turn(middle, q);
        if (Math.max(Math.abs(first), Math.abs(second)) < TURN && bulge < BULGE * middle.off()) {
            return first + second;
        }
        return turned(p, middle, halvings - 1) + turned(middle, q, halvings - 1);
    }

    private static double turn(Place from, Place to) {
        return Math.IEEEremainder(to.round() - from.round(), 2 * Math.PI);
    }

    private boolean over() {
        return hit != null || places > MOST;
    }

    private Place place(double theta, double logC) {
        places++;
        double[] v = pointing.of(theta, logC);
        double x = Vectors.dot(v, e1);
        double y = Vectors.dot(v, e2);
        Place there = new Place(theta, logC, x, y);
        if (there.off() < NEAR && Vectors.dot(v, ray) > 0) {
            hit = new double[] {theta, logC};
        }
        return there;
    }
}
