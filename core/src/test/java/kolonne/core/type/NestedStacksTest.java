package kolonne.core.type;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.ColumnSplices;
import kolonne.core.basis.part.Ductility;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Decisions;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.Role;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Stacks that end at different heights and share the lifts that they have. Each is checked again by the checking path, which knows nothing of types; the steel is that of the bar list; few
 * of them are compared with the best of all their partitions.
 */
class NestedStacksTest {
    private static final double TOLERANCE = Types.STANDARD_TOLERANCE;

    private static Likeness like(String section, double... lifts) {
        List<Object> parts = Stream.of(section.split(" ")).<Object>map(s -> s).toList();
        return new Likeness(
                "basis", parts, java.util.Arrays.stream(lifts).boxed().toList());
    }

    @Test
    void aStackThatEndsLowerSharesTheLiftsThatItHas() {
        Likeness high = like("600 500 400", 3000, 3000, 3000);
        Likeness low = like("600 500", 3100, 3000);
        assertTrue(high.shares(low, 100) && low.shares(high, 100));
        assertFalse(high.sharesWhole(low, 100));
        assertFalse(high.shares(low, 99), "the lowest lift is 100 higher");
        assertFalse(high.shares(like("500 400", 3000, 3000), 100), "those of the foot, not of the top");
        assertFalse(like("600 500 450", 3000, 3000, 3000).shares(high, 100), "the highest differs");
        assertTrue(high.sharesWhole(like("600 500 400", 3050, 2950, 3000), 50));
        // what ends lower is alike to both of two that are not alike
        List<Likeness> mixed = List.of(like("600 500 450", 3000, 3000, 3000), low, high, high);
        assertEquals(List.of(low, high, high), Likeness.mostAlike(mixed, l -> l, 100));
    }

    @ParameterizedTest
    @CsvSource({"4, en-1992-1-1, 1, 2", "7, aci-318m-19, 1, 1", "7, aci-318m-19, 2, 1"})
    void haveOneCageAsFarAsTheyGo(int seed, String code, int every, int nested) {
        Basis standard = Basis.standard(code);
        Basis basis =
                every == 1 ? standard : standard.with(standard.practice().with(every, every, ColumnSplices.LAPS, true));
        BuildingDesign alone = DesignedDemo.by(new DemoOptions(seed, 3, 3, 2, true), basis);
        BuildingDesign with = fewest(alone);
        assertTrue(shared(alone, with) >= nested, "types of stacks of different heights");
        double told = curve(alone).points().stream()
                .mapToDouble(p -> p.steel().kg())
                .max()
                .orElseThrow();
        double listed = with.quantities().steel() - alone.quantities().steel();
        double columns =
                alone.columns().stream().mapToDouble(c -> Steel.of(c).kg()).sum();
        assertEquals(told, columns + listed, 1e-6 * told);
        scheduledAsFarAsTheyGo(with);
    }

    /** Over the head of the lower one stands no column whose strength would count beside its own. */
    @ParameterizedTest
    @EnumSource(
            value = Ductility.class,
            names = {"INTERMEDIATE", "SPECIAL"})
    void forEarthquakesAsWell(Ductility kind) {
        BuildingDesign alone =
                DesignedDemo.by(new DemoOptions(7, 2, 3, 2, true), Varied.ductile(Basis.standard("aci-318m-19"), kind));
        assertTrue(shared(alone, fewest(alone)) > 0);
    }

    private static Curve curve(BuildingDesign d) {
        return CurveMaker.columns(d.columns(), d.contexts()::columns, TOLERANCE, CurveMaker.Progress.NONE);
    }

    private static BuildingDesign fewest(BuildingDesign alone) {
        Curve c = curve(alone);
        int least = c.points().get(c.points().size() - 1).types();
        List<List<String>> groups =
                c.types(least).stream().map(Curve.Node::members).toList();
        return alone.with(Decisions.typed(Types.NONE.adopted(Role.COLUMN, groups, Set.of())), Set.of());
    }

