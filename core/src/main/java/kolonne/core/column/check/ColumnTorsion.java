package kolonne.core.column.check;

import static kolonne.core.explain.Trace.in;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.section.ColumnTube;
import kolonne.core.section.Developed;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.TorsionTube;

/**
 * Torsion of a lift, where a combination's torque passes the threshold: closed ties beside their shear, the limit of the concrete, and bars that are pulled all
 * round and have so much less to give to bending (ACI 318-19 10.5.4, 9.5.4, 22.7; EN 1992-1-1 6.3).
 */
public final class ColumnTorsion {
    /** Of the threshold without axial force: so much is neglected whatever tension does to the threshold, and less is not shown. */
    private static final double NEGLECTED = 0.05;

    private final ColumnStack.Lift lift;
    private final ColumnCage.LiftCage cage;
    private final ColumnContext context;
    private final Basis basis;
    private final DesignCode code;
    private final Torsion rules;
    private final LiftDemands demands;
    private final double plain;
    private List<PlacedBar> bars;
    private ColumnTube tube;

    ColumnTorsion(ColumnStack.Lift lift, ColumnCage.LiftCage cage, ColumnContext context, LiftDemands demands) {
        this.lift = lift;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.rules = code.torsion();
        this.demands = demands;
        this.plain =
                ColumnTube.threshold(lift.section().shape(), lift.material().fc(), 0, code, Trace.OFF);
    }

    private List<PlacedBar> bars() {
        bars = bars != null ? bars : cage.bars(lift.section().shape(), basis.columnCover());
        return bars;
    }

    /** Made where torsion counts, which is seldom. */
    private ColumnTube tube() {
        if (tube == null) {
            TorsionTube.Wall wall = new TorsionTube.Wall(
                    basis.columnCover(),
                    cage.tie().diameter(),
                    cage.layout().largest().diameter());
            tube = ColumnTube.of(lift.section().shape(), lift.material().fc(), basis.fy(), basis.fyt(), wall, code);
        }
        return tube;
    }

    /** Torque of a combination that may be neglected, with its least compression [Nmm]. */
    private double threshold(int c, Trace t) {
        double with =
                ColumnTube.threshold(lift.section().shape(), lift.material().fc(), demands.leastAxial(c), code, t);
        return Math.max(with, NEGLECTED * plain);
    }

    boolean counts(int c) {
        double torque = demands.torque(c);
        return torque > NEGLECTED * plain && torque > threshold(c, Trace.OFF);
    }

    private boolean counts() {
        for (int c = 0; c < context.strength().count(); c++) {
            if (counts(c)) {
                return true;
            }
        }
        return false;
    }

    /** Ties: what they carry of torque and shear, the concrete between them, their distance and that of the bars. @param ends shear that comes with their strength */
    void ties(EndMoments ends, Governing governing) {
        boolean any = false;
        for (int c = 0; c < context.strength().count(); c++) {
            double torque = demands.torque(c);
            At at = whole().under(context.strength().combination(c).name());
            if (counts(c)) {
                any = true;
                resisted(c, torque, at, governing);
            } else if (torque > NEGLECTED * plain) {
                double threshold = threshold(c, Trace.OFF);
                governing.offer(
                        CheckKind.COLUMN_TORSION_THRESHOLD,
                        torque,
                        threshold,
                        torque / threshold,
                        at,
                        rules.thresholdClause());
            }
        }
        if (any) {
            besideEnds(ends, governing);
            places(governing);
        }
    }

    private void resisted(int c, double torque, At at, Governing governing) {
        for (int axis = 0; axis < 2; axis++) {
            TorsionSection s = tube().along(axis).orElse(null);
            if (s == null) {
                continue;
            }
            leg(axis, rules.legSteel(torque, s, Trace.OFF) + share(c, axis), leg(), at, governing);
            limit(axis, torque, limit(c, axis, s, Trace.OFF), at, governing);
        }
        double longitudinal = rules.longitudinalSteel(torque, tube().section(), Trace.OFF);
        double area = tube().bars(bars()).stream().mapToDouble(PlacedBar::area).sum();
        governing.offer(
                CheckKind.COLUMN_TORSION_BARS, longitudinal, area, longitudinal / area, at, rules.thrustClause());
    }

    /** The shear that comes with the strength of the ends beside the largest torque of a combination with earthquake; of all where there is none. */
    private void besideEnds(EndMoments ends, Governing governing) {
        OptionalInt most = largest();
        if (most.isEmpty()) {
            return;
        }
        double torque = demands.torque(most.getAsInt());
        At at = whole().under(context.strength().combination(most.getAsInt()).name());
        double nu = demands.earthquakeAxial()[0];
        for (int axis = 0; axis < 2; axis++) {
            TorsionSection s = tube().along(axis).orElse(null);
            double v = ends.shear(axis);
            if (s == null || v <= 0) {
                continue;
            }
            ShearInput in = ColumnTieCheck.shearInput(lift, cage, basis, axis, nu);
            leg(
                    axis,
                    rules.legSteel(torque, s, Trace.OFF)
                            + share(in, v, cage.ties().middle()),
                    leg(),
                    at,
                    governing);
            if (ColumnTieCheck.lostAtEnds(lift, context, nu)) {
                double needed = rules.legSteel(torque, s, Trace.OFF) + shareAtEnds(axis, v, nu);
                At beside = At.named(lift.base(), lift.number(), ColumnTieCheck.ENDS)
                        .under(at.combination());
                leg(axis, needed, legAtEnds(), beside, governing);
            }
            double use = rules.limitUse(
                    v, torque, s, in.d(), code.shear(in, Trace.OFF).limit(), Trace.OFF);
            limit(axis, torque, use, at, governing);
        }
    }

