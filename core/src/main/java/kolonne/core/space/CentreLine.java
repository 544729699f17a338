package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;

/**
 * The middle of a bar: straight parts and arcs of circles, one after another.
 *
 * @param points of straight parts their ends, of arcs a point between as well [mm]
 * @param arcs   of every part whether it is an arc, which takes two points more, or straight, which takes one
 */
public record CentreLine(List<Point3> points, List<Boolean> arcs) {
    /** Below this a bar is set aside by hand rather than bent [rad]. */
    private static final double KINK = Math.toRadians(80);

    public CentreLine {
        points = List.copyOf(points);
        arcs = List.copyOf(arcs);
    }

    /** The same at another place. */
    public CentreLine moved(Point3 by) {
        return new CentreLine(points.stream().map(p -> p.plus(by)).toList(), arcs);
    }

    /** The same as seen in a mirror: left for right. */
    CentreLine mirrored() {
        return new CentreLine(
                points.stream().map(p -> new Point3(p.x(), -p.y(), p.z())).toList(), arcs);
    }

    /** Along all parts [mm]. */
    public double length() {
        double sum = 0;
        int at = 0;
        for (boolean arc : arcs) {
            sum += arc
                    ? arc(points.get(at), points.get(at + 1), points.get(at + 2))
                    : points.get(at + 1).minus(points.get(at)).length();
            at += arc ? 2 : 1;
        }
        return sum;
    }

    /** Length of the arc through three points of which the second is its middle. */
    private static double arc(Point3 a, Point3 m, Point3 b) {
        double half = m.minus(a).length();
        double chord = b.minus(a).length();
        double quarter = Math.acos(Math.min(1, chord / 2 / half));
        return quarter < 1e-9 ? chord : half * 2 * quarter / Math.sin(quarter);
    }

    /** A bar through corners, bent at them along circles of one radius; at corners that hardly turn it has a kink. */
    static CentreLine through(List<Point3> corners, double radius) {
        List<Point3> points = new ArrayList<>(List.of(corners.get(0)));
        List<Boolean> arcs = new ArrayList<>();
        for (int i = 1; i + 1 < corners.size(); i++) {
            Point3 c = corners.get(i);
            Point3 in = unit(c.minus(corners.get(i - 1)));
            Point3 out = unit(corners.get(i + 1).minus(c));
            double turn = Math.acos(Math.max(-1, Math.min(1, in.dot(out))));
            arcs.add(false);
            if (turn < KINK) {
                points.add(c);
                continue;
            }
            double tangent = radius * Math.tan(turn / 2);
            // from the corner towards the middle of the circle
            Point3 inside = unit(out.minus(in));
            points.add(c.minus(in.times(tangent)));
            points.add(c.plus(inside.times(radius / Math.cos(turn / 2) - radius)));
            points.add(c.plus(out.times(tangent)));
            arcs.add(true);
        }
        points.add(corners.get(corners.size() - 1));
        arcs.add(false);
        return new CentreLine(points, arcs);
    }

    private static Point3 unit(Point3 p) {
        return p.times(1 / p.length());
    }
}
