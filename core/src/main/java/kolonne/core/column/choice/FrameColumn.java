package kolonne.core.column.choice;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.DuctileColumns;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnStrengths;
import kolonne.core.column.check.DuctileColumnCheck;
import kolonne.core.column.check.EndMoments;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.joint.BeamEnd;
import kolonne.core.joint.Framing;

/**
 * What a ductile frame leaves to the choice of a lift's bars: its part of the strength that columns have over beams, and arrangements that hoops can hold and
 * that lap in the height there is. At the joint above, the lift makes up what the lift there leaves; at the joint below it takes a half.
 */
final class FrameColumn {
    private static final double HALF = 0.5;

    private final ColumnContext context;
    private final Basis basis;
    private final DuctileColumns rules;
    private final List<Need> needs = new ArrayList<>();
    private final List<ColumnStack.Lift> lifts = new ArrayList<>();
    private final List<LiftDemands> demands = new ArrayList<>();

    /** Strength that a lift is to have at its axial forces with earthquake, compression towards a direction of its section [Nmm]. */
    private record Need(ColumnStack.Lift lift, LiftDemands demands, double theta, double moment) {}

    FrameColumn(ColumnContext context, DuctileColumns rules) {
        this.context = context;
        this.basis = context.basis();
        this.rules = rules;
    }

    /** Adds a lift that is to bear the cage. @param above cage of the lift above with its demands, or null */
    void add(ColumnStack.Lift lift, LiftDemands d, ColumnCage.LiftCage above, LiftDemands aboveDemands) {
        lifts.add(lift);
        demands.add(d);
        double factor = rules.joints().strongColumn();
        for (int axis = 0; axis < 2 && factor > 0; axis++) {
            for (int sense : ColumnStrengths.senses(lift, aboveDemands == null ? null : aboveDemands.lift())) {
                double theta = ColumnStrengths.direction(lift, axis, lift) + (sense > 0 ? 0 : Math.PI);
                need(lift, d, theta, factor * beams(lift, axis, true) - over(lift, axis, -sense, above, aboveDemands));
                if (lift.number() > 0) {
                    need(lift, d, theta, HALF * factor * beams(lift, axis, false));
                }
            }
        }
    }

    private void need(ColumnStack.Lift lift, LiftDemands d, double theta, double moment) {
        boolean free = lift.highest()
                && rules.joints()
                        .topIsFree(
                                d.earthquakeAxial()[1],
                                lift.section().shape().A(),
                                lift.material().fc());
        if (moment > 0 && !free) {
            needs.add(new Need(lift, d, theta, moment));
        }
    }

    private double beams(ColumnStack.Lift lift, int axis, boolean atHead) {
        Framing f = EndMoments.framing(lift, axis, atHead, context);
        return f.moment(BeamEnd::nominal);
    }

    private double over(ColumnStack.Lift lift, int axis, int sense, ColumnCage.LiftCage above, LiftDemands d) {
        if (above == null) {
            return 0;
        }
        double theta = ColumnStrengths.direction(lift, axis, d.lift()) + (sense > 0 ? 0 : Math.PI);
        return ColumnStrengths.lowest(d.lift(), above, theta, d, context);
    }

    /** Whether a cage has the strength, with no more steel than the practical cap. */
    boolean strong(ColumnCage.LiftCage c) {
        return needs.isEmpty()
                || needs.stream()
                        .allMatch(n -> c.area()
                                        <= basis.bars().practicalCap()
                                                        * n.lift.section()
                                                                .shape()
                                                                .A()
                                                + 1e-6
                                && ColumnStrengths.lowest(n.lift, c, n.theta, n.demands, context) >= n.moment);
    }

    /** Those that hoops can hold and that lap in the height; all where none do. */
    List<ColumnCage.LiftCage> held(List<ColumnCage.LiftCage> all) {
        List<ColumnCage.LiftCage> out = all.stream().filter(this::holds).toList();
        return out.isEmpty() ? all : out;
    }

    private boolean holds(ColumnCage.LiftCage c) {
        for (int i = 0; i < lifts.size(); i++) {
            if (!DuctileColumnCheck.suits(lifts.get(i), c, context, rules, demands.get(i))) {
                return false;
            }
        }
        return true;
    }
}
