package kolonne.core.beam.choice;

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
import kolonne.core.check.CheckResult;

/**
 * Cages that were chosen, with bars cut on the module and to few lengths. Where a check speaks against that, to as many as there are, or bars run on at their
 * other end, or on one face only, or not at all.
 */
public final class EvenLengths {
    /** Which faces stay as they were chosen, and at which end bars run on first. */
    private record Way(Set<BeamCage.Face> stays, boolean fromFirst) {}

    private static final Way FIRST = new Way(Set.of(), false);
    private static final List<Way> OTHERS = List.of(
            new Way(Set.of(), true),
            new Way(Set.of(BeamCage.Face.TOP), false),
            new Way(Set.of(BeamCage.Face.BOTTOM), false),
            new Way(Set.of(BeamCage.Face.TOP), true),
            new Way(Set.of(BeamCage.Face.BOTTOM), true));

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
        BeamCage even = e.by(FIRST);
        BeamDesign like = e.like(even);
        if (like != null) {
            return like;
        }
        BeamDesign d = BeamCheck.run(line, even, context);
        return even == cage || d.satisfied() ? d : e.other(BeamCheck.run(line, cage, context), d);
    }

    /** The same of a trial, which often fails: bars are not made longer where it does. */
    public static BeamDesign tried(BeamLine line, BeamCage cage, BeamContext context) {
        BeamDesign plain = BeamCheck.run(line, cage, context);
        EvenLengths e = new EvenLengths(line, cage, context);
        if (!plain.satisfied()) {
            return plain;
        }
        BeamCage even = e.by(FIRST);
        BeamDesign like = e.like(even);
        if (like != null || even == cage) {
            return like == null ? plain : like;
        }
        BeamDesign d = BeamCheck.run(line, even, context);
        return d.satisfied() ? d : e.other(plain, d);
    }

    /** With bars cut to few lengths; null where that changes nothing, or something speaks against it at either end. @param even with bars on the module */
    private BeamDesign like(BeamCage even) {
        if (context.basis().bars().preference() != Preference.PRACTICAL) {
            return null;
        }
        for (boolean fromFirst : new boolean[] {false, true}) {
            BeamCage cage = LikeLengths.of(
                    line, even, context.basis(), context.own().faces().keySet(), fromFirst);
            if (cage != even) {
                BeamDesign d = BeamCheck.run(line, cage, context);
                if (d.satisfied()) {
                    return d;
                }
            }
        }
        return null;
    }

    /** @param even with bars on the module, which does not satisfy */
    private BeamDesign other(BeamDesign plain, BeamDesign even) {
        if (!plain.satisfied()) {
            return failing(even) <= failing(plain) ? even : plain;
        }
        for (Way w : OTHERS) {
            BeamDesign d = BeamCheck.run(line, by(w), context);
            if (d.satisfied()) {
                return d;
            }
        }
        return plain;
    }

    private static long failing(BeamDesign d) {
        return d.checks().stream()
                .filter(c -> !c.satisfied())
                .map(CheckResult::kind)
                .distinct()
                .count();
    }

    private BeamCage by(Way w) {
        Set<BeamCage.Face> stays = EnumSet.noneOf(BeamCage.Face.class);
        stays.addAll(w.stays());
        stays.addAll(context.own().faces().keySet());
        return BarLengths.onModule(line, cage, context.basis(), stays, w.fromFirst());
    }
}
