package kolonne.core.analysis.sparse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ForkJoinTask;
import java.util.concurrent.RecursiveAction;

/**
 * Left-looking supernodal Cholesky factor. Panels never change once made, so that a factor of a slightly different matrix
 * shares those that the difference does not reach. The digits do not depend on the number of threads.
 *
 * <p>Source: E. Ng, B. Peyton, "Block sparse Cholesky algorithms on advanced uniprocessor computers", SIAM J. Sci. Comput. 14
 * (1993).
 */
public final class Cholesky {
    /** A pivot below this part of the matrix's diagonal means that the structure can move there freely. */
    static final double SINGULAR = 1e-11;

    private static final double SHIFT = 1e-9;
    /** Multiplications below which a subtree or a block is not shared among threads. */
    private static final double ALONE = 2e5;

    private static final int BLOCK = 48;

    private final Symbolic symbolic;
    private final double[][][] panels;

    private Cholesky(Symbolic symbolic, double[][][] panels) {
        this.symbolic = symbolic;
        this.panels = panels;
    }

    /** Takes coefficients of one triangle; those of the same place add up. */
    public interface Sink {
        /** Coefficient (i, j); its mirror image is not given. */
        void add(int i, int j, double value);
    }

    /** Gives the coefficients of the matrix, as often as it is asked. */
    public interface Coefficients {
        void into(Sink sink);
    }

    /** A factor, or the equation that moves most in the mode without stiffness. */
    public record Outcome(Cholesky factor, int freeEquation) {}

    /** Factorises. */
    public static Outcome factorise(Symbolic s, Coefficients k) {
        boolean[] all = new boolean[s.supernodes()];
        Arrays.fill(all, true);
        return run(s, k, all, new double[all.length][][]);
    }

    /** Factorises a matrix that differs from this factor's only in the columns of the given vertices. */
    public Outcome changed(Coefficients k, int[] vertices) {
        boolean[] touched = new boolean[symbolic.supernodes()];
        for (int v : vertices) {
            int s = symbolic.start(v) < 0 ? -1 : symbolic.superOf[symbolic.start(v)];
            for (; s >= 0 && !touched[s]; s = symbolic.parent[s]) {
                touched[s] = true;
            }
        }
        return run(symbolic, k, touched, panels);
    }

    private static Outcome run(Symbolic s, Coefficients k, boolean[] touched, double[][][] old) {
        double[][][] panels = assembled(s, k, touched, old, 0);
        Work w = new Work(s, panels, touched);
        if (w.run()) {
            return new Outcome(new Cholesky(s, panels), -1);
        }
        return new Outcome(null, freeEquation(s, k));
    }

    private static double[][][] assembled(
            Symbolic s, Coefficients k, boolean[] touched, double[][][] old, double shift) {
        double[][][] panels = new double[touched.length][][];
        for (int i = 0; i < touched.length; i++) {
            panels[i] = touched[i] ? new double[s.columns(i)][s.height(i)] : old[i];
        }
        k.into((i, j, v) -> {
            int column = Math.min(i, j);
            int node = s.superOf[column];
            if (touched[node]) {
                panels[node][column - s.first[node]][s.rowOf(Math.max(i, j), node)] += i == j ? v * (1 + shift) : v;
            }
        });
        return panels;
    }

    /** Inverse iteration on the slightly stiffened matrix: the free mode grows, its largest scaled component is returned. */
    private static int freeEquation(Symbolic s, Coefficients k) {
        double[] diagonal = new double[s.equations];
        k.into((i, j, v) -> {
            if (i == j) {
                diagonal[i] += v;
            }
        });
        for (int i = 0; i < diagonal.length; i++) {
            if (!(diagonal[i] > 0)) {
                return i;
            }
        }
        boolean[] all = new boolean[s.supernodes()];
        Arrays.fill(all, true);
        double[][][] panels = assembled(s, k, all, null, SHIFT);
        Work w = new Work(s, panels, all);
        w.smallest = 0;
        if (!w.run()) {
            return w.failed;
        }
        Cholesky c = new Cholesky(s, panels);
        double[] x = new double[s.equations];
        for (int i = 0; i < x.length; i++) {
            x[i] = (1 + 0.37 * Math.sin(1.7 * i)) * Math.sqrt(diagonal[i]);
        }
        int largest = 0;
        for (int pass = 0; pass < 4; pass++) {
            c.solve(new double[][] {x});
            largest = 0;
            for (int i = 0; i < x.length; i++) {
                if (Math.abs(x[i]) * Math.sqrt(diagonal[i]) > Math.abs(x[largest]) * Math.sqrt(diagonal[largest])) {
                    largest = i;
                }
            }
            double norm = Math.abs(x[largest]) * Math.sqrt(diagonal[largest]);
            for (int i = 0; i < x.length; i++) {
                x[i] *= diagonal[i] / norm;
            }
        }
        return largest;
    }

