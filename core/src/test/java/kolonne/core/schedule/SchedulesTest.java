package kolonne.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.HandSet;
import kolonne.core.design.Quantities;
import kolonne.core.detail.BarItem;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Role;
import kolonne.core.type.Curve;
import kolonne.core.type.CurveMaker;
import kolonne.core.type.Types;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Schedules say what the cages hold: every span, lift and bar once, and the sums agree. */
class SchedulesTest {
    private static BuildingDesign d;

    @BeforeAll
    static void design() {
        d = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(150)))),
                Basis.standard("aci-318m-19"),
                BuildingDesigner.Progress.NONE);
    }

    @Test
    void everySpanAndEveryLiftHasARow() {
        List<Schedules.BeamRow> beams = Schedules.beams(Scheduled.of(d));
        assertEquals(d.beams().stream().mapToInt(b -> b.line().spans().size()).sum(), beams.size());
        List<Schedules.ColumnRow> columns = Schedules.columns(Scheduled.of(d));
        assertEquals(d.columns().stream().mapToInt(c -> c.lifts().size()).sum(), columns.size());
        int k = 0;
        for (ColumnDesign c : d.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                Schedules.ColumnRow r = columns.get(k++);
                assertEquals(c.stack().mark(), r.mark());
                assertEquals(l.cage().area() / l.lift().section().shape().A(), r.ratio(), 1e-12);
                assertEquals(l.cage().layout().words(), r.bars());
                assertTrue(
                        r.ties()
                                .startsWith(l.cage().tie().label() + "-"
                                        + Math.round(l.cage().ties().middle())),
                        r.ties());
                assertTrue(r.section().equals(l.lift().section().shape().label()) && r.utilisation() > 0);
            }
        }
    }

    @Test
    void stirrupsAreTheZonesOfTheCage() {
        for (BeamDesign b : d.beams()) {
            String words = Schedules.stirrups(b.cage(), 0, d.basis());
            List<BeamCage.Zone> zones =
                    b.cage().zones().stream().filter(z -> z.span() == 0).toList();
            assertEquals(zones.size(), words.split(" \\| ").length, words);
            for (BeamCage.Zone z : zones) {
                assertTrue(
                        words.contains(b.cage().count(z) + " " + z.bar().label() + "-" + Math.round(z.spacing())),
                        words);
            }
            assertTrue(words.endsWith(zones.get(0).legs() + " legs"), words);
        }
    }

    @Test
    void everyBarIsListedOnceAndTheSumsAgree() {
        List<Schedules.BarRow> rows = Schedules.bars(Scheduled.of(d));
        Set<String> seen = new HashSet<>();
        rows.forEach(r -> assertTrue(seen.add(r.member() + " " + r.barMark() + r.groups()), r + " is listed twice"));
        double mass = rows.stream().mapToDouble(r -> r.item().mass()).sum();
        assertEquals(d.quantities().steel(), mass, 1e-6 * mass);
        List<Schedules.SizeTotal> totals = Schedules.totals(rows);
        assertEquals(
                mass, totals.stream().mapToDouble(Schedules.SizeTotal::mass).sum(), 1e-6 * mass);
        for (int i = 1; i < totals.size(); i++) {
            assertTrue(diameter(totals.get(i - 1)) < diameter(totals.get(i)), "smallest first");
        }
    }

    private static double diameter(Schedules.SizeTotal t) {
        return BarCatalogue.METRIC.find(t.label()).diameter();
    }

    /** A cage may be set by hand with bars of another catalogue, kept from before a change of code: they weigh all the same. */
    @Test
    void barsOfAnotherCatalogueCount() {
        Bar eight = BarCatalogue.US.find("#8");
        BeamDesign b = d.beams().get(0);
        HandCage h = new HandCage(
                Map.of(BeamCage.Face.BOTTOM, List.of(new HandCage.Bars(1, 3, eight, -1e6, 1e6, true, true))),
                Map.of(),
                Map.of(),
                List.of());
        BuildingDesign by = d.with(
                HandSet.ofLines(Map.of(b.line().id(), h)), Set.of(b.line().id()));
        List<Schedules.BarRow> rows = Schedules.bars(Scheduled.of(by));
        double listed = rows.stream()
                .map(Schedules.BarRow::item)
                .filter(i -> i.bar().equals(eight))
                .mapToDouble(BarItem::mass)
                .sum();
        assertTrue(listed > 0);
        Schedules.SizeTotal total = Schedules.totals(rows).stream()
                .filter(t -> t.label().equals("#8"))
                .findFirst()
                .orElseThrow();
        assertEquals(listed, total.mass(), 1e-9);
        assertEquals(
                by.quantities().steel(),
                Schedules.totals(rows).stream()
                        .mapToDouble(Schedules.SizeTotal::mass)
                        .sum(),
                1e-3);
    }

    /** Members of a type are scheduled once; those whose lengths differ by a letter, and nothing is listed twice or left out. */
    /** Bars by what they are cut and bent to. */
    private static Map<String, Integer> counted(List<BarItem> bars) {
        Map<String, Integer> out = new HashMap<>();
        bars.forEach(b -> out.merge(b.shape() + b.bar().label() + b.dims() + b.cutLength(), b.number(), Integer::sum));
        return out;
    }

    /** A mark is one item: no two rows of a beam are cut and bent alike. */
    @Test
    void barsAlikeHaveOneMark() {
        for (ScheduleGroups.Group<BeamDesign> g : ScheduleGroups.beams(d)) {
            assertEquals(g.bars().size(), counted(g.bars()).size(), g.mark());
        }
    }

    @Test
    void typesAreScheduledOnceWithTheirMembers() {
        Curve beams = CurveMaker.beams(d.beams(), d.contexts()::beams, 200, CurveMaker.Progress.NONE);
        Curve columns = CurveMaker.columns(d.columns(), d.contexts()::columns, 200, CurveMaker.Progress.NONE);
        Types types =
                Types.NONE.adopted(Role.BEAM, groups(beams), Set.of()).adopted(Role.COLUMN, groups(columns), Set.of());
        BuildingDesign typed = d.with(Decisions.typed(types), Set.of());
        List<Schedules.BarRow> rows = Schedules.bars(Scheduled.of(typed));
        assertTrue(rows.size() < 0.7 * Schedules.bars(Scheduled.of(d)).size(), rows.size() + " rows");
        double listed =
                rows.stream().mapToDouble(r -> r.members() * r.item().mass()).sum();
        assertEquals(typed.quantities().steel(), listed, 1e-6 * listed);
        assertEquals(
                listed,
                Schedules.totals(rows).stream()
                        .mapToDouble(Schedules.SizeTotal::mass)
                        .sum(),
                1e-6 * listed);
        Set<String> members = new HashSet<>();
        Set<String> marks = new HashSet<>();
        for (ScheduleGroups.Group<BeamDesign> g : ScheduleGroups.beams(typed)) {
            assertTrue(marks.add(g.mark()), g.mark() + " twice");
            g.members().forEach(m -> assertTrue(members.add(m), m + " in two groups"));
            assertEquals(counted(g.bars()), listed(rows, g), g.mark());
            // every member has just these bars
            for (BeamDesign b : g.designs()) {
                assertEquals(
                        counted(g.bars()), counted(Quantities.bars(b)), b.line().mark());
            }
        }
        assertEquals(d.beams().size(), members.size());
        ScheduleGroups.columns(typed).forEach(g -> assertEquals(counted(g.bars()), listed(rows, g), g.mark()));
        oneMarkForBarsAlike(rows);
        assertTrue(rows.stream().anyMatch(r -> r.groups().contains("a")), "no type has bars of some members alone");
        int spans = Schedules.beams(Scheduled.of(typed)).stream()
                .mapToInt(Schedules.BeamRow::members)
                .sum();
        assertEquals(d.beams().stream().mapToInt(b -> b.line().spans().size()).sum(), spans);
        int lifts = Schedules.columns(Scheduled.of(typed)).stream()
                .mapToInt(Schedules.ColumnRow::members)
                .sum();
        assertEquals(d.columns().stream().mapToInt(c -> c.lifts().size()).sum(), lifts);
    }

    /** Spans of 7.04 and 7.07 m in one type: bars differ in length alone. They are scheduled in one row, and the list holds once what both have. */
    @Test
    void groupsThatDifferInLengthsAloneAreOneRow() {
        ModelBuilder b = new ModelBuilder().section("S", 350, 650).section("K", 600, 600);
        double[] spans = {7040, 7070};
        for (int i = 0; i < spans.length; i++) {
            double y = 9000 * i;
            for (int end = 0; end <= 1; end++) {
                String at = i + "-" + end;
                b.joint("f" + at, end * spans[i], y, 0)
                        .joint("t" + at, end * spans[i], y, 3500)
                        .fixed("f" + at)
                        .column("c" + at, "f" + at, "t" + at);
            }
        }
        b.members.replaceAll(m -> m.withSection("K"));
        for (int i = 0; i < spans.length; i++) {
            b.beam("m" + i, "t" + i + "-0", "t" + i + "-1").spread("m" + i, 0, spans[i], 30, 30);
        }
        BuildingDesign own = BuildingDesigner.design(b.solve(), d.basis(), BuildingDesigner.Progress.NONE);
        List<String> ids = own.beams().stream().map(q -> q.line().id()).toList();
        Types one = Types.NONE.adopted(Role.BEAM, List.of(ids), Set.of());
        Scheduled all = Scheduled.of(own.with(Decisions.typed(one), Set.of()));
        assertEquals(
                List.of("TB1a", "TB1b"),
                all.beams().stream().map(ScheduleGroups.Group::mark).toList());
        List<Schedules.BeamRow> rows = Schedules.beams(all);
        assertEquals(1, rows.size(), rows.toString());
        assertEquals("TB1", rows.get(0).mark());
        assertEquals(2, rows.get(0).members());
        assertEquals(6440, rows.get(0).clear(), 1e-6);
        assertEquals(6470, rows.get(0).clearMost(), 1e-6);
        List<Schedules.BarRow> bars = Schedules.bars(all);
        all.beams().forEach(g -> assertEquals(counted(g.bars()), listed(bars, g), g.mark()));
        for (Schedules.BarRow r : bars) {
            if (r.item().what().contains("through")) {
                assertEquals(1, r.members(), r.toString());
                assertTrue(r.groups().equals("a") || r.groups().equals("b"), r.toString());
            } else if (r.item().what().startsWith("stirrups")) {
                assertEquals(2, r.members(), r.toString());
                assertEquals("", r.groups());
            }
        }
        oneMarkForBarsAlike(bars);
    }

    /** What the list says of a group: rows for all of its type, and those that name its letter. */
    private static Map<String, Integer> listed(List<Schedules.BarRow> rows, ScheduleGroups.Group<?> g) {
        String letter = g.mark().substring(g.name().length());
        List<BarItem> bars = rows.stream()
                .filter(r -> r.member().equals(g.name()))
                .filter(r -> r.groups().isEmpty() || named(r.groups()).contains(letter))
                .map(Schedules.BarRow::item)
                .toList();
        return counted(bars);
    }

    /** {@code a–c, e}: a, b, c and e. */
    private static Set<String> named(String letters) {
        Set<String> out = new HashSet<>();
        for (String part : letters.split(", ")) {
            for (char c = part.charAt(0); c <= part.charAt(part.length() - 1); c++) {
                out.add(String.valueOf(c));
            }
        }
        return out;
    }

    /** Within a type or member a mark is one way to cut and bend, and the other way round. */
    private static void oneMarkForBarsAlike(List<Schedules.BarRow> rows) {
        Map<String, String> shapes = new HashMap<>();
        Map<String, String> marks = new HashMap<>();
        for (Schedules.BarRow r : rows) {
            String mark = r.member() + " " + r.barMark();
            String shape = r.member() + " " + counted(List.of(r.item())).keySet();
            assertEquals(shape, shapes.computeIfAbsent(mark, k -> shape));
            assertEquals(mark, marks.computeIfAbsent(shape, k -> mark));
        }
    }

    private static List<List<String>> groups(Curve c) {
        return c.types(c.suggested().types()).stream().map(Curve.Node::members).toList();
    }
}
