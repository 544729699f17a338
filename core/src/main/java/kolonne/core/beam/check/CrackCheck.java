package kolonne.core.beam.check;

import java.util.List;
import java.util.Optional;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.CrackWidth;
import kolonne.core.code.Steel;
import kolonne.core.demand.Demands;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.section.BarLayer;
import kolonne.core.section.CrackedSection;
import kolonne.core.shape.Shape;

/** Width of cracks under quasi-permanent load and stresses under characteristic load, for codes that compute them. */
public final class CrackCheck {
    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final BarsAt bars;
    private final Governing governing;
    private final Basis basis;
    private final CrackWidth rules;

    public CrackCheck(
            BeamLine line, BeamCage cage, BeamContext context, BarsAt bars, Governing governing, CrackWidth rules) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.bars = bars;
        this.governing = governing;
        this.basis = context.basis();
        this.rules = rules;
    }

    void run() {
        for (int i = 0; i < line.stations().size(); i++) {
            for (boolean sagging : new boolean[] {true, false}) {
                width(i, sagging);
                stresses(i, sagging);
            }
        }
    }

    /** Where concrete is stressed so high under quasi-permanent load that it creeps more than in proportion; empty where it is not. */
    Optional<Finding> creep() {
        double most = 1;
        BeamLine.Station at = null;
        for (BeamLine.Station s : line.stations()) {
            BeamLine.Span span = line.spans().get(s.span());
            for (boolean sagging : new boolean[] {true, false}) {
                Moment m = largest(context.sustained(), s, sagging);
                List<BarLayer> layers = bars.layers(line.within(basis, s.x()), span, sagging, true);
                if (m.m() > span.negligibleMoment() && !layers.isEmpty()) {
                    CrackedSection section = CrackedSection.of(
                            span.shape(),
                            sagging,
                            layers,
                            Steel.ES / span.material().E());
                    double use = m.m()
                            * section.depth()
                            / section.inertia()
                            / rules.linearCreep(span.material().fc());
                    at = use > most ? s : at;
                    most = Math.max(most, use);
                }
            }
        }
        if (at == null) {
            return Optional.empty();
        }
        double limit = rules.linearCreep(line.spans().get(at.span()).material().fc());
        return Optional.of(Finding.note(
                "creep.nonlinear",
                line.mark() + ", " + Places.of(line, at.x(), at.span(), context),
                "Concrete reaches "
                        + Quantity.STRESS.text(most * limit, basis.usUnits())
                        + " under quasi-permanent load, above the " + Quantity.STRESS.text(limit, basis.usUnits())
                        + " to which creep is linear (" + rules.linearCreepClause()
                        + "): deflection and cracks are computed with linear creep.",
                "Make the section deeper, use stronger concrete, or raise the creep coefficient."));
    }

    /** The larger use of crack width and of steel stress at every station, for the choice of bars. */
    public double[] uses(boolean sagging) {
        double[] out = new double[line.stations().size()];
        for (int i = 0; i < out.length; i++) {
            BeamLine.Station s = line.stations().get(i);
            BeamLine.Span span = line.spans().get(s.span());
            Moment m = largest(context.sustained(), s, sagging);
            CrackWidth.Cracked c = m.m() <= span.negligibleMoment() ? null : cracked(s, span, sagging, m.m());
            Moment all = largest(context.service(), s, sagging);
            double stress = c == null || m.m() <= 0 ? 0 : c.stress() * all.m() / m.m() / rules.steelStress(basis.fy());
            out[i] = c == null ? 0 : Math.max(rules.width(c, Trace.OFF) / rules.limit(), stress);
        }
        return out;
    }

    /** Largest moment of a face over some combinations [Nmm] and its combination; -1 for none. */
    private record Moment(double m, int combination) {}

    private Moment largest(Demands d, BeamLine.Station s, boolean sagging) {
        double m = 0;
        int best = -1;
        for (int c = 0; c < d.count(); c++) {
            double v = d.at(s.memberNumber(), s.station(), c, Analysis.MY) * (sagging ? 1 : -1);
            if (v > m) {
                m = v;
                best = c;
            }
        }
        return new Moment(m, best);
    }

    private void width(int i, boolean sagging) {
        BeamLine.Station s = line.stations().get(i);
        BeamLine.Span span = line.spans().get(s.span());
        Moment m = largest(context.sustained(), s, sagging);
        CrackWidth.Cracked c = m.m() <= span.negligibleMoment() ? null : cracked(s, span, sagging, m.m());
        if (c != null) {
            double w = rules.width(c, Trace.OFF);
            governing.offer(
                    CheckKind.CRACK_WIDTH.of(sagging),
                    w,
                    rules.limit(),
                    w / rules.limit(),
                    at(i, context.sustained().combination(m.combination()).name()),
                    rules.clause());
        }
    }

    private At at(int station, String combination) {
        BeamLine.Station s = line.stations().get(station);
        return At.station(s.x(), s.span(), station).under(combination);
    }

    /** The cracked section with creep; null where no bars are in tension. */
    CrackWidth.Cracked cracked(BeamLine.Station s, BeamLine.Span span, boolean sagging, double moment) {
        BeamCage.Face face = BeamCage.Face.tension(sagging);
        double x = line.within(basis, s.x());
        List<BarLayer> layers = bars.layers(x, span, sagging, true);
        double as = bars.areaAt(x, face);
        if (as <= 0) {
            return null;
        }
        Shape shape = span.shape();
        double n = Steel.ES / span.material().E() * (1 + rules.creep());
        CrackedSection section = CrackedSection.of(shape, sagging, layers, n);
        double deepest = layers.stream().mapToDouble(BarLayer::depth).max().orElse(0);
        double stress = n * moment * (deepest - section.depth()) / section.inertia();
        double d = bars.effectiveDepth(x, span, face);
        BeamCage.Zone zone = cage.zoneAt(span.number(), s.x());
        double cover = basis.beamCover() + (zone == null ? 0 : zone.bar().diameter());
        double squares = 0;
        double sum = 0;
        for (BeamCage.Group g : cage.groups()) {
            if (g.face() == face && g.covers(x)) {
                // a pair counts as one bar as large as both (8.9.1(2))
                double units = g.pairs() ? g.count() / 2.0 : g.count();
                squares += units * g.spacingDiameter() * g.spacingDiameter();
                sum += units * g.spacingDiameter();
            }
        }
        double diameter = squares / sum; // (7.12)
        double spacing = FaceLayout.of(cage, span, face, x, basis).widest(1);
        return new CrackWidth.Cracked(
                shape.depth(),
                d,
                section.depth(),
                shape.webWidth(),
                as,
                diameter,
                cover,
                spacing,
                stress,
                span.material().fc(),
                CrackWidth.BENT);
    }

    private void stresses(int i, boolean sagging) {
        BeamLine.Station s = line.stations().get(i);
        BeamLine.Span span = line.spans().get(s.span());
        Moment m = largest(context.service(), s, sagging);
        double x = line.within(basis, s.x());
        if (m.m() <= span.negligibleMoment() || bars.areaAt(x, BeamCage.Face.tension(sagging)) <= 0) {
            return;
        }
        List<BarLayer> layers = bars.layers(x, span, sagging, true);
        double deepest = layers.stream().mapToDouble(BarLayer::depth).max().orElse(0);
        double n = Steel.ES / span.material().E();
        CrackedSection early = CrackedSection.of(span.shape(), sagging, layers, n);
        CrackedSection late = CrackedSection.of(span.shape(), sagging, layers, n * (1 + rules.creep()));
        String combination = context.service().combination(m.combination()).name();
        double steel = n * (1 + rules.creep()) * m.m() * (deepest - late.depth()) / late.inertia();
        governing.offer(
                CheckKind.STEEL_STRESS,
                steel,
                rules.steelStress(basis.fy()),
                steel / rules.steelStress(basis.fy()),
                at(i, combination),
                rules.stressClause());
        if (Double.isInfinite(rules.concreteStress(span.material().fc()))) {
            return;
        }
        double stress = m.m() * early.depth() / early.inertia();
        double most = rules.concreteStress(span.material().fc());
        governing.offer(
                CheckKind.CONCRETE_STRESS, stress, most, stress / most, at(i, combination), rules.stressClause());
    }

    /** The calculation of the crack width at a station. */
    void explain(int station, Trace t) {
        BeamLine.Station s = line.stations().get(station);
        BeamLine.Span span = line.spans().get(s.span());
        for (boolean sagging : new boolean[] {true, false}) {
            Moment m = largest(context.sustained(), s, sagging);
            CrackWidth.Cracked c = m.m() <= span.negligibleMoment() ? null : cracked(s, span, sagging, m.m());
            if (c != null) {
                t.say(
                        "Crack width, " + BeamCage.Face.tension(sagging).word(),
                        context.sustained().combination(m.combination()).name(),
                        rules.clause());
                rules.width(c, t);
            }
        }
    }
}
