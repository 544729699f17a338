package kolonne.core.model;

/**
 * Forces at a station of a member solved elsewhere, for one load case; signs as in {@code analysis}.
 *
 * @param x distance from the start joint [mm]
 */
public record StationForces(
        String member, String loadCase, double x, double n, double vy, double vz, double t, double my, double mz) {}
