package kolonne.core.beam.check;

import static kolonne.core.explain.Trace.in;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileFrame;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.section.FlexuralStrength;

/**
 * Shear of the spans of a ductile frame when their ends reach the strength of their bars, with the loads of the combinations with earthquake
 * on the span (ACI 318-19 18.4.2.3, 18.6.5.1). Without a combination with earthquake all combinations stand for them.
 */
final class CapacityShear {
    private final BeamLine line;
    private final BeamContext context;
    private final DuctileFrame rules;
    private final int[] combinations;
    private final Sway[] spans;
    /** Whether the concrete is lost in the hoops of a span; null until asked. */
    private final Boolean[] lost;

    /**
     * Shear from the end moments of a span, by sense of the sway [N].
     *
     * @param ends     strengths at left and right face, sagging and hogging, positive [Nmm]: left sagging, left hogging, right sagging, right hogging
     */
    private record Sway(double up, double down, double[] ends, double length) {
        double most() {
            return Math.max(up, down);
        }
    }

    private CapacityShear(BeamLine line, BeamCage cage, BeamContext context, DuctileFrame rules) {
        this.line = line;
        this.context = context;
        this.rules = rules;
        int[] with = IntStream.range(0, context.combinations())
                .filter(context::hasEarthquake)
                .toArray();
        combinations = with.length > 0
                ? with
                : IntStream.range(0, context.combinations()).toArray();
        BarsAt bars = new BarsAt(line, cage, context.basis());
        lost = new Boolean[line.spans().size()];
        spans = line.spans().stream()
                .map(s -> DuctileSpans.applies(line, s) ? sway(s, bars) : null)
                .toArray(Sway[]::new);
    }

    /** Of a line with its bars; empty where the basis asks for none or the line is no part of a frame. */
    static Optional<CapacityShear> of(BeamLine line, BeamCage cage, BeamContext context) {
        return DuctileSpans.rules(line, context.basis())
                .filter(r -> r.steelFactor() > 0)
                .map(r -> new CapacityShear(line, cage, context, r));
    }

    private Sway sway(BeamLine.Span s, BarsAt bars) {
        double[] ends = {
            end(s, s.faceFrom(), true, bars),
            end(s, s.faceFrom(), false, bars),
            end(s, s.faceTo(), true, bars),
            end(s, s.faceTo(), false, bars)
        };
        return new Sway((ends[1] + ends[2]) / s.clear(), (ends[0] + ends[3]) / s.clear(), ends, s.clear());
    }

    /** Moment of a face with its bars anchored in full, nothing reduced [Nmm]. */
    private double end(BeamLine.Span s, double x, boolean sagging, BarsAt bars) {
        Basis basis = context.basis();
        DesignCode code = basis.designCode();
        double inside = line.within(basis, x);
        return FlexuralStrength.of(
                        s.shape(),
                        sagging,
                        bars.layers(inside, s, sagging, true),
                        s.material().fc(),
                        rules.steelFactor() * basis.fy(),
                        code,
                        Trace.OFF)
                .Mn();
    }

    /** Shear of a combination at a station without that of the end moments [N]. */
    private double spanOnly(int station, int combination) {
        BeamLine.Station s = line.stations().get(station);
        List<BeamLine.Station> all = line.stations();
        int first = station;
        int last = station;
        while (first > 0 && all.get(first - 1).span() == s.span()) {
            first--;
        }
        while (last + 1 < all.size() && all.get(last + 1).span() == s.span()) {
            last++;
        }
        double length = all.get(last).x() - all.get(first).x();
        double ends = context.at(all.get(last), combination, Analysis.MY)
                - context.at(all.get(first), combination, Analysis.MY);
        return context.at(s, combination, Analysis.VZ) - (length > 0 ? ends / length : 0);
    }

    /** The largest shear by size at a place between stations [N]; 0 outside ductile spans. */
    double at(BeamShearCheck.Place p) {
        Sway sway = spans[p.span()];
        if (sway == null) {
            return 0;
        }
        double worst = sway.most();
        double limit = 0;
        for (int c : combinations) {
            double v = between(p, spanOnly(p.first(), c), spanOnly(p.second(), c));
            worst = Math.max(worst, Math.max(Math.abs(v + sway.up()), Math.abs(v - sway.down())));
            limit = Math.max(limit, between(p, magnified(p.first(), c), magnified(p.second(), c)));
        }
        return Double.isFinite(rules.earthquakeFactor()) ? Math.min(worst, limit) : worst;
    }

    private static double between(BeamShearCheck.Place p, double first, double second) {
        return first + p.share() * (second - first);
    }

    /** Shear of a combination with its earthquake magnified, either way round [N]. */
    private double magnified(int station, int combination) {
        if (!Double.isFinite(rules.earthquakeFactor())) {
            return 0;
        }
        BeamLine.Station s = line.stations().get(station);
        double v = context.at(s, combination, Analysis.VZ);
        double e = context.earthquakeShear(s, combination);
        return Math.max(Math.abs(v + (rules.earthquakeFactor() - 1) * e), Math.abs(v));
    }

    /** Whether the concrete carries no shear at a place: in the hoops, where the end moments make half of the shear there or more. */
    boolean withoutConcrete(double x, int span) {
        BeamLine.Span s = line.spans().get(span);
        if (spans[span] == null || !rules.concreteMayBeLost() || !DuctileSpans.inHoops(s, rules, x)) {
            return false;
        }
        if (lost[span] == null) {
            lost[span] = lost(s, span);
        }
        return lost[span];
    }

    private boolean lost(BeamLine.Span s, int span) {
        double most = 0;
        for (BeamLine.Station q : line.stations()) {
            if (q.span() == span && DuctileSpans.inHoops(s, rules, q.x())) {
                most = Math.max(most, at(new BeamShearCheck.Place(q.x(), span, q.number(), q.number(), 0)));
            }
        }
        return spans[span].most() >= 0.5 * most;
    }

    /** The shear at a station, step by step. */
    void explain(BeamLine.Station s, Trace t) {
        Sway w = spans[s.span()];
        if (w == null) {
            return;
        }
        t.say("Shear from the strength of the ends", rules.name(), rules.capacityShearClause());
        String m = rules.steelFactor() > 1 ? "Mpr" : "Mn";
        t.step(
                "Vsway",
                "(" + m + ",left + " + m + ",right) / ln",
                "({0} + {1}) / {2}, with " + rules.steelFactor() + " fy",
                w.most(),
                Quantity.FORCE,
                rules.capacityShearClause(),
                in(w.up() >= w.down() ? w.ends()[1] : w.ends()[0], Quantity.MOMENT),
                in(w.up() >= w.down() ? w.ends()[2] : w.ends()[3], Quantity.MOMENT),
                in(w.length(), Quantity.LENGTH));
        t.step(
                "Ve",
                Double.isFinite(rules.earthquakeFactor())
                        ? "Vsway with the span's loads, at most that of " + (int) rules.earthquakeFactor() + " E"
                        : "Vsway with the span's loads",
                "",
                at(new BeamShearCheck.Place(s.x(), s.span(), s.number(), s.number(), 0)),
                Quantity.FORCE,
                rules.capacityShearClause());
        if (withoutConcrete(s.x(), s.span())) {
            t.say("Vc = 0", "The end moments make half of the shear or more", rules.withoutConcreteClause());
        }
    }
}
