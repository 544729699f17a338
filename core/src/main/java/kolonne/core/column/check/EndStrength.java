package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Trace;
import kolonne.core.section.Developed;
import kolonne.core.section.StrengthSurface;

/** Strength of a lift at the joints where its bars end or stand on a beam, with what they develop there; beside a torque, with what that leaves of it. */
public final class EndStrength {
    /** Demands whose screened utilisation comes this near to the highest are solved exactly. */
    private static final double NEAR = 0.94;
    /** Demands within this part of the height from an end are checked with what bars develop at it. */
    private static final double AT_END = 0.1;

    private final ColumnStack.Lift lift;
    private final ColumnCage.LiftCage cage;
    private final ColumnContext context;
    private final List<LiftDemands.Demand> demands;
    private final ColumnTorsion torsion;
    private final BarEnds ends;

    /** @param standing bars of the lift as they stand */
    EndStrength(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            List<VerticalBars.Standing> standing,
            LiftDemands demands,
            ColumnContext context) {
        this.lift = lift;
        this.cage = cage;
        this.context = context;
        this.demands = demands.all(ColumnSteel.of(lift, cage, context.basis()));
        this.torsion = new ColumnTorsion(lift, cage, context, demands);
        this.ends = new BarEnds(lift, cage, standing, context.basis());
    }

    /** A demand near an end with how far it uses the section. */
    record Used(LiftDemands.Demand demand, double utilisation) {}

    /** The demand that uses the head, or the foot, most; empty where all bars are developed whole, or nothing acts. */
    Optional<Used> worst(boolean head) {
        List<Developed> developed = ends.at(head);
        if (developed.isEmpty()) {
            return Optional.empty();
        }
        StrengthSurface plain = context.surface(lift, cage, developed);
        Map<Integer, StrengthSurface> twisted = new HashMap<>();
        Used worst = null;
        for (LiftDemands.Demand d : demands) {
            boolean near = head ? d.part() >= 1 - AT_END : d.part() <= AT_END;
            if (!near || !d.stable()) {
                continue;
            }
            StrengthSurface s = torsion.counts(d.combination())
                    ? twisted.computeIfAbsent(d.combination(), c -> besides(c, developed))
                    : plain;
            if (s.screened(d.p(), d.mx(), d.my()) >= NEAR * (worst == null ? 0 : worst.utilisation)) {
                double u = s.exact(d.p(), d.mx(), d.my()).utilisation();
                worst = worst == null || u > worst.utilisation ? new Used(d, u) : worst;
            }
        }
        return Optional.ofNullable(worst);
    }

    /** Of the tension that bars have room for, a torque takes its part. */
    private StrengthSurface besides(int combination, List<Developed> developed) {
        List<Developed> left = torsion.left(combination);
        List<Developed> out = new ArrayList<>();
        for (int i = 0; i < developed.size(); i++) {
            Developed d = developed.get(i);
            out.add(new Developed(Math.max(0, d.tension() + left.get(i).tension() - 1), d.compression()));
        }
        return context.besides(lift, cage, out);
    }

    void explain(boolean head, Trace t) {
        ends.explain(head, t);
    }

    /** Whether bars that end at the head of a lift, or stand on a beam, bear all demands there. @param standing bars of the lift as they stand */
    public static boolean bears(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            List<VerticalBars.Standing> standing,
            LiftDemands demands,
            ColumnContext context) {
        EndStrength e = new EndStrength(lift, cage, standing, demands, context);
        for (boolean head : new boolean[] {false, true}) {
            if (e.worst(head).map(u -> u.utilisation > 1).orElse(false)) {
                return false;
            }
        }
        return true;
    }
}
