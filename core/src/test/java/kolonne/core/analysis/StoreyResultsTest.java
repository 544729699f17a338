package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.demand.Demands;
import kolonne.core.demand.SwayIndex;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import kolonne.core.model.Settlement;
import kolonne.core.model.Storey;
import org.junit.jupiter.api.Test;

/** Drift, storey shear, mass and centre against what statics and the portal formula give. */
class StoreyResultsTest {
    private static ModelBuilder tower() {
        ModelBuilder b = new ModelBuilder().section("S", 400, 400);
        for (int f = 0; f < 3; f++) {
            b.storeys.add(new Storey("F" + f, "F" + f, 3500 * f));
            for (int i = 0; i < 4; i++) {
                b.joint("J" + f + i, i % 2 * 6000, i / 2 * 4000, 3500 * f);
            }
        }
        for (int f = 1; f < 3; f++) {
            for (int i = 0; i < 4; i++) {
                b.column("c" + f + i, "J" + (f - 1) + i, "J" + f + i);
            }
            int g = f;
            b.beam("x1" + f, "J" + f + 0, "J" + f + 1)
                    .beam("x2" + f, "J" + f + 2, "J" + f + 3)
                    .beam("y1" + f, "J" + f + 0, "J" + f + 2)
                    .beam("y2" + f, "J" + f + 1, "J" + f + 3);
            b.diaphragms.add(new Diaphragm("F" + g, List.of("J" + f + 0, "J" + f + 1, "J" + f + 2, "J" + f + 3)));
        }
        for (int i = 0; i < 4; i++) {
            b.fixed("J0" + i);
        }
        return b;
    }

    @Test
    void storeyShearIsTheLoadAboveAndDriftIsWhatTheFloorsMove() {
        ModelBuilder b = tower().push("J20", 30_000, 0, 0).push("J10", 20_000, 5_000, 0);
        Analysis a = b.solve();
        List<StoreyResults.Row> rows = StoreyResults.of(a, 0);
        assertEquals(2, rows.size());
        assertEquals("F1", rows.get(0).storey());
        assertEquals(50_000, rows.get(0).shear()[0], 1e-3);
        assertEquals(5_000, rows.get(0).shear()[1], 1e-3);
        assertEquals(30_000, rows.get(1).shear()[0], 1e-3);
        double mean = 0;
        for (int i = 0; i < 4; i++) {
            mean += (a.displacement(0, 8 + i, 0) - a.displacement(0, 4 + i, 0)) / 4;
        }
        assertEquals(mean, rows.get(1).drift()[0], 1e-9);
        assertTrue(rows.get(1).worst()[0] * 3500 >= mean - 1e-9, "a floor that turns drifts more at one side");
        assertEquals(3500, rows.get(1).height());
    }

    /**
     * A column with a joint at half its storey, as where a landing meets it, one drawn from its head and one pushed all along: each counts once, at its foot. The
     * index of a storey (6.6.4.4.1, Q = ΣPu Δo / (Vu lc)) is that of the same frame with whole columns.
     */
    @Test
    void everyColumnOfAStoreyCountsOnceWhereverItsJointsLie() {
        ModelBuilder whole = tower().push("J20", 30_000, 4_000, -500_000).push("J13", 20_000, 0, -900_000);
        ModelBuilder split = tower().push("J20", 30_000, 4_000, -500_000).push("J13", 20_000, 0, -900_000);
        for (ModelBuilder b : List.of(whole, split)) {
            b.memberLoads.add(
                    new MemberLoad("P", "c11", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, 3500, 2, 2));
        }
        Member c13 = split.members.stream()
                .filter(m -> m.id().equals("c13"))
                .findFirst()
                .orElseThrow();
        Member c11 = split.members.stream()
                .filter(m -> m.id().equals("c11"))
                .findFirst()
                .orElseThrow();
        split.members.removeAll(List.of(c13, c11));
        split.joint("half", 6000, 4000, 1750).column("c13", "J03", "half").column("c13b", "half", "J13");
        split.column("c11", "J11", "J01");
        for (ModelBuilder b : List.of(whole, split)) {
            List<StoreyResults.Row> rows = StoreyResults.of(b.solve(), 0);
            assertEquals(57_000, rows.get(0).shear()[0], 1e-3);
            assertEquals(4_000, rows.get(0).shear()[1], 1e-3);
            assertEquals(30_000, rows.get(1).shear()[0], 1e-3);
        }
        List<SwayIndex.StoreySway> one = sway(whole);
        List<SwayIndex.StoreySway> other = sway(split);
        assertEquals(2, one.size());
        for (int i = 0; i < 2; i++) {
            assertTrue(one.get(i).qx() > 1e-3, one.toString());
            assertEquals(one.get(i).qx(), other.get(i).qx(), 1e-9);
            assertEquals(one.get(i).qy(), other.get(i).qy(), 1e-9);
        }
    }

