package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.ColumnSplices;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.check.CheckResult;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.joint.BeamEnd;
import kolonne.core.joint.BeamsAtJoints;
import kolonne.core.model.CaseKind;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** A column of two lifts with the ends of beams given, each rule of its frame worked by hand. */
class FrameColumnsByHandTest {
    private static final BeamEnd.Strength NOMINAL = new BeamEnd.Strength(300e6, 200e6);
    private static final BeamEnd.Strength PROBABLE = new BeamEnd.Strength(370e6, 250e6);

    static BeamEnd beam(double ux, double uy, boolean frame, double width, boolean through) {
        return new BeamEnd("B", ux, uy, width, 600, 30, frame, NOMINAL, PROBABLE, PROBABLE, 1500, 1000, through);
    }

    /** 500 × 500, lifts of 3600, 1000 kN on top, an earthquake of 50 kN; beams of 600 along x (bays of 6 m) at both floors. */
    private static ColumnContext context(Ductility kind, List<BeamEnd> atB, List<BeamEnd> atC) {
        return context(kind, new Shape.Rectangle(500, 500), atB, atC);
    }

    static ColumnContext context(Ductility kind, Shape shape, List<BeamEnd> atB, List<BeamEnd> atC) {
        return context(kind, shape, 0, atB, atC);
    }

    /** @param turn of the upper lift against the lower [rad] */
    static ColumnContext context(Ductility kind, Shape shape, double turn, List<BeamEnd> atB, List<BeamEnd> atC) {
        return context(kind, shape, turn, atB, atC, List.of());
    }

    /** @param more loads */
    private static ColumnContext context(
            Ductility kind, Shape shape, double turn, List<BeamEnd> atB, List<BeamEnd> atC, List<JointLoad> more) {
        return context(Basis.standard(false), kind, shape, turn, atB, atC, more);
    }

    private static ColumnContext context(
            Basis usual,
            Ductility kind,
            Shape shape,
            double turn,
            List<BeamEnd> atB,
            List<BeamEnd> atC,
            List<JointLoad> more) {
        ModelBuilder b = new ModelBuilder();
        b.joint("A", 0, 0, 0).joint("B", 0, 0, 3600).joint("C", 0, 0, 7200);
        b.column("c1", "A", "B").fixed("A");
        Member lower = b.members.get(0);
        b.members.add(new Member(
                "c2",
                Role.COLUMN,
                "B",
                "C",
                lower.section(),
                lower.material(),
                turn,
                Release.NONE,
                Release.NONE,
                0,
                0,
                lower.stiffness()));
        b.sections.add(new Section("S", shape));
        b.sections.add(new Section("W", new Shape.Rectangle(300, 600)));
        for (int i : new int[] {-1, 1}) {
            for (String level : List.of("B", "C")) {
                String far = level + i;
                b.joint(far, 6000 * i, 0, level.equals("B") ? 3600 : 7200).fixed(far);
                b.beam("m" + far, level, far, "W");
            }
        }
        b.cases.add(new LoadCase("E", "earthquake", CaseKind.SEISMIC, 0));
        b.jointLoads.add(new JointLoad("P", "C", 0, 0, -1000e3, 0, 0, 0));
        b.jointLoads.add(new JointLoad("E", "C", 50e3, 0, 0, 0, 0, 0));
        b.jointLoads.addAll(more);
        b.combine("P+E", Map.of("P", 1.2, "E", 1.0)).combine("P-E", Map.of("P", 0.9, "E", -1.0));
        Basis basis = usual.with(new Frame(Sway.BRACED, Sway.BRACED, 0, kind));
        return ColumnContext.of(Sidesway.of(b.solve(), basis), basis)
                .with(new BeamsAtJoints(Map.of("B", atB, "C", atC)));
    }

    static List<BeamEnd> bothSides() {
        return List.of(beam(1, 0, true, 300, true), beam(-1, 0, true, 300, true));
    }

    private static ColumnCage.LiftCage cage(TieSpacing ties) {
        var t25 = BarCatalogue.METRIC.find("T25");
        List<Boolean> all = List.of(true, true, true);
        return new ColumnCage.LiftCage(
                new RectangleBars(3, 3, t25, t25, all, all), BarCatalogue.METRIC.find("T10"), ties);
    }

    private static final double T10 = BarCatalogue.METRIC.find("T10").area();
    private static final TieSpacing TIES = new TieSpacing(100, 100, 150, 500, 500);

