package kolonne.core.code.en1992;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.CrackWidth;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.Slenderness;
import kolonne.core.code.SquareLift;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.section.TorsionTube;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * EN 1992-1-1 against its own tables, published tables and worked examples, and hand calculations. MBH stands for Mosley, Bungey and Hulse,
 * Reinforced Concrete Design to Eurocode 2, whose examples use αcc = 0.85; CC for The Concrete Centre, How to Design Concrete
 * Structures using Eurocode 2.
 */
class En1992Test {
    private static final En1992 CODE = En1992.of(Map.of());
    private static final En1992 UK = En1992.of(Map.of("alphaCc", 0.85));

    /** Table 3.1 prints one decimal, εcu2 and εc2 in thousandths. */
    @ParameterizedTest
    @CsvSource({
        "12,1.6,27,2.0,3.5,2.0",
        "20,2.2,30,2.0,3.5,2.0",
        "25,2.6,31,2.0,3.5,2.0",
        "30,2.9,33,2.0,3.5,2.0",
        "35,3.2,34,2.0,3.5,2.0",
        "40,3.5,35,2.0,3.5,2.0",
        "50,4.1,37,2.0,3.5,2.0",
        "55,4.2,38,2.2,3.1,1.75",
        "60,4.4,39,2.3,2.9,1.6",
        "70,4.6,41,2.4,2.7,1.45",
        "80,4.8,42,2.5,2.6,1.4",
        "90,5.0,44,2.6,2.6,1.4"
    })
    void concreteIsThatOfTable31(double fck, double fctm, double ecm, double plateau, double crushing, double n) {
        assertEquals(fctm, EnConcrete.fctm(fck), 0.06);
        assertEquals(ecm, EnConcrete.ecm(fck) / 1000, 0.75, "the table rounds to GPa");
        assertEquals(plateau, 1000 * EnConcrete.plateau(fck), 0.06);
        assertEquals(crushing, 1000 * EnConcrete.crushing(fck), 0.06);
        assertEquals(n, EnConcrete.exponent(fck), 0.06);
    }

    private static double moment(DesignCode code, Shape s, double fck, BarLayer... layers) {
        return FlexuralStrength.of(s, true, List.of(layers), fck, 500, code, Trace.OFF)
                        .phiMn()
                / 1e6;
    }

    /** MBH chapter 4, analysis of a singly reinforced section: b = 300, d = 520, As = 1470, fck = 25: s = 150 mm, M = 284 kNm. */
    @Test
    void singlyReinforced() {
        FlexuralStrength f = FlexuralStrength.of(
                new Shape.Rectangle(300, 570), true, List.of(new BarLayer(520, 1470)), 25, 500, UK, Trace.OFF);
        assertEquals(284, f.phiMn() / 1e6, 1);
        assertEquals(150, 0.8 * f.c(), 1);
    }

    /** MBH chapter 4, design for 185 kNm: b = 260, d = 440, fck = 25: K = 0.147, As = 1140 mm². */
    @Test
    void designedForAMoment() {
        assertEquals(185, moment(UK, new Shape.Rectangle(260, 490), 25, new BarLayer(440, 1140)), 0.7);
    }

    /** MBH chapter 4, 285 kNm with compression steel: As' = 438, As = 1777 mm², d' = 50; their lever arm 0.82 d is that of x = 0.45 d. */
    @Test
    void doublyReinforced() {
        assertEquals(
                285,
                moment(UK, new Shape.Rectangle(260, 490), 25, new BarLayer(440, 1777), new BarLayer(50, 438)),
                0.01 * 285);
    }

    /** MBH chapter 4, flanged section: bf = 600, hf = 150, d = 530, As = 1470, fck = 25: s = 75 mm in the flange, M = 315 kNm. */
    @Test
    void flangedSectionWithTheBlockInTheFlange() {
        assertEquals(315, moment(UK, new Shape.Tee(250, 580, 600, 150), 25, new BarLayer(530, 1470)), 1.5);
    }

