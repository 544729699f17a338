package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HeldBars;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;

/**
 * Stretches of a span where bars in compression are needed for the strength: there stirrups hold them as ties hold the bars of a column
 * (ACI 318-19 9.7.6.4, EN 1992-1-1 9.2.1.2(3)). Of many bars in a wide web only so many need to be held as the strength counts on.
 */
final class CompressionBars implements StirrupLimits {
    /** Depth of the block over d up to which sections are surely tension-controlled. */
    private static final double DUCTILE = 0.25;

    private static final double ROUNDING = 1e-6;

    private final BeamLine line;
    private final BeamLine.Span span;
    private final List<BeamCage.Group> groups;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final List<Stretch> stretches = new ArrayList<>();

    /** Where bars of a face are needed in compression. @param x station in it; @param needed how many of them, at least */
    private record Stretch(
            double from,
            double to,
            double x,
            BeamCage.Face face,
            Bar thinnest,
            Bar thickest,
            boolean bundled,
            int needed) {}

    private CompressionBars(BeamLine line, BeamLine.Span span, BarsAt bars, BeamContext context) {
        this.line = line;
        this.span = span;
        this.groups = bars.cage().groups();
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        find(bars);
    }

    /** Of a span with its main bars; empty where none are needed in compression. */
    static Optional<CompressionBars> of(BeamLine line, BeamLine.Span span, BarsAt bars, BeamContext context) {
        CompressionBars c = new CompressionBars(line, span, bars, context);
        return c.stretches.isEmpty() ? Optional.empty() : Optional.of(c);
    }

    private void find(BarsAt bars) {
        Map<List<Object>, double[]> memo = new HashMap<>();
        List<BeamLine.Station> all =
                line.stations().stream().filter(s -> s.span() == span.number()).toList();
        for (int i = 0; i < all.size(); i++) {
            BeamLine.Station s = all.get(i);
            double[] demands = demands(s);
            for (int side = 0; side < 2; side++) {
                boolean sagging = side == 0;
                double demand = demands[side];
                double depth = demand > span.negligibleMoment() ? neededTo(bars, s, sagging, demand, memo) : 0;
                if (depth > 0) {
                    BeamCage.Face face = sagging ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM;
                    double from = all.get(Math.max(0, i - 1)).x();
                    double to = all.get(Math.min(all.size() - 1, i + 1)).x();
                    List<BeamCage.Group> there = above(s.x(), face, depth);
                    if (!there.isEmpty()) {
                        stretches.add(new Stretch(
                                from,
                                to,
                                s.x(),
                                face,
                                there.get(0).bar(),
                                there.get(there.size() - 1).bar(),
                                there.stream().anyMatch(BeamCage.Group::pairs),
                                count(bars, s, sagging, demand, depth)));
                    }
                }
            }
        }
    }

    /** Largest sagging and hogging moment at a station, by size [Nmm]. */
    private double[] demands(BeamLine.Station s) {
        double[] most = new double[2];
        for (int c = 0; c < context.combinations(); c++) {
            double m = context.at(s, c, Analysis.MY);
            most[0] = Math.max(most[0], m);
            most[1] = Math.max(most[1], -m);
        }
        return most;
    }

    /**
     * Depth of the neutral axis at the strength where the section carries a moment only with the bars above it, in compression; 0 where it carries
     * the moment without them, or where all bars are in tension.
     */
    private double neededTo(
            BarsAt bars, BeamLine.Station s, boolean sagging, double demand, Map<List<Object>, double[]> memo) {
        double h = span.shape().depth();
        List<BarLayer> all = bars.layers(s.x(), span, sagging);
        if (demand <= surely(all.stream().filter(l -> l.depth() > h / 2).toList())) {
            return 0;
        }
        double[] known = memo.computeIfAbsent(List.of(sagging, all), k -> withAndWithout(all, sagging));
        return demand > known[1] * (1 + ROUNDING) ? known[0] : 0;
    }

    /** Neutral axis with all bars, 0 where none lies above it [mm]; and the strength without those above it [Nmm]. */
    private double[] withAndWithout(List<BarLayer> all, boolean sagging) {
        double c = FlexuralStrength.of(
                        span.shape(), sagging, all, span.material().fc(), basis.fy(), code, Trace.OFF)
                .c();
        List<BarLayer> tension = all.stream().filter(l -> l.depth() >= c).toList();
        double alone = FlexuralStrength.of(
                        span.shape(), sagging, tension, span.material().fc(), basis.fy(), code, Trace.OFF)
                .phiMn();
        return new double[] {tension.size() < all.size() ? c : 0, alone};
    }

