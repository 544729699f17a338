package kolonne.core.column.choice;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnTorsion;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.StrengthSurface;

/** Which arrangements bear what lifts ask of them. */
final class Bearing {
    /** Screened utilisations above this are worked out exactly. */
    private static final double NEARLY_ONE = 0.96;

    /** Demands that are asked first, since they failed arrangements before. */
    private static final int DECISIVE = 6;

    private final ColumnContext context;
    private final Basis basis;
    private final ColumnStack.Lift lift;
    private final List<Borne> borne;
    /** Whether arrangements bear the demands, of those that were asked: every rule that gives way asks them all again. */
    private final Map<ColumnCage.LiftCage, Boolean> known = new IdentityHashMap<>();

    /** @param lift with the section; {@code borne} those that share its cage */
    Bearing(ColumnStack.Lift lift, List<Borne> borne, ColumnContext context) {
        this.context = context;
        this.basis = context.basis();
        this.lift = lift;
        this.borne = borne;
    }

    /** The first arrangement inside whose surface every demand lies and that is strong enough; null if there is none. @param quick asked before strength is */
    ColumnCage.LiftCage first(
            List<ColumnCage.LiftCage> some,
            Predicate<ColumnCage.LiftCage> quick,
            Predicate<ColumnCage.LiftCage> strong) {
        List<Deque<LiftDemands.Demand>> decisive = borne.stream()
                .map(b -> (Deque<LiftDemands.Demand>) new ArrayDeque<LiftDemands.Demand>())
                .toList();
        for (ColumnCage.LiftCage c : some) {
            Boolean bears = known.get(c);
            boolean asked = bears != null ? bears && quick.test(c) : bearsAnew(c, quick, decisive);
            if (asked && strong.test(c)) {
                return c;
            }
        }
        return null;
    }

    /** Whether an arrangement that was not asked yet bears the demands, and suits what is quicker to ask; known from then on where it was worked out. */
    private boolean bearsAnew(
            ColumnCage.LiftCage c, Predicate<ColumnCage.LiftCage> quick, List<Deque<LiftDemands.Demand>> decisive) {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
        ColumnSteel steel = ColumnSteel.of(lift, c, basis);
        if (failsAgain(surface, steel, decisive)) {
            known.put(c, false);
            return false;
        }
        if (!quick.test(c)) {
            return false;
        }
        boolean bears = !fails(surface, steel, decisive);
        known.put(c, bears);
        return bears;
    }

    /** The demands that failed other arrangements most likely fail this one too. */
    private boolean failsAgain(StrengthSurface surface, ColumnSteel steel, List<Deque<LiftDemands.Demand>> decisive) {
        for (int i = 0; i < borne.size(); i++) {
            for (LiftDemands.Demand d : decisive.get(i)) {
                List<LiftDemands.Demand> now = borne.get(i).demands().of(d.combination(), steel);
                // with other steel a lift may be slender no more, so that a combination has fewer demands
                if (d.number() < now.size() && utilisation(surface, now.get(d.number())) > 1) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean fails(StrengthSurface surface, ColumnSteel steel, List<Deque<LiftDemands.Demand>> decisive) {
        for (int i = 0; i < borne.size(); i++) {
            LiftDemands.Demand failing = worst(surface, borne.get(i).demands().all(steel));
            if (failing != null) {
                Deque<LiftDemands.Demand> before = decisive.get(i);
                before.addFirst(failing);
                if (before.size() > DECISIVE) {
                    before.removeLast();
                }
                return true;
            }
        }
        return false;
    }

    /** The demand that uses the section most, of those above 1; null if there is none. */
    private static LiftDemands.Demand worst(StrengthSurface surface, List<LiftDemands.Demand> demands) {
        LiftDemands.Demand worst = null;
        double highest = 1;
        for (LiftDemands.Demand d : demands) {
            double u = d.stable() ? surface.screened(d.p(), d.mx(), d.my()) : 0;
            if (u > NEARLY_ONE && (u = utilisation(surface, d)) > highest) {
                highest = u;
                worst = d;
            }
        }
        return worst;
    }

    private static double utilisation(StrengthSurface surface, LiftDemands.Demand d) {
        return surface.exact(d.p(), d.mx(), d.my()).utilisation();
    }

    /** Among the arrangements with most steel the one with the lowest highest utilisation. */
    ColumnCage.LiftCage strongest(List<ColumnCage.LiftCage> arranged) {
        ColumnCage.LiftCage best = arranged.get(0);
        double lowest = Double.POSITIVE_INFINITY;
        for (ColumnCage.LiftCage c : arranged.subList(Math.max(0, arranged.size() - 12), arranged.size())) {
            StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
            ColumnSteel steel = ColumnSteel.of(lift, c, basis);
            double worst = borne.stream()
                    .flatMap(b -> b.demands().all(steel).stream())
                    .filter(LiftDemands.Demand::stable)
                    .mapToDouble(d -> surface.screened(d.p(), d.mx(), d.my()))
                    .max()
                    .orElse(0);
            if (worst < lowest) {
                lowest = worst;
                best = c;
            }
        }
        return best;
    }

    /** Whether a cage bears all demands. */
    boolean bears(ColumnCage.LiftCage c) {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
        ColumnSteel steel = ColumnSteel.of(lift, c, basis);
        return borne.stream().allMatch(b -> worst(surface, b.demands().all(steel)) == null) && twists(c);
    }

    /** Whether its bars bear what they do beside their torsion. */
    boolean twists(ColumnCage.LiftCage c) {
        return borne.stream()
                .allMatch(b -> ColumnTorsion.bears(
                        b.lift(), c, context, b.demands(), b.demands().all(ColumnSteel.of(b.lift(), c, basis))));
    }
}
