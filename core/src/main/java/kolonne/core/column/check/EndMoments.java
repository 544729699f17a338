package kolonne.core.column.check;

import static kolonne.core.explain.Trace.in;

import kolonne.core.analysis.Analysis;
import kolonne.core.code.DuctileColumns;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.joint.BeamEnd;
import kolonne.core.joint.Framing;
import kolonne.core.model.Joint;
import kolonne.core.section.MomentAtForce;
import kolonne.core.section.PlaneSection;
import kolonne.core.shape.Shape;

/**
 * Shear of a lift when its ends reach the strength of their bars, by axis (ACI 318-19 18.3.3, 18.4.3.1, 18.7.6.1). An end whose joint has beams that
 * bring moments need bear no more than its part of what these can bring, where the code allows; an end without beams bears its own strength.
 */
public final class EndMoments {
    /** Without a ductile frame. */
    static final EndMoments NONE = new EndMoments(new Ends[2]);

    private final Ends[] ends;

    /**
     * For shear along x (0) or y (1).
     *
     * @param own   strength of the lift's bars as its foot bends; {@code other} as its head does, compressed on the other side; {@code foot}, {@code head}
     *              moments that its ends come to [Nmm]
     * @param shear that these bring [N]; {@code limit} that of earthquake with overstrength
     */
    private record Ends(double own, double other, double foot, double head, double clear, double shear, double limit) {
        double governing() {
            return Math.min(shear, limit);
        }
    }

    private EndMoments(Ends[] ends) {
        this.ends = ends;
    }

    /** Of a lift with its bars; none where the basis asks for none. */
    public static EndMoments of(
            ColumnStack stack,
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            ColumnContext context,
            LiftDemands demands) {
        if (context.ductile().isEmpty() || context.ductile().get().steelFactor() <= 0) {
            return NONE;
        }
        DuctileColumns rules = context.ductile().get();
        PlaneSection section = context.section(lift.section(), lift.material(), cage, rules.steelFactor());
        Ends[] out = new Ends[2];
        for (int axis = 0; axis < 2; axis++) {
            ColumnStack.Unbraced u = axis == 0 ? lift.aboutY() : lift.aboutX();
            double depth = axis == 0
                    ? lift.section().shape().width()
                    : lift.section().shape().depth();
            double clear = u.parts().size() > 1 ? u.length() : Math.min(u.length(), lift.between());
            if (clear > rules.shortest() * depth) {
                continue;
            }
            double[] p = demands.earthquakeAxial();
            double foot = brought(stack, lift, axis, false, context, rules);
            double head = brought(stack, lift, axis, true, context, rules);
            double theta = ColumnStrengths.direction(lift, axis, lift);
            double own = own(section, theta, p, Math.max(foot, head));
            double other = lift.legged() ? own(section, theta + Math.PI, p, Math.max(foot, head)) : own;
            double limit = Double.isFinite(rules.overstrength())
                    ? overstrength(context, demands, axis, rules.overstrength())
                    : Double.POSITIVE_INFINITY;
            out[axis] = worse(ends(own, other, foot, head, clear, limit), ends(other, own, foot, head, clear, limit));
        }
        return new EndMoments(out);
    }

    /** As the frame sways one way. @param foot, head moments that the beams bring */
    private static Ends ends(double own, double other, double foot, double head, double clear, double limit) {
        double atFoot = Math.min(own, foot);
        double atHead = Math.min(other, head);
        return new Ends(own, other, atFoot, atHead, clear, (atFoot + atHead) / clear, limit);
    }

    private static Ends worse(Ends one, Ends other) {
        return other.shear > one.shear ? other : one;
    }

    /** Largest strength over the forces; at their ends only where that is more than the beams bring already [Nmm]. */
    private static double own(PlaneSection section, double theta, double[] p, double brought) {
        double ends = Math.max(MomentAtForce.of(section, theta, p[0]), MomentAtForce.of(section, theta, p[1]));
        return ends >= brought ? ends : MomentAtForce.largest(section, theta, p[0], p[1]);
    }

