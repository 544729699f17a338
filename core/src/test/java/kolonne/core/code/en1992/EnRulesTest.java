package kolonne.core.code.en1992;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.CrackWidth;
import kolonne.core.code.Detailing;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Slenderness;
import kolonne.core.code.SpanRules.SpanDepth;
import kolonne.core.code.SpanRules.SpanEnds;
import kolonne.core.code.SquareLift;
import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule of EN 1992-1-1 by itself, at both sides of its limits; expected values are worked by hand from the clause named. */
class EnRulesTest {
    private static final En1992 CODE = En1992.of(Map.of());
    private static final double NEAR = 1e-6;
    /** Steel of 500 MPa in design. */
    private static final double FYD = 500 / 1.15;

    private static Bar bar(double d) {
        return new Bar("D", d, Math.PI * d * d / 4, 0);
    }

    private static void near(double expected, double actual) {
        assertEquals(expected, actual, NEAR * Math.abs(expected));
    }

    private static double fctm(double fck) {
        return 0.30 * Math.pow(fck, 2 / 3.0);
    }

    // ---- materials
    // ----------------------------------------------------------------------------------------------------

    /** Table 3.1, 3.2.2(3), 3.1.6, 3.2.7. */
    @Test
    void gradesCovered() {
        assertTrue(CODE.coversSteel(400) && CODE.coversSteel(600));
        assertFalse(CODE.coversSteel(399) || CODE.coversSteel(601));
        assertFalse(CODE.covers(11.9) || CODE.covers(91));
        near(FYD, CODE.designSteel(500));
        near(20, CODE.fcd(30));
        near(0.7 * fctm(30) / 1.5, CODE.fctd(30));
        assertFalse(CODE.reductionClause().isPresent());
        near(1, CODE.reduction(0, 0.002));
        assertTrue(CODE.curve(30).isPresent()
                && CODE.crackWidth().isPresent()
                && CODE.flangeShear().isPresent());
        assertTrue(CODE.ductile(Ductility.NONE).isEmpty());
    }

    /** 3.1.7(3): C60: λ = 0.8 − 10/400, η = 1 − 10/200, εcu3 = 2.6 + 35 (0.3)^4 per mille. */
    @Test
    void blockOfStrongConcrete() {
        near(0.95 * 40, CODE.block(60).stress());
        near(0.775, CODE.block(60).depth());
        near((2.6 + 35 * Math.pow(0.3, 4)) / 1000, CODE.block(60).crushing());
        near(20, CODE.block(30).stress());
        near(0.8, CODE.block(30).depth());
    }

    /** 6.1(3): εc2 = 2 per mille: 400 MPa of the bars to C50/60. */
    @Test
    void axialCap() {
        near(20 * 156_800 + 400 * 3200, CODE.axialCap(30, 500, 160_000, 3200, Trace.OFF));
        near(20 * 156_800 + 400 / 1.15 * 3200, CODE.axialCap(30, 400, 160_000, 3200, Trace.OFF));
        near(0.1 * 20 * 160_000, CODE.beamAxialLimit(30, 160_000));
    }

    /** 5.5(4): δ = 0.44 + 1.25 xu/d; above C50/60 δ = 0.54 + 1.25 (0.6 + 0.0014 / εcu2) xu/d. */
    @Test
    void redistribution() {
        double third = (0.8 - 0.44) / 1.25;
        near(0.0035 * (1 / third - 1), CODE.redistributionStrain(0.2, 30));
        double crushing = (2.6 + 35 * Math.pow(0.2, 4)) / 1000;
        double strong = (0.9 - 0.54) / (1.25 * (0.6 + 0.0014 / crushing));
        near(crushing * (1 / strong - 1), CODE.redistributionStrain(0.1, 70));
        near(CODE.redistributionStrain(0, 30), CODE.beamTensionStrain(0.002, 30, Trace.OFF));
        near(0.3, CODE.mostRedistribution());
        near(2, CODE.redistributionSpanRatio());
    }

    // ---- beams
    // --------------------------------------------------------------------------------------------------------

