package kolonne.core.code;

/** Comparisons with the limits of codes: what lies at a limit stays there, whatever units it was given in and however it was rounded. */
public final class Bound {
    private static final double ROUNDING = 1e-6;

    private Bound() {}

    /** Whether a value is no more than a limit. */
    public static boolean within(double value, double most) {
        return value <= most + ROUNDING * Math.abs(most);
    }
}
