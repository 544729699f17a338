package kolonne.core.code;

/**
 * Design shear strengths [N].
 *
 * @param concrete   of the concrete alone
 * @param total      of concrete and stirrups
 * @param limit      the most that the section may carry whatever its stirrups
 * @param minimumAvs least Av/s [mm2/mm]
 * @param highVs     whether the stirrups carry so much that their spacing limits are halved
 */
public record ShearStrength(double concrete, double total, double limit, double minimumAvs, boolean highVs) {}
