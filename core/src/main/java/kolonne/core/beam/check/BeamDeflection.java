package kolonne.core.beam.check;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.LineDemands;
import kolonne.core.code.Serviceability;
import kolonne.core.code.Steel;
import kolonne.core.demand.Demands;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.section.BarLayer;
import kolonne.core.section.CrackedSection;
import kolonne.core.shape.Shape;

/**
 * Deflections of the spans of a line by integrating the curvature M / (Ec Ie) twice. Ie is that of mid-span, of the support for
 * a cantilever (ACI 318-19 24.2.3.7), for the moment of the stage; between stations the moment is a parabola through the
 * shears, so that the integral is exact under spread load.
 */
final class BeamDeflection {
    private final BeamLine line;
    private final BeamContext context;
    private final BarsAt bars;
    private final Basis basis;
    private final Serviceability rules;

    /** A stage of loading: a combination, or only what of it is sustained. */
    private record Stage(Demands demands, int combination, boolean sustainedPart, double creep) {
        /** A component at a station, in the sense of the line. */
        double at(BeamLine.Station s, int component) {
            return LineDemands.turned(
                    s,
                    component,
                    sustainedPart
                            ? demands.sustainedPart(s.memberNumber(), s.station(), combination, component)
                            : demands.at(s.memberNumber(), s.station(), combination, component));
        }

        double displacement(int joint, int direction) {
            return demands.displacement(joint, combination, direction, sustainedPart);
        }
    }

    /** Deflected curve of a span with its end slopes, positive downwards and along the line. */
    private record Curve(double[] x, double[] w, double slopeFrom, double slopeTo) {}

    BeamDeflection(BeamLine line, BeamContext context, BarsAt bars) {
        this.line = line;
        this.context = context;
        this.bars = bars;
        this.basis = context.basis();
        this.rules = basis.designCode().serviceability();
    }

    /** Whether the model has the combinations that deflections need. */
    boolean known() {
        return context.service().count() > 0 && context.sustained().count() > 0;
    }

    /** Deflections of every span; empty where the model has no service combinations. */
    List<Deflections> all() {
        List<Deflections> out = new ArrayList<>();
        for (BeamLine.Span s : known() ? line.spans() : List.<BeamLine.Span>of()) {
            out.add(of(s));
        }
        return out;
    }

    private Deflections of(BeamLine.Span span) {
        int q = 0;
        Curve sustained = null;
        for (int c = 0; c < context.sustained().count(); c++) {
            Curve k = curve(span, sustained(c), Trace.OFF);
            if (sustained == null || most(k.w()) > most(sustained.w())) {
                sustained = k;
                q = c;
            }
        }
        double[] added = added(span, sustained, q, Trace.OFF);
        Deflections worst = null;
        for (int c = 0; c < context.service().count(); c++) {
            double[] all = curve(span, service(c), Trace.OFF).w();
            double[] dead = curve(span, dead(c), Trace.OFF).w();
            Deflections d = deflections(span, sustained, added, all, dead, c, q);
            worst = worst == null || d.mostLasting() > worst.mostLasting() ? d : worst;
        }
        return worst;
    }

    private Deflections deflections(
            BeamLine.Span span, Curve sustained, double[] added, double[] all, double[] dead, int service, int q) {
        List<Double> x = new ArrayList<>();
        List<Double> live = new ArrayList<>();
        List<Double> lasting = new ArrayList<>();
        int a = 0;
        int b = 0;
        double total = 0;
        for (int i = 0; i < all.length; i++) {
            x.add(sustained.x()[i]);
            live.add(all[i] - dead[i]);
            lasting.add(added[i] + live.get(i));
            total = Math.max(total, Math.abs(sustained.w()[i] + added[i]));
            a = Math.abs(live.get(i)) > Math.abs(live.get(a)) ? i : a;
            b = Math.abs(lasting.get(i)) > Math.abs(lasting.get(b)) ? i : b;
        }
        return new Deflections(span.number(), x, live, lasting, total, length(span), a, b, service, q);
    }

