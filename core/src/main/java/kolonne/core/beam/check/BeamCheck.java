package kolonne.core.beam.check;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Steel;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;

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
    private final Map<FlexureKey, FlexuralStrength> strengths = new HashMap<>();

    private record FlexureKey(Shape shape, double fc, boolean sagging, List<BarLayer> layers) {}

    private BeamCheck(BeamLine line, BeamCage cage, BeamContext context) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.governing = governing(line, context);
        this.bars = new BarsAt(line, cage, basis);
        this.capacityShear = CapacityShear.of(line, cage, context);
        this.torques = BeamTorsion.torques(line, context.demands());
        this.torsion = new BeamTorsionCheck(line, cage, context, torques, bars, governing, (x, span) -> bars.shear(x, span, Trace.OFF));
    }

    /** Takes results of a line; places are told from its supports. */
    public static Governing governing(BeamLine line, BeamContext context) {
        return new Governing((x, span) -> place(line, x, span, context));
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
        return new BeamDesign(line, cage, d.hand(), d.checks(), d.profile(), d.deflections(), findings);
    }

    private static BeamDesign checked(BeamLine line, BeamCage cage, BeamContext own) {
        BeamCheck c = new BeamCheck(line, cage, own);
        List<BeamDesign.Point> profile = c.profile();
        List<BeamShearCheck.Demand> shears = new BeamShearCheck(line, cage, own, c.torques, c.governing,
            (x, span) -> c.bars.shear(x, span, Trace.OFF)).run();
        c.torsion.run(shears);
        List<Deflections> deflections = new BeamDeflection(line, own, c.bars).all();
        new BeamDetailCheck(line, cage, own, c.bars, c.governing, shears, profile).run();
        DuctileSpans.rules(line, own.basis()).ifPresent(rules -> new DuctileCheck(line, cage, own, c.bars, c.governing, rules).run());
        line.spans().forEach(s -> CompressionBars.of(line, s, c.bars, own).ifPresent(b -> b.check(cage, c.governing)));
        new CutOffCheck(line, cage, own, c.bars, c.governing, (x, span) -> c.bars.shear(x, span, Trace.OFF)).run(profile);
        new DeflectionCheck(line, own, c.bars, c.governing, deflections).run();
        c.code.crackWidth().ifPresent(rules -> new CrackCheck(line, cage, own, c.bars, c.governing, rules).run());
        c.code.flangeShear().ifPresent(rules -> FlangeShearCheck.run(line, own, c.governing, profile, rules));
        c.sidesway();
        List<CheckResult> checks = c.governing.results();
        List<Finding> findings = new ArrayList<>(BeamFindings.of(line, checks, own));
        c.code.flangeShear().flatMap(rules -> FlangeShearCheck.note(line, own, profile, rules)).ifPresent(findings::add);
        c.code.crackWidth().flatMap(rules -> new CrackCheck(line, cage, own, c.bars, c.governing, rules).creep()).ifPresent(findings::add);
        return new BeamDesign(line, cage, own.own(), checks, profile, deflections, findings);
    }

    /** Storeys whose second order is more than the code's method covers fail their beams as they fail their columns. */
    private void sidesway() {
        double limit = code.slenderness().greatestFactor();
        for (BeamLine.Span span : line.spans()) {
            double magnifier = span.members().stream().mapToDouble(m -> context.sway().ofBeam(context.index(), m)).max().orElse(1);
            if (magnifier > 1 && (Double.isFinite(limit) || Double.isInfinite(magnifier))) {
                double use = Double.isInfinite(magnifier) ? CheckResult.NO_CAPACITY : magnifier / limit;
                governing.offer(CheckKind.SECOND_ORDER, magnifier, limit, use, At.named(span.middle(), span.number(), "whole span"),
                    code.slenderness().greatestFactorClause());
            }
        }
    }

    private List<BeamDesign.Point> profile() {
        List<BeamDesign.Point> out = new ArrayList<>(line.stations().size());
        for (int i = 0; i < line.stations().size(); i++) {
            out.add(point(i));
        }
        for (int i = 0; i < out.size(); i++) {
            flexureAt(i, out.get(i));
            flexureWithTorsion(i, out.get(i));
            shifted(i, out);
        }
        return out;
    }

    /** The largest moment of a face within the shift of a station [Nmm]; 0 where nothing is shifted. */
    private record Shifted(double demand, int combination) {}

    private Shifted shifted(int i, List<BeamDesign.Point> all, boolean sagging) {
        BeamDesign.Point p = all.get(i);
        BeamLine.Span span = line.spans().get(p.span());
        double shift = code.detailing().tensionShift(bars.effectiveDepth(p.x(), span, BeamCage.Face.tension(sagging)));
        Shifted most = new Shifted(0, 0);
        if (shift <= 0 || nearFreeEnd(line, line.stations().get(i), shift)) {
            return most;
        }
        for (BeamDesign.Point q : all) {
            double m = sagging ? q.mPos() : -q.mNeg();
            if (q.span() == p.span() && Math.abs(q.x() - p.x()) <= shift && m > most.demand()) {
                most = new Shifted(m, sagging ? q.comboPos() : q.comboNeg());
            }
        }
        return most;
    }

    /** Bars against the moment shifted along the beam, for the force that shear puts into them. */
    private void shifted(int i, List<BeamDesign.Point> all) {
        BeamLine.Span span = line.spans().get(all.get(i).span());
        for (boolean sagging : new boolean[] {true, false}) {
            Shifted s = shifted(i, all, sagging);
            if (s.demand() > span.negligibleMoment()) {
                double has = strength(all.get(i).x(), span, sagging).phiMn();
                governing.offer(CheckKind.TENSION_SHIFT.of(sagging), s.demand(), has, at(i, s.combination()), code.detailing().tensionShiftClause());
            }
        }
    }

    /** Whether a station is nearer to a free end of the line than {@code reach}: there the shift has no concrete to act in. */
    public static boolean nearFreeEnd(BeamLine line, BeamLine.Station s, double reach) {
        List<BeamLine.Support> all = line.supports();
        return all.get(0).kind() == BeamLine.SupportKind.FREE && s.x() - all.get(0).x() < reach
            || all.get(all.size() - 1).kind() == BeamLine.SupportKind.FREE && all.get(all.size() - 1).x() - s.x() < reach;
    }

    /** Use of the bars by the moment shifted along the beam, at the stations; 0 for codes that shift nothing. */
    public static double[] shiftedUse(BeamLine line, BeamCage cage, BeamContext context, boolean sagging) {
        BeamCheck c = new BeamCheck(line, cage, context);
        List<BeamDesign.Point> all = new ArrayList<>();
        for (int i = 0; i < line.stations().size(); i++) {
            all.add(c.point(i));
        }
        double[] out = new double[all.size()];
        for (int i = 0; i < out.length; i++) {
            BeamLine.Span span = line.spans().get(all.get(i).span());
            Shifted s = c.shifted(i, all, sagging);
            double has = c.strength(all.get(i).x(), span, sagging).phiMn();
            out[i] = s.demand() <= span.negligibleMoment() ? 0 : has > 0 ? s.demand() / has : 10;
        }
        return out;
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
        return new BeamDesign.Point(s.x(), s.span(), mPos, combo[0], mNeg, combo[1], strength(s.x(), span, true).phiMn(),
            -strength(s.x(), span, false).phiMn(), vMax, combo[2], vMin, combo[3], shear.concrete(), shear.total(),
            shear.limit(), ve(i), t, combo[4], torsion.capacity(s, span, shear, combo[4]), torsion.limitUse(s, span, shear));
    }

    private double ve(int i) {
        BeamLine.Station s = line.stations().get(i);
        return capacityShear.map(c -> c.at(new BeamShearCheck.Place(s.x(), s.span(), i, i, 0))).orElse(0.0);
    }

    private FlexuralStrength strength(double x, BeamLine.Span span, boolean sagging) {
        List<BarLayer> layers = bars.layers(x, span, sagging);
        FlexureKey key = new FlexureKey(span.shape(), span.material().fc(), sagging, layers);
        return strengths.computeIfAbsent(key, k -> FlexuralStrength.of(k.shape(), sagging, layers, k.fc(), basis.fy(),
            code, Trace.OFF));
    }

    /** Strength as if every bar were fully developed: tells want of anchorage from want of steel. */
    private FlexuralStrength anchored(double x, BeamLine.Span span, boolean sagging) {
        return FlexuralStrength.of(span.shape(), sagging, bars.layers(x, span, sagging, true),
            span.material().fc(), basis.fy(), code, Trace.OFF);
    }

    /** Want of anchorage, a section too small for any bars that fit, or want of bars. */
    private Cause causeOf(double x, BeamLine.Span span, boolean sagging, double demand) {
        if (demand <= anchored(x, span, sagging).phiMn()) {
            return Cause.ANCHORAGE;
        }
        BeamCage.Zone zone = cage.zoneAt(span.number(), x);
        return SectionLimit.of(span, sagging, basis, zone == null ? basis.stirrupList().get(0) : zone.bar()) < demand
            ? Cause.FLEXURE_COMPRESSION : Cause.FLEXURE;
    }

    private void flexureAt(int i, BeamDesign.Point p) {
        BeamLine.Span span = line.spans().get(p.span());
        for (boolean sagging : new boolean[] {true, false}) {
            double demand = sagging ? p.mPos() : -p.mNeg();
            if (demand <= span.negligibleMoment()) {
                continue;
            }
            int combo = sagging ? p.comboPos() : p.comboNeg();
            FlexuralStrength s = strength(p.x(), span, sagging);
            double utilisation = CheckResult.use(demand, s.phiMn());
            Cause cause = utilisation <= 1 ? Cause.FLEXURE : causeOf(p.x(), span, sagging, demand);
            governing.offer(CheckKind.FLEXURE.of(sagging), cause, demand, s.phiMn(), utilisation, at(i, combo), code.flexureClause());
            double limit = code.beamTensionStrain(basis.fy() / Steel.ES, span.material().fc(), Trace.OFF);
            // The strain limit concerns sections that work near their strength: bars at rest do not make them brittle
            if (s.epsT() < limit) {
                governing.offer(CheckKind.TENSION_CONTROL.of(sagging), limit, s.epsT(), limit / Math.max(s.epsT(), 1e-9), at(i, combo), code.beamTensionStrainClause());
            }
            minimumSteel(i, p, span, sagging, demand, s, combo);
        }
    }

    /** Minimum steel where tension steel is needed, unless the strength is a third above the demand (9.6.1.3). */
    private void minimumSteel(int i, BeamDesign.Point p, BeamLine.Span span, boolean sagging, double demand,
                              FlexuralStrength s, int combo) {
        BeamCage.Face face = BeamCage.Face.tension(sagging);
        double has = bars.areaAt(p.x(), face);
        double least = code.beamMinimumSteel(span.material().fc(), basis.fy(), minimumWidth(code, line, span, sagging),
            bars.effectiveDepth(p.x(), span, face), Trace.OFF);
        double excess = CheckResult.use(code.minimumSteelExcess() * demand, s.phiMn());
        double utilisation = Math.min(least / has, excess);
        governing.offer(CheckKind.MINIMUM.of(face == BeamCage.Face.BOTTOM), Math.min(least, excess * Math.max(has, 1e-9)), has, utilisation, at(i, combo), code.beamMinimumSteelClause());
    }

    /** Width for the least tension steel [mm]. */
    public static double minimumWidth(DesignCode code, BeamLine line, BeamLine.Span span, boolean sagging) {
        Shape s = span.shape();
        boolean determinate = sagging ? line.spans().size() == 1 : line.cantilever(span.number());
        return code.minimumSteelWidth(s.webWidth(), s.width(), s.tensionWidth(sagging), s.flangeInTension(sagging), determinate);
    }

    /**
     * Bending of a combination with its torque: the tension bars' share of the torsion is taken off them. Only combinations
     * that could pass what the bending alone uses are computed: φMn grows less than in proportion to the bars, so that
     * M / (φMn (1 − A/As)) is never less than the use of the reduced section.
     */
    private void flexureWithTorsion(int i, BeamDesign.Point p) {
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
            double alone = strength(p.x(), span, sagging).phiMn();
            double bound = level < has && alone > 0 ? Math.abs(m) / (alone * (1 - level / has)) : Double.POSITIVE_INFINITY;
            CheckKind kind = CheckKind.FLEXURE_TORSION.of(sagging);
            if (!governing.governs(kind, Math.max(bound, level / Math.max(has, 1e-9)))) {
                continue;
            }
            double use = level >= has ? level / Math.max(has, 1e-9) : useWith(p.x(), span, sagging, Math.abs(m), level / has);
            governing.offer(kind, Math.abs(m), use > 0 ? Math.abs(m) / use : alone, use, at(i, c), code.torsion().longitudinalClause());
        }
    }

    /** Use of the section with a part of its tension bars taken off for torsion. */
    private double useWith(double x, BeamLine.Span span, boolean sagging, double moment, double part) {
        double h = span.shape().depth();
        List<BarLayer> reduced = bars.layers(x, span, sagging).stream().map(l -> l.depth() > h / 2 ? new BarLayer(l.depth(), l.area() * (1 - part)) : l)
            .toList();
        double capacity = FlexuralStrength.of(span.shape(), sagging, reduced, span.material().fc(), basis.fy(), code, Trace.OFF).phiMn();
        return moment <= span.negligibleMoment() ? 0 : CheckResult.use(moment, capacity);
    }

    private At at(int station, int combo) {
        BeamLine.Station s = line.stations().get(station);
        return At.station(s.x(), s.span(), station).under(context.combinationName(combo));
    }

    /** A place in words, in the basis's units: distance from the nearest support's label. */
    static String place(BeamLine line, double x, int span, BeamContext context) {
        BeamLine.Support left = line.supports().get(span);
        BeamLine.Support right = line.supports().get(span + 1);
        boolean fromLeft = x - left.x() <= right.x() - x;
        double distance = Math.max(0, fromLeft ? x - left.x() : right.x() - x);
        return Quantity.DISTANCE.text(distance, context.basis().usUnits())
            + (fromLeft ? " right of " + left.label() : " left of " + right.label());
    }

    /** The calculation of every check at one station, in order; titles are lines of words. */
    public static List<kolonne.core.explain.Step> explain(BeamLine line, BeamCage cage, BeamContext context,
                                                          int station) {
        BeamContext own = context.of(line);
        BeamCheck c = new BeamCheck(line, cage, own.basis().redistribution() > 0 ? new Redistribution(line, cage, own).context() : own);
        Trace t = Trace.recording();
        BeamDesign.Point p = c.point(station);
        BeamLine.Span span = line.spans().get(p.span());
        c.explainFlexure(p, span, true, t);
        c.explainFlexure(p, span, false, t);
        c.explainShear(p, span, t);
        c.capacityShear.ifPresent(v -> v.explain(line.stations().get(station), t));
        c.torsion.explain(p, span, station, t);
        c.code.crackWidth().ifPresent(rules -> new CrackCheck(line, cage, c.context, c.bars, c.governing, rules).explain(station, t));
        c.explainSpan(span, t);
        return t.steps();
    }

    /** Span to depth, hooks, and every other check of the span that belongs to no single station. */
    private void explainSpan(BeamLine.Span span, Trace t) {
        t.say("Span " + (span.number() + 1), "Proportions, fit, spacing and anchorage", "");
        DeflectionCheck.leastDepth(line, span, bars, basis, t);
        BeamDeflection deflection = new BeamDeflection(line, context, bars);
        if (deflection.known()) {
            deflection.explain(span, t);
        }
        for (BeamCage.Group g : cage.groups()) {
            if (g.hookFrom() && span.number() == 0 || g.hookTo() && span.number() == line.spans().size() - 1) {
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

    private void explainFlexure(BeamDesign.Point p, BeamLine.Span span, boolean sagging, Trace t) {
        double demand = sagging ? p.mPos() : -p.mNeg();
        String face = BeamCage.Face.tension(sagging).word();
        if (demand <= 0) {
            t.say("Flexure, " + face, "No combination puts the " + face + " in tension here.", "");
            return;
        }
        String combination = context.combinationName(sagging ? p.comboPos() : p.comboNeg());
        t.say("Flexure, " + face, combination, code.flexureClause());
        magnified(span, t);
        FlexuralStrength s = FlexuralStrength.of(span.shape(), sagging,
            bars.layers(p.x(), span, sagging), span.material().fc(), basis.fy(), code, t);
        String use = code.notation().uses().flexure();
        t.step(use, use, "{0} / {1}", demand / s.phiMn(), Quantity.UTILISATION, code.flexureClause(),
            in(demand, Quantity.MOMENT), in(s.phiMn(), Quantity.MOMENT));
        code.beamTensionStrain(basis.fy() / Steel.ES, span.material().fc(), t);
        BeamCage.Face side = BeamCage.Face.tension(sagging);
        code.beamMinimumSteel(span.material().fc(), basis.fy(), minimumWidth(code, line, span, sagging), bars.effectiveDepth(p.x(), span, side), t);
    }

    /** What the effects of sidesway in the demand are multiplied by. */
    private void magnified(BeamLine.Span span, Trace t) {
        double most = span.members().stream().mapToDouble(m -> context.strength().magnifier(context.index().memberNumber(m.id()))).max().orElse(1);
        if (most > 1) {
            t.step("δs", "of the storeys above and below, on the part of loads that sway the frame", "", most, Quantity.NUMBER, code.slenderness().swayBeamClause());
        }
    }

    private void explainShear(BeamDesign.Point p, BeamLine.Span span, Trace t) {
        boolean max = Math.abs(p.vMax()) >= Math.abs(p.vMin());
        int combo = max ? p.comboVMax() : p.comboVMin();
        double v = Math.max(Math.abs(p.vMax()), Math.abs(p.vMin()));
        t.say("Shear", context.combinationName(combo), code.shearClause());
        ShearStrength s = bars.shear(p.x(), span, t);
        String use = code.notation().uses().shear();
        t.step(use, use, "{0} / {1}", v / s.total(), Quantity.UTILISATION, code.shearClause(),
            in(v, Quantity.FORCE), in(s.total(), Quantity.FORCE));
    }
}