    private static double overstrength(ColumnContext context, LiftDemands demands, int axis, double factor) {
        double out = 0;
        for (int c = 0; c < context.strength().count(); c++) {
            if (context.strength().hasEarthquake(c)) {
                out = Math.max(out, demands.shear(c, axis == 0 ? Analysis.VY : Analysis.VZ, factor));
            }
        }
        // without a combination with earthquake nothing is known of it
        return out > 0 ? out : Double.POSITIVE_INFINITY;
    }

    /** What the beams at an end can bring to this lift: their moments, by the stiffness of the lifts that meet there [Nmm]. */
    private static double brought(
            ColumnStack stack,
            ColumnStack.Lift lift,
            int axis,
            boolean atHead,
            ColumnContext context,
            DuctileColumns rules) {
        if (!rules.limitedByBeams()) {
            return Double.POSITIVE_INFINITY;
        }
        Framing f = framing(lift, axis, atHead, context);
        if (f.frames().isEmpty()) {
            return Double.POSITIVE_INFINITY;
        }
        int other = lift.number() + (atHead ? 1 : -1);
        double own = stiffness(lift, lift, axis);
        double all = own
                + (other >= 0 && other < stack.lifts().size()
                        ? stiffness(stack.lifts().get(other), lift, axis)
                        : 0);
        return f.moment(BeamEnd::probable) * own / all;
    }

    /** The beams at a lift's joint along x (0) or y (1). */
    public static Framing framing(ColumnStack.Lift lift, int axis, boolean atHead, ColumnContext context) {
        ColumnStack.Unbraced u = axis == 0 ? lift.aboutY() : lift.aboutX();
        var member = context.index().member(lift.member());
        Joint at = atHead ? context.index().upper(member) : context.index().lower(member);
        return new Framing(context.beams().at(at.id()), u.ux(), u.uy());
    }

    /** E I / l of a lift that is bent along an axis of another one, against which it may be turned [Nmm]. */
    private static double stiffness(ColumnStack.Lift l, ColumnStack.Lift of, int axis) {
        Shape s = l.section().shape();
        double theta = ColumnStrengths.direction(of, axis, l);
        double inertia = s.Iz() * Math.pow(Math.cos(theta), 2) + s.Iy() * Math.pow(Math.sin(theta), 2);
        return l.material().E() * inertia / (l.top() - l.base());
    }

    /** Shear along x (0) or y (1) [N]; 0 where the code asks for none. */
    double shear(int axis) {
        return ends[axis] == null ? 0 : ends[axis].governing();
    }

    private static void strength(String side, double moment, DuctileColumns rules, Trace t) {
        t.step(
                rules.steelFactor() > 1 ? "Mpr" : "Mn",
                "strength under the axial forces with earthquake, with " + rules.steelFactor() + " fy" + side,
                "",
                moment,
                Quantity.MOMENT,
                rules.capacityShearClause());
    }

    void explain(int axis, DuctileColumns rules, Trace t) {
        Ends e = ends[axis];
        if (e == null) {
            return;
        }
        strength("", e.own(), rules, t);
        if (e.other() != e.own()) {
            strength(", compressed on the other side", e.other(), rules, t);
        }
        t.step(
                "Ve",
                "(Mfoot + Mhead) / ℓu" + (rules.limitedByBeams() ? ", no more than the beams bring" : ""),
                "({0} + {1}) / {2}",
                e.shear(),
                Quantity.FORCE,
                rules.capacityShearClause(),
                in(e.foot(), Quantity.MOMENT),
                in(e.head(), Quantity.MOMENT),
                in(e.clear(), Quantity.LENGTH));
        if (Double.isFinite(e.limit())) {
            t.step(
                    "Ve,max",
                    "shear with Ωo E for E, Ωo = " + (int) rules.overstrength(),
                    "",
                    e.limit(),
                    Quantity.FORCE,
                    rules.capacityShearClause());
        }
    }
}