    /** (5.7) and figure 5.2. */
    @Test
    void flanges() {
        near(0.2 * 1000 + 700, CODE.flangeOverhang(1000, 100, false, 9000, 7000));
        near(500, CODE.flangeOverhang(500, 100, false, 9000, 7000));
        near(600, CODE.flangeOverhang(3000, 100, false, 9000, 3000));
        near(9000, CODE.zeroMomentLength(9000, false, 1, 0));
        near(9000, CODE.zeroMomentLength(9000, true, 3, 2));
        near(0.85 * 9000, CODE.zeroMomentLength(9000, false, 3, 0));
        near(0.85 * 9000, CODE.zeroMomentLength(9000, false, 3, 2));
        near(0.7 * 9000, CODE.zeroMomentLength(9000, false, 3, 1));
    }

    /** 9.2.2(6), (8); 9.2.1.2(3); 9.2.5; 9.2.1.1(3); 5.3.1(3). */
    @Test
    void links() {
        near(375, CODE.beamStirrupSpacing(500, false).along());
        near(375, CODE.beamStirrupSpacing(500, true).across());
        near(600, CODE.beamStirrupSpacing(1000, false).across());
        near(750, CODE.beamStirrupSpacing(1000, false).along());
        near(240, CODE.compressionTieSpacing(bar(16), bar(8), 100));
        assertFalse(CODE.compressionBarsHeld());
        near(0, CODE.compressionStirrup(bar(40), true));
        near(FYD, CODE.hangerStress(500));
        near(0.04, CODE.beamMaximumRatio());
        near(3, CODE.deepBeamRatio());
        near(1200, CODE.nearLoadReach(600));
    }