    /** The combination with the largest torque that counts, of those with earthquake where there are any. */
    private OptionalInt largest() {
        int[] with = IntStream.range(0, context.strength().count())
                .filter(context.strength()::hasEarthquake)
                .toArray();
        return (with.length > 0
                        ? IntStream.of(with)
                        : IntStream.range(0, context.strength().count()))
                .filter(this::counts)
                .reduce((a, b) -> demands.torque(b) > demands.torque(a) ? b : a);
    }

    private double shear(int c, int axis) {
        return demands.shear(c, axis == 0 ? Analysis.VY : Analysis.VZ);
    }

    private ShearInput input(int c, int axis) {
        return ColumnTieCheck.shearInput(lift, cage, basis, axis, demands.leastAxial(c));
    }

    /** Of the ties for shear along an axis, what each leg carries [mm2/mm]. */
    private double share(int c, int axis) {
        return share(input(c, axis), shear(c, axis), cage.ties().middle());
    }

    private double share(ShearInput in, double v, double spacing) {
        double legs = in.avs() * spacing / cage.tie().area();
        return code.shearSteelBesideTorsion(in, v) / Math.max(1, legs);
    }

    /** The same next to the joints, where the concrete carries none of it. */
    private double shareAtEnds(int axis, double v, double nu) {
        ShearInput close = ColumnTieCheck.endInput(lift, cage, basis, axis, nu);
        return code.shearSteelWithoutConcrete(close, v) * legAtEnds() / close.avs();
    }

    /** No ties carry a shear past the limit of the concrete, which its own check and that of the limit tell. @param needed of each leg [mm2/mm]; {@code leg} that it has */
    private void leg(int axis, double needed, double leg, At at, Governing governing) {
        if (Double.isFinite(needed)) {
            governing.offer(kind(axis), needed, leg, needed / leg, at, rules.legClause());
        }
    }

    /** Of each leg between the ends [mm2/mm]. */
    private double leg() {
        return cage.tie().area() / cage.ties().middle();
    }

    private double legAtEnds() {
        return cage.tie().area() / cage.ties().end();
    }

    private static CheckKind kind(int axis) {
        return axis == 0 ? CheckKind.COLUMN_TORSION_X : CheckKind.COLUMN_TORSION_Y;
    }

    private void limit(int axis, double torque, double use, At at, Governing governing) {
        governing.offer(
                axis == 0 ? CheckKind.COLUMN_TORSION_LIMIT_X : CheckKind.COLUMN_TORSION_LIMIT_Y,
                torque,
                torque / Math.max(use, 1e-9),
                use,
                at,
                rules.limitClause());
    }

    private double limit(int c, int axis, TorsionSection s, Trace t) {
        ShearInput in = input(c, axis);
        return rules.limitUse(
                shear(c, axis),
                demands.torque(c),
                s,
                in.d(),
                code.shear(in, Trace.OFF).limit(),
                t);
    }

    private void places(Governing governing) {
        double limit = rules.stirrupSpacing(tube().section());
        governing.offer(
                CheckKind.COLUMN_TORSION_SPACING, cage.ties().middle(), limit, whole(), rules.stirrupSpacingClause());
        double apart = tube().apart(bars());
        governing.offer(CheckKind.COLUMN_TORSION_BAR_SPACING, apart, rules.barSpacing(), whole(), rules.barClause());
        double least = rules.leastBar(cage.ties().middle());
        governing.offer(
                CheckKind.COLUMN_TORSION_BAR_SIZE,
                least,
                cage.layout().smallest().diameter(),
                whole(),
                rules.barClause());
    }

    private At whole() {
        return At.named(lift.base(), lift.number(), ColumnCheck.WHOLE);
    }

    /** A demand with how far it uses what torsion leaves of the bars. */
    record Bent(LiftDemands.Demand demand, double utilisation) {}

    /** The demand of a combination with torsion that uses the bars most; empty where there is none. */
    Optional<Bent> bending(List<LiftDemands.Demand> all) {
        Map<Integer, StrengthSurface> left = new HashMap<>();
        Bent worst = null;
        for (LiftDemands.Demand d : all) {
            if (!d.stable() || !counts(d.combination())) {
                continue;
            }
            StrengthSurface s = left.computeIfAbsent(d.combination(), this::surface);
            double u = s.exact(d.p(), d.mx(), d.my()).utilisation();
            worst = worst == null || u > worst.utilisation ? new Bent(d, u) : worst;
        }
        return Optional.ofNullable(worst);
    }

