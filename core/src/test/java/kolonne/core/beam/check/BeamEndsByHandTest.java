package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.code.BarCatalogue;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.model.CaseKind;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Ends of bars, pairs, and sidesway of beams, by hand on cages laid by hand. */
class BeamEndsByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final double D = 540;

    private static ModelBuilder simple(double h, double w) {
        return ModelBuilder.span(6000).section("S", 300, h).spread("m", 0, 6000, w, w);
    }

    private static BeamCage.Group bottom(int count, double from, double to) {
        return new BeamCage.Group(BOTTOM, 1, count, T20, 60, from, to, false, false, false);
    }

    private static double moment(double x) {
        return 40 * x * (6000 - x) / 2;
    }

    /** 9.7.3.3: bars that end at 5 m are not needed beyond 5 m less max(d, 12 db): the moment there against what runs on. */
    @ParameterizedTest
    @CsvSource({"1000, 5000", "700, 5000", "1000, 5300"})
    void barsRunOnPastWhereTheyAreNeeded(double from, double to) {
        LaidByHand.Told t = new LaidByHand(simple(600, 40), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(bottom(2, from, to))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        boolean right = 6000 - to > from;
        double x = right ? to - D : from + D;
        double has = BeamChecksByHandTest.phiMn(
                300, 30, 420, new double[] {540, 2 * T20.area()}, new double[] {58, 2 * T16.area()});
        CheckResult c = t.of("cut-off");
        // alike from both ends: either may be told
        t.tells("cut-off", moment(x), has, from + to == 6000 && c.x() < 3000 ? from + D : x, "9.7.3.3")
                .cause("cut-off", Cause.ANCHORAGE);
        // along the bars that end, what is developed of them helps: the worst place by a fine scan
        double ld = ACI.designCode().detailing().developmentLength(T20, 30, 420, false, 20, 40, true);
        double worst = 0;
        for (double s = 0; s <= ld; s += 5) {
            double place = right ? to - s : from + s;
            double as = 2 * T20.area() * (1 + s / ld);
            worst = Math.max(
                    worst,
                    moment(place)
                            / BeamChecksByHandTest.phiMn(
                                    300, 30, 420, new double[] {540, as}, new double[] {58, 2 * T16.area()}));
        }
        assertEquals(worst, t.of("development-bottom").utilisation(), 0.005 * worst);
        assertEquals("25.4.2.3", t.of("development-bottom").clause().text());
        t.cause("development-bottom", Cause.ANCHORAGE);
        // 9.7.3.5(a), (b): the shear and the moment at the end itself; the worse end tells
        double vn = 0.75 * (0.17 * Math.sqrt(30) * 300 * 540 + 2 * T10.area() / 150 * 420 * 540);
        double use = 0;
        for (double end : new double[] {from, to}) {
            double v = 40 * Math.abs(end - 3000);
            use = Math.max(use, Math.min(v / (2.0 / 3 * vn), Math.max(2 * moment(end) / has, v / (0.75 * vn))));
        }
        assertEquals(use, t.of("cut-off-tension").utilisation(), 1e-4 * use);
        assertEquals(
                40 * Math.abs(t.of("cut-off-tension").x() - 3000),
                t.of("cut-off-tension").demand(),
                1);
        t.cause("cut-off-tension", Cause.ANCHORAGE);
        assertEquals("9.7.3.5", t.of("cut-off-tension").clause().text());
        assertEquals(
                t.of("cut-off-tension").demand() / t.of("cut-off-tension").utilisation(),
                t.of("cut-off-tension").capacity(),
                1);
        t.silent("development-top");
    }

    /**
     * 9.7.3.3 for bars in two layers: those that end together leave their moment to the bars that run on, wherever they lie; of those that end one after the other the ones
     * that end first leave it to the others as well. Ends on the left run to the support.
     */
    @ParameterizedTest(name = "upper bars end {0} mm before the lower ones")
    @CsvSource({"0", "0.5", "400", "1200"})
    void barsThatEndTogetherDoNotBearEachOther(double before) {
        BeamCage.Group upper = new BeamCage.Group(BOTTOM, 2, 2, T20, 105, -100, 5000 - before, false, false, false);
        LaidByHand.Told t = new LaidByHand(simple(600, 40), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(bottom(2, -100, 5000))
                .bars(upper)
                .zone(0, 0, 6000, T10, 2, 100)
                .told();
        double[] compression = {58, 2 * T16.area()};
        double[] through = {540, 2 * T20.area()};
        double[] both = {540, 4 * T20.area()};
        // of the lower bars past 5 m less d of theirs; of the upper ones past theirs, which is 600 − 105 deep
        double lower = moment(5000 - D) / BeamChecksByHandTest.phiMn(300, 30, 420, through, compression);
        double last = moment(5000 - before - 495)
                / BeamChecksByHandTest.phiMn(300, 30, 420, before <= 1 ? through : both, compression);
        assertEquals(Math.max(lower, last), t.of("cut-off").utilisation(), 2e-3 * lower, "before " + before);
        assertFalse(t.of("cut-off").satisfied());
    }

    @Test
    void barsThatRunThroughEndNowhere() {
        new LaidByHand(simple(600, 40), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told()
                .silent("cut-off", "cut-off-tension", "development-bottom", "development-top");
    }

    /** Top bars over an interior support are told as top. */
    @Test
    void topBarsEndToo() {
        ModelBuilder m = twoSpans(0);
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(TOP, 1, 2, T16, 58, 5400, 6600, false, false, false))
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150)
                .told();
        assertTrue(t.of("development-top").utilisation() > 1);
        double has = BeamChecksByHandTest.phiMn(
                300, 30, 420, new double[] {542, 2 * T16.area()}, new double[] {60, 3 * T20.area()});
        // 542 mm back from the end is 58 mm from the middle
        double x = 58;
        t.tells("cut-off", 180e6 - 150e3 * x + 20 * x * x, has, t.of("cut-off").x(), "9.7.3.3");
        assertEquals(58, Math.abs(t.of("cut-off").x() - 6000), 0.5);
        t.silent("development-bottom");
    }

    /** Two spans of 6 m under 40 kN/m; columns so wide under the middle and the ends, or none. */
    private static ModelBuilder twoSpans(double column) {
        ModelBuilder m = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("E", 12_000, 0, 0);
        if (column > 0) {
            m.section("K", column, column);
            for (int i = 0; i < 3; i++) {
                m.joint("F" + i, 6000 * i, 0, -3000)
                        .column("c" + i, "F" + i, List.of("A", "B", "E").get(i))
                        .fixed("F" + i);
            }
            m.members.replaceAll(c -> c.withSection("K"));
        } else {
            m.pinned("A").pinned("B").pinned("E");
        }
        return m.beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .spread("m1", 0, 6000, 40, 40)
                .spread("m2", 0, 6000, 40, 40);
    }

    /** 25.7.1.1: a bar in every corner all along; where the top bars stop there is none. */
    @Test
    void cornersAllAlong() {
        LaidByHand.Told t = new LaidByHand(simple(600, 10), ACI)
                .bars(new BeamCage.Group(TOP, 1, 3, T16, 58, -100, 4500, false, false, false))
                .bars(new BeamCage.Group(TOP, 1, 1, T16, 58, 4000, 6100, false, false, false))
                .bars(new BeamCage.Group(TOP, 2, 2, T16, 100, -100, 6100, false, false, false))
                .through(BOTTOM, 2, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double x = t.design().line().stations().stream()
                .mapToDouble(BeamLine.Station::x)
                .filter(q -> q > 4500)
                .min()
                .orElseThrow();
        t.tells("corner-bars-top", 2, 1, x, "25.7.1.1").tells("corner-bars-bottom", 2, 2, 0, "25.7.1.1");
    }

    /** A quarter of the bottom bars runs 150 mm into the columns, to the millimetre (EN 9.2.1.4, 9.2.1.5); by ACI they yield at the faces too (9.7.3.8.2). */
    @ParameterizedTest(name = "bars of the second span begin {0} mm before the face")
    @CsvSource({"149, true", "148, false"})
    void bottomBarsIntoColumns(double into, boolean counts) {
        for (String code : List.of("en-1992-1-1", "aci-318m-19")) {
            LaidByHand.Told t = new LaidByHand(twoSpans(400), Basis.standard(code))
                    .hooked(TOP, 4, T16, 58)
                    .bars(new BeamCage.Group(BOTTOM, 1, 5, T20, 60, -160, 6000, true, false, false))
                    .bars(bottom(2, 6200 - into, 12_160))
                    .bars(bottom(3, 7000, 11_000))
                    .zone(0, 200, 5800, T10, 2, 150)
                    .zone(1, 6200, 11_800, T10, 2, 150)
                    .told();
            boolean en = code.startsWith("en");
            CheckResult c = t.of("bottom-into-support");
            // straight bars of 20 mm need 420 / (1.7 √30) · 20 (25.4.2.3): the use tells how many times the room they
            // would want
            double room = 420 / (1.7 * Math.sqrt(30)) * 20 / 149;
            double use = !counts ? CheckResult.NO_CAPACITY : en ? 5.0 / 4 / 2 : room;
            assertEquals(use, c.utilisation(), 1e-4, code);
            assertEquals(5 * T20.area() / 4, c.demand(), 1e-6);
            t.cause("bottom-into-support", Cause.ANCHORAGE);
        }
    }

    /** Where no column stands, 150 mm or the room there is behind the face: all that begin before it count. */
    @Test
    void bottomBarsIntoOtherSupports() {
        for (double from : new double[] {5999, 6003}) {
            LaidByHand.Told t = new LaidByHand(twoSpans(0), ACI)
                    .through(TOP, 4, T16, 58)
                    .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, -400, 6500, false, false, false))
                    .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, from, 12_400, false, false, false))
                    .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, 7000, 12_400, false, false, false))
                    .zone(0, 0, 6000, T10, 2, 150)
                    .zone(1, 6000, 12_000, T10, 2, 150)
                    .told();
            // second span: a quarter of 4T20 at the middle (6 where they overlap), a third at its simple end
            double most = t.design().line().stations().stream()
                            .filter(s -> s.span() == 1)
                            .mapToDouble(
                                    s -> (s.x() <= 6500 ? 4 : 0) + (s.x() >= from ? 2 : 0) + (s.x() >= 7000 ? 2 : 0))
                            .max()
                            .orElseThrow()
                    * T20.area();
            double left = most / 4 / ((from <= 6000 ? 6 : 4) * T20.area());
            double right = most / 3 / (4 * T20.area());
            assertEquals(Math.max(left, right), t.of("bottom-into-support").utilisation(), 1e-6);
        }
    }

    // ---- pairs ------------------------------------------------------------------------------------------------------

    /** 25.6.1: no bar above No. 36 in a pair; its two end 40 diameters apart within the span, and where they like over a support. */
    @Test
    void pairs() {
        LaidByHand l = new LaidByHand(simple(600, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 1, T20, 70, 1000, 4000, false, false, false, true))
                .bars(new BeamCage.Group(BOTTOM, 1, 1, T20, 70, 1000, 4700, false, false, false, true))
                .zone(0, 0, 6000, T10, 2, 150);
        LaidByHand.Told t = l.told();
        t.tells("pair-size", 20, 36, 1000, "25.6.1").cause("pair-size", Cause.BARS_DO_NOT_FIT);
        // together on the left: 0 of 800 mm; 700 apart on the right
        assertFalse(t.of("pair-ends").satisfied());
        assertEquals(0, t.of("pair-ends").capacity(), 1e-9);
        assertEquals(1000, t.of("pair-ends").x(), 1e-9);
        t.cause("pair-ends", Cause.ANCHORAGE);
        LaidByHand.Told apart = new LaidByHand(simple(600, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 1, T20, 70, -100, 4000, false, false, false, true))
                .bars(new BeamCage.Group(BOTTOM, 1, 1, T20, 70, -100, 4700, false, false, false, true))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        apart.tells("pair-ends", 800, 700, 4000, "25.6.1");
        LaidByHand.Told thick = new LaidByHand(simple(600, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(
                        BOTTOM, 1, 2, BarCatalogue.METRIC.find("T40"), 90, -100, 6100, false, false, false, true))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        thick.tells("pair-size", 40, 36, -100, "25.6.1").silent("pair-ends");
        assertEquals(0, thick.of("pair-size").part());
        LaidByHand second = new LaidByHand(twoSpans(0), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 70, 8000, 11_000, false, false, false, true))
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150);
        assertEquals(1, second.told().of("pair-ends").part());
        assertTrue(PairCheck.inSpan(l.line, 3000)
                && !PairCheck.inSpan(l.line, 0.5)
                && !PairCheck.inSpan(l.line, 5999.5)
                && PairCheck.inSpan(l.line, 2)
                && PairCheck.inSpan(l.line, 5998));
        List<BeamCage.Group> g = l.cage().groups();
        assertTrue(PairCheck.partners(g.get(2), g.get(3))
                && !PairCheck.partners(g.get(2), g.get(2))
                && !PairCheck.partners(g.get(1), g.get(2))
                && !PairCheck.partners(g.get(2), g.get(1)));
        BeamCage.Group other = new BeamCage.Group(BOTTOM, 1, 1, T20, 70, 4000, 5000, false, false, false, true);
        assertFalse(PairCheck.partners(g.get(2), other) || PairCheck.partners(other, g.get(2)), "one after the other");
        assertFalse(PairCheck.partners(
                g.get(2), new BeamCage.Group(TOP, 1, 1, T20, 70, 1000, 4000, false, false, false, true)));
        assertFalse(PairCheck.partners(
                g.get(2), new BeamCage.Group(BOTTOM, 2, 1, T20, 120, 1000, 4000, false, false, false, true)));
    }

    // ---- sidesway ---------------------------------------------------------------------------------------------------

    @Test
    void swayOfTheStorey() {
        kolonne.core.analysis.Analysis a =
                ModelBuilder.portal(250e3, CaseKind.WIND, true).solve();
        double q = 500e3 * a.displacement(1, a.index().jointNumber("B"), 0) / (20e3 * 5000);
        LaidByHand l = new LaidByHand(ModelBuilder.portal(250e3, CaseKind.WIND, true), ACI)
                .hooked(TOP, 2, T20, 60)
                .hooked(BOTTOM, 2, T20, 60)
                .zone(0, 150, 5850, T10, 2, 100);
        LaidByHand.Told t = l.told();
        // 6.2.5.3: at most 1.4
        CheckResult c = t.of("second-order");
        assertEquals(1 / (1 - q), c.demand(), 0.01);
        assertEquals(1.4, c.capacity(), 1e-9);
        assertEquals(c.demand() / 1.4, c.utilisation(), 1e-9);
        assertEquals(3000, c.x(), 1e-9);
        assertEquals("whole span", c.place());
        t.cause("second-order", Cause.SLENDERNESS);
        List<Step> steps = l.explained(200);
        assertEquals(
                c.demand(),
                steps.stream()
                        .filter(s -> s.symbol().equals("δs"))
                        .findFirst()
                        .orElseThrow()
                        .value(),
                1e-9);
        new LaidByHand(ModelBuilder.portal(250e3, CaseKind.WIND, true), Basis.standard("en-1992-1-1"))
                .hooked(TOP, 2, T20, 60)
                .hooked(BOTTOM, 2, T20, 60)
                .told()
                .silent("second-order");
        LaidByHand still = new LaidByHand(ModelBuilder.portal(1e3, CaseKind.WIND, true), ACI)
                .hooked(TOP, 2, T20, 60)
                .hooked(BOTTOM, 2, T20, 60);
        still.told().silent("second-order");
        assertTrue(still.explained(200).stream().noneMatch(s -> s.symbol().equals("δs")));
        // a storey past its buckling load has no capacity by any code
        LaidByHand.Told unstable = new LaidByHand(
                        ModelBuilder.portal(4000e3, CaseKind.WIND, true), Basis.standard("en-1992-1-1"))
                .hooked(TOP, 2, T20, 60)
                .hooked(BOTTOM, 2, T20, 60)
                .told();
        assertEquals(CheckResult.NO_CAPACITY, unstable.of("second-order").utilisation(), 1e-9);
    }

    /** Moments under f'c bw h² / 10 000 are rounding: 324 Nm here. */
    @ParameterizedTest
    @CsvSource({"0.0715, false", "0.0725, true"})
    void whatIsNegligible(double w, boolean told) {
        LaidByHand.Told t = new LaidByHand(simple(600, w), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        assertEquals(
                told, t.design().checks().stream().anyMatch(c -> c.kind().id().equals("flexure-bottom")));
        assertEquals(
                1e-4 * 30 * 300 * 600 * 600, t.design().line().spans().get(0).negligibleMoment(), 1e-6);
    }

    /** 9.7.3.5 by hand for every end of short bars: the least of (a) Vu / (2/3 φVn) and, with twice the bars needed, (b) Vu / (3/4 φVn). */
    @Test
    void shearWhereTopBarsEnd() {
        LaidByHand l = new LaidByHand(twoSpans(0), ACI)
                .through(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(TOP, 1, 2, T16, 58, 5100, 6900, false, false, false))
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150);
        LaidByHand.Told t = l.told();
        double vn = 0.75 * (0.17 * Math.sqrt(30) * 300 * 540 + 2 * T10.area() / 150 * 420 * 540);
        double has = BeamChecksByHandTest.phiMn(
                300, 30, 420, new double[] {542, 2 * T16.area()}, new double[] {60, 3 * T20.area()});
        // 90 − 40 × 5.1 and the moment there; no station lies at 5.1 m
        double v = 40 * 5100 - 90e3;
        double m = 40 * 5100 * 5100 / 2.0 - 90e3 * 5100;
        double use = Math.min(v / (2.0 / 3 * vn), Math.max(2 * m / has, v / (0.75 * vn)));
        t.tells("cut-off-tension", v, v / use, t.of("cut-off-tension").x(), "9.7.3.5");
        assertEquals(900, Math.abs(t.of("cut-off-tension").x() - 6000), 1e-6);
    }

    /** A third at a simple end, a quarter at one that is bent by its column (9.7.3.8.1, .2); the most steel of the span itself. */
    @Test
    void simpleAndContinuousEnds() {
        for (boolean simple : new boolean[] {true, false}) {
            ModelBuilder m = new ModelBuilder()
                    .section("S", 300, 600)
                    .section("K", 400, 400)
                    .joint("A", 0, 0, 0)
                    .joint("B", 6000, 0, 0)
                    .joint("E", 12_000, 0, 0);
            for (int i = 0; i < 3; i++) {
                m.joint("F" + i, 6000 * i, 0, -3000)
                        .column("c" + i, "F" + i, List.of("A", "B", "E").get(i))
                        .fixed("F" + i);
            }
            m.members.replaceAll(c -> c.withSection("K"));
            kolonne.core.model.Release end = simple ? kolonne.core.model.Release.PIN : kolonne.core.model.Release.NONE;
            m.beam("m1", "A", "B", end, kolonne.core.model.Release.NONE, 0, 0)
                    .beam("m2", "B", "E", kolonne.core.model.Release.NONE, end, 0, 0)
                    .spread("m1", 0, 6000, 40, 40)
                    .spread("m2", 0, 6000, 40, 40);
            LaidByHand.Told t = new LaidByHand(m, ACI)
                    .hooked(TOP, 4, T16, 58)
                    .hooked(BOTTOM, 2, T20, 60)
                    .bars(bottom(4, 8000, 10_000))
                    .zone(0, 200, 5800, T10, 2, 150)
                    .zone(1, 6200, 11_800, T10, 2, 150)
                    .told();
            // six in the second span only
            assertEquals(
                    simple ? 6.0 / 3 / 2 : 6.0 / 4 / 2,
                    t.of("bottom-into-support").utilisation(),
                    1e-6);
            assertEquals(1, t.of("bottom-into-support").part());
            assertEquals(simple ? 11_800 : 6200, t.of("bottom-into-support").x(), 1e-6);
        }
    }

    /** Bars of the first span run into the middle column, to the millimetre: half of 120 or of 400, at most 150. */
    @ParameterizedTest(name = "column {0}: {1} past the face: {2}")
    @CsvSource({"400, 149.5, true", "400, 148, false", "120, 58.5, true", "120, 57, false"})
    void roomInTheMiddleColumn(double column, double past, boolean counts) {
        double face = 6000 - column / 2;
        Basis en = Basis.standard("en-1992-1-1");
        LaidByHand l = new LaidByHand(twoSpans(column), en);
        LaidByHand.Told t = l.hooked(TOP, 4, T16, 58)
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, l.line.firstBar(en), face + past, false, false, false))
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, 6000, l.line.lastBar(en), false, false, false))
                .told();
        assertEquals(counts, t.of("bottom-into-support").satisfied());
    }

    /** At the ends of the line 150 mm, or what the column and the cover leave. */
    @ParameterizedTest(name = "column {0}: begins {1} before its end of the line: {2}")
    @CsvSource({"120, 0.5, true", "120, 3, false", "600, 400, true"})
    void roomInTheEndColumns(double column, double later, boolean counts) {
        Basis en = Basis.standard("en-1992-1-1");
        for (boolean left : new boolean[] {true, false}) {
            LaidByHand l = new LaidByHand(twoSpans(column), en);
            double from = l.line.firstBar(en) + (left ? later : 0);
            double to = l.line.lastBar(en) - (left ? 0 : later);
            LaidByHand.Told t = l.hooked(TOP, 4, T16, 58)
                    .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, from, to, false, false, true))
                    .told();
            assertEquals(counts, t.of("bottom-into-support").satisfied(), left ? "left" : "right");
        }
    }

    /** One end of short bars only, where the shear is negative: it counts by size. */
    @Test
    void shearIsCountedBySize() {
        LaidByHand.Told t = new LaidByHand(simple(600, 40), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(bottom(2, -100, 4500))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        assertEquals(4500, t.of("cut-off-tension").x(), 1e-9);
        assertEquals(40 * 1500, t.of("cut-off-tension").demand(), 1);
    }

    /** The calculation of a span works out the hooks of its own end of the line. */
    @Test
    void hooksOfTheirOwnSpan() {
        LaidByHand right = new LaidByHand(twoSpans(400), ACI)
                .bars(new BeamCage.Group(TOP, 1, 4, T16, 58, -160, 12_160, false, true, true))
                .through(BOTTOM, 3, T20, 60);
        LaidByHand left = new LaidByHand(twoSpans(400), ACI)
                .bars(new BeamCage.Group(TOP, 1, 4, T16, 58, -160, 12_160, true, false, true))
                .through(BOTTOM, 3, T20, 60);
        assertEquals(
                List.of(false, true, true, false),
                List.of(hooks(right, 3000), hooks(right, 9000), hooks(left, 3000), hooks(left, 9000)));
    }

    private static boolean hooks(LaidByHand l, double x) {
        return l.explained(x).stream().anyMatch(s -> s.symbol().equals("ldh"));
    }

    /**
     * Where the bars that run on bear twice the moment, three quarters of φVn may act instead of two thirds (9.7.3.5(c)). Spans of 6 m with 20 and 40 kN/m: MB = -(20 + 40) · 36 / 16 =
     * -135 kNm; 1.2 m from B in the heavier one V = 142.5 - 48 = 94.5 kN and M = -135 + 171 - 28.8 = 7.2 kNm. Either span may be the heavier, and its bars end there.
     */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void endsWhereTheOthersBearTwiceTheMoment(boolean first) {
        ModelBuilder m = ModelBuilder.twoSpans(6000, 6000)
                .spread("m1", 0, 6000, first ? 40 : 20, first ? 40 : 20)
                .spread("m2", 0, 6000, first ? 20 : 40, first ? 20 : 40);
        double from = first ? 1200 : 7200;
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, from, from + 3600, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150)
                .told();
        double vn = 0.75 * (0.17 * Math.sqrt(30) * 300 * 540 + 2 * T10.area() / 150 * 420 * 540);
        t.tells("cut-off-tension", 94_500, 0.75 * vn, first ? 4800 : 7200, "9.7.3.5");
    }
}
