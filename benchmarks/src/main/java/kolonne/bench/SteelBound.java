package kolonne.bench;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;

/**
 * What the main bars of a beam line weigh at least: everywhere two of the smallest size in the corners of the stirrups, or what the lesser moment of two neighbouring
 * stations asks for with the whole depth as lever, of bars that end where they are needed no more, without anchorage, laps or hooks. No cage has less.
 */
final class SteelBound {
    private static final double STEEL = 7.85e-6;
    /** Of the strength of the bars, at most. */
    private static final double PHI = 0.9;

    private SteelBound() {}

    /** [kg], by ACI 318. */
    static double mainBars(BeamDesign d) {
        Basis basis = d.basis();
        double corners = 2 * basis.beamBarList().get(0).area();
        double volume = 0;
        for (BeamLine.Span s : d.line().spans()) {
            double lever = s.shape().depth()
                    - basis.beamCover()
                    - basis.smallestStirrup().diameter();
            List<BeamDesign.Point> points =
                    d.profile().stream().filter(p -> p.span() == s.number()).toList();
            for (int i = 0; i + 1 < points.size(); i++) {
                BeamDesign.Point a = points.get(i);
                BeamDesign.Point b = points.get(i + 1);
                double bottom = Math.min(a.mPos(), b.mPos()) / (PHI * basis.fy() * lever);
                double top = Math.min(-a.mNeg(), -b.mNeg()) / (PHI * basis.fy() * lever);
                volume += (b.x() - a.x()) * (Math.max(corners, bottom) + Math.max(corners, top));
            }
        }
        return volume * STEEL;
    }
}
