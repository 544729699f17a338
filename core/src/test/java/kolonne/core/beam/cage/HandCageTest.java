package kolonne.core.beam.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.check.SteelNeeds;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.beam.line.IdenticalLines;
import kolonne.core.beam.line.TypedDemand;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Severity;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** Cages set by hand: kept, checked like any other, released; typed demands; identical lines. */
class HandCageTest {
    private static final Basis BASIS = Basis.standard(false);
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final Bar T25 = BarCatalogue.METRIC.find("T25");
    /** Two spans of 8 m, 350 x 650, 70 kN/m in strength. */
    private static final Analysis TWO = new ModelBuilder()
            .section("S", 350, 650)
            .joint("A", 0, 0, 0)
            .joint("B", 8000, 0, 0)
            .joint("E", 16_000, 0, 0)
            .beam("m1", "A", "B")
            .beam("m2", "B", "E")
            .pinned("A")
            .pinned("B")
            .pinned("E")
            .spread("m1", 0, 8000, 70, 70)
            .spread("m2", 0, 8000, 70, 70)
            .solve();

    private static final BeamLine LINE = BeamLines.find(TWO).get(0);
    private static final BeamContext CONTEXT = BeamContext.of(TWO, BASIS);

    private static BeamDesign with(HandCage h) {
        return BeamDesigner.design(LINE, CONTEXT.with(Map.of(LINE.id(), h)));
    }

    private static HandCage face(BeamCage.Face f, HandCage.Bars... bars) {
        return new HandCage(Map.of(f, List.of(bars)), Map.of(), Map.of(), List.of());
    }

    private static HandCage.Bars run(int count, Bar bar, double from, double to) {
        return new HandCage.Bars(1, count, bar, from, to, true, true);
    }

    private static CheckResult check(BeamDesign d, String kind) {
        return d.checks().stream()
                .filter(c -> c.kind().id().equals(kind))
                .findFirst()
                .orElseThrow(() -> new AssertionError(kind));
    }

    @Test
    void aHandSetFaceStaysWhateverTheBasisPrefersAndTheRestIsStillChosen() {
        HandCage h = face(BeamCage.Face.TOP, run(4, T25, -1e6, 1e6));
        for (Preference p : Preference.values()) {
            BeamDesign d = BeamDesigner.design(LINE, CONTEXT.with(BASIS.with(p)).with(Map.of(LINE.id(), h)));
            List<BeamCage.Group> top = d.cage().groups().stream()
                    .filter(g -> g.face() == BeamCage.Face.TOP)
                    .toList();
            assertEquals(1, top.size());
            assertTrue(top.get(0).through()
                    && top.get(0).count() == 4
                    && top.get(0).bar().equals(T25));
            assertTrue(d.cage().groups().stream().anyMatch(g -> g.face() == BeamCage.Face.BOTTOM));
            assertEquals(h, d.hand());
        }
    }

    @Test
    void tooFewBarsFailAndMoreCureIt() {
        BeamDesign poor = with(face(BeamCage.Face.BOTTOM, run(2, T20, -1e6, 1e6)));
        assertEquals(Cause.FLEXURE, check(poor, "flexure-bottom").cause());
        assertFalse(check(poor, "flexure-bottom").satisfied());
        BeamDesign rich = with(face(BeamCage.Face.BOTTOM, run(4, T25, -1e6, 1e6)));
        assertTrue(check(rich, "flexure-bottom").utilisation()
                < check(poor, "flexure-bottom").utilisation());
        assertTrue(check(rich, "flexure-bottom").satisfied());
    }

    @Test
    void aFaceWithoutBarsOrWithASingleBarFails() {
        BeamDesign none = with(face(BeamCage.Face.TOP));
        assertFalse(none.satisfied());
        assertFalse(check(none, "corner-bars-top").satisfied());
        assertFalse(check(with(face(BeamCage.Face.BOTTOM, run(1, T25, -1e6, 1e6))), "corner-bars-bottom")
                .satisfied());
    }

