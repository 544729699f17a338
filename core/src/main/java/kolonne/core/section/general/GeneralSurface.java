package kolonne.core.section.general;

import kolonne.core.section.ColumnSection.Resultant;
import kolonne.core.section.InteractionSurface.Hit;
import kolonne.core.section.StrainState;
import kolonne.core.section.StrengthSurface;

/**
 * The design strength surface N-Mx-My of a section without symmetry. Utilisation is measured along the ray from the origin through the demand: 1.00 on the
 * surface. The neutral axis whose nominal resultants lie on the ray is found from the nearest of a mesh of axes by Newton's method or, where that leads nowhere,
 * by halving ({@link WoundAxis}).
 */
public final class GeneralSurface implements StrengthSurface {
    private static final int ANGLES = 60;
    private static final int DEPTHS = 32;
    /** Depths over the size of the section, and how near to the ray the best of them must be. */
    private static final double[] STARTING = {0.1, 0.2, 0.35, 0.6, 1, 1.6};

    private static final double STARTING_NEAR = 0.8;
    private static final int NEWTON = 40;
    /** Neutral axes are looked for between these parts of the section's size: everything in tension, everything crushed. */
    private static final double LEAST = 1e-7;

    private static final double MOST = 1e7;
    /** How far off the ray resultants may lie, as a part of their size. */
    private static final double NEAR = 1e-9;
    /** The same at the ends of the range, where the neutral axis hardly moves them any more. */
    private static final double NEAR_END = 1e-6;

