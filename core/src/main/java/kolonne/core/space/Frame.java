package kolonne.core.space;

/**
 * Where a line or a lift lies in the building: a place and unit vectors square to each other. x runs along it, z up through the depth of a beam, y across.
 *
 * @param at global [mm]
 */
public record Frame(Point3 at, Point3 x, Point3 y, Point3 z) {
    static Frame of(Point3 at, double[][] axes) {
        return new Frame(at, vector(axes[0]), vector(axes[1]), vector(axes[2]));
    }

    private static Point3 vector(double[] v) {
        return new Point3(v[0], v[1], v[2]);
    }

    /** A point of the building as it is seen from here. */
    public Point3 local(Point3 global) {
        Point3 d = global.minus(at);
        return new Point3(d.dot(x), d.dot(y), d.dot(z));
    }

    /** A point seen from here as it is in the building. */
    public Point3 global(Point3 local) {
        return at.plus(x.times(local.x())).plus(y.times(local.y())).plus(z.times(local.z()));
    }
}
