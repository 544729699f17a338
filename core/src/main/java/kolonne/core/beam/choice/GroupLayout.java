package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.ContinuityCheck;
import kolonne.core.beam.check.FlexureCheck;
import kolonne.core.beam.check.PairCheck;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Trace;

/**
 * Lays the chosen bars along the line. Additional bars run on past the place where they are last needed by the code's
 * extension, and far enough that wherever a part of them is needed that part is developed (ACI 318-19 9.7.3).
 */
final class GroupLayout {
    /** On the share of the bars that must be developed, for the curve between stations. */
    private static final double MARGIN = 1.03;
    /** Part of the clear span that additional top bars cover at least. */
    private static final double LEAST_TOP = 0.2;
    /** Part of the clear span that a bottom bar covers at least, where it is not to be a scrap. */
    private static final double LEAST_BOTTOM = 0.3;
    /** Ends of bottom bars are set out on it, from the faces of the supports [mm]. */
    private static final double MODULE = 50;
    /** A bottom bar ends early where that makes it shorter by this at one end [mm]. */
    private static final double LEAST_SAVED = 400;

    private final BeamLine line;
    private final Basis basis;
    private final DesignCode code;
    private final double[] hogging;
    private final double[] sagging;
    private final FlexureChoice choice;
    private final FaceStrengths strengths;
    /** Where bottom bars end when they are no longer needed. */
    private final BottomCuts cut;
    /** Whether bottom bars are bent up at the ends of the line. */
    private boolean[] bent;

    GroupLayout(
            BeamLine line,
            Basis basis,
            double[] hogging,
            double[] sagging,
            FlexureChoice choice,
            FaceStrengths strengths,
            BottomCuts cut) {
        this.cut = cut;
        this.line = line;
        this.basis = basis;
        this.code = basis.designCode();
        this.hogging = hogging;
        this.sagging = sagging;
        this.choice = choice;
        this.strengths = strengths;
    }

    List<BeamCage.Group> groups(Choice[] top, Choice[] bottom) {
        List<BeamCage.Group> out = new ArrayList<>();
        through(BeamCage.Face.TOP, top[0], new boolean[] {true, true}, out);
        topAdditions(top, out);
        bent = new boolean[] {
            !choice.straightServes(bottom[0], true), !choice.straightServes(bottom[bottom.length - 1], false)
        };
        through(BeamCage.Face.BOTTOM, bottom[0], bent, out);
        bottomAdditions(bottom, out);
        return out;
    }

    /** How far bottom bars run into the support after span {@code left}: no further than its middle [mm]. */
    private double intoSupport(int left) {
        if (left < 0 || left == line.spans().size() - 1) {
            return line.endRoom(basis, left < 0);
        }
        double between =
                line.spans().get(left + 1).faceFrom() - line.spans().get(left).faceTo();
        return Math.min(code.detailing().bottomRunIntoSupport(), between / 2 - 1);
    }

    private void through(BeamCage.Face face, Choice c, boolean[] hooks, List<BeamCage.Group> out) {
        BarFit.Layer l = c.layers().get(0);
        out.add(new BeamCage.Group(
                face,
                1,
                l.count(),
                l.bar(),
                l.offset(),
                line.firstBar(basis),
                line.lastBar(basis),
                hooks[0],
                hooks[1],
                true));
    }

    private void topAdditions(Choice[] top, List<BeamCage.Group> out) {
        double[][] runs = new double[top.length][];
        for (int s = 0; s < top.length; s++) {
            if (top[s].added() > 0) {
                double[] reach =
                        reach(BeamCage.Face.TOP, top[s], s, top[s].layers().subList(0, 1));
                BeamLine.Span a = line.spans().get(Math.max(0, s - 1));
                BeamLine.Span b = line.spans().get(Math.min(s, line.spans().size() - 1));
                double from = s == 0 ? line.firstBar(basis) : Math.min(reach[0], a.faceTo() - LEAST_TOP * a.clear());
                double to = s == top.length - 1
                        ? line.lastBar(basis)
                        : Math.max(reach[1], b.faceFrom() + LEAST_TOP * b.clear());
                runs[s] = new double[] {from, to};
            }
        }
        joined(BeamCage.Face.TOP, top, runs, out);
        pastInflection(out);
    }

