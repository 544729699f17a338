package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.BarRuns;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.shape.Shape;

/** What a reader of the bars of a lift should know: dowels where the section steps, hooks that are longer than the column is deep. */
final class StandingNotes {
    private StandingNotes() {}

    static List<Finding> of(ColumnStack stack, ColumnStack.Lift lift, List<VerticalBars.Standing> all, Basis basis) {
        List<Finding> out = new ArrayList<>();
        String where = ColumnFindings.where(stack, lift);
        long dowels =
                all.stream().filter(s -> s.use() == VerticalBars.Use.DOWEL).count();
        if (dowels > 0) {
            out.add(Finding.note(
                    "column.dowels",
                    where,
                    dowels + (dowels == 1 ? " dowel stands" : " dowels stand") + " for bars of the lift above: "
                            + "the section steps by more than bars may be bent aside for, or there are more bars above.",
                    "Keep the section through both lifts, or step it by less."));
        }
        boolean ends = all.stream().anyMatch(s -> s.use() == VerticalBars.Use.ENDS);
        if (ends && lift.inHead() <= 0) {
            out.add(Finding.note(
                    "column.ends",
                    where,
                    "No beams are modelled at the head, where bars end: their anchorage is not checked.",
                    "Look at what the column carries there: a slab, a wall, a bearing."));
        }
        all.stream()
                .filter(VerticalBars.Standing::hookHead)
                .map(VerticalBars.Standing::bar)
                .reduce((a, b) -> a.diameter() >= b.diameter() ? a : b)
                .ifPresent(bar -> room(lift.section().shape(), bar, where, basis, out));
        return out;
    }

    /** Bars that lap with those below sooner than the basis has it. @param why they begin in the lift; null where they do not */
    static Optional<Finding> sooner(ColumnStack stack, ColumnStack.Lift lift, BarRuns.End why, Basis basis) {
        // that bars change too soon is a note of its own by the practical preference
        boolean told = why == BarRuns.End.BARS && basis.bars().preference() == Preference.PRACTICAL;
        if (why == null || why == BarRuns.End.DUE || why == BarRuns.End.SECTION || told) {
            return Optional.empty();
        }
        String reason = switch (why) {
            case TIES -> "the ties are of another size than below.";
            case LENGTH -> "one piece would be longer than bars are delivered.";
            default -> "the bars are others than below.";
        };
        return Optional.of(Finding.note(
                "practice.laps",
                ColumnFindings.where(stack, lift),
                "The bars lap at the foot, less than " + basis.practice().columnLapsEvery()
                        + " storeys after they lapped before: " + reason,
                "Set the same bars and ties by hand in both lifts, or let bars lap at every floor."));
    }

    private static void room(Shape s, Bar bar, String where, Basis basis, List<Finding> out) {
        double hook = basis.entry().bends().hook(bar);
        double over = hook - (Math.max(s.width(), s.depth()) - 2 * basis.columnCover());
        if (over > 1) {
            boolean us = basis.usUnits();
            out.add(Finding.note(
                    "hook.room",
                    where,
                    "The hooks of the " + bar.label() + " that end at the head are "
                            + Quantity.LENGTH.text(hook, us) + " long, " + Quantity.LENGTH.text(over, us)
                            + " more than the column is deep between its covers.",
                    "Lay them into the beams or the slab; else take thinner bars."));
        }
    }
}
