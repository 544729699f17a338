package kolonne.core.column.check;

import static kolonne.core.column.check.FrameColumnsByHandTest.bothSides;
import static kolonne.core.column.check.FrameColumnsByHandTest.context;
import static kolonne.core.column.check.FrameColumnsByHandTest.of;
import static kolonne.core.column.check.FrameColumnsByHandTest.stack;
import static kolonne.core.column.check.FrameColumnsByHandTest.the;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.joint.BeamEnd;
import kolonne.core.model.JointLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.section.MomentAtForce;
import kolonne.core.section.PlaneSection;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Ells and tees in frames for earthquakes, the column of {@link FrameColumnsByHandTest} with other sections: each rule worked by hand. */
class LegFramesByHandTest {
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T16 = BarCatalogue.METRIC.find("T16");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    /** Web 300 wide and 800 deep, flange 700 wide and 250 deep; area 340 000. */
    private static final Shape.Ell ELL = new Shape.Ell(300, 800, 700, 250);

    private static final TieSpacing TIES = new TieSpacing(100, 100, 150, 500, 500);

    private static ColumnDesign.LiftDesign foot(ColumnContext c, BarLayout bars) {
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(bars, T10, TIES);
        return ColumnCheck.run(stack(c), new ColumnCage(List.of(cage, cage)), c)
                .lifts()
                .get(0);
    }

    private static ColumnContext special(Shape s) {
        return context(Ductility.SPECIAL, s, bothSides(), bothSides());
    }

    /** Whether a place is concrete; x and y from the outer corner of the ell's flange and web, the flange above. */
    private static boolean solid(Shape.Ell e, double x, double y) {
        return x >= 0 && y >= 0 && (x <= e.bw() && y <= e.h() || x <= e.bf() && y <= e.hf());
    }

    /** 18.7.2.1 along lines through the centroid: walked for the ell; of a tee whose centroid lies in its web the web's width and the whole depth. */
    @Test
    void shortestDimensions() {
        walked(ELL);
        // the centroid where both legs meet
        walked(new Shape.Ell(300, 700, 700, 300));
        // area 165 000 + 225 000, the centroid at 505.8 of 550
        assertEquals(List.of(300.0, 800.0), sides(new Shape.Tee(300, 800, 900, 250)));
        assertEquals(List.of(300.0, 800.0), sides(new Shape.InvertedTee(300, 800, 900, 250)), "on its head");
        // 339 from a web of 250, 661 beneath a flange from 750: outside, so leg by leg, 250 of 1000
        assertEquals(List.of(250.0, 1000.0), sides(new Shape.Ell(250, 1000, 1000, 250)));
        ColumnDesign.LiftDesign thin =
                foot(special(new Shape.Ell(250, 1000, 1000, 250)), LegBars.of(1, 3, 3, T20, T20));
        assertEquals(250, the(thin, "least-side").capacity(), 1e-9);
        assertFalse(the(thin, "least-side").satisfied());
        assertEquals(0.25, the(thin, "side-ratio").capacity(), 1e-9);
        // members outside the system: no proportions
        assertTrue(of(
                        foot(context(Ductility.OUTSIDE, ELL, bothSides(), bothSides()), LegBars.of(1, 2, 1, T20, T16)),
                        "least-side")
                .isEmpty());
    }

    private static void walked(Shape.Ell e) {
        double web = e.bw() * (e.h() - e.hf());
        double flange = e.bf() * e.hf();
        double x = (web * e.bw() / 2 + flange * e.bf() / 2) / (web + flange);
        double y = (web * (e.h() + e.hf()) / 2 + flange * e.hf() / 2) / (web + flange);
        double shortest = Double.POSITIVE_INFINITY;
        double across = 0;
        for (int i = 0; i < 720; i++) {
            double[] way = new double[2];
            for (int k = 0; k < 2; k++) {
                double a = Math.toRadians(i / 4.0 + 90 * k);
                for (int side : new int[] {1, -1}) {
                    double s = 0;
                    while (solid(e, x + side * s * Math.cos(a), y + side * s * Math.sin(a))) {
                        s += 0.25;
                    }
                    way[k] += s;
                }
            }
            across = way[0] < shortest ? way[1] : across;
            shortest = Math.min(shortest, way[0]);
        }
        double[] found = Legs.of(e).shortest();
        assertEquals(shortest, found[0], 1);
        assertEquals(across, found[1], 3);
    }

