package kolonne.core.beam.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bound;
import kolonne.core.code.DesignCode;
import kolonne.core.code.SpanRules;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/**
 * Deflections against their limits. A span as deep as the code's table asks for needs none computed, unless partitions are
 * likely to be damaged; a thinner one must keep the limits (ACI 318-19 9.3.1.1, 9.3.2.1).
 */
final class DeflectionCheck {
    private final BeamLine line;
    private final BeamContext context;
    private final BarsAt bars;
    private final Governing governing;
    private final List<Deflections> deflections;
    private final Basis basis;
    private final DesignCode code;

    DeflectionCheck(
            BeamLine line, BeamContext context, BarsAt bars, Governing governing, List<Deflections> deflections) {
        this.bars = bars;
        this.line = line;
        this.context = context;
        this.governing = governing;
        this.deflections = deflections;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    void run() {
        for (BeamLine.Span span : line.spans()) {
            double h = span.shape().depth();
            double least = leastDepth(line, span, bars, basis, Trace.OFF);
            boolean deep = Bound.within(least, h);
            if (deflections.isEmpty() || deep && !basis.deflection().sensitive()) {
                governing.offer(
                        CheckKind.SPAN_TO_DEPTH,
                        least,
                        h,
                        least / h,
                        At.place(span.middle(), span.number()),
                        code.leastDepthClause());
            } else {
                computed(span, deflections.get(span.number()));
            }
        }
    }

    private void computed(BeamLine.Span span, Deflections d) {
        Clause clause = code.serviceability().limitClause();
        String service = context.service().combination(d.service()).name();
        double divisor = code.serviceability().totalDivisor();
        if (Double.isFinite(divisor)) {
            governing.offer(
                    CheckKind.DEFLECTION_TOTAL,
                    d.total(),
                    d.length() / divisor,
                    d.total() / (d.length() / divisor),
                    At.place(d.x().get(d.lastingAt()), span.number())
                            .under(context.sustained()
                                    .combination(d.sustained())
                                    .name()),
                    clause);
        }
        if (!code.serviceability().limitsLive()) {
            partitions(span, d, service, clause);
            return;
        }
        governing.offer(
                CheckKind.DEFLECTION_LIVE,
                d.mostLive(),
                d.length() / context.liveDivisor(span),
                d.mostLive() / (d.length() / context.liveDivisor(span)),
                At.place(d.x().get(d.liveAt()), span.number()).under(service),
                clause);
        lasting(span, d, service, clause);
    }

    /** Where partitions are likely to be damaged. */
    private void partitions(BeamLine.Span span, Deflections d, String service, Clause clause) {
        if (basis.deflection().sensitive()) {
            lasting(span, d, service, clause);
        }
    }

    private void lasting(BeamLine.Span span, Deflections d, String service, Clause clause) {
        governing.offer(
                CheckKind.DEFLECTION_LASTING,
                d.mostLasting(),
                d.length() / basis.deflection().lasting(),
                d.mostLasting() / (d.length() / basis.deflection().lasting()),
                At.place(d.x().get(d.lastingAt()), span.number()).under(service),
                clause);
    }

    /** Least depth of a span without computed deflection [mm]. */
    static double leastDepth(BeamLine line, BeamLine.Span span, BarsAt bars, Basis basis, Trace t) {
        boolean cantilever = line.cantilever(span.number());
        double length = cantilever ? span.clear() : span.to() - span.from();
        boolean freeLeft = line.supports().get(span.number()).kind() == BeamLine.SupportKind.FREE;
        double x = cantilever ? (freeLeft ? span.faceTo() : span.faceFrom()) : span.middle();
        BeamCage.Face tension = cantilever ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM;
        double width = cantilever ? span.shape().webWidth() : span.shape().width();
        double area = width * bars.effectiveDepth(x, span, tension);
        return basis.designCode()
                .leastDepth(
                        new SpanRules.SpanDepth(
                                length,
                                ends(line, span),
                                basis.fy(),
                                span.material().fc(),
                                bars.areaAt(x, tension) / area,
                                0,
                                span.shape().width() / span.shape().webWidth()),
                        t);
    }

    static SpanRules.SpanEnds ends(BeamLine line, BeamLine.Span span) {
        int n = span.number();
        if (line.cantilever(n)) {
            return SpanRules.SpanEnds.CANTILEVER;
        }
        boolean left = n > 0;
        boolean right = n < line.spans().size() - 1;
        return left && right
                ? SpanRules.SpanEnds.BOTH_ENDS_CONTINUOUS
                : left || right ? SpanRules.SpanEnds.ONE_END_CONTINUOUS : SpanRules.SpanEnds.SIMPLE;
    }
}
