package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.PrincipalAxes;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Mend;
import kolonne.core.code.ColumnRules;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.FromFoot;

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

    static String where(ColumnStack stack, ColumnStack.Lift lift) {
        return stack.mark() + ", lift to " + (lift.storey().isEmpty() ? "top" : lift.storey());
    }

    /** @param laps whether bars lap in the lift */
    static List<Finding> of(
            ColumnStack stack,
            ColumnStack.Lift lift,
            List<CheckResult> checks,
            LiftDemands.Sway sway,
            boolean laps,
            ColumnContext context) {
        List<Finding> out = new ArrayList<>();
        boolean us = context.basis().usUnits();
        ColumnRules columns = context.basis().designCode().columns();
        String where = where(stack, lift);
        for (CheckResult c : checks) {
            if (!c.satisfied()) {
                out.add(Finding.design(
                        Severity.FAILS,
                        c.cause(),
                        where + (c.place().equals("whole lift") ? "" : ", " + c.place()),
                        c.words(us),
                        Mend.of(c.kind(), c.cause()),
                        c.clause().text(),
                        c.combination()));
            }
            if (c.kind() == CheckKind.COLUMN_STEEL_MAXIMUM && laps && 2 * c.demand() > columns.lapMaximumRatio()) {
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
        Analysis analysis = context.strength().analysis();
        boolean own = analysis.imported()
                || PrincipalAxes.counts(analysis.index().building().members().get(lift.memberNumber()));
        if (lift.section().shape().Iyz() != 0 && !own) {
            out.add(Finding.note(
                    "column.axes",
                    where,
                    "A connection lets the ell bend about one leg and holds it about the other: the analysis bends it about axes along its legs, without its product of inertia.",
                    "Look at it where no slab holds it from turning aside."));
        }
        FromFoot.Turn turn = analysis.turn(lift.memberNumber());
        if (turn != null) {
            out.add(
                    Finding.note(
                            "column.drawn-down",
                            where,
                            "The model draws the column from its head down; it is analysed and designed from its foot up"
                                    + (turn == FromFoot.Turn.LEGS
                                            ? ", as " + lift.section().shape().whole(us)
                                                    + ": the legs are named, and forces told, the other way round."
                                            : ", and forces are told the other way round."),
                            "Nothing is to be done: forces that come with the model, and those written for it, stay about the axes that it gives."));
        }
        if (lift.planted()) {
            out.add(Finding.note(
                    "column.planted", where, "The column stands on a beam.", "Look at the beam that carries it."));
        }
        return out;
    }
}
