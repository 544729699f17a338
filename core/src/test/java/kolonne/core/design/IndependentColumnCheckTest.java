package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.Sweep;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demo.DemoOptions;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/**
 * Every demand of every satisfied lift checked again with fibres: the section is cut into a grid, the neutral axis is swept
 * over angles and depths, and the demand must lie inside the convex hull's support in its own direction. Written apart from
 * the design: no interaction surface, no polygon clipping. ACI 318M-19 22.2, 22.4, 21.2.2.
 */
class IndependentColumnCheckTest {
    private static final int GRID = 32;
    private static final double FY = 420;

    @Test
    void everySatisfiedLiftHoldsEveryCombination() {
        boolean whole = Sweep.of(0, 1) == 1;
        BuildingDesign d =
                DesignedDemo.by(whole ? new DemoOptions(5, 6, 6, 4, true) : DesignedDemo.MIDDLE, Basis.standard(false));
        List<String> wrong = new ArrayList<>();
        int lifts = 0;
        for (ColumnDesign c : d.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                if (l.checks().stream().allMatch(k -> k.satisfied()) && lifts++ % 11 == 0) {
                    lift(c, l, d, wrong);
                }
            }
        }
        assertTrue(lifts > Sweep.of(50, 150), lifts + " lifts");
        assertTrue(
                wrong.isEmpty(), wrong.size() + ": " + wrong.stream().limit(6).toList());
    }

    private static void lift(ColumnDesign c, ColumnDesign.LiftDesign l, BuildingDesign d, List<String> wrong) {
        ColumnStack.Lift lift = l.lift();
        ColumnCage.LiftCage cage = l.cage();
        List<PlacedBar> bars = cage.bars(lift.section().shape(), 40);
        double[][] points = sweep(lift.section().shape(), bars, lift.material().fc());
        double ast = bars.stream().mapToDouble(PlacedBar::area).sum();
        double ag = lift.section().shape().A();
        double cap = 0.65 * 0.8 * (0.85 * lift.material().fc() * (ag - ast) + FY * ast);
        for (LiftDemands.Demand q : LiftDemands.of(lift, cage, d.contexts().columns())) {
            if (q.p() > cap * 1.001) {
                wrong.add(c.stack().mark() + " cap");
            }
            if (!inside(points, q.p(), Math.abs(q.mx()), Math.abs(q.my()))) {
                wrong.add(c.stack().mark() + " " + lift.storey() + " P " + q.p() / 1e3 + " M " + q.mx() / 1e6 + " "
                        + q.my() / 1e6);
            }
        }
        double ratio = ast / ag;
        if (ratio < 0.01 - 1e-9 || ratio > 0.04 + 1e-9) {
            wrong.add(c.stack().mark() + " ratio " + ratio);
        }
    }

    /** φN, φMx, φMy for many positions of the neutral axis (first quadrant). */
    private static double[][] sweep(Shape s, List<PlacedBar> bars, double fc) {
        double beta1 = Math.max(0.65, Math.min(0.85, 0.85 - 0.05 * (fc - 28) / 7));
        List<double[]> out = new ArrayList<>();
        double[] fx = new double[GRID * GRID];
        double[] fy = new double[GRID * GRID];
        int n = 0;
        for (int i = 0; i < GRID; i++) {
            for (int j = 0; j < GRID; j++) {
                double x = s.width() * ((i + 0.5) / GRID - 0.5);
                double y = s.depth() * ((j + 0.5) / GRID - 0.5);
                if (!(s instanceof Shape.Circle q) || Math.hypot(x, y) < q.d() / 2) {
                    fx[n] = x;
                    fy[n++] = y;
                }
            }
        }
        double fibre = s.A() / n;
        for (double degrees = 0; degrees <= 90; degrees += 2.5) {
            double ux = Math.cos(Math.toRadians(degrees));
            double uy = Math.sin(Math.toRadians(degrees));
            double top = s instanceof Shape.Circle ? s.width() / 2 : (s.width() * ux + s.depth() * uy) / 2;
            for (double c = 0.04 * top; c < 12 * top; c *= 1.012) {
                double nn = 0;
                double mx = 0;
                double my = 0;
                for (int k = 0; k < n; k++) {
                    if (top - fx[k] * ux - fy[k] * uy < beta1 * c) {
                        double f = 0.85 * fc * fibre;
                        nn += f;
                        mx += f * fy[k];
                        my += f * fx[k];
                    }
                }
                double epsT = 0;
                for (PlacedBar b : bars) {
                    double depth = top - b.x() * ux - b.y() * uy;
                    double eps = 0.003 * (c - depth) / c;
                    epsT = Math.max(epsT, -eps);
                    double f = (Math.max(-FY, Math.min(FY, 200_000 * eps)) - (depth < beta1 * c ? 0.85 * fc : 0))
                            * b.area();
                    nn += f;
                    mx += f * b.y();
                    my += f * b.x();
                }
                double phi = 0.65 + 0.25 * Math.max(0, Math.min(1, (epsT - 0.0021) / 0.003));
                out.add(new double[] {phi * nn, phi * mx, phi * my});
            }
        }
        return out.toArray(double[][]::new);
    }

    /** Whether some swept point lies beyond the demand on nearly the same ray: 3° of direction, 3 % of size. */
    private static boolean inside(double[][] points, double p, double mx, double my) {
        double scale = 500;
        double m = Math.hypot(mx, my);
        double size = Math.hypot(p * scale, m);
        if (m < 0.02 * size) {
            return true; // the cap governs there
        }
        double best = 0;
        for (double[] q : points) {
            double qs = Math.sqrt(q[0] * scale * q[0] * scale + q[1] * q[1] + q[2] * q[2]);
            double cosine = (q[0] * scale * p * scale + q[1] * mx + q[2] * my) / (qs * size);
            if (cosine > Math.cos(Math.toRadians(3))) {
                best = Math.max(best, qs * cosine);
            }
        }
        return best >= size * 0.97;
    }
}
