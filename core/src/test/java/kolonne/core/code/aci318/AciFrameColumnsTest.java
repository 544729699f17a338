package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.DuctileColumns;
import kolonne.core.code.JointRules;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rules for columns and joints of moment frames, at both sides of their limits; expected values are worked by hand from the clause named. */
class AciFrameColumnsTest {
    private static final double PSI = 0.00689475729;
    private static final double IN = 25.4;
    private static final DuctileColumns ORDINARY = of(Aci318.SI, Ductility.ORDINARY);
    private static final DuctileColumns INTERMEDIATE = of(Aci318.SI, Ductility.INTERMEDIATE);
    private static final DuctileColumns SPECIAL = of(Aci318.SI, Ductility.SPECIAL);
    private static final DuctileColumns OUTSIDE = of(Aci318.SI, Ductility.OUTSIDE);
    private static final DuctileColumns US = of(Aci318.US, Ductility.SPECIAL);

    private static DuctileColumns of(Aci318 code, Ductility kind) {
        return code.ductile(kind).orElseThrow().columns();
    }

    private static Bar bar(double d) {
        return new Bar("D", d, Math.PI * d * d / 4, 0);
    }

    private static void near(double expected, double actual) {
        assertEquals(expected, actual, 1e-6 * Math.abs(expected));
    }

    /** 18.7.2.1, 18.7.4.1, 18.7.4.2. */
    @Test
    void proportionsAndSteel() {
        near(300, SPECIAL.leastSide());
        near(12 * IN, US.leastSide());
        near(0.4, SPECIAL.leastSideRatio());
        near(0.06, SPECIAL.mostRatio());
        assertEquals(6, SPECIAL.fewestRoundBars());
        for (DuctileColumns r : new DuctileColumns[] {ORDINARY, INTERMEDIATE}) {
            assertEquals(0, r.leastSide() + r.leastSideRatio() + r.fewestRoundBars() + r.developmentFactor());
            assertTrue(Double.isInfinite(r.mostRatio()) && !r.lapsInMiddle());
        }
        assertTrue(SPECIAL.lapsInMiddle());
        near(1.25, SPECIAL.developmentFactor());
    }

    /** 18.7.5.1, 18.4.3.3: the side, a sixth of the clear height, 450 mm (18 in). */
    @ParameterizedTest
    @CsvSource({"400,2400,450", "600,2400,600", "400,3600,600", "500,2700,500"})
    void lengthOfCloserHoops(double side, double clear, double expected) {
        near(expected, SPECIAL.reach(side, clear));
        near(expected, INTERMEDIATE.reach(side, clear));
        assertEquals(0, ORDINARY.reach(side, clear));
    }

    /** 18.7.5.3: a quarter of the side, 6 db (5 db above grade 420), 100 + (350 − hx)/3 between 100 and 150. */
    @ParameterizedTest
    @CsvSource({
        "25,800,350,420,100",
        "25,800,290,420,120",
        "25,800,200,420,150",
        "25,800,100,420,150",
        "25,440,200,420,110",
        "20,800,200,420,120",
        "20,800,200,550,100",
        "16,800,350,420,96"
    })
    void hoopsOfSpecialFrames(double db, double side, double hx, double fy, double expected) {
        near(expected, SPECIAL.hoopSpacing(bar(db), side, hx, fy));
    }

    /** 18.4.3.3: 8 db and 200 mm (6 db and 150 mm of grade 550), half the side. */
    @ParameterizedTest
    @CsvSource({"20,600,420,160", "32,600,420,200", "32,300,420,150", "20,600,550,120", "32,600,550,150"})
    void hoopsOfIntermediateFrames(double db, double side, double fy, double expected) {
        near(expected, INTERMEDIATE.hoopSpacing(bar(db), side, 400, fy));
        assertTrue(Double.isInfinite(INTERMEDIATE.spacingElsewhere(bar(db), fy)));
        assertTrue(Double.isInfinite(ORDINARY.hoopSpacing(bar(db), side, 400, fy)));
    }

