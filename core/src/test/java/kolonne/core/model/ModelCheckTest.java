package kolonne.core.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kolonne.core.analysis.Analysis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.finding.Finding;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every fault of a model has a finding with the part it concerns and a way to mend it. */
class ModelCheckTest {
    static Stream<Arguments> faults() {
        return Stream.of(
                fault("id.duplicate", b -> b.joint("A", 1, 1, 1)),
                fault("reference.missing", b -> b.beam("x", "A", "nowhere")),
                fault("member.zero-length", b -> b.joint("A2", 0, 0, 5).beam("x", "A", "A2")),
                fault("member.duplicate", b -> b.beam("x", "B", "A")),
                fault("member.role", b -> b.column("x", "A", "C2")),
                fault("support.missing", b -> b.supports.clear()),
                fault("model.empty", b -> b.members.clear()),
                fault("member.rigid-ends", b -> b.beam("x", "B", "C2", Release.NONE, Release.NONE, 5000, 5000)),
                fault("load.place", b -> b.point("m", 9000, 1)),
                fault("load.place", b -> b.spread("m", 3000, 1000, 1, 1)),
                fault(
                        "combination.empty",
                        b -> b.combinations.add(new Combination("K", "K", Purpose.STRENGTH, List.of()))),
                fault(
                        "combination.no-strength",
                        b -> b.combinations.set(
                                0,
                                new Combination(
                                        "K",
                                        "K",
                                        Purpose.SERVICE_CHARACTERISTIC,
                                        List.of(new Combination.Term("P", 1))))),
                fault(
                        "model.disconnected",
                        b -> b.joint("X", 0, 9000, 0).joint("Y", 5000, 9000, 0).beam("x", "X", "Y")),
                fault("material.strength", b -> b.fc = 35_000),
                fault("section.size", b -> b.section("T", 3, 6)),
                fault("diaphragm.shared-joint", b -> {
                    b.diaphragms.add(new Diaphragm("D1", List.of("A", "B")));
                    b.diaphragms.add(new Diaphragm("D2", List.of("B", "C2")));
                }),
                fault(
                        "member.releases",
                        b -> b.beam(
                                "x",
                                "B",
                                "C2",
                                Release.of(true, false, false, false, false, false),
                                Release.of(true, false, false, false, false, false),
                                0,
                                0)));
    }

