package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.shape.Shape;

/** Where the bars of a lift do not keep what the basis wants of a site's habits: a note, since nothing is unsafe. */
final class ColumnPracticeNotes {
    private ColumnPracticeNotes() {}

    /** @param number of the lift, from the foundation */
    static List<Finding> of(ColumnStack stack, int number, ColumnCage cage, ColumnContext context) {
        Basis basis = context.basis();
        List<Finding> out = new ArrayList<>();
        ColumnStack.Lift lift = stack.lifts().get(number);
        if (basis.bars().preference() != Preference.PRACTICAL || !lift.inScope()) {
            return out;
        }
        ColumnCage.LiftCage c = cage.lifts().get(number);
        BarLayout layout = c.layout();
        String where = stack.mark() + ", lift to " + (lift.storey().isEmpty() ? "top" : lift.storey());
        List<Bar> allowed = basis.columnBarList();
        if (allowed.indexOf(layout.largest()) - allowed.indexOf(layout.smallest())
                > basis.practice().sizesApart()) {
            out.add(Finding.note(
                    "practice.sizes",
                    where,
                    "The bars are " + layout.words() + ": no sizes nearer together serve.",
                    "Make the section larger, or let the basis allow more sizes."));
        }
        double most = basis.practice().columnBarsApart();
        if (apart(c, lift.section().shape(), basis) > most + 1e-6) {
            out.add(Finding.note(
                    "practice.distance",
                    where,
                    "Neighbouring bars are more than " + Quantity.LENGTH.text(most, basis.usUnits())
                            + " apart: more bars of allowed sizes do not serve.",
                    "Let the basis allow smaller bars."));
        }
        boolean grows =
                number + 1 < cage.lifts().size() && cage.lifts().get(number + 1).area() > c.area() + 1;
        if (grows) {
            out.add(Finding.note(
                    "practice.growing",
                    where,
                    "The lift above has more steel: no arrangement with as much serves here.",
                    "Keep the section through both lifts, or let the basis allow more sizes."));
        }
        return out;
    }

    /** Greatest distance of neighbouring bars, centre to centre [mm]. */
    private static double apart(ColumnCage.LiftCage c, Shape shape, Basis basis) {
        double most = 0;
        for (double gap : c.layout().gaps(shape, ColumnTieCheck.inset(c, basis))) {
            most = Math.max(most, gap + c.layout().largest().diameter());
        }
        return most;
    }
}
