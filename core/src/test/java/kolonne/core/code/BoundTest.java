package kolonne.core.code;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.basis.Basis;
import org.junit.jupiter.api.Test;

/** Rules that jump at a limit do so beyond it, not where a size in inches comes out a billionth of a millimetre above. */
class BoundTest {
    private static final double OFF = 1e-8;
    private static final double BEYOND = 1e-3;
    private static final DesignCode ACI = Basis.standard("aci-318m-19").designCode();
    private static final DesignCode EN = Basis.standard("en-1992-1-1").designCode();
    private static final Bar T25 = BarCatalogue.METRIC.find("T25");

    @Test
    void aLimitIsKeptByWhatLiesAtIt() {
        assertTrue(Bound.within(40, 40));
        assertTrue(Bound.within(40 + OFF, 40));
        assertFalse(Bound.within(40 + BEYOND, 40));
        assertTrue(Bound.within(0, 0));
        assertFalse(Bound.within(OFF, 0));
        assertTrue(Bound.within(-3, 0));
    }

    /** Table 25.4.2.3: clear spacing of 2 db, or of db with stirrups, and cover of db. */
    @Test
    void developmentByAci() {
        double close = straight(50 - BEYOND, 25);
        double confined = straight(50, 25);
        assertEquals(1.1 / 1.7, confined / close, 1e-9);
        assertEquals(confined, straight(50 - OFF, 25 - OFF));
        assertEquals(close, straight(50, 25 - BEYOND));
    }

    private static double straight(double clear, double cover) {
        return ACI.detailing().developmentLength(T25, 30, 420, false, clear, cover, false);
    }

    /** ACI table 25.4.2.5 and EN figure 8.2. */
    @Test
    void bondAtTheTop() {
        assertFalse(ACI.detailing().poorBond(300 + OFF, 600));
        assertTrue(ACI.detailing().poorBond(300 + BEYOND, 600));
        assertFalse(EN.detailing().poorBond(250 + OFF, 600 + OFF));
        assertTrue(EN.detailing().poorBond(250 + BEYOND, 600));
        assertFalse(EN.detailing().poorBond(400 + OFF, 700));
        assertTrue(EN.detailing().poorBond(400 + BEYOND, 700));
        assertFalse(EN.detailing().poorBond(240, 250 + OFF));
    }
}
