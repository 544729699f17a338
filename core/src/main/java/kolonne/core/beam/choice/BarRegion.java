package kolonne.core.beam.choice;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;

/**
 * A stretch of a face that gets the same additional bars.
 *
 * @param number of the span (bottom) or the support (top)
 * @param sides  what its bars bear, of every span that it touches and whose section is another; one at least
 * @param spans  all that it touches
 * @param length [mm]
 * @param anchor length for a hook inside the end support [mm]; infinite where bars run on
 * @param ends   end supports that its bottom bars are anchored in
 */
record BarRegion(
        BeamCage.Face face,
        int number,
        List<Side> sides,
        List<BeamLine.Span> spans,
        double length,
        double anchor,
        List<End> ends) {
    /** The largest moment of a span in the region [Nmm]; 0 where it is negligible. */
    record Side(BeamLine.Span span, double moment) {}

    /** Of the narrowest web that the bars pass [mm]. */
    double web() {
        return spans.stream().mapToDouble(s -> s.shape().webWidth()).min().orElseThrow();
    }

    /** Whether a strength of each side's span is as large as its moment. */
    boolean bear(ToDoubleFunction<BeamLine.Span> strength) {
        for (Side s : sides) {
            if (strength.applyAsDouble(s.span()) < s.moment()) {
                return false;
            }
        }
        return true;
    }

    /** The least part of a side's moment that a strength bears; of a side without a moment as if it had one of 1 Nmm. */
    double part(ToDoubleFunction<BeamLine.Span> strength) {
        double least = Double.POSITIVE_INFINITY;
        for (Side s : sides) {
            least = Math.min(least, strength.applyAsDouble(s.span()) / Math.max(1, s.moment()));
        }
        return least;
    }

    /** Moment at an end support that hooks of bottom bars must stand with the length that they find inside it [Nmm, mm]. */
    record End(double moment, double run) {}
}
