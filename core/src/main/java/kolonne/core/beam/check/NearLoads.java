package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;

/**
 * Concentrated loads so near a support that they reach it through a strut of concrete. The shear is designed for in full at the face, never
 * reduced; where such loads make half of it or more a note says what the code has to say.
 */
final class NearLoads {
    private static final double HALF = 0.5;
    private static final double SAME_PLACE = 1;

    private NearLoads() {}

    /** One note a line, for the end with the largest part. */
    static Optional<Finding> of(BeamLine line, BeamContext context) {
        double most = HALF;
        double shear = 0;
        BeamLine.Span at = null;
        boolean atLeft = true;
        for (BeamLine.Span s : line.spans()) {
            for (boolean left : new boolean[] {true, false}) {
                if (line.supports().get(left ? s.number() : s.number() + 1).kind() == BeamLine.SupportKind.FREE) {
                    continue;
                }
                double[] part = part(line, s, left, context);
                if (part[0] > most) {
                    most = part[0];
                    shear = part[1];
                    at = s;
                    atLeft = left;
                }
            }
        }
        if (at == null) {
            return Optional.empty();
        }
        DesignCode code = context.basis().designCode();
        String place = Places.of(line, atLeft ? at.faceFrom() : at.faceTo(), at.number(), context);
        return Optional.of(new Finding(
                Severity.NOTE,
                "load.near-support",
                line.mark() + ", " + place,
                "Concentrated loads near the support make " + Math.round(100 * most) + " % of the shear of "
                        + Quantity.FORCE.text(shear, context.basis().usUnits()) + " at its face. "
                        + code.nearLoadWords(),
                "Look at the strut from the load to the support.",
                code.nearLoadClause().text(),
                ""));
    }

    /** The largest part of the shear at a face that concentrated loads near it make, over the combinations, and that shear [N]. */
    private static double[] part(BeamLine line, BeamLine.Span s, boolean left, BeamContext context) {
        double reach = context.basis().designCode().nearLoadReach(s.shape().depth());
        List<BeamLine.Station> all = new ArrayList<>(
                line.stations().stream().filter(q -> q.span() == s.number()).toList());
        double[] out = {0, 0};
        double negligible =
                1e-3 * s.material().fc() * s.shape().webWidth() * s.shape().depth();
        for (int c = 0; c < context.combinations(); c++) {
            double face = context.at(all.get(left ? 0 : all.size() - 1), c, Analysis.VZ) * (left ? 1 : -1);
            double loads = 0;
            for (int i = 0; i + 1 < all.size(); i++) {
                BeamLine.Station a = all.get(i);
                BeamLine.Station b = all.get(i + 1);
                boolean near = left ? a.x() - s.faceFrom() < reach : s.faceTo() - b.x() < reach;
                if (near && b.x() - a.x() < SAME_PLACE) {
                    loads += context.at(a, c, Analysis.VZ) - context.at(b, c, Analysis.VZ);
                }
            }
            if (face > negligible && loads / face > out[0]) {
                out = new double[] {Math.min(1, loads / face), face};
            }
        }
        return out;
    }
}