    /** Hand calculation, block below the flange: fcd (bf − bw) hf + fcd bw 0.8 x = As fyd. */
    @Test
    void flangedSectionWithTheBlockInTheWeb() {
        double fcd = 30 / 1.5;
        double fyd = 500 / 1.15;
        double as = 4500;
        double flange = fcd * (600 - 250) * 100;
        double web = as * fyd - flange;
        double a = web / (fcd * 250);
        double m = flange * (600 - 50) + web * (600 - a / 2);
        assertEquals(
                m / 1e6, moment(CODE, new Shape.Tee(250, 660, 600, 100), 30, new BarLayer(600, as)), 1e-4 * m / 1e6);
    }

    /** Published closed forms, MBH chapter 5: VRd,max(22°) = 0.124 bw d (1 − fck/250) fck, VRd,max(45°) = 0.18 bw d (1 − fck/250) fck. */
    @ParameterizedTest
    @CsvSource({"25", "30", "40", "50"})
    void strutsInShear(double fck) {
        ShearInput s = new ShearInput(fck, 500, 300, 550, 165_000, 0.01, 0.6, 0);
        double unit = 300 * 550 * (1 - fck / 250) * fck;
        assertEquals(0.18 * unit, CODE.shear(s, Trace.OFF).limit(), 1e-9 * unit);
        double v = 0.124 * unit;
        // at the limit of the flattest strut the links are those of cot θ = 2.5
        assertEquals(v / (0.9 * 550 * 500 / 1.15 * 2.5), CODE.shearSteel(s, 0.999 * v), 0.005 * CODE.shearSteel(s, v));
        assertTrue(Double.isInfinite(CODE.shearSteel(s, 0.1801 * unit)));
        assertEquals(0.18 * unit / (0.9 * 550 * 500 / 1.15), CODE.shearSteel(s, 0.18 * unit * (1 - 1e-12)), 1e-4);
    }

    /** The links that a shear asks for carry it, and no more. */
    @ParameterizedTest
    @CsvSource({"100", "250", "400", "600", "700"})
    void linksForAShearCarryIt(double kn) {
        double v = kn * 1e3;
        ShearInput none = new ShearInput(30, 500, 300, 550, 165_000, 0.0, 1, 0);
        double asw = CODE.shearSteel(none, v);
        double carried = CODE.shear(new ShearInput(30, 500, 300, 550, 165_000, 0.0, asw, 0), Trace.OFF)
                .total();
        assertEquals(Math.max(v, CODE.shear(none, Trace.OFF).concrete()), carried, 1e-6 * v);
    }

    /** CC, table of strut strengths VRd,max / (bw z) at cot θ = 2.5 and 1 [MPa]; printed to two decimals. */
    @ParameterizedTest
    @CsvSource({
        "20,2.54,3.68",
        "25,3.10,4.50",
        "28,3.43,4.97",
        "30,3.64,5.28",
        "32,3.84,5.58",
        "35,4.15,6.02",
        "40,4.63,6.72",
        "45,5.08,7.38",
        "50,5.51,8.00"
    })
    void strutStrengths(double fck, double flat, double steep) {
        double bz = 300 * 0.9 * 550;
        ShearInput s = new ShearInput(fck, 500, 300, 550, 165_000, 0.0, 0.6, 0);
        assertEquals(steep, CODE.shear(s, Trace.OFF).limit() / bz, 0.006);
        // the links of the flattest strut just carry what crushes it
        double asw = CODE.shearSteel(s, flat * bz * 0.998);
        assertEquals(flat * 0.998, asw * 500 / 1.15 * 2.5 / 300, 0.01);
    }

    /** CC, lever arms z/d of singly reinforced sections by K = M / (b d² fck), αcc = 0.85; printed to three decimals. */
    @ParameterizedTest
    @CsvSource({
        "0.06,0.944",
        "0.07,0.934",
        "0.08,0.924",
        "0.09,0.913",
        "0.10,0.902",
        "0.11,0.891",
        "0.12,0.880",
        "0.13,0.868",
        "0.14,0.856",
        "0.15,0.843",
        "0.16,0.830"
    })
    void leverArms(double k, double z) {
        double m = k * 300 * 500 * 500 * 30;
        double as = m / (500 / 1.15 * z * 500);
        assertEquals(m / 1e6, moment(UK, new Shape.Rectangle(300, 550), 30, new BarLayer(500, as)), 2e-3 * m / 1e6);
    }

