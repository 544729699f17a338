package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Slenderness;
import kolonne.core.code.SpanRules;
import kolonne.core.code.SquareLift;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Rules of ACI 318-19. Expected values are worked by hand from the clause in its own units; the two editions are compared
 * with each other as second route (their rounded constants differ by up to 3 %).
 */
class Aci318Test {
    private static final double PSI = UnitForm.PSI;
    private static final double KIP = 4448.2216152605;
    private static final double IN = 25.4;

    /** Table 22.2.2.4.3. */
    @ParameterizedTest(name = "f'c {0} psi: β1 {1}")
    @CsvSource({"2500, 0.85", "4000, 0.85", "5000, 0.80", "6000, 0.75", "7000, 0.70", "8000, 0.65", "12000, 0.65"})
    void beta1MatchesTheTable(double psi, double beta1) {
        assertEquals(beta1, Aci318.US.block(psi * PSI).depth(), 1e-9);
    }

    /** Table 21.2.2, Grade 60: compression-controlled below 0.00207, tension-controlled from 0.00507. */
    @ParameterizedTest(name = "εt {0}: φ {1}")
    @CsvSource({"0, 0.65", "0.0020685, 0.65", "0.0035685, 0.775", "0.0050685, 0.90", "0.02, 0.90"})
    void phiGrowsBetweenTheStrainLimits(double epsT, double phi) {
        assertEquals(phi, Aci318.US.reduction(epsT, 0.0020685), 1e-4);
    }

    /** b 12 in, d 20 in, f'c 4000 psi, #3 at 8 in, two legs: Vc = 2 √4000 × 12 × 20 = 30.4 kip; Vs = 0.22 × 60 × 20 / 8 = 33 kip. */
    @Test
    void shearMatchesTheHandCalculationInPounds() {
        ShearStrength s = Aci318.US.shear(
                new ShearInput(4000 * PSI, 60_000 * PSI, 12 * IN, 20 * IN, 12 * 22 * IN * IN, 0.01, 0.22 / 8 * IN, 0),
                Trace.OFF);
        assertEquals(0.75 * 2 * Math.sqrt(4000) * 240 / 1000, s.concrete() / KIP, 1e-3);
        assertEquals(0.75 * (2 * Math.sqrt(4000) * 240 / 1000 + 33), s.total() / KIP, 1e-3);
        assertEquals(0.75 * 10 * Math.sqrt(4000) * 240 / 1000, s.limit() / KIP, 1e-3);
        assertEquals(Math.max(0.75 * Math.sqrt(4000), 50) * 12 / 60_000, s.minimumAvs() / IN, 1e-9);
    }

    /** Without minimum stirrups: 8 λs ρw^(1/3) √f'c bw d, λs = √(2 / (1 + d/10)) = 0.816 for 20 in (22.5.5.1 c, 22.5.5.1.3). */
    @Test
    void withoutMinimumStirrupsTheSizeEffectCounts() {
        ShearStrength s = Aci318.US.shear(
                new ShearInput(4000 * PSI, 60_000 * PSI, 12 * IN, 20 * IN, 12 * 22 * IN * IN, 0.01, 0, 0), Trace.OFF);
        double vc = 8 * Math.sqrt(2.0 / 3) * Math.cbrt(0.01) * Math.sqrt(4000) * 240 / 1000;
        assertEquals(0.75 * vc, s.concrete() / KIP, 1e-3);
    }

    @Test
    void axialCompressionHelpsInShearAndTensionTakesAway() {
        double[] vc = new double[3];
        double[] nu = {-300e3, 0, 300e3};
        for (int i = 0; i < 3; i++) {
            vc[i] = Aci318.SI
                    .shear(new ShearInput(30, 420, 400, 340, 160_000, 0.01, 1, nu[i]), Trace.OFF)
                    .concrete();
        }
        assertTrue(vc[0] < vc[1] && vc[1] < vc[2]);
        assertEquals(0.75 * 300e3 / (6 * 160_000) * 400 * 340, vc[2] - vc[1], 1);
    }

