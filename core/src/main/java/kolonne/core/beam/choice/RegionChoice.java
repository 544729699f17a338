package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.FlexureCheck;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;

/** Chooses the additional bars of a region beside given through bars: the least that serve. What was tried is remembered; for one line, by one thread. */
final class RegionChoice {
    /** Bars added to one region at most. */
    private static final int MOST_ADDED = 44;
    /** What a further layer costs where few are preferred, as area of bars [mm2]. */
    private static final double LAYER = 20_000;
    /** Parts of a region that its additional bars run; less than they run on the average, since with more of them more end early. */
    private static final double TOP_RUN = 0.6;

    private static final double BOTTOM_RUN = 0.7;
    /** On the anchorage that a hook must find, for what the linear share leaves out. */
    static final double ANCHOR_MARGIN = 0.95;
    /** What bars cost that leave no room for the vibrator, more than any others that do [kg]. */
    private static final double CROWDED = 10_000;
    /** Compression bars added to one region at most. */
    private static final int MOST_COMPRESSION = 6;

    private final BeamLine line;
    private final Basis basis;
    private final DesignCode code;
    private final Bar stirrup;
    private final Optional<DuctileBars> ductile;
    private final Handling handling;
    private final Bar smallest;
    private final BarFit.Memo placed;
    private final FaceStrengths strengths;
    /** Whether additions lie in pairs. */
    private boolean pairs;
    /** Sizes that additions may have: all, or that of the through bars. */
    private List<Bar> addedSizes = List.of();
    /** Bottom bars already chosen when the top is; they work in compression over the supports. */
    private Choice[] underTop;

    /** Bars tried in a region; {@code present} area of the other face that works in compression [mm2]. */
    private record Tried(
            int through,
            Bar bar,
            int added,
            Bar extra,
            int compression,
            Bar compressionBar,
            boolean pairs,
            double present) {}

    private final Map<BarRegion, Map<Tried, Optional<Choice>>> tried = new IdentityHashMap<>();

    RegionChoice(
            BeamLine line,
            Basis basis,
            Bar stirrup,
            Optional<DuctileBars> ductile,
            BarFit.Memo placed,
            FaceStrengths strengths) {
        this.line = line;
        this.basis = basis;
        this.code = basis.designCode();
        this.stirrup = stirrup;
        this.ductile = ductile;
        this.handling = new Handling(basis.practice().costs());
        this.smallest = basis.beamBarList().get(0);
        this.placed = placed;
        this.strengths = strengths;
    }

    /** @param under bottom bars that the top lies over; null for the bottom itself */
    Choice cheapest(BarRegion r, int through, Bar bar, List<Bar> sizes, Choice[] under) {
        addedSizes = sizes;
        underTop = under;
        return cheapest(r, through, bar);
    }

    private boolean practical() {
        return basis.bars().preference() == Preference.PRACTICAL;
    }

    /** What added bars of a region cost, and under the preference for few layers every layer past the first. */
    double cost(Choice c, BarRegion r) {
        double bars = bars(c.added(), c.addedBar(), r);
        if (practical()) {
            return bars + handling.of(c.layers()) + (roomy(r) && crowded(c.layers(), r) ? CROWDED : 0);
        }
        int layers = c.layers().stream().mapToInt(BarFit.Layer::number).max().orElse(1);
        boolean few = basis.bars().preference() == Preference.FEWEST_LAYERS;
        return bars + (few ? LAYER * (layers - 1) * run(r) : 0);
    }

    private boolean roomy(BarRegion r) {
        return practical()
                && r.face() == BeamCage.Face.TOP
                && basis.practice().vibrator().clear() > 0;
    }

