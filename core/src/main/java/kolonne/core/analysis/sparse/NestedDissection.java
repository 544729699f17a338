package kolonne.core.analysis.sparse;

/**
 * Fill-reducing order of a graph's vertices: a breadth-first level near the middle separates the graph, both sides are
 * ordered first (recursively), the separator last.
 * Source: A. George, "Nested dissection of a regular finite element mesh", SIAM J. Numer. Anal. 10 (1973).
 */
public final class NestedDissection {
    private static final int LEAF = 24;
    private final int[] start;
    private final int[] neighbours;
    private final int[] part;
    private final int[] level;
    private final int[] order;
    private int placed;
    private int parts = 1;

    private NestedDissection(int[] start, int[] neighbours) {
        this.start = start;
        this.neighbours = neighbours;
        int n = start.length - 1;
        part = new int[n];
        level = new int[n];
        order = new int[n];
    }

    /**
     * The order of elimination of a graph in compressed rows.
     *
     * @param g neighbours may be listed more than once
     * @return vertices, first eliminated first
     */
    public static int[] order(Graph g) {
        NestedDissection d = new NestedDissection(g.start(), g.neighbours());
        int n = g.vertices();
        int[] all = new int[n];
        for (int i = 0; i < n; i++) {
            all[i] = i;
        }
        d.dissect(all);
        return d.order;
    }

    private void dissect(int[] vertices) {
        if (vertices.length == 0) {
            return;
        }
        int id = parts++;
        for (int v : vertices) {
            part[v] = id;
            level[v] = -1;
        }
        int[] reached = breadthFirst(vertices[0], id);
        if (reached.length < vertices.length) {
            dissectComponents(vertices, reached, id);
            return;
        }
        reached = fromTheEdge(reached, id);
        int depth = level[reached[reached.length - 1]];
        if (vertices.length <= LEAF || depth < 2) {
            for (int i = reached.length - 1; i >= 0; i--) {
                order[placed++] = reached[i];
            }
            return;
        }
        split(reached, depth);
    }

    /** Restarts twice from a vertex of the last level, which lengthens the level structure. */
    private int[] fromTheEdge(int[] reached, int id) {
        int[] out = reached;
        for (int pass = 0; pass < 2; pass++) {
            int far = out[out.length - 1];
            for (int v : out) {
                level[v] = -1;
            }
            out = breadthFirst(far, id);
        }
        return out;
    }

    private void split(int[] reached, int depth) {
        int[] count = new int[depth + 1];
        for (int v : reached) {
            count[level[v]]++;
        }
        int cut = smallestMiddleLevel(count, reached.length);
        int low = 0;
        for (int l = 0; l < cut; l++) {
            low += count[l];
        }
        int[] first = new int[low];
        int[] separator = new int[count[cut]];
        int[] last = new int[reached.length - low - count[cut]];
        System.arraycopy(reached, 0, first, 0, low);
        System.arraycopy(reached, low, separator, 0, separator.length);
        System.arraycopy(reached, low + separator.length, last, 0, last.length);
        dissect(first);
        dissect(last);
        for (int v : separator) {
            order[placed++] = v;
        }
    }

    /** The smallest level among those that leave each side at least three tenths of the vertices. */
    private static int smallestMiddleLevel(int[] count, int total) {
        int best = -1;
        int below = 0;
        int median = -1;
        for (int l = 0; l < count.length; l++) {
            int above = total - below - count[l];
            if (median < 0 && below + count[l] >= total / 2) {
                median = l;
            }
            boolean balanced = below >= 0.3 * total && above >= 0.3 * total;
            if (balanced && (best < 0 || count[l] < count[best])) {
                best = l;
            }
            below += count[l];
        }
        return best >= 0 ? best : Math.max(1, Math.min(median, count.length - 2));
    }

    private void dissectComponents(int[] vertices, int[] first, int id) {
        int[] rest = new int[vertices.length - first.length];
        int k = 0;
        for (int v : vertices) {
            if (level[v] < 0) {
                rest[k++] = v;
            }
        }
        dissect(first);
        dissect(rest);
    }

    private int[] breadthFirst(int root, int id) {
        int[] queue = new int[16];
        int size = 0;
        queue[size++] = root;
        level[root] = 0;
        for (int head = 0; head < size; head++) {
            int v = queue[head];
            for (int p = start[v]; p < start[v + 1]; p++) {
                int w = neighbours[p];
                if (part[w] == id && level[w] < 0) {
                    level[w] = level[v] + 1;
                    if (size == queue.length) {
                        queue = java.util.Arrays.copyOf(queue, 2 * size);
                    }
                    queue[size++] = w;
                }
            }
        }
        return java.util.Arrays.copyOf(queue, size);
    }
}
