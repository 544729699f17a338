package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kolonne.core.compare.ForceTotals;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Direction;
import kolonne.core.model.FromFoot;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.StationForces;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Ells and tees that are drawn from their heads. The second route knows no rule of redrawing: a column is drawn from its foot, its shape and angle are those of a few that put concrete
 * where the column from above has it, its loads are resolved to the axes of the building, and forces are compared as vectors.
 */
class FromFootTest {
    private static final Shape.Ell ELL = new Shape.Ell(250, 700, 600, 300);
    private static final StiffnessFactors CRACKED = new StiffnessFactors(0.9, 0.8, 0.7, 0.5, 0.6, 0.3);
    private static final double TOLERANCE = 1e-9;

    /** Shape, angle [rad] and how far the head lies beside the foot [mm]. */
    static Stream<Arguments> columns() {
        List<Shape> shapes = List.of(ELL, new Shape.Tee(250, 700, 600, 300), new Shape.InvertedTee(300, 500, 900, 200));
        return shapes.stream()
                .flatMap(s -> Stream.of(0.0, 0.4, -2.0)
                        .flatMap(angle -> Stream.of(0, 900).map(aside -> Arguments.of(s, angle, aside))));
    }

    /** A column from A to B and a beam from B to C, both ends fixed. */
    private static ModelBuilder frame(double aside, Shape shape, Member column) {
        ModelBuilder b = new ModelBuilder();
        b.section("beam", 300, 500);
        b.sections.add(new Section("S", shape));
        b.joint("A", 0, 0, 0).joint("B", aside, 0.4 * aside, 4000).joint("C", 5000, 1000, 4000);
        b.members.add(column);
        return b.beam("beam", "B", "C", "beam").fixed("A").fixed("C").push("B", 30e3, -20e3, -400e3);
    }

    private static Member column(String from, String to, double angle, Release start, Release end, double[] rigid) {
        return new Member("c", Role.COLUMN, from, to, "S", "C", angle, start, end, rigid[0], rigid[1], CRACKED);
    }

    /** Whether a place to the right of and above the middle of the web's or flange's box is concrete: the web of an ell at its left, flanges on top but of one on its head. */
    private static boolean concrete(Shape.Flanged f, double y, double z) {
        double across = y + centroid(f);
        double up = z + f.centroid();
        boolean on = f instanceof Shape.InvertedTee ? up < f.hf() : up > f.h() - f.hf();
        double left = f instanceof Shape.Ell ? 0 : (f.bf() - f.bw()) / 2;
        boolean inside = up > 0 && up < f.h() && across > 0 && across < f.bf();
        return inside && (on || across > left && across < left + f.bw());
    }

    /** From the left edge of its box. */
    private static double centroid(Shape.Flanged f) {
        double web = f.bw() * (f.h() - f.hf());
        double flange = f.bf() * f.hf();
        return f instanceof Shape.Ell ? (web * f.bw() / 2 + flange * f.bf() / 2) / (web + flange) : f.bf() / 2;
    }

