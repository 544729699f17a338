package kolonne.core.beam.check;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;

/** Checks a cage of a beam line at every station and combination. Knows nothing of how the cage came about. */
public final class BeamCheck {
    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final BarsAt bars;
    private final Governing governing;
    private final double[] torques;
    private final BeamTorsionCheck torsion;
    private final Optional<CapacityShear> capacityShear;
    private final BeamStrengths strengths;
    private final FlexureCheck flexure;
    private final ShiftedMoments shifts;

    private BeamCheck(BeamLine line, BeamCage cage, BeamContext context) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.governing = Places.governing(line, context);
        this.bars = new BarsAt(line, cage, basis);
        this.capacityShear = CapacityShear.of(line, cage, context);
        this.torques = BeamTorsion.torques(line, context.demands());
        this.torsion = new BeamTorsionCheck(
                line, cage, context, torques, bars, governing, (x, span) -> bars.shear(x, span, Trace.OFF));
        this.strengths = new BeamStrengths(bars, basis);
        this.flexure = new FlexureCheck(line, cage, context, bars, strengths, torsion, governing);
        this.shifts = new ShiftedMoments(line, context, bars, strengths);
    }

    /** Checks the whole line; where redistribution is asked for and the sections do not allow it, without, and a note says why. */
    public static BeamDesign run(BeamLine line, BeamCage cage, BeamContext context) {
        BeamContext own = context.of(line);
        if (own.basis().redistribution() <= 0) {
            return checked(line, cage, own);
        }
        Redistribution r = new Redistribution(line, cage, own);
        BeamDesign d = checked(line, cage, r.context());
        List<Finding> findings = new ArrayList<>(d.findings());
        findings.addAll(r.findings());
        return new BeamDesign(line, cage, own.basis(), d.hand(), d.checks(), d.profile(), d.deflections(), findings);
    }

    /**
     * A look before all checks, at what speaks against bars of other lengths most of all: false where a bar ends in a zone of tension where it may not, so
     * that the cage cannot satisfy.
     */
    public static boolean endsMayLie(BeamLine line, BeamCage cage, BeamContext context) {
        BeamContext own = context.of(line);
        if (own.basis().redistribution() > 0) {
            return true; // which moments there are depends on the cage
        }
        BarsAt bars = new BarsAt(line, cage, own.basis());
        return new CutOffCheck(
                        line, cage, own, bars, Places.governing(line, own), (x, span) -> bars.shear(x, span, Trace.OFF))
                .mayEnd();
    }

    private static BeamDesign checked(BeamLine line, BeamCage cage, BeamContext own) {
        BeamCheck c = new BeamCheck(line, cage, own);
        List<BeamDesign.Point> profile = c.profile();
        List<BeamShearCheck.Demand> shears = new BeamShearCheck(
                        line, cage, own, c.torques, c.governing, (x, span) -> c.bars.shear(x, span, Trace.OFF))
                .run();
        c.torsion.run(shears);
        List<Deflections> deflections = new BeamDeflection(line, own, c.bars).all();
        c.details(shears, profile);
        DuctileSpans.rules(line, own.basis())
                .ifPresent(rules -> new DuctileCheck(line, cage, own, c.bars, c.governing, rules).run());
        line.spans().forEach(s -> CompressionBars.of(line, s, c.bars, own).ifPresent(b -> b.check(cage, c.governing)));
        new CutOffCheck(line, cage, own, c.bars, c.governing, (x, span) -> c.bars.shear(x, span, Trace.OFF))
                .run(profile);
        new DeflectionCheck(line, own, c.bars, c.governing, deflections).run();
        c.code.crackWidth().ifPresent(rules -> new CrackCheck(line, cage, own, c.bars, c.governing, rules).run());
        c.code.flangeShear().ifPresent(rules -> FlangeShearCheck.run(line, own, c.governing, profile, rules));
        SwayCheck.run(line, own, c.governing);
        List<CheckResult> checks = c.governing.results();
        List<Finding> findings = new ArrayList<>(BeamFindings.of(line, checks, own));
        findings.addAll(PracticeNotes.of(line, cage, own));
        findings.addAll(HookNotes.of(line, cage, own.basis()));
        c.code.flangeShear()
                .flatMap(rules -> FlangeShearCheck.note(line, own, profile, rules))
                .ifPresent(findings::add);
        c.code.crackWidth()
                .flatMap(rules -> new CrackCheck(line, cage, own, c.bars, c.governing, rules).creep())
                .ifPresent(findings::add);
        return new BeamDesign(line, cage, own.basis(), own.own(), checks, profile, deflections, findings);
    }

    /** What belongs to no single station. */
    private void details(List<BeamShearCheck.Demand> shears, List<BeamDesign.Point> profile) {
        ScopeCheck scope = new ScopeCheck(line, context, governing);
        FitCheck fit = new FitCheck(line, cage, context, bars, governing);
        StirrupCheck stirrups = new StirrupCheck(line, cage, context, bars, governing, shears);
        for (BeamLine.Span span : line.spans()) {
            scope.code(span);
            fit.fit(span);
            fit.most(span);
            stirrups.check(span);
            scope.deep(span);
            fit.sideBars(span);
            scope.ignoredForces(span);
        }
        ContinuityCheck continuity = new ContinuityCheck(line, cage, context, bars, governing, profile);
        continuity.hooks();
        cage.groups().forEach(fit::lapRoom);
        new PairCheck(line, cage, context, governing).run();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            continuity.integrity(face);
        }
        double[] hogging = profile.stream().mapToDouble(p -> -p.mNeg()).toArray();
        for (int s = 0; s < line.supports().size(); s++) {
            continuity.inflection(s, hogging);
        }
    }

    private List<BeamDesign.Point> profile() {
        List<BeamDesign.Point> out = new ArrayList<>(line.stations().size());
        for (int i = 0; i < line.stations().size(); i++) {
            out.add(point(i));
        }
        for (int i = 0; i < out.size(); i++) {
            flexure.check(i, out.get(i));
            flexure.checkWithTorsion(i, out.get(i));
            shifts.check(i, out, governing);
        }
        return out;
    }

    /** Use of the bars by the moment shifted along the beam, at the stations; 0 for codes that shift nothing. */
    public static double[] shiftedUse(BeamLine line, BeamCage cage, BeamContext context, boolean sagging) {
        BeamCheck c = new BeamCheck(line, cage, context);
        List<BeamDesign.Point> all = new ArrayList<>();
        for (int i = 0; i < line.stations().size(); i++) {
            all.add(c.point(i));
        }
        return c.shifts.uses(all, sagging);
    }

    private BeamDesign.Point point(int i) {
        BeamLine.Station s = line.stations().get(i);
        double mPos = 0;
        double mNeg = 0;
        double vMax = Double.NEGATIVE_INFINITY;
        double vMin = Double.POSITIVE_INFINITY;
        double t = 0;
        int[] combo = new int[5];
        for (int c = 0; c < context.combinations(); c++) {
            double m = context.at(s, c, Analysis.MY);
            double v = context.at(s, c, Analysis.VZ);
            double tc = Math.abs(context.at(s, c, Analysis.T));
            if (m > mPos) {
                mPos = m;
                combo[0] = c;
            }
            if (m < mNeg) {
                mNeg = m;
                combo[1] = c;
            }
            if (v > vMax) {
                vMax = v;
                combo[2] = c;
            }
            if (v < vMin) {
                vMin = v;
                combo[3] = c;
            }
            if (tc > t) {
                t = tc;
                combo[4] = c;
            }
        }
        BeamLine.Span span = line.spans().get(s.span());
        ShearStrength shear = bars.shear(s.x(), span, Trace.OFF);
        return new BeamDesign.Point(
                s.x(),
                s.span(),
                mPos,
                combo[0],
                mNeg,
                combo[1],
                strengths.at(s.x(), span, true).phiMn(),
                -strengths.at(s.x(), span, false).phiMn(),
                vMax,
                combo[2],
                vMin,
                combo[3],
                shear.concrete(),
                shear.total(),
                shear.limit(),
                ve(i),
                t,
                combo[4],
                torsion.capacity(s, span, shear, combo[4]),
                torsion.limitUse(s, span, shear));
    }

    private double ve(int i) {
        BeamLine.Station s = line.stations().get(i);
        return capacityShear
                .map(c -> c.at(new BeamShearCheck.Place(s.x(), s.span(), i, i, 0)))
                .orElse(0.0);
    }

    /** The calculation of every check at one station, in order; titles are lines of words. */
    public static List<kolonne.core.explain.Step> explain(
            BeamLine line, BeamCage cage, BeamContext context, int station) {
        BeamContext own = context.of(line);
        BeamCheck c = new BeamCheck(
                line, cage, own.basis().redistribution() > 0 ? new Redistribution(line, cage, own).context() : own);
        Trace t = Trace.recording();
        BeamDesign.Point p = c.point(station);
        BeamLine.Span span = line.spans().get(p.span());
        c.flexure.explain(p, span, true, t);
        c.flexure.explain(p, span, false, t);
        c.explainShear(p, span, t);
        c.capacityShear.ifPresent(v -> v.explain(line.stations().get(station), t));
        c.torsion.explain(p, span, station, t);
        c.code.crackWidth()
                .ifPresent(
                        rules -> new CrackCheck(line, cage, c.context, c.bars, c.governing, rules).explain(station, t));
        c.explainSpan(span, t);
        return t.steps();
    }

    /** Span to depth, hooks, and every other check of the span that belongs to no single station. */
    private void explainSpan(BeamLine.Span span, Trace t) {
        t.say("Span " + (span.number() + 1), "Proportions, fit, spacing and anchorage", Clause.NONE);
        DeflectionCheck.leastDepth(line, span, bars, basis, t);
        BeamDeflection deflection = new BeamDeflection(line, context, bars);
        if (deflection.known()) {
            deflection.explain(span, t);
        }
        for (BeamCage.Group g : cage.groups()) {
            if (g.hookFrom() && span.number() == 0
                    || g.hookTo() && span.number() == line.spans().size() - 1) {
                code.detailing().hookLength(g.bar(), span.material().fc(), basis.fy(), t);
                break;
            }
        }
        for (CheckResult r : run(line, cage, context).checks()) {
            if (r.station() < 0 && r.part() == span.number()) {
                r.explain(t);
            }
        }
    }

    private void explainShear(BeamDesign.Point p, BeamLine.Span span, Trace t) {
        boolean max = Math.abs(p.vMax()) >= Math.abs(p.vMin());
        int combo = max ? p.comboVMax() : p.comboVMin();
        double v = Math.max(Math.abs(p.vMax()), Math.abs(p.vMin()));
        t.say("Shear", context.combinationName(combo), code.shearClause());
        ShearStrength s = bars.shear(p.x(), span, t);
        String use = code.notation().uses().shear();
        t.step(
                use,
                use,
                "{0} / {1}",
                v / s.total(),
                Quantity.UTILISATION,
                code.shearClause(),
                in(v, Quantity.FORCE),
                in(s.total(), Quantity.FORCE));
    }
}
