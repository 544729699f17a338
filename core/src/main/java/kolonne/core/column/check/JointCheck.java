package kolonne.core.column.check;

import static kolonne.core.explain.Trace.in;

import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.JointRules;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.joint.BeamEnd;
import kolonne.core.joint.Framing;
import kolonne.core.shape.Shape;

/** The joint at the head of a lift of a ductile frame: strength of its columns against its beams, and its shear, along both axes. */
final class JointCheck {
    /** Place of what is said of the joint at a lift's head. */
    static final String JOINT = "joint at the head";

    private final ColumnStack stack;
    private final ColumnStack.Lift lift;
    private final ColumnCage cage;
    private final ColumnContext context;
    private final JointRules rules;
    private final LiftDemands demands;
    private final LiftDemands over;
    private final Governing governing;
    private final Shape shape;

    /** @param over demands of the lift above; null where nothing stands on the joint */
    JointCheck(
            ColumnStack stack,
            ColumnStack.Lift lift,
            ColumnCage cage,
            ColumnContext context,
            JointRules rules,
            LiftDemands demands,
            LiftDemands over,
            Governing governing) {
        this.stack = stack;
        this.lift = lift;
        this.cage = cage;
        this.context = context;
        this.rules = rules;
        this.demands = demands;
        this.over = over;
        this.governing = governing;
        this.shape = lift.section().shape();
    }

    void run(Trace t) {
        for (int axis = 0; axis < 2; axis++) {
            Framing f = EndMoments.framing(lift, axis, true, context);
            if (!f.frames().isEmpty()) {
                t.say("Joint at the head, along " + (axis == 0 ? "x" : "y"), "", rules.forcesClause());
                strongColumn(axis, f, t);
                shear(axis, f, t);
                depth(axis, f);
            }
        }
    }

    private At at() {
        return At.named(lift.top(), lift.number(), JOINT);
    }

    private ColumnStack.Lift above() {
        return lift.highest() ? null : stack.lifts().get(lift.number() + 1);
    }

    /** Strength of a lift at the joint as the frame sways. @param sense compression towards the axis of the lift below (1), or away from it */
    private double lowest(ColumnStack.Lift l, int axis, int sense, LiftDemands d) {
        double theta = ColumnStrengths.direction(lift, axis, l) + (sense > 0 ? 0 : Math.PI);
        return ColumnStrengths.lowest(l, cage.lifts().get(l.number()), theta, d, context);
    }

    private void strongColumn(int axis, Framing f, Trace t) {
        ColumnStack.Lift above = above();
        if (rules.strongColumn() <= 0
                || above == null
                        && rules.topIsFree(
                                demands.earthquakeAxial()[1],
                                shape.A(),
                                lift.material().fc())) {
            return;
        }
        double below = 0;
        double upper = 0;
        double least = Double.POSITIVE_INFINITY;
        // the columns below and above are compressed on opposite sides as the frame sways
        for (int sense : ColumnStrengths.senses(lift, above)) {
            double b = lowest(lift, axis, sense, demands);
            double u = above == null ? 0 : lowest(above, axis, -sense, over);
            below = b + u < least ? b : below;
            upper = b + u < least ? u : upper;
            least = Math.min(least, b + u);
        }
        double beams = f.moment(BeamEnd::nominal);
        governing.offer(
                axis == 0 ? CheckKind.COLUMN_STRONG_X : CheckKind.COLUMN_STRONG_Y,
                rules.strongColumn() * beams,
                below + upper,
                at(),
                rules.strongColumnClause());
        if (t.on()) {
            t.step(
                    "ΣMnc",
                    "lowest strengths of the columns below and above with earthquake",
                    "{0} + {1}",
                    below + upper,
                    Quantity.MOMENT,
                    rules.strongColumnClause(),
                    in(below, Quantity.MOMENT),
                    in(upper, Quantity.MOMENT));
            t.step(
                    "ΣMnb",
                    "hogging strength on one side, sagging on the other, the worse sense",
                    f.frames().size() + (f.frames().size() == 1 ? " beam" : " beams"),
                    beams,
                    Quantity.MOMENT,
                    rules.strongColumnClause());
            t.step(
                    "use",
                    rules.strongColumn() + " ΣMnb / ΣMnc",
                    "",
                    rules.strongColumn() * beams / (below + upper),
                    Quantity.UTILISATION,
                    rules.strongColumnClause());
        }
    }

    /** On the plane at mid-height: the beams' bars in tension, less the shear of the column above. */
    private void shear(int axis, Framing f, Trace t) {
        ColumnStack.Lift above = above();
        double bars = f.force(rules.steelFactor() * context.basis().fy());
        double moment = f.moment(BeamEnd::factored);
        double heights = above == null ? 0 : (lift.top() - lift.base() + above.top() - above.base()) / 2;
        double column = heights > 0 ? moment / heights : 0;
        double v = Math.max(0, bars - column);
        double h = side(shape, axis);
        double b = across(shape, axis);
        boolean held = EndMoments.framing(lift, 1 - axis, true, context).holds(rules.confiningWidth() * h);
        double fc = Math.min(lift.material().fc(), f.weakest());
        if (t.on()) {
            t.step(
                    "Vu",
                    "ΣT − Vcol, with " + rules.steelFactor() + " fy",
                    "{0} − {1}",
                    v,
                    Quantity.FORCE,
                    rules.forcesClause(),
                    in(bars, Quantity.FORCE),
                    in(column, Quantity.FORCE));
        }
        double strength = rules.shear(
                new JointRules.Joint(above != null, f.bothSides(), held, fc, h, rules.width(f.narrowest(), h, b)), t);
        governing.offer(
                axis == 0 ? CheckKind.COLUMN_JOINT_SHEAR_X : CheckKind.COLUMN_JOINT_SHEAR_Y,
                v,
                strength,
                at(),
                rules.shearClause());
    }

    /** Side of the column along x (0) or y (1); that of the square of the same area for a round one (ACI 352R-02). */
    static double side(Shape shape, int axis) {
        return shape instanceof Shape.Circle ? Math.sqrt(shape.A()) : axis == 0 ? shape.width() : shape.depth();
    }

    /** Width of the column across x (0) or y (1); of an ell or a tee that of the leg along it. */
    static double across(Shape s, int axis) {
        return s instanceof Shape.Flanged f ? axis == 0 ? f.hf() : f.bw() : side(s, 1 - axis);
    }

    private void depth(int axis, Framing f) {
        double h = side(shape, axis);
        if (rules.columnOverBeam() > 0) {
            governing.offer(
                    CheckKind.COLUMN_JOINT_DEPTH,
                    rules.columnOverBeam() * f.deepest(),
                    h,
                    at(),
                    rules.columnOverBeamClause());
        }
        if (f.deepest() > rules.deepBeam() * h) {
            governing.offer(
                    CheckKind.COLUMN_JOINT_DEEP_BEAM, f.deepest(), rules.deepBeam() * h, at(), rules.deepBeamClause());
        }
    }
}
