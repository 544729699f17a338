package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Rules for the deflection of cracked beams. */
public interface Serviceability {
    /** Modulus of rupture [MPa]. */
    double rupture(double fc);

    /** Effective second moment of area where a moment acts that may crack the section [mm4]. */
    double effectiveInertia(double moment, double cracking, double gross, double cracked, Trace t);

    Clause immediateClause();

    /** Creep coefficient, where long-term deflection is computed with an effective modulus; 0 where it is a multiple of the immediate one. */
    double creep();

    /** Shrinkage strain of the concrete; 0 where the multiple covers it. */
    double shrinkage();

    /** Clause of its curvature, or of the multiple that covers it. */
    Clause shrinkageClause();

    /** What is added in the long term, as a multiple of the immediate deflection under sustained load; where creep() is 0. @param ratio compression steel over b d */
    double longTermFactor(double ratio, Trace t);

    Clause longTermClause();

    Clause limitClause();

    /** Span over the largest total deflection under sustained load; infinite where the code has no such limit. */
    double totalDivisor();

    /** Whether the immediate deflection under live load is limited. */
    boolean limitsLive();
}
