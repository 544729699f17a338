package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.Envelope;
import kolonne.core.check.CheckResult;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Trace;
import kolonne.core.section.FlexuralStrength;

/**
 * Where bars end short of the ends of the line, and what the code asks for there: that they run on past the place where they are last
 * needed, and that ending them in a zone of tension does not weaken the beam in shear.
 */
public final class CutOffs {
    /** Ends that are no further apart are one [mm]. */
    private static final double SAME_PLACE = 1;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final DesignCode code;
    private final Envelope envelope;

    /**
     * An end of a group.
     *
     * @param group number in the cage; @param right whether it is the end towards the end of the line
     */
    public record End(int group, boolean right, double x, BeamLine.Span span) {}

    public CutOffs(BeamLine line, BeamCage cage, BeamContext context) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.code = context.basis().designCode();
        this.envelope = new Envelope(line, context.demands());
    }

    /** Ends between the outermost faces of the line, without hooks; a free end is no cut-off. */
    public List<End> ends() {
        List<End> out = new ArrayList<>();
        double first = line.spans().get(0).faceFrom();
        double last = line.spans().get(line.spans().size() - 1).faceTo();
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            if (g.from() > Math.max(first, line.firstBar(context.basis())) + 1) {
                out.add(new End(i, false, g.from(), spanAt(g.from(), true)));
            }
            if (g.to() < Math.min(last, line.lastBar(context.basis())) - 1) {
                out.add(new End(i, true, g.to(), spanAt(g.to(), false)));
            }
        }
        return out;
    }

    /** The span at a place; over a support the one on the side of the bar. */
    private BeamLine.Span spanAt(double x, boolean after) {
        for (BeamLine.Span s : line.spans()) {
            if (after ? x < s.to() - 1e-6 : x <= s.to() + 1e-6) {
                return s;
            }
        }
        return line.spans().get(line.spans().size() - 1);
    }

    /** A place near an end where the bars that run on further must do without those of the end: demand and their strength [Nmm]. */
    public record Alone(double x, BeamLine.Span span, double demand, double strength) {
        static final Alone NOTHING = new Alone(0, null, 0, 1);

        public double use() {
            return CheckResult.use(demand, strength);
        }
    }

    /** The worst place from where the extension begins to the end, by the exact envelope; the rule must hold at its far end first of all. */
    public Alone extension(End e) {
        BeamCage.Group g = cage.groups().get(e.group());
        double run = code.detailing()
                .extension(e.span().shape().depth() - g.offset(), g.bar().diameter());
        return run <= 0 ? Alone.NOTHING : worst(e, run, further(e));
    }

    /** The worst place along which the bars of an end develop. */
    public Alone development(End e) {
        BarsAt all = new BarsAt(line, cage, context.basis());
        return worst(e, all.straightLength(e.group()), all);
    }

    /** The worst place from a distance before an end up to it, over all spans between. */
    private Alone worst(End e, double before, BarsAt bars) {
        BeamCage.Face face = cage.groups().get(e.group()).face();
        double low = e.right() ? e.x() - before : e.x();
        double high = e.right() ? e.x() : e.x() + before;
        Alone worst = Alone.NOTHING;
        for (BeamLine.Span span : line.spans()) {
            double first = Math.max(low, span.faceFrom());
            double last = Math.min(high, span.faceTo());
            for (double x : first <= last ? envelope.places(first, last, span) : List.<Double>of()) {
                double demand = envelope.at(x, span, face == BeamCage.Face.BOTTOM);
                if (demand > span.negligibleMoment()) {
                    Alone here = new Alone(x, span, demand, strength(bars, x, span, face));
                    worst = here.use() > worst.use() ? here : worst;
                }
            }
        }
        return worst;
    }

    /** Moment demanded of the face where the bar ends, by size; 0 where it is negligible or a support is below [Nmm]. */
    private double demandAt(End e) {
        if (e.x() < e.span().faceFrom() || e.x() > e.span().faceTo()) {
            return 0;
        }
        boolean sagging = cage.groups().get(e.group()).face() == BeamCage.Face.BOTTOM;
        double most = around(e, x -> envelope.at(x, e.span(), sagging));
        return most <= e.span().negligibleMoment() ? 0 : most;
    }

    /** The largest shear where the bar ends [N]. */
    double shearAt(End e) {
        return around(e, x -> envelope.shear(x, e.span()));
    }

    /** The largest demand at an end; of a line that stands for others, around where it may lie in those. */
    private double around(End e, DoubleUnaryOperator demand) {
        double spread = context.demands().spread();
        return spread <= 0
                ? demand.applyAsDouble(e.x())
                : envelope.places(e.x() - spread, e.x() + spread, e.span()).stream()
                        .mapToDouble(demand::applyAsDouble)
                        .max()
                        .orElse(0);
    }

    /** Strength of the bars that run on past the end [Nmm]. */
    double continuing(End e) {
        return strength(
                further(e), e.x(), e.span(), cage.groups().get(e.group()).face());
    }

    /**
     * How far the end is from what the code allows in a zone of tension; 0 where nothing is asked.
     *
     * @param strength of the beam in shear at a place
     */
    public double tensionUse(End e, BeamShearCheck.Strength strength) {
        double demand = demandAt(e);
        if (demand <= 0) {
            return 0;
        }
        double continuing = continuing(e);
        return code.detailing()
                .cutOffUse(
                        shearAt(e),
                        strength.at(e.x(), e.span()).total(),
                        demand,
                        continuing,
                        cage.groups().get(e.group()).bar().diameter());
    }

    /**
     * The bars that must do without those of an end: bars of its face that end where it does, or before it, are none of them, though they may still lie there.
     * Judged each by the others, bars that end together would bear each other.
     */
    private BarsAt further(End e) {
        BeamCage.Group own = cage.groups().get(e.group());
        List<BeamCage.Group> rest = cage.groups().stream()
                .filter(g -> g.face() != own.face()
                        || (e.right() ? g.to() > e.x() + SAME_PLACE : g.from() < e.x() - SAME_PLACE))
                .toList();
        return new BarsAt(line, new BeamCage(rest, cage.zones(), cage.sideBars()), context.basis());
    }

    private double strength(BarsAt bars, double x, BeamLine.Span span, BeamCage.Face face) {
        boolean sag = face == BeamCage.Face.BOTTOM;
        return FlexuralStrength.of(
                        span.shape(),
                        sag,
                        bars.layers(x, span, sag),
                        span.material().fc(),
                        context.basis().fy(),
                        code,
                        Trace.OFF)
                .phiMn();
    }
}
