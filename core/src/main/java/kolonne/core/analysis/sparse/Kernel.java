package kolonne.core.analysis.sparse;

/**
 * The dense inner loops. A matrix is an array of columns; rows of all operands carry the same index. Only in this form
 * (arrays of their own, one index, four terms) does the virtual machine run them in vector registers: 7 GFlops on one core
 * against 2 for columns within one array or for eight terms.
 */
final class Kernel {
    /** Rows per pass: a column of c and four of a stay in the first cache. */
    private static final int TILE = 512;

    private Kernel() {}

    /**
     * c[j][i] −= Σ a[p][i] a[p][row + j] for rows i from {@code lo} to {@code hi}, w columns from {@code c0} of c, and columns
     * p from {@code p0} to {@code p1} of a.
     */
    static void subtract(double[][] c, int c0, int w, double[][] a, int p0, int p1, int row, int lo, int hi) {
        for (int i = lo; i < hi; i += TILE) {
            int end = Math.min(hi, i + TILE);
            for (int j = 0; j < w; j++) {
                int p = p0;
                for (; p + 3 < p1; p += 4) {
                    four(
                            c[c0 + j],
                            a[p],
                            a[p + 1],
                            a[p + 2],
                            a[p + 3],
                            i,
                            end,
                            a[p][row + j],
                            a[p + 1][row + j],
                            a[p + 2][row + j],
                            a[p + 3][row + j]);
                }
                for (; p < p1; p++) {
                    one(c[c0 + j], a[p], i, end, a[p][row + j]);
                }
            }
        }
    }

    /** t[i] −= Σ a[p][i] x[from + p] for rows i from {@code lo} to {@code hi} and the first n columns of a. */
    static void subtract(double[] t, double[][] a, int n, double[] x, int from, int lo, int hi) {
        int p = 0;
        for (; p + 3 < n; p += 4) {
            four(
                    t,
                    a[p],
                    a[p + 1],
                    a[p + 2],
                    a[p + 3],
                    lo,
                    hi,
                    x[from + p],
                    x[from + p + 1],
                    x[from + p + 2],
                    x[from + p + 3]);
        }
        for (; p < n; p++) {
            one(t, a[p], lo, hi, x[from + p]);
        }
    }

    private static void four(
            double[] c,
            double[] a,
            double[] b,
            double[] d,
            double[] e,
            int lo,
            int hi,
            double p,
            double q,
            double r,
            double s) {
        for (int i = lo; i < hi; i++) {
            c[i] -= a[i] * p + b[i] * q + d[i] * r + e[i] * s;
        }
    }

    private static void one(double[] c, double[] a, int lo, int hi, double f) {
        for (int i = lo; i < hi; i++) {
            c[i] -= f * a[i];
        }
    }
}
