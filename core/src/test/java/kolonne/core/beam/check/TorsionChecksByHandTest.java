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
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.check.CheckResult;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.model.Direction;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/**
 * Torsion by ACI 318M-19 by hand: 350 × 600 over 6 m, held against twist at both ends, a spread load and a spread torque. T and V fall
 * straight to nothing in the middle.
 */
class TorsionChecksByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final double ROOT = Math.sqrt(30);
    private static final double AOH = 260.0 * 510;
    private static final double PH = 2 * (260 + 510);
    /** At/s of a torque of 1 Nmm (22.7.6.1). */
    private static final double UNIT = 1 / (0.75 * 2 * 0.85 * AOH * 420);

    private static final double THRESHOLD = 0.75 * 0.083 * ROOT * 210_000.0 * 210_000 / 1900;

    private static ModelBuilder model(double w, double torque) {
        ModelBuilder m = new ModelBuilder()
                .section("S", 350, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m", 0, 6000, w, w);
        m.memberLoads.add(new MemberLoad(
                "P", "m", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 6000, torque, torque));
        return m;
    }

    private static LaidByHand laid(double w, double torque) {
        return new LaidByHand(model(w, torque), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150);
    }

    private static LaidByHand withSides(double w, double torque) {
        return laid(w, torque).side(new BeamCage.SideBars(0, T10, 1, -500, 6400, false, false));
    }

    /** Longitudinal steel of one of three levels for a torque, with 9.6.4.3 where it passes the threshold. */
    private static double level(double t) {
        double at = t * UNIT;
        double least = 0.42 * ROOT * 210_000 / 420 - Math.max(at, 0.175 * 350 / 420) * PH;
        return Math.max(at * PH, t > THRESHOLD ? least : 0) / 3;
    }

    @Test
    void legsShareTorqueAndShear() {
        LaidByHand.Told t = withSides(60, 10_000).told();
        double at = 30e6 * UNIT;
        double av = (180e3 - 0.75 * 0.17 * ROOT * 350 * 540) / (0.75 * 420 * 540);
        CheckResult c = t.of("torsion");
        t.tells("torsion", at + av / 2, T10.area() / 150, c.x(), "22.7.6.1").cause("torsion", Cause.TORSION);
        assertEquals(3000, Math.abs(c.x() - 3000), 0.5);
        assertEquals("1.0P", c.combination());
        double v = 180e3 / (350 * 540);
        double tau = 30e6 * PH / (1.7 * AOH * AOH);
        double use = Math.hypot(v, tau) / (0.75 * 0.83 * ROOT);
        t.tells(
                        "shear-torsion-limit",
                        30e6,
                        30e6 / use,
                        t.of("shear-torsion-limit").x(),
                        "22.7.7.1")
                .cause("shear-torsion-limit", Cause.SHEAR_TORSION_LIMIT);
        BeamDesign.Point end = t.design().profile().get(0);
        assertEquals(30e6, end.t(), 1);
        assertEquals((T10.area() / 150 - av / 2) / UNIT, end.tn(), 1e-4 * end.tn());
        assertEquals(use, end.limitUse(), 1e-5);
        BeamDesign.Point middle = t.design().profile().stream()
                .filter(p -> Math.abs(p.x() - 3000) < 1)
                .findFirst()
                .orElseThrow();
        assertEquals(T10.area() / 150 / UNIT, middle.tn(), 1e-4 * middle.tn(), "no shear there");
        t.silent("torsion-threshold");
    }

    /** Four legs: the torque is the outer ones' alone, the shear is shared by four. */
    @Test
    void innerLegsCarryNoTorque() {
        LaidByHand.Told t = new LaidByHand(model(60, 10_000), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 4, 150)
                .told();
        double av = (180e3 - 0.75 * 0.17 * ROOT * 350 * 540) / (0.75 * 420 * 540);
        assertEquals(30e6 * UNIT + av / 4, t.of("torsion").demand(), 1e-4);
        assertEquals(T10.area() / 150, t.of("torsion").capacity(), 1e-9);
    }

    @Test
    void barsRoundThePerimeter() {
        LaidByHand.Told t = withSides(60, 10_000).told();
        // the least of 9.6.4.3 grows as the torque falls: most where it is last above the threshold, 1.8 m from the
        // ends (12 kNm)
        assertTrue(THRESHOLD < 12e6 && THRESHOLD > 6e6);
        t.tells("torsion-side", level(12e6), 2 * T10.area(), 1800, "22.7.6.1, 9.6.4.3")
                .cause("torsion-side", Cause.TORSION);
        t.tells("torsion-spacing", 150, PH / 8, 3000, "9.7.6.3.3").cause("torsion-spacing", Cause.STIRRUP_SPACING);
        t.tells("torsion-bar-size", 9.5, 10, 3000, "9.7.5.1, 9.7.5.2").cause("torsion-bar-size", Cause.TORSION);
        t.tells("torsion-bar-spacing", (600 - 2 * (40 + 10 + 5)) / 2.0, 300, 3000, "9.7.5.1, 9.7.5.2");
        // no moment at the ends: both faces carry their level there
        t.tells(
                "torsion-bottom",
                level(30e6),
                4 * T20.area(),
                t.of("torsion-bottom").x(),
                "22.7.6.1, 9.6.4.3");
        t.tells("torsion-top", level(30e6), 2 * T16.area(), t.of("torsion-top").x(), "22.7.6.1, 9.6.4.3");
        assertEquals(3000, Math.abs(t.of("torsion-top").x() - 3000), 0.5);
        // tension steel of the bottom less its level: worst at 1.8 m, 226.8 kNm
        double as = 4 * T20.area();
        double m = 60 * 1800 * 4200 / 2.0;
        double has = BeamChecksByHandTest.phiMn(
                350, 30, 420, new double[] {540, as - level(12e6)}, new double[] {58, 2 * T16.area()});
        t.tells("flexure-torsion-bottom", m, has, t.of("flexure-torsion-bottom").x(), "22.7.6.1, 9.6.4.3")
                .cause("flexure-torsion-bottom", Cause.FLEXURE)
                .silent("flexure-torsion-top");
    }

    /** Side bars develop their share of yield past the faces: 157 of the 297 mm² that are asked is all of it (9.7.5.4). */
    @Test
    void sideBarsAreAnchored() {
        LaidByHand.Told t = withSides(60, 10_000).told();
        double ld = ACI.designCode().detailing().developmentLength(T10, 30, 420, false, 10, 40, true);
        t.tells("torsion-anchorage", ld, 400, 6000, "9.7.5.4").cause("torsion-anchorage", Cause.ANCHORAGE);
        LaidByHand.Told thick = laid(60, 10_000)
                .side(new BeamCage.SideBars(0, T25, 1, -300, 6400, false, true))
                .told();
        double straight = ACI.designCode().detailing().developmentLength(T25, 30, 420, false, 25, 40, true);
        thick.tells("torsion-anchorage", straight * level(12e6) / (2 * T25.area()), 300, 0, "9.7.5.4");
        LaidByHand.Told hooked = laid(60, 10_000)
                .side(new BeamCage.SideBars(0, T25, 1, -3000, 6010, false, true))
                .told();
        double hook = ACI.designCode().detailing().hookLength(T25, 30, 420, kolonne.core.explain.Trace.OFF);
        hooked.tells("torsion-anchorage", hook * level(12e6) / (2 * T25.area()), 10, 6000, "9.7.5.4");
        // a thicker side bar leaves the corner bars of 16 the thinnest
        thick.tells("torsion-bar-size", 9.5, 16, 3000, "9.7.5.1, 9.7.5.2");
        thick.tells("torsion-bar-spacing", (600 - 2 * (40 + 10 + 8)) / 2.0, 300, 3000, "9.7.5.1, 9.7.5.2");
    }

    @Test
    void belowTheThreshold() {
        LaidByHand.Told t = laid(60, 2000).told();
        t.tells("torsion-threshold", 6e6, THRESHOLD, t.of("torsion-threshold").x(), "22.7.4.1")
                .cause("torsion-threshold", Cause.OUT_OF_SCOPE);
        t.silent(
                "torsion",
                "shear-torsion-limit",
                "torsion-side",
                "torsion-spacing",
                "torsion-top",
                "flexure-torsion-bottom",
                "torsion-anchorage",
                "torsion-bar-spacing");
        BeamDesign.Point end = t.design().profile().get(0);
        assertEquals(THRESHOLD, end.tn(), 1e-6 * THRESHOLD);
        assertEquals(180e3 / (0.75 * 0.83 * ROOT * 350 * 540), end.limitUse(), 1e-5, "the shear alone");
        laid(60, 0).told().silent("torsion-threshold");
        List<Step> steps = laid(60, 2000).explained(0);
        assertTrue(steps.stream().anyMatch(s -> s.formula().equals("Torsion may be neglected here.")));
        assertEquals(6e6 / THRESHOLD, value(steps, "Tu / φTth"), 1e-6);
    }

    private static double value(List<Step> steps, String symbol) {
        return steps.stream()
                .filter(s -> s.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new AssertionError(
                        symbol + " in " + steps.stream().map(Step::symbol).toList()))
                .value();
    }

    @Test
    void theCalculation() {
        LaidByHand l = withSides(60, 10_000);
        List<Step> steps = l.explained(0);
        double av = (180e3 - 0.75 * 0.17 * ROOT * 350 * 540) / (0.75 * 420 * 540);
        double at = 30e6 * UNIT;
        assertEquals(at + av / 2, value(steps, "A1/s"), 1e-4);
        assertEquals((at + av / 2) / (T10.area() / 150), value(steps, "needed / provided"), 1e-3);
        assertEquals(level(30e6), value(steps, "Al, level"), 1e-3);
        assertEquals(at, value(steps, "At/s"), 1e-6);
        assertEquals(0.75 * 0.33 * ROOT * 210_000.0 * 210_000 / 1900, value(steps, "φTcr"), 1e3);
        assertEquals(l.told().design().profile().get(0).limitUse(), value(steps, "vu / φvn,max"), 1e-6);
        assertEquals(
                "1.0P",
                steps.stream()
                        .filter(s -> s.symbol().equals("Torsion"))
                        .findFirst()
                        .orElseThrow()
                        .formula());
        assertTrue(steps.stream().noneMatch(s -> s.formula().equals("Torsion may be neglected here.")));
    }

    /** Torque on the second span only: the first keeps its threshold; without stirrups nothing is told of legs. */
    @Test
    void everySpanHasItsOwnTorsion() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 350, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("E", 12_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 6000, 30, 30)
                .spread("m2", 0, 6000, 30, 30);
        m.memberLoads.add(new MemberLoad(
                "P", "m2", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 6000, 10_000, 10_000));
        m.memberLoads.add(
                new MemberLoad("P", "m1", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 6000, 1000, 1000));
        LaidByHand l = new LaidByHand(m, ACI)
                .through(TOP, 4, T20, 60)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T16, 2, 200)
                .zone(1, 6000, 12_000, T10, 2, 150)
                .side(new BeamCage.SideBars(1, T10, 1, 5600, 12_400, false, false))
                .side(new BeamCage.SideBars(0, LaidByHand.T8, 3, -100, 6100, false, false));
        LaidByHand.Told t = l.told();
        t.tells("torsion-threshold", 3e6, THRESHOLD, t.of("torsion-threshold").x(), "22.7.4.1");
        assertTrue(t.of("torsion-threshold").x() <= 6000);
        assertEquals(1, t.of("torsion").part());
        t.tells("torsion-spacing", 150, PH / 8, 9000, "9.7.6.3.3");
        t.tells("torsion-side", level(12e6), 2 * T10.area(), 7800, "22.7.6.1, 9.6.4.3");
        t.tells("torsion-bar-spacing", 245, 300, 9000, "9.7.5.1, 9.7.5.2");
        t.tells(
                "torsion-anchorage",
                ACI.designCode().detailing().developmentLength(T10, 30, 420, false, 10, 40, true),
                400,
                t.of("torsion-anchorage").x(),
                "9.7.5.4");
        // hogging over the middle takes the level off the top bars, of 135 kNm
        double has = BeamChecksByHandTest.phiMn(
                350, 30, 420, new double[] {540, 4 * T20.area() - level(30e6)}, new double[] {60, 4 * T20.area()});
        assertEquals(135e6 / has, t.of("flexure-torsion-top").utilisation(), 0.01);
        assertEquals(6000, t.of("flexure-torsion-top").x(), 0.5);
        // compression takes M / (0.9 d fy) off the level of the bottom there: 135e6 / (0.9 × 540 × 420) is more than
        // all of it
        assertEquals(12_000, t.of("torsion-bottom").x(), 0.5);
        LaidByHand.Told bare = new LaidByHand(model(60, 10_000), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .told();
        bare.silent("torsion", "shear-torsion-limit", "torsion-spacing");
        assertTrue(bare.of("torsion-bar-spacing").utilisation() > 1, "top and bottom are 480 apart");
    }

    /** Little moment: compression takes a part of the level off. */
    @Test
    void compressionRelievesItsFace() {
        LaidByHand.Told t = new LaidByHand(model(0, 10_000).couple("m", 0, 0), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double three = level(12e6) * 3 / 2;
        t.tells("torsion-top", three, 2 * T16.area(), 1800, "22.7.6.1, 9.6.4.3");
        ModelBuilder m = model(0, 10_000).couple("m", 0, -20e6).couple("m", 6000, 20e6);
        LaidByHand.Told bent = new LaidByHand(m, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        boolean sagging = bent.design().profile().get(5).mPos() > 1;
        String compressed = sagging ? "torsion-top" : "torsion-bottom";
        double area = sagging ? 2 * T16.area() : 4 * T20.area();
        double d = sagging ? 542 : 540;
        bent.tells(compressed, three - 20e6 / (0.9 * d * 420), area, 1800, "22.7.6.1, 9.6.4.3");
    }

    /** Torque near one end only: stirrups are close as far as torsion counts (bt + d beyond, 9.7.6.3.2), and no further. */
    @Test
    void torsionCountsNearItsPlaceOnly() {
        ModelBuilder m = model(10, 0);
        m.memberLoads.add(new MemberLoad("P", "m", MemberLoad.Kind.MOMENT, Direction.LOCAL_X, 300, 300, 30e6, 0));
        for (double second : new double[] {1100, 1500}) {
            LaidByHand.Told t = new LaidByHand(m, ACI)
                    .through(TOP, 2, T16, 58)
                    .through(BOTTOM, 4, T20, 60)
                    .zone(0, 0, second, T10, 2, 100)
                    .zone(0, second, 5000, T10, 2, 200)
                    .zone(0, 5000, 6000, T10, 2, 300)
                    .told();
            boolean reaches = second < 1200;
            t.tells(
                    "torsion-spacing",
                    reaches ? 200 : 100,
                    PH / 8,
                    reaches ? (second + 5000) / 2 : second / 2,
                    "9.7.6.3.3");
        }
        // and the same from the other end
        ModelBuilder r = model(10, 0);
        r.memberLoads.add(new MemberLoad("P", "m", MemberLoad.Kind.MOMENT, Direction.LOCAL_X, 5700, 5700, 30e6, 0));
        LaidByHand.Told t = new LaidByHand(r, ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 1000, T10, 2, 300)
                .zone(0, 1000, 4900, T10, 2, 200)
                .zone(0, 4900, 6000, T10, 2, 100)
                .told();
        t.tells("torsion-spacing", 200, PH / 8, 2950, "9.7.6.3.3");
    }

    /** A short zone in the middle of where torsion counts counts, though torsion ends on neither of its sides. */
    @Test
    void aMomentAllAlongKeepsItsFacesApart() {
        ModelBuilder m = model(0, 10_000);
        m.jointLoads.add(new kolonne.core.model.JointLoad("P", "A", 0, 0, 0, 0, 20e6, 0));
        m.jointLoads.add(new kolonne.core.model.JointLoad("P", "B", 0, 0, 0, 0, -20e6, 0));
        LaidByHand.Told t = new LaidByHand(m, ACI)
                .through(TOP, 4, T20, 60)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        boolean sagging = t.design().profile().get(3).mPos() > 1;
        t.silent(sagging ? "torsion-bottom" : "torsion-top")
                .tells(
                        sagging ? "torsion-top" : "torsion-bottom",
                        level(12e6) * 1.5 - 20e6 / (0.9 * 540 * 420),
                        4 * T20.area(),
                        1800,
                        "22.7.6.1, 9.6.4.3");
    }

    /** Where torsion takes more than all the bars of a face, the use is that of the level alone. */
    @Test
    void torsionThatTakesEveryBar() {
        LaidByHand.Told t = new LaidByHand(model(1, 26_667), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 2, T16, 58)
                .zone(0, 0, 6000, T10, 2, 150)
                .told();
        double has = 2 * T16.area();
        // two levels; at the first station that bends, d from the end
        double level = 26_667 * (3000 - 535) * UNIT * PH / 2;
        double use = level / has;
        assertTrue(use > 1);
        t.tells(
                "flexure-torsion-bottom",
                535 * 5465 / 2.0,
                535 * 5465 / 2.0 / use,
                t.of("flexure-torsion-bottom").x(),
                "22.7.6.1, 9.6.4.3");
    }

    /** Side bars of a cantilever are anchored at its support, not at its free end. */
    @Test
    void aFreeEndNeedsNoAnchorage() {
        for (boolean left : new boolean[] {true, false}) {
            ModelBuilder m = new ModelBuilder()
                    .section("S", 350, 600)
                    .section("K", 400, 400)
                    .joint("F", 0, 0, -3000)
                    .joint("A", 0, 0, 0)
                    .joint("E", left ? -3000 : 3000, 0, 0)
                    .column("c", "F", "A")
                    .fixed("F")
                    .fixed("A");
            m.members.replaceAll(c -> c.withSection("K"));
            m.beam("m", left ? "E" : "A", left ? "A" : "E").spread("m", 0, 3000, 20, 20);
            m.memberLoads.add(new MemberLoad(
                    "P", "m", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 3000, 10_000, 10_000));
            LaidByHand l = new LaidByHand(m, ACI);
            double face = left ? 2800 : 200;
            LaidByHand.Told t = l.hooked(TOP, 4, T20, 60)
                    .through(BOTTOM, 2, T20, 60)
                    .zone(0, left ? 0 : 200, left ? 2800 : 3000, T10, 2, 150)
                    .side(new BeamCage.SideBars(
                            0, T10, 1, left ? 40 : face - 150, left ? face + 150 : 2960, false, false))
                    .told();
            assertEquals(face, t.of("torsion-anchorage").x(), 1e-6);
            assertEquals(150, t.of("torsion-anchorage").capacity(), 1e-6);
        }
    }
}
