package kolonne.core.column.check;

import java.util.ArrayList;
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

    /** Of the bars of a lift. @param whole cage of its stack; @param standing bars of the lift as they stand with it */
    public static BentBarTies of(
            ColumnStack stack, int number, ColumnCage whole, List<VerticalBars.Standing> standing, Basis basis) {
        ColumnRules rules = basis.designCode().columns();
        ColumnStack.Lift lift = stack.lifts().get(number);
        BentBarTies worst = NONE;
        if (lift.highest()) {
            return worst;
        }
        List<VerticalBars.Standing> bent =
                standing.stream().filter(s -> s.crank() != null).toList();
        if (bent.isEmpty()) {
            return worst;
        }
        List<Tie> ties = ties(stack, number, whole, basis);
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
                            least = Math.min(least, legs(ties, axis, at, rules.crankTieReach()));
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

    /** A tie by its height above the foot, with the strength of its legs along both axes [N]. */
    private record Tie(double height, double alongX, double alongY) {}

    /** Of a lift and of the one above. */
    private static List<Tie> ties(ColumnStack stack, int number, ColumnCage whole, Basis basis) {
        List<Tie> out = new ArrayList<>();
        double base = stack.lifts().get(number).base();
        for (int i = number; i <= number + 1; i++) {
            ColumnCage.LiftCage c = whole.lifts().get(i);
            double foot = stack.lifts().get(i).base() - base;
            double leg = c.tie().area() * basis.fyt();
            double x = c.layout().legsAlongX() * leg;
            double y = c.layout().legsAlongY() * leg;
            TiePlaces.crossings(stack.lifts().get(i), c, basis.beamCover())
                    .forEach(z -> out.add(new Tie(foot + z, x, y)));
        }
        return out;
    }

    /** Strength of the legs along an axis of the ties near a height [N]. */
    private static double legs(List<Tie> ties, int axis, double at, double reach) {
        double sum = 0;
        for (Tie t : ties) {
            sum += Math.abs(t.height - at) > reach + 1e-6 ? 0 : axis == 0 ? t.alongX : t.alongY;
        }
        return sum;
    }
}
