package kolonne.core.section;

/**
 * The design strength surface N-Mx-My of a column section: over the first quadrant of moments where the section is symmetric
 * about both axes, over the whole turn where its bars are not (an odd number round a ring). Utilisation is measured along the ray from the origin through the demand: 1.00 on the surface,
 * continuous in the demand, and axial force and moments of one combination always stay together.
 */
public final class InteractionSurface implements StrengthSurface {
    private static final int ANGLES_IN_QUADRANT = 16;
    private static final int DEPTHS = 48;
    private static final double MOMENT_ZERO = 1e-9;
    /** Of the logarithm of a neutral axis's depth: to begin from, and to end with. */
    private static final double ROUGH = 0.05;

    private static final double FINE = 1e-9;
    /** Longest steps of the direction of compression and of that logarithm towards a ray, and what it is missed by at most [rad]. */
    private static final double[] STEP = {0.3, 0.5};

    private static final double MET = 1e-10;

    private final ColumnSection section;
    private final double scale;
    private final boolean quadrant;
    private final int angles;
    private volatile Mesh mesh;

    /** Points of the surface by angle and depth of the neutral axis; made when first needed, the same every time. */
    private record Mesh(double[][] elevation, double[][] azimuth, double[][] radius) {}

    /**
     * @param scale a length that makes moments comparable to forces: the section's larger dimension [mm]
     * @throws IllegalArgumentException for bars that axial force without moment does not strain evenly: the ray of such a force is no axis of the surface
     */
    public InteractionSurface(ColumnSection section, double scale) {
        if (!section.balanced()) {
            throw new IllegalArgumentException("what the bars bear does not act at the centre");
        }
        this.section = section;
        this.scale = scale;
        this.quadrant = section.symmetric();
        this.angles = (quadrant ? 1 : 4) * ANGLES_IN_QUADRANT + 1;
    }

    private Mesh mesh() {
        Mesh m = mesh;
        if (m == null) {
            m = new Mesh(new double[angles][DEPTHS], new double[angles][DEPTHS], new double[angles][DEPTHS]);
            for (int i = 0; i < angles; i++) {
                for (int j = 0; j < DEPTHS; j++) {
                    ColumnSection.Resultant r = section.at(theta(i), depth(i, j));
                    double bending = Math.hypot(r.Mx(), r.My()) / scale;
                    m.elevation[i][j] = Math.atan2(r.N(), bending);
                    m.azimuth[i][j] = quadrant
                            ? Math.atan2(Math.abs(r.Mx()), Math.abs(r.My()))
                            : theta(i) + turned(Math.atan2(r.Mx(), r.My()) - theta(i));
                    m.radius[i][j] = r.phi() * Math.hypot(r.N(), bending);
                }
            }
            mesh = m;
        }
        return m;
    }

    @Override
    public double axialCap() {
        return section.axialCap;
    }

    @Override
    public double tension() {
        return section.tension;
    }

    /** Bars that balance bear the most without moment. */
    @Override
    public double steel() {
        return section.tension;
    }

    @Override
    public double scale() {
        return scale;
    }

    @Override
    public StrainState state(double theta, double c) {
        return section.state(theta, c);
    }

    @Override
    public boolean symmetric() {
        return quadrant;
    }

    public ColumnSection section() {
        return section;
    }

    private static double theta(int i) {
        return Math.PI / 2 * i / ANGLES_IN_QUADRANT;
    }

    /** An angle brought to within half a turn of zero. */
    private static double turned(double a) {
        return a - 2 * Math.PI * Math.rint(a / (2 * Math.PI));
    }

    /** Direction of a demand's moments: in the first quadrant, or from 0 to a whole turn. */
    private double azimuth(double mx, double my) {
        double a = quadrant ? Math.atan2(Math.abs(mx), Math.abs(my)) : Math.atan2(mx, my);
        return a < 0 ? a + 2 * Math.PI : a;
    }

    /** Neutral-axis depths from 1/50 of the section to thirty times it, closer together where the section cracks. */
    private double depth(int i, int j) {
        double t = (double) j / (DEPTHS - 1);
        double h = 2 * section.reach(theta(i));
        return h * (0.01 + 1.5 * t * t + 30 * Math.pow(t, 12));
    }

    /** From the stored mesh, straight between its points. */
    @Override
    public double screened(double n, double mx, double my) {
        double m = Math.hypot(mx, my) / scale;
        double size = Math.hypot(n, m);
        if (size == 0) {
            return 0;
        }
        double capped = n > 0 ? n / section.axialCap : -n / section.tension;
        if (m < MOMENT_ZERO * size) {
            return capped;
        }
        double e = Math.atan2(n, m);
        double a = azimuth(mx, my);
        Mesh k = mesh();
        double lowA = 0;
        double lowR = 0;
        for (int i = 0; i < angles; i++) {
            int j = bracket(k.elevation[i], e);
            double e1 = k.elevation[i][j];
            double e2 = k.elevation[i][j + 1];
            double t = Math.max(0, Math.min(1, (e - e1) / (e2 - e1)));
            double ai = k.azimuth[i][j] + t * (k.azimuth[i][j + 1] - k.azimuth[i][j]);
            double ri = chord(k.radius[i][j], k.radius[i][j + 1], e1, e2, e1 + t * (e2 - e1));
            if (ai >= a - 1e-12 || i == angles - 1) {
                double r = i == 0 || ai <= lowA ? ri : chord(lowR, ri, lowA, ai, Math.max(lowA, Math.min(ai, a)));
                return Math.max(size / r, n > 0 ? capped : 0);
            }
            lowA = ai;
            lowR = ri;
        }
        throw new IllegalStateException("Impossible: the last angle ends the search");
    }