    /** CC, table of vRd,c for fck = 30 [MPa]; printed to two decimals. */
    @ParameterizedTest
    @CsvSource({
        "200,0.0025,0.54",
        "200,0.005,0.59",
        "200,0.01,0.75",
        "200,0.02,0.94",
        "300,0.0025,0.47",
        "300,0.005,0.54",
        "300,0.01,0.68",
        "300,0.015,0.78",
        "300,0.02,0.85",
        "400,0.0025,0.43",
        "400,0.005,0.51",
        "400,0.01,0.64",
        "500,0.0025,0.40",
        "500,0.005,0.48",
        "500,0.01,0.61",
        "500,0.015,0.70",
        "600,0.01,0.59",
        "600,0.015,0.67"
    })
    void shearWithoutLinks(double d, double rho, double v) {
        ShearInput s = new ShearInput(30, 500, 1000, d, 1000 * d, rho, 1e-9, 0);
        assertEquals(v, CODE.shear(s, Trace.OFF).concrete() / (1000 * d), 0.006);
    }

    /** Published bond strengths with γC = 1.5, good conditions [MPa]. */
    @ParameterizedTest
    @CsvSource({"20,2.3", "25,2.7", "30,3.0", "35,3.4", "40,3.7", "50,4.3"})
    void bond(double fck, double fbd) {
        EnAnchorage a = new EnAnchorage(CODE);
        assertEquals(fbd, a.bond(16, fck, false), 0.06);
        assertEquals(0.7 * a.bond(16, fck, false), a.bond(16, fck, true), 1e-12);
    }

    /** C25/30, fyk = 500: lb,rqd = 435 φ / (4 × 2.7) = 40 φ, in poor conditions 58 φ, as published. */
    @Test
    void anchorageLengths() {
        var bar = BarCatalogue.METRIC.find("T20");
        assertEquals(40, CODE.detailing().developmentLength(bar, 25, 500, false, 20, 40, true) / 20, 0.5);
        assertEquals(58, CODE.detailing().developmentLength(bar, 25, 500, true, 20, 40, true) / 20, 0.6);
        var large = BarCatalogue.METRIC.find("T40");
        assertEquals(
                CODE.detailing().developmentLength(bar, 25, 500, false, 20, 40, true) * 2 / 0.92,
                CODE.detailing().developmentLength(large, 25, 500, false, 20, 40, true),
                1e-6,
                "η2");
        assertTrue(CODE.detailing().hookLength(bar, 25, 500, Trace.OFF)
                < CODE.detailing().developmentLength(bar, 25, 500, true, 20, 40, true));
    }

    /**
     * MBH chapter 5, torsion of 300 × 500 with T = 24 kNm: t = 94 mm, Ak = 83.6 × 10³ mm², Asw/s = 0.132 with cot θ = 2.5. The strut at 45° asks for
     * 2.5 times the links and for the longitudinal steel over 2.5: 1010 / 2.5 mm².
     */
    @Test
    void torsionTube() {
        TorsionSection s = new TorsionSection(30, 500, 500, 300, 500, 150_000, 1600, 260 * 460, 2 * (268 + 468), 55);
        TorsionSection thin = new TorsionSection(30, 500, 500, 300, 500, 150_000, 1600, 260 * 460, 2 * (268 + 468), 45);
        assertEquals(0.132 * 2.5, CODE.torsion().legSteel(24e6, thin, Trace.OFF), 0.004);
        assertEquals(1010 / 2.5, CODE.torsion().longitudinalSteel(24e6, thin, Trace.OFF), 6);
        assertTrue(
                CODE.torsion().legSteel(24e6, s, Trace.OFF) > CODE.torsion().legSteel(24e6, thin, Trace.OFF),
                "a thicker wall encloses less");
        double trd = 2 * 0.6 * (1 - 30.0 / 250) * 20 * 83.6e3 * 93.75 * 0.5;
        assertEquals(24e6 / trd + 0.3, CODE.torsion().limitUse(90e3, 24e6, thin, 450, 300e3, Trace.OFF), 0.003);
    }

