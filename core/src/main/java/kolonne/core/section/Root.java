package kolonne.core.section;

import java.util.function.DoubleUnaryOperator;

/** A root of a growing function by false position with the Illinois correction, never leaving its bracket. */
public final class Root {
    private static final int MOST = 100;

    private Root() {}

    /** @return the root, or the nearer end where the function does not change sign over [low, high] */
    public static double find(DoubleUnaryOperator f, double low, double high, double tolerance) {
        double a = low;
        double b = high;
        double fa = f.applyAsDouble(a);
        double fb = f.applyAsDouble(b);
        if (fa >= 0) {
            return a;
        }
        if (fb <= 0) {
            return b;
        }
        int side = 0;
        for (int k = 0; k < MOST && b - a > tolerance; k++) {
            double x = k % 4 == 3 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa);
            double fx = f.applyAsDouble(x);
            if (Math.abs(fx) < 1e-12) {
                return x;
            }
            if (fx < 0) {
                a = x;
                fa = fx;
                fb = side == -1 ? fb / 2 : fb;
                side = -1;
            } else {
                b = x;
                fb = fx;
                fa = side == 1 ? fa / 2 : fa;
                side = 1;
            }
        }
        return (a + b) / 2;
    }
}
