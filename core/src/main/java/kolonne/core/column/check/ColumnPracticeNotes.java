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
    private static final String RELEASE = "Set other bars, or release them.";

    private ColumnPracticeNotes() {}

    /** @param number of the lift, from the foundation */
    static List<Finding> of(ColumnStack stack, int number, ColumnCage cage, ColumnContext context) {
        Basis basis = context.basis();
        List<Finding> out = new ArrayList<>();
        ColumnStack.Lift lift = stack.lifts().get(number);
        if (basis.bars().preference() != Preference.PRACTICAL) {
            return out;
        }
        ColumnCage.LiftCage c = cage.lifts().get(number);
        BarLayout layout = c.layout();
        String where = stack.mark() + ", lift to " + (lift.storey().isEmpty() ? "top" : lift.storey());
        boolean chosen = context.hand(lift).bars() == null;
        List<Bar> allowed = basis.columnBarList();
        if (allowed.indexOf(layout.largest()) - allowed.indexOf(layout.smallest())
                > basis.practice().sizesApart()) {
            out.add(Finding.note(
                    "practice.sizes",
                    where,
                    "The bars are " + layout.words()
                            + (chosen ? ": no sizes nearer together serve." : ", as set by hand."),
                    chosen ? "Make the section larger, or let the basis allow more sizes." : RELEASE));
        }
        double most = basis.practice().columnBarsApart();
        if (apart(c, lift.section().shape(), basis) > most + 1e-6) {
            out.add(Finding.note(
                    "practice.distance",
                    where,
                    "Neighbouring bars are more than " + Quantity.LENGTH.text(most, basis.usUnits()) + " apart"
                            + (chosen ? ": more bars of allowed sizes do not serve." : ", as set by hand."),
                    chosen ? "Let the basis allow smaller bars." : RELEASE));
        }
        boolean grows =
                number + 1 < cage.lifts().size() && cage.lifts().get(number + 1).area() > c.area() + 1;
        if (grows) {
            out.add(Finding.note(
                    "practice.growing",
                    where,
                    "The lift above has more steel"
                            + (chosen ? ": no arrangement with as much serves here." : ": these bars are set by hand."),
                    chosen ? "Keep the section through both lifts, or let the basis allow more sizes." : RELEASE));
        }
        if (changesTooSoon(stack, number, cage, basis)) {
            boolean set = !chosen || context.hand(stack.lifts().get(number - 1)).bars() != null;
            out.add(Finding.note(
                    "practice.change",
                    where,
                    "The bars are others than those of the lift below, less than "
                            + basis.practice().sameBarsThrough() + " storeys after they changed before"
                            + (set ? ": set by hand." : ": the same do not serve in both."),
                    set ? RELEASE : "Make the section larger, or let bars change sooner."));
        }
        return out;
    }

    private static boolean changesTooSoon(ColumnStack stack, int number, ColumnCage cage, Basis basis) {
        return stack.sinceStep(number) % basis.practice().sameBarsThrough() != 0
                && !cage.lifts()
                        .get(number)
                        .layout()
                        .unheld()
                        .equals(cage.lifts().get(number - 1).layout().unheld());
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
