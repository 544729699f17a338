package kolonne.core.column.check;

import static kolonne.core.explain.Trace.in;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.JointRules;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.joint.BeamEnd;
import kolonne.core.joint.Framing;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.shape.Shape;

/**
 * Shear of the joint at the head of a lift of a frame that need not be ductile, along both axes: from the largest moment that beams and columns exchange
 * in a combination (ACI 318-19 15.4.1.1(a)), less the shear of the column above. That moment is no more than those of the columns below and above together,
 * which is taken. Nothing is asked of the beams' bars, so that beams across do not count as holding the joint.
 */
final class PlainJointCheck {
    private static final double LEVER = 0.9;
    private static final BeamEnd.Strength UNKNOWN = new BeamEnd.Strength(0, 0);

    private final ColumnStack.Lift lift;
    private final ColumnContext context;
    private final JointRules rules;
    private final LiftDemands demands;
    private final LiftDemands above;
    private final Governing governing;

    /** @param above demands of the lift above; null where nothing stands on the joint */
    PlainJointCheck(
            ColumnStack.Lift lift,
            ColumnContext context,
            JointRules rules,
            LiftDemands demands,
            LiftDemands above,
            Governing governing) {
        this.lift = lift;
        this.context = context;
        this.rules = rules;
        this.demands = demands;
        this.above = above;
        this.governing = governing;
    }

    void run(Trace t) {
        List<BeamEnd> beams = beams();
        for (int axis = 0; axis < 2 && !beams.isEmpty(); axis++) {
            ColumnStack.Unbraced u = axis == 0 ? lift.aboutY() : lift.aboutX();
            Framing f = new Framing(beams, u.ux(), u.uy());
            if (!f.frames().isEmpty()) {
                shear(axis, f, t);
            }
        }
    }

    private void shear(int axis, Framing f, Trace t) {
        double lever = LEVER * depth(f.shallowest());
        double v = 0;
        int worst = 0;
        for (int c = 0; c < context.strength().count(); c++) {
            double here = moment(c, axis) / lever - column(c, axis);
            worst = here > v ? c : worst;
            v = Math.max(v, here);
        }
        Shape s = lift.section().shape();
        double h = JointCheck.side(s, axis);
        double fc = Math.min(lift.material().fc(), f.weakest());
        double width = rules.width(f.narrowest(), h, JointCheck.across(s, axis));
        if (t.on()) {
            t.say("Joint at the head, along " + (axis == 0 ? "x" : "y"), "", rules.forcesClause());
            t.step(
                    "Vu",
                    "ΣMcol / 0.9 d − Vcol, d of the shallowest beam, Vcol above",
                    "{0} / {1} − {2}",
                    v,
                    Quantity.FORCE,
                    rules.forcesClause(),
                    in(moment(worst, axis), Quantity.MOMENT),
                    in(lever, Quantity.LENGTH),
                    in(column(worst, axis), Quantity.FORCE));
        }
        double strength = rules.shear(new JointRules.Joint(above != null, f.bothSides(), false, fc, h, width), t);
        governing.offer(
                axis == 0 ? CheckKind.COLUMN_JOINT_SHEAR_X : CheckKind.COLUMN_JOINT_SHEAR_Y,
                v,
                strength,
                At.named(lift.top(), lift.number(), JointCheck.JOINT)
                        .under(context.strength().combination(worst).name()),
                rules.shearClause());
    }

    private double moment(int c, int axis) {
        return Math.abs(demands.end(c, axis * Math.PI / 2, true))
                + (above == null ? 0 : Math.abs(above.end(c, turned(axis), false)));
    }

    private double column(int c, int axis) {
        return above == null ? 0 : above.shearAgainstFoot(c, turned(axis));
    }

    /** Where the axis of this lift points in the lift above, which may be turned against it. */
    private double turned(int axis) {
        return ColumnStrengths.direction(lift, axis, above.lift());
    }

    /** Effective depth of a beam whose thickest allowed bars lie in one layer [mm]; next to none where it has no room for them, so that it fails. */
    private double depth(double whole) {
        Basis b = context.basis();
        double thickest =
                b.beamBarList().stream().mapToDouble(Bar::diameter).max().orElse(0);
        double stirrup =
                b.stirrupList().stream().mapToDouble(Bar::diameter).min().orElse(0);
        return Math.max(1, whole - b.beamCover() - stirrup - thickest / 2);
    }

    /** Ends of beams at the head; a hinge brings no moment. */
    private List<BeamEnd> beams() {
        BuildingIndex index = context.index();
        Joint at = index.upper(index.member(lift.member()));
        List<BeamEnd> out = new ArrayList<>();
        for (Member m : index.membersAt(at.id())) {
            boolean starts = m.start().equals(at.id());
            Joint other = index.joint(starts ? m.end() : m.start());
            double length = Math.hypot(other.x() - at.x(), other.y() - at.y());
            if (m.role() == Role.BEAM && length >= 1) {
                Release r = starts ? m.startRelease() : m.endRelease();
                Shape s = index.sectionOf(m).shape();
                out.add(new BeamEnd(
                        m.id(),
                        (other.x() - at.x()) / length,
                        (other.y() - at.y()) / length,
                        s.webWidth(),
                        s.depth(),
                        index.materialOf(m).fc(),
                        !r.frees(Release.HORIZONTAL_AXIS),
                        UNKNOWN,
                        UNKNOWN,
                        UNKNOWN,
                        0,
                        0,
                        false));
            }
        }
        return out;
    }
}
