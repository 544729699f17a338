package kolonne.core.analysis;

import static kolonne.core.analysis.ClosedFormTest.tenth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.StationForces;
import kolonne.core.model.Support;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What must hold of every frame: equilibrium, reciprocity, independence of axes and of subdivision, named mechanisms. */
class FramePropertiesTest {
    /** A skew little space frame with six loads. */
    private static ModelBuilder skew(double angle) {
        double c = Math.cos(angle);
        double s = Math.sin(angle);
        double[][] p = {{0, 0, 0}, {0, 0, 3500}, {5200, 900, 3500}, {5200, 900, 0}, {5200, 6100, 3900}, {5200, 6100, 0}
        };
        ModelBuilder b = new ModelBuilder();
        for (int i = 0; i < p.length; i++) {
            b.joint("J" + i, c * p[i][0] - s * p[i][1], s * p[i][0] + c * p[i][1], p[i][2]);
        }
        return b.beam("b1", "J1", "J2")
                .beam("b2", "J2", "J4")
                .column("c1", "J0", "J1")
                .column("c2", "J3", "J2")
                .column("c3", "J5", "J4")
                .fixed("J0")
                .fixed("J3")
                .fixed("J5");
    }

    @Test
    void reciprocityHoldsBetweenTwoLoadsAndTheirDisplacements() {
        double[] u = new double[2];
        for (int k = 0; k < 2; k++) {
            ModelBuilder b = skew(0.3);
            b.push(k == 0 ? "J1" : "J4", 0, k == 0 ? 1000 : 0, k == 0 ? 0 : -1000);
            Analysis a = b.solve();
            u[k] = k == 0 ? -a.displacement(0, 4, 2) : a.displacement(0, 1, 1);
        }
        assertEquals(u[0], u[1], 1e-9 * Math.abs(u[0]), "Maxwell-Betti");
    }

    @Test
    void turningTheWholeModelInPlanChangesNoBeamForce() {
        // columns are square here: an upright member's axes follow the global ones
        double[][] m = new double[2][];
        for (int k = 0; k < 2; k++) {
            ModelBuilder b = skew(k * 0.7).section("S", 400, 400);
            b.spread("b1", 0, 4000, 10, 30).spread("b2", 500, 5000, 25, 25).push("J2", 0, 0, -40_000);
            Analysis a = b.solve();
            m[k] = new double[] {
                a.force(0, 0, 0, Analysis.MY),
                a.force(1, 0, tenth(a, 1, 5), Analysis.MY),
                a.force(1, 0, 0, Analysis.T),
                a.force(0, 0, tenth(a, 0, 10), Analysis.VZ)
            };
        }
        for (int i = 0; i < m[0].length; i++) {
            assertEquals(m[0][i], m[1][i], 1e-6 * Math.max(1e4, Math.abs(m[0][i])));
        }
    }

    @Test
    void aSupportThatMovesWithTheBodyCausesNoForce() {
        Analysis a = skew(0).solve();
        for (int s = 0; s < a.stationCount(0); s++) {
            assertEquals(0, a.force(0, 0, s, Analysis.MY), 1e-9, "no load, no force");
        }
    }

    @Test
    void splittingAMemberChangesNothing() {
        ModelBuilder whole = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B")
                .spread("m", 0, 8000, 10, 30);
        ModelBuilder parts = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("M", 3200, 0, 0)
                .joint("B", 8000, 0, 0)
                .beam("m1", "A", "M")
                .beam("m2", "M", "B")
                .fixed("A")
                .fixed("B")
                .spread("m1", 0, 3200, 10, 18)
                .spread("m2", 0, 4800, 18, 30);
        Analysis w = whole.solve();
        Analysis p = parts.solve();
        assertEquals(w.force(0, 0, 0, Analysis.MY), p.force(0, 0, 0, Analysis.MY), 1);
        assertEquals(w.force(0, 0, tenth(w, 0, 4), Analysis.MY), p.force(0, 0, tenth(p, 0, 10), Analysis.MY), 1);
        assertEquals(w.force(0, 0, tenth(w, 0, 10), Analysis.VZ), p.force(1, 0, tenth(p, 1, 10), Analysis.VZ), 1e-3);
    }

    @ParameterizedTest
    @ValueSource(ints = {100, 400, 1500})
    void everyJointOfAGeneratedBuildingIsInEquilibriumAndReactionsBalanceLoads(int members) {
        balance(DemoBuilding.generate(DemoOptions.ofSize(members)));
    }

    @Test
    void theDemoBuildingBalances() {
        balance(DemoBuilding.generate(DemoOptions.VELDHAVEN));
    }

