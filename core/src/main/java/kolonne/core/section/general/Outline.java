package kolonne.core.section.general;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import kolonne.core.shape.Shape;

/**
 * The outline of a section: a polygon, and openings in it.
 *
 * <p>Sums over its area go along its edges (Green's theorem): with s along a direction and t across it,
 * <pre>∬ f(s) dA = −∮ f(s) t ds,   ∬ f(s) s dA = −∮ f(s) s t ds,   ∬ f(s) t dA = −∮ f(s) t²/2 ds</pre>
 */
public final class Outline {
    /** Points and weights of Gauss and Legendre of order four on [-1, 1] (Abramowitz and Stegun, table 25.4). */
    private static final double[] POINT = {
        -0.861136311594052575, -0.339981043584856265, 0.339981043584856265, 0.861136311594052575
    };

    private static final double[] WEIGHT = {
        0.347854845137453857, 0.652145154862546143, 0.652145154862546143, 0.347854845137453857
    };

    /** Of a polygon that stands for a circle. */
    private static final int SIDES = 120;

    private final List<Ring> rings;

    /** A corner [mm]. */
    public record Corner(double x, double y) {}

    /** Corners in order, the first not repeated. */
    public record Ring(List<Corner> corners) {
        public Ring {
            corners = List.copyOf(corners);
        }

        /** Signed: positive where the corners run counter-clockwise [mm2]. */
        double area() {
            double sum = 0;
            for (int i = 0; i < corners.size(); i++) {
                Corner a = corners.get(i);
                Corner b = corners.get((i + 1) % corners.size());
                sum += a.x * b.y - b.x * a.y;
            }
            return sum / 2;
        }

        Ring reversed() {
            List<Corner> out = new ArrayList<>(corners);
            java.util.Collections.reverse(out);
            return new Ring(out);
        }

        /** Even-odd rule; a point on an edge may be either. */
        boolean contains(double x, double y) {
            boolean in = false;
            for (int i = 0; i < corners.size(); i++) {
                Corner a = corners.get(i);
                Corner b = corners.get((i + 1) % corners.size());
                if (a.y > y != b.y > y && x < a.x + (y - a.y) / (b.y - a.y) * (b.x - a.x)) {
                    in = !in;
                }
            }
            return in;
        }
    }

    /** @param outer corners of the outline in either sense; @param openings in it */
    public Outline(Ring outer, List<Ring> openings) {
        List<Ring> all = new ArrayList<>();
        all.add(outer.area() < 0 ? outer.reversed() : outer);
        openings.forEach(o -> all.add(o.area() > 0 ? o.reversed() : o));
        this.rings = List.copyOf(all);
    }

    /**
     * The outline of a rectangle, tee, inverted tee or ell: x from the middle of the width, y from the soffit. The web of an ell stands at the left.
     *
     * @throws IllegalArgumentException for a circle, which has no corners
     */
    public static Outline of(Shape s) {
        double w = s.width() / 2;
        double h = s.depth();
        if (s instanceof Shape.Rectangle) {
            return new Outline(ring(-w, 0, w, 0, w, h, -w, h), List.of());
        }
        if (!(s instanceof Shape.Flanged f)) {
            throw new IllegalArgumentException("no polygon: " + s.label());
        }
        boolean left = f.overhangs() == 1;
        double from = left ? -w : -f.bw() / 2;
        double to = from + f.bw();
        double neck = f instanceof Shape.InvertedTee ? f.hf() : h - f.hf();
        if (f instanceof Shape.InvertedTee) {
            return new Outline(ring(-w, 0, w, 0, w, neck, to, neck, to, h, from, h, from, neck, -w, neck), List.of());
        }
        return left
                ? new Outline(ring(from, 0, to, 0, to, neck, w, neck, w, h, -w, h), List.of())
                : new Outline(ring(from, 0, to, 0, to, neck, w, neck, w, h, -w, h, -w, neck, from, neck), List.of());
    }

    /** The same about the centroid. */
    public static Outline centred(Shape s) {
        Outline o = of(s);
        Corner c = o.centroid();
        return o.moved(-c.x, -c.y);
    }

