package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileFrame;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Clause;

/**
 * Shear at every station and where the stirrups change. Near a column that supports the line from below, sections nearer
 * than d to its face are designed for the shear at d, unless a load stands in between (ACI 318-19 9.4.3.2).
 */
public final class BeamShearCheck {
    /** In place of a combination. */
    static final String CAPACITY = "strength of the ends";
    /** How far from the end of a zone both sides of it are looked at [mm]. */
    private static final double PAST = 1e-3;

    /** Shear strength at a place of a span. */
    public interface Strength {
        ShearStrength at(double x, BeamLine.Span span);
    }

    private final BeamLine line;
    private final BeamContext context;
    private final Governing governing;
    private final Strength strength;
    private final DesignCode code;
    private final List<Demand> demands;

    BeamShearCheck(
            BeamLine line,
            BeamCage cage,
            BeamContext context,
            double[] torques,
            Governing governing,
            Strength strength) {
        this.line = line;
        this.context = context;
        this.governing = governing;
        this.strength = strength;
        this.code = context.basis().designCode();
        this.demands = demands(line, context, torques, cage, places(line, context, cage.zones()));
    }

    /** Checks every demand of the line and returns them. */
    List<Demand> run() {
        Clause clause = DuctileSpans.rules(line, context.basis())
                .map(DuctileFrame::capacityShearClause)
                .orElse(Clause.NONE);
        for (Demand d : demands) {
            BeamLine.Span span = line.spans().get(d.span());
            ShearStrength s = strength.at(d.x(), span);
            governing.offer(
                    CheckKind.SHEAR,
                    d.v(),
                    s.total(),
                    At.station(d.x(), d.span(), d.station()).under(context.combinationName(d.combination())),
                    code.shearClause());
            governing.offer(
                    CheckKind.SHEAR_LIMIT,
                    d.v(),
                    s.limit(),
                    At.station(d.x(), d.span(), d.station()).under(context.combinationName(d.combination())),
                    code.shearLimitClause());
            if (d.capacity() > 0) {
                governing.offer(
                        CheckKind.SHEAR_LIMIT,
                        d.capacity(),
                        s.limit() - (d.withoutConcrete() ? s.concrete() : 0),
                        At.station(d.x(), d.span(), d.station()).under(CAPACITY),
                        code.shearLimitClause());
                governing.offer(
                        CheckKind.CAPACITY_SHEAR,
                        d.capacity(),
                        s.total() - (d.withoutConcrete() ? s.concrete() : 0),
                        At.station(d.x(), d.span(), d.station()).under(CAPACITY),
                        clause);
            }
        }
        return demands;
    }

    /**
     * The largest shear by size that a place must carry.
     *
     * @param station   whose calculation shows it
     * @param torsional every combination with torsion, if it counts at the place: shear and torque by size [N, Nmm]
     * @param capacity  shear that comes with the strength of the span's ends in a ductile frame, else 0 [N]
     * @param withoutConcrete whether stirrups alone must carry that
     */
    public record Demand(
            double x,
            int span,
            double v,
            int combination,
            int station,
            List<Pair> torsional,
            double capacity,
            boolean withoutConcrete) {
        public double most() {
            return Math.max(v, capacity);
        }

        /** What stirrups must carry of it. @param concrete design strength of the concrete [N] */
        public double stirrups(double concrete) {
            return Math.max(v - concrete, capacity - (withoutConcrete ? 0 : concrete));
        }

        /** Legs that the place needs, without the code's minimum; infinite past the limit of the concrete [mm2/mm]. */
        public double steel(ShearInput in, DesignCode code) {
            double together = code.shearSteel(in, withoutConcrete ? v : most());
            return withoutConcrete ? Math.max(together, code.shearSteelWithoutConcrete(in, capacity)) : together;
        }

        /** Legs that the shear of a pair needs beside its torque [mm2/mm]. */
        public double besideTorsion(Pair p, ShearInput in, DesignCode code) {
            return withoutConcrete
                    ? code.shearSteelWithoutConcrete(in, p.v())
                    : code.shearSteelBesideTorsion(in, p.v());
        }

        Demand with(double shear, boolean stirrupsAlone) {
            List<Pair> pairs = torsional.stream()
                    .map(p -> new Pair(Math.max(p.v(), shear), p.t(), p.combination()))
                    .toList();
            return new Demand(x, span, v, combination, station, pairs, shear, stirrupsAlone);
        }
    }

