package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.Detailing;
import kolonne.core.code.DuctileFrame;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Slenderness;
import kolonne.core.code.SquareLift;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule of ACI 318M-19 and ACI 318-19 by itself, at both sides of its limits; expected values are worked by hand from the clause named. */
class AciRulesTest {
    private static final Aci318 SI = Aci318.SI;
    private static final Aci318 US = Aci318.US;
    private static final double PSI = 0.00689475729;
    private static final double IN = 25.4;
    private static final double NEAR = 1e-6;

    private static Bar bar(double d) {
        return new Bar("D", d, Math.PI * d * d / 4, 0);
    }

    private static void near(double expected, double actual) {
        assertEquals(expected, actual, NEAR * Math.abs(expected));
    }

    // ---- materials
    // ----------------------------------------------------------------------------------------------------

    /** Tables 19.2.1.1 and 20.2.2.4. */
    @Test
    void gradesCovered() {
        assertTrue(SI.covers(17) && US.covers(2500 * PSI) && SI.covers(80));
        assertFalse(SI.covers(16.9) || US.covers(2480 * PSI));
        assertTrue(SI.coversSteel(690) && US.coversSteel(100_000 * PSI));
        assertFalse(SI.coversSteel(692) || US.coversSteel(100_500 * PSI));
        near(420, SI.designSteel(420));
        assertTrue(SI.reductionClause().isPresent());
        assertTrue(SI.curve(30).isEmpty()
                && SI.crackWidth().isEmpty()
                && SI.flangeShear().isEmpty());
    }

    /** 22.4.2: 0.80 · 0.65 · (0.85 · 30 · (160 000 − 3200) + 420 · 3200) = 2778.0 kN; steel counts to 550 MPa. */
    @Test
    void axialCap() {
        near(0.52 * (25.5 * 156_800 + 420 * 3200), SI.axialCap(30, 420, 160_000, 3200, Trace.OFF));
        near(0.52 * (25.5 * 156_800 + 550 * 3200), SI.axialCap(30, 600, 160_000, 3200, Trace.OFF));
        near(0.52 * (25.5 * 156_800 + 80_000 * PSI * 3200), US.axialCap(30, 690, 160_000, 3200, Trace.OFF));
    }

    /** 9.3.3.1, 6.6.5. */
    @Test
    void strains() {
        near(0.0051, SI.beamTensionStrain(0.0021, 30, Trace.OFF));
        near(0.0075, SI.redistributionStrain(0.05, 30));
        near(0.01, SI.redistributionStrain(0.10, 30));
        near(0.2, SI.mostRedistribution());
        near(300_000, SI.beamAxialLimit(30, 100_000));
        near(4, SI.deepBeamRatio());
    }

    // ---- beams
    // --------------------------------------------------------------------------------------------------------

    /** 9.6.1.2: C30, 300 × 500: 0.25 √30 = 1.369 < 1.4 MPa: 500 mm²; C50: 1.768 MPa; steel counts to 550 MPa; 9.6.1.3: a third more. */
    @Test
    void leastTensionSteel() {
        near(1.4 * 150_000 / 420, SI.beamMinimumSteel(30, 420, 300, 500, Trace.OFF));
        near(0.25 * Math.sqrt(50) * 150_000 / 420, SI.beamMinimumSteel(50, 420, 300, 500, Trace.OFF));
        near(1.4 * 150_000 / 550, SI.beamMinimumSteel(30, 600, 300, 500, Trace.OFF));
        near(
                200 * 240 / 60_000.0 * IN * IN,
                US.beamMinimumSteel(4000 * PSI, 60_000 * PSI, 12 * IN, 20 * IN, Trace.OFF));
        near(
                3 * Math.sqrt(6000) * 240 / 60_000.0 * IN * IN,
                US.beamMinimumSteel(6000 * PSI, 60_000 * PSI, 12 * IN, 20 * IN, Trace.OFF));
        near(4 / 3.0, SI.minimumSteelExcess());
    }

    /** 9.6.1.2: twice the web, or the flange, where the flange of a determinate beam is in tension. */
    @Test
    void widthOfTheLeastSteel() {
        near(600, SI.minimumSteelWidth(300, 900, 500, true, true));
        near(500, SI.minimumSteelWidth(300, 500, 400, true, true));
        near(300, SI.minimumSteelWidth(300, 900, 500, false, true));
        near(300, SI.minimumSteelWidth(300, 900, 500, true, false));
    }

