package kolonne.core.beam;

import java.util.Arrays;
import java.util.List;

/**
 * How much more than the moments the bars must be chosen for, so that cracks stay narrow and bars are anchored for the shifted moment. It
 * grows from round to round, where the checks of the last cage ask for it.
 */
final class Boost {
    private static final double MOST = 1.6;
    private static final double MARGIN = 1.02;

    /** Factors on the moments of the stations. */
    final double[] sagging;
    final double[] hogging;
    /** Factors on whole regions: bottom bars of a span, top bars of a support. */
    final double[] spans;
    final double[] supports;

    Boost(BeamLine line) {
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

    /**
     * Takes what a cage misses.
     *
     * @param cracks use of crack width and stresses at the stations; {@code shifted} of the shifted moment
     * @return whether anything is missing
     */
    boolean raise(BeamLine line, boolean bottom, double[] cracks, double[] shifted) {
        boolean any = false;
        List<BeamLine.Station> stations = line.stations();
        for (int i = 0; i < cracks.length; i++) {
            BeamLine.Station s = stations.get(i);
            if (cracks[i] > 1) {
                (bottom ? sagging : hogging)[i] *= Math.min(MOST, cracks[i] * MARGIN);
                any = true;
            }
            if (shifted[i] > 1) {
                BeamLine.Span span = line.spans().get(s.span());
                boolean left = s.x() < (span.faceFrom() + span.faceTo()) / 2;
                double[] of = bottom ? spans : supports;
                int k = bottom || left ? s.span() : s.span() + 1;
                of[k] = Math.max(of[k], Math.min(4, of[k] * Math.min(MOST, shifted[i] * MARGIN)));
                any = true;
            }
        }
        return any;
    }
}
