package kolonne.core.section;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Curves on the strength surface of a column section, to be drawn: at an angle of moments, at an axial force, and all round. */
public final class SurfaceCurves {
    private static final int STEPS = 60;
    /** Number of the last point of a meridian. */
    public static final int LAST = STEPS;

    private static final int ROUND = 72;
    private static final int MERIDIANS = 48;
    private static final int LEVELS = 28;
    /** Makes steps along a meridian about even: a usual lever arm of moments [mm]. */
    private static final double ARM = 300;

    private SurfaceCurves() {}

    /** Axial force (compression positive) [N] and the moments about the section's axes [Nmm] at a point of the surface. */
    public record Point(double n, double mx, double my) {
        public double m() {
            return Math.hypot(mx, my);
        }
    }

    /** @param design with strength reduced; {@code nominal} as it is, where bending counts */
    public record Meridian(List<Point> design, List<Point> nominal) {}

    /** From pure tension to pure compression at one angle of the moments. @param angle from the y axis' moment [rad] */
    public static Meridian meridian(StrengthSurface s, double angle) {
        List<Point> design = new ArrayList<>();
        List<Point> nominal = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            double e = Math.PI * (i / (double) STEPS - 0.5);
            InteractionSurface.Hit hit = hit(s, e, angle, design);
            if (!Double.isInfinite(hit.c())) {
                nominal.add(new Point(
                        hit.nominal().N(), hit.nominal().Mx(), hit.nominal().My()));
            }
        }
        return new Meridian(design, nominal);
    }

    /** Strains and stresses at a point of the meridian by its number, from 0 in pure tension to {@link #LAST}; empty where the section bears nothing. */
    public static Optional<StrainState> along(StrengthSurface s, double angle, int step) {
        double e = Math.PI * (step / (double) STEPS - 0.5);
        double m = Math.max(0, Math.cos(e)) * ARM;
        return s.state(Math.sin(e), m * Math.sin(angle), m * Math.cos(angle));
    }

    private static InteractionSurface.Hit hit(StrengthSurface s, double elevation, double angle, List<Point> out) {
        double m = Math.max(0, Math.cos(elevation)) * ARM;
        double n = Math.sin(elevation);
        InteractionSurface.Hit hit = s.exact(n, m * Math.sin(angle), m * Math.cos(angle));
        double u = hit.utilisation();
        out.add(new Point(n / u, m * Math.sin(angle) / u, m * Math.cos(angle) / u));
        return hit;
    }

    /**
     * Design strength in bending in one direction under an axial force that stays as it is [Nmm]; 0 where the force alone is more than the section bears.
     *
     * @param p compression positive [N]
     */
    public static double momentAt(StrengthSurface s, double p, double angle) {
        double most = p > 0 ? s.axialCap() : s.tension();
        if (Math.abs(p) >= most) {
            return 0;
        }
        double high = (s.axialCap() + s.tension()) * 2 * s.scale();
        return Root.find(
                m -> s.exact(p, m * Math.sin(angle), m * Math.cos(angle)).utilisation() - 1, 0, high, 1e-9 * high);
    }

    /** Strength in bending all round under one axial force, in order of the angle; the first point again at the end. */
    public static List<Point> contour(StrengthSurface s, double p) {
        double[] m = new double[ROUND];
        int quarter = ROUND / 4;
        for (int i = 0; i < ROUND; i++) {
            boolean mirrored = s.symmetric() && i > quarter;
            int like = i <= 2 * quarter ? 2 * quarter - i : i <= 3 * quarter ? i - 2 * quarter : ROUND - i;
            m[i] = mirrored ? m[like] : momentAt(s, p, angle(i, ROUND));
        }
        List<Point> out = new ArrayList<>();
        for (int i = 0; i <= ROUND; i++) {
            double a = angle(i % ROUND, ROUND);
            out.add(new Point(p, m[i % ROUND] * Math.sin(a), m[i % ROUND] * Math.cos(a)));
        }
        return out;
    }

    private static double angle(int i, int of) {
        return 2 * Math.PI * i / of;
    }

    /** Meridians all round, each from pure tension to pure compression in the same steps; the first is not repeated. */
    public static List<List<Point>> mesh(StrengthSurface s) {
        List<List<Point>> out = new ArrayList<>();
        int quarter = MERIDIANS / 4;
        for (int i = 0; i < MERIDIANS; i++) {
            int like = i <= 2 * quarter ? 2 * quarter - i : i <= 3 * quarter ? i - 2 * quarter : MERIDIANS - i;
            out.add(s.symmetric() && i > quarter ? mirrored(out.get(like), i, quarter) : meridianOf(s, i));
        }
        return out;
    }

    private static List<Point> meridianOf(StrengthSurface s, int i) {
        List<Point> out = new ArrayList<>();
        for (int k = 0; k <= LEVELS; k++) {
            hit(s, Math.PI * (k / (double) LEVELS - 0.5), angle(i, MERIDIANS), out);
        }
        return out;
    }

    private static List<Point> mirrored(List<Point> of, int i, int quarter) {
        double x = i >= 2 * quarter ? -1 : 1;
        double y = i > quarter && i <= 3 * quarter ? -1 : 1;
        return of.stream()
                .map(p -> new Point(p.n(), x * Math.abs(p.mx()), y * Math.abs(p.my())))
                .toList();
    }
}
