package kolonne.core.detail;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import org.junit.jupiter.api.Test;

/** Cut lengths against the bent bar's centre line measured out, and against the deductions of ISO 3766 by hand. */
class BarShapesTest {
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");

    @Test
    void aStraightBarIsItsLength() {
        BarItem i = BarShapes.longitudinal("x", T20, 4, 4321, 0);
        assertEquals("00", i.shape());
        assertEquals(4325, i.cutLength(), "up to 5 mm");
        assertEquals(4 * 4.325 * 2.466, i.mass(), 0.01, "2.466 kg/m for T20, ISO 6935-2");
    }

    /** Shape 11: A + B − 0.5 r − d, with r = 60 for T20 (6 d bend): the centre line is at most 1 % off. */
    @Test
    void aHookedBarMatchesItsCentreLine() {
        BarItem i = BarShapes.longitudinal("x", T20, 1, 3000, 1);
        double hook = 60 + 13 * 20;
        assertEquals("11", i.shape());
        assertEquals(hook, i.dims().get(0), 0.5);
        assertEquals(hook + 3000 - 30 - 20, i.cutLength(), 5);
        double centre = (hook - 60 - 20) + (3000 - 60 - 20) + Math.PI / 2 * (60 + 10);
        assertEquals(centre, i.cutLength(), 0.01 * centre);
    }

    /** Shape 51: 2 (A + B + C) − 2.5 r − 5 d. */
    @Test
    void aClosedStirrupFollowsTheTable() {
        BarItem i = BarShapes.closed("x", T10, 10, 220, 520);
        double tail = 75 + 20 + 10;
        assertEquals("51", i.shape());
        assertEquals(2 * (220 + 520 + tail) - 2.5 * 20 - 50, i.cutLength(), 5);
    }

    @Test
    void aHoopGoesRoundOnceAndLaps() {
        BarItem i = BarShapes.hoop("x", T10, 1, 420, 400);
        assertEquals(Math.PI * 410 + 400, i.cutLength(), 5);
    }

    @Test
    void nominalMassesAreTheStandards() {
        // ISO 6935-2 table 2: 0.617, 0.888, 1.58, 2.47, 3.85, 6.31 kg/m; ASTM A615 table 1: #8 2.670 lb/ft
        double[] mass = {0.617, 0.888, 1.58, 2.47, 3.85, 6.31};
        String[] label = {"T10", "T12", "T16", "T20", "T25", "T32"};
        for (int i = 0; i < mass.length; i++) {
            assertEquals(mass[i], BarCatalogue.METRIC.find(label[i]).mass(), 0.006, label[i]);
        }
        assertEquals(2.670 * 1.48816, BarCatalogue.US.find("#8").mass(), 1e-3);
        assertTrue(BarCatalogue.US.find("T20") == null);
    }
}
