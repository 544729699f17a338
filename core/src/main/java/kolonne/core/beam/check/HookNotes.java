package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;

/** Hooks at the ends of a line that are higher than the beam between its covers: upright they would stand in the cover or out of the concrete. */
final class HookNotes {
    private HookNotes() {}

    /** One for every end and face, of the hooks that stick out most. */
    static List<Finding> of(BeamLine line, BeamCage cage, Basis basis) {
        List<Finding> out = new ArrayList<>();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            for (boolean first : new boolean[] {true, false}) {
                BeamCage.Group worst = null;
                double most = 1;
                for (BeamCage.Group g : cage.groups()) {
                    boolean hooked = first ? g.hookFrom() : g.hookTo();
                    double over = g.face() == face && hooked ? over(line, g, first, basis) : 0;
                    if (over > most) {
                        most = over;
                        worst = g;
                    }
                }
                if (worst != null) {
                    out.add(note(line, worst, first, most, basis));
                }
            }
        }
        return out;
    }

    /** What a hook lacks between its bar and the cover of the other face [mm]. */
    private static double over(BeamLine line, BeamCage.Group g, boolean first, Basis basis) {
        double depth = line.spanAt(first ? g.from() : g.to()).shape().depth();
        double room = depth - basis.beamCover() - (g.offset() - g.bar().diameter() / 2);
        return basis.entry().bends().hook(g.bar()) - room;
    }

    private static Finding note(BeamLine line, BeamCage.Group g, boolean first, double over, Basis basis) {
        boolean us = basis.usUnits();
        BeamLine.Support s = line.supports().get(first ? 0 : line.supports().size() - 1);
        String height = Quantity.LENGTH.text(basis.entry().bends().hook(g.bar()), us);
        return Finding.note(
                "hook.room",
                line.mark() + ", " + s.label(),
                "The hooks of the " + g.face().word() + " " + g.bar().label()
                        + (g.layer() > 1 ? " of layer " + g.layer() : "") + " are " + height + " high, "
                        + Quantity.LENGTH.text(over, us) + " more than there is between the covers.",
                "Lay them over, or let them reach into the column where it goes on; else take thinner bars.");
    }
}
