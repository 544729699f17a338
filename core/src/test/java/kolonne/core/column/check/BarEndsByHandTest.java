package kolonne.core.column.check;

import static kolonne.core.column.TwoLifts.stack;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.Practice;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.TwoLifts;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.model.JointLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.Developed;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Bars that end at the roof and bars bent aside at a step, by hand: two lifts of 3.6 m, beams 600 deep, f'c 30, fy and fyt 420, cover 40, ties T10 at 150. */
class BarEndsByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final Bar T32 = BarCatalogue.METRIC.find("T32");

    private static ColumnCage.LiftCage four(Bar bar) {
        return new ColumnCage.LiftCage(
                new RectangleBars(2, 2, bar, bar, List.of(true, true), List.of(true, true)), T10, 150);
    }

    private static BarEnds ends(double lower, double upper, int lift, Bar bar, Basis basis) {
        ColumnStack stack = stack(lower, upper);
        ColumnCage cage = new ColumnCage(List.of(four(bar), four(bar)));
        return new BarEnds(stack.lifts().get(lift), four(bar), VerticalBars.of(stack, lift, cage, basis), basis);
    }

    private static ColumnDesign checked(double lower, double upper, Bar bar, Basis basis) {
        return checked(TwoLifts.model(lower, upper), bar, basis);
    }

    private static ColumnDesign checked(ModelBuilder model, Bar bar, Basis basis) {
        var analysis = model.solve();
        ColumnContext context = ColumnContext.of(Sidesway.of(analysis, basis), basis);
        ColumnStack stack = ColumnStacks.find(analysis.index()).get(0);
        return ColumnCheck.run(stack, new ColumnCage(List.of(four(bar), four(bar))), context);
    }

    private static List<CheckResult> of(ColumnDesign d, int lift, String kind) {
        return d.lifts().get(lift).checks().stream()
                .filter(c -> c.kind().id().equals(kind))
                .toList();
    }

    private static ColumnDesign checked(double upper, ColumnCage.LiftCage below, ColumnCage.LiftCage above) {
        var analysis = TwoLifts.model(500, upper).solve();
        ColumnContext context = ColumnContext.of(Sidesway.of(analysis, ACI), ACI);
        return ColumnCheck.run(
                ColumnStacks.find(analysis.index()).get(0), new ColumnCage(List.of(below, above)), context);
    }

    /** Eight bars over four find four to lap with (25.5); as many or more below, or bars over another section, ask for nothing. */
    @Test
    void barsAboveFindBarsBelow() {
        List<Boolean> three = List.of(true, true, true);
        ColumnCage.LiftCage eight = new ColumnCage.LiftCage(new RectangleBars(3, 3, T20, T20, three, three), T10, 150);
        CheckResult r = of(checked(500, four(T20), eight), 0, "bars-below").get(0);
        assertEquals(8, r.demand());
        assertEquals(4, r.capacity());
        assertEquals("head", r.place());
        assertEquals(Cause.ANCHORAGE, r.cause());
        assertTrue(of(checked(500, four(T20), eight), 1, "bars-below").isEmpty());
        assertTrue(of(checked(500, eight, four(T20)), 0, "bars-below").isEmpty());
        assertTrue(of(checked(500, eight, eight), 0, "bars-below").isEmpty());
        assertTrue(of(checked(450, four(T20), eight), 0, "bars-below").isEmpty());
    }

    /** T20: 560 mm from the soffit to the cover; ldh 330 (25.4.3.1), ldc 368 with the bend of 80 (25.4.9.2). */
    @Test
    void thinBarsDevelopInTheBeam() {
        assertTrue(ends(500, 500, 1, T20, ACI).at(true).isEmpty());
        assertTrue(of(checked(500, 500, T20, ACI), 1, "bar-ends").isEmpty());
    }

    /** T32: ldh = 420 · 1.25 · (30/105 + 0.6) / (23 √30) · 32^1.5 = 668; ldc = 0.24 · 420/√30 · 32 = 589, of which the bend of 4 db and the bar leave 400. */
    @Test
    void thickBarsDevelopInPart() {
        List<Developed> all = ends(500, 500, 1, T32, ACI).at(true);
        assertEquals(4, all.size());
        double ldh = 420 * 1.25 * (30 / 105.0 + 0.6) / (23 * Math.sqrt(30)) * Math.pow(32, 1.5);
        assertEquals(560 / ldh, all.get(0).tension(), 1e-9);
        assertEquals(400 / (0.24 * 420 / Math.sqrt(30) * 32), all.get(0).compression(), 1e-9);
        CheckResult r = of(checked(500, 500, T32, ACI), 1, "bar-ends").get(0);
        assertEquals(Cause.ANCHORAGE, r.cause());
        CheckResult whole = of(checked(500, 500, T32, ACI), 1, "axial-bending").get(0);
        assertTrue(r.utilisation() > whole.utilisation() && r.demand() > 0, r + " " + whole);
        assertEquals(r.utilisation(), r.demand() / r.capacity(), 1e-9 * r.utilisation());
    }

    /**
     * Beside a torque, by statics of the four bars at 66 and 434 of 500: pulled, they have 560 / ldh of 420 less what the torque takes of them,
     * Al = T ph / (0.75 · 2 · 0.85 Aoh · 420) of 4 · 804; pushed, 400 / ldc of it as before.
     */
    @Test
    void thickBarsBesideATorque() {
        ModelBuilder b = TwoLifts.model(500, 500);
        b.jointLoads.add(new JointLoad("P", "C", 0, 0, 0, 0, 0, 60e6));
        var analysis = b.solve();
        int head = analysis.stationCount(1) - 1;
        double torque = Math.abs(analysis.force(1, 0, head, Analysis.T));
        double p = -analysis.force(1, 0, head, Analysis.N);
        assertTrue(torque > 20e6, "T " + torque);
        double ldh = 420 * 1.25 * (30 / 105.0 + 0.6) / (23 * Math.sqrt(30)) * Math.pow(32, 1.5);
        double part = torque * 4 * 410 / (0.75 * 2 * 0.85 * 410 * 410 * 420) / (4 * T32.area());
        double pulled = 420 * (560 / ldh - part);
        double pushed = 400 / (0.24 / Math.sqrt(30) * 32);
        CheckResult r = of(checked(b, T32, ACI), 1, "bar-ends").get(0);
        double[] most = strength(p / r.demand(), pulled, pushed);
        assertEquals(r.demand() / most[1], r.utilisation(), 3e-3 * r.utilisation());
        assertTrue(r.utilisation()
                > 1.02 * of(checked(500, 500, T32, ACI), 1, "bar-ends").get(0).utilisation());
    }

    /** {φPn, φMn} of 500 × 500 where they go as asked, bars at 66 and 434 with so much stress at most. */
    private static double[] strength(double ratio, double pulled, double pushed) {
        double low = 10;
        double high = 2000;
        double[] r = {0, 0};
        for (int k = 0; k < 100; k++) {
            double c = (low + high) / 2;
            double a = Math.min((0.85 - 0.05 * 2 / 7) * c, 500);
            double n = 25.5 * 500 * a;
            double m = n * (250 - a / 2);
            for (double y : new double[] {66, 434}) {
                double f = Math.max(-pulled, Math.min(pushed, 600 * (c - y) / c)) - (y < a ? 25.5 : 0);
                n += f * 2 * T32.area();
                m += f * 2 * T32.area() * (250 - y);
            }
            double strain = 0.003 * (434 - c) / c;
            double phi = 0.65 + 0.25 * Math.max(0, Math.min(1, (strain - 0.0021) / 0.003));
            r = new double[] {phi * n, phi * m};
            boolean deeper = r[0] < ratio * r[1];
            low = deeper ? c : low;
            high = deeper ? high : c;
        }
        return r;
    }

    /** T25: its hook develops in 462 of 560, pushed it needs 460.1 of the 460 that its bend of 3 db leaves. Where the first bar goes on, the calculation is of one that ends. */
    @Test
    void barsThatDevelopWholeInTensionAlone() {
        Bar t25 = BarCatalogue.METRIC.find("T25");
        ColumnStack stack = stack(500, 500);
        List<VerticalBars.Standing> all = VerticalBars.of(stack, 1, new ColumnCage(List.of(four(t25), four(t25))), ACI);
        PlacedBar first = four(t25).bars(new Shape.Rectangle(500, 500), 40).get(0);
        List<VerticalBars.Standing> others = all.stream()
                .filter(s -> Math.hypot(s.x() - first.x(), s.y() - first.y()) > 1)
                .toList();
        assertEquals(all.size() - 1, others.size());
        BarEnds ends = new BarEnds(stack.lifts().get(1), four(t25), others, ACI);
        Trace t = Trace.recording();
        ends.explain(true, t);
        double part = 460 / (0.24 * 420 / Math.sqrt(30) * 25);
        assertEquals(
                List.of("fc / fy", "ft / fy"),
                t.steps().stream()
                        .map(s -> s.symbol())
                        .filter(s -> s.endsWith("/ fy"))
                        .sorted()
                        .toList());
        assertEquals(1, step(t, "ft / fy"), 1e-9);
        assertEquals(part, step(t, "fc / fy"), 1e-9);
        assertEquals(Developed.WHOLE, ends.at(true).get(0));
    }

    private static double step(Trace t, String symbol) {
        return t.steps().stream()
                .filter(s -> s.symbol().equals(symbol))
                .findFirst()
                .orElseThrow()
                .value();
    }

    /** By EN fbd = 2.25 · 0.7 · 0.3 · 30^(2/3) / 1.5 = 3.04; lbd = 8 · fyd / fbd; the hook needs 12 φ less. */
    @Test
    void byEn() {
        double fyd = EN.fy() / 1.15;
        double lbd = 8 * fyd / (2.25 * 0.7 * 0.3 * Math.pow(30, 2.0 / 3) / 1.5);
        double room = 600 - EN.columnCover();
        Developed d = ends(500, 500, 1, T32, EN).at(true).get(0);
        assertEquals(Math.min(1, room / (lbd - 12 * 32)), d.tension(), 1e-6);
        double bend = EN.entry().bends().barRadius(T32) + 32;
        assertEquals(Math.min(1, (room - bend) / lbd), d.compression(), 1e-6);
    }

    @Test
    void barsThatGoOnAreWhole() {
        assertTrue(ends(500, 500, 0, T32, ACI).at(true).isEmpty());
        assertTrue(ends(500, 500, 0, T32, ACI).at(false).isEmpty());
        // 75 mm a side: they end
        assertEquals(4, ends(500, 350, 0, T32, ACI).at(true).size());
    }

    /** Pure tension and compression of a section whose bars develop in part: 0.9 · 0.8 · As fy; 0.65 · 0.8 (0.85 f'c (Ag - As) + 0.6 As fy). */
    @Test
    void aSectionWithBarsDevelopedInPart() {
        Shape s = new Shape.Rectangle(500, 500);
        List<PlacedBar> bars = four(T32).bars(s, 40);
        double as = 4 * T32.area();
        Developed part = new Developed(0.8, 0.6);
        ColumnSection c = new ColumnSection(s, bars, List.of(part, part, part, part), 30, 420, ACI.designCode());
        assertEquals(0.9 * 0.8 * as * 420, c.tension, 1);
        assertEquals(0.65 * 0.8 * (0.85 * 30 * (250_000 - as) + 0.6 * as * 420), c.axialCap, 1);
        // all in tension but for a sliver: every bar at its part
        assertEquals(-0.8 * as * 420, c.at(0, 0.5).N(), 0.02 * as * 420);
    }

    /**
     * 500 to 450: T20 from 190 to 165 − 10√2, 39.14 each way over the 600 of the beam. To one side lead two bars: 1.5 · 2 · 314.16 · 420 · 39.14/602.55 =
     * 25.71 kN. Ties at 75, 225, …: two of two legs within 150 of each bend, 4 · 78.54 · 420 = 131.9 kN (10.7.6.4).
     */
    @Test
    void tiesAtBends() {
        CheckResult r = of(checked(500, 450, T20, ACI), 0, "bent-bars").get(0);
        double across = 25 + 10 * Math.sqrt(2);
        double along = Math.sqrt(600 * 600 + 2 * across * across);
        assertEquals(1.5 * 2 * T20.area() * 420 * across / along, r.demand(), 1);
        assertEquals(4 * T10.area() * 420, r.capacity(), 1);
        assertEquals("10.7.6.4", r.clause().text());
        assertTrue(of(checked(500, 500, T20, EN), 0, "bent-bars").isEmpty(), "1 in 12 (9.5.3(5))");
    }

    @Test
    void dowelsFarFromTheBarsAreOutOfScope() {
        CheckResult r = of(checked(800, 400, T20, ACI), 0, "dowels-apart").get(0);
        // from 340 to 140 − 10√2, both ways
        assertEquals((200 + 20 / Math.sqrt(2)) * Math.sqrt(2), r.demand(), 1e-6);
        assertEquals(Cause.OUT_OF_SCOPE, r.cause());
        assertTrue(of(checked(500, 450, T20, ACI), 0, "dowels-apart").isEmpty());
    }

    /** 3780 or so to the crank and a lap above the floor: under 12 m; a basis whose bars are 5 m long says so. */
    @Test
    void barsAreNoLongerThanDelivered() {
        CheckResult r = of(checked(500, 500, T20, ACI), 0, "bar-length").get(0);
        assertEquals(12_000, r.capacity(), 1e-9);
        assertTrue(r.demand() > 3900 + 1172 && r.demand() < 3900 + 1172 + 60, r.toString());
        Bars b = ACI.bars();
        Basis shorter = ACI.with(
                new Bars(b.beams(), b.columns(), b.stirrups(), b.layersMost(), b.practicalCap(), b.preference(), 5000));
        CheckResult fails = of(checked(500, 500, T20, shorter), 0, "bar-length").get(0);
        assertEquals(Cause.BARS_DO_NOT_FIT, fails.cause());
        assertTrue(fails.utilisation() > 1);
    }

    /** T20 lap over 1172 (class B, 1.3 · 420 / (1.7 √30) · 20 = 1172.8), in a lift of 1500 with beams 600 deep: 900 are clear. */
    @Test
    void lapsInALowLift() {
        CheckResult r = of(checked(TwoLifts.model(500, 500, 3600, 1500), T20, ACI), 0, "lap-height")
                .get(0);
        assertTrue(r.demand() > 1172 && r.demand() < 1172 + 55, r.toString());
        assertEquals(900, r.capacity(), 1e-9);
        assertEquals(Cause.ANCHORAGE, r.cause());
        CheckResult high = of(checked(500, 500, T20, ACI), 0, "lap-height").get(0);
        assertEquals(3000, high.capacity(), 1e-9);
        assertTrue(of(checked(500, 500, T20, ACI), 1, "lap-height").isEmpty(), "nothing laps over the roof");
    }

    /** Dowels of T20 reach a lap below the cover at the top of the floor: in a lift of 700 on its footing, 700 + 300 − 40 = 960 are there. */
    @Test
    void dowelsInALowLift() {
        Practice p = ACI.practice();
        Basis noStarters = ACI.with(p.with(p.columnBarsEvery(), 1, p.splices(), false));
        CheckResult r = of(checked(TwoLifts.model(500, 350, 700, 3600), T20, noStarters), 0, "lap-height")
                .get(0);
        // the lap is longer by the clear distance of bars at 190 and 115 − 10√2, both ways (8.7.2(3), taken by all
        // codes)
        double clear = (190 - 115 + 20 / Math.sqrt(2)) * Math.sqrt(2) - 20;
        assertEquals(1172.8 + clear, r.demand(), 0.1);
        assertEquals(960, r.capacity(), 1e-9);
    }

    /** Starter bars lap in it as well: over the 400 that are clear. */
    @Test
    void starterBarsInALowLift() {
        CheckResult r = of(checked(TwoLifts.model(500, 500, 700, 3600), T20, ACI), 0, "lap-height")
                .get(0);
        assertEquals(400, r.capacity(), 1e-9);
        assertEquals("foot", r.place());
        assertEquals(1172.8, r.demand(), 1);
    }

    /** A post with nothing at its head but a moment: nobody knows what its bars end in. */
    @Test
    void withoutBeamsANoteSaysSo() {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .column("c", "A", "B")
                .fixed("A");
        b.section("S", 500, 500);
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, -1e5, 1e8, 0, 0));
        var analysis = b.solve();
        ColumnStack post = ColumnStacks.find(analysis.index()).get(0);
        ColumnDesign d = ColumnCheck.run(
                post, new ColumnCage(List.of(four(T32))), ColumnContext.of(Sidesway.of(analysis, ACI), ACI));
        assertTrue(of(d, 0, "bar-ends").isEmpty());
        assertEquals(
                1,
                d.findings().stream()
                        .filter(x -> x.code().equals("column.ends"))
                        .count());
        assertTrue(checked(500, 500, T20, ACI).findings().stream()
                .noneMatch(x -> x.code().equals("column.ends")));
    }

    /** 150 kN pull at the head of a post in one load case: told at its foundation with the pull that the combination makes of it; a push is not. */
    @Test
    void whatPullsAtAFoundationIsTold() {
        assertEquals(List.of("column.uplift"), pulls(150e3));
        assertEquals(List.of(), pulls(-150e3));
    }

    private static List<String> pulls(double up) {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .column("c", "A", "B")
                .fixed("A");
        b.section("S", 500, 500);
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, up, 0, 0, 0));
        var analysis = b.solve();
        ColumnStack post = ColumnStacks.find(analysis.index()).get(0);
        ColumnDesign d = ColumnCheck.run(
                post, new ColumnCage(List.of(four(T20))), ColumnContext.of(Sidesway.of(analysis, ACI), ACI));
        List<Finding> told = d.findings().stream()
                .filter(x -> x.code().startsWith("column.uplift"))
                .toList();
        told.forEach(f -> assertTrue(f.what().contains("150.0 kN under 1.0P"), f.what()));
        return told.stream().map(Finding::code).toList();
    }
}
