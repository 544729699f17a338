package kolonne.core.column.cage;

import kolonne.core.basis.Basis;
import kolonne.core.basis.part.ColumnSplices;
import kolonne.core.code.Bar;
import kolonne.core.code.DuctileColumns;
import kolonne.core.code.DuctileFrame;
import kolonne.core.column.line.ColumnStack;

/** Laps of a column's bars: each lift's with those of the lift below, above the floor that it stands on or, in frames that ask for it, in the middle of its clear height. */
public final class ColumnLaps {
    /** Height above the floor at which bars are coupled where they are not in the middle of the height: within reach [mm]. */
    private static final double COUPLED = 600;

    private ColumnLaps() {}

    /** Whether bars lap in the middle half of the clear height alone. */
    static boolean inMiddle(Basis basis) {
        return basis.designCode()
                .ductile(basis.ductility())
                .map(DuctileFrame::columns)
                .map(DuctileColumns::lapsInMiddle)
                .orElse(false);
    }

    /** Whether bars are coupled where they can be. */
    public static boolean coupled(Basis basis) {
        return basis.practice().splices() == ColumnSplices.COUPLERS;
    }

    /**
     * Least length of a lap in tension [mm].
     *
     * @param lift that the lap lies in: the upper one
     * @param a, b the two bars
     */
    public static double length(ColumnStack.Lift lift, Bar a, Bar b, Basis basis) {
        boolean first = a.diameter() >= b.diameter();
        return basis.designCode()
                .detailing()
                .lapLength(first ? a : b, first ? b : a, lift.material().fc(), basis.fy(), basis.columnCover());
    }

    /** Where the bars of a lift begin, above its lower joint [mm]. @param thickest of its bars */
    static double start(ColumnStack.Lift lift, Bar thickest, Basis basis) {
        double spare = inMiddle(basis)
                ? (lift.between() - length(lift, thickest, thickest, basis)) / 2
                : coupled(basis) ? Math.min(COUPLED, lift.between() / 4) : 0;
        return lift.inFoot() + Math.floor(Math.max(0, spare));
    }
}
