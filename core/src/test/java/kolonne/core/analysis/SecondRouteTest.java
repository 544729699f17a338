package kolonne.core.analysis;

import static kolonne.core.analysis.ClosedFormTest.tenth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Settlement;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whole buildings by a second route, and what must hold of every frame whatever its options. */
class SecondRouteTest {
    private static Building generated(long seed) {
        return DemoBuilding.generate(new DemoOptions(seed, 3, 3, 3, false));
    }

    private static AnalysisOptions options(boolean shear, double rigid) {
        return new AnalysisOptions(
                shear,
                new StiffnessFactors(1, 0.35, 0.35, 0.1),
                new StiffnessFactors(1, 0.7, 0.7, 0.2),
                rigid,
                List.of(),
                false);
    }

    /** The building with every member in three pieces; the loads of members are cut where the pieces meet. */
    private static Building subdivided(Building b) {
        BuildingIndex index = new BuildingIndex(b);
        List<Joint> joints = new ArrayList<>(b.joints());
        List<Member> members = new ArrayList<>();
        List<MemberLoad> loads = new ArrayList<>();
        for (Member m : b.members()) {
            Joint i = index.joint(m.start());
            Joint j = index.joint(m.end());
            double length = index.length(m);
            double[] cut = {0, 0.4 * length, 0.7 * length, length};
            String[] at = {m.start(), m.id() + "/1", m.id() + "/2", m.end()};
            for (int k = 1; k < 3; k++) {
                double t = cut[k] / length;
                joints.add(new Joint(
                        at[k], i.x() + t * (j.x() - i.x()), i.y() + t * (j.y() - i.y()), i.z() + t * (j.z() - i.z())));
            }
            for (int k = 0; k < 3; k++) {
                String id = k == 0 ? m.id() : m.id() + "." + k;
                members.add(new Member(
                        id,
                        m.role(),
                        at[k],
                        at[k + 1],
                        m.section(),
                        m.material(),
                        m.angle(),
                        k == 0 ? m.startRelease() : Release.NONE,
                        k == 2 ? m.endRelease() : Release.NONE,
                        k == 0 ? m.rigidStart() : 0,
                        k == 2 ? m.rigidEnd() : 0,
                        b.options().factorsOf(m)));
                for (MemberLoad l : b.memberLoads()) {
                    if (l.member().equals(m.id())) {
                        loads.add(new MemberLoad(
                                l.loadCase(), id, l.kind(), l.direction(), 0, cut[k + 1] - cut[k], l.w1(), l.w2()));
                    }
                }
            }
        }
        return new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                joints,
                b.materials(),
                b.sections(),
                members,
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                b.loadCases(),
                loads,
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                b.combinations(),
                b.stationForces());
    }

    /** Panels share to whole beams, so the beams' pieces carry them just the same: the walk along a side finds the pieces. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void everyMemberInThreePiecesGivesTheSameForces(boolean shear) {
        for (long seed = 1; seed <= 2; seed++) {
            Building whole = generated(seed).withOptions(options(shear, 0));
            whole = whole.withMembers(
                    whole.members().stream().map(m -> m.withStiffness(null)).toList());
            Building parts = subdivided(whole);
            Analysis a = FrameAnalysis.solve(new BuildingIndex(whole));
            Analysis b = FrameAnalysis.solve(new BuildingIndex(parts));
            for (int c = 0; c < whole.loadCases().size(); c++) {
                for (int m = 0; m < whole.members().size(); m++) {
                    for (int i = 0; i < 6; i++) {
                        double expected = b.force(3 * m, c, 0, i);
                        assertEquals(expected, a.force(m, c, 0, i), 1e-6 * Math.max(1e5, Math.abs(expected)));
                        int last = b.stationCount(3 * m + 2) - 1;
                        expected = b.force(3 * m + 2, c, last, i);
                        assertEquals(
                                expected,
                                a.force(m, c, a.stationCount(m) - 1, i),
                                1e-6 * Math.max(1e5, Math.abs(expected)));
                    }
                }
                for (int j = 0; j < whole.joints().size(); j++) {
                    for (int d = 0; d < 6; d++) {
                        assertEquals(
                                b.displacement(c, j, d),
                                a.displacement(c, j, d),
                                1e-6 * Math.max(1, Math.abs(a.displacement(c, j, d))));
                    }
                }
            }
        }
    }

    @Test
    void theDeflectedShapeIsThatOfThePieces() {
        Building whole = generated(1).withOptions(options(true, 0));
        whole = whole.withMembers(
                whole.members().stream().map(m -> m.withStiffness(null)).toList());
        Building parts = subdivided(whole);
        Analysis a = FrameAnalysis.solve(new BuildingIndex(whole));
        Analysis b = FrameAnalysis.solve(new BuildingIndex(parts));
        for (int c = 0; c < whole.loadCases().size(); c++) {
            double[] factors = new double[whole.loadCases().size()];
            factors[c] = 1;
            for (int m = 0; m < whole.members().size(); m += 3) {
                Deflection.Shape s = Deflection.of(a, m, factors, 10);
                double length = a.index().length(whole.members().get(m));
                int point = -1;
                for (int k = 0; k < s.x().length; k++) {
                    point = Math.abs(s.x()[k] - 0.7 * length) < 1 ? k : point;
                }
                if (point < 0) {
                    continue; // rigid ends shift the tenths
                }
                int joint = b.index().jointNumber(whole.members().get(m).id() + "/2");
                for (int d = 0; d < 3; d++) {
                    double expected = b.displacement(c, joint, d);
                    assertEquals(
                            expected,
                            s.global()[point][d],
                            2e-3 * Math.max(0.05, Math.abs(expected)),
                            whole.members().get(m).id() + " in "
                                    + whole.loadCases().get(c).id());
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void everyJointOfAGeneratedBuildingBalancesWithAnyOptions(long seed) {
        Random r = new Random(seed);
        Building b = DemoBuilding.generate(
                new DemoOptions(seed, 3 + r.nextInt(3), 3 + r.nextInt(3), 2 + r.nextInt(4), false));
        List<Combination.Term> gravity =
                r.nextBoolean() ? List.of(new Combination.Term("G", 1.2), new Combination.Term("SD", 1.2)) : List.of();
        b = b.withOptions(new AnalysisOptions(
                r.nextBoolean(),
                StiffnessFactors.GROSS,
                StiffnessFactors.GROSS,
                r.nextDouble(),
                gravity,
                r.nextBoolean()));
        UnaryOperator<Member> soften = m -> r.nextInt(5) == 0 && m.role() == Role.BEAM
                ? m.withReleases(
                        new Release(
                                Release.RIGID,
                                Release.RIGID,
                                Release.RIGID,
                                Release.RIGID,
                                1e9 * r.nextDouble(),
                                Release.RIGID),
                        m.endRelease())
                : m;
        b = b.withMembers(b.members().stream().map(soften).toList());
        Analysis a = FrameAnalysis.solve(new BuildingIndex(b));
        for (int c = 0; c < a.index().building().loadCases().size(); c++) {
            assertTrue(a.residual(c) < 1e-9, "residual " + a.residual(c));
            for (int d = 0; d < 3; d++) {
                double sum = 0;
                double size = 1;
                for (int j = 0; j < b.joints().size(); j++) {
                    sum += a.reaction(c, j, d);
                    size += Math.abs(a.reaction(c, j, d));
                }
                assertEquals(-a.applied(c, d), sum, 1e-7 * size, "reactions balance loads");
            }
        }
    }

    @Test
    void settlingAllSupportsAlikeMovesTheBuildingWithoutForce() {
        Building b = generated(3);
        List<Settlement> all = new ArrayList<>();
        double rx = 0.001;
        for (var s : b.supports()) {
            Joint j = new BuildingIndex(b).joint(s.joint());
            // a rigid turn about X through the origin with a shift
            all.add(new Settlement("WX", s.joint(), 3, -rx * j.z(), -12 + rx * j.y(), rx, 0, 0));
        }
        Building moved = new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                b.joints(),
                b.materials(),
                b.sections(),
                b.members(),
                b.supports(),
                b.springs(),
                List.of(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                List.<JointLoad>of(),
                all,
                b.combinations(),
                b.stationForces());
        Analysis a = FrameAnalysis.solve(new BuildingIndex(moved));
        int c = a.index().caseNumber("WX");
        for (int m = 0; m < b.members().size(); m++) {
            for (int s = 0; s < a.stationCount(m); s++) {
                for (int i = 0; i < 6; i++) {
                    assertEquals(0, a.force(m, c, s, i), i < 3 ? 1 : 1000, "N and Nmm of rounding");
                }
            }
        }
        Joint top = b.joints().get(b.joints().size() - 1);
        assertEquals(-12 + rx * top.y(), a.displacement(c, b.joints().size() - 1, 2), 1e-6);
    }

    @Test
    void turningABuildingInPlanTurnsItsReactions() {
        double angle = 0.6;
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        double[][] p = {{0, 0, 0}, {0, 0, 3500}, {6000, 0, 3500}, {6000, 0, 0}, {6000, 5000, 3500}, {6000, 5000, 0}};
        double[][] reactions = new double[2][];
        for (int k = 0; k < 2; k++) {
            ModelBuilder b = new ModelBuilder().section("S", 300, 500);
            for (int i = 0; i < p.length; i++) {
                double x = k == 0 ? p[i][0] : cos * p[i][0] - sin * p[i][1];
                double y = k == 0 ? p[i][1] : sin * p[i][0] + cos * p[i][1];
                b.joint("J" + i, x, y, p[i][2]);
            }
            b.beam("b1", "J1", "J2")
                    .beam("b2", "J2", "J4")
                    .column("c1", "J0", "J1")
                    .column("c2", "J3", "J2")
                    .column("c3", "J5", "J4");
            b.fixed("J0")
                    .fixed("J3")
                    .fixed("J5")
                    .spread("b1", 1000, 5000, 10, 30)
                    .point("b2", 2000, 80_000);
            b.push("J4", k == 0 ? 10_000 : 10_000 * cos, k == 0 ? 0 : 10_000 * sin, 0);
            b.options = options(true, 0.5);
            double turned = k * angle; // an upright member's axes follow the global ones
            b.members.replaceAll(m -> m.role() == Role.BEAM
                    ? m
                    : new Member(
                            m.id(),
                            m.role(),
                            m.start(),
                            m.end(),
                            m.section(),
                            m.material(),
                            turned,
                            null,
                            null,
                            0,
                            0,
                            null));
            Analysis a = b.solve();
            double fx = a.reaction(0, 3, 0);
            double fy = a.reaction(0, 3, 1);
            reactions[k] = new double[] {
                k == 0 ? fx : cos * fx + sin * fy,
                k == 0 ? fy : -sin * fx + cos * fy,
                a.reaction(0, 3, 2),
                a.force(0, 0, tenth(a, 0, 5), Analysis.MY),
                a.force(1, 0, 0, Analysis.T)
            };
        }
        for (int i = 0; i < reactions[0].length; i++) {
            assertEquals(reactions[0][i], reactions[1][i], 1e-6 * Math.max(1e4, Math.abs(reactions[0][i])));
        }
    }

    @Test
    void reciprocityHoldsBetweenAnyTwoJointsOfTheDemo() {
        Building b = DemoBuilding.generate(DemoOptions.VELDHAVEN).withOptions(options(true, 0.5));
        Random r = new Random(9);
        for (int trial = 0; trial < 3; trial++) {
            int p = 30 + r.nextInt(b.joints().size() - 30);
            int q = 30 + r.nextInt(b.joints().size() - 30);
            List<JointLoad> loads = List.of(
                    new JointLoad("WX", b.joints().get(p).id(), 0, 0, 1000, 0, 0, 0),
                    new JointLoad("WY", b.joints().get(q).id(), 1000, 0, 0, 0, 0, 0));
            Building two = new Building(
                    b.name(),
                    b.unitSystem(),
                    b.options(),
                    b.storeys(),
                    b.gridLines(),
                    b.joints(),
                    b.materials(),
                    b.sections(),
                    b.members(),
                    b.supports(),
                    b.springs(),
                    b.diaphragms(),
                    b.panels(),
                    b.loadCases(),
                    b.memberLoads(),
                    b.areaLoads(),
                    loads,
                    b.settlements(),
                    b.combinations(),
                    b.stationForces());
            Analysis a = FrameAnalysis.solve(new BuildingIndex(two));
            double u = a.displacement(a.index().caseNumber("WX"), q, 0);
            double v = a.displacement(a.index().caseNumber("WY"), p, 2);
            assertEquals(u, v, 1e-8 * Math.max(1e-4, Math.abs(u)), "Maxwell-Betti");
        }
    }
}
