package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import kolonne.core.compare.AnalysisComparison;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Release;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;

/** An analysis that reuses the one before the edit equals an analysis from nothing. */
class ReanalysisTest {
    private static final Building B = DemoBuilding.generate(DemoOptions.VELDHAVEN);
    private static final Analysis BEFORE = FrameAnalysis.solve(new BuildingIndex(B));

    private static Building edited(int member, UnaryOperator<Member> edit) {
        List<Member> m = new ArrayList<>(B.members());
        m.set(member, edit.apply(m.get(member)));
        return B.withMembers(m);
    }

    private static void same(Building after) {
        Analysis quick = FrameAnalysis.resolve(BEFORE, new BuildingIndex(after));
        Analysis fresh = FrameAnalysis.solve(new BuildingIndex(after));
        for (int m = 0; m < after.members().size(); m++) {
            assertEquals(fresh.stationCount(m), quick.stationCount(m));
            for (int c = 0; c < after.loadCases().size(); c++) {
                for (int s = 0; s < fresh.stationCount(m); s++) {
                    for (int i = 0; i < 6; i++) {
                        assertEquals(
                                fresh.force(m, c, s, i),
                                quick.force(m, c, s, i),
                                1e-6 * Math.max(1e3, Math.abs(fresh.force(m, c, s, i))));
                    }
                }
            }
        }
    }

    @Test
    void afterAnotherSectionOfOneBeam() {
        String other = B.sections().get(0).id();
        same(edited(300, m -> m.withSection(other)));
    }

    @Test
    void afterOtherStiffnessFactorsOfOneColumn() {
        same(edited(0, m -> m.withStiffness(new StiffnessFactors(1, 0.1, 0.1, 0.01))));
    }

    @Test
    void afterAReleaseAndAfterAConnectionThatGivesWay() {
        same(edited(500, m -> m.withReleases(Release.NONE, Release.PIN)));
        same(edited(
                500,
                m -> m.withReleases(
                        new Release(Release.RIGID, Release.RIGID, Release.RIGID, Release.RIGID, 5e9, Release.RIGID),
                        Release.NONE)));
    }

    @Test
    void afterAnotherLoad() {
        List<MemberLoad> loads = new ArrayList<>(B.memberLoads());
        MemberLoad l = loads.get(0);
        loads.set(
                0,
                new MemberLoad(
                        l.loadCase(), l.member(), l.kind(), l.direction(), l.from(), l.to(), 3 * l.w1(), 2 * l.w2()));
        same(B.withLoads(B.loadCases(), loads, B.areaLoads(), B.combinations()));
    }

    @Test
    void afterOtherOptions() {
        same(B.withOptions(
                new AnalysisOptions(true, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0.5, List.of(), true)));
        same(B.withOptions(new AnalysisOptions(
                false,
                StiffnessFactors.GROSS,
                StiffnessFactors.GROSS,
                0,
                List.of(new Combination.Term("G", 1.2), new Combination.Term("SD", 1.2)),
                false)));
    }

    @Test
    void theOrderAndWhatTheEditLeavesAreKept() {
        Analysis after = FrameAnalysis.resolve(
                BEFORE, new BuildingIndex(edited(300, m -> m.withStiffness(StiffnessFactors.GROSS))));
        Frame old = BEFORE.solved().frame();
        Frame now = after.solved().frame();
        assertSame(old.freedoms, now.freedoms, "order of elimination");
        assertSame(old.elements[10], now.elements[10]);
        assertTrue(old.elements[300] != now.elements[300]);
        assertEquals(
                2,
                java.util.Arrays.stream(now.changedSince(old))
                        .filter(v -> v < B.joints().size())
                        .count(),
                "its two joints");
    }

    @Test
    void aMechanismMadeByAnEditIsNamed() {
        Building loose = edited(0, m -> m.withReleases(Release.of(true, true, true, false, true, true), Release.PIN));
        AnalysisFailed e = assertThrows(AnalysisFailed.class, () -> {
            FrameAnalysis.resolve(BEFORE, new BuildingIndex(loose));
            List<Member> all = new ArrayList<>(B.members());
            all.replaceAll(m -> m.withReleases(Release.PIN, Release.PIN));
            FrameAnalysis.resolve(BEFORE, new BuildingIndex(B.withMembers(all)));
        });
        assertEquals("analysis.mechanism", e.findings().get(0).code());
        assertTrue(
                e.findings().get(0).where().matches("(Joint|Diaphragm) .+, (rotation|displacement) .+"),
                e.findings().get(0).where());
    }

    @Test
    void theComparisonShowsWhereARelievedMomentWent() {
        Analysis after = FrameAnalysis.resolve(
                BEFORE,
                new BuildingIndex(edited(300, m -> m.withStiffness(new StiffnessFactors(1, 0.01, 0.35, 0.05)))));
        List<AnalysisComparison.Change> changes = AnalysisComparison.of(BEFORE, after, Analysis.MY);
        assertEquals(B.members().size(), changes.size());
        String relieved = B.members().get(300).id();
        AnalysisComparison.Change own = changes.stream()
                .filter(c -> c.member().equals(relieved))
                .findFirst()
                .orElseThrow();
        assertTrue(own.by(Analysis.MY) < 0, "the softened beam carries less");
        assertTrue(changes.stream().limit(20).anyMatch(c -> c.by(Analysis.MY) > 0), "others carry more");
        for (int i = 0; i + 1 < changes.size(); i++) {
            assertTrue(Math.abs(changes.get(i).by(Analysis.MY))
                    >= Math.abs(changes.get(i + 1).by(Analysis.MY)));
        }
        assertEquals(
                0, AnalysisComparison.of(BEFORE, BEFORE, Analysis.MY).get(0).by(Analysis.MY));
    }
}
