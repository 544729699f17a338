package kolonne.core.column.cage;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.VerticalBars.Standing;
import kolonne.core.column.cage.VerticalBars.Use;
import kolonne.core.column.line.ColumnStack;

/** How far laps of a lift reach from the middle of its clear height, as they are drawn: bars are longer than they need be by what their length lacks to the module. */
public final class LapPlace {
    private final List<Standing> standing;
    private final double middle;
    private double farthest;

    private LapPlace(ColumnStack.Lift lift, List<Standing> standing) {
        this.standing = standing;
        this.middle = lift.inFoot() + lift.between() / 2;
    }

    /**
     * Twice the distance of the farthest end of a lap from the middle: the length of one that lies in the middle; 0 where no bars lap [mm].
     *
     * @param standing bars that begin in the lift; {@code below} what stands in the head of the lift below, nothing for the lowest
     */
    public static double length(
            ColumnStack stack, int number, List<Standing> standing, List<Standing> below, Basis basis) {
        ColumnStack.Lift lift = stack.lifts().get(number);
        LapPlace p = new LapPlace(lift, standing);
        double rise =
                number == 0 ? 0 : lift.base() - stack.lifts().get(number - 1).base();
        for (Standing s : number == 0 ? standing : below) {
            boolean laps = s.use() == Use.STARTER || s.use() == Use.ON || s.use() == Use.DOWEL;
            p.own(laps && (s.use() == Use.STARTER) == (number == 0) ? s.to() - rise : 0);
        }
        p.dowels(VerticalBars.end(standing, lift.top() - lift.base() + lift.inHead() - basis.columnCover()));
        return 2 * p.farthest;
    }

    /** A bar from below that ends at a height, with those of the lift that begin under its end. */
    private void own(double end) {
        for (Standing s : standing) {
            if (s.own() && s.from() >= 0 && s.from() < end - 1) {
                add(s.from());
                add(end);
            }
        }
    }

    /** Dowels lap with bars that end under the top of the floor. */
    private void dowels(double ends) {
        for (Standing s : standing) {
            if (s.use() == Use.DOWEL) {
                add(s.from());
                add(ends);
            }
        }
    }

    private void add(double height) {
        farthest = Math.max(farthest, Math.abs(height - middle));
    }
}
