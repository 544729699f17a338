package kolonne.core.analysis;

import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.shape.Shape;

/**
 * Bending of a column whose legs are not alike about its local axes: about its principal axes, that lie turned to the local ones. Beams stay with theirs, since
 * the slab holds them from turning aside.
 *
 * @param turn   of the axis of width towards that of depth [rad]
 * @param about1 second moment about the turned axis of width [mm4]; {@code about2} about the turned axis of depth
 */
public record PrincipalAxes(double turn, double about1, double about2) {
    /** @param fy factor of the second moment about the local y axis; {@code fz} about z */
    static PrincipalAxes of(Member m, Shape s, double fy, double fz) {
        double y = s.Iy() * fy;
        double z = s.Iz() * fz;
        double product = s.Iyz() * Math.sqrt(fy * fz);
        if (product == 0 || !counts(m)) {
            return new PrincipalAxes(0, y, z);
        }
        double turn = Math.atan2(2 * product, z - y) / 2;
        double half = (y - z) / 2 * Math.cos(2 * turn) - product * Math.sin(2 * turn);
        return new PrincipalAxes(turn, (y + z) / 2 + half, (y + z) / 2 - half);
    }

    /** Whether the product of inertia of a member counts: not where a connection lets it bend about one local axis and holds it about the other. */
    public static boolean counts(Member m) {
        return m.role() == Role.COLUMN && bothWays(m.startRelease()) && bothWays(m.endRelease());
    }

    private static boolean bothWays(Release r) {
        return r.vy() == r.vz() && r.my() == r.mz();
    }

    /** Stiffness in shear along a direction between two at right angles. @param c cosine to the first, {@code s} to the second */
    static double shear(double first, double second, double c, double s) {
        return 1 / (c * c / first + s * s / second);
    }
}
