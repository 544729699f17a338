package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Least and most tension steel of beams. Units N, mm, MPa. */
public interface BeamSteel {
    /** Least tension steel of a beam [mm2]. */
    double beamMinimumSteel(double fc, double fy, double bw, double d, Trace t);

    Clause beamMinimumSteelClause();

    /**
     * Width that counts for the least tension steel [mm].
     *
     * @param width       of the whole section; {@code meanTension} of its uncracked tension zone
     * @param determinate whether the span is statically determinate
     */
    double minimumSteelWidth(
            double web, double width, double meanTension, boolean flangeInTension, boolean determinate);

    /** Excess of strength over demand that replaces the least tension steel; infinite where none does. */
    double minimumSteelExcess();

    /** Most steel of a beam's face over the gross area; infinite where other rules limit it. */
    double beamMaximumRatio();

    Clause beamMaximumClause();
}
