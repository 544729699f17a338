package kolonne.core.column.check;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileColumns;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/** Fit of bars, ties, shear in both directions and torsion of a lift. */
public final class ColumnTieCheck {
    /** Place of what holds for the ties next to the joints. */
    public static final String ENDS = "next to the joints";

    private final ColumnStack.Lift lift;
    private final ColumnCage.LiftCage cage;
    private final ColumnContext context;
    private final Basis basis;
    private final DesignCode code;
    private final LiftDemands demands;
    private final Governing governing;
    private final Shape shape;
    private final EndMoments ends;

    /** @param ends shear that comes with the strength of the lift's ends */
    public ColumnTieCheck(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            LiftDemands demands,
            EndMoments ends,
            Governing governing) {
        this.lift = lift;
        this.cage = cage;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.demands = demands;
        this.governing = governing;
        this.shape = lift.section().shape();
        this.ends = ends;
    }

    public void run() {
        clearDistances();
        ties();
        shear();
        new ColumnTorsion(lift, cage, context, demands).ties(ends, governing);
        context.ductile()
                .ifPresent(rules -> new DuctileColumnCheck(lift, cage, context, rules, demands, governing).run());
    }

    private At whole() {
        return At.named(lift.base(), lift.number(), ColumnCheck.WHOLE);
    }

    private void clearDistances() {
        double least = Double.POSITIVE_INFINITY;
        for (double g : cage.layout().gaps(shape, inset(cage, basis))) {
            least = Math.min(least, g);
        }
        double needed =
                code.detailing().columnClearSpacing(cage.layout().largest().diameter(), basis.aggregate());
        governing.offer(
                CheckKind.COLUMN_CLEAR_SPACING,
                needed,
                least,
                whole(),
                code.detailing().columnClearSpacingClause());
        int fewest = cage.wound()
                ? code.spirals().fewestBars()
                : code.columns().columnFewestBars(cage.layout() instanceof RingBars);
        governing.offer(
                CheckKind.COLUMN_BAR_COUNT,
                fewest,
                cage.count(),
                (double) fewest / cage.count(),
                whole(),
                cage.wound()
                        ? code.spirals().fewestBarsClause()
                        : code.columns().columnFewestBarsClause());
    }

    private void ties() {
        Bar thick = cage.layout().largest();
        double tieNeeded =
                cage.wound() ? code.spirals().smallest(thick) : code.columns().smallestTie(thick);
        governing.offer(
                CheckKind.COLUMN_TIE_SIZE,
                tieNeeded,
                cage.tie().diameter(),
                tieNeeded / cage.tie().diameter(),
                whole(),
                cage.wound() ? code.spirals().smallestClause() : code.columns().smallestTieClause());
        double[] gaps = cage.layout().gaps(shape, inset(cage, basis));
        if (cage.layout() instanceof RectangleBars r) {
            held(CheckKind.COLUMN_BARS_HELD_X, r.heldX(), gaps[0]);
            held(CheckKind.COLUMN_BARS_HELD_Y, r.heldY(), gaps[1]);
        } else if (cage.layout() instanceof LegBars l) {
            held(CheckKind.COLUMN_BARS_HELD_Y, l.heldWeb(), gaps[0]);
            held(CheckKind.COLUMN_BARS_HELD_X, l.heldFlange(), gaps[1]);
        }
    }

    /** Every corner and alternate bar is held, and no bar is farther than the limit from a held one. */
    private void held(CheckKind kind, List<Boolean> held, double gap) {
        double limit = code.columns().greatestUnheldDistance();
        int run = 0;
        int longest = 0;
        for (boolean h : held) {
            run = h ? 0 : run + 1;
            longest = Math.max(longest, run);
        }
        boolean corners = held.get(0) && held.get(held.size() - 1);
        double u = !corners || longest > 1 ? 2 : longest == 1 ? gap / limit : 0;
        if (u > 0) {
            governing.offer(
                    kind,
                    longest > 1 || !corners ? 2 * limit : gap,
                    limit,
                    u,
                    whole(),
                    code.columns().tieArrangementClause());
        }
    }

