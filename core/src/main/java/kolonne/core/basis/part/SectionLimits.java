package kolonne.core.basis.part;

/**
 * What section advice aims at and stays within.
 *
 * @param bandFrom   use of the strength that a good section reaches at least, and {@code bandTo} at most
 * @param depthLeast sizes that are considered [mm]
 * @param step       between one size and the next [mm]
 */
public record SectionLimits(
        double bandFrom,
        double bandTo,
        double depthLeast,
        double depthMost,
        double widthLeast,
        double widthMost,
        double step) {}