    /**
     * Loads that push nothing sway the frame appreciably by what they do together (lc / 1500, R6.6.4.6.1): a couple that turns the roof sways it as much in one case
     * as in three; what stands evenly and what turns it back have no part in it, nor has a couple too small to count.
     */
    @Test
    void aLoadSwaysTheFrameInHoweverManyCasesItIsGiven() {
        assertEquals("[true, false]", sways(2e8, 1));
        assertEquals("[true, true, true, false]", sways(2e8, 3));
        assertEquals("[false, false]", sways(5e7, 1));
        assertEquals("[false, false, false, false]", sways(5e7, 3));
    }

    /** Ground that sinks under one side lets the frame sway without any load. */
    @Test
    void whatSinksSwaysTheFrame() {
        ModelBuilder b = tower();
        for (String side : List.of("J00", "J02")) {
            b.settlements.add(new Settlement("P", side, 0, 0, -60, 0, 0, 0));
        }
        b.combine("K", java.util.Map.of("P", 1.0));
        Analysis a = b.solve();
        assertTrue(Math.abs(StoreyResults.of(a, 0).get(0).drift()[0]) > 3500.0 / 1500, "sways enough");
        assertTrue(SwayIndex.of(new Demands(a, Purpose.STRENGTH)).sways(0));
    }

    /** Of each part of a couple at the roof with some weight there, then of an even load. */
    private static String sways(double couple, int parts) {
        ModelBuilder b = tower();
        b.cases.clear();
        java.util.Map<String, Double> terms = new java.util.TreeMap<>();
        for (int i = 0; i < parts; i++) {
            b.cases.add(new LoadCase("G" + i, "part " + i, CaseKind.DEAD, 0));
            for (int j = 0; j < 4; j++) {
                b.jointLoads.add(new JointLoad("G" + i, "J2" + j, 0, 0, -4e5 / parts, 0, couple / parts, 0));
            }
            terms.put("G" + i, 1.2);
        }
        b.cases.add(new LoadCase("L", "even", CaseKind.LIVE, 0));
        for (int j = 0; j < 4; j++) {
            b.jointLoads.add(new JointLoad("L", "J2" + j, 0, 0, -1e5, 0, 0, 0));
        }
        terms.put("L", 1.6);
        b.combine("K", terms);
        Analysis a = b.solve();
        double drift = 0;
        for (int i = 0; i < parts; i++) {
            drift += 1.2 * Math.abs(StoreyResults.of(a, i).get(1).drift()[0]);
        }
        assertEquals(couple > 1e8, drift > 3500.0 / 1500, "drifts by " + drift);
        SwayIndex index = SwayIndex.of(new Demands(a, Purpose.STRENGTH));
        return java.util.stream.IntStream.range(0, b.cases.size())
                .mapToObj(index::sways)
                .toList()
                .toString();
    }

