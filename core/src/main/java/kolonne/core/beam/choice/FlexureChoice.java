package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.ShiftedMoments;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;

/** Chooses the longitudinal bars of a line: through bars of one size per face, and additional bars per region. */
final class FlexureChoice {
    /** Through bars beyond those of crack control that are tried. */
    private static final int MOST_MORE_THROUGH = 6;
    /** Bottoms of two sizes over which tops of others are tried, the cheapest. */
    private static final int BOTTOMS = 3;

    private final BeamLine line;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final Bar stirrup;
    /** Straight bottom bars run this part of their development into a support at least. */
    private static final double LEAST_PART = 0.3;

    private final Boost boost;
    /** Whether torsion counts in a span. */
    private final boolean[] twists;

    private final Optional<DuctileBars> ductile;
    private final List<Bar> sizes;
    private final Handling handling;
    private boolean bottomYields;
    /** Whether regions that the sizes of their face do not serve may have others. */
    private boolean mending;

    private final double[] hogging;
    private final double[] sagging;
    /** Bottom bars already chosen when the top is; they work in compression over the supports. */
    private Choice[] underTop;

    private final BarFit.Memo placed;
    private final FaceStrengths strengths;
    private final RegionChoice additions;

    /** Bars through the bottom are of sizes that yield in the columns at the ends, also where others beside them would. */
    FlexureChoice yieldingAtColumns(boolean now) {
        bottomYields = now && code.detailing().bottomYieldsAtColumns();
        return this;
    }

    FlexureChoice(
            BeamLine line,
            BeamContext context,
            double[] torques,
            Bar stirrup,
            Boost boost,
            BarFit.Memo placed,
            FaceStrengths strengths) {
        this.boost = boost;
        this.placed = placed;
        this.line = line;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.handling = new Handling(basis.practice().costs());
        this.stirrup = stirrup;
        this.ductile = DuctileSpans.rules(line, context.basis()).map(r -> new DuctileBars(line, basis, r));
        this.sizes = ductile.map(DuctileBars::sizes).orElse(basis.beamBarList());
        this.strengths = strengths;
        this.additions = new RegionChoice(line, basis, stirrup, ductile, placed, strengths);
        int n = line.stations().size();
        hogging = new double[n];
        sagging = new double[n];
        BeamTorsion[] torsion = line.spans().stream()
                .map(q -> new BeamTorsion(
                        line,
                        q,
                        context.basis(),
                        torques,
                        stirrup,
                        BeamTorsion.largest(basis),
                        BeamTorsion.sideLevels(q, basis)))
                .toArray(BeamTorsion[]::new);
        twists = new boolean[torsion.length];
        for (int i = 0; i < torsion.length; i++) {
            twists[i] = torsion[i].counts();
        }
        for (int i = 0; i < n; i++) {
            BeamLine.Station st = line.stations().get(i);
            BeamTorsion t = torsion[st.span()];
            boolean counts = t.counts() && t.countsAt(st.x());
            for (int c = 0; c < context.combinations(); c++) {
                double m = context.at(st, c, Analysis.MY);
                double more = counts ? torsionMoment(st, t.levelSteel(Math.abs(context.at(st, c, Analysis.T)), i)) : 0;
                sagging[i] = Math.max(sagging[i], m + more);
                hogging[i] = Math.max(hogging[i], -m + more);
            }
            sagging[i] *= boost.sagging[i];
            hogging[i] *= boost.hogging[i];
            sagging[i] = Math.max(sagging[i], boost.saggingFloor[i]);
            hogging[i] = Math.max(hogging[i], boost.hoggingFloor[i]);
        }
        shift(sagging, BeamCage.Face.BOTTOM);
        shift(hogging, BeamCage.Face.TOP);
    }

    /** Moments shifted along the spans as the code asks, with the depth that one layer leaves; not past a free end. */
    private void shift(double[] demand, BeamCage.Face face) {
        double[] before = demand.clone();
        for (int i = 0; i < demand.length; i++) {
            BeamLine.Station s = line.stations().get(i);
            double d = line.spans().get(s.span()).shape().depth() - basis.beamCover() - stirrup.diameter();
            double reach = code.detailing().tensionShift(d);
            for (int k = 0; k < demand.length && reach > 0 && !ShiftedMoments.nearFreeEnd(line, s, reach); k++) {
                BeamLine.Station q = line.stations().get(k);
                if (q.span() == s.span() && Math.abs(q.x() - s.x()) <= reach) {
                    demand[i] = Math.max(demand[i], before[k]);
                }
            }
        }
    }

