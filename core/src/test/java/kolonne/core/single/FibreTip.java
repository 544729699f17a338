package kolonne.core.single;

import kolonne.core.single.FibreColumn.Point;

/**
 * The design surface of {@link FibreColumn} about pure compression or pure tension, as triangles between its points at directions of the neutral axis and
 * depths: what a demand uses of it, to the size of the triangles.
 */
final class FibreTip {
    /** Makes moments comparable to forces [mm]. */
    private static final double SCALE = 500;

    /** From the tip outwards; round it. */
    private final Point[][] points;

    /** Least and greatest of what the triangles on a demand's ray say, and of how much the concrete that bars displace in them may change that, as a part. */
    record Use(double least, double most, double unsure) {}

    /** @param compression about pure compression, else about pure tension */
    FibreTip(FibreColumn fibres, boolean compression, int angles, int depths) {
        points = new Point[depths + 1][angles];
        double near = compression ? 8 : 2e-3;
        double far = compression ? 0.4 : 0.8;
        for (int j = 0; j <= depths; j++) {
            double depth = near * Math.pow(far / near, (j - 1.0) / (depths - 1));
            for (int i = 0; i < angles; i++) {
                double at = j > 0 ? depth : compression ? 1e12 : 1e-12;
                points[j][i] = fibres.at(2 * Math.PI * i / angles, at);
            }
        }
    }

    Point tip() {
        return points[0][0];
    }

    /** @return endless where no triangle lies on the ray */
    Use of(double n, double up, double right) {
        Use use = new Use(Double.POSITIVE_INFINITY, 0, 0);
        for (int j = 0; j + 1 < points.length; j++) {
            for (int i = 0; i < points[0].length; i++) {
                int next = (i + 1) % points[0].length;
                Point a = points[j][i];
                Point b = points[j + 1][next];
                use = with(use, n, up, right, a, b, points[j + 1][i]);
                use = j > 0 ? with(use, n, up, right, a, b, points[j][next]) : use;
            }
        }
        return use;
    }

    /** Cramer's rule: demand = use · (α a + β b + γ c) with α + β + γ = 1, none of them negative. */
    private static Use with(Use use, double n, double up, double right, Point a, Point b, Point c) {
        double[] d = {n, up / SCALE, right / SCALE};
        double[] p = design(a);
        double[] q = design(b);
        double[] r = design(c);
        double whole = volume(p, q, r);
        double alpha = volume(d, q, r) / whole;
        double beta = volume(p, d, r) / whole;
        double gamma = volume(p, q, d) / whole;
        double least = -1e-9;
        if (!(alpha > least && beta > least && gamma > least)) {
            return use;
        }
        double now = alpha + beta + gamma;
        double most = Math.max(a.displaced(), Math.max(b.displaced(), c.displaced()));
        double fewest = Math.min(a.displaced(), Math.min(b.displaced(), c.displaced()));
        double edged = Math.max(a.edged(), Math.max(b.edged(), c.edged()));
        double unsure = (most - fewest + edged) / Math.sqrt(p[0] * p[0] + p[1] * p[1] + p[2] * p[2]);
        return new Use(Math.min(use.least, now), Math.max(use.most, now), Math.max(use.unsure, unsure));
    }

    private static double[] design(Point p) {
        return new double[] {p.phi() * p.n(), p.phi() * p.up() / SCALE, p.phi() * p.right() / SCALE};
    }

    private static double volume(double[] a, double[] b, double[] c) {
        return a[0] * (b[1] * c[2] - b[2] * c[1])
                + a[1] * (b[2] * c[0] - b[0] * c[2])
                + a[2] * (b[0] * c[1] - b[1] * c[0]);
    }
}
