package kolonne.audit;

import java.util.ArrayList;
import java.util.List;

/** Design strength of ells and tees by fibres of 12 mm all round, plane sections; for any sense of the moments. */
final class LegFibres {
    private static final int ANGLES = 60;
    private static final double FIBRE = 12;
    private static final int DEPTHS = 64;

    private final List<double[]> fibres;
    private final double[][] corners;
    private final List<Sheet.Dot> bars;
    private final double fc;
    private final Materials m;
    private final boolean en;
    private final double scale;
    private final double[][][] surface = new double[ANGLES + 1][DEPTHS][];

    /** @param rectangles {left, lower, right, upper} of both legs about the centroid, which do not overlap */
    LegFibres(double[][] rectangles, List<Sheet.Dot> bars, double fc, Sheet.Basis b) {
        this.fibres = cells(rectangles);
        this.corners = rectangles;
        this.bars = bars;
        this.fc = fc;
        this.m = new Materials(b);
        this.en = b.en();
        this.scale = Math.max(reach(1, 0) + reach(-1, 0), reach(0, 1) + reach(0, -1));
        for (int i = 0; i <= ANGLES; i++) {
            double a = 2 * Math.PI * i / ANGLES;
            double size = reach(Math.cos(a), Math.sin(a)) + reach(-Math.cos(a), -Math.sin(a));
            for (int k = 0; k < DEPTHS; k++) {
                double c = size * Math.exp(Math.log(0.02) + (Math.log(40) - Math.log(0.02)) * k / (DEPTHS - 1));
                surface[i][k] = point(Math.cos(a), Math.sin(a), size, c);
            }
        }
    }

    private static List<double[]> cells(double[][] rectangles) {
        List<double[]> out = new ArrayList<>();
        for (double[] r : rectangles) {
            int nx = (int) Math.ceil((r[2] - r[0]) / FIBRE);
            int ny = (int) Math.ceil((r[3] - r[1]) / FIBRE);
            double dx = (r[2] - r[0]) / nx;
            double dy = (r[3] - r[1]) / ny;
            for (int i = 0; i < nx * ny; i++) {
                out.add(new double[] {r[0] + (i / ny + 0.5) * dx, r[1] + (i % ny + 0.5) * dy, dx * dy});
            }
        }
        return out;
    }

    private double reach(double ux, double uy) {
        double out = Double.NEGATIVE_INFINITY;
        for (double[] r : corners) {
            out = Math.max(out, Math.max(r[0] * ux, r[2] * ux) + Math.max(r[1] * uy, r[3] * uy));
        }
        return out;
    }

    private double[] point(double ux, double uy, double size, double c) {
        double edge = reach(ux, uy);
        double extreme = en ? c <= size ? 0.0035 : 0.002 * c / (c - 3.0 / 7 * size) : 0.003;
        double block = m.blockDepth(fc) * c;
        double[] out = new double[3];
        for (double[] f : fibres) {
            double depth = edge - f[0] * ux - f[1] * uy;
            add(out, concrete(extreme * (c - depth) / c, depth < block) * f[2], f[0], f[1]);
        }
        double tension = 0;
        for (Sheet.Dot d : bars) {
            double depth = edge - d.x() * ux - d.y() * uy;
            double eps = extreme * (c - depth) / c;
            double stress = Math.max(-m.steel(), Math.min(m.steel(), 200_000 * eps)) - concrete(eps, depth < block);
            add(out, stress * d.area(), d.x(), d.y());
            tension = Math.max(tension, -eps);
        }
        double phi = m.phi(tension);
        return new double[] {phi * out[0], phi * out[1] / scale, phi * out[2] / scale};
    }

    /** Concrete to C50/60 by EN. */
    private double concrete(double eps, boolean inBlock) {
        if (!en) {
            return inBlock ? m.blockStress(fc) : 0;
        }
        return eps <= 0 ? 0 : eps >= 0.002 ? fc / 1.5 : fc / 1.5 * (1 - Math.pow(1 - eps / 0.002, 2));
    }

    private static void add(double[] out, double f, double x, double y) {
        out[0] += f;
        out[1] += f * y;
        out[2] += f * x;
    }

    /** Demand over strength along the ray; not a number where no piece of the surface is met. */
    double use(double n, double mx, double my) {
        double[] ray = {n, mx / scale, my / scale};
        double farthest = 0;
        for (int i = 0; i < ANGLES; i++) {
            for (int k = 0; k + 1 < DEPTHS; k++) {
                double[] q = surface[i + 1][k];
                double[] r = surface[i][k + 1];
                farthest = Math.max(
                        farthest,
                        Math.max(Fibres.hit(surface[i][k], q, r, ray), Fibres.hit(q, r, surface[i + 1][k + 1], ray)));
            }
        }
        return farthest > 0 ? 1 / farthest : Double.NaN;
    }
}
