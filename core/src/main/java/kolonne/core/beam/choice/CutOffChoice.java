package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.CutOffs;
import kolonne.core.beam.check.PairCheck;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.explain.Trace;

/** Lets bars that end in a zone of tension run on to a place where the code allows them to end. */
final class CutOffChoice {
    private static final int ROUNDS = 3;
    /** In which bars are made longer [mm], how often, and thereafter. */
    private static final double STEP = 50;

    private static final int STEPS = 12;
    private static final double WIDE_STEP = 100;
    /** From the face of a support to the end of a bar that ends early [mm]. */
    private static final double LEAST_EARLY = 300;

    private final BeamLine line;
    private final BeamContext context;
    private final boolean early;
    /** Ends for which no place was found in the last round. */
    private final List<CutOffs.End> stuck = new ArrayList<>();

    /** @param early whether bottom bars end early to save steel */
    CutOffChoice(BeamLine line, BeamContext context, boolean early) {
        this.early = early;
        this.line = line;
        this.context = context;
    }

    /** The cage with its cut-offs moved; hand-set bars stay. A bar that moves changes the depth at other ends, hence the rounds. */
    BeamCage extended(BeamCage cage) {
        BeamCage out = cage;
        if (of(cage).ends().isEmpty()) {
            return staggered(cage);
        }
        for (int round = 0; round < ROUNDS; round++) {
            BeamCage before = out;
            stuck.clear();
            for (CutOffs.End e : of(before).ends()) {
                if (!context.own()
                        .faces()
                        .containsKey(before.groups().get(e.group()).face())) {
                    out = moved(out, e);
                }
            }
            out = staggered(out);
            if (out.equals(before)) {
                break;
            }
        }
        return out;
    }

    /** Lets the longer bars of pairs run on where the shorter ones have come near their ends. */
    private BeamCage staggered(BeamCage cage) {
        BeamCage out = cage;
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            for (int k = 0; g.pairs() && k < cage.groups().size(); k++) {
                BeamCage.Group o = cage.groups().get(k);
                double further = context.basis().designCode().detailing().pairStagger(g.bar());
                boolean partner =
                        PairCheck.partners(g, o) && !context.own().faces().containsKey(g.face());
                if (partner
                        && PairCheck.inSpan(line, g.to())
                        && (o.to() > g.to() || o.to() == g.to() && k > i)
                        && o.to() < g.to() + further) {
                    out = with(out, new CutOffs.End(k, true, 0, null), line.within(context.basis(), g.to() + further));
                }
                if (partner
                        && PairCheck.inSpan(line, g.from())
                        && (o.from() < g.from() || o.from() == g.from() && k > i)
                        && o.from() > g.from() - further) {
                    out = with(
                            out, new CutOffs.End(k, false, 0, null), line.within(context.basis(), g.from() - further));
                }
            }
        }
        return out;
    }

    private CutOffs of(BeamCage cage) {
        return new CutOffs(line, cage, context);
    }

    /** The nearest place beyond the end where it may stand, in steps and then in wider ones; the end stays where there is none. */
    private BeamCage moved(BeamCage cage, CutOffs.End end) {
        if (allowed(cage, end)) {
            return cage;
        }
        for (double by = STEP; ; by += by < STEPS * STEP ? STEP : WIDE_STEP) {
            double x = end.x() + (end.right() ? by : -by);
            // a bar that ends early to save steel runs on into the support if it cannot end well before it
            double before = by > STEPS * STEP && endsEarly(cage.groups().get(end.group())) ? LEAST_EARLY : 0;
            if (end.right()
                    ? x >= end.span().faceTo() - before
                    : x <= end.span().faceFrom() + before) {
                stuck.add(end);
                return cage;
            }
            if (allowed(with(cage, end, x), new CutOffs.End(end.group(), end.right(), x, end.span()))) {
                return with(cage, end, x);
            }
        }
    }

    /** Whether a bar is let end early to save steel. */
    private boolean endsEarly(BeamCage.Group g) {
        return early && g.face() == BeamCage.Face.BOTTOM;
    }

    /** Ends that stay where the code does not let them. */
    List<CutOffs.End> stuck() {
        return stuck;
    }

    private boolean allowed(BeamCage cage, CutOffs.End e) {
        BarsAt bars = new BarsAt(line, cage, context.basis());
        CutOffs cutOffs = of(cage);
        return cutOffs.tensionUse(e, (x, span) -> bars.shear(x, span, Trace.OFF)) <= 1
                && cutOffs.extension(e).use() <= 1
                && cutOffs.development(e).use() <= 1;
    }

    private static BeamCage with(BeamCage cage, CutOffs.End e, double x) {
        BeamCage.Group g = cage.groups().get(e.group());
        List<BeamCage.Group> groups = new ArrayList<>(cage.groups());
        for (int i = 0; i < groups.size(); i++) {
            BeamCage.Group o = groups.get(i);
            // what lies under bars of an upper layer and ends with them runs on with them
            boolean under = o.face() == g.face()
                    && o.layer() < g.layer()
                    && (e.right() ? o.to() == g.to() : o.from() == g.from());
            if (i == e.group() || under) {
                groups.set(i, o.between(o.count(), e.right() ? o.from() : x, e.right() ? x : o.to()));
            }
        }
        return new BeamCage(groups, cage.zones(), cage.sideBars());
    }
}
