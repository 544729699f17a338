package kolonne.core.relief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.Direction;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** An edge beam that a secondary beam twists by compatibility, and beams that need their torsion to stand. */
class TorsionReliefTest {
    /** A secondary beam from a fixed support into the middle of an edge beam fixed at both ends. */
    private static ModelBuilder edge() {
        return new ModelBuilder().section("S", 300, 600).joint("A", 0, 0, 0).joint("M", 4000, 0, 0).joint("B", 8000, 0, 0).joint("F", 4000, 6000, 0)
            .beam("e1", "A", "M").beam("e2", "M", "B").beam("s", "M", "F").fixed("A").fixed("B").fixed("F").spread("s", 0, 6000, 30, 30);
    }

    @Test
    void compatibilityTorsionFallsToTheCrackingTorqueAndItsMomentGoesElsewhere() {
        Analysis a = edge().solve();
        double torque = Math.abs(a.force(0, 0, 0, Analysis.T));
        TorsionRelief.Found f = TorsionRelief.find(a, List.of("e1", "e2"), torque / 3);
        assertEquals(TorsionRelief.Kind.COMPATIBILITY, f.kind());
        assertEquals(torque, f.torque(), 1);
        assertTrue(f.relieved() <= torque / 3 && f.relieved() > 0.95 * torque / 3, f.relieved() + " of " + torque);
        assertTrue(f.factor() > TorsionRelief.ALMOST_NONE && f.factor() < 1);
        // what the edge beam lets go, the secondary beam takes: its moment at the wall grows
        int s = a.index().memberNumber("s");
        int last = a.stationCount(s) - 1;
        assertTrue(Math.abs(f.after().force(s, 0, last, Analysis.MY)) > Math.abs(a.force(s, 0, last, Analysis.MY)));
        // the torque of either half is half the secondary beam's end moment, before and after
        assertEquals(Math.abs(f.after().force(s, 0, 0, Analysis.MY)) / 2, f.relieved(), 1e-3 * f.relieved());
    }

    @Test
    void torsionThatHoldsAnOverhangIsNeededForEquilibrium() {
        ModelBuilder b = edge();
        b.supports.removeIf(s -> s.joint().equals("F"));
        TorsionRelief.Found f = TorsionRelief.find(b.solve(), List.of("e1", "e2"), 1e6);
        assertEquals(TorsionRelief.Kind.EQUILIBRIUM, f.kind());
        assertNull(f.after());
        ModelBuilder twisted = new ModelBuilder().section("S", 300, 600).joint("A", 0, 0, 0).joint("B", 8000, 0, 0).beam("m", "A", "B").fixed("A").fixed("B");
        twisted.memberLoads.add(new MemberLoad("P", "m", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 8000, 5000, 5000));
        TorsionRelief.Found g = TorsionRelief.find(twisted.solve(), List.of("m"), 1e6);
        assertEquals(TorsionRelief.Kind.EQUILIBRIUM, g.kind(), g.evidence());
    }

    @Test
    void whatIsBelowTheCrackingTorqueIsLeft() {
        Analysis a = edge().solve();
        TorsionRelief.Found f = TorsionRelief.find(a, List.of("e1", "e2"), 1e12);
        assertEquals(1, f.factor());
        assertEquals(f.torque(), f.relieved());
    }
}
