package kolonne.core.column.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/**
 * What a site wants of a column's bars: sizes together in the list of allowed ones, neighbours not too far apart, no less steel than the lift above.
 * The last gives way first, then the distance, then the sizes.
 */
final class ColumnPractice {
    /** Of a bar of a storey's height: area of a kilogram [mm2]. */
    private static final double KG = 100.0 / 3;

    private final Shape shape;
    private final Basis basis;
    private final List<Bar> allowed;

    private ColumnPractice(Shape shape, Basis basis) {
        this.shape = shape;
        this.basis = basis;
        this.allowed = basis.columnBarList();
    }

    /** What handling a bar costs, as area [mm2]. */
    static double piece(Basis basis) {
        return basis.practice().costs().piece() * KG;
    }

    static ColumnPractice of(ColumnStack.Lift lift, Basis basis) {
        return new ColumnPractice(lift.section().shape(), basis);
    }

    /** Arrangements that keep all rules, then those that keep fewer, then all. @param upper the lift above, or null */
    List<List<ColumnCage.LiftCage>> from(List<ColumnCage.LiftCage> all, ColumnCage.LiftCage upper) {
        if (basis.bars().preference() != Preference.PRACTICAL) {
            return List.of(all);
        }
        Predicate<ColumnCage.LiftCage> sizes = this::together;
        Predicate<ColumnCage.LiftCage> near = sizes.and(this::near);
        Predicate<ColumnCage.LiftCage> least = near.and(c -> upper == null || c.area() >= upper.area() - 1);
        List<List<ColumnCage.LiftCage>> out = new ArrayList<>();
        for (Predicate<ColumnCage.LiftCage> rule : List.of(least, near, sizes)) {
            out.add(all.stream().filter(rule).toList());
        }
        out.add(all);
        return out;
    }

    private boolean together(ColumnCage.LiftCage c) {
        int apart = allowed.indexOf(c.layout().largest())
                - allowed.indexOf(c.layout().smallest());
        return apart <= basis.practice().sizesApart();
    }

    private boolean near(ColumnCage.LiftCage c) {
        for (double gap : c.layout().gaps(shape, ColumnTieCheck.inset(c, basis))) {
            if (gap + c.layout().largest().diameter() > basis.practice().columnBarsApart() + 1e-6) {
                return false;
            }
        }
        return true;
    }
}
