package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.en1992.En1992;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PairsTest {
    private static final Bar T25 = BarCatalogue.METRIC.find("T25");
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");

    /** A narrow beam of two spans whose bars do not fit one by one in one layer. */
    private static Analysis narrow(double w) {
        ModelBuilder b = new ModelBuilder().section("S", 300, 900).section("K", 900, 900);
        b.fc = 45;
        for (int i = 0; i < 3; i++) {
            b.joint("f" + i, 11_000 * i, 0, 0)
                    .joint("t" + i, 11_000 * i, 0, 3500)
                    .fixed("f" + i)
                    .column("c" + i, "f" + i, "t" + i);
        }
        b.members.replaceAll(m -> m.withSection("K"));
        return b.beam("m0", "t0", "t1")
                .beam("m1", "t1", "t2")
                .spread("m0", 0, 11_000, w, w)
                .spread("m1", 0, 11_000, w, w)
                .solve();
    }

    private static Basis oneLayer(String code, boolean pairs) {
        Basis s = Basis.standard(code);
        return Varied.bundles(Varied.layers(s, 1), pairs);
    }

    private static BeamDesign design(Analysis a, String code, boolean pairs) {
        Basis b = oneLayer(code, pairs);
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, b));
    }

    @ParameterizedTest
    @CsvSource({"aci-318m-19, 110", "en-1992-1-1, 120"})
    void pairsServeWhereSingleBarsDoNotFit(String code, double load) {
        Analysis a = narrow(load);
        BeamDesign single = design(a, code, false);
        BeamDesign paired = design(a, code, true);
        assertTrue(
                single.checks().stream().anyMatch(c -> c.kind().id().startsWith("flexure") && !c.satisfied()),
                single.checks().toString());
        assertTrue(paired.cage().groups().stream().anyMatch(BeamCage.Group::pairs));
        assertTrue(
                paired.checks().stream()
                        .filter(c -> c.kind().id().startsWith("flexure")
                                || c.kind().id().startsWith("clear-spacing")
                                || c.kind().id().startsWith("pair"))
                        .allMatch(c -> c.satisfied()),
                paired.findings().toString());
    }

    @Test
    void barsThatFitSinglyAreNotPaired() {
        Analysis a = narrow(40);
        assertEquals(
                design(a, "aci-318m-19", false).cage(),
                design(a, "aci-318m-19", true).cage());
    }

    /** By hand: 300 − 2 (40 + 10) = 200 mm; four side by side: (200 − 100) / 3 = 33 mm, enough for single bars (25) and not for pairs (√2 · 25 = 35); three: 62 mm. */
    @Test
    void distancesOfPairsGoByABarAsLargeAsBoth() {
        Basis b = Basis.standard(false);
        List<BarFit.Layer> pairs = BarFit.place(new BarFit.Wanted(300, T10, 2, T25, 4, T25, true), b);
        assertEquals(List.of(2, 2, 2), pairs.stream().map(BarFit.Layer::count).toList());
        assertEquals(2, pairs.get(2).number());
        assertEquals(50 + 25, pairs.get(1).offset(), 1e-9, "where the two touch");
        assertEquals(50 + 50 + Math.sqrt(2) * 25 + 25, pairs.get(2).offset(), 1e-9);
        assertEquals(
                List.of(2, 2, 2),
                BarFit.place(new BarFit.Wanted(300, T10, 2, T25, 4, T25, false), b).stream()
                        .map(BarFit.Layer::count)
                        .toList());
        assertEquals(
                1,
                BarFit.place(new BarFit.Wanted(300, T10, 2, T25, 2, T25, false), b)
                        .get(1)
                        .number());
        assertEquals(null, BarFit.place(new BarFit.Wanted(300, T10, 2, T25, 7, T25, false), b));
        assertEquals(
                List.of(2, 2, 5),
                BarFit.place(new BarFit.Wanted(300, T10, 2, T25, 7, T25, true), b).stream()
                        .map(BarFit.Layer::count)
                        .toList());
    }

    @Test
    void theTwoBarsOfAPairEndApartInASpanByAci() {
        BeamDesign d = design(narrow(110), "aci-318m-19", true);
        List<BeamCage.Group> pairs =
                d.cage().groups().stream().filter(BeamCage.Group::pairs).toList();
        BeamCage.Group ends = pairs.stream()
                .filter(g -> PairCheck.inSpan(d.line(), g.to()))
                .findFirst()
                .orElseThrow();
        assertTrue(pairs.stream()
                .anyMatch(o -> PairCheck.partners(o, ends)
                        && Math.abs(o.to() - ends.to()) >= 40 * ends.bar().diameter() - 1e-6));
        // both made to end at one place by hand: told
        List<BeamCage.Group> together = d.cage().groups().stream()
                .map(g -> PairCheck.partners(g, ends) ? g.between(g.count(), g.from(), ends.to()) : g)
                .toList();
        BeamDesign bad = BeamCheck.run(
                d.line(),
                new BeamCage(together, d.cage().zones(), d.cage().sideBars()),
                BeamContext.of(narrow(110), Basis.standard(false)));
        assertTrue(
                bad.findings().stream().anyMatch(f -> f.clause().equals("25.6.1")),
                bad.findings().toString());
    }

    @Test
    void pairsTouchInTheSectionAndSinglesDoNot() {
        BeamDesign d = design(narrow(110), "aci-318m-19", true);
        BeamLine.Span s = d.line().spans().get(0);
        BeamCage.Group g = d.cage().groups().stream()
                .filter(q -> q.pairs() && q.from() < s.faceTo() && q.to() > s.faceTo())
                .findFirst()
                .orElseThrow();
        SectionCut cut = SectionCut.at(d.line(), d.cage(), Basis.standard(false), s, s.faceTo());
        List<SectionCut.Spot> bars = cut.bars().stream()
                .filter(b -> b.face() == g.face() && b.layer() == g.layer())
                .toList();
        int touching = 0;
        for (int i = 0; i < bars.size(); i++) {
            for (int k = 0; k < i; k++) {
                double apart = Math.hypot(
                        bars.get(i).y() - bars.get(k).y(),
                        bars.get(i).z() - bars.get(k).z());
                touching += Math.abs(apart - g.bar().diameter()) < 1e-6 ? 1 : 0;
                assertTrue(
                        apart >= Math.min(bars.get(i).bar().diameter(), g.bar().diameter()) - 1e-6);
            }
        }
        assertTrue(touching > 0, bars.toString());
    }

    @Test
    void anchorageOfPairs() {
        En1992 en = En1992.of(Map.of());
        Basis s = Basis.standard("en-1992-1-1");
        assertEquals(
                Math.sqrt(2) * en.detailing().developmentLength(T25, 30, 500, false, 25, s.beamCover(), true),
                BarsAt.development(T25, true, 30, false, s),
                1e-9);
        // ACI: not longer in itself, but 40 mm of cover are less than one bar as large as two T32 (45 mm): table
        // 25.4.2.3 "other cases"
        Basis aci = Basis.standard(false);
        Bar t32 = BarCatalogue.METRIC.find("T32");
        assertEquals(
                BarsAt.development(T25, false, 30, false, aci), BarsAt.development(T25, true, 30, false, aci), 1e-9);
        assertEquals(
                1.7 / 1.1 * BarsAt.development(t32, false, 30, false, aci),
                BarsAt.development(t32, true, 30, false, aci),
                1e-6);
        assertFalse(T25.diameter() > Aci318.SI.detailing().largestInPair());
    }
}
