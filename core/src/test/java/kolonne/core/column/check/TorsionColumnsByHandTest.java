package kolonne.core.column.check;

import static kolonne.core.column.check.ColumnChecksByHandTest.ACI;
import static kolonne.core.column.check.ColumnChecksByHandTest.EN;
import static kolonne.core.column.check.ColumnChecksByHandTest.RECTANGLE;
import static kolonne.core.column.check.ColumnChecksByHandTest.ROOT;
import static kolonne.core.column.check.ColumnChecksByHandTest.STEEL;
import static kolonne.core.column.check.ColumnChecksByHandTest.T10;
import static kolonne.core.column.check.ColumnChecksByHandTest.T20;
import static kolonne.core.column.check.ColumnChecksByHandTest.T25;
import static kolonne.core.column.check.ColumnChecksByHandTest.USUAL;
import static kolonne.core.column.check.ColumnChecksByHandTest.post;
import static kolonne.core.column.check.ColumnChecksByHandTest.told;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.check.ColumnChecksByHandTest.Told;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.model.ModelBuilder;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Torsion of columns by hand: a post of 1 m, f'c 30, fy and fyt 420 (EN 500), cover 40 (EN 35), ties T10, 4T25 + 6T20 in 400 × 500. */
class TorsionColumnsByHandTest {
    /** Within the middle of the tie: 310 × 410. */
    private static final double AOH = 310.0 * 410;

    private static final double PH = 2 * (310.0 + 410);
    private static final double LEG = T10.area() / 150;
    private static final double PLAIN = 0.75 * 0.083 * ROOT * 200_000.0 * 200_000 / 1800;

    private static ModelBuilder twisted(double fx, double p, double torque) {
        return post(RECTANGLE, fx, 0, p, 0, 0, torque);
    }

    /** 22.7.4.1: compression raises the torque that may be neglected, tension lowers it, to a twentieth at least. */
    @Test
    void threshold() {
        double factor = Math.sqrt(1 + 800e3 / (0.33 * ROOT * 200_000));
        told(twisted(0, 800e3, 5e6), ACI, USUAL)
                .tells("torsion-threshold", Cause.TORSION, 5e6, factor * PLAIN, "22.7.4.1")
                .silent("torsion-x", "torsion-y", "torsion-bending", "torsion-bars", "torsion-spacing");
        told(twisted(0, 800e3, 0.999 * factor * PLAIN), ACI, USUAL).silent("torsion-x");
        told(twisted(0, 800e3, 1.001 * factor * PLAIN), ACI, USUAL)
                .silent("torsion-threshold")
                .of("torsion-x");
        told(twisted(0, 800e3, 0.049 * PLAIN), ACI, USUAL).silent("torsion-threshold");
        double pulled = Math.sqrt(1 - 200e3 / (0.33 * ROOT * 200_000));
        told(twisted(0, -200e3, 0.999 * pulled * PLAIN), ACI, USUAL).silent("torsion-x");
        told(twisted(0, -200e3, 1.001 * pulled * PLAIN), ACI, USUAL).of("torsion-x");
        told(twisted(0, -600e3, 0.049 * PLAIN), ACI, USUAL).silent("torsion-x", "torsion-threshold");
        told(twisted(0, -600e3, 0.051 * PLAIN), ACI, USUAL).of("torsion-x");
        Told en = told(twisted(0, 0, 0), EN, USUAL);
        en.silent("torsion-threshold", "torsion-x");
        // with the perimeter of the circle
        double area = Math.PI * 62_500;
        told(
                        post(new Shape.Circle(500), 0, 0, 0, 0, 0, 3e6),
                        ACI,
                        new ColumnCage.LiftCage(new RingBars(8, T25), T10, 150))
                .tells(
                        "torsion-threshold",
                        Cause.TORSION,
                        3e6,
                        0.75 * 0.083 * ROOT * area * area / (Math.PI * 500),
                        "22.7.4.1");
        // a tenth of 2 Ak t fctd with a wall of 500/4, along the circle of 375 in its middle; fctd = 0.7 × 0.3 ×
        // 30^(2/3) / 1.5
        told(
                        post(new Shape.Circle(500), 0, 0, 0, 0, 0, 3e6),
                        EN,
                        new ColumnCage.LiftCage(new RingBars(8, T25), T10, 150))
                .tells("torsion-threshold", Cause.TORSION, 3e6, 3.7319e6, "6.3.1");
    }

