package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static kolonne.core.beam.check.LaidByHand.T25;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.model.Combination;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Checks of beams that only Eurocode 2 asks for, by hand on cages laid by hand: cracks, stresses, the shifted moment, flanges. */
class EnChecksByHandTest {
    private static final Basis EN = Basis.standard("en-1992-1-1");
    /** Es over E of the model, and over Ecm of C30. */
    private static final double N = 200_000 / 30_000.0;

    private static final double ECM = 22_000 * Math.pow(3.8, 0.3);

    private static ModelBuilder with(ModelBuilder m, double lasting) {
        m.combine("U", Map.of("P", 1.35));
        m.combinations.add(
                new Combination("S", "S", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1.0))));
        m.combinations.add(new Combination(
                "Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", lasting))));
        return m;
    }

    private static ModelBuilder simple(double w) {
        return ModelBuilder.span(6000).spread("m", 0, 6000, w, w);
    }

    /** A cantilever of 2.4 m that goes on from a span of 6 m: hogging over the support. */
    private static ModelBuilder overhang(double w) {
        return new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("E", 8400, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .spread("m2", 0, 2400, w, w);
    }

    private static LaidByHand laid(ModelBuilder m) {
        return new LaidByHand(m, EN)
                .through(TOP, 2, T16, 53)
                .through(BOTTOM, 4, T20, 55)
                .zone(0, 0, 6000, T10, 2, 150);
    }

    /** A cracked rectangle: depth of compression and second moment of area in concrete, by the first moment; {x, I}. */
    private static double[] cracked(double b, double n, double d, double as, double d2, double as2) {
        double low = 0;
        double high = d;
        for (int k = 0; k < 80; k++) {
            double x = (low + high) / 2;
            double first = b * x * x / 2 + (d2 < x ? n - 1 : n) * as2 * (x - d2) - n * as * (d - x);
            low = first < 0 ? x : low;
            high = first < 0 ? high : x;
        }
        double x = high;
        return new double[] {
            x, b * x * x * x / 3 + (d2 < x ? n - 1 : n) * as2 * (x - d2) * (x - d2) + n * as * (d - x) * (d - x)
        };
    }

    private static double width(double stress, double d, double x, double as, double diameter, double spacing) {
        double cover = 45;
        double rho = as / (300 * Math.min(Math.min(2.5 * (600 - d), (600 - x) / 3), 300));
        double fctm = 0.3 * Math.pow(30, 2.0 / 3);
        double strain = Math.max(stress - 0.4 * fctm / rho * (1 + 200_000 / ECM * rho), 0.6 * stress) / 200_000;
        double sr = 3.4 * cover + 0.425 * 0.8 * 0.5 * diameter / rho;
        return strain * (spacing > 5 * (cover + diameter / 2) ? Math.max(sr, 1.3 * (600 - x)) : sr);
    }

    /** 7.3.4 in the middle of a span under half of the load, with creep 2.0. */
    @Test
    void theWidthOfCracks() {
        LaidByHand.Told t = laid(with(simple(40), 0.5)).told();
        double as = 4 * T20.area();
        double m = 0.5 * 40 * 36e6 / 8;
        double[] c = cracked(300, 3 * N, 545, as, 53, 2 * T16.area());
        double stress = 3 * N * m * (545 - c[0]) / c[1];
        t.tells("crack-width", width(stress, 545, c[0], as, 20, (300 - 90 - 20) / 3.0), 0.3, 3000, "7.3.4(1)")
                .cause("crack-width", Cause.CRACK);
        assertEquals("Q", t.of("crack-width").combination());
        // under characteristic load, late: steel at most 0.8 fyk
        t.tells("steel-stress", stress * 2, 0.8 * 500, 3000, "7.2").cause("steel-stress", Cause.CRACK);
        assertEquals("S", t.of("steel-stress").combination());
        t.silent("bar-spacing-bottom", "bar-spacing-top", "concrete-stress");
    }

    /** Hogging: the same over the support of an overhang, the top bars far apart. */
    @Test
    void cracksOfTheTop() {
        LaidByHand l = new LaidByHand(with(overhang(25), 0.8), EN)
                .through(TOP, 2, T25, 57.5)
                .through(BOTTOM, 2, T16, 53)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 8400, T10, 2, 150);
        LaidByHand.Told t = l.told();
        double as = 2 * T25.area();
        double m = 0.8 * 25 * 2400 * 2400 / 2;
        double[] c = cracked(300, 3 * N, 542.5, as, 53, 2 * T16.area());
        double stress = 3 * N * m * (542.5 - c[0]) / c[1];
        t.tells("crack-width", width(stress, 542.5, c[0], as, 25, 300 - 90 - 25), 0.3, 6000, "7.3.4(1)");
        assertEquals("Crack width, top", t.of("crack-width").title());
        t.use("steel-stress", stress / 0.8 / 400);
        List<Step> steps = l.explained(6000);
        assertEquals(
                "Q",
                steps.stream()
                        .filter(s -> s.symbol().equals("Crack width, top"))
                        .findFirst()
                        .orElseThrow()
                        .formula());
        assertEquals(
                t.of("crack-width").demand(),
                steps.stream()
                        .filter(s -> s.symbol().equals("wk"))
                        .findFirst()
                        .orElseThrow()
                        .value(),
                1e-9);
        assertTrue(steps.stream().noneMatch(s -> s.symbol().equals("Crack width, bottom")));
    }

    /** Bars of two sizes count by (7.12); a thicker stirrup covers deeper. */
    @Test
    void barsOfTwoSizes() {
        LaidByHand.Told t = new LaidByHand(with(simple(40), 0.5), EN)
                .through(TOP, 2, T16, 53)
                .through(BOTTOM, 2, T25, 57.5)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T16, 53, 500, 5500, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double a1 = 2 * T25.area();
        double a2 = 2 * T16.area();
        double d = 600 - (a1 * 57.5 + a2 * 53) / (a1 + a2);
        double diameter = (2 * 625 + 2 * 256) / (50.0 + 32);
        // two levels of bars: the first moment with both
        double[] c =
                twoLevels(3 * N, new double[] {542.5, a1}, new double[] {547, a2}, new double[] {53, 2 * T16.area()});
        double stress = 3 * N * 90e6 * (547 - c[0]) / c[1];
        // 2T25 outside, 2T16 between: the gaps are equal
        double gap = (300 - 90 - 50 - 32) / 3.0;
        double spacing = gap + (25 + 16) / 2.0;
        t.tells("crack-width", width(stress, d, c[0], a1 + a2, diameter, spacing), 0.3, 3000, "7.3.4(1)");
    }

    private static double[] twoLevels(double n, double[]... bars) {
        double low = 0;
        double high = 600;
        for (int k = 0; k < 80; k++) {
            double x = (low + high) / 2;
            double first = 300 * x * x / 2;
            for (double[] b : bars) {
                first += (b[0] < x ? n - 1 : n) * b[1] * (x - b[0]);
            }
            low = first < 0 ? x : low;
            high = first < 0 ? high : x;
        }
        double second = 300 * high * high * high / 3;
        for (double[] b : bars) {
            second += (b[0] < high ? n - 1 : n) * b[1] * (b[0] - high) * (b[0] - high);
        }
        return new double[] {high, second};
    }

    /** 7.2(2): 0.6 fck, asked where the basis wants it, with the concrete as it is when young. */
    @Test
    void theStressOfTheConcrete() {
        Basis asked = Varied.national(EN, Map.of("concreteStress", 0.6));
        LaidByHand.Told t = new LaidByHand(with(simple(40), 0.5), asked)
                .through(TOP, 2, T16, 53)
                .through(BOTTOM, 4, T20, 55)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double[] c = cracked(300, N, 545, 4 * T20.area(), 53, 2 * T16.area());
        t.tells("concrete-stress", 180e6 * c[0] / c[1], 18, 3000, "7.2").cause("concrete-stress", Cause.CRACK);
        assertEquals("S", t.of("concrete-stress").combination());
    }

    /** 7.2(3): told where it is more than 0.45 fck, at its worst place, with both stresses. */
    @Test
    void creepOutOfProportion() {
        double[] c = cracked(300, N, 545, 4 * T20.area(), 53, 2 * T16.area());
        double at = 13.5 / (c[0] / c[1]) * 8 / 36e6;
        for (double factor : new double[] {0.99, 1.2}) {
            List<Finding> told = laid(with(simple(at * factor), 1)).design().findings().stream()
                    .filter(f -> f.code().equals("creep.nonlinear"))
                    .toList();
            assertEquals(factor > 1 ? 1 : 0, told.size());
            assertTrue(
                    told.stream()
                            .allMatch(f -> f.what().contains("16.20 MPa")
                                    && f.what().contains("13.50 MPa")
                                    && f.where().contains("3.00 m right of A")
                                    && f.what().contains("7.2(3)")),
                    told.toString());
        }
    }

    /** The use that the choice of bars goes by is the larger of crack and stress at every station. */
    @Test
    void usesForTheChoice() {
        LaidByHand l = laid(with(simple(40), 0.5));
        BeamContext own = l.context.of(l.line);
        CrackCheck check = new CrackCheck(
                l.line,
                l.cage(),
                own,
                new BarsAt(l.line, l.cage(), EN),
                new kolonne.core.check.Governing((x, span) -> ""),
                EN.designCode().crackWidth().orElseThrow());
        double[] sagging = check.uses(true);
        LaidByHand.Told t = l.told();
        assertEquals(
                Math.max(t.of("crack-width").utilisation(), t.of("steel-stress").utilisation()),
                java.util.Arrays.stream(sagging).max().orElseThrow(),
                1e-9);
        assertEquals(0, java.util.Arrays.stream(check.uses(false)).max().orElseThrow(), 0);
        assertEquals(0, sagging[0], 0, "no moment at the end");
        LaidByHand empty = new LaidByHand(with(simple(40), 0.5), EN).through(TOP, 2, T16, 53);
        assertEquals(
                0,
                java.util.Arrays.stream(new CrackCheck(
                                        empty.line,
                                        empty.cage(),
                                        own,
                                        new BarsAt(empty.line, empty.cage(), EN),
                                        new kolonne.core.check.Governing((x, span) -> ""),
                                        EN.designCode().crackWidth().orElseThrow())
                                .uses(true))
                        .max()
                        .orElseThrow(),
                0,
                "no bars, no stress in them");
        // crack 0.001 wide: stress decides
        LaidByHand heavy = laid(with(simple(40), 0.05));
        CrackCheck rarely = new CrackCheck(
                heavy.line,
                heavy.cage(),
                heavy.context.of(heavy.line),
                new BarsAt(heavy.line, heavy.cage(), EN),
                new kolonne.core.check.Governing((x, span) -> ""),
                EN.designCode().crackWidth().orElseThrow());
        assertEquals(
                heavy.told().of("steel-stress").utilisation(),
                java.util.Arrays.stream(rarely.uses(true)).max().orElseThrow(),
                1e-9);
    }

    /** 9.2.1.3(2): al = 0.45 d cot θ with cot θ up to 2.5 is 613 mm; stations stand 600 apart, so that the one before the middle has the moment of the middle. */
    @Test
    void theShiftedMoment() {
        LaidByHand.Told t = laid(simple(40)).told();
        double as = 4 * T20.area();
        double has = t.of("flexure-bottom").capacity();
        double f = as * 500 / 1.15;
        // without the top bars: x = f / (0.8 × 20 × 300); they add under one per cent
        assertEquals(f * (545 - f / (2 * 20 * 300)), has, 0.012 * has);
        t.tells("tension-shift-bottom", 180e6, has, 2400, "9.2.1.3(2)")
                .cause("tension-shift-bottom", Cause.ANCHORAGE)
                .silent("tension-shift-top");
        assertEquals("1.0P", t.of("tension-shift-bottom").combination());
    }

    @Test
    void theShiftStopsAtAFreeEnd() {
        LaidByHand l = new LaidByHand(overhang(25), EN)
                .through(TOP, 4, T20, 55)
                .through(BOTTOM, 2, T16, 53)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 8400, T10, 2, 150);
        LaidByHand.Told t = l.told();
        assertEquals(72e6, t.of("tension-shift-top").demand(), 1e3);
        double[] uses = BeamCheck.shiftedUse(l.line, l.cage(), l.context.of(l.line), false);
        double shift = 0.45 * 545 * 2.5;
        for (int i = 0; i < uses.length; i++) {
            double x = l.line.stations().get(i).x();
            double reach = x >= 6000 && l.line.stations().get(i).span() == 1 ? Math.max(6000, x - shift) : 0;
            if (l.line.stations().get(i).span() == 1) {
                // the station of the largest moment within reach
                double from = l.line.stations().stream()
                        .filter(s -> s.span() == 1 && s.x() >= reach - 1e-6)
                        .mapToDouble(BeamLine.Station::x)
                        .min()
                        .orElseThrow();
                double m = 8400 - x < shift ? 0 : 25 * (8400 - from) * (8400 - from) / 2;
                assertEquals(m > 0, uses[i] > 0, "at " + x);
                assertTrue(
                        m == 0
                                || Math.abs(uses[i]
                                                - m
                                                        / -t.design()
                                                                .profile()
                                                                .get(i)
                                                                .capNeg())
                                        < 1e-6,
                        "at " + x);
            }
        }
        assertEquals(
                0,
                java.util.Arrays.stream(BeamCheck.shiftedUse(l.line, l.cage(), l.context.of(l.line), true))
                        .max()
                        .orElseThrow(),
                0,
                "no sagging");
    }

    @ParameterizedTest
    @CsvSource({"aci-318m-19, 0.0", "en-1992-1-1, 0.5"})
    void onlyEurocodeShifts(String code, double least) {
        Basis b = Basis.standard(code);
        LaidByHand l = new LaidByHand(simple(40), b)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150);
        double most = java.util.Arrays.stream(BeamCheck.shiftedUse(l.line, l.cage(), l.context.of(l.line), true))
                .max()
                .orElseThrow();
        assertTrue(least == 0 ? most == 0 : most > least, most + "");
    }

    /** The width governs where all of the load lasts. */
    @Test
    void cracksOfALastingLoad() {
        LaidByHand l = laid(with(simple(40), 1));
        LaidByHand.Told t = l.told();
        assertTrue(t.of("crack-width").utilisation() > t.of("steel-stress").utilisation());
        CrackCheck check = new CrackCheck(
                l.line,
                l.cage(),
                l.context.of(l.line),
                new BarsAt(l.line, l.cage(), EN),
                new kolonne.core.check.Governing((x, span) -> ""),
                EN.designCode().crackWidth().orElseThrow());
        assertEquals(
                t.of("crack-width").utilisation(),
                java.util.Arrays.stream(check.uses(true)).max().orElseThrow(),
                1e-9);
    }

    /** A pair counts as one bar as large as both, 20 √2 (8.9.1(2)): two of them beside two single bars. */
    @Test
    void cracksWithPairs() {
        LaidByHand.Told t = new LaidByHand(with(simple(40), 0.5), EN)
                .through(TOP, 2, T16, 53)
                .through(BOTTOM, 2, T20, 65)
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 65, 500, 5500, false, false, false, true))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double as = 6 * T20.area();
        double pair = 20 * Math.sqrt(2);
        double diameter = (2 * 400 + 2 * pair * pair) / (40 + 2 * pair);
        double[] c = cracked(300, 3 * N, 535, as, 53, 2 * T16.area());
        double stress = 3 * N * 90e6 * (535 - c[0]) / c[1];
        t.tells("crack-width", width(stress, 535, c[0], as, diameter, (300 - 90 - 20) / 3.0), 0.3, 3000, "7.3.4(1)");
    }

    /** A free end on the left stops the shift as one on the right does. */
    @Test
    void theShiftStopsAtEitherEnd() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 300, 600)
                .joint("E", -2400, 0, 0)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m0", "E", "A")
                .beam("m1", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m0", 0, 2400, 25, 25);
        LaidByHand l = new LaidByHand(m, EN)
                .through(TOP, 4, T20, 55)
                .through(BOTTOM, 2, T16, 53)
                .zone(0, 0, 2400, T10, 2, 150)
                .zone(1, 2400, 8400, T10, 2, 150);
        double[] uses = BeamCheck.shiftedUse(l.line, l.cage(), l.context.of(l.line), false);
        double shift = 0.45 * 545 * 2.5;
        for (int i = 0; i < uses.length; i++) {
            if (l.line.stations().get(i).span() == 0) {
                assertEquals(
                        l.line.stations().get(i).x() >= shift,
                        uses[i] > 0,
                        "at " + l.line.stations().get(i).x());
            }
        }
    }

    /** Two combinations: the shifted moment names the one it comes from, on either face. */
    @Test
    void theCombinationOfTheShift() {
        for (boolean up : new boolean[] {false, true}) {
            ModelBuilder m = simple(40)
                    .combine("less", Map.of("P", up ? -0.5 : 0.5))
                    .combine("more", Map.of("P", up ? -1.0 : 1.0))
                    .combine("other", Map.of("P", up ? 0.3 : -0.3));
            LaidByHand.Told t = new LaidByHand(m, EN)
                    .through(TOP, 4, T20, 55)
                    .through(BOTTOM, 4, T20, 55)
                    .zone(0, 0, 6000, T10, 2, 150)
                    .told();
            assertEquals(
                    "more",
                    t.of(up ? "tension-shift-top" : "tension-shift-bottom").combination());
            assertEquals(
                    "other",
                    t.of(up ? "tension-shift-bottom" : "tension-shift-top").combination());
            assertEquals("more", t.of(up ? "flexure-top" : "flexure-bottom").combination());
        }
    }

    private static ModelBuilder tee(ModelBuilder m) {
        m.sections.clear();
        m.sections.add(new kolonne.core.model.Section("S", new kolonne.core.shape.Shape.Tee(300, 650, 1500, 120)));
        return m;
    }

    /**
     * 6.2.4 between the places of no and of greatest sagging moment, on either side of the peak: two spans of 8 m under 60 kN/m, sagging from the
     * outer support to 6 m from it, most at 3 m. Half of the left part is 1.5 m, at stations 800 apart 0.8 m; of the right one 1.5 m as well.
     */
    @Test
    void flangesOfAContinuousLine() {
        ModelBuilder m = tee(new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("E", 16_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 8000, 60, 60)
                .spread("m2", 0, 8000, 60, 60));
        LaidByHand.Told t = new LaidByHand(m, EN)
                .through(TOP, 6, T25, 57.5)
                .through(BOTTOM, 4, T25, 57.5)
                .zone(0, 0, 8000, T10, 2, 150)
                .zone(1, 8000, 16_000, T10, 2, 150)
                .told();
        double[] hand = flangeShear(t.design());
        double worst = hand[0];
        double place = hand[1];
        double limit = 0.5 * 0.6 * (1 - 30 / 250.0) * 20;
        CheckResult c = t.of("flange-shear");
        assertEquals(worst, c.demand(), 1e-6 * worst);
        assertEquals(worst / limit, c.utilisation(), 1e-6);
        assertEquals(Math.abs(place - 8000), Math.abs(c.x() - 8000), 1e-6);
        assertEquals("6.2.4", c.clause().text());
        assertEquals(Cause.SHEAR_LIMIT, c.cause());
    }

    /** The slab of the heavier span needs the bars, and the note names it. */
    @Test
    void barsAcrossTheWeb() {
        ModelBuilder m = tee(new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("E", 16_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 8000, 20, 20)
                .spread("m2", 0, 8000, 90, 90));
        Finding f = new LaidByHand(m, EN)
                .through(TOP, 6, T25, 57.5).through(BOTTOM, 4, T25, 57.5).design().findings().stream()
                        .filter(q -> q.code().equals("flange.bars"))
                        .findFirst()
                        .orElseThrow();
        assertTrue(f.where().endsWith("span 2"), f.where());
    }

    /** (7.16a, b) sees the flange: ρ over the whole width, and its breadth over three webs takes a fifth off. */
    @Test
    void spanToDepthOfAFlangedBeam() {
        LaidByHand l =
                new LaidByHand(tee(simple(20)), EN).through(TOP, 2, T16, 53).through(BOTTOM, 4, T25, 57.5);
        double ratio = 4 * T25.area() / (1500 * 592.5);
        double limit = Math.sqrt(30) / 1000;
        double k = 11 + 1.5 * Math.sqrt(30) * limit / ratio + 3.2 * Math.sqrt(30) * Math.pow(limit / ratio - 1, 1.5);
        double d = 6000 / (0.8 * k);
        double h = DeflectionCheck.leastDepth(
                l.line, l.line.spans().get(0), new BarsAt(l.line, l.cage(), EN), EN, kolonne.core.explain.Trace.OFF);
        assertEquals(d / 0.9, h, 0.01 * h);
    }

    /** The largest stress between web and flange of 300 / 1500 × 650 / 120, read off the profile: change of the flange's force over half the way to the peak; {v, x}. */
    private static double[] flangeShear(BeamDesign d) {
        double[] worst = {0, 0};
        for (int span = 0; span < d.line().spans().size(); span++) {
            int number = span;
            List<BeamDesign.Point> all =
                    d.profile().stream().filter(p -> p.span() == number).toList();
            BeamDesign.Point peak = all.stream()
                    .max(java.util.Comparator.comparingDouble(BeamDesign.Point::mPos))
                    .orElseThrow();
            for (boolean left : new boolean[] {true, false}) {
                BeamDesign.Point zero = all.stream()
                        .filter(p ->
                                (left ? p.x() < peak.x() : p.x() > peak.x()) && p.mPos() < 1e-4 * 30 * 300 * 650 * 650)
                        .min(java.util.Comparator.comparingDouble(p -> Math.abs(p.x() - peak.x())))
                        .orElseThrow();
                double half = Math.abs(zero.x() - peak.x()) / 2;
                BeamDesign.Point middle = all.stream()
                        .filter(p -> Math.abs(p.x() - zero.x()) > 1
                                && Math.abs(p.x() - zero.x()) <= half
                                && (left ? p.x() > zero.x() : p.x() < zero.x()))
                        .max(java.util.Comparator.comparingDouble(p -> Math.abs(p.x() - zero.x())))
                        .orElseThrow();
                double change = Math.max(middle.mPos() - zero.mPos(), peak.mPos() - middle.mPos());
                double v = change / (0.9 * 615) * 600 / 1500 / (120 * Math.abs(middle.x() - zero.x()));
                worst = v > worst[0] + 1e-9 ? new double[] {v, middle.x()} : worst;
            }
        }
        return worst;
    }

    /** A load that grows to one end has its peak beyond the middle: the short side decides, whichever side it is. */
    @Test
    void flangesOfAnUnevenLoad() {
        for (boolean right : new boolean[] {true, false}) {
            ModelBuilder m = tee(ModelBuilder.span(8000).spread("m", 0, 8000, right ? 0 : 90, right ? 90 : 0));
            LaidByHand.Told t = new LaidByHand(m, EN)
                    .through(TOP, 2, T16, 53)
                    .through(BOTTOM, 6, T25, 57.5)
                    .zone(0, 0, 8000, T10, 2, 150)
                    .told();
            double[] hand = flangeShear(t.design());
            assertEquals(hand[0], t.of("flange-shear").demand(), 1e-6 * hand[0]);
            assertEquals(hand[1], t.of("flange-shear").x(), 1e-6);
            assertEquals(right, hand[1] > 4000);
        }
    }
}
