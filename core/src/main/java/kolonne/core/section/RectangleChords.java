package kolonne.core.section;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/**
 * A rectangle cut by chords at right angles to a direction: length and middle of a chord run straight between the corners, so that stresses
 * that vary in that direction are summed by a few points of Gauss and Legendre.
 */
final class RectangleChords {
    /** Points and weights of order four on [-1, 1], exact to the seventh power (Abramowitz and Stegun, table 25.4). */
    private static final double[] POINT = {
        -0.861136311594052575, -0.339981043584856265, 0.339981043584856265, 0.861136311594052575
    };

    private static final double[] WEIGHT = {
        0.347854845137453857, 0.652145154862546143, 0.652145154862546143, 0.347854845137453857
    };

    private final double ux;
    private final double uy;
    /** Distance of the far corners, and of the near ones, from the middle [mm]. */
    private final double far;

    private final double near;
    private final double longest;
    private final double nearMiddle;
    private final double farMiddle;

    /** @param ux and uy: the direction, a unit vector */
    RectangleChords(double width, double depth, double ux, double uy) {
        this.ux = ux;
        this.uy = uy;
        double b = width * Math.abs(ux) / 2;
        double h = depth * Math.abs(uy) / 2;
        far = b + h;
        near = Math.abs(b - h);
        longest = b >= h ? depth / Math.abs(ux) : width / Math.abs(uy);
        nearMiddle = b >= h ? -uy / ux * near : ux / uy * near;
        farMiddle = -uy * Math.copySign(width / 2, ux) + ux * Math.copySign(depth / 2, uy);
    }

    /**
     * Sums a stress over the part from a chord to the far corner.
     *
     * @param stress by distance from the middle
     * @param bend   distance at which the stress changes its law
     * @param out    the sum and its first moments x and y
     */
    void sum(DoubleUnaryOperator stress, double from, double bend, double[] out) {
        double[] ends = {-far, -near, near, far, Math.max(-far, Math.min(far, bend))};
        Arrays.sort(ends);
        out[0] = 0;
        double along = 0;
        double across = 0;
        for (int k = 1; k < ends.length; k++) {
            double low = Math.max(from, ends[k - 1]);
            double half = (Math.min(far, ends[k]) - low) / 2;
            for (int g = 0; g < POINT.length && half > 0; g++) {
                double s = low + half * (1 + POINT[g]);
                double outer = Math.max(0, Math.abs(s) - near);
                double part = far > near ? outer / (far - near) : 0;
                double force = stress.applyAsDouble(s) * longest * (1 - part) * half * WEIGHT[g];
                double middle = outer > 0
                        ? (nearMiddle + (farMiddle - nearMiddle) * part) * Math.signum(s)
                        : near > 0 ? nearMiddle * s / near : 0;
                out[0] += force;
                along += force * s;
                across += force * middle;
            }
        }
        out[1] = along * ux - across * uy;
        out[2] = along * uy + across * ux;
    }
}
