package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.ColumnBars;
import kolonne.core.model.JointLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/**
 * Columns that are ells and tees, by hand: a post of 1 m fixed at its foot, f'c 30, fy 420, cover 40, ties T10. The section's x axis is the global X, its y
 * axis the global Y.
 */
class LegColumnsByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T16 = BarCatalogue.METRIC.find("T16");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    /** Web 300 wide and 800 deep, flange 700 wide and 250 deep; area 340 000. */
    private static final Shape.Ell ELL = new Shape.Ell(300, 800, 700, 250);

    private static final Shape.Tee TEE = new Shape.Tee(300, 800, 900, 250);

    private static ModelBuilder post(Shape s, double fx, double fy, double p, double mx, double my) {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 1000)
                .column("c", "A", "B")
                .fixed("A");
        b.sections.add(new Section("S", s));
        b.jointLoads.add(new JointLoad("P", "B", fx, fy, -p, mx, my, 0));
        return b;
    }

    private static ColumnCage.LiftCage cage(Shape.Flanged s, int web, int flange) {
        return new ColumnCage.LiftCage(LegBars.of(s.overhangs(), web, flange, T20, T16), T10, 150);
    }

    private static ColumnContext context(ModelBuilder b, Basis basis) {
        return ColumnContext.of(Sidesway.of(b.solve(), basis), basis);
    }

    private static ColumnDesign.LiftDesign told(ModelBuilder b, Basis basis, ColumnCage.LiftCage cage) {
        ColumnContext c = context(b, basis);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        return ColumnCheck.run(stack, new ColumnCage(List.of(cage)), c).lifts().get(0);
    }

    private static CheckResult of(ColumnDesign.LiftDesign d, String kind) {
        return d.checks().stream()
                .filter(c -> c.kind().id().equals(kind))
                .findFirst()
                .orElseThrow(() -> new AssertionError(kind));
    }

    /** Centroid of the ell: x (165 000 · 150 + 175 000 · 350) / 340 000 from its left, y (165 000 · 275 + 175 000 · 675) / 340 000 from its soffit. */
    @Test
    void legsAboutTheCentroid() {
        Legs l = Legs.of(ELL);
        double x = (165_000 * 150 + 175_000 * 350) / 340_000.0;
        double y = (165_000 * 275 + 175_000 * 675) / 340_000.0;
        assertEquals(-x, l.left(), 1e-9);
        assertEquals(300 - x, l.right(), 1e-9);
        assertEquals(700 - x, l.to(), 1e-9);
        assertEquals(-y, l.free(), 1e-9);
        assertEquals(550 - y, l.inner(), 1e-9);
        assertEquals(800 - y, l.outer(), 1e-9);
        assertFalse(l.bothSides());
        assertTrue(Legs.of(TEE).bothSides());
        // the centroid lies in the web: 300 − x to its face towards +x, x the other way
        assertEquals(300 - x, l.reach(1, 0), 1e-9);
        // outside the concrete of thin legs
        assertEquals(0, Legs.of(new Shape.Ell(150, 1000, 1000, 150)).reach(1, 0), 1e-9);
        // second moments: those of the two rectangles about the common centroid, and the product of both
        double iy = 300 * Math.pow(550, 3) / 12
                + 165_000 * Math.pow(275 - y, 2)
                + 700 * Math.pow(250, 3) / 12
                + 175_000 * Math.pow(675 - y, 2);
        double iz = 550 * Math.pow(300, 3) / 12
                + 165_000 * Math.pow(150 - x, 2)
                + 250 * Math.pow(700, 3) / 12
                + 175_000 * Math.pow(350 - x, 2);
        double product = 165_000 * (150 - x) * (275 - y) + 175_000 * (350 - x) * (675 - y);
        double least = (iy + iz) / 2 - Math.sqrt(Math.pow((iy - iz) / 2, 2) + product * product);
        assertEquals(iy, ELL.Iy(), 1e-3 * iy);
        assertEquals(iz, ELL.Iz(), 1e-6 * iz);
        assertEquals(least, ELL.leastI(), 1e-6 * least);
    }

    /** Every bar lies 50 and half of itself from a face at least, corner bars just so far from two, and those where ties cross as far from both of their own. */
    @Test
    void barsOfAnEll() {
        ColumnCage.LiftCage c = cage(ELL, 2, 1);
        List<PlacedBar> bars = c.bars(ELL, 40);
        assertEquals(8 + 2 * 3, bars.size());
        assertEquals(8 * T20.area() + 6 * T16.area(), c.area(), 1e-9);
        Legs l = Legs.of(ELL);
        double x = 0 - l.left();
        double y = 0 - l.free();
        // in axes from the outer corner of the web's soffit
        List<String> places = bars.stream()
                .map(b -> Math.round(b.x() + x) + " " + Math.round(b.y() + y))
                .sorted()
                .toList();
        assertEquals(
                List.of(
                                "60 60",
                                "240 60",
                                "60 740",
                                "240 740",
                                "640 740",
                                "60 610",
                                "240 610",
                                "640 610",
                                // between 60 and 610 by thirds, between 240 and 640 by half, thinner bars 2 mm nearer
                                "58 243",
                                "242 243",
                                "58 427",
                                "242 427",
                                "440 608",
                                "440 742")
                        .stream()
                        .sorted()
                        .toList(),
                places);
    }

    @Test
    void gapsAndCrossTies() {
        LegBars b = LegBars.of(2, 2, 1, T20, T16);
        double[] gaps = b.gaps(TEE, 50);
        assertEquals((610 - 60) / 3.0 - 18, gaps[0], 1e-9);
        assertEquals((450 - 60 - (150 - 60)) / 2.0 - 18, gaps[1], 1e-9);
        assertEquals(180 - 20, gaps[2], 1e-9);
        assertEquals(130 - 20, gaps[3], 1e-9);
        // two across the web; across the flange one a side for the pairs between, one a side where the ties cross
        assertEquals(2 + 2 * 2, b.crossTies());
        assertEquals(6, b.crossTies(TEE, 50).size());
        assertEquals(10 + 2 * (2 + 2), b.count());
    }

    /** Closed ties 220 × 720 and 620 × 170; cross-ties 220 across the web and 170 across the flange. */
    @Test
    void tiesInTheList() {
        ColumnContext c = context(post(ELL, 0, 0, 1e6, 0, 0), ACI);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        List<BarItem> list = ColumnBars.of(stack, 0, new ColumnCage(List.of(cage(ELL, 2, 1))), ACI);
        Map<String, BarItem> by = list.stream().collect(Collectors.toMap(BarItem::what, i -> i, (a, b) -> a));
        assertEquals(List.of(220L, 720L), sorted(by.get("ties of the web")));
        assertEquals(List.of(170L, 620L), sorted(by.get("ties of the flange")));
        int closed = by.get("ties of the web").number();
        assertEquals(closed, by.get("ties of the flange").number());
        assertEquals(2 * closed, by.get("cross-ties of the web").number());
        assertEquals(220, by.get("cross-ties of the web").dims().get(0));
        assertEquals(2 * closed, by.get("cross-ties of the flange").number());
        assertEquals(170, by.get("cross-ties of the flange").dims().get(0));
    }

    private static List<Long> sorted(BarItem i) {
        return i.dims().stream()
                .map(d -> Math.round(d))
                .sorted()
                .filter(d -> d > 150)
                .toList();
    }

    /** Pushed towards +X the foot is compressed at +X, pushed towards +Y at +Y: moments in the sense that the strength knows. */
    @Test
    void theSenseOfMoments() {
        double[][] pushes = {{50e3, 0}, {-50e3, 0}, {0, 50e3}, {0, -50e3}};
        for (double[] f : pushes) {
            ColumnContext c = context(post(ELL, f[0], f[1], 500e3, 0, 0), ACI);
            ColumnStack stack = ColumnStacks.find(c.index()).get(0);
            LiftDemands.Demand foot = LiftDemands.of(stack.lifts().get(0), cage(ELL, 2, 1), c).stream()
                    .filter(d -> d.place() == LiftDemands.Place.FOOT)
                    .findFirst()
                    .orElseThrow();
            assertEquals(f[0] * 1000, foot.my(), 1e-6 * 5e7, "about y");
            assertEquals(f[1] * 1000, foot.mx(), 1e-6 * 5e7, "about x");
        }
    }

    /**
     * Nearly no axial force, moment about x with the flange in compression: a = As fy / (0.85 f'c bf) stands in the flange. All bars at the web's free end (2 T20)
     * and between (T16) yield in tension but those near the axis: the tee with the bars at its free end alone as a lower bound, all bars beneath the flange as an
     * upper one.
     */
    @Test
    void flangeAndWebInCompression() {
        ColumnCage.LiftCage c = cage(TEE, 0, 0);
        double m = 100e6;
        double flange =
                of(told(post(TEE, 0, 0, 1, -m, 0), ACI, c), "axial-bending").utilisation();
        double web = of(told(post(TEE, 0, 0, 1, m, 0), ACI, c), "axial-bending").utilisation();
        // ten T20: two at 60 from the free end, four at 610, four at 740
        double as = T20.area();
        assertEquals(
                uses(m, byHand(new double[] {60, 190, 740}, new double[] {4 * as, 4 * as, 2 * as}, 900, 250, 300)),
                flange,
                0.01 * flange);
        assertEquals(
                uses(m, byHand(new double[] {60, 610, 740}, new double[] {2 * as, 4 * as, 4 * as}, 300, 550, 900)),
                web,
                0.01 * web);
    }

    private static double uses(double m, double strength) {
        return m / strength;
    }

    /** φ Mn with no axial force of a section whose compressed part is {@code b} wide over {@code first}, then {@code then}; bars by depth. */
    private static double byHand(double[] depth, double[] area, double b, double first, double then) {
        double beta = 0.85 - 0.05 * (30 - 28) / 7;
        double low = 1;
        double high = 799;
        double moment = 0;
        double phi = 0;
        for (int k = 0; k < 200; k++) {
            double c = (low + high) / 2;
            double a = beta * c;
            double f1 = 0.85 * 30 * b * Math.min(a, first);
            double f2 = 0.85 * 30 * then * Math.max(0, a - first);
            double n = f1 + f2;
            moment = -f1 * Math.min(a, first) / 2 - f2 * (first + a) / 2;
            for (int i = 0; i < depth.length; i++) {
                double stress =
                        Math.max(-420, Math.min(420, 600 * (c - depth[i]) / c)) - (depth[i] < a ? 0.85 * 30 : 0);
                n += stress * area[i];
                moment -= stress * area[i] * depth[i];
            }
            double strain = 0.003 * (depth[depth.length - 1] - c) / c;
            phi = Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (strain - 0.0021) / 0.003));
            if (n > 0) {
                high = c;
            } else {
                low = c;
            }
        }
        return phi * moment;
    }

    /** Along x the flange carries: bw 250, d = 700 − 50 − 10; along y the web: bw 300, d = 800 − 50 − 10; two legs of T10 at 150 in each (22.5.1.1, 22.5.5.1, 22.5.8.5.3). */
    @Test
    void shearOfTheLegs() {
        double nu = 600e3;
        ColumnDesign.LiftDesign x = told(post(ELL, 80e3, 0, nu, 0, 0), ACI, cage(ELL, 2, 1));
        ColumnDesign.LiftDesign y = told(post(ELL, 0, 80e3, nu, 0, 0), ACI, cage(ELL, 2, 1));
        assertEquals(shear(250, 640, nu), of(x, "shear-x").capacity(), 1);
        assertEquals(shear(300, 740, nu), of(y, "shear-y").capacity(), 1);
    }

    /**
     * Ties at 900 are under the least (9.6.3.4): 0.66 λs ρw^(1/3) √f'c with half of the bars in the leg along the shear (table 22.5.5.1). In the flange lie the four at
     * the web's inner and outer corners, two at its end, and the pair between; in the web those four, two at its free end, and both pairs between.
     */
    @Test
    void shearOfLegsWithFewTies() {
        ColumnCage.LiftCage c = new ColumnCage.LiftCage(LegBars.of(1, 2, 1, T20, T16), T10, 900);
        double nu = 600e3;
        double flange = (6 * T20.area() + 2 * T16.area()) / 2;
        double web = (6 * T20.area() + 4 * T16.area()) / 2;
        assertEquals(
                few(250, 640, flange, nu),
                of(told(post(ELL, 80e3, 0, nu, 0, 0), ACI, c), "shear-x").capacity(),
                1);
        assertEquals(
                few(300, 740, web, nu),
                of(told(post(ELL, 0, 80e3, nu, 0, 0), ACI, c), "shear-y").capacity(),
                1);
    }

    private static double few(double bw, double d, double stretched, double nu) {
        double size = Math.min(1, Math.sqrt(2 / (1 + 0.004 * d)));
        double axial = Math.min(nu / (6 * 340_000), 0.05 * 30);
        double vc = (0.66 * size * Math.cbrt(stretched / (bw * d)) * Math.sqrt(30) + axial) * bw * d;
        return 0.75 * (vc + 2 * T10.area() / 900 * 420 * d);
    }

    /** Of two pairs between in the web neither is held: two beside one another are one too many (25.7.2.3); of one in the flange that is not the gap is what counts. */
    @Test
    void pairsThatNoTieHolds() {
        LegBars none = new LegBars(1, 2, 1, T20, T16, List.of(true, false, false, true), List.of(true, false, true));
        ColumnDesign.LiftDesign l = told(post(ELL, 0, 0, 600e3, 0, 0), ACI, new ColumnCage.LiftCage(none, T10, 150));
        CheckResult web = of(l, "bars-held-y");
        assertEquals(2, web.utilisation(), 1e-9);
        assertEquals("25.7.2.3", web.clause().text());
        CheckResult flange = of(l, "bars-held-x");
        // from 240 to 640 by half, less a bar and 2 mm that thinner ones lie aside
        double gap = none.gaps(ELL, 50)[1];
        assertEquals(200 - 18, gap, 1e-9);
        assertEquals(gap / 150, flange.utilisation(), 1e-9);
        assertTrue(told(post(ELL, 0, 0, 600e3, 0, 0), ACI, cage(ELL, 2, 1)).checks().stream()
                .noneMatch(r -> r.kind().id().startsWith("bars-held")));
    }

    private static double shear(double bw, double d, double nu) {
        double vc = (0.17 * Math.sqrt(30) + Math.min(nu / (6 * 340_000), 0.05 * 30)) * bw * d;
        return 0.75 * (vc + 2 * T10.area() / 150 * 420 * d);
    }

    /** 16 of T16, 48 of T10, 250 of the flange: 250 (25.7.2.1). */
    @Test
    void tiesStandNoFartherThanALegIsThick() {
        assertEquals(
                250,
                of(told(post(ELL, 0, 0, 600e3, 0, 0), ACI, cage(ELL, 2, 1)), "tie-spacing")
                        .capacity(),
                1e-9);
    }

    /** By EN imperfections act either way: with the moment and against it, the least eccentricity either side. */
    @Test
    void imperfectionsEitherWay() {
        ColumnContext c = context(post(ELL, 0, 0, 1000e3, 0, 0), EN);
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        List<LiftDemands.Demand> all = LiftDemands.of(stack.lifts().get(0), cage(ELL, 2, 1), c);
        double x = all.stream().mapToDouble(LiftDemands.Demand::mx).max().orElseThrow();
        assertEquals(x, -all.stream().mapToDouble(LiftDemands.Demand::mx).min().orElseThrow(), 1e-6 * x);
        assertEquals(1000e3 * 800 / 30, x, 1);
        double y = all.stream().mapToDouble(LiftDemands.Demand::my).max().orElseThrow();
        assertEquals(1000e3 * 700 / 30, y, 1);
        assertEquals(-y, all.stream().mapToDouble(LiftDemands.Demand::my).min().orElseThrow(), 1);
    }
}
