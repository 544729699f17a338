package kolonne.core.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Decisions;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.Role;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.type.Types;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The column schedule read as a foreman reads it: by the head of a stack and the row of a storey, from places on the page alone. */
class ColumnScheduleTest {
    private static final BuildingDesign DEMO = DesignedDemo.by(Basis.standard(false));

    /** Rows and columns of a page by its long rules: {x or y} in order. */
    private static List<Double> rules(Drawing d, boolean level) {
        Set<Double> out = new HashSet<>();
        d.lines().stream()
                .filter(l -> l.layer() == Layer.GRID)
                .filter(l -> level ? l.y1() == l.y2() && l.x1() == 0 : l.x1() == l.x2())
                .forEach(l -> out.add(level ? l.y1() : l.x1()));
        return out.stream().sorted().toList();
    }

    private static String within(Drawing d, double x1, double x2, double y1, double y2) {
        List<String> out = new ArrayList<>();
        d.labels().stream()
                .filter(t -> t.x() > x1 - 0.01 && t.x() < x2 - 0.01 && t.y() > y1 && t.y() < y2)
                .sorted((a, b) -> Double.compare(b.y(), a.y()))
                .forEach(t -> out.add(t.text()));
        return String.join(" ", out);
    }

    private static long bars(Drawing d, double x1, double x2, double y1, double y2) {
        return d.discs().stream()
                .filter(c -> c.layer() == Layer.BARS && c.x() > x1 && c.x() < x2 && c.y() > y1 && c.y() < y2)
                .count();
    }

    /** Whether a row's head names a storey: it alone, or it lies between the two that it names. */
    private static boolean names(String head, String storey, List<String> upwards) {
        String[] words = head.split(" ");
        String last = words[1].equals("to") ? words[2] : words[0];
        int at = upwards.indexOf(storey);
        return at >= upwards.indexOf(words[0]) && at <= upwards.indexOf(last);
    }

    private static void read(BuildingDesign d, List<String> upwards) {
        List<ColumnSchedule.Page> pages = ColumnSchedule.of(Scheduled.of(d), ColumnSchedule.WIDTH);
        int cells = 0;
        for (ScheduleGroups.Group<ColumnDesign> g : ScheduleGroups.columns(d)) {
            for (ColumnDesign.LiftDesign l : g.first().lifts()) {
                int found = 0;
                for (ColumnSchedule.Page p : pages) {
                    found += p.marks().contains(g.mark()) ? cell(p, g, l, upwards, d) : 0;
                }
                assertEquals(1, found, g.mark() + " to " + l.lift().storey() + " stands in one cell");
                cells++;
            }
        }
        assertTrue(cells > 5);
    }

    private static int cell(
            ColumnSchedule.Page p,
            ScheduleGroups.Group<ColumnDesign> g,
            ColumnDesign.LiftDesign l,
            List<String> upwards,
            BuildingDesign d) {
        List<Double> xs = rules(p.drawing(), false);
        List<Double> ys = rules(p.drawing(), true);
        int column = p.marks().indexOf(g.mark());
        double left = xs.get(column);
        double right = xs.get(column + 1);
        assertTrue(within(p.drawing(), left, right, ys.get(ys.size() - 1), ColumnSchedule.HEIGHT)
                .startsWith(g.mark()));
        int found = 0;
        for (int r = 0; r + 1 < ys.size(); r++) {
            String head = within(p.drawing(), 0, xs.get(0), ys.get(r), ys.get(r + 1));
            if (!names(head, l.lift().storey(), upwards)) {
                continue;
            }
            found++;
            String words = within(p.drawing(), left, right, ys.get(r), ys.get(r + 1));
            assertTrue(
                    words.startsWith(l.lift().section().shape().label(d.basis().usUnits())), words);
            assertTrue(words.contains(l.cage().layout().words()), words);
            assertTrue(words.contains(l.cage().tie().label() + "-"), words);
            assertEquals(
                    l.cage()
                            .bars(l.lift().section().shape(), d.basis().columnCover())
                            .size(),
                    bars(p.drawing(), left, right, ys.get(r), ys.get(r + 1)),
                    "a disc a bar in " + words);
        }
        return found;
    }

