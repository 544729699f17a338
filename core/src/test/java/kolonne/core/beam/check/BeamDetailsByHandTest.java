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
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Fit, laps, anchorage and continuity of beams by ACI 318M-19, by hand on cages laid by hand. */
class BeamDetailsByHandTest {
    private static final Basis ACI = Basis.standard(false);

    private static ModelBuilder simple(double length, double w) {
        return ModelBuilder.span(length).spread("m", 0, length, w, w);
    }

    /** 6 m between columns of 400 whose heads do not turn: w L² / 12 at their middles; faces at 200 and 5800. */
    static ModelBuilder fixedEnds(double w) {
        ModelBuilder m = new ModelBuilder()
                .section("K", 400, 400)
                .joint("F", 0, 0, -3000)
                .joint("A", 0, 0, 0)
                .joint("G", 6000, 0, -3000)
                .joint("B", 6000, 0, 0)
                .column("c1", "F", "A")
                .column("c2", "G", "B")
                .fixed("F")
                .fixed("G")
                .fixed("A")
                .fixed("B");
        m.members.replaceAll(c -> c.withSection("K"));
        return m.section("S", 300, 600).beam("m", "A", "B").spread("m", 0, 6000, w, w);
    }

    private static double face(double w) {
        return w * 6000 * 6000 / 12 - w * 6000 / 2 * 200 + w * 200 * 200 / 2;
    }

    private static double ldh(Bar bar) {
        return ACI.designCode().detailing().hookLength(bar, 30, 420, Trace.OFF);
    }