    /** Table 6.3.2.1, each row deciding once. */
    @ParameterizedTest
    @CsvSource({
        "5000,100,false,9000,800",
        "700,100,false,9000,700",
        "5000,200,false,9000,1125",
        "5000,100,true,9000,600",
        "500,100,true,9000,500",
        "5000,200,true,9000,750"
    })
    void flangeOverhang(double reach, double hf, boolean oneSided, double clear, double expected) {
        near(expected, SI.flangeOverhang(reach, hf, oneSided, clear, clear));
    }

    /** Table 9.7.6.2.2 and 9.7.6.4.2. */
    @Test
    void stirrups() {
        near(250, SI.beamStirrupSpacing(500, false).along());
        near(500, SI.beamStirrupSpacing(500, false).across());
        near(600, SI.beamStirrupSpacing(1400, false).along());
        near(600, SI.beamStirrupSpacing(1400, false).across());
        near(125, SI.beamStirrupSpacing(500, true).along());
        near(250, SI.beamStirrupSpacing(500, true).across());
        near(300, SI.beamStirrupSpacing(1400, true).along());
        near(300, SI.beamStirrupSpacing(1400, true).across());
        near(24 * IN, US.beamStirrupSpacing(1400, false).along());
        near(12 * IN, US.beamStirrupSpacing(1400, true).across());
        near(250, SI.compressionTieSpacing(bar(20), bar(10), 250));
        near(320, SI.compressionTieSpacing(bar(20), bar(10), 500));
        near(288, SI.compressionTieSpacing(bar(20), bar(6), 500));
        assertTrue(SI.compressionBarsHeld());
        near(9.5, SI.compressionStirrup(bar(32), false));
        near(12.7, SI.compressionStirrup(bar(36), false));
        near(12.7, SI.compressionStirrup(bar(20), true));
        near(0.75 * 420, SI.hangerStress(500));
        near(0.75 * 300, SI.hangerStress(300));
        near(1200, SI.nearLoadReach(600));
    }

    // ---- shear
    // --------------------------------------------------------------------------------------------------------

    private static ShearStrength shear(double d, double avs, double nu) {
        return SI.shear(new ShearInput(30, 500, 300, d, 300 * 700.0, 0.01, avs, nu), Trace.OFF);
    }

    /** 22.5.5.1.3 in its own form of units: λs = √(2 / (1 + 0.004 · 600)) = 0.767; no more than 1 to 250 mm. */
    @Test
    void sizeFactorInMillimetres() {
        double root = 0.66 * Math.cbrt(0.01) * Math.sqrt(30);
        near(0.75 * root * Math.sqrt(2 / 3.4) * 300 * 600, shear(600, 0, 0).concrete());
        near(0.75 * root * Math.sqrt(2 / 2.2) * 300 * 300, shear(300, 0, 0).concrete());
        near(0.75 * root * 300 * 200, shear(200, 0, 0).concrete());
    }

    /** Table 22.5.5.1: Nu / 6Ag at most 0.05 f'c; Vc not below zero and at most 0.42 √f'c bw d (22.5.5.1.1). */
    @Test
    void axialForceInShear() {
        double area = 300 * 600;
        double alone = 0.17 * Math.sqrt(30);
        near(0.75 * alone * area, shear(600, 1, 0).concrete());
        near(0.75 * (alone + 126e3 / 6 / 210e3) * area, shear(600, 1, 126e3).concrete());
        near(0.75 * 0.42 * Math.sqrt(30) * area, shear(600, 1, 4e6).concrete());
        near(0.75 * (alone - 126e3 / 6 / 210e3) * area, shear(600, 1, -126e3).concrete());
        assertEquals(0, shear(600, 1, -4e6).concrete(), 1e-9);
        ShearStrength weak = SI.shear(new ShearInput(17, 420, 300, 600, 210e3, 0.01, 1, 1.2e6), Trace.OFF);
        near(0.75 * (0.17 * Math.sqrt(17) + 0.05 * 17) * area, weak.concrete());
    }

