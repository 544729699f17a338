package kolonne.core.beam.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.check.CheckResult;
import kolonne.core.finding.Cause;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Storey;
import org.junit.jupiter.api.Test;

/** Which members form a line, what supports it, and what the designer makes of simple lines. */
class BeamLinesTest {
    /** Three supports, two spans of 6 m and a cantilever of 2 m. */
    private static ModelBuilder threeSpans(double w) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 3000)
                .joint("B", 6000, 0, 3000)
                .joint("C", 12_000, 0, 3000)
                .joint("D", 14_000, 0, 3000);
        for (String j : List.of("A", "B", "C")) {
            b.joint(
                            j + "0",
                            b.joints.stream()
                                    .filter(q -> q.id().equals(j))
                                    .findFirst()
                                    .orElseThrow()
                                    .x(),
                            0,
                            0)
                    .column("c" + j, j + "0", j)
                    .fixed(j + "0");
        }
        b.storeys.add(new Storey("L1", "L1", 3000));
        return b.beam("m1", "A", "B")
                .beam("m2", "B", "C")
                .beam("m3", "C", "D")
                .spread("m1", 0, 6000, w, w)
                .spread("m2", 0, 6000, w, w)
                .spread("m3", 0, 2000, w, w);
    }

    private static BeamDesign design(ModelBuilder b, Basis basis) {
        Analysis a = b.solve();
        BeamLine line = BeamLines.find(a).stream()
                .filter(l ->
                        l.spans().stream().flatMap(s -> s.members().stream()).anyMatch(m -> m.id().equals("m1")))
                .findFirst()
                .orElseThrow();
        return BeamDesigner.design(line, BeamContext.of(a, basis));
    }

    @Test
    void spansRunOnThroughColumnsAndEndFree() {
        List<BeamLine> lines = BeamLines.find(threeSpans(20).solve());
        assertEquals(1, lines.size());
        assertEquals("L1-B01", lines.get(0).mark());
        assertEquals(3, lines.get(0).spans().size());
        assertEquals(BeamLine.SupportKind.FREE, lines.get(0).supports().get(3).kind());
        assertTrue(lines.get(0).cantilever(2));
    }

    @Test
    void aReleaseEndsALineAndASecondaryBeamIsNoSupport() {
        ModelBuilder b = threeSpans(20)
                .joint("M", 3000, 0, 3000)
                .joint("N", 3000, 5000, 3000)
                .joint("N0", 3000, 5000, 0)
                .column("cN", "N0", "N")
                .fixed("N0");
        b.members.removeIf(m -> m.id().equals("m1"));
        b.memberLoads.removeIf(l -> l.member().equals("m1"));
        b.beam("m1", "A", "M")
                .beam("m1b", "M", "B")
                .beam("s", "M", "N", Release.PIN, Release.PIN, 0, 0)
                .spread("s", 0, 5000, 30, 30);
        List<BeamLine> lines = BeamLines.find(b.solve());
        assertEquals(2, lines.size());
        BeamLine girder =
                lines.stream().filter(l -> l.spans().size() == 3).findFirst().orElseThrow();
        assertEquals(2, girder.spans().get(0).members().size());
        BeamLine secondary = lines.stream().filter(l -> l != girder).findFirst().orElseThrow();
        assertEquals(
                List.of(BeamLine.SupportKind.BEAM, BeamLine.SupportKind.COLUMN),
                secondary.supports().stream().map(BeamLine.Support::kind).toList());
    }

    @Test
    void aModestLineIsSatisfiedAndAHeavyOneSaysWhichLimitItPasses() {
        BeamDesign modest = design(threeSpans(40), Basis.standard(false));
        assertTrue(modest.satisfied(), modest.findings().toString());
        BeamDesign heavy = design(threeSpans(400), Basis.standard(false));
        List<Cause> causes = heavy.checks().stream()
                .filter(c -> !c.satisfied())
                .map(CheckResult::cause)
                .toList();
        assertTrue(causes.contains(Cause.SHEAR_LIMIT) && causes.contains(Cause.FLEXURE_COMPRESSION), causes.toString());
        assertTrue(heavy.overstressed());
    }

    @Test
    void utilisationIsProportionalToTheLoadForAGivenCage() {
        BeamDesign d = design(threeSpans(40), Basis.standard(false));
        Analysis half = threeSpans(20).solve();
        BeamLine line = BeamLines.find(half).get(0);
        BeamDesign h = BeamCheck.run(line, d.cage(), BeamContext.of(half, Basis.standard(false)));
        for (String kind : List.of("flexure-top", "flexure-bottom", "shear")) {
            double full = d.checks().stream()
                    .filter(c -> c.kind().id().equals(kind))
                    .findFirst()
                    .orElseThrow()
                    .utilisation();
            double part = h.checks().stream()
                    .filter(c -> c.kind().id().equals(kind))
                    .findFirst()
                    .orElseThrow()
                    .utilisation();
            assertEquals(full / 2, part, 1e-6, kind);
        }
    }

    @Test
    void topBarsOverACantileverReachItsTip() {
        BeamDesign d = design(threeSpans(40), Basis.standard(false));
        double tip = d.line().length();
        assertTrue(d.cage().groups().stream().anyMatch(g -> g.face() == BeamCage.Face.TOP && g.to() > tip - 100));
        assertTrue(
                d.cage().groups().stream().filter(BeamCage.Group::through).count() == 2, "through bars in both faces");
    }

    @Test
    void theBasisChangesTheResultVisibly() {
        Basis s = Basis.standard(false);
        Basis oneZone = Varied.zonesAndLegs(Varied.stirrupBars(Varied.beamBars(s, "T25"), List.of("T12")), 1, 6);
        BeamDesign d = design(threeSpans(60), oneZone);
        assertEquals(3, d.cage().zones().size(), "one zone a span");
        assertTrue(d.cage().zones().stream().allMatch(z -> z.bar().label().equals("T12") && z.spacing() % 25 == 0));
        assertTrue(d.cage().groups().stream().allMatch(g -> g.bar().label().equals("T25")));
    }

    /** A tip that nothing meets is free, however the rounding of its shear falls. */
    @Test
    void anEndThatNothingMeetsIsFree() {
        for (double at : new double[] {300, 700, 1100}) {
            ModelBuilder b = new ModelBuilder()
                    .section("S", 300, 600)
                    .joint("A", 0, 0, 0)
                    .joint("B", 0, 0, 4000)
                    .joint("C1", 1623.7, 333.1, 4000)
                    .column("c", "A", "B")
                    .beam("m", "B", "C1")
                    .fixed("A");
            b.couple("m", at, 3e7);
            b.memberLoads.add(new kolonne.core.model.MemberLoad(
                    "P",
                    "m",
                    kolonne.core.model.MemberLoad.Kind.MOMENT,
                    kolonne.core.model.Direction.GLOBAL_X,
                    at,
                    at,
                    3e7,
                    0));
            BeamLine line = BeamLines.find(b.solve()).get(0);
            assertEquals(BeamLine.SupportKind.FREE, line.supports().get(1).kind());
        }
    }

    @Test
    void gravityLoadsOfLateralKindDoNotDecideSupports() {
        ModelBuilder b = threeSpans(20);
        b.cases.add(new LoadCase("W", "wind", CaseKind.WIND, 0));
        assertEquals(3, BeamLines.find(b.solve()).get(0).spans().size());
    }

    /** A fixed end without a column: the bars count, and a note says that their room is not checked. */
    @Test
    void aSupportOfTheModelWithoutAColumnHoldsTheLineAndIsNamed() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 7000, 0, 0)
                .beam("m1", "A", "B")
                .fixed("A")
                .fixed("B")
                .spread("m1", 0, 7000, 40, 40);
        BeamDesign d = design(b, Basis.standard(false));
        assertTrue(d.satisfied(), d.findings().toString());
        assertEquals(
                List.of("line.end-support"),
                d.findings().stream().map(f -> f.code()).toList());
        assertEquals(40 * 7000.0 * 7000 / 12, -d.profile().get(0).mNeg(), 1);
    }

    @Test
    void aRoundBeamIsOutOfScopeNeverAQuietPass() {
        ModelBuilder b = threeSpans(5);
        b.sections.set(0, new kolonne.core.model.Section("S", new kolonne.core.shape.Shape.Circle(500)));
        assertTrue(design(b, Basis.standard(false)).findings().stream()
                .anyMatch(f -> f.code().equals("out-of-scope") && f.what().startsWith("Round beam")));
    }
}
