package kolonne.core.analysis;

import java.util.List;
import java.util.stream.IntStream;
import kolonne.core.analysis.sparse.Cholesky;
import kolonne.core.model.Building;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Settlement;
import kolonne.core.model.Spring;

/** All load cases of a frame, from loads to joint displacements, member end forces and reactions. */
final class Solution {
    private final Frame frame;
    private final int cases;
    private final int size;
    /** [case][6 × joint]. */
    private final double[][] applied;

    private final double[][] displacements;
    private final double[][] reactions;
    private final double[] residuals;
    /** By case, the equation that is out of balance most. */
    private final int[] worst;
    /** [member][case][12]: equivalent loads, end forces, displacements of the joints' side of the clear ends (local axes). */
    private final double[][][] equivalent;

    private final double[][][] endForces;
    private final double[][][] local;
    /** [member][case][released]: what released freedoms received. */
    private final double[][][] received;

    /** [member][case × 12]: what the joints receive of the member's loads, global axes; null without loads. */
    private final double[][] onJoints;

    /** @param before a solution from which the loads of unchanged members are taken, or null */
    Solution(Frame frame, Cholesky factor, Solution before) {
        this.frame = frame;
        Building b = frame.index.building();
        cases = b.loadCases().size();
        size = 6 * b.joints().size();
        int n = frame.elements.length;
        applied = new double[cases][size];
        displacements = new double[cases][size];
        reactions = new double[cases][];
        residuals = new double[cases];
        worst = new int[cases];
        equivalent = new double[n][cases][];
        endForces = new double[n][cases][];
        local = new double[n][cases][];
        received = new double[n][][];
        onJoints = new double[n][];
        load(before);
        double[][] x = new double[cases][];
        double[][] ground = ground();
        IntStream.range(0, cases).parallel().forEach(c -> x[c] = rightHandSide(c, ground[c]));
        factor.solve(x);
        IntStream.range(0, cases).parallel().forEach(c -> {
            frame.expand(x[c], displacements[c]);
            for (int d = 0; ground[c] != null && d < size; d++) {
                displacements[c][d] += held(d) ? ground[c][d] : 0;
            }
        });
        IntStream.range(0, n).parallel().forEach(this::endForces);
        IntStream.range(0, cases).parallel().forEach(c -> balance(c, ground[c]));
    }

    private boolean held(int d) {
        return frame.freedoms.at(d / 6, d % 6) == Freedoms.Terms.HELD;
    }

    private void load(Solution before) {
        boolean reusable = before != null && before.cases == cases && before.onJoints.length == onJoints.length;
        IntStream.range(0, onJoints.length).parallel().forEach(m -> {
            if (reusable
                    && frame.elements[m] == before.frame.elements[m]
                    && frame.loads.of(m) == before.frame.loads.of(m)) {
                equivalent[m] = before.equivalent[m];
                received[m] = before.received[m];
                onJoints[m] = before.onJoints[m];
            } else {
                onJoints[m] = hold(m);
            }
        });
        IntStream.range(0, cases).parallel().forEach(c -> {
            for (int m = 0; m < onJoints.length; m++) {
                if (onJoints[m] != null) {
                    scatter(applied[c], frame.joints[m], onJoints[m], 12 * c);
                }
            }
        });
        for (JointLoad l : frame.index.building().jointLoads()) {
            int j = frame.index.jointNumber(l.joint());
            double[] to = applied[frame.index.caseNumber(l.loadCase())];
            for (int i = 0; i < 6; i++) {
                to[6 * j + i] += l.at(i);
            }
        }
        Leaning.load(frame.index, applied);
    }

    /** Sets the equivalent loads of a member; returns what its joints receive, [case × 12], or null without loads. */
    private double[] hold(int m) {
        List<Loading> loads = frame.loads.of(m);
        Element e = frame.elements[m];
        received[m] = new double[cases][e.releasedCount()];
        for (int c = 0; c < cases; c++) {
            equivalent[m][c] = new double[12];
        }
        if (loads.isEmpty()) {
            return null;
        }
        double[] out = new double[12 * cases];
        for (Loading l : loads) {
            Element.Held h = e.hold(l.shape());
            for (int k = 0; k < l.cases().length; k++) {
                int c = l.cases()[k];
                add(equivalent[m][c], 0, h.equivalent(), l.sizes()[k]);
                add(out, 12 * c, h.joints(), l.sizes()[k]);
                add(received[m][c], 0, h.received(), l.sizes()[k]);
            }
        }
        return out;
    }

    private static void add(double[] to, int offset, double[] what, double factor) {
        for (int i = 0; i < what.length; i++) {
            to[offset + i] += factor * what[i];
        }
    }

