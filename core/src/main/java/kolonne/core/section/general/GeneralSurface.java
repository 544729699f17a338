package kolonne.core.section.general;

import kolonne.core.section.ColumnSection.Resultant;
import kolonne.core.section.InteractionSurface.Hit;
import kolonne.core.section.StrengthSurface;

/**
 * The design strength surface N-Mx-My of a section without symmetry. Utilisation is measured along the ray from the origin through the demand: 1.00 on the
 * surface. The neutral axis whose nominal resultants lie on the ray is found from the nearest of a mesh of axes, by Newton's method.
 */
public final class GeneralSurface implements StrengthSurface {
    private static final int ANGLES = 72;
    private static final int DEPTHS = 40;
    private static final int NEWTON = 40;
    private static final int STARTS = 6;
    private static final int ROUNDS = 6;
    private static final int SEARCH = 60;
    /** Neutral axes are looked for between these parts of the section's size: everything in tension, everything crushed. */
    private static final double LEAST = 1e-4;

    private static final double MOST = 1e4;
    /** How far off the ray resultants may lie, as a part of their size. */
    private static final double NEAR = 1e-9;
    /** The same at the ends of the range, where the neutral axis hardly moves them any more. */
    private static final double NEAR_END = 2e-3;

    private final GeneralSection section;
    private final double scale;
    private volatile double[][] mesh;
    private volatile double tension;

    public GeneralSurface(GeneralSection section) {
        this.section = section;
        this.scale = Math.max(section.size(0), section.size(Math.PI / 2));
    }

    @Override
    public double axialCap() {
        return section.axialCap();
    }

    @Override
    public double tension() {
        double t = tension;
        if (t == 0) {
            t = 1 / exact(-1, 0, 0).utilisation();
            tension = t;
        }
        return t;
    }

    @Override
    public double scale() {
        return scale;
    }

    @Override
    public boolean symmetric() {
        return false;
    }

    public GeneralSection section() {
        return section;
    }

    /** Resultants with moments made comparable to forces. */
    private double[] vector(Resultant r) {
        return new double[] {r.N(), r.Mx() / scale, r.My() / scale};
    }

    private Resultant at(double theta, double logC) {
        return section.at(theta, Math.exp(logC) * section.size(theta));
    }

    /** Unit vectors of the nominal resultants: theta, log of the depth over the size, and the three components. */
    private double[][] mesh() {
        double[][] m = mesh;
        if (m == null) {
            m = new double[ANGLES * DEPTHS][];
            for (int i = 0; i < ANGLES; i++) {
                double theta = 2 * Math.PI * i / ANGLES;
                for (int j = 0; j < DEPTHS; j++) {
                    double t = (double) j / (DEPTHS - 1);
                    double logC = Math.log(0.01 + 1.5 * t * t + 30 * Math.pow(t, 12));
                    double[] v = unit(vector(at(theta, logC)));
                    m[i * DEPTHS + j] = new double[] {theta, logC, v[0], v[1], v[2]};
                }
            }
            mesh = m;
        }
        return m;
    }

