package kolonne.core.beam.line;

import java.util.List;

/**
 * Demand of a stretch of a line that a person typed in place of that of the analysis; infinite where the analysis counts.
 *
 * @param from    along the line, to {@code to} [mm]
 * @param sagging and {@code hogging} moments by size [Nmm]
 * @param shear   by size [N]
 * @param torque  by size [Nmm]
 */
public record TypedDemand(double from, double to, double sagging, double hogging, double shear, double torque) {
    private boolean covers(double x) {
        return x >= from - 1e-6 && x <= to + 1e-6;
    }

    /** The first of some that covers a place; null where the analysis counts. */
    static TypedDemand at(List<TypedDemand> all, double x) {
        for (TypedDemand d : all) {
            if (d.covers(x)) {
                return d;
            }
        }
        return null;
    }
}
