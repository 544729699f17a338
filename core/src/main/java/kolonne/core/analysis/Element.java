package kolonne.core.analysis;

import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;

/**
 * Stiffness and equivalent loads of one member: a prismatic beam with or without shear deformation, rigid ends and
 * connections that pass actions in full, in part or not at all. Freedoms in local axes: ux uy uz rx ry rz at the start, then
 * at the end. Immutable.
 *
 * <p>Sources: J. S. Przemieniecki, Theory of Matrix Structural Analysis (1968), eq. 5.116 (stiffness with shear), eq. 15.17
 * (geometric stiffness); shape functions with shear: J. N. Reddy, "On locking-free shear deformable beam finite elements",
 * Comput. Methods Appl. Mech. Engrg. 149 (1997).
 */
final class Element {
    private static final double[] GAUSS = {-Math.sqrt(0.6), 0, Math.sqrt(0.6)};
    private static final double[] WEIGHT = {5.0 / 9, 8.0 / 9, 5.0 / 9};

    final Member member;
    /** Turn of the axes of bending from the local ones about x [rad]. */
    final double turn;
    /** Axes in which the member bends: the local ones but for that turn. */
    final double[][] axes;
    /** Length between joints [mm]. */
    final double length;
    /** Length at the start that does not deform [mm]. */
    final double rigidStart;

    final double rigidEnd;
    /** Length that deforms [mm]. */
    final double clear;
    /** Axial force, tension positive, whose second-order effect is in the stiffness [N]. */
    final double axial;
    /** Bending stiffness about y and z [Nmm2]. */
    final double eiy;

    final double eiz;
    /** Shear stiffness along y and z [N]; infinite without shear deformation. */
    final double gay;

    final double gaz;
    private final double[] prismatic;
    private final double[] stiffness;
    private final int[] released;
    private final double[] spring;
    /** Row of each released freedom when it was eliminated, and its pivot. */
    private final double[][] rowAt;

    private final double[] pivotAt;

    Element(
            Member m,
            Joint i,
            Joint j,
            Shape s,
            Material mat,
            StiffnessFactors f,
            double rigidStart,
            double rigidEnd,
            boolean shear) {
        member = m;
        PrincipalAxes bends = PrincipalAxes.of(m, s, f.iy(), f.iz());
        turn = bends.turn();
        axes = LocalAxes.of(i, j, m.angle() + turn);
        length = i.distanceTo(j);
        this.rigidStart = rigidStart;
        this.rigidEnd = rigidEnd;
        clear = length - rigidStart - rigidEnd;
        axial = 0;
        eiy = mat.E() * bends.about1();
        eiz = mat.E() * bends.about2();
        double alongY = mat.G() * s.shearAreaY() * f.shearY();
        double alongZ = mat.G() * s.shearAreaZ() * f.shearZ();
        gay = shear ? PrincipalAxes.shear(alongY, alongZ, Math.cos(turn), Math.sin(turn)) : Double.POSITIVE_INFINITY;
        gaz = shear ? PrincipalAxes.shear(alongZ, alongY, Math.cos(turn), Math.sin(turn)) : Double.POSITIVE_INFINITY;
        prismatic = new double[144];
        pair(prismatic, 0, 6, mat.E() * s.A() * f.area() / clear);
        pair(prismatic, 3, 9, mat.G() * s.J() * f.torsion() / clear);
        bending(prismatic, 1, 5, 7, 11, eiz, phi(eiz, gay), 1);
        bending(prismatic, 2, 4, 8, 10, eiy, phi(eiy, gaz), -1);
        released = releasedFreedoms(m);
        spring = springs(m, released);
        rowAt = new double[released.length][];
        pivotAt = new double[released.length];
        stiffness = released.length == 0 ? prismatic : condensed(prismatic);
    }

    private Element(Element e, double axial) {
        member = e.member;
        turn = e.turn;
        axes = e.axes;
        length = e.length;
        rigidStart = e.rigidStart;
        rigidEnd = e.rigidEnd;
        clear = e.clear;
        this.axial = axial;
        eiy = e.eiy;
        eiz = e.eiz;
        gay = e.gay;
        gaz = e.gaz;
        prismatic = e.prismatic;
        released = e.released;
        spring = e.spring;
        rowAt = new double[released.length][];
        pivotAt = new double[released.length];
        double[] k = prismatic.clone();
        geometric(k, 1, 5, 7, 11, phi(eiz, gay), 1);
        geometric(k, 2, 4, 8, 10, phi(eiy, gaz), -1);
        stiffness = released.length == 0 ? k : condensed(k);
    }

