package kolonne.core.analysis.sparse;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.junit.jupiter.api.Test;

/** The sparse factorisation against a dense solver (second route), and the order of elimination. */
class FactorTest {
    @Test
    void solvesLikeADenseSolver() {
        int n = 60;
        Random r = new Random(3);
        DMatrixRMaj dense = new DMatrixRMaj(n, n);
        SymmetricBuilder b = new SymmetricBuilder(n, 8);
        for (int i = 0; i < n; i++) {
            add(b, dense, i, i, 40 + r.nextDouble());
            for (int k = 0; k < 4; k++) {
                int j = r.nextInt(n);
                double v = r.nextDouble() - 0.5;
                if (i != j) {
                    add(b, dense, i, j, v);
                    add(b, dense, j, i, v);
                }
            }
        }
        double[] x = IntStream.range(0, n).mapToDouble(i -> Math.sin(i)).toArray();
        DMatrixRMaj expected = new DMatrixRMaj(n, 1);
        CommonOps_DDRM.solve(dense, new DMatrixRMaj(n, 1, true, x.clone()), expected);
        Factor.of(b.build()).factor().solve(x);
        assertArrayEquals(expected.data, x, 1e-12);
    }

    private static void add(SymmetricBuilder b, DMatrixRMaj dense, int i, int j, double v) {
        b.add(i, j, v);
        dense.add(i, j, v);
    }

    @Test
    void findsTheEquationThatMovesFreely() {
        SymmetricBuilder b = new SymmetricBuilder(3, 8);
        b.add(0, 0, 5);
        b.add(1, 1, 2);
        b.add(1, 2, -2);
        b.add(2, 1, -2);
        b.add(2, 2, 2);
        Factor.Outcome o = Factor.of(b.build());
        assertNull(o.factor());
        assertEquals(true, o.freeEquation() == 1 || o.freeEquation() == 2);
    }

    @Test
    void theOrderIsAPermutationAndCutsTheFillOfAGrid() {
        int k = 30;
        int n = k * k;
        int[] start = new int[n + 1];
        int[] neighbours = new int[4 * n];
        int e = 0;
        for (int i = 0; i < n; i++) {
            int[][] near = {{i % k > 0 ? i - 1 : -1}, {i % k < k - 1 ? i + 1 : -1}, {i >= k ? i - k : -1}, {i < n - k ? i + k : -1}};
            for (int[] q : near) {
                if (q[0] >= 0) {
                    neighbours[e++] = q[0];
                }
            }
            start[i + 1] = e;
        }
        int[] order = NestedDissection.order(start, neighbours);
        assertArrayEquals(IntStream.range(0, n).toArray(), Arrays.stream(order).sorted().toArray());
        int natural = fill(start, neighbours, IntStream.range(0, n).toArray());
        int dissected = fill(start, neighbours, order);
        assertEquals(true, dissected < 0.75 * natural, dissected + " against " + natural);
    }

    private static int fill(int[] start, int[] neighbours, int[] order) {
        int n = order.length;
        int[] place = new int[n];
        for (int i = 0; i < n; i++) {
            place[order[i]] = i;
        }
        SymmetricBuilder b = new SymmetricBuilder(n, 5 * n);
        for (int i = 0; i < n; i++) {
            b.add(place[i], place[i], 4.01);
            for (int p = start[i]; p < start[i + 1]; p++) {
                b.add(place[i], place[neighbours[p]], -1);
            }
        }
        return Factor.of(b.build()).factor().size();
    }
}