    /** Shear and torque by size that act together. */
    public record Pair(double v, double t, int combination) {}

    /** A place between two stations, {@code share} of the way from the first to the second. */
    record Place(double x, int span, int first, int second, double share) {}

    /** The same with the shear that comes with the strength of a cage's bars, where the frame is ductile. */
    public static List<Demand> demands(BeamLine line, BeamContext context, double[] torques, BeamCage cage) {
        return demands(line, context, torques, cage, places(line, context, List.of()));
    }

    private static List<Demand> demands(
            BeamLine line, BeamContext context, double[] torques, BeamCage cage, List<Place> places) {
        List<Demand> out = new ArrayList<>(demands(line, context, torques, places));
        CapacityShear.of(line, cage, context).ifPresent(c -> {
            for (int i = 0; i < places.size(); i++) {
                Place p = atFace(line, places, i);
                out.set(i, out.get(i).with(c.at(p), c.withoutConcrete(out.get(i).x(), p.span())));
            }
        });
        return out;
    }

    /** The first and last places of a span stand for its faces: the moments of the ends act there. */
    private static Place atFace(BeamLine line, List<Place> places, int i) {
        Place p = places.get(i);
        boolean first = i == 0 || places.get(i - 1).span() != p.span();
        boolean last = i == places.size() - 1 || places.get(i + 1).span() != p.span();
        int station = first ? firstOf(line.stations(), p.span()) : last ? lastOf(line.stations(), p.span()) : -1;
        return station < 0 ? p : new Place(line.stations().get(station).x(), p.span(), station, station, 0);
    }

    /** Design shears along the line, in order of place; sections nearer than d to a column's face are left out. */
    public static List<Demand> demands(BeamLine line, BeamContext context, double[] torques) {
        return demands(line, context, torques, places(line, context, List.of()));
    }

    private static List<Demand> demands(BeamLine line, BeamContext context, double[] torques, List<Place> places) {
        List<BeamTorsion> torsion = line.spans().stream()
                .map(s -> new BeamTorsion(
                        line,
                        s,
                        context.basis(),
                        torques,
                        context.basis().smallestStirrup(),
                        BeamTorsion.largest(context.basis()),
                        0))
                .toList();
        return places.stream()
                .map(p -> at(context, line.stations(), p, torsion.get(p.span())))
                .toList();
    }

    /** In order. @param zones at whose ends the shear is looked at as well */
    private static List<Place> places(BeamLine line, BeamContext context, List<BeamCage.Zone> zones) {
        List<Place> out = new ArrayList<>();
        List<BeamLine.Station> st = line.stations();
        for (BeamLine.Span span : line.spans()) {
            double d = 0.9 * span.shape().depth() - context.basis().beamCover();
            int first = firstOf(st, span.number());
            int last = lastOf(st, span.number());
            double from = critical(line, span, true, d, st, first, last);
            double to = critical(line, span, false, d, st, first, last);
            double[] ends = ends(
                    zones,
                    span.number(),
                    Math.max(from, st.get(first).x()),
                    Math.min(to, st.get(last).x()));
            int next = 0;
            for (int i = first; i <= last; i++) {
                double x = st.get(i).x();
                for (; next < ends.length && ends[next] < x; next++) {
                    double before = st.get(i - 1).x();
                    out.add(new Place(ends[next], span.number(), i - 1, i, (ends[next] - before) / (x - before)));
                }
                if (x >= from - 1e-6 && x <= to + 1e-6) {
                    out.add(new Place(x, span.number(), i, i, 0));
                } else if (i < last && x < from && st.get(i + 1).x() > from) {
                    out.add(new Place(
                            from,
                            span.number(),
                            i,
                            i + 1,
                            (from - x) / (st.get(i + 1).x() - x)));
                }
                if (i > first && x > to && st.get(i - 1).x() < to) {
                    double before = st.get(i - 1).x();
                    out.add(new Place(to, span.number(), i - 1, i, (to - before) / (x - before)));
                }
            }
        }
        return out;
    }