    private static List<ColumnDesign.LiftDesign> checked(ColumnContext c, TieSpacing ties) {
        ColumnStack stack = stack(c);
        return ColumnCheck.run(stack, new ColumnCage(List.of(cage(ties), cage(ties))), c)
                .lifts();
    }

    static ColumnStack stack(ColumnContext c) {
        return ColumnStacks.find(c.index()).stream()
                .filter(s -> s.lifts().size() == 2)
                .findFirst()
                .orElseThrow();
    }

    static Optional<CheckResult> of(ColumnDesign.LiftDesign l, String kind) {
        return l.checks().stream().filter(c -> c.kind().id().equals(kind)).findFirst();
    }

    static CheckResult the(ColumnDesign.LiftDesign l, String kind) {
        return of(l, kind).orElseThrow(() -> new AssertionError(kind));
    }

    /** ΣMnb = 300 + 200; 6/5 of it against both lifts, each at the lower of its strengths (18.7.3.2). At the top Pu < Ag f'c / 10 or not. */
    @Test
    void strongColumns() {
        ColumnContext c = context(Ductility.SPECIAL, bothSides(), bothSides());
        List<ColumnDesign.LiftDesign> l = checked(c, TIES);
        CheckResult r = the(l.get(0), "strong-column-x");
        assertEquals(600e6, r.demand(), 1);
        assertEquals(Cause.JOINT_STRENGTH, r.cause());
        double low = strength(c, 0);
        double up = strength(c, 1);
        assertEquals(low + up, r.capacity(), 1e-6 * r.capacity());
        assertTrue(of(l.get(0), "strong-column-y").isEmpty(), "no beams along y");
        // 1200 kN at the top is more than 500 · 500 · 30 / 10 = 750 kN
        assertEquals(up, the(l.get(1), "strong-column-x").capacity(), 1e-6 * up);
        // one beam with a hinge: 300 alone, hogging
        ColumnContext one = context(
                Ductility.SPECIAL, List.of(beam(1, 0, true, 300, true), beam(-1, 0, false, 300, true)), bothSides());
        assertEquals(360e6, the(checked(one, TIES).get(0), "strong-column-x").demand(), 1);
        assertTrue(of(
                        checked(context(Ductility.INTERMEDIATE, bothSides(), bothSides()), TIES)
                                .get(0),
                        "strong-column-x")
                .isEmpty());
    }

    private static double strength(ColumnContext c, int lift) {
        ColumnStack.Lift l = stack(c).lifts().get(lift);
        return ColumnStrengths.lowest(l, cage(TIES), 0, new LiftDemands(l, c), c);
    }

    /**
     * Inside: T = 1.25 · 420 · (1500 + 1000) = 1312.5 kN less Vcol = (370 + 250) / 3.6 = 172.2 kN; bj = min(300 + 500, 500); 0.85 · 1.2 √30 · 500². At the
     * top no column takes any of it; the column ends there. (18.8.2.1, 18.8.4)
     */
    @Test
    void shearOfJoints() {
        List<ColumnDesign.LiftDesign> l = checked(context(Ductility.SPECIAL, bothSides(), bothSides()), TIES);
        CheckResult inside = the(l.get(0), "joint-shear-x");
        assertEquals(1312.5e3 - 620e6 / 3600, inside.demand(), 1);
        assertEquals(0.85 * 1.2 * Math.sqrt(30) * 250_000, inside.capacity(), 1);
        assertEquals(Cause.JOINT_SHEAR, inside.cause());
        assertEquals("joint at the head", inside.place());
        CheckResult top = the(l.get(1), "joint-shear-x");
        assertEquals(1312.5e3, top.demand(), 1);
        assertEquals(0.85 * 1.0 * Math.sqrt(30) * 250_000, top.capacity(), 1);
        // held across by beams of three quarters of the face on both sides; narrower ones do not
        for (double width : new double[] {375, 374}) {
            List<BeamEnd> across = new ArrayList<>(bothSides());
            across.add(beam(0, 1, false, width, true));
            across.add(beam(0, -1, false, width, true));
            CheckResult held = the(
                    checked(context(Ductility.SPECIAL, across, across), TIES).get(0), "joint-shear-x");
            assertEquals(0.85 * (width >= 375 ? 1.7 : 1.2) * Math.sqrt(30) * 250_000, held.capacity(), 1);
        }
        // one side: the larger of top and bottom bars
        CheckResult edge = the(
                checked(context(Ductility.SPECIAL, List.of(beam(1, 0, true, 300, true)), bothSides()), TIES)
                        .get(0),
                "joint-shear-x");
        assertEquals(1.25 * 420 * 1500 - 370e6 / 3600, edge.demand(), 1);
        assertEquals(0.85 * 1.0 * Math.sqrt(30) * 250_000, edge.capacity(), 1);
    }

