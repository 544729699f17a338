package kolonne.core.section.general;

import java.util.function.DoubleFunction;

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

    private static final int SECTORS = 8;
    private static final int DEPTHS = 40;
    /** Parts of a side of a cell that are looked at at least. */
    private static final int PARTS = 6;
    /** Turns round the ray from one place to the next that are believed [rad]. */
    private static final double TURN = 0.8;

    private static final int FINEST = 52;
    private static final int HALVINGS = 110;

    private final Pointing pointing;
    private final double[] ray;
    private final double[] e1;
    private final double[] e2;
    private final double[] bends;
    private final double from;
    private final double to;

    /** A place in directions and depths, and where round the ray its resultants are [rad]. */
    private record Place(double theta, double logC, double round) {}

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
        this.bends = bends;
        boolean push = Vectors.dot(pointing.of(0, most), ray) >= Vectors.dot(pointing.of(0, least), ray);
        this.from = push ? most : least;
        this.to = push ? least : most;
    }

    /** Direction and log of the depth of the axis, from the nearer end of the depths on; null where there is none. */
    double[] axis() {
        double[] before = sectors(from);
        for (int k = 1; k <= DEPTHS; k++) {
            double low = from + (to - from) * (k - 1) / DEPTHS;
            double high = from + (to - from) * k / DEPTHS;
            double[] after = sectors(high);
            double left = deeper(0, low, high);
            for (int i = 0; i < SECTORS; i++) {
                double right = deeper(sector(i + 1), low, high);
                long winds = turns(before[i] + right - after[i] - left);
                left = right;
                double[] found = winds == 0 ? null : within(new Cell(sector(i), sector(i + 1), low, high), winds > 0);
                // or one whose resultants point the other way: round that they wind as well
                if (found != null && Vectors.dot(pointing.of(found[0], found[1]), ray) > 0) {
                    return found;
                }
            }
            before = after;
        }
        return null;
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

    /** @param positive whether the resultants wind positively */
    private double[] within(Cell whole, boolean positive) {
        Cell at = whole;
        for (int k = 0; k < HALVINGS; k++) {
            long winds = winds(at.first());
            at = (positive ? winds > 0 : winds < 0) ? at.first() : at.second();
        }
        return new double[] {at.theta(), at.logC()};
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
                sum += along(theta -> place(theta, logC), low, bend);
                low = bend;
            }
        }
        return sum + along(theta -> place(theta, logC), low, end);
    }

    /** The same in one direction, from one depth to another. */
    private double deeper(double theta, double start, double end) {
        return along(logC -> place(theta, logC), start, end);
    }

    private double along(DoubleFunction<Place> line, double start, double end) {
        double sum = 0;
        Place before = line.apply(start);
        for (int k = 1; k <= PARTS; k++) {
            Place after = line.apply(start + (end - start) * k / PARTS);
            sum += turned(before, after, FINEST);
            before = after;
        }
        return sum;
    }

    private double turned(Place p, Place q, int halvings) {
        double turn = Math.IEEEremainder(q.round - p.round, 2 * Math.PI);
        if (Math.abs(turn) < TURN || halvings == 0) {
            return turn;
        }
        Place middle = place((p.theta + q.theta) / 2, (p.logC + q.logC) / 2);
        return turned(p, middle, halvings - 1) + turned(middle, q, halvings - 1);
    }

    private Place place(double theta, double logC) {
        double[] v = pointing.of(theta, logC);
        return new Place(theta, logC, Math.atan2(Vectors.dot(v, e2), Vectors.dot(v, e1)));
    }
}
