package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.DoubleFunction;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/**
 * Spacers between layers: bars laid across the beam on which the bars of a further layer lie, in the clear spans, no farther apart than the basis says, each
 * between two stirrups. None where the basis asks for none.
 */
public final class LayerSpacers {
    /** Of the lengths of spacers, which find room between the legs of a stirrup [mm]. */
    private static final double MODULE = 5;

    private static final double ROUNDING = 1e-6;

    /** Diameters of a bar before its lap along which it is led aside, and some. */
    private static final double LED_ASIDE = 10;

    private final BeamLine line;
    private final BeamCage cage;
    private final Basis basis;
    private final List<BeamCage.Spacers> out = new ArrayList<>();
    private final Set<Integer> crowded = new TreeSet<>();

    private LayerSpacers(BeamLine line, BeamCage cage, Basis basis) {
        this.line = line;
        this.cage = cage;
        this.basis = basis;
    }

    public static List<BeamCage.Spacers> of(BeamLine line, BeamCage cage, Basis basis) {
        LayerSpacers s = new LayerSpacers(line, cage, basis);
        s.everywhere();
        return s.out;
    }

    /** Numbers of the spans in which stirrups leave no room for a spacer for longer than they may be apart. */
    public static Set<Integer> crowded(BeamLine line, BeamCage cage, Basis basis) {
        LayerSpacers s = new LayerSpacers(line, cage, basis);
        s.everywhere();
        return s.crowded;
    }

    private void everywhere() {
        for (BeamLine.Span span : basis.practice().spacersEvery() > 0 ? line.spans() : List.<BeamLine.Span>of()) {
            for (BeamCage.Face face : BeamCage.Face.values()) {
                for (int layer = 2; !groups(face, layer).isEmpty(); layer++) {
                    between(span, face, layer);
                }
            }
        }
    }

    private List<BeamCage.Group> groups(BeamCage.Face face, int layer) {
        return cage.groups().stream()
                .filter(g -> g.face() == face && g.layer() == layer)
                .toList();
    }

    /** One bar that spacers are cut from, and how far its middle lies from the face [mm]. */
    private record Lies(Bar bar, double level) {}

    private void between(BeamLine.Span span, BeamCage.Face face, int layer) {
        List<BeamCage.Group> over = groups(face, layer);
        List<BeamCage.Group> under = groups(face, layer - 1);
        Map<Lies, List<Double>> places = new LinkedHashMap<>();
        for (double[] stretch : clearOfSteps(face, span, clearOfLaps(stretches(over, span), under))) {
            List<Double> gaps = gaps(stretch[0], stretch[1], span, x -> lies(over, under, x));
            if (gaps.isEmpty() && stretch[1] - stretch[0] > basis.practice().spacersEvery()) {
                crowded.add(span.number());
            }
            for (double x : gaps.isEmpty() ? gaps : places(gaps)) {
                places.computeIfAbsent(lies(over, under, x), k -> new ArrayList<>())
                        .add(x);
            }
        }
        double length = length(span);
        if (length <= 0) {
            return; // a web that is all cover, which other checks tell
        }
        places.forEach(
                (l, at) -> out.add(new BeamCage.Spacers(span.number(), face, layer, l.bar(), l.level(), length, at)));
    }

    /** Between the legs of the largest stirrups of a span [mm]. */
    private double length(BeamLine.Span span) {
        double stirrup = cage.zones().stream()
                .filter(z -> z.span() == span.number())
                .mapToDouble(z -> z.bar().diameter())
                .max()
                .orElse(0);
        return Math.floor((span.shape().webWidth() - 2 * (basis.beamCover() + stirrup)) / MODULE) * MODULE;
    }

    /** On the innermost of the bars under it, against the outermost of those over it; null where one of the two is not there, or no bar is thin enough. */
    private Lies lies(List<BeamCage.Group> over, List<BeamCage.Group> under, double x) {
        double from = under.stream()
                .filter(g -> g.covers(x))
                .mapToDouble(g -> g.offset() + g.height() / 2)
                .max()
                .orElse(Double.NaN);
        double to = over.stream()
                .filter(g -> g.covers(x))
                .mapToDouble(g -> g.offset() - g.height() / 2)
                .min()
                .orElse(Double.NaN);
        Bar bar = LayerGap.filling(to - from, basis);
        return bar == null ? null : new Lies(bar, from + bar.diameter() / 2);
    }

