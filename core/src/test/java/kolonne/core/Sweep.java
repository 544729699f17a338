package kolonne.core;

/** How far sweeps over made-up buildings go: some in every run, many more by {@code ./test --long}. */
public final class Sweep {
    private static final boolean LONG = Boolean.getBoolean("kolonne.long");

    private Sweep() {}

    /** @param some in every run. @param many in the long run */
    public static int of(int some, int many) {
        return LONG ? many : some;
    }
}