    /** Lets as many top bars run past the points of inflection as the code asks for, where the through bars alone are too few. */
    private void pastInflection(List<BeamCage.Group> groups) {
        for (BeamLine.Span span : line.spans()) {
            for (boolean right : new boolean[] {true, false}) {
                double x = line.cantilever(span.number())
                        ? Double.NaN
                        : ContinuityCheck.inflection(line, span, hogging, right);
                if (!Double.isNaN(x)) {
                    pastInflection(groups, span, right, x);
                }
            }
        }
    }

    private void pastInflection(List<BeamCage.Group> groups, BeamLine.Span span, boolean right, double x) {
        double face = right ? span.faceFrom() : span.faceTo();
        double total = 0;
        double passing = 0;
        BeamCage.Group shorter = null;
        for (BeamCage.Group g : groups) {
            if (g.face() == BeamCage.Face.TOP && g.covers(face)) {
                boolean passes =
                        right ? g.to() >= runTo(span, g, true, x) - 1 : g.from() <= runTo(span, g, false, x) + 1;
                total += g.area();
                passing += passes ? g.area() : 0;
                shorter = !passes && (shorter == null || g.layer() < shorter.layer()) ? g : shorter;
            }
        }
        double missing = code.detailing().inflectionPart() * total - passing;
        if (missing > 1e-6 * total && shorter != null) {
            int wanted = (int) Math.ceil(missing / shorter.bar().area() - 1e-9);
            int more = shorter.pairs() ? shorter.count() : together(Math.max(1, wanted), shorter.count());
            double to = runTo(span, shorter, right, x);
            groups.remove(shorter);
            groups.add(part(shorter, more, right ? shorter.from() : to, right ? to : shorter.to()));
            if (more < shorter.count()) {
                groups.add(part(shorter, shorter.count() - more, shorter.from(), shorter.to()));
            }
            pastInflection(groups, span, right, x);
        }
    }

    /** So many bars of a group at least, and by the practical preference neither a single one nor all but one. */
    private int together(int wanted, int count) {
        boolean alone = basis.bars().preference() == Preference.PRACTICAL && (wanted == 1 || wanted == count - 1);
        int more = alone ? wanted + 1 : wanted;
        return more >= count - 1 && alone ? count : Math.min(count, more);
    }

    private double runTo(BeamLine.Span span, BeamCage.Group g, boolean right, double x) {
        // the stirrups may yet become smaller, and the bars lie further out
        double spare = basis.stirrupList().get(basis.stirrupList().size() - 1).diameter()
                - basis.smallestStirrup().diameter();
        double run = code.detailing()
                .inflectionRun(
                        span.shape().depth() - g.offset() + spare, g.bar().diameter(), span.clear());
        return right ? Math.min(span.faceTo(), x + run) : Math.max(span.faceFrom(), x - run);
    }

    private static BeamCage.Group part(BeamCage.Group g, int count, double from, double to) {
        return g.between(count, from, to);
    }

    private void bottomAdditions(Choice[] bottom, List<BeamCage.Group> out) {
        double[][] runs = new double[bottom.length][];
        Choice[] running = bottom.clone();
        List<BeamCage.Group> ending = new ArrayList<>();
        for (int s = 0; s < bottom.length; s++) {
            if (bottom[s].added() > 0) {
                BeamLine.Span span = line.spans().get(s);
                double[] reach = reach(
                        BeamCage.Face.BOTTOM, bottom[s], s, bottom[s].layers().subList(0, 1));
                double[] whole = {
                    Math.min(span.faceFrom() - intoSupport(s - 1), reach[0]),
                    Math.max(span.faceTo() + intoSupport(s), reach[1])
                };
                running[s] = ended(bottom[s], span, whole, ending);
                runs[s] = running[s].added() > 0 ? whole : null;
            }
        }
        joined(BeamCage.Face.BOTTOM, running, runs, out);
        out.addAll(ending);
    }