    /** Of 400 × 600 along y: 600 deep by 400, which 300 + 600 pass (15.4.2.4); along x 400 deep by 600, narrower beams and its depth (300 + 400) are more. Beams of 600 want half of it (18.8.2.3). */
    @Test
    void theJointOfARectangle() {
        List<BeamEnd> all = new ArrayList<>(bothSides());
        all.add(beam(0, 1, true, 300, true));
        all.add(beam(0, -1, true, 300, true));
        ColumnContext c = context(Ductility.SPECIAL, new Shape.Rectangle(400, 600), all, all);
        ColumnDesign.LiftDesign l = checked(c, TIES).get(0);
        // across x they hold three quarters of a face of 400, across y not of one of 600 (table 18.8.4.3)
        assertEquals(
                0.85 * 1.7 * Math.sqrt(30) * 400 * 600, the(l, "joint-shear-x").capacity(), 1);
        assertEquals(
                0.85 * 1.2 * Math.sqrt(30) * 600 * 400, the(l, "joint-shear-y").capacity(), 1);
        assertEquals(300, the(l, "joint-depth").demand(), 1e-9);
        assertEquals(400, the(l, "joint-depth").capacity(), 1e-9);
        List<BeamEnd> narrow = List.of(beam(0, 1, true, 50, true), beam(0, -1, true, 50, true));
        ColumnContext square = context(Ductility.SPECIAL, new Shape.Rectangle(700, 500), narrow, narrow);
        assertEquals(
                0.85 * 1.2 * Math.sqrt(30) * 500 * (50 + 500),
                the(checked(square, TIES).get(0), "joint-shear-y").capacity(),
                1);
    }

    /** 8T25 of 500²: 1.57 % of at most 6 %; 1.25 · 420 / (1.7 √30) · 25 = 1409.5 mm develop in half of 3300 (18.7.4.1, 18.7.4.3). No such rules in an intermediate frame. */
    @Test
    void steelThatDevelops() {
        ColumnDesign.LiftDesign l = checked(context(Ductility.SPECIAL, bothSides(), bothSides()), TIES)
                .get(0);
        CheckResult most = the(l, "ductile-most");
        assertEquals(8 * BarCatalogue.METRIC.find("T25").area() / 250_000, most.demand(), 1e-9);
        assertEquals(0.06, most.capacity(), 1e-9);
        assertEquals("18.7.4.1", most.clause().text());
        CheckResult develops = the(l, "bar-development");
        assertEquals(1.25 * 420 / (1.7 * Math.sqrt(30)) * 25, develops.demand(), 0.1);
        assertEquals(1650, develops.capacity(), 1e-9);
        assertEquals("18.7.4.3", develops.clause().text());
        assertTrue(of(l, "round-bars").isEmpty());
        ColumnDesign.LiftDesign other = checked(context(Ductility.INTERMEDIATE, bothSides(), bothSides()), TIES)
                .get(0);
        assertTrue(of(other, "ductile-most").isEmpty()
                && of(other, "bar-development").isEmpty());
    }

