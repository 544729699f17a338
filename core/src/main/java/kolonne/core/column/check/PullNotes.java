package kolonne.core.column.check;

import java.util.List;
import java.util.Optional;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;

/** Lifts that a combination pulls: told, since what holds them down is not designed here. */
final class PullNotes {
    /** Less than this is the rounding of an analysis [N]. */
    private static final double NOTHING = 1e3;

    private PullNotes() {}

    /** @param all demands of the lift */
    static Optional<Finding> of(
            ColumnStack stack, ColumnStack.Lift lift, List<LiftDemands.Demand> all, ColumnContext context) {
        LiftDemands.Demand most = null;
        for (LiftDemands.Demand d : all) {
            most = most == null || d.p() < most.p() ? d : most;
        }
        if (most == null || most.p() > -NOTHING) {
            return Optional.empty();
        }
        String pull = Quantity.FORCE.text(-most.p(), context.basis().usUnits()) + " under "
                + context.strength().combination(most.combination()).name();
        String where = stack.mark() + ", lift to " + (lift.storey().isEmpty() ? "top" : lift.storey());
        if (lift.number() > 0) {
            return Optional.of(
                    Finding.note(
                            "column.tension",
                            where,
                            "The axial force is tension, up to " + pull + ".",
                            "Laps are those of bars in tension. Look at what holds the column down: the lifts below, and what it stands on."));
        }
        return Optional.of(Finding.note(
                "column.uplift",
                where,
                (lift.planted() ? "The column pulls at the beam it stands on" : "The column pulls at its foundation")
                        + ", with up to " + pull + ".",
                lift.planted()
                        ? "Look at how the beam holds it: the ties in the beam beneath it, and the starter bars."
                        : "Look at the foundation: its weight, and how the starter bars are anchored in it."));
    }
}
