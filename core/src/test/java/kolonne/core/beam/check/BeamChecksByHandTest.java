package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static kolonne.core.beam.check.LaidByHand.T25;
import static kolonne.core.beam.check.LaidByHand.T32;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.IgnoredForces;
import kolonne.core.check.CheckResult;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.model.JointLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every check of beams by ACI 318M-19 whose numbers a hand can work out, on cages laid by hand: demand, capacity, place and clause. */
class BeamChecksByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final double ROOT = Math.sqrt(30);

    /** 300 × 600 over 6 m, f'c 30, cover 40; 1 kN/m is 1 N/mm. */
    private static ModelBuilder simple(double w) {
        return ModelBuilder.span(6000).spread("m", 0, 6000, w, w);
    }

    private static LaidByHand usual(double w) {
        return new LaidByHand(simple(w), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150);
    }

    /** φMn of a rectangle by 22.2: β1 of C30 is 0.85 − 0.05 × 2/7; bars {depth, area} from the compression face, by bisection of the axis. */
    static double phiMn(double b, double fc, double fy, double[]... bars) {
        double beta = fc <= 28 ? 0.85 : Math.max(0.65, 0.85 - 0.05 * (fc - 28) / 7);
        double low = 1;
        double high = 5000;
        double moment = 0;
        double deepest = 0;
        for (int k = 0; k < 80; k++) {
            double c = (low + high) / 2;
            double n = 0.85 * fc * b * beta * c;
            moment = -n * beta * c / 2;
            for (double[] s : bars) {
                double f = Math.max(-fy, Math.min(fy, 600 * (c - s[0]) / c)) - (s[0] < beta * c ? 0.85 * fc : 0);
                n += f * s[1];
                moment -= f * s[1] * s[0];
                deepest = Math.max(deepest, s[0]);
            }
            low = n < 0 ? c : low;
            high = n < 0 ? high : c;
        }
        double strain = 0.003 * (deepest - high) / high;
        double phi = Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (strain - fy / 200_000) / 0.003));
        return phi * moment;
    }

    @Test
    void aSimpleSpan() {
        double as = 4 * T20.area();
        double has = phiMn(300, 30, 420, new double[] {540, as}, new double[] {58, 2 * T16.area()});
        LaidByHand.Told t = usual(40).told();
        t.tells("flexure-bottom", 180e6, has, 3000, "22.3").cause("flexure-bottom", Cause.FLEXURE);
        assertEquals("1.0P", t.of("flexure-bottom").combination());
        assertEquals(0, t.of("flexure-bottom").part());
        assertEquals(
                3000,
                t.design()
                        .line()
                        .stations()
                        .get(t.of("flexure-bottom").station())
                        .x(),
                0.5);
        // 9.6.1.2: 1.4 / 420 > 0.25 √30 / 420; a third more than the demand is more than that from where 4/3 M / φMn >
        // 540 / As
        double least = 1.4 / 420 * 300 * 540;
        assertEquals(least, t.of("minimum-bottom").demand(), 1e-6 * least);
        t.use("minimum-bottom", least / as).cause("minimum-bottom", Cause.STEEL_BELOW_MINIMUM);
        // 22.5.5.1(a) with least stirrups; d is the lesser of 540 and 542
        double vc = 0.75 * 0.17 * ROOT * 300 * 540;
        double vs = 0.75 * 2 * T10.area() / 150 * 420 * 540;
        assertEquals(3000, Math.abs(t.of("shear").x() - 3000), 0.5, "at either end");
        t.tells("shear", 120e3, vc + vs, t.of("shear").x(), "22.5.1.1").cause("shear", Cause.SHEAR);
        t.tells(
                        "shear-limit",
                        120e3,
                        0.75 * (0.17 + 0.66) * ROOT * 300 * 540,
                        t.of("shear").x(),
                        "22.5.1.2")
                .cause("shear-limit", Cause.SHEAR_LIMIT);
        t.tells("stirrup-spacing", 150, 270, 3000, "9.7.6.2.2").cause("stirrup-spacing", Cause.STIRRUP_SPACING);
        t.tells("leg-spacing", 300 - 80 - 10, 540, 3000, "9.7.6.2.2");
        t.tells("legs-most", 2, 6, 3000, "basis").cause("legs-most", Cause.TIE_ARRANGEMENT);
        t.tells("minimum-shear-steel", 0.35 * 300 / 420, 2 * T10.area() / 150, 3000, "9.6.3.4")
                .cause("minimum-shear-steel", Cause.STEEL_BELOW_MINIMUM);
        t.tells("clear-spacing-bottom", 4.0 / 3 * 20, (300 - 100 - 4 * 20) / 3.0, 0, "25.2.1")
                .cause("clear-spacing-bottom", Cause.BARS_DO_NOT_FIT);
        t.tells("clear-spacing-top", 4.0 / 3 * 20, 300 - 100 - 2 * 16, 0, "25.2.1");
        t.tells("bar-spacing-bottom", (300 - 100 - 20) / 3.0, 380 * 280 / 280 - 2.5 * 50, 0, "24.3.2")
                .cause("bar-spacing-bottom", Cause.BAR_SPACING_WIDE);
        t.tells("bar-spacing-top", 300 - 100 - 16, 255, 0, "24.3.2");
        t.tells("corner-bars-bottom", 2, 4, 0, "25.7.1.1")
                .tells("corner-bars-top", 2, 2, 0, "25.7.1.1")
                .cause("corner-bars-top", Cause.STEEL_BELOW_MINIMUM);
        t.tells("bottom-into-support", as / 3, as, 0, "9.7.3.8").cause("bottom-into-support", Cause.ANCHORAGE);
        // without a slab beside it the line is one of the perimeter (9.7.7.1, a quarter)
        t.tells("integrity-bottom", as / 4, as, 0, "9.7.7.1").cause("integrity-bottom", Cause.STEEL_BELOW_MINIMUM);
        t.tells("span-to-depth", 6000 / 16.0, 600, 3000, "9.3.1.1").cause("span-to-depth", Cause.DEFLECTION);
        t.silent(
                "integrity-top",
                "flexure-top",
                "minimum-top",
                "tension-control-bottom",
                "tension-shift-bottom",
                "layer-spacing-bottom",
                "layers-bottom",
                "lap-room-bottom",
                "deep-beam",
                "side-bars",
                "axial-force",
                "minor-moment",
                "minor-shear",
                "hook-bottom",
                "past-inflection",
                "torsion",
                "shape",
                "concrete-scope",
                "second-order",
                "steel-maximum",
                "capacity-shear",
                "pair-size",
                "compression-ties");
        assertTrue(t.design().satisfied());
    }

    /** Six T32 in a small section work below εty + 0.003 (9.3.3.1), and 60 kN/m asks for more than they give. */
    @Test
    void tooMuchSteelAndTooMuchMoment() {
        LaidByHand.Told t = new LaidByHand(simple(110), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 6, T32, 66)
                .zone(0, 0, 6000, T10, 2, 100)
                .told();
        double c = axis(300, 30, 420, 534, 6 * T32.area(), 58, 2 * T16.area());
        double strain = 0.003 * (534 - c) / c;
        assertTrue(strain < 420 / 200_000.0 + 0.003);
        double has = phiMn(300, 30, 420, new double[] {534, 6 * T32.area()}, new double[] {58, 2 * T16.area()});
        t.use("flexure-bottom", 110 * 6000.0 * 6000 / 8 / has);
        assertEquals((0.0021 + 0.003) / strain, t.of("tension-control-bottom").utilisation(), 1e-3);
        assertEquals(strain, t.of("tension-control-bottom").capacity(), 1e-3 * strain);
        t.cause("tension-control-bottom", Cause.FLEXURE_COMPRESSION);
        assertEquals("9.3.3.1", t.of("tension-control-bottom").clause().text());
        assertFalse(t.of("clear-spacing-bottom").satisfied());
        // 300 wide, six bars: (300 − 100 − 6 × 32) / 5 against 4/3 × 32... the bar itself is the larger
        t.tells("clear-spacing-bottom", 32, (300 - 100 - 6 * 32) / 5.0, 0, "25.2.1");
    }

    private static double axis(double b, double fc, double fy, double d, double as, double d2, double as2) {
        double beta = 0.85 - 0.05 * (fc - 28) / 7;
        double low = 1;
        double high = d;
        for (int k = 0; k < 60; k++) {
            double c = (low + high) / 2;
            double n = 0.85 * fc * b * beta * c
                    + as2 * (Math.min(fy, 600 * (c - d2) / c) - 0.85 * fc)
                    - as * Math.min(fy, 600 * (d - c) / c);
            low = n < 0 ? c : low;
            high = n < 0 ? high : c;
        }
        return high;
    }

    /** Want of bars, of anchorage, of concrete: three causes. */
    @Test
    void causesOfBending() {
        new LaidByHand(simple(60), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told()
                .cause("flexure-bottom", Cause.FLEXURE);
        new LaidByHand(simple(250), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told()
                .cause("flexure-bottom", Cause.FLEXURE_COMPRESSION);
        // four T20 that begin 20 mm before a station of 172.8 kNm: 20 mm develop next to nothing of them, all of them
        // would be enough
        LaidByHand l = new LaidByHand(simple(40), ACI);
        double x = l.line.stations().stream()
                .mapToDouble(BeamLine.Station::x)
                .filter(q -> q < 2700)
                .max()
                .orElseThrow();
        LaidByHand.Told t = l.through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T16, 58)
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, x - 20, 6020 - x, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        t.cause("flexure-bottom", Cause.ANCHORAGE);
        assertEquals(3000 - x, Math.abs(t.of("flexure-bottom").x() - 3000), 0.5);
        assertEquals(40 * x * (6000 - x) / 2, t.of("flexure-bottom").demand(), 1e3);
    }

    /** Two spans of 6 m: hogging 1/8 w L² over the middle, 9/128 w L² in the spans at 3/8 of them. */
    @Test
    void twoSpans() {
        LaidByHand l = twoSpans(40);
        double d = 542;
        LaidByHand.Told t = l.through(TOP, 4, T16, 58)
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 200)
                .told();
        double top = 4 * T16.area();
        t.tells(
                "flexure-top",
                180e6,
                phiMn(300, 30, 420, new double[] {d, top}, new double[] {60, 3 * T20.area()}),
                6000,
                "22.3");
        t.use(
                "flexure-bottom",
                9.0
                        / 128
                        * 40
                        * 36e6
                        / phiMn(300, 30, 420, new double[] {540, 3 * T20.area()}, new double[] {58, top}));
        t.tells("shear", 150e3, 0.75 * (0.17 * ROOT * 300 * 540 + 2 * T10.area() / 200 * 420 * 540), 6000, "22.5.1.1");
        assertEquals(1, t.of("shear").part());
        t.tells("stirrup-spacing", 200, 270, 9000, "9.7.6.2.2");
        // 9.7.3.8.1, .2: a third at the simple ends
        t.tells("bottom-into-support", T20.area(), 3 * T20.area(), 0, "9.7.3.8");
        // 9.7.3.8.4: a third of the top steel past the point of inflection by max(d, 12 db, ln/16); all of it passes
        t.tells("past-inflection", top / 3, top, 6000, "9.7.3.8.4").cause("past-inflection", Cause.ANCHORAGE);
        t.tells("span-to-depth", 6000 / 18.5, 600, 3000, "9.3.1.1");
    }

    /** No moment at 1.5 m from the middle; the next station, at 1.8 m, counts, and bars run on by max(d 542, 12 db, ln/16) from there (9.7.3.8.4). */
    @Test
    void topBarsPastTheInflection() {
        for (double run : new double[] {1800 + 540, 1800 + 543}) {
            LaidByHand.Told t = twoSpans(40)
                    .through(TOP, 2, T16, 58)
                    .bars(new BeamCage.Group(TOP, 1, 2, T16, 58, 6000 - run, 6000 + run, false, false, false))
                    .through(BOTTOM, 3, T20, 60)
                    .zone(0, 0, 6000, T10, 2, 150)
                    .zone(1, 6000, 12_000, T10, 2, 150)
                    .told();
            t.tells("past-inflection", 4 * T16.area() / 3, (run > 2342 ? 4 : 2) * T16.area(), 6000, "9.7.3.8.4");
        }
    }

    private static LaidByHand twoSpans(double w) {
        return new LaidByHand(
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, w, w).spread("m2", 0, 6000, w, w), ACI);
    }

    /** 1.2 m deep: side bars at most 280 apart (24.3.2 with the cover of the side), and a clear span under four depths is deep. */
    @Test
    void deepSections() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 400, 1200)
                .joint("A", 0, 0, 0)
                .joint("B", 4500, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m", 0, 4500, 30, 30);
        LaidByHand l = new LaidByHand(m, ACI)
                .through(TOP, 2, T20, 60)
                .through(BOTTOM, 3, T25, 62.5)
                .zone(0, 0, 4500, T10, 2, 200);
        LaidByHand.Told t = l.told();
        t.tells("deep-beam", 4, 4500 / 1200.0, 2250, "9.9.1.1").cause("deep-beam", Cause.OUT_OF_SCOPE);
        t.tells("side-bars", 1200 - 80, 380 - 2.5 * 40, 2250, "9.7.2.3").cause("side-bars", Cause.BAR_SPACING_WIDE);
        t = l.side(new BeamCage.SideBars(0, T10, 3, 0, 4500, false, false)).told();
        t.tells("side-bars", 1120 / 4.0, 280, 2250, "9.7.2.3");
    }

    /** A cantilever of 2 m from a column: twice as short before it is deep, 1/8 of its span by the table, top bars hold it. */
    @Test
    void aCantilever() {
        LaidByHand l = new LaidByHand(
                new ModelBuilder()
                        .section("S", 300, 600)
                        .joint("F", 0, 0, -3000)
                        .joint("A", 0, 0, 0)
                        .joint("B", 1300, 0, 0)
                        .column("c", "F", "A")
                        .fixed("F")
                        .beam("m", "A", "B")
                        .spread("m", 0, 1300, 20, 20),
                ACI);
        double face = l.line.spans().get(0).faceFrom();
        double clear = 1300 - face;
        LaidByHand.Told t = l.hooked(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T16, 58)
                .zone(0, face, 1300, T10, 2, 150)
                .told();
        t.use("flexure-top", 20 * clear * clear / 2 / t.of("flexure-top").capacity());
        t.tells("deep-beam", 2, clear / 600, face + clear / 2, "9.9.1.1");
        assertEquals(clear / 8, t.of("span-to-depth").demand(), 0.1);
        t.silent("bottom-into-support", "past-inflection");
    }

    /** Axial force, minor bending and shear across count from a twentieth of what may be neglected. */
    @Test
    void forcesLeftOut() {
        ModelBuilder m = simple(40).push("B", 0, 0, 0);
        m.supports.clear();
        m.supports.add(new kolonne.core.model.Support("A", true, true, true, true, false, true));
        m.supports.add(new kolonne.core.model.Support("B", false, true, true, true, false, true));
        m.push("B", -600e3, 0, 0);
        m.memberLoads.add(new kolonne.core.model.MemberLoad(
                "P",
                "m",
                kolonne.core.model.MemberLoad.Kind.DISTRIBUTED,
                kolonne.core.model.Direction.GLOBAL_Y,
                0,
                6000,
                3,
                3));
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        // 9.3.3.1, 9.5.2.1: 0.10 f'c Ag
        t.tells("axial-force", 600e3, 0.1 * 30 * 180_000, 0, "9.3.3.1").cause("axial-force", Cause.OUT_OF_SCOPE);
        // both ends are fixed about the vertical: w L² / 12 and w L / 2
        assertEquals(3 * 36e6 / 12, t.of("minor-moment").demand(), 1e3);
        assertEquals(
                IgnoredForces.minorMoment(new Shape.Rectangle(300, 600), 30),
                t.of("minor-moment").capacity(),
                1e-6);
        assertEquals(9000, t.of("minor-shear").demand(), 1);
        t.cause("minor-shear", Cause.OUT_OF_SCOPE).cause("minor-moment", Cause.OUT_OF_SCOPE);
        assertEquals("1.0P", t.of("minor-shear").combination());
        // pulled, with a fiftieth of that: under a twentieth of the threshold
        assertTrue(t.of("axial-force").x() >= 0);
    }

    @Test
    void whatIsOutOfScope() {
        ModelBuilder round = new ModelBuilder();
        round.sections.add(new kolonne.core.model.Section("S", new Shape.Circle(500)));
        round.joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m", 0, 6000, 10, 10);
        LaidByHand.Told t = new LaidByHand(round, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        t.cause("shape", Cause.OUT_OF_SCOPE).silent("concrete-scope");
        assertFalse(t.of("shape").satisfied());
        assertEquals(3000, t.of("shape").x(), 1e-6);
        ModelBuilder weak = simple(10);
        weak.fc = 12;
        LaidByHand.Told w = new LaidByHand(weak, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        assertFalse(w.of("concrete-scope").satisfied());
        assertEquals(12, w.of("concrete-scope").demand(), 1e-9);
        assertEquals(3000, w.of("concrete-scope").x(), 1e-6);
        w.cause("concrete-scope", Cause.OUT_OF_SCOPE).silent("shape");
    }

    /** The calculation at a station: use of bending and shear, and every check of the span that belongs to no station. */
    @Test
    void theCalculation() {
        LaidByHand l = usual(40);
        List<Step> steps = l.explained(3000);
        LaidByHand.Told t = l.told();
        assertEquals(
                t.of("flexure-bottom").utilisation(), step(steps, "Mu / φMn").value(), 1e-9);
        assertEquals(
                "No combination puts the top in tension here.",
                step(steps, "Flexure, top").formula());
        assertEquals("1.0P", step(steps, "Flexure, bottom").formula());
        assertEquals(0, step(steps, "Vu / φVn").value(), 1e-6, "no shear in the middle");
        assertEquals(
                120e3 / t.of("shear").capacity(),
                step(l.explained(0), "Vu / φVn").value(),
                1e-4);
        assertEquals(
                120e3 / t.of("shear").capacity(),
                step(l.explained(6000), "Vu / φVn").value(),
                1e-4);
        for (String title : List.of(
                "Stirrup spacing", "Clear distance, bottom bars", "Bottom bars into the support", "Minimum depth")) {
            assertTrue(steps.stream().anyMatch(s -> s.symbol().equals(title)), title + " in " + steps);
        }
        assertTrue(steps.stream().noneMatch(s -> s.symbol().equals("Flexure, bottom") && s.value() > 0));
        assertTrue(steps.stream().anyMatch(s -> s.symbol().equals("Span 1")));
        // εt of 9.3.3.1, the least steel of 9.6.1.2 and the least depth of 9.3.1.1 are there as well
        for (String clause : List.of("9.3.3.1", "9.6.1.2", "9.3.1.1")) {
            assertTrue(steps.stream().anyMatch(s -> s.clause().text().equals(clause)), clause);
        }
    }

    private static Step step(List<Step> steps, String symbol) {
        return steps.stream()
                .filter(s -> s.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new AssertionError(symbol + " in " + steps));
    }

    /** Places in words count from the nearer support. */
    @Test
    void placesInWords() {
        LaidByHand l = usual(40);
        assertEquals("2.00 m right of A", Places.of(l.line, 2000, 0, l.context));
        assertEquals("2.00 m left of B", Places.of(l.line, 4000, 0, l.context));
        assertEquals("3.00 m right of A", Places.of(l.line, 3000, 0, l.context));
        LaidByHand two = twoSpans(40);
        assertEquals("2.00 m right of B", Places.of(two.line, 8000, 1, two.context));
        assertEquals("1.00 m left of E", Places.of(two.line, 11_000, 1, two.context));
        assertEquals("0.00 m right of B", Places.of(two.line, 5900, 1, two.context));
    }

    /** On either side of the support: bars that pass the inflection by enough on one side only count on that side only. */
    @ParameterizedTest(name = "left {0}, right {1}: {2} bars, in span {3}")
    @CsvSource({"2340, 3000, 2, 0", "3000, 2340, 2, 1", "2341.5, 3000, 4, 1", "3000, 2341.5, 4, 1"})
    void eitherSideOfTheSupport(double left, double right, int bars, int part) {
        LaidByHand.Told t = twoSpans(40)
                .through(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(TOP, 1, 2, T16, 58, 6000 - left, 6000 + right, false, false, false))
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150)
                .told();
        t.tells("past-inflection", 4 * T16.area() / 3, bars * T16.area(), 6000, "9.7.3.8.4");
        assertEquals(part, t.of("past-inflection").part());
    }

    /** A short span beside a long one is hogging from end to end: bars need reach its far face only. @param turned moment on its far end [Nmm] */
    private static LaidByHand shortBesideLong(double turned, double end) {
        ModelBuilder m = ModelBuilder.twoSpans(6000, 1500).spread("m1", 0, 6000, 40, 40);
        m.jointLoads.add(new JointLoad("P", "E", 0, 0, 0, 0, turned, 0));
        return new LaidByHand(m, ACI)
                .through(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(TOP, 1, 2, T16, 58, 2000, end, false, false, false))
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 7500, T10, 2, 150);
    }

    /** With a moment on the far end the top is in tension at its last station, too: bars reach the far face, whichever way the moment turns. */
    @Test
    void hoggingFromEndToEnd() {
        int whole = 0;
        for (double end : new double[] {7490, 7499.5}) {
            for (double moment : new double[] {0, 50e6, -50e6}) {
                LaidByHand.Told t = shortBesideLong(moment, end).told();
                List<BeamDesign.Point> profile = t.design().profile();
                whole += profile.get(profile.size() - 1).mNeg() < -49e6 ? 1 : 0;
                t.tells("past-inflection", 4 * T16.area() / 3, (end > 7499 ? 4 : 2) * T16.area(), 6000, "9.7.3.8.4");
            }
        }
        assertEquals(2, whole, "one of the two moments turns the top into tension");
    }

    /** Two combinations: each check names the one that governs it, on either face and for either sign of the shear. */
    @Test
    void theCombinationThatGoverns() {
        ModelBuilder m =
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, 40, 40).spread("m2", 0, 6000, 40, 40);
        m.combine("light", Map.of("P", 0.5)).combine("heavy", Map.of("P", 1.0)).combine("up", Map.of("P", -0.1));
        LaidByHand l = new LaidByHand(m, ACI)
                .through(TOP, 4, T16, 58)
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150);
        LaidByHand.Told t = l.told();
        assertEquals("heavy", t.of("flexure-top").combination());
        assertEquals("heavy", t.of("flexure-bottom").combination());
        assertEquals("heavy", t.of("shear").combination());
        BeamDesign.Point middle = t.design().profile().stream()
                .filter(p -> p.span() == 0)
                .reduce((a, b) -> b)
                .orElseThrow();
        assertEquals(
                List.of(-180e6, 18e6, -150e3, 15e3),
                List.of(
                        (double) Math.round(middle.mNeg()),
                        (double) Math.round(middle.mPos()),
                        (double) Math.round(middle.vMin()),
                        (double) Math.round(middle.vMax())));
        assertEquals(
                List.of(1, 2, 1, 2),
                List.of(middle.comboNeg(), middle.comboPos(), middle.comboVMin(), middle.comboVMax()));
        int first =
                (int) t.design().profile().stream().filter(p -> p.span() == 0).count() - 1;
        List<Step> steps = BeamCheck.explain(l.line, l.cage(), l.context, first);
        assertEquals("heavy", step(steps, "Flexure, top").formula());
        assertEquals("up", step(steps, "Flexure, bottom").formula());
        assertEquals("heavy", step(steps, "Shear").formula());
        List<Double> uses = steps.stream()
                .filter(s -> s.symbol().equals("Mu / φMn"))
                .map(Step::value)
                .toList();
        assertEquals(18e6 / middle.capPos(), uses.get(0), 1e-6);
        assertEquals(180e6 / -middle.capNeg(), uses.get(1), 1e-6);
        assertEquals(150e3 / middle.vn(), step(steps, "Vu / φVn").value(), 1e-6);
        assertEquals(
                "heavy",
                step(BeamCheck.explain(l.line, l.cage(), l.context, first + 1), "Shear")
                        .formula());
        assertTrue(
                steps.stream()
                        .anyMatch(s -> s.clause().text().equals("9.3.3.1") && Math.abs(s.value() - 0.0051) < 1e-9),
                "εty + 0.003");
    }

    /** The calculation goes by the redistributed moments where the check does. */
    @Test
    void theCalculationIsRedistributed() {
        Basis moved = ACI.withRedistribution(0.1);
        ModelBuilder m =
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, 40, 40).spread("m2", 0, 6000, 40, 40);
        LaidByHand l = new LaidByHand(m, moved)
                .through(TOP, 4, T16, 58)
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150);
        CheckResult c = l.told().of("flexure-top");
        assertEquals(162e6, c.demand(), 1e3);
        assertEquals(c.utilisation(), step(l.explained(6000), "Mu / φMn").value(), 1e-9);
    }

    /** Width for the least steel (9.6.1.2): the web; min(b, 2 bw) where the flange of a determinate span is in tension. */
    @Test
    void widthForTheLeastSteel() {
        ModelBuilder m = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("E", 8000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .spread("m1", 0, 6000, 10, 10);
        m.sections.add(new kolonne.core.model.Section("S", new Shape.Tee(300, 600, 1000, 120)));
        BeamLine line = new LaidByHand(m, ACI).line;
        assertEquals(
                300,
                FlexureCheck.minimumWidth(ACI.designCode(), line, line.spans().get(0), true),
                1e-9);
        assertEquals(
                300,
                FlexureCheck.minimumWidth(ACI.designCode(), line, line.spans().get(0), false),
                1e-9);
        assertEquals(
                600,
                FlexureCheck.minimumWidth(ACI.designCode(), line, line.spans().get(1), false),
                1e-9);
        ModelBuilder one = simple(10);
        one.sections.clear();
        one.sections.add(new kolonne.core.model.Section("S", new Shape.Tee(300, 600, 1000, 120)));
        BeamLine single = new LaidByHand(one, ACI).line;
        assertEquals(
                300,
                FlexureCheck.minimumWidth(
                        ACI.designCode(), single, single.spans().get(0), true),
                1e-9);
        assertEquals(
                300,
                FlexureCheck.minimumWidth(
                        ACI.designCode(), single, single.spans().get(0), false),
                1e-9);
    }
}
