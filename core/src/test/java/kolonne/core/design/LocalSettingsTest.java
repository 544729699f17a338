package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.local.LocalScope;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Sway;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.finding.Finding;
import kolonne.core.joint.BeamsAtJoints;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Role;
import kolonne.core.type.MemberType;
import kolonne.core.type.TypeDesign;
import kolonne.core.type.Types;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Members with settings of their own are designed as in a building whose whole basis says so; all others as in one without. The other building's basis is put
 * together here, part by part, and not by what resolves local settings.
 */
class LocalSettingsTest {
    private static final Analysis BUILDING =
            FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(5, 3, 3, 2, false))));

    private static final LocalValues THICK = cover(50);

    private static LocalValues cover(double mm) {
        return new LocalValues(
                new LocalValues.OfMaterials(null, null, mm, mm, null),
                LocalValues.OfBars.NONE,
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                null);
    }

    private static Basis thick(Basis b, double mm) {
        Materials m = b.materials();
        return b.with(new Materials(m.fy(), m.fyt(), mm, mm, m.aggregate(), m.national()));
    }

    /** Designs that several tests compare with. */
    private static final Map<Basis, BuildingDesign> MADE = new ConcurrentHashMap<>();

    private static BuildingDesign design(Basis b) {
        BuildingDesign made = MADE.get(b);
        if (made == null) {
            made = BuildingDesigner.design(BUILDING, b, BuildingDesigner.Progress.NONE);
            MADE.put(b, made);
        }
        return made;
    }

    private static LocalSettings on(String name, LocalValues values, String... storeys) {
        return new LocalSettings(name, new LocalScope(null, Set.of(storeys), Set.of()), values);
    }

    private static void same(BeamDesign a, BeamDesign b) {
        assertEquals(a.cage(), b.cage(), a.line().mark());
        assertEquals(a.checks(), b.checks(), a.line().mark());
        assertEquals(a.findings(), b.findings(), a.line().mark());
    }

    private static void same(ColumnDesign a, ColumnDesign b) {
        assertEquals(a.cage(), b.cage(), a.stack().mark());
        assertEquals(a.lifts(), b.lifts(), a.stack().mark());
    }

    /** How many lines and stacks in the scope, and how many outside it, are as they must be. */
    private static int[] compared(BuildingDesign d, BuildingDesign in, BuildingDesign out, LocalScope scope) {
        int[] n = new int[2];
        for (int i = 0; i < d.beams().size(); i++) {
            BeamDesign b = d.beams().get(i);
            boolean holds = scope.role() != Role.COLUMN
                    && (scope.storeys().contains(b.line().storey())
                            || b.line().spans().stream()
                                    .flatMap(s -> s.members().stream())
                                    .anyMatch(m -> scope.members().contains(m.id())));
            same((holds ? in : out).beams().get(i), b);
            n[holds ? 0 : 1]++;
        }
        for (int i = 0; i < d.columns().size(); i++) {
            ColumnDesign c = d.columns().get(i);
            boolean holds = scope.role() != Role.BEAM
                    && c.stack().lifts().stream()
                            .anyMatch(l -> scope.storeys().contains(l.storey())
                                    || scope.members().contains(l.member()));
            same((holds ? in : out).columns().get(i), c);
            n[holds ? 0 : 1]++;
        }
        return n;
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void coverOfAStorey(String code) {
        Basis b = Basis.standard(code);
        String storey = BUILDING.index().building().storeys().get(1).name();
        LocalSettings s = new LocalSettings("exposed", new LocalScope(Role.BEAM, Set.of(storey), Set.of()), THICK);
        BuildingDesign d = design(b.with(List.of(s)));
        int[] n = compared(d, design(thick(b, 50)), design(b), s.scope());
        assertTrue(n[0] >= 4 && n[1] >= 10, n[0] + " in, " + n[1] + " out");
    }

    /** Single members: the whole line of a span, and the whole stack of a lift, answer to them. */
    @Test
    void gradesAndBarsOfSingleMembers() {
        Basis b = Basis.standard(false);
        BeamDesign line = design(b).beams().stream()
                .filter(x -> x.line().spans().size() > 1)
                .findFirst()
                .orElseThrow();
        String span = line.line().spans().get(1).members().get(0).id();
        ColumnDesign stack = design(b).columns().get(2);
        String lift = stack.stack().lifts().get(1).member();
        LocalScope scope = LocalScope.of(Set.of(span, lift));
        List<String> few = List.of("T20", "T25");
        LocalValues v = new LocalValues(
                new LocalValues.OfMaterials(500.0, null, null, null, null),
                new LocalValues.OfBars(few, few, null, null, null, null),
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                null);
        Materials m = b.materials();
        Basis whole = b.with(new Materials(500, m.fyt(), m.beamCover(), m.columnCover(), m.aggregate(), m.national()))
                .with(new kolonne.core.basis.part.Bars(
                        few,
                        few,
                        b.bars().stirrups(),
                        b.bars().layersMost(),
                        b.bars().practicalCap(),
                        b.bars().preference(),
                        b.bars().stockLength()));
        BuildingDesign d = design(b.with(List.of(new LocalSettings("two", scope, v))));
        int[] n = compared(d, design(whole), design(b), scope);
        assertEquals(2, n[0]);
    }

    @Test
    void oneStackBracedAndLonger() {
        Basis b = Basis.standard(false);
        String lift = design(b).columns().get(0).stack().lifts().get(0).member();
        LocalScope scope = LocalScope.of(Set.of(lift));
        LocalValues v = new LocalValues(
                LocalValues.OfMaterials.NONE,
                LocalValues.OfBars.NONE,
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                new LocalValues.OfSway(Sway.BRACED, Sway.BRACED, EffectiveLengths.GIVEN, 1.6, 1.3),
                null);
        Basis braced = b.with(new Frame(
                Sway.BRACED, Sway.BRACED, b.redistribution(), b.ductility(), EffectiveLengths.GIVEN, 1.6, 1.3));
        BuildingDesign d = design(b.with(List.of(new LocalSettings("core", scope, v))));
        int[] n = compared(d, design(braced), design(b), scope);
        assertEquals(1, n[0]);
        // the demo sways, so that it makes a difference
        assertNotEquals(
                design(braced).columns().get(0).lifts().get(0).sway(),
                design(b).columns().get(0).lifts().get(0).sway());
    }

    /** Each value is that of the last settings that give it. */
    /** A stack and the beams of a storey outside a special frame follow it by 18.14; outside an ordinary frame nothing is asked of them. */
    @Test
    void membersOutsideTheSeismicSystem() {
        Basis special = Varied.ductile(Basis.standard(false), Ductility.SPECIAL);
        BuildingDesign whole = design(special);
        ColumnDesign stack = whole.columns().get(0);
        Set<String> lifts =
                stack.stack().lifts().stream().map(ColumnStack.Lift::member).collect(Collectors.toSet());
        LocalValues outside = new LocalValues(
                LocalValues.OfMaterials.NONE,
                LocalValues.OfBars.NONE,
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                true);
        List<LocalSettings> set = List.of(
                new LocalSettings("gravity column", new LocalScope(Role.COLUMN, Set.of(), lifts), outside),
                new LocalSettings("gravity beams", new LocalScope(Role.BEAM, Set.of("L2"), Set.of()), outside));
        BuildingDesign d = BuildingDesigner.design(BUILDING, special.with(set), BuildingDesigner.Progress.NONE);
        for (ColumnDesign c : d.columns()) {
            boolean out = c.stack().id().equals(stack.stack().id());
            assertEquals(
                    !out,
                    has(c.lifts().get(0).checks(), "least-side"),
                    c.stack().mark());
            assertTrue(
                    has(c.lifts().get(0).checks(), "confinement-x"), c.stack().mark());
        }
        for (BeamDesign b : d.beams()) {
            if (b.line().spans().stream().anyMatch(s -> DuctileSpans.applies(b.line(), s))) {
                boolean out = b.line().storey().equals("L2");
                assertEquals(!out, has(b.checks(), "ductile-span"), b.line().mark());
                assertTrue(has(b.checks(), "capacity-shear"), b.line().mark());
            }
        }
        Basis ordinary = Varied.ductile(Basis.standard(false), Ductility.ORDINARY);
        assertEquals(Ductility.NONE, ordinary.of(set).ductility());
    }

    private static boolean has(List<CheckResult> all, String kind) {
        return all.stream().anyMatch(c -> c.kind().id().equals(kind));
    }

    @Test
    void severalAtOnce() {
        Basis b = Basis.standard(false);
        String storey = BUILDING.index().building().storeys().get(1).name();
        LocalValues stronger = new LocalValues(
                new LocalValues.OfMaterials(500.0, null, 45.0, 45.0, null),
                LocalValues.OfBars.NONE,
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                null);
        LocalSettings first = on("first", stronger, storey);
        LocalSettings then = on("then", cover(60), storey);
        Materials m = b.materials();
        Basis both = b.with(new Materials(500, m.fyt(), 60, 60, m.aggregate(), m.national()));
        compared(design(b.with(List.of(first, then))), design(both), design(b), first.scope());
        Basis other = b.with(new Materials(500, m.fyt(), 45, 45, m.aggregate(), m.national()));
        compared(design(b.with(List.of(then, first))), design(other), design(b), first.scope());
    }

    /** Bars that pass in joints are counted by the covers of the beam and of the column. */
    @Test
    void joints() {
        Basis b = Basis.standard(false);
        String[] storeys = BUILDING.index().building().storeys().stream()
                .map(kolonne.core.model.Storey::name)
                .toArray(String[]::new);
        List<String> all = crowded(design(thick(b, 50)));
        assertEquals(all, crowded(design(b.with(List.of(on("all", THICK, storeys))))));
        assertNotEquals(all, crowded(design(b)));
    }

    private static List<String> crowded(BuildingDesign d) {
        return JointFits.of(d).all().stream()
                .map(m -> m.beam() + " " + m.column() + " " + m.storey() + " " + m.top() + m.bars() + " " + m.room())
                .toList();
    }

    /** Lines with other settings do not share a cage, and it is said. */
    @Test
    void typesKeepTheirSettings() {
        Basis b = Basis.standard(false);
        BuildingDesign plain = design(b);
        List<BeamDesign> like = plain.beams().stream()
                .filter(x -> plain.beams().stream()
                                .filter(o ->
                                        kolonne.core.type.Likeness.of(o).shares(kolonne.core.type.Likeness.of(x), 200))
                                .count()
                        > 2)
                .toList();
        BeamDesign one = like.get(0);
        List<BeamDesign> three = like.stream()
                .filter(o -> kolonne.core.type.Likeness.of(o).shares(kolonne.core.type.Likeness.of(one), 100))
                .limit(3)
                .toList();
        Set<String> ids = Set.copyOf(three.stream().map(x -> x.line().id()).toList());
        Types types = Types.NONE.adopted(Role.BEAM, List.of(List.copyOf(ids)), Set.of());
        LocalScope scope =
                LocalScope.of(Set.of(one.line().spans().get(0).members().get(0).id()));
        BuildingDesign d = BuildingDesigner.design(
                BUILDING,
                b.with(List.of(new LocalSettings("wet room", scope, THICK))),
                Decisions.typed(types),
                BuildingDesigner.Progress.NONE);
        TypeDesign t = d.typed().get(0);
        assertEquals(2, t.members().size());
        assertEquals(List.of(new TypeDesign.LeftOut(one.line().id(), TypeDesign.Why.UNLIKE)), t.left());
        MemberType whole = types.all().values().iterator().next();
        assertEquals(ids, Set.copyOf(whole.members()));
        // an edit by hand elsewhere leaves it as it is
        BuildingDesign again =
                d.with(Decisions.typed(types), Set.of(three.get(1).line().id()));
        same(
                d.beams().get(plain.beams().indexOf(one)),
                again.beams().get(plain.beams().indexOf(one)));
        assertEquals(d.quantities().steel(), again.quantities().steel(), 1e-6);
    }

    /** In a ductile frame a joint sees the strength of the beam that meets it, with its own grade. */
    @Test
    void jointsSeeTheBeamsAsTheyAre() {
        Basis b = Varied.ductile(Basis.standard(false), Ductility.SPECIAL);
        String storey = BUILDING.index().building().storeys().get(1).name();
        LocalSettings s = new LocalSettings("heavy", new LocalScope(Role.BEAM, Set.of(storey), Set.of()), cover(60));
        BuildingDesign d = design(b.with(List.of(s)));
        BeamsAtJoints in = design(thick(b, 60)).contexts().columns().beams();
        BeamsAtJoints out = design(b).contexts().columns().beams();
        BeamsAtJoints now = d.contexts().columns().beams();
        // all joints of the storey are as in the other building, and only they differ from the one without
        Set<String> unlike = now.unlike(out);
        assertTrue(!unlike.isEmpty());
        Set<String> elsewhere = now.unlike(in);
        assertTrue(unlike.stream().noneMatch(elsewhere::contains));
        for (ColumnDesign c : d.columns()) {
            ColumnDesign again = kolonne.core.column.check.ColumnCheck.run(
                    c.stack(), c.cage(), d.contexts().of(c.stack()));
            same(again, c);
        }
    }

    @Test
    void whatHoldsForNothingIsSaid() {
        Basis b = Basis.standard(false);
        BuildingDesign d = design(b.with(List.of(
                on("attic", THICK, "no such storey"),
                new LocalSettings(
                        "two",
                        LocalScope.of(Set.of(
                                "gone", design(b).columns().get(0).stack().id())),
                        THICK))));
        List<String> said = d.findings().stream()
                .filter(f -> f.code().equals("basis.local-idle"))
                .map(Finding::what)
                .toList();
        assertEquals(2, said.size());
        assertTrue(said.get(0).contains("no beam and no column"), said.get(0));
        assertTrue(said.get(1).contains("1 member that the model does not have: gone"), said.get(1));
    }

    @Test
    void whatCannotBe() {
        Basis b = Basis.standard(false);
        assertEquals(List.of(), b.with(List.of(on("a", THICK, "L1"))).check());
        refused(b, "empty, longer", on(" ", THICK, "L1"));
        refused(b, "there twice", on("a", THICK, "L1"), on("a", THICK, "L2"));
        refused(b, "no storey and no member", on("a", THICK));
        refused(b, "change no value", on("a", LocalValues.NONE, "L1"));
        refused(b, "outside 10", on("a", cover(5), "L1"));
        refused(b, "outside 10", on("a", cover(Double.NaN), "L1"));
        refused(b, "has no bar T99", on("a", bars(List.of("T99")), "L1"));
        refused(b, "No bar is allowed", on("a", bars(List.of()), "L1"));
        refused(
                b,
                "closer than the closest of",
                on("a", spacing(200.0, null), "L1"),
                on("b", spacing(null, 150.0), "L1"));
        refused(
                b,
                "more than 50",
                java.util.stream.IntStream.range(0, 51)
                        .mapToObj(i -> on("s" + i, THICK, "L1"))
                        .toArray(LocalSettings[]::new));
    }

    private static LocalValues bars(List<String> beams) {
        return new LocalValues(
                LocalValues.OfMaterials.NONE,
                new LocalValues.OfBars(beams, null, null, null, null, null),
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                null);
    }

    private static LocalValues spacing(Double least, Double most) {
        return new LocalValues(
                LocalValues.OfMaterials.NONE,
                LocalValues.OfBars.NONE,
                new LocalValues.OfStirrups(null, least, most, null, null),
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                null);
    }

    private static void refused(Basis b, String words, LocalSettings... all) {
        List<Finding> f = b.with(List.of(all)).check();
        assertTrue(f.stream().anyMatch(x -> x.what().contains(words)), f.toString());
        assertTrue(f.stream().allMatch(x -> x.where().contains("local")), f.toString());
    }
}
