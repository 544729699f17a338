package kolonne.core.model;

/** A point where members meet, in global coordinates [mm]. */
public record Joint(String id, double x, double y, double z) {
    public double distanceTo(Joint o) {
        double dx = o.x - x;
        double dy = o.y - y;
        double dz = o.z - z;
        return Math.sqrt(dx * dx + dy * dy + dz * dz);
    }
}
