package kolonne.core.analysis.sparse;

import java.util.Arrays;
import org.ejml.data.DMatrixSparseCSC;

/** Gathers coefficients of a symmetric matrix; coefficients of the same place add up. Give both triangles. */
public final class SymmetricBuilder {
    private final int n;
    private int size;
    private int[] rows;
    private int[] cols;
    private double[] values;

    public SymmetricBuilder(int n, int expected) {
        this.n = n;
        int capacity = Math.max(16, expected);
        rows = new int[capacity];
        cols = new int[capacity];
        values = new double[capacity];
    }

    public void add(int row, int col, double value) {
        if (value == 0) {
            return;
        }
        if (size == rows.length) {
            int capacity = size + size / 2;
            rows = Arrays.copyOf(rows, capacity);
            cols = Arrays.copyOf(cols, capacity);
            values = Arrays.copyOf(values, capacity);
        }
        rows[size] = row;
        cols[size] = col;
        values[size++] = value;
    }

    /** The matrix in compressed columns with sorted rows. Two counting sorts: by row, then stably by column. */
    public DMatrixSparseCSC build() {
        int[] byRow = countingSort(rows, null);
        int[] order = countingSort(cols, byRow);
        int[] colStart = new int[n + 1];
        int[] outRows = new int[size];
        double[] outValues = new double[size];
        int k = 0;
        int lastRow = -1;
        int lastCol = -1;
        for (int p : order) {
            if (rows[p] == lastRow && cols[p] == lastCol) {
                outValues[k - 1] += values[p];
            } else {
                lastRow = rows[p];
                lastCol = cols[p];
                outRows[k] = lastRow;
                outValues[k++] = values[p];
                colStart[lastCol + 1]++;
            }
        }
        for (int c = 0; c < n; c++) {
            colStart[c + 1] += colStart[c];
        }
        DMatrixSparseCSC m = new DMatrixSparseCSC(n, n, k);
        m.nz_length = k;
        System.arraycopy(outRows, 0, m.nz_rows, 0, k);
        System.arraycopy(outValues, 0, m.nz_values, 0, k);
        System.arraycopy(colStart, 0, m.col_idx, 0, n + 1);
        m.indicesSorted = true;
        return m;
    }

    private int[] countingSort(int[] key, int[] previous) {
        int[] start = new int[n + 1];
        for (int i = 0; i < size; i++) {
            start[key[i] + 1]++;
        }
        for (int i = 0; i < n; i++) {
            start[i + 1] += start[i];
        }
        int[] out = new int[size];
        for (int i = 0; i < size; i++) {
            int p = previous == null ? i : previous[i];
            out[start[key[p]]++] = p;
        }
        return out;
    }
}