    /** Buffers of one thread at a time. */
    private static final class Buffers {
        final int[] local;
        private double[][] product = new double[0][];

        Buffers(int n) {
            local = new int[n];
        }

        /** Columns with zeros from row {@code lo} to {@code hi}. */
        double[][] product(int columns, int lo, int hi) {
            if (product.length < columns) {
                product = Arrays.copyOf(product, columns);
            }
            for (int j = 0; j < columns; j++) {
                if (product[j] == null || product[j].length < hi) {
                    product[j] = new double[hi + hi / 2];
                } else {
                    Arrays.fill(product[j], lo, hi, 0);
                }
            }
            return product;
        }
    }

    /** One factorisation under way. */
    private static final class Work {
        private final Symbolic s;
        private final double[][][] panels;
        private final boolean[] touched;
        private final double[] diagonal;
        private final ConcurrentLinkedQueue<Buffers> spare = new ConcurrentLinkedQueue<>();
        private double smallest = SINGULAR;
        private volatile int failed = -1;

        Work(Symbolic s, double[][][] panels, boolean[] touched) {
            this.s = s;
            this.panels = panels;
            this.touched = touched;
            diagonal = new double[s.equations];
            for (int i = 0; i < panels.length; i++) {
                for (int c = 0; touched[i] && c < s.columns(i); c++) {
                    diagonal[s.first[i] + c] = panels[i][c][c];
                }
            }
        }

        boolean run() {
            List<RecursiveAction> roots = new ArrayList<>();
            for (int i = 0; i < panels.length; i++) {
                if (s.parent[i] < 0) {
                    roots.add(subtree(i));
                }
            }
            ForkJoinTask.invokeAll(roots);
            return failed < 0;
        }

        private RecursiveAction subtree(int root) {
            return new RecursiveAction() {
                @Override
                protected void compute() {
                    if (s.subtreeWork[root] < ALONE) {
                        for (int i = s.firstBelow[root]; i <= root; i++) {
                            node(i);
                        }
                        return;
                    }
                    List<RecursiveAction> children = new ArrayList<>();
                    for (int i = root - 1; i >= s.firstBelow[root]; i = s.firstBelow[i] - 1) {
                        children.add(subtree(i));
                    }
                    invokeAll(children);
                    node(root);
                }
            };
        }

        private void node(int i) {
            if (!touched[i] || failed >= 0) {
                return;
            }
            Buffers own = spare.poll();
            Buffers b = own == null ? new Buffers(s.equations) : own;
            int columns = s.columns(i);
            for (int c = 0; c < columns; c++) {
                b.local[s.first[i] + c] = c;
            }
            for (int r = 0; r < s.rows[i].length; r++) {
                b.local[s.rows[i][r]] = columns + r;
            }
            update(i, b);
            dense(i);
            spare.add(b);
        }

        private void update(int i, Buffers b) {
            int columns = s.columns(i);
            if (s.work[i] < 10 * ALONE || columns < 2 * BLOCK) {
                update(i, s.first[i], s.first[i + 1], b.local, b);
                return;
            }
            List<RecursiveAction> parts = new ArrayList<>();
            for (int from = 0; from < columns; from += BLOCK) {
                int c0 = s.first[i] + from;
                int c1 = Math.min(c0 + BLOCK, s.first[i + 1]);
                parts.add(new RecursiveAction() {
                    @Override
                    protected void compute() {
                        Buffers found = spare.poll();
                        Buffers mine = found == null ? new Buffers(s.equations) : found;
                        update(i, c0, c1, b.local, mine);
                        spare.add(mine);
                    }
                });
            }
            ForkJoinTask.invokeAll(parts);
        }

        /** Takes the part of earlier supernodes from columns c0 to c1 of supernode i. */
        private void update(int i, int c0, int c1, int[] local, Buffers b) {
            int[] u = s.updates[i];
            double[][] panel = panels[i];
            for (int k = 0; k < u.length; k += 3) {
                int from = u[k];
                int[] rows = s.rows[from];
                int p = u[k + 1];
                int q = u[k + 2];
                while (p < q && rows[p] < c0) {
                    p++;
                }
                while (q > p && rows[q - 1] >= c1) {
                    q--;
                }
                if (p == q) {
                    continue;
                }
                int columns = s.columns(from);
                int w = q - p;
                int top = columns + p;
                double[][] product = b.product(w, top, columns + rows.length);
                Kernel.subtract(product, 0, w, panels[from], 0, columns, top, top, columns + rows.length);
                for (int j = 0; j < w; j++) {
                    double[] to = panel[rows[p + j] - s.first[i]];
                    double[] part = product[j];
                    for (int r = p + j; r < rows.length; r++) {
                        to[local[rows[r]]] += part[columns + r];
                    }
                }
            }
        }

