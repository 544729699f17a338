package kolonne.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import kolonne.core.shape.Shape;

/**
 * Columns that are ells or tees and are drawn from their heads down, drawn from their feet instead: the same bodies, connections, loads and forces in other words. Seen
 * from above, what is drawn downwards has its section the other way round; every rule of columns may so suppose that a section is seen as it is.
 */
public final class FromFoot {
    private final BuildingIndex index;
    private final Building b;
    private final Map<String, Turn> turns = new HashMap<>();
    private final List<Section> sections;
    /** Of ells, by id: the section with its legs changed. */
    private final Map<String, String> changed = new HashMap<>();

    /**
     * How the axes of a redrawn member lie to those that it was drawn with; turned twice it is as before. Its x runs the other way. Of internal actions, which act on the
     * positive face, those change their sign that the signs of {@code core/analysis} make change: My pulls the −z face, Mz the −y face, V = dM/dx.
     */
    public enum Turn {
        /** Of a tee: z stays, so does its flange; y runs the other way. */
        AROUND(new int[] {0, 1, 2}, new int[] {-1, -1, 1}, new int[] {1, 1, -1, 1, 1, -1}),
        /** Of an ell: y runs against what was z, z against what was y; either leg takes the place of the other. */
        LEGS(new int[] {0, 2, 1}, new int[] {-1, -1, -1}, new int[] {1, 1, 1, 1, -1, -1});

        private final int[] axis;
        private final int[] sense;
        private final int[] ofAction;

        Turn(int[] axis, int[] sense, int[] ofAction) {
            this.axis = axis;
            this.sense = sense;
            this.ofAction = ofAction;
        }

        /** Which axis of before an axis 0..2 lies along. */
        public int axis(int i) {
            return axis[i];
        }

        /** Whether it runs with that axis, 1, or against it, -1. */
        public int sense(int i) {
            return sense[i];
        }

        /** Which internal action of before an action 0..5 is (N, Vy, Vz, T, My, Mz). */
        public int action(int i) {
            return i < 3 ? axis[i] : 3 + axis[i - 3];
        }

        /** 1 if it keeps its sign, else -1. */
        public int senseOfAction(int i) {
            return ofAction[i];
        }

        /** The shape in the turned axes. */
        public Shape of(Shape s) {
            return this == LEGS && s instanceof Shape.Ell e ? new Shape.Ell(e.hf(), e.bf(), e.h(), e.bw()) : s;
        }
    }

    private FromFoot(BuildingIndex index) {
        this.index = index;
        this.b = index.building();
        this.sections = new ArrayList<>(b.sections());
        b.members().forEach(m -> {
            Turn t = turn(index, m);
            if (t != null) {
                turns.put(m.id(), t);
            }
        });
    }

    /** How a member is to be redrawn; null where it stays as it is. */
    public static Turn turn(BuildingIndex index, Member m) {
        boolean down = m.role() == Role.COLUMN
                && index.sectionOf(m).shape() instanceof Shape.Flanged
                && index.joint(m.start()).z() > index.joint(m.end()).z();
        return !down ? null : index.sectionOf(m).shape() instanceof Shape.Ell ? Turn.LEGS : Turn.AROUND;
    }

    /** The building with these columns redrawn; the same index if it has none. */
    public static BuildingIndex expanded(BuildingIndex index) {
        FromFoot f = new FromFoot(index);
        return f.turns.isEmpty() ? index : new BuildingIndex(f.building());
    }

    private Building building() {
        List<Member> members = b.members().stream()
                .map(m -> turns.containsKey(m.id()) ? redrawn(m, turns.get(m.id())) : m)
                .toList();
        List<MemberLoad> loads = b.memberLoads().stream()
                .map(l -> turns.containsKey(l.member()) ? redrawn(l, turns.get(l.member())) : l)
                .toList();
        List<StationForces> forces = b.stationForces().stream()
                .map(s -> turns.containsKey(s.member()) ? redrawn(s, turns.get(s.member())) : s)
                .toList();
        return b.withMembers(members)
                .withSections(sections)
                .withLoads(b.loadCases(), loads, b.areaLoads(), b.combinations())
                .withStationForces(forces);
    }

