package kolonne.core.section;

import static kolonne.core.explain.Trace.in;

import java.util.List;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Notation;
import kolonne.core.code.Steel;
import kolonne.core.code.StressBlock;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Shape;

/**
 * Strength of a section in bending about its horizontal axis without axial force, by strain compatibility with the
 * code's stress block. Bars in compression count, less the concrete they displace. Tension of concrete is neglected.
 *
 * @param c     depth of the neutral axis [mm]
 * @param epsT  net tensile strain of the outermost tension bars
 * @param phi   reduction factor
 * @param Mn    nominal moment [Nmm]
 * @param d     effective depth: centroid of the bars in tension [mm]
 * @param as    area of the bars in tension [mm2]
 */
public record FlexuralStrength(double c, double epsT, double phi, double Mn, double d, double as) {

    /** Design moment [Nmm]. */
    public double phiMn() {
        return phi * Mn;
    }

    /**
     * @param strips sagging: widths from the soffit up; the compression face is the top if {@code sagging}
     * @param layers bars, by depth from the compression face
     */
    public static FlexuralStrength of(
            Shape shape, boolean sagging, List<BarLayer> layers, double fc, double fy, DesignCode code, Trace t) {
        double f = code.designSteel(fy);
        StressBlock block = code.block(fc);
        double h = shape.depth();
        Balance forces = new Balance(shape.strips(), h, sagging, layers, f, block);
        double most = block.stress() * h * shape.width();
        double c = Root.find(q -> forces.at(q).surplus / most, 1e-4 * h, 4 * h, 1e-9 * h);
        FlexuralStrength s = result(layers, f, block, code, c, forces.at(c).moment);
        if (t.on()) {
            s.explain(layers, f, fc, block, code, t);
        }
        return s;
    }

    private static FlexuralStrength result(
            List<BarLayer> layers, double fy, StressBlock block, DesignCode code, double c, double mn) {
        double deepest = 0;
        double as = 0;
        double moment = 0;
        for (BarLayer l : layers) {
            if (l.area() > 0 && l.depth() > c) {
                deepest = Math.max(deepest, l.depth());
                as += l.area();
                moment += l.area() * l.depth();
            }
        }
        double epsT = deepest > 0 ? block.crushing() * (deepest - c) / c : 0;
        return new FlexuralStrength(c, epsT, code.reduction(epsT, fy / Steel.ES), mn, as > 0 ? moment / as : 0, as);
    }

    /** Forces of a section whose neutral axis lies at a depth; asked for many times a section, so by plain arrays. */
    private static final class Balance {
        private final double h;
        private final double fy;
        private final StressBlock block;
        private final double[] from;
        private final double[] to;
        private final double[] width;
        private final double[] depth;
        private final double[] area;
        /** Compression minus tension [N]. */
        private double surplus;
        /** About the compression face [Nmm], sagging sense. */
        private double moment;

        Balance(
                List<Shape.Strip> strips,
                double h,
                boolean sagging,
                List<BarLayer> layers,
                double fy,
                StressBlock block) {
            this.h = h;
            this.fy = fy;
            this.block = block;
            from = new double[strips.size()];
            to = new double[from.length];
            width = new double[from.length];
            for (int i = 0; i < from.length; i++) {
                Shape.Strip s = strips.get(i);
                from[i] = sagging ? h - s.to() : s.from();
                to[i] = sagging ? h - s.from() : s.to();
                width[i] = s.width();
            }
            depth = new double[layers.size()];
            area = new double[depth.length];
            for (int i = 0; i < depth.length; i++) {
                depth[i] = layers.get(i).depth();
                area[i] = layers.get(i).area();
            }
        }

        Balance at(double c) {
            double a = Math.min(h, block.depth() * c);
            double n = 0;
            double m = 0;
            for (int i = 0; i < from.length; i++) {
                double end = Math.min(a, to[i]);
                if (end > from[i]) {
                    double force = block.stress() * width[i] * (end - from[i]);
                    n += force;
                    m -= force * (from[i] + end) / 2;
                }
            }
            for (int i = 0; i < depth.length; i++) {
                double strain = block.crushing() * (depth[i] - c) / c; // tension positive
                double stress = Math.max(-fy, Math.min(fy, Steel.ES * strain));
                if (depth[i] < a) {
                    stress += block.stress();
                }
                n -= stress * area[i];
                m += stress * area[i] * depth[i];
            }
            surplus = n;
            moment = m;
            return this;
        }
    }

    private void explain(List<BarLayer> layers, double fy, double fc, StressBlock block, DesignCode code, Trace t) {
        Notation.Bending n = code.notation().bending();
        t.step(
                n.factor().symbol(),
                n.factor().formula(),
                n.concrete() + " = {0}",
                block.depth(),
                Quantity.NUMBER,
                code.blockClause(),
                in(fc, Quantity.STRENGTH));
        for (BarLayer l : layers) {
            double strain = block.crushing() * (l.depth() - c) / c;
            double stress = Math.max(-fy, Math.min(fy, Steel.ES * strain));
            t.step(
                    n.steel().symbol(),
                    n.steel().formula(),
                    "bars {0} at d = {1}, " + n.neutralAxis() + " = {2}",
                    stress,
                    Quantity.STRENGTH,
                    n.steel().clause(),
                    in(l.area(), Quantity.AREA),
                    in(l.depth(), Quantity.LENGTH),
                    in(c, Quantity.LENGTH));
        }
        t.step(
                n.block().symbol(),
                n.block().formula(),
                "{0} × {1}",
                block.depth() * c,
                Quantity.LENGTH,
                code.blockClause(),
                in(block.depth(), Quantity.NUMBER),
                in(c, Quantity.LENGTH));
        t.step(
                n.strain().symbol(),
                n.strain().formula(),
                n.neutralAxis() + " = {0}",
                epsT,
                Quantity.STRAIN,
                n.strain().clause(),
                in(c, Quantity.LENGTH));
        code.reductionClause()
                .ifPresent(clause -> t.step(
                        "φ",
                        "from εt",
                        "εt = {0}, εty = {1}",
                        phi,
                        Quantity.NUMBER,
                        clause,
                        in(epsT, Quantity.STRAIN),
                        in(fy / Steel.ES, Quantity.STRAIN)));
        t.step(
                n.strength(),
                "Σ forces of bars and block × lever",
                "As = {0}, d = {1}",
                Mn,
                Quantity.MOMENT,
                code.flexureClause(),
                in(as, Quantity.AREA),
                in(d, Quantity.LENGTH));
        if (code.reductionClause().isPresent()) {
            t.step(
                    "φ" + n.strength(),
                    "φ " + n.strength(),
                    "{0} × {1}",
                    phiMn(),
                    Quantity.MOMENT,
                    code.flexureClause(),
                    in(phi, Quantity.NUMBER),
                    in(Mn, Quantity.MOMENT));
        }
    }
}
