package kolonne.core.column.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileColumns;
import kolonne.core.column.cage.BarRuns;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnLaps;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.LapGap;
import kolonne.core.column.cage.LapHeight;
import kolonne.core.column.cage.LapPlace;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.StrengthSurface;

/** Checks a cage of a column stack for every combination. Knows nothing of how the cage came about. */
public final class ColumnCheck {
    /** Demands whose screened utilisation comes this near to the highest are solved exactly. */
    private static final double NEAR = 0.94;
    /** Place of checks that hold for a lift from foot to head. */
    public static final String WHOLE = "whole lift";

    private final ColumnStack stack;
    private final ColumnCage whole;
    private final ColumnStack.Lift lift;
    private final ColumnCage.LiftCage cage;
    private final ColumnContext context;
    private final Basis basis;
    private final DesignCode code;
    private final LiftDemands demands;
    private final List<LiftDemands.Demand> all;
    /** The bars as they stand; none where the lift is not designed. */
    private final List<VerticalBars.Standing> standing;

    private final Governing governing = new Governing((x, lift) -> WHOLE);
    private LiftDemands.Demand worst;

    private ColumnCheck(
            ColumnStack stack, ColumnCage whole, ColumnStack.Lift lift, ColumnContext context, LiftDemands demands) {
        this.stack = stack;
        this.whole = whole;
        this.lift = lift;
        this.cage = whole.lifts().get(lift.number());
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.demands = demands;
        this.all = demands.all(ColumnSteel.of(lift, cage, context.basis()));
        this.standing = VerticalBars.in(stack, lift.number(), whole, basis);
    }

    /** Checks all lifts of a stack. */
    public static ColumnDesign run(ColumnStack stack, ColumnCage cage, ColumnContext context) {
        return run(
                stack,
                cage,
                context,
                stack.lifts().stream().map(l -> new LiftDemands(l, context)).toList());
    }

    /** The same with demands that are known already, lift by lift. */
    public static ColumnDesign run(
            ColumnStack stack, ColumnCage cage, ColumnContext context, List<LiftDemands> demands) {
        List<ColumnDesign.LiftDesign> out = new ArrayList<>();
        LiftDemands over = null;
        for (int i = stack.lifts().size() - 1; i >= 0; i--) {
            ColumnStack.Lift l = stack.lifts().get(i);
            LiftDemands d = demands.get(i);
            out.add(
                    0,
                    new ColumnCheck(stack, cage, l, context, d)
                            .check(over, ColumnPracticeNotes.of(stack, l.number(), cage, context)));
            over = d;
        }
        return new ColumnDesign(stack, cage, context.basis(), out);
    }

    /** @param over demands of the lift above, or null */
    private ColumnDesign.LiftDesign check(LiftDemands over, List<Finding> notes) {
        axialBending();
        torsion();
        steel();
        below();
        ends(Trace.OFF);
        bent();
        ties(EndMoments.of(stack, lift, cage, context, demands));
        joint(over, Trace.OFF);
        List<CheckResult> checks = governing.results();
        BarRuns runs = BarRuns.of(stack, whole, basis);
        boolean laps = runs.begins(lift.number()) && !ColumnLaps.coupled(basis);
        List<Finding> findings = new ArrayList<>(ColumnFindings.of(stack, lift, checks, demands.sway(), laps, context));
        findings.addAll(notes);
        findings.addAll(StandingNotes.of(stack, lift, standing, basis));
        StandingNotes.sooner(stack, lift, runs.why(lift.number()), basis).ifPresent(findings::add);
        PullNotes.of(stack, lift, all, context).ifPresent(findings::add);
        HandLift hand = context.hand(lift);
        if (!hand.isEmpty() && !hand.suits(lift.section().shape())) {
            findings.add(ColumnFindings.unlike(stack, lift));
        }
        return new ColumnDesign.LiftDesign(lift, cage, hand, checks, worst, demands.sway(), findings);
    }

    private void ties(EndMoments ends) {
        new ColumnTieCheck(lift, cage, context, demands, ends, governing).run();
    }

