package kolonne.core.detail;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.registry.Codes;
import org.junit.jupiter.api.Test;

/** Cut lengths against the bent bar's centre line measured out, and against the deductions of ISO 3766 by hand. */
class BarShapesTest {
    private static final BarShapes SHAPES =
            new BarShapes(Codes.of("aci-318m-19").bends(), 0);
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");

    @Test
    void aStraightBarIsItsLength() {
        BarItem i = SHAPES.longitudinal("x", T20, 4, 4321, 0, 0);
        assertEquals("00", i.shape());
        assertEquals(4325, i.cutLength(), "up to 5 mm");
        assertEquals(4 * 4.325 * 2.466, i.mass(), 0.01, "2.466 kg/m for T20, ISO 6935-2");
    }

    /** Shape 11: A + B − 0.5 r − d, with r = 60 for T20 (6 d bend): the centre line is at most 1 % off. */
    @Test
    void aHookedBarMatchesItsCentreLine() {
        BarItem i = SHAPES.longitudinal("x", T20, 1, 3000, 1, 500);
        double hook = 60 + 13 * 20;
        assertEquals("11", i.shape());
        assertEquals(hook, i.dims().get(0), 0.5);
        assertEquals(hook + 3000 - 30 - 20, i.cutLength(), 5);
        double centre = (hook - 60 - 20) + (3000 - 60 - 20) + Math.PI / 2 * (60 + 10);
        assertEquals(centre, i.cutLength(), 0.01 * centre);
    }

    /** 320 + 3000 − 30 − 20 = 3270: the hook becomes 30 mm longer for 3300; where it has no room for that, it stays. Two hooks share it. */
    @Test
    void hooksTakeWhatALengthLacksToTheModule() {
        BarShapes even = new BarShapes(Codes.of("aci-318m-19").bends(), 50);
        BarItem one = even.longitudinal("x", T20, 1, 3000, 1, 500);
        assertEquals(List.of(350.0, 3000.0), one.dims());
        assertEquals(3300, one.cutLength());
        BarItem shallow = even.longitudinal("x", T20, 1, 3000, 1, 340);
        assertEquals(List.of(320.0, 3000.0), shallow.dims());
        assertEquals(3270, shallow.cutLength());
        BarItem two = even.longitudinal("x", T20, 1, 3030, 2, 500);
        assertEquals(List.of(335.0, 3030.0, 335.0), two.dims(), "640 + 3030 - 60 - 40 = 3570, 30 more");
        assertEquals(3600, two.cutLength());
    }

    /**
     * Along the middle of a T10 of 220 × 520 outside, bends of 40 mm inside: 2 (210 + 510) less 8 × 25 in the corners, three quarter circles and two
     * of 135° of radius 25, two hooks of 75: 1440 − 200 + 118 + 118 + 150 = 1626, cut to 1630 (90° hooks would be 1590).
     */
    @Test
    void aClosedStirrupHasHooksOf135Degrees() {
        BarItem i = SHAPES.closed("x", T10, 10, 220, 520);
        assertEquals("51", i.shape());
        assertEquals(1630, i.cutLength());
    }

    /** One leg of 520 outside: 520 − 10 − 50 between the bends, two of 135°, two hooks of 75: 460 + 118 + 150 = 728, cut to 730. */
    @Test
    void aCrossTieIsALegBetweenHooks() {
        assertEquals(730, SHAPES.crossTie("x", T10, 1, 520).cutLength());
    }

    @Test
    void aHoopGoesRoundOnceAndLaps() {
        BarItem i = SHAPES.hoop("x", T10, 1, 420, 400);
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
