package kolonne.audit;

import java.util.ArrayList;
import java.util.List;

/** Strength in bending of a section in any direction by ACI 318-19 22.2: concrete by cells under the block, bars one by one, the depth and the turn of the neutral axis by bisection. */
final class Cells {
    private static final double CELL = 20;
    private static final int TURNS = 16;
    private static final int DEPTHS = 26;

    private final double[][] rectangles;
    private final List<Sheet.Dot> bars;
    private final double fc;
    private final Materials m;
    private final double deepest;
    private final List<double[]> cells = new ArrayList<>();

    /** @param rectangles {left, lower, right, upper} about the centroid that do not overlap */
    Cells(double[][] rectangles, Sheet.Lift l, Sheet.Basis b) {
        this.rectangles = rectangles;
        this.bars = l.bars();
        this.fc = l.fc();
        this.m = new Materials(b);
        this.deepest = 50 * (l.b() + l.h());
        for (double[] r : rectangles) {
            int nx = (int) Math.ceil((r[2] - r[0]) / CELL);
            int ny = (int) Math.ceil((r[3] - r[1]) / CELL);
            double dx = (r[2] - r[0]) / nx;
            double dy = (r[3] - r[1]) / ny;
            for (int i = 0; i < nx * ny; i++) {
                cells.add(new double[] {r[0] + (i / ny + 0.5) * dx, r[1] + (i % ny + 0.5) * dy, dx, dy});
            }
        }
    }

    static Cells of(Sheet.Lift l, Sheet.Basis b) {
        double[][] one = {{-l.b() / 2, -l.h() / 2, l.b() / 2, l.h() / 2}};
        return new Cells(l.legs() == null ? one : l.legs().rectangles(), l, b);
    }

    /** {force, moment towards a direction, moment across it} with compression towards {@code turned}. */
    private double[] at(double theta, double turned, double c, double fy) {
        double ux = Math.cos(turned);
        double uy = Math.sin(turned);
        double top = 0;
        for (double[] r : rectangles) {
            top = Math.max(top, Math.max(r[0] * ux, r[2] * ux) + Math.max(r[1] * uy, r[3] * uy));
        }
        double block = m.blockDepth(fc) * c;
        double n = 0;
        double mx = 0;
        double my = 0;
        for (double[] q : cells) {
            double depth = top - q[0] * ux - q[1] * uy;
            double through = q[2] * Math.abs(ux) + q[3] * Math.abs(uy);
            double f = Math.max(0, Math.min(1, (block - depth) / through + 0.5)) * q[2] * q[3] * m.blockStress(fc);
            n += f;
            my += f * q[0];
            mx += f * q[1];
        }
        for (Sheet.Dot d : bars) {
            double depth = top - d.x() * ux - d.y() * uy;
            double stress = Math.max(-fy, Math.min(fy, 200_000 * 0.003 * (c - depth) / c))
                    - (depth < block ? m.blockStress(fc) : 0);
            n += stress * d.area();
            my += stress * d.area() * d.x();
            mx += stress * d.area() * d.y();
        }
        return new double[] {n, my * Math.cos(theta) + mx * Math.sin(theta), mx * Math.cos(theta) - my * Math.sin(theta)
        };
    }

    private double[] under(double p, double theta, double turned, double fy) {
        double low = 1;
        double high = deepest;
        double[] out = null;
        for (int k = 0; k < DEPTHS; k++) {
            double c = Math.sqrt(low * high);
            out = at(theta, turned, c, fy);
            low = out[0] < p ? c : low;
            high = out[0] < p ? high : c;
        }
        return out;
    }

    /** Moment towards a direction under a force, the neutral axis across it. */
    double most(double theta, double p, double fy) {
        return under(p, theta, theta, fy)[1];
    }

    /** The same with no moment across, the neutral axis turned until there is none. */
    double alone(double theta, double p, double fy) {
        double low = -Math.PI / 2;
        double high = Math.PI / 2;
        double[] out = null;
        for (int k = 0; k < TURNS; k++) {
            double turn = (low + high) / 2;
            out = under(p, theta, theta + turn, fy);
            low = out[2] < 0 ? turn : low;
            high = out[2] < 0 ? high : turn;
        }
        return out[1];
    }
}