    /** Faults that a file of strange units or a slip of the pen makes, and notes that stop nothing. */
    static Stream<Arguments> more() {
        StiffnessFactors none = new StiffnessFactors(1, 0, 1, 1);
        return Stream.of(
                fault("member.role", b -> b.joint("U", 0, 0, 4000).beam("x", "A", "U")),
                fault("member.stiffness", b -> b.members.set(0, member("m", "A", "B", none))),
                fault(
                        "options.stiffness",
                        b -> b.options = new AnalysisOptions(false, none, StiffnessFactors.GROSS, 0, List.of(), false)),
                fault(
                        "options.stiffness",
                        b -> b.options = new AnalysisOptions(false, StiffnessFactors.GROSS, none, 0, List.of(), false)),
                fault(
                        "model.many",
                        b -> IntStream.range(0, 501).forEach(i -> b.storeys.add(new Storey("s" + i, "s" + i, 10 * i)))),
                fault("model.many", b -> IntStream.range(0, 10_000).forEach(i -> b.section("s" + i, 300, 500))),
                fault("load.many", b -> IntStream.range(0, 2001).forEach(i -> b.point("b", 2 * i, 100))),
                fault("options.inclination", b -> b.options = leaning(0.03)),
                fault("options.inclination", b -> b.options = leaning(-0.001)),
                fault("options.inclination", b -> b.options = leaning(Double.NaN)),
                fault("options.rigid-ends", b -> b.options = options(1.5)),
                fault("options.rigid-ends", b -> b.options = options(Double.NaN)),
                fault(
                        "reference.missing",
                        b -> b.options = new AnalysisOptions(
                                false,
                                StiffnessFactors.GROSS,
                                StiffnessFactors.GROSS,
                                0,
                                List.of(new Combination.Term("Q", 1)),
                                false)),
                fault("member.very-long", b -> b.joint("far", 100_000, 0, 0).beam("x", "C2", "far")),
                fault("spring.stiffness", b -> b.springs.add(new Spring("B", -1, 0, 0, 0, 0, 0))),
                fault("spring.stiffness", b -> b.springs.add(new Spring("A", 0, 0, 500, 0, 0, 0))),
                fault("spring.stiffness", b -> b.springs.add(new Spring("B", Double.NaN, 0, 0, 0, 0, 0))),
                fault("reference.missing", b -> b.springs.add(new Spring("Q", 1, 0, 0, 0, 0, 0))),
                fault(
                        "id.duplicate",
                        b -> b.springs.addAll(
                                List.of(new Spring("B", 1, 0, 0, 0, 0, 0), new Spring("B", 0, 0, 2, 0, 0, 0)))),
                fault("settlement.free", b -> b.settlements.add(new Settlement("P", "B", 0, 0, -5, 0, 0, 0))),
                fault("reference.missing", b -> b.settlements.add(new Settlement("Q", "A", 0, 0, -5, 0, 0, 0))),
                fault("panel.corners", b -> b.panels.add(new SlabPanel("V", List.of("A", "B"), 150, 0, false, 0))),
                fault(
                        "panel.corners",
                        b -> b.panels.add(
                                new SlabPanel("V", java.util.Collections.nCopies(201, "A"), 150, 0, false, 0))),
                fault(
                        "panel.corners",
                        b -> b.panels.add(new SlabPanel(
                                "V",
                                List.of("A", "B", "C"),
                                150,
                                0,
                                false,
                                0,
                                java.util.Collections.nCopies(
                                        51, List.of(new Point(0, 0), new Point(1, 0), new Point(0, 1)))))),
                fault(
                        "reference.missing",
                        b -> b.panels.add(new SlabPanel("V", List.of("A", "B", "Q"), 150, 0, false, 0))),
                fault("load.absurd", b -> b.spread("m", 0, 5000, 5000, 5000)),
                fault("load.absurd", b -> b.panels.add(0, panelWith(b))),
                fault("reference.missing", b -> b.areaLoads.add(new AreaLoad("P", "Q", 0.001))),
                fault("reference.missing", b -> b.jointLoads.add(new JointLoad("P", "Q", 1, 0, 0, 0, 0, 0))),
                fault("reference.missing", b -> b.stationForces.add(new StationForces("Q", "P", 0, 0, 0, 0, 0, 0, 0))),
                fault("case.empty", b -> b.cases.add(new LoadCase("E", "empty", CaseKind.DEAD, 0))),
                fault("case.unused", b -> b.cases.add(new LoadCase("E", "alone", CaseKind.DEAD, 1))),
                fault("reference.missing", b -> b.combine("K9", java.util.Map.of("Q", 1.0))),
                fault("joint.unused", b -> b.joint("lonely", 1, 2, 3)),
                fault("load.place", b -> b.point("m", Double.NaN, 1)),
                fault("load.place", b -> b.spread("m", -100, 3000, 1, 1)));
    }

    /** Files round lengths: a load that reaches a millimetre past its member is one to its end, and one that lies past it is none. */
    @Test
    void loadsMayReachPastTheEndsByWhatFilesRound() {
        ModelBuilder exact = beam().spread("m", 0, 6000, 10, 20).point("m", 6000, 5e3);
        ModelBuilder past = beam().spread("m", -0.7, 6000.8, 10, 20).point("m", 6000.9, 5e3);
        assertEquals(List.of(), ModelCheck.run(past.building()));
        Analysis one = exact.solve();
        Analysis other = past.solve();
        assertEquals(one.applied(0, 2), other.applied(0, 2), 1e-6);
        for (int s = 0; s < one.stationCount(0); s++) {
            assertEquals(one.force(0, 0, s, Analysis.MY), other.force(0, 0, s, Analysis.MY), 1);
            assertEquals(one.force(0, 0, s, Analysis.VZ), other.force(0, 0, s, Analysis.VZ), 1e-3);
        }
        for (ModelBuilder b : List.of(
                beam().spread("m", 0, 6001.2, 1, 1),
                beam().point("m", -1.2, 1),
                beam().spread("m", 6000.2, 6000.9, 1, 1))) {
            assertEquals(
                    List.of("load.place"),
                    ModelCheck.run(b.building()).stream().map(Finding::code).toList());
        }
    }