    /** Radius at angle {@code at} of the straight line between two points given by radius and angle. */
    private static double chord(double r1, double r2, double a1, double a2, double at) {
        double whole = Math.sin(a2 - a1);
        return whole < 1e-9 ? r2 : whole / (Math.sin(a2 - at) / r1 + Math.sin(at - a1) / r2);
    }

    private static int bracket(double[] ascending, double v) {
        int low = 0;
        int high = ascending.length - 1;
        while (high - low > 1) {
            int mid = (low + high) >>> 1;
            if (ascending[mid] <= v) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /**
     * Where a demand's ray meets the surface.
     *
     * @param utilisation demand over capacity along the ray
     * @param theta       direction of the compression side, from the width's axis [rad]
     * @param c           neutral-axis depth [mm]; infinite where pure compression governs
     * @param nominal     resultants there
     * @param capped      whether the code's cap on axial force governs
     */
    public record Hit(double utilisation, double theta, double c, ColumnSection.Resultant nominal, boolean capped) {}

    /** The exact intersection: the neutral axis whose nominal resultants lie on the ray; reduction does not turn it. */
    @Override
    public Hit exact(double n, double mx, double my) {
        double m = Math.hypot(mx, my);
        double size = Math.hypot(n, m / scale);
        double axial = n > 0 ? n / section.axialCap : 0;
        if (m / scale < MOMENT_ZERO * size || size == 0) {
            double u = n > 0 ? axial : -n / section.tension;
            return new Hit(u, 0, Double.POSITIVE_INFINITY, section.at(0, 1e6), n > 0);
        }
        double e = Math.atan2(n, m / scale);
        double a = azimuth(mx, my);
        double theta = a;
        double c = Double.NaN;
        if (!quadrant || a > 1e-9 && a < Math.PI / 2 - 1e-9) {
            double[] met = {a, Math.log(depthFor(a, e, ROUGH))};
            if (TwoRoots.find((q, log, out) -> off(q, log, a, e, out), met, STEP, MET) && between(met[0], a)) {
                theta = met[0];
                c = Math.exp(met[1]);
            } else {
                theta = thetaFor(a, e);
            }
        }
        if (Double.isNaN(c)) {
            c = depthFor(theta, e, FINE);
        }
        ColumnSection.Resultant r = section.at(theta, c);
        double capacity = r.phi() * Math.hypot(r.N(), Math.hypot(r.Mx(), r.My()) / scale);
        double u = size / capacity;
        return axial > u ? new Hit(axial, theta, c, r, true) : new Hit(u, theta, c, r, false);
    }

    /** By how much the resultants' azimuth and elevation are off the ray's, for a neutral axis of logarithmic depth. */
    private void off(double theta, double log, double a, double e, double[] out) {
        ColumnSection.Resultant r = section.at(theta, Math.exp(log));
        out[0] = turned(Math.atan2(r.Mx(), r.My()) - a);
        out[1] = Math.atan2(r.N(), Math.hypot(r.Mx(), r.My()) / scale) - e;
    }

    /** Whether a direction of compression is within a right angle of the moments', as that of every ray is. */
    private boolean between(double theta, double a) {
        return quadrant ? theta >= 0 && theta <= Math.PI / 2 : Math.abs(theta - a) <= Math.PI / 2;
    }

    /** The same without slopes: one unknown inside the other, for rays that meet the surface where a bar enters the block and it jumps. */
    private double thetaFor(double a, double e) {
        return Root.find(
                q -> {
                    ColumnSection.Resultant r = section.at(q, depthFor(q, e, FINE));
                    return turned(Math.atan2(r.Mx(), r.My()) - a);
                },
                quadrant ? 0 : a - Math.PI / 2,
                quadrant ? Math.PI / 2 : a + Math.PI / 2,
                1e-8);
    }

    /** Neutral-axis depth at which the nominal resultants have the elevation {@code e}, which grows with c. */
    private double depthFor(double theta, double e, double tolerance) {
        double h = 2 * section.reach(theta);
        double log = Root.find(
                q -> {
                    ColumnSection.Resultant r = section.at(theta, Math.exp(q));
                    return Math.atan2(r.N(), Math.hypot(r.Mx(), r.My()) / scale) - e;
                },
                Math.log(1e-4 * h),
                Math.log(1e4 * h),
                tolerance);
        return Math.exp(log);
    }
}