    /** Moment that asks for as many bars as torsion takes off a face: φ fy d at most for each of their area [Nmm]. */
    private double torsionMoment(BeamLine.Station st, double area) {
        return 0.9 * basis.fy() * area * (line.spans().get(st.span()).shape().depth() - basis.beamCover());
    }

    /** Bars of both faces, to be laid. */
    record Chosen(Choice[] top, Choice[] bottom) {
        /** Regions of a face whose moments no bars bear: those of the supports, or of the spans. */
        boolean[] full(boolean below) {
            Choice[] face = below ? bottom : top;
            boolean[] out = new boolean[face.length];
            for (int i = 0; i < face.length; i++) {
                out[i] = !face[i].satisfies();
            }
            return out;
        }

        /** Sizes that lie beside others on their face, and those past the second of the line; one a face is none. */
        int furtherSizes() {
            Set<Bar> above = onFace(top, bottom);
            Set<Bar> below = onFace(bottom, top);
            int mixed = above.size() + below.size() - 2;
            above.addAll(below);
            return mixed + Math.max(0, above.size() - 2);
        }

        /** Whether sizes lie nearer together on the faces, or as near and are fewer. @param list the sizes that are allowed, in their order */
        boolean before(Chosen o, List<Bar> list) {
            int steps = Math.max(steps(onFace(top, bottom), list), steps(onFace(bottom, top), list));
            int others = Math.max(steps(onFace(o.top, o.bottom), list), steps(onFace(o.bottom, o.top), list));
            return steps != others ? steps < others : furtherSizes() < o.furtherSizes();
        }

        /** From the smallest to the largest of some sizes. */
        private static int steps(Set<Bar> some, List<Bar> list) {
            int[] at = some.stream().mapToInt(list::indexOf).sorted().toArray();
            return at[at.length - 1] - at[0];
        }

        /** Sizes on a face: its own, and those of bars in compression for the other. */
        private static Set<Bar> onFace(Choice[] face, Choice[] other) {
            Set<Bar> out = Arrays.stream(face)
                    .flatMap(c -> c.layers().stream().map(BarFit.Layer::bar))
                    .collect(Collectors.toSet());
            Arrays.stream(other).filter(c -> c.compression() > 0).forEach(c -> out.add(c.compressionBar()));
            return out;
        }
    }

    Chosen choose() {
        BarRegions regions = new BarRegions(line, basis, boost, hogging, sagging);
        List<BarRegion> below = regions.bottom();
        List<BarRegion> above = regions.top();
        if (practical()) {
            return practical(below, above);
        }
        Choice[][] one = basis.bars().preference() == Preference.FEWEST_SIZES ? oneSize(below, above) : null;
        Choice[] bottom = one != null ? one[0] : face(BeamCage.Face.BOTTOM, below);
        underTop = bottom;
        return new Chosen(one != null ? one[1] : face(BeamCage.Face.TOP, above), bottom);
    }

    /** The bars as they lie. @param cut where bottom bars end when they are no longer needed */
    List<BeamCage.Group> laid(Chosen chosen, BottomCuts cut) {
        return new GroupLayout(line, basis, hogging, sagging, this, strengths, cut)
                .groups(chosen.top(), chosen.bottom());
    }

    private boolean practical() {
        return basis.bars().preference() == Preference.PRACTICAL;
    }

    /**
     * Bottom and top at the least cost, of neighbouring sizes or each of a size of its own, so that a face never mixes sizes that lie apart and a
     * line has two at most. Where none of these serve a line has more than two, then a face two that lie apart, then any.
     *
     * @see Handling
     */
    private Chosen practical(List<BarRegion> below, List<BarRegion> above) {
        int together = Math.min(sizes.size(), basis.practice().sizesApart() + 1);
        Cheapest best = new Cheapest(below, above, 0);
        ofNeighbours(together, best);
        List<Choice[]> bottoms = ofOneSize(BeamCage.Face.BOTTOM, below);
        // tops that need bars in compression are worked out with the bottom that they lie over
        underTop = bottoms.isEmpty() ? best.bottom() : bottoms.get(0);
        List<Choice[]> tops = underTop == null ? List.of() : ofOneSize(BeamCage.Face.TOP, above);
        for (Choice[] bottom : bottoms) {
            for (Choice[] top : tops) {
                if (bottom == underTop || Arrays.stream(top).allMatch(c -> c.compression() == 0)) {
                    best.offer(new Chosen(top, bottom));
                }
            }
        }
        if (best.chosen != null) {
            return best.chosen;
        }
        for (int more = together + 1; best.chosen == null && more < sizes.size(); more++) {
            ofNeighbours(more, best);
        }
        Chosen any = best.chosen != null ? best.chosen : ofSizes(sizes, best);
        return any == null ? null : ofFewSizes(any, best);
    }

