package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;

/**
 * Cages that were chosen, with bars cut on the module and to few lengths. Where a check speaks against that, to as many as there are, or bars run on at their
 * other end, or those that can.
 */
public final class EvenLengths {
    /** What bars that run on may cause: that they end where they may not, or lie beside others. */
    private static final Set<CheckKind> OF_LENGTHS = EnumSet.of(
            CheckKind.CUT_OFF,
            CheckKind.CUT_OFF_TENSION,
            CheckKind.PAIR_ENDS,
            CheckKind.LAP_PLACE,
            CheckKind.CLEAR_SPACING_TOP,
            CheckKind.CLEAR_SPACING_BOTTOM,
            CheckKind.LAYERS_TOP,
            CheckKind.LAYERS_BOTTOM,
            CheckKind.LAP_ROOM_TOP,
            CheckKind.LAP_ROOM_BOTTOM);

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;

    private EvenLengths(BeamLine line, BeamCage cage, BeamContext context) {
        this.line = line;
        this.cage = cage;
        this.context = context;
    }

    /** The checked line with a cage that most likely satisfies. */
    public static BeamDesign checked(BeamLine line, BeamCage cage, BeamContext context) {
        EvenLengths e = new EvenLengths(line, cage, context);
        BeamCage even = e.onModule(cage, false);
        BeamCage like = e.like(even, false);
        BeamDesign first = BeamCheck.run(line, like, context);
        if (first.satisfied() || !byItsLengths(first)) {
            return first;
        }
        BeamDesign d = like == even ? first : BeamCheck.run(line, even, context);
        if (!d.satisfied()) {
            return even == cage ? d : e.other(BeamCheck.run(line, cage, context), d);
        }
        BeamDesign other = e.satisfying(e.like(even, true), d);
        return other == null ? d : other;
    }

    /** The same of a trial, which often fails: bars are not made longer where it does. */
    public static BeamDesign tried(BeamLine line, BeamCage cage, BeamContext context) {
        EvenLengths e = new EvenLengths(line, cage, context);
        BeamCage even = e.onModule(cage, false);
        BeamCage like = e.like(even, false);
        // which is what mostly comes of it
        BeamDesign first = BeamCheck.run(line, like, context);
        if (first.satisfied()) {
            return first;
        }
        BeamDesign plain = like == cage || !byItsLengths(first) ? first : BeamCheck.run(line, cage, context);
        if (!plain.satisfied()) {
            return plain;
        }
        BeamDesign other = e.satisfying(e.like(even, true), plain);
        if (other != null || even == cage) {
            return other == null ? plain : other;
        }
        BeamDesign d = like == even ? null : e.satisfying(even, plain);
        return d != null ? d : e.otherwise(plain);
    }

    /** With another cage than that of a design; null where it is the same, or something speaks against it. */
    private BeamDesign satisfying(BeamCage other, BeamDesign known) {
        if (other == known.cage() || !BeamCheck.endsMayLie(line, other, context)) {
            return null;
        }
        BeamDesign d = BeamCheck.run(line, other, context);
        return d.satisfied() ? d : null;
    }

    /** With bars cut to few lengths; the same where that is not asked for or changes nothing. @param even with bars on the module */
    private BeamCage like(BeamCage even, boolean fromFirst) {
        return context.basis().bars().preference() == Preference.PRACTICAL
                ? LikeLengths.of(line, even, context.basis(), stays(), fromFirst)
                : even;
    }

    /** @param even with bars on the module, which does not satisfy */
    private BeamDesign other(BeamDesign plain, BeamDesign even) {
        if (!plain.satisfied()) {
            return failing(even) <= failing(plain) ? even : plain;
        }
        return otherwise(plain);
    }

    /** With bars that are on the module at their other end, or those that can be. @param plain satisfies as it is */
    private BeamDesign otherwise(BeamDesign plain) {
        BeamDesign other = satisfying(onModule(cage, true), plain);
        return other != null ? other : oneByOne(plain);
    }

    /** One face after the other on the module, and of one that cannot be so wholly what bars can. */
    private BeamDesign oneByOne(BeamDesign plain) {
        BeamDesign now = plain;
        for (BeamCage.Face face : BeamCage.Face.values()) {
            List<Integer> odd = new ArrayList<>();
            for (int i = 0; i < cage.groups().size(); i++) {
                BeamCage.Group g = cage.groups().get(i);
                if (g.face() == face && !stays().contains(face) && BarLengths.toModule(line, g, context.basis()) > 0) {
                    odd.add(i);
                }
            }
            BeamDesign whole = odd.isEmpty() ? now : longer(now, odd);
            now = whole == null ? eachThatCan(now, odd) : whole;
        }
        return now;
    }

    /** Bar by bar on the module; again while some came to be, since one that ends elsewhere may make room for another. */
    private BeamDesign eachThatCan(BeamDesign of, List<Integer> odd) {
        BeamDesign now = of;
        List<Integer> left = new ArrayList<>(odd.size() > 1 ? odd : List.of());
        boolean more = !left.isEmpty();
        while (more) {
            int before = left.size();
            for (int i : List.copyOf(left)) {
                BeamDesign d = longer(now, List.of(i));
                if (d != null) {
                    now = d;
                    left.remove((Integer) i);
                }
            }
            more = left.size() < before && !left.isEmpty();
        }
        return now;
    }

    /** With some groups on the module, at one end or the other; null where that does not satisfy. */
    private BeamDesign longer(BeamDesign of, List<Integer> groups) {
        double[] by = new double[cage.groups().size()];
        groups.forEach(i -> by[i] = BarLengths.toModule(line, cage.groups().get(i), context.basis()));
        for (boolean fromFirst : new boolean[] {false, true}) {
            BeamCage longer = BarLengths.longer(line, of.cage(), context.basis(), by, fromFirst);
            BeamDesign d = longer == of.cage() ? of : satisfying(longer, of);
            if (d != null) {
                return d;
            }
        }
        return null;
    }

    /** Whether all that fails is such that bars of other lengths may mend it. */
    private static boolean byItsLengths(BeamDesign d) {
        return d.checks().stream()
                .filter(c -> !c.satisfied())
                .map(CheckResult::kind)
                .allMatch(OF_LENGTHS::contains);
    }

    private static long failing(BeamDesign d) {
        return d.checks().stream()
                .filter(c -> !c.satisfied())
                .map(CheckResult::kind)
                .distinct()
                .count();
    }

    private BeamCage onModule(BeamCage of, boolean fromFirst) {
        return BarLengths.onModule(line, of, context.basis(), stays(), fromFirst);
    }

    /** Faces that a person has set. */
    private Set<BeamCage.Face> stays() {
        return context.own().faces().keySet();
    }
}
