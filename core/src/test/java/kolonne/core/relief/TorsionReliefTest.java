package kolonne.core.relief;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.model.Direction;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** An edge beam that a secondary beam twists by compatibility, and beams that need their torsion to stand. */
class TorsionReliefTest {
    /** A secondary beam from a fixed support into the middle of an edge beam fixed at both ends. */
    private static ModelBuilder edge() {
        return new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("M", 4000, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("F", 4000, 6000, 0)
                .beam("e1", "A", "M")
                .beam("e2", "M", "B")
                .beam("s", "M", "F")
                .fixed("A")
                .fixed("B")
                .fixed("F")
                .spread("s", 0, 6000, 30, 30);
    }

    private static final HandCage.TorsionKind FOUND = HandCage.TorsionKind.AS_FOUND;

    private static TorsionRelief.Line line(double cracking, HandCage.TorsionKind given) {
        return new TorsionRelief.Line("e", List.of("e1", "e2"), cracking, given);
    }

    @Test
    void whatAPersonSaysGoesBeforeWhatIsFoundAndTheEvidenceIsStillTold() {
        Analysis a = edge().solve();
        TorsionRelief.Found kept = TorsionRelief.find(a, line(1e6, HandCage.TorsionKind.EQUILIBRIUM));
        assertEquals(TorsionRelief.Kind.EQUILIBRIUM, kept.kind());
        assertTrue(
                kept.evidence().startsWith("Set by hand.")
                        && kept.evidence().endsWith("By that it would come from compatibility."),
                kept.evidence());
        ModelBuilder b = edge();
        b.supports.removeIf(s -> s.joint().equals("F"));
        TorsionRelief.Found f = TorsionRelief.find(b.solve(), line(1e6, HandCage.TorsionKind.COMPATIBILITY));
        assertEquals(TorsionRelief.Kind.COMPATIBILITY, f.kind());
        assertTrue(f.evidence().endsWith("By that it would be needed for equilibrium."), f.evidence());
        TorsionRelief.All all = TorsionRelief.all(a, List.of(line(1e6, HandCage.TorsionKind.EQUILIBRIUM)));
        assertEquals(1, all.lines().get(0).factor());
    }

    @Test
    void compatibilityTorsionFallsToTheCrackingTorqueAndItsMomentGoesElsewhere() {
        Analysis a = edge().solve();
        double torque = Math.abs(a.force(0, 0, 0, Analysis.T));
        TorsionRelief.Found f = TorsionRelief.find(a, line(torque / 3, FOUND));
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
        TorsionRelief.Found f = TorsionRelief.find(b.solve(), line(1e6, FOUND));
        assertEquals(TorsionRelief.Kind.EQUILIBRIUM, f.kind());
        assertNull(f.after());
        ModelBuilder twisted = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        twisted.memberLoads.add(
                new MemberLoad("P", "m", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 8000, 5000, 5000));
        TorsionRelief.Found g =
                TorsionRelief.find(twisted.solve(), new TorsionRelief.Line("m", List.of("m"), 1e6, FOUND));
        assertEquals(TorsionRelief.Kind.EQUILIBRIUM, g.kind(), g.evidence());
    }

    @Test
    void whatIsBelowTheCrackingTorqueIsLeft() {
        Analysis a = edge().solve();
        TorsionRelief.Found f = TorsionRelief.find(a, line(1e12, FOUND));
        assertEquals(1, f.factor());
        assertEquals(f.torque(), f.relieved());
    }

    @Test
    void allLinesAreRelievedTogetherAndEquilibriumIsLeft() {
        // a secondary beam between two edge beams twists both; an overhang twists a third beam, which needs it
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("M", 4000, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("C", 0, 6000, 0)
                .joint("N", 4000, 6000, 0)
                .joint("D", 8000, 6000, 0)
                .joint("O", 20_000, 0, 0)
                .joint("P", 24_000, 0, 0)
                .joint("Q", 28_000, 0, 0)
                .joint("R", 24_000, 2000, 0)
                .beam("e1", "A", "M")
                .beam("e2", "M", "B")
                .beam("f1", "C", "N")
                .beam("f2", "N", "D")
                .beam("s", "M", "N")
                .beam("g1", "O", "P")
                .beam("g2", "P", "Q")
                .beam("o", "P", "R")
                .fixed("A")
                .fixed("B")
                .fixed("C")
                .fixed("D")
                .fixed("O")
                .fixed("Q")
                .spread("s", 0, 6000, 40, 40)
                .spread("o", 0, 2000, 30, 30);
        Analysis a = b.solve();
        double torque = Math.abs(a.force(0, 0, 0, Analysis.T));
        List<TorsionRelief.Line> lines = List.of(
                new TorsionRelief.Line("e", List.of("e1", "e2"), torque / 3, FOUND),
                new TorsionRelief.Line("f", List.of("f1", "f2"), torque / 2, FOUND),
                new TorsionRelief.Line("g", List.of("g1", "g2"), 1e6, FOUND),
                new TorsionRelief.Line("s", List.of("s"), 1e6, FOUND));
        TorsionRelief.All all = TorsionRelief.all(a, lines);
        assertEquals(
                List.of("e", "f", "g"),
                all.lines().stream().map(r -> r.line().id()).toList(),
                "the secondary beam does not twist");
        for (TorsionRelief.Relieved r : all.lines().subList(0, 2)) {
            assertEquals(TorsionRelief.Kind.COMPATIBILITY, r.kind());
            assertTrue(
                    r.relieved() <= r.line().cracking()
                            && r.relieved() > 0.985 * r.line().cracking(),
                    r.toString());
            assertEquals(
                    TorsionRelief.find(a, r.line()).relieved(),
                    r.relieved(),
                    0.02 * r.relieved(),
                    "as if relieved alone");
            assertTrue(r.factor() < 1);
        }
        assertEquals(TorsionRelief.Kind.EQUILIBRIUM, all.lines().get(2).kind());
        assertEquals(1, all.lines().get(2).factor());
        assertEquals(
                all.lines().get(2).torque(),
                all.lines().get(2).relieved(),
                1e-6 * all.lines().get(2).torque());
    }
}
