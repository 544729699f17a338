package kolonne.core.column.choice;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.StrengthSurface;

/** Other bars that would bear what a lift bears, to choose from by hand: the first of each number of bars, in the order of the basis's preference. */
public final class ColumnOptions {
    private static final int MOST = 10;
    /** Demands whose screened utilisation comes this near to the highest are solved exactly. */
    private static final double NEAR = 0.94;

    private ColumnOptions() {}

    /**
     * Bars with what the worst demand uses of them.
     *
     * @param mass  of the bars [kg/m]
     * @param clear smallest clear distance [mm]
     */
    public record Option(BarLayout bars, double utilisation, double mass, double clear) {}

    /** @param cage of the whole stack as it is */
    public static List<Option> of(ColumnStack stack, int number, ColumnCage cage, ColumnContext context) {
        ColumnStack.Lift lift = stack.lifts().get(number);
        LiftDemands demands = new LiftDemands(lift, context);
        List<Option> out = new ArrayList<>();
        List<Integer> counts = new ArrayList<>();
        for (ColumnCage.LiftCage c : ColumnDesigner.arrangements(stack, number, cage, demands, context)) {
            if (!counts.contains(c.count())) {
                double u = worst(lift, c, demands, context);
                if (u <= 1 + 1e-9) {
                    counts.add(c.count());
                    out.add(new Option(c.layout(), u, mass(lift, c, context.basis()), clear(lift, c, context.basis())));
                }
            }
            if (out.size() == MOST) {
                break;
            }
        }
        return out;
    }

    /** What the worst demand uses; from the quick surface where that is far too much. */
    private static double worst(
            ColumnStack.Lift lift, ColumnCage.LiftCage c, LiftDemands demands, ColumnContext context) {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
        List<LiftDemands.Demand> all = demands.all(ColumnSteel.of(lift, c, context.basis()));
        double[] quick = new double[all.size()];
        double highest = 0;
        for (int i = 0; i < quick.length; i++) {
            LiftDemands.Demand d = all.get(i);
            quick[i] = d.stable() ? surface.screened(d.p(), d.mx(), d.my()) : Double.POSITIVE_INFINITY;
            highest = Math.max(highest, quick[i]);
        }
        if (highest * NEAR > 1) {
            return highest;
        }
        double out = 0;
        for (int i = 0; i < quick.length; i++) {
            LiftDemands.Demand d = all.get(i);
            if (quick[i] >= NEAR * highest) {
                out = Math.max(out, surface.exact(d.p(), d.mx(), d.my()).utilisation());
            }
        }
        return out;
    }

    private static double mass(ColumnStack.Lift lift, ColumnCage.LiftCage c, Basis basis) {
        return c.bars(lift.section().shape(), basis.columnCover()).stream()
                .mapToDouble(p -> c.layout().at(p).mass())
                .sum();
    }

    private static double clear(ColumnStack.Lift lift, ColumnCage.LiftCage c, Basis basis) {
        double out = Double.POSITIVE_INFINITY;
        for (double g : c.layout().gaps(lift.section().shape(), ColumnTieCheck.inset(c, basis))) {
            out = Math.min(out, g);
        }
        return out;
    }
}