    /** 18.7.5.5, and inches: so = 4 + (14 − 11)/3 = 5 in. */
    @Test
    void spacingElsewhereAndInInches() {
        near(150, SPECIAL.spacingElsewhere(bar(25), 420));
        near(120, SPECIAL.spacingElsewhere(bar(20), 420));
        near(100, SPECIAL.spacingElsewhere(bar(20), 550));
        near(5 * IN, US.hoopSpacing(bar(25.4), 24 * IN, 11 * IN, 60_000 * PSI));
        near(18 * IN, US.reach(16 * IN, 100 * IN));
    }

    /** 18.7.5.2(e), (f): 350 mm; 200 mm and every bar where Pu > 0.3 Ag f'c or f'c > 70 MPa. */
    @Test
    void heldBars() {
        assertFalse(SPECIAL.everyBarHeld(0.3 * 160_000 * 30 - 1, 160_000, 30));
        assertTrue(SPECIAL.everyBarHeld(0.3 * 160_000 * 30 + 1, 160_000, 30));
        assertTrue(SPECIAL.everyBarHeld(0, 160_000, 71) && !SPECIAL.everyBarHeld(0, 160_000, 70));
        near(350, SPECIAL.heldDistance(false));
        near(200, SPECIAL.heldDistance(true));
        assertFalse(INTERMEDIATE.everyBarHeld(1e9, 160_000, 80));
        assertTrue(Double.isInfinite(INTERMEDIATE.heldDistance(true)));
    }

    private static double confined(double ag, double ach, double fc, double fyt, double p, int held, boolean round) {
        return SPECIAL.confinement(new DuctileColumns.Confinement(ag, ach, fc, fyt, p, held, round), Trace.OFF);
    }

    /**
     * Table 18.7.5.4 for a 600 mm square of 30 MPa, cover 40, hoops of 420 MPa: Ag / Ach = (600/520)² = 1.3314, 0.3 · 0.3314 · 30/420 = 0.007101 above
     * 0.09 · 30/420 = 0.006429; with Pu = 0.4 Ag f'c = 4320 kN and 12 held bars 0.2 · 1 · 12/10 · 4320e3 / (420 · 270 400) = 0.009129.
     */
    @Test
    void confinementOfRectangles() {
        near(0.3 * (360_000 / 270_400.0 - 1) * 30 / 420, confined(360_000, 270_400, 30, 420, 0, 12, false));
        near(0.0091293, Math.round(1e7 * confined(360_000, 270_400, 30, 420, 4320e3, 12, false)) / 1e7);
        // a large core: the second bound
        near(0.09 * 30 / 420, confined(1e6, 0.9e6, 30, 420, 0, 12, false));
        // 80 MPa: kf = 80/175 + 0.6 = 1.0571, 8 held bars: kn = 8/6; Pu = 0.6 Ag f'c
        near(
                0.2 * 1.0571428571 * 4 / 3 * 17_280e3 / (420 * 270_400),
                confined(360_000, 270_400, 80, 420, 17_280e3, 8, false));
        // fyt counts to 700 MPa
        near(0.09 * 30 / 700, confined(1e6, 0.9e6, 30, 900, 0, 12, false));
        assertEquals(
                0,
                INTERMEDIATE.confinement(
                        new DuctileColumns.Confinement(360_000, 270_400, 30, 420, 9e6, 12, false), Trace.OFF));
    }

    /** Round hoops: 0.45 (Ag/Ach − 1) f'c/fyt, 0.12 f'c/fyt, 0.35 kf Pu / (fyt Ach). */
    @Test
    void confinementOfRounds() {
        double ag = Math.PI * 600 * 600 / 4;
        double ach = Math.PI * 520 * 520 / 4;
        near(0.45 * (ag / ach - 1) * 30 / 420, confined(ag, ach, 30, 420, 0, 8, true));
        near(0.12 * 30 / 420, confined(1.1e6, 1e6, 30, 420, 0, 8, true));
        double p = 0.35 * ag * 30;
        near(
                Math.max(0.45 * (ag / ach - 1) * 30 / 420, 0.35 * p / (420 * ach)),
                confined(ag, ach, 30, 420, p, 8, true));
        // kf = 80/175 + 0.6
        near(0.35 * (80 / 175.0 + 0.6) * 15e6 / (420 * ach), confined(ag, ach, 80, 420, 15e6, 8, true));
    }

