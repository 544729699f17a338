package kolonne.core.analysis;

/**
 * A load on a member in local components, by distance from the start joint [mm].
 * A distributed load has {@code from < to} and intensities q1, q2 [N/mm]; a point load has from == to, q1 = force [N]
 * and q2 = moment [Nmm].
 */
record SpanLoad(double from, double to, double[] q1, double[] q2) {
    boolean isPoint() {
        return from == to;
    }

    SpanLoad times(double f) {
        return new SpanLoad(from, to, scaled(q1, f), scaled(q2, f));
    }

    private static double[] scaled(double[] q, double f) {
        return new double[] {q[0] * f, q[1] * f, q[2] * f};
    }

    /** Intensity of component {@code c} at {@code x}. */
    double at(double x, int c) {
        return q1[c] + (q2[c] - q1[c]) * (x - from) / (to - from);
    }
}