    /** The element with the second-order effect of an axial force, tension positive [N]. */
    Element withAxial(double n) {
        return new Element(this, n);
    }

    /** Ratio of bending to shear flexibility, 12 EI / (G As L2). */
    private double phi(double ei, double ga) {
        return 12 * ei / (ga * clear * clear);
    }

    private static int[] releasedFreedoms(Member m) {
        java.util.stream.IntStream.Builder out = java.util.stream.IntStream.builder();
        for (int d = 0; d < 12; d++) {
            if (connection(m, d) < Release.RIGID) {
                out.add(d);
            }
        }
        return out.build().toArray();
    }

    private static double[] springs(Member m, int[] released) {
        double[] out = new double[released.length];
        for (int q = 0; q < out.length; q++) {
            out[q] = connection(m, released[q]);
        }
        return out;
    }

    private static double connection(Member m, int freedom) {
        return freedom < 6 ? m.startRelease().at(freedom) : m.endRelease().at(freedom - 6);
    }

    private static void pair(double[] k, int a, int b, double v) {
        k[12 * a + a] += v;
        k[12 * b + b] += v;
        k[12 * a + b] -= v;
        k[12 * b + a] -= v;
    }

    private void bending(double[] k, int v1, int r1, int v2, int r2, double ei, double phi, double sign) {
        double L = clear;
        double f = ei / (1 + phi);
        double b = sign * 6 * f / (L * L);
        pair(k, v1, v2, 12 * f / (L * L * L));
        k[13 * r1] += (4 + phi) * f / L;
        k[13 * r2] += (4 + phi) * f / L;
        both(k, r1, r2, (2 - phi) * f / L);
        both(k, v1, r1, b);
        both(k, v1, r2, b);
        both(k, v2, r1, -b);
        both(k, v2, r2, -b);
    }

    /** N ∫ w'² over the deflection with shear: for φ = 0 eq. 15.17. */
    private void geometric(double[] k, int v1, int r1, int v2, int r2, double phi, double sign) {
        double L = clear;
        double n = axial / ((1 + phi) * (1 + phi));
        double b = sign * n / 10;
        pair(k, v1, v2, (1.2 + 2 * phi + phi * phi) * n / L);
        k[13 * r1] += (2.0 / 15 + phi / 6 + phi * phi / 12) * n * L;
        k[13 * r2] += (2.0 / 15 + phi / 6 + phi * phi / 12) * n * L;
        both(k, r1, r2, -(1.0 / 30 + phi / 6 + phi * phi / 12) * n * L);
        both(k, v1, r1, b);
        both(k, v1, r2, b);
        both(k, v2, r1, -b);
        both(k, v2, r2, -b);
    }

    private static void both(double[] k, int i, int j, double v) {
        k[12 * i + j] += v;
        k[12 * j + i] += v;
    }

    /**
     * Replaces each released freedom of the beam's end by the joint's, with the connection's stiffness s between the two.
     * <pre>K'ij = Kij − Kir Krj / (Krr + s),  K'ir = s Kir / (Krr + s),  K'rr = s − s2 / (Krr + s)</pre>
     */
    private double[] condensed(double[] from) {
        double[] k = from.clone();
        for (int q = 0; q < released.length; q++) {
            int r = released[q];
            double s = spring[q];
            double pivot = k[13 * r] + s;
            rowAt[q] = java.util.Arrays.copyOfRange(k, 12 * r, 12 * r + 12);
            pivotAt[q] = pivot;
            if (Math.abs(pivot) <= 1e-12 * Math.abs(prismatic[13 * r])) {
                pivotAt[q] = 0; // released against nothing: the freedom carries no force already
                continue;
            }
            double[] row = rowAt[q];
            for (int i = 0; i < 12; i++) {
                double f = row[i] / pivot;
                if (i == r || f == 0) {
                    continue;
                }
                for (int j = 0; j < 12; j++) {
                    k[12 * i + j] -= j == r ? 0 : f * row[j];
                }
                k[12 * i + r] = f * s;
                k[12 * r + i] = f * s;
            }
            k[13 * r] = s - s * s / pivot;
        }
        return k;
    }

