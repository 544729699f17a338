package kolonne.core.code;

/** Largest spacing of stirrup legs along the member and across its width [mm], with the clause. */
public record SpacingLimits(double along, double across, String clause) {}
