package kolonne.core.revision;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Release;
import kolonne.core.model.Section;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/**
 * A newer model is made from the demo building by hand: members get other ids, run the other way, lie elsewhere, are cut or taken away; which is which is known
 * from the making. Own changes are proven by what they must do: carried to the unchanged file they make the edited model again, carried to the edited model
 * nothing is left to do.
 */
final class RevisionTest {
    private static final Building BUILDING = DemoBuilding.generate(DemoOptions.VELDHAVEN);

    private static BuildingIndex index(Building b) {
        return new BuildingIndex(b);
    }

    private static Building withJoints(Building b, List<Joint> joints) {
        return new Building(
                b.name(),
                b.unitSystem(),
                b.options(),
                b.storeys(),
                b.gridLines(),
                joints,
                b.materials(),
                b.sections(),
                b.members(),
                b.supports(),
                b.springs(),
                b.diaphragms(),
                b.panels(),
                b.loadCases(),
                b.memberLoads(),
                b.areaLoads(),
                b.jointLoads(),
                b.settlements(),
                b.combinations(),
                b.stationForces());
    }

    private static Building withLoads(Building b, List<MemberLoad> loads) {
        return b.withLoads(b.loadCases(), loads, b.areaLoads(), b.combinations());
    }

    private static Member as(Member m, String id, String start, String end, Release atStart, Release atEnd) {
        return new Member(
                id, m.role(), start, end, m.section(), m.material(), m.angle(), atStart, atEnd, 0, 0, m.stiffness());
    }

    /** The building with members under the ids that others had, in another order, a third of them running the other way. */
    private static Building renumbered(Map<String, String> ids, Random random) {
        List<String> others =
                new ArrayList<>(BUILDING.members().stream().map(Member::id).toList());
        Collections.shuffle(others, random);
        BuildingIndex index = index(BUILDING);
        Map<String, Boolean> turned = new HashMap<>();
        List<Member> members = new ArrayList<>();
        for (int i = 0; i < others.size(); i++) {
            Member m = BUILDING.members().get(i);
            boolean turn = random.nextInt(3) == 0;
            ids.put(m.id(), others.get(i));
            turned.put(m.id(), turn);
            members.add(new Member(
                    others.get(i),
                    m.role(),
                    turn ? m.end() : m.start(),
                    turn ? m.start() : m.end(),
                    m.section(),
                    m.material(),
                    m.angle(),
                    turn ? m.endRelease() : m.startRelease(),
                    turn ? m.startRelease() : m.endRelease(),
                    turn ? m.rigidEnd() : m.rigidStart(),
                    turn ? m.rigidStart() : m.rigidEnd(),
                    m.stiffness()));
        }
        Collections.shuffle(members, random);
        List<MemberLoad> loads = BUILDING.memberLoads().stream()
                .map(l -> {
                    double length = index.length(index.member(l.member()));
                    return turned.get(l.member())
                            ? new MemberLoad(
                                    l.loadCase(),
                                    ids.get(l.member()),
                                    l.kind(),
                                    l.direction(),
                                    length - (l.kind().spread() ? l.to() : l.from()),
                                    length - l.from(),
                                    l.kind().spread() ? l.w2() : l.w1(),
                                    l.kind().spread() ? l.w1() : l.w2())
                            : new MemberLoad(
                                    l.loadCase(),
                                    ids.get(l.member()),
                                    l.kind(),
                                    l.direction(),
                                    l.from(),
                                    l.to(),
                                    l.w1(),
                                    l.w2());
                })
                .toList();
        return withLoads(BUILDING.withMembers(members), loads);
    }

    @Test
    void aModelThatIsNumberedAnewIsKnownByItsPlaces() {
        for (int seed = 0; seed < 5; seed++) {
            Map<String, String> ids = new HashMap<>();
            Building newer = renumbered(ids, new Random(seed));
            ModelComparison c = ModelComparison.of(index(BUILDING), index(newer));
            assertEquals(ids, c.members().pairs());
            assertEquals(1, c.members().found());
            assertTrue(
                    c.differences().stream().allMatch(d -> d.kind() == Difference.Kind.RENAMED),
                    c.differences().toString());
        }
    }