    /** What creep and shrinkage add to the immediate deflection under sustained load, at the stations [mm]. */
    private double[] added(BeamLine.Span span, Curve sustained, int q, Trace t) {
        int n = sustained.w().length;
        double[] out = new double[n];
        if (rules.creep() <= 0) {
            double factor = rules.longTermFactor(compressionRatio(span), t);
            for (int i = 0; i < n; i++) {
                out[i] = factor * sustained.w()[i];
            }
            return out;
        }
        double[] crept = curve(span, creeping(q), t).w();
        double shrunk = shrinkage(span, creeping(q), t);
        double most = most(crept);
        for (int i = 0; i < n; i++) {
            // shrinkage bows the span as load does: its largest deflection with the shape of the other
            out[i] = crept[i] - sustained.w()[i] + (most > 0 ? shrunk * crept[i] / most : 0);
        }
        return out;
    }

    /**
     * Deflection from the curvature of shrinkage, εcs αe S / I of the cracked section at the key place, over the span by the way it is held:
     * 1/8 simple, 0.086 at an end, 0.063 inside, 1/2 cantilever (uniform curvature of a span whose held ends have the opposite one).
     */
    private double shrinkage(BeamLine.Span span, Stage stage, Trace t) {
        BeamLine.Station key = key(span, stage);
        boolean sagging = stage.at(key, Analysis.MY) >= 0;
        double n = Steel.ES / span.material().E() * (1 + stage.creep());
        List<BarLayer> layers = bars.layers(key.x(), span, sagging, true);
        CrackedSection cracked = CrackedSection.of(span.shape(), sagging, layers, n);
        double first = layers.stream()
                .mapToDouble(l -> l.area() * (l.depth() - cracked.depth()))
                .sum();
        double curvature = rules.shrinkage() * n * Math.abs(first) / cracked.inertia();
        double held = switch (DeflectionCheck.ends(line, span)) {
            case SIMPLE -> 0.125;
            case ONE_END_CONTINUOUS -> 0.086;
            case BOTH_ENDS_CONTINUOUS -> 0.063;
            case CANTILEVER -> 0.5;
        };
        double w = held * curvature * length(span) * length(span);
        if (t.on()) {
            t.step(
                    "Δshrinkage",
                    "k εcs αe S / I l²",
                    "k = {0}, l = {1}",
                    w,
                    Quantity.DEFLECTION,
                    rules.shrinkageClause(),
                    in(held, Quantity.NUMBER),
                    in(length(span), Quantity.LENGTH));
        }
        return w;
    }

    private double length(BeamLine.Span s) {
        return line.cantilever(s.number()) ? s.clear() : s.to() - s.from();
    }

    private static double most(double[] w) {
        double m = 0;
        for (double v : w) {
            m = Math.max(m, Math.abs(v));
        }
        return m;
    }

    private Stage service(int c) {
        return new Stage(context.service(), c, false, 0);
    }

    private Stage dead(int c) {
        return new Stage(context.service(), c, true, 0);
    }

    private Stage sustained(int c) {
        return new Stage(context.sustained(), c, false, 0);
    }

    private Stage creeping(int c) {
        return new Stage(context.sustained(), c, false, rules.creep());
    }

    private List<BeamLine.Station> stations(BeamLine.Span span) {
        return line.stations().stream().filter(s -> s.span() == span.number()).toList();
    }

    // ---- stiffness
    // ------------------------------------------------------------------------------------------------------

    /** The station whose section gives Ie: the largest sagging moment of a span, the support of a cantilever. */
    private BeamLine.Station key(BeamLine.Span span, Stage stage) {
        List<BeamLine.Station> all = stations(span);
        if (line.cantilever(span.number())) {
            return line.supports().get(span.number()).kind() == BeamLine.SupportKind.FREE
                    ? all.get(all.size() - 1)
                    : all.get(0);
        }
        BeamLine.Station best = all.get(all.size() / 2);
        for (BeamLine.Station s : all) {
            best = stage.at(s, Analysis.MY) > stage.at(best, Analysis.MY) ? s : best;
        }
        return best;
    }

