package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import kolonne.core.analysis.sparse.NestedDissection;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Joint;
import kolonne.core.model.Support;

/**
 * Which equation each joint displacement belongs to. A displacement is held (no equation), free (one equation), or a
 * linear combination of its diaphragm's three: ux = U − (y − y0) R, uy = V + (x − x0) R, rz = R.
 */
final class Freedoms {
    /** Equations and coefficients of one displacement. */
    record Terms(int[] equations, double[] factors) {
        static final Terms HELD = new Terms(new int[0], new double[0]);

        static Terms one(int equation) {
            return new Terms(new int[] {equation}, new double[] {1});
        }
    }

    private static final String[] DIRECTION = {"displacement along X", "displacement along Y", "displacement along Z",
        "rotation about X", "rotation about Y", "rotation about Z"};

    private final Terms[] terms;
    private final String[] names;
    private int count;

    private Freedoms(int joints) {
        terms = new Terms[6 * joints];
        names = new String[6 * joints + 6];
    }

    /** Numbers the equations in order of elimination. */
    static Freedoms of(BuildingIndex index, Consumer<Finding> findings) {
        Building b = index.building();
        int n = b.joints().size();
        Freedoms f = new Freedoms(n);
        boolean[][] held = new boolean[n][6];
        for (Support s : b.supports()) {
            for (int i = 0; i < 6; i++) {
                held[index.jointNumber(s.joint())][i] |= s.holds(i);
            }
        }
        int[] plate = plates(index, held, findings);
        for (int j : f.eliminationOrder(index, n)) {
            f.numberJoint(b.joints().get(j).id(), j, held[j], plate[j] >= 0,
                index.membersAt(b.joints().get(j).id()).isEmpty());
        }
        for (int p = 0; p < b.diaphragms().size(); p++) {
            f.numberPlate(index, b.diaphragms().get(p), p, plate);
        }
        return f;
    }

    private static int[] plates(BuildingIndex index, boolean[][] held, Consumer<Finding> findings) {
        int[] plate = new int[held.length];
        Arrays.fill(plate, -1);
        List<Diaphragm> all = index.building().diaphragms();
        for (int p = 0; p < all.size(); p++) {
            for (String id : all.get(p).joints()) {
                int j = index.jointNumber(id);
                if (held[j][0] || held[j][1] || held[j][5]) {
                    findings.accept(Finding.note("diaphragm.held", "diaphragm " + all.get(p).id(), "Joint " + id
                        + " is supported in plan; it does not move with the diaphragm.",
                        "Take the joint out of the diaphragm or remove its support."));
                } else if (!index.membersAt(id).isEmpty()) {
                    plate[j] = p;
                }
            }
        }
        return plate;
    }

    private int[] eliminationOrder(BuildingIndex index, int n) {
        int[] start = new int[n + 1];
        List<int[]> pairs = new ArrayList<>();
        index.building().members().forEach(m -> pairs.add(
            new int[] {index.jointNumber(m.start()), index.jointNumber(m.end())}));
        for (int[] p : pairs) {
            start[p[0] + 1]++;
            start[p[1] + 1]++;
        }
        for (int i = 0; i < n; i++) {
            start[i + 1] += start[i];
        }
        int[] fill = start.clone();
        int[] neighbours = new int[start[n]];
        for (int[] p : pairs) {
            neighbours[fill[p[0]]++] = p[1];
            neighbours[fill[p[1]]++] = p[0];
        }
        return NestedDissection.order(start, neighbours);
    }

    private void numberJoint(String id, int j, boolean[] held, boolean inPlate, boolean unused) {
        for (int i = 0; i < 6; i++) {
            boolean plateMoves = inPlate && (i == 0 || i == 1 || i == 5);
            if (unused || held[i]) {
                terms[6 * j + i] = Terms.HELD;
            } else if (!plateMoves) {
                names[count] = "Joint " + id + ", " + DIRECTION[i];
                terms[6 * j + i] = Terms.one(count++);
            }
        }
    }

    private void numberPlate(BuildingIndex index, Diaphragm d, int number, int[] plate) {
        List<Joint> joints = d.joints().stream().filter(id -> plate[index.jointNumber(id)] == number)
            .map(index::joint).toList();
        if (joints.isEmpty()) {
            return;
        }
        double x0 = joints.stream().mapToDouble(Joint::x).average().orElse(0);
        double y0 = joints.stream().mapToDouble(Joint::y).average().orElse(0);
        int u = count;
        count += 3;
        ensureNames();
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

    private void ensureNames() {
        if (count > names.length) {
            throw new IllegalStateException("Impossible: more equations than joint displacements");
        }
    }

    int count() {
        return count;
    }

    Terms at(int joint, int direction) {
        return terms[6 * joint + direction];
    }

    /** The joint (or diaphragm) and direction of an equation, in words. */
    String name(int equation) {
        return names[equation];
    }
}