    /** The calculation names each of the three, the third only where all bars must be held. */
    @Test
    void confinementInWords() {
        for (boolean round : new boolean[] {false, true}) {
            for (double p : new double[] {0, 4320e3}) {
                Trace t = Trace.recording();
                SPECIAL.confinement(new DuctileColumns.Confinement(360_000, 270_400, 30, 420, p, 12, round), t);
                List<String> said = t.steps().stream().map(s -> s.formula()).toList();
                String square = "[0.3 (Ag / Ach − 1) f′c / fyt, 0.09 f′c / fyt";
                String circle = "[0.45 (Ag / Ach − 1) f′c / fyt, 0.12 f′c / fyt";
                String third = round ? ", 0.35 kf Pu / (fyt Ach)" : ", 0.2 kf kn Pu / (fyt Ach)";
                assertEquals((round ? circle : square) + (p > 0 ? third : "") + "]", said.toString());
                near(360_000 / 270_400.0, t.steps().get(0).inputs().get(0).value());
            }
        }
    }

    /** The calculation of a joint says what its strength hangs on; in psi the whole number of the table. */
    @Test
    void jointsInWords() {
        for (Aci318 code : List.of(Aci318.SI, Aci318.US)) {
            for (boolean good : new boolean[] {true, false}) {
                Trace t = Trace.recording();
                JointRules rules =
                        code.ductile(Ductility.SPECIAL).orElseThrow().columns().joints();
                double v = rules.shear(new JointRules.Joint(good, good, good, 30, 500, 400), t);
                assertEquals(
                        List.of("Aj", "φVn"),
                        t.steps().stream().map(s -> s.symbol()).toList());
                assertEquals(200_000, t.steps().get(0).value(), 1e-9);
                assertEquals(v, t.steps().get(1).value(), 1e-9);
                String c = code == Aci318.SI ? good ? "1.7" : "0.7" : good ? "20" : "8";
                assertEquals("φ " + c + " λ √f′c Aj", t.steps().get(1).formula());
                assertEquals(
                        good
                                ? "0.85 × {0} × {1}, column runs on, beams from both sides, held across"
                                : "0.85 × {0} × {1}, column ends, beams from one side, not held across",
                        t.steps().get(1).template());
            }
        }
        assertEquals("18.3.4", ORDINARY.joints().forcesClause().text());
        assertEquals("18.4.4.7.2", INTERMEDIATE.joints().forcesClause().text());
        assertEquals("18.8.2.1, 18.8.4.1", SPECIAL.joints().forcesClause().text());
        assertEquals("18.14.3.3, 18.4.4.7.2", OUTSIDE.joints().forcesClause().text());
        assertEquals(
                "15.4.1.1(a)",
                new AciColumnRules(UnitForm.SI)
                        .plainJoints()
                        .orElseThrow()
                        .forcesClause()
                        .text());
    }

    /** Members outside the system answer to 18.7 by 18.14.3.3. */
    @Test
    void clauses() {
        assertEquals("18.7.5.4", SPECIAL.confinementClause().text());
        assertEquals("18.8.3.1", SPECIAL.jointSpacingClause().text());
        assertEquals("18.4.4.4", INTERMEDIATE.jointSpacingClause().text());
        assertEquals("15.3.1.4", ORDINARY.jointSpacingClause().text());
        assertEquals("18.3.3", ORDINARY.capacityShearClause().text());
        assertEquals("18.4.3.1", INTERMEDIATE.capacityShearClause().text());
        assertEquals("18.7.6.1", SPECIAL.capacityShearClause().text());
        assertEquals("18.14.3.3, 18.7.5.4", OUTSIDE.confinementClause().text());
        assertEquals("18.14.3.3, 18.4.4.4", OUTSIDE.jointSpacingClause().text());
        assertEquals("18.14.3.3, 18.7.6.1", OUTSIDE.capacityShearClause().text());
    }