    private double effective(BeamLine.Span span, Stage stage, Trace t) {
        BeamLine.Station key = key(span, stage);
        double m = stage.at(key, Analysis.MY);
        boolean sagging = m >= 0;
        Shape shape = span.shape();
        double gross = shape.Iy();
        if (m == 0) {
            return gross;
        }
        double tensionFace = sagging ? shape.centroid() : shape.depth() - shape.centroid();
        double cracking = rules.rupture(span.material().fc()) * gross / tensionFace;
        List<BarLayer> layers = bars.layers(key.x(), span, sagging, true);
        double n = Steel.ES / span.material().E() * (1 + stage.creep());
        double cracked = CrackedSection.of(shape, sagging, layers, n).inertia();
        if (t.on()) {
            t.step(
                    "Mcr",
                    "fr Ig / yt",
                    "{0} × {1} / {2}",
                    cracking,
                    Quantity.MOMENT,
                    rules.immediateClause(),
                    in(rules.rupture(span.material().fc()), Quantity.STRESS),
                    in(gross, Quantity.SECOND_MOMENT),
                    in(tensionFace, Quantity.LENGTH));
            t.step(
                    "Icr",
                    "transformed cracked section",
                    "n = {0}",
                    cracked,
                    Quantity.SECOND_MOMENT,
                    rules.immediateClause(),
                    in(n, Quantity.NUMBER));
        }
        return rules.effectiveInertia(Math.abs(m), cracking, gross, cracked, t);
    }

    /** Compression steel over b d at mid-span, at the support of a cantilever (24.2.4.1.2). */
    private double compressionRatio(BeamLine.Span span) {
        boolean cantilever = line.cantilever(span.number());
        double x = key(span, sustained(0)).x();
        BeamCage.Face face = cantilever ? BeamCage.Face.BOTTOM : BeamCage.Face.TOP;
        BeamCage.Face other = cantilever ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM;
        return bars.areaAt(x, face) / (span.shape().webWidth() * bars.effectiveDepth(x, span, other));
    }

    // ---- integration
    // ----------------------------------------------------------------------------------------------------