    /** Whether rows of many bars leave the vibrator less room than is wanted. */
    private boolean crowded(List<BarFit.Layer> layers, BarRegion r) {
        double width = BarFit.clearWidth(r.web(), basis, stirrup);
        int[] bars = new int[layers.get(layers.size() - 1).number() + 1];
        double[] diameters = new double[bars.length];
        for (BarFit.Layer l : layers) {
            int beside = l.pairs() ? (l.count() + 1) / 2 : l.count();
            bars[l.number()] += beside;
            diameters[l.number()] += beside * l.bar().diameter();
        }
        for (int n = 1; n < bars.length; n++) {
            if (BarFit.crowded(bars[n], BarFit.gap(width, bars[n], diameters[n]), basis)) {
                return true;
            }
        }
        return false;
    }

    private double bars(int count, Bar bar, BarRegion r) {
        return bars(count, bar, run(r));
    }

    /** How far the additional bars of a region run. */
    private static double run(BarRegion r) {
        return (r.face() == BeamCage.Face.TOP ? TOP_RUN : BOTTOM_RUN) * r.length();
    }

    /** What bars of a length cost: kilograms by the practical preference, else what is to be least along them. */
    double bars(int count, Bar b, double length) {
        if (practical()) {
            return handling.bars(count, b, length, basis.bars().stockLength());
        }
        boolean fewest = basis.bars().preference() == Preference.FEWEST_BARS;
        return count * length * (fewest ? 1 + 0.001 * b.area() : b.area());
    }

    /** The least bars that serve: singly, then with compression bars, then in pairs. */
    private Choice cheapest(BarRegion r, int through, Bar bar) {
        Choice best = null;
        for (Bar extra : addedSizes) {
            for (int added = 0; added <= MOST_ADDED; added++) {
                double area = through * bar.area() + added * extra.area();
                if (best != null && bars(added, extra, r) >= cost(best, r)) {
                    break;
                }
                if (!r.bear(q -> 0.9 * basis.fy() * area * (q.shape().depth() - basis.beamCover()))) {
                    continue; // even with the whole depth as lever these bars are too few
                }
                Choice c = choice(r, through, bar, added, extra, 0, bar);
                if (c == null) {
                    break;
                }
                if (c.satisfies() && (best == null || Handling.below(cost(c, r), cost(best, r)))) {
                    best = c;
                }
            }
        }
        if (best == null) {
            best = doubly(r, through, bar);
        }
        if (best == null && basis.beams().bundles() && !pairs) {
            pairs = true;
            best = cheapest(r, through, bar);
            pairs = false;
        }
        return best != null ? best : strongest(r, through, bar);
    }

    /** No section is stronger than this: all bars yield, with the whole depth as lever. @param other area on the other face [mm2] @return φMn [Nmm] */
    private double strengthBound(BeamLine.Span span, double area, double other) {
        double lever = span.shape().depth() - basis.beamCover();
        double otherLever = 2 * (basis.beamCover() + stirrup.diameter() + smallest.diameter());
        return 0.9 * basis.fy() * (area * lever + other * otherLever);
    }

    /** The most that fits, where nothing satisfies: the check then says what is wrong. */
    private Choice strongest(BarRegion r, int through, Bar bar) {
        Choice best = null;
        double other = presentInCompression(r);
        for (Bar extra : addedSizes) {
            for (int added = MOST_ADDED; added >= 0; added--) {
                double area = through * bar.area() + added * extra.area();
                if (best != null && r.part(q -> strengthBound(q, area, other)) < best.borne()) {
                    break;
                }
                Choice c = choice(r, through, bar, added, extra, 0, bar);
                if (c != null && (best == null || c.borne() > best.borne())) {
                    best = c;
                }
            }
        }
        return best != null ? best : unfitting(r, through, bar);
    }

    /** The least bars of both faces that serve where the section is too small with tension bars alone. */
    private Choice doubly(BarRegion r, int through, Bar bar) {
        List<Bar> beside = practical() ? sizesOpposite(r) : List.of();
        Choice alike = beside.isEmpty() ? null : doubly(r, through, bar, beside);
        return alike != null ? alike : doubly(r, through, bar, addedSizes);
    }

    /** Sizes that lie on the other face already, so that compression bars mix no further one with them; none where that face is not chosen yet. */
    private List<Bar> sizesOpposite(BarRegion r) {
        return r.face() == BeamCage.Face.BOTTOM
                ? List.of()
                : Arrays.stream(underTop)
                        .flatMap(c -> c.layers().stream().map(BarFit.Layer::bar))
                        .distinct()
                        .toList();
    }

