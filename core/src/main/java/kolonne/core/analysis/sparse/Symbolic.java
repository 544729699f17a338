package kolonne.core.analysis.sparse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Shape of the Cholesky factor, found from the graph alone. Columns with (nearly) the same rows are gathered in supernodes
 * and stored as dense panels.
 *
 * <p>Sources: J. W. H. Liu, "The role of elimination trees in sparse factorization", SIAM J. Matrix Anal. 11 (1990); C.
 * Ashcraft, R. Grimes, "The influence of relaxed supernode partitions on the multifrontal method", ACM TOMS 15 (1989).
 */
public final class Symbolic {
    /** Supernodes up to this many columns are merged whatever zeros that stores. */
    private static final int SMALL = 16;
    /** Part of stored zeros that a merge may bring the panel to. */
    private static final double ZEROS = 0.12;

    /** Number of equations. */
    final int equations;
    /** First equation of each vertex; −1 for a vertex without equations. */
    private final int[] vertexStart;
    /** First equation of each supernode, and the number of equations at the end. */
    final int[] first;
    /** Equations below the diagonal block of each supernode, ascending. */
    final int[][] rows;
    /** Supernode of each equation. */
    final int[] superOf;
    /** Supernode that each hangs below in the elimination tree; −1 at a root. */
    final int[] parent;
    /** First supernode of the subtree of each: the subtree is {@code firstBelow[s] .. s}. */
    final int[] firstBelow;
    /** Supernodes that update each, as triples: supernode, first and last + 1 of its rows that lie in the updated columns. */
    final int[][] updates;
    /** Multiplications of each supernode's own columns and their subtree. */
    final double[] work;

    final double[] subtreeWork;

    private Symbolic(int[] vertexStart, int[] first, int[][] rows) {
        this.vertexStart = vertexStart;
        this.first = first;
        this.rows = rows;
        int n = first.length - 1;
        equations = first[n];
        superOf = new int[equations];
        for (int s = 0; s < n; s++) {
            Arrays.fill(superOf, first[s], first[s + 1], s);
        }
        parent = new int[n];
        firstBelow = new int[n];
        for (int s = 0; s < n; s++) {
            parent[s] = rows[s].length == 0 ? -1 : superOf[rows[s][0]];
            firstBelow[s] = s;
        }
        for (int s = 0; s < n; s++) {
            if (parent[s] >= 0) {
                firstBelow[parent[s]] = Math.min(firstBelow[parent[s]], firstBelow[s]);
            }
        }
        work = new double[n];
        updates = findUpdates();
        subtreeWork = work.clone();
        for (int s = 0; s < n; s++) {
            if (parent[s] >= 0) {
                subtreeWork[parent[s]] += subtreeWork[s];
            }
        }
    }

    /**
     * @param graph   vertices that share a coefficient are neighbours
     * @param weights number of equations of each vertex, 0 or more
     * @param order   vertices, first eliminated first
     */
    public static Symbolic analyse(Graph graph, int[] weights, int[] order) {
        int[] used = Arrays.stream(order).filter(v -> weights[v] > 0).toArray();
        int[][] above = structures(graph, weights, used);
        int[] post = postorder(above);
        int n = used.length;
        int[] place = new int[n];
        for (int k = 0; k < n; k++) {
            place[post[k]] = k;
        }
        int[] weight = new int[n];
        int[][] up = new int[n][];
        int[] vertexStart = new int[weights.length];
        Arrays.fill(vertexStart, -1);
        int equation = 0;
        for (int k = 0; k < n; k++) {
            weight[k] = weights[used[post[k]]];
            up[k] = Arrays.stream(above[post[k]]).map(v -> place[v]).sorted().toArray();
            vertexStart[used[post[k]]] = equation;
            equation += weight[k];
        }
        return gathered(vertexStart, weight, up);
    }

    /** For each vertex by place in the order, the later vertices that its column reaches. */
    private static int[][] structures(Graph g, int[] weights, int[] used) {
        int n = used.length;
        int[] place = new int[weights.length];
        Arrays.fill(place, -1);
        for (int k = 0; k < n; k++) {
            place[used[k]] = k;
        }
        int[][] above = new int[n][];
        int[] mark = new int[n];
        Arrays.fill(mark, -1);
        int[] buffer = new int[n];
        List<List<Integer>> children = new ArrayList<>(n);
        for (int k = 0; k < n; k++) {
            children.add(null);
        }
        for (int k = 0; k < n; k++) {
            int size = 0;
            mark[k] = k;
            for (int p = g.start()[used[k]]; p < g.start()[used[k] + 1]; p++) {
                int v = place[g.neighbours()[p]];
                if (v > k && mark[v] != k) {
                    mark[v] = k;
                    buffer[size++] = v;
                }
            }
            List<Integer> below = children.get(k);
            for (int i = 0; below != null && i < below.size(); i++) {
                for (int v : above[below.get(i)]) {
                    if (v > k && mark[v] != k) {
                        mark[v] = k;
                        buffer[size++] = v;
                    }
                }
            }
            above[k] = Arrays.copyOf(buffer, size);
            int up = Arrays.stream(above[k]).min().orElse(-1);
            if (up >= 0) {
                if (children.get(up) == null) {
                    children.set(up, new ArrayList<>(4));
                }
                children.get(up).add(k);
            }
        }
        return above;
    }