    private static double[] unit(double[] v) {
        double size = Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
        return new double[] {v[0] / size, v[1] / size, v[2] / size};
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    /**
     * Where a demand's ray meets the surface; infinite use where the section bears nothing in its direction, as one row of bars in tension beside the
     * centroid.
     *
     * @param n compression positive [N]
     */
    @Override
    public Hit exact(double n, double mx, double my) {
        double[] demand = {n, mx / scale, my / scale};
        double size = Math.sqrt(dot(demand, demand));
        if (size == 0) {
            return new Hit(0, 0, Double.POSITIVE_INFINITY, at(0, Math.log(MOST)), false);
        }
        double[] d = {demand[0] / size, demand[1] / size, demand[2] / size};
        double[] axis = axis(d);
        double cap = n > 0 ? n / section.axialCap() : 0;
        if (axis == null) {
            Resultant none = at(0, Math.log(LEAST));
            return new Hit(Double.POSITIVE_INFINITY, 0, 0, none, false);
        }
        Resultant r = at(axis[0], axis[1]);
        double[] v = vector(r);
        double use = size / (r.phi() * Math.sqrt(dot(v, v)));
        double c = Math.exp(axis[1]) * section.size(axis[0]);
        return cap > use ? new Hit(cap, axis[0], c, r, true) : new Hit(use, axis[0], c, r, false);
    }

    /** Direction and log of the depth of the neutral axis whose resultants point the way of {@code d}; null where there is none. */
    private double[] axis(double[] d) {
        double[][] all = mesh();
        // the nearest of the mesh, and next the nearest of other directions
        boolean[] tried = new boolean[ANGLES];
        for (int start = 0; start < STARTS; start++) {
            int best = -1;
            double most = -2;
            for (int k = 0; k < all.length; k++) {
                double near = all[k][2] * d[0] + all[k][3] * d[1] + all[k][4] * d[2];
                if (near > most && !tried[k / DEPTHS]) {
                    most = near;
                    best = k;
                }
            }
            tried[best / DEPTHS] = true;
            double[] found = newton(all[best][0], all[best][1], d);
            if (found != null) {
                return found;
            }
        }
        return null;
    }

    /** From a start by Newton's method; where a yielding bar bends the surface and stops it, by steps to and fro. */
    private double[] newton(double theta0, double logC0, double[] d) {
        double[] e1 = unit(Math.abs(d[0]) < 0.9 ? cross(d, new double[] {1, 0, 0}) : cross(d, new double[] {0, 1, 0}));
        double[] e2 = cross(d, e1);
        double[] at = {theta0, logC0};
        for (int round = 0; round < ROUNDS; round++) {
            if (size(steps(at, d, e1, e2)) < NEAR || size(search(at, d, e1, e2)) < NEAR) {
                return at;
            }
        }
        boolean end = at[1] < Math.log(LEAST * 1.01) || at[1] > Math.log(MOST / 1.01);
        double[] f = off(at[0], at[1], d, e1, e2);
        return size(f) < (end ? NEAR_END : 1e3 * NEAR) ? at : null;
    }

    /** How far off the ray; far where the resultants point away. */
    private static double size(double[] f) {
        return f[2] > 0 ? Math.hypot(f[0], f[1]) : 2;
    }

    /** @param at is moved; @return what is left there */
    private double[] steps(double[] at, double[] d, double[] e1, double[] e2) {
        double[] f = off(at[0], at[1], d, e1, e2);
        for (int k = 0; k < NEWTON && size(f) >= NEAR; k++) {
            double h = 1e-6;
            double[] a = off(at[0] + h, at[1], d, e1, e2);
            double[] b = off(at[0], at[1] + h, d, e1, e2);
            double j11 = (a[0] - f[0]) / h;
            double j21 = (a[1] - f[1]) / h;
            double j12 = (b[0] - f[0]) / h;
            double j22 = (b[1] - f[1]) / h;
            double det = j11 * j22 - j12 * j21;
            if (Math.abs(det) < 1e-16) {
                return f;
            }
            double dTheta = Math.max(-0.4, Math.min(0.4, -(f[0] * j22 - f[1] * j12) / det));
            double dLog = Math.max(-0.7, Math.min(0.7, -(f[1] * j11 - f[0] * j21) / det));
            double[] next = null;
            double step = 1;
            for (int half = 0; half < 12 && next == null; half++, step /= 2) {
                double[] q = off(at[0] + step * dTheta, bounded(at[1] + step * dLog), d, e1, e2);
                if (size(q) < size(f)) {
                    next = q;
                    at[0] += step * dTheta;
                    at[1] = bounded(at[1] + step * dLog);
                }
            }
            if (next == null) {
                return f;
            }
            f = next;
        }
        return f;
    }

    /** The same by steps to and fro that halve where none helps. */
    private double[] search(double[] at, double[] d, double[] e1, double[] e2) {
        double[] f = off(at[0], at[1], d, e1, e2);
        double stepTheta = 0.05;
        double stepLog = 0.1;
        for (int k0 = 0; k0 < SEARCH && stepTheta > 1e-11 && size(f) >= NEAR; k0++) {
            boolean better = false;
            for (int k = 0; k < 8; k++) {
                double turn = Math.PI / 4 * k;
                double theta = at[0] + stepTheta * Math.cos(turn);
                double logC = bounded(at[1] + stepLog * Math.sin(turn));
                double[] q = off(theta, logC, d, e1, e2);
                if (size(q) < size(f)) {
                    f = q;
                    at[0] = theta;
                    at[1] = logC;
                    better = true;
                }
            }
            if (!better) {
                stepTheta /= 2;
                stepLog /= 2;
            }
        }
        return f;
    }

    private static double bounded(double logC) {
        return Math.max(Math.log(LEAST), Math.min(Math.log(MOST), logC));
    }

    /** How far the resultants of an axis point off the demand, in two directions across it; and along it. */
    private double[] off(double theta, double logC, double[] d, double[] e1, double[] e2) {
        double[] v = unit(vector(at(theta, logC)));
        return new double[] {dot(v, e1), dot(v, e2), dot(v, d)};
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }
}
