package kolonne.core.analysis;

/**
 * Bending moments between the ends of a prismatic member under axial force, given those at its ends and the moments of its loads on simple
 * supports: the solution of
 * <pre>M'' − n M = s q,   n = N / (EI s'),  s' = 1 + N / GAs,  s = 1 / s'</pre>
 * (Timoshenko and Gere, Theory of Elastic Stability, 2nd ed. 1961, 1.3 and, for the shear, 2.17 with the slope of the whole deflection).
 * The part of the end moments is exact, that of the loads a sine series of its difference to first order.
 */
final class BeamColumn {
    private static final int TERMS = 8;
    private static final int SAMPLES = 64;
    /** Part of its own buckling length between the ends above which the member must be split. */
    static final double NEAR_BUCKLING = 0.9;

    private final double length;
    private final double n;
    private final double s;

    /** @param N tension positive [N]; {@code EI} [Nmm2]; {@code GA} [N], infinite without shear; {@code length} between the ends [mm] */
    BeamColumn(double N, double EI, double GA, double length) {
        this.length = length;
        this.s = 1 / (1 + N / GA);
        this.n = N * s / EI;
    }

    /** Whether the member is near buckling between its own ends: the series would not mean anything. */
    boolean nearBuckling() {
        return !(s > 0) || n < 0 && Math.sqrt(-n) * length > NEAR_BUCKLING * Math.PI;
    }

    /** Part of a moment at the end {@code length} away that is left at {@code x} from the other end. */
    private double fading(double x) {
        double k = Math.sqrt(Math.abs(n));
        if (k * length < 1e-4) {
            return x / length;
        }
        return n < 0 ? Math.sin(k * x) / Math.sin(k * length) : Math.sinh(k * x) / Math.sinh(k * length);
    }

    /** Moment at {@code x} of end moments alone. */
    double ofEnds(double m0, double mL, double x) {
        return m0 * fading(length - x) + mL * fading(x);
    }

    /** Places at which {@link #series} wants the moments of the loads. */
    double sample(int i) {
        return length * (i + 0.5) / SAMPLES;
    }

    int samples() {
        return SAMPLES;
    }

    /** Amplitudes of what the axial force adds to the moments of the loads. @param m moments on simple supports at the samples */
    double[] series(double[] m) {
        double[] out = new double[TERMS];
        for (int t = 1; t <= TERMS; t++) {
            double b = 0;
            for (int i = 0; i < SAMPLES; i++) {
                b += m[i] * Math.sin(t * Math.PI * (i + 0.5) / SAMPLES);
            }
            double r = -n * length * length / (t * t * Math.PI * Math.PI);
            out[t - 1] = 2.0 / SAMPLES * b * s * r / (1 - r);
        }
        return out;
    }

    /** Moment at {@code x} of the loads. @param m on simple supports there */
    double ofLoads(double m, double[] series, double x) {
        double out = s * m;
        for (int t = 1; t <= TERMS; t++) {
            out += series[t - 1] * Math.sin(t * Math.PI * x / length);
        }
        return out;
    }
}
