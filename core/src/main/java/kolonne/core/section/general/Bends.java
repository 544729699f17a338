package kolonne.core.section.general;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import kolonne.core.section.PlacedBar;

/**
 * Directions of the neutral axis in which resultants change at once: along a side of the outline the first strip of concrete is crushed, or the last one let
 * go, from one end of it to the other, and along a row of outermost bars all of them yield together.
 */
final class Bends {
    /** Directions of sides that lie along each other [rad]. */
    private static final double SAME = 1e-12;

    private Bends() {}

    /** From 0 to 2π, growing. */
    static double[] of(Outline outline, List<PlacedBar> bars) {
        TreeSet<Double> out = new TreeSet<>();
        add(
                outline.rings().get(0).corners().stream()
                        .map(c -> new double[] {c.x(), c.y()})
                        .toList(),
                out);
        add(bars.stream().map(b -> new double[] {b.x(), b.y()}).toList(), out);
        List<Double> apart = new ArrayList<>();
        for (double theta : out) {
            if (apart.isEmpty() || theta - apart.get(apart.size() - 1) > SAME) {
                apart.add(theta);
            }
        }
        return apart.stream().mapToDouble(d -> d).toArray();
    }

    /** Square to the sides of the convex hull of points, both ways; round it from one of its corners to the next that has all others at its left. */
    private static void add(List<double[]> points, TreeSet<Double> out) {
        if (points.isEmpty()) {
            return;
        }
        int first = 0;
        for (int i = 1; i < points.size(); i++) {
            first = points.get(i)[0] < points.get(first)[0] ? i : first;
        }
        int at = first;
        int sides = 0;
        do {
            double[] a = points.get(at);
            int next = at == 0 ? points.size() - 1 : 0;
            for (int i = 0; i < points.size(); i++) {
                double side = cross(a, points.get(next), points.get(i));
                boolean farther = distance(a, points.get(i)) > distance(a, points.get(next));
                next = i != at && (side < 0 || side == 0 && farther) ? i : next;
            }
            double[] b = points.get(next);
            if (distance(a, b) == 0) {
                return;
            }
            double theta = Math.atan2(a[0] - b[0], b[1] - a[1]);
            out.add((theta + 2 * Math.PI) % (2 * Math.PI));
            out.add((theta + 3 * Math.PI) % (2 * Math.PI));
            at = next;
            sides++;
        } while (at != first && sides < points.size());
    }

    private static double cross(double[] a, double[] b, double[] c) {
        return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    }

    private static double distance(double[] a, double[] b) {
        return Math.hypot(b[0] - a[0], b[1] - a[1]);
    }
}
