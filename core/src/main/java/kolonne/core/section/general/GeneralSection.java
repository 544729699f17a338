package kolonne.core.section.general;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.ConcreteCurve;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.code.StressBlock;
import kolonne.core.explain.Trace;
import kolonne.core.section.ColumnSection.Resultant;
import kolonne.core.section.Developed;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.PlaneSection;
import kolonne.core.section.StrainState;

/**
 * A reinforced section of any outline with bars anywhere, under axial force and biaxial bending, by strain compatibility with the code's stress block or
 * curve.
 *
 * <p>Axes: x along the width, y along the depth, origin at the centroid of the concrete. Compression positive; Mx is positive with compression at +y, My with
 * compression at +x.
 */
public final class GeneralSection implements PlaneSection {
    private final Outline outline;
    private final List<PlacedBar> bars;
    private final double fy;
    private final StressBlock block;
    /** The code's curve of concrete; null where the block stands for it. */
    private final ConcreteCurve curve;

    private final DesignCode code;
    private final double axialCap;
    /** What of its strength every bar has room to develop in tension and in compression [MPa]. */
    private final double[] pull;

    private final double[] push;

    /** @param outline and bars in common axes of any origin */
    public GeneralSection(Outline outline, List<PlacedBar> bars, double fc, double fy, DesignCode code) {
        this(outline, bars, List.of(), fc, fy, code);
    }

    /** @param developed of every bar, in the same order; empty where all are developed */
    public GeneralSection(
            Outline outline, List<PlacedBar> bars, List<Developed> developed, double fc, double fy, DesignCode code) {
        Outline.Corner c = outline.centroid();
        this.outline = outline.moved(-c.x(), -c.y());
        this.bars = bars.stream()
                .map(b -> new PlacedBar(b.x() - c.x(), b.y() - c.y(), b.area()))
                .toList();
        this.fy = code.designSteel(fy);
        this.code = code;
        block = code.block(fc);
        curve = code.curve(fc).orElse(null);
        pull = new double[bars.size()];
        push = new double[bars.size()];
        double ast = 0;
        double whole = 0;
        for (int i = 0; i < pull.length; i++) {
            Developed d = developed.isEmpty() ? Developed.WHOLE : developed.get(i);
            pull[i] = d.tension() * this.fy;
            push[i] = d.compression() * this.fy;
            whole += bars.get(i).area();
            ast += bars.get(i).area() * d.compression();
        }
        // bars that are not developed displace concrete all the same
        axialCap = code.axialCap(fc, fy, outline.area() - (whole - ast), ast, Trace.OFF);
    }

    /** About the centroid. */
    public Outline outline() {
        return outline;
    }

    /** About the centroid. */
    public List<PlacedBar> bars() {
        return bars;
    }

    /** Greatest axial force that the code lets it bear [N]. */
    public double axialCap() {
        return axialCap;
    }

    /** Design strength of all bars in tension together [N]. */
    public double steel() {
        double all = 0;
        for (int i = 0; i < pull.length; i++) {
            all += bars.get(i).area() * pull[i];
        }
        return code.reduction(1, fy / Steel.ES) * all;
    }

    @Override
    public double size(double theta) {
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        return outline.reach(ux, uy) + outline.reach(-ux, -uy);
    }

    @Override
    public Resultant at(double theta, double c) {
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        double top = outline.reach(ux, uy);
        double size = top + outline.reach(-ux, -uy);
        double[] sum = new double[3];
        double extreme;
        if (curve != null) {
            extreme = curve.extreme(c, size);
            outline.sum(
                    s -> curve.at(extreme * (1 - (top - s) / c)),
                    ux,
                    uy,
                    top - c,
                    top - c * (1 - curve.plateau() / extreme),
                    sum);
        } else {
            extreme = block.crushing();
            double edge = top - block.depth() * c;
            outline.sum(s -> block.stress(), ux, uy, edge, edge, sum);
        }
        double n = sum[0];
        double my = sum[1];
        double mx = sum[2];
        double epsT = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < pull.length; i++) {
            PlacedBar b = bars.get(i);
            double depth = top - (b.x() * ux + b.y() * uy);
            double strain = extreme * (1 - depth / c);
            double displaced = curve != null ? curve.at(strain) : block.stress() * inBlock(b, depth, block.depth() * c);
            double f = (Math.max(-pull[i], Math.min(push[i], Steel.ES * strain)) - displaced) * b.area();
            n += f;
            mx += f * b.y();
            my += f * b.x();
            epsT = Math.max(epsT, -strain);
        }
        return new Resultant(n, mx, my, epsT, code.reduction(Math.max(0, epsT), fy / Steel.ES));
    }

    /** Strains and stresses of the same state. */
    StrainState state(double theta, double c) {
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        double top = outline.reach(ux, uy);
        List<StrainState.Bar> of = new ArrayList<>();
        for (int i = 0; i < pull.length; i++) {
            PlacedBar b = bars.get(i);
            of.add(new StrainState.Bar(top - (b.x() * ux + b.y() * uy), pull[i], push[i]));
        }
        return curve != null
                ? StrainState.by(curve, theta, size(theta), c, of)
                : StrainState.by(block, theta, size(theta), c, of);
    }

    /** Part of a bar that displaces concrete of a block: it comes in gradually as the edge passes over it, so that the surface has no steps. */
    private static double inBlock(PlacedBar b, double depth, double edge) {
        double d = Math.sqrt(4 * b.area() / Math.PI);
        return Math.max(0, Math.min(1, (edge - depth) / d + 0.5));
    }
}
