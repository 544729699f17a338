package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HeldBars;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.en1992.En1992;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompressionBarsTest {
    /** Two spans of 7 m, 400 × 500, on columns 700 × 700. */
    private static Analysis beam(double w) {
        ModelBuilder b = new ModelBuilder().section("S", 400, 500).section("K", 700, 700);
        for (int i = 0; i < 3; i++) {
            b.joint("f" + i, 7000 * i, 0, 0)
                    .joint("t" + i, 7000 * i, 0, 3500)
                    .fixed("f" + i)
                    .column("c" + i, "f" + i, "t" + i);
        }
        b.members.replaceAll(m -> m.withSection("K"));
        return b.beam("m0", "t0", "t1")
                .beam("m1", "t1", "t2")
                .spread("m0", 0, 7000, w, w)
                .spread("m1", 0, 7000, w, w)
                .solve();
    }

    private static BeamDesign design(Analysis a, String code) {
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(code)));
    }

    private static boolean asked(BeamDesign d) {
        return d.checks().stream().anyMatch(c -> c.kind().id().equals("compression-spacing"));
    }

    @ParameterizedTest
    @CsvSource({"aci-318m-19, 150", "en-1992-1-1, 134"})
    void barsThatAreNeededInCompressionAreHeldAndOthersNeedNotBe(String code, double load) {
        assertTrue(!asked(design(beam(30), code)), "singly reinforced");
        BeamDesign heavy = design(beam(load), code);
        assertTrue(asked(heavy), heavy.checks().toString());
        assertTrue(
                heavy.checks().stream()
                        .filter(c -> c.kind().id().startsWith("compression"))
                        .allMatch(CheckResult::satisfied),
                heavy.findings().toString());
    }

    @Test
    void stirrupsTooFarApartOrWithTooFewLegsAreFound() {
        Analysis a = beam(150);
        BeamDesign d = design(a, "aci-318m-19");
        List<BeamCage.Zone> wide = d.cage().zones().stream()
                .map(z -> new BeamCage.Zone(z.span(), z.from(), z.to(), z.bar(), z.legs(), 600))
                .toList();
        BeamDesign bad = BeamCheck.run(
                d.line(),
                new BeamCage(d.cage().groups(), wide, d.cage().sideBars()),
                BeamContext.of(a, Basis.standard(false)));
        CheckResult c = bad.checks().stream()
                .filter(q -> q.kind().id().equals("compression-spacing"))
                .findFirst()
                .orElseThrow();
        assertEquals("9.7.6.4", c.clause().text());
        double thinnest = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.BOTTOM)
                .mapToDouble(g -> g.bar().diameter())
                .min()
                .orElseThrow();
        assertEquals(Math.min(16 * thinnest, 400), c.capacity(), 1e-9);
        assertTrue(!c.satisfied());
    }

    /** ACI: 16 db, 48 ds, least side; EN: 15 φ. */
    @Test
    void spacings() {
        Bar t20 = BarCatalogue.METRIC.find("T20");
        Bar t10 = BarCatalogue.METRIC.find("T10");
        assertEquals(320, Aci318.SI.compressionTieSpacing(t20, t10, 400));
        assertEquals(250, Aci318.SI.compressionTieSpacing(t20, t10, 250));
        assertEquals(480, Aci318.SI.compressionTieSpacing(BarCatalogue.METRIC.find("T32"), t10, 700));
        assertEquals(300, En1992.of(Map.of()).compressionTieSpacing(t20, t10, 250));
    }

    /** Five bars side by side 33 mm apart: three legs; where they are more than 150 mm apart every one is held. */
    @Test
    void legsHoldEveryOtherBar() {
        BeamLine.Span s = BeamLines.find(beam(30)).get(0).spans().get(0);
        Bar t20 = BarCatalogue.METRIC.find("T20");
        Bar t10 = BarCatalogue.METRIC.find("T10");
        Basis b = Basis.standard(false);
        for (int[] pair : new int[][] {{2, 2}, {3, 2}, {4, 3}, {5, 3}, {6, 4}}) {
            BeamCage.Group g =
                    new BeamCage.Group(BeamCage.Face.BOTTOM, 1, pair[0], t20, 60, 0, 14_000, true, true, true);
            int legs = HeldBars.legs(s, List.of(g), BeamCage.Face.BOTTOM, 3000, t10, b);
            assertEquals(pair[0] == 3 ? 2 : pair[1], legs, pair[0] + " bars");
        }
    }
}
