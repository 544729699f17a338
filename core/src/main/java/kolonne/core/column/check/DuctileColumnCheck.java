package kolonne.core.column.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.DuctileColumns;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnLaps;
import kolonne.core.column.cage.HoopCore;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/** Proportions, steel, hoops and laps of a lift of a ductile frame. Spacings of hoops are checked with the other ties. */
public final class DuctileColumnCheck {
    private final ColumnStack.Lift lift;
    private final ColumnCage.LiftCage cage;
    private final Basis basis;
    private final DuctileColumns rules;
    private final Governing governing;
    private final Shape shape;
    private final double p;

    DuctileColumnCheck(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            DuctileColumns rules,
            LiftDemands demands,
            Governing governing) {
        this.lift = lift;
        this.cage = cage;
        this.basis = context.basis();
        this.rules = rules;
        this.governing = governing;
        this.shape = lift.section().shape();
        this.p = demands.earthquakeAxial()[1];
    }

    /** Whether hoops can hold an arrangement of bars, and these lap and develop in the height. */
    public static boolean suits(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            DuctileColumns rules,
            LiftDemands demands) {
        Governing g = new Governing((x, number) -> ColumnCheck.WHOLE);
        DuctileColumnCheck c = new DuctileColumnCheck(lift, cage.holdingAll(), context, rules, demands, g);
        c.steel();
        c.held();
        c.laps();
        c.development();
        return g.results().stream().allMatch(CheckResult::satisfied);
    }

    void run() {
        proportions();
        steel();
        held();
        confinement(Trace.OFF);
        development();
    }

    private At at(String words) {
        return At.named(lift.base(), lift.number(), words);
    }

    private void proportions() {
        if (rules.leastSide() > 0) {
            double[] sides = sides();
            governing.offer(
                    CheckKind.COLUMN_LEAST_SIDE,
                    rules.leastSide(),
                    sides[0],
                    at(ColumnCheck.WHOLE),
                    rules.proportionsClause());
            governing.offer(
                    CheckKind.COLUMN_SIDE_RATIO,
                    rules.leastSideRatio(),
                    sides[0] / sides[1],
                    at(ColumnCheck.WHOLE),
                    rules.proportionsClause());
        }
    }

    /** The shortest dimension on a line through the centroid, and that across it [mm]. */
    private double[] sides() {
        return shape instanceof Shape.Flanged f
                ? Legs.of(f).shortest()
                : new double[] {Math.min(shape.width(), shape.depth()), Math.max(shape.width(), shape.depth())};
    }

    private void steel() {
        if (Double.isFinite(rules.mostRatio())) {
            governing.offer(
                    CheckKind.COLUMN_DUCTILE_MOST,
                    cage.area() / shape.A(),
                    rules.mostRatio(),
                    at(ColumnCheck.WHOLE),
                    rules.ratioClause());
        }
        if (cage.layout() instanceof RingBars && rules.fewestRoundBars() > 0) {
            governing.offer(
                    CheckKind.COLUMN_ROUND_BARS,
                    rules.fewestRoundBars(),
                    cage.count(),
                    at(ColumnCheck.WHOLE),
                    rules.roundBarsClause());
        }
    }

    /** Distance of held bars, and every bar held where the compression is high. */
    private void held() {
        if (cage.layout() instanceof RingBars) {
            return;
        }
        boolean every = rules.everyBarHeld(p, shape.A(), lift.material().fc());
        double limit = rules.heldDistance(every);
        if (Double.isFinite(limit)) {
            governing.offer(
                    CheckKind.COLUMN_HELD_DISTANCE,
                    TieLimits.held(lift, cage, basis),
                    limit,
                    at(ColumnCheck.WHOLE),
                    rules.heldClause());
        }
        if (every) {
            governing.offer(
                    CheckKind.COLUMN_EVERY_BAR_HELD,
                    cage.count(),
                    cage.count() - cage.layout().loose(),
                    at(ColumnCheck.WHOLE),
                    rules.heldClause());
        }
    }

    /** Hoops round the core over the length of closer hoops, legs in each direction. */
    void confinement(Trace t) {
        double tie = cage.tie().area();
        double s = cage.ties().end();
        if (!(cage.layout() instanceof RingBars)) {
            HoopCore hoops = HoopCore.of(shape, cage.layout(), basis.columnCover());
            double needed = rules.confinement(confined(hoops.area(), hoops.held(), false), t);
            for (HoopCore.Cut c : needed > 0 ? hoops.cuts() : List.<HoopCore.Cut>of()) {
                offer(
                        c.axis() == 0 ? CheckKind.COLUMN_CONFINEMENT_X : CheckKind.COLUMN_CONFINEMENT_Y,
                        needed,
                        c.legs() * tie / (s * c.width()));
            }
            return;
        }
        double core = shape.width() - 2 * basis.columnCover();
        double needed = rules.confinement(confined(Math.PI * core * core / 4, cage.count(), true), t);
        if (needed > 0) {
            offer(
                    CheckKind.COLUMN_CONFINEMENT_X,
                    needed,
                    4 * tie * (core - cage.tie().diameter()) / (core * core * s));
        }
    }

    private DuctileColumns.Confinement confined(double ach, int heldBars, boolean round) {
        return new DuctileColumns.Confinement(shape.A(), ach, lift.material().fc(), basis.fyt(), p, heldBars, round);
    }

    private void offer(CheckKind kind, double needed, double has) {
        governing.offer(kind, needed, has, at(ColumnTieCheck.ENDS), rules.confinementClause());
    }

    /** Laps in the middle half of the clear height. */
    private void laps() {
        if (rules.lapsInMiddle() && !ColumnLaps.coupled(basis)) {
            governing.offer(
                    CheckKind.COLUMN_LAP_PLACE,
                    ColumnLaps.length(
                            lift, cage.layout().largest(), cage.layout().largest(), basis),
                    lift.between() / 2,
                    at(ColumnCheck.WHOLE),
                    rules.lapClause());
        }
    }

    /** Bars thin enough to develop within the height. */
    private void development() {
        if (rules.developmentFactor() > 0) {
            double gap = java.util.Arrays.stream(cage.layout().gaps(shape, ColumnTieCheck.inset(cage, basis)))
                    .min()
                    .orElseThrow();
            double development = basis.designCode()
                    .detailing()
                    .developmentLength(
                            cage.layout().largest(),
                            lift.material().fc(),
                            basis.fy(),
                            false,
                            gap,
                            basis.columnCover(),
                            true);
            governing.offer(
                    CheckKind.COLUMN_DEVELOPMENT,
                    rules.developmentFactor() * development,
                    lift.between() / 2,
                    at(ColumnCheck.WHOLE),
                    rules.developmentClause());
        }
    }
}
