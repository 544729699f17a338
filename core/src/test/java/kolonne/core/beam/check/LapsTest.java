package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.en1992.En1992;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.BeamBars;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LapsTest {
    /** Spans of 7 m on columns 600 × 600. */
    private static Analysis line(int spans) {
        ModelBuilder b = new ModelBuilder();
        b.section("S", 350, 650).section("K", 600, 600);
        for (int i = 0; i <= spans; i++) {
            b.joint("f" + i, 7000 * i, 0, 0)
                    .joint("t" + i, 7000 * i, 0, 3500)
                    .fixed("f" + i)
                    .column("c" + i, "f" + i, "t" + i);
        }
        b.members.replaceAll(m -> m.withSection("K"));
        for (int i = 0; i < spans; i++) {
            b.beam("m" + i, "t" + i, "t" + (i + 1)).spread("m" + i, 0, 7000, 30, 30);
        }
        return b.solve();
    }

    private static Basis basis(double stock, Ductility kind) {
        Basis s = Basis.standard(false);
        return Varied.ductile(Varied.stock(s, stock), kind);
    }

    private static BeamDesign design(Analysis a, Basis b) {
        return BeamDesigner.design(BeamLines.find(a, b).get(0), BeamContext.of(a, b));
    }

    @ParameterizedTest(name = "stock {0} mm")
    @ValueSource(doubles = {6000, 9000, 12_000, 18_000, 30_000})
    void noPieceIsLongerThanTheStockAndEveryLapIsWhole(double stock) {
        Basis b = basis(stock, Ductility.NONE);
        BeamDesign d = design(line(5), b);
        for (BarItem item : BeamBars.of(d.line(), d.cage(), b)) {
            assertTrue(item.cutLength() <= stock, item.toString());
            boolean main = List.of("00", "11", "21").contains(item.shape());
            assertEquals(0, main ? item.cutLength() % 50 : 0, "cut on the module: " + item);
        }
        for (BeamCage.Group g : d.cage().groups()) {
            double last = g.from();
            for (Laps.Lap l : Laps.of(d.line(), g, b)) {
                double least = Laps.length(d.line(), g.bar(), g.pairs(), g.face() == BeamCage.Face.TOP, b);
                double longer = l.to() - l.from() - least;
                // longer by less than a module for the piece that ends in it, and for the last piece that begins in it
                assertTrue(longer > -1e-6 && longer < 100, longer + " longer than " + least);
                assertTrue(l.from() > last && l.to() < g.to());
                last = l.from();
            }
            assertEquals(g.to() - g.from() > stock, !Laps.of(d.line(), g, b).isEmpty() && g.to() - g.from() > stock);
        }
    }

    @Test
    void topBarsLapInTheMiddleOfSpansAndBottomBarsOverSupports() {
        Basis b = basis(12_000, Ductility.NONE);
        BeamDesign d = design(line(5), b);
        for (BeamCage.Group g :
                d.cage().groups().stream().filter(BeamCage.Group::through).toList()) {
            for (Laps.Lap l : Laps.of(d.line(), g, b)) {
                double middle = (l.from() + l.to()) / 2;
                double off = g.face() == BeamCage.Face.TOP ? 3500 : 0;
                assertEquals(
                        0, (middle - off) - 7000 * Math.rint((middle - off) / 7000), 50, g.face() + " at " + middle);
            }
        }
    }

    @Test
    void lapsOfASpecialFrameKeepAwayFromColumnsAndHaveCloseHoops() {
        Basis b = basis(12_000, Ductility.SPECIAL);
        BeamDesign d = design(line(4), b);
        assertTrue(d.checks().stream().anyMatch(c -> c.kind().id().equals("lap-place")));
        List<Laps.Lap> laps = d.cage().groups().stream()
                .flatMap(g -> Laps.of(d.line(), g, b).stream())
                .toList();
        assertFalse(laps.isEmpty());
        for (Laps.Lap l : laps) {
            for (BeamCage.Zone z : d.cage().zones()) {
                assertTrue(z.to() <= l.from() + 1e-6 || z.from() >= l.to() - 1e-6 || z.spacing() <= 100, z + " " + l);
            }
        }
    }

    /** ACI 318-19 table 25.5.2.1: class B 1.3 ld; EN 1992-1-1 (8.10): α6 = 1.5 where all bars are lapped at one place. */
    @Test
    void lengths() {
        Bar t20 = BarCatalogue.METRIC.find("T20");
        assertEquals(
                1.3 * Aci318.SI.detailing().developmentLength(t20, 30, 420, false, 20, 40, true),
                Aci318.SI.detailing().lapLength(t20, 30, 420, false, 20, 40),
                1e-9);
        En1992 en = En1992.of(java.util.Map.of());
        assertEquals(
                1.5 * en.detailing().developmentLength(t20, 30, 500, true, 20, 40, true),
                en.detailing().lapLength(t20, 30, 500, true, 20, 40),
                1e-9);
        // fbd = 2.25 · 1.35 = 3.04 MPa for C30: lb = 20/4 · 434.8 / 3.04 = 715 mm, lap 1073 mm
        assertEquals(1073, en.detailing().lapLength(t20, 30, 500, false, 20, 40), 2);
    }
}
