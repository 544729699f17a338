package kolonne.core.code;

/**
 * What a code leaves to nations.
 *
 * @param recommended value where nothing is given
 * @param least       and {@code most} that can be meant
 * @param whole       whether only whole numbers can be meant: a choice between ways
 */
public record Parameter(
        String key, String words, String clause, double recommended, double least, double most, boolean whole) {
    public Parameter(String key, String words, String clause, double recommended, double least, double most) {
        this(key, words, clause, recommended, least, most, false);
    }

    public boolean allows(double v) {
        return v >= least && v <= most && (!whole || v == Math.rint(v));
    }

    /** Its bounds in words. */
    public String bounds() {
        return whole ? "whole numbers from " + (int) least + " to " + (int) most : least + " to " + most;
    }
}