    @Test
    void theSameModelDiffersInNothing() {
        ModelComparison c = ModelComparison.of(index(BUILDING), index(DemoBuilding.generate(DemoOptions.VELDHAVEN)));
        assertTrue(c.same(), c.differences().toString());
    }

    @Test
    void storeysThatBecomeHigherKeepTheirMembersByTheirIds() {
        // the higher storeys come to lie further off than their columns are long, and some where others lay
        double factor = 1.25;
        Building newer = withJoints(
                BUILDING,
                BUILDING.joints().stream()
                        .map(j -> new Joint(j.id(), j.x(), j.y(), j.z() * factor))
                        .toList());
        MemberMatching m = MemberMatching.of(index(BUILDING), index(newer));
        BuildingIndex index = index(BUILDING);
        BUILDING.members().forEach(q -> assertEquals(q.id(), m.pairs().get(q.id())));
        m.moved().forEach((id, by) -> {
            Member q = index.member(id);
            double z = Math.max(index.joint(q.start()).z(), index.joint(q.end()).z());
            assertEquals(z * (factor - 1), by, 1e-6, id);
        });
    }

    @Test
    void membersThatGoComeAndAreCutAreTold() {
        BuildingIndex index = index(BUILDING);
        List<Member> beams = BUILDING.members().stream()
                .filter(m -> m.role() == kolonne.core.model.Role.BEAM)
                .filter(m -> BUILDING.memberLoads().stream()
                        .noneMatch(l -> l.member().equals(m.id())))
                .toList();
        Member gone = beams.get(0);
        Member cut = beams.get(5);
        Joint a = index.joint(cut.start());
        Joint z = index.joint(cut.end());
        Joint third = new Joint(
                "third", a.x() + (z.x() - a.x()) / 3, a.y() + (z.y() - a.y()) / 3, a.z() + (z.z() - a.z()) / 3);
        List<Joint> joints = new ArrayList<>(BUILDING.joints());
        joints.add(third);
        List<Member> members = new ArrayList<>(BUILDING.members());
        members.removeAll(List.of(gone, cut));
        members.add(as(cut, "one", cut.start(), "third", Release.NONE, Release.NONE));
        // the second part runs the other way
        members.add(as(cut, "two", cut.end(), "third", Release.NONE, Release.NONE));
        Building newer = withJoints(BUILDING.withMembers(members), joints);

        MemberMatching there = MemberMatching.of(index(BUILDING), index(newer));
        assertEquals(Map.of(cut.id(), List.of("one", "two")), there.divided());
        assertEquals(List.of(gone.id()), there.gone());
        assertTrue(there.fresh().isEmpty() && there.joined().isEmpty());
        assertEquals(List.of("one", "two"), there.successors().get(cut.id()));

        MemberMatching back = MemberMatching.of(index(newer), index(BUILDING));
        assertEquals(Map.of(cut.id(), List.of("one", "two")), back.joined());
        assertEquals(List.of(gone.id()), back.fresh());
        assertEquals(List.of(cut.id()), back.successors().get("two"));

        List<Difference> told =
                ModelComparison.of(index(BUILDING), index(newer)).differences();
        assertEquals(
                List.of(Difference.Kind.GONE, Difference.Kind.DIVIDED),
                told.stream().map(Difference::kind).distinct().toList());
    }

    @Test
    void anIdSaysNothingOfAMemberFarAway() {
        Member m = BUILDING.members().get(0);
        BuildingIndex index = index(BUILDING);
        double away = 5 * index.length(m) + 40_000;
        List<Joint> joints = new ArrayList<>(BUILDING.joints());
        joints.add(new Joint("p", away, away, 0));
        joints.add(new Joint("q", away, away, 3000));
        List<Member> members = new ArrayList<>(BUILDING.members());
        members.set(0, as(m, m.id(), "p", "q", Release.NONE, Release.NONE));
        MemberMatching c = MemberMatching.of(index, index(withJoints(BUILDING.withMembers(members), joints)));
        assertEquals(List.of(m.id()), c.gone());
        assertEquals(List.of(m.id()), c.fresh());
    }