    /** The two editions on one section: constants are rounded, so 3 %. */
    @ParameterizedTest(name = "f'c {0} MPa")
    @CsvSource({"21", "28", "35", "42", "55"})
    void theEditionsAgree(double fc) {
        ShearInput in = new ShearInput(fc, 413.7, 300, 540, 180_000, 0.01, 0.9, 0);
        ShearStrength a = Aci318.SI.shear(in, Trace.OFF);
        ShearStrength b = Aci318.US.shear(in, Trace.OFF);
        near(b.total(), a.total());
        near(b.limit(), a.limit());
        near(b.minimumAvs(), a.minimumAvs());
        near(
                Aci318.US.beamMinimumSteel(fc, 413.7, 300, 540, Trace.OFF),
                Aci318.SI.beamMinimumSteel(fc, 413.7, 300, 540, Trace.OFF));
        near(
                Aci318.US.torsion().threshold(fc, 180_000, 1800, true, Trace.OFF),
                Aci318.SI.torsion().threshold(fc, 180_000, 1800, true, Trace.OFF));
        near(
                Aci318.US.detailing().crackSpacing(413.7, 50),
                Aci318.SI.detailing().crackSpacing(413.7, 50));
        Bar bar = BarCatalogue.US.find("#8");
        near(
                Aci318.US.detailing().developmentLength(bar, fc, 413.7, true, 50, 50, true),
                Aci318.SI.detailing().developmentLength(bar, fc, 413.7, true, 50, 50, true));
        near(
                Aci318.US.detailing().hookLength(bar, fc, 413.7, Trace.OFF),
                Aci318.SI.detailing().hookLength(bar, fc, 413.7, Trace.OFF));
        near(Aci318.US.block(fc).depth(), Aci318.SI.block(fc).depth());
    }

    private static void near(double expected, double actual) {
        assertEquals(expected, actual, 0.03 * expected);
    }

    /**
     * Table 25.4.2.3, f'c 4000 psi, Grade 60, bottom bars: ld / db = 37.9 up to #6 and 47.4 from #7 (values of every
     * handbook table, 3 digits); 1.3 times for top bars.
     */
    @ParameterizedTest(name = "{0} top {1}: ld/db {2}")
    @CsvSource({"#6, false, 37.9", "#8, false, 47.4", "#8, true, 61.7", "#11, false, 47.4"})
    void developmentLengthsMatchTheHandbooks(String label, boolean top, double ratio) {
        Bar b = BarCatalogue.US.find(label);
        double ld = Aci318.US
                .detailing()
                .developmentLength(b, 4000 * PSI, 60_000 * PSI, top, 2 * b.diameter(), 2 * b.diameter(), true);
        assertEquals(ratio, ld / b.diameter(), 0.002 * ratio);
    }

    /** Eq. 25.4.3.1a for #8, f'c 4000 psi: 60 000 × 1.25 × (4000/15000 + 0.6) / (55 √4000) = 18.7 in. */
    @Test
    void hookLengthMatchesTheHandCalculation() {
        double expected = 60_000 * 1.25 * (4000.0 / 15_000 + 0.6) / (55 * Math.sqrt(4000));
        assertEquals(
                expected,
                Aci318.US.detailing().hookLength(BarCatalogue.US.find("#8"), 4000 * PSI, 60_000 * PSI, Trace.OFF) / IN,
                1e-6);
    }

    /** 15 in (40 000 / 40 000) − 2.5 × 2 in = 10 in (24.3.2, Grade 60, cc 2 in). */
    @Test
    void crackSpacingMatchesTheHandCalculation() {
        assertEquals(10, Aci318.US.detailing().crackSpacing(60_000 * PSI, 2 * IN) / IN, 1e-9);
    }

