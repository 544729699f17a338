package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;

/**
 * Cages that were chosen, with bars cut on the module and to few lengths. Where a check speaks against that, to as many as there are, or bars run on at their
 * other end, or those that can.
 */
public final class EvenLengths {
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
        BeamDesign d = BeamCheck.run(line, even, context);
        if (!d.satisfied()) {
            return even == cage ? d : e.other(BeamCheck.run(line, cage, context), d);
        }
        BeamDesign like = e.like(even, d);
        return like == null ? d : like;
    }

    /** The same of a trial, which often fails: bars are not made longer where it does. */
    public static BeamDesign tried(BeamLine line, BeamCage cage, BeamContext context) {
        BeamDesign plain = BeamCheck.run(line, cage, context);
        EvenLengths e = new EvenLengths(line, cage, context);
        if (!plain.satisfied()) {
            return plain;
        }
        BeamCage even = e.onModule(cage, false);
        BeamDesign like = e.like(even, plain);
        if (like != null || even == cage) {
            return like == null ? plain : like;
        }
        BeamDesign d = e.satisfying(even, plain);
        return d != null ? d : e.otherwise(plain);
    }

    /** With another cage than that of a design; null where something speaks against it. */
    private BeamDesign satisfying(BeamCage other, BeamDesign known) {
        if (!BeamCheck.endsMayLie(line, other, context, known)) {
            return null;
        }
        BeamDesign d = BeamCheck.run(line, other, context);
        return d.satisfied() ? d : null;
    }

    /** With bars cut to few lengths; null where that changes nothing, or something speaks against it at either end. @param even with bars on the module */
    private BeamDesign like(BeamCage even, BeamDesign known) {
        if (context.basis().bars().preference() != Preference.PRACTICAL) {
            return null;
        }
        for (boolean fromFirst : new boolean[] {false, true}) {
            BeamCage cage = LikeLengths.of(line, even, context.basis(), stays(), fromFirst);
            BeamDesign d = cage == even ? null : satisfying(cage, known);
            if (d != null) {
                return d;
            }
        }
        return null;
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
            if (whole == null) {
                whole = now;
                for (int i : odd.size() > 1 ? odd : List.<Integer>of()) {
                    BeamDesign d = longer(whole, List.of(i));
                    whole = d == null ? whole : d;
                }
            }
            now = whole;
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