    @Test
    void stirrupsByHandCoverTheSpanAndAreChecked() {
        HandCage h = new HandCage(
                Map.of(),
                Map.of(0, List.of(new HandCage.Stirrups(-500, T10, 2, 150), new HandCage.Stirrups(4000, T10, 2, 600))),
                Map.of(),
                List.of());
        BeamDesign d = with(h);
        List<BeamCage.Zone> zones =
                d.cage().zones().stream().filter(z -> z.span() == 0).toList();
        assertEquals(LINE.spans().get(0).faceFrom(), zones.get(0).from());
        assertEquals(4000, zones.get(0).to());
        assertEquals(LINE.spans().get(0).faceTo(), zones.get(1).to());
        assertFalse(check(d, "stirrup-spacing").satisfied());
        assertEquals(600, check(d, "stirrup-spacing").demand());
        assertTrue(d.cage().zones().stream().anyMatch(z -> z.span() == 1), "the other span is still Kolonne's");
    }

    @Test
    void sideBarsAreTakenAwayOnlyToFail() {
        Analysis a = new ModelBuilder()
                .section("S", 400, 1200)
                .joint("A", 0, 0, 0)
                .joint("B", 9000, 0, 0)
                .beam("m1", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m1", 0, 9000, 60, 60)
                .solve();
        BeamLine line = BeamLines.find(a).get(0);
        BeamContext context = BeamContext.of(a, BASIS);
        assertTrue(check(BeamDesigner.design(line, context), "side-bars").satisfied());
        HandCage none = new HandCage(Map.of(), Map.of(), Map.of(0, new HandCage.Sides(T10, 0)), List.of());
        BeamDesign d = BeamDesigner.design(line, context.with(Map.of(line.id(), none)));
        assertTrue(d.cage().sideBars().isEmpty());
        assertFalse(check(d, "side-bars").satisfied());
    }

    @Test
    void barsEndingWhereTheOthersAreNotEnoughFail() {
        // 9.7.3.3: four T25 of which two stop in the middle of the span, where all four are needed
        BeamDesign d = with(face(BeamCage.Face.BOTTOM, run(2, T25, -1e6, 1e6), run(2, T25, 1000, 3000)));
        assertFalse(d.satisfied());
        assertFalse(
                check(d, "flexure-bottom").satisfied() && check(d, "cut-off").satisfied());
        assertEquals("9.7.3.3", check(d, "cut-off").clause().text());
    }

    @Test
    void barsEndInTensionOnlyWhereTheShearAllows() {
        // ACI 318-19 9.7.3.5 worked by hand: (a) 90 / (2/3 × 120) = 1.125; (b) max(2 × 100 / 250, 90 / (3/4 × 120)) =
        // max(0.8, 1.0)
        assertEquals(1.0, BASIS.designCode().detailing().cutOffUse(90, 120, 100, 250, 25), 1e-12);
        assertEquals(0.75, BASIS.designCode().detailing().cutOffUse(60, 120, 100, 110, 25), 1e-12);
        assertEquals(
                1.125,
                BASIS.designCode().detailing().cutOffUse(90, 120, 100, 250, 43),
                1e-12,
                "No. 43 may not use (b)");
        for (BeamDesign b : List.of(BeamDesigner.design(LINE, CONTEXT))) {
            assertTrue(b.checks().stream()
                    .filter(c -> c.kind().id().equals("cut-off-tension"))
                    .allMatch(CheckResult::satisfied));
        }
    }

    @Test
    void bottomBarsMustReachTheSupports() {
        // a third at a simple support (9.7.3.8.1): of 6 bars one runs in
        BeamDesign d = with(face(BeamCage.Face.BOTTOM, run(1, T25, -1e6, 1e6), run(5, T25, 300, 15_700)));
        CheckResult c = check(d, "bottom-into-support");
        assertEquals(6.0 / 3 / 1, c.utilisation(), 1e-9);
        assertEquals(Cause.ANCHORAGE, c.cause());
    }

    @Test
    void aTypedDemandReplacesThatOfTheAnalysisWhereItIsTyped() {
        double inf = Double.POSITIVE_INFINITY;
        TypedDemand t = new TypedDemand(2000, 5000, 500e6, inf, inf, inf);
        BeamDesign d = with(new HandCage(Map.of(), Map.of(), Map.of(), List.of(t)));
        BeamDesign plain = BeamDesigner.design(LINE, CONTEXT);
        for (int i = 0; i < d.profile().size(); i++) {
            BeamDesign.Point p = d.profile().get(i);
            boolean inside = p.x() >= 2000 && p.x() <= 5000;
            assertEquals(inside ? 500e6 : plain.profile().get(i).mPos(), p.mPos(), 1);
            BeamDesign.Point q = plain.profile().get(i);
            assertEquals(
                    Math.max(Math.abs(q.vMax()), Math.abs(q.vMin())),
                    Math.max(Math.abs(p.vMax()), Math.abs(p.vMin())),
                    1e-6,
                    "shear is still the analysis's");
        }
        assertEquals(
                "typed by hand, sagging",
                CONTEXT.with(Map.of(LINE.id(), d.hand()))
                        .combinationName(CONTEXT.strength().count()));
        assertTrue(d.findings().stream()
                .anyMatch(f -> f.code().equals("hand-set.demand") && f.severity() == Severity.NOTE));
        assertNotEquals(plain.cage().groups(), d.cage().groups(), "bars are chosen for the typed moment");
    }

    @Test
    void aTypedShearActsWithEitherSign() {
        double inf = Double.POSITIVE_INFINITY;
        BeamDesign d = with(
                new HandCage(Map.of(), Map.of(), Map.of(), List.of(new TypedDemand(0, 8000, inf, inf, 123e3, inf))));
        BeamDesign.Point p = d.profile().stream()
                .filter(q -> q.x() > 3000 && q.x() < 5000)
                .findFirst()
                .orElseThrow();
        assertEquals(123e3, p.vMax());
        assertEquals(-123e3, p.vMin());
        assertTrue(p.mPos() > 0, "moments are still the analysis's");
    }

    @Test
    void hooksStandOnlyAtTheEndsAndBarsStayWithinTheLine() {
        BeamDesign d = with(face(BeamCage.Face.TOP, run(3, T20, 2000, 6000), run(2, T20, -1e6, 1e6)));
        BeamCage.Group inside = d.cage().groups().get(0);
        assertFalse(inside.hookFrom() || inside.hookTo() || inside.through());
        assertTrue(d.cage().groups().get(1).through());
        assertTrue(d.findings().stream().anyMatch(f -> f.code().equals("hand-set.outside")));
    }

    @Test
    void barsThatCrowdBetweenTheSupportsAndTheMiddleAreFoundOut() {
        // both short runs lie between the support and the middle of the span and meet over a metre only
        BeamDesign d = with(
                face(BeamCage.Face.BOTTOM, run(3, T25, -1e6, 1e6), run(3, T25, 1000, 2500), run(3, T25, 1500, 3000)));
        assertFalse(check(d, "clear-spacing-bottom").satisfied());
        assertTrue(check(with(face(BeamCage.Face.BOTTOM, run(3, T25, -1e6, 1e6))), "clear-spacing-bottom")
                .satisfied());
    }

    @Test
    void everyBarOfALayerIsShownInTheSection() {
        BeamDesign d =
                with(face(BeamCage.Face.TOP, run(3, T20, -1e6, 1e6), run(2, T25, -1e6, 1e6), run(2, T20, 1000, 7000)));
        SectionCut cut = SectionCut.at(LINE, d.cage(), BASIS, LINE.spans().get(0), 4000);
        List<SectionCut.Spot> top =
                cut.bars().stream().filter(q -> q.face() == BeamCage.Face.TOP).toList();
        assertEquals(7, top.size());
        assertEquals(7, top.stream().mapToDouble(SectionCut.Spot::y).distinct().count());
        assertEquals("5T20 + 2T25", cut.words(BeamCage.Face.TOP));
    }

    @Test
    void steelThatIsNeededAgreesWithTheClosedForm() {
        BeamDesign d = BeamDesigner.design(LINE, CONTEXT);
        SteelNeeds.Bars span = SteelNeeds.bars(d, CONTEXT).stream()
                .filter(n -> n.face() == BeamCage.Face.BOTTOM && n.number() == 0)
                .findFirst()
                .orElseThrow();
        BeamDesign.Point p =
                d.profile().stream().filter(q -> q.x() == span.x()).findFirst().orElseThrow();
        double eff = new BarsAt(LINE, d.cage(), BASIS)
                .effectiveDepth(span.x(), LINE.spans().get(0), BeamCage.Face.BOTTOM);
        double fc = LINE.spans().get(0).material().fc();
        // Mu = 0.9 As fy (d - As fy / (2 × 0.85 f'c b)), solved for As (22.2.2.4)
        double k = 0.85 * fc * 350;
        double as = k / 420 * (eff - Math.sqrt(eff * eff - 2 * p.mPos() / (0.9 * k)));
        // the bars on top are in compression beside the block, and take a little of it
        assertTrue(span.required() < as && span.required() > 0.95 * as, span.required() + " of " + as);
        assertTrue(span.provided() >= span.required());
        for (SteelNeeds.Stirrups z : SteelNeeds.stirrups(d, CONTEXT)) {
            assertTrue(z.provided() >= z.required() * (1 - 1e-9), z.toString());
        }
    }

    /** What is called required must not contradict the verdict, whatever lies in the section. */
    @Test
    void aFacePassesExactlyWhereItHasWhatIsRequired() {
        int passed = 0;
        int failed = 0;
        for (Bar main : List.of(T20, T25)) {
            for (int n = 2; n <= 9; n++) {
                for (int above = 2; above <= 6; above += 2) {
                    BeamDesign d = with(new HandCage(
                            Map.of(
                                    BeamCage.Face.BOTTOM, List.of(run(n, main, -1e6, 1e6)),
                                    BeamCage.Face.TOP, List.of(run(above, T25, -1e6, 1e6))),
                            Map.of(),
                            Map.of(),
                            List.of()));
                    SteelNeeds.Bars need = SteelNeeds.bars(d, CONTEXT).stream()
                            .filter(q -> q.face() == BeamCage.Face.BOTTOM)
                            .findFirst()
                            .orElseThrow();
                    boolean holds = check(d, "flexure-bottom").satisfied();
                    assertEquals(holds, need.provided() >= need.required() * (1 - 1e-6), n + main.label());
                    passed += holds ? 1 : 0;
                    failed += holds ? 0 : 1;
                }
            }
        }
        assertTrue(passed > 5 && failed > 5, passed + " passed, " + failed + " failed");
    }

    @Test
    void onlyLinesOfTheSameGeometryAreIdentical() {
        ModelBuilder m = new ModelBuilder().section("S", 350, 650).section("N", 300, 650);
        List<String> sections = List.of("S", "S", "N");
        for (int i = 0; i < 3; i++) {
            m.joint("A" + i, 0, 5000 * i, 0)
                    .joint("B" + i, i == 1 ? 8000.4 : 8000, 5000 * i, 0)
                    .pinned("A" + i)
                    .pinned("B" + i);
            m.beam("m" + i, "A" + i, "B" + i, sections.get(i)).spread("m" + i, 0, 8000, 20, 20);
        }
        List<BeamLine> lines = new ArrayList<>(BeamLines.find(m.solve()));
        BeamLine first =
                lines.stream().filter(l -> l.id().equals("m0")).findFirst().orElseThrow();
        assertEquals(
                List.of("m1"),
                IdenticalLines.of(first, lines).stream().map(BeamLine::id).toList());
    }
}