    private static List<String> upwards(BuildingDesign d) {
        return d.analysis().index().building().storeys().stream()
                .sorted((a, b) -> Double.compare(a.elevation(), b.elevation()))
                .map(s -> s.name())
                .toList();
    }

    @Test
    void everyLiftOfTheDemoStandsInItsCell() {
        read(DEMO, upwards(DEMO));
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci-318-19", "en-1992-1-1"})
    void inUsUnitsAndByEurocodeAsWell(String code) {
        BuildingDesign d = DesignedDemo.by(DesignedDemo.SMALL, Basis.standard(code));
        read(d, upwards(d));
    }

    private static List<String> ids(String... marks) {
        return DEMO.columns().stream()
                .filter(c -> List.of(marks).contains(c.stack().mark()))
                .map(c -> c.stack().id())
                .toList();
    }

    /** Bars of C-B1 and C-D1 differ in lengths alone: they stand once. C-C4 ends a storey below C-C2: each stands under its letter. */
    @Test
    void columnsOfATypeStandOnceAsFarAsTheyAreAlike() {
        Types types = Types.NONE.adopted(Role.COLUMN, List.of(ids("C-B1", "C-D1"), ids("C-C2", "C-C4")), Set.of());
        Scheduled typed = Scheduled.of(DEMO.with(Decisions.typed(types), Set.of()));
        assertEquals(
                List.of("TC1a", "TC1b", "TC2a", "TC2b"),
                typed.columns().stream()
                        .filter(ScheduleGroups.Group::type)
                        .map(ScheduleGroups.Group::mark)
                        .sorted()
                        .toList());
        List<String> marks = ColumnSchedule.of(typed, ColumnSchedule.WIDTH).stream()
                .flatMap(p -> p.marks().stream())
                .filter(m -> m.startsWith("TC"))
                .sorted()
                .toList();
        assertEquals(List.of("TC1", "TC2a", "TC2b"), marks);
        Map<String, Integer> lifts = new TreeMap<>();
        for (Schedules.ColumnRow r : Schedules.columns(typed)) {
            if (marks.contains(r.mark())) {
                lifts.merge(r.mark() + " × " + r.members(), 1, Integer::sum);
            }
        }
        assertEquals(Map.of("TC1 × 2", 7, "TC2a × 1", 8, "TC2b × 1", 7), lifts);
    }

    @Test
    void nothingLeavesThePageAndNoTextsMeet() {
        for (ColumnSchedule.Page p : ColumnSchedule.of(Scheduled.of(DEMO), ColumnSchedule.WIDTH)) {
            double[] box = p.drawing().box();
            assertTrue(box[0] > -1 && box[1] > -1);
            assertTrue(
                    box[2] <= ColumnSchedule.WIDTH + 1 && box[3] <= ColumnSchedule.HEIGHT + 1,
                    p.marks().toString());
            List<Drawing.Label> texts = p.drawing().labels();
            for (int i = 0; i < texts.size(); i++) {
                for (int k = i + 1; k < texts.size(); k++) {
                    assertFalse(meet(texts.get(i), texts.get(k)), texts.get(i) + " and " + texts.get(k));
                }
            }
            List<Double> xs = rules(p.drawing(), false);
            texts.forEach(t -> xs.forEach(x ->
                    assertFalse(t.left() < x - 0.01 && t.left() + t.width() > x + 0.01, t.text() + " over a rule")));
        }
    }

    private static boolean meet(Drawing.Label a, Drawing.Label b) {
        return a.left() < b.left() + b.width()
                && b.left() < a.left() + a.width()
                && a.y() < b.y() + b.height()
                && b.y() < a.y() + a.height();
    }
}