    private static ModelBuilder beam() {
        return new ModelBuilder()
                .section("S", 300, 500)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B")
                .point("m", 3000, 1);
    }

    /** What would count twice or vanish, and numbers beyond anything that is built. */
    static Stream<Arguments> twiceLostOrBeyond() {
        return Stream.of(
                fault("panel.crowded", ModelCheckTest::thousandsOfPanels),
                fault("panel.overlap", b -> twoPanels(b, 0)),
                fault("panel.overlap", b -> twoPanels(b, 2000)),
                fault("panel.overlap", b -> twoPanels(b, 5900)),
                fault(
                        "panel.hole-overlap",
                        b -> b.panels.add(new SlabPanel(
                                "V",
                                corners(b, "v", 20_000, 6000),
                                150,
                                0,
                                false,
                                0,
                                List.of(square(21_000, 1000, 1000), square(21_500, 1500, 1000))))),
                fault("member.overlap", b -> b.beam("x", "A", "C2")),
                fault("member.overlap", b -> b.joint("M", 2000, 0, 0).beam("x", "A", "M")),
                fault("diaphragm.levels", b -> {
                    b.joint("U", 0, 0, 3500).column("u", "A", "U");
                    b.diaphragms.add(new Diaphragm("D", List.of("A", "B", "U")));
                }),
                fault("load.lost", b -> b.joint("lonely", 1, 2, 3).push("lonely", 0, 0, -1000)),
                fault("load.lost", b -> {
                    b.joint("mass", 2500, 0, 0).push("mass", 1000, 0, -1);
                    b.diaphragms.add(new Diaphragm("D", List.of("B", "C2", "mass")));
                }),
                fault("model.extent", b -> b.joint("far", 5000, 3e7, 0)),
                fault("member.too-long", b -> b.joint("far", 5000, 2e6, 0).beam("x", "B", "far")),
                fault("value.bounds", b -> b.joint("far", 1e300, 0, 0)),
                fault("value.bounds", b -> b.joint("nan", 0, Double.NaN, 0)),
                fault("value.bounds", b -> b.point("m", 2500, 1e308)),
                fault("value.bounds", b -> b.spread("m", 0, 5000, Double.POSITIVE_INFINITY, 0)),
                fault("value.bounds", b -> b.couple("m", 100, Double.NaN)),
                fault("value.bounds", b -> b.push("B", 0, 1e13, 0)),
                fault("value.bounds", b -> b.jointLoads.add(new JointLoad("P", "B", 0, 0, 0, 1e17, 0, 0))),
                fault("value.bounds", b -> b.areaLoads.add(new AreaLoad("P", "Q", Double.NaN))),
                fault("value.bounds", b -> b.combine("K9", java.util.Map.of("P", 1e9))),
                fault("value.bounds", b -> b.cases.add(new LoadCase("D", "dead", CaseKind.DEAD, -1e4))),
                fault("value.bounds", b -> b.springs.add(new Spring("B", 1e13, 0, 0, 0, 0, 0))),
                fault("value.bounds", b -> b.springs.add(new Spring("B", 0, 0, 0, 0, 0, 1e19))),
                fault("value.bounds", b -> b.settlements.add(new Settlement("P", "A", 0, 0, 1e5, 0, 0, 0))),
                fault("value.bounds", b -> b.settlements.add(new Settlement("P", "A", 0, 0, 0, 0, 2, 0))),
                fault(
                        "value.bounds",
                        b -> b.members.set(0, member("m", "A", "B", new StiffnessFactors(1, 1e12, 1, 1)))),
                fault(
                        "value.bounds",
                        b -> b.members.set(0, member("m", "A", "B", new StiffnessFactors(1e-9, 1, 1, 1)))),
                fault("value.bounds", b -> b.stationForces.add(new StationForces("m", "P", 0, 0, 0, 0, 0, 1e300, 0))),
                fault("value.bounds", b -> b.storeys.add(new Storey("Z", "Z", Double.NEGATIVE_INFINITY))),
                fault(
                        "value.bounds",
                        b -> b.panels.add(new SlabPanel("V", List.of("A", "B", "C2"), 1e300, 0, false, 0))));
    }