    private Curve curve(BeamLine.Span span, Stage stage, Trace t) {
        double ei = span.material().E() / (1 + stage.creep()) * effective(span, stage, t);
        List<BeamLine.Station> all = stations(span);
        int n = all.size();
        boolean freeFrom = line.supports().get(span.number()).kind() == BeamLine.SupportKind.FREE;
        boolean freeTo = line.supports().get(span.number() + 1).kind() == BeamLine.SupportKind.FREE;
        double[] x = new double[n];
        double[] slope = new double[n];
        double[] w = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = all.get(i).x();
            if (i > 0) {
                step(all.get(i - 1), all.get(i), stage, ei, slope, w, i);
            }
        }
        // a rotation and a shift of the whole make the ends meet their conditions
        double turn;
        double shift;
        if (freeTo && !freeFrom) {
            turn = supportSlope(span, true, stage);
            shift = 0;
        } else if (freeFrom && !freeTo) {
            turn = supportSlope(span, false, stage) - slope[n - 1];
            shift = -w[n - 1] - turn * (x[n - 1] - x[0]);
        } else {
            // against the chord between the middles of the supports, which turn with the ends of the beam as stiff
            // joints
            double before = freeFrom ? 0 : Math.max(0, x[0] - span.from());
            double after = freeTo ? 0 : Math.max(0, span.to() - x[n - 1]);
            turn = -(w[n - 1] + slope[n - 1] * after) / (before + x[n - 1] - x[0] + after);
            shift = turn * before;
        }
        for (int i = 0; i < n; i++) {
            w[i] += shift + turn * (x[i] - x[0]);
        }
        return new Curve(x, w, turn, slope[n - 1] + turn);
    }

    /** w'' = −M / EI from one station to the next, with the moment a parabola through both moments and shears. */
    private static void step(
            BeamLine.Station a, BeamLine.Station b, Stage stage, double ei, double[] slope, double[] w, int i) {
        double h = b.x() - a.x();
        double m0 = stage.at(a, Analysis.MY);
        double m1 = stage.at(b, Analysis.MY);
        double middle = (m0 + m1) / 2 + (stage.at(a, Analysis.VZ) - stage.at(b, Analysis.VZ)) * h / 8;
        slope[i] = slope[i - 1] - h * (m0 + 4 * middle + m1) / 6 / ei;
        // ∫∫ of the parabola: h² (m0 + 2 m½) / 6
        w[i] = w[i - 1] + slope[i - 1] * h - h * h * (m0 + 2 * middle) / 6 / ei;
    }

    /** Slope at the support of a cantilever: that of the span behind it, else that of the frame's joint. */
    private double supportSlope(BeamLine.Span cantilever, boolean behindLeft, Stage stage) {
        int other = cantilever.number() + (behindLeft ? -1 : 1);
        if (other >= 0 && other < line.spans().size() && !line.cantilever(other)) {
            Curve c = curve(line.spans().get(other), stage, Trace.OFF);
            return behindLeft ? c.slopeTo() : c.slopeFrom();
        }
        return jointSlope(
                cantilever,
                line.supports().get(cantilever.number() + (behindLeft ? 0 : 1)).joint(),
                stage);
    }

    /** How much the line slopes down, along it, at a joint of the frame: the joint's rotation about the horizontal axis across. */
    private double jointSlope(BeamLine.Span span, String joint, Stage stage) {
        Member first = span.members().get(0);
        Joint i = context.index().joint(first.start());
        Joint j = context.index().joint(first.end());
        double length = Math.hypot(j.x() - i.x(), j.y() - i.y());
        BeamLine.Station s = stations(span).get(0);
        double sense = s.reversed() ? -1 : 1;
        double ux = sense * (j.x() - i.x()) / length;
        double uy = sense * (j.y() - i.y()) / length;
        int k = context.index().jointNumber(joint);
        return -(stage.displacement(k, 3) * uy - stage.displacement(k, 4) * ux);
    }

    // ---- calculation
    // ----------------------------------------------------------------------------------------------------

    /** The calculation of a span's deflections, for the combinations that decide. */
    void explain(BeamLine.Span span, Trace t) {
        Deflections d = of(span);
        t.say(
                "Deflection, span " + (span.number() + 1),
                context.service().combination(d.service()).name() + "; sustained "
                        + context.sustained().combination(d.sustained()).name(),
                rules.limitClause());
        double[] all = curve(span, service(d.service()), t).w();
        double[] dead = curve(span, dead(d.service()), t).w();
        double[] sustained = curve(span, sustained(d.sustained()), t).w();
        int a = d.liveAt();
        t.step(
                "Δlive",
                "Δ(D + L) − Δ(D), each with its Ie",
                "{0} − {1}",
                all[a] - dead[a],
                Quantity.DEFLECTION,
                rules.immediateClause(),
                in(all[a], Quantity.DEFLECTION),
                in(dead[a], Quantity.DEFLECTION));
        double[] added = added(span, new Curve(new double[0], sustained, 0, 0), d.sustained(), t);
        int b = d.lastingAt();
        t.step(
                "Δlasting",
                "Δcreep and shrinkage + Δlive",
                "{0} + {1}",
                d.lasting().get(b),
                Quantity.DEFLECTION,
                rules.longTermClause(),
                in(added[b], Quantity.DEFLECTION),
                in(d.live().get(b), Quantity.DEFLECTION));
    }
}
