package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import kolonne.core.analysis.sparse.Graph;
import kolonne.core.analysis.sparse.NestedDissection;
import kolonne.core.analysis.sparse.Symbolic;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Joint;
import kolonne.core.model.Support;

/**
 * Which equation each joint displacement belongs to. A displacement is held (no equation), free (one equation), or a
 * linear combination of its rigid diaphragm's three: ux = U − (y − y0) R, uy = V + (x − x0) R, rz = R.
 */
final class Freedoms {
    /** Equations and coefficients of one displacement. */
    record Terms(int[] equations, double[] factors) {
        static final Terms HELD = new Terms(new int[0], new double[0]);

        static Terms one(int equation) {
            return new Terms(new int[] {equation}, new double[] {1});
        }
    }

    private static final String[] DIRECTION = {
        "displacement along X",
        "displacement along Y",
        "displacement along Z",
        "rotation about X",
        "rotation about Y",
        "rotation about Z"
    };

    private final BuildingIndex index;
    private final Terms[] terms;
    private final String[] names;
    /** Diaphragm of each joint that moves with one, or −1. */
    private final int[] plate;

    private final Symbolic symbolic;

    /** Numbers the equations in order of elimination. */
    Freedoms(BuildingIndex index, Consumer<Finding> findings) {
        this.index = index;
        Building b = index.building();
        int n = b.joints().size();
        boolean[][] held = new boolean[n][6];
        for (Support s : b.supports()) {
            for (int i = 0; i < 6; i++) {
                held[index.jointNumber(s.joint())][i] |= s.holds(i);
            }
        }
        boolean[] unused = new boolean[n];
        for (int j = 0; j < n; j++) {
            unused[j] = index.membersAt(b.joints().get(j).id()).isEmpty();
        }
        plate = plates(index, held, unused, findings);
        int[] weights = weights(n, held, unused);
        symbolic = Symbolic.analyse(graph(n), weights, order(n));
        terms = new Terms[6 * n];
        names = new String[symbolic.equations()];
        for (int j = 0; j < n; j++) {
            numberJoint(j, held[j], unused[j]);
        }
        for (int p = 0; p < b.diaphragms().size(); p++) {
            numberPlate(b.diaphragms().get(p), p, n + p);
        }
    }

    private static int[] plates(BuildingIndex index, boolean[][] held, boolean[] unused, Consumer<Finding> findings) {
        int[] plate = new int[held.length];
        Arrays.fill(plate, -1);
        List<Diaphragm> all = index.building().diaphragms();
        for (int p = 0; p < all.size(); p++) {
            // a joint without members, such as the centre of mass, moves with a floor that has others
            boolean moves = all.get(p).joints().stream()
                    .map(index::jointNumber)
                    .anyMatch(j -> !unused[j] && !(held[j][0] || held[j][1] || held[j][5]));
            if (!all.get(p).rigid() || !moves) {
                continue;
            }
            for (String id : all.get(p).joints()) {
                int j = index.jointNumber(id);
                if (held[j][0] || held[j][1] || held[j][5]) {
                    findings.accept(Finding.note(
                            "diaphragm.held",
                            "diaphragm " + all.get(p).id(),
                            "Joint " + id + " is supported in plan; it does not move with the diaphragm.",
                            "Take the joint out of the diaphragm or remove its support."));
                } else {
                    plate[j] = p;
                }
            }
        }
        return plate;
    }

    private static boolean inPlan(int direction) {
        return direction == 0 || direction == 1 || direction == 5;
    }

    private int[] weights(int n, boolean[][] held, boolean[] unused) {
        int[] out = new int[n + index.building().diaphragms().size()];
        for (int j = 0; j < n; j++) {
            for (int i = 0; i < 6; i++) {
                if (!unused[j] && !held[j][i] && !(plate[j] >= 0 && inPlan(i))) {
                    out[j]++;
                }
            }
            if (plate[j] >= 0) {
                out[n + plate[j]] = 3;
            }
        }
        return out;
    }

    /** Joints and diaphragms that a member brings together. */
    private Graph graph(int n) {
        int[][] cliques = index.building().members().stream()
                .map(m -> {
                    int i = index.jointNumber(m.start());
                    int j = index.jointNumber(m.end());
                    int p = plate[i] < 0 ? -1 : n + plate[i];
                    int q = plate[j] < 0 || plate[j] == plate[i] ? -1 : n + plate[j];
                    return new int[] {i, j, p, q};
                })
                .toArray(int[][]::new);
        return Graph.ofCliques(n + index.building().diaphragms().size(), cliques);
    }

    /** Joints by nested dissection, diaphragms last: each would otherwise join all of its floor at once. */
    private int[] order(int n) {
        int[][] pairs = index.building().members().stream()
                .map(m -> new int[] {index.jointNumber(m.start()), index.jointNumber(m.end())})
                .toArray(int[][]::new);
        int[] joints = NestedDissection.order(Graph.ofCliques(n, pairs));
        return IntStream.concat(
                        Arrays.stream(joints),
                        IntStream.range(n, n + index.building().diaphragms().size()))
                .toArray();
    }

    private void numberJoint(int j, boolean[] held, boolean unused) {
        int next = symbolic.start(j);
        for (int i = 0; i < 6; i++) {
            if ((unused || held[i]) && !(plate[j] >= 0 && inPlan(i))) {
                terms[6 * j + i] = Terms.HELD;
            } else if (!(plate[j] >= 0 && inPlan(i))) {
                names[next] = "Joint " + index.building().joints().get(j).id() + ", " + DIRECTION[i];
                terms[6 * j + i] = Terms.one(next++);
            }
        }
    }

    private void numberPlate(Diaphragm d, int number, int vertex) {
        List<Joint> joints = new ArrayList<>();
        d.joints().stream()
                .filter(id -> plate[index.jointNumber(id)] == number)
                .map(index::joint)
                .forEach(joints::add);
        if (joints.isEmpty()) {
            return;
        }
        double x0 = joints.stream().mapToDouble(Joint::x).average().orElse(0);
        double y0 = joints.stream().mapToDouble(Joint::y).average().orElse(0);
        int u = symbolic.start(vertex);
        for (int i = 0; i < 3; i++) {
            names[u + i] = "Diaphragm " + d.id() + ", " + DIRECTION[i == 2 ? 5 : i];
        }
        for (Joint joint : joints) {
            int j = index.jointNumber(joint.id());
            terms[6 * j] = new Terms(new int[] {u, u + 2}, new double[] {1, -(joint.y() - y0)});
            terms[6 * j + 1] = new Terms(new int[] {u + 1, u + 2}, new double[] {1, joint.x() - x0});
            terms[6 * j + 5] = Terms.one(u + 2);
        }
    }

    Symbolic symbolic() {
        return symbolic;
    }

    /** Vertices (joints, then diaphragms) whose equations displacement of a joint may belong to. */
    int[] verticesOf(int joint) {
        return plate[joint] < 0 ? new int[] {joint} : new int[] {joint, terms.length / 6 + plate[joint]};
    }

    int count() {
        return symbolic.equations();
    }

    Terms at(int joint, int direction) {
        return terms[6 * joint + direction];
    }

    /** A joint whose displacement belongs to an equation. */
    String jointOf(int equation) {
        for (int d = 0; d < terms.length; d++) {
            for (int e : terms[d].equations()) {
                if (e == equation) {
                    return index.building().joints().get(d / 6).id();
                }
            }
        }
        throw new IllegalStateException("Impossible: an equation of no joint");
    }

    /** The joint (or diaphragm) and direction of an equation, in words. */
    String name(int equation) {
        return names[equation];
    }
}
