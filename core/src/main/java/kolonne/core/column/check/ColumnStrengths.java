package kolonne.core.column.check;

import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.MomentAtForce;
import kolonne.core.section.PlaneSection;

/** Nominal strengths of lifts in bending under the axial forces with earthquake. */
public final class ColumnStrengths {
    private static final double QUARTER = Math.PI / 2;
    /** Lifts whose sections are turned by less against each other count as in line. */
    private static final double IN_LINE = 1e-3;

    private ColumnStrengths() {}

    /**
     * The lowest with compression towards a direction and no moment about the other axis: it rises with the force and falls again, so that it is at one end of
     * the range of forces [Nmm].
     *
     * @param theta direction in the axes of the lift's section
     */
    public static double lowest(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, double theta, LiftDemands demands, ColumnContext context) {
        double[] p = demands.earthquakeAxial();
        PlaneSection section = context.section(lift.section(), lift.material(), cage, 1);
        return Math.min(MomentAtForce.alone(section, theta, p[0]), MomentAtForce.alone(section, theta, p[1]));
    }

    /** Where the x axis (0) or the y axis (1) of a lift's section points, in the axes of the section of another lift of the stack. */
    public static double direction(ColumnStack.Lift of, int axis, ColumnStack.Lift in) {
        ColumnStack.Unbraced u = axis == 0 ? of.aboutY() : of.aboutX();
        double theta = Math.atan2(
                u.ux() * in.aboutX().ux() + u.uy() * in.aboutX().uy(),
                u.ux() * in.aboutY().ux() + u.uy() * in.aboutY().uy());
        double square = Math.rint(theta / QUARTER) * QUARTER;
        return Math.abs(theta - square) < IN_LINE ? square : theta;
    }

    /** Senses in which the frame may sway that are worth a look: one where both columns are alike on both sides. */
    public static int[] senses(ColumnStack.Lift below, ColumnStack.Lift above) {
        return below.legged() || above != null && above.legged() ? new int[] {1, -1} : new int[] {1};
    }
}
