package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;

/**
 * Bends a bar in a plane: forward, turn, forward. The plane is y-z of the member; along x the bar moves aside by its diameter from end to end, so that it passes
 * itself where it closes.
 */
final class Bender {
    private static final double LARGEST_ARC = Math.PI / 2 + 1e-9;

    private final List<double[]> points = new ArrayList<>();
    private final List<Boolean> arcs = new ArrayList<>();
    private double y;
    private double z;
    private double heading;
    private double gone;

    /** @param heading from y towards z [rad] */
    Bender(double heading) {
        this.heading = heading;
        points.add(new double[] {0, 0, 0});
    }

    Bender forward(double length) {
        if (length > 0) {
            arcs.add(false);
            to(y + length * Math.cos(heading), z + length * Math.sin(heading), length);
        }
        return this;
    }

    /** To the left by an angle [rad] on a circle. */
    Bender turn(double angle, double radius) {
        if (angle > LARGEST_ARC) {
            return turn(angle / 2, radius).turn(angle / 2, radius);
        }
        arcs.add(true);
        double cy = y - radius * Math.sin(heading);
        double cz = z + radius * Math.cos(heading);
        for (int i = 0; i < 2; i++) {
            heading += angle / 2;
            to(cy + radius * Math.sin(heading), cz - radius * Math.cos(heading), radius * angle / 2);
        }
        return this;
    }

    private void to(double toY, double toZ, double length) {
        y = toY;
        z = toZ;
        gone += length;
        points.add(new double[] {y, z, gone});
    }

    /** Where it is now, across and up. */
    double[] here() {
        return new double[] {y, z};
    }

    /** What was bent, moved across and up. @param aside along the member from end to end [mm] */
    CentreLine bar(double acrossBy, double upBy, double aside) {
        List<Point3> out = new ArrayList<>();
        for (double[] p : points) {
            out.add(new Point3(aside * (p[2] / gone - 0.5), p[0] + acrossBy, p[1] + upBy));
        }
        return new CentreLine(out, arcs);
    }
}