    /**
     * Ø 500, hoops of 420 outside: Ach = 138 544, 0.45 (196 350 / 138 544 − 1) 30 / 420 = 0.01341 against 4 · 78.54 · 410 / (420² · 100) = 0.00730 (table 18.7.5.4); six
     * bars at least (18.7.4.2).
     */
    @Test
    void hoopsOfARoundColumn() {
        ColumnContext c = context(Ductility.SPECIAL, new Shape.Circle(500), bothSides(), bothSides());
        for (int bars : new int[] {5, 8}) {
            ColumnCage.LiftCage ring = new ColumnCage.LiftCage(
                    new RingBars(bars, BarCatalogue.METRIC.find("T25")), BarCatalogue.METRIC.find("T10"), TIES);
            ColumnDesign.LiftDesign l = ColumnCheck.run(stack(c), new ColumnCage(List.of(ring, ring)), c)
                    .lifts()
                    .get(0);
            CheckResult r = the(l, "confinement-x");
            double core = Math.PI * 420 * 420 / 4;
            assertEquals(0.45 * (Math.PI * 250 * 250 / core - 1) * 30 / 420, r.demand(), 1e-7);
            assertEquals(4 * T10 * 410 / (420 * 420 * 100.0), r.capacity(), 1e-7);
            assertEquals(ColumnTieCheck.ENDS, r.place());
            assertEquals(6, the(l, "round-bars").demand(), 1e-9);
            assertEquals(bars, the(l, "round-bars").capacity(), 1e-9);
        }
        ColumnContext plain = context(Ductility.INTERMEDIATE, new Shape.Circle(500), bothSides(), bothSides());
        ColumnCage.LiftCage ring = new ColumnCage.LiftCage(
                new RingBars(8, BarCatalogue.METRIC.find("T25")), BarCatalogue.METRIC.find("T10"), TIES);
        ColumnDesign.LiftDesign l = ColumnCheck.run(stack(plain), new ColumnCage(List.of(ring, ring)), plain)
                .lifts()
                .get(0);
        assertTrue(of(l, "round-bars").isEmpty() && of(l, "confinement-x").isEmpty());
    }

    /** Beams deeper than twice the joint of an intermediate frame are to be designed with struts and ties (18.4.4.2). */
    @Test
    void beamsTooDeepForTheJoint() {
        for (double deep : new double[] {999, 1001}) {
            List<BeamEnd> beams = List.of(
                    new BeamEnd("B", 1, 0, 300, deep, 30, true, NOMINAL, PROBABLE, PROBABLE, 1500, 1000, true),
                    new BeamEnd("B", -1, 0, 300, deep, 30, true, NOMINAL, PROBABLE, PROBABLE, 1500, 1000, true));
            ColumnDesign.LiftDesign l =
                    checked(context(Ductility.INTERMEDIATE, beams, beams), TIES).get(0);
            Optional<CheckResult> r = of(l, "joint-deep-beam");
            assertEquals(deep > 1000, r.isPresent());
            r.ifPresent(q -> {
                assertEquals(1001, q.demand(), 1e-9);
                assertEquals(1000, q.capacity(), 1e-9);
                assertEquals("18.4.4.2", q.clause().text());
            });
        }
    }

    /** ℓu = 3600 − 300 (nothing at the foot): the foot its own Mpr, the head half of 620 as both lifts are as stiff; Vc counts for nothing under Ag f'c / 20. */
    @Test
    void shearFromTheEnds() {
        ColumnContext c = context(Ductility.SPECIAL, bothSides(), bothSides());
        ColumnStack s = stack(c);
        LiftDemands d = new LiftDemands(s.lifts().get(0), c);
        double own = kolonne.core.section.MomentAtForce.largest(
                c.section(s.lifts().get(0).section(), s.lifts().get(0).material(), cage(TIES), 1.25),
                0,
                d.earthquakeAxial()[0],
                d.earthquakeAxial()[1]);
        double ve = EndMoments.of(s, s.lifts().get(0), cage(TIES), c, d).shear(0);
        assertEquals((own + 310e6) / 3300, ve, 1e-6 * ve);
        // nothing holds the floor along y: both lifts are one length, and both its ends come to their own strength
        assertEquals(
                2 * own / 7200,
                EndMoments.of(s, s.lifts().get(0), cage(TIES), c, d).shear(1),
                1e-5 * ve);
        assertTrue(the(checked(c, TIES).get(0), "shear-x").demand() >= ve - 1);
        // intermediate: own strengths with fy, or three times the earthquake
        ColumnContext i = context(Ductility.INTERMEDIATE, bothSides(), bothSides());
        LiftDemands di = new LiftDemands(stack(i).lifts().get(0), i);
        double most = EndMoments.of(stack(i), stack(i).lifts().get(0), cage(TIES), i, di)
                .shear(0);
        double three = Math.max(
                di.shear(0, kolonne.core.analysis.Analysis.VY, 3), di.shear(1, kolonne.core.analysis.Analysis.VY, 3));
        assertEquals(three, most, 1e-6 * three, "Ωo E is less than the ends bring");
        // ordinary: 3300 is more than five depths
        ColumnContext o = context(Ductility.ORDINARY, bothSides(), bothSides());
        assertEquals(
                0,
                EndMoments.of(
                                stack(o),
                                stack(o).lifts().get(0),
                                cage(TIES),
                                o,
                                new LiftDemands(stack(o).lifts().get(0), o))
                        .shear(0));
    }