    /** 6.3.2(1): the wall is twice the way to the bars at least. 300 × 500, 4T32 in links of 10, cover 35: 61 mm, t = 122, Ak = 178 × 378, At/s of 20 kNm 0.342. */
    @Test
    void theWallHoldsTheBars() {
        TorsionSection s =
                TorsionTube.of(new Shape.Rectangle(300, 500), 30, 500, 500, new TorsionTube.Wall(35, 10, 32), CODE);
        assertEquals(20e6 / (2 * 178 * 378 * 500 / 1.15), CODE.torsion().legSteel(20e6, s, Trace.OFF), 1e-6);
        assertEquals(0.342, CODE.torsion().legSteel(20e6, s, Trace.OFF), 5e-4);
    }

    /** Hand calculation of 7.3.4: b = 300, h = 600, d = 550, 4T20 = 1257 mm², c = 40, σs = 220 MPa, x = 170 mm, C30/37. */
    @Test
    void crackWidth() {
        CrackWidth.Cracked c = new CrackWidth.Cracked(600, 550, 170, 300, 1257, 20, 40, 65, 220, 30, CrackWidth.BENT);
        double hef = Math.min(2.5 * 50, (600 - 170) / 3.0);
        double rho = 1257 / (hef * 300);
        double sr = 3.4 * 40 + 0.8 * 0.5 * 0.425 * 20 / rho;
        double alpha = 200_000 / (22_000 * Math.pow(3.8, 0.3));
        double eps = (220 - 0.4 * 2.896 / rho * (1 + alpha * rho)) / 200_000;
        CrackWidth rules = CODE.crackWidth().orElseThrow();
        assertEquals(sr * eps, rules.width(c, Trace.OFF), 1e-3 * sr * eps);
        assertEquals(0.21, rules.width(c, Trace.OFF), 0.01);
        CrackWidth.Cracked apart =
                new CrackWidth.Cracked(600, 550, 170, 300, 1257, 20, 40, 300, 220, 30, CrackWidth.BENT);
        assertEquals(1.3 * 430 * eps, rules.width(apart, Trace.OFF), 1e-3);
    }

    /** 9.1N: C30/37, fyk = 500: 0.26 × 2.9 / 500 = 0.00151 as published; C16 takes 0.0013. */
    @Test
    void leastSteel() {
        assertEquals(0.00151, CODE.beamMinimumSteel(30, 500, 1, 1, Trace.OFF), 1e-5);
        assertEquals(0.0013, CODE.beamMinimumSteel(16, 500, 1, 1, Trace.OFF), 1e-9);
        assertEquals(300, CODE.minimumSteelWidth(300, 900, 600, false, false));
        assertEquals(600, CODE.minimumSteelWidth(300, 900, 600, true, false));
        assertTrue(Double.isInfinite(CODE.minimumSteelExcess()));
    }

    /** 5.5(4): xu/d = 0.448 at δ = 1 to C50/60. */
    @Test
    void neutralAxisWithoutRedistribution() {
        assertEquals(0.448, 0.0035 / (0.0035 + CODE.beamTensionStrain(0.00217, 30, Trace.OFF)), 1e-3);
        assertTrue(
                CODE.beamTensionStrain(0.00217, 80, Trace.OFF) / EnConcrete.crushing(80)
                        > CODE.beamTensionStrain(0.00217, 30, Trace.OFF) / 0.0035,
                "stronger concrete is more brittle");
    }

    /** [mm2]: ω = 0.105, so that B = √(1 + 2 ω) = 1.1. */
    private static final double BARS = 0.105 * 90_000 * 20 / (500 / 1.15);

