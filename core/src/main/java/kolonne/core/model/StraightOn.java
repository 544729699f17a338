package kolonne.core.model;

import java.util.function.Predicate;

/** The beam that carries on from another past a joint: in line within 5°, both connected in major bending there. */
public final class StraightOn {
    /** Cosine, between the ways out of the joint, of the greatest turn that is still in line. */
    private static final double IN_LINE = -Math.cos(Math.toRadians(5));

    private StraightOn() {}

    /** The straightest such beam, or null if none carries on. @param fits what else must hold of it */
    public static Member beam(BuildingIndex index, Member from, String joint, Predicate<Member> fits) {
        if (released(from, joint)) {
            return null;
        }
        Member straightest = null;
        double least = IN_LINE;
        for (Member o : index.membersAt(joint)) {
            if (o != from && o.role() == Role.BEAM && !released(o, joint) && fits.test(o)) {
                double cosine = cosine(index, from, o, joint);
                if (cosine < least) {
                    straightest = o;
                    least = cosine;
                }
            }
        }
        return straightest;
    }

    private static boolean released(Member m, String joint) {
        return m.start().equals(joint)
                ? m.startRelease().frees(4)
                : m.endRelease().frees(4);
    }

    private static double cosine(BuildingIndex index, Member a, Member b, String joint) {
        Joint o = index.joint(joint);
        Joint p = index.joint(index.otherEnd(a, joint));
        Joint q = index.joint(index.otherEnd(b, joint));
        double dot = (p.x() - o.x()) * (q.x() - o.x())
                + (p.y() - o.y()) * (q.y() - o.y())
                + (p.z() - o.z()) * (q.z() - o.z());
        return dot / (o.distanceTo(p) * o.distanceTo(q));
    }
}
