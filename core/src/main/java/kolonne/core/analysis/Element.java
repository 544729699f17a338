package kolonne.core.analysis;

import java.util.List;
import kolonne.core.model.Joint;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.section.Shape;

/**
 * Stiffness and equivalent loads of one member: Euler-Bernoulli beam with rigid ends and releases.
 * Freedoms in local axes: ux uy uz rx ry rz at the start, then at the end.
 */
final class Element {
    private static final double[] GAUSS = {-Math.sqrt(0.6), 0, Math.sqrt(0.6)};
    private static final double[] WEIGHT = {5.0 / 9, 8.0 / 9, 5.0 / 9};

    final Member member;
    final double[][] axes;
    /** Length between joints [mm]. */
    final double length;
    /** Length that deforms [mm]. */
    final double clear;
    private final double[][] stiffness;
    private final int[] released;
    private final double[][] unreleased;

    Element(Member m, Joint i, Joint j, Shape s, Material mat) {
        member = m;
        axes = LocalAxes.of(i, j, m.angle());
        length = i.distanceTo(j);
        clear = length - m.rigidStart() - m.rigidEnd();
        unreleased = prismatic(m, s, mat);
        released = releasedFreedoms(m);
        stiffness = copy(unreleased);
        condense(stiffness, null);
    }

    private static int[] releasedFreedoms(Member m) {
        java.util.stream.IntStream.Builder out = java.util.stream.IntStream.builder();
        for (int e = 0; e < 2; e++) {
            Release r = e == 0 ? m.startRelease() : m.endRelease();
            for (int k = 0; k < 6; k++) {
                if (r.at(k)) {
                    out.add(6 * e + k);
                }
            }
        }
        return out.build().toArray();
    }

    /** Stiffness between the ends of the clear length. Przemieniecki (1968), eq. 5.116 without shear deformation. */
    private double[][] prismatic(Member m, Shape s, Material mat) {
        double E = mat.E();
        double L = clear;
        double ea = E * s.A() * m.stiffness().area() / L;
        double gj = mat.G() * s.J() * m.stiffness().torsion() / L;
        double eiz = E * s.Iz() * m.stiffness().iz();
        double eiy = E * s.Iy() * m.stiffness().iy();
        double[][] k = new double[12][12];
        pair(k, 0, 6, ea);
        pair(k, 3, 9, gj);
        bending(k, 1, 5, 7, 11, eiz, L, 1);
        bending(k, 2, 4, 8, 10, eiy, L, -1);
        return k;
    }

    private static void pair(double[][] k, int a, int b, double v) {
        k[a][a] = v;
        k[b][b] = v;
        k[a][b] = -v;
        k[b][a] = -v;
    }

    private static void bending(double[][] k, int v1, int r1, int v2, int r2, double ei, double L, double sign) {
        double a = 12 * ei / (L * L * L);
        double b = sign * 6 * ei / (L * L);
        double c = 4 * ei / L;
        pair(k, v1, v2, a);
        k[r1][r1] = c;
        k[r2][r2] = c;
        k[r1][r2] = c / 2;
        k[r2][r1] = c / 2;
        both(k, v1, r1, b);
        both(k, v1, r2, b);
        both(k, v2, r1, -b);
        both(k, v2, r2, -b);
    }

    private static void both(double[][] k, int i, int j, double v) {
        k[i][j] = v;
        k[j][i] = v;
    }

    /** Eliminates the released freedoms from {@code k}, and from the load vector {@code p} if given. */
    private void condense(double[][] k, double[] p) {
        for (int r : released) {
            double pivot = k[r][r];
            if (Math.abs(pivot) <= 1e-12 * Math.abs(unreleased[r][r])) {
                continue; // released against nothing: the freedom carries no force already
            }
            for (int i = 0; i < 12; i++) {
                double f = k[i][r] / pivot;
                if (i == r || f == 0) {
                    continue;
                }
                if (p != null) {
                    p[i] -= f * p[r];
                }
                for (int j = 0; j < 12; j++) {
                    k[i][j] -= f * k[r][j];
                }
            }
            for (int i = 0; i < 12; i++) {
                k[i][r] = 0;
                k[r][i] = 0;
            }
            if (p != null) {
                p[r] = 0;
            }
        }
    }

    /** Stiffness in global axes between the joints, 12 × 12. */
    double[][] globalStiffness() {
        double[][] t = toClearEnds();
        double[][] kt = new double[12][12];
        for (int i = 0; i < 12; i++) {
            for (int a = 0; a < 12; a++) {
                double v = stiffness[i][a];
                if (v == 0) {
                    continue;
                }
                for (int j = 0; j < 12; j++) {
                    kt[i][j] += v * t[a][j];
                }
            }
        }
        double[][] out = new double[12][12];
        for (int a = 0; a < 12; a++) {
            for (int i = 0; i < 12; i++) {
                double v = t[a][i];
                if (v == 0) {
                    continue;
                }
                for (int j = 0; j < 12; j++) {
                    out[i][j] += v * kt[a][j];
                }
            }
        }
        return out;
    }