    /** @param over demands of the lift above, or null */
    private void joint(LiftDemands over, Trace t) {
        context.ductile()
                .ifPresentOrElse(
                        rules -> new JointCheck(stack, lift, whole, context, rules.joints(), demands, over, governing)
                                .run(t),
                        () -> code.columns()
                                .plainJoints()
                                .ifPresent(rules ->
                                        new PlainJointCheck(lift, context, rules, demands, over, governing).run(t)));
    }

    private void axialBending() {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), cage);
        double[] screened = new double[all.size()];
        double highest = 0;
        limits();
        for (int i = 0; i < screened.length; i++) {
            LiftDemands.Demand d = all.get(i);
            screened[i] = d.stable() ? surface.screened(d.p(), d.mx(), d.my()) : 0;
            highest = Math.max(highest, screened[i]);
        }
        for (int i = 0; i < screened.length; i++) {
            LiftDemands.Demand d = all.get(i);
            if (d.stable() && screened[i] >= NEAR * highest) {
                InteractionSurface.Hit hit = surface.exact(d.p(), d.mx(), d.my());
                double m = Math.hypot(d.mx(), d.my());
                if (governing.governs(CheckKind.COLUMN_AXIAL_BENDING, hit.utilisation())) {
                    worst = d;
                }
                offer(
                        CheckKind.COLUMN_AXIAL_BENDING,
                        m,
                        m / hit.utilisation(),
                        hit.utilisation(),
                        d,
                        code.axialBendingClause());
            }
        }
    }

    /** Bending with what torsion leaves of the bars. */
    private void torsion() {
        new ColumnTorsion(lift, cage, context, demands).bending(all).ifPresent(b -> {
            double m = Math.hypot(b.demand().mx(), b.demand().my());
            governing.offer(
                    CheckKind.COLUMN_TORSION_BENDING,
                    m,
                    m / b.utilisation(),
                    b.utilisation(),
                    at(name(b.demand().combination()), words(b.demand())),
                    code.torsion().thrustClause());
        });
    }

    /** What no demand may exceed, whatever the others: moments of the second order, and the axial force. */
    private void limits() {
        double cap = context.surface(lift.section(), lift.material(), cage).axialCap();
        for (LiftDemands.Demand d : all) {
            secondOrder(d);
            axialLimit(cap, d);
        }
    }

    private void axialLimit(double cap, LiftDemands.Demand d) {
        if (d.p() > 0) {
            offer(CheckKind.COLUMN_AXIAL_LIMIT, d.p(), cap, d.p() / cap, d, code.axialCapClause());
        }
    }

    private void secondOrder(LiftDemands.Demand d) {
        double limit = code.slenderness().greatestFactor();
        double factor = d.stable() ? d.factor() * demands.sway().whole() : d.factor();
        if (factor > 1 && (Double.isFinite(limit) || !d.stable())) {
            offer(
                    CheckKind.COLUMN_SECOND_ORDER,
                    factor,
                    limit,
                    factor / limit,
                    d,
                    code.slenderness().greatestFactorClause());
        }
    }

    /** Its place is put into words only where it governs. */
    private void offer(
            CheckKind kind, double demand, double capacity, double use, LiftDemands.Demand d, Clause clause) {
        if (governing.governs(kind, use)) {
            governing.offer(kind, demand, capacity, use, at(name(d.combination()), words(d)), clause);
        }
    }

    private void steel() {
        double fc = lift.material().fc();
        if (!code.covers(fc)) {
            governing.offer(
                    CheckKind.COLUMN_CONCRETE_SCOPE, fc, 0, Double.POSITIVE_INFINITY, whole(), code.coversClause());
        }
        double ratio = cage.area() / lift.section().shape().A();
        governing.offer(
                CheckKind.COLUMN_STEEL_MAXIMUM,
                ratio,
                code.columns().columnMaximumRatio(),
                ratio / code.columns().columnMaximumRatio(),
                whole(),
                code.columns().columnRatioClause());
        governing.offer(
                CheckKind.COLUMN_STEEL_PRACTICAL,
                ratio,
                basis.bars().practicalCap(),
                ratio / basis.bars().practicalCap(),
                whole(),
                Clause.BASIS);
        double least = leastRatio(lift, context, demands);
        governing.offer(
                CheckKind.COLUMN_STEEL_MINIMUM,
                least,
                ratio,
                least / ratio,
                whole(),
                code.columns().columnRatioClause());
    }

    /** Bars of the lift above begin at its foot: they need bars here to lap with. Where the section changes nothing is said. */
    private void below() {
        ColumnCage.LiftCage above = overhead(stack, whole, lift);
        int found = above == null ? 0 : cage.layout().below(above.layout());
        if (above != null && found < above.count()) {
            governing.offer(
                    CheckKind.COLUMN_BARS_BELOW,
                    above.count(),
                    found,
                    At.named(lift.base(), lift.number(), "head"),
                    code.detailing().lapClause());
        }
    }

    /** Strength at the joints where bars end or stand on a beam. */
    private void ends(Trace t) {
        EndStrength ends = new EndStrength(lift, cage, standing, demands, context);
        for (boolean head : new boolean[] {false, true}) {
            ends.worst(head).ifPresent(u -> {
                double m = Math.hypot(u.demand().mx(), u.demand().my());
                offer(
                        CheckKind.COLUMN_BAR_ENDS,
                        m,
                        m / u.utilisation(),
                        u.utilisation(),
                        u.demand(),
                        code.detailing().hookClause());
                ends.explain(head, t);
            });
        }
    }

    /** Ties at bars that are bent out of their line at a step, and the lap of the lift with bars that are thicker below. */
    private void bent() {
        BentBarTies ties = BentBarTies.of(stack, lift.number(), whole, standing, basis);
        if (ties.force() > 0) {
            governing.offer(
                    CheckKind.COLUMN_BENT_BARS,
                    ties.force(),
                    ties.strength(),
                    At.named(lift.base(), lift.number(), "head"),
                    code.columns().crankTieClause());
        }
        length();
        LapHeight.most(stack, lift.number(), standing, basis)
                .ifPresent(l -> governing.offer(
                        CheckKind.COLUMN_LAP_HEIGHT,
                        l.needed(),
                        l.has(),
                        At.named(lift.base(), lift.number(), l.foot() ? "foot" : "head"),
                        code.detailing().lapClause()));
        LapGap.worst(stack, lift.number(), standing, cage, upper(), basis)
                .ifPresent(g -> governing.offer(
                        CheckKind.COLUMN_LAP_CLEAR,
                        g.needed(),
                        g.clear(),
                        g.part(),
                        At.named(lift.base(), lift.number(), g.foot() ? "foot" : "head"),
                        code.detailing().lapClearSpacingClause()));
        double apart = VerticalBars.dowelsApart(standing);
        if (apart > 0) {
            governing.offer(
                    CheckKind.COLUMN_DOWELS_APART,
                    apart,
                    VerticalBars.BESIDE,
                    At.named(lift.base(), lift.number(), "head"),
                    code.detailing().lapClause());
        }
        context.ductile().filter(DuctileColumns::lapsInMiddle).ifPresent(this::lapPlace);
    }

    private void lapPlace(DuctileColumns rules) {
        List<VerticalBars.Standing> below =
                lift.number() == 0 ? List.of() : VerticalBars.in(stack, lift.number() - 1, whole, basis);
        List<VerticalBars.Standing> begin = VerticalBars.of(stack, lift.number(), whole, basis);
        boolean laps = BarRuns.of(stack, whole, basis).begins(lift.number()) && !ColumnLaps.coupled(basis);
        Bar bar = cage.layout().largest();
        double length = Math.max(
                laps ? ColumnLaps.length(lift, bar, bar, basis) : 0,
                LapPlace.length(stack, lift.number(), begin, below, basis));
        if (length > 0) {
            governing.offer(CheckKind.COLUMN_LAP_PLACE, length, lift.between() / 2, whole(), rules.lapClause());
        }
    }

    /** Bars of a lift are one piece: as long as they are delivered at most. */
    private void length() {
        double longest = VerticalBars.longest(standing, basis);
        if (longest > 0) {
            governing.offer(CheckKind.COLUMN_BAR_LENGTH, longest, basis.bars().stockLength(), whole(), Clause.BASIS);
        }
    }

    /** The cage of the lift above, whatever its section; null where there is none. */
    private ColumnCage.LiftCage upper() {
        return lift.highest() ? null : whole.lifts().get(lift.number() + 1);
    }

    /** The cage of the lift above where it has the same section; null where there is none. */
    private static ColumnCage.LiftCage overhead(ColumnStack stack, ColumnCage whole, ColumnStack.Lift lift) {
        int next = lift.number() + 1;
        return next < stack.lifts().size() && stack.lifts().get(next).alike(lift)
                ? whole.lifts().get(next)
                : null;
    }

    /** Least steel over the gross area, for the section and for its compression. */
    public static double leastRatio(ColumnStack.Lift lift, ColumnContext context, LiftDemands demands) {
        DesignCode code = context.basis().designCode();
        double p = demands.greatestAxial();
        return Math.max(
                code.columns().columnMinimumRatio(),
                code.columns().columnMinimumSteel(p, context.basis().fy())
                        / lift.section().shape().A());
    }

    private At at(String combination, String place) {
        return At.named(lift.base(), lift.number(), place).under(combination);
    }

    private At whole() {
        return At.named(lift.base(), lift.number(), WHOLE);
    }

    private String name(int combination) {
        return context.strength().combination(combination).name();
    }

    /** A place of a lift in words. */
    public static String words(LiftDemands.Demand d) {
        boolean middle = Math.abs(d.part() - 0.5) < 0.005;
        return d.place() == LiftDemands.Place.FOOT
                ? "foot"
                : d.place() == LiftDemands.Place.HEAD
                        ? "head"
                        : middle ? "middle" : String.format(java.util.Locale.ROOT, "%.2f of the height", d.part());
    }

    /**
     * A demand with its exact utilisation, for tables and diagrams.
     *
     * @param capacityFactor what the demand may be multiplied by to reach the surface
     */
    public record Solved(LiftDemands.Demand demand, double utilisation) {}

    /** Every demand of a lift solved exactly, worst first. */
    public static List<Solved> solve(ColumnStack.Lift lift, ColumnCage.LiftCage cage, ColumnContext context) {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), cage);
        return LiftDemands.of(lift, cage, context).stream()
                .map(d -> new Solved(
                        d, d.stable() ? surface.exact(d.p(), d.mx(), d.my()).utilisation() : CheckResult.NO_CAPACITY))
                .sorted(java.util.Comparator.comparingDouble(Solved::utilisation)
                        .reversed())
                .toList();
    }

    /**
     * Tells what is checked beside bending, shear and torsion of one combination, and the worst of every other check.
     *
     * @param over demands of the lift above, or null
     */
    static void tell(
            ColumnStack stack,
            ColumnCage whole,
            LiftDemands demands,
            EndMoments ends,
            LiftDemands over,
            ColumnContext context,
            Trace t) {
        ColumnCheck c = new ColumnCheck(stack, whole, demands.lift(), context, demands);
        c.limits();
        c.torsion();
        c.steel();
        c.below();
        c.ends(t);
        c.bent();
        c.ties(ends);
        if (c.cage.wound()) {
            t.say("Spiral", "its volume over that of the core", c.code.spirals().ratioClause());
            SpiralCheck.offer(c.lift, c.cage, c.basis, c.whole(), c.governing, t);
        }
        c.ductile(ends, t);
        c.joint(over, t);
        t.say("Lift", "Worst of every other check", Clause.NONE);
        c.governing.results().forEach(r -> r.explain(t));
    }

    /** What a ductile frame asks for, step by step; the joints follow. */
    private void ductile(EndMoments ends, Trace t) {
        context.ductile().ifPresent(rules -> {
            t.say("Shear from the strength of the ends", "", rules.capacityShearClause());
            ends.explain(0, rules, t);
            ends.explain(1, rules, t);
            t.say("Hoops that confine the core", "", rules.confinementClause());
            new DuctileColumnCheck(lift, cage, context, rules, demands, governing).confinement(t);
        });
    }
}
