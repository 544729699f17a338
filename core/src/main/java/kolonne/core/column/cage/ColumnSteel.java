package kolonne.core.column.cage;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Slenderness;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/**
 * What the bars of a column add to its stiffness.
 *
 * @param x for bending about the x axis; {@code y} about the y axis
 */
public record ColumnSteel(Slenderness.Bars x, Slenderness.Bars y) {
    public static ColumnSteel of(ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis) {
        Shape s = lift.section().shape();
        List<PlacedBar> bars = cage.bars(s, basis.columnCover());
        double area = bars.stream().mapToDouble(PlacedBar::area).sum();
        double xc = bars.stream().mapToDouble(b -> b.area() * b.x()).sum() / area;
        double yc = bars.stream().mapToDouble(b -> b.area() * b.y()).sum() / area;
        double ix = 0;
        double iy = 0;
        double ixy = 0;
        for (PlacedBar b : bars) {
            ix += b.area() * (b.y() - yc) * (b.y() - yc);
            iy += b.area() * (b.x() - xc) * (b.x() - xc);
            ixy += b.area() * (b.x() - xc) * (b.y() - yc);
        }
        // an ell buckles about the axis of its least inertia, and so do its bars
        double least = (ix + iy) / 2 - Math.hypot((ix - iy) / 2, ixy);
        boolean ell = s instanceof Shape.Ell;
        return new ColumnSteel(
                new Slenderness.Bars(s.depth() / 2 + Math.sqrt(ix / area), area, ell ? least : ix),
                new Slenderness.Bars(s.width() / 2 + Math.sqrt(iy / area), area, ell ? least : iy));
    }
}
