package kolonne.core.column.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.DuctileColumns;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnLaps;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/** How far ties of a lift may stand apart by the code, shear and confinement aside. */
public final class TieLimits {
    private TieLimits() {}

    /**
     * The largest spacings, and the least reach of closer ties.
     *
     * @param shearCounts whether the shear asks for ties of its own; {@code high} whether it halves their spacing
     */
    public static TieSpacing of(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, ColumnContext context, boolean shearCounts, boolean high) {
        Basis basis = context.basis();
        ColumnRules code = basis.designCode().columns();
        Shape s = lift.section().shape();
        Bar thick = cage.layout().largest();
        double side = Math.max(s.width(), s.depth());
        double shorter = thickness(s);
        Bar thin = cage.layout().smallest();
        double d = cage.layout().effectiveDepth(s, ColumnTieCheck.inset(cage, basis), s.width() <= s.depth() ? 0 : 1);
        double middle = code.columnTieSpacing(thin, cage.tie(), shorter, d, shearCounts, high);
        double lap = ColumnLaps.length(lift, thick, thick, basis);
        double foot = code.endTieReach(side, lap, thick);
        double head = code.endTieReach(side, 0, thick);
        double end = Math.min(
                code.endTiePart() * code.columnTieSpacing(thin, cage.tie(), shorter, d, false, false),
                code.lapTieSpacing(lap, thick));
        if (context.ductile().isPresent()) {
            DuctileColumns rules = context.ductile().get();
            double hoops = rules.hoopSpacing(thin, shorter, held(lift, cage, basis), basis.fy());
            foot = Math.max(foot, rules.reach(side, lift.clear()));
            head = Math.max(head, rules.reach(side, lift.clear()));
            end = Math.min(end, hoops);
            middle = Math.min(middle, rules.spacingElsewhere(thin, basis.fy()));
            // hoops over laps stand as close as at the ends
            middle = rules.lapsInMiddle() ? Math.min(middle, hoops) : middle;
        }
        end = Math.min(end, middle);
        double joint = Math.min(code.jointTieSpacing(), Math.max(foot, head) > 0 ? end : middle);
        if (cage.wound()) {
            double pitch = Math.min(
                    end, basis.designCode().spirals().mostClear() + cage.tie().diameter());
            return new TieSpacing(joint, pitch, pitch, 0, 0);
        }
        return new TieSpacing(joint, end, middle, foot, head);
    }

    /** Least dimension of a column; of an ell or a tee that of its thinner leg [mm]. */
    private static double thickness(Shape s) {
        return s instanceof Shape.Flanged f ? Math.min(f.bw(), f.hf()) : Math.min(s.width(), s.depth());
    }

    /** Largest distance along the perimeter of bars that are held [mm]. */
    static double held(ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis) {
        Shape s = lift.section().shape();
        double inset = ColumnTieCheck.inset(cage, basis);
        if (cage.layout() instanceof LegBars l) {
            double[] steps = l.steps(s, inset);
            return Math.max(
                    Math.max(apart(l.heldWeb(), steps[0]), apart(l.heldFlange(), steps[1])),
                    Math.max(steps[2], steps[3]));
        }
        if (!(cage.layout() instanceof RectangleBars r)) {
            return cage.layout().gaps(s, inset)[0] + cage.layout().largest().diameter();
        }
        double corner = r.corner().diameter();
        return Math.max(
                apart(r.heldX(), (s.width() - 2 * inset - corner) / (r.alongX() - 1)),
                apart(r.heldY(), (s.depth() - 2 * inset - corner) / (r.alongY() - 1)));
    }

    private static double apart(List<Boolean> held, double step) {
        int last = 0;
        int most = 0;
        for (int i = 1; i < held.size(); i++) {
            if (held.get(i)) {
                most = Math.max(most, i - last);
                last = i;
            }
        }
        return Math.max(most, held.size() - 1 - last) * step;
    }
}
