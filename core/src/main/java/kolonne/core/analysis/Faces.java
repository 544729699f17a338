package kolonne.core.analysis;

import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/**
 * How far the face of the support lies from a member's joint: half the column that a beam runs into, half the web of a
 * crossing beam that carries it, half the deepest beam that a column runs into. A rigid end in the model is the face.
 */
public final class Faces {
    /** Cosine above which two beams run in one direction. */
    private static final double ALONG = 0.7;
    /** A face never lies further in than this part of the length. */
    private static final double MOST = 0.4;

    private final BuildingIndex index;

    public Faces(BuildingIndex index) {
        this.index = index;
    }

    /** Distance from the start joint (or the end joint) to the face [mm]; 0 where nothing is there. A crossing beam as deep may carry as well. */
    public double of(Member m, boolean atStart) {
        double own = atStart ? m.rigidStart() : m.rigidEnd();
        return own > 0 ? own : Math.min(fromSizes(m, atStart, true), MOST * index.length(m));
    }

    /** What of a member lies in what surely carries it: not in a beam that is no deeper where another one goes on beyond [mm]. */
    double inside(Member m, boolean atStart) {
        double own = atStart ? m.rigidStart() : m.rigidEnd();
        return own > 0 ? own : Math.min(fromSizes(m, atStart, false), MOST * index.length(m));
    }

    private double fromSizes(Member m, boolean atStart, boolean asDeep) {
        String joint = atStart ? m.start() : m.end();
        double out = 0;
        for (Member o : index.membersAt(joint)) {
            if (o != m && m.role() == Role.COLUMN && o.role() == Role.BEAM) {
                out = Math.max(out, index.sectionOf(o).shape().depth() / 2);
            } else if (o != m && m.role() == Role.BEAM) {
                out = Math.max(out, o.role() == Role.COLUMN ? reach(o, axis(m)) : crossing(m, o, joint, asDeep));
            }
        }
        return out;
    }

    private double[] axis(Member m) {
        return LocalAxes.of(index.joint(m.start()), index.joint(m.end()), 0)[0];
    }

    /** Way from the centre of a column to its face in a direction; of an ell or a tee to the nearer one. */
    private double reach(Member column, double[] u) {
        double[][] c = LocalAxes.of(index.joint(column.start()), index.joint(column.end()), column.angle());
        Shape s = index.sectionOf(column).shape();
        if (s instanceof Shape.Circle q) {
            return q.d() / 2;
        }
        if (s instanceof Shape.Flanged f) {
            return Legs.of(f).reach(dot(c[1], u), dot(c[2], u));
        }
        double y = Math.abs(dot(c[1], u));
        double z = Math.abs(dot(c[2], u));
        return Math.min(
                y > 1e-9 ? s.width() / 2 / y : Double.POSITIVE_INFINITY,
                z > 1e-9 ? s.depth() / 2 / z : Double.POSITIVE_INFINITY);
    }

    /** Half the web of a beam that crosses, if it is deep enough to be the one that carries or nothing goes on beyond. */
    private double crossing(Member m, Member o, String joint, boolean asDeep) {
        double cosine = Math.abs(dot(axis(m), axis(o)));
        if (cosine > ALONG) {
            return 0;
        }
        double more =
                index.sectionOf(o).shape().depth() - index.sectionOf(m).shape().depth();
        boolean deepEnough = asDeep ? more >= 0 : more > 0;
        if (!deepEnough && goesOn(m, joint)) {
            return 0;
        }
        return index.sectionOf(o).shape().webWidth() / 2 / Math.sqrt(1 - cosine * cosine);
    }

    private boolean goesOn(Member m, String joint) {
        return index.membersAt(joint).stream()
                .anyMatch(o -> o != m && o.role() == Role.BEAM && Math.abs(dot(axis(m), axis(o))) > ALONG);
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }
}
