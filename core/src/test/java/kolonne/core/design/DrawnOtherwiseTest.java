package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.Layer;
import kolonne.core.drawing.Paper;
import kolonne.core.drawing.Sheet;
import kolonne.core.drawing.Sheets;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.Joint;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.MemberLoad.Kind;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.project.ProjectData;
import kolonne.core.shape.Shape;
import kolonne.core.work.Progress;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A building is the same wherever its members are drawn from, in whatever order they stand in the file, in however many cases loads are given and whatever sections are called: every check has the same use. */
class DrawnOtherwiseTest {
    private static final double TURN = Math.toRadians(30);
    /** Columns that are turned: their sides then lie along no axis. Loads that are not the same from either end. */
    private static final Building BUILDING = loaded(turned(DemoBuilding.generate(DesignedDemo.SMALL)));

    private static Building turned(Building b) {
        return with(
                b,
                b.joints(),
                b.members().stream()
                        .map(m -> m.role() == Role.COLUMN ? drawn(m, m.start(), m.end(), TURN) : m)
                        .toList(),
                b.memberLoads());
    }

    private static Building loaded(Building b) {
        BuildingIndex index = new BuildingIndex(b);
        List<MemberLoad> loads = new ArrayList<>(b.memberLoads());
        for (Member m : b.members()) {
            double l = index.length(m);
            if (m.role() == Role.BEAM) {
                loads.add(new MemberLoad("LA", m.id(), Kind.POINT, Direction.GLOBAL_Z, 0.3 * l, 0.3 * l, -8e3, 0));
                loads.add(new MemberLoad("SD", m.id(), Kind.DISTRIBUTED, Direction.LOCAL_Z, 0, 0.6 * l, -2, -1));
            } else {
                loads.add(new MemberLoad("WX", m.id(), Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, 0.5 * l, 1, 0));
            }
        }
        return with(b, b.joints(), b.members(), loads);
    }

    private static Building with(Building b, List<Joint> joints, List<Member> members, List<MemberLoad> loads) {
        return with(b, joints, b.sections(), members, b.loadCases(), loads, b.combinations());
    }

