package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.VerticalBars.Standing;
import kolonne.core.column.line.ColumnStack;

/**
 * The height that laps and dowels take up in a lift against the height that there is: bars from below end under its beams, dowels begin above the floor that
 * the lift stands on.
 *
 * @param needed [mm]
 * @param has    [mm]
 * @param foot   whether it is about starter bars, at the foot of the lift; else bars at its head
 */
public record LapHeight(double needed, double has, boolean foot) {
    /** A length for lifts that beams take up whole [mm]. */
    private static final double NOTHING = 1;

    /** What needs most of the height there is; empty where no bar laps. @param standing bars of a lift as they stand */
    public static Optional<LapHeight> most(ColumnStack stack, int number, List<Standing> standing, Basis basis) {
        return all(stack, number, standing, basis).stream().max(Comparator.comparingDouble(LapHeight::part));
    }

    /** Whether all bars have the height they need. */
    public static boolean suffices(ColumnStack stack, int number, List<Standing> standing, Basis basis) {
        return all(stack, number, standing, basis).stream().allMatch(l -> l.part() <= 1 + 1e-9);
    }

    private static List<LapHeight> all(ColumnStack stack, int number, List<Standing> standing, Basis basis) {
        ColumnStack.Lift lift = stack.lifts().get(number);
        List<LapHeight> out = new ArrayList<>();
        for (Standing s : standing) {
            switch (s.use()) {
                case STARTER -> out.add(of(s.to() - lift.inFoot(), lift.between(), true));
                case ON -> out.add(upwards(stack, number, s));
                case DOWEL -> {
                    out.add(upwards(stack, number, s));
                    double ends =
                            VerticalBars.end(standing, lift.top() - lift.base() + lift.inHead() - basis.columnCover());
                    out.add(of(ends - s.from(), ends - lift.inFoot(), false));
                }
                default -> {
                    // within its lift, or coupled
                }
            }
        }
        return out;
    }

    private static LapHeight upwards(ColumnStack stack, int number, Standing s) {
        ColumnStack.Lift lift = stack.lifts().get(number);
        ColumnStack.Lift next = stack.lifts().get(number + 1);
        double floor = lift.top() - lift.base() + next.inFoot();
        return of(s.to() - floor, next.between(), false);
    }

    private static LapHeight of(double needed, double has, boolean foot) {
        return new LapHeight(needed, Math.max(has, NOTHING), foot);
    }

    private double part() {
        return needed / has;
    }
}
