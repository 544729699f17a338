package kolonne.core.beam.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.SpacingLimits;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Spacing, legs and least area of stirrups. */
final class StirrupCheck {
    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final BarsAt bars;
    private final Governing governing;
    private final List<BeamShearCheck.Demand> shears;
    private final Basis basis;
    private final DesignCode code;

    StirrupCheck(
            BeamLine line,
            BeamCage cage,
            BeamContext context,
            BarsAt bars,
            Governing governing,
            List<BeamShearCheck.Demand> shears) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.bars = bars;
        this.governing = governing;
        this.shears = shears;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    void check(BeamLine.Span span) {
        double fc = span.material().fc();
        double bw = span.shape().webWidth();
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() != span.number()) {
                continue;
            }
            double x = (z.from() + z.to()) / 2;
            double d = bars.leastDepth(span, z.from(), z.to());
            ShearStrength s = code.shear(new ShearInput(fc, basis.fyt(), bw, d, bw * d, 0.01, z.avs(), 0), Trace.OFF);
            double needed = neededVs(span, z, s);
            SpacingLimits limits = code.beamStirrupSpacing(d, needed > 0.5 * (s.limit() - s.concrete()));
            governing.offer(
                    CheckKind.STIRRUP_SPACING,
                    z.spacing(),
                    limits.along(),
                    z.spacing() / limits.along(),
                    At.place(x, span.number()),
                    limits.clause());
            governing.offer(
                    CheckKind.LEGS_MOST,
                    z.legs(),
                    basis.stirrups().legsMost(),
                    (double) z.legs() / basis.stirrups().legsMost(),
                    At.place(x, span.number()),
                    Clause.BASIS);
            double across = (bw - 2 * basis.beamCover() - z.bar().diameter()) / (z.legs() - 1);
            governing.offer(
                    CheckKind.LEG_SPACING,
                    across,
                    limits.across(),
                    across / limits.across(),
                    At.place(x, span.number()),
                    limits.clause());
            governing.offer(
                    CheckKind.MINIMUM_SHEAR_STEEL,
                    s.minimumAvs(),
                    z.avs(),
                    s.minimumAvs() / z.avs(),
                    At.place(x, span.number()),
                    code.shearMinimumClause());
        }
    }

    /** The shear that stirrups of a zone must carry, as design strength [N]; decides the spacing limits. */
    private double neededVs(BeamLine.Span span, BeamCage.Zone z, ShearStrength s) {
        double worst = 0;
        for (BeamShearCheck.Demand d : shears) {
            if (d.span() == span.number() && d.x() >= z.from() - 1e-6 && d.x() <= z.to() + 1e-6) {
                worst = Math.max(worst, d.stirrups(s.concrete()));
            }
        }
        return worst;
    }
}