    /**
     * Lets the bars of a span that its supports do not need end where they are no longer needed, on the module from its faces.
     *
     * @param whole from where to where they run otherwise
     * @param out   where those that end are laid
     * @return what still runs on
     */
    private Choice ended(Choice c, BeamLine.Span span, double[] whole, List<BeamCage.Group> out) {
        BottomCuts.Part most = cut.part(span.number());
        if (most == BottomCuts.Part.NONE
                || c.compression() > 0
                || c.layers().stream().anyMatch(BarFit.Layer::pairs)) {
            return c;
        }
        Ending best = ending(c, span, whole, BottomCuts.Part.SOME);
        Ending all = most == BottomCuts.Part.ALL ? ending(c, span, whole, most) : best;
        best = all.saved() > best.saved() ? all : best;
        if (best.saved() <= 0) {
            return c;
        }
        List<BarFit.Layer> laid = new ArrayList<>(c.layers().subList(0, 1));
        laid.addAll(without(c.layers(), best.running()));
        add(BeamCage.Face.BOTTOM, c.with(laid), best.from(), best.to(), out);
        return c.with(best.running());
    }

    /** Bars that run on, where the others begin and end, and what that saves [mm3]. */
    private record Ending(List<BarFit.Layer> running, double from, double to, double saved) {}

    private Ending ending(Choice c, BeamLine.Span span, double[] whole, BottomCuts.Part part) {
        List<BarFit.Layer> running = runningOn(c, part);
        double[] reach = notTooShort(reach(BeamCage.Face.BOTTOM, c, span.number(), running), span);
        double from = span.faceFrom() + MODULE * Math.floor((reach[0] - span.faceFrom()) / MODULE);
        double to = span.faceTo() - MODULE * Math.floor((span.faceTo() - reach[1]) / MODULE);
        boolean left = cut.ends(span.number(), false) && from > span.faceFrom() && from - whole[0] >= LEAST_SAVED;
        boolean right = cut.ends(span.number(), true) && to < span.faceTo() && whole[1] - to >= LEAST_SAVED;
        double area = without(c.layers(), running).stream()
                .mapToDouble(l -> l.count() * l.bar().area())
                .sum();
        return new Ending(
                running,
                left ? from : whole[0],
                right ? to : whole[1],
                area * ((left ? from - whole[0] : 0) + (right ? whole[1] - to : 0)));
    }

    /** Where bottom bars begin and end; by the practical preference they are no scraps in the middle of a span. */
    private double[] notTooShort(double[] reach, BeamLine.Span span) {
        double least = basis.bars().preference() == Preference.PRACTICAL ? LEAST_BOTTOM * span.clear() : 0;
        double more = Math.max(0, least - (reach[1] - reach[0])) / 2;
        return new double[] {reach[0] - more, reach[1] + more};
    }

    /** The through bars and as many of the others, layer by layer, as run into the supports; a layer is parted in twos. */
    private List<BarFit.Layer> runningOn(Choice c, BottomCuts.Part part) {
        double wanted = code.detailing().bottomIntoSupport(line.spans().size() == 1) * c.area()
                - c.through() * c.throughBar().area();
        if (part != BottomCuts.Part.ALL) {
            wanted = Math.max(wanted, part == BottomCuts.Part.NONE ? c.area() : lowerHalf(c));
        }
        List<BarFit.Layer> out = new ArrayList<>(c.layers().subList(0, 1));
        for (BarFit.Layer l : c.layers().subList(1, c.layers().size())) {
            if (wanted <= 1e-6) {
                break;
            }
            int bars = (int) Math.ceil(wanted / l.bar().area() - 1e-9);
            boolean split = l.number() == 1 && bars + bars % 2 <= l.count() - 2;
            int count = split ? bars + bars % 2 : l.count();
            out.add(new BarFit.Layer(l.number(), count, l.bar(), l.offset(), l.pairs()));
            wanted -= count * l.bar().area();
        }
        return out;
    }

