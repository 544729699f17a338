package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.code.BarCatalogue;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A design as a whole: counts, causes, what concerns the frame, and a change of a few lines against designing all again. */
class BuildingDesignTest {
    private static final Basis BASIS = Basis.standard("aci-318m-19");
    private static Analysis analysis;
    private static BuildingDesign demo;

    @BeforeAll
    static void design() {
        analysis = DesignedDemo.analysis();
        demo = DesignedDemo.by(BASIS);
    }

    /** Every line and stack is satisfied, overstressed or failing: there is no third way to be unsatisfied. */
    @Test
    void theCountsAddUp() {
        BuildingDesign.State s = demo.state();
        assertEquals(demo.beams().size() + demo.columns().size(), s.members());
        assertEquals(s.members(), s.satisfied() + s.overstressed() + s.failing());
        long satisfied = demo.beams().stream().filter(BeamDesign::satisfied).count()
                + demo.columns().stream().filter(c -> c.satisfied()).count();
        assertEquals(satisfied, s.satisfied());
        long over = demo.beams().stream()
                        .filter(b -> b.checks().stream()
                                .anyMatch(c ->
                                        c.utilisation() > 1 + 1e-6 && c.cause().isStrength()))
                        .count()
                + demo.columns().stream()
                        .filter(c -> c.lifts().stream()
                                .anyMatch(l -> l.checks().stream()
                                        .anyMatch(k -> k.utilisation() > 1 + 1e-6
                                                && k.cause().isStrength())))
                        .count();
        assertEquals(over, s.overstressed());
        assertTrue(s.withNotes() <= s.satisfied());
    }

    @Test
    void everyCauseIsCountedOncePerLine() {
        Map<String, Integer> expected = new HashMap<>();
        demo.beams().forEach(b -> count(b.findings(), expected));
        demo.columns().forEach(c -> count(c.findings(), expected));
        assertEquals(expected, demo.causes());
        assertTrue(demo.causes().size() >= 6, demo.causes().toString());
    }

    private static void count(List<Finding> findings, Map<String, Integer> out) {
        findings.stream()
                .filter(f -> f.severity() == Severity.FAILS)
                .map(Finding::code)
                .distinct()
                .forEach(c -> out.merge(c, 1, Integer::sum));
    }

    /** A failing check has a finding, and a failing finding a check: nothing passes in silence. */
    @Test
    void checksAndFindingsAgree() {
        for (BeamDesign b : demo.beams()) {
            assertEquals(
                    b.checks().stream().allMatch(c -> c.satisfied()),
                    b.satisfied(),
                    b.line().mark() + b.findings());
            b.findings().stream()
                    .filter(f -> f.severity() == Severity.FAILS)
                    .forEach(f -> assertFalse(f.mend().isBlank(), f.toString()));
        }
        demo.columns()
                .forEach(c -> assertEquals(
                        c.lifts().stream().allMatch(l -> l.checks().stream().allMatch(k -> k.satisfied())),
                        c.satisfied(),
                        c.stack().mark()));
    }

    @Test
    void aFewLinesSetByHandGiveWhatDesigningAllAgainGives() {
        Map<String, HandCage> hand = new HashMap<>();
        for (int i : new int[] {3, 40, 77}) {
            hand.put(
                    demo.beams().get(i).line().id(),
                    new HandCage(
                            Map.of(
                                    BeamCage.Face.BOTTOM,
                                    List.of(new HandCage.Bars(
                                            1, 4, BarCatalogue.METRIC.find("T20"), -1e6, 1e6, true, true))),
                            Map.of(),
                            Map.of(),
                            List.of()));
        }
        BuildingDesign few = demo.with(HandSet.ofLines(hand), hand.keySet());
        BuildingDesign all =
                BuildingDesigner.design(analysis, BASIS, Decisions.byHand(hand), BuildingDesigner.Progress.NONE);
        assertEquals(
                all.quantities().steel(),
                few.quantities().steel(),
                1e-6 * all.quantities().steel());
        assertEquals(all.state(), few.state());
        for (int i = 0; i < all.beams().size(); i++) {
            assertEquals(all.beams().get(i).cage(), few.beams().get(i).cage());
            assertEquals(all.beams().get(i).findings(), few.beams().get(i).findings());
        }
        BuildingDesign back = few.with(HandSet.NONE, hand.keySet());
        assertEquals(
                demo.quantities().steel(),
                back.quantities().steel(),
                1e-6 * all.quantities().steel());
    }

    @Test
    void whatWasSetOnALineThatIsGoneIsTold() {
        BuildingDesign d = demo.with(HandSet.ofLines(Map.of("no such line", HandCage.NONE)), Set.of());
        Finding f = d.findings().stream()
                .filter(x -> x.code().equals("hand-set.no-line"))
                .findFirst()
                .orElseThrow();
        assertTrue(f.what().contains("1 beam line") && f.severity() == Severity.NOTE);
        assertTrue(demo.findings().stream().noneMatch(x -> x.code().equals("hand-set.no-line")));
    }

    @Test
    void aFrameWithoutLateralCasesOrServiceCombinationsIsTold() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3500)
                .joint("E", 6000, 0, 3500)
                .joint("F", 6000, 0, 0)
                .column("c1", "A", "B")
                .column("c2", "F", "E")
                .beam("m", "B", "E")
                .fixed("A")
                .fixed("F")
                .spread("m", 0, 6000, 20, 20);
        BuildingDesign d = BuildingDesigner.design(b.solve(), BASIS, BuildingDesigner.Progress.NONE);
        List<String> codes = d.findings().stream().map(Finding::code).toList();
        assertTrue(codes.containsAll(List.of("sway.unknown", "deflection.no-service-combinations")), codes.toString());
        BuildingDesign en =
                BuildingDesigner.design(b.solve(), Basis.standard("en-1992-1-1"), BuildingDesigner.Progress.NONE);
        assertTrue(en.findings().stream().anyMatch(f -> f.code().equals("frame.imperfections")));
        assertTrue(
                demo.findings().stream().noneMatch(f -> f.code().equals("frame.imperfections")),
                "ACI has no such rule");
    }
}