    /** How many of the bars above the neutral axis the strength counts on. */
    private int count(BarsAt bars, BeamLine.Station s, boolean sagging, double demand, double depth) {
        List<BarLayer> all = bars.layers(s.x(), span, sagging);
        BeamCage.Face face = sagging ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM;
        int there = above(s.x(), face, depth).stream()
                .mapToInt(BeamCage.Group::count)
                .sum();
        for (int n = 1; n < there; n++) {
            double part = (double) n / there;
            List<BarLayer> some = all.stream()
                    .map(l -> l.depth() < depth ? new BarLayer(l.depth(), part * l.area()) : l)
                    .toList();
            if (FlexuralStrength.of(span.shape(), sagging, some, span.material().fc(), basis.fy(), code, Trace.OFF)
                            .phiMn()
                    >= demand) {
                return n;
            }
        }
        return there;
    }

    /** Legs that hold as many bars as are needed: one each, or by the rule for all bars of the layer where that takes fewer. */
    private int legs(Stretch s, Bar stirrup) {
        return Math.min(HeldBars.legs(span, groups, s.face(), s.x(), stirrup, basis), Math.max(2, s.needed()));
    }

    /** A moment that bars in tension carry alone, by the block in the web only; 0 where that is not sure. */
    private double surely(List<BarLayer> tension) {
        Shape s = span.shape();
        double as = 0;
        double moment = 0;
        for (BarLayer l : tension) {
            as += l.area();
            moment += l.area() * l.depth();
        }
        double d = as > 0 ? moment / as : 0;
        double force = as * code.designSteel(basis.fy());
        double a = force / (code.block(span.material().fc()).stress() * s.webWidth());
        return a <= DUCTILE * d ? code.reduction(1, basis.fy() / 200_000) * force * (d - a / 2) : 0;
    }

    /** Bars of a face above the neutral axis, the thinnest first. */
    private List<BeamCage.Group> above(double x, BeamCage.Face face, double depth) {
        return groups.stream()
                .filter(g -> g.face() == face && g.offset() < depth && x >= g.from() - 1 && x <= g.to() + 1)
                .sorted(Comparator.comparingDouble(g -> g.bar().diameter()))
                .toList();
    }

    private double limit(Stretch s, Bar stirrup) {
        return code.compressionTieSpacing(
                s.thinnest(),
                stirrup,
                Math.min(span.shape().webWidth(), span.shape().depth()));
    }

    @Override
    public double spacing(double from, double to, double d, Bar stirrup) {
        double out = Double.POSITIVE_INFINITY;
        for (Stretch s : stretches) {
            if (from < s.to() - 1e-6 && to > s.from() + 1e-6) {
                out = Math.min(out, limit(s, stirrup));
            }
        }
        return out;
    }

    @Override
    public int legs(Bar stirrup) {
        return code.compressionBarsHeld()
                ? stretches.stream().mapToInt(s -> legs(s, stirrup)).max().orElse(2)
                : 2;
    }

    @Override
    public boolean allows(Bar stirrup) {
        return !code.compressionBarsHeld()
                || stretches.stream()
                        .allMatch(s -> stirrup.diameter() >= code.compressionStirrup(s.thickest(), s.bundled()) - 0.05);
    }

    /** Stirrups of a cage against what its bars in compression ask for. */
    void check(BeamCage cage, Governing governing) {
        for (Stretch s : stretches) {
            for (BeamCage.Zone z : cage.zones()) {
                if (z.span() != span.number() || z.to() <= s.from() + 1e-6 || z.from() >= s.to() - 1e-6) {
                    continue;
                }
                governing.offer(
                        CheckKind.COMPRESSION_SPACING,
                        z.spacing(),
                        limit(s, z.bar()),
                        At.place(s.x(), span.number()),
                        code.compressionTieClause());
                if (code.compressionBarsHeld()) {
                    governing.offer(
                            CheckKind.COMPRESSION_LEGS,
                            legs(s, z.bar()),
                            z.legs(),
                            At.place(s.x(), span.number()),
                            code.compressionTieClause());
                    governing.offer(
                            CheckKind.COMPRESSION_STIRRUP,
                            code.compressionStirrup(s.thickest(), s.bundled()),
                            z.bar().diameter() + 0.05,
                            At.place(s.x(), span.number()),
                            code.compressionTieClause());
                }
            }
        }
    }
}
