package kolonne.core.code;

import java.util.Optional;
import kolonne.core.explain.Clause;

/** Flanges of beams. Lengths [mm]. */
public interface Flanges {
    /**
     * Width of a flange beside the web that counts [mm].
     *
     * @param reach       half the clear distance to the next web, or all of the slab up to its edge [mm]
     * @param oneSided    whether the beam has a flange on one side only
     * @param clearSpan   [mm]
     * @param zeroMoments distance between points of zero moment, {@link #zeroMomentLength} [mm]
     */
    double flangeOverhang(double reach, double hf, boolean oneSided, double clearSpan, double zeroMoments);

    Clause flangeClause();

    /** Distance between the points of zero moment of a span of a line [mm]. */
    double zeroMomentLength(double clearSpan, boolean cantilever, int spans, int span);

    /** Shear between web and flange; empty for codes that ask for no check of it. */
    Optional<FlangeShear> flangeShear();

    /** Where the code speaks of loads on ledges. */
    Clause ledgeClause();
}