    /** 22.7.6.1 with Ao = 0.85 Aoh, and 22.7.7.1 without shear; 9.7.6.3.3, 9.7.5.1, 9.7.5.2. */
    @Test
    void rectangle() {
        double ats = 40e6 / (0.75 * 2 * 0.85 * AOH * 420);
        Told t = told(twisted(0, 800e3, 40e6), ACI, USUAL);
        t.tells("torsion-x", Cause.TORSION, ats, LEG, "22.7.6.1")
                .tells("torsion-y", Cause.TORSION, ats, LEG, "22.7.6.1")
                .tells("torsion-bars", Cause.TORSION, ats * PH, STEEL, "22.7.6.1")
                .tells("torsion-spacing", Cause.STIRRUP_SPACING, 150, PH / 8, "9.7.6.3.3")
                .tells("torsion-bar-size", Cause.TORSION, 9.5, 20, "9.7.5.1, 9.7.5.2");
        // from the corner, 187.5 above the middle, to the bar in the middle of the face
        t.tells("torsion-bar-spacing", Cause.TORSION, Math.hypot(187.5, 2.5), 300, "9.7.5.1, 9.7.5.2");
        assertFalse(t.of("torsion-x").satisfied());
        double vc = 0.17 * ROOT + 800e3 / (6 * 200_000);
        double tau = 40e6 * PH / (1.7 * AOH * AOH);
        assertEquals(
                tau / (0.75 * (vc + 0.66 * ROOT)), t.of("shear-torsion-limit-x").utilisation(), 1e-4);
        t.silent("torsion-threshold");
    }

    /** The outer legs carry half of the shear's ties, two legs being there along x; shear and torsion together press the concrete. */
    @Test
    void besideShear() {
        double d = 400 - 50 - 12.5;
        double ats = 30e6 / (0.75 * 2 * 0.85 * AOH * 420);
        Told t = told(twisted(350e3, 800e3, 30e6), ACI, USUAL);
        double vc = (0.17 * ROOT + 800e3 / (6 * 200_000)) * 500 * d;
        double avs = (350e3 / 0.75 - vc) / (420 * d);
        CheckResult x = t.of("torsion-x");
        assertEquals(ats + avs / 2, x.demand(), 1e-4 * ats);
        assertEquals(ats, t.of("torsion-y").demand(), 1e-4 * ats, "no shear along y");
        double both = Math.hypot(350e3 / (500 * d), 30e6 * PH / (1.7 * AOH * AOH));
        assertEquals(
                both / (0.75 * (vc / (500 * d) + 0.66 * ROOT)),
                t.of("shear-torsion-limit-x").utilisation(),
                1e-4);
    }

    /** Bars that torsion pulls all round have so much less to give where bending pulls them, nothing less where it pushes them. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 400e3, 1500e3})
    void bendingWithWhatIsLeft(double p) {
        double ats = 25e6 / (0.75 * 2 * 0.85 * AOH * 420);
        double left = 420 * (1 - ats * PH / STEEL);
        // p and the strength by hand, the axis where they go together
        double low = 20;
        double high = 2000;
        double m = 200e6;
        for (int k = 0; k < 100; k++) {
            double c = (low + high) / 2;
            double[] r = point(c, left);
            boolean deeper = r[0] * m < p * r[1];
            low = deeper ? c : low;
            high = deeper ? high : c;
        }
        Told t = told(post(RECTANGLE, 0, 0, p, m, 0, 25e6), ACI, USUAL);
        CheckResult r = t.of("torsion-bending");
        assertEquals(m / point(low, left)[1], r.utilisation(), 2e-3 * r.utilisation());
        assertEquals(Cause.TORSION, r.cause());
        assertTrue(r.utilisation() > t.of("axial-bending").utilisation());
    }

    /** {φPn, φMn} bent about x with the axis at c, bars pulled by so much at most. */
    private static double[] point(double c, double most) {
        double[][] rows = {
            {62.5, 2 * T25.area()},
            {60, 2 * T20.area()},
            {250, 2 * T20.area()},
            {440, 2 * T20.area()},
            {437.5, 2 * T25.area()}
        };
        double a = Math.min((0.85 - 0.05 * 2 / 7) * c, 500);
        double n = 25.5 * 400 * a;
        double m = n * (250 - a / 2);
        for (double[] r : rows) {
            double f = (Math.max(-most, Math.min(420, 600 * (c - r[0]) / c)) - (r[0] < a ? 25.5 : 0)) * r[1];
            n += f;
            m += f * (250 - r[0]);
        }
        double strain = 0.003 * (440 - c) / c;
        double phi = 0.65 + 0.25 * Math.max(0, Math.min(1, (strain - 0.0021) / 0.003));
        return new double[] {phi * n, phi * m};
    }

