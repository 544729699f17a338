package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Mend;
import kolonne.core.code.ColumnRules;
import kolonne.core.column.cage.ColumnLaps;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.shape.Shape;

/** Turns unmet checks of a lift into findings in the engineer's words. */
final class ColumnFindings {
    private ColumnFindings() {}

    /** Bars set by hand for a section of another shape. */
    static Finding unlike(ColumnStack stack, ColumnStack.Lift lift) {
        return Finding.note(
                "hand-set.unlike",
                where(stack, lift),
                "The bars set by hand are for a section of another shape and are not used.",
                "Release them, or set bars for the section as it is.");
    }

    private static String where(ColumnStack stack, ColumnStack.Lift lift) {
        return stack.mark() + ", lift to " + (lift.storey().isEmpty() ? "top" : lift.storey());
    }

    static List<Finding> of(
            ColumnStack stack,
            ColumnStack.Lift lift,
            List<CheckResult> checks,
            LiftDemands.Sway sway,
            ColumnContext context) {
        List<Finding> out = new ArrayList<>();
        boolean us = context.basis().usUnits();
        ColumnRules columns = context.basis().designCode().columns();
        String where = where(stack, lift);
        for (CheckResult c : checks) {
            if (!c.satisfied()) {
                String what = c.kind() == CheckKind.COLUMN_SHAPE
                        ? "An ell or a tee that is drawn from its head down has its section the other way round; this one is "
                                + lift.section().shape().label(us) + "."
                        : c.words(us);
                out.add(Finding.design(
                        Severity.FAILS,
                        c.cause(),
                        where + (c.place().equals("whole lift") ? "" : ", " + c.place()),
                        what,
                        Mend.of(c.kind(), c.cause()),
                        c.clause().text(),
                        c.combination()));
            }
            if (c.kind() == CheckKind.COLUMN_STEEL_MAXIMUM
                    && !ColumnLaps.coupled(context.basis())
                    && 2 * c.demand() > columns.lapMaximumRatio()) {
                out.add(Finding.note(
                        "laps",
                        where,
                        String.format(
                                Locale.ROOT,
                                "The steel is %.1f %%: lapped bars would pass the cap of %.0f %% at the laps.",
                                100 * c.demand(),
                                100 * columns.lapMaximumRatio()),
                        "Use mechanical splices or stagger the laps."));
            }
        }
        if (lift.section().shape() instanceof Shape.Ell && lift.inScope()) {
            out.add(Finding.note(
                    "column.axes",
                    where,
                    "The analysis bends the ell about axes along its legs, without its product of inertia: its moments are those of a column that is held from turning aside.",
                    "Look at it where no slab holds it."));
        }
        if (lift.planted()) {
            out.add(Finding.note(
                    "column.planted", where, "The column stands on a beam.", "Look at the beam that carries it."));
        }
        return out;
    }
}
