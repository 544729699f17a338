package kolonne.core.code;

import kolonne.core.explain.Clause;

/** Largest spacing of stirrup legs along the member and across its width [mm], with the clause. */
public record SpacingLimits(double along, double across, Clause clause) {}
