package kolonne.core.detail;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnLaps;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/** The bars of a column cage, lift by lift. Vertical bars run from floor to floor and lap above it. */
public final class ColumnBars {
    private ColumnBars() {}

    public static List<BarItem> of(ColumnStack.Lift lift, ColumnCage.LiftCage c, Basis basis) {
        List<BarItem> out = new ArrayList<>();
        if (c.layout() instanceof RectangleBars r) {
            vertical(lift, r.corner(), 4, "corner bars", basis, out);
            if (r.count() > 4) {
                vertical(lift, r.face(), r.count() - 4, "face bars", basis, out);
            }
        } else {
            vertical(lift, c.layout().largest(), c.count(), "bars", basis, out);
        }
        ties(lift, c, basis, out);
        return out;
    }

    private static void vertical(
            ColumnStack.Lift lift, Bar bar, int number, String what, Basis basis, List<BarItem> out) {
        out.add(BarShapes.of(basis).longitudinal(what, bar, number, ColumnLaps.run(lift, bar, basis), 0, 0));
    }

    private static void ties(ColumnStack.Lift lift, ColumnCage.LiftCage c, Basis basis, List<BarItem> out) {
        Shape s = lift.section().shape();
        int n = TiePlaces.count(lift, c.ties());
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
}