    /** 9.6.3.4, 22.5.1.2, 22.5.8.5.3, table 9.7.6.2.2: fyt counts to 420; the least of 0.062 √f'c and 0.35; the strut; the halving of spacings. */
    @Test
    void stirrupsInShear() {
        double root = Math.sqrt(30);
        double area = 300 * 600;
        near(0.35 * 300 / 420, shear(600, 0, 0).minimumAvs());
        near(
                0.062 * Math.sqrt(50) * 300 / 420,
                SI.shear(new ShearInput(50, 420, 300, 600, 210e3, 0.01, 0, 0), Trace.OFF)
                        .minimumAvs());
        near(0.75 * (0.17 * root * area + 420 * 600), shear(600, 1, 0).total());
        near(0.75 * (0.17 + 0.66) * root * area, shear(600, 9, 0).total());
        near(0.75 * (0.17 + 0.66) * root * area, shear(600, 1, 0).limit());
        double half = 0.33 * root * 300 / 420;
        assertFalse(shear(600, half * 0.999, 0).highVs());
        assertTrue(shear(600, half * 1.001, 0).highVs());
        ShearInput s = new ShearInput(30, 500, 300, 600, 210e3, 0.01, 0, 0);
        near((200e3 / 0.75 - 0.17 * root * area) / (420 * 600), SI.shearSteel(s, 200e3));
        assertEquals(0, SI.shearSteel(s, 50e3), 0);
        double most = 0.75 * 0.83 * root * area;
        assertTrue(
                Double.isFinite(SI.shearSteel(s, most * 0.9999)) && Double.isInfinite(SI.shearSteel(s, most * 1.0001)));
        assertEquals(SI.shearSteel(s, 200e3), SI.shearSteelBesideTorsion(s, 200e3), 0);
    }

    // ---- bars
    // ---------------------------------------------------------------------------------------------------------

    /** 25.2.1 to 25.2.3. */
    @Test
    void clearSpacing() {
        Detailing d = SI.detailing();
        near(80 / 3.0, d.beamClearSpacing(20, 20));
        near(32, d.beamClearSpacing(32, 20));
        near(25, d.beamClearSpacing(16, 10));
        near(25, d.layerClearSpacing(40));
        near(40, d.columnClearSpacing(20, 20));
        near(48, d.columnClearSpacing(32, 20));
        near(160 / 3.0, d.columnClearSpacing(20, 40));
        near(IN, US.detailing().beamClearSpacing(16, 10));
        near(1.5 * IN, US.detailing().columnClearSpacing(16, 10));
    }

    /** Table 25.4.2.5: more than 300 mm, 12 in below. */
    @Test
    void topBars() {
        assertFalse(SI.detailing().poorBond(300, 600));
        assertTrue(SI.detailing().poorBond(300.1, 600));
        assertFalse(US.detailing().poorBond(12 * IN, 600));
        assertTrue(US.detailing().poorBond(12 * IN + 0.1, 600));
    }

    /** Table 24.3.2: fs = 280: 380 − 2.5 · 50 = 255, at most 300; fs = 333.3: 319.2 − 100 = 219.2, at most 252. */
    @Test
    void crackSpacing() {
        near(255, SI.detailing().crackSpacing(420, 50));
        near(300, SI.detailing().crackSpacing(420, 30));
        near(219.2, SI.detailing().crackSpacing(500, 40));
        near(252, SI.detailing().crackSpacing(500, 20));
        near(10 * IN, US.detailing().crackSpacing(60_000 * PSI, 2 * IN));
        near(12 * IN, US.detailing().crackSpacing(60_000 * PSI, IN));
    }

    /** 9.7.3.3: d, or 12 db where that is more; 9.7.3.8.4: also ln / 16. */
    @Test
    void extensions() {
        Detailing d = SI.detailing();
        near(500, d.extension(500, 20));
        near(384, d.extension(200, 32));
        near(700, d.runPastNeed(500, 20, 700));
        near(500, d.runPastNeed(500, 20, 300));
        near(384, d.runPastNeed(200, 32, 100));
        near(500, d.inflectionRun(500, 20, 4000));
        near(384, d.inflectionRun(200, 32, 4000));
        near(750, d.inflectionRun(500, 20, 12_000));
        assertEquals(0, d.tensionShift(500), 0);
        near(1 / 3.0, d.inflectionPart());
    }