    private static final Shape SQUARE = new Shape.Rectangle(500, 500);
    /** Of the 1000 kN all but what is less than Ag f'c / 20 = 375 kN. */
    private static final List<JointLoad> PULL = List.of(new JointLoad("P", "C", 0, 0, 920e3, 0, 0, 0));

    /** Next to the joints of a special frame that is hardly compressed three legs of T10 carry it alone (18.7.6.2.1), in both directions; not where it is compressed. */
    @Test
    void shearWithoutTheConcreteNextToTheJoints() {
        TieSpacing ties = new TieSpacing(100, 150, 150, 500, 500);
        ColumnContext c = context(Ductility.SPECIAL, SQUARE, 0, bothSides(), bothSides(), PULL);
        ColumnStack.Lift lift = stack(c).lifts().get(0);
        EndMoments ends = EndMoments.of(stack(c), lift, cage(ties), c, new LiftDemands(lift, c));
        double alone = 0.75 * 3 * T10 / 150 * 420 * 437.5;
        for (int axis = 0; axis < 2; axis++) {
            CheckResult r = the(checked(c, ties).get(0), axis == 0 ? "shear-x" : "shear-y");
            assertEquals(ends.shear(axis), r.demand(), 1e-6 * r.demand());
            assertEquals(alone, r.capacity(), 1e-6 * alone);
            assertEquals(ends.shear(axis) / alone, r.utilisation(), 1e-6);
            assertEquals(ColumnTieCheck.ENDS, r.place());
            assertEquals("18.7.6.2.1", r.clause().text());
        }
        CheckResult heavy = the(
                checked(context(Ductility.SPECIAL, bothSides(), bothSides()), ties)
                        .get(0),
                "shear-x");
        assertEquals(ColumnCheck.WHOLE, heavy.place());
        assertTrue(heavy.capacity() > alone * 1.5, "with the concrete");
    }

    /**
     * d = 437.5: ties d / 2 apart where the shear from the ends is over half of φVc (10.6.2.1, 10.7.6.5.2) and that of the analysis is not; in a special frame with
     * 16T32, whose ends bring more than φVc and half of φ 0.66 √f'c bw d, a quarter of d = 434, where hoops could stand 125 apart.
     */
    @Test
    void shearFromTheEndsSpacesTheTies() {
        List<JointLoad> more = List.of(new JointLoad("E", "B", 0, 0, 0, 0, 430e6, 0));
        ColumnContext c = context(Ductility.INTERMEDIATE, SQUARE, 0, bothSides(), bothSides(), more);
        ColumnStack.Lift lift = stack(c).lifts().get(0);
        LiftDemands d = new LiftDemands(lift, c);
        TieSpacing even = TieSpacing.even(200);
        double ends = EndMoments.of(stack(c), lift, cage(even), c, d).shear(0);
        double most =
                Math.max(d.shear(0, kolonne.core.analysis.Analysis.VY), d.shear(1, kolonne.core.analysis.Analysis.VY));
        double nu = d.earthquakeAxial()[1];
        double half = 0.375 * (0.17 * Math.sqrt(30) + Math.min(nu / (6 * 250_000), 0.05 * 30)) * 500 * 437.5;
        assertTrue(most < 0.375 * 0.17 * Math.sqrt(30) * 500 * 437.5 && ends > half, most + " " + half + " " + ends);
        assertEquals(437.5 / 2, the(checked(c, even).get(0), "tie-spacing").capacity(), 1e-9);
        ColumnContext none = context(Ductility.NONE, SQUARE, 0, bothSides(), bothSides(), more);
        assertEquals(400, the(checked(none, even).get(0), "tie-spacing").capacity(), 1e-9, "16 of T25");

        var t32 = BarCatalogue.METRIC.find("T32");
        List<Boolean> all = List.of(true, true, true, true, true);
        ColumnCage.LiftCage strong = new ColumnCage.LiftCage(
                new RectangleBars(5, 5, t32, t32, all, all), BarCatalogue.METRIC.find("T10"), TieSpacing.even(100));
        BeamEnd.Strength much = new BeamEnd.Strength(2000e6, 2000e6);
        List<BeamEnd> beams = List.of(
                new BeamEnd("B", 1, 0, 300, 600, 30, true, much, much, much, 1500, 1000, true),
                new BeamEnd("B", -1, 0, 300, 600, 30, true, much, much, much, 1500, 1000, true));
        ColumnContext special = context(Ductility.SPECIAL, SQUARE, 0, beams, beams, PULL);
        ColumnDesign.LiftDesign l = ColumnCheck.run(stack(special), new ColumnCage(List.of(strong, strong)), special)
                .lifts()
                .get(0);
        assertEquals(434 / 4.0, the(l, "tie-spacing").capacity(), 1e-9);
    }

