package kolonne.audit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Strength of sections by fibres: plane sections, the block of the code over every fibre, bars one by one. */
final class Fibres {
    private static final int STRIPS = 300;
    private static final int GRID = 36;

    private Fibres() {}

    /** Bars of a beam at a depth from the compression face. */
    record Level(double depth, double area) {}

    /** Design moment, net tension strain, neutral axis. */
    record Bent(double moment, double strain, double axis) {}

    /** A beam section in bending: force over the strips zero by bisection of the neutral axis. */
    static Bent beam(Sheet.Span s, boolean sagging, List<Level> levels, Materials m, double fy) {
        double low = 1e-3 * s.h();
        double high = 3 * s.h();
        double[] out = new double[2];
        for (int k = 0; k < 50; k++) {
            double c = (low + high) / 2;
            sum(s, sagging, levels, m, fy, c, out);
            low = out[0] < 0 ? c : low;
            high = out[0] < 0 ? high : c;
        }
        sum(s, sagging, levels, m, fy, high, out);
        double deepest = levels.stream().mapToDouble(Level::depth).max().orElse(0);
        double strain = m.crushing(s.fc()) * (deepest - high) / high;
        return new Bent(m.phi(Math.max(0, strain)) * out[1], strain, high);
    }

    private static void sum(
            Sheet.Span s, boolean sagging, List<Level> levels, Materials m, double fy, double c, double[] out) {
        double block = m.blockDepth(s.fc()) * c;
        double n = 0;
        double moment = 0;
        double t = s.h() / STRIPS;
        for (int i = 0; i * t < block && i < STRIPS; i++) {
            double depth = (i + 0.5) * t;
            double part = Math.min(1, (block - i * t) / t);
            double f = part * t * m.blockStress(s.fc()) * s.width(sagging ? depth : s.h() - depth);
            n += f;
            moment -= f * (i * t + part * t / 2);
        }
        for (Level l : levels) {
            double eps = m.crushing(s.fc()) * (c - l.depth()) / c;
            double f = (Math.max(-fy, Math.min(fy, 200_000 * eps)) - (l.depth() < block ? m.blockStress(s.fc()) : 0))
                    * l.area();
            n += f;
            moment -= f * l.depth();
        }
        out[0] = n;
        out[1] = moment;
    }

    /** What a surface depends on: lifts that are built alike share it. */
    private record Built(
            boolean round,
            double b,
            double h,
            double fc,
            List<Sheet.Dot> bars,
            List<Part> parts,
            boolean around,
            Sheet.Basis basis) {}

    /** Of their strength, what a bar bears where it is pulled, and where it is pushed. */
    record Part(double pull, double push) {}

    private static final Map<Built, double[][][]> SURFACES = new ConcurrentHashMap<>();

    /** Points of the design surface of a column: rows by direction of the axis, from tension to compression; {N, Mx, My}, moments over the larger side. */
    static double[][][] surface(Sheet.Lift l, Materials m, Sheet.Basis b) {
        return surface(l, 1, m, b);
    }

    /** The same with bars that bear only a part of their strength where they are pulled. */
    static double[][][] surface(Sheet.Lift l, double pull, Materials m, Sheet.Basis b) {
        return kept(l, Collections.nCopies(l.bars().size(), new Part(pull, 1)), false, m, b);
    }

    /** All round, since bars that each bear a part of their own are not alike to every side. */
    static double[][][] around(Sheet.Lift l, List<Part> parts, Materials m, Sheet.Basis b) {
        return kept(l, parts, true, m, b);
    }

    private static double[][][] kept(Sheet.Lift l, List<Part> parts, boolean around, Materials m, Sheet.Basis b) {
        return SURFACES.computeIfAbsent(
                new Built(l.round(), l.b(), l.h(), l.fc(), l.bars(), parts, around, b),
                k -> computed(l, parts, around, m, b));
    }

    private static double[][][] computed(Sheet.Lift l, List<Part> parts, boolean around, Materials m, Sheet.Basis b) {
        double scale = Math.max(l.b(), l.h());
        double[][] fibres = fibres(l);
        int quarters = around ? 4 : 1;
        int angles = 16 * quarters + 1;
        int depths = 60;
        double[][][] out = new double[angles][depths][];
        for (int i = 0; i < angles; i++) {
            double ux = Math.cos(Math.PI / 2 * quarters * i / (angles - 1));
            double uy = Math.sin(Math.PI / 2 * quarters * i / (angles - 1));
            double reach = l.round() ? l.b() / 2 : (l.b() * Math.abs(ux) + l.h() * Math.abs(uy)) / 2;
            for (int k = 0; k < depths; k++) {
                double c = 2 * reach * Math.exp(Math.log(0.02) + (Math.log(40) - Math.log(0.02)) * k / (depths - 1));
                double[] p = point(l, parts, m, b, fibres, ux, uy, reach, c);
                out[i][k] = new double[] {p[0], p[1] / scale, p[2] / scale};
            }
        }
        return out;
    }