    private static Slenderness.Lift lift(double m1, double m2, double length, double pu) {
        return square(m1, m2, length, pu, new Slenderness.Bars(250, BARS, 0));
    }

    /** 300 × 300 of C30/37, φef = 1.4 / 2. */
    private static Slenderness.Lift square(double m1, double m2, double length, double pu, Slenderness.Bars bars) {
        return SquareLift.en(300, bars)
                .stiffness(33_000 * 6.75e8)
                .sustained(0, 0.7)
                .at(m1, m2, length, pu);
    }

    /** Hand calculation of 5.8.3.1: A = 1 / (1 + 0.2 × 1.4) = 0.781, B = 1.1, C = 1.7 − 0.5, n = 0.5: λlim = 29.2. */
    @Test
    void slendernessLimit() {
        double limit = 20 / 1.28 * 1.1 * 1.2 / Math.sqrt(0.5);
        double i = 300 / Math.sqrt(12);
        assertFalse(CODE.slenderness()
                .braced(lift(-20e6, 40e6, 0.999 * limit * i, 900e3), Trace.OFF)
                .slender());
        assertTrue(CODE.slenderness()
                .braced(lift(-20e6, 40e6, 1.001 * limit * i, 900e3), Trace.OFF)
                .slender());
    }

    /** Hand calculation of 5.8.8: l0 = 6 m, φef = 1.4, β = 0.35 + 30/200 − 69.3/150 = 0.038, Kφ = 1.053, Kr = (1.105 − 0.5) / (1.105 − 0.4) = 0.858. */
    @Test
    void nominalCurvature() {
        double lambda = 6000 / (300 / Math.sqrt(12));
        double k = 1 + (0.35 + 0.15 - lambda / 150) * 1.4;
        double e2 = 0.605 / 0.705 * k * (500 / 1.15 / 200_000) / (0.45 * 250) * 6000.0 * 6000 / 10;
        double m = 0.6 * 40e6 + 0.4 * 20e6 + 900e3 * e2;
        assertEquals(
                m,
                CODE.slenderness()
                        .braced(lift(-20e6, 40e6, 6000, 900e3), Trace.OFF)
                        .moment(),
                1e-6 * m);
        // double curvature: 0.6 × 40 − 0.4 × 20 is 16 = 0.4 M02
        double n = 0.6 * 40e6 - 0.4 * 20e6 + 900e3 * e2;
        assertEquals(
                n,
                CODE.slenderness()
                        .braced(lift(20e6, 40e6, 6000, 900e3), Trace.OFF)
                        .moment(),
                1e-6 * n);
    }

    private static Slenderness.Lift stiff(double length, double nu, double steel) {
        return square(-20e6, 40e6, length, nu, new Slenderness.Bars(250, steel, steel * 1e4));
    }

    /**
     * The same less compressed or shorter, so that n λ / 170 is under 0.20: with 400 kN 0.2222 · 69.28 / 170 = 0.09056, EI = 8.578e11 + 4e12; of 3 m with 900 kN
     * 0.10188. There As = 150 mm² is less than 0.002 Ac = 180 and does not count, 190 counts (5.8.7.2(2)).
     */
    @Test
    void nominalStiffnessOfLessSlenderLifts() {
        double ecd = 33_000 / 1.2 * 6.75e8;
        double k1 = Math.sqrt(1.5);
        double ei = k1 * (400e3 / 1.8e6 * 6000 / (300 / Math.sqrt(12)) / 170) / 2.4 * ecd + 200_000 * 2e7;
        assertEquals(4.8578e12, ei, 1e8);
        magnified(ei, 6000, 400e3, 2000);
        double kc = k1 * (0.5 * 3000 / (300 / Math.sqrt(12)) / 170) / 2.4;
        magnified(kc * ecd, 3000, 900e3, 150);
        magnified(kc * ecd + 200_000 * 190e4, 3000, 900e3, 190);
    }

