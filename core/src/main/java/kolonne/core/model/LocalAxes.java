package kolonne.core.model;

/** Unit vectors of a member's local axes in global components: r[0] = x, r[1] = y, r[2] = z. */
public final class LocalAxes {
    /** Sine of the angle to the vertical below which a member counts as upright. */
    private static final double UPRIGHT = 1e-3;

    private LocalAxes() {}

    /** Rotation matrix of a member from {@code i} to {@code j}, turned by {@code angle} [rad] about x. */
    public static double[][] of(Joint i, Joint j, double angle) {
        double length = i.distanceTo(j);
        double[] x = {(j.x() - i.x()) / length, (j.y() - i.y()) / length, (j.z() - i.z()) / length};
        double[] y;
        if (Math.hypot(x[0], x[1]) < UPRIGHT) {
            y = new double[] {1, 0, 0};
            y = normalised(minus(y, x, dot(y, x)));
        } else {
            y = normalised(cross(new double[] {0, 0, 1}, x));
        }
        double[] z = cross(x, y);
        double c = Math.cos(angle);
        double s = Math.sin(angle);
        double[] yt = new double[3];
        double[] zt = new double[3];
        for (int k = 0; k < 3; k++) {
            yt[k] = c * y[k] + s * z[k];
            zt[k] = -s * y[k] + c * z[k];
        }
        return new double[][] {x, yt, zt};
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[] minus(double[] a, double[] b, double f) {
        return new double[] {a[0] - f * b[0], a[1] - f * b[1], a[2] - f * b[2]};
    }

    private static double[] normalised(double[] a) {
        double n = Math.sqrt(dot(a, a));
        return new double[] {a[0] / n, a[1] / n, a[2] / n};
    }
}