        private void dense(int i) {
            int n = s.columns(i);
            int ld = s.height(i);
            double[][] a = panels[i];
            for (int from = 0; from < n && failed < 0; from += BLOCK) {
                int to = Math.min(n, from + BLOCK);
                behind(a, ld, from, to);
                for (int j = from; j < to; j++) {
                    Kernel.subtract(a, j, 1, a, from, j, j, j, ld);
                    double[] column = a[j];
                    double pivot = column[j];
                    if (!(pivot > smallest * diagonal[s.first[i] + j]) || !(pivot > 0)) {
                        failed = s.first[i] + j;
                        return;
                    }
                    double d = Math.sqrt(pivot);
                    double inverse = 1 / d;
                    for (int r = j + 1; r < ld; r++) {
                        column[r] *= inverse;
                    }
                    column[j] = d;
                }
            }
        }

        /** Takes the columns before {@code from} from the block of columns up to {@code to}. */
        private void behind(double[][] a, int ld, int from, int to) {
            if ((double) (ld - from) * (to - from) * from < 5 * ALONE) {
                Kernel.subtract(a, from, to - from, a, 0, from, from, from, ld);
                return;
            }
            int part = Math.max(64, (ld - from + 3) / 4);
            List<RecursiveAction> parts = new ArrayList<>();
            for (int lo = from; lo < ld; lo += part) {
                int r0 = lo;
                int r1 = Math.min(ld, lo + part);
                parts.add(new RecursiveAction() {
                    @Override
                    protected void compute() {
                        Kernel.subtract(a, from, to - from, a, 0, from, from, r0, r1);
                    }
                });
            }
            ForkJoinTask.invokeAll(parts);
        }
    }

    /** Solves in place for every right-hand side, shared among the cores. */
    public void solve(double[][] x) {
        int groups = Math.min(x.length, Runtime.getRuntime().availableProcessors());
        List<RecursiveAction> parts = new ArrayList<>();
        for (int g = 0; g < groups; g++) {
            double[][] mine = Arrays.copyOfRange(x, x.length * g / groups, x.length * (g + 1) / groups);
            parts.add(new RecursiveAction() {
                @Override
                protected void compute() {
                    forward(mine);
                    backward(mine);
                }
            });
        }
        ForkJoinTask.invokeAll(parts);
    }

    private void forward(double[][] xs) {
        double[] t = new double[symbolic.equations];
        for (int s = 0; s < panels.length; s++) {
            int n = symbolic.columns(s);
            int first = symbolic.first[s];
            int[] rows = symbolic.rows[s];
            double[][] a = panels[s];
            for (double[] x : xs) {
                System.arraycopy(x, first, t, 0, n);
                for (int j = 0; j < n; j++) {
                    double v = t[j] / a[j][j];
                    t[j] = v;
                    for (int r = j + 1; r < n; r++) {
                        t[r] -= v * a[j][r];
                    }
                }
                System.arraycopy(t, 0, x, first, n);
                Arrays.fill(t, n, n + rows.length, 0);
                Kernel.subtract(t, a, n, x, first, n, n + rows.length);
                for (int r = 0; r < rows.length; r++) {
                    x[rows[r]] += t[n + r];
                }
            }
        }
    }

    private void backward(double[][] xs) {
        double[] t = new double[symbolic.equations];
        for (int s = panels.length - 1; s >= 0; s--) {
            int n = symbolic.columns(s);
            int first = symbolic.first[s];
            int[] rows = symbolic.rows[s];
            double[][] a = panels[s];
            for (double[] x : xs) {
                System.arraycopy(x, first, t, 0, n);
                for (int r = 0; r < rows.length; r++) {
                    t[n + r] = x[rows[r]];
                }
                for (int j = n - 1; j >= 0; j--) {
                    t[j] = (t[j] - dot(a[j], t, j + 1, n + rows.length)) / a[j][j];
                }
                System.arraycopy(t, 0, x, first, n);
            }
        }
    }

    /** Four sums side by side, which the processor can overlap. */
    private static double dot(double[] a, double[] t, int from, int to) {
        double s0 = 0;
        double s1 = 0;
        double s2 = 0;
        double s3 = 0;
        int r = from;
        for (; r + 3 < to; r += 4) {
            s0 += a[r] * t[r];
            s1 += a[r + 1] * t[r + 1];
            s2 += a[r + 2] * t[r + 2];
            s3 += a[r + 3] * t[r + 3];
        }
        for (; r < to; r++) {
            s0 += a[r] * t[r];
        }
        return (s0 + s1) + (s2 + s3);
    }

    /** Coefficients stored. */
    public long size() {
        return symbolic.size();
    }
}
