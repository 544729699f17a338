package kolonne.core.detail;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/** The bars of a column cage, lift by lift. Vertical bars run from floor to floor and lap above it. */
public final class ColumnBars {
    private ColumnBars() {}

    public static List<BarItem> of(ColumnStack.Lift lift, ColumnCage.LiftCage c, boolean top, Basis basis) {
        List<BarItem> out = new ArrayList<>();
        if (c.layout() instanceof RectangleBars r) {
            vertical(lift, r.corner(), 4, "corner bars", top, basis, out);
            if (r.count() > 4) {
                vertical(lift, r.face(), r.count() - 4, "face bars", top, basis, out);
            }
        } else {
            vertical(lift, c.layout().largest(), c.count(), "bars", top, basis, out);
        }
        ties(lift, c, basis, out);
        return out;
    }

    private static void vertical(
            ColumnStack.Lift lift, Bar bar, int number, String what, boolean top, Basis basis, List<BarItem> out) {
        double lap = top
                ? -basis.columnCover()
                : basis.designCode()
                        .detailing()
                        .lapLength(
                                bar, lift.material().fc(), basis.fy(), false, 2 * bar.diameter(), basis.columnCover());
        double run = lift.top() - lift.base() + lap;
        // a lap may be longer than it must; at the top the cover stands in the way
        double longer = top ? 0 : BarLengths.missing(run, basis.practice().lengthModule());
        out.add(BarShapes.of(basis).longitudinal(what, bar, number, run + longer, 0, 0));
    }

    private static void ties(ColumnStack.Lift lift, ColumnCage.LiftCage c, Basis basis, List<BarItem> out) {
        Shape s = lift.section().shape();
        int n = tieCount(lift, c);
        double cover = 2 * basis.columnCover();
        if (c.layout() instanceof RingBars) {
            double outside = s.width() - cover;
            double lap = Math.max(300, 40 * c.tie().diameter());
            out.add(BarShapes.of(basis).hoop("hoops", c.tie(), n, outside, lap));
            return;
        }
        double b = s.width() - cover;
        double h = s.depth() - cover;
        out.add(BarShapes.of(basis).closed("ties", c.tie(), n, b, h));
        inner(c.layout().legsAlongY() - 2, "cross-ties along the depth", h, c, n, basis, out);
        inner(c.layout().legsAlongX() - 2, "cross-ties along the width", b, c, n, basis, out);
    }

    private static void inner(
            int legs, String what, double length, ColumnCage.LiftCage c, int n, Basis basis, List<BarItem> out) {
        if (legs > 0) {
            out.add(BarShapes.of(basis).crossTie(what, c.tie(), n * legs, length));
        }
    }

    /** Ties of a lift, those in the joint above included. */
    public static int tieCount(ColumnStack.Lift lift, ColumnCage.LiftCage c) {
        return (int) Math.ceil((lift.top() - lift.base()) / c.spacing() - 1e-9) + 1;
    }
}