    private static List<Double> sides(Shape.Flanged f) {
        double[] s = Legs.of(f).shortest();
        return List.of(Math.rint(s[0] * 1e6) / 1e6, Math.rint(s[1] * 1e6) / 1e6);
    }

    /**
     * Cores 220 × 720 and 620 × 170 that share 220 × 170: 226 400 of 340 000; 0.3 (340 000/226 400 − 1) 30/420 = 0.01075. Along x two legs in 170 of the
     * flange, five lines in 720 of the web (its end, both faces of the flange, two cross-ties); along y two in 220 of the web, four in 620 of the flange (its
     * ends, the web's face, one cross-tie).
     */
    @Test
    void hoopsOfBothLegs() {
        ColumnContext c = special(ELL);
        ColumnDesign.LiftDesign l = foot(c, LegBars.of(1, 2, 1, T20, T16));
        CheckResult x = the(l, "confinement-x");
        assertEquals(0.3 * (340_000 / 226_400.0 - 1) * 30 / 420, x.demand(), 1e-7);
        assertEquals(5 * T10.area() / (100 * 720), x.capacity(), 1e-7);
        CheckResult y = the(l, "confinement-y");
        assertEquals(4 * T10.area() / (100 * 620), y.capacity(), 1e-7);
        // many pairs along both legs: the long sides of the closed ties govern
        ColumnDesign.LiftDesign many = foot(c, LegBars.of(1, 6, 5, T20, T16));
        assertEquals(2 * T10.area() / (100 * 170), the(many, "confinement-x").capacity(), 1e-7);
        assertEquals(2 * T10.area() / (100 * 220), the(many, "confinement-y").capacity(), 1e-7);
        // 180 from bar to bar across the web is more than between the pairs
        assertEquals(180, the(many, "held-distance").demand(), 1e-9);
        // of a tee both sides of the web: ends, both faces, a cross-tie on either side
        LegBars tee = LegBars.of(2, 2, 1, T20, T16);
        assertEquals(6, tee.linesAcrossFlange());
        assertEquals(
                2 * 3 + 2 * 2,
                new LegBars(
                                2,
                                3,
                                2,
                                T20,
                                T16,
                                List.of(true, false, false, false, true),
                                List.of(true, false, true, true))
                        .loose());
        // pairs 550/3, 400/2; 180 and 130 across the legs
        assertEquals(200, the(l, "held-distance").demand(), 1e-9);
        // 250/4; 6 · 16 is more
        assertEquals(62.5, the(l, "end-ties").capacity(), 1e-9);
        assertEquals(800, the(l, "end-reach").demand(), 1e-9);
        // the pair of the flange loose: 400 from the web's bar to its end
        LegBars loose = new LegBars(1, 2, 1, T20, T16, List.of(true, true, true, true), List.of(true, false, true));
        assertEquals(400, the(foot(c, loose), "held-distance").demand(), 1e-9);
        assertEquals(
                3 * T10.area() / (100 * 620),
                the(foot(c, loose), "confinement-y").capacity(),
                1e-7);
    }