    /** A ring: the tie's own circle of 410. */
    @Test
    void circle() {
        ColumnCage.LiftCage ring = new ColumnCage.LiftCage(new RingBars(8, T25), T10, 150);
        double aoh = Math.PI * 205 * 205;
        double ats = 40e6 / (0.75 * 2 * 0.85 * aoh * 420);
        told(post(new Shape.Circle(500), 0, 0, 800e3, 0, 0, 40e6), ACI, ring)
                .tells("torsion-x", Cause.TORSION, ats, LEG, "22.7.6.1")
                .tells("torsion-bars", Cause.TORSION, ats * Math.PI * 410, 8 * T25.area(), "22.7.6.1")
                .tells("torsion-spacing", Cause.STIRRUP_SPACING, 150, Math.PI * 410 / 8, "9.7.6.3.3")
                .tells(
                        "torsion-bar-spacing",
                        Cause.TORSION,
                        2 * (250 - 62.5) * Math.sin(Math.PI / 8),
                        300,
                        "9.7.5.1, 9.7.5.2");
        // EN: the wall is A/u = 125 thick, a little more than twice the way to the bars, 115
        double ak = Math.PI * 375 * 375 / 4;
        Told en = told(post(new Shape.Circle(500), 0, 0, 800e3, 0, 0, 40e6), EN, ring);
        en.tells("torsion-x", Cause.TORSION, 40e6 / (2 * ak * 500 / 1.15), LEG, "6.3.2(2)")
                .tells(
                        "torsion-bars",
                        Cause.TORSION,
                        40e6 * Math.PI * 375 / (2 * ak * 500 / 1.15),
                        8 * T25.area(),
                        "6.3.2(3)");
        assertEquals(
                40e6 / (2 * 0.6 * 0.88 * 20 * ak * 125 * 0.5),
                en.of("shear-torsion-limit-x").utilisation(),
                1e-4);
        en.tells("torsion-spacing", Cause.STIRRUP_SPACING, 150, Math.PI * 500 / 8, "9.2.3(3)");
    }

    /** 6.3.2 of the rectangle, cover 35: tef = 2 · 57.5, Ak = 285 · 385, uk = 1340; the shear's ties at 45° beside it. */
    @Test
    void eurocode() {
        Told t = told(twisted(300e3, 800e3, 40e6), EN, USUAL);
        double ak = 285.0 * 385;
        double fyd = 500 / 1.15;
        double d = 400 - 45 - 12.5;
        double torsion = 40e6 / (2 * ak * fyd);
        double avs = 300e3 / (0.9 * d * fyd);
        assertEquals(torsion + avs / 2, t.of("torsion-x").demand(), 1e-4 * torsion);
        t.tells("torsion-y", Cause.TORSION, torsion, LEG, "6.3.2(2)")
                .tells("torsion-bars", Cause.TORSION, 40e6 * 1340 / (2 * ak * fyd), STEEL, "6.3.2(3)")
                .tells("torsion-spacing", Cause.STIRRUP_SPACING, 150, 225, "9.2.3(3)");
        double trd = 2 * 0.6 * 0.88 * 20 * ak * 115 * 0.5;
        double vrd = 0.6 * 0.88 * 20 * 500 * 0.9 * d / 2;
        assertEquals(40e6 / trd + 300e3 / vrd, t.of("shear-torsion-limit-x").utilisation(), 1e-4);
        assertEquals(40e6 / trd, t.of("shear-torsion-limit-y").utilisation(), 1e-4);
    }