    /** Displacements of the ground by case, [6 × joint]; null for a case without settlement. */
    private double[][] ground() {
        double[][] out = new double[cases][];
        for (Settlement s : frame.index.building().settlements()) {
            int c = frame.index.caseNumber(s.loadCase());
            out[c] = out[c] == null ? new double[size] : out[c];
            for (int i = 0; i < 6; i++) {
                out[c][6 * frame.index.jointNumber(s.joint()) + i] += s.at(i);
            }
        }
        return out;
    }

    private double[] rightHandSide(int c, double[] ground) {
        double[] joint = applied[c];
        if (ground != null) {
            joint = joint.clone();
            for (int m = 0; m < frame.elements.length; m++) {
                double[] u = new double[12];
                boolean moved = false;
                for (int i = 0; i < 12; i++) {
                    int d = 6 * frame.joints[m][i / 6] + i % 6;
                    u[i] = held(d) ? ground[d] : 0;
                    moved |= u[i] != 0;
                }
                if (moved) {
                    double[] f = frame.stiffnessTimes(m, u);
                    for (int i = 0; i < 12; i++) {
                        joint[6 * frame.joints[m][i / 6] + i % 6] -= f[i];
                    }
                }
            }
            for (Spring s : frame.index.building().springs()) {
                int j = 6 * frame.index.jointNumber(s.joint());
                for (int i = 0; i < 6; i++) {
                    joint[j + i] += s.at(i) * ground[j + i];
                }
            }
        }
        double[] x = new double[frame.freedoms.count()];
        frame.gather(joint, x);
        return x;
    }

    private void endForces(int m) {
        Element e = frame.elements[m];
        double[] u = new double[12];
        for (int c = 0; c < cases; c++) {
            System.arraycopy(displacements[c], 6 * frame.joints[m][0], u, 0, 6);
            System.arraycopy(displacements[c], 6 * frame.joints[m][1], u, 6, 6);
            local[m][c] = e.local(u);
            endForces[m][c] = e.endForces(local[m][c], equivalent[m][c]);
        }
    }

    /** Reactions as what the members' ends and the loads leave over; the residual is what is left where nothing holds. */
    private void balance(int c, double[] ground) {
        double[] left = new double[size];
        double[] f = new double[12];
        for (int m = 0; m < frame.elements.length; m++) {
            for (int i = 0; i < 12; i++) {
                f[i] = endForces[m][c][i] + equivalent[m][c][i]; // equivalent loads are in "applied" already
            }
            scatter(left, frame.joints[m], frame.elements[m].toJoints(f), 0);
        }
        for (int d = 0; d < size; d++) {
            left[d] -= applied[c][d];
        }
        double[] out = new double[size];
        for (Spring s : frame.index.building().springs()) {
            int j = 6 * frame.index.jointNumber(s.joint());
            for (int i = 0; i < 6; i++) {
                double moved = displacements[c][j + i] - (ground == null ? 0 : ground[j + i]);
                out[j + i] -= s.at(i) * moved;
                left[j + i] += s.at(i) * moved;
            }
        }
        residuals[c] = residual(c, left, applied[c]);
        for (int d = 0; d < size; d++) {
            out[d] += held(d) ? left[d] : 0;
        }
        reactions[c] = out;
    }

    private double residual(int c, double[] left, double[] loads) {
        double[] free = new double[frame.freedoms.count()];
        frame.gather(left, free);
        double scale = 0;
        for (int d = 0; d < size; d++) {
            scale = Math.max(scale, Math.max(Math.abs(loads[d]), Math.abs(left[d])));
        }
        for (int i = 0; i < free.length; i++) {
            worst[c] = Math.abs(free[i]) > Math.abs(free[worst[c]]) ? i : worst[c];
        }
        return scale == 0 || free.length == 0 ? 0 : Math.abs(free[worst[c]]) / scale;
    }

    /** The equation that is out of balance most in a case. */
    int worstEquation(int c) {
        return worst[c];
    }

    private static void scatter(double[] to, int[] ends, double[] values, int offset) {
        for (int i = 0; i < 12; i++) {
            to[6 * ends[i / 6] + i % 6] += values[offset + i];
        }
    }

    double[][] displacements() {
        return displacements;
    }

    double[][] reactions() {
        return reactions;
    }

    double[] residuals() {
        return residuals;
    }

    /** Joint loads of a case, equivalent loads of the members included, [6 × joint] in global axes. */
    double[] applied(int c) {
        return applied[c];
    }

    /** By case: forces on the clear ends in local axes. */
    double[][] endForcesOf(int m) {
        return endForces[m];
    }

    /** Displacements of the beam's own ends in a case, local axes. */
    double[] beamEnds(int m, int c) {
        return frame.elements[m].beamEnds(local[m][c], received[m][c]);
    }

    /** Mean axial force of a member over cases by factor, tension positive [N]. */
    double axial(int m, double[] factors) {
        double n = 0;
        for (int c = 0; c < cases; c++) {
            n += factors[c] * (endForces[m][c][6] - endForces[m][c][0]) / 2;
        }
        return n;
    }
}
