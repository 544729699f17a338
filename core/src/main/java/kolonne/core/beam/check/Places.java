package kolonne.core.beam.check;

import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.Governing;
import kolonne.core.explain.Quantity;

/** Places of a line in words, in the basis's units: distance from the nearest support's label. */
public final class Places {
    private Places() {}

    /** Takes results of a line; places are told from its supports. */
    public static Governing governing(BeamLine line, BeamContext context) {
        return new Governing((x, span) -> of(line, x, span, context));
    }

    static String of(BeamLine line, double x, int span, BeamContext context) {
        BeamLine.Support left = line.supports().get(span);
        BeamLine.Support right = line.supports().get(span + 1);
        boolean fromLeft = x - left.x() <= right.x() - x;
        double distance = Math.max(0, fromLeft ? x - left.x() : right.x() - x);
        return Quantity.DISTANCE.text(distance, context.basis().usUnits())
                + (fromLeft ? " right of " + left.label() : " left of " + right.label());
    }
}
