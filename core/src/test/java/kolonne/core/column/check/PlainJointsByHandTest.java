package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.finding.Cause;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import org.junit.jupiter.api.Test;

/** Joints of frames without ductility by hand: ACI 318-19 15.4, on columns and beams 400 by 400 of 30 MPa with a load at the tips of brackets of 2 m. */
class PlainJointsByHandTest {
    private static final Basis ACI = Basis.standard(false);
    private static final double LOAD = 50e3;
    private static final double MOMENT = LOAD * 2000;
    private static final double ROOT = Math.sqrt(30);
    /** Cover, the thinnest stirrup, half the thickest bar of the basis. */
    private static final double LEVER = 0.9
            * (400
                    - ACI.beamCover()
                    - ACI.stirrupList().get(0).diameter()
                    - ACI.beamBarList().get(ACI.beamBarList().size() - 1).diameter() / 2);

    private static final double AJ = 400.0 * 400;

    private static ModelBuilder post(boolean higher, Release end) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .joint("D", 2000, 0, 3000)
                .column("c1", "A", "B")
                .fixed("A")
                .beam("b", "B", "D", end, Release.NONE, 0, 0)
                .point("b", 2000, LOAD);
        return higher ? b.joint("C", 0, 0, 6000).column("c2", "B", "C").fixed("C") : b;
    }

    private static List<CheckResult> joints(ModelBuilder b, Basis basis) {
        ColumnContext c = ColumnContext.of(Sidesway.of(b.solve(), basis), basis);
        ColumnStack stack =
                ColumnStacks.find(c.index(), kolonne.core.mark.Marks.NONE).get(0);
        Bar bar = BarCatalogue.METRIC.find("T25");
        ColumnCage.LiftCage cage = new ColumnCage.LiftCage(
                new RectangleBars(2, 2, bar, bar, List.of(true, true), List.of(true, true)),
                BarCatalogue.METRIC.find("T10"),
                150);
        return ColumnCheck.run(
                        stack,
                        new ColumnCage(stack.lifts().stream().map(l -> cage).toList()),
                        c)
                .lifts()
                .get(0)
                .checks()
                .stream()
                .filter(k -> k.cause() == Cause.JOINT_SHEAR)
                .toList();
    }

    private static void tells(List<CheckResult> found, String kind, double demand, double capacity, double within) {
        assertEquals(List.of(kind), found.stream().map(k -> k.kind().id()).toList());
        assertEquals(demand, found.get(0).demand(), within * demand);
        assertEquals(capacity, found.get(0).capacity(), 1e-3 * capacity);
        assertEquals("15.4.2.3", found.get(0).clause().text());
    }

    /** The column ends: all of the beam's moment over the lever arm; neither column nor beam runs on: 1.0 √f'c (12 √f'c psi). */
    @Test
    void atTheTop() {
        tells(joints(post(false, Release.NONE), ACI), "joint-shear-x", MOMENT / LEVER, 0.75 * ROOT * AJ, 1e-3);
    }

    /** Both columns are fixed at their far ends: each takes half, a quarter is carried over; Vcol = (M/2 + M/4)/3 m; the column runs on: 1.2 √f'c. */
    @Test
    void betweenTwoColumns() {
        tells(
                joints(post(true, Release.NONE), ACI),
                "joint-shear-x",
                MOMENT / LEVER - 0.75 * MOMENT / 3000,
                0.75 * 1.2 * ROOT * AJ,
                0.02);
    }

    /** A square column that is turned against the one below bends as it did. */
    @Test
    void aColumnThatIsTurnedAbove() {
        double[] all = java.util.stream.DoubleStream.of(0, 30, 90)
                .map(degrees -> {
                    ModelBuilder b = post(true, Release.NONE);
                    b.members.replaceAll(m -> m.id().equals("c2") ? turned(m, Math.toRadians(degrees)) : m);
                    return joints(b, ACI).stream()
                            .filter(k -> k.kind().id().equals("joint-shear-x"))
                            .findFirst()
                            .orElseThrow()
                            .demand();
                })
                .toArray();
        assertTrue(all[0] > 1e5);
        assertEquals(all[0], all[1], 1e-6 * all[0]);
        assertEquals(all[0], all[2], 1e-6 * all[0]);
    }

    private static Member turned(Member m, double angle) {
        return new Member(
                m.id(),
                m.role(),
                m.start(),
                m.end(),
                m.section(),
                m.material(),
                angle,
                m.startRelease(),
                m.endRelease(),
                m.rigidStart(),
                m.rigidEnd(),
                m.stiffness());
    }

    /** A beam too shallow for its bars has no lever arm: its joint fails, it is not passed over. */
    @Test
    void aBeamWithoutRoomForBars() {
        ModelBuilder b = post(false, Release.NONE);
        b.section("T", 400, 60);
        b.members.replaceAll(m -> m.id().equals("b") ? m.withSection("T") : m);
        List<CheckResult> found = joints(b, ACI);
        assertEquals(1, found.size());
        assertTrue(found.get(0).utilisation() > 10, found.toString());
    }

    /** Beams from both sides that balance each other exchange nothing with the column; the strength is that of two good sides: 1.7 √f'c. */
    @Test
    void beamsThatBalance() {
        ModelBuilder b = post(true, Release.NONE)
                .joint("E", -2000, 0, 3000)
                .beam("e", "E", "B")
                .point("e", 0, LOAD);
        List<CheckResult> found = joints(b, ACI);
        assertEquals(0, found.get(0).demand(), 1e-3 * MOMENT / LEVER);
        assertEquals(0.75 * 1.7 * ROOT * AJ, found.get(0).capacity(), 1e-3 * 0.75 * 1.7 * ROOT * AJ);
    }

    /** A beam on a hinge brings nothing, Eurocode 2 asks for nothing, and a ductile frame has rules of its own. */
    @Test
    void whereNothingIsAsked() {
        ModelBuilder hinged =
                post(true, Release.PIN).joint("E", -2000, 0, 3000).beam("e", "E", "B", Release.NONE, Release.PIN, 0, 0);
        hinged.pinned("D").pinned("E");
        assertTrue(joints(hinged, ACI).isEmpty());
        assertTrue(
                joints(post(true, Release.NONE), Basis.standard("en-1992-1-1")).isEmpty());
    }
}
