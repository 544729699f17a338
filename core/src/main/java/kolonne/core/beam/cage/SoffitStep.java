package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.line.BeamLine;

/** Where bottom bars that run on are led over a step of the soffit: at a slope, within the deeper span, from the axis of the support on. */
public final class SoffitStep {
    /** Along for one up, where there is room. */
    public static final double SLOPE = 6;

    private SoffitStep() {}

    /** Stretches of a span in which bars may rise to a shallower one beside it: {from, to} [mm]. */
    static List<double[]> within(BeamLine line, BeamLine.Span span) {
        List<double[]> out = new ArrayList<>();
        double before = rise(line, span, span.number() - 1);
        if (before > 0) {
            out.add(new double[] {span.from(), span.from() + SLOPE * before});
        }
        double after = rise(line, span, span.number() + 1);
        if (after > 0) {
            out.add(new double[] {span.to() - SLOPE * after, span.to()});
        }
        return out;
    }

    /** How much higher the soffit of another span lies; 0 where there is none [mm]. */
    private static double rise(BeamLine line, BeamLine.Span span, int other) {
        return other < 0 || other >= line.spans().size()
                ? 0
                : span.shape().depth() - line.spans().get(other).shape().depth();
    }
}
