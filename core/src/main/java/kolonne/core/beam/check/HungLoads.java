package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Member;
import kolonne.core.model.Role;

/** Beams that frame in from the side and hang their load into the lower part of the line: it must be hung up by stirrups. */
final class HungLoads {
    /** A beam whose soffit lies above this part of the depth rests on the line rather than hangs in it. */
    private static final double LOWER_PART = 0.5;
    /** Loads below this part of f'c bw h are not worth a stirrup. */
    private static final double SMALL = 1e-3;

    private static final double SAME_PLACE = 1;

    private HungLoads() {}

    /** One note a line, for the heaviest such load. */
    static List<Finding> of(BeamLine line, BeamContext context) {
        List<Finding> out = new ArrayList<>();
        double heaviest = 0;
        int count = 0;
        BeamLine.Station at = null;
        for (int i = 0; i + 1 < line.stations().size(); i++) {
            BeamLine.Station a = line.stations().get(i);
            BeamLine.Station b = line.stations().get(i + 1);
            double load = a.span() == b.span()
                            && a.memberNumber() != b.memberNumber()
                            && b.x() - a.x() < SAME_PLACE
                            && hangs(line, context, a, b)
                    ? drop(context, a, b)
                    : 0;
            BeamLine.Span span = line.spans().get(a.span());
            if (load
                    > SMALL
                            * span.material().fc()
                            * span.shape().webWidth()
                            * span.shape().depth()) {
                count++;
                if (load > heaviest) {
                    heaviest = load;
                    at = a;
                }
            }
        }
        if (at != null) {
            boolean us = context.basis().usUnits();
            double steel = heaviest
                    / context.basis().designCode().hangerStress(context.basis().fyt());
            out.add(new Finding(
                    Severity.NOTE,
                    "load.hung",
                    line.mark() + ", " + Places.of(line, at.x(), at.span(), context),
                    String.format(
                            Locale.ROOT,
                            "%s, up to %s: %s of stirrups around the crossing hang it up, beside those of the shear.",
                            count == 1
                                    ? "A beam hangs its load into the lower part of this line"
                                    : "Beams hang their loads into the lower part of this line at " + count + " places",
                            Quantity.FORCE.text(heaviest, us),
                            Quantity.AREA.text(steel, us)),
                    "Place them within the crossing, or add diagonal bars.",
                    context.basis().designCode().hangerClause().text(),
                    ""));
        }
        return out;
    }

    /** Whether a beam of another line meets the joint between two members with its soffit in the lower part. */
    private static boolean hangs(BeamLine line, BeamContext context, BeamLine.Station a, BeamLine.Station b) {
        Member left = context.index().building().members().get(a.memberNumber());
        Member right = context.index().building().members().get(b.memberNumber());
        String joint = left.end().equals(right.start()) || left.end().equals(right.end()) ? left.end() : left.start();
        double depth = line.spans().get(a.span()).shape().depth();
        return context.index().membersAt(joint).stream()
                .anyMatch(m -> m.role() == Role.BEAM
                        && m != left
                        && m != right
                        && context.index().sectionOf(m).shape().depth() >= LOWER_PART * depth);
    }

    /** The largest drop of the shear along the line: a load that acts downwards [N]. */
    private static double drop(BeamContext context, BeamLine.Station a, BeamLine.Station b) {
        double most = 0;
        for (int c = 0; c < context.combinations(); c++) {
            most = Math.max(most, context.at(a, c, Analysis.VZ) - context.at(b, c, Analysis.VZ));
        }
        return most;
    }
}
