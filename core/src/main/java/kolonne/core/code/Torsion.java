package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Torsion of solid sections with closed stirrups or ties. Torques are factored ones; what is asked for holds the reduction factor. */
public interface Torsion {
    /** Torque below which torsion may be neglected [Nmm]. @param square whether the corners of the outline are, as those of a rectangle */
    double threshold(double fc, double acp, double pcp, boolean square, Trace t);

    default double threshold(TorsionSection s, Trace t) {
        return threshold(s.fc(), s.acp(), s.pcp(), !s.round(), t);
    }

    /** What an axial force multiplies that torque by: more than 1 for compression, which is positive [N]. */
    double axialFactor(double nu, double ag, double fc, Trace t);

    Clause thresholdClause();

    /** Whether a flange counts in the threshold where it raises it; the web alone resists what is above. */
    boolean flangeCounts();

    /** Torque at cracking, to which torsion from compatibility may be reduced [Nmm]. */
    double cracking(TorsionSection s, Trace t);

    Clause crackingClause();

    /** Area of one leg of the outermost closed stirrup per length that a torque needs, At/s [mm2/mm]. */
    double legSteel(double torque, TorsionSection s, Trace t);

    Clause legClause();

    /** Longitudinal steel round the perimeter that goes with a torque [mm2]. */
    double longitudinalSteel(double torque, TorsionSection s, Trace t);

    /** Least longitudinal steel where a torque above the threshold acts, the largest of the place [mm2]. */
    double longitudinalMinimum(double torque, TorsionSection s, Trace t);

    Clause longitudinalClause();

    /** Of that without the minimum. */
    Clause thrustClause();

    /** How far shear and torque together use up the concrete: 1 is the limit. @param d effective depth [mm]; limit of shear alone [N] */
    double limitUse(double shear, double torque, TorsionSection s, double d, double shearLimit, Trace t);

    Clause limitClause();

    /** Largest spacing of closed stirrups [mm]. */
    double stirrupSpacing(TorsionSection s);

    Clause stirrupSpacingClause();

    /** Largest distance between longitudinal bars round the perimeter [mm]. */
    double barSpacing();

    /** Least diameter of longitudinal bars for a stirrup spacing [mm]. */
    double leastBar(double stirrupSpacing);

    Clause barClause();

    /** Clause by which bars for torsion are developed at the faces of supports. */
    Clause anchorageClause();

    /** How far past the place where torsion counts its steel must run [mm]. */
    double extension(double bw, double d);
}
