package kolonne.core.beam.check;

import static kolonne.core.explain.Trace.in;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;

/** Bending at the stations: strength, tension control, least steel, and bending with torsion. */
public final class FlexureCheck {
    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final BarsAt bars;
    private final BeamStrengths strengths;
    private final BeamTorsionCheck torsion;
    private final Governing governing;

    FlexureCheck(
            BeamLine line,
            BeamCage cage,
            BeamContext context,
            BarsAt bars,
            BeamStrengths strengths,
            BeamTorsionCheck torsion,
            Governing governing) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.bars = bars;
        this.strengths = strengths;
        this.torsion = torsion;
        this.governing = governing;
    }

    /** A station against the largest moments of both faces. */
    void check(int i, BeamDesign.Point p) {
        BeamLine.Span span = line.spans().get(p.span());
        for (boolean sagging : new boolean[] {true, false}) {
            double demand = sagging ? p.mPos() : -p.mNeg();
            if (demand <= span.negligibleMoment()) {
                continue;
            }
            int combo = sagging ? p.comboPos() : p.comboNeg();
            FlexuralStrength s = strengths.at(p.x(), span, sagging);
            double utilisation = CheckResult.use(demand, s.phiMn());
            Cause cause = utilisation <= 1 ? Cause.FLEXURE : causeOf(p.x(), span, sagging, demand);
            governing.offer(
                    CheckKind.FLEXURE.of(sagging),
                    cause,
                    demand,
                    s.phiMn(),
                    utilisation,
                    at(i, combo),
                    code.flexureClause());
            double limit = code.beamTensionStrain(
                    basis.fy() / Steel.ES, span.material().fc(), Trace.OFF);
            // The strain limit concerns sections that work near their strength: bars at rest do not make them brittle
            if (s.epsT() < limit) {
                governing.offer(
                        CheckKind.TENSION_CONTROL.of(sagging),
                        limit,
                        s.epsT(),
                        limit / Math.max(s.epsT(), 1e-9),
                        at(i, combo),
                        code.beamTensionStrainClause());
            }
            minimumSteel(i, p, span, sagging, demand, s, combo);
        }
    }

    /** Want of anchorage, a section too small for any bars that fit, or want of bars. */
    private Cause causeOf(double x, BeamLine.Span span, boolean sagging, double demand) {
        if (demand <= strengths.anchored(x, span, sagging).phiMn()) {
            return Cause.ANCHORAGE;
        }
        BeamCage.Zone zone = cage.zoneAt(span.number(), x);
        return SectionLimit.of(span, sagging, basis, zone == null ? basis.smallestStirrup() : zone.bar()) < demand
                ? Cause.FLEXURE_COMPRESSION
                : Cause.FLEXURE;
    }

    /** Minimum steel where tension steel is needed, unless the strength is a third above the demand (9.6.1.3). */
    private void minimumSteel(
            int i,
            BeamDesign.Point p,
            BeamLine.Span span,
            boolean sagging,
            double demand,
            FlexuralStrength s,
            int combo) {
        BeamCage.Face face = BeamCage.Face.tension(sagging);
        double has = bars.areaAt(p.x(), face);
        double least = code.beamMinimumSteel(
                span.material().fc(),
                basis.fy(),
                minimumWidth(code, line, span, sagging),
                bars.effectiveDepth(p.x(), span, face),
                Trace.OFF);
        double excess = CheckResult.use(code.minimumSteelExcess() * demand, s.phiMn());
        double utilisation = Math.min(least / has, excess);
        governing.offer(
                CheckKind.MINIMUM.of(face == BeamCage.Face.BOTTOM),
                Math.min(least, excess * Math.max(has, 1e-9)),
                has,
                utilisation,
                at(i, combo),
                code.beamMinimumSteelClause());
    }

    /** Width for the least tension steel [mm]. */
    public static double minimumWidth(DesignCode code, BeamLine line, BeamLine.Span span, boolean sagging) {
        Shape s = span.shape();
        boolean determinate = sagging ? line.spans().size() == 1 : line.cantilever(span.number());
        return code.minimumSteelWidth(
                s.webWidth(), s.width(), s.tensionWidth(sagging), s.flangeInTension(sagging), determinate);
    }

    /**
     * Bending of a combination with its torque: the tension bars' share of the torsion is taken off them. Only combinations
     * that could pass what the bending alone uses are computed: φMn grows less than in proportion to the bars, so that
     * M / (φMn (1 − A/As)) is never less than the use of the reduced section.
     */
    void checkWithTorsion(int i, BeamDesign.Point p) {
        BeamLine.Span span = line.spans().get(p.span());
        BeamTorsion t = torsion.of(p.span());
        if (!t.counts() || !t.countsAt(p.x())) {
            return;
        }
        BeamLine.Station s = line.stations().get(i);
        for (int c = 0; c < context.combinations(); c++) {
            double m = context.at(s, c, Analysis.MY);
            if (Math.abs(m) <= span.negligibleMoment()) {
                continue; // the bars of both faces are checked against the torsion alone
            }
            boolean sagging = m >= 0;
            double level = t.levelSteel(Math.abs(context.at(s, c, Analysis.T)), i);
            double has = bars.areaAt(line.within(basis, p.x()), BeamCage.Face.tension(sagging));
            double alone = strengths.at(p.x(), span, sagging).phiMn();
            double bound =
                    level < has && alone > 0 ? Math.abs(m) / (alone * (1 - level / has)) : Double.POSITIVE_INFINITY;
            CheckKind kind = CheckKind.FLEXURE_TORSION.of(sagging);
            if (!governing.governs(kind, Math.max(bound, level / Math.max(has, 1e-9)))) {
                continue;
            }
            double use = level >= has
                    ? level / Math.max(has, 1e-9)
                    : useWith(p.x(), span, sagging, Math.abs(m), level / has);
            governing.offer(
                    kind,
                    Math.abs(m),
                    use > 0 ? Math.abs(m) / use : alone,
                    use,
                    at(i, c),
                    code.torsion().longitudinalClause());
        }
    }

    /** Use of the section with a part of its tension bars taken off for torsion. */
    private double useWith(double x, BeamLine.Span span, boolean sagging, double moment, double part) {
        double h = span.shape().depth();
        List<BarLayer> reduced = bars.layers(x, span, sagging).stream()
                .map(l -> l.depth() > h / 2 ? new BarLayer(l.depth(), l.area() * (1 - part)) : l)
                .toList();
        double capacity = FlexuralStrength.of(
                        span.shape(), sagging, reduced, span.material().fc(), basis.fy(), code, Trace.OFF)
                .phiMn();
        return moment <= span.negligibleMoment() ? 0 : CheckResult.use(moment, capacity);
    }

    private At at(int station, int combo) {
        BeamLine.Station s = line.stations().get(station);
        return At.station(s.x(), s.span(), station).under(context.combinationName(combo));
    }

    void explain(BeamDesign.Point p, BeamLine.Span span, boolean sagging, Trace t) {
        double demand = sagging ? p.mPos() : -p.mNeg();
        String face = BeamCage.Face.tension(sagging).word();
        if (demand <= 0) {
            t.say("Flexure, " + face, "No combination puts the " + face + " in tension here.", Clause.NONE);
            return;
        }
        String combination = context.combinationName(sagging ? p.comboPos() : p.comboNeg());
        t.say("Flexure, " + face, combination, code.flexureClause());
        magnified(span, t);
        FlexuralStrength s = FlexuralStrength.of(
                span.shape(),
                sagging,
                bars.layers(p.x(), span, sagging),
                span.material().fc(),
                basis.fy(),
                code,
                t);
        String use = code.notation().uses().flexure();
        t.step(
                use,
                use,
                "{0} / {1}",
                demand / s.phiMn(),
                Quantity.UTILISATION,
                code.flexureClause(),
                in(demand, Quantity.MOMENT),
                in(s.phiMn(), Quantity.MOMENT));
        code.beamTensionStrain(basis.fy() / Steel.ES, span.material().fc(), t);
        BeamCage.Face side = BeamCage.Face.tension(sagging);
        code.beamMinimumSteel(
                span.material().fc(),
                basis.fy(),
                minimumWidth(code, line, span, sagging),
                bars.effectiveDepth(p.x(), span, side),
                t);
    }

    /** What the effects of sidesway in the demand are multiplied by. */
    private void magnified(BeamLine.Span span, Trace t) {
        double most = span.members().stream()
                .mapToDouble(m -> context.strength().magnifier(context.index().memberNumber(m.id())))
                .max()
                .orElse(1);
        if (most > 1) {
            t.step(
                    "δs",
                    "of the storeys above and below, on the part of loads that sway the frame",
                    "",
                    most,
                    Quantity.NUMBER,
                    code.slenderness().swayBeamClause());
        }
    }
}
