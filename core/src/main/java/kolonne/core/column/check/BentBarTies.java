package kolonne.core.column.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.ColumnRules;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;

/**
 * Ties that take the force across of bars which are bent out of their line, to lap or at a step of the section: of all bars that lead to one side, at yield, by the legs of
 * the ties near each of the two bends, those of the lift above among them.
 *
 * @param force    times the factor of the code, the largest of both directions and bends over what resists it there [N]
 * @param strength of the legs there [N]
 */
public record BentBarTies(double force, double strength) {
    private static final BentBarTies NONE = new BentBarTies(0, 1);

    public boolean serve() {
        return force <= strength * (1 + 1e-9);
    }

    /** Of the bars of a lift. @param whole cage of its stack */
    public static BentBarTies of(ColumnStack stack, int number, ColumnCage whole, Basis basis) {
        ColumnRules rules = basis.designCode().columns();
        ColumnStack.Lift lift = stack.lifts().get(number);
        BentBarTies worst = NONE;
        if (lift.highest()) {
            return worst;
        }
        List<VerticalBars.Standing> bent = VerticalBars.of(stack, number, whole, basis).stream()
                .filter(s -> s.crank() != null)
                .toList();
        for (int axis = 0; axis < 2; axis++) {
            for (boolean upper : new boolean[] {false, true}) {
                for (int side = -1; side <= 1; side += 2) {
                    double force = 0;
                    double least = Double.POSITIVE_INFINITY;
                    for (VerticalBars.Standing s : bent) {
                        VerticalBars.Crank c = s.crank();
                        double across = side * (axis == 0 ? c.dx() : c.dy()) / c.length();
                        double at = upper ? c.to() : c.from();
                        if (across > 1e-9) {
                            force += rules.crankTieFactor((c.to() - c.from()) / c.aside())
                                    * s.bar().area()
                                    * basis.fy()
                                    * across;
                            least = Math.min(least, legs(stack, number, whole, basis, axis, at));
                        }
                    }
                    if (force > 0 && force / least > worst.force / worst.strength) {
                        worst = new BentBarTies(force, least);
                    }
                }
            }
        }
        return worst;
    }

    /** Strength of the legs along an axis of the ties within reach of a height above the foot of the lift [N]. */
    private static double legs(ColumnStack stack, int number, ColumnCage whole, Basis basis, int axis, double at) {
        double reach = basis.designCode().columns().crankTieReach() + 1e-6;
        double sum = 0;
        double base = stack.lifts().get(number).base();
        for (int i = number; i <= number + 1; i++) {
            ColumnCage.LiftCage c = whole.lifts().get(i);
            double foot = stack.lifts().get(i).base() - base;
            double strength = (axis == 0 ? c.layout().legsAlongX() : c.layout().legsAlongY())
                    * c.tie().area()
                    * basis.fyt();
            for (double z : TiePlaces.of(stack.lifts().get(i), c.ties())) {
                sum += Math.abs(foot + z - at) <= reach ? strength : 0;
            }
        }
        return sum;
    }
}
