package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/**
 * Columns whose section has a product of inertia bend aside of their loads. By the theory of unsymmetrical bending (S. Timoshenko, Strength of Materials,
 * part I, 3rd ed., article 49): E (Iz v'' + Iyz w'') = Mz, E (Iyz v'' + Iy w'') = My, the moments with compression at +y and +z. Second moments of this test
 * are summed over squares of 1 mm. An upright column has y along X, z along Y.
 */
class EllBendingTest {
    private static final double L = 4000;
    private static final double E = ModelBuilder.E;
    private static final Shape.Ell ELL = new Shape.Ell(250, 700, 600, 300);
    private static final double IY;
    private static final double IZ;
    private static final double IYZ;

    static {
        // web x 0 to 250, z 0 to 400; flange x 0 to 600, z 400 to 700
        double[] s = new double[6];
        for (double x = 0.5; x < 600; x++) {
            for (double z = 0.5; z < 700; z++) {
                if (x < 250 || z > 400) {
                    double[] of = {1, x, z, z * z, x * x, x * z};
                    for (int i = 0; i < 6; i++) {
                        s[i] += of[i];
                    }
                }
            }
        }
        IY = s[3] - s[2] * s[2] / s[0];
        IZ = s[4] - s[1] * s[1] / s[0];
        IYZ = s[5] - s[1] * s[2] / s[0];
    }

    /** Fixed at A below, free at B above. */
    private static ModelBuilder mast() {
        ModelBuilder b = new ModelBuilder();
        b.sections.add(new Section("S", ELL));
        return b.joint("A", 0, 0, 0).joint("B", 0, 0, L).column("c", "A", "B").fixed("A");
    }

    private static double head(Analysis a, int direction) {
        return a.displacement(0, a.index().jointNumber("B"), direction);
    }

    private static double foot(Analysis a, int component) {
        return a.force(0, 0, 0, component);
    }

    @Test
    void itsProductOfInertia() {
        assertEquals(IYZ, ELL.Iyz(), 1e-6 * IYZ);
        assertEquals(IY, ELL.Iy(), 1e-5 * IY);
        double[] principal = principal();
        assertEquals(principal[2], ELL.leastI(), 1e-5 * principal[2]);
    }

    @Test
    void itsHeadMovesAsideOfItsLoad() {
        double f = 50e3;
        double det = IY * IZ - IYZ * IYZ;
        Analysis x = mast().push("B", f, 0, 0).solve();
        assertEquals(f * L * L * L / 3 / E * IY / det, head(x, 0), 1e-4 * head(x, 0));
        assertEquals(-f * L * L * L / 3 / E * IYZ / det, head(x, 1), -1e-4 * head(x, 1));
        Analysis y = mast().push("B", 0, f, 0).solve();
        assertEquals(f * L * L * L / 3 / E * IZ / det, head(y, 1), 1e-4 * head(y, 1));
        // and its moments are those of statics, about the axes along its legs, compression where it leans
        assertEquals(f * L, foot(x, Analysis.MZ), 1e-6 * f * L);
        assertEquals(0, foot(x, Analysis.MY), 1e-6 * f * L);
        assertEquals(f * L, foot(y, Analysis.MY), 1e-6 * f * L);
        assertEquals(f, Math.abs(foot(y, Analysis.VZ)), 1e-6 * f);
        assertEquals(0, foot(y, Analysis.VY), 1e-6 * f);
    }

    /** Held along Y at its head it pushes there with F Iyz / Iz, which a section without the product would not. */
    @Test
    void heldFromTurningAsideItBendsBothWays() {
        double f = 50e3;
        ModelBuilder b = mast().push("B", f, 0, 0);
        b.supports.add(new Support("B", false, true, false, false, false, false));
        Analysis a = b.solve();
        assertEquals(f * L * L * L / 3 / E / IZ, head(a, 0), 1e-4 * head(a, 0));
        assertEquals(f * L, foot(a, Analysis.MZ), 1e-6 * f * L);
        assertEquals(f * IYZ / IZ * L, foot(a, Analysis.MY), 1e-4 * f * L);
    }