    /** 9.7.3.5 (a) two thirds of the shear strength; (b) double the steel and three quarters, bars to No. 36. */
    @Test
    void cutsInTension() {
        Detailing d = SI.detailing();
        near(0.75, d.cutOffUse(100, 200, 50, 0, 20));
        near(2 / 3.0, d.cutOffUse(100, 200, 50, 200, 20));
        near(0.75, d.cutOffUse(100, 200, 90, 200, 20));
        near(0.75, d.cutOffUse(100, 200, 50, 200, 43));
        near(0.7, d.cutOffUse(100, 200, 70, 200, 35.8));
    }

    /** 9.7.3.8, 9.7.7, 9.7.2.3, 25.6.1. */
    @Test
    void partsThatRunOn() {
        Detailing d = SI.detailing();
        near(1 / 3.0, d.bottomIntoSupport(true));
        near(1 / 4.0, d.bottomIntoSupport(false));
        near(1 / 4.0, d.integrityPart(true));
        near(1 / 6.0, d.integrityPart(false));
        assertTrue(d.bottomYieldsAtColumns() && d.integrityYields());
        near(900, d.skinSteelDepth());
        near(36 * IN, US.detailing().skinSteelDepth());
        near(1, d.pairAnchorage());
        near(800, d.pairStagger(bar(20)));
        near(36, d.largestInPair());
        near(1.41 * IN, US.detailing().largestInPair());
        near(
                1.3 * d.developmentLength(bar(20), 30, 420, false, 60, 50, true),
                d.lapLength(bar(20), 30, 420, false, 60, 50));
    }

    // ---- columns
    // ------------------------------------------------------------------------------------------------------

    /** 25.7.2.1: 16 db, 48 dt, the least side; with shear table 10.7.6.5.2. */
    @ParameterizedTest
    @CsvSource({
        "20,10,300,250,false,false,300",
        "20,10,500,450,false,false,320",
        "20,6,500,450,false,false,288",
        "20,10,500,400,true,false,200",
        "20,10,500,400,true,true,100",
        "20,10,150,400,true,false,150",
        "50,20,2000,1800,true,false,600",
        "50,20,2000,1800,true,true,300"
    })
    void tieSpacing(double db, double dt, double side, double d, boolean shear, boolean high, double expected) {
        near(expected, SI.columns().columnTieSpacing(bar(db), bar(dt), side, d, shear, high));
    }

    /** 25.7.2.2, 25.7.2.3, 10.6, 10.7.3.1, 22.5.1.11. */
    @Test
    void columns() {
        ColumnRules c = SI.columns();
        near(9.5, c.smallestTie(bar(32)));
        near(12.7, c.smallestTie(bar(36)));
        ShearStrength s = new ShearStrength(100, 200, 400, 0, false);
        assertFalse(c.columnShearCounts(50, s));
        assertTrue(c.columnShearCounts(50.1, s));
        assertTrue(c.columnMinimumTies());
        near(1, c.roundTiePart());
        near(1.5, c.shearBothWays());
        assertEquals(4, c.columnFewestBars(true));
        near(150, c.greatestUnheldDistance());
        near(6 * IN, US.columns().greatestUnheldDistance());
        near(0.01, c.columnMinimumRatio());
        near(0.08, c.columnMaximumRatio());
        assertEquals(0, c.columnMinimumSteel(1e6, 420), 0);
    }

    private static Slenderness.Lift lift(double m1, double m2, double pu, double length, double sustained) {
        return SquareLift.aci(400)
                .radius(120)
                .stiffness(4e13)
                .sustained(sustained, 0)
                .at(m1, m2, length, pu);
    }