    /** 18.7.6.1 and 18.7.6.2; 18.4.3.1 and 18.3.3 with Ωo = 3. */
    @Test
    void shearFromTheEnds() {
        near(1.25, SPECIAL.steelFactor());
        near(1, INTERMEDIATE.steelFactor());
        near(3, INTERMEDIATE.overstrength());
        near(3, ORDINARY.overstrength());
        assertTrue(Double.isInfinite(SPECIAL.overstrength()) && SPECIAL.limitedByBeams());
        near(5, ORDINARY.shortest());
        assertTrue(Double.isInfinite(INTERMEDIATE.shortest()) && Double.isInfinite(SPECIAL.shortest()));
        assertTrue(SPECIAL.withoutConcrete(160_000 * 30 / 20.0 - 1, 160_000, 30));
        assertFalse(SPECIAL.withoutConcrete(160_000 * 30 / 20.0 + 1, 160_000, 30));
        assertFalse(INTERMEDIATE.withoutConcrete(0, 160_000, 30));
    }

    /** Tables 15.4.2.3 and 18.8.4.3, φ 0.75 and 0.85 (21.2.4.4): per √f'c and Aj. */
    @ParameterizedTest
    @CsvSource({
        "true,true,true,1.5,1.275,1.445,17",
        "true,true,false,1.275,0.9,1.02,12.75",
        "true,false,true,1.275,0.9,1.02,12.75",
        "false,true,true,1.275,0.9,1.02,12.75",
        "true,false,false,0.9,0.75,0.85,10.2",
        "false,true,false,0.9,0.75,0.85,10.2",
        "false,false,true,0.9,0.75,0.85,10.2",
        "false,false,false,0.75,0.525,0.595,6.8"
    })
    void strengthOfJoints(
            boolean column,
            boolean beam,
            boolean held,
            double ordinary,
            double intermediate,
            double special,
            double inches) {
        JointRules.Joint j = new JointRules.Joint(column, beam, held, 36, 500, 400);
        near(ordinary * 6 * 200_000, ORDINARY.joints().shear(j, Trace.OFF));
        near(intermediate * 6 * 200_000, INTERMEDIATE.joints().shear(j, Trace.OFF));
        near(special * 6 * 200_000, SPECIAL.joints().shear(j, Trace.OFF));
        JointRules.Joint us = new JointRules.Joint(column, beam, held, 4900 * PSI, 20 * IN, 16 * IN);
        // √4900 = 70 psi over 320 in²
        near(inches * 70 * 320 * PSI * IN * IN, US.joints().shear(us, Trace.OFF));
    }

    /** 15.4.2.4, 18.7.3.2, 18.8.2.3, 18.4.4.2. */
    @Test
    void otherRulesOfJoints() {
        JointRules r = SPECIAL.joints();
        near(600, r.width(300, 400, 600));
        near(500, r.width(300, 200, 600));
        near(600, r.width(700, 200, 600));
        near(1.2, r.strongColumn());
        assertEquals(0, INTERMEDIATE.joints().strongColumn() + ORDINARY.joints().strongColumn());
        assertTrue(r.topIsFree(160_000 * 3 - 1, 160_000, 30) && !r.topIsFree(160_000 * 3 + 1, 160_000, 30));
        near(1.25, r.steelFactor());
        near(1, INTERMEDIATE.joints().steelFactor());
        near(0.5, r.columnOverBeam());
        near(2, INTERMEDIATE.joints().deepBeam());
        assertTrue(Double.isInfinite(r.deepBeam())
                && Double.isInfinite(ORDINARY.joints().deepBeam()));
        assertEquals(0, ORDINARY.joints().columnOverBeam());
        near(0.75, r.confiningWidth());
        // 15.3.1.4
        near(200, Aci318.SI.columns().jointTieSpacing());
        near(8 * IN, Aci318.US.columns().jointTieSpacing());
    }
}
