package kolonne.core.analysis.sparse;

import java.util.Arrays;

/** An undirected graph in compressed rows: the neighbours of vertex v are {@code neighbours[start[v] .. start[v + 1])}. */
public record Graph(int[] start, int[] neighbours) {
    /** The graph of cliques: all vertices of a clique are neighbours of each other. Negative entries are left out. */
    public static Graph ofCliques(int vertices, int[][] cliques) {
        int[] start = new int[vertices + 1];
        for (int[] c : cliques) {
            int size = (int) Arrays.stream(c).filter(v -> v >= 0).count();
            for (int v : c) {
                if (v >= 0) {
                    start[v + 1] += size - 1;
                }
            }
        }
        for (int v = 0; v < vertices; v++) {
            start[v + 1] += start[v];
        }
        int[] fill = start.clone();
        int[] out = new int[start[vertices]];
        for (int[] c : cliques) {
            for (int i = 0; i < c.length; i++) {
                for (int j = 0; j < c.length; j++) {
                    if (i != j && c[i] >= 0 && c[j] >= 0) {
                        out[fill[c[i]]++] = c[j];
                    }
                }
            }
        }
        return new Graph(start, out);
    }

    public int vertices() {
        return start.length - 1;
    }
}
