package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.check.Deflections;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.SpanRules;
import kolonne.core.explain.Trace;
import kolonne.core.model.Combination;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Faults that independent checks found in beams, each by a measure or a calculation of its own. */
class BeamFaultsTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final Bar T16 = BarCatalogue.METRIC.find("T16");
    private static final Bar T25 = BarCatalogue.METRIC.find("T25");
    private static final Bar T32 = BarCatalogue.METRIC.find("T32");

    private static ModelBuilder simple(double b, double h, double length, double w) {
        return new ModelBuilder()
                .section("S", b, h)
                .joint("A", 0, 0, 0)
                .joint("B", length, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m", 0, length, w, w);
    }

    private static BeamDesign design(ModelBuilder b, Basis basis) {
        Analysis a = b.solve();
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, basis));
    }

    private static CheckResult worst(BeamDesign d, String kind) {
        return d.checks().stream()
                .filter(c -> c.kind().id().equals(kind))
                .findFirst()
                .orElseThrow(() -> new AssertionError(kind + " in " + d.checks()));
    }

    private static BeamCage.Group group(
            BeamCage.Face face, int layer, int count, Bar bar, double offset, boolean through) {
        return new BeamCage.Group(face, layer, count, bar, offset, 40, 5960, false, false, through);
    }

    /** Clear distances are measured off the drawn section, size by size: they are those that the check tells. */
    @ParameterizedTest
    @CsvSource({"2, 2", "2, 3", "3, 1", "4, 3", "3, 2"})
    void whatIsDrawnIsWhatIsChecked(int thick, int thin) {
        Analysis a = simple(450, 600, 6000, 20).solve();
        BeamLine line = BeamLines.find(a).get(0);
        BeamContext context = BeamContext.of(a, ACI);
        BeamCage cage = new BeamCage(
                List.of(
                        group(BeamCage.Face.TOP, 1, 2, T16, 58, true),
                        group(BeamCage.Face.BOTTOM, 1, thick, T32, 66, true),
                        group(BeamCage.Face.BOTTOM, 1, thin, T16, 58, false)),
                BeamDesigner.design(line, context).cage().zones(),
                List.of());
        CheckResult told = worst(BeamCheck.run(line, cage, context), "clear-spacing-bottom");
        List<SectionCut.Spot> bars =
                new ArrayList<>(SectionCut.at(line, cage, ACI, line.spans().get(0), 3000).bars().stream()
                        .filter(s -> s.face() == BeamCage.Face.BOTTOM)
                        .sorted(Comparator.comparingDouble(SectionCut.Spot::y))
                        .toList());
        assertEquals(thick + thin, bars.size());
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i + 1 < bars.size(); i++) {
            least = Math.min(
                    least,
                    bars.get(i + 1).y()
                            - bars.get(i).y()
                            - (bars.get(i).bar().diameter()
                                            + bars.get(i + 1).bar().diameter())
                                    / 2);
        }
        assertEquals(least, told.capacity(), 1e-6);
        if (thick % 2 == 0 || thin % 2 == 0) {
            double first = bars.stream()
                    .mapToDouble(s -> s.bar().area() * (s.y() - 225))
                    .sum();
            assertEquals(0, first, 1e-3, "alike on both sides of the middle");
        }
    }

    /** Upper bars stand over lower ones, in the corners first; a larger bar only as far in as the leg of the stirrup asks. */
    @Test
    void upperBarsStandOverLowerOnes() {
        List<BeamCage.Group> groups = List.of(
                group(BeamCage.Face.BOTTOM, 1, 5, T25, 62.5, true),
                group(BeamCage.Face.BOTTOM, 2, 3, T25, 112.5, false));
        FaceLayout l = new FaceLayout(groups, 400, 50, ACI);
        List<Double> below = l.layer(1).stream().map(FaceLayout.Unit::y).toList();
        assertEquals(
                List.of(below.get(0), below.get(2), below.get(4)),
                l.layer(2).stream().map(FaceLayout.Unit::y).toList());
        FaceLayout larger = new FaceLayout(
                List.of(
                        group(BeamCage.Face.BOTTOM, 1, 4, T16, 58, true),
                        group(BeamCage.Face.BOTTOM, 2, 2, T32, 114, false)),
                400,
                50,
                ACI);
        assertEquals(8, larger.layer(2).get(0).off(), 1e-9);
        assertEquals(2, larger.over());
    }

    /** Two legs asked: never more, and what they cannot do is told. */
    @Test
    void theMostLegsOfTheBasisAreALimit() {
        Basis two = Varied.zonesAndLegs(ACI, 3, 2);
        BeamDesign wide = design(simple(1200, 400, 6000, 60), two);
        assertTrue(
                wide.cage().zones().stream().allMatch(z -> z.legs() <= 2),
                wide.cage().zones().toString());
        assertFalse(worst(wide, "leg-spacing").satisfied());
        BeamDesign more = BeamCheck.run(
                wide.line(),
                new BeamCage(
                        wide.cage().groups(),
                        wide.cage().zones().stream()
                                .map(z -> new BeamCage.Zone(z.span(), z.from(), z.to(), z.bar(), 4, z.spacing()))
                                .toList(),
                        List.of()),
                BeamContext.of(simple(1200, 400, 6000, 60).solve(), two));
        assertEquals(2, worst(more, "legs-most").utilisation(), 1e-9);
    }

    /** Hanger bars of a lightly reinforced beam are in tension, or not needed: no rule for bars in compression is theirs. */
    @ParameterizedTest
    @ValueSource(doubles = {15, 30, 45})
    void barsInTensionAreNotHeldAsBarsInCompression(double w) {
        BeamDesign d = design(simple(300, 600, 6000, w), ACI);
        double as = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.BOTTOM && g.from() < 3000 && g.to() > 3000)
                .mapToDouble(BeamCage.Group::area)
                .sum();
        double a = as * 420 / (0.85 * 30 * 300);
        assertTrue(a / 0.8357 < 0.375 * 540, "no compression steel is needed");
        assertTrue(
                d.checks().stream().noneMatch(c -> c.kind().id().startsWith("compression-")),
                d.checks().toString());
    }

    /** Two secondary beams end on either side of a carrier as deep as they are: their faces are the carrier's. */
    @Test
    void facesOfACarrierAsDeepAsWhatItCarries() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 600)
                .joint("A", 0, 0, 0)
                .joint("M", 6000, 0, 0)
                .joint("B", 12_000, 0, 0)
                .joint("P", 6000, -4000, 0)
                .joint("Q", 6000, 4000, 0)
                .fixed("P")
                .fixed("Q")
                .pinned("A")
                .pinned("B");
        b.beam("carrier1", "P", "M").beam("carrier2", "M", "Q");
        b.members.add(new Member("left", Role.BEAM, "A", "M", "S", "C", 0, Release.NONE, Release.PIN, 0, 0, null));
        b.members.add(new Member("right", Role.BEAM, "M", "B", "S", "C", 0, Release.PIN, Release.NONE, 0, 0, null));
        b.spread("left", 0, 6000, 30, 30).spread("right", 0, 6000, 30, 30);
        BeamLine left = BeamLines.find(b.solve()).stream()
                .filter(l -> l.id().equals("left"))
                .findFirst()
                .orElseThrow();
        assertEquals(5800, left.spans().get(0).faceTo(), 1e-6);
        assertTrue(
                left.stations().stream().anyMatch(s -> Math.abs(s.x() - 5800) < 1e-6), "forces are known at the face");
    }

    /** A simple span between columns of 600: the stiff joints turn with the ends, so that the chord runs between the middles of the columns. */
    @Test
    void deflectionsAreOnTheSpanThatTheLimitIsOf() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 600, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("F", 0, 0, -3000)
                .joint("G", 8000, 0, -3000)
                .column("c1", "F", "A")
                .column("c2", "G", "B")
                .fixed("F")
                .fixed("G")
                .beam("m", "A", "B", Release.PIN, Release.PIN, 0, 0)
                .spread("m", 0, 8000, 4, 4);
        b.combine("U", Map.of("P", 1.6));
        b.combinations.add(
                new Combination("S", "S", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1.0))));
        b.combinations.add(
                new Combination("Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", 0.3))));
        Deflections f = design(b, ACI).deflections().get(0);
        // uncracked: unit load at mid-span, curvature between the faces only
        double ei = ModelBuilder.E * 600 * Math.pow(600, 3) / 12;
        double sum = 0;
        int n = 20_000;
        for (int i = 0; i < n; i++) {
            double x = 300 + 7400 * (i + 0.5) / n;
            sum += 4 * x * (8000 - x) / 2 * Math.min(x, 8000 - x) / 2 / ei * 7400 / n;
        }
        assertEquals(8000, f.length(), 1e-9);
        assertEquals(sum, f.mostLive(), 1e-4 * sum);
    }

    /** (7.16): 20 and 14 at ρ = 0.5 and 1.5 % in C30 (table 7.4N), K of the table, 0.8 for flanges wider than three webs; by hand in C50. */
    @ParameterizedTest(name = "{0}, fck {1}, ρ {2}, flange {3}: l/d {4}")
    @CsvSource({
        "SIMPLE, 30, 0.015, 1, 14.0",
        "SIMPLE, 30, 0.005, 1, 20.5",
        "BOTH_ENDS_CONTINUOUS, 30, 0.015, 1, 21.0",
        "CANTILEVER, 30, 0.015, 1, 5.6",
        "SIMPLE, 30, 0.015, 4, 11.2",
        "SIMPLE, 50, 0.015, 1, 16.0",
        "SIMPLE, 30, 0.025, 1, 12.8"
    })
    void spanToDepthByTheEquation(SpanRules.SpanEnds ends, double fck, double ratio, double flange, double expected) {
        double h =
                EN.designCode().leastDepth(new SpanRules.SpanDepth(6000, ends, 500, fck, ratio, 0, flange), Trace.OFF);
        assertEquals(expected, 6000 / (0.9 * h), 0.01 * expected);
    }

    /** Figure 8.2 of EN 1992-1-1, and 300 mm of ACI 318M-19 table 25.4.2.5. */
    @ParameterizedTest(name = "bar {0} above the soffit of {1}: EN {2}, ACI {3}")
    @CsvSource({
        "210, 250, false, false",
        "280, 330, true, false",
        "245, 290, false, false",
        "550, 600, true, true",
        "330, 700, false, true",
        "650, 700, true, true"
    })
    void poorBond(double height, double h, boolean en, boolean aci) {
        assertEquals(en, EN.designCode().detailing().poorBond(height, h));
        assertEquals(aci, ACI.designCode().detailing().poorBond(height, h));
    }

    /** 5.5(4): spans of 3 and 8 m are too unlike; ACI has no such rule. */
    @Test
    void unlikeSpansAreNotRedistributed() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 350, 650)
                .joint("A", 0, 0, 0)
                .joint("B", 3000, 0, 0)
                .joint("E", 11_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 3000, 30, 30)
                .spread("m2", 0, 8000, 30, 30);
        assertTrue(design(b, EN.withRedistribution(0.1)).findings().stream()
                .anyMatch(f ->
                        f.code().equals("redistribution.refused") && f.what().contains("5.5(4)")));
        assertFalse(design(b, ACI.withRedistribution(0.1)).findings().stream()
                .anyMatch(f -> f.code().equals("redistribution.refused")));
    }

    /** 7.2(3): a shallow beam under much sustained load creeps out of proportion; a note says so. */
    @Test
    void nonlinearCreepIsTold() {
        for (double w : new double[] {60, 8}) {
            ModelBuilder b = simple(400, 400, 6000, w);
            b.combine("U", Map.of("P", 1.35));
            b.combinations.add(
                    new Combination("S", "S", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1.0))));
            b.combinations.add(new Combination(
                    "Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", 1.0))));
            assertEquals(
                    w > 30,
                    design(b, EN).findings().stream().anyMatch(f -> f.code().equals("creep.nonlinear")),
                    w + " kN/m");
        }
    }

    /** What rounding leaves of a moment at a hinge asks for no bars: an f'c bw h² / 10 000 or less, as in the checks. */
    @Test
    void momentsOfRoundingAskForNoBars() {
        BeamLine line = BeamLines.find(simple(450, 600, 6000, 20).solve()).get(0);
        double negligible = 1e-4 * line.spans().get(0).material().fc() * 450 * 600 * 600;
        for (double part : new double[] {1e-12, 0.9, 1.1}) {
            double[] hogging = new double[line.stations().size()];
            hogging[hogging.length - 1] = part * negligible;
            List<BarRegion> top = new BarRegions(line, ACI, new Boost(line), hogging, new double[hogging.length]).top();
            assertEquals(0, top.get(0).sides().get(0).moment());
            assertEquals(
                    part > 1 ? part * negligible : 0,
                    top.get(1).sides().get(0).moment(),
                    1e-9 * negligible,
                    part + " of it");
        }
    }

    /** Bars of 14 m lap; eight T32 in a web of 450 leave no room beside a lap where a second layer bars the way. */
    @Test
    void lapsNeedRoom() {
        Analysis a = simple(450, 900, 14_000, 10).solve();
        BeamLine line = BeamLines.find(a).get(0);
        BeamContext context = BeamContext.of(a, ACI);
        List<BeamCage.Zone> zones = BeamDesigner.design(line, context).cage().zones();
        BeamCage.Group top = new BeamCage.Group(BeamCage.Face.TOP, 1, 2, T16, 58, 40, 13_960, false, false, true);
        BeamCage.Group lower = new BeamCage.Group(BeamCage.Face.BOTTOM, 1, 5, T32, 66, 40, 13_960, false, false, true);
        BeamCage.Group upper = new BeamCage.Group(BeamCage.Face.BOTTOM, 2, 3, T32, 130, 40, 13_960, false, false, true);
        assertFalse(worst(
                        BeamCheck.run(line, new BeamCage(List.of(top, lower, upper), zones, List.of()), context),
                        "lap-room-bottom")
                .satisfied());
        assertTrue(
                worst(
                                BeamCheck.run(line, new BeamCage(List.of(top, lower), zones, List.of()), context),
                                "lap-room-bottom")
                        .satisfied(),
                "one above the other");
    }
}