    /** @param inCompression sizes that the bars on the other face may have */
    private Choice doubly(BarRegion r, int through, Bar bar, List<Bar> inCompression) {
        Choice best = null;
        double bestArea = Double.POSITIVE_INFINITY;
        for (Bar compression : inCompression) {
            for (int n = 1; n <= MOST_COMPRESSION && fitsInCompression(r, n, compression); n++) {
                for (Bar extra : addedSizes) {
                    for (int added = 1; added <= MOST_ADDED; added++) {
                        double area = added * extra.area() + n * compression.area();
                        if (area >= bestArea) {
                            break;
                        }
                        double tension = through * bar.area() + added * extra.area();
                        double other = presentInCompression(r) + n * compression.area();
                        if (!r.bear(q -> strengthBound(q, tension, other))) {
                            continue;
                        }
                        Choice c = choice(r, through, bar, added, extra, n, compression);
                        if (c == null) {
                            break;
                        }
                        if (c.satisfies()) {
                            best = c;
                            bestArea = area;
                        }
                    }
                }
            }
        }
        return best;
    }

    /** Whether n bars fit into the first layer of the other face beside what is there. */
    private boolean fitsInCompression(BarRegion r, int n, Bar bar) {
        int count = n + 2;
        double diameters = n * bar.diameter() + 2 * smallest.diameter();
        double largest = bar.diameter();
        if (r.face() == BeamCage.Face.TOP) {
            Choice most = null;
            for (int s = Math.max(0, r.number() - 1); s <= Math.min(r.number(), underTop.length - 1); s++) {
                most = most == null || underTop[s].added() > most.added() ? underTop[s] : most;
            }
            count = n + most.through() + most.added();
            diameters = n * bar.diameter()
                    + most.through() * most.throughBar().diameter()
                    + most.added() * most.addedBar().diameter();
            largest = Math.max(
                    largest,
                    Math.max(most.throughBar().diameter(), most.addedBar().diameter()));
        }
        double width = BarFit.clearWidth(r.web(), basis, stirrup);
        return BarFit.gap(width, count, diameters) >= code.detailing().beamClearSpacing(largest, basis.aggregate());
    }

    /** Bars of the other face that surely work in compression [mm2]: those that run through. */
    private double presentInCompression(BarRegion r) {
        return r.face() == BeamCage.Face.BOTTOM
                ? 2 * smallest.area()
                : underTop[0].through() * underTop[0].throughBar().area();
    }

    /** Bars that do not fit at all: placed in one layer, so that the check reports it. */
    private Choice unfitting(BarRegion r, int through, Bar bar) {
        double offset = basis.beamCover() + stirrup.diameter() + bar.diameter() / 2;
        return new Choice(through, bar, 0, bar, List.of(new BarFit.Layer(1, through, bar, offset)), 0, bar, 0, false);
    }

    private Choice choice(
            BarRegion r, int through, Bar bar, int added, Bar extra, int compression, Bar compressionBar) {
        Tried t = new Tried(through, bar, added, extra, compression, compressionBar, pairs, presentInCompression(r));
        Map<Tried, Optional<Choice>> known = tried.computeIfAbsent(r, q -> new HashMap<>());
        Optional<Choice> c = known.get(t);
        if (c == null) {
            c = Optional.ofNullable(made(r, through, bar, added, extra, compression, compressionBar));
            known.put(t, c);
        }
        return c.orElse(null);
    }

    /** With room for the vibrator where that is wanted and any layers leave it. @return null where the bars do not fit */
    private List<BarFit.Layer> placed(BarRegion r, double bw, int through, Bar bar, int added, Bar extra) {
        boolean paired = pairs && extra.diameter() <= code.detailing().largestInPair();
        List<BarFit.Layer> layers = roomy(r)
                ? placed.place(new BarFit.Wanted(bw, stirrup, through, bar, added, extra, paired, true))
                : null;
        return layers != null
                ? layers
                : placed.place(new BarFit.Wanted(bw, stirrup, through, bar, added, extra, paired));
    }