    /** 400 × 600 under the same turned by 30°: 600 · 400³ / 12 = 3.2e9 below, cos² 30° of it and sin² 30° of 400 · 600³ / 12 = 7.2e9 above: 4.2e9. */
    @Test
    void whatBeamsBringGoesByStiffnessTheirWay() {
        ColumnContext c =
                context(Ductility.SPECIAL, new Shape.Rectangle(400, 600), Math.toRadians(30), bothSides(), bothSides());
        ColumnStack s = stack(c);
        LiftDemands d = new LiftDemands(s.lifts().get(0), c);
        double own = kolonne.core.section.MomentAtForce.largest(
                c.section(s.lifts().get(0).section(), s.lifts().get(0).material(), cage(TIES), 1.25),
                0,
                d.earthquakeAxial()[0],
                d.earthquakeAxial()[1]);
        double ve = EndMoments.of(s, s.lifts().get(0), cage(TIES), c, d).shear(0);
        assertEquals((own + 620e6 * 3.2 / 7.4) / 3300, ve, 1e-6 * ve);
    }

    /**
     * Beside the torque of the earthquake, T from the analysis: At/s = T / (0.75 · 2 · 0.85 · 410² · 420) for each of the outer legs, and a third of what the shear
     * from the ends needs. P is pulled up to less than Ag f'c / 20, so that next to the joints the concrete carries nothing.
     */
    @Test
    void shearFromTheEndsBesideATorque() {
        List<JointLoad> more = List.of(
                new JointLoad("P", "C", 0, 0, 920e3, 0, 0, 0),
                new JointLoad("E", "B", 0, 0, 0, 0, 0, 90e6),
                new JointLoad("E", "C", 0, 0, 0, 0, 0, 30e6));
        ColumnContext c = context(Ductility.SPECIAL, new Shape.Rectangle(500, 500), 0, bothSides(), bothSides(), more);
        ColumnStack.Lift lift = stack(c).lifts().get(0);
        double torque = Math.abs(c.strength().at(lift.memberNumber(), 0, 0, kolonne.core.analysis.Analysis.T));
        assertTrue(torque > 20e6, "T " + torque);
        double ats = torque / (0.75 * 2 * 0.85 * 410 * 410 * 420);
        double root = Math.sqrt(30);
        for (TieSpacing ties : List.of(TIES, new TieSpacing(100, 150, 150, 500, 500))) {
            LiftDemands d = new LiftDemands(lift, c);
            double v = EndMoments.of(stack(c), lift, cage(ties), c, d).shear(0);
            double nu = d.earthquakeAxial()[0];
            assertTrue(nu > 0 && nu < 250_000 * 30 / 20.0, "nu " + nu);
            double vc = (0.17 * root + nu / (6 * 250_000)) * 500 * 437.5;
            double share = (v / 0.75 - vc) / (420 * 437.5) / 3;
            assertTrue(share > 0, "share " + share);
            double between = (ats + share) / (T10 / ties.middle());
            double close = ats / (T10 / ties.end()) + v / (0.75 * 3 * T10 / ties.end() * 420 * 437.5);
            CheckResult r = the(checked(c, ties).get(0), "torsion-x");
            assertEquals(Math.max(between, close), r.utilisation(), 1e-3 * r.utilisation());
            assertEquals(close > between ? ColumnTieCheck.ENDS : ColumnCheck.WHOLE, r.place());
            ColumnCage whole = new ColumnCage(List.of(cage(ties), cage(ties)));
            List<Double> uses = LiftCalculation.of(stack(c), whole, 0, c, 0, 0).stream()
                    .filter(step -> step.symbol().equals("use"))
                    .map(step -> step.value())
                    .toList();
            assertTrue(uses.stream().anyMatch(u -> Math.abs(u - between) < 1e-3 * between), uses + " " + between);
            assertTrue(uses.stream().anyMatch(u -> Math.abs(u - close) < 1e-3 * close), uses + " " + close);
            double both = Math.hypot(v / (500 * 437.5), torque * 4 * 410 / (1.7 * Math.pow(410, 4)));
            assertEquals(
                    both / (0.75 * (vc / (500 * 437.5) + 0.66 * root)),
                    the(checked(c, ties).get(0), "shear-torsion-limit-x").utilisation(),
                    1e-3);
        }
    }

