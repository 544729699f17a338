package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.finding.Finding;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A frame out of plumb: against the same frame drawn out of plumb, forces by hand, and the combinations it stands in. */
class LeaningTest {
    private static final double SLOPE = 0.004;
    /** Local axes of what stands steeper are those of an upright column. */
    private static final double UPRIGHT = 0.0008;

    private static AnalysisOptions leaning(double slope) {
        return new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), false, slope);
    }

    /** Two bays and two storeys in space, a bracket, loads along spans, on joints, and its own weight. */
    private static ModelBuilder frame(double leanX, double leanY) {
        ModelBuilder b = new ModelBuilder().section("S", 300, 500);
        double[][] plan = {{0, 0}, {6000, 0}, {6000, 5000}, {0, 5000}};
        for (int level = 0; level < 3; level++) {
            double z = level * 3500;
            for (int i = 0; i < 4; i++) {
                b.joint("J" + level + i, plan[i][0] + leanX * z, plan[i][1] + leanY * z, z);
                if (level > 0) {
                    b.column("c" + level + i, "J" + (level - 1) + i, "J" + level + i);
                } else {
                    b.fixed("J0" + i);
                }
            }
            for (int i = 0; i < 4 && level > 0; i++) {
                b.beam("b" + level + i, "J" + level + i, "J" + level + (i + 1) % 4);
            }
        }
        b.joint("K", -2000 + leanX * 3500, leanY * 3500, 3500).beam("k", "K", "J10");
        b.cases.set(0, new LoadCase("P", "load", CaseKind.LIVE, 1));
        b.spread("b10", 1000, 5000, 20, 60).spread("b22", 0, 6000, 35, 35).point("k", 300, 40e3);
        return b.push("J21", 0, 0, -300e3).push("J12", 0, 0, -90e3);
    }

    /** Drawn out of plumb, the frame has the same forces in its columns within a tenth of what the slope brings: some 150 N and 270 Nm in each. */
    @Test
    void notionalForcesAreTheFrameDrawnOutOfPlumb() {
        for (int axis = 0; axis < 2; axis++) {
            ModelBuilder plumb = frame(0, 0);
            plumb.options = leaning(UPRIGHT);
            Analysis by = plumb.solve();
            Analysis drawn =
                    frame(axis == 0 ? UPRIGHT : 0, axis == 1 ? UPRIGHT : 0).solve();
            int lean = by.index().caseNumber("P leaning " + "XY".charAt(axis));
            for (int m = 0; m < 4; m++) {
                for (int c = 0; c < 6; c++) {
                    for (boolean end : new boolean[] {false, true}) {
                        double got = at(by, m, 0, c, end) + at(by, m, lean, c, end);
                        // in a column out of plumb the slope of its shear goes along its axis, and beams take what
                        // joints push apart
                        double tolerance = c == Analysis.N ? 15 : c < 3 ? 10 : 20e3;
                        assertEquals(at(drawn, m, 0, c, end), got, tolerance, "member " + m + " component " + c);
                    }
                }
            }
            assertEquals(UPRIGHT * -by.applied(0, 2), by.applied(lean, axis), 1);
            int shear = axis == 0 ? Analysis.VY : Analysis.VZ;
            assertTrue(Math.abs(at(by, 0, lean, shear, false)) > 100, "" + at(by, 0, lean, shear, false));
        }
    }

    private static double at(Analysis a, int member, int loadCase, int component, boolean end) {
        return a.force(member, loadCase, end ? a.stationCount(member) - 1 : 0, component);
    }

    /** 100 kN on top of a post of 4 m that leans by 1/250: 0.4 kN sideways, 1.6 kNm at its foot; its weight of 15 kN/m: half at the head. */
    @Test
    void aPostByHand() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 600, 1000)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .column("c", "A", "B")
                .fixed("A")
                .push("B", 0, 0, -100e3);
        b.cases.add(new LoadCase("G", "own", CaseKind.DEAD, 1));
        b.options = leaning(SLOPE);
        Analysis a = b.solve();
        assertEquals(1.6e6, Math.abs(at(a, 0, a.index().caseNumber("P leaning X"), Analysis.MZ, false)), 1);
        assertEquals(1.6e6, Math.abs(at(a, 0, a.index().caseNumber("P leaning Y"), Analysis.MY, false)), 1);
        // 0.6 × 1.0 × 4 × 25 kN/m3 = 60 kN, half of it at 4 m: 0.004 × 30 × 4 = 0.48 kNm
        assertEquals(0.48e6, Math.abs(at(a, 0, a.index().caseNumber("G leaning X"), Analysis.MZ, false)), 1);
    }

    private static Map<String, Map<String, Double>> combinations(ModelBuilder b) {
        return b.solve().index().building().combinations().stream()
                .collect(Collectors.toMap(
                        Combination::name,
                        c -> c.terms().stream()
                                .collect(Collectors.toMap(Combination.Term::loadCase, Combination.Term::factor))));
    }

    private static void combine(ModelBuilder b, String name, Purpose purpose, Object... terms) {
        List<Combination.Term> all = new java.util.ArrayList<>();
        for (int i = 0; i < terms.length; i += 2) {
            all.add(new Combination.Term((String) terms[i], (Double) terms[i + 1]));
        }
        b.combinations.add(new Combination(name, name, purpose, all));
    }

    /** Each way along X and Y, with the wind where there is wind, and not in earthquakes or in service. */
    @Test
    void combinationsLeanTheWayThatIsWorst() {
        ModelBuilder b = frame(0, 0);
        b.options = leaning(SLOPE);
        b.cases.add(new LoadCase("G", "dead", CaseKind.DEAD, 0));
        b.cases.add(new LoadCase("W", "wind", CaseKind.WIND, 0));
        b.cases.add(new LoadCase("R", "wind that turns", CaseKind.WIND, 0));
        b.cases.add(new LoadCase("E", "earthquake", CaseKind.SEISMIC, 0));
        b.jointLoads.add(new JointLoad("W", "J10", 6e3, 0, 0, 0, 0, 0));
        // 2 kN/m over 4 m along Y on a column: (6, 8) / 10 in all
        b.memberLoads.add(
                new MemberLoad("W", "c11", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_Y, 0, 3500, 2, 18 / 7.0));
        b.jointLoads.add(new JointLoad("R", "J10", 5e3, 0, 0, 0, 0, 0));
        b.jointLoads.add(new JointLoad("R", "J13", -5e3, 0, 0, 0, 0, 0));
        combine(b, "GP", Purpose.STRENGTH, "G", 1.35, "P", 1.5);
        combine(b, "GW", Purpose.STRENGTH, "G", 1.35, "W", -1.5);
        combine(b, "GR", Purpose.STRENGTH, "G", 1.0, "R", 1.5);
        combine(b, "GE", Purpose.STRENGTH, "G", 1.0, "E", 1.0);
        combine(b, "S", Purpose.SERVICE_CHARACTERISTIC, "G", 1.0, "P", 1.0);
        Map<String, Map<String, Double>> all = combinations(b);
        assertEquals(4 + 1 + 4 + 1 + 1, all.size(), all.keySet().toString());
        assertEquals(
                Map.of("G", 1.35, "P", 1.5, "G leaning X", -1.35, "P leaning X", -1.5), all.get("GP (leaning X−)"));
        assertEquals(Map.of("G", 1.35, "P", 1.5, "G leaning Y", 1.35, "P leaning Y", 1.5), all.get("GP (leaning Y+)"));
        Map<String, Double> wind = all.get("GW (leaning with the wind)");
        assertEquals(1.35 * -0.6, wind.get("G leaning X"), 1e-9, wind.toString());
        assertEquals(1.35 * -0.8, wind.get("G leaning Y"), 1e-9);
        assertEquals(-1.5, wind.get("W"));
        assertEquals(Map.of("G", 1.0, "R", 1.5, "G leaning X", 1.0), all.get("GR (leaning X+)"));
        assertEquals(Map.of("G", 1.0, "E", 1.0), all.get("GE"));
        assertEquals(Map.of("G", 1.0, "P", 1.0), all.get("S"));
    }

    /** Arrangements of live load lean as well; an edited building is analysed as a new one is; one that is expanded is not expanded again. */
    @Test
    void withArrangementsAndAfterEdits() {
        ModelBuilder b = frame(0, 0);
        b.options =
                new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), true, SLOPE);
        Building plain = b.building();
        Analysis a = FrameAnalysis.solve(new BuildingIndex(plain));
        Building expanded = a.index().building();
        assertEquals(8 * 3, expanded.loadCases().size());
        assertEquals(8 * 4, expanded.combinations().size());
        assertEquals(expanded, FrameAnalysis.solve(a.index()).index().building());
        Building steeper = plain.withOptions(
                new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), true, 0.006));
        Analysis again = FrameAnalysis.resolve(a, new BuildingIndex(steeper));
        int lean = again.index().caseNumber("P pairs 2 leaning Y");
        for (int m = 0; m < 8; m++) {
            assertEquals(1.5 * at(a, m, lean, Analysis.MY, false), at(again, m, lean, Analysis.MY, false), 1);
        }
        assertEquals(
                0,
                FrameAnalysis.resolve(again, new BuildingIndex(plain.withOptions(leaning(0))))
                        .index()
                        .building()
                        .loadCases()
                        .stream()
                        .filter(LoadCase::generated)
                        .count());
    }

    /** θi = αh αm / 200: 25 m and 20 columns (2/3) √(0.5 × 1.05) / 200 = 0.002415; 9 m and 4, (2/3) √0.625 / 200; a post of 4 m 1/200. */
    @ParameterizedTest
    @CsvSource({"25000, 20, 0.0024152", "9000, 4, 0.0026352", "4000, 1, 0.005", "2000, 1, 0.005", "6250, 2, 0.0034641"})
    void whatEnAsksFor(double height, int columns, double slope) {
        assertEquals(
                slope, Basis.standard("en-1992-1-1").designCode().slenderness().inclination(height, columns), 1e-6);
        assertEquals(0, Basis.standard(false).designCode().slenderness().inclination(height, columns));
    }

    private static List<Finding> told(double slope, String code) {
        ModelBuilder b = frame(0, 0);
        b.options = leaning(slope);
        BuildingDesign d = BuildingDesigner.design(b.solve(), Basis.standard(code), BuildingDesigner.Progress.NONE);
        return d.findings().stream()
                .filter(f -> f.code().equals("frame.imperfections"))
                .toList();
    }

    /** 7 m and 4 columns: (2 / √7) √0.625 / 200 = 0.002988. */
    @Test
    void aFrameThatStandsPlumberThanTheCodeAsksForIsTold() {
        assertTrue(told(0, "en-1992-1-1").get(0).what().contains("stands plumb"));
        assertTrue(
                told(0, "en-1992-1-1").get(0).what().contains("0.00299 (1/335)"),
                told(0, "en-1992-1-1").toString());
        assertTrue(told(0.0025, "en-1992-1-1").get(0).what().contains("out of plumb by 0.00250"));
        assertEquals(List.of(), told(0.00299, "en-1992-1-1"));
        assertEquals(List.of(), told(0, "aci-318m-19"));
    }
}