    private void shear() {
        boolean counts = false;
        boolean high = false;
        for (int c = 0; c < context.strength().count(); c++) {
            double nu = demands.leastAxial(c);
            double[] u = new double[2];
            At at = whole().under(context.strength().combination(c).name());
            for (int axis = 0; axis < 2; axis++) {
                double v = demands.shear(c, axis == 0 ? Analysis.VY : Analysis.VZ);
                ShearStrength s = along(axis, v, nu, at);
                u[axis] = v / s.total();
                counts |= code.columns().columnShearCounts(v, s);
                high |= v - s.concrete() > 0.5 * (s.limit() - s.concrete());
            }
            // Shear in both directions at once: the sum is limited where both exceed half (22.5.1.10, 22.5.1.11)
            if (u[0] > 0.5 && u[1] > 0.5) {
                governing.offer(
                        CheckKind.COLUMN_SHEAR_BOTH,
                        u[0] + u[1],
                        code.columns().shearBothWays(),
                        (u[0] + u[1]) / code.columns().shearBothWays(),
                        at,
                        code.columns().shearBothWaysClause());
            }
        }
        for (int axis = 0; axis < 2; axis++) {
            if (ends.shear(axis) > 0) {
                ShearStrength s = fromEndMoments(axis);
                counts |= code.columns().columnShearCounts(ends.shear(axis), s);
                high |= ends.shear(axis) - s.concrete() > 0.5 * (s.limit() - s.concrete());
            }
        }
        spacing(counts, high);
    }

    /** Shear of one axis with an axial force, ties as they are between the ends. */
    private ShearStrength along(int axis, double v, double nu, At at) {
        ShearStrength s = code.shear(input(axis, nu), Trace.OFF);
        governing.offer(
                axis == 0 ? CheckKind.COLUMN_SHEAR_X : CheckKind.COLUMN_SHEAR_Y,
                v,
                s.total(),
                v / s.total(),
                at,
                code.shearClause());
        governing.offer(
                axis == 0 ? CheckKind.COLUMN_SHEAR_LIMIT_X : CheckKind.COLUMN_SHEAR_LIMIT_Y,
                v,
                s.limit(),
                v / s.limit(),
                at,
                code.shearLimitClause());
        if (code.columns().columnMinimumTies() && code.columns().columnShearCounts(v, s)) {
            double avs = input(axis, nu).avs();
            governing.offer(
                    axis == 0 ? CheckKind.COLUMN_MINIMUM_TIES_X : CheckKind.COLUMN_MINIMUM_TIES_Y,
                    s.minimumAvs(),
                    avs,
                    s.minimumAvs() / avs,
                    at,
                    code.columns().columnMinimumTiesClause());
        }
        return s;
    }

    /** Shear from the strength of the ends, between them and next to the joints, where the concrete may carry none. */
    private ShearStrength fromEndMoments(int axis) {
        DuctileColumns rules = context.ductile().orElseThrow();
        double v = ends.shear(axis);
        double nu = demands.earthquakeAxial()[0];
        ShearStrength s = along(axis, v, nu, whole());
        if (lostAtEnds(lift, context, nu)) {
            ShearStrength close = code.shear(endInput(lift, cage, basis, axis, nu), Trace.OFF);
            double ties = close.total() - close.concrete();
            governing.offer(
                    axis == 0 ? CheckKind.COLUMN_SHEAR_X : CheckKind.COLUMN_SHEAR_Y,
                    v,
                    ties,
                    v / ties,
                    At.named(lift.base(), lift.number(), ENDS),
                    rules.withoutConcreteClause());
        }
        return s;
    }

    /** Whether the concrete carries no shear next to the joints; the end moments make all of the shear there. */
    static boolean lostAtEnds(ColumnStack.Lift lift, ColumnContext context, double nu) {
        return context.ductile()
                .filter(r -> r.withoutConcrete(
                        nu, lift.section().shape().A(), lift.material().fc()))
                .isPresent();
    }