    private final GeneralSection section;
    private final double scale;
    private volatile Mesh mesh;
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
    public double steel() {
        return section.steel();
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

    /** Of neutral axes by angle and depth: the unit vector of the nominal resultants and the design strength along it. */
    private record Mesh(double[] x, double[] y, double[] z, double[] strength) {
        /** The axis whose resultants point most nearly the way of {@code d}. */
        int nearest(double[] d) {
            int best = 0;
            double most = -2;
            for (int k = 0; k < x.length; k++) {
                double near = x[k] * d[0] + y[k] * d[1] + z[k] * d[2];
                if (near > most) {
                    most = near;
                    best = k;
                }
            }
            return best;
        }

        /** A point of the design surface. */
        double[] point(int k) {
            return new double[] {strength[k] * x[k], strength[k] * y[k], strength[k] * z[k]};
        }
    }

    private static double theta(int k) {
        return 2 * Math.PI * (k / DEPTHS) / ANGLES;
    }

    private static double logC(int k) {
        double t = (double) (k % DEPTHS) / (DEPTHS - 1);
        return Math.log(0.01 + 1.5 * t * t + 30 * Math.pow(t, 12));
    }

    private Mesh mesh() {
        Mesh m = mesh;
        if (m == null) {
            int n = ANGLES * DEPTHS;
            m = new Mesh(new double[n], new double[n], new double[n], new double[n]);
            for (int k = 0; k < n; k++) {
                Resultant r = at(theta(k), logC(k));
                double[] whole = vector(r);
                double size = Math.sqrt(Vectors.dot(whole, whole));
                m.x[k] = whole[0] / size;
                m.y[k] = whole[1] / size;
                m.z[k] = whole[2] / size;
                m.strength[k] = r.phi() * size;
            }
            mesh = m;
        }
        return m;
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
        double size = Math.sqrt(Vectors.dot(demand, demand));
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
        double use = size / (r.phi() * Math.sqrt(Vectors.dot(v, v)));
        double c = Math.exp(axis[1]) * section.size(axis[0]);
        return cap > use ? new Hit(cap, axis[0], c, r, true) : new Hit(use, axis[0], c, r, false);
    }

    /** From the triangles of the mesh round its point nearest to the ray, or that point itself where the mesh is so close that the ray meets none of them. */
    @Override
    public double screened(double n, double mx, double my) {
        double[] demand = {n, mx / scale, my / scale};
        double size = Math.sqrt(Vectors.dot(demand, demand));
        if (size == 0) {
            return 0;
        }
        double[] d = {demand[0] / size, demand[1] / size, demand[2] / size};
        Mesh all = mesh();
        int best = all.nearest(d);
        double strength = round(all, best / DEPTHS, best % DEPTHS, d);
        double cap = n > 0 ? n / section.axialCap() : 0;
        return Math.max(cap, size / (Double.isNaN(strength) ? all.strength[best] : strength));
    }

    /** Strength along a direction from the triangles at a point of the mesh; not a number where it meets none. */
    private static double round(Mesh all, int i, int j, double[] d) {
        double[] a = all.point(i * DEPTHS + j);
        for (int di = -1; di <= 1; di += 2) {
            int i2 = (i + di + ANGLES) % ANGLES;
            for (int dj = -1; dj <= 1; dj += 2) {
                int j2 = j + dj;
                if (j2 < 0 || j2 >= DEPTHS) {
                    continue;
                }
                double[] e = all.point(i2 * DEPTHS + j2);
                double r = through(a, all.point(i2 * DEPTHS + j), e, d);
                r = Double.isNaN(r) ? through(a, all.point(i * DEPTHS + j2), e, d) : r;
                if (!Double.isNaN(r)) {
                    return r;
                }
            }
        }
        return Double.NaN;
    }

    /** Distance along a direction to the triangle of three points of the design surface; not a number where it passes by. */
    private static double through(double[] p, double[] b, double[] c, double[] d) {
        double[] q = Vectors.less(b, p);
        double[] r = Vectors.less(c, p);
        double[] h = Vectors.cross(d, r);
        double det = Vectors.dot(q, h);
        if (Math.abs(det) < 1e-12 * Vectors.dot(p, p)) {
            return Double.NaN;
        }
        double[] s = {-p[0], -p[1], -p[2]};
        double u = Vectors.dot(s, h) / det;
        double[] k = Vectors.cross(s, q);
        double v = Vectors.dot(d, k) / det;
        double t = Vectors.dot(r, k) / det;
        boolean inside = u >= -1e-9 && v >= -1e-9 && u + v <= 1 + 1e-9 && t > 0;
        return inside ? t : Double.NaN;
    }

    /** Direction and log of the depth of the neutral axis whose resultants point the way of {@code d}; null where there is none. */
    private double[] axis(double[] d) {
        double[] quick = mesh == null ? beforeTheMesh(d) : null;
        if (quick != null) {
            return quick;
        }
        int best = mesh().nearest(d);
        double[] start = {theta(best), logC(best)};
        double[] found = newton(start[0], start[1], d);
        return found == null ? wound(d, start) : found;
    }

    /** The same without slopes. */
    private double[] wound(double[] d, double[] near) {
        for (double end : new double[] {LEAST, MOST}) {
            if (off(0, Math.log(end), d) < NEAR_END) {
                return new double[] {0, Math.log(end)};
            }
        }
        return new WoundAxis(
                        (theta, logC) -> Vectors.unit(vector(at(theta, logC))),
                        d,
                        Bends.of(section.outline(), section.bars()),
                        Math.log(LEAST),
                        Math.log(MOST))
                .axis(near);
    }

    /** How far off the ray the resultants of an axis point. */
    private double off(double theta, double logC, double[] d) {
        double[] off = Vectors.less(Vectors.unit(vector(at(theta, logC))), d);
        return Math.sqrt(Vectors.dot(off, off));
    }

    /** The same from a few axes square to the moments: a surface that one demand already finds too weak needs no mesh. */
    private double[] beforeTheMesh(double[] d) {
        double theta = Math.atan2(d[1], d[2]);
        double best = 0;
        double most = -2;
        for (double part : STARTING) {
            double near = Vectors.dot(Vectors.unit(vector(at(theta, Math.log(part)))), d);
            if (near > most) {
                most = near;
                best = part;
            }
        }
        return most > STARTING_NEAR ? newton(theta, Math.log(best), d) : null;
    }

    /** From a start by Newton's method; null where it leads nowhere. */
    private double[] newton(double theta, double logC, double[] d) {
        double[] e1 = Vectors.across(d);
        double[] e2 = Vectors.cross(d, e1);
        double[] at = {theta, logC};
        return size(steps(at, d, e1, e2)) < NEAR ? at : null;
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

    private static double bounded(double logC) {
        return Math.max(Math.log(LEAST), Math.min(Math.log(MOST), logC));
    }

    /** How far the resultants of an axis point off the demand, in two directions across it; and along it. */
    private double[] off(double theta, double logC, double[] d, double[] e1, double[] e2) {
        double[] v = Vectors.unit(vector(at(theta, logC)));
        return new double[] {Vectors.dot(v, e1), Vectors.dot(v, e2), Vectors.dot(v, d)};
    }
}