    /**
     * Where no two sizes serve the line: two for each face, as near together as may be; else two, and others only in the regions that neither serves. Where
     * nothing serves, the check may yet find that it does: then what is as strong as any sizes are.
     */
    private Chosen ofFewSizes(Chosen any, Cheapest of) {
        Cheapest best = new Cheapest(of.below, of.above, of.lacks(any));
        int nearest = Math.max(1, basis.practice().sizesApart());
        int farthest = best.enough == 0 ? sizes.size() - 1 : nearest;
        for (boolean mend : new boolean[] {false, true}) {
            mending = mend;
            for (int apart = nearest; best.chosen == null && apart <= farthest; apart++) {
                eachOfTwo(apart, best);
            }
        }
        mending = false;
        return best.chosen != null && best.chosen.before(any, sizes) ? best.chosen : any;
    }

    /** Bars of so many sizes that follow each other in the list. */
    private void ofNeighbours(int together, Cheapest best) {
        for (int first = 0; first + together <= sizes.size(); first++) {
            best.offer(ofSizes(sizes.subList(first, first + together), best));
        }
    }

    /** Each face of two sizes of its own that lie so many steps apart at most. */
    private void eachOfTwo(int apart, Cheapest best) {
        List<List<Bar>> twos = new ArrayList<>();
        for (int i = 0; i < sizes.size(); i++) {
            for (int k = i + 1; k < sizes.size() && k <= i + apart; k++) {
                twos.add(List.of(sizes.get(i), sizes.get(k)));
            }
        }
        List<Choice[]> bottoms = twos.stream()
                .map(two -> face(BeamCage.Face.BOTTOM, best.below, two, false))
                .filter(c -> c != null && (mending || satisfied(c)))
                .sorted(Comparator.comparingDouble(c -> lacks(c, best.below) + total(c, best.below)))
                .limit(BOTTOMS)
                .toList();
        for (Choice[] bottom : bottoms) {
            underTop = bottom;
            for (List<Bar> two : twos) {
                for (Bar through : throughSizes(BeamCage.Face.TOP, two)) {
                    best.offer(new Chosen(withThrough(BeamCage.Face.TOP, best.above, through, two), bottom));
                }
            }
        }
    }

    /** Bars of a face of every single size that serves, the cheapest first. */
    private List<Choice[]> ofOneSize(BeamCage.Face face, List<BarRegion> regions) {
        return sizes.stream()
                .map(b -> face(face, regions, List.of(b), false))
                .filter(c -> c != null && satisfied(c))
                .sorted(Comparator.comparingDouble(c -> total(c, regions)))
                .toList();
    }

    /** @return null where none of the sizes may run through the line */
    private Chosen ofSizes(List<Bar> some, Cheapest of) {
        Choice[] bottom = face(BeamCage.Face.BOTTOM, of.below, some, false);
        underTop = bottom;
        Choice[] top = bottom == null ? null : face(BeamCage.Face.TOP, of.above, some, false);
        return top == null ? null : new Chosen(top, bottom);
    }

    /** The cheapest of what serves. */
    private final class Cheapest {
        private final List<BarRegion> below;
        private final List<BarRegion> above;
        private Chosen chosen;
        private double least = Double.POSITIVE_INFINITY;
        /** What may be lacking: nothing, or as much as with any sizes. */
        private final double enough;

        Cheapest(List<BarRegion> below, List<BarRegion> above, double enough) {
            this.below = below;
            this.above = above;
            this.enough = enough;
        }

        Choice[] bottom() {
            return chosen == null ? null : chosen.bottom();
        }

        void offer(Chosen c) {
            if (c == null) {
                return;
            }
            double cost = total(c.bottom(), below) + total(c.top(), above) + handling.size() * c.furtherSizes();
            if (lacks(c) <= enough && Handling.below(cost, least)) {
                chosen = c;
                least = cost;
            }
        }

        double lacks(Chosen c) {
            return FlexureChoice.lacks(c.bottom(), below) + FlexureChoice.lacks(c.top(), above);
        }
    }