    private static void balance(Building b) {
        BuildingIndex index = new BuildingIndex(b);
        Analysis a = FrameAnalysis.solve(index);
        for (int c = 0; c < b.loadCases().size(); c++) {
            assertTrue(a.residual(c) < 1e-9, b.loadCases().get(c).id() + " residual " + a.residual(c));
            double[] sum = new double[3];
            double size = 1;
            String id = b.loadCases().get(c).id();
            for (JointLoad l : b.jointLoads()) {
                if (l.loadCase().equals(id)) {
                    sum[0] += l.fx();
                    sum[1] += l.fy();
                    size += Math.abs(l.fx()) + Math.abs(l.fy());
                }
            }
            for (AreaLoad l : b.areaLoads()) {
                if (l.loadCase().equals(id)) {
                    double down = l.pressure() * area(index, index.panel(l.panel()));
                    sum[2] -= down;
                    size += down;
                }
            }
            for (var l : b.memberLoads()) {
                if (l.loadCase().equals(id)) {
                    sum[2] += (l.w1() + l.w2()) / 2 * (l.to() - l.from());
                    size -= (l.w1() + l.w2()) / 2 * (l.to() - l.from());
                }
            }
            double own = b.loadCases().get(c).selfWeight();
            for (var m : b.members()) {
                double g = own
                        * index.sectionOf(m).shape().A()
                        * index.materialOf(m).weight()
                        * index.length(m);
                sum[2] -= g;
                size += g;
            }
            for (SlabPanel p : b.panels()) {
                double g = own * p.thickness() * p.weight() * area(index, p);
                sum[2] -= g;
                size += g;
            }
            for (int j = 0; j < b.joints().size(); j++) {
                for (int d = 0; d < 3; d++) {
                    sum[d] += a.reaction(c, j, d);
                }
            }
            for (double s : sum) {
                assertEquals(0, s, 1e-6 * size, id);
            }
        }
    }

    private static double area(BuildingIndex index, SlabPanel p) {
        double twice = 0;
        List<Joint> j = p.joints().stream().map(index::joint).toList();
        for (int i = 0; i < j.size(); i++) {
            Joint n = j.get((i + 1) % j.size());
            twice += j.get(i).x() * n.y() - n.x() * j.get(i).y();
        }
        return Math.abs(twice) / 2;
    }

    @Test
    void aMechanismIsNamedByJointAndDirection() {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 5000, 0, 0)
                .joint("C", 9000, 0, 0)
                .beam("m1", "A", "B", Release.NONE, Release.PIN, 0, 0)
                .beam("m2", "B", "C", Release.PIN, Release.NONE, 0, 0)
                .fixed("A")
                .push("C", 0, 0, -1000);
        AnalysisFailed e = assertThrows(AnalysisFailed.class, b::solve);
        assertEquals("analysis.mechanism", e.findings().get(0).code());
        assertTrue(e.findings().get(0).where().startsWith("Joint "), e.getMessage());
    }

    @Test
    void aFrameOnRollersNamesTheDirectionInWhichItSlides() {
        ModelBuilder b =
                new ModelBuilder().joint("A", 0, 0, 0).joint("B", 5000, 0, 0).beam("m", "A", "B");
        b.supports.add(new Support("A", false, true, true, true, false, true));
        b.supports.add(new Support("B", false, true, true, true, false, true));
        AnalysisFailed e = assertThrows(AnalysisFailed.class, b::solve);
        assertTrue(e.findings().get(0).where().contains("along X"), e.getMessage());
    }

    @Test
    void aPanelThatLosesLoadIsAFindingNotASilentLoss() {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("C", 6000, 4000, 0)
                .joint("D", 0, 4000, 0)
                .beam("e", "A", "B")
                .fixed("A")
                .fixed("B")
                .fixed("C")
                .fixed("D");
        b.beam("f", "B", "C");
        b.panels.add(new SlabPanel("S", List.of("A", "B", "C", "D"), 150, 0, true, Math.PI / 2));
        b.areaLoads.add(new AreaLoad("P", "S", 5e-3));
        AnalysisFailed e = assertThrows(AnalysisFailed.class, b::solve);
        assertEquals("panel.load-lost", e.findings().get(0).code());
    }

    @Test
    void importedForcesAreTakenAsTheyAreAndMissingOnesAreNamed() {
        ModelBuilder b =
                new ModelBuilder().joint("A", 0, 0, 0).joint("B", 5000, 0, 0).beam("m", "A", "B");
        b.stationForces.add(new StationForces("m", "P", 0, 0, 0, 1000, 0, -5e6, 0));
        b.stationForces.add(new StationForces("m", "P", 5000, 0, 0, -1000, 0, 3e6, 0));
        Analysis a = b.solve();
        assertEquals(2, a.stationCount(0));
        assertEquals(3e6, a.force(0, 0, 1, Analysis.MY));
        b.beam("n", "B", "A");
        AnalysisFailed e = assertThrows(AnalysisFailed.class, b::solve);
        assertEquals("member n", e.findings().get(0).where());
    }

    @Test
    void theAnswerDoesNotDependOnTheOrderOfMembers() {
        Building b = DemoBuilding.generate(DemoOptions.ofSize(100));
        List<kolonne.core.model.Member> turned = new ArrayList<>(b.members());
        java.util.Collections.reverse(turned);
        Building other = b.withMembers(turned);
        Analysis p = FrameAnalysis.solve(new BuildingIndex(b));
        Analysis q = FrameAnalysis.solve(new BuildingIndex(other));
        int n = b.members().size();
        for (int m = 0; m < n; m += 7) {
            assertEquals(
                    p.force(m, 0, tenth(p, m, 5), Analysis.MY),
                    q.force(n - 1 - m, 0, tenth(q, n - 1 - m, 5), Analysis.MY),
                    1e-4 * 1e6);
        }
    }
}