    /**
     * bc = 420 both ways, three legs of T10: Ash/(s bc) = 3 · 78.54 / (100 · 420) = 0.00561 against 0.3 (250 000/176 400 − 1) · 30/420 = 0.00894; hoops
     * 100 apart for 500 against so = 100 + (350 − 187.5)/3 = 150, a quarter of 500 and 6 · 25: 125.
     */
    @Test
    void hoops() {
        ColumnDesign.LiftDesign l = checked(context(Ductility.SPECIAL, bothSides(), bothSides()), TIES)
                .get(0);
        CheckResult r = the(l, "confinement-x");
        assertEquals(0.3 * (250_000 / 176_400.0 - 1) * 30 / 420, r.demand(), 1e-7);
        assertEquals(3 * BarCatalogue.METRIC.find("T10").area() / 42_000, r.capacity(), 1e-7);
        assertEquals(125, the(l, "end-ties").capacity(), 1e-9);
        assertEquals(100, the(l, "end-ties").demand(), 1e-9);
        assertEquals("next to the joints", the(l, "end-ties").place());
        // lap in the middle: hoops over it stand as close
        assertEquals(125, the(l, "tie-spacing").capacity(), 1e-9);
        // ℓo: 550 is a sixth of 3300 clear
        assertEquals(550, the(l, "end-reach").demand(), 1e-9);
        assertEquals(500, the(l, "end-reach").capacity(), 1e-9);
        for (TieSpacing s : List.of(new TieSpacing(100, 100, 150, 600, 480), new TieSpacing(100, 100, 150, 480, 600))) {
            CheckResult reach = the(
                    checked(context(Ductility.SPECIAL, bothSides(), bothSides()), s)
                            .get(0),
                    "end-reach");
            assertEquals(480, reach.capacity(), 1e-9, "the end that they reach less far from");
            assertEquals(550 / 480.0, reach.utilisation(), 1e-9);
        }
        assertEquals("18.7.5.3", the(l, "end-ties").clause().text());
        assertEquals("18.7.5.3", the(l, "end-reach").clause().text());
        assertEquals("18.7.5.5", the(l, "tie-spacing").clause().text());
        assertEquals("18.8.3.1", the(l, "joint-ties").clause().text());
        assertEquals(
                "25.7.2.1, 10.7.6.5.2",
                the(
                                checked(context(Ductility.INTERMEDIATE, bothSides(), bothSides()), TIES)
                                        .get(0),
                                "tie-spacing")
                        .clause()
                        .text());
        assertEquals(125, the(l, "joint-ties").capacity(), 1e-9);
        assertEquals((500 - 100 - 25) / 2.0, the(l, "held-distance").demand(), 1e-9);
        assertEquals(300, the(l, "least-side").demand(), 1e-9);
        // ties as close all the way need no length
        assertTrue(of(
                        checked(context(Ductility.SPECIAL, bothSides(), bothSides()), TieSpacing.even(100))
                                .get(0),
                        "end-reach")
                .isEmpty());
        // too far apart everywhere: their spacing tells, not how far they reach
        ColumnDesign.LiftDesign even = checked(
                        context(Ductility.SPECIAL, bothSides(), bothSides()), TieSpacing.even(150))
                .get(0);
        assertEquals(1.2, the(even, "end-ties").utilisation(), 1e-9);
        assertTrue(of(even, "end-reach").isEmpty());
        // bars from below lap in the middle of the top lift as well
        assertEquals(
                125,
                the(
                                checked(context(Ductility.SPECIAL, bothSides(), bothSides()), TIES)
                                        .get(1),
                                "tie-spacing")
                        .capacity(),
                1e-9);
    }