    private static List<Point> square(double x, double y, double size) {
        return List.of(new Point(x, y), new Point(x + size, y), new Point(x + size, y + size), new Point(x, y + size));
    }

    /** Four joints of a bay of 6 by 5 m with beams around it, {@code x0} along X and {@code y0} along Y. */
    private static List<String> corners(ModelBuilder b, String name, double x0, double y0) {
        double[][] at = {{0, 0}, {6000, 0}, {6000, 5000}, {0, 5000}};
        for (int i = 0; i < 4; i++) {
            b.joint(name + i, x0 + at[i][0], y0 + at[i][1], 0).fixed(name + i);
        }
        for (int i = 0; i < 4; i++) {
            b.beam(name + "e" + i, name + i, name + (i + 1) % 4);
        }
        return List.of(name + 0, name + 1, name + 2, name + 3);
    }

    /** Side by side, a tenth of a metre wide each. */
    private static void thousandsOfPanels(ModelBuilder b) {
        int wide = 90;
        for (int i = 0; i <= wide; i++) {
            for (int k = 0; k <= wide; k++) {
                b.joint("q" + i + "." + k, 1000 + 90.0 * i, 1000 + 90.0 * k, 9000);
            }
        }
        for (int i = 0; i < wide; i++) {
            for (int k = 0; k < wide; k++) {
                List<String> corners = List.of(
                        "q" + i + "." + k,
                        "q" + (i + 1) + "." + k,
                        "q" + (i + 1) + "." + (k + 1),
                        "q" + i + "." + (k + 1));
                b.panels.add(new SlabPanel("V" + i + "." + k, corners, 150, 25e-6, false, 0));
            }
        }
    }

    private static void twoPanels(ModelBuilder b, double shift) {
        List<String> first = corners(b, "v", 20_000, 6000);
        b.panels.add(new SlabPanel("V", first, 150, 0, false, 0));
        b.panels.add(new SlabPanel(
                "W", shift == 0 ? first : corners(b, "w", 20_000 + shift, 6000 + shift / 10), 150, 0, false, 0));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("twiceLostOrBeyond")
    void namesWhatCountsTwiceIsLostOrIsBeyondBounds(String code, Consumer<ModelBuilder> change) {
        namesTheFault(code, change);
        ModelBuilder b = sound();
        change.accept(b);
        Finding f = ModelCheck.run(b.building()).stream()
                .filter(x -> x.code().equals(code))
                .findFirst()
                .orElseThrow();
        assertEquals(kolonne.core.finding.Severity.FAILS, f.severity());
        assertTrue(!f.what().contains("NaN") && !f.what().contains("Infinity"), f.what());
    }

    /** Neighbours that share a side, panels one over the other on two floors, and two beams that meet at a joint overlap nothing. */
    @Test
    void whatOnlyTouchesIsSound() {
        ModelBuilder b = sound();
        List<String> v = corners(b, "v", 20_000, 6000);
        b.panels.add(new SlabPanel(
                "V", v, 150, 0, false, 0, List.of(square(21_000, 7000, 1000), square(22_000, 7000, 1000))));
        b.joint("n1", 32_000, 6000, 0)
                .joint("n2", 32_000, 11_000, 0)
                .beam("p", "v1", "n1")
                .beam("q", "n1", "n2")
                .beam("r", "n2", "v2");
        b.panels.add(new SlabPanel("W", List.of("v1", "n1", "n2", "v2"), 150, 0, false, 0));
        for (int i = 0; i < 4; i++) {
            Joint low = b.joints.get(3 + i);
            b.joint("u" + i, low.x(), low.y(), 3000).column("c" + i, "v" + i, "u" + i);
        }
        b.panels.add(new SlabPanel("U", List.of("u0", "u1", "u2", "u3"), 150, 0, false, 0));
        assertEquals(
                List.of(),
                ModelCheck.run(b.building()).stream()
                        .filter(f -> f.severity() == kolonne.core.finding.Severity.FAILS)
                        .toList());
    }

    /** References to what could not be read are no faults of their own. */
    @Test
    void oneUnreadableEntrySetsOffNoTrail() {
        ModelBuilder b = sound();
        b.sections.clear();
        b.section("other", 300, 600);
        assertEquals(
                2,
                ModelCheck.run(b.building()).stream()
                        .filter(f -> f.code().equals("reference.missing"))
                        .count());
        assertEquals(List.of(), ModelCheck.run(b.building(), java.util.Map.of("sections", java.util.Set.of("S"))));
    }

    private static Member member(String id, String a, String b, StiffnessFactors f) {
        return new Member(id, Role.BEAM, a, b, "S", "C", 0, Release.NONE, Release.NONE, 0, 0, f);
    }

    private static AnalysisOptions leaning(double inclination) {
        return new AnalysisOptions(
                false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), false, inclination);
    }

