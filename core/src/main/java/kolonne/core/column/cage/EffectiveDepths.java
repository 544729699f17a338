package kolonne.core.column.cage;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/**
 * Depths d = h/2 + is of a column's steel (EN 1992-1-1 5.8.8.3(2), eq. 5.35), is the radius of gyration of all bars: the common effective
 * depth where they lie in two rows, less where they are spread over the depth.
 *
 * @param x for bending about the x axis [mm]; {@code y} about the y axis
 */
public record EffectiveDepths(double x, double y) {
    public static EffectiveDepths of(ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis) {
        Shape s = lift.section().shape();
        if (!lift.inScope()) {
            return new EffectiveDepths(s.depth() / 2, s.width() / 2);
        }
        List<PlacedBar> bars = cage.bars(s, basis.columnCover());
        double area = bars.stream().mapToDouble(PlacedBar::area).sum();
        double xc = bars.stream().mapToDouble(b -> b.area() * b.x()).sum() / area;
        double yc = bars.stream().mapToDouble(b -> b.area() * b.y()).sum() / area;
        double ix = 0;
        double iy = 0;
        for (PlacedBar b : bars) {
            ix += b.area() * (b.y() - yc) * (b.y() - yc);
            iy += b.area() * (b.x() - xc) * (b.x() - xc);
        }
        return new EffectiveDepths(s.depth() / 2 + Math.sqrt(ix / area), s.width() / 2 + Math.sqrt(iy / area));
    }
}
