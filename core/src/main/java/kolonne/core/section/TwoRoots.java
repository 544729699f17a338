package kolonne.core.section;

/** Where two functions of two unknowns vanish together: Newton's steps, the slopes corrected by Broyden's rule (1965) as they are taken. */
final class TwoRoots {
    /** What is asked before one gives up. */
    private static final int MOST = 24;

    private static final double SMALL = 1e-6;

    /** Both functions at x, y, into {@code out}. */
    interface Functions {
        void at(double x, double y, double[] out);
    }

    private final Functions f;
    private final double[] now = new double[2];
    private final double[] next = new double[2];
    /** Slopes of the first by x and y, then of the second. */
    private double ax;

    private double ay;
    private double bx;
    private double by;

    private TwoRoots(Functions f) {
        this.f = f;
    }

    /**
     * @param at   where it begins; where they vanish, if they do
     * @param step the longest step of each unknown
     * @return whether both are within the tolerance of zero there; functions that jump, or bend sharply, may not be led there
     */
    static boolean find(Functions f, double[] at, double[] step, double tolerance) {
        return new TwoRoots(f).find(at, step, tolerance);
    }

    private boolean find(double[] at, double[] step, double tolerance) {
        f.at(at[0], at[1], now);
        double off = size(now);
        boolean fresh = false;
        for (int asked = 1; asked < MOST; asked++) {
            if (off <= tolerance) {
                return true;
            }
            if (!fresh) {
                slopes(at);
                asked += 2;
                fresh = true;
            }
            double det = ax * by - ay * bx;
            double dx = limited((ay * now[1] - by * now[0]) / det, step[0]);
            double dy = limited((bx * now[0] - ax * now[1]) / det, step[1]);
            if (!Double.isFinite(dx + dy)) {
                return false;
            }
            at[0] += dx;
            at[1] += dy;
            f.at(at[0], at[1], next);
            corrected(dx, dy);
            double left = size(next);
            // where the old slopes led nowhere, they are taken anew
            fresh = left < 0.3 * off;
            off = left;
            now[0] = next[0];
            now[1] = next[1];
        }
        return false;
    }

    private static double size(double[] v) {
        return Math.max(Math.abs(v[0]), Math.abs(v[1]));
    }

    private static double limited(double v, double most) {
        return Math.max(-most, Math.min(most, v));
    }

    private void slopes(double[] at) {
        f.at(at[0] + SMALL, at[1], next);
        ax = (next[0] - now[0]) / SMALL;
        bx = (next[1] - now[1]) / SMALL;
        f.at(at[0], at[1] + SMALL, next);
        ay = (next[0] - now[0]) / SMALL;
        by = (next[1] - now[1]) / SMALL;
    }

    /** The least change of the slopes by which the step taken leads to what was found at its end. */
    private void corrected(double dx, double dy) {
        double square = dx * dx + dy * dy;
        double a = (next[0] - now[0] - ax * dx - ay * dy) / square;
        double b = (next[1] - now[1] - bx * dx - by * dy) / square;
        ax += a * dx;
        ay += a * dy;
        bx += b * dx;
        by += b * dy;
    }
}
