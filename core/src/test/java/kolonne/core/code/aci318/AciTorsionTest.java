package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Torsion of a 14 by 24 in beam, f'c 4000 psi, Grade 60, #4 closed stirrups, cover 1.5 in, worked by hand in pounds and inches
 * with the formulas of ACI 318-19 22.7 and 9.6.4; and the space truss by statics.
 */
class AciTorsionTest {
    private static final double IN = 25.4;
    private static final double LB = 4.4482216152605;
    private static final double PSI = 0.00689475729316836;
    private static final Torsion US = Aci318.US.torsion();
    private static final Torsion SI = Aci318.SI.torsion();
    // x1 = 14 - 3 - 0.5 = 10.5, y1 = 24 - 3 - 0.5 = 20.5; Aoh = 215.25, ph = 62; Acp = 336, pcp = 76
    private static final TorsionSection SECTION = new TorsionSection(
            4000 * PSI,
            60_000 * PSI,
            60_000 * PSI,
            14 * IN,
            24 * IN,
            336 * IN * IN,
            76 * IN,
            215.25 * IN * IN,
            62 * IN,
            2.5 * IN);
    private static final double TORQUE = 360_000 * LB * IN;

    @Test
    void thresholdAndCracking() {
        // 0.75 x 63.2456 x 336^2 / 76 = 70 462 lb in; cracking is four times that
        assertEquals(70_462, US.threshold(SECTION.fc(), SECTION.acp(), SECTION.pcp(), true, Trace.OFF) / (LB * IN), 2);
        assertEquals(281_846, US.cracking(SECTION, Trace.OFF) / (LB * IN), 6);
    }

    @Test
    void legsAndLongitudinalSteel() {
        // At/s = 360 000 / (0.75 x 2 x 0.85 x 215.25 x 60 000) = 0.021862 in; Al = 0.021862 x 62 = 1.3555 in2
        assertEquals(0.021862, US.legSteel(TORQUE, SECTION, Trace.OFF) / IN, 1e-6);
        assertEquals(1.3555, US.longitudinalSteel(TORQUE, SECTION, Trace.OFF) / (IN * IN), 1e-4);
        // at 80 000 lb in: At/s = 0.0048583 < 25 x 14 / 60 000 = 0.0058333; Al,min = 5 x 63.2456 x 336 / 60 000 -
        // 0.0058333 x 62 = 1.4092 in2
        assertEquals(1.4092, US.longitudinalMinimum(80_000 * LB * IN, SECTION, Trace.OFF) / (IN * IN), 2e-4);
    }

    @Test
    void theLimitOfTheConcrete() {
        // Vu = 40 000 lb, d = 21.5 in: 132.9 psi; Tu ph / 1.7 Aoh2 = 283.4 psi; root 313.0; limit 0.75 x 10 x 63.2456 =
        // 474.3 psi
        double limit = 474.342 * PSI * 14 * IN * 21.5 * IN;
        assertEquals(0.6599, US.limitUse(40_000 * LB, TORQUE, SECTION, 21.5 * IN, limit, Trace.OFF), 2e-4);
        assertEquals(
                132.890 / 474.342,
                US.limitUse(40_000 * LB, 0, SECTION, 21.5 * IN, limit, Trace.OFF),
                1e-5,
                "shear alone");
    }

    @Test
    void detailing() {
        assertEquals(62.0 / 8 * IN, US.stirrupSpacing(SECTION), 1e-9);
        assertEquals(12 * IN, US.barSpacing(), 1e-9);
        assertEquals(0.042 * 300, SI.leastBar(300), 1e-9);
        assertEquals(9.5, SI.leastBar(100), 1e-9);
    }

    /** Table 22.7.4.1 with an axial force: 4 √4000 psi · 400 in² = 101.2 kips doubles what is under the root; so much tension leaves nothing. */
    @Test
    void axialForce() {
        double kips = 4 * Math.sqrt(4000) * 400 * 4.4482216;
        double ag = 400 * 25.4 * 25.4;
        double fc = 4000 * 0.00689475729316836;
        Torsion us = Aci318.US.torsion();
        assertEquals(Math.sqrt(2), us.axialFactor(kips, ag, fc, Trace.OFF), 1e-6);
        assertEquals(Math.sqrt(0.5), us.axialFactor(-0.5 * kips, ag, fc, Trace.OFF), 1e-6);
        assertEquals(0, us.axialFactor(-1.1 * kips, ag, fc, Trace.OFF));
        assertEquals(1, us.axialFactor(0, ag, fc, Trace.OFF));
        double n = 0.33 * Math.sqrt(30) * 200_000;
        assertEquals(2, Aci318.SI.torsion().axialFactor(3 * n, 200_000, 30, Trace.OFF), 1e-9);
    }

    /** Statics of the truss: walls of the tube carry T / 2Ao per length, hoops hold it up, bars hold its thrust, at 45°. */
    @Test
    void theSpaceTrussBalances() {
        double ao = 0.85 * SECTION.aoh();
        double flow = TORQUE / 0.75 / (2 * ao);
        double hoop = US.legSteel(TORQUE, SECTION, Trace.OFF) * SECTION.fyt();
        assertEquals(flow, hoop, 1e-9 * flow);
        double thrust = flow * SECTION.ph();
        assertEquals(thrust, US.legSteel(TORQUE, SECTION, Trace.OFF) * SECTION.ph() * SECTION.fyt(), 1e-9 * thrust);
    }

    @ParameterizedTest
    @CsvSource({"21", "28", "35", "55"})
    void theEditionsAgree(double fc) {
        TorsionSection s = new TorsionSection(fc, 413.7, 413.7, 350, 600, 210_000, 1900, 140_000, 1570, 60);
        assertEquals(US.cracking(s, Trace.OFF), SI.cracking(s, Trace.OFF), 0.01 * US.cracking(s, Trace.OFF));
        for (double t : new double[] {1e7, 4e7, 1e8}) {
            assertEquals(
                    US.legSteel(t, s, Trace.OFF), SI.legSteel(t, s, Trace.OFF), 0.01 * US.legSteel(t, s, Trace.OFF));
            assertEquals(
                    US.longitudinalSteel(t, s, Trace.OFF),
                    SI.longitudinalSteel(t, s, Trace.OFF),
                    0.03 * US.longitudinalSteel(t, s, Trace.OFF));
        }
    }

    @Test
    void strongSteelCountsToItsLimitOnly() {
        TorsionSection strong = new TorsionSection(30, 550, 550, 350, 600, 210_000, 1900, 140_000, 1570, 60);
        TorsionSection usual = new TorsionSection(30, 420, 420, 350, 600, 210_000, 1900, 140_000, 1570, 60);
        assertEquals(SI.legSteel(5e7, usual, Trace.OFF), SI.legSteel(5e7, strong, Trace.OFF), 1e-12);
        assertTrue(SI.longitudinalSteel(5e7, usual, Trace.OFF) > 0);
    }

    @Test
    void everyStepIsExplained() {
        Trace t = Trace.recording();
        SI.threshold(30, 210_000, 1900, true, t);
        TorsionSection s = new TorsionSection(30, 420, 420, 350, 600, 210_000, 1900, 140_000, 1570, 60);
        SI.cracking(s, t);
        SI.legSteel(5e7, s, t);
        SI.longitudinalSteel(5e7, s, t);
        SI.longitudinalMinimum(5e7, s, t);
        SI.limitUse(1e5, 5e7, s, 500, 6e5, t);
        assertEquals(8, t.steps().size());
    }
}