    /** Bars of a special frame lap within the middle half of 3300 mm (18.7.4.4): over 1.3 · 420 / (1.7 √30) · 25 = 1466 mm at least; those that are coupled nowhere. */
    @Test
    void lapsInTheMiddle() {
        ColumnContext c = context(Ductility.SPECIAL, bothSides(), bothSides());
        CheckResult r = the(checked(c, TIES).get(0), "lap-middle");
        assertTrue(r.demand() >= 1466 && r.demand() < 1466 + 100, "on the module: " + r.demand());
        assertEquals(1650, r.capacity(), 1e-9);
        assertEquals("18.7.4.4", r.clause().text());
        for (Ductility other : List.of(Ductility.NONE, Ductility.INTERMEDIATE)) {
            assertTrue(of(
                            checked(context(other, bothSides(), bothSides()), TIES)
                                    .get(0),
                            "lap-middle")
                    .isEmpty());
        }
        Basis usual = Basis.standard(false);
        Basis coupled = usual.with(usual.practice().with(1, 1, ColumnSplices.COUPLERS, true));
        ColumnContext with = context(coupled, Ductility.SPECIAL, SQUARE, 0, bothSides(), bothSides(), List.of());
        assertTrue(of(checked(with, TIES).get(0), "lap-middle").isEmpty());
    }

    /** 15.3.1.4 whatever the frame; nothing of earthquakes without one. */
    @Test
    void plainFrames() {
        ColumnDesign.LiftDesign l = checked(context(Ductility.NONE, List.of(), List.of()), TieSpacing.even(300))
                .get(0);
        assertEquals(200, the(l, "joint-ties").capacity(), 1e-9);
        assertEquals(300, the(l, "joint-ties").demand(), 1e-9);
        for (String kind : List.of("end-ties", "end-reach", "confinement-x", "strong-column-x", "held-distance")) {
            assertTrue(of(l, kind).isEmpty(), kind);
        }
    }

    /** The designer finds bars and hoops that meet all of it, and a column over beams too strong for it says so. */
    @Test
    void theDesignerMeetsWhatCanBeMet() {
        ColumnContext c = context(Ductility.SPECIAL, bothSides(), bothSides());
        ColumnDesign d = ColumnDesigner.design(stack(c), c);
        List<String> unmet = d.lifts().stream()
                .flatMap(l -> l.checks().stream())
                .filter(r -> !r.satisfied())
                .map(r -> r.kind().id())
                .distinct()
                .toList();
        assertEquals(
                List.of(),
                unmet.stream().filter(k -> !k.startsWith("joint-shear")).toList());
        BeamEnd.Strength strong = new BeamEnd.Strength(3000e6, 3000e6);
        BeamEnd e = new BeamEnd("B", 1, 0, 300, 600, 30, true, strong, strong, strong, 9000, 9000, true);
        ColumnContext heavy = context(Ductility.SPECIAL, List.of(e), List.of(e));
        assertTrue(ColumnDesigner.design(stack(heavy), heavy).findings().stream()
                .anyMatch(f -> f.code().equals("joint-strength")));
    }

    /** Ø 500 counts as a square of 443.1: π 500² / 4 = 196 350 mm², bj = min(300 + 443.1, 443.1). */
    @Test
    void theJointOfARoundColumn() {
        ColumnContext c = context(Ductility.SPECIAL, new Shape.Circle(500), bothSides(), bothSides());
        ColumnDesign d = ColumnDesigner.design(stack(c), c);
        assertEquals(
                0.85 * 1.2 * Math.sqrt(30) * 196_349.54,
                the(d.lifts().get(0), "joint-shear-x").capacity(),
                10);
        assertEquals(443.11, the(d.lifts().get(0), "joint-depth").capacity(), 0.01);
    }

    /** The calculation shows what the checks used. */
    @Test
    void theCalculation() {
        ColumnContext c = context(Ductility.SPECIAL, bothSides(), bothSides());
        ColumnStack s = stack(c);
        ColumnCage cage = new ColumnCage(List.of(cage(TIES), cage(TIES)));
        var steps = LiftCalculation.of(s, cage, 0, c, 0, 0);
        for (String symbol : List.of("Ve", "Ash / (s bc)", "ΣMnc", "ΣMnb", "Vu", "Aj")) {
            assertTrue(steps.stream().anyMatch(q -> q.symbol().equals(symbol)), symbol);
        }
        double ve = EndMoments.of(
                        s,
                        s.lifts().get(0),
                        cage(TIES),
                        c,
                        new LiftDemands(s.lifts().get(0), c))
                .shear(0);
        assertEquals(
                ve,
                steps.stream()
                        .filter(q -> q.symbol().equals("Ve"))
                        .findFirst()
                        .orElseThrow()
                        .value(),
                1e-6);
        assertTrue(Trace.OFF.steps().isEmpty());
    }
}
