package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T20;
import static kolonne.core.beam.check.LaidByHand.T25;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.check.CheckResult;
import kolonne.core.finding.Cause;
import kolonne.core.model.CaseKind;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rules of ductile frames, ACI 318M-19 chapter 18, by hand on a cage laid by hand: two bays of 7 m, 350 × 650, columns of 600 square (clear 6.4 m). */
class DuctileChecksByHandTest {
    private static final double[] TOP_THREE = {587.5, 3 * T25.area()};
    private static final double[] TOP_FIVE = {587.5, 5 * T25.area()};
    private static final double[] BOTTOM_THREE = {590, 3 * T20.area()};

    /** Bars of any length, so that none laps. */
    private static Basis basis(Ductility kind) {
        return basis(kind, 20_000);
    }

    private static Basis basis(Ductility kind, double stock) {
        Basis s = Basis.standard(false);
        return Varied.ductile(Varied.stock(s, stock), kind);
    }

    private static ModelBuilder frame(double column, double w) {
        ModelBuilder b = new ModelBuilder().section("S", 350, 650).section("K", column, column);
        for (int i = 0; i < 3; i++) {
            b.joint("f" + i, 7000 * i, 0, 0)
                    .joint("t" + i, 7000 * i, 0, 3500)
                    .fixed("f" + i)
                    .column("c" + i, "f" + i, "t" + i);
        }
        b.members.replaceAll(m -> m.withSection("K"));
        b.beam("m0", "t0", "t1")
                .beam("m1", "t1", "t2")
                .spread("m0", 0, 7000, w, w)
                .spread("m1", 0, 7000, w, w);
        b.cases.add(new LoadCase("E", "earthquake", CaseKind.SEISMIC, 0));
        b.jointLoads.add(new JointLoad("E", "t1", 100e3, 0, 0, 0, 0, 0));
        return b.combine("1.4P", Map.of("P", 1.4))
                .combine("P+E", Map.of("P", 1.2, "E", 1.0))
                .combine("P-E", Map.of("P", 1.2, "E", -1.0));
    }

    /** 3T25 over 3T20 throughout, 2T25 more over the middle column, 2T20 more in the first span. */
    private static LaidByHand laid(double column, double w, Ductility kind) {
        return laid(column, w, basis(kind));
    }

