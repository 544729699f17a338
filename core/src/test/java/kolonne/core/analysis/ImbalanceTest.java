package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.finding.Finding;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;

/** Members of extremely different stiffness lose digits: the analysis says which, and does not pass. */
class ImbalanceTest {
    private static ModelBuilder chain(double factor) {
        ModelBuilder b = new ModelBuilder().section("S", 300, 600).joint("A", 0, 0, 0).joint("B", 5000, 0, 0).joint("C", 5020, 0, 0).joint("D", 12_000, 0, 0)
            .beam("soft", "A", "B").beam("end", "C", "D").fixed("A").fixed("D").spread("soft", 0, 5000, 20, 20);
        b.members.add(new Member("stub", Role.BEAM, "B", "C", "S", "C", 0, Release.NONE, Release.NONE, 0, 0, new StiffnessFactors(factor, factor, factor, factor)));
        return b;
    }

    @Test
    void digitsThatAreLostFailByName() {
        AnalysisFailed e = assertThrows(AnalysisFailed.class, () -> chain(1e10).solve());
        Finding f = e.findings().stream().filter(x -> x.code().equals("analysis.residual")).findFirst().orElseThrow();
        assertTrue(f.what().contains("stub") && (f.what().contains("soft") || f.what().contains("end")), f.what());
    }

    @Test
    void ordinaryStubsAreInBalance() {
        assertEquals(List.of(), chain(1).solve().findings());
    }
}
