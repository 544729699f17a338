package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.finding.Cause;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import org.junit.jupiter.api.Test;

/** Where beams are designed for shear, and for how much (ACI 318M-19 9.4.3.2, 9.7.6.2.2), by hand. */
class BeamShearByHandTest {
    private static final Basis ACI = Basis.standard(false);
    /** Of the critical section: nine tenths of the depth less the cover. */
    private static final double D = 0.9 * 600 - 40;

    /** A beam of 6 m, pin-ended between columns of 400: faces at 200 and 5800. */
    private static ModelBuilder columns() {
        ModelBuilder m = new ModelBuilder()
                .section("K", 400, 400)
                .joint("F", 0, 0, -3000)
                .joint("A", 0, 0, 0)
                .joint("G", 6000, 0, -3000)
                .joint("B", 6000, 0, 0)
                .column("c1", "F", "A")
                .column("c2", "G", "B")
                .fixed("F")
                .fixed("G");
        m.members.replaceAll(c -> c.withSection("K"));
        return m.section("S", 300, 600).beam("m", "A", "B", Release.PIN, Release.PIN, 0, 0);
    }

    private static LaidByHand laid(ModelBuilder m) {
        return new LaidByHand(m, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 200, 5800, T10, 2, 150);
    }

    private static double strength(double spacing) {
        return 0.75 * (0.17 * Math.sqrt(30) * 300 * 540 + 2 * T10.area() / spacing * 420 * 540);
    }

    private static List<BeamShearCheck.Demand> demands(LaidByHand l) {
        BeamContext c = l.context.of(l.line);
        return BeamShearCheck.demands(l.line, c, BeamTorsion.torques(l.line, c.demands()));
    }

    @Test
    void aSmoothLoadIsDesignedForAtTheDepthFromTheColumn() {
        LaidByHand l = laid(columns().spread("m", 0, 6000, 50, 50));
        LaidByHand.Told t = l.told();
        double v = 50 * (3000 - 200 - D);
        t.tells("shear", v, strength(150), t.of("shear").x(), "22.5.1.1");
        assertEquals(2800 - D, Math.abs(t.of("shear").x() - 3000), 1e-6);
        List<BeamShearCheck.Demand> all = demands(l);
        assertEquals(200 + D, all.get(0).x(), 1e-6);
        assertEquals(5800 - D, all.get(all.size() - 1).x(), 1e-6);
        assertEquals(v, all.get(all.size() - 1).v(), 1);
        assertTrue(
                all.stream().allMatch(d -> Math.abs(d.v() - 50 * Math.abs(d.x() - 3000)) < 1),
                "between stations as well");
        for (int i = 1; i < all.size(); i++) {
            assertTrue(all.get(i).x() >= all.get(i - 1).x() && all.get(i).span() == 0, "in order");
        }
    }

    /** 9.4.3.2(c): a load that stands between the face and the critical section counts in full, on that side. */
    @Test
    void aLoadNearTheColumnCountsInFull() {
        LaidByHand left = laid(columns().point("m", 500, 200e3));
        List<BeamShearCheck.Demand> all = demands(left);
        assertEquals(200, all.get(0).x(), 1e-6);
        assertEquals(200e3 * 5500 / 6000, all.get(0).v(), 10);
        assertEquals(5800 - D, all.get(all.size() - 1).x(), 1e-6, "the other side is smooth");
        left.told().tells("shear", 200e3 * 5500 / 6000, strength(150), 200, "22.5.1.1");
        LaidByHand right = laid(columns().point("m", 5500, 200e3));
        all = demands(right);
        assertEquals(200 + D, all.get(0).x(), 1e-6);
        assertEquals(5800, all.get(all.size() - 1).x(), 1e-6);
        LaidByHand beyond = laid(columns().point("m", 200 + D + 20, 200e3));
        assertEquals(200 + D, demands(beyond).get(0).x(), 1e-6, "behind the critical section it does not");
    }