    private Member redrawn(Member m, Turn t) {
        StiffnessFactors f = b.options().factorsOf(m);
        StiffnessFactors turned = redrawn(f, t);
        return new Member(
                m.id(),
                m.role(),
                m.end(),
                m.start(),
                section(m, t),
                m.material(),
                angle(m, t),
                redrawn(m.endRelease(), t),
                redrawn(m.startRelease(), t),
                m.rigidEnd(),
                m.rigidStart(),
                turned.equals(f) ? m.stiffness() : turned);
    }

    /** The section in the turned axes: one that the building has, else a new one. */
    private String section(Member m, Turn t) {
        Shape shape = t.of(index.sectionOf(m).shape());
        return shape.equals(index.sectionOf(m).shape())
                ? m.section()
                : changed.computeIfAbsent(
                        m.section(),
                        id -> sections.stream()
                                .filter(s -> s.shape().equals(shape))
                                .map(Section::id)
                                .findFirst()
                                .orElseGet(() -> added(id, shape)));
    }

    private String added(String id, Shape shape) {
        String name = id + ", mirrored";
        while (b.sections().stream().map(Section::id).anyMatch(name::equals)) {
            name += "'";
        }
        sections.add(new Section(name, shape));
        return name;
    }

    /** The angle by which the turned axes lie to those that a member of this direction has without one [rad]. */
    private double angle(Member m, Turn t) {
        Joint start = index.joint(m.start());
        Joint end = index.joint(m.end());
        double[] along = LocalAxes.of(start, end, m.angle())[t.axis(1)];
        double[][] plain = LocalAxes.of(end, start, 0);
        return Math.atan2(t.sense(1) * dot(along, plain[2]), t.sense(1) * dot(along, plain[1]));
    }

    private static double dot(double[] a, double[] c) {
        return a[0] * c[0] + a[1] * c[1] + a[2] * c[2];
    }

    private static Release redrawn(Release r, Turn t) {
        return new Release(
                r.at(t.action(0)),
                r.at(t.action(1)),
                r.at(t.action(2)),
                r.at(t.action(3)),
                r.at(t.action(4)),
                r.at(t.action(5)));
    }

    private static StiffnessFactors redrawn(StiffnessFactors f, Turn t) {
        return t == Turn.LEGS ? new StiffnessFactors(f.area(), f.shearZ(), f.shearY(), f.iz(), f.iy(), f.torsion()) : f;
    }

    private MemberLoad redrawn(MemberLoad given, Turn t) {
        double length = index.length(index.member(given.member()));
        MemberLoad l = given.on(length);
        boolean spread = l.kind().spread();
        boolean local = l.direction().isLocal();
        int axis = l.direction().axis();
        int sense = local ? t.sense(axis) : 1;
        return new MemberLoad(
                l.loadCase(),
                l.member(),
                l.kind(),
                local ? Direction.values()[Direction.LOCAL_X.ordinal() + t.axis(axis)] : l.direction(),
                length - (spread ? l.to() : l.from()),
                length - l.from(),
                sense * (spread ? l.w2() : l.w1()),
                sense * (spread ? l.w1() : l.w2()));
    }

    private StationForces redrawn(StationForces s, Turn t) {
        double[] was = {s.n(), s.vy(), s.vz(), s.t(), s.my(), s.mz()};
        double[] is = IntStream.range(0, was.length)
                .mapToDouble(i -> t.senseOfAction(i) * was[t.action(i)])
                .toArray();
        return new StationForces(
                s.member(),
                s.loadCase(),
                index.length(index.member(s.member())) - s.x(),
                is[0],
                is[1],
                is[2],
                is[3],
                is[4],
                is[5]);
    }
}