    private static Ring ring(double... xy) {
        List<Corner> out = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            out.add(new Corner(xy[i], xy[i + 1]));
        }
        return new Ring(out);
    }

    /** A circle about a place as a polygon of the same area, near enough that its second moments differ by under a thousandth. */
    public static Outline circle(double x, double y, double d) {
        double r = d / 2 * Math.sqrt(2 * Math.PI / SIDES / Math.sin(2 * Math.PI / SIDES));
        double[] xy = new double[2 * SIDES];
        for (int i = 0; i < SIDES; i++) {
            xy[2 * i] = x + r * Math.cos(2 * Math.PI * i / SIDES);
            xy[2 * i + 1] = y + r * Math.sin(2 * Math.PI * i / SIDES);
        }
        return new Outline(ring(xy), List.of());
    }

    /** The outer polygon first, counter-clockwise; openings clockwise. */
    public List<Ring> rings() {
        return rings;
    }

    /** Area without openings [mm2]. */
    public double area() {
        return rings.stream().mapToDouble(Ring::area).sum();
    }

    /** Length of the outer edges [mm]. */
    public double perimeter() {
        List<Corner> c = rings.get(0).corners();
        double sum = 0;
        for (int i = 0; i < c.size(); i++) {
            Corner a = c.get(i);
            Corner b = c.get((i + 1) % c.size());
            sum += Math.hypot(b.x - a.x, b.y - a.y);
        }
        return sum;
    }

    public Corner centroid() {
        double[] out = new double[3];
        sum(s -> 1, 1, 0, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, out);
        return new Corner(out[1] / out[0], out[2] / out[0]);
    }

    /** Farthest corner in a direction (a unit vector) [mm]. */
    public double reach(double ux, double uy) {
        double most = Double.NEGATIVE_INFINITY;
        List<Corner> corners = rings.get(0).corners();
        for (int i = 0; i < corners.size(); i++) {
            Corner c = corners.get(i);
            most = Math.max(most, c.x * ux + c.y * uy);
        }
        return most;
    }

    public Outline moved(double dx, double dy) {
        return each(c -> new Corner(c.x + dx, c.y + dy));
    }

    /** Turned counter-clockwise about the origin. @param angle [rad] */
    public Outline turned(double angle) {
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return each(c -> new Corner(c.x * cos - c.y * sin, c.x * sin + c.y * cos));
    }

    private Outline each(java.util.function.UnaryOperator<Corner> to) {
        List<Ring> out = rings.stream()
                .map(r -> new Ring(r.corners().stream().map(to).toList()))
                .toList();
        return new Outline(out.get(0), out.subList(1, out.size()));
    }

    /**
     * Of the concrete where {@code a + b x + c y} is above zero: area, ∬x, ∬y, ∬x², ∬xy, ∬y² [mm2, mm3, mm4]. Every ring is cut along the line; what the cuts of
     * openings take off is counted below zero.
     */
    public double[] moments(double a, double b, double c) {
        double[] out = new double[6];
        for (Ring r : rings) {
            List<Corner> cut = new ArrayList<>();
            List<Corner> all = r.corners();
            for (int i = 0; i < all.size(); i++) {
                Corner p = all.get(i);
                Corner q = all.get((i + 1) % all.size());
                double fp = a + b * p.x + c * p.y;
                double fq = a + b * q.x + c * q.y;
                if (fp >= 0) {
                    cut.add(p);
                }
                if (fp < 0 != fq < 0) {
                    double t = fp / (fp - fq);
                    cut.add(new Corner(p.x + t * (q.x - p.x), p.y + t * (q.y - p.y)));
                }
            }
            for (int i = 0; i < cut.size(); i++) {
                moments(cut.get(i), cut.get((i + 1) % cut.size()), out);
            }
        }
        return out;
    }

    /** Adds those of the triangle of an edge and the origin. */
    private static void moments(Corner p, Corner q, double[] out) {
        double twice = p.x * q.y - q.x * p.y;
        out[0] += twice / 2;
        out[1] += twice * (p.x + q.x) / 6;
        out[2] += twice * (p.y + q.y) / 6;
        out[3] += twice * (p.x * p.x + p.x * q.x + q.x * q.x) / 12;
        out[4] += twice * (2 * p.x * p.y + p.x * q.y + q.x * p.y + 2 * q.x * q.y) / 24;
        out[5] += twice * (p.y * p.y + p.y * q.y + q.y * q.y) / 12;
    }

    /** Whether a point lies in the concrete. */
    public boolean contains(double x, double y) {
        for (int i = 0; i < rings.size(); i++) {
            if (rings.get(i).contains(x, y) != (i == 0)) {
                return false;
            }
        }
        return true;
    }

    /** Distance of a point from the nearest edge, of openings too [mm]. */
    public double distance(double x, double y) {
        double least = Double.POSITIVE_INFINITY;
        for (Ring r : rings) {
            List<Corner> c = r.corners();
            for (int i = 0; i < c.size(); i++) {
                least = Math.min(least, distance(x, y, c.get(i), c.get((i + 1) % c.size())));
            }
        }
        return least;
    }

    private static double distance(double x, double y, Corner a, Corner b) {
        double dx = b.x - a.x;
        double dy = b.y - a.y;
        double t = ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy);
        double u = Math.max(0, Math.min(1, t));
        return Math.hypot(x - a.x - u * dx, y - a.y - u * dy);
    }

    /**
     * Sums a stress that varies along a direction over the part of the section beyond a line across it.
     *
     * @param stress by distance s along the direction
     * @param from   where the part begins
     * @param bend   where the stress changes its law
     * @param out    the sum and its first moments x and y
     */
    void sum(DoubleUnaryOperator stress, double ux, double uy, double from, double bend, double[] out) {
        double force = 0;
        double along = 0;
        double across = 0;
        for (Ring r : rings) {
            List<Corner> corners = r.corners();
            for (int i = 0; i < corners.size(); i++) {
                Corner a = corners.get(i);
                Corner b = corners.get(i + 1 == corners.size() ? 0 : i + 1);
                double sa = a.x * ux + a.y * uy;
                double sb = b.x * ux + b.y * uy;
                double ta = a.y * ux - a.x * uy;
                double tb = b.y * ux - b.x * uy;
                double low = Math.max(from, Math.min(sa, sb));
                double high = Math.max(sa, sb);
                if (high - low < 1e-12) {
                    continue;
                }
                double middle = Math.max(low, Math.min(high, bend));
                double sense = sb > sa ? -1 : 1;
                for (int part = 0; part < 2; part++) {
                    double p = part == 0 ? low : middle;
                    double half = ((part == 0 ? middle : high) - p) / 2;
                    for (int g = 0; g < POINT.length && half > 0; g++) {
                        double s = p + half * (1 + POINT[g]);
                        double t = ta + (s - sa) / (sb - sa) * (tb - ta);
                        double f = sense * stress.applyAsDouble(s) * half * WEIGHT[g];
                        force += f * t;
                        along += f * s * t;
                        across += f * t * t / 2;
                    }
                }
            }
        }
        out[0] = force;
        out[1] = along * ux - across * uy;
        out[2] = along * uy + across * ux;
    }

    /** Why it is no section; empty if it is one. */
    public Optional<String> fault() {
        for (int i = 0; i < rings.size(); i++) {
            String name = i == 0 ? "The outline" : "Opening " + i;
            for (int k = i; k < rings.size(); k++) {
                if (crossing(rings.get(i), rings.get(k), i == k)) {
                    return Optional.of(
                            i == k ? name + " crosses itself." : name + " and opening " + k + " cross or touch.");
                }
            }
            if (Math.abs(rings.get(i).area()) < 1) {
                return Optional.of(name + " has no area.");
            }
            Corner c = rings.get(i).corners().get(0);
            for (int k = 0; k < rings.size() && i > 0; k++) {
                if (k != i && rings.get(k).contains(c.x, c.y) != (k == 0)) {
                    return Optional.of(name + (k == 0 ? " lies outside the outline." : " lies in opening " + k + "."));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean crossing(Ring a, Ring b, boolean same) {
        int n = a.corners().size();
        int m = b.corners().size();
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < m; k++) {
                boolean neighbours = same && (i == k || (i + 1) % n == k || (k + 1) % m == i);
                if (!neighbours
                        && cross(
                                a.corners().get(i),
                                a.corners().get((i + 1) % n),
                                b.corners().get(k),
                                b.corners().get((k + 1) % m))) {
                    return true;
                }
            }
        }
        return same && backwards(a);
    }

    /** Whether an edge runs back over the one before it, or has no length. */
    private static boolean backwards(Ring r) {
        int n = r.corners().size();
        for (int i = 0; i < n; i++) {
            Corner a = r.corners().get(i);
            Corner b = r.corners().get((i + 1) % n);
            Corner c = r.corners().get((i + 2) % n);
            double turn = side(a, b, c);
            double on = (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y);
            if (Math.hypot(b.x - a.x, b.y - a.y) < 1e-6 || Math.abs(turn) < 1e-9 && on < 0) {
                return true;
            }
        }
        return false;
    }

    private static double side(Corner a, Corner b, Corner c) {
        return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
    }

    /** Whether two edges meet anywhere. */
    private static boolean cross(Corner a, Corner b, Corner c, Corner d) {
        double p = side(a, b, c);
        double q = side(a, b, d);
        double r = side(c, d, a);
        double s = side(c, d, b);
        if (p == 0 && q == 0) {
            return between(a, b, c) || between(a, b, d) || between(c, d, a);
        }
        return p * q <= 0 && r * s <= 0;
    }

    private static boolean between(Corner a, Corner b, Corner c) {
        return Math.min(a.x, b.x) <= c.x
                && c.x <= Math.max(a.x, b.x)
                && Math.min(a.y, b.y) <= c.y
                && c.y <= Math.max(a.y, b.y);
    }
}
