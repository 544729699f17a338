package kolonne.core.space;

import kolonne.core.model.Joint;

/** A point, or a way from one to another [mm]. */
public record Point3(double x, double y, double z) {
    public static final Point3 ORIGIN = new Point3(0, 0, 0);

    static Point3 of(Joint j) {
        return new Point3(j.x(), j.y(), j.z());
    }

    public Point3 plus(Point3 o) {
        return new Point3(x + o.x, y + o.y, z + o.z);
    }

    public Point3 minus(Point3 o) {
        return new Point3(x - o.x, y - o.y, z - o.z);
    }

    public Point3 times(double f) {
        return new Point3(f * x, f * y, f * z);
    }

    public double length() {
        return Math.sqrt(dot(this));
    }

    public double dot(Point3 o) {
        return x * o.x + y * o.y + z * o.z;
    }
}