    private StrengthSurface surface(int c) {
        return context.besides(lift, cage, left(c));
    }

    /** What a combination's torque leaves of the bars, in the order in which the cage tells them. */
    List<Developed> left(int c) {
        return tube().besides(demands.torque(c), bars(), code);
    }

    /** Whether a lift's bars bear all demands beside their torsion, and lie near enough round it. */
    public static boolean bears(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            LiftDemands demands,
            List<LiftDemands.Demand> all) {
        ColumnTorsion t = new ColumnTorsion(lift, cage, context, demands);
        return !t.counts()
                || t.tube().apart(t.bars()) <= t.rules.barSpacing() + 1e-6
                        && t.bending(all).map(b -> b.utilisation <= 1).orElse(true);
    }

    /** The torsion of a combination step by step; nothing of one that is hardly there. @param ends shear that comes with their strength */
    void explain(int c, List<LiftDemands.Demand> here, EndMoments ends, Trace t) {
        double torque = demands.torque(c);
        if (torque <= NEGLECTED * plain) {
            return;
        }
        t.say("Torsion", context.strength().combination(c).name(), rules.thresholdClause());
        ColumnTube.threshold(lift.section().shape(), lift.material().fc(), demands.leastAxial(c), code, t);
        double threshold = threshold(c, Trace.OFF);
        String use = code.notation().uses().torsion();
        t.step(
                use,
                use,
                "{0} / {1}",
                torque / threshold,
                Quantity.UTILISATION,
                rules.thresholdClause(),
                in(torque, Quantity.MOMENT),
                in(threshold, Quantity.MOMENT));
        if (!counts(c)) {
            t.say("", "Torsion may be neglected here.", rules.thresholdClause());
            return;
        }
        for (int axis = 0; axis < 2; axis++) {
            TorsionSection s = tube().along(axis).orElse(null);
            if (s != null) {
                leg(c, axis, s, t);
                besideEnds(c, axis, s, ends, t);
            }
        }
        double steel = rules.longitudinalSteel(torque, tube().section(), t);
        double area = tube().bars(bars()).stream().mapToDouble(PlacedBar::area).sum();
        t.step(
                "ft / fy",
                "of the bars round the tube, what torsion leaves to bending",
                "1 − {0} / {1}",
                Math.max(0, 1 - steel / area),
                Quantity.NUMBER,
                rules.thrustClause(),
                in(steel, Quantity.AREA),
                in(area, Quantity.AREA));
        bending(here)
                .ifPresent(b -> t.step(
                        code.notation().uses().flexure(),
                        "axial force with bending beside it, worst of the combination",
                        "",
                        b.utilisation,
                        Quantity.UTILISATION,
                        rules.thrustClause()));
    }

    private void leg(int c, int axis, TorsionSection s, Trace t) {
        t.say("Legs along " + (axis == 0 ? "x" : "y"), "torque and a share of the shear", rules.legClause());
        double torsion = rules.legSteel(demands.torque(c), s, t);
        legs(torsion, share(c, axis), leg(), t);
        limit(c, axis, s, t);
    }

    /** Of the combination that decides beside the shear from the strength of the ends. */
    private void besideEnds(int c, int axis, TorsionSection s, EndMoments ends, Trace t) {
        double v = ends.shear(axis);
        if (v <= 0 || largest().orElse(-1) != c) {
            return;
        }
        double nu = demands.earthquakeAxial()[0];
        ShearInput in = ColumnTieCheck.shearInput(lift, cage, basis, axis, nu);
        double torsion = rules.legSteel(demands.torque(c), s, Trace.OFF);
        t.say("", "beside the shear that comes with the strength of the ends", rules.legClause());
        t.step("Ve", "with the strength of the ends", "", v, Quantity.FORCE, Clause.NONE);
        legs(torsion, share(in, v, cage.ties().middle()), leg(), t);
        if (ColumnTieCheck.lostAtEnds(lift, context, nu)) {
            t.say("", "next to the joints, where the concrete carries none of it", rules.legClause());
            legs(torsion, shareAtEnds(axis, v, nu), legAtEnds(), t);
        }
        rules.limitUse(
                v, demands.torque(c), s, in.d(), code.shear(in, Trace.OFF).limit(), t);
    }

    private void legs(double torsion, double share, double leg, Trace t) {
        if (Double.isFinite(share)) {
            t.step(
                    "use",
                    "(At/s + share of Av/s) / (A/s)",
                    "({0} + {1}) / {2}",
                    (torsion + share) / leg,
                    Quantity.UTILISATION,
                    rules.legClause(),
                    in(torsion, Quantity.AREA_PER_LENGTH),
                    in(share, Quantity.AREA_PER_LENGTH),
                    in(leg, Quantity.AREA_PER_LENGTH));
        } else {
            t.say("", "No ties carry the shear, which is past the limit of the concrete.", rules.limitClause());
        }
    }
}
