package kolonne.core.section.general;

import java.util.List;
import java.util.Optional;
import kolonne.core.section.PlacedBar;

/**
 * The stress of a cracked section under service load: plane sections, linear elastic, no tension in the concrete. The stress of concrete, had it tension, is
 * {@code a + b x + c y}, compression positive; that of a bar is as many times more as steel is stiffer.
 *
 * @param a [MPa]; {@code b} and {@code c} [MPa/mm]
 * @param n modulus of steel over that of concrete
 */
public record ElasticState(double a, double b, double c, double n) {
    private static final int STEPS = 200;
    private static final double EXACT = 1e-9;

    /**
     * The state that balances forces about the origin of the outline; empty where none does: nothing takes the tension.
     *
     * @param p  compression positive [N]
     * @param mx positive with compression at +y; my at +x [Nmm]
     */
    public static Optional<ElasticState> of(
            Outline outline, List<PlacedBar> bars, double n, double p, double mx, double my) {
        return new Search(outline, bars, n, new double[] {p, my, mx}).state();
    }

    /** Stress of concrete at a place, compression positive; below zero where it is cracked [MPa]. */
    public double plane(double x, double y) {
        return a + b * x + c * y;
    }

    /** Stress of a bar, tension positive [MPa]. */
    public double bar(double x, double y) {
        return -n * plane(x, y);
    }

    /** Rise of the plane per length [MPa/mm]. */
    public double slope() {
        return Math.hypot(b, c);
    }

    /** Newton's steps on the energy of the section, which is convex: each solves the section cracked as the last one left it, and goes as far as the energy falls. */
    private static final class Search {
        private final Outline outline;
        private final List<PlacedBar> bars;
        private final double n;
        private final double[] force;
        /** A length of the section, which makes forces and moments alike [mm]. */
        private final double size;

        Search(Outline outline, List<PlacedBar> bars, double n, double[] force) {
            this.outline = outline;
            this.bars = bars;
            this.n = n;
            this.size = Math.sqrt(outline.area());
            this.force = new double[] {force[0], force[1] / size, force[2] / size};
        }

        Optional<ElasticState> state() {
            double largest = Math.max(Math.abs(force[0]), Math.hypot(force[1], force[2]));
            if (largest == 0) {
                return Optional.of(new ElasticState(0, 0, 0, n));
            }
            double[] q = new double[3];
            boolean uncracked = true;
            for (int i = 0; i < STEPS; i++) {
                double[][] k = stiffness(q, uncracked);
                double[] off = less(force, times(k, q));
                uncracked = false;
                if (i > 0 && length(off) < EXACT * largest) {
                    return Optional.of(new ElasticState(q[0], q[1] / size, q[2] / size, n));
                }
                double[] step = solved(k, off);
                if (step == null) {
                    return Optional.empty();
                }
                q = ahead(q, step);
            }
            return Optional.empty();
        }

        private double[] ahead(double[] q, double[] step) {
            double from = energy(q);
            double slope = -dot(step, less(force, times(stiffness(q, false), q)));
            double t = 1;
            for (int k = 0; k < 40; k++, t /= 2) {
                double[] next = {q[0] + t * step[0], q[1] + t * step[1], q[2] + t * step[2]};
                if (energy(next) <= from + 1e-4 * t * slope + 1e-12 * Math.abs(from)) {
                    return next;
                }
            }
            return new double[] {q[0] + t * step[0], q[1] + t * step[1], q[2] + t * step[2]};
        }

        /** Half the work of stresses less that of the forces. */
        private double energy(double[] q) {
            return dot(q, times(stiffness(q, false), q)) / 2 - dot(q, force);
        }

        /** @param whole whether all concrete counts, as for the first step */
        private double[][] stiffness(double[] q, boolean whole) {
            double[] m = whole ? outline.moments(1, 0, 0) : outline.moments(q[0], q[1] / size, q[2] / size);
            double[] s = {m[0], m[1], m[2], m[3], m[4], m[5]};
            for (PlacedBar b : bars) {
                boolean inConcrete = whole || q[0] + (q[1] * b.x() + q[2] * b.y()) / size > 0;
                double area = b.area() * (inConcrete ? n - 1 : n);
                double[] of = {1, b.x(), b.y(), b.x() * b.x(), b.x() * b.y(), b.y() * b.y()};
                for (int i = 0; i < s.length; i++) {
                    s[i] += area * of[i];
                }
            }
            double z = size;
            return new double[][] {
                {s[0], s[1] / z, s[2] / z},
                {s[1] / z, s[3] / z / z, s[4] / z / z},
                {s[2] / z, s[4] / z / z, s[5] / z / z}
            };
        }
    }

    private static double[] times(double[][] k, double[] q) {
        return new double[] {dot(k[0], q), dot(k[1], q), dot(k[2], q)};
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[] less(double[] a, double[] b) {
        return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
    }

    private static double length(double[] a) {
        return Math.sqrt(dot(a, a));
    }

    /** By Cramer's rule; null where the section holds nothing in some direction. */
    private static double[] solved(double[][] k, double[] f) {
        double d = determinant(k);
        if (!(Math.abs(d) > 1e-10 * k[0][0] * k[1][1] * k[2][2]) || !(k[0][0] > 0)) {
            return null;
        }
        double[] out = new double[3];
        for (int i = 0; i < 3; i++) {
            double[][] m = {k[0].clone(), k[1].clone(), k[2].clone()};
            for (int r = 0; r < 3; r++) {
                m[r][i] = f[r];
            }
            out[i] = determinant(m) / d;
        }
        return out;
    }

    private static double determinant(double[][] m) {
        return m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1])
                - m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0])
                + m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
    }
}