    private static AnalysisOptions options(double rigid) {
        return new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, rigid, List.of(), false);
    }

    /** A panel beside the beams with the load of a lorry's wheel on every square metre. */
    private static SlabPanel panelWith(ModelBuilder b) {
        b.joint("D", 5000, 4000, 0).beam("e", "B", "D");
        b.areaLoads.add(new AreaLoad("P", "V", 0.5));
        return new SlabPanel("V", List.of("A", "B", "D"), 150, 0, false, 0);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("more")
    void namesTheFaultOfValues(String code, Consumer<ModelBuilder> change) {
        namesTheFault(code, change);
    }

    static Stream<Arguments> materials() {
        return Stream.of(
                Arguments.of("material.modulus", new Material("C", 30, 30, 0.2, 25e-6)),
                Arguments.of("material.modulus", new Material("C", 30, Double.NaN, 0.2, 25e-6)),
                Arguments.of("material.poisson", new Material("C", 30, 30_000, 0.5, 25e-6)),
                Arguments.of("material.poisson", new Material("C", 30, 30_000, -0.1, 25e-6)),
                Arguments.of("material.weight", new Material("C", 30, 30_000, 0.2, 25)),
                Arguments.of("material.weight", new Material("C", 30, 30_000, 0.2, -1e-6)),
                Arguments.of("material.strength", new Material("C", Double.NaN, 30_000, 0.2, 25e-6)),
                Arguments.of("material.strength", new Material("C", 4, 30_000, 0.2, 25e-6)));
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("materials")
    void namesTheFaultOfAMaterial(String code, Material material) {
        Building b = sound().building();
        Building bad = new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                b.joints(),
                List.of(material),
                b.sections(),
                b.members(),
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                b.combinations(),
                b.stationForces());
        List<Finding> found = ModelCheck.run(bad);
        assertEquals(List.of(code), found.stream().map(Finding::code).toList(), found.toString());
        assertTrue(found.get(0).where().contains("material C"));
    }

    private static Arguments fault(String code, Consumer<ModelBuilder> change) {
        return Arguments.of(code, change);
    }

    private static ModelBuilder sound() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 5000, 0, 0)
                .joint("C2", 9000, 0, 0)
                .beam("m", "A", "B")
                .beam("n", "B", "C2")
                .fixed("A")
                .spread("m", 0, 5000, 1, 1);
        return b.combine("K0", java.util.Map.of("P", 1.0));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void namesTheFault(String code, Consumer<ModelBuilder> change) {
        ModelBuilder b = sound();
        change.accept(b);
        List<Finding> found = ModelCheck.run(b.building());
        Finding f = found.stream()
                .filter(x -> x.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + code + " in " + found));
        assertTrue(!f.where().isBlank() && !f.mend().isBlank(), f.toString());
    }

    @Test
    void findsNothingInASoundModelOrInTheDemo() {
        assertEquals(List.of(), ModelCheck.run(sound().building()));
        List<Finding> demo = ModelCheck.run(DemoBuilding.generate(DemoOptions.VELDHAVEN));
        assertEquals(
                List.of("column.planted"),
                demo.stream().map(Finding::code).toList(),
                "the column on the transfer beam");
        assertTrue(demo.get(0).what().contains("beams L1-"), demo.get(0).what());
    }

    @Test
    void theDemoIsTheSameEveryTime() {
        assertEquals(DemoBuilding.generate(DemoOptions.VELDHAVEN), DemoBuilding.generate(DemoOptions.VELDHAVEN));
    }
}
