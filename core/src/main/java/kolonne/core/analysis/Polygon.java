package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.List;

/** A polygon in a plane, as corners {x, y} in order. Clipped parts of a polygon that is not convex may touch themselves. */
record Polygon(List<double[]> corners) {
    /** Twice the area, positive counter-clockwise. */
    double twiceArea() {
        double sum = 0;
        for (int i = 0; i < corners.size(); i++) {
            double[] a = corners.get(i);
            double[] b = corners.get((i + 1) % corners.size());
            sum += a[0] * b[1] - b[0] * a[1];
        }
        return sum;
    }

    double area() {
        return Math.abs(twiceArea()) / 2;
    }

    /** The part where {@code a x + b y + c ≥ 0} (I. Sutherland, G. Hodgman, Commun. ACM 17 (1974)). */
    Polygon clipped(double a, double b, double c) {
        List<double[]> out = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            double[] p = corners.get(i);
            double[] q = corners.get((i + 1) % corners.size());
            double vp = a * p[0] + b * p[1] + c;
            double vq = a * q[0] + b * q[1] + c;
            if (vp >= 0) {
                out.add(p);
            }
            if (vp >= 0 != vq >= 0) {
                double t = vp / (vp - vq);
                out.add(new double[] {p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])});
            }
        }
        return new Polygon(out);
    }

    /** Length of the line x = const inside, and the first moment of that length about y = 0. */
    double[] chord(double x) {
        double length = 0;
        double moment = 0;
        for (int i = 0; i < corners.size(); i++) {
            double[] p = corners.get(i);
            double[] q = corners.get((i + 1) % corners.size());
            if (p[0] < x != q[0] < x) {
                double y = p[1] + (x - p[0]) / (q[0] - p[0]) * (q[1] - p[1]);
                double sign = q[0] > p[0] ? -1 : 1;
                length += sign * y;
                moment += sign * y * y / 2;
            }
        }
        double turn = Math.signum(twiceArea());
        return new double[] {turn * length, turn * moment};
    }
}