    /** Types whose stacks end at different heights. */
    private static int shared(BuildingDesign alone, BuildingDesign with) {
        Map<String, ColumnDesign> own = byId(alone);
        Map<String, ColumnDesign> now = byId(with);
        int nested = 0;
        for (TypeDesign t : with.typed()) {
            assertTrue(t.sound() && t.left().isEmpty(), t.type().mark());
            ColumnDesign highest = t.members().stream()
                    .map(now::get)
                    .max(Comparator.comparingInt(c -> c.lifts().size()))
                    .orElseThrow();
            for (String id : t.members()) {
                ColumnDesign c = now.get(id);
                int lifts = c.stack().lifts().size();
                assertEquals(lifts, c.cage().lifts().size());
                assertEquals(highest.cage().lifts().subList(0, lifts), c.cage().lifts(), id);
                assertTrue(c.satisfied() || !own.get(id).satisfied(), id);
                ColumnDesign again =
                        ColumnCheck.run(c.stack(), c.cage(), with.contexts().columns());
                for (int i = 0; i < lifts; i++) {
                    assertEquals(again.lifts().get(i).checks(), c.lifts().get(i).checks(), id);
                }
            }
            nested += t.members().stream()
                                    .map(m -> now.get(m).lifts().size())
                                    .distinct()
                                    .count()
                            > 1
                    ? 1
                    : 0;
        }
        return nested;
    }

    private static Map<String, ColumnDesign> byId(BuildingDesign d) {
        Map<String, ColumnDesign> out = new HashMap<>();
        d.columns().forEach(c -> out.put(c.stack().id(), c));
        return out;
    }

    /** Those of one height under one letter, each with its own lifts. */
    private static void scheduledAsFarAsTheyGo(BuildingDesign with) {
        List<Schedules.ColumnRow> rows = Schedules.columns(Scheduled.of(with));
        for (Schedules.ColumnEntry e : Schedules.columnEntries(Scheduled.of(with))) {
            for (ColumnDesign c : e.designs()) {
                assertEquals(
                        c.stack().lifts().stream().map(ColumnStack.Lift::storey).toList(),
                        rows.stream()
                                .filter(r -> r.mark().equals(e.mark()))
                                .map(Schedules.ColumnRow::storey)
                                .toList(),
                        e.mark());
            }
        }
    }

    @Test
    void mergingComesNearTheBestOfAllPartitions() {
        BuildingDesign d = DesignedDemo.by(new DemoOptions(4, 3, 3, 2, true), Basis.standard("en-1992-1-1"));
        List<ColumnDesign> family = d.columns().stream()
                .filter(c -> c.satisfied() && Likeness.of(c).shares(Likeness.of(highest(d)), TOLERANCE))
                .limit(4)
                .toList();
        assertTrue(
                family.size() >= 3
                        && family.stream().map(c -> c.lifts().size()).distinct().count() > 1,
                family.size() + " stacks");
        ColumnSharing sharing = new ColumnSharing(family, d.contexts()::columns);
        Map<Integer, Double> best = new HashMap<>();
        for (List<List<ColumnDesign>> partition : CurveTest.partitions(family)) {
            List<Sharing.Shared<ColumnDesign>> made = partition.stream()
                    .map(group -> sharing.shared(
                            group.stream().map(ColumnDesign::stack).toList()))
                    .toList();
            if (made.stream().allMatch(s -> s.sound() && s.practical())) {
                best.merge(
                        partition.size(),
                        made.stream().mapToDouble(s -> s.steel().kg()).sum(),
                        Math::min);
            }
        }
        Curve c = CurveMaker.columns(family, d.contexts()::columns, TOLERANCE, CurveMaker.Progress.NONE);
        for (Curve.Point p : c.points()) {
            double least = CurveTest.least(best, p.types());
            assertTrue(p.steel().kg() < 1.02 * least, p + ", the best is " + least + " kg");
        }
    }

    private static ColumnDesign highest(BuildingDesign d) {
        List<ColumnDesign> satisfied = new ArrayList<>(
                d.columns().stream().filter(ColumnDesign::satisfied).toList());
        // the highest that others are as far as they go
        satisfied.sort(Comparator.comparingInt((ColumnDesign c) -> -c.lifts().size())
                .thenComparing(c -> -satisfied.stream()
                        .filter(o -> Likeness.of(o).shares(Likeness.of(c), TOLERANCE))
                        .count()));
        return satisfied.get(0);
    }
}