    /**
     * 6.2.5.1 and 6.6.4.5, M1/M2 negative in single curvature: klu/r ≤ 34 + 12 M1/M2 ≤ 40. lu = 6 m, EI = 0.4 · 4e13 / 1.5, Pc = π² EI / lu² = 2924 kN,
     * Pu = 800 kN: δ = Cm / (1 − 800 / 2193).
     */
    @Test
    void magnification() {
        Slenderness s = SI.slenderness();
        assertFalse(s.braced(lift(-50e6, 100e6, 800e3, 28 * 120, 0), Trace.OFF).slender());
        assertTrue(
                s.braced(lift(-50e6, 100e6, 800e3, 28 * 120 + 1, 0), Trace.OFF).slender());
        assertFalse(s.braced(lift(100e6, 100e6, 800e3, 40 * 120, 0), Trace.OFF).slender());
        assertTrue(
                s.braced(lift(100e6, 100e6, 800e3, 40 * 120 + 1, 0), Trace.OFF).slender());
        assertFalse(s.braced(lift(-50e6, 100e6, 0, 6000, 0), Trace.OFF).slender());
        double pc = Math.PI * Math.PI * 0.4 * 4e13 / 1.5 / 36e6;
        double rest = 1 - 800e3 / (0.75 * pc);
        near(
                0.8 / rest * 100e6,
                s.braced(lift(-50e6, 100e6, 800e3, 6000, 0.5), Trace.OFF).moment());
        near(
                0.8 / rest,
                s.braced(lift(-50e6, 100e6, 800e3, 6000, 0.5), Trace.OFF).factor());
        // double curvature: Cm = 0.4, and never less than the end moment
        near(100e6, s.braced(lift(80e6, 100e6, 800e3, 6000, 0.5), Trace.OFF).moment());
        // the least moment Pu (15 + 0.03 h) = 21.6 kNm with Cm = 1
        near(
                21.6e6 / rest,
                s.braced(lift(-10e6, 20e6, 800e3, 6000, 0.5), Trace.OFF).moment());
        assertTrue(Double.isInfinite(
                s.braced(lift(-50e6, 100e6, 3000e3, 6000, 0.5), Trace.OFF).moment()));
        near(1 / 0.9, s.sway(0.1));
        assertTrue(Double.isInfinite(s.sway(1)));
        near(0.05, s.bracedIndex());
        near(1.4, s.greatestFactor());
        assertEquals(0, s.imperfection(4000) + s.leastEccentricity(400), 0);
    }

    // ---- service
    // ------------------------------------------------------------------------------------------------------

    /** 19.2.3.1, table 24.2.3.5, 24.2.4.1: Mcr = 100, Ma = 100, Ig = 10, Icr = 4: 4 / (1 − 4/9 · 0.6) = 5.4545. */
    @Test
    void service() {
        near(0.62 * Math.sqrt(30), SI.serviceability().rupture(30));
        near(7.5 * Math.sqrt(4000) * PSI, US.serviceability().rupture(4000 * PSI));
        near(10, SI.serviceability().effectiveInertia(66, 100, 10, 4, Trace.OFF));
        near(4 / (1 - 4 / 9.0 * 0.6), SI.serviceability().effectiveInertia(100, 100, 10, 4, Trace.OFF));
        near(4 / (1 - 0.04 * 0.6), SI.serviceability().effectiveInertia(100, 30, 10, 4, Trace.OFF));
        near(2, SI.serviceability().longTermFactor(0, Trace.OFF));
        near(4 / 3.0, SI.serviceability().longTermFactor(0.01, Trace.OFF));
        assertEquals(0, SI.serviceability().creep() + SI.serviceability().shrinkage(), 0);
        assertTrue(Double.isInfinite(SI.serviceability().totalDivisor())
                && SI.serviceability().limitsLive());
    }

    // ---- moment frames
    // ------------------------------------------------------------------------------------------------

    private static DuctileFrame frame(Ductility kind) {
        return SI.ductile(kind).orElseThrow();
    }

    /** 18.3.2: two bars and a quarter of the bottom steel run through; nothing else. */
    @Test
    void ordinaryFrames() {
        assertTrue(SI.ductile(Ductility.NONE).isEmpty());
        DuctileFrame f = frame(Ductility.ORDINARY);
        assertEquals("ordinary moment frame", f.name());
        near(0.25, f.continuousBottom());
        assertEquals(
                0,
                f.saggingAtFace()
                        + f.anywhere()
                        + f.steelFactor()
                        + f.hoopDepths()
                        + f.leastSpanToDepth()
                        + f.leastWidth(600)
                        + f.columnDepthInBars(420)
                        + f.hookLength(bar(20), 30, 420),
                0);
        assertTrue(Double.isInfinite(f.mostRatio(420))
                && Double.isInfinite(f.earthquakeFactor())
                && Double.isInfinite(f.spacingElsewhere(500)));
        assertFalse(f.leastSteelOnBothFaces() || f.concreteMayBeLost() || f.lapsAwayFromColumns() || f.hoopsHoldBars());
    }