    /** Takes a load vector of the beam's ends to the joints' side of the connections; returns what each freedom received. */
    private double[] condense(double[] p) {
        double[] at = new double[released.length];
        for (int q = 0; q < released.length; q++) {
            int r = released[q];
            double pr = p[r];
            at[q] = pr;
            if (pivotAt[q] == 0) {
                continue;
            }
            for (int i = 0; i < 12; i++) {
                p[i] -= i == r ? 0 : rowAt[q][i] / pivotAt[q] * pr;
            }
            p[r] = spring[q] * pr / pivotAt[q];
        }
        return at;
    }

    /** Stiffness in global axes between the joints, 12 × 12 by rows. */
    double[] globalStiffness() {
        double[] t = toClearEnds();
        double[] kt = new double[144];
        for (int i = 0; i < 12; i++) {
            for (int a = 0; a < 12; a++) {
                double v = stiffness[12 * i + a];
                if (v != 0) {
                    for (int j = 0; j < 12; j++) {
                        kt[12 * i + j] += v * t[12 * a + j];
                    }
                }
            }
        }
        double[] out = new double[144];
        for (int a = 0; a < 12; a++) {
            for (int i = 0; i < 12; i++) {
                double v = t[12 * a + i];
                if (v != 0) {
                    for (int j = 0; j < 12; j++) {
                        out[12 * i + j] += v * kt[12 * a + j];
                    }
                }
            }
        }
        return out;
    }

    /** Matrix that takes joint displacements in global axes to displacements of the clear ends in local axes. */
    private double[] toClearEnds() {
        double[] t = new double[144];
        for (int e = 0; e < 2; e++) {
            int o = 6 * e;
            double arm = e == 0 ? rigidStart : -rigidEnd;
            for (int a = 0; a < 3; a++) {
                for (int g = 0; g < 3; g++) {
                    t[12 * (o + a) + o + g] = axes[a][g];
                    t[12 * (o + 3 + a) + o + 3 + g] = axes[a][g];
                }
            }
            for (int g = 0; g < 3; g++) {
                t[12 * (o + 1) + o + 3 + g] += arm * axes[2][g]; // uy += arm * rz
                t[12 * (o + 2) + o + 3 + g] -= arm * axes[1][g]; // uz -= arm * ry
            }
        }
        return t;
    }

    /**
     * What a load does to a member.
     *
     * @param equivalent loads of the clear ends in local axes on the joints' side of the connections
     * @param joints     all that the joints receive, in global axes
     * @param received   what each released freedom received before it was eliminated
     */
    record Held(double[] equivalent, double[] joints, double[] received) {}

    /** Equivalent loads of one load of unit size. */
    Held hold(SpanLoad l) {
        double[] p = new double[12];
        double[] direct = new double[12];
        double a = rigidStart;
        double b = length - rigidEnd;
        if (l.isPoint()) {
            point(l.from(), l.q1(), p, direct);
        } else {
            piece(l, l.from(), Math.min(l.to(), a), p, direct);
            piece(l, Math.max(l.from(), a), Math.min(l.to(), b), p, direct);
            piece(l, Math.max(l.from(), b), l.to(), p, direct);
        }
        double[] received = condense(p);
        double[] joints = transposed(toClearEnds(), p);
        for (int o = 0; o < 12; o += 3) {
            for (int g = 0; g < 3; g++) {
                for (int c = 0; c < 3; c++) {
                    joints[o + g] += axes[c][g] * direct[o + c];
                }
            }
        }
        return new Held(p, joints, received);
    }

    private void piece(SpanLoad l, double from, double to, double[] p, double[] direct) {
        if (to <= from) {
            return;
        }
        double half = (to - from) / 2;
        double[] f = new double[6];
        for (int g = 0; g < 3; g++) {
            double x = from + half * (1 + GAUSS[g]);
            for (int c = 0; c < 6; c++) {
                f[c] = l.at(x, c) * half * WEIGHT[g];
            }
            point(x, f, p, direct);
        }
    }

