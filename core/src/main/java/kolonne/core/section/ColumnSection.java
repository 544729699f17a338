package kolonne.core.section;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import kolonne.core.code.ConcreteCurve;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.code.StressBlock;
import kolonne.core.shape.Shape;

/**
 * A reinforced section under axial force and biaxial bending, by strain compatibility with the code's stress block or curve.
 *
 * <p>Axes: x along the width, y along the depth, origin at the centroid. Compression positive; Mx is positive with
 * compression at +y, My with compression at +x. A rectangle or a circle; bars anywhere whose centroid is the section's.
 */
public final class ColumnSection implements PlaneSection {
    /** Strips of the parabola in a circle; the force differs from the exact one by under a thousandth. */
    private static final int STRIPS = 16;

    private final double width;
    private final double depth;
    private final boolean circle;
    private final double[] barX;
    private final double[] barY;
    private final double[] barArea;
    /** What of its strength every bar has room to develop in tension and in compression. */
    private final double[] pull;

    private final double[] push;
    private final double fy;
    private final StressBlock block;
    /** The code's curve of concrete; null where the block stands for it. */
    private final ConcreteCurve curve;

    private final DesignCode code;
    /** Design strength in pure compression with the code's cap, and in pure tension [N]. */
    public final double axialCap;

    public final double tension;

    public ColumnSection(Shape shape, List<PlacedBar> bars, double fc, double fy, DesignCode code) {
        this(shape, bars, List.of(), fc, fy, code);
    }

    /** @param developed of every bar, in the same order; empty where all are developed */
    public ColumnSection(
            Shape shape, List<PlacedBar> bars, List<Developed> developed, double fc, double fy, DesignCode code) {
        this.width = shape.width();
        this.depth = shape.depth();
        this.circle = shape instanceof Shape.Circle;
        if (!circle && !(shape instanceof Shape.Rectangle)) {
            throw new IllegalArgumentException("columns are rectangles or circles, not " + shape.label());
        }
        barX = bars.stream().mapToDouble(PlacedBar::x).toArray();
        barY = bars.stream().mapToDouble(PlacedBar::y).toArray();
        barArea = bars.stream().mapToDouble(PlacedBar::area).toArray();
        pull = new double[barArea.length];
        push = new double[barArea.length];
        for (int i = 0; i < barArea.length; i++) {
            Developed d = developed.isEmpty() ? Developed.WHOLE : developed.get(i);
            pull[i] = d.tension() * code.designSteel(fy);
            push[i] = d.compression() * code.designSteel(fy);
        }
        this.fy = code.designSteel(fy);
        this.code = code;
        block = code.block(fc);
        curve = code.curve(fc).orElse(null);
        double whole = 0;
        double ast = 0;
        double pulled = 0;
        for (int i = 0; i < barArea.length; i++) {
            whole += barArea[i];
            ast += barArea[i] * push[i] / this.fy;
            pulled += barArea[i] * pull[i];
        }
        // bars that are not developed displace concrete all the same
        axialCap = code.axialCap(fc, fy, shape.A() - (whole - ast), ast, kolonne.core.explain.Trace.OFF);
        tension = code.reduction(1, fy / Steel.ES) * pulled;
    }

    /** Whether axial force without moment strains it evenly: what its bars bear in all, pulled or pushed, acts at its centre. */
    public boolean balanced() {
        return balanced(pull) && balanced(push);
    }

    private boolean balanced(double[] stress) {
        double x = 0;
        double y = 0;
        double all = 0;
        for (int i = 0; i < stress.length; i++) {
            double force = barArea[i] * stress[i];
            x += force * barX[i];
            y += force * barY[i];
            all += force;
        }
        return Math.hypot(x, y) <= 1e-6 * all * Math.max(width, depth);
    }

    /** Whether every bar has its mirror image about both axes. */
    boolean symmetric() {
        for (int i = 0; i < barArea.length; i++) {
            if (!has(-barX[i], barY[i], i) || !has(barX[i], -barY[i], i)) {
                return false;
            }
        }
        return true;
    }

    /** Whether a bar like the one of that number is at a place. */
    private boolean has(double x, double y, int like) {
        for (int i = 0; i < barArea.length; i++) {
            boolean same = Math.abs(barArea[i] - barArea[like]) < 1e-6 * barArea[i]
                    && pull[i] == pull[like]
                    && push[i] == push[like];
            if (same && Math.hypot(barX[i] - x, barY[i] - y) < 1e-3 * width) {
                return true;
            }
        }
        return false;
    }

    /**
     * Nominal resultants for one position of the neutral axis.
     *
     * @param N    compression positive [N]
     * @param epsT tensile strain of the outermost bar, negative in compression
     * @param phi  reduction factor
     */
    public record Resultant(double N, double Mx, double My, double epsT, double phi) {}

    /** Largest half-extent of the section at right angles to a neutral axis whose compression side faces theta [mm]. */
    public double reach(double theta) {
        return circle ? width / 2 : (width * Math.abs(Math.cos(theta)) + depth * Math.abs(Math.sin(theta))) / 2;
    }

    @Override
    public double size(double theta) {
        return 2 * reach(theta);
    }

