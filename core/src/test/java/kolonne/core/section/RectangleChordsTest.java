package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Stresses over a rectangle by chords against a grid of small squares, in every direction. */
class RectangleChordsTest {
    private static final double B = 300;
    private static final double H = 500;
    private static final int GRID = 1500;

    static IntStream degrees() {
        return IntStream.of(0, 1, 17, 31, 45, 59, 73, 89, 90, 120, 180, 211, 270, 305);
    }

    private static double[] grid(DoubleUnaryOperator stress, double from, double ux, double uy) {
        double[] out = new double[3];
        double da = B / GRID * H / GRID;
        for (int i = 0; i < GRID; i++) {
            for (int k = 0; k < GRID; k++) {
                double x = -B / 2 + (i + 0.5) * B / GRID;
                double y = -H / 2 + (k + 0.5) * H / GRID;
                double s = x * ux + y * uy;
                if (s > from) {
                    double f = stress.applyAsDouble(s) * da;
                    out[0] += f;
                    out[1] += f * x;
                    out[2] += f * y;
                }
            }
        }
        return out;
    }

    @ParameterizedTest
    @MethodSource("degrees")
    void aParabolaWithAPlateauLikeTheGrid(int degrees) {
        double ux = Math.cos(Math.toRadians(degrees));
        double uy = Math.sin(Math.toRadians(degrees));
        double far = (B * Math.abs(ux) + H * Math.abs(uy)) / 2;
        for (double depth : new double[] {0.15, 0.5, 0.8, 1}) {
            double from = far - depth * 2 * far;
            double bend = from + (far - from) * 0.57;
            DoubleUnaryOperator stress = s -> s >= bend ? 20 : 20 * (1 - Math.pow((bend - s) / (bend - from), 2));
            double[] sum = new double[3];
            new RectangleChords(B, H, ux, uy).sum(stress, from, bend, sum);
            double[] expected = grid(stress, from, ux, uy);
            assertEquals(expected[0], sum[0], 3e-3 * expected[0]);
            assertEquals(expected[1], sum[1], 3e-3 * expected[0] * B);
            assertEquals(expected[2], sum[2], 3e-3 * expected[0] * H);
        }
    }

    /** A straight stress over the whole rectangle: nothing in all, and the moments of inertia. */
    @ParameterizedTest
    @MethodSource("degrees")
    void aStraightStressGivesTheMomentsOfInertia(int degrees) {
        double ux = Math.cos(Math.toRadians(degrees));
        double uy = Math.sin(Math.toRadians(degrees));
        double[] sum = new double[3];
        new RectangleChords(B, H, ux, uy).sum(s -> s, -1e9, -1e9, sum);
        assertEquals(0, sum[0], 1e-3);
        assertEquals(ux * H * B * B * B / 12, sum[1], 1e-3 * B * H * H);
        assertEquals(uy * B * H * H * H / 12, sum[2], 1e-3 * B * H * H);
    }
}
