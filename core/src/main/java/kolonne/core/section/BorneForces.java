package kolonne.core.section;

import java.util.Optional;

/**
 * The axial forces under which a section bears given moments: what a column has in hand should its load fall, or rise.
 *
 * @param least compression positive [N]; {@code most} likewise
 */
public record BorneForces(double least, double most) {
    private static final int STEPS = 60;

    /**
     * The range that holds the demand's own force or, where the moments are not borne under it, the range nearest to it; empty where no force bears them.
     *
     * @param n compression positive [N]
     */
    public static Optional<BorneForces> of(StrengthSurface s, double n, double mx, double my) {
        double from = -s.steel();
        double step = (s.axialCap() - from) / STEPS;
        double start = nearest(s, n, from, step, mx, my);
        if (Double.isNaN(start)) {
            return Optional.empty();
        }
        return Optional.of(
                new BorneForces(end(s, start, -step, from, mx, my), end(s, start, step, s.axialCap(), mx, my)));
    }

    /** The demand's own force, or the nearest of a row of forces that bears the moments. */
    private static double nearest(StrengthSurface s, double n, double from, double step, double mx, double my) {
        if (borne(s, n, mx, my)) {
            return n;
        }
        double best = Double.NaN;
        for (int i = 0; i <= STEPS; i++) {
            double q = from + i * step;
            if (borne(s, q, mx, my) && !(Math.abs(q - n) >= Math.abs(best - n))) {
                best = q;
            }
        }
        return best;
    }

    /** Where the range ends on one side: step by step, since reduction factors can dent the surface; then by halving. */
    private static double end(StrengthSurface s, double start, double step, double limit, double mx, double my) {
        double in = start;
        while (true) {
            double next = step > 0 ? Math.min(limit, in + step) : Math.max(limit, in + step);
            if (!borne(s, next, mx, my)) {
                return between(s, in, next, mx, my);
            }
            if (next == limit) {
                return limit;
            }
            in = next;
        }
    }

    private static double between(StrengthSurface s, double in, double out, double mx, double my) {
        double a = in;
        double b = out;
        for (int i = 0; i < 40; i++) {
            double mid = (a + b) / 2;
            if (borne(s, mid, mx, my)) {
                a = mid;
            } else {
                b = mid;
            }
        }
        return a;
    }

    private static boolean borne(StrengthSurface s, double n, double mx, double my) {
        return s.exact(n, mx, my).utilisation() <= 1 + 1e-9;
    }
}