    /** Bottom and top of one size that serves both, with the least steel; null if none does. */
    private Choice[][] oneSize(List<BarRegion> below, List<BarRegion> above) {
        Choice[][] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Bar bar : sizes) {
            Choice[] bottom = face(BeamCage.Face.BOTTOM, below, List.of(bar), true);
            underTop = bottom;
            Choice[] top = bottom == null ? null : face(BeamCage.Face.TOP, above, List.of(bar), true);
            double cost = top == null ? least : total(bottom, below) + total(top, above);
            if (Handling.below(cost, least) && satisfied(bottom) && satisfied(top)) {
                best = new Choice[][] {bottom, top};
                least = cost;
            }
        }
        return best;
    }

    private static boolean satisfied(Choice[] choices) {
        return Arrays.stream(choices).allMatch(Choice::satisfies);
    }

    /** Cost of the bars of a face along the line. */
    private double total(Choice[] choices, List<BarRegion> regions) {
        double cost = additions.bars(choices[0].through(), choices[0].throughBar(), line.length());
        for (int i = 0; i < choices.length; i++) {
            cost += additions.cost(choices[i], regions.get(i));
        }
        return practical()
                ? cost + handling.laidOver(hooksTooHigh(choices, regions.get(0).face()))
                : cost;
    }

    /** Bars at the ends of the line whose hooks are higher than the beam has room for. */
    private int hooksTooHigh(Choice[] choices, BeamCage.Face face) {
        int out = 0;
        for (boolean left : new boolean[] {true, false}) {
            Choice c = choices[left ? 0 : choices.length - 1];
            BeamLine.Span s = line.spans().get(left ? 0 : line.spans().size() - 1);
            BeamLine.SupportKind kind =
                    line.supports().get(left ? 0 : line.spans().size()).kind();
            int high = 0;
            for (BarFit.Layer l : c.layers()) {
                double room = s.shape().depth()
                        - basis.beamCover()
                        - l.offset()
                        + l.bar().diameter() / 2;
                high += basis.entry().bends().hook(l.bar()) > room + 1 ? l.count() : 0;
            }
            boolean straight = kind == BeamLine.SupportKind.FREE
                    || high > 0 && face == BeamCage.Face.BOTTOM && straightServes(c, left);
            out += straight ? 0 : high;
        }
        return out;
    }

    /** For every size of the through bars the cheapest additions; the size with the least total is taken. */
    private Choice[] face(BeamCage.Face face, List<BarRegion> regions) {
        if (basis.bars().preference() == Preference.ONE_SIZE_A_FACE) {
            Choice[] one = face(face, regions, sizes, true);
            if (satisfied(one)) {
                return one;
            }
        }
        return face(face, regions, sizes, false);
    }

    /** @return null where none of the sizes may run through the line */
    private Choice[] face(BeamCage.Face face, List<BarRegion> regions, List<Bar> sizes, boolean oneSize) {
        Choice[] best = null;
        double bestCost = Double.POSITIVE_INFINITY;
        for (Bar bar : throughSizes(face, sizes)) {
            Choice[] choices = withThrough(face, regions, bar, oneSize ? List.of(bar) : sizes);
            double cost = total(choices, regions) + lacks(choices, regions);
            if (Handling.below(cost, bestCost)) {
                best = choices;
                bestCost = cost;
            }
        }
        return best;
    }

    /**
     * Sizes that bars through the line may have: where they must yield in the end supports, those whose hooks find room. Where no size that is allowed
     * finds it, all; where only none of these does, none.
     */
    private List<Bar> throughSizes(BeamCage.Face face, List<Bar> some) {
        boolean integrity = code.detailing().integrityYields() && context.throughPart(line, face) > 0;
        boolean bottom = face == BeamCage.Face.BOTTOM && bottomYields;
        List<Bar> out = some.stream().filter(b -> yields(b, integrity, bottom)).toList();
        return out.isEmpty() && sizes.stream().noneMatch(b -> yields(b, integrity, bottom)) ? some : out;
    }

    /** @param everywhere whether it must yield in every end support; @param atColumns whether in columns */
    private boolean yields(Bar bar, boolean everywhere, boolean atColumns) {
        for (boolean left : new boolean[] {true, false}) {
            boolean column = line.supports().get(left ? 0 : line.spans().size()).kind() == BeamLine.SupportKind.COLUMN;
            if ((everywhere || atColumns && column) && !EndHooks.develop(line, basis, bar, left)) {
                return false;
            }
        }
        return true;
    }

    /** Additions to the fewest through bars of a size that are a large enough part of the face's largest steel. */
    private Choice[] withThrough(BeamCage.Face face, List<BarRegion> regions, Bar bar, List<Bar> added) {
        double part = Math.max(
                context.throughPart(line, face),
                ductile.map(q -> q.throughPart(face)).orElse(0.0));
        boolean yields = face == BeamCage.Face.BOTTOM
                && code.detailing().bottomYieldsAtColumns()
                && line.supports().stream().anyMatch(q -> q.kind() == BeamLine.SupportKind.COLUMN);
        part = yields ? Math.max(part, code.detailing().bottomIntoSupport(false)) : part;
        int least = Math.max(throughBars(bar), (int) Math.ceil(
                ductile.map(q -> q.leastThrough(face, bar, stirrup)).orElse(0.0) / bar.area() - 1e-9));
        for (int through = least; ; through++) {
            Choice[] out = new Choice[regions.size()];
            double most = 0;
            for (int i = 0; i < out.length; i++) {
                out[i] = additions.cheapest(regions.get(i), through, bar, added, underTop);
                if (mending && !out[i].satisfies()) {
                    out[i] = additions.cheapest(regions.get(i), through, bar, sizes, underTop);
                }
                most = Math.max(most, out[i].area());
            }
            if (through * bar.area() >= part * most || through >= least + MOST_MORE_THROUGH) {
                return out;
            }
        }
    }

    /** More than any bars cost, for every region that bars do not serve and for the strength that they lack, to a five-hundredth; 0 where they serve. */
    private static double lacks(Choice[] choices, List<BarRegion> regions) {
        double out = 0;
        for (int i = 0; i < choices.length; i++) {
            double ratio = Math.floor(500 * Math.min(1, choices[i].borne()) + 1e-9) / 500;
            out += choices[i].satisfies() ? 0 : 1e12 + 1e9 * (1 - ratio);
        }
        return out;
    }

    /** Two at least, and as many as crack control asks for across the narrowest and widest webs of the line. */
    private int throughBars(Bar bar) {
        double widest = line.spans().stream()
                .mapToDouble(s -> s.shape().webWidth())
                .max()
                .orElseThrow();
        double limit = code.detailing().crackSpacing(basis.fy(), basis.beamCover() + stirrup.diameter());
        double centres = BarFit.clearWidth(widest, basis, stirrup) - bar.diameter();
        return Math.max(2, (int) Math.ceil(centres / limit - 1e-9) + 1);
    }

    /**
     * Whether bottom bars may end straight in an end support: nothing but the moment at its face asks for their strength there, and as much of it
     * is developed as that needs.
     */
    boolean straightServes(Choice c, boolean left) {
        BeamLine.Span s = line.spans().get(left ? 0 : line.spans().size() - 1);
        BeamLine.SupportKind kind =
                line.supports().get(left ? 0 : line.spans().size()).kind();
        double run = line.endRoom(basis, left);
        boolean built = kind == BeamLine.SupportKind.BEAM
                || kind == BeamLine.SupportKind.COLUMN && !code.detailing().bottomYieldsAtColumns();
        if (!built
                || ductile.isPresent()
                || twists[s.number()]
                || context.throughPart(line, BeamCage.Face.BOTTOM) > 0) {
            return false;
        }
        List<BarLayer> out = new ArrayList<>();
        for (BarFit.Layer l : c.layers()) {
            double length = BarsAt.development(l.bar(), l.pairs(), s.material().fc(), false, basis);
            if (run
                    < Math.max(
                            code.detailing().bottomRunIntoSupport(),
                            Math.max(LEAST_PART * length, 10 * l.bar().diameter()))) {
                return false;
            }
            out.add(new BarLayer(
                    s.shape().depth() - l.offset(),
                    Math.min(1, RegionChoice.ANCHOR_MARGIN * run / length)
                            * l.count()
                            * l.bar().area()));
        }
        double moment = sagging[left ? 0 : sagging.length - 1];
        return moment <= s.negligibleMoment()
                || strengths.of(s, BeamCage.Face.BOTTOM, out).phiMn() >= moment;
    }

    private List<BarFit.Layer> placed(BeamLine.Span span, Choice c, boolean roomy) {
        return placed.place(new BarFit.Wanted(
                span.shape().webWidth(),
                stirrup,
                c.through(),
                c.throughBar(),
                c.added(),
                c.addedBar(),
                c.layers().stream().anyMatch(BarFit.Layer::pairs),
                roomy));
    }

    /** Whether bars of a choice fit into the web of a region and leave its section tension-controlled. */
    boolean serves(BeamCage.Face face, int number, Choice c) {
        BeamLine.Span span = line.spans().get(Math.min(number, line.spans().size() - 1));
        if (!c.layers().equals(placed(span, c, false)) && !c.layers().equals(placed(span, c, true))) {
            return false;
        }
        double h = span.shape().depth();
        List<BarLayer> bars = c.layers().stream()
                .map(l -> new BarLayer(h - l.offset(), l.count() * l.bar().area()))
                .toList();
        return strengths.of(span, face, bars).epsT()
                >= code.beamTensionStrain(basis.fy() / Steel.ES, span.material().fc(), Trace.OFF);
    }
}
