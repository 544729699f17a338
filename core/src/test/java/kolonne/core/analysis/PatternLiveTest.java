package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import org.junit.jupiter.api.Test;

/** Arrangements of live load on a continuous beam of five equal spans. */
class PatternLiveTest {
    private static final double L = 6000;
    private static final double W = 20;

    private static ModelBuilder five(boolean patterns) {
        ModelBuilder b = new ModelBuilder();
        for (int i = 0; i <= 5; i++) {
            b.joint("J" + i, L * i, 0, 0);
            b.supports.add(new Support("J" + i, i == 0, true, true, true, false, true));
        }
        for (int i = 0; i < 5; i++) {
            b.beam("m" + i, "J" + i, "J" + (i + 1)).spread("m" + i, 0, L, W, W);
        }
        b.options = new AnalysisOptions(false, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(), patterns);
        return b;
    }

    private static double largest(Analysis a, int member, int sign) {
        double most = 0;
        for (int c = 0; c < a.index().building().loadCases().size(); c++) {
            for (int s = 0; s < a.stationCount(member); s++) {
                most = Math.max(most, sign * a.force(member, c, s, Analysis.MY));
            }
        }
        return most;
    }

    /**
     * Coefficients of five equal spans, uniform load in the worst arrangement (R. E. Rowe et al., Handbook to BS 8110, table of
     * continuous beams; also K. Winter, A. Nilson, Design of Concrete Structures): end span 0.100, middle span 0.0855, first
     * inner support 0.120, second 0.111. Three digits are printed.
     */
    @Test
    void reachesThePublishedWorstMomentsOfFiveEqualSpans() {
        Analysis a = five(true).solve();
        double unit = W * L * L;
        assertEquals(0.100, largest(a, 0, 1) / unit, 0.0006);
        assertEquals(0.0855, largest(a, 2, 1) / unit, 0.0006);
        assertEquals(0.120, largest(a, 0, -1) / unit, 0.0006);
        assertEquals(0.111, largest(a, 2, -1) / unit, 0.0006);
    }

    @Test
    void madeCasesAreSevenForEachLiveCaseAndAllSpansRemain() {
        ModelBuilder b = five(true);
        b.cases.add(new LoadCase("W", "wind", CaseKind.WIND, 0));
        b.combine("gravity", Map.of("P", 1.6)).combine("sway", Map.of("P", 1.0, "W", 1.0));
        Analysis a = b.solve();
        assertEquals(2 + 7, a.index().building().loadCases().size());
        assertEquals(2 + 7, a.index().building().combinations().size(), "combinations with wind keep all spans");
        assertSame(a.index(), PatternLive.expanded(a.index()), "arrangements are made once");
        assertEquals(1, five(false).solve().index().building().loadCases().size());
    }

    @Test
    void oddAndEvenTogetherAreAllSpans() {
        Analysis a = five(true).solve();
        BuildingIndex x = a.index();
        int odd = x.caseNumber("P odd");
        int even = x.caseNumber("P even");
        for (int m = 0; m < 5; m++) {
            for (int s = 0; s < a.stationCount(m); s++) {
                assertEquals(
                        a.force(m, 0, s, Analysis.MY),
                        a.force(m, odd, s, Analysis.MY) + a.force(m, even, s, Analysis.MY),
                        1);
            }
        }
        assertTrue(x.building().loadCases().get(odd).pattern().members().contains("m0"));
        assertEquals(
                java.util.Set.of("m1", "m3"),
                x.building().loadCases().get(even).pattern().members());
        assertEquals(
                java.util.Set.of("m0", "m1", "m3"),
                x.building()
                        .loadCases()
                        .get(x.caseNumber("P pairs 1"))
                        .pattern()
                        .members());
    }
}
