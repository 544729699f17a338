package kolonne.core.section.general;

/** Vectors of three. */
final class Vectors {
    private Vectors() {}

    static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    static double[] less(double[] a, double[] b) {
        return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
    }

    /** One of the vectors of length one square to one. */
    static double[] across(double[] d) {
        return unit(Math.abs(d[0]) < 0.9 ? cross(d, new double[] {1, 0, 0}) : cross(d, new double[] {0, 1, 0}));
    }

    static double[] unit(double[] v) {
        double size = Math.sqrt(dot(v, v));
        return new double[] {v[0] / size, v[1] / size, v[2] / size};
    }
}
