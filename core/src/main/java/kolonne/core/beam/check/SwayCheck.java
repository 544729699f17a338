package kolonne.core.beam.check;

import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;

/** Storeys whose second order is more than the code's method covers fail their beams as they fail their columns. */
final class SwayCheck {
    private SwayCheck() {}

    static void run(BeamLine line, BeamContext context, Governing governing) {
        DesignCode code = context.basis().designCode();
        double limit = code.slenderness().greatestFactor();
        for (BeamLine.Span span : line.spans()) {
            double magnifier = span.members().stream()
                    .mapToDouble(m -> context.sway().ofBeam(context.index(), m)
                            * context.sway().heldOfBeam(context.index(), m))
                    .max()
                    .orElse(1);
            if (magnifier > 1 && (Double.isFinite(limit) || Double.isInfinite(magnifier))) {
                double use = Double.isInfinite(magnifier) ? CheckResult.NO_CAPACITY : magnifier / limit;
                governing.offer(
                        CheckKind.SECOND_ORDER,
                        magnifier,
                        limit,
                        use,
                        At.named(span.middle(), span.number(), "whole span"),
                        code.slenderness().greatestFactorClause());
            }
        }
    }
}