    /** Programs leave out the level that the columns stand on, or list floors at the top of their slabs: the lowest storey is one all the same. */
    @Test
    void theLowestStoreyStandsOnTheSupports() {
        ModelBuilder all = tower().push("J20", 30_000, 4_000, -500_000).push("J13", 20_000, 0, -900_000);
        ModelBuilder some = tower().push("J20", 30_000, 4_000, -500_000).push("J13", 20_000, 0, -900_000);
        some.storeys.remove(0);
        assertEquals(sway(all), sway(some));
        List<StoreyResults.Row> rows = StoreyResults.of(some.solve(), 0);
        assertEquals(
                List.of("F1", "F2"),
                rows.stream().map(StoreyResults.Row::storey).toList());
        assertEquals(0, rows.get(0).base());
        assertEquals(50_000, rows.get(0).shear()[0], 1e-3);
        // a lift is of the storey that it fills, not of the next one that begins 20 mm beneath its head
        SwayIndex index = SwayIndex.of(new Demands(all.solve(), Purpose.STRENGTH));
        assertEquals(index.storeys().get(0).qx(), index.of(20, 3520, true), 1e-12);
        assertEquals(index.storeys().get(1).qx(), index.of(3480, 6980, true), 1e-12);
        assertTrue(Double.isNaN(index.of(7000, 10_500, true)), "above the highest floor");
    }

    /** Columns of a storey whose floor is not listed are designed as braced, and that is said. */
    @Test
    void whatIsNotKnownOfASwayIsTold() {
        ModelBuilder b = tower().push("J20", 30_000, 0, -500_000).push("J13", 20_000, 0, -900_000);
        b.cases.add(new LoadCase("W", "wind along Y", CaseKind.WIND, 0));
        b.jointLoads.add(new JointLoad("W", "J20", 0, 10_000, 0, 0, 0, 0));
        b.combine("K", java.util.Map.of("P", 1.0, "W", 1.0));
        assertTrue(told(b).isEmpty(), told(b).toString());
        b.storeys.remove(2);
        assertTrue(told(b).toString().contains("4 of 4 column stacks"), told(b).toString());
    }

    private static List<Finding> told(ModelBuilder b) {
        return BuildingDesigner.design(b.solve(), Basis.standard(false), BuildingDesigner.Progress.NONE)
                .findings()
                .stream()
                .filter(f -> f.code().equals("sway.unknown"))
                .toList();
    }

    private static List<SwayIndex.StoreySway> sway(ModelBuilder b) {
        return SwayIndex.of(new Demands(b.solve(), Purpose.STRENGTH)).storeys();
    }

    @Test
    void massesAreTheWeightsOverGravityAndTheCentreIsTheirs() {
        ModelBuilder b = tower();
        b.cases.clear();
        b.cases.add(new LoadCase("G", "own weight", CaseKind.DEAD, 1));
        b.cases.add(new LoadCase("P", "more", CaseKind.SUPERIMPOSED, 0));
        b.cases.add(new LoadCase("L", "live does not count", CaseKind.LIVE, 0));
        b.combine("c", java.util.Map.of("G", 1.0));
        b.push("J23", 0, 0, -100_000);
        List<StoreyResults.Mass> m = StoreyResults.masses(b.solve());
        double beams = 2 * (6000 + 4000) * 0.16e6 * 25e-6;
        double column = 4 * 3500 * 0.16e6 * 25e-6;
        assertEquals((beams + column / 2 + 100_000) / 9806.65, m.get(2).mass(), 1e-9);
        assertEquals((beams + column) / 9806.65, m.get(1).mass(), 1e-9);
        assertEquals(3000, m.get(1).x(), 1e-6);
        assertEquals(
                (beams + column / 2) * 3000 / (beams + column / 2 + 1e5) + 1e5 * 6000 / (beams + column / 2 + 1e5),
                m.get(2).x(),
                1e-6);
    }

    @Test
    void baseShearOfTheDemoIsTheReactionOfItsFoundation() {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN)));
        for (String id : List.of("WX", "WY", "EX", "EY")) {
            int c = a.index().caseNumber(id);
            StoreyResults.Row lowest = StoreyResults.of(a, c).get(0);
            for (int axis = 0; axis < 2; axis++) {
                assertEquals(
                        a.applied(c, axis),
                        lowest.shear()[axis],
                        1e-6 * Math.abs(a.applied(c, id.endsWith("X") ? 0 : 1)));
            }
        }
    }
}