    /** An ell resists by the closed tie of its web, 300 × 800, which encloses more than that of its flange, 250 × 700; its bars are those of the web. */
    @Test
    void theSturdierLeg() {
        Shape.Ell ell = new Shape.Ell(300, 800, 700, 250);
        LegBars bars = LegBars.of(1, 3, 2, T25, T20);
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(bars, T10, 150);
        double ats = 30e6 / (0.75 * 2 * 0.85 * 210 * 710 * 420);
        Told t = told(post(ell, 0, 0, 0, 0, 0, 30e6), ACI, cage);
        t.silent("torsion-x", "shear-torsion-limit-x")
                .tells("torsion-y", Cause.TORSION, ats, LEG, "22.7.6.1")
                .tells("torsion-spacing", Cause.STIRRUP_SPACING, 150, 2 * (210 + 710) / 8.0, "9.7.6.3.3");
        // four corners of the web's tie, two where the flange's inner face crosses it, three pairs between
        double inside = bars.bars(ell, 50).stream()
                .filter(b -> b.x()
                        < bars.bars(ell, 50).stream()
                                        .mapToDouble(q -> q.x())
                                        .min()
                                        .orElseThrow()
                                + 300)
                .mapToDouble(b -> b.area())
                .sum();
        t.tells("torsion-bars", Cause.TORSION, ats * 2 * (210 + 710), inside, "22.7.6.1");
        // a flange that encloses more
        Shape.Ell wide = new Shape.Ell(250, 700, 800, 300);
        told(post(wide, 0, 0, 0, 0, 0, 30e6), ACI, cage).silent("torsion-y").of("torsion-x");
    }

    private static ColumnDesign designed(ModelBuilder b, Basis basis) {
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), basis), basis);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        return ColumnDesigner.design(stack, c);
    }

    /** The chosen bars and ties bear what the torque asks for; without it fewer do. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void chosen(String code) {
        Basis basis = Basis.standard(code);
        for (Shape s : List.of(RECTANGLE, new Shape.Circle(500), new Shape.Ell(300, 800, 700, 250))) {
            ColumnDesign plain = designed(post(s, 60e3, 40e3, 600e3, 120e6, 90e6, 0), basis);
            ColumnDesign twisted = designed(post(s, 60e3, 40e3, 600e3, 120e6, 90e6, 30e6), basis);
            assertEquals(
                    List.of(),
                    twisted.lifts().get(0).checks().stream()
                            .filter(c ->
                                    c.cause() == Cause.TORSION || c.kind().id().equals("axial-bending"))
                            .filter(c -> !c.satisfied())
                            .toList(),
                    s.label());
            ColumnCage.LiftCage a = plain.cage().lifts().get(0);
            ColumnCage.LiftCage b = twisted.cage().lifts().get(0);
            assertTrue(
                    b.tie().area() / b.ties().middle()
                            > a.tie().area() / a.ties().middle(),
                    s.label() + " " + b.tie() + " " + b.ties());
            assertTrue(b.area() >= a.area(), s.label());
        }
    }

    /** Shear past the limit of the concrete: what is told stays finite, and fails. */
    @Test
    void shearThatNoTiesCarry() {
        ModelBuilder b = twisted(1500e3, 800e3, 30e6);
        Told t = told(b, ACI, USUAL);
        t.silent("torsion-x");
        assertTrue(t.of("torsion-y").utilisation() < 1);
        assertFalse(t.of("shear-limit-x").satisfied());
        assertFalse(t.of("shear-torsion-limit-x").satisfied());
        t.design()
                .checks()
                .forEach(
                        c -> assertTrue(Double.isFinite(c.demand()) && Double.isFinite(c.utilisation()), c.toString()));
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), ACI), ACI);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        LiftCalculation.of(stack, new ColumnCage(List.of(USUAL)), 0, c, 0, 0)
                .forEach(s -> assertTrue(Double.isFinite(s.value()) || Double.isNaN(s.value()), s.toString()));
    }

    /** The calculation ends with the numbers of the checks. */
    @Test
    void calculation() {
        ModelBuilder b = twisted(350e3, 800e3, 30e6);
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), ACI), ACI);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        Told t = told(b, ACI, USUAL);
        List<Step> steps = LiftCalculation.of(stack, new ColumnCage(List.of(USUAL)), 0, c, 0, 0);
        List<Double> uses = steps.stream()
                .filter(s -> s.symbol().equals("use"))
                .map(Step::value)
                .toList();
        assertTrue(uses.contains(t.of("torsion-x").utilisation()), uses.toString());
        assertTrue(uses.contains(t.of("torsion-y").utilisation()), uses.toString());
        assertEquals(t.of("torsion-x").demand() - t.of("torsion-y").demand(), (uses.get(0) - uses.get(1)) * LEG, 1e-6);
    }
}