    @Override
    public Resultant at(double theta, double c) {
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        double top = reach(theta);
        if (curve != null) {
            return along(ux, uy, top, c);
        }
        double a = Math.min(block.depth() * c, 2 * top);
        double[] concrete = circle ? circleBlock(top, a, ux, uy) : rectangleBlock(top - a, ux, uy);
        double n = block.stress() * concrete[0];
        double my = block.stress() * concrete[1];
        double mx = block.stress() * concrete[2];
        double epsT = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < barArea.length; i++) {
            double depthOfBar = top - (barX[i] * ux + barY[i] * uy);
            double strain = block.crushing() * (c - depthOfBar) / c;
            double stress = Math.max(-pull[i], Math.min(push[i], Steel.ES * strain));
            if (depthOfBar < a) {
                stress -= block.stress();
            }
            double f = stress * barArea[i];
            n += f;
            mx += f * barY[i];
            my += f * barX[i];
            epsT = Math.max(epsT, -strain);
        }
        return new Resultant(n, mx, my, epsT, code.reduction(Math.max(0, epsT), fy / Steel.ES));
    }

    /** Strains and stresses of the same state; of pure tension for {@code c} 0. */
    StrainState state(double theta, double c) {
        double top = reach(theta);
        List<StrainState.Bar> bars = new ArrayList<>();
        for (int i = 0; i < barArea.length; i++) {
            double depthOfBar = top - (barX[i] * Math.cos(theta) + barY[i] * Math.sin(theta));
            bars.add(new StrainState.Bar(depthOfBar, pull[i], push[i]));
        }
        return c == 0
                ? StrainState.pulled(2 * top, fy / Steel.ES, bars)
                : curve != null
                        ? StrainState.by(curve, theta, 2 * top, c, bars)
                        : StrainState.by(block, theta, 2 * top, c, bars);
    }

    /** Resultants with the code's curve. */
    private Resultant along(double ux, double uy, double top, double c) {
        double extreme = curve.extreme(c, 2 * top);
        double plateau = Math.max(0, Math.min(2 * top, c * (1 - curve.plateau() / extreme)));
        double end = Math.min(c, 2 * top);
        double[] sum = new double[3];
        if (circle) {
            strips(top, plateau, end, s -> curve.at(extreme * (1 - s / c)), ux, uy, sum);
        } else {
            new RectangleChords(width, depth, ux, uy)
                    .sum(s -> curve.at(extreme * (1 - (top - s) / c)), top - end, top - plateau, sum);
        }
        double n = sum[0];
        double my = sum[1];
        double mx = sum[2];
        double epsT = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < barArea.length; i++) {
            double strain = extreme * (1 - (top - (barX[i] * ux + barY[i] * uy)) / c);
            double f = (Math.max(-pull[i], Math.min(push[i], Steel.ES * strain)) - curve.at(strain)) * barArea[i];
            n += f;
            mx += f * barY[i];
            my += f * barX[i];
            epsT = Math.max(epsT, -strain);
        }
        return new Resultant(n, mx, my, epsT, code.reduction(Math.max(0, epsT), fy / Steel.ES));
    }

    /** A circle: the plateau as a whole, the parabola in strips parallel to the neutral axis. */
    private void strips(
            double r, double plateau, double end, DoubleUnaryOperator stress, double ux, double uy, double[] sum) {
        double[] before = circleBlock(r, plateau, ux, uy);
        add(sum, before, new double[3], curve.stress());
        for (int i = 1; i <= STRIPS && end > plateau; i++) {
            double from = plateau + (end - plateau) * (i - 1) / STRIPS;
            double to = plateau + (end - plateau) * i / STRIPS;
            double[] after = circleBlock(r, to, ux, uy);
            add(sum, after, before, stress.applyAsDouble((from + to) / 2));
            before = after;
        }
    }

    private static void add(double[] sum, double[] after, double[] before, double stress) {
        for (int k = 0; k < sum.length; k++) {
            sum[k] += stress * (after[k] - before[k]);
        }
    }

    /** Area and first moments (x, y) of a circular segment of depth a. */
    private double[] circleBlock(double r, double a, double ux, double uy) {
        double cos = Math.max(-1, Math.min(1, (r - a) / r));
        double sin = Math.sqrt((1 - cos) * (1 + cos));
        double area = r * r * (Math.acos(cos) - sin * cos);
        double first = 2.0 / 3 * r * r * r * sin * sin * sin;
        return new double[] {area, first * ux, first * uy};
    }

    /** Area and first moments of the rectangle's part with x ux + y uy ≥ s, by clipping. */
    private double[] rectangleBlock(double s, double ux, double uy) {
        double b = width / 2;
        double h = depth / 2;
        double[] px = {-b, b, b, -b};
        double[] py = {-h, -h, h, h};
        double[] qx = new double[6];
        double[] qy = new double[6];
        int n = 0;
        for (int i = 0; i < 4; i++) {
            int j = (i + 1) & 3;
            double di = px[i] * ux + py[i] * uy - s;
            double dj = px[j] * ux + py[j] * uy - s;
            if (di >= 0) {
                qx[n] = px[i];
                qy[n++] = py[i];
            }
            if (di > 0 && dj < 0 || di < 0 && dj > 0) {
                double t = di / (di - dj);
                qx[n] = px[i] + t * (px[j] - px[i]);
                qy[n++] = py[i] + t * (py[j] - py[i]);
            }
        }
        double area = 0;
        double sx = 0;
        double sy = 0;
        for (int i = 0; i < n; i++) {
            int j = i + 1 == n ? 0 : i + 1;
            double cross = qx[i] * qy[j] - qx[j] * qy[i];
            area += cross / 2;
            sx += cross * (qx[i] + qx[j]) / 6;
            sy += cross * (qy[i] + qy[j]) / 6;
        }
        return new double[] {area, sx, sy};
    }
}
