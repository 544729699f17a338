package kolonne.core.analysis.sparse;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.csc.decomposition.chol.CholeskyUpLooking_DSCC;
import org.ejml.sparse.csc.misc.TriangularSolver_DSCC;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The supernodal factorisation against EJML's sparse Cholesky (second route), and the order of elimination. */
class CholeskyTest {
    /** Vertices of a box grid with a few equations each and random stiff blocks between neighbours. */
    private static final class Box implements Cholesky.Coefficients {
        final int[][] pairs;
        final int[] weights;
        final Graph graph;
        final Symbolic symbolic;
        /** Vertex whose diagonal is stiffer, or −1. */
        int stiffer = -1;

        Box(int nx, int ny, int nz, long seed) {
            int n = nx * ny * nz;
            Random r = new Random(seed);
            weights = IntStream.range(0, n).map(i -> r.nextInt(7)).toArray(); // some vertices have no equation
            pairs = IntStream.range(0, n)
                    .boxed()
                    .flatMap(i -> java.util.stream.Stream.of(
                            i % nx < nx - 1 ? new int[] {i, i + 1} : null,
                            i / nx % ny < ny - 1 ? new int[] {i, i + nx} : null,
                            i / (nx * ny) < nz - 1 ? new int[] {i, i + nx * ny} : null))
                    .filter(java.util.Objects::nonNull)
                    .toArray(int[][]::new);
            graph = Graph.ofCliques(n, pairs);
            symbolic = Symbolic.analyse(graph, weights, NestedDissection.order(graph));
        }

        @Override
        public void into(Cholesky.Sink sink) {
            Random r = new Random(5);
            for (int v = 0; v < weights.length; v++) {
                for (int i = 0; i < weights[v]; i++) {
                    sink.add(
                            symbolic.start(v) + i,
                            symbolic.start(v) + i,
                            20 + r.nextDouble() + (v == stiffer ? 35 : 0));
                }
            }
            for (int[] p : pairs) {
                for (int i = 0; i < weights[p[0]]; i++) {
                    for (int j = 0; j < weights[p[1]]; j++) {
                        sink.add(symbolic.start(p[0]) + i, symbolic.start(p[1]) + j, r.nextDouble() - 0.5);
                    }
                }
            }
        }
    }

    static double[] ejml(Cholesky.Coefficients k, int n, double[] rhs) {
        DMatrixSparseTriplet t = new DMatrixSparseTriplet(n, n, 100);
        k.into((i, j, v) -> {
            t.addItem(i, j, v);
            if (i != j) {
                t.addItem(j, i, v);
            }
        });
        DMatrixSparseCSC m = DConvertMatrixStruct.convert(t, (DMatrixSparseCSC) null);
        m.sortIndices(null);
        CholeskyUpLooking_DSCC c = new CholeskyUpLooking_DSCC();
        assertTrue(c.decompose(m));
        double[] x = rhs.clone();
        TriangularSolver_DSCC.solveL(c.getL(), x);
        TriangularSolver_DSCC.solveTranL(c.getL(), x);
        return x;
    }

    private static double[] rhs(int n, int k) {
        return IntStream.range(0, n).mapToDouble(i -> Math.sin(i + k)).toArray();
    }

    @ParameterizedTest
    @CsvSource({"1,1,1", "3,1,1", "5,4,3", "9,9,1", "12,7,5", "16,12,6"})
    void solvesLikeEjml(int nx, int ny, int nz) {
        Box b = new Box(nx, ny, nz, nx);
        int n = b.symbolic.equations();
        Cholesky c = Cholesky.factorise(b.symbolic, b).factor();
        double[][] x = {rhs(n, 0), rhs(n, 1), rhs(n, 2)};
        c.solve(x);
        for (int k = 0; k < 3; k++) {
            assertArrayEquals(ejml(b, n, rhs(n, k)), x[k], 1e-12);
        }
    }

    @Test
    void aFactorOfAChangedMatrixIsTheFactorOfThatMatrix() {
        Box b = new Box(12, 9, 6, 4);
        Cholesky before = Cholesky.factorise(b.symbolic, b).factor();
        int n = b.symbolic.equations();
        for (int v : new int[] {0, 77, 400}) {
            b.stiffer = v;
            double[][] changed = {rhs(n, 3)};
            before.changed(b, new int[] {v}).factor().solve(changed);
            double[][] fresh = {rhs(n, 3)};
            Cholesky.factorise(b.symbolic, b).factor().solve(fresh);
            assertArrayEquals(fresh[0], changed[0], 0.0, "digit for digit");
        }
        b.stiffer = -1;
        double[][] again = {rhs(n, 3)};
        before.solve(again);
        assertArrayEquals(ejml(b, n, rhs(n, 3)), again[0], 1e-12, "the first factor is as it was");
    }

    @Test
    void theDigitsDoNotDependOnTheNumberOfThreads() throws Exception {
        Box b = new Box(14, 10, 6, 8);
        double[][] many = {rhs(b.symbolic.equations(), 1)};
        Cholesky.factorise(b.symbolic, b).factor().solve(many);
        double[][] one = {rhs(b.symbolic.equations(), 1)};
        java.util.concurrent.ForkJoinPool alone = new java.util.concurrent.ForkJoinPool(1);
        alone.submit(() -> Cholesky.factorise(b.symbolic, b).factor().solve(one))
                .get();
        alone.shutdown();
        assertArrayEquals(one[0], many[0], 0.0);
    }

    @Test
    void findsTheEquationThatMovesFreely() {
        Graph g = Graph.ofCliques(3, new int[][] {{1, 2}});
        Symbolic s = Symbolic.analyse(g, new int[] {1, 1, 1}, new int[] {0, 1, 2});
        Cholesky.Outcome o = Cholesky.factorise(s, sink -> {
            sink.add(s.start(0), s.start(0), 5);
            sink.add(s.start(1), s.start(1), 2);
            sink.add(s.start(2), s.start(2), 2);
            sink.add(s.start(1), s.start(2), -2);
        });
        assertNull(o.factor());
        assertTrue(o.freeEquation() == s.start(1) || o.freeEquation() == s.start(2));
        Cholesky.Outcome none = Cholesky.factorise(s, sink -> sink.add(s.start(0), s.start(0), 5));
        assertNull(none.factor());
        assertTrue(none.freeEquation() == s.start(1) || none.freeEquation() == s.start(2));
    }

    @Test
    void theOrderIsAPermutationAndCutsTheFillOfAGrid() {
        int k = 30;
        int[][] pairs = IntStream.range(0, k * k)
                .boxed()
                .flatMap(i -> java.util.stream.Stream.of(
                        i % k < k - 1 ? new int[] {i, i + 1} : null, i < k * k - k ? new int[] {i, i + k} : null))
                .filter(java.util.Objects::nonNull)
                .toArray(int[][]::new);
        Graph g = Graph.ofCliques(k * k, pairs);
        int[] order = NestedDissection.order(g);
        int[] natural = IntStream.range(0, k * k).toArray();
        assertArrayEquals(natural, Arrays.stream(order).sorted().toArray());
        int[] ones = new int[k * k];
        Arrays.fill(ones, 1);
        long dissected = Symbolic.analyse(g, ones, order).size();
        long banded = Symbolic.analyse(g, ones, natural).size();
        assertTrue(dissected < 0.75 * banded, dissected + " against " + banded);
        assertEquals(k * k, Symbolic.analyse(g, ones, order).equations());
    }
}