    private static LaidByHand laid(double column, double w, Basis basis) {
        double f = column / 2;
        return new LaidByHand(frame(column, w), basis)
                .hooked(TOP, 3, T25, 62.5)
                .hooked(BOTTOM, 3, T20, 60)
                .bars(new BeamCage.Group(TOP, 1, 2, T25, 62.5, 4500, 9500, false, false, false))
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T20, 60, 1500, 5500, false, false, false))
                .zone(0, f, 1600, T10, 2, 100)
                .zone(0, 1600, 5400, T10, 2, 250)
                .zone(0, 5400, 7000 - f, T10, 2, 100)
                .zone(1, 7000 + f, 8600, T10, 2, 110)
                .zone(1, 8600, 12_400, T10, 2, 250)
                .zone(1, 12_400, 14_000 - f, T10, 2, 100);
    }

    /** Nominal moment, f'c 30, b 350: bars in tension {d, As} and in compression, by bisection of the axis. */
    private static double mn(double fy, double[] tension, double[] compression) {
        double beta = 0.85 - 0.05 * 2 / 7;
        double low = 1;
        double high = 650;
        for (int k = 0; k < 80; k++) {
            double c = (low + high) / 2;
            double force = 0.85 * 30 * 350 * beta * c;
            for (double[] s : new double[][] {tension, {650 - compression[0], compression[1]}}) {
                force += (Math.max(-fy, Math.min(fy, 600 * (c - s[0]) / c)) - (s[0] < beta * c ? 25.5 : 0)) * s[1];
            }
            low = force < 0 ? c : low;
            high = force < 0 ? high : c;
        }
        double c = high;
        double moment = -0.85 * 30 * 350 * beta * c * beta * c / 2;
        for (double[] s : new double[][] {tension, {650 - compression[0], compression[1]}}) {
            moment -= (Math.max(-fy, Math.min(fy, 600 * (c - s[0]) / c)) - (s[0] < beta * c ? 25.5 : 0)) * s[1] * s[0];
        }
        return moment;
    }

    @Test
    void barsOfASpecialFrame() {
        LaidByHand.Told t = laid(600, 25, Ductility.SPECIAL).told();
        t.tells("ductile-through-top", 2, 3, 300, "18.6.3.1")
                .tells("ductile-through-bottom", 2, 3, 300, "18.6.3.1")
                .cause("ductile-through-top", Cause.STEEL_BELOW_MINIMUM);
        double hogging = mn(420, TOP_FIVE, BOTTOM_THREE);
        double sagging = mn(420, BOTTOM_THREE, TOP_FIVE);
        CheckResult s = t.of("ductile-sagging");
        t.tells("ductile-sagging", hogging / 2, sagging, s.x(), "18.6.3.2").cause("ductile-sagging", Cause.FLEXURE);
        assertEquals(300, Math.abs(s.x() - 7000), 1e-6);
        // everywhere a quarter of the most: 3T25 are least over 3T20 in the second span; 3T20 under whatever is above
        // them
        t.use(
                "ductile-anywhere-top",
                hogging
                        / 4
                        / Math.min(mn(420, TOP_THREE, BOTTOM_THREE), mn(420, TOP_THREE, new double[] {
                            590, 5 * T20.area()
                        })));
        t.use("ductile-anywhere-bottom", hogging / 4 / Math.min(sagging, mn(420, BOTTOM_THREE, TOP_THREE)))
                .cause("ductile-anywhere-top", Cause.FLEXURE);
        assertEquals("18.6.3.2", t.of("ductile-anywhere-top").clause().text());
        double ratio = 1.4 / 420 * 350;
        t.tells(
                        "ductile-minimum-top",
                        ratio * 587.5,
                        3 * T25.area(),
                        t.of("ductile-minimum-top").x(),
                        "18.6.3.1")
                .cause("ductile-minimum-top", Cause.STEEL_BELOW_MINIMUM);
        t.tells(
                "ductile-minimum-bottom",
                ratio * 590,
                3 * T20.area(),
                t.of("ductile-minimum-bottom").x(),
                "18.6.3.1");
        t.tells(
                        "ductile-most-top",
                        5 * T25.area(),
                        0.025 * 350 * 587.5,
                        t.of("ductile-most-top").x(),
                        "18.6.3.1")
                .cause("ductile-most-top", Cause.STEEL_OVER_CAP);
        t.tells(
                "ductile-most-bottom",
                5 * T20.area(),
                0.025 * 350 * 590,
                t.of("ductile-most-bottom").x(),
                "18.6.3.1");
        assertTrue(Math.abs(t.of("ductile-most-top").x() - 7000) < 2500
                && t.of("ductile-most-bottom").x() < 5500);
        t.silent("ductile-bottom");
    }

    @Test
    void hoopsOfASpecialFrame() {
        LaidByHand.Told t = laid(600, 25, Ductility.SPECIAL).told();
        // 18.6.4.4: min(d/4 146.9, 150, 6 × 20)
        t.tells("hoop-spacing", 110, 120, 7950, "18.6.4.4").cause("hoop-spacing", Cause.STIRRUP_SPACING);
        t.tells("ductile-spacing", 250, 587.5 / 2, 3500, "18.6.4.6").cause("ductile-spacing", Cause.STIRRUP_SPACING);
        // five bars over the middle column: the corners and every other one
        t.tells("hoop-legs", 3, 2, 950, "18.6.4.2").cause("hoop-legs", Cause.TIE_ARRANGEMENT);
        t.tells("ductile-span", 4, 6400 / 590.0, 3500, "18.6.2.1").cause("ductile-span", Cause.GEOMETRY);
        t.tells("ductile-width", 195, 350, 3500, "18.6.2.1")
                .cause("ductile-width", Cause.GEOMETRY)
                .silent("ductile-projection");
        CheckResult hook = t.of("ductile-hook");
        t.tells("ductile-hook", 420 * 25 / (5.4 * Math.sqrt(30)), 550, hook.x(), "18.8.5.1")
                .cause("ductile-hook", Cause.ANCHORAGE);
        assertEquals(6700, Math.abs(hook.x() - 7000), 1e-6);
        t.tells("ductile-column-depth", 20 * 25, 600, 7000, "18.8.2.3").cause("ductile-column-depth", Cause.ANCHORAGE);
    }

    /** The end with the shorter hook decides. */
    @Test
    void hooksOfEitherEnd() {
        for (boolean left : new boolean[] {true, false}) {
            LaidByHand l = new LaidByHand(frame(600, 25), basis(Ductility.SPECIAL));
            l.bars(new BeamCage.Group(TOP, 1, 3, T25, 62.5, left ? 0 : -260, left ? 14_260 : 14_000, true, true, true))
                    .hooked(BOTTOM, 3, T20, 60);
            l.told().tells("ductile-hook", 420 * 25 / (5.4 * Math.sqrt(30)), 300, left ? 300 : 13_700, "18.8.5.1");
        }
    }

    /** 18.6.3.3: bars of 14 m lap in the middle of a span, away from the hoops of twice the depth. */
    @Test
    void lapsAwayFromTheColumns() {
        LaidByHand l = laid(600, 25, basis(Ductility.SPECIAL, 12_000));
        LaidByHand.Told t = l.told();
        Laps.Lap top =
                Laps.of(l.line, l.cage().groups().get(0), l.context.basis()).get(0);
        double middle = (top.from() + top.to()) / 2;
        double near = middle < 7000
                ? Math.min(top.from() - 300, 6700 - top.to())
                : Math.min(top.from() - 7300, 13_700 - top.to());
        t.tells("lap-place", 1300, near, middle, "18.6.3.3").cause("lap-place", Cause.ANCHORAGE);
        t.tells("hoop-spacing", 250, 100, middle, "18.6.4.4");
        laid(600, 25, Ductility.SPECIAL).told().silent("lap-place");
        laid(600, 25, basis(Ductility.INTERMEDIATE, 12_000))
                .told()
                .silent(
                        "lap-place",
                        "ductile-column-depth",
                        "ductile-hook",
                        "hoop-legs",
                        "ductile-width",
                        "ductile-span",
                        "ductile-projection");
    }

    @Test
    void anIntermediateFrame() {
        LaidByHand.Told t = laid(600, 25, Ductility.INTERMEDIATE).told();
        t.tells("ductile-bottom", 5 * T20.area() / 4, 3 * T20.area(), 300, "18.4.2.1")
                .cause("ductile-bottom", Cause.STEEL_BELOW_MINIMUM);
        double hogging = mn(420, TOP_FIVE, BOTTOM_THREE);
        t.tells(
                "ductile-sagging",
                hogging / 3,
                mn(420, BOTTOM_THREE, TOP_FIVE),
                t.of("ductile-sagging").x(),
                "18.4.2.2");
        t.use(
                "ductile-anywhere-top",
                hogging
                        / 5
                        / Math.min(mn(420, TOP_THREE, BOTTOM_THREE), mn(420, TOP_THREE, new double[] {
                            590, 5 * T20.area()
                        })));
        // 18.4.2.4: min(d/4, 8 × 20, 24 × 10, 300)
        t.tells("hoop-spacing", 110, 587.5 / 4, 7950, "18.4.2.4")
                .tells("ductile-spacing", 250, 587.5 / 2, 3500, "18.4.2.5");
        t.silent("ductile-minimum-top", "ductile-most-top", "ductile-most-bottom");
    }

    @Test
    void anOrdinaryFrame() {
        LaidByHand.Told t = laid(600, 25, Ductility.ORDINARY).told();
        t.tells("ductile-bottom", 5 * T20.area() / 4, 3 * T20.area(), 300, "18.3.2")
                .tells("ductile-through-top", 2, 3, 300, "18.3.2");
        t.silent(
                "ductile-sagging",
                "ductile-anywhere-top",
                "hoop-spacing",
                "ductile-spacing",
                "hoop-legs",
                "ductile-minimum-top",
                "ductile-hook",
                "capacity-shear");
        laid(600, 25, Ductility.NONE).told().silent("ductile-bottom", "ductile-through-top");
    }

    /** 18.6.5.1: probable moments of both ends over the clear span, and 1.2 × 25 kN/m on it; 18.6.5.2: stirrups alone where the moments make half of it. */
    @Test
    void shearFromTheStrengthOfTheEnds() {
        LaidByHand.Told t = laid(600, 25, Ductility.SPECIAL).told();
        double sway = (mn(525, TOP_FIVE, BOTTOM_THREE) + mn(525, BOTTOM_THREE, TOP_THREE)) / 6400;
        double ve = sway + 30 * 6400 / 2.0;
        assertTrue(sway > ve / 2);
        CheckResult c = t.of("capacity-shear");
        // the critical section stands for the face; d there is the lesser of both faces
        double vs = 0.75 * 2 * T10.area() / 110 * 420 * 587.5;
        assertEquals(vs, c.capacity(), 1e-4 * vs);
        assertEquals(ve, c.demand(), 1e-4 * ve);
        assertEquals(ve / vs, c.utilisation(), 1e-3);
        assertEquals("18.6.5.1", c.clause().text());
        assertEquals("strength of the ends", c.combination());
        assertEquals(1, c.part());
        t.cause("capacity-shear", Cause.SHEAR);
        double limit = 0.75 * 0.66 * Math.sqrt(30) * 350 * 587.5;
        t.use("shear-limit", ve / limit);
        assertEquals("strength of the ends", t.of("shear-limit").combination());
        // heavy load and the same bars: the moments make less than half, the concrete helps
        LaidByHand.Told heavy = laid(600, 100, Ductility.SPECIAL).told();
        double more = sway + 120 * 6400 / 2.0;
        assertTrue(sway < more / 2);
        double total = vs + 0.75 * 0.17 * Math.sqrt(30) * 350 * 587.5;
        // and it is where the wide spacing begins, between two stations, that the stirrups have most to do
        double there = more - 120 * 1300;
        double wide = 0.75 * (2 * T10.area() / 250 * 420 + 0.17 * Math.sqrt(30) * 350) * 587.5;
        assertTrue(there / wide > more / total);
        assertEquals(there, heavy.of("capacity-shear").demand(), 1e-4 * there);
        assertEquals(wide, heavy.of("capacity-shear").capacity(), 1e-4 * wide);
        assertEquals(8600, heavy.of("capacity-shear").x(), 0.1);
        BeamDesign.Point face = t.design().profile().stream()
                .filter(p -> p.span() == 1)
                .findFirst()
                .orElseThrow();
        assertEquals(ve, face.ve(), 1e-4 * ve);
    }

    /** 18.6.2.1(c): 350 on columns of 300 juts out 25 on either side, at most the lesser of the column and 0.75 of it. */
    @Test
    void wideBeams() {
        LaidByHand.Told t = laid(300, 25, Ductility.SPECIAL).told();
        t.tells("ductile-projection", 25, 225, 0, "18.6.2.1").cause("ductile-projection", Cause.GEOMETRY);
        t.tells("ductile-column-depth", 500, 300, 7000, "18.8.2.3");
        laid(350, 25, Ductility.SPECIAL).told().silent("ductile-projection");
    }

    /** A frame that ends in a cantilever: the rules stop at the last column. */
    @Test
    void theCantileverIsNoPartOfTheFrame() {
        ModelBuilder m =
                frame(600, 25).joint("e", 16_000, 0, 3500).beam("m2", "t2", "e").spread("m2", 0, 2000, 25, 25);
        LaidByHand l = new LaidByHand(m, basis(Ductility.SPECIAL))
                .through(TOP, 3, T25, 62.5)
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 300, 6700, T10, 2, 100)
                .zone(1, 7300, 13_700, T10, 2, 100)
                .zone(2, 14_300, 16_000, T10, 2, 290);
        LaidByHand.Told t = l.told();
        t.tells("hoop-spacing", 100, 120, t.of("hoop-spacing").x(), "18.6.4.4");
        assertTrue(t.of("hoop-spacing").x() < 14_000);
        t.silent("ductile-spacing");
    }

    /** Four bars above and three below: each face counts its own. Bars that do not pass the column do not ask for its depth. */
    @Test
    void eachFaceCountsItsOwn() {
        LaidByHand.Told t = new LaidByHand(frame(600, 25), basis(Ductility.SPECIAL))
                .hooked(TOP, 4, T25, 62.5)
                .hooked(BOTTOM, 3, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, LaidByHand.T32, 66, 1500, 5500, false, false, false))
                .zone(0, 300, 1600, T10, 3, 100)
                .zone(0, 1600, 5400, T10, 2, 250)
                .zone(0, 5400, 6700, T10, 3, 100)
                .zone(1, 7300, 13_700, T10, 3, 100)
                .told();
        t.tells("ductile-through-top", 2, 4, 300, "18.6.3.1").tells("ductile-through-bottom", 2, 3, 300, "18.6.3.1");
        t.tells("ductile-column-depth", 20 * 25, 600, 7000, "18.8.2.3");
        // legs that hold the bars are asked of hoops, not of the stirrups between them
        assertEquals(3, t.of("hoop-legs").capacity(), 0);
        assertTrue(t.of("hoop-legs").satisfied());
        assertEquals("Spacing of hoops", t.of("hoop-spacing").title());
        assertEquals("Stirrup spacing of the frame", t.of("ductile-spacing").title());
    }

    /** A quarter of the steel of each span on its own (18.4.2.1): the second has the most. */
    @Test
    void bottomBarsOfTheirOwnSpan() {
        LaidByHand.Told t = new LaidByHand(frame(600, 25), basis(Ductility.INTERMEDIATE))
                .hooked(TOP, 4, T25, 62.5)
                .hooked(BOTTOM, 2, T20, 60)
                .bars(new BeamCage.Group(BOTTOM, 1, 4, T20, 60, 8500, 12_500, false, false, false))
                .told();
        t.tells("ductile-bottom", 6 * T20.area() / 4, 2 * T20.area(), 7300, "18.4.2.1");
    }

    /** One span with a column under one end only: rules of the ends hold there, laps keep away from it alone. */
    @Test
    void aColumnUnderOneEnd() {
        for (boolean left : new boolean[] {true, false}) {
            ModelBuilder m = new ModelBuilder()
                    .section("S", 350, 650)
                    .section("K", 600, 600)
                    .joint("F", left ? 0 : 16_000, 0, 0)
                    .joint("A", 0, 0, 3500)
                    .joint("B", 16_000, 0, 3500)
                    .column("c", "F", left ? "A" : "B")
                    .fixed("F")
                    .pinned(left ? "B" : "A");
            m.members.replaceAll(c -> c.withSection("K"));
            m.beam("m", "A", "B").spread("m", 0, 16_000, 5, 5);
            LaidByHand l = new LaidByHand(m, basis(Ductility.SPECIAL, 12_000));
            double from = left ? -250 : -400;
            double to = left ? 16_400 : 16_250;
            LaidByHand.Told t = l.bars(new BeamCage.Group(TOP, 1, 3, T25, 62.5, from, to, left, !left, true))
                    .bars(new BeamCage.Group(BOTTOM, 1, 3, T20, 60, from, to, left, !left, true))
                    .zone(0, left ? 300 : 0, left ? 16_000 : 15_700, T10, 2, 100)
                    .told();
            double face = left ? 300 : 15_700;
            Laps.Lap lap =
                    Laps.of(l.line, l.cage().groups().get(0), l.context.basis()).get(0);
            Laps.Lap low =
                    Laps.of(l.line, l.cage().groups().get(1), l.context.basis()).get(0);
            double clear = left ? Math.min(lap.from(), low.from()) - face : face - Math.max(lap.to(), low.to());
            assertEquals(clear, t.of("lap-place").capacity(), 1e-6);
            assertEquals(1300, t.of("lap-place").demand(), 1e-6);
            t.tells(
                    "ductile-sagging",
                    mn(420, TOP_THREE, BOTTOM_THREE) / 2,
                    mn(420, BOTTOM_THREE, TOP_THREE),
                    face,
                    "18.6.3.2");
            t.use(
                    "ductile-anywhere-bottom",
                    t.of("ductile-anywhere-bottom").demand()
                            / t.of("ductile-anywhere-bottom").capacity());
            t.tells(
                            "ductile-minimum-bottom",
                            1.4 / 420 * 350 * 590,
                            3 * T20.area(),
                            t.of("ductile-minimum-bottom").x(),
                            "18.6.3.1")
                    .silent("ductile-column-depth");
        }
    }

    /**
     * Shear with the strength of the ends of both spans, whose outer and inner ends differ: near the left face 1.2 w ln / 2 and the frame swaying so that it is hogging there and sagging at the
     * other end, near the right face the other way round (18.6.5.1 with 1.25 fy, 18.4.2.3(a) with fy). An intermediate frame takes no more than the load with twice the earthquake
     * (18.4.2.3(b)), of which 1.2 P + E and 1.2 P - E tell half the sum and half the difference.
     */
    @ParameterizedTest
    @CsvSource({"SPECIAL, 100e3", "INTERMEDIATE, 20e3", "INTERMEDIATE, 60e3", "INTERMEDIATE, 4e6"})
    void shearFromTheStrengthOfTheEnds(Ductility kind, double push) {
        ModelBuilder model = frame(600, 25);
        model.jointLoads.replaceAll(q -> new JointLoad("E", q.joint(), push, 0, 0, 0, 0, 0));
        LaidByHand l = new LaidByHand(model, basis(kind))
                .hooked(TOP, 3, T25, 62.5)
                .hooked(BOTTOM, 3, T20, 60)
                .bars(new BeamCage.Group(TOP, 1, 2, T25, 62.5, 4500, 9500, false, false, false))
                .zone(0, 300, 6700, T10, 2, 100)
                .zone(1, 7300, 13_700, T10, 2, 100);
        double fy = kind == Ductility.SPECIAL ? 525 : 420;
        double sagging = mn(fy, BOTTOM_THREE, TOP_THREE);
        double saggingInside = mn(fy, BOTTOM_THREE, TOP_FIVE);
        double hogging = mn(fy, TOP_THREE, BOTTOM_THREE);
        double hoggingInside = mn(fy, TOP_FIVE, BOTTOM_THREE);
        assertTrue(hoggingInside + sagging > 1.1 * (hogging + saggingInside), "the ends differ");
        BeamContext own = l.context.of(l.line);
        int limited = 0;
        for (BeamShearCheck.Demand q :
                BeamShearCheck.demands(l.line, own, BeamTorsion.torques(l.line, own.demands()), l.cage())) {
            BeamLine.Station s = l.line.stations().get(q.station());
            if (Math.abs(s.x() - q.x()) > 1e-6) {
                continue;
            }
            double load = 1.2 * 25 * (q.span() == 0 ? 3500 - q.x() : 10_500 - q.x());
            boolean inner = q.span() == 0;
            double up = (inner ? hogging + saggingInside : hoggingInside + sagging) / 6400;
            double down = (inner ? sagging + hoggingInside : saggingInside + hogging) / 6400;
            // no less than without any load
            double ends = Math.max(Math.max(up, down), Math.max(Math.abs(load + up), Math.abs(load - down)));
            double plus = own.at(s, 1, Analysis.VZ);
            double minus = own.at(s, 2, Analysis.VZ);
            double twice = Math.max(
                    Math.abs((plus + minus) / 2 + (plus - minus)), Math.abs((plus + minus) / 2 - (plus - minus)));
            boolean less = kind == Ductility.INTERMEDIATE && twice < ends;
            limited += less ? 1 : 0;
            assertEquals(less ? twice : ends, q.capacity(), 1e-3 * ends, "at " + q.x());
        }
        assertTrue(kind == Ductility.SPECIAL || push > 1e6 ? limited == 0 : limited > 4, limited + " limited");
    }
}