    @Test
    void resizedReloadedAndReleasedMembersAreOneDifferenceEachKind() {
        List<String> three =
                BUILDING.members().stream().map(Member::id).limit(3).toList();
        AreaLoad slab = BUILDING.areaLoads().get(0);
        Building newer = ModelEdit.apply(
                BUILDING,
                List.of(
                        new ModelEdit.PutSection(new Section("X", new Shape.Rectangle(777, 888))),
                        new ModelEdit.SetSection(three, "X"),
                        new ModelEdit.SetStiffness(three.subList(0, 1), new StiffnessFactors(1, 0.3, 0.3, 0.1)),
                        new ModelEdit.SetReleases(three.subList(1, 2), Release.PIN, Release.NONE),
                        new ModelEdit.SetMemberLoads(
                                three.get(2),
                                BUILDING.loadCases().get(1).id(),
                                List.of(new MemberLoad(
                                        BUILDING.loadCases().get(1).id(),
                                        three.get(2),
                                        MemberLoad.Kind.POINT,
                                        kolonne.core.model.Direction.GLOBAL_X,
                                        500,
                                        500,
                                        1234,
                                        0))),
                        new ModelEdit.SetAreaLoad(slab.panel(), slab.loadCase(), 2 * slab.pressure())));
        List<Difference> told =
                ModelComparison.of(index(BUILDING), index(newer)).differences();
        Map<Difference.Kind, Integer> parts = new HashMap<>();
        told.forEach(d -> parts.merge(d.kind(), d.parts().size(), Integer::sum));
        assertEquals(3, parts.get(Difference.Kind.RESIZED));
        assertEquals(2, parts.get(Difference.Kind.CONNECTED));
        assertEquals(1, parts.get(Difference.Kind.RELOADED));
        assertEquals(1, parts.get(Difference.Kind.SLABS));
        assertEquals(4, parts.size(), told.toString());
        Difference reloaded = told.stream()
                .filter(d -> d.kind() == Difference.Kind.RELOADED)
                .findFirst()
                .orElseThrow();
        assertEquals("none", reloaded.was());
        assertEquals("1.2 kN global x", reloaded.now());
    }

    /** Edits of every kind, at random. */
    private static List<ModelEdit> edits(Random r) {
        List<ModelEdit> out = new ArrayList<>();
        List<Member> all = BUILDING.members();
        out.add(new ModelEdit.PutSection(new Section("Own", new Shape.Rectangle(333, 555))));
        for (int i = 0; i < 12; i++) {
            Member m = all.get(r.nextInt(all.size()));
            String c = BUILDING.loadCases()
                    .get(r.nextInt(BUILDING.loadCases().size()))
                    .id();
            AreaLoad slab =
                    BUILDING.areaLoads().get(r.nextInt(BUILDING.areaLoads().size()));
            out.add(
                    switch (i % 7) {
                        case 0 -> new ModelEdit.SetSection(List.of(m.id()), "Own");
                        case 1 ->
                            new ModelEdit.SetSection(
                                    List.of(m.id()),
                                    BUILDING.sections()
                                            .get(r.nextInt(BUILDING.sections().size()))
                                            .id());
                        case 2 ->
                            new ModelEdit.SetMaterial(
                                    List.of(m.id()),
                                    BUILDING.materials().get(r.nextInt(2)).id());
                        case 3 ->
                            new ModelEdit.SetStiffness(
                                    List.of(m.id()), r.nextBoolean() ? null : new StiffnessFactors(1, 0.4, 0.5, 0.1));
                        case 4 -> new ModelEdit.SetReleases(List.of(m.id()), Release.PIN, Release.NONE);
                        case 5 ->
                            new ModelEdit.SetMemberLoads(
                                    m.id(),
                                    c,
                                    List.of(new MemberLoad(
                                            c,
                                            m.id(),
                                            MemberLoad.Kind.DISTRIBUTED,
                                            kolonne.core.model.Direction.GLOBAL_Z,
                                            100,
                                            900,
                                            -5,
                                            -7)));
                        default ->
                            new ModelEdit.SetAreaLoad(slab.panel(), slab.loadCase(), r.nextBoolean() ? 0 : 0.0123);
                    });
        }
        AnalysisOptions o = BUILDING.options();
        out.add(new ModelEdit.SetOptions(new AnalysisOptions(
                !o.shearDeformation(), o.beams(), o.columns(), 0.25, o.pDelta(), !o.patternLive(), 0.003)));
        return out;
    }