    @Test
    void loadsOnItAreInItsLocalAxes() {
        for (Direction d : List.of(Direction.LOCAL_Y, Direction.GLOBAL_X)) {
            ModelBuilder b = mast();
            b.memberLoads.add(new MemberLoad("P", "c", MemberLoad.Kind.DISTRIBUTED, d, 0, L, 10, 10));
            b.memberLoads.add(new MemberLoad("P", "c", MemberLoad.Kind.POINT, d, 1500, 1500, 20e3, 0));
            Analysis a = b.solve();
            assertEquals(10 * L * L / 2 + 20e3 * 1500, foot(a, Analysis.MZ), 1e-6 * 1e8);
            assertEquals(0, foot(a, Analysis.MY), 1e2);
            Deflection.Shape shape = Deflection.of(a, 0, new double[] {1}, 4);
            double[] head = shape.global()[shape.global().length - 1];
            assertEquals(-IYZ / IY, head[1] / head[0], 1e-4);
            double[] below = shape.global()[2];
            assertEquals(-IYZ / IY, below[1] / below[0], 1e-4);
        }
    }

    /** A turned column under forces turned with it. */
    @Test
    void turnedInPlan() {
        double turn = 0.6;
        ModelBuilder b = mast().push("B", 50e3 * Math.cos(turn), 50e3 * Math.sin(turn), 0);
        Member m = b.members.get(0);
        b.members.set(
                0,
                new Member(
                        m.id(),
                        Role.COLUMN,
                        "A",
                        "B",
                        "S",
                        "C",
                        turn,
                        Release.NONE,
                        Release.NONE,
                        0,
                        0,
                        m.stiffness()));
        Analysis turned = b.solve();
        Analysis straight = mast().push("B", 50e3, 0, 0).solve();
        double along = Math.cos(turn) * head(turned, 0) + Math.sin(turn) * head(turned, 1);
        assertEquals(head(straight, 0), along, 1e-6 * along);
        assertEquals(foot(straight, Analysis.MZ), foot(turned, Analysis.MZ), 1);
        assertEquals(0, foot(turned, Analysis.MY), 10);
    }

    /** Under an axial force, pushed along a principal axis: M = F tan(k L) / k, k² = N / E I of that axis, about both axes in proportion. */
    @Test
    void secondOrderAboutThePrincipalAxes() {
        double[] p = principal();
        double f = 30e3;
        double n = 8e6;
        ModelBuilder b = mast().push("B", f * p[0], f * p[1], 0);
        b.cases.add(new kolonne.core.model.LoadCase("N", "axial", kolonne.core.model.CaseKind.DEAD, 0));
        b.jointLoads.add(new JointLoad("N", "B", 0, 0, -n, 0, 0, 0));
        AnalysisOptions o = b.options;
        b.options = new AnalysisOptions(
                o.shearDeformation(),
                o.beams(),
                o.columns(),
                o.rigidEnds(),
                List.of(new Combination.Term("N", 1)),
                o.patternLive(),
                0);
        Analysis a = b.solve();
        double k = Math.sqrt(n / (E * p[2]));
        double m = f * Math.tan(k * L) / k;
        assertTrue(m > 1.1 * f * L, "the force matters");
        assertEquals(m * p[0], foot(a, Analysis.MZ), 3e-3 * m);
        assertEquals(m * p[1], foot(a, Analysis.MY), 3e-3 * m);
    }

    /** Direction (cos, sin) in which it gives way most, and the least second moment. */
    private static double[] principal() {
        double least = Double.POSITIVE_INFINITY;
        double at = 0;
        for (double q = -Math.PI / 2; q < Math.PI / 2; q += 1e-5) {
            // second moment against moving along (cos q, sin q)
            double i = IZ * Math.cos(q) * Math.cos(q) + IY * Math.sin(q) * Math.sin(q) + IYZ * Math.sin(2 * q);
            if (i < least) {
                least = i;
                at = q;
            }
        }
        return new double[] {Math.cos(at), Math.sin(at), least};
    }

    /** Where a hinge lets it bend about one leg only, axes along the legs stay. */
    @Test
    void withAHingeAboutOneAxisItStaysWithItsLegs() {
        ModelBuilder b = mast().push("B", 50e3, 0, 0);
        Release hinge = Release.of(false, false, false, false, true, false);
        b.members.set(
                0,
                new Member("c", Role.COLUMN, "A", "B", "S", "C", 0, Release.NONE, hinge, 0, 0, StiffnessFactors.GROSS));
        b.supports.add(new Support("B", false, true, false, true, true, true));
        Analysis a = b.solve();
        assertEquals(0, foot(a, Analysis.MY), 1);
        assertEquals(0, head(a, 1), 1e-9);
    }
}
