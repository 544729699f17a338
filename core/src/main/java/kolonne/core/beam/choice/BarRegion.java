package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;

/**
 * A stretch of a face that gets the same additional bars.
 *
 * @param number of the span (bottom) or the support (top)
 * @param moment [Nmm]
 * @param span   the weakest it touches
 * @param spans  all that it touches
 * @param length [mm]
 * @param anchor length for a hook inside the end support [mm]; infinite where bars run on
 * @param ends   end supports that its bottom bars are anchored in
 */
record BarRegion(
        BeamCage.Face face,
        int number,
        double moment,
        BeamLine.Span span,
        List<BeamLine.Span> spans,
        double length,
        double anchor,
        List<End> ends) {
    /** Moment at an end support that hooks of bottom bars must stand with the length that they find inside it [Nmm, mm]. */
    record End(double moment, double run) {}
}
