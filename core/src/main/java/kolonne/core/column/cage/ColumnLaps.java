package kolonne.core.column.cage;

import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.code.Bar;
import kolonne.core.column.line.ColumnStack;

/** Laps of a column's bars. */
public final class ColumnLaps {
    private ColumnLaps() {}

    /** Least length of a lap in tension [mm]. */
    public static double length(ColumnStack.Lift lift, Bar bar, Basis basis) {
        return basis.designCode()
                .detailing()
                .lapLength(bar, lift.material().fc(), basis.fy(), false, 2 * bar.diameter(), basis.columnCover());
    }

    /** A bar from the lower joint of a lift to its upper one and over the lap, or to the top of the beams there, on the module of lengths [mm]. */
    public static double run(ColumnStack.Lift lift, Bar bar, Basis basis) {
        double height = lift.top() - lift.base();
        if (lift.highest()) {
            // the cover stands in the way of anything longer
            return height + lift.inHead() - basis.columnCover();
        }
        double least = height + length(lift, bar, basis);
        return least + BarLengths.missing(least, basis.practice().lengthModule());
    }
}
