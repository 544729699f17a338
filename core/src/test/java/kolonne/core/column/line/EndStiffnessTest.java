package kolonne.core.column.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.code.ColumnEnd;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Spring;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import org.junit.jupiter.api.Test;

/** What turns with the ends of a column, each by hand: Ec = {@link ModelBuilder#E}, columns 400 × 500 (500 along X), beams 300 × 600. */
class EndStiffnessTest {
    private static final double E = ModelBuilder.E;
    /** About the axis that bends along X, and along Y. */
    private static final double STIFF = E * 400 * 500 * 500 * 500 / 12;

    private static final double SLACK = E * 500 * 400 * 400 * 400 / 12;
    private static final double BEAM = E * 300 * 600 * 600 * 600 / 12;

    /** Two lifts of 4 and 3 m at the origin, and a column at (6, 0) of two lifts and one at (0, 5). */
    private static ModelBuilder frame() {
        return new ModelBuilder()
                .section("S", 500, 400)
                .section("B", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .joint("C", 0, 0, 7000)
                .joint("D", 6000, 0, 0)
                .joint("E", 6000, 0, 4000)
                .joint("F", 0, 5000, 0)
                .joint("G", 0, 5000, 4000)
                .column("c1", "A", "B")
                .column("c2", "B", "C")
                .column("d", "D", "E")
                .column("f", "F", "G")
                .fixed("A")
                .fixed("D")
                .fixed("F");
    }

    private static ColumnStack.Lift lift(ModelBuilder b, String member) {
        return ColumnStacks.find(new BuildingIndex(b.building())).stream()
                .flatMap(s -> s.lifts().stream())
                .filter(l -> l.member().equals(member))
                .findFirst()
                .orElseThrow();
    }

    private static ColumnStack.Unbraced along(ColumnStack.Lift l, boolean x) {
        return Math.abs(l.aboutX().ux()) > 0.5 == x ? l.aboutX() : l.aboutY();
    }

    private static ColumnEnd head(ModelBuilder b, String member, boolean x) {
        return along(lift(b, member), x).head();
    }

    private static ModelBuilder member(
            ModelBuilder b, Role role, String from, String to, Release a, Release z, double angle) {
        b.members.add(new Member(
                from + to,
                role,
                from,
                to,
                role == Role.BEAM ? "B" : "S",
                "C",
                angle,
                a,
                z,
                0,
                0,
                StiffnessFactors.GROSS));
        return b;
    }

    private static ModelBuilder beam(ModelBuilder b, String from, String to, Release a, Release z) {
        return member(b, Role.BEAM, from, to, a, z, 0);
    }

    private static ModelBuilder framed() {
        return frame().beam("x", "B", "E", "B").beam("y", "G", "B", "B");
    }

    @Test
    void columnsOverBeamsInEachPlane() {
        ColumnEnd x = head(framed(), "c1", true);
        assertEquals(STIFF / 4000 + STIFF / 3000, x.columns(), 1e-6 * x.columns());
        assertEquals(BEAM / 6000, x.beams(), 1e-6 * x.beams());
        ColumnEnd y = head(framed(), "c1", false);
        assertEquals(SLACK / 4000 + SLACK / 3000, y.columns(), 1e-6 * y.columns());
        assertEquals(BEAM / 5000, y.beams(), 1e-6 * y.beams());
        // the same joint is the foot of the lift above
        assertEquals(x, along(lift(framed(), "c2"), true).foot());
        ColumnEnd foot = along(lift(framed(), "c1"), true).foot();
        assertTrue(foot.fixed());
        assertEquals(STIFF / 4000, foot.columns(), 1e-6 * foot.columns());
        assertFalse(x.fixed() || x.hinged());
    }

    /** A beam in two pieces, a secondary beam at its middle, is one span; the secondary beam ends on it and holds nothing. */
    @Test
    void spansRunFromColumnToColumn() {
        ModelBuilder b = frame().joint("M", 2500, 0, 4000)
                .joint("N", 2500, 5000, 4000)
                .beam("x1", "B", "M", "B")
                .beam("x2", "E", "M", "B")
                .beam("s", "N", "M", "B")
                .beam("y1", "B", "G", "B")
                .beam("y2", "G", "N", "B");
        assertEquals(BEAM / 6000, head(b, "c1", true).beams(), 1);
        assertEquals(BEAM / 5000, head(b, "c1", false).beams(), 1, "the girder across does not count along Y");
        assertEquals(0, head(b, "f", true).beams(), "it ends on another beam's end");
    }

    @Test
    void bracketsHingesAndBeamsThatHangHoldNothing() {
        ModelBuilder b = framed().joint("Z", -2000, 0, 4000).beam("z", "Z", "B", "B");
        assertEquals(BEAM / 6000, head(b, "c1", true).beams(), 1, "a bracket");
        assertEquals(
                0,
                head(beam(frame(), "B", "E", Release.PIN, Release.NONE), "c1", true)
                        .beams(),
                "a hinge here");
        assertEquals(
                BEAM / 6000,
                head(beam(frame(), "B", "E", Release.NONE, Release.PIN), "c1", true)
                        .beams(),
                1,
                "a hinge at the far end");
        Release part = new Release(Release.RIGID, Release.RIGID, Release.RIGID, Release.RIGID, 1e9, Release.RIGID);
        assertEquals(
                0, head(beam(frame(), "B", "E", part, Release.NONE), "c1", true).beams(), "one that gives way");
        ModelBuilder hinged = frame().joint("M", 2500, 0, 4000).beam("m", "M", "E", "B");
        assertEquals(
                0,
                head(beam(hinged, "B", "M", Release.NONE, Release.PIN), "c1", true)
                        .beams(),
                "a hinge in the span");
    }

    /** At 45° half of it counts each way; 30° to X three quarters and a quarter. */
    @Test
    void beamsAskewCountByTheSquareOfTheirCosine() {
        ModelBuilder b = frame().beam("y", "G", "B", "B");
        b.joint("P", 3000 * Math.sqrt(3), 3000, 0)
                .joint("Q", 3000 * Math.sqrt(3), 3000, 4000)
                .column("q", "P", "Q")
                .fixed("P")
                .beam("a", "B", "Q", "B");
        assertEquals(0.75 * BEAM / 6000, head(b, "c1", true).beams(), 1);
        assertEquals(0.25 * BEAM / 6000 + BEAM / 5000, head(b, "c1", false).beams(), 1);
    }

    /** A beam that lies on its side bends about its other axis; a column turned by 90° changes its axes with it. */
    @Test
    void turnedSections() {
        ModelBuilder b = member(frame(), Role.BEAM, "B", "E", Release.NONE, Release.NONE, Math.PI / 2);
        assertEquals(E * 600 * 300 * 300 * 300 / 12 / 6000, head(b, "c1", true).beams(), 1e-6 * BEAM);
        ModelBuilder c = framed().joint("H", 0, 5000, 7000);
        member(c, Role.COLUMN, "G", "H", Release.NONE, Release.NONE, Math.PI / 2);
        ColumnEnd x = head(c, "GH", false);
        assertEquals(STIFF / 3000, x.columns(), 1e-6 * x.columns());
        ColumnEnd below = head(c, "f", false);
        assertEquals(
                SLACK / 4000 + STIFF / 3000,
                below.columns(),
                1e-6 * below.columns(),
                "a lift turned against the one below");
    }

    /** A column with its own hinge turns; one above that is hinged there adds nothing. */
    @Test
    void hingesOfColumns() {
        ModelBuilder b = framed().joint("H", 0, 5000, 7000);
        member(b, Role.COLUMN, "G", "H", Release.PIN, Release.NONE, 0);
        assertTrue(along(lift(b, "GH"), false).foot().hinged());
        ColumnEnd below = head(b, "f", false);
        assertEquals(SLACK / 4000, below.columns(), 1e-6 * below.columns());
    }

    /** A support counts about the axis that it holds; springs by their projection. */
    @Test
    void supportsAndSpringsByDirection() {
        ModelBuilder b = framed();
        b.supports.removeIf(s -> s.joint().equals("A"));
        b.supports.add(new Support("A", true, true, true, false, true, true));
        b.springs.add(new Spring("A", 0, 0, 0, 3e9, 0, 0));
        ColumnEnd x = along(lift(b, "c1"), true).foot();
        ColumnEnd y = along(lift(b, "c1"), false).foot();
        assertTrue(x.fixed(), "about Y it is held");
        assertFalse(y.fixed());
        assertEquals(3e9, y.springs(), 1);
        assertEquals(0, x.springs(), 1);
    }

    /** Two members without a beam between them are one length, of the slighter section. */
    @Test
    void aLengthOfSeveralMembersIsOne() {
        ModelBuilder b = framed().joint("X", 0, 0, 11_000).joint("Y", 6000, 0, 11_000);
        b.section("T", 300, 300);
        b.members.add(new Member(
                "c3", Role.COLUMN, "C", "X", "T", "C", 0, Release.NONE, Release.NONE, 0, 0, StiffnessFactors.GROSS));
        b.column("d2", "E", "Y").beam("top", "X", "Y", "B");
        ColumnEnd head = head(b, "c2", true);
        double least = E * 300 * 300 * 300 * 300 / 12 / 7000;
        assertEquals(least, head.columns(), 1e-6 * least);
        assertEquals(BEAM / 6000, head.beams(), 1);
        assertEquals(List.of(head), List.of(head(b, "c3", true)));
    }
}
