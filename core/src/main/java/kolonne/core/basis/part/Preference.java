package kolonne.core.basis.part;

/**
 * What to prefer where several arrangements satisfy: what a site would build, by {@link Practice} and the handling of every piece; the least steel, the fewest bars, the fewest layers, one size of bar
 * in a face of a beam line, or one size in the whole line. Where one size does not serve, others are taken.
 */
public enum Preference {
    PRACTICAL,
    LEAST_STEEL,
    FEWEST_BARS,
    FEWEST_LAYERS,
    ONE_SIZE_A_FACE,
    FEWEST_SIZES
}
