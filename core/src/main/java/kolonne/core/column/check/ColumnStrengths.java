package kolonne.core.column.check;

import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.MomentAtForce;

/** Nominal strengths of lifts in bending under the axial forces with earthquake. */
public final class ColumnStrengths {
    private ColumnStrengths() {}

    /** The lowest along x (0) or y (1): the moment rises with the force and falls again, so that it is at one end of their range [Nmm]. */
    public static double lowest(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, int axis, LiftDemands demands, ColumnContext context) {
        double[] p = demands.earthquakeAxial();
        ColumnSection section = context.section(lift.section(), lift.material(), cage, 1);
        return Math.min(MomentAtForce.of(section, axis == 1, p[0]), MomentAtForce.of(section, axis == 1, p[1]));
    }
}