    /** By a grid of places at right angles to a column, in the axes of the building, whether each is concrete. */
    private static List<Boolean> body(Shape.Flanged f, double[][] axes) {
        double[][] plain = LocalAxes.of(new Joint("", 0, 0, 0), new Joint("", 0, 0, 1), 0);
        List<Boolean> out = new ArrayList<>();
        for (double u = -795; u < 800; u += 30) {
            for (double v = -795; v < 800; v += 30) {
                double[] at = new double[3];
                for (int k = 0; k < 3; k++) {
                    at[k] = u * plain[1][k] + v * plain[2][k];
                }
                // along the column to the plane at right angles to it
                out.add(concrete(f, dot(at, axes[1]), dot(at, axes[2])));
            }
        }
        return out;
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[][] axes(Line b) {
        return LocalAxes.of(b.from(), b.to(), b.angle());
    }

    /** A column's line and angle. */
    private record Line(Joint from, Joint to, double angle) {}

    /** How the same body is drawn from its foot. */
    private record Up(Shape.Flanged shape, double angle) {}

    private static Up up(Shape.Flanged down, double angle, Joint foot, Joint head) {
        List<Boolean> body = body(down, axes(new Line(head, foot, angle)));
        List<Up> fitting = new ArrayList<>();
        for (Shape.Flanged f : down instanceof Shape.Ell e
                ? List.of(e, new Shape.Ell(e.hf(), e.bf(), e.h(), e.bw()))
                : List.of(down)) {
            for (int k = 0; k < 4; k++) {
                for (double sign : new double[] {1, -1}) {
                    double a = sign * angle + k * Math.PI / 2;
                    List<Boolean> other = body(f, axes(new Line(foot, head, a)));
                    long unlike = IntStream.range(0, body.size())
                            .filter(i -> !body.get(i).equals(other.get(i)))
                            .count();
                    if (unlike < 5) {
                        fitting.add(new Up(f, a));
                    }
                }
            }
        }
        assertTrue(!fitting.isEmpty(), "no way to draw it from its foot");
        return fitting.get(0);
    }

    /** The number and sense of the axis of {@code other} that an axis lies along. */
    private static int[] along(double[] axis, double[][] other) {
        for (int k = 0; k < 3; k++) {
            double c = dot(axis, other[k]);
            if (Math.abs(c) > 0.999) {
                return new int[] {k, c > 0 ? 1 : -1};
            }
        }
        throw new AssertionError("turned by an odd angle");
    }

    private static List<MemberLoad> local(double length) {
        return List.of(
                new MemberLoad("P", "c", MemberLoad.Kind.DISTRIBUTED, Direction.LOCAL_Y, 200, length - 900, 12, 5),
                new MemberLoad("P", "c", MemberLoad.Kind.POINT, Direction.LOCAL_Z, 1300, 1300, 60e3, 0),
                new MemberLoad("P", "c", MemberLoad.Kind.POINT, Direction.LOCAL_X, 700, 700, 90e3, 0),
                new MemberLoad("P", "c", MemberLoad.Kind.MOMENT, Direction.LOCAL_Y, 2100, 2100, 25e6, 0),
                new MemberLoad("P", "c", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, length, 3e3, 5e3),
                new MemberLoad("P", "c", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, 1000, 9, 4),
                new MemberLoad("P", "c", MemberLoad.Kind.DISTRIBUTED, Direction.PROJECTED_Y, 500, length, 2, 7));
    }

    /** The same from the other end, in the axes of the building. */
    private static List<MemberLoad> resolved(MemberLoad l, double[][] axes, double length) {
        boolean spread = l.kind().spread();
        List<MemberLoad> out = new ArrayList<>();
        for (int k = 0; k < 3; k++) {
            Direction d = l.direction().isLocal() ? Direction.values()[k] : l.direction();
            double part = l.direction().isLocal() ? axes[l.direction().axis()][k] : k == 0 ? 1 : 0;
            if (part != 0) {
                out.add(
                        spread
                                ? new MemberLoad(
                                        "P",
                                        "c",
                                        l.kind(),
                                        d,
                                        length - l.to(),
                                        length - l.from(),
                                        part * l.w2(),
                                        part * l.w1())
                                : new MemberLoad(
                                        "P", "c", l.kind(), d, length - l.from(), length - l.from(), part * l.w1(), 0));
            }
        }
        return out;
    }

    /** What acts on the side of the end of the column, in the axes of the building: a force, then a moment. */
    private static double[] vectors(double[] f, double[][] axes, int sense) {
        double[] local = {f[0], -f[1], -f[2], f[3], -f[4], f[5]};
        double[] out = new double[6];
        for (int i = 0; i < 6; i++) {
            for (int k = 0; k < 3; k++) {
                out[i / 3 * 3 + k] += sense * local[i] * axes[i % 3][k];
            }
        }
        return out;
    }

    private static double[] forces(Analysis a, int station) {
        return IntStream.range(0, 6).mapToDouble(i -> a.force(0, 0, station, i)).toArray();
    }

    private static void same(double[] expected, double[] actual, double scale) {
        for (int i = 0; i < expected.length; i++) {
            assertEquals(expected[i], actual[i], scale * (i % 6 < 3 ? 1 : 1000), "component " + i);
        }
    }

    @ParameterizedTest
    @MethodSource("columns")
    void theSameColumnFromItsFoot(Shape.Flanged shape, double angle, int aside) {
        Joint foot = new Joint("A", 0, 0, 0);
        Joint head = new Joint("B", aside, 0.4 * aside, 4000);
        double length = foot.distanceTo(head);
        double[][] down = LocalAxes.of(head, foot, angle);
        Up way = up(shape, angle, foot, head);
        double[][] upwards = LocalAxes.of(foot, head, way.angle());
        // a soft connection at the head, about one axis softer than about the other: bending about principal axes does
        // not count then
        double[] soft = {1e9, 1e9, 1e9, 1e9, 1e9, 1e9};
        int axis = along(down[1], upwards)[0];
        double about = angle == 0 ? 1e9 : 4e9;
        soft[3 + 1] = about;
        double[] turned = soft.clone();
        turned[3 + 1] = 1e9;
        turned[3 + axis] = about;
        Release atHead = release(soft);
        Release atHeadUp = release(turned);

        ModelBuilder given = frame(aside, shape, column("B", "A", angle, atHead, atHead, new double[] {150, 80}));
        given.memberLoads.addAll(local(length));
        ModelBuilder other =
                frame(aside, way.shape(), column("A", "B", way.angle(), atHeadUp, atHeadUp, new double[] {80, 150}));
        local(length).forEach(l -> other.memberLoads.addAll(resolved(l, down, length)));
        Member m = other.members.get(0);
        boolean legs = axis == 2;
        other.members.set(0, legs ? m.withStiffness(new StiffnessFactors(0.9, 0.7, 0.8, 0.6, 0.5, 0.3)) : m);
        Analysis a = given.solve();
        Analysis b = other.solve();
        for (int d = 0; d < 6; d++) {
            assertEquals(b.displacement(0, 1, d), a.displacement(0, 1, d), d < 3 ? 1e-8 : 1e-11, "moves along " + d);
        }
        Member redrawn = a.index().building().members().get(0);
        assertEquals("A", redrawn.start());
        double[][] is = LocalAxes.of(foot, head, redrawn.angle());
        assertEquals(
                body(way.shape(), upwards),
                body((Shape.Flanged) a.index().sectionOf(redrawn).shape(), is));
        for (int s = 0; s < a.stationCount(0); s++) {
            assertEquals(b.stationX(0, s), a.stationX(0, s), 1e-6);
            same(vectors(forces(b, s), upwards, 1), vectors(forces(a, s), is, 1), 1e-4);
        }
        // what is told of it as it was given, and taken again
        assertNotNull(a.turn(0));
        assertNull(b.turn(0));
        int last = a.stationCount(0) - 1;
        List<StationForces> told = new ArrayList<>();
        for (int s = 0; s <= last; s++) {
            double[] f = forces(a, last - s);
            int at = s;
            double[] g = IntStream.range(0, 6)
                    .mapToDouble(i -> a.drawnForce(0, 0, at, i))
                    .toArray();
            same(vectors(f, is, 1), vectors(g, down, -1), TOLERANCE * 1e6);
            told.add(new StationForces("c", "P", a.drawnX(0, s), g[0], g[1], g[2], g[3], g[4], g[5]));
        }
        for (int s = 0; s < a.stationCount(1); s++) {
            told.add(new StationForces("beam", "P", a.stationX(1, s), 0, 0, 0, 0, 0, 0));
        }
        assertTrue(ForceTotals.of(told.subList(0, last + 1), a).stream()
                .allMatch(
                        q -> q.verdict() == ForceTotals.Verdict.AGREES || q.verdict() == ForceTotals.Verdict.NOTHING));
        given.stationForces.addAll(told);
        Analysis taken = given.solve();
        for (int s = 0; s <= last; s++) {
            assertEquals(a.stationX(0, s), taken.stationX(0, s), 1e-6);
            same(forces(a, s), forces(taken, s), 1e-6);
        }
    }

    private static Release release(double[] k) {
        return new Release(k[0], k[1], k[2], k[3], k[4], k[5]);
    }

    /** Sections of which the building has the mirror image are taken; the same legs need none. */
    @Test
    void sectionsThatAreThereAreTaken() {
        double[] none = {0, 0};
        ModelBuilder b = frame(0, ELL, column("B", "A", 0, Release.NONE, Release.NONE, none));
        BuildingIndex is = FromFoot.expanded(new BuildingIndex(b.building()));
        assertEquals("S, mirrored", is.building().members().get(0).section());
        b.sections.add(new Section("other", new Shape.Ell(300, 600, 700, 250)));
        is = FromFoot.expanded(new BuildingIndex(b.building()));
        assertEquals("other", is.building().members().get(0).section());
        assertEquals(b.building().sections(), is.building().sections());
        ModelBuilder even =
                frame(0, new Shape.Ell(250, 600, 600, 250), column("B", "A", 0, Release.NONE, Release.NONE, none));
        is = FromFoot.expanded(new BuildingIndex(even.building()));
        assertEquals("S", is.building().members().get(0).section());
        assertEquals("A", is.building().members().get(0).start());
    }

    @Test
    void othersStayAsTheyAre() {
        double[] none = {0, 0};
        BuildingIndex up = new BuildingIndex(frame(0, ELL, column("A", "B", 0, Release.NONE, Release.NONE, none))
                .building());
        assertSame(up, FromFoot.expanded(up));
        BuildingIndex rectangle = new BuildingIndex(
                frame(0, new Shape.Rectangle(300, 500), column("B", "A", 0, Release.NONE, Release.NONE, none))
                        .building());
        assertSame(rectangle, FromFoot.expanded(rectangle));
    }
}