    /** Children before parents, subtrees together. */
    private static int[] postorder(int[][] above) {
        int n = above.length;
        int[] up = new int[n];
        int[] head = new int[n + 1];
        int[] next = new int[n];
        Arrays.fill(head, -1);
        for (int k = n - 1; k >= 0; k--) {
            up[k] = Arrays.stream(above[k]).min().orElse(n);
            next[k] = head[up[k]];
            head[up[k]] = k;
        }
        int[] out = new int[n];
        int placed = 0;
        int[] stack = new int[n + 1];
        int depth = 0;
        stack[depth++] = n;
        while (depth > 0) {
            int v = stack[depth - 1];
            int child = head[v];
            if (child >= 0) {
                head[v] = next[child];
                stack[depth++] = child;
            } else {
                depth--;
                if (v < n) {
                    out[placed++] = v;
                }
            }
        }
        return out;
    }

    /** Merges each supernode with the one that grows behind it, where that stores few zeros. */
    private static Symbolic gathered(int[] vertexStart, int[] weight, int[][] up) {
        int n = weight.length;
        int[] start = new int[n + 1];
        for (int k = 0; k < n; k++) {
            start[k + 1] = start[k] + weight[k];
        }
        List<int[]> nodes = new ArrayList<>(); // first vertex, last vertex, stored zeros
        for (int k = 0; k < n; k++) {
            int[] node = {k, k, 0};
            int below = equations(up[k], weight);
            while (!nodes.isEmpty()) {
                int[] previous = nodes.get(nodes.size() - 1);
                int reach = up[previous[1]].length == 0
                        ? -1
                        : Arrays.stream(up[previous[1]]).min().getAsInt();
                if (reach != node[0]) {
                    break;
                }
                int cols = start[previous[1] + 1] - start[previous[0]];
                int own = start[node[1] + 1] - start[node[0]];
                int zeros = previous[2] + node[2] + cols * (own + below - equations(up[previous[1]], weight));
                double all = (double) (cols + own) * (cols + own + below);
                if (cols + own > SMALL && zeros > ZEROS * all) {
                    break;
                }
                node = new int[] {previous[0], k, zeros};
                nodes.remove(nodes.size() - 1);
            }
            nodes.add(node);
        }
        int[] first = new int[nodes.size() + 1];
        int[][] rows = new int[nodes.size()][];
        for (int s = 0; s < nodes.size(); s++) {
            first[s] = start[nodes.get(s)[0]];
            rows[s] = expanded(up[nodes.get(s)[1]], weight, start);
        }
        first[nodes.size()] = start[n];
        return new Symbolic(vertexStart, first, rows);
    }

    private static int equations(int[] vertices, int[] weight) {
        int sum = 0;
        for (int v : vertices) {
            sum += weight[v];
        }
        return sum;
    }

    private static int[] expanded(int[] vertices, int[] weight, int[] start) {
        int[] out = new int[equations(vertices, weight)];
        int k = 0;
        for (int v : vertices) {
            for (int i = 0; i < weight[v]; i++) {
                out[k++] = start[v] + i;
            }
        }
        return out;
    }

    private int[][] findUpdates() {
        int n = rows.length;
        int[] count = new int[n];
        int[][] out = new int[n][];
        for (int pass = 0; pass < 2; pass++) {
            if (pass == 1) {
                for (int s = 0; s < n; s++) {
                    out[s] = new int[3 * count[s]];
                }
                Arrays.fill(count, 0);
            }
            for (int s = 0; s < n; s++) {
                int[] r = rows[s];
                int columns = first[s + 1] - first[s];
                for (int p = 0; p < r.length; ) {
                    int target = superOf[r[p]];
                    int q = p;
                    while (q < r.length && superOf[r[q]] == target) {
                        q++;
                    }
                    if (pass == 1) {
                        int o = 3 * count[target];
                        out[target][o] = s;
                        out[target][o + 1] = p;
                        out[target][o + 2] = q;
                        work[target] += (double) (q - p) * (r.length - p) * columns;
                    }
                    count[target]++;
                    p = q;
                }
                if (pass == 0) {
                    double c = columns;
                    work[s] += c * c * c / 3 + c * c * r.length;
                }
            }
        }
        return out;
    }

    /** Number of equations. */
    public int equations() {
        return equations;
    }

    /** First equation of a vertex. */
    public int start(int vertex) {
        return vertexStart[vertex];
    }

    public int supernodes() {
        return rows.length;
    }

    int columns(int s) {
        return first[s + 1] - first[s];
    }

    /** Number of rows of a supernode's panel, diagonal block included. */
    int height(int s) {
        return columns(s) + rows[s].length;
    }

    /** Coefficients stored, zeros included. */
    public long size() {
        long sum = 0;
        for (int s = 0; s < rows.length; s++) {
            sum += (long) columns(s) * height(s);
        }
        return sum;
    }

    /** Place of an equation among the rows of a supernode's panel. */
    int rowOf(int equation, int s) {
        return equation < first[s + 1] ? equation - first[s] : columns(s) + Arrays.binarySearch(rows[s], equation);
    }
}
