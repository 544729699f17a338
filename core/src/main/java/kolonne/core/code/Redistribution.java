package kolonne.core.code;

import kolonne.core.explain.Clause;

/** Redistribution of the moments of continuous beams. */
public interface Redistribution {
    /** Most part of a support's moment that may be redistributed. */
    double mostRedistribution();

    /** Net tensile strain that a support's section needs for a part of its moment to be redistributed. @param part above 0 */
    double redistributionStrain(double part, double fc);

    /** Largest ratio of the lengths of neighbouring spans for which moments may be redistributed; infinite where the code has none. */
    double redistributionSpanRatio();

    Clause redistributionClause();
}