    /** Table 9.3.1.1. */
    @ParameterizedTest(name = "{0}: l/{1}")
    @CsvSource({"SIMPLE, 16", "ONE_END_CONTINUOUS, 18.5", "BOTH_ENDS_CONTINUOUS, 21", "CANTILEVER, 8"})
    void leastDepthsMatchTheTable(SpanRules.SpanEnds ends, double divisor) {
        assertEquals(
                6000 / divisor,
                Aci318.SI.leastDepth(new SpanRules.SpanDepth(6000, ends, 420, 30, 0.01, 0, 1), Trace.OFF),
                1e-9);
        assertEquals(
                6000 / divisor * (0.4 + 500 / 700.0),
                Aci318.SI.leastDepth(new SpanRules.SpanDepth(6000, ends, 500, 30, 0.01, 0, 1), Trace.OFF),
                1e-9);
    }

    @Test
    void spacingLimitsAreHalvedWhereStirrupsCarryMuch() {
        assertEquals(270, Aci318.SI.beamStirrupSpacing(540, false).along());
        assertEquals(135, Aci318.SI.beamStirrupSpacing(540, true).along());
        assertEquals(540, Aci318.SI.beamStirrupSpacing(540, false).across());
        assertEquals(600, Aci318.SI.beamStirrupSpacing(2000, false).along());
        Bar t20 = BarCatalogue.METRIC.find("T20");
        Bar t10 = BarCatalogue.METRIC.find("T10");
        assertEquals(320, Aci318.SI.columns().columnTieSpacing(t20, t10, 500, 440, false, false));
        assertEquals(220, Aci318.SI.columns().columnTieSpacing(t20, t10, 500, 440, true, false));
        assertEquals(110, Aci318.SI.columns().columnTieSpacing(t20, t10, 500, 440, true, true));
    }

    /** 400 × 400, lu 4 m, k 1, E 27 800, Pu 1000 kN, M1 0, M2 100 kNm, βdns 0.6: worked by hand from 6.6.4.5. */
    @Test
    void momentMagnificationMatchesTheHandCalculation() {
        double e = 27_800;
        double i = Math.pow(400, 4) / 12;
        Slenderness.Lift l = SquareLift.aci(400).at(0, 100e6, 4000, 1000e3);
        double pc = Math.PI * Math.PI * 0.4 * e * i / 1.6 / (4000.0 * 4000);
        double delta = Math.max(1, 0.6 / (1 - 1000e3 / (0.75 * pc)));
        Slenderness.Magnified m = Aci318.SI.slenderness().braced(l, Trace.OFF);
        assertTrue(m.slender(), "34.6 is above 34");
        assertEquals(delta, m.factor(), 1e-9);
        assertEquals(delta * 100e6, m.moment(), 1);
    }

    /**
     * 6.6.4.4.4 (b) by hand: 400 × 400, Ec Ig = 27 800 · 2.1333e9 = 5.9307e13, Ise = 6000 · 130² = 1.014e8: 0.2 Ec Ig + Es Ise = 1.1861e13 + 2.028e13 = 3.2141e13
     * against 0.4 Ec Ig = 2.3723e13 of (a). βdns 0.6, lu 6 m: Pc = 5507.4 kN, δ = 0.6 / (1 − 2000 / 4130.6) = 1.1632.
     */
    @Test
    void barsStiffenALift() {
        Slenderness.Lift l = SquareLift.aci(400)
                .bars(new Slenderness.Bars(330, 6000, 1.014e8))
                .at(0, 100e6, 6000, 2000e3);
        assertEquals(1.1632, Aci318.SI.slenderness().braced(l, Trace.OFF).factor(), 1e-4);
    }