    /** 18.4.2: a third and a fifth of strengths, twice the earthquake, hoops over 2h at d/4, 8 db, 24 dh, 300 mm, d/2 elsewhere. */
    @Test
    void intermediateFrames() {
        DuctileFrame f = frame(Ductility.INTERMEDIATE);
        near(0.25, f.continuousBottom());
        near(1 / 3.0, f.saggingAtFace());
        near(1 / 5.0, f.anywhere());
        near(1, f.steelFactor());
        near(2, f.earthquakeFactor());
        near(2, f.hoopDepths());
        near(125, f.hoopSpacing(500, bar(20), bar(10), 420));
        near(128, f.hoopSpacing(900, bar(16), bar(10), 420));
        near(192, f.hoopSpacing(900, bar(32), bar(8), 420));
        near(300, f.hoopSpacing(2000, bar(40), bar(16), 420));
        near(250, f.spacingElsewhere(500));
        assertTrue(Double.isInfinite(f.lapHoops(500))
                && Double.isInfinite(f.mostProjection(400, 400))
                && Double.isInfinite(f.mostRatio(420)));
        assertFalse(f.leastSteelOnBothFaces() || f.concreteMayBeLost() || f.lapsAwayFromColumns() || f.hoopsHoldBars());
        assertEquals(0, f.columnDepthInBars(420) + f.hookLength(bar(20), 30, 420) + f.leastWidth(600), 0);
    }

    /** 18.6.2 to 18.6.5, 18.8.2.3, 18.8.5.1: fy db / (5.4 √f'c) = 420 · 20 / 29.58 = 284 mm, 8 db, 150 mm. */
    @Test
    void specialFrames() {
        DuctileFrame f = frame(Ductility.SPECIAL);
        near(0.5, f.saggingAtFace());
        near(0.25, f.anywhere());
        assertEquals(0, f.continuousBottom(), 0);
        near(1.25, f.steelFactor());
        near(0.025, f.mostRatio(420));
        near(0.020, f.mostRatio(550));
        near(125, f.hoopSpacing(500, bar(25), bar(10), 420));
        near(96, f.hoopSpacing(500, bar(16), bar(10), 420));
        near(80, f.hoopSpacing(500, bar(16), bar(10), 550));
        near(150, f.hoopSpacing(900, bar(32), bar(10), 420));
        near(100, f.lapHoops(500));
        near(75, f.lapHoops(300));
        near(350, f.heldDistance());
        near(250, f.spacingElsewhere(500));
        near(4, f.leastSpanToDepth());
        near(180, f.leastWidth(600));
        near(250, f.leastWidth(1000));
        near(300, f.mostProjection(400, 500));
        near(200, f.mostProjection(400, 200));
        near(20, f.columnDepthInBars(420));
        near(26, f.columnDepthInBars(550));
        near(420 * 20 / (5.4 * Math.sqrt(30)), f.hookLength(bar(20), 30, 420));
        near(150, f.hookLength(bar(10), 60, 420));
        near(160, f.hookLength(bar(20), 60, 240));
        assertTrue(f.leastSteelOnBothFaces() && f.concreteMayBeLost() && f.lapsAwayFromColumns() && f.hoopsHoldBars());
        assertTrue(Double.isInfinite(f.earthquakeFactor()));
        DuctileFrame us = US.ductile(Ductility.SPECIAL).orElseThrow();
        near(60_000 / (65 * Math.sqrt(4000)) * IN, us.hookLength(bar(IN), 4000 * PSI, 60_000 * PSI));
    }

    /** 22.7.4 and 22.7.5: of flanges the torsion counts; 9.7.5.3: bt + d past the need. */
    @Test
    void torsion() {
        assertTrue(SI.torsion().flangeCounts());
        near(800, SI.torsion().extension(300, 500));
        near(7000, SI.zeroMomentLength(7000, false, 3, 1));
        assertFalse(SI.nearLoadWords().isBlank());
        assertEquals("ACI 318M-19", SI.name());
        assertEquals("ACI 318-19", US.name());
    }
}
