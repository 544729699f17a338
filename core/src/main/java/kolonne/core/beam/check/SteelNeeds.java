package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;

/** Steel that the demand asks for beside what the cage has, place by place. */
public final class SteelNeeds {
    private static final int HALVINGS = 30;

    private SteelNeeds() {}

    /**
     * One place of a line.
     *
     * @param face     of the bars; the place is a support for the top and a span for the bottom
     * @param number   of that support or span
     * @param x        where the moment is largest [mm]
     * @param required [mm2]; infinite where no number of bars at their depth is enough
     * @param provided [mm2]
     * @param minimum  whether the code's minimum decides
     */
    public record Bars(BeamCage.Face face, int number, double x, double required, double provided, boolean minimum) {}

    /**
     * Stirrups of a zone, area of legs per length [mm2/mm].
     *
     * @param required for shear and the code's minimum; torsion is told by its own check
     */
    public record Stirrups(int span, double from, double to, double required, double provided) {}

    /** Top bars by support, then bottom bars by span. */
    public static List<Bars> bars(BeamDesign d, BeamContext context) {
        BarsAt at = new BarsAt(d.line(), d.cage(), context.basis());
        List<Bars> out = new ArrayList<>();
        for (int s = 0; s < d.line().supports().size(); s++) {
            out.add(worst(d, context, at, BeamCage.Face.TOP, s));
        }
        for (BeamLine.Span s : d.line().spans()) {
            out.add(worst(d, context, at, BeamCage.Face.BOTTOM, s.number()));
        }
        return out;
    }

    private static Bars worst(BeamDesign d, BeamContext context, BarsAt at, BeamCage.Face face, int number) {
        BeamDesign.Point worst = null;
        for (BeamDesign.Point p : d.profile()) {
            boolean more =
                    worst == null || (face == BeamCage.Face.BOTTOM ? p.mPos() > worst.mPos() : p.mNeg() < worst.mNeg());
            worst = belongs(d.line(), face, number, p) && more ? p : worst;
        }
        double x = face == BeamCage.Face.TOP
                ? d.line().supports().get(number).x()
                : d.line().spans().get(number).faceFrom();
        return worst != null ? at(d.line(), context, at, face, number, worst) : new Bars(face, number, x, 0, 0, false);
    }

    /** A bottom bar's span; the half of a span that is nearer to a top bar's support. */
    private static boolean belongs(BeamLine line, BeamCage.Face face, int number, BeamDesign.Point p) {
        if (face == BeamCage.Face.BOTTOM) {
            return p.span() == number;
        }
        BeamLine.Span span = line.spans().get(p.span());
        double middle = span.middle();
        return p.span() == number && p.x() <= middle || p.span() == number - 1 && p.x() >= middle;
    }

    private static Bars at(
            BeamLine line, BeamContext context, BarsAt at, BeamCage.Face face, int number, BeamDesign.Point p) {
        BeamLine.Span span = line.spans().get(p.span());
        boolean sagging = face == BeamCage.Face.BOTTOM;
        double demand = sagging ? p.mPos() : -p.mNeg();
        double has = at.areaAt(p.x(), face);
        if (demand <= span.negligibleMoment()) {
            return new Bars(face, number, p.x(), 0, has, false);
        }
        double d = at.effectiveDepth(p.x(), span, face);
        DesignCode code = context.basis().designCode();
        Tension tension = new Tension(span, sagging, at.layers(p.x(), span, sagging), has, d, context);
        double needed = tension.areaFor(demand);
        double third = tension.areaFor(code.minimumSteelExcess() * demand);
        double least = Math.min(
                third,
                code.beamMinimumSteel(
                        span.material().fc(),
                        context.basis().fy(),
                        FlexureCheck.minimumWidth(code, line, span, sagging),
                        d,
                        Trace.OFF));
        return new Bars(face, number, p.x(), Math.max(needed, least), has, least > needed);
    }

    /**
     * The section at a place with more or fewer bars in tension, where they lie, and the bars that it has in compression: what is
     * called required passes exactly where the check of the section does.
     *
     * @param layers of the cage at the place, as far as they are developed
     * @param has    tension bars there [mm2]
     * @param d      effective depth of tension bars [mm]
     */
    private record Tension(
            BeamLine.Span span, boolean sagging, List<BarLayer> layers, double has, double d, BeamContext context) {
        /** Most steel that is tried, over bw d. */
        private static final double MOST = 0.04;

        private static final int STEPS = 40;

        /** The least area in tension that carries a moment [mm2]; infinite where none does. */
        double areaFor(double moment) {
            double unit = has > 0 ? has : span.shape().webWidth() * d;
            double most = Math.max(1, MOST * span.shape().webWidth() * d / unit);
            // strength falls where a section is no longer tension-controlled: the first rise above the moment counts
            double from = 0;
            double to = has > 0 && strength(1) >= moment ? 1 : 0;
            for (int i = 1; to == 0 && i <= STEPS; i++) {
                double factor = most * i / STEPS;
                if (strength(factor) >= moment) {
                    to = factor;
                    from = most * (i - 1) / STEPS;
                }
            }
            if (to == 0) {
                return Double.POSITIVE_INFINITY;
            }
            for (int i = 0; i < HALVINGS; i++) {
                double middle = (from + to) / 2;
                if (strength(middle) < moment) {
                    from = middle;
                } else {
                    to = middle;
                }
            }
            return to * unit;
        }

        private double strength(double factor) {
            List<BarLayer> out = new ArrayList<>();
            if (has == 0) {
                out.add(new BarLayer(d, factor * span.shape().webWidth() * d));
            }
            double middle = span.shape().depth() / 2;
            layers.forEach(l -> out.add(l.depth() > middle ? new BarLayer(l.depth(), factor * l.area()) : l));
            return FlexuralStrength.of(
                            span.shape(),
                            sagging,
                            out,
                            span.material().fc(),
                            context.basis().fy(),
                            context.basis().designCode(),
                            Trace.OFF)
                    .phiMn();
        }
    }

    /** Zone by zone. */
    public static List<Stirrups> stirrups(BeamDesign d, BeamContext building) {
        BeamContext context = building.of(d.line());
        BarsAt at = new BarsAt(d.line(), d.cage(), context.basis());
        List<BeamShearCheck.Demand> demands =
                BeamShearCheck.demands(d.line(), context, BeamTorsion.torques(d.line(), context.demands()), d.cage());
        List<Stirrups> out = new ArrayList<>();
        for (BeamCage.Zone z : d.cage().zones()) {
            BeamLine.Span span = d.line().spans().get(z.span());
            double required = 0;
            for (BeamShearCheck.Demand q : demands) {
                if (q.span() == z.span() && q.x() >= z.from() - 1e-6 && q.x() <= z.to() + 1e-6) {
                    required = Math.max(
                            required,
                            q.steel(at.shearInput(q.x(), span), context.basis().designCode()));
                }
            }
            double least = at.shear((z.from() + z.to()) / 2, span, Trace.OFF).minimumAvs();
            out.add(new Stirrups(z.span(), z.from(), z.to(), Math.max(required, least), z.avs()));
        }
        return out;
    }
}