    private static void magnified(double ei, double length, double nu, double steel) {
        double buckling = Math.PI * Math.PI * ei / (length * length);
        double m = (1 + Math.PI * Math.PI / 8 / (buckling / nu - 1)) * (0.6 * 40e6 + 0.4 * 20e6);
        assertTrue(m > 40e6 && Double.isFinite(m));
        Slenderness.Magnified has =
                En1992.of(Map.of("secondOrder", 2.0)).slenderness().braced(stiff(length, nu, steel), Trace.OFF);
        assertEquals(m, has.moment(), 1e-3 * m);
        assertEquals(m / 40e6, has.factor(), 1e-3 * m / 40e6);
    }

    /**
     * Hand calculation of 5.8.7: 300 × 300, C30/37, Ecm = 33 000, l0 = 6 m, φef = 1.4, NEd = 900 kN, Is = 2000 · 100². k1 = √1.5 = 1.2247, k2 = 0.5 · 69.28 / 170 =
     * 0.2038 ≥ 0.20, Kc = 0.2449 / 2.4 = 0.10206; Ecd Ic = 33 000 / 1.2 · 6.75e8 = 1.85625e13; EI = 1.8945e12 + 4e12 = 5.8945e12; NB = 1616.0 kN; factor
     * 1 + 1.2337 / (1616.0 / 900 − 1) = 2.5507.
     */
    @Test
    void nominalStiffness() {
        En1992 code = En1992.of(Map.of("secondOrder", 2.0));
        double i = 300 / Math.sqrt(12);
        Slenderness.Lift l = stiff(6000, 900e3, 2000);
        assertEquals(2.5507 * 32e6, code.slenderness().braced(l, Trace.OFF).moment(), 2e-4 * 80e6);
        // with an imperfection of 6000 / 400 that is magnified with the rest and added where the section is checked
        Slenderness.Lift aside = SquareLift.en(300, new Slenderness.Bars(250, 2000, 2e7))
                .stiffness(33_000 * 6.75e8)
                .sustained(0, 0.7)
                .aside(13.5e6)
                .at(-20e6, 40e6, 6000, 900e3);
        assertEquals(
                2.5507 * (32e6 + 13.5e6) - 13.5e6,
                code.slenderness().braced(aside, Trace.OFF).moment(),
                2e-4 * 116e6);
        // 1 650 kN is more than NB with k2 = 0.20 as well
        Slenderness.Lift buckles = stiff(6000, 1650e3, 2000);
        assertTrue(
                Double.isInfinite(code.slenderness().braced(buckles, Trace.OFF).moment()));
        assertTrue(
                Double.isInfinite(code.slenderness().braced(buckles, Trace.OFF).factor()));
        assertEquals("5.8.7", code.slenderness().bracedClause().toString());
        // where the curvature's 0.6 · 40 + 0.4 · 20 is magnified less than M02, M02 stays
        Slenderness.Lift light = square(40e6, 40e6, 9000, 100e3, new Slenderness.Bars(250, 2000, 2e7));
        assertEquals(40e6, code.slenderness().braced(light, Trace.OFF).moment(), 1);
    }

    /** (5.36): Kr is 1 up to nbal = 0.4 and falls to nothing at nu = 1 + ω. */
    @Test
    void curvatureUnderGreatForces() {
        double i = 300 / Math.sqrt(12);
        double omega = 2000 * (500 / 1.15) / (90_000 * 20);
        double[] second = new double[4];
        double[] n = {0.4, 0.7, 1.0, 1.4};
        for (int k = 0; k < 4; k++) {
            double pu = n[k] * 1800e3;
            Slenderness.Lift l =
                    SquareLift.en(300, new Slenderness.Bars(250, 2000, 0)).at(-40e6, 40e6, 9000, pu);
            second[k] = (CODE.slenderness().braced(l, Trace.OFF).moment() - 40e6) / pu;
            assertEquals(Math.min(1, (1 + omega - n[k]) / (0.6 + omega)), second[k] / second[0], 1e-9, "n = " + n[k]);
        }
    }

