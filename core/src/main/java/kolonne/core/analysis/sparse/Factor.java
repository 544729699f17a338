package kolonne.core.analysis.sparse;

import org.ejml.data.DMatrixSparseCSC;
import org.ejml.sparse.csc.decomposition.chol.CholeskyUpLooking_DSCC;
import org.ejml.sparse.csc.misc.TriangularSolver_DSCC;

/**
 * Cholesky factor of a symmetric positive definite matrix, scaled to a unit diagonal so that translations and rotations
 * compare. Equations are in order of elimination already.
 */
public final class Factor {
    /** A pivot below this part of the scaled diagonal (1) means that the structure can move there freely. */
    static final double SINGULAR = 1e-11;
    private static final double SHIFT = 1e-9;

    private final DMatrixSparseCSC lower;
    private final double[] scale;

    private Factor(DMatrixSparseCSC lower, double[] scale) {
        this.lower = lower;
        this.scale = scale;
    }

    /** A factor, or the equation that moves most in the mode without stiffness. */
    public record Outcome(Factor factor, int freeEquation) {}

    /** Factorises {@code k} (both triangles, sorted). */
    public static Outcome of(DMatrixSparseCSC k) {
        int n = k.numCols;
        double[] scale = new double[n];
        for (int c = 0; c < n; c++) {
            double d = k.unsafe_get(c, c);
            if (!(d > 0)) {
                return new Outcome(null, c);
            }
            scale[c] = 1 / Math.sqrt(d);
        }
        DMatrixSparseCSC scaled = k.copy();
        for (int c = 0; c < n; c++) {
            for (int p = scaled.col_idx[c]; p < scaled.col_idx[c + 1]; p++) {
                scaled.nz_values[p] *= scale[c] * scale[scaled.nz_rows[p]];
            }
        }
        CholeskyUpLooking_DSCC cholesky = new CholeskyUpLooking_DSCC();
        if (!cholesky.decompose(scaled)) {
            return new Outcome(null, freeEquation(scaled));
        }
        DMatrixSparseCSC lower = cholesky.getL();
        for (int c = 0; c < n; c++) {
            double pivot = lower.nz_values[lower.col_idx[c]];
            if (pivot * pivot < SINGULAR) {
                return new Outcome(null, freeEquation(scaled));
            }
        }
        return new Outcome(new Factor(lower, scale), -1);
    }

    /** Solves in place. */
    public void solve(double[] x) {
        for (int i = 0; i < x.length; i++) {
            x[i] *= scale[i];
        }
        TriangularSolver_DSCC.solveL(lower, x);
        TriangularSolver_DSCC.solveTranL(lower, x);
        for (int i = 0; i < x.length; i++) {
            x[i] *= scale[i];
        }
    }

    /** Number of coefficients in the factor. */
    public int size() {
        return lower.nz_length;
    }

    /** Inverse iteration on the slightly stiffened matrix; the free mode grows, its largest component is returned. */
    private static int freeEquation(DMatrixSparseCSC scaled) {
        int n = scaled.numCols;
        DMatrixSparseCSC stiffened = scaled.copy();
        for (int c = 0; c < n; c++) {
            stiffened.unsafe_set(c, c, stiffened.unsafe_get(c, c) + SHIFT);
        }
        CholeskyUpLooking_DSCC cholesky = new CholeskyUpLooking_DSCC();
        if (!cholesky.decompose(stiffened)) {
            return 0;
        }
        DMatrixSparseCSC lower = cholesky.getL();
        double[] x = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = 1 + 0.37 * Math.sin(1.7 * i);
        }
        int largest = 0;
        for (int pass = 0; pass < 4; pass++) {
            TriangularSolver_DSCC.solveL(lower, x);
            TriangularSolver_DSCC.solveTranL(lower, x);
            largest = 0;
            for (int i = 0; i < n; i++) {
                if (Math.abs(x[i]) > Math.abs(x[largest])) {
                    largest = i;
                }
            }
            double norm = Math.abs(x[largest]);
            for (int i = 0; i < n; i++) {
                x[i] /= norm;
            }
        }
        return largest;
    }
}
