package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Rules for the joints of beams and columns of a moment frame in earthquakes. Units N, mm, MPa. */
public interface JointRules {
    /** Least ratio of the strengths of the columns at a joint to those of its beams; 0 for none. */
    double strongColumn();

    /** Whether a column that ends at the joint is free of that, for so small a compression. */
    boolean topIsFree(double compression, double ag, double fc);

    Clause strongColumnClause();

    /** Factor on the yield strength of the beams' bars. */
    double steelFactor();

    /** Clause on the forces in a joint. */
    Clause forcesClause();

    /**
     * A joint in one direction.
     *
     * @param column whether the column runs on through it; {@code beam} whether beams frame in from both sides
     * @param confined by beams across, from both sides and wide enough
     * @param h      depth of the column along the beams; {@code width} effective across
     */
    record Joint(boolean column, boolean beam, boolean confined, double fc, double h, double width) {}

    /** Design shear strength [N]. */
    double shear(Joint j, Trace t);

    /** Effective width of a joint. @param bw of the beam, {@code h} depth and {@code b} width of the column */
    double width(double bw, double h, double b);

    Clause shearClause();

    /** Least width of beams across that hold a joint, as a part of the column's face. */
    double confiningWidth();

    /** Least depth of the column over that of the beam; 0 for none. */
    double columnOverBeam();

    Clause columnOverBeamClause();

    /** Depth of a beam over that of the column above which the joint is designed by strut and tie. */
    double deepBeam();

    Clause deepBeamClause();
}
