package kolonne.core.code;

import kolonne.core.explain.Trace;

/** Rules for the deflection of cracked beams. */
public interface Serviceability {
    /** Modulus of rupture [MPa]. */
    double rupture(double fc);

    /** Effective second moment of area where a moment acts that may crack the section [mm4]. */
    double effectiveInertia(double moment, double cracking, double gross, double cracked, Trace t);

    String immediateClause();

    /** What is added in the long term, as a multiple of the immediate deflection under sustained load. @param ratio compression steel over b d */
    double longTermFactor(double ratio, Trace t);

    String longTermClause();

    String limitClause();
}