    /** 5.8.3.1(1): B = √(1 + 2 ω) with the bars that are there. */
    @Test
    void moreBarsAreLessSlender() {
        double i = 300 / Math.sqrt(12);
        double limit = 20 / 1.28 * Math.sqrt(1 + 2 * 0.8) * 1.2 / Math.sqrt(0.5);
        double area = 0.8 * 90_000 * 20 / (500 / 1.15);
        for (double beyond : new double[] {0.999, 1.001}) {
            Slenderness.Lift l = square(-20e6, 40e6, beyond * limit * i, 900e3, new Slenderness.Bars(250, area, 0));
            assertEquals(beyond > 1, CODE.slenderness().braced(l, Trace.OFF).slender());
        }
    }

    /** 5.8.3.1(1): in a storey that sways rm = 1, C = 0.7; the same with loads between the ends. */
    @Test
    void sideswayAndLoadsBetweenTheEndsTakeRmOne() {
        double i = 300 / Math.sqrt(12);
        double limit = 20 / 1.28 * 1.1 * 0.7 / Math.sqrt(0.5);
        for (double beyond : new double[] {0.999, 1.001}) {
            for (boolean sways : new boolean[] {true, false}) {
                Slenderness.Lift l = SquareLift.en(300, new Slenderness.Bars(250, BARS, 0))
                        .sustained(0, 0.7)
                        .loaded(!sways)
                        .swaying(sways)
                        .at(-20e6, 40e6, beyond * limit * i, 900e3);
                assertEquals(beyond > 1, CODE.slenderness().braced(l, Trace.OFF).slender());
            }
        }
    }

    @Test
    void eccentricities() {
        assertEquals(10, CODE.slenderness().imperfection(4000));
        assertEquals(20, CODE.slenderness().leastEccentricity(400));
        assertEquals(30, CODE.slenderness().leastEccentricity(900));
    }

    /** 9.5.2(2), 9.5.3: NEd = 2000 kN asks for 0.1 × 2000e3 / 435 = 460 mm²; ties of a 300 column with T16 stand 300 apart between its ends. */
    @Test
    void detailingOfColumns() {
        assertEquals(460, CODE.columns().columnMinimumSteel(2000e3, 500), 0.5);
        assertEquals(0, CODE.columns().columnMinimumSteel(-5, 500));
        assertEquals(
                300,
                CODE.columns()
                        .columnTieSpacing(
                                BarCatalogue.METRIC.find("T16"),
                                BarCatalogue.METRIC.find("T8"),
                                300,
                                250,
                                false,
                                false));
        assertEquals(8, CODE.columns().smallestTie(BarCatalogue.METRIC.find("T32")));
        assertEquals(25, CODE.detailing().beamClearSpacing(20, 20));
    }

    @Test
    void onlyTheClassesOfTheCodeAreCovered() {
        assertTrue(CODE.covers(12) && CODE.covers(90));
        assertFalse(CODE.covers(10) || CODE.covers(95));
        assertFalse(Basis.standard(false).designCode().covers(15), "ACI 318-19 table 19.2.1.1: 17 MPa");
    }

    @Test
    void nationalParametersChangeTheResultAndUnknownOnesAreNamed() {
        assertTrue(Basis.standard("en-1992-1-1").check().isEmpty());
        assertEquals(17, UK.fcd(30), 1e-12);
        assertEquals(20, CODE.fcd(30), 1e-12);
        ShearInput s = new ShearInput(30, 500, 300, 550, 165_000, 0.01, 0.6, 0);
        assertTrue(En1992.of(Map.of("cotMost", 1.75)).shearSteel(s, 200e3) > CODE.shearSteel(s, 200e3));
        Basis b = Basis.standard("en-1992-1-1");
        Basis bad = Varied.national(b, Map.of("gammaX", 1.0, "gammaC", 9.0));
        // a choice between two ways has no third between them
        assertEquals(
                List.of("basis.national.secondOrder"),
                Varied.national(b, Map.of("secondOrder", 1.5)).check().stream()
                        .map(kolonne.core.finding.Finding::code)
                        .toList());
        assertEquals(2, bad.check().size());
    }
}