    /** Three depths between the faces and less: the whole of it is near a support. */
    @Test
    void aShortSpanIsDesignedForAtItsFaces() {
        for (double clear : new double[] {3 * D - 10, 3 * D + 10}) {
            ModelBuilder m = new ModelBuilder()
                    .section("K", 400, 400)
                    .joint("F", 0, 0, -3000)
                    .joint("A", 0, 0, 0)
                    .joint("G", clear + 400, 0, -3000)
                    .joint("B", clear + 400, 0, 0)
                    .column("c1", "F", "A")
                    .column("c2", "G", "B")
                    .fixed("F")
                    .fixed("G");
            m.members.replaceAll(c -> c.withSection("K"));
            m.section("S", 300, 600)
                    .beam("m", "A", "B", Release.PIN, Release.PIN, 0, 0)
                    .spread("m", 0, clear + 400, 50, 50);
            LaidByHand l = new LaidByHand(m, ACI);
            l.through(TOP, 2, T16, 58).through(BOTTOM, 4, T20, 60);
            assertEquals(clear < 3 * D ? 200 : 200 + D, demands(l).get(0).x(), 1e-6);
        }
    }

    /** More than 0.33 √f'c bw d for the stirrups: half the spacing along and across (9.7.6.2.2). */
    @Test
    void highShearHalvesTheSpacing() {
        // φ (0.17 + 0.33) √30 × 300 × 540 = 332.7 kN
        double half = 0.75 * (0.17 + 0.33) * Math.sqrt(30) * 300 * 540;
        for (double v : new double[] {half * 0.99, half * 1.01}) {
            LaidByHand l = laid(columns().spread("m", 0, 6000, v / (3000 - 200 - D), v / (3000 - 200 - D)));
            LaidByHand.Told t = l.told();
            t.tells("stirrup-spacing", 150, v < half ? 270 : 135, 3000, "9.7.6.2.2");
            t.tells("leg-spacing", 210, v < half ? 540 : 270, 3000, "9.7.6.2.2");
            assertEquals(v < half, t.of("stirrup-spacing").satisfied());
        }
    }

    /** Where the wide spacing begins, wherever stations lie. */
    @Test
    void theEndOfAZoneIsLookedAtOnBothSides() {
        for (double at : new double[] {1111, 1234, 1357, 1480}) {
            LaidByHand l = new LaidByHand(columns().spread("m", 0, 6000, 80, 80), ACI)
                    .through(TOP, 2, T16, 58)
                    .through(BOTTOM, 4, T20, 60)
                    .zone(0, 200, at, T10, 2, 100)
                    .zone(0, at, 5800, T10, 2, 240);
            LaidByHand.Told t = l.told();
            // the far end has the wide spacing as well, and more shear: mirrored it has the close one
            assertEquals(5800 - D, t.of("shear").x(), 1e-6);
            LaidByHand even = new LaidByHand(columns().spread("m", 0, 6000, 80, 80), ACI)
                    .through(TOP, 2, T16, 58)
                    .through(BOTTOM, 4, T20, 60)
                    .zone(0, 200, at, T10, 2, 100)
                    .zone(0, at, 6000 - at, T10, 2, 240)
                    .zone(0, 6000 - at, 5800, T10, 2, 100);
            t = even.told();
            double v = 80 * (3000 - at);
            t.tells("shear", v, strength(240), t.of("shear").x(), "22.5.1.1");
            assertEquals(3000 - at, Math.abs(t.of("shear").x() - 3000), 0.01);
        }
    }

    /** Six legs next to the columns, two between, all 150 apart: two legs carry 50 · (3000 − 1700) where they begin, between the stations. */
    @Test
    void fewerLegsAreLookedAtWhereTheyBegin() {
        LaidByHand.Told t = new LaidByHand(columns().spread("m", 0, 6000, 50, 50), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 200, 1700, T10, 6, 150)
                .zone(0, 1700, 4300, T10, 2, 150)
                .zone(0, 4300, 5800, T10, 6, 150)
                .told();
        assertEquals(1300, Math.abs(t.of("shear").x() - 3000), 0.01);
        t.tells("shear", 65e3, strength(150), t.of("shear").x(), "22.5.1.1");
    }

