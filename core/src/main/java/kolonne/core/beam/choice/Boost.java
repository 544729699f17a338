package kolonne.core.beam.choice;

import java.util.Arrays;
import java.util.List;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.DuctileCheck;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.DuctileFrame;

/**
 * How much more than the moments the bars must be chosen for, so that cracks stay narrow, bars are anchored for the shifted moment, and
 * the strengths of a ductile frame are in proportion. It
 * grows from round to round, where the checks of the last cage ask for it.
 */
final class Boost {
    private static final double MOST = 1.6;
    private static final double MARGIN = 1.02;
    /** Stations this near a face are at it [mm]. */
    private static final double AT_FACE = 10;

    /** Factors on the moments of the stations. */
    final double[] sagging;

    final double[] hogging;
    /** Factors on whole regions: bottom bars of a span, top bars of a support. */
    final double[] spans;

    final double[] supports;

    /** Strengths that the stations must reach whatever their moments, as design strengths [Nmm]. */
    final double[] saggingFloor;

    final double[] hoggingFloor;

    Boost(BeamLine line) {
        saggingFloor = new double[line.stations().size()];
        hoggingFloor = new double[line.stations().size()];
        sagging = ones(line.stations().size());
        hogging = ones(line.stations().size());
        spans = ones(line.spans().size());
        supports = ones(line.supports().size());
    }

    private static double[] ones(int n) {
        double[] out = new double[n];
        Arrays.fill(out, 1);
        return out;
    }

    /** Takes the strengths that a ductile frame misses in a cage; whether it misses any. */
    boolean raise(BeamLine line, BeamCage cage, BeamContext context, DuctileFrame rules) {
        BarsAt bars = new BarsAt(line, cage, context.basis());
        boolean any = false;
        for (BeamLine.Span s : line.spans()) {
            any |= DuctileSpans.applies(line, s) && raise(line, s, bars, context, rules);
        }
        return any;
    }

    private boolean raise(BeamLine line, BeamLine.Span s, BarsAt bars, BeamContext context, DuctileFrame rules) {
        double most = 0;
        double[] sagging = new double[2];
        for (int end = 0; end < 2; end++) {
            if (DuctileSpans.column(line, s.number() + end)) {
                double x = end == 0 ? s.faceFrom() : s.faceTo();
                double hogging = DuctileCheck.strength(line, s, x, false, bars, context.basis());
                sagging[end] = rules.saggingAtFace() * hogging;
                most = Math.max(
                        most, Math.max(hogging, DuctileCheck.strength(line, s, x, true, bars, context.basis())));
            }
        }
        boolean any = false;
        for (int i = 0; i < line.stations().size(); i++) {
            BeamLine.Station q = line.stations().get(i);
            if (q.span() == s.number()) {
                double atFace = Math.abs(q.x() - s.faceFrom()) < AT_FACE
                        ? sagging[0]
                        : Math.abs(q.x() - s.faceTo()) < AT_FACE ? sagging[1] : 0;
                any |= floor(
                        saggingFloor,
                        i,
                        Math.max(atFace, rules.anywhere() * most),
                        DuctileCheck.strength(line, s, q.x(), true, bars, context.basis()));
                any |= floor(
                        hoggingFloor,
                        i,
                        rules.anywhere() * most,
                        DuctileCheck.strength(line, s, q.x(), false, bars, context.basis()));
            }
        }
        return any;
    }

    /** A floor is raised by what the strength misses, as design strength of bars that yield. */
    private static boolean floor(double[] floors, int i, double wanted, double has) {
        if (wanted <= has) {
            return false;
        }
        double missing = has > 0 ? Math.min(MOST, wanted / has) : MOST;
        double to = MARGIN * Math.max(0.9 * wanted, floors[i] * missing);
        boolean raised = to > floors[i] * (1 + 1e-9) && to < 4 * wanted;
        floors[i] = raised ? to : floors[i];
        return raised;
    }

    /**
     * Takes what a cage misses.
     *
     * @param cracks use of crack width and stresses at the stations; {@code shifted} of the shifted moment
     * @param full   regions that no bars bear the moments of: more moment brings no more
     * @return whether anything is missing
     */
    boolean raise(BeamLine line, boolean bottom, double[] cracks, double[] shifted, boolean[] full) {
        boolean any = false;
        List<BeamLine.Station> stations = line.stations();
        for (int i = 0; i < cracks.length; i++) {
            BeamLine.Station s = stations.get(i);
            boolean left = s.x() < line.spans().get(s.span()).middle();
            int k = bottom || left ? s.span() : s.span() + 1;
            if (full[k]) {
                continue;
            }
            if (cracks[i] > 1) {
                (bottom ? sagging : hogging)[i] *= Math.min(MOST, cracks[i] * MARGIN);
                any = true;
            }
            if (shifted[i] > 1) {
                double[] of = bottom ? spans : supports;
                of[k] = Math.max(of[k], Math.min(4, of[k] * Math.min(MOST, shifted[i] * MARGIN)));
                any = true;
            }
        }
        return any;
    }
}