    /** Matrix that takes joint displacements in global axes to displacements of the clear ends in local axes. */
    private double[][] toClearEnds() {
        double[][] t = new double[12][12];
        for (int e = 0; e < 2; e++) {
            int o = 6 * e;
            double arm = e == 0 ? member.rigidStart() : -member.rigidEnd();
            for (int a = 0; a < 3; a++) {
                for (int g = 0; g < 3; g++) {
                    t[o + a][o + g] = axes[a][g];
                    t[o + 3 + a][o + 3 + g] = axes[a][g];
                }
            }
            for (int g = 0; g < 3; g++) {
                t[o + 1][o + 3 + g] += arm * axes[2][g]; // uy += arm * rz
                t[o + 2][o + 3 + g] -= arm * axes[1][g]; // uz -= arm * ry
            }
        }
        return t;
    }

    /** What a set of loads does to a member: forces at its clear ends if held, and the loads its joints receive. */
    record Held(double[] equivalent, double[] jointLoads) {}

    /** Equivalent loads of the clear length in local axes (after releases), and all joint loads in global axes. */
    Held hold(List<SpanLoad> loads) {
        double[] p = new double[12];
        double[] direct = new double[12];
        double a = member.rigidStart();
        double b = length - member.rigidEnd();
        for (SpanLoad l : loads) {
            if (l.isPoint()) {
                point(l, a, b, p, direct);
            } else {
                piece(l, l.from(), Math.min(l.to(), a), a, b, p, direct);
                piece(l, Math.max(l.from(), a), Math.min(l.to(), b), a, b, p, direct);
                piece(l, Math.max(l.from(), b), l.to(), a, b, p, direct);
            }
        }
        if (released.length > 0) {
            condense(copy(unreleased), p);
        }
        double[] joints = transposed(toClearEnds(), p);
        addGlobal(joints, direct);
        return new Held(p, joints);
    }

    private void addGlobal(double[] joints, double[] direct) {
        for (int o = 0; o < 12; o += 3) {
            for (int g = 0; g < 3; g++) {
                for (int c = 0; c < 3; c++) {
                    joints[o + g] += axes[c][g] * direct[o + c];
                }
            }
        }
    }

    private void piece(SpanLoad l, double from, double to, double a, double b, double[] p, double[] direct) {
        if (to <= from) {
            return;
        }
        double half = (to - from) / 2;
        for (int g = 0; g < 3; g++) {
            double x = from + half * (1 + GAUSS[g]);
            double w = half * WEIGHT[g];
            double[] force = {l.at(x, 0) * w, l.at(x, 1) * w, l.at(x, 2) * w};
            point(new SpanLoad(x, x, force, new double[3]), a, b, p, direct);
        }
    }

    /** A point load: shared by the Hermite shape functions (exact for a prismatic beam), or taken by a rigid end. */
    private void point(SpanLoad l, double a, double b, double[] p, double[] direct) {
        double[] f = l.q1();
        double[] m = l.q2();
        if (l.from() < a || l.from() > b) {
            int o = l.from() < a ? 0 : 6;
            double arm = l.from() < a ? l.from() : l.from() - length;
            for (int c = 0; c < 3; c++) {
                direct[o + c] += f[c];
                direct[o + 3 + c] += m[c];
            }
            direct[o + 4] -= arm * f[2];
            direct[o + 5] += arm * f[1];
            return;
        }
        double L = clear;
        double s = (l.from() - a) / L;
        double n1 = 1 - 3 * s * s + 2 * s * s * s;
        double n2 = L * (s - 2 * s * s + s * s * s);
        double n4 = L * (s * s * s - s * s);
        double d1 = (-6 * s + 6 * s * s) / L;
        double d2 = 1 - 4 * s + 3 * s * s;
        double d4 = 3 * s * s - 2 * s;
        p[0] += (1 - s) * f[0];
        p[6] += s * f[0];
        p[3] += (1 - s) * m[0];
        p[9] += s * m[0];
        p[1] += n1 * f[1] + d1 * m[2];
        p[5] += n2 * f[1] + d2 * m[2];
        p[7] += (1 - n1) * f[1] - d1 * m[2];
        p[11] += n4 * f[1] + d4 * m[2];
        p[2] += n1 * f[2] - d1 * m[1];
        p[4] += -n2 * f[2] + d2 * m[1];
        p[8] += (1 - n1) * f[2] + d1 * m[1];
        p[10] += -n4 * f[2] + d4 * m[1];
    }

    /** Forces on the clear ends in local axes from joint displacements [mm, rad] and the equivalent loads. */
    double[] endForces(double[] u, double[] equivalent) {
        double[][] t = toClearEnds();
        double[] local = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                local[i] += t[i][j] * u[j];
            }
        }
        double[] f = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                f[i] += stiffness[i][j] * local[j];
            }
            f[i] -= equivalent[i];
        }
        return f;
    }

    /** Forces on the joints' side in global axes that balance the clear-end forces {@code f}. */
    double[] toJoints(double[] f) {
        return transposed(toClearEnds(), f);
    }

    private static double[] transposed(double[][] t, double[] p) {
        double[] out = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                out[j] += t[i][j] * p[i];
            }
        }
        return out;
    }

    private static double[][] copy(double[][] k) {
        double[][] out = new double[k.length][];
        for (int i = 0; i < k.length; i++) {
            out[i] = k[i].clone();
        }
        return out;
    }
}