    /** 18.7.5.2(f), 18.7.5.4(c) with 4500 kN on 340 000 of 30 MPa: every bar held, kn = 14/12, of twelve held ones 12/10. */
    @Test
    void everyBarHeldUnderMuchCompression() {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3600)
                .column("c", "A", "B")
                .fixed("A");
        b.sections.add(new Section("S", ELL));
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, -4500e3, 0, 0, 0));
        b.combine("P", Map.of("P", 1.0));
        Basis basis = Basis.standard(false).with(new Frame(Sway.BRACED, Sway.BRACED, 0, Ductility.SPECIAL));
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), basis), basis);
        ColumnCage.LiftCage all = new ColumnCage.LiftCage(LegBars.of(1, 2, 1, T20, T16), T10, TIES);
        ColumnDesign.LiftDesign d = ColumnCheck.run(only(c), new ColumnCage(List.of(all)), c)
                .lifts()
                .get(0);
        double byForce = 0.2 * 14.0 / 12 * 4500e3 / (420 * 226_400);
        double byShell = 0.3 * (340_000 / 226_400.0 - 1) * 30 / 420;
        assertEquals(Math.max(byForce, byShell), the(d, "confinement-x").demand(), 1e-7);
        assertTrue(byForce > byShell);
        assertEquals(14, the(d, "every-bar-held").capacity(), 1e-9);
        LegBars loose = new LegBars(1, 2, 1, T20, T16, List.of(true, true, true, true), List.of(true, false, true));
        CheckResult held = the(
                ColumnCheck.run(only(c), new ColumnCage(List.of(new ColumnCage.LiftCage(loose, T10, TIES))), c)
                        .lifts()
                        .get(0),
                "every-bar-held");
        assertEquals(12, held.capacity(), 1e-9);
        assertFalse(held.satisfied());
    }

    private static ColumnStack only(ColumnContext c) {
        return ColumnStacks.find(c.index()).get(0);
    }

    /** Lowest strength of a lift at the ends of its axial forces, compression towards {@code degrees} of its own section. */
    private static double lowest(ColumnContext c, int number, ColumnCage.LiftCage cage, double degrees) {
        ColumnStack.Lift l = stack(c).lifts().get(number);
        double[] p = new LiftDemands(l, c).earthquakeAxial();
        PlaneSection s = c.section(l.section(), l.material(), cage, 1);
        double theta = Math.toRadians(degrees);
        return Math.min(MomentAtForce.alone(s, theta, p[0]), MomentAtForce.alone(s, theta, p[1]));
    }

    private static double columns(ColumnContext c, ColumnCage.LiftCage cage) {
        ColumnDesign d = ColumnCheck.run(stack(c), new ColumnCage(List.of(cage, cage)), c);
        return the(d.lifts().get(0), "strong-column-x").capacity();
    }

    /**
     * Swaying frames compress the column below and the one above on opposite sides (18.7.3.2): an ell bears one moment one way and one the other. Over one that
     * is turned by 180° both are compressed on the same side of their sections.
     */
    @Test
    void strengthsOfColumnsAsTheFrameSways() {
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(LegBars.of(1, 2, 1, T20, T16), T10, TIES);
        ColumnContext c = special(ELL);
        double[] below = {lowest(c, 0, cage, 0), lowest(c, 0, cage, 180)};
        double[] above = {lowest(c, 1, cage, 0), lowest(c, 1, cage, 180)};
        assertTrue(Math.abs(below[0] / below[1] - 1) > 0.1, below[0] + " and " + below[1]);
        double least = Math.min(below[0] + above[1], below[1] + above[0]);
        assertEquals(least, columns(c, cage), 1e-6 * least);
        ColumnContext turned = context(Ductility.SPECIAL, ELL, Math.PI, bothSides(), bothSides());
        double same = Math.min(below[0] + above[0], below[1] + above[1]);
        assertEquals(same, columns(turned, cage), 1e-3 * same);
        assertTrue(same < 0.98 * least, same + " and " + least);
    }

    /** A rectangle of 400 × 600 under one that is turned by a quarter: along x the lower is 400 deep, the upper 600. */
    @Test
    void aColumnOverOneThatIsTurned() {
        Shape s = new Shape.Rectangle(400, 600);
        List<Boolean> all = List.of(true, true, true);
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(new RectangleBars(3, 3, T20, T20, all, all), T10, TIES);
        ColumnContext c = context(Ductility.SPECIAL, s, Math.PI / 2, bothSides(), bothSides());
        double both = lowest(c, 0, cage, 0) + lowest(c, 1, cage, 90);
        assertEquals(both, columns(c, cage), 1e-6 * both);
    }

    /** Nothing holds the floor along y: both lifts are one length of 7200, and the ends come to their own strengths on opposite sides (18.7.6.1.1). */
    @Test
    void shearFromTheEndsOfAnEll() {
        ColumnContext c = special(ELL);
        ColumnStack s = stack(c);
        ColumnStack.Lift l = s.lifts().get(0);
        LiftDemands d = new LiftDemands(l, c);
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(LegBars.of(1, 2, 1, T20, T16), T10, TIES);
        PlaneSection strong = c.section(l.section(), l.material(), cage, 1.25);
        double[] p = d.earthquakeAxial();
        double up = MomentAtForce.largest(strong, Math.PI / 2, p[0], p[1]);
        double down = MomentAtForce.largest(strong, -Math.PI / 2, p[0], p[1]);
        EndMoments ends = EndMoments.of(s, l, cage, c, d);
        assertEquals((up + down) / 7200, ends.shear(1), 1e-5 * ends.shear(1));
        assertTrue(Math.abs(up / down - 1) > 0.1);
        // along x the head bears no more than its half of what beams bring, 620; the foot the larger of its strengths
        // on either side
        double right = MomentAtForce.largest(strong, 0, p[0], p[1]);
        double left = MomentAtForce.largest(strong, Math.PI, p[0], p[1]);
        assertTrue(Math.min(right, left) > 310e6, right + " and " + left);
        assertEquals((Math.max(right, left) + 310e6) / 3300, ends.shear(0), 1e-5 * ends.shear(0));
    }

    /** The leg along the beams: 700 by 250, beams of 300 are wider: 0.85 · 1.2 √30 · 700 · 250 (18.8.4.3, 15.4.2.4). */
    @Test
    void theJointOfAnEll() {
        CheckResult r = the(foot(special(ELL), LegBars.of(1, 2, 1, T20, T16)), "joint-shear-x");
        assertEquals(0.85 * 1.2 * Math.sqrt(30) * 700 * 250, r.capacity(), 1);
        // a tee of 400 along them: narrower beams and the depth of the joint, 300 + 900, are more
        CheckResult t =
                the(foot(special(new Shape.Tee(350, 800, 900, 400)), LegBars.of(2, 2, 1, T20, T16)), "joint-shear-x");
        assertEquals(0.85 * 1.2 * Math.sqrt(30) * 900 * 400, t.capacity(), 1);
    }

    /** The designer finds bars and hoops for legs of 400 that meet all but the shear of joints; nothing is out of scope. */
    @Test
    void theDesignerMeetsWhatCanBeMet() {
        for (Shape s : List.of(new Shape.Ell(400, 900, 900, 400), new Shape.Tee(400, 900, 900, 400))) {
            ColumnContext c = special(s);
            ColumnDesign d = ColumnDesigner.design(stack(c), c);
            List<String> unmet = d.lifts().stream()
                    .flatMap(l -> l.checks().stream())
                    .filter(r -> !r.satisfied() && !r.kind().id().startsWith("joint-shear"))
                    .map(r -> s.label() + " " + r.kind().id() + " " + r.utilisation())
                    .toList();
            assertEquals(List.of(), unmet);
            assertTrue(d.findings().stream().noneMatch(f -> f.code().equals("out-of-scope")));
        }
    }

    /** Beams half as strong again and more, over and under lifts that are turned against each other: bars enough for the weaker sense of both columns, within ties as thick as they are. */
    @Test
    void barsForTheWeakerSense() {
        for (double factor : new double[] {1, 2.14, 2.3, 2.34, 2.4}) {
            for (double turn : new double[] {0, Math.PI}) {
                BeamEnd.Strength m = new BeamEnd.Strength(factor * 300e6, factor * 200e6);
                List<BeamEnd> ends = List.of(
                        new BeamEnd("B", 1, 0, 300, 600, 30, true, m, m, m, 1500, 1000, true),
                        new BeamEnd("B", -1, 0, 300, 600, 30, true, m, m, m, 1500, 1000, true));
                ColumnContext c = context(Ductility.SPECIAL, new Shape.Ell(350, 900, 700, 350), turn, ends, ends);
                ColumnDesign d = ColumnDesigner.design(stack(c), c);
                // the top is free under little compression
                CheckResult r = the(d.lifts().get(0), "strong-column-x");
                assertTrue(r.satisfied(), factor + " turned by " + turn + ": " + r);
            }
        }
    }

    /** The calculation tells both strengths of the ends. */
    @Test
    void theCalculation() {
        ColumnContext c = special(ELL);
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(LegBars.of(1, 2, 1, T20, T16), T10, TIES);
        long strengths = LiftCalculation.of(stack(c), new ColumnCage(List.of(cage, cage)), 0, c, 0, 0).stream()
                .filter(q -> q.symbol().equals("Mpr"))
                .count();
        assertEquals(4, strengths, "both ways along both axes");
    }
}
