package kolonne.core.analysis;

/**
 * A load on a member in local components, by distance from the start joint [mm]. Six components: forces along x, y, z and
 * moments about them.
 *
 * <p>A distributed load has {@code from < to} and intensities q1, q2 [N/mm, Nmm/mm]; a point load has from == to and
 * q1 [N, Nmm].
 */
record SpanLoad(double from, double to, double[] q1, double[] q2) {
    static SpanLoad point(double at, double[] force) {
        return new SpanLoad(at, at, force, force);
    }

    boolean isPoint() {
        return from == to;
    }

    /** Intensity of component {@code c} at {@code x}. */
    double at(double x, int c) {
        return q1[c] + (q2[c] - q1[c]) * (x - from) / (to - from);
    }
}
