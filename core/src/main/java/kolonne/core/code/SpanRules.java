package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Depth of spans whose deflection is not computed. */
public interface SpanRules {
    /** Least depth of a beam span without computed deflection [mm]. */
    double leastDepth(SpanDepth span, Trace t);

    Clause leastDepthClause();

    /**
     * A span as rules of span to depth see it.
     *
     * @param length   [mm]
     * @param fy       of the bars, {@code fc} of the concrete [MPa]
     * @param ratio    tension steel over b d at mid-span, at the support of a cantilever; {@code compressionRatio} of the bars in compression
     * @param flange   width of the section over that of its web
     */
    record SpanDepth(
            double length, SpanEnds ends, double fy, double fc, double ratio, double compressionRatio, double flange) {}

    /** How a span is held at its ends, for span-to-depth rules. */
    enum SpanEnds {
        SIMPLE,
        ONE_END_CONTINUOUS,
        BOTH_ENDS_CONTINUOUS,
        CANTILEVER
    }
}