    private static Building with(
            Building b,
            List<Joint> joints,
            List<Section> sections,
            List<Member> members,
            List<LoadCase> cases,
            List<MemberLoad> loads,
            List<Combination> combinations) {
        return new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                joints,
                b.materials(),
                sections,
                members,
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                cases,
                loads,
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                combinations,
                b.stationForces());
    }

    /** Between two joints, at an angle [rad]; its ends change places with them. */
    private static Member drawn(Member m, String start, String end, double angle) {
        boolean same = start.equals(m.start());
        return new Member(
                m.id(),
                m.role(),
                start,
                end,
                m.section(),
                m.material(),
                angle,
                same ? m.startRelease() : m.endRelease(),
                same ? m.endRelease() : m.startRelease(),
                same ? m.rigidStart() : m.rigidEnd(),
                same ? m.rigidEnd() : m.rigidStart(),
                m.stiffness());
    }

    /** Every second column from its head, every second beam from its other end but ells, whose flange would be on the other side. */
    private static Building drawnFromTheOtherEnd() {
        BuildingIndex index = new BuildingIndex(BUILDING);
        List<Member> members = new ArrayList<>();
        Set<String> other = new HashSet<>();
        int k = 0;
        for (Member m : BUILDING.members()) {
            if (k++ % 2 == 0 || index.sectionOf(m).shape() instanceof Shape.Ell) {
                members.add(m);
            } else {
                other.add(m.id());
                members.add(drawn(m, m.end(), m.start(), -m.angle()));
            }
        }
        List<MemberLoad> loads = BUILDING.memberLoads().stream()
                .map(l -> other.contains(l.member()) ? from(l, index.length(index.member(l.member()))) : l)
                .toList();
        assertTrue(other.size() > 30 && !loads.equals(BUILDING.memberLoads()), other.size() + " drawn otherwise");
        return with(
                BUILDING,
                BUILDING.joints(),
                BUILDING.sections(),
                members,
                inTwoCases(),
                loads,
                BUILDING.combinations().stream()
                        .map(DrawnOtherwiseTest::ofTwoCases)
                        .toList());
    }

    /** The own weight as two cases of one half. */
    private static List<LoadCase> inTwoCases() {
        return BUILDING.loadCases().stream()
                .flatMap(c -> c.selfWeight() == 0
                        ? Stream.of(c)
                        : Stream.of(c.id(), "other " + c.id())
                                .map(id -> new LoadCase(id, id, c.kind(), c.selfWeight() / 2)))
                .toList();
    }

    private static Combination ofTwoCases(Combination k) {
        Set<String> heavy = BUILDING.loadCases().stream()
                .filter(c -> c.selfWeight() != 0)
                .map(LoadCase::id)
                .collect(Collectors.toSet());
        return new Combination(
                k.id(),
                k.name(),
                k.purpose(),
                k.terms().stream()
                        .flatMap(t -> heavy.contains(t.loadCase())
                                ? Stream.of(t, new Combination.Term("other " + t.loadCase(), t.factor()))
                                : Stream.of(t))
                        .toList());
    }

    /** The same load with its places counted from the other end. */
    private static MemberLoad from(MemberLoad l, double length) {
        int sense = l.direction().isLocal() && l.direction().axis() != 2 ? -1 : 1;
        return l.kind().spread()
                ? new MemberLoad(
                        l.loadCase(),
                        l.member(),
                        l.kind(),
                        l.direction(),
                        length - l.to(),
                        length - l.from(),
                        sense * l.w2(),
                        sense * l.w1())
                : new MemberLoad(
                        l.loadCase(),
                        l.member(),
                        l.kind(),
                        l.direction(),
                        length - l.from(),
                        length - l.to(),
                        sense * l.w1(),
                        l.w2());
    }

    /** Some sections under two names. */
    private static Building inAnotherOrder() {
        Random random = new Random(5);
        List<Joint> joints = new ArrayList<>(BUILDING.joints());
        List<Member> members = new ArrayList<>(BUILDING.members());
        List<MemberLoad> loads = new ArrayList<>(BUILDING.memberLoads());
        Collections.shuffle(joints, random);
        Collections.shuffle(members, random);
        Collections.shuffle(loads, random);
        List<Section> sections = new ArrayList<>(BUILDING.sections());
        BUILDING.sections().forEach(s -> sections.add(new Section("other " + s.id(), s.shape())));
        return with(
                BUILDING,
                joints,
                sections,
                members.stream()
                        .map(m -> random.nextBoolean() ? m.withSection("other " + m.section()) : m)
                        .toList(),
                BUILDING.loadCases(),
                loads,
                BUILDING.combinations());
    }

    private static BuildingDesign plain(String code) {
        return DesignedDemo.by("turned and loaded", () -> BUILDING, Basis.standard(code));
    }

    private static BuildingDesign fromTheOtherEnd(String code) {
        return DesignedDemo.by("from the other end", DrawnOtherwiseTest::drawnFromTheOtherEnd, Basis.standard(code));
    }

    private static BuildingDesign otherOrder(String code) {
        return DesignedDemo.by("in another order", DrawnOtherwiseTest::inAnotherOrder, Basis.standard(code));
    }

    /** Use by kind of every line and lift, by their members. */
    private static Map<String, Map<String, Double>> uses(BuildingDesign d) {
        Map<String, Map<String, Double>> out = new TreeMap<>();
        d.beams()
                .forEach(b -> out.put(
                        b.line().spans().stream()
                                .flatMap(s -> s.members().stream())
                                .map(Member::id)
                                .sorted()
                                .collect(Collectors.joining(" ")),
                        byKind(b.checks())));
        d.columns().forEach(c -> {
            for (int i = 0; i < c.lifts().size(); i++) {
                out.put(
                        c.stack().lifts().get(i).member(),
                        byKind(c.lifts().get(i).checks()));
            }
        });
        return out;
    }

    private static Map<String, Double> byKind(List<CheckResult> checks) {
        Map<String, Double> out = new TreeMap<>();
        checks.forEach(c -> out.put(c.kind().id(), c.utilisation()));
        return out;
    }

    @ParameterizedTest
    @CsvSource({"aci-318m-19, true", "en-1992-1-1, false"})
    void everyUseIsTheSame(String code, boolean fromTheOtherEnd) {
        Map<String, Map<String, Double>> one = uses(plain(code));
        Map<String, Map<String, Double>> other = uses(fromTheOtherEnd ? fromTheOtherEnd(code) : otherOrder(code));
        assertEquals(one.keySet(), other.keySet());
        one.forEach((member, uses) -> {
            assertEquals(uses.keySet(), other.get(member).keySet(), member);
            uses.forEach((kind, use) ->
                    assertEquals(use, other.get(member).get(kind), 1e-6 * Math.max(1, use), member + " " + kind));
        });
    }

    /** Marks follow the plan, not the digits that a program writes coordinates with. */
    @Test
    void marksAreTheSameWhereCoordinatesAreRounded() {
        Random random = new Random(13);
        List<Joint> rounded = BUILDING.joints().stream()
                .map(j -> new Joint(j.id(), off(j.x(), random), off(j.y(), random), off(j.z(), random)))
                .toList();
        assertEquals(marks(BUILDING), marks(with(BUILDING, rounded, BUILDING.members(), BUILDING.memberLoads())));
    }

    private static double off(double coordinate, Random random) {
        return coordinate + 0.1 * (random.nextDouble() - 0.5);
    }

    /** By the members that they are of. */
    private static Map<String, String> marks(Building b) {
        var analysis = FrameAnalysis.solve(new BuildingIndex(b));
        Map<String, String> out = new TreeMap<>();
        BeamLines.find(analysis)
                .forEach(l -> l.spans().forEach(s -> s.members().forEach(m -> out.put(m.id(), l.mark()))));
        ColumnStacks.find(analysis.index())
                .forEach(c -> c.lifts().forEach(l -> out.put(l.member(), c.mark() + " " + l.number())));
        return out;
    }

    /** Turned columns stand on the plans as they are turned. */
    @Test
    void plansAreTheSame() {
        assertEquals(concrete(plain("aci-318m-19")), concrete(fromTheOtherEnd("aci-318m-19")));
    }

    private static List<String> concrete(BuildingDesign d) {
        List<String> out = new ArrayList<>();
        for (Sheet s : Sheets.of(d, ProjectData.EMPTY, Set.of(), Paper.A1, Progress.NONE)) {
            if (s.marks().get(0).startsWith("Plan ")) {
                for (Drawing.Line l : s.drawing().lines()) {
                    if (l.layer() == Layer.CONCRETE) {
                        out.add(words(l.x1(), l.y1(), l.x2(), l.y2()));
                    }
                }
            }
        }
        Collections.sort(out);
        assertTrue(out.size() > 100, out.size() + " lines");
        return out;
    }

    /** A line from whichever end. */
    private static String words(double x1, double y1, double x2, double y2) {
        String a = Math.round(50 * x1) + " " + Math.round(50 * y1);
        String b = Math.round(50 * x2) + " " + Math.round(50 * y2);
        return a.compareTo(b) < 0 ? a + " to " + b : b + " to " + a;
    }
}
