package kolonne.core.code;

import kolonne.core.explain.Clause;

/** What a code covers at all. */
public interface Scope {
    /** Whether the code has rules for a concrete. */
    boolean covers(double fc);

    Clause coversClause();

    /** Whether the code has rules for bars of a yield strength. */
    boolean coversSteel(double fy);

    Clause coversSteelClause();

    /** Axial compression above which a beam is a column [N]. */
    double beamAxialLimit(double fc, double ag);

    Clause beamAxialClause();

    /** Ratio of clear span to depth below which a beam is deep. */
    double deepBeamRatio();

    Clause deepBeamClause();
}