    /** The zone without the high shear keeps the wide spacing. */
    @Test
    void everyZoneHasItsOwnShear() {
        double w = 0.75 * 0.55 * Math.sqrt(30) * 300 * 540 / (3000 - 200 - D);
        LaidByHand l = new LaidByHand(columns().spread("m", 0, 6000, w, w), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 200, 1700, T10, 2, 90)
                .zone(0, 1700, 4300, T10, 2, 200)
                .zone(0, 4300, 5800, T10, 2, 90);
        LaidByHand.Told t = l.told();
        t.tells("stirrup-spacing", 200, 270, 3000, "9.7.6.2.2");
        LaidByHand wide = new LaidByHand(columns().spread("m", 0, 6000, w, w), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 200, 1700, T10, 2, 140)
                .zone(0, 1700, 4300, T10, 2, 200)
                .zone(0, 4300, 5800, T10, 2, 100);
        wide.told().tells("stirrup-spacing", 140, 135, 950, "9.7.6.2.2");
        assertFalse(wide.told().design().satisfied());
    }

    @Test
    void withoutStirrupsOnlyTheConcrete() {
        LaidByHand l = new LaidByHand(columns().spread("m", 0, 6000, 50, 50), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60);
        LaidByHand.Told t = l.told();
        double rho = Math.min(2 * T16.area(), 4 * T20.area()) / (300 * 540);
        double size = Math.min(1, Math.sqrt(2 / (1 + 0.004 * 540)));
        assertEquals(
                0.75 * 0.66 * size * Math.cbrt(rho) * Math.sqrt(30) * 300 * 540,
                t.of("shear").capacity(),
                10);
        t.cause("shear", Cause.SHEAR).silent("stirrup-spacing", "leg-spacing", "minimum-shear-steel", "legs-most");
        assertFalse(t.of("shear").satisfied());
    }

    /** A column under one end only: the other end is designed for at its support. */
    @Test
    void theColumnIsUnderOneEnd() {
        for (boolean left : new boolean[] {true, false}) {
            ModelBuilder m = new ModelBuilder()
                    .section("K", 400, 400)
                    .joint("F", left ? 0 : 6000, 0, -3000)
                    .joint("A", 0, 0, 0)
                    .joint("B", 6000, 0, 0)
                    .column("c1", "F", left ? "A" : "B")
                    .fixed("F")
                    .pinned(left ? "B" : "A");
            m.members.replaceAll(c -> c.withSection("K"));
            m.section("S", 300, 600)
                    .beam("m", "A", "B", left ? Release.PIN : Release.NONE, left ? Release.NONE : Release.PIN, 0, 0)
                    .spread("m", 0, 6000, 50, 50);
            List<BeamShearCheck.Demand> all = demands(new LaidByHand(m, ACI));
            assertEquals(left ? 200 + D : 0, all.get(0).x(), 1e-6);
            assertEquals(left ? 6000 : 5800 - D, all.get(all.size() - 1).x(), 1e-6);
        }
    }

    /** Places of a second span are its own, each with its own shear. */
    @Test
    void theSecondSpan() {
        ModelBuilder m =
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, 40, 40).spread("m2", 0, 6000, 40, 40);
        List<BeamShearCheck.Demand> all = demands(new LaidByHand(m, ACI));
        for (int span = 0; span < 2; span++) {
            int number = span;
            for (BeamShearCheck.Demand d :
                    all.stream().filter(q -> q.span() == number).toList()) {
                double x = number == 0 ? d.x() : 12_000 - d.x();
                assertEquals(Math.abs(90e3 - 40 * x), d.v(), 1, "at " + d.x());
            }
        }
        assertEquals(12_000, all.get(all.size() - 1).x(), 1e-9);
    }
}