    /** Where bars lie in a clear span, without gaps: {from, to} [mm]. */
    private static List<double[]> stretches(List<BeamCage.Group> over, BeamLine.Span span) {
        List<double[]> out = new ArrayList<>();
        over.stream().sorted(Comparator.comparingDouble(BeamCage.Group::from)).forEach(g -> {
            double from = Math.max(g.from(), span.faceFrom());
            double to = Math.min(g.to(), span.faceTo());
            double[] last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (from < to && last != null && from <= last[1]) {
                last[1] = Math.max(last[1], to);
            } else if (from < to) {
                out.add(new double[] {from, to});
            }
        });
        return out;
    }

    /** Without where bars of the layer beneath lap: the one that is led aside there lies in the gap. */
    private List<double[]> clearOfLaps(List<double[]> stretches, List<BeamCage.Group> under) {
        List<double[]> out = stretches;
        for (BeamCage.Group g : under) {
            for (Laps.Lap l : Laps.of(line, g, basis)) {
                out = without(
                        out,
                        l.from() - LED_ASIDE * g.bar().diameter(),
                        l.to() + g.bar().diameter());
            }
        }
        return out;
    }

    /** Without where bottom bars are led over a step of the soffit: they rise through the gap. */
    private List<double[]> clearOfSteps(BeamCage.Face face, BeamLine.Span span, List<double[]> stretches) {
        List<double[]> out = stretches;
        double bar = BeamCage.largest(cage.groups(), span, basis).diameter();
        for (double[] s : face == BeamCage.Face.BOTTOM ? SoffitStep.within(line, span) : List.<double[]>of()) {
            out = without(out, s[0] - bar, s[1] + bar);
        }
        return out;
    }

    private static List<double[]> without(List<double[]> stretches, double from, double to) {
        List<double[]> out = new ArrayList<>();
        for (double[] s : stretches) {
            if (to <= s[0] || from >= s[1]) {
                out.add(s);
                continue;
            }
            if (s[0] < from) {
                out.add(new double[] {s[0], from});
            }
            if (to < s[1]) {
                out.add(new double[] {to, s[1]});
            }
        }
        return out;
    }

    /** Evenly from the first gap between stirrups to the last one; where that leaves two too far apart, each as far from the one before as it may be. */
    private List<Double> places(List<Double> gaps) {
        double most = basis.practice().spacersEvery();
        double first = gaps.get(0);
        double all = gaps.get(gaps.size() - 1) - first;
        int steps = (int) Math.ceil(all / most - ROUNDING);
        List<Double> even = new ArrayList<>();
        for (int k = 0; k <= steps; k++) {
            double wanted = first + (steps == 0 ? 0 : k * all / steps);
            even.add(gaps.stream()
                    .min(Comparator.comparingDouble(x -> Math.abs(x - wanted)))
                    .orElseThrow());
        }
        for (int k = 1; k < even.size(); k++) {
            if (even.get(k) - even.get(k - 1) > most + ROUNDING) {
                return farApart(gaps, most);
            }
        }
        return even;
    }

    private static List<Double> farApart(List<Double> gaps, double most) {
        List<Double> out = new ArrayList<>();
        for (int i = 0; i < gaps.size(); i++) {
            boolean last = i == gaps.size() - 1;
            if (out.isEmpty() || last || gaps.get(i + 1) > out.get(out.size() - 1) + most) {
                out.add(gaps.get(i));
            }
        }
        return out;
    }

    /**
     * Where a spacer finds room: in the middles between stirrups, and between the ends of a stretch and the stirrup next to them, in more places where those are
     * farther apart than spacers may be.
     */
    private List<Double> gaps(double from, double to, BeamLine.Span span, DoubleFunction<Lies> lies) {
        List<double[]> taken = new ArrayList<>(List.of(new double[] {to, to}));
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() == span.number()) {
                double half = z.bar().diameter() / 2;
                StirrupPlaces.of(cage.zones(), z).stream()
                        .map(x -> new double[] {x - half, x + StirrupPlaces.beside(z) + half})
                        .filter(t -> t[1] > from && t[0] < to)
                        .forEach(taken::add);
            }
        }
        taken.sort(Comparator.comparingDouble(t -> t[0]));
        List<Double> out = new ArrayList<>();
        double begin = from;
        for (double[] next : taken) {
            double wide = next[0] - begin;
            int parts = (int) Math.ceil(wide / basis.practice().spacersEvery() - ROUNDING);
            for (int k = 0; k < parts; k++) {
                double x = begin + (k + 0.5) * wide / parts;
                Lies l = lies.apply(x);
                if (l != null && wide >= l.bar().diameter()) {
                    out.add(x);
                }
            }
            begin = Math.max(begin, next[1]);
        }
        return out;
    }
}
