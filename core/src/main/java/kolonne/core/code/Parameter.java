package kolonne.core.code;

/**
 * What a code leaves to nations.
 *
 * @param recommended value where nothing is given
 * @param least       and {@code most} that can be meant
 */
public record Parameter(String key, String words, String clause, double recommended, double least, double most) {}