    /** Additional bars of the first layer where there are others, else half of them [mm2]. */
    private static double lowerHalf(Choice c) {
        double first = c.layers().stream()
                .skip(1)
                .filter(l -> l.number() == 1)
                .mapToDouble(l -> l.count() * l.bar().area())
                .sum();
        double all = c.added() * c.addedBar().area();
        return first < all - 1 ? Math.max(first, 1) : all / 2;
    }

    private static List<BarFit.Layer> without(List<BarFit.Layer> all, List<BarFit.Layer> some) {
        List<BarFit.Layer> out = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            BarFit.Layer l = all.get(i);
            int count = l.count() - (i < some.size() ? some.get(i).count() : 0);
            if (count > 0) {
                out.add(new BarFit.Layer(l.number(), count, l.bar(), l.offset(), l.pairs()));
            }
        }
        return out;
    }

    /** Lays the runs; where neighbouring runs overlap they become one of the stronger choice, if that serves both. */
    private void joined(BeamCage.Face face, Choice[] choices, double[][] runs, List<BeamCage.Group> out) {
        for (int s = 0; s < choices.length; s++) {
            if (runs[s] == null) {
                continue;
            }
            double from = runs[s][0];
            double to = runs[s][1];
            Choice strongest = choices[s];
            while (s + 1 < choices.length && runs[s + 1] != null && runs[s + 1][0] < to) {
                Choice stronger = choices[s + 1].area() > strongest.area() ? choices[s + 1] : strongest;
                if (!choice.serves(face, s, stronger) || !choice.serves(face, s + 1, stronger)) {
                    double middle = (runs[s + 1][0] + to) / 2;
                    to = middle - 1;
                    runs[s + 1][0] = middle + 1;
                    break;
                }
                s++;
                to = Math.max(to, runs[s][1]);
                strongest = stronger;
            }
            add(face, strongest, from, to, out);
        }
    }

    private void add(BeamCage.Face face, Choice c, double from, double to, List<BeamCage.Group> out) {
        double first = line.firstBar(basis);
        double last = line.lastBar(basis);
        boolean hookFrom = from <= first + 1;
        boolean hookTo = to >= last - 1;
        for (BarFit.Layer l : c.layers().subList(1, c.layers().size())) {
            boolean bottom = face == BeamCage.Face.BOTTOM;
            BeamCage.Group g = new BeamCage.Group(
                    face,
                    l.number(),
                    l.count(),
                    l.bar(),
                    l.offset(),
                    hookFrom ? first : from,
                    hookTo ? last : to,
                    hookFrom && (!bottom || bent[0]),
                    hookTo && (!bottom || bent[1]),
                    hookFrom && hookTo,
                    l.pairs());
            out.addAll(l.pairs() ? staggered(g) : List.of(g));
        }
        if (c.compression() > 0) {
            BeamCage.Face other = face == BeamCage.Face.TOP ? BeamCage.Face.BOTTOM : BeamCage.Face.TOP;
            double offset = c.layers().get(0).offset()
                    - c.layers().get(0).bar().diameter() / 2
                    + c.compressionBar().diameter() / 2;
            out.add(new BeamCage.Group(
                    other,
                    1,
                    c.compression(),
                    c.compressionBar(),
                    offset,
                    Math.max(first, from),
                    Math.min(last, to),
                    false,
                    false,
                    false));
        }
    }

    /** Of bars in pairs that end within a span one of each two runs on further. */
    private List<BeamCage.Group> staggered(BeamCage.Group g) {
        double further = code.detailing().pairStagger(g.bar());
        double from = !g.hookFrom() && PairCheck.inSpan(line, g.from())
                ? Math.max(line.firstBar(basis), g.from() - further)
                : g.from();
        double to = !g.hookTo() && PairCheck.inSpan(line, g.to())
                ? Math.min(line.lastBar(basis), g.to() + further)
                : g.to();
        if (from == g.from() && to == g.to() || g.count() < 2) {
            return List.of(g);
        }
        return List.of(g.between(g.count() / 2, g.from(), g.to()), g.between(g.count() - g.count() / 2, from, to));
    }

    /**
     * How far the additional bars of a support (top) or span (bottom) must run for the demands around them.
     *
     * @param running what runs on past their ends
     */
    private double[] reach(BeamCage.Face face, Choice c, int number, List<BarFit.Layer> running) {
        double area =
                running.stream().mapToDouble(l -> l.count() * l.bar().area()).sum();
        double from = Double.POSITIVE_INFINITY;
        double to = Double.NEGATIVE_INFINITY;
        double[] demand = face == BeamCage.Face.TOP ? hogging : sagging;
        double peak = peak(face, demand, number);
        for (int i = 0; i < demand.length; i++) {
            BeamLine.Station st = line.stations().get(i);
            if (!belongs(face, number, st)) {
                continue;
            }
            BeamLine.Span span = line.spans().get(st.span());
            double alone = strengths.ofLayers(span, face, running);
            double all = strengths.ofLayers(span, face, c.layers());
            // bars short of the minimum must be a third stronger than the demand (9.6.1.3)
            double wanted = c.area() < least(face, c, span) ? code.minimumSteelExcess() * demand[i] : demand[i];
            double share = all > alone ? Math.min(1, MARGIN * (wanted - alone) / (all - alone)) : 0;
            if (share <= 0 && area < least(face, c, span) && belowMinimum(span, demand[i], alone)) {
                share = 1e-3;
            }
            if (share > 0) {
                double d = span.shape().depth() - c.layers().get(0).offset();
                double run =
                        code.detailing().runPastNeed(d, c.addedBar().diameter(), share * development(face, c, span));
                from = Math.min(from, st.x() <= peak + 1 ? st.x() - run : from);
                to = Math.max(to, st.x() >= peak - 1 ? st.x() + run : to);
            }
        }
        return new double[] {from == Double.POSITIVE_INFINITY ? peak : from, to == Double.NEGATIVE_INFINITY ? peak : to
        };
    }

    /** Whether bars less than the minimum, of this strength, are too few for a demand. */
    private boolean belowMinimum(BeamLine.Span span, double demand, double strength) {
        return demand > span.negligibleMoment() && MARGIN * code.minimumSteelExcess() * demand > strength;
    }

    private double least(BeamCage.Face face, Choice c, BeamLine.Span span) {
        double d = span.shape().depth() - c.layers().get(0).offset();
        return code.beamMinimumSteel(
                span.material().fc(),
                basis.fy(),
                FlexureCheck.minimumWidth(code, line, span, face == BeamCage.Face.BOTTOM),
                d,
                Trace.OFF);
    }

    /** Bottom: the stations of the span. Top: the nearer half of the spans on either side, a cantilever altogether. */
    private boolean belongs(BeamCage.Face face, int number, BeamLine.Station st) {
        if (face == BeamCage.Face.BOTTOM) {
            return st.span() == number;
        }
        if (st.span() != number && st.span() != number - 1) {
            return false;
        }
        BeamLine.Span span = line.spans().get(st.span());
        boolean spanToTheRight = st.span() == number;
        if (line.cantilever(st.span())) {
            return line.supports().get(number).kind() != BeamLine.SupportKind.FREE;
        }
        double middle = span.middle();
        return spanToTheRight ? st.x() <= middle + 1 : st.x() >= middle - 1;
    }

    private double peak(BeamCage.Face face, double[] demand, int number) {
        double x = face == BeamCage.Face.BOTTOM
                ? line.spans().get(number).faceFrom()
                : line.supports().get(number).x();
        double worst = 0;
        for (int i = 0; i < demand.length; i++) {
            BeamLine.Station st = line.stations().get(i);
            if (demand[i] > worst && belongs(face, number, st)) {
                worst = demand[i];
                x = st.x();
            }
        }
        return x;
    }

    private double development(BeamCage.Face face, Choice c, BeamLine.Span span) {
        boolean top = face == BeamCage.Face.TOP
                && code.detailing()
                        .poorBond(
                                span.shape().depth() - basis.beamCover(),
                                span.shape().depth());
        boolean pairs = c.layers().stream().anyMatch(BarFit.Layer::pairs);
        return BarsAt.development(c.addedBar(), pairs, span.material().fc(), top, basis);
    }
}