    private static OwnChanges.Carried carried(Building edited, Building newer) {
        BuildingIndex older = index(edited);
        return OwnChanges.carry(BUILDING, older, index(newer), MemberMatching.of(older, index(newer)));
    }

    @Test
    void ownChangesMakeTheEditedModelAgain() {
        for (int seed = 0; seed < 10; seed++) {
            Building edited = ModelEdit.apply(BUILDING, edits(new Random(seed)));
            OwnChanges.Carried c = carried(edited, BUILDING);
            assertTrue(
                    c.told().stream().allMatch(o -> o.fate() == OwnChanges.Fate.KEPT),
                    c.told().toString());
            Building again = ModelEdit.apply(BUILDING, c.kept());
            ModelComparison same = ModelComparison.of(index(edited), index(again));
            assertTrue(same.same(), same.differences().toString());
            assertTrue(carried(edited, edited).kept().isEmpty());
            assertTrue(carried(edited, edited).told().stream().allMatch(o -> o.fate() == OwnChanges.Fate.THERE));
        }
    }

    @Test
    void ownChangesFollowMembersThatAreNumberedAnewAndTurned() {
        for (int seed = 0; seed < 5; seed++) {
            Random r = new Random(100 + seed);
            List<ModelEdit> edits = edits(r);
            Building edited = ModelEdit.apply(BUILDING, edits);
            Map<String, String> ids = new HashMap<>();
            Building newer = renumbered(ids, r);
            Building again = ModelEdit.apply(newer, carried(edited, newer).kept());
            List<Difference> told =
                    ModelComparison.of(index(edited), index(again)).differences();
            assertTrue(told.stream().allMatch(d -> d.kind() == Difference.Kind.RENAMED), told.toString());
        }
    }

    @Test
    void whereTheNewerModelSaysSomethingElseItCounts() {
        Member m = BUILDING.members().get(3);
        Member other = BUILDING.members().get(4);
        Member gone = BUILDING.members().get(BUILDING.members().size() - 1);
        ModelEdit mine = new ModelEdit.SetReleases(List.of(m.id(), other.id(), gone.id()), Release.PIN, Release.PIN);
        Building edited = ModelEdit.apply(BUILDING, List.of(mine));
        Building theirs = ModelEdit.apply(
                BUILDING,
                List.of(
                        new ModelEdit.SetReleases(List.of(m.id()), Release.NONE, Release.PIN),
                        new ModelEdit.SetReleases(List.of(other.id()), Release.PIN, Release.PIN)));
        List<Member> without = new ArrayList<>(theirs.members());
        without.removeIf(q -> q.id().equals(gone.id()));
        OwnChanges.Carried c = carried(edited, theirs.withMembers(without));
        assertTrue(c.kept().isEmpty());
        Map<String, OwnChanges.Own> byMember = new HashMap<>();
        c.told().forEach(o -> o.members().forEach(q -> byMember.put(q, o)));
        assertEquals(OwnChanges.Fate.LOST, byMember.get(m.id()).fate());
        assertTrue(byMember.get(m.id()).reason().startsWith("the newer model changes"));
        assertEquals(OwnChanges.Fate.THERE, byMember.get(other.id()).fate());
        assertEquals("the member is gone", byMember.get(gone.id()).reason());
    }

    @Test
    void aSectionThatTheNewerModelLacksComesWithIt() {
        Member m = BUILDING.members().get(3);
        List<ModelEdit> mine = List.of(
                new ModelEdit.PutSection(new Section("Own", new Shape.Rectangle(333, 555))),
                new ModelEdit.SetSection(List.of(m.id()), "Own"));
        // the newer model has another section of that name
        List<Section> sections = new ArrayList<>(BUILDING.sections());
        sections.add(new Section("Own", new Shape.Rectangle(100, 100)));
        Building newer = BUILDING.withSections(sections);
        Building again = ModelEdit.apply(
                newer, carried(ModelEdit.apply(BUILDING, mine), newer).kept());
        assertEquals(
                new Shape.Rectangle(333, 555),
                index(again).sectionOf(index(again).member(m.id())).shape());
        assertEquals(
                new Shape.Rectangle(100, 100),
                again.sections().stream()
                        .filter(s -> s.id().equals("Own"))
                        .findFirst()
                        .orElseThrow()
                        .shape());
    }
}