    /**
     * 6.2: 300 × 500 deep in effect, C30, fywk 500, fcd 20, ν1 = 0.6 · 0.88 = 0.528. VRd,c with ρ = 0.01: k = 1 + √0.4, 0.12 k (30)^⅓; VRd,s at cot 2.5
     * = Asw/s z fywd 2.5; VRd,max at 45° = 300 · 450 · 0.528 · 20 / 2; 9.2.2(5): 0.08 √30 / 500 · 300.
     */
    @Test
    void shear() {
        double k = 1 + Math.sqrt(0.4);
        ShearStrength none = CODE.shear(new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0, 0), Trace.OFF);
        near(0.12 * k * Math.cbrt(30) * 150_000, none.concrete());
        near(none.concrete(), none.total());
        near(0.08 * Math.sqrt(30) / 500 * 300, none.minimumAvs());
        ShearStrength poor = CODE.shear(new ShearInput(30, 500, 300, 500, 165_000, 0.0001, 0, 0), Trace.OFF);
        near(0.035 * Math.pow(k, 1.5) * Math.sqrt(30) * 150_000, poor.concrete());
        ShearStrength rich = CODE.shear(new ShearInput(30, 500, 300, 500, 165_000, 0.05, 0, 0), Trace.OFF);
        near(0.12 * k * Math.cbrt(60) * 150_000, rich.concrete());
        ShearStrength shallow = CODE.shear(new ShearInput(30, 500, 300, 150, 165_000, 0.01, 0, 0), Trace.OFF);
        near(0.12 * 2 * Math.cbrt(30) * 45_000, shallow.concrete());
        ShearStrength pressed = CODE.shear(new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0, 165e3), Trace.OFF);
        near((0.12 * k * Math.cbrt(30) + 0.15) * 150_000, pressed.concrete());
        ShearStrength hard = CODE.shear(new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0, 1650e3), Trace.OFF);
        near((0.12 * k * Math.cbrt(30) + 0.15 * 4) * 150_000, hard.concrete());
        ShearStrength links = CODE.shear(new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0.5, 0), Trace.OFF);
        near(0.5 * 450 * FYD * 2.5, links.total());
        near(300 * 450 * 0.528 * 20 / 2, links.limit());
        near(200e3 / (450 * FYD * 2.5), CODE.shearSteel(new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0, 0), 200e3));
        near(
                200e3 / (450 * FYD),
                CODE.shearSteelBesideTorsion(new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0, 0), 200e3));
        assertTrue(Double.isInfinite(CODE.shearSteel(
                new ShearInput(30, 500, 300, 500, 165_000, 0.01, 0, 0), 300 * 450 * 0.528 * 20 / 2 * 1.001)));
    }

    /** (9.1N): 0.26 fctm / fyk bt d. */
    @Test
    void leastSteelOfASection() {
        near(0.26 * fctm(30) / 500 * 150_000, CODE.beamMinimumSteel(30, 500, 300, 500, Trace.OFF));
    }

    /** 6.3.2 of 300 × 500, C30, bars 50 inside: tef = max(150 000 / 1600, 100) = 100, Ak = 200 · 400, uk = 1200. */
    @Test
    void torsion() {
        Torsion t = CODE.torsion();
        TorsionSection s = new TorsionSection(30, 500, 500, 300, 500, 150_000, 1600, 0, 0, 50);
        double fctd = 0.7 * fctm(30) / 1.5;
        near(fctd * 100 * 2 * 80_000, t.cracking(s, Trace.OFF));
        near(20e6 / (160_000 * FYD), t.legSteel(20e6, s, Trace.OFF));
        near(20e6 * 1200 / (160_000 * FYD), t.longitudinalSteel(20e6, s, Trace.OFF));
        near(20e6 / (2 * 0.528 * 20 * 80_000 * 100 * 0.5) + 0.25, t.limitUse(100e3, 20e6, s, 450, 400e3, Trace.OFF));
        near(200, t.stirrupSpacing(s));
        near(200, t.stirrupSpacing(new TorsionSection(30, 500, 500, 200, 700, 140_000, 1800, 0, 0, 50)));
        near(350, t.barSpacing());
        double tef = 150_000 / 1600.0;
        near(0.1 * fctd * tef * 2 * (300 - tef) * (500 - tef), t.threshold(30, 150_000, 1600, true, Trace.OFF));
        assertFalse(t.flangeCounts());
        assertEquals(0, t.longitudinalMinimum(20e6, s, Trace.OFF) + t.leastBar(300) + t.extension(300, 450), 0);
    }

    /** (7.16) with C30, ρ0 = 0.00548: (a) ρ = 0.004; (b) ρ = 0.01, ρ′ = 0 and 0.003; K of table 7.4N, 500 / fyk, 0.8 of wide flanges. */
    @Test
    void spanToDepth() {
        double root = Math.sqrt(30);
        double r0 = root / 1000;
        double lightly = 11 + 1.5 * root * r0 / 0.004 + 3.2 * root * Math.pow(r0 / 0.004 - 1, 1.5);
        double heavily = 11 + 1.5 * root * r0 / 0.01;
        double doubly = 11 + 1.5 * root * r0 / 0.007 + root / 12 * Math.sqrt(0.003 / r0);
        near(
                8000 / lightly / 0.9,
                CODE.leastDepth(new SpanDepth(8000, SpanEnds.SIMPLE, 500, 30, 0.004, 0, 1), Trace.OFF));
        near(
                8000 / (1.3 * heavily) / 0.9,
                CODE.leastDepth(new SpanDepth(8000, SpanEnds.ONE_END_CONTINUOUS, 500, 30, 0.01, 0, 3), Trace.OFF));
        near(
                8000 / (1.5 * doubly) / 0.9,
                CODE.leastDepth(
                        new SpanDepth(8000, SpanEnds.BOTH_ENDS_CONTINUOUS, 500, 30, 0.01, 0.003, 1), Trace.OFF));
        near(
                2000 / (0.4 * heavily * 0.8) / 0.9,
                CODE.leastDepth(new SpanDepth(2000, SpanEnds.CANTILEVER, 500, 30, 0.01, 0, 3.1), Trace.OFF));
        // more compression steel than makes ρ − ρ′ ρ0 counts to there
        near(
                8000 / (11 + 1.5 * root + root / 12 * Math.sqrt(0.008 / r0)) / 0.9,
                CODE.leastDepth(new SpanDepth(8000, SpanEnds.SIMPLE, 500, 30, 0.01, 0.008, 1), Trace.OFF));
        near(
                8000 / (heavily * 500 / 600) / 0.9,
                CODE.leastDepth(new SpanDepth(8000, SpanEnds.SIMPLE, 600, 30, 0.01, 0, 1), Trace.OFF));
        near(
                8000 / heavily / 0.9,
                CODE.leastDepth(new SpanDepth(8000, SpanEnds.SIMPLE, 400, 30, 0.01, 0, 1), Trace.OFF));
    }

    // ---- bars
    // ---------------------------------------------------------------------------------------------------------

    /** 8.2(2). */
    @Test
    void clearSpacing() {
        Detailing d = CODE.detailing();
        near(32, d.beamClearSpacing(32, 20));
        near(37, d.beamClearSpacing(20, 32));
        near(20, d.beamClearSpacing(12, 10));
        near(37, d.layerClearSpacing(32));
        near(20, d.layerClearSpacing(10));
        near(37, d.columnClearSpacing(20, 32));
    }

    /** Figure 8.2. */
    @ParameterizedTest
    @CsvSource({
        "240,250,false",
        "260,300,true",
        "250,300,false",
        "500,600,true",
        "250,600,false",
        "300,601,false",
        "302,601,true",
        "650,1000,false",
        "701,1000,true"
    })
    void bond(double height, double h, boolean poor) {
        assertEquals(poor, CODE.detailing().poorBond(height, h));
    }

    /** 8.4: C30, T20: fbd = 2.25 · 1.352 = 3.04: lbd = 5 · 434.8 / fbd; poor bond / 0.7; φ 40: η2 = 0.92; at least 10 φ and 100; C70 counts as C60. */
    @Test
    void anchorage() {
        Detailing d = CODE.detailing();
        double fbd = 2.25 * 0.7 * fctm(30) / 1.5;
        near(5 * FYD / fbd, d.developmentLength(bar(20), 30, 500, false, 0, 0, false));
        near(5 * FYD / fbd / 0.7, d.developmentLength(bar(20), 30, 500, true, 0, 0, false));
        near(10 * FYD / fbd / 0.92, d.developmentLength(bar(40), 30, 500, false, 0, 0, false));
        near(8 * FYD / fbd, d.developmentLength(bar(32), 30, 500, false, 0, 0, false));
        near(
                d.developmentLength(bar(20), 60, 500, false, 0, 0, false),
                d.developmentLength(bar(20), 70, 500, false, 0, 0, false));
        near(5 * FYD / fbd / 0.7 - 240, d.hookLength(bar(20), 30, 500, Trace.OFF));
        near(100, d.hookLength(bar(6), 60, 400, Trace.OFF));
        near(1.5 * 5 * FYD / fbd, d.lapLength(bar(20), 30, 500, false, 0, 0));
    }

    /** Table 7.3N at 0.6 fyd: 260.9 MPa: 300 − 100.9 · 50 / 40 = 173.9; 9.2.1.3, 9.2.1.4, 8.9. */
    @Test
    void partsThatRunOn() {
        Detailing d = CODE.detailing();
        near(300 - (0.6 * FYD - 160) * 1.25, d.crackSpacing(500, 30));
        near(0.45 * 500 * 2.5, d.tensionShift(500));
        near(700, d.runPastNeed(500, 20, 700));
        assertEquals(
                0,
                d.extension(500, 20)
                        + d.cutOffUse(1, 1, 1, 1, 20)
                        + d.inflectionPart()
                        + d.inflectionRun(500, 20, 8000)
                        + d.pairStagger(bar(20)),
                0);
        near(0.25, d.bottomIntoSupport(true));
        near(0.25, d.bottomIntoSupport(false));
        near(0.25, d.integrityPart(true));
        assertEquals(0, d.integrityPart(false), 0);
        assertFalse(d.bottomYieldsAtColumns() || d.integrityYields());
        near(Math.sqrt(2), d.pairAnchorage());
        near(32 / Math.sqrt(2), d.largestInPair());
        near(1000, d.skinSteelDepth());
    }

    // ---- columns
    // ------------------------------------------------------------------------------------------------------

    /** 9.5.3(3): 20 φ, the least side and 400 mm; with shear 0.75 d. */
    @ParameterizedTest
    @CsvSource({
        "12,300,250,false,240",
        "20,300,250,false,300",
        "25,600,550,false,400",
        "25,600,200,true,150",
        "20,300,550,true,300"
    })
    void tieSpacing(double db, double side, double d, boolean shear, double expected) {
        near(expected, CODE.columns().columnTieSpacing(bar(db), bar(8), side, d, shear, false));
    }

    /** 9.5.3(4): 0.6 of that over the larger side from a beam, and over laps of bars above 14 mm, with three ties at least. */
    @Test
    void closerTies() {
        near(0.6, CODE.columns().endTiePart());
        near(500, CODE.columns().endTieReach(500, 900, bar(12)));
        near(900, CODE.columns().endTieReach(500, 900, bar(16)));
        near(500, CODE.columns().endTieReach(500, 300, bar(16)));
        near(300, CODE.columns().lapTieSpacing(900, bar(16)));
        assertTrue(Double.isInfinite(CODE.columns().lapTieSpacing(900, bar(12))));
        assertTrue(Double.isInfinite(CODE.columns().jointTieSpacing()));
    }

    /** 9.5.2, 9.5.3. */
    @Test
    void columns() {
        ColumnRules c = CODE.columns();
        near(6, c.smallestTie(bar(20)));
        near(10, c.smallestTie(bar(40)));
        ShearStrength s = new ShearStrength(100, 200, 400, 0, false);
        assertFalse(c.columnShearCounts(100, s));
        assertTrue(c.columnShearCounts(100.1, s));
        assertFalse(c.columnMinimumTies());
        near(Math.PI / 4, c.roundTiePart());
        near(Math.sqrt(2), c.shearBothWays());
        assertEquals(4, c.columnFewestBars(true));
        near(150, c.greatestUnheldDistance());
        near(0.002, c.columnMinimumRatio());
        near(0.04, c.columnMaximumRatio());
        near(0.1 * 1e6 / FYD, c.columnMinimumSteel(1e6, 500));
    }

    /** 350 × 350, its radius of gyration rounded to 100. */
    private static SquareLift square() {
        return SquareLift.en(350, new Slenderness.Bars(300, 0, 0)).radius(100).sustained(0, 0.5);
    }

    /** 5.8.8 with creep: β = 0.35 + 30/200 − λ/150, Kφ = 1 + β φef; without slenderness none of it; at the moment's own limits. */
    @Test
    void curvature() {
        Slenderness s = CODE.slenderness();
        Slenderness.Lift l = square().at(-30e6, 60e6, 5000, 800e3);
        double k = 1 + (0.35 + 0.15 - 50 / 150.0) * 2 * 0.5;
        double e2 = k * FYD / 200_000 / (0.45 * 300) * 25e6 / 10;
        near(0.6 * 60e6 + 0.4 * 30e6 + 800e3 * e2, s.braced(l, Trace.OFF).moment());
        Slenderness.Lift between = square().loaded(true).at(-30e6, 60e6, 5000, 800e3);
        near(60e6 + 800e3 * e2, s.braced(between, Trace.OFF).moment());
        near((60e6 + 800e3 * e2) / 60e6, s.braced(between, Trace.OFF).factor());
        Slenderness.Lift pulled = square().loaded(true).at(-30e6, 60e6, 5000, -1);
        assertFalse(s.braced(pulled, Trace.OFF).slender());
        // λ = 120: β below zero, Kφ = 1
        Slenderness.Lift slim = square().at(-60e6, 60e6, 12_000, 800e3);
        near(
                60e6 + 800e3 * FYD / 200_000 / (0.45 * 300) * 144e6 / 10,
                s.braced(slim, Trace.OFF).moment());
        // (5.32) in double curvature: 0.6 · 60 − 0.4 · 60 is less than 0.4 · 60
        Slenderness.Lift turned = square().at(60e6, 60e6, 12_000, 800e3);
        near(
                24e6 + 800e3 * FYD / 200_000 / (0.45 * 300) * 144e6 / 10,
                s.braced(turned, Trace.OFF).moment());
        near(1 / 0.9, s.sway(0.1));
        assertTrue(Double.isInfinite(s.sway(1)) && Double.isInfinite(s.greatestFactor()));
        near(0.1 / 1.1, s.bracedIndex());
    }

    // ---- service
    // ------------------------------------------------------------------------------------------------------

    /** 7.4.3: Mcr = 60, M = 100: ζ = 1 − 0.5 · 0.36 = 0.82. */
    @Test
    void service() {
        near(fctm(30), CODE.serviceability().rupture(30));
        near(1 / (0.82 / 4 + 0.18 / 10), CODE.serviceability().effectiveInertia(100, 60, 10, 4, Trace.OFF));
        near(10, CODE.serviceability().effectiveInertia(60, 60, 10, 4, Trace.OFF));
        near(1 / (0.5 / 4 + 0.5 / 10), CODE.serviceability().effectiveInertia(60.0000001, 60, 10, 4, Trace.OFF));
        near(2, CODE.serviceability().creep());
        near(0.0003, CODE.serviceability().shrinkage());
        near(250, CODE.serviceability().totalDivisor());
        assertFalse(CODE.serviceability().limitsLive());
        assertEquals(0, CODE.serviceability().longTermFactor(0.01, Trace.OFF), 0);
    }

    private static double width(double h, double d, double x, double spacing, double stress) {
        return CODE.crackWidth()
                .orElseThrow()
                .width(
                        new CrackWidth.Cracked(h, d, x, 300, 1257, 20, 40, spacing, stress, 30, CrackWidth.BENT),
                        Trace.OFF);
    }

    /** 7.3.4 with the effective depth by (h − x)/3 and by h/2, (7.9) at its least 0.6 σs/Es, and bars more than 5 (c + φ/2) = 250 mm apart (7.14). */
    @Test
    void cracks() {
        double alpha = 200_000 / (22_000 * Math.pow(3.8, 0.3));
        double third = 1257 / (370 / 3.0 * 300);
        double strain = (250 - 0.4 * fctm(30) / third * (1 + alpha * third)) / 200_000;
        near((3.4 * 40 + 0.17 * 20 / third) * strain, width(600, 540, 230, 65, 250));
        double depth = 1257 / (2.5 * 40 * 300);
        double deeper = (250 - 0.4 * fctm(30) / depth * (1 + alpha * depth)) / 200_000;
        near((3.4 * 40 + 0.17 * 20 / depth) * deeper, width(600, 560, 100, 65, 250));
        double half = 1257 / (100 * 300.0);
        double shallow = (250 - 0.4 * fctm(30) / half * (1 + alpha * half)) / 200_000;
        near((3.4 * 40 + 0.17 * 20 / half) * shallow, width(200, 100, -200, 65, 250));
        near((3.4 * 40 + 0.17 * 20 / third) * 0.6 * 80 / 200_000, width(600, 540, 230, 65, 80));
        near((3.4 * 40 + 0.17 * 20 / third) * strain, width(600, 540, 230, 250, 250));
        near(1.3 * 370 * strain, width(600, 540, 230, 251, 250));
        CrackWidth rules = CODE.crackWidth().orElseThrow();
        near(0.3, rules.limit());
        near(2, rules.creep());
        near(400, rules.steelStress(500));
        near(13.5, rules.linearCreep(30));
        assertTrue(Double.isInfinite(rules.concreteStress(30)));
        near(
                18,
                En1992.of(Map.of("concreteStress", 0.6))
                        .crackWidth()
                        .orElseThrow()
                        .concreteStress(30));
        assertEquals("7.3.4(1)", rules.clause().text());
        assertEquals("EN 1992-1-1", CODE.name());
        assertFalse(CODE.nearLoadWords().isBlank());
        assertEquals("6.2.4", CODE.flangeShear().orElseThrow().clause().text().substring(0, 5));
    }
}