    private void spacing(boolean counts, boolean high) {
        TieSpacing has = cage.ties();
        TieSpacing limit = TieLimits.of(lift, cage, context, counts, high);
        boolean clear = cage.wound()
                && limit.middle() > code.spirals().mostClear() + cage.tie().diameter() - 1e-6;
        governing.offer(
                CheckKind.COLUMN_TIE_SPACING,
                has.middle(),
                limit.middle(),
                whole(),
                clear
                        ? code.spirals().clearClause()
                        : context.ductile()
                                .filter(r -> Double.isFinite(
                                        r.spacingElsewhere(cage.layout().smallest(), basis.fy())))
                                .map(DuctileColumns::spacingElsewhereClause)
                                .orElse(code.columns().columnTieSpacingClause()));
        if (cage.wound()) {
            SpiralCheck.offer(lift, cage, basis, whole(), governing, Trace.OFF);
        }
        At ends = At.named(lift.base(), lift.number(), ENDS);
        if (Math.max(limit.foot(), limit.head()) > 0) {
            Clause clause = context.ductile()
                    .filter(r -> r.reach(1, lift.clear()) > 0)
                    .map(DuctileColumns::hoopClause)
                    .orElse(code.columns().endTieClause());
            governing.offer(
                    CheckKind.COLUMN_END_TIES, has.foot() > 0 ? has.end() : has.middle(), limit.end(), ends, clause);
            reach(limit, clause, ends);
        }
        if (lift.inFoot() + lift.inHead() > 0 && Double.isFinite(limit.joint())) {
            governing.offer(
                    CheckKind.COLUMN_JOINT_TIES,
                    has.joint(),
                    limit.joint(),
                    At.named(lift.base(), lift.number(), "in the joints"),
                    context.ductile()
                            .map(DuctileColumns::jointSpacingClause)
                            .orElse(code.columns().jointTieClause()));
        }
    }

    /** How far closer ties reach; those between do where they are as close. Of ties that are as far apart everywhere their spacing tells. */
    private void reach(TieSpacing limit, Clause clause, At at) {
        TieSpacing has = cage.ties();
        if (has.middle() > limit.end() + 1e-9 && Math.max(has.foot(), has.head()) > 0) {
            boolean foot = limit.foot() * has.head() >= limit.head() * has.foot();
            governing.offer(
                    CheckKind.COLUMN_END_REACH,
                    foot ? limit.foot() : limit.head(),
                    foot ? has.foot() : has.head(),
                    at,
                    clause);
        }
    }

    private ShearInput input(int axis, double nu) {
        return shearInput(lift, cage, basis, axis, nu);
    }

    /** The section as it resists shear along x (axis 0) or y (axis 1), with its ties between the ends. */
    static ShearInput shearInput(ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis, int axis, double nu) {
        return shearInput(lift, cage, basis, axis, nu, cage.ties().middle());
    }

    /** The same with the ties next to the joints. */
    static ShearInput endInput(ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis, int axis, double nu) {
        return shearInput(lift, cage, basis, axis, nu, cage.ties().end());
    }

    private static ShearInput shearInput(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis, int axis, double nu, double spacing) {
        Shape s = lift.section().shape();
        // of an ell or a tee the leg that lies along the shear
        double bw = s instanceof Shape.Flanged f ? axis == 0 ? f.hf() : f.bw() : axis == 0 ? s.depth() : s.width();
        double d = cage.layout().effectiveDepth(s, inset(cage, basis), axis);
        double part =
                cage.layout() instanceof RingBars ? basis.designCode().columns().roundTiePart() : 1;
        double legs =
                part * (axis == 0 ? cage.layout().legsAlongX() : cage.layout().legsAlongY());
        return new ShearInput(
                lift.material().fc(),
                basis.fyt(),
                bw,
                d,
                s.A(),
                stretched(s, cage, basis, axis) / (bw * d),
                legs * cage.tie().area() / spacing,
                nu);
    }

    /** Bars that count as those in tension: half of all, or of those in the leg along the shear [mm2]. */
    private static double stretched(Shape s, ColumnCage.LiftCage cage, Basis basis, int axis) {
        if (!(s instanceof Shape.Flanged f)) {
            return cage.area() / 2;
        }
        Legs legs = Legs.of(f);
        return cage.bars(s, basis.columnCover()).stream()
                        .filter(b -> axis == 0 ? legs.inFlange(b.y()) : legs.inWeb(b.x()))
                        .mapToDouble(PlacedBar::area)
                        .sum()
                / 2;
    }

    /** From the surface to the bars [mm]. */
    public static double inset(ColumnCage.LiftCage cage, Basis basis) {
        return basis.columnCover() + cage.tie().diameter();
    }
}