    /** @return null where the bars do not fit */
    private Choice made(BarRegion r, int through, Bar bar, int added, Bar extra, int compression, Bar compressionBar) {
        List<BarFit.Layer> layers = placed(r, r.web(), through, bar, added, extra);
        if (layers == null) {
            return null;
        }
        double area =
                layers.stream().mapToDouble(l -> l.count() * l.bar().area()).sum();
        double offset = layers.stream()
                        .mapToDouble(l -> l.count() * l.bar().area() * l.offset())
                        .sum()
                / area;
        boolean serves = true;
        double borne = Double.POSITIVE_INFINITY;
        for (BarRegion.Side q : r.sides()) {
            FlexuralStrength s =
                    strengths.of(q.span(), r.face(), anchored(r, q.span(), layers, compression, compressionBar));
            double limit = code.beamTensionStrain(
                    basis.fy() / Steel.ES, q.span().material().fc(), Trace.OFF);
            double usable = s.epsT() >= limit ? s.phiMn() : s.phiMn() * s.epsT() / limit;
            serves = serves
                    && (q.moment() <= 0
                            || s.phiMn() >= q.moment() && s.epsT() >= limit && enough(r, q, area, offset, s.phiMn()));
            borne = Math.min(borne, usable / Math.max(1, q.moment()));
        }
        boolean most = ductile.isEmpty()
                || r.spans().stream()
                        .allMatch(q -> area <= ductile.get().most(q, q.shape().depth() - offset));
        return new Choice(
                through,
                bar,
                added,
                extra,
                layers,
                compression,
                compressionBar,
                borne,
                serves && most && held(r, layers));
    }

    /** Whether bars are the least that the code wants, or stronger than the moment by as much as it asks for then. */
    private boolean enough(BarRegion r, BarRegion.Side side, double area, double offset, double strength) {
        BeamLine.Span q = side.span();
        double least = code.beamMinimumSteel(
                q.material().fc(),
                basis.fy(),
                FlexureCheck.minimumWidth(code, line, q, r.face() == BeamCage.Face.BOTTOM),
                q.shape().depth() - offset,
                Trace.OFF);
        return area >= least || strength >= code.minimumSteelExcess() * side.moment();
    }

    /** Whether bottom bars stand the moments at the ends of the line with the hooks that they find room for there. */
    private boolean held(BarRegion r, List<BarFit.Layer> layers) {
        BeamLine.Span span = r.spans().get(0);
        return r.ends().stream()
                .allMatch(e -> strengths
                                .of(span, r.face(), hooked(span, layers, e.run()))
                                .phiMn()
                        >= e.moment());
    }

    /** The layers with the areas that hooks of the given run develop, and the compression bars there surely are. */
    private List<BarLayer> anchored(
            BarRegion r, BeamLine.Span span, List<BarFit.Layer> layers, int compression, Bar compressionBar) {
        List<BarLayer> out = hooked(span, layers, r.anchor());
        double start = basis.beamCover() + stirrup.diameter();
        out.add(new BarLayer(
                start + compressionBar.diameter() / 2, presentInCompression(r) + compression * compressionBar.area()));
        return out;
    }

    /** The layers with the areas that hooks of a run develop; all of them where bars run on. */
    private List<BarLayer> hooked(BeamLine.Span span, List<BarFit.Layer> layers, double run) {
        double h = span.shape().depth();
        List<BarLayer> out = new ArrayList<>();
        for (BarFit.Layer l : layers) {
            double share = Double.isInfinite(run)
                    ? 1
                    : Math.min(
                            1,
                            ANCHOR_MARGIN
                                    * run
                                    / code.detailing()
                                            .hookLength(l.bar(), span.material().fc(), basis.fy(), Trace.OFF));
            out.add(new BarLayer(h - l.offset(), share * l.count() * l.bar().area()));
        }
        return out;
    }
}