    private static double[][] fibres(Sheet.Lift l) {
        List<double[]> out = new ArrayList<>();
        double inside = 0;
        for (int i = 0; i < GRID * GRID; i++) {
            double x = l.b() * ((i / GRID + 0.5) / GRID - 0.5);
            double y = (l.round() ? l.b() : l.h()) * ((i % GRID + 0.5) / GRID - 0.5);
            if (!l.round() || Math.hypot(x, y) <= l.b() / 2) {
                out.add(new double[] {x, y});
                inside++;
            }
        }
        double area = (l.round() ? Math.PI * l.b() * l.b() / 4 : l.b() * l.h()) / inside;
        return out.stream().map(f -> new double[] {f[0], f[1], area}).toArray(double[][]::new);
    }

    private static double[] point(
            Sheet.Lift l,
            List<Part> parts,
            Materials m,
            Sheet.Basis b,
            double[][] fibres,
            double ux,
            double uy,
            double reach,
            double c) {
        double n = 0;
        double mx = 0;
        double my = 0;
        double extreme = b.en() ? extreme(l.fc(), c, 2 * reach) : 0.003;
        double block = m.blockDepth(l.fc()) * c;
        for (double[] f : fibres) {
            double depth = reach - f[0] * ux - f[1] * uy;
            double stress =
                    b.en() ? parabola(l.fc(), extreme * (c - depth) / c) : depth < block ? m.blockStress(l.fc()) : 0;
            n += stress * f[2];
            mx += stress * f[2] * f[1];
            my += stress * f[2] * f[0];
        }
        double tension = 0;
        for (int i = 0; i < parts.size(); i++) {
            Sheet.Dot d = l.bars().get(i);
            Part part = parts.get(i);
            double depth = reach - d.x() * ux - d.y() * uy;
            double eps = extreme * (c - depth) / c;
            double concrete = b.en() ? parabola(l.fc(), eps) : depth < block ? m.blockStress(l.fc()) : 0;
            double most = part.push() * m.steel();
            double f = (Math.max(-part.pull() * m.steel(), Math.min(most, 200_000 * eps)) - concrete) * d.area();
            tension = Math.max(tension, -eps);
            n += f;
            mx += f * d.y();
            my += f * d.x();
        }
        double phi = m.phi(tension, l.spiral());
        return new double[] {phi * n, phi * mx, phi * my};
    }

    /** Strain of the outermost fibre (figure 6.1): εcu2 while the axis is inside, turning about εc2 at (1 − εc2/εcu2) h outside. */
    private static double extreme(double fc, double c, double h) {
        double cu = fc <= 50 ? 0.0035 : 0.0026 + 0.035 * Math.pow((90 - fc) / 100, 4);
        double c2 = fc <= 50 ? 0.002 : 0.002 + 0.000085 * Math.pow(fc - 50, 0.53);
        return c <= h ? cu : c2 * c / (c - (1 - c2 / cu) * h);
    }

    /** 3.1.7(1). */
    private static double parabola(double fc, double eps) {
        double c2 = fc <= 50 ? 0.002 : 0.002 + 0.000085 * Math.pow(fc - 50, 0.53);
        double n = fc <= 50 ? 2 : 1.4 + 23.4 * Math.pow((90 - fc) / 100, 4);
        double fcd = fc / 1.5;
        return eps <= 0 ? 0 : eps >= c2 ? fcd : fcd * (1 - Math.pow(1 - eps / c2, n));
    }

    /** How far the ray of a demand reaches to the surface, by the flat pieces between its points; the first quadrant of moments. */
    static double use(double[][][] surface, double n, double mx, double my, double scale) {
        return along(surface, n, Math.abs(mx) / scale, Math.abs(my) / scale);
    }

    /** The same of a surface all round. */
    static double useAround(double[][][] surface, double n, double mx, double my, double scale) {
        return along(surface, n, mx / scale, my / scale);
    }

    private static double along(double[][][] surface, double... ray) {
        double size = Math.sqrt(ray[0] * ray[0] + ray[1] * ray[1] + ray[2] * ray[2]);
        if (size == 0) {
            return 0;
        }
        double farthest = 0;
        for (int i = 0; i + 1 < surface.length; i++) {
            for (int k = 0; k + 1 < surface[i].length; k++) {
                double[] q = surface[i + 1][k];
                double[] r = surface[i][k + 1];
                farthest = Math.max(
                        farthest, Math.max(hit(surface[i][k], q, r, ray), hit(q, r, surface[i + 1][k + 1], ray)));
            }
        }
        return farthest > 0 ? 1 / farthest : Double.NaN;
    }

    /** Factor on the ray at which it meets a triangle, 0 if it does not (Möller and Trumbore 1997). */
    static double hit(double[] a, double[] b, double[] c, double[] ray) {
        double[] e1 = minus(b, a);
        double[] e2 = minus(c, a);
        double[] h = cross(ray, e2);
        double det = dot(e1, h);
        if (Math.abs(det) < 1e-12) {
            return 0;
        }
        double[] s = {-a[0], -a[1], -a[2]};
        double u = dot(s, h) / det;
        double[] q = cross(s, e1);
        double v = dot(ray, q) / det;
        double t = dot(e2, q) / det;
        return u >= -1e-6 && v >= -1e-6 && u + v <= 1 + 1e-6 && t > 0 ? t : 0;
    }

    private static double[] minus(double[] a, double[] b) {
        return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }
}
