package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.model.CaseKind;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Checks of columns, by hand on cages laid by hand: a post of 1 m fixed at its foot (too short to be slender), f'c 30, cover 40. */
class ColumnChecksByHandTest {
    static final Basis ACI = Basis.standard(false);
    static final Basis EN = Basis.standard("en-1992-1-1");
    static final double ROOT = Math.sqrt(30);
    static final Bar T10 = BarCatalogue.METRIC.find("T10");
    static final Bar T20 = BarCatalogue.METRIC.find("T20");
    static final Bar T25 = BarCatalogue.METRIC.find("T25");
    private static final Bar T40 = BarCatalogue.METRIC.find("T40");
    static final Shape RECTANGLE = new Shape.Rectangle(400, 500);

    static ModelBuilder post(Shape s, double fx, double fy, double p, double mx, double my, double torque) {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 1000)
                .column("c", "A", "B")
                .fixed("A");
        b.sections.add(new Section("S", s));
        b.jointLoads.add(new JointLoad("P", "B", fx, fy, -p, mx, my, torque));
        return b;
    }

    /** 4T25 in the corners, T20 between: four along x, three along y. */
    static ColumnCage.LiftCage cage(double spacing, String heldX, String heldY) {
        return new ColumnCage.LiftCage(
                new RectangleBars(heldX.length(), heldY.length(), T25, T20, held(heldX), held(heldY)), T10, spacing);
    }

    private static List<Boolean> held(String s) {
        return s.chars().mapToObj(c -> c == '1').toList();
    }

    static final ColumnCage.LiftCage USUAL = cage(150, "1011", "101");
    static final double STEEL = 4 * T25.area() + 6 * T20.area();

    record Told(ColumnDesign.LiftDesign design) {
        CheckResult of(String kind) {
            return design.checks().stream()
                    .filter(c -> c.kind().id().equals(kind))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError(kind + " in "
                            + design.checks().stream().map(k -> k.kind().id()).toList()));
        }

        Told tells(String kind, Cause cause, double demand, double capacity, String clause) {
            CheckResult c = of(kind);
            assertEquals(demand, c.demand(), 1e-4 * Math.abs(demand) + 1e-9, kind + " demand");
            assertEquals(capacity, c.capacity(), 1e-4 * Math.abs(capacity) + 1e-9, kind + " capacity");
            assertEquals(demand / capacity, c.utilisation(), 2e-4 * demand / capacity, kind + " use");
            assertEquals(cause, c.cause(), kind);
            assertEquals(clause, c.clause().text(), kind);
            return this;
        }

        Told at(String kind, String place) {
            assertEquals(place, of(kind).place(), kind);
            return this;
        }

        Told silent(String... kinds) {
            for (String k : kinds) {
                assertTrue(design.checks().stream().noneMatch(c -> c.kind().id().equals(k)), k);
            }
            return this;
        }
    }

    /** A lift by itself. */
    private static List<Step> explain(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, ColumnContext c, int combination, int number) {
        return LiftCalculation.of(
                new ColumnStack("s", "C", List.of(lift)), new ColumnCage(List.of(cage)), 0, c, combination, number);
    }

    static Told told(ModelBuilder b, Basis basis, ColumnCage.LiftCage cage) {
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), basis), basis);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        return new Told(ColumnCheck.run(
                        stack,
                        new ColumnCage(stack.lifts().stream().map(l -> cage).toList()),
                        c)
                .lifts()
                .get(0));
    }

    @Test
    void barsAndTies() {
        Told t = told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), ACI, USUAL);
        double ratio = STEEL / 200_000;
        t.tells("steel-maximum", Cause.STEEL_OVER_CAP, ratio, 0.08, "10.6.1.1")
                .tells("steel-practical", Cause.STEEL_OVER_PRACTICAL, ratio, 0.04, "basis");
        t.tells("steel-minimum", Cause.STEEL_BELOW_MINIMUM, 0.01, ratio, "10.6.1.1")
                .tells("bar-count", Cause.STEEL_BELOW_MINIMUM, 4, 10, "10.7.3.1");
        // along x: (400 − 100 − 25) / 3 between middles; 25.2.3: 40 mm
        double x = (400 - 100 - 25) / 3.0 - (25 + 20) / 2.0;
        double y = (500 - 100 - 25) / 2.0 - (25 + 20) / 2.0;
        t.tells("clear-spacing", Cause.BARS_DO_NOT_FIT, 40, x, "25.2.3");
        t.tells("tie-size", Cause.TIE_ARRANGEMENT, 9.5, 10, "25.7.2.2");
        t.tells("bars-held-x", Cause.TIE_ARRANGEMENT, x, 150, "25.7.2.3")
                .tells("bars-held-y", Cause.TIE_ARRANGEMENT, y, 150, "25.7.2.3");
        assertFalse(t.of("bars-held-y").satisfied());
        t.tells("tie-spacing", Cause.STIRRUP_SPACING, 150, 320, "25.7.2.1, 10.7.6.5.2");
        t.silent(
                "shear-both",
                "torsion-threshold",
                "minimum-ties-x",
                "minimum-ties-y",
                "second-order",
                "concrete-scope",
                "shape");
        assertEquals("whole lift", t.of("tie-spacing").place());
        assertEquals(0, t.of("tie-spacing").part());
        double[] gaps = cage(150, "11", "101").layout().gaps(RECTANGLE, ACI.columnCover() + 10);
        assertEquals(400 - 100 - 50, gaps[0], 1e-9, "two corners");
        assertEquals(y, gaps[1], 1e-9);
    }

    @ParameterizedTest(name = "{0}: {1} of 150 mm")
    @CsvSource({"1111, 0", "1001, 300", "0111, 300", "1110, 300", "1101, 69.1667", "1011, 69.1667"})
    void barsHeldByLegs(String held, double distance) {
        Told t = told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), ACI, cage(150, held, "111"));
        if (distance == 0) {
            t.silent("bars-held-x", "bars-held-y");
        } else {
            t.tells("bars-held-x", Cause.TIE_ARRANGEMENT, distance, 150, "25.7.2.3")
                    .silent("bars-held-y");
        }
    }

    @Test
    void thickBarsNeedThickTies() {
        ColumnCage.LiftCage c =
                new ColumnCage.LiftCage(new RectangleBars(2, 2, T40, T40, held("11"), held("11")), T10, 150);
        told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), ACI, c)
                .tells("tie-size", Cause.TIE_ARRANGEMENT, 12.7, 10, "25.7.2.2");
        ColumnCage.LiftCage crowded =
                new ColumnCage.LiftCage(new RectangleBars(8, 2, T40, T40, held("11111111"), held("11")), T10, 150);
        Told t = told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), ACI, crowded);
        assertEquals((400 - 100 - 40) / 7.0 - 40, t.of("clear-spacing").capacity(), 1e-9);
        assertEquals(60, t.of("clear-spacing").demand(), 1e-9, "one and a half bars");
        assertTrue(t.of("clear-spacing").utilisation() > 99, "the bars overlap");
    }

    /** 22.5: φ (0.17 √f'c + Nu / 6 Ag) bw d + φ Av fyt d / s, in both directions. */
    @Test
    void shear() {
        Told t = told(post(RECTANGLE, 60e3, 90e3, 800e3, 0, 0, 0), ACI, cage(150, "1011", "111"));
        double axial = 800e3 / (6 * 200_000);
        double dx = 400 - 40 - 10 - 12.5;
        double dy = 500 - 40 - 10 - 12.5;
        double vx = 0.75 * (0.17 * ROOT + axial) * 500 * dx;
        double vy = 0.75 * (0.17 * ROOT + axial) * 400 * dy;
        double legs = 3 * T10.area() / 150;
        t.tells("shear-x", Cause.SHEAR, 60e3, vx + 0.75 * legs * 420 * dx, "22.5.1.1")
                .tells("shear-y", Cause.SHEAR, 90e3, vy + 0.75 * legs * 420 * dy, "22.5.1.1");
        t.tells("shear-limit-x", Cause.SHEAR_LIMIT, 60e3, vx + 0.75 * 0.66 * ROOT * 500 * dx, "22.5.1.2");
        t.tells("shear-limit-y", Cause.SHEAR_LIMIT, 90e3, vy + 0.75 * 0.66 * ROOT * 400 * dy, "22.5.1.2");
        assertEquals("1.0P", t.of("shear-x").combination());
        // above half of φVc along y only
        assertTrue(60e3 < vx / 2 && 90e3 < vy / 2);
        t.silent("minimum-ties-x", "minimum-ties-y", "shear-both");
    }

    /** Above φVc / 2 (10.6.2.1): least ties, and d/2; above φVc + φ 0.33 √f'c bw d: d/4; both uses above a half: their sum at most 1.5. */
    @Test
    void highShear() {
        double axial = 800e3 / (6 * 200_000);
        double dx = 337.5;
        double vx = 0.75 * (0.17 * ROOT + axial) * 500 * dx;
        double legs = 3 * T10.area() / 150;
        for (double part : new double[] {0.49, 0.51}) {
            Told t = told(post(RECTANGLE, part * vx, 0, 800e3, 0, 0, 0), ACI, cage(150, "1011", "111"));
            t.tells("tie-spacing", Cause.STIRRUP_SPACING, 150, part < 0.5 ? 320 : dx / 2, "25.7.2.1, 10.7.6.5.2");
            if (part > 0.5) {
                t.tells("minimum-ties-x", Cause.STEEL_BELOW_MINIMUM, 0.35 * 500 / 420, legs, "10.6.2.2")
                        .silent("minimum-ties-y");
            }
        }
        for (double part : new double[] {0.99, 1.01}) {
            double v = vx + part * 0.75 * 0.33 * ROOT * 500 * dx;
            told(post(RECTANGLE, v, 0, 800e3, 0, 0, 0), ACI, cage(150, "1011", "111"))
                    .tells(
                            "tie-spacing",
                            Cause.STIRRUP_SPACING,
                            150,
                            part < 1 ? dx / 2 : dx / 4,
                            "25.7.2.1, 10.7.6.5.2");
        }
        double totalX = vx + 0.75 * legs * 420 * dx;
        double dy = 437.5;
        double totalY = 0.75 * (0.17 * ROOT + axial) * 400 * dy + 0.75 * legs * 420 * dy;
        Told both = told(post(RECTANGLE, 0.6 * totalX, 0.7 * totalY, 800e3, 0, 0, 0), ACI, cage(150, "1011", "111"));
        both.tells("shear-both", Cause.SHEAR, 1.3, 1.5, "22.5.1.11");
        told(post(RECTANGLE, 0.6 * totalX, 0.49 * totalY, 800e3, 0, 0, 0), ACI, cage(150, "1011", "111"))
                .silent("shear-both");
        told(post(RECTANGLE, 0.49 * totalX, 0.6 * totalY, 800e3, 0, 0, 0), ACI, cage(150, "1011", "111"))
                .silent("shear-both");
    }

    /** The narrow direction decides the depth by which ties are spaced. */
    @Test
    void theLeastDepthSpacesTheTies() {
        Shape wide = new Shape.Rectangle(600, 300);
        double d = 300 - 62.5;
        Told t = told(
                post(wide, 0, 120e3, 100e3, 0, 0, 0),
                ACI,
                new ColumnCage.LiftCage(new RectangleBars(4, 2, T25, T25, held("1111"), held("11")), T10, 100));
        t.tells("tie-spacing", Cause.STIRRUP_SPACING, 100, d / 2, "25.7.2.1, 10.7.6.5.2");
        Told light = told(
                post(wide, 0, 0, 100e3, 0, 0, 0),
                ACI,
                new ColumnCage.LiftCage(new RectangleBars(4, 2, T25, T20, held("1111"), held("11")), T10, 100));
        light.tells("tie-spacing", Cause.STIRRUP_SPACING, 100, 300, "25.7.2.1, 10.7.6.5.2");
        Told thin = told(
                post(new Shape.Rectangle(600, 400), 0, 0, 100e3, 0, 0, 0),
                ACI,
                new ColumnCage.LiftCage(new RectangleBars(4, 2, T20, T25, held("1111"), held("11")), T10, 100));
        thin.tells("tie-spacing", Cause.STIRRUP_SPACING, 100, 320, "25.7.2.1, 10.7.6.5.2");
    }

    /** A ring of eight T25 in a circle of 500: chords between neighbours, two legs, d = 0.8 D (22.5.2.2). */
    @Test
    void aRoundColumn() {
        ColumnCage.LiftCage ring = new ColumnCage.LiftCage(new RingBars(8, T25), T10, 150);
        Told t = told(post(new Shape.Circle(500), 60e3, 0, 800e3, 0, 0, 0), ACI, ring);
        double r = 250 - 50 - 12.5;
        double area = Math.PI * 62_500;
        t.tells("clear-spacing", Cause.BARS_DO_NOT_FIT, 40, 2 * r * Math.sin(Math.PI / 8) - 25, "25.2.3");
        double vc = 0.75 * (0.17 * ROOT + 800e3 / (6 * area)) * 500 * 400;
        t.tells("shear-x", Cause.SHEAR, 60e3, vc + 0.75 * 2 * T10.area() / 150 * 420 * 400, "22.5.1.1");
        t.silent("bars-held-x", "bars-held-y");
        Told en = told(post(new Shape.Circle(500), 60e3, 0, 800e3, 0, 0, 0), EN, ring);
        assertEquals(60e3, en.of("shear-x").demand(), 1);
        en.silent("torsion-threshold");
    }

    /**
     * Starter bars stand within the bars of the lift, those in the corners towards the middle: 73.99 along the face from the one beside them. 25.5.1.2 asks for what
     * 25.2.1 does, 4/3 of 20 mm; 8.7.2(3) for 2 φ, with 5 mm less cover.
     */
    @Test
    void starterBarsBesideOneAnother() {
        double aside = 25 / Math.sqrt(2);
        double x = 137.5 - aside - 137.5 / 3;
        double y = 187.5 - aside - (190 - 20);
        told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), ACI, USUAL)
                .tells("lap-clear", Cause.BARS_DO_NOT_FIT, 80.0 / 3, Math.hypot(x, y) - 22.5, "25.5.1.2")
                .at("lap-clear", "foot");
        double wide = 142.5 - aside - 142.5 / 3;
        told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), EN, USUAL)
                .tells("lap-clear", Cause.BARS_DO_NOT_FIT, 50, Math.hypot(wide, y) - 22.5, "8.7.2(3)");
    }

    /** {φPn, φMn} of 400 × 500 bent about x with the axis at c: three rows of bars (4T25 in the corners, 2T20 beside them; 2T20 in the middle). */
    static double[] point(double c) {
        double beta = 0.85 - 0.05 * 2 / 7;
        double[][] rows = {
            {62.5, 2 * T25.area()},
            {60, 2 * T20.area()},
            {250, 2 * T20.area()},
            {440, 2 * T20.area()},
            {437.5, 2 * T25.area()}
        };
        double a = Math.min(beta * c, 500);
        double n = 25.5 * 400 * a;
        double m = n * (250 - a / 2);
        double deepest = 0;
        for (double[] r : rows) {
            double f = (Math.max(-420, Math.min(420, 600 * (c - r[0]) / c)) - (r[0] < a ? 25.5 : 0)) * r[1];
            n += f;
            m += f * (250 - r[0]);
            deepest = Math.max(deepest, r[0]);
        }
        double strain = 0.003 * (deepest - c) / c;
        double phi = Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (strain - 0.0021) / 0.003));
        return new double[] {phi * n, phi * m};
    }

    /** The use along the ray of the demand: how far P and M may grow together. */
    private static double use(double p, double m) {
        return m / point(axis(p, m))[1];
    }

    @ParameterizedTest(name = "P {0} kN, M {1} kNm")
    @CsvSource({"800, 250", "2500, 150", "1500, 300", "300, 220"})
    void axialForceWithBending(double p, double m) {
        Told t = told(post(RECTANGLE, 0, 0, p * 1e3, m * 1e6, 0, 0), ACI, USUAL);
        double use = use(p * 1e3, m * 1e6);
        assertEquals(use, t.of("axial-bending").utilisation(), 2e-3 * use);
        assertEquals(m * 1e6, t.of("axial-bending").demand(), 1);
        assertEquals(m * 1e6 / use, t.of("axial-bending").capacity(), 2e-3 * m * 1e6 / use);
        assertEquals(Cause.AXIAL_BENDING, t.of("axial-bending").cause());
        assertEquals("22.4", t.of("axial-bending").clause().text());
        assertEquals("1.0P", t.of("axial-bending").combination());
        double cap = 0.65 * 0.8 * (25.5 * (200_000 - STEEL) + 420 * STEEL);
        t.tells("axial-limit", Cause.AXIAL_LIMIT, p * 1e3, cap, "22.4.2.1");
        assertEquals(m * 1e6, Math.abs(t.design().governing().mx()), 1);
    }

    @Test
    void tensionHasNoLimitOfCompression() {
        told(post(RECTANGLE, 0, 0, -200e3, 50e6, 0, 0), ACI, USUAL).silent("axial-limit");
    }

    /** The worst place is told in words: the foot, where the push has its lever. */
    @Test
    void placesInWords() {
        Told t = told(post(RECTANGLE, 0, 100e3, 800e3, 0, 0, 0), ACI, USUAL);
        assertEquals("foot", t.of("axial-bending").place());
        Told head = told(post(RECTANGLE, 0, 100e3, 800e3, 150e6, 0, 0), ACI, USUAL);
        Told other = told(post(RECTANGLE, 0, 100e3, 800e3, -150e6, 0, 0), ACI, USUAL);
        assertEquals(
                2,
                List.of(
                                head.of("axial-bending").place(),
                                other.of("axial-bending").place())
                        .stream()
                        .distinct()
                        .count(),
                "head with one sense, foot with the other");
        LiftDemands.Demand middle =
                new LiftDemands.Demand(0, 0, LiftDemands.Place.MIDDLE, 0.503, 0, 0, 0, 1, false, null);
        assertEquals("middle", ColumnCheck.words(middle));
        assertEquals(
                "0.51 of the height",
                ColumnCheck.words(
                        new LiftDemands.Demand(0, 0, LiftDemands.Place.MIDDLE, 0.506, 0, 0, 0, 1, false, null)));
        assertEquals(
                "0.49 of the height",
                ColumnCheck.words(
                        new LiftDemands.Demand(0, 0, LiftDemands.Place.MIDDLE, 0.494, 0, 0, 0, 1, false, null)));
    }

    /** An ell that is drawn from its head. */
    private static ModelBuilder downwards() {
        ModelBuilder down = post(new Shape.Ell(300, 600, 800, 150), 0, 0, 100e3, 0, 0, 0);
        Member up = down.members.remove(0);
        down.members.add(new Member(
                up.id(), Role.COLUMN, "B", "A", "S", "C", 0, Release.NONE, Release.NONE, 0, 0, StiffnessFactors.GROSS));
        return down;
    }

    @Test
    void outOfScope() {
        ModelBuilder weak = post(RECTANGLE, 0, 0, 100e3, 0, 0, 0);
        weak.fc = 12;
        Told t = told(weak, ACI, USUAL);
        assertFalse(t.of("concrete-scope").satisfied());
        assertEquals(Cause.OUT_OF_SCOPE, t.of("concrete-scope").cause());
        assertEquals(12, t.of("concrete-scope").demand(), 1e-9);
    }

    /** It is an ell drawn from its foot whose legs change places, and says so. */
    @Test
    void anEllDrawnFromItsHead() {
        Told down = told(downwards(), ACI, USUAL);
        Told up = told(post(new Shape.Ell(150, 800, 600, 300), 0, 0, 100e3, 0, 0, 0), ACI, USUAL);
        assertEquals(
                up.design().checks().stream().map(k -> k.kind().id()).toList(),
                down.design().checks().stream().map(k -> k.kind().id()).toList());
        for (int i = 0; i < up.design().checks().size(); i++) {
            assertEquals(
                    up.design().checks().get(i).utilisation(),
                    down.design().checks().get(i).utilisation(),
                    1e-9);
        }
        Finding note = down.design().findings().stream()
                .filter(f -> f.code().equals("column.drawn-down"))
                .findFirst()
                .orElseThrow();
        assertTrue(note.what().contains("as L 150 × 800, flange 600 × 300"), note.what());
        assertTrue(up.design().findings().stream().noneMatch(f -> f.code().equals("column.drawn-down")));
    }

    /** 9.5.2(2): 0.1 NEd / fyd, at least 0.2 % of the section. */
    @Test
    void leastSteelGrowsWithCompressionByEurocode() {
        told(post(RECTANGLE, 0, 0, 4000e3, 0, 0, 0), EN, USUAL)
                .tells(
                        "steel-minimum",
                        Cause.STEEL_BELOW_MINIMUM,
                        0.1 * 4000e3 / (500 / 1.15) / 200_000,
                        STEEL / 200_000,
                        "9.5.2(2), (3)");
        told(post(RECTANGLE, 0, 0, 400e3, 0, 0, 0), EN, USUAL)
                .tells("steel-minimum", Cause.STEEL_BELOW_MINIMUM, 0.002, STEEL / 200_000, "9.5.2(2), (3)");
    }

    /** A portal whose storey sways: Q of the drift, and 1 / (1 − Q) against 1.4 (6.2.5.3); Eurocode has no such limit. */
    @Test
    void secondOrderOfTheStorey() {
        for (double p : new double[] {250e3, 700e3}) {
            ModelBuilder b = ModelBuilder.portal(p, CaseKind.WIND, true);
            double drift = b.solve().displacement(1, 1, 0);
            double q = 2 * p * drift / (20e3 * 5000);
            ColumnCage.LiftCage four =
                    new ColumnCage.LiftCage(new RectangleBars(2, 2, T25, T25, held("11"), held("11")), T10, 150);
            Told t = told(b, ACI, four);
            assertTrue(t.of("second-order").demand() >= 1 / (1 - q) * 0.99, "Q " + q);
            assertEquals(1.4, t.of("second-order").capacity(), 1e-9);
            assertEquals(
                    t.of("second-order").demand() / 1.4, t.of("second-order").utilisation(), 1e-9);
            assertEquals(Cause.SLENDERNESS, t.of("second-order").cause());
            told(b, EN, four).silent("second-order");
        }
    }

    /** The calculation of a demand: its numbers, the strength on its ray, shear both ways, and every other check. */
    @Test
    void theCalculation() {
        ModelBuilder b = post(RECTANGLE, 60e3, 90e3, 800e3, 200e6, 0, 0);
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), ACI), ACI);
        ColumnStack.Lift lift = ColumnStacks.find(c.index()).get(0).lifts().get(0);
        List<ColumnCheck.Solved> solved = ColumnCheck.solve(lift, USUAL, c);
        for (int i = 1; i < solved.size(); i++) {
            assertTrue(solved.get(i - 1).utilisation() >= solved.get(i).utilisation(), "worst first");
        }
        LiftDemands.Demand worst = solved.get(0).demand();
        List<Step> steps = explain(lift, USUAL, c, 0, worst.number());
        assertEquals(800e3, value(steps, "Pu"), 1);
        assertEquals(worst.mx(), value(steps, "Mux"), 1);
        assertEquals(worst.my(), value(steps, "Muy"), 1);
        assertEquals(solved.get(0).utilisation(), value(steps, "Mu / φMn"), 1e-9);
        double mn = value(steps, "Mn");
        assertEquals(
                Math.hypot(worst.mx(), worst.my()) / solved.get(0).utilisation(), value(steps, "φ") * mn, 1e-3 * mn);
        assertEquals(value(steps, "Pn") / 800e3, mn / Math.hypot(worst.mx(), worst.my()), 1e-2);
        List<Double> shear = steps.stream()
                .filter(s -> s.symbol().equals("Vu / φVn"))
                .map(Step::value)
                .toList();
        Told t = told(b, ACI, USUAL);
        assertEquals(List.of(t.of("shear-x").utilisation(), t.of("shear-y").utilisation()), shear);
        for (String title : List.of(
                "Spacing of ties",
                "Clear distance of bars",
                "Steel, minimum",
                "Number of bars",
                "Shear along x",
                "EI behind Q",
                "Lift")) {
            assertTrue(steps.stream().anyMatch(s -> s.symbol().equals(title)), title);
        }
        assertTrue(steps.stream()
                .anyMatch(s -> s.symbol().equals("Demand") && s.formula().equals("1.0P, " + ColumnCheck.words(worst))));
        // by Eurocode in its own symbols, squashed: on the plane of the limit
        ColumnContext en = ColumnContext.of(
                Sidesway.of(post(RECTANGLE, 0, 0, 800e3, 200e6, 0, 0).solve(), EN), EN);
        List<Step> other = explain(lift, USUAL, en, 0, 0);
        assertEquals(800e3, value(other, "NEd"), 1);
        assertTrue(value(other, "MEd / MRd") > 0.2
                && value(other, "MRd") > 200e6
                && other.stream().noneMatch(s -> s.symbol().equals("φ")));
        ColumnContext squashed = ColumnContext.of(
                Sidesway.of(post(RECTANGLE, 0, 0, 3000e3, 1e6, 0, 0).solve(), ACI), ACI);
        double cap = 0.65 * 0.8 * (25.5 * (200_000 - STEEL) + 420 * STEEL);
        assertEquals(3000e3 / cap, value(explain(lift, USUAL, squashed, 0, 0), "Pu / φPn,max"), 1e-6);
    }

    private static ColumnStack.Lift lift(ModelBuilder b) {
        return ColumnStacks.find(b.solve().index()).get(0).lifts().get(0);
    }

    private static double value(List<Step> steps, String symbol) {
        return steps.stream()
                .filter(s -> s.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new AssertionError(
                        symbol + " in " + steps.stream().map(Step::symbol).toList()))
                .value();
    }

    /** Fewer ties than the least (9.6.3.4): 0.66 λs ρw^(1/3) √f'c with half of the bars in tension (table 22.5.5.1). */
    @Test
    void shearWithFewTies() {
        Told t = told(post(RECTANGLE, 60e3, 0, 800e3, 0, 0, 0), ACI, cage(600, "1011", "101"));
        double d = 337.5;
        double axial = 800e3 / (6 * 200_000);
        double size = Math.min(1, Math.sqrt(2 / (1 + 0.004 * d)));
        double vc = (0.66 * size * Math.cbrt(STEEL / 2 / (500 * d)) * ROOT + axial) * 500 * d;
        t.tells("shear-x", Cause.SHEAR, 60e3, 0.75 * (vc + 2 * T10.area() / 600 * 420 * d), "22.5.1.1");
    }

    /** Legs along each direction are those of the other faces: two along x, three along y. */
    @Test
    void legsOfEachDirection() {
        Told t = told(post(RECTANGLE, 60e3, 90e3, 800e3, 0, 0, 0), ACI, cage(100, "1011", "101"));
        double axial = 800e3 / (6 * 200_000);
        t.tells(
                "shear-x",
                Cause.SHEAR,
                60e3,
                0.75 * ((0.17 * ROOT + axial) * 500 * 337.5 + 2 * T10.area() / 100 * 420 * 337.5),
                "22.5.1.1");
        t.tells(
                "shear-y",
                Cause.SHEAR,
                90e3,
                0.75 * ((0.17 * ROOT + axial) * 400 * 437.5 + 3 * T10.area() / 100 * 420 * 437.5),
                "22.5.1.1");
    }

    /**
     * Closer ties reach over the whole lap at the foot (9.5.3(4)): l0 = 1.5 · 25/4 · 434.8 / (2.25 · 1.35) = 1341 mm, and over the larger side, 500, at the head. What
     * reaches less far for what it must is told.
     */
    @Test
    void howFarCloserTiesReachByEurocode() {
        double lap = 1.5 * 25 / 4 * 500 / 1.15 / (2.25 * 0.7 * 0.3 * Math.pow(30, 2.0 / 3) / 1.5);
        for (double[] has : new double[][] {{1000, 600}, {1500, 300}}) {
            ColumnCage.LiftCage c = USUAL.with(new TieSpacing(150, 150, 300, has[0], has[1]));
            CheckResult r = told(post(RECTANGLE, 0, 0, 800e3, 0, 0, 0), EN, c).of("end-reach");
            assertEquals(has[0] == 1000 ? lap : 500, r.demand(), 1e-3 * lap);
            assertEquals(has[0] == 1000 ? 1000 : 300, r.capacity(), 1e-9);
            assertEquals("9.5.3(4)", r.clause().text());
        }
    }

    /** A round tie counts by π/4 by Eurocode: VRd,s = Asw/s z fywd cot θ with z = 0.9 d, cot θ = 2.5 (6.8). */
    @Test
    void aRoundTieByEurocode() {
        ColumnCage.LiftCage ring = new ColumnCage.LiftCage(new RingBars(8, T25), T10, 120);
        double vrds = Math.PI / 4 * 2 * T10.area() / 120 * 0.9 * 400 * 500 / 1.15 * 2.5;
        assertEquals(
                vrds,
                told(post(new Shape.Circle(500), 60e3, 0, 1e3, 0, 0, 0), EN, ring)
                        .of("shear-x")
                        .capacity(),
                1e-3 * vrds);
    }

    /** A strut of 5 m pinned at both ends is slender: its middle is explained with its second order; numbers past the last mean the last. */
    @Test
    void theCalculationOfASlenderLift() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 500)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 6000)
                .column("c", "A", "B");
        b.supports.add(new Support("A", true, true, true, false, false, true));
        b.supports.add(new Support("B", true, true, false, false, false, false));
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, -1500e3, 60e6, 0, 0));
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), ACI), ACI);
        ColumnStack.Lift lift = lift(b);
        List<LiftDemands.Demand> all = LiftDemands.of(lift, USUAL, c);
        LiftDemands.Demand slender =
                all.stream().filter(LiftDemands.Demand::magnified).findFirst().orElseThrow();
        List<Step> steps = explain(lift, USUAL, c, 0, slender.number());
        assertTrue(steps.stream()
                .anyMatch(s -> s.symbol().equals("Demand") && s.formula().contains("slender")));
        assertTrue(
                steps.stream().anyMatch(s -> s.symbol().startsWith("Pc")),
                steps.stream().map(Step::symbol).toList().toString());
        assertEquals(slender.mx(), value(steps, "Mux"), 1e-6);
        assertEquals(steps, explain(lift, USUAL, c, 0, 99), "the slender one is the last");
        assertEquals(1, value(steps, "δs"), 1e-9);
        LiftDemands.Demand foot = all.get(0);
        assertEquals(LiftDemands.Place.FOOT, foot.place());
        assertTrue(
                explain(lift, USUAL, c, 0, 0).stream().noneMatch(s -> s.symbol().startsWith("Pc")),
                "no second order at the foot");
        // c, εt and θ of the strength, as the hand finds the axis
        List<Step> short1 = explain(
                lift(post(RECTANGLE, 0, 0, 800e3, 250e6, 0, 0)),
                USUAL,
                ColumnContext.of(
                        Sidesway.of(post(RECTANGLE, 0, 0, 800e3, 250e6, 0, 0).solve(), ACI), ACI),
                0,
                0);
        double axis = axis(800e3, 250e6);
        assertEquals(axis, value(short1, "c"), 2e-3 * axis);
        assertEquals(0.003 * (440 - axis) / axis, value(short1, "εt"), 2e-5);
        assertTrue(short1.stream().anyMatch(s -> s.symbol().equals("θ")));
        assertEquals(
                List.of("Shear along x", "Shear along y"),
                short1.stream()
                        .filter(s -> s.formula().equals("1.0P"))
                        .map(Step::symbol)
                        .toList());
        assertEquals(
                "neutral axis where Mn / Pn = Mu / Pu",
                short1.stream()
                        .filter(s -> s.symbol().equals("c"))
                        .findFirst()
                        .orElseThrow()
                        .formula());
        assertTrue(short1.stream()
                .anyMatch(s -> s.symbol().equals("Axial force with bending")
                        && s.formula().startsWith("Strain")));
    }

    private static double axis(double p, double m) {
        double low = 20;
        double high = 3000;
        for (int k = 0; k < 80; k++) {
            double c = (low + high) / 2;
            double[] q = point(c);
            boolean deeper = q[0] * m < q[1] * p;
            low = deeper ? c : low;
            high = deeper ? high : c;
        }
        return high;
    }
}