    /** Between two places of a span, in order, where one zone ends and another begins: on the side that bears less, on both where that is not plain. */
    private static double[] ends(List<BeamCage.Zone> zones, int span, double from, double to) {
        List<BeamCage.Zone> own = zones.stream()
                .filter(z -> z.span() == span)
                .sorted(Comparator.comparingDouble(BeamCage.Zone::from))
                .toList();
        DoubleStream.Builder out = DoubleStream.builder();
        for (int i = 0; i + 1 < own.size(); i++) {
            BeamCage.Zone z = own.get(i);
            BeamCage.Zone next = own.get(i + 1);
            boolean alike = z.bar().equals(next.bar()) && z.legs() == next.legs();
            boolean between = z.to() - PAST > from && z.to() + PAST < to;
            if (between && (!alike || z.spacing() >= next.spacing())) {
                out.add(z.to() - PAST);
            }
            if (between && (!alike || z.spacing() < next.spacing())) {
                out.add(z.to() + PAST);
            }
        }
        return out.build().toArray();
    }

    /** Where the design for shear begins: d from a column's face if the shear varies smoothly until there. */
    private static double critical(
            BeamLine line, BeamLine.Span span, boolean left, double d, List<BeamLine.Station> st, int first, int last) {
        BeamLine.Support s = line.supports().get(left ? span.number() : span.number() + 1);
        double face = left ? span.faceFrom() : span.faceTo();
        double at = left ? face + d : face - d;
        if (s.kind() != BeamLine.SupportKind.COLUMN || span.clear() < 3 * d) {
            return face;
        }
        for (int i = first; i < last; i++) {
            boolean loadBetween = st.get(i + 1).x() - st.get(i).x() < 1
                    || st.get(i).memberNumber() != st.get(i + 1).memberNumber();
            double x = st.get(i).x();
            if (loadBetween && (left ? x < at : x > at)) {
                return face;
            }
        }
        return at;
    }

    private static Demand at(BeamContext context, List<BeamLine.Station> st, Place p, BeamTorsion torsion) {
        double worst = -1;
        int combination = 0;
        List<Pair> pairs = new ArrayList<>();
        boolean counts = torsion.counts() && torsion.countsAt(p.x());
        for (int c = 0; c < context.combinations(); c++) {
            double v = Math.abs(value(context, st, p, c, Analysis.VZ));
            if (v > worst) {
                worst = v;
                combination = c;
            }
            if (counts) {
                pairs.add(new Pair(v, Math.abs(value(context, st, p, c, Analysis.T)), c));
            }
        }
        return new Demand(p.x(), p.span(), worst, combination, p.first(), pairs, 0, false);
    }

    private static double value(
            BeamContext context, List<BeamLine.Station> st, Place p, int combination, int component) {
        double v = context.at(st.get(p.first()), combination, component);
        return p.first() == p.second()
                ? v
                : v + p.share() * (context.at(st.get(p.second()), combination, component) - v);
    }

    private static int firstOf(List<BeamLine.Station> st, int span) {
        int i = 0;
        while (st.get(i).span() != span) {
            i++;
        }
        return i;
    }

    private static int lastOf(List<BeamLine.Station> st, int span) {
        int i = st.size() - 1;
        while (st.get(i).span() != span) {
            i--;
        }
        return i;
    }
}