    /**
     * Other effective lengths, in single curvature with M1 / M2 = -0.6, Cm = 0.84, both where M2 decides and where the least moment of 1500 (15 + 0.03 · 400) = 40.5 kNm does, for which Cm = 1
     * (6.6.4.5.4): then what the moments ask for without it is told as well. Pc = π² 0.4 Ec Ig / 1.6 / (k lu)².
     */
    @ParameterizedTest
    @CsvSource({"0.7, 100e6", "0.7, 10e6", "1.25, 100e6", "1.25, 10e6"})
    void effectiveLengthsAndTheLeastMoment(double k, double m2) {
        double ei = 27_800 * Math.pow(400, 4) / 12;
        Slenderness.Lift l = SquareLift.aci(400).factor(k).at(-0.6 * m2, m2, 6500, 1500e3);
        double rest = 1 - 1500e3 / (0.75 * Math.PI * Math.PI * 0.4 * ei / 1.6 / (k * k * 6500.0 * 6500));
        boolean least = m2 < 40.5e6;
        double delta = Math.max(1, (least ? 1 : 0.84) / rest);
        Trace t = Trace.recording();
        Slenderness.Magnified m = Aci318.SI.slenderness().braced(l, t);
        assertTrue(m.slender() && rest > 0);
        assertEquals(delta, m.factor(), 1e-9);
        assertEquals(delta * (least ? 40.5e6 : m2), m.moment(), 1);
        assertEquals(Math.max(1, 0.84 / rest) * m2, m.own(), 1);
        assertEquals(
                least ? List.of(m.own()) : List.of(),
                t.steps().stream()
                        .filter(s -> s.symbol().equals("Mc without M2,min"))
                        .map(Step::value)
                        .toList());
    }

    @Test
    void aLiftBeyondItsBucklingLoadHasNoMoment() {
        Slenderness.Lift l = SquareLift.aci(300).at(-50e6, 50e6, 9000, 2500e3);
        assertTrue(
                Double.isInfinite(Aci318.SI.slenderness().braced(l, Trace.OFF).moment()));
    }

    @Test
    void doubleCurvatureIsLessSlenderThanSingle() {
        Slenderness s = Aci318.SI.slenderness();
        SquareLift square = SquareLift.aci(400);
        assertFalse(s.braced(square.at(100e6, 100e6, 4500, 1e6), Trace.OFF).slender());
        assertTrue(s.braced(square.at(-100e6, 100e6, 4500, 1e6), Trace.OFF).slender());
    }

    /**
     * Cm by hand (6.6.4.5.3): M1/M2 negative in single curvature (R6.2.5.1), so equal end moments that bend the column into one bow take 1.0,
     * half the moment at the other end 0.8 in single and 0.4 in double curvature; loads between the ends always 1.0.
     */
    @ParameterizedTest(name = "M1 {0}, loads between the ends {1}: Cm {2}")
    @CsvSource({
        "-100e6, false, 1.0",
        "-50e6, false, 0.8",
        "0, false, 0.6",
        "50e6, false, 0.4",
        "50e6, true, 1.0",
        "-50e6, true, 1.0"
    })
    void equivalentUniformMoment(double m1, boolean transverse, double cm) {
        double e = 27_800;
        double i = Math.pow(400, 4) / 12;
        double lu = 6000;
        double p = 2000e3;
        double pc = Math.PI * Math.PI * 0.4 * e * i / 1.6 / (lu * lu);
        Slenderness.Magnified m = Aci318.SI
                .slenderness()
                .braced(SquareLift.aci(400).loaded(transverse).at(m1, 100e6, lu, p), Trace.OFF);
        assertTrue(m.slender(), "52 is above 40");
        assertEquals(Math.max(1, cm / (1 - p / (0.75 * pc))) * 100e6, m.moment(), 1);
    }

    @Test
    void swayMomentsGrowWithTheStabilityIndex() {
        assertEquals(1.25, Aci318.SI.slenderness().sway(0.2), 1e-12);
        assertTrue(Double.isInfinite(Aci318.SI.slenderness().sway(1)));
    }

    @Test
    void theStandardBasesAreSoundAndABadOneIsNamed() {
        assertTrue(Basis.standard(false).check().isEmpty());
        assertTrue(Basis.standard(true).check().isEmpty());
        Basis b = Basis.standard(false);
        Basis bad = Varied.practicalCap(Varied.beamBars(Varied.fy(b, 42), "T19"), Double.NaN);
        assertEquals(
                java.util.List.of("basis.fy", "basis.practicalCap", "basis.beamBars"),
                bad.check().stream().map(f -> f.code()).toList());
    }
}
