package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;

/** Members of extremely different stiffness lose digits: the analysis says which, and does not pass. */
class ImbalanceTest {
    private static ModelBuilder portal(double factor) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .joint("C", 6000, 0, 4000)
                .joint("D", 6000, 0, 0)
                .column("left", "A", "B")
                .column("right", "D", "C")
                .fixed("A")
                .fixed("D")
                .push("B", 20e3, 0, 0);
        StiffnessFactors f = new StiffnessFactors(factor, factor, factor, factor);
        b.members.add(new Member("stiff", Role.BEAM, "B", "C", "S", "C", 0, Release.NONE, Release.NONE, 0, 0, f));
        return b.spread("stiff", 0, 6000, 20, 20);
    }

    @Test
    void digitsThatAreLostFailByName() {
        AnalysisFailed e = assertThrows(AnalysisFailed.class, () -> portal(1e11).solve());
        assertTrue(
                e.findings().get(0).what().contains("Member stiff is 3e+10 times as stiff as member right"),
                e.findings().toString());
    }

    @Test
    void ordinaryMembersAreInBalance() {
        Analysis a = portal(1).solve();
        assertEquals(List.of(), a.findings());
        assertTrue(a.residual(0) < 1e-12);
    }
}