    /** The hook need only develop the steel that the moment at the face asks for: M = 0.9 As fy (d − As fy / (1.7 f'c b)). */
    @ParameterizedTest
    @CsvSource({"40, 4", "25, 3", "60, 4"})
    void hooksInTheColumns(double w, int count) {
        LaidByHand l = new LaidByHand(fixedEnds(w), ACI)
                .hooked(TOP, count, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, 900, 5100, false, false, false))
                .zone(0, 200, 5800, T10, 2, 150);
        double k = 1.7 * 30 * 300;
        double as = k / 420 * (540 - Math.sqrt(540 * 540 - 4 * face(w) / (0.9 * k))) / 2;
        double needed = ldh(T20) * as / (count * T20.area());
        double run = 200 - l.line.firstBar(ACI);
        LaidByHand.Told t = l.told();
        assertEquals(Math.min(ldh(T20), needed), t.of("hook-top").demand(), 1);
        assertEquals(run, t.of("hook-top").capacity(), 1e-6);
        assertEquals(t.of("hook-top").demand() / run, t.of("hook-top").utilisation(), 1e-9);
        assertEquals(2800, Math.abs(t.of("hook-top").x() - 3000), 1e-6);
        t.cause("hook-top", Cause.ANCHORAGE).silent("hook-bottom");
        assertEquals("25.4.3.1", t.of("hook-top").clause().text());
    }

    /** The end with the shorter run decides; bars without hooks and a bottom that is in compression are not asked. */
    @Test
    void eachEndHasItsOwnHook() {
        for (boolean left : new boolean[] {true, false}) {
            LaidByHand l = new LaidByHand(fixedEnds(40), ACI);
            double from = left ? 0 : l.line.firstBar(ACI);
            double to = left ? l.line.lastBar(ACI) : 6000;
            LaidByHand.Told t = l.bars(new BeamCage.Group(TOP, 1, 4, T20, 60, from, to, left, !left, true))
                    .hooked(BOTTOM, 2, T20, 60)
                    .zone(0, 200, 5800, T10, 2, 150)
                    .told();
            assertEquals(left ? 200 : 5800, t.of("hook-top").x(), 1e-6);
            assertEquals(200, t.of("hook-top").capacity(), 1e-6);
            t.silent("hook-bottom");
        }
    }

    /** 9.7.7.1, 9.7.7.3: a quarter of the bottom steel of the middle runs through and yields at the ends; a sixth of the top steel of the ends. */
    @Test
    void continuityOfThePerimeter() {
        LaidByHand.Told t = new LaidByHand(fixedEnds(40), ACI)
                .hooked(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(TOP, 1, 4, T20, 60, -160, 1500, true, false, false))
                .bars(new BeamCage.Group(TOP, 1, 2, T20, 60, 4500, 6160, false, true, false))
                .hooked(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 3, T25, 62.5, 1000, 5000, false, false, false))
                .zone(0, 200, 5800, T10, 2, 150)
                .told();
        double bottom = 2 * T20.area() + 3 * T25.area();
        double top = 2 * T16.area() + 4 * T20.area();
        t.tells("integrity-bottom", bottom / 4, 2 * T20.area(), 200, "9.7.7.1")
                .tells("integrity-top", top / 6, 2 * T16.area(), 200, "9.7.7.1");
        t.tells("integrity-end-bottom", bottom / 4, 2 * T20.area(), 200, "9.7.7.3")
                .cause("integrity-end-bottom", Cause.ANCHORAGE);
        t.tells("integrity-end-top", top / 6, 2 * T16.area(), 200, "9.7.7.3")
                .cause("integrity-top", Cause.STEEL_BELOW_MINIMUM);
        LaidByHand.Told straight = new LaidByHand(fixedEnds(40), ACI)
                .hooked(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 200, 5800, T10, 2, 150)
                .told();
        assertFalse(straight.of("integrity-end-bottom").satisfied(), "360 mm develop no straight T20");
        assertEquals(0, straight.of("integrity-end-bottom").capacity(), 1e-9);
    }

    /** Ends that nothing holds, or a carrier, need no yield (9.7.7.3 speaks of discontinuous ends at supports). */
    @Test
    void theSpanWithMostBottomSteelDecides() {
        ModelBuilder m =
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, 40, 40).spread("m2", 0, 6000, 40, 40);
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 3, T20, 60)
                .bars(new BeamCage.Group(TOP, 1, 1, T20, 60, 6000, 7500, false, false, false))
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, 7000, 11_500, false, false, false))
                .bars(new BeamCage.Group(BOTTOM, 1, 1, T20, 60, 500, 5000, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150)
                .told();
        t.tells("integrity-bottom", 6 * T20.area() / 4, 2 * T20.area(), 0, "9.7.7.1")
                .tells("integrity-top", 4 * T20.area() / 6, 3 * T20.area(), 0, "9.7.7.1");
    }

    /** Bars that stand beside others between the ends and the middle only, and a zone of thick stirrups, are looked at where they begin. */
    @Test
    void clearDistancesWhereBarsAndZonesChange() {
        LaidByHand.Told t = new LaidByHand(simple(6000, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 3, T20, 60, 800, 1600, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        t.tells("clear-spacing-bottom", 80 / 3.0, (200 - 5 * 20) / 4.0, 800, "25.2.1");
        LaidByHand.Told late = new LaidByHand(simple(6000, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 3, T20, 60, 4400, 5200, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        late.tells("clear-spacing-bottom", 80 / 3.0, 25, 4400, "25.2.1");
        LaidByHand.Told zones = new LaidByHand(simple(6000, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 4000, T10, 2, 150)
                .zone(0, 4000, 5000, T16, 2, 150)
                .zone(0, 5000, 6000, T10, 2, 150)
                .told();
        zones.tells("clear-spacing-bottom", 80 / 3.0, (300 - 112 - 80) / 3.0, 4001, "25.2.1");
        zones.tells("bar-spacing-bottom", 60, 255, 0, "24.3.2");
        // 300 − 2 × 56 − 16 is less than 184, but the limit falls by 2.5 × 6
        LaidByHand.Told wide = new LaidByHand(simple(6000, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 1000, T16, 2, 150)
                .zone(0, 1000, 6000, T10, 2, 150)
                .told();
        wide.tells("bar-spacing-top", 184, 255, wide.of("bar-spacing-top").x(), "24.3.2");
        assertTrue(wide.of("bar-spacing-top").x() > 1000);
        wide.tells("clear-spacing-bottom", 80 / 3.0, (300 - 112 - 80) / 3.0, 0, "25.2.1");
    }

    /** 25.2.2: 25 mm between layers, and upper bars over lower ones. */
    @Test
    void layers() {
        LaidByHand.Told t = new LaidByHand(simple(6000, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 2, 2, T16, 100, 1000, 5000, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        t.tells("layer-spacing-bottom", 25, 40 - 10 - 8, 3000, "25.2.2")
                .cause("layer-spacing-bottom", Cause.BARS_DO_NOT_FIT);
        // T16 over T20 in the corners: 2 off allowed and one more; they stand over each other
        t.tells("layers-bottom", 2, 2, 3000, "25.2.2");
        t.silent("layers-top", "layer-spacing-top");
        // three T20 over two: the third stands over nothing
        LaidByHand.Told off = new LaidByHand(simple(6000, 10), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 2, 3, T20, 105, 1000, 5000, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        off.tells("layers-bottom", 3, 2, 3000, "25.2.2").cause("layers-bottom", Cause.BARS_DO_NOT_FIT);
        off.tells("layer-spacing-bottom", 25, 25, 3000, "25.2.2");
        LaidByHand.Told one = new LaidByHand(simple(6000, 10), ACI)
                .bars(new BeamCage.Group(TOP, 1, 1, T16, 58, 40, 5960, false, false, true))
                .through(BOTTOM, 2, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        one.tells("bar-spacing-top", 300, 255, one.of("bar-spacing-top").x(), "24.3.2")
                .silent("clear-spacing-top");
    }

    /** Bars of 14 m lap once: beside each other where a second layer bars the way, over each other where none does. */
    @Test
    void roomForLaps() {
        LaidByHand l = new LaidByHand(simple(14_000, 5), ACI)
                .through(TOP, 3, T20, 60)
                .through(BOTTOM, 3, T25, 62.5)
                .zone(0, 0, 14_000, T10, 2, 150);
        Laps.Lap top = Laps.of(l.line, l.cage().groups().get(0), ACI).get(0);
        Laps.Lap bottom = Laps.of(l.line, l.cage().groups().get(1), ACI).get(0);
        LaidByHand.Told t = l.told();
        // over each other: three bars and the distances between them
        t.tells("lap-room-top", 60 + 2 * 80 / 3.0, 200, (top.from() + top.to()) / 2, "25.2.1")
                .cause("lap-room-top", Cause.BARS_DO_NOT_FIT);
        t.tells("lap-room-bottom", 75 + 2 * 80 / 3.0, 200, (bottom.from() + bottom.to()) / 2, "25.2.1");
        // beside each other: each of three counts twice
        LaidByHand two = new LaidByHand(simple(14_000, 5), ACI)
                .through(TOP, 3, T20, 60)
                .through(BOTTOM, 3, T25, 62.5)
                .bars(new BeamCage.Group(TOP, 2, 2, T20, 105, 3000, 11_000, false, false, false))
                .zone(0, 0, 14_000, T10, 2, 150);
        two.told().tells("lap-room-top", 120 + 2 * 80 / 3.0, 200, (top.from() + top.to()) / 2, "25.2.1");
        two.told().tells("lap-room-bottom", 75 + 2 * 80 / 3.0, 200, (bottom.from() + bottom.to()) / 2, "25.2.1");
        // of two sizes in a layer only those that lap there count twice; short bars do not
        LaidByHand mixed = new LaidByHand(simple(14_000, 5), ACI)
                .through(TOP, 2, T20, 60)
                .bars(new BeamCage.Group(TOP, 1, 1, T32, 66, 3000, 11_000, false, false, false))
                .through(BOTTOM, 3, T25, 62.5)
                .bars(new BeamCage.Group(TOP, 2, 2, T20, 111, 3000, 11_000, false, false, false))
                .zone(0, 0, 14_000, T10, 2, 150);
        mixed.told().tells("lap-room-top", 80 + 32 + 2 * 32, 200, (top.from() + top.to()) / 2, "25.2.1");
        // a single bar needs its own breadth and no distance
        LaidByHand single = new LaidByHand(simple(14_000, 5), ACI)
                .bars(new BeamCage.Group(TOP, 1, 1, T20, 60, 40, 13_960, false, false, true))
                .through(BOTTOM, 3, T25, 62.5)
                .zone(0, 0, 14_000, T10, 2, 150);
        single.told().tells("lap-room-top", 20, 200, (top.from() + top.to()) / 2, "25.2.1");
        LaidByHand none = new LaidByHand(simple(14_000, 5), ACI)
                .through(TOP, 7, T32, 66)
                .through(BOTTOM, 3, T25, 62.5)
                .zone(0, 0, 14_000, T10, 2, 150);
        assertFalse(none.told().of("lap-room-top").satisfied());
        none.told()
                .tells(
                        "lap-room-top",
                        7 * 32 + 6 * 32,
                        200,
                        none.told().of("lap-room-top").x(),
                        "25.2.1");
        new LaidByHand(simple(9000, 5), ACI)
                .through(TOP, 3, T20, 60)
                .through(BOTTOM, 3, T25, 62.5)
                .zone(0, 0, 9000, T10, 2, 150)
                .told()
                .silent("lap-room-top", "lap-room-bottom");
    }

    /** In the second of two spans of unlike width the lap lies in its web. */
    @Test
    void aLapLiesInItsOwnSpan() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 300, 600)
                .section("W", 400, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("E", 16_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E", "W")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 8000, 5, 5)
                .spread("m2", 0, 8000, 5, 5);
        LaidByHand l = new LaidByHand(m, ACI)
                .bars(new BeamCage.Group(TOP, 1, 3, T20, 60, 3000, 15_960, false, false, false))
                .through(BOTTOM, 3, T25, 62.5)
                .zone(0, 0, 8000, T10, 2, 150)
                .zone(1, 8000, 16_000, T10, 2, 150);
        Laps.Lap lap = Laps.of(l.line, l.cage().groups().get(0), ACI).get(0);
        double middle = (lap.from() + lap.to()) / 2;
        assertEquals(12_000, middle, 25, "in the middle of the second span, but for the module of the length");
        l.told().tells("lap-room-top", 60 + 2 * 80 / 3.0, 300, middle, "25.2.1");
        assertEquals(1, l.told().of("lap-room-top").part());
    }

    /**
     * Hooks of T20 are 320 high. In a beam 450 deep the first layer begins 50 from the top and has 360 to the cover below: its hooks take the 15 each that the length
     * lacks. The second begins 95 from the top and has 315, less than a hook: its hooks stay as they are.
     */
    @Test
    void hooksGrowOnlyWhereTheyStayInTheConcrete() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 300, 450)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m1", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m1", 0, 6000, 5, 5);
        LaidByHand l = new LaidByHand(m, ACI);
        // 5880 + 2 × 270 = 6420: 30 are missing
        BeamCage cage = new BeamCage(
                List.of(
                        new BeamCage.Group(TOP, 1, 2, T20, 60, 40, 5920, true, true, true),
                        new BeamCage.Group(TOP, 2, 2, T20, 105, 40, 5920, true, true, true)),
                List.of(),
                List.of());
        List<kolonne.core.detail.BarItem> bars = kolonne.core.detail.BeamBars.of(l.line, cage, ACI);
        assertEquals(List.of(335.0, 5880.0, 335.0), bars.get(0).dims());
        assertEquals(6450, bars.get(0).cutLength());
        assertEquals(List.of(320.0, 5880.0, 320.0), bars.get(1).dims());
        assertEquals(6420, bars.get(1).cutLength());
    }

    /** Where the shear of the second span is high its own zone has the close limit. */
    @Test
    void zonesBelongToTheirSpans() {
        ModelBuilder m =
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, 10, 10).spread("m2", 0, 6000, 150, 150);
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 4, T25, 62.5)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 4, 250)
                .zone(1, 6000, 12_000, T10, 2, 125)
                .told();
        double d = 537.5;
        // the first span: 250 / (d/2); the second by half of that: 125 / (d/4) is the same; the larger first
        assertEquals(250 / (d / 2), t.of("stirrup-spacing").utilisation(), 1e-6);
        t.tells("legs-most", 4, 6, 3000, "basis").tells("leg-spacing", 210, d / 2, 9000, "9.7.6.2.2");
        t.use("minimum-shear-steel", 0.25 / (2 * T10.area() / 125));
    }

    @Test
    void mostSteelOfAFaceByEurocode() {
        Basis en = Basis.standard("en-1992-1-1");
        LaidByHand.Told t = new LaidByHand(simple(6000, 10), en)
                .through(TOP, 2, T16, 53)
                .through(BOTTOM, 4, T20, 55)
                .bars(new BeamCage.Group(BOTTOM, 2, 8, T32, 100, 2000, 4000, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double has = 4 * T20.area() + 8 * T32.area();
        double x = t.design().line().stations().stream()
                .mapToDouble(BeamLine.Station::x)
                .filter(q -> q >= 2000)
                .min()
                .orElseThrow();
        t.tells("steel-maximum", has, 0.04 * 180_000, x, "9.2.1.1(3)").cause("steel-maximum", Cause.STEEL_OVER_CAP);
        assertFalse(t.of("steel-maximum").satisfied());
    }

    /** A load that falls from 60 to 20 kN/m bends the left end more: each hook goes by the moment of its own end. */
    @Test
    void eachHookGoesByItsOwnMoment() {
        ModelBuilder m = fixedEnds(20).spread("m", 0, 6000, 60, 0);
        double k = 1.7 * 30 * 300;
        double[] needed = new double[2];
        for (int end = 0; end < 2; end++) {
            LaidByHand l = new LaidByHand(m, ACI);
            LaidByHand.Told t = l.bars(new BeamCage.Group(TOP, 1, 4, T20, 60, -160, 6160, end == 0, end == 1, true))
                    .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, 900, 5100, false, false, false))
                    .zone(0, 200, 5800, T10, 2, 150)
                    .told();
            List<BeamDesign.Point> p = t.design().profile();
            double moment = -p.get(end == 0 ? 0 : p.size() - 1).mNeg();
            double as = k / 420 * (540 - Math.sqrt(540 * 540 - 4 * moment / (0.9 * k))) / 2;
            needed[end] = ldh(T20) * as / (4 * T20.area());
            assertEquals(needed[end], t.of("hook-top").demand(), 1);
            assertEquals(end == 0 ? 200 : 5800, t.of("hook-top").x(), 1e-9);
        }
        assertTrue(needed[0] > 1.2 * needed[1]);
        List<Step> steps = new LaidByHand(m, ACI)
                .hooked(TOP, 4, T20, 60)
                .hooked(BOTTOM, 2, T20, 60)
                .explained(3000);
        assertTrue(
                steps.stream()
                        .anyMatch(s -> s.clause().text().equals("25.4.3.1") && Math.abs(s.value() - ldh(T20)) < 1e-6),
                "the hook's length is worked out");
        assertTrue(new LaidByHand(m, ACI)
                .through(TOP, 4, T20, 60).through(BOTTOM, 2, T20, 60).explained(3000).stream()
                        .noneMatch(s -> s.clause().text().equals("25.4.3.1")));
    }

    /** Continuity by the right half: its top steel, and the place of the largest sagging moment wherever it lies; each end by its own anchorage. */
    @Test
    void continuityOfTheOtherHalf() {
        ModelBuilder m = fixedEnds(10).point("m", 4000, 200e3);
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .bars(new BeamCage.Group(TOP, 1, 2, T16, 58, -160, 6160, true, false, true))
                .bars(new BeamCage.Group(TOP, 1, 4, T20, 60, 4500, 6160, false, true, false))
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, -160, 6160, true, false, true))
                .bars(new BeamCage.Group(BOTTOM, 1, 3, T25, 62.5, 3500, 4500, false, false, false))
                .zone(0, 200, 5800, T10, 2, 150)
                .told();
        t.tells("integrity-top", (2 * T16.area() + 4 * T20.area()) / 6, 2 * T16.area(), 200, "9.7.7.1");
        t.tells("integrity-bottom", (2 * T20.area() + 3 * T25.area()) / 4, 2 * T20.area(), 200, "9.7.7.1");
        assertEquals(5800, t.of("integrity-end-bottom").x(), 1e-9, "straight at the right column");
        assertEquals(0, t.of("integrity-end-bottom").capacity(), 1e-9);
    }

    /** Two columns and a span between them: the end that is not anchored is told in its own span. */
    @Test
    void theLastSpanHasTheLastEnd() {
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
        m.beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .spread("m1", 0, 6000, 40, 40)
                .spread("m2", 0, 6000, 40, 40);
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .hooked(TOP, 4, T16, 58)
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, -160, 12_160, true, false, true))
                .zone(0, 200, 5800, T10, 2, 150)
                .zone(1, 6200, 11_800, T10, 2, 150)
                .told();
        assertEquals(11_800, t.of("integrity-end-bottom").x(), 1e-9);
        assertEquals(1, t.of("integrity-end-bottom").part());
        assertEquals(CheckResult.NO_CAPACITY, t.of("integrity-end-bottom").utilisation(), 1e-9);
        assertTrue(t.of("integrity-end-top").satisfied());
    }

    /** In a line of 16 m two groups of a layer lap at different places: at either lap one counts twice and the other once. */
    @Test
    void lapsAtDifferentPlaces() {
        LaidByHand l = new LaidByHand(simple(16_000, 5), ACI)
                .through(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, -100, 15_900, false, false, false))
                .bars(new BeamCage.Group(BOTTOM, 1, 1, T25, 62.5, 2000, 15_900, false, false, false))
                .bars(new BeamCage.Group(BOTTOM, 2, 2, T20, 111, 1000, 15_000, false, false, false))
                .zone(0, 0, 16_000, T10, 2, 150);
        Laps.Lap one = Laps.of(l.line, l.cage().groups().get(1), ACI).get(0);
        Laps.Lap other = Laps.of(l.line, l.cage().groups().get(2), ACI).get(0);
        assertTrue(one.to() < other.from() || other.to() < one.from());
        // 4 × 20 + 25 at the lap of the T20, 2 × 20 + 50 at that of the T25, and two clear distances
        l.told().tells("lap-room-bottom", 80 + 25 + 2 * 80 / 3.0, 200, (one.from() + one.to()) / 2, "25.2.1");
    }

    /** Side bars of one span are none of the other's. */
    @Test
    void sideBarsOfTheirOwnSpan() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 400, 1200)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("E", 12_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 6000, 40, 40)
                .spread("m2", 0, 6000, 40, 40);
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 4, T20, 60)
                .through(BOTTOM, 3, T25, 62.5)
                .side(new BeamCage.SideBars(0, T10, 3, 0, 6000, false, false))
                .zone(0, 0, 6000, T10, 2, 150)
                .zone(1, 6000, 12_000, T10, 2, 150)
                .told();
        t.tells("side-bars", 1120, 280, 9000, "9.7.2.3");
    }
}
