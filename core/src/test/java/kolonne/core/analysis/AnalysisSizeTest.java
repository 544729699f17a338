package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.finding.Finding;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;

/** Small files that list more than can be held are refused before anything is solved. */
class AnalysisSizeTest {
    private static ModelBuilder portal(int cases, int combinations) {
        ModelBuilder b = ModelBuilder.portal(100e3, CaseKind.LIVE, true);
        for (int i = 0; i < cases; i++) {
            b.cases.add(new LoadCase("x" + i, "", CaseKind.LIVE, 0));
        }
        for (int i = 0; i < combinations; i++) {
            b.combine("y" + i, Map.of("P", 1.0));
        }
        return b;
    }

    private static Finding refused(Building b, double memory) {
        AnalysisFailed e = assertThrows(AnalysisFailed.class, () -> AnalysisSize.check(b, b, memory));
        assertEquals(1, e.findings().size());
        return e.findings().get(0);
    }

    /** 3 members in 1000 cases at 2 kB: 6 MB, a quarter of 24; 500 point loads more at 96 bytes in each case: 48 MB more. */
    @Test
    void membersTimesCasesByTheMemory() {
        ModelBuilder b = portal(998, 0);
        assertDoesNotThrow(() -> AnalysisSize.check(b.building(), b.building(), 24e6));
        Finding f = refused(b.building(), 23.9e6);
        assertEquals("analysis.size", f.code());
        assertTrue(f.what().startsWith("The forces of 3 members in 1,000 load cases take some 0.0 GB"), f.what());
        for (int i = 0; i < 500; i++) {
            b.point("b", 10 * i, 1e3);
        }
        assertDoesNotThrow(() -> AnalysisSize.check(b.building(), b.building(), 4 * 54e6));
        refused(b.building(), 4 * 53.9e6);
    }

    @Test
    void combinationsWithThoseOfTheInclination() {
        Building plain = portal(0, 1500).building();
        assertDoesNotThrow(() -> FrameAnalysis.solve(new BuildingIndex(plain)));
        Building leaning = plain.withOptions(
                new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), false, 0.003));
        AnalysisFailed e = assertThrows(AnalysisFailed.class, () -> FrameAnalysis.solve(new BuildingIndex(leaning)));
        assertEquals("analysis.combinations", e.findings().get(0).code());
        assertTrue(
                e.findings().get(0).what().contains("generated"),
                e.findings().get(0).what());
    }
}