    /** A point load: shared by the shape functions (exact for a prismatic beam), or taken by a rigid end. */
    private void point(double x, double[] f, double[] p, double[] direct) {
        if (x < rigidStart || x > length - rigidEnd) {
            int o = x < rigidStart ? 0 : 6;
            double arm = x < rigidStart ? x : x - length;
            for (int c = 0; c < 6; c++) {
                direct[o + c] += f[c];
            }
            direct[o + 4] -= arm * f[2];
            direct[o + 5] += arm * f[1];
            return;
        }
        double s = (x - rigidStart) / clear;
        p[0] += (1 - s) * f[0];
        p[6] += s * f[0];
        p[3] += (1 - s) * f[3];
        p[9] += s * f[3];
        double[] n = shape(s, phi(eiz, gay));
        p[1] += n[0] * f[1] + n[4] * f[5];
        p[5] += n[1] * f[1] + n[5] * f[5];
        p[7] += n[2] * f[1] + n[6] * f[5];
        p[11] += n[3] * f[1] + n[7] * f[5];
        n = shape(s, phi(eiy, gaz));
        p[2] += n[0] * f[2] - n[4] * f[4];
        p[4] += -n[1] * f[2] + n[5] * f[4];
        p[8] += n[2] * f[2] - n[6] * f[4];
        p[10] += -n[3] * f[2] + n[7] * f[4];
    }

    /** Deflection and rotation of the cross-section at s = x / L for unit v1, θ1, v2, θ2. */
    private double[] shape(double s, double phi) {
        double L = clear;
        double d = 1 / (1 + phi);
        double s2 = s * s;
        double s3 = s2 * s;
        return new double[] {
            d * (1 - 3 * s2 + 2 * s3 + phi * (1 - s)), d * L * (s - 2 * s2 + s3 + phi / 2 * (s - s2)),
            d * (3 * s2 - 2 * s3 + phi * s), d * L * (s3 - s2 - phi / 2 * (s - s2)),
            d * 6 / L * (s2 - s), d * (1 - 4 * s + 3 * s2 + phi * (1 - s)),
            d * 6 / L * (s - s2), d * (3 * s2 - 2 * s + phi * s)
        };
    }

    /** Displacements of the joints' side of the clear ends in local axes. */
    double[] local(double[] u) {
        double[] t = toClearEnds();
        double[] out = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                out[i] += t[12 * i + j] * u[j];
            }
        }
        return out;
    }

    /** Forces on the clear ends in local axes from local displacements and the equivalent loads. */
    double[] endForces(double[] local, double[] equivalent) {
        double[] f = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                f[i] += stiffness[12 * i + j] * local[j];
            }
            f[i] -= equivalent[i];
        }
        return f;
    }

    /** Displacements of the beam's own ends: those of the joints, but for released freedoms. */
    double[] beamEnds(double[] local, double[] received) {
        double[] u = local.clone();
        for (int q = released.length - 1; q >= 0; q--) {
            int r = released[q];
            if (pivotAt[q] == 0) {
                continue;
            }
            double sum = received[q] + spring[q] * local[r];
            for (int j = 0; j < 12; j++) {
                sum -= j == r ? 0 : rowAt[q][j] * u[j];
            }
            u[r] = sum / pivotAt[q];
        }
        return u;
    }

    int releasedCount() {
        return released.length;
    }

    /** Deflection along local y (axis 1) or z (axis 2) at {@code x} of a beam whose ends move as {@code ends}, with that of shear. */
    double deflection(double[] ends, int axis, double x) {
        double[] n = shape((x - rigidStart) / clear, axis == 1 ? phi(eiz, gay) : phi(eiy, gaz));
        return axis == 1
                ? n[0] * ends[1] + n[1] * ends[5] + n[2] * ends[7] + n[3] * ends[11]
                : n[0] * ends[2] - n[1] * ends[4] + n[2] * ends[8] - n[3] * ends[10];
    }

    /** Forces on the joints in global axes that balance the clear-end forces {@code f}. */
    double[] toJoints(double[] f) {
        return transposed(toClearEnds(), f);
    }

    private static double[] transposed(double[] t, double[] p) {
        double[] out = new double[12];
        for (int i = 0; i < 12; i++) {
            for (int j = 0; j < 12; j++) {
                out[j] += t[12 * i + j] * p[i];
            }
        }
        return out;
    }
}
