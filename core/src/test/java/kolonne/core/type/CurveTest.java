package kolonne.core.type;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CancellationException;
import kolonne.core.Sweep;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Role;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The curve of types against steel. Its steel is added up again from the bars of a building that is designed with those types, every member is checked again
 * by the checking path, and small sets are compared with the best of all their partitions.
 */
class CurveTest {
    private static final double KG = 1e-6;

    private static BuildingDesign design(DemoOptions o, String code) {
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(o))),
                Basis.standard(code),
                BuildingDesigner.Progress.NONE);
    }

    private static Curve beams(BuildingDesign d) {
        return CurveMaker.beams(d.beams(), d.contexts()::beams, Types.STANDARD_TOLERANCE, CurveMaker.Progress.NONE);
    }

    private static Curve columns(BuildingDesign d) {
        return CurveMaker.columns(
                d.columns(), d.contexts()::columns, Types.STANDARD_TOLERANCE, CurveMaker.Progress.NONE);
    }

    private static List<List<String>> groups(Curve c, int types) {
        return c.types(types).stream().map(Curve.Node::members).toList();
    }

    private static BuildingDesign with(BuildingDesign d, Types types) {
        return BuildingDesigner.design(d.analysis(), d.basis(), Decisions.typed(types), BuildingDesigner.Progress.NONE);
    }

    @ParameterizedTest
    @CsvSource({"1, aci-318m-19", "3, en-1992-1-1"})
    void everyPointIsAPartitionAndFewerTypesNeverTakeLess(int seed, String code) {
        BuildingDesign d = design(new DemoOptions(seed, 2, 3, 2, seed == 1), code);
        for (Curve c : List.of(beams(d), columns(d))) {
            int members = c.role() == Role.BEAM ? d.beams().size() : d.columns().size();
            assertEquals(members, c.members());
            List<Curve.Point> points = c.points();
            for (int i = 1; i < points.size(); i++) {
                assertTrue(points.get(i).types() < points.get(i - 1).types());
                assertTrue(
                        points.get(i).steel().kg() >= points.get(i - 1).steel().kg() - KG, "the curve fell");
            }
            for (Curve.Point p : points) {
                List<Curve.Node> types = c.types(p.types());
                assertEquals(p.types(), types.size());
                assertEquals(
                        p.steel().kg(),
                        types.stream().mapToDouble(t -> t.steel().kg()).sum(),
                        1e-6 * p.steel().kg());
                Set<String> seen = new HashSet<>();
                types.forEach(t -> t.members().forEach(m -> assertTrue(seen.add(m), m + " in two types")));
                assertEquals(members, seen.size());
            }
            assertTrue(
                    c.suggested().steel().kg() <= 1.05 * points.get(0).steel().kg() + KG);
        }
    }

    @ParameterizedTest
    @CsvSource({"4, aci-318-19", "6, en-1992-1-1"})
    void theSteelOfTheCurveIsThatOfABuildingDesignedWithItsTypes(int seed, String code) {
        BuildingDesign d = design(new DemoOptions(seed, 2, 3, 2, seed == 4), code);
        Curve b = beams(d);
        Curve c = columns(d);
        int last = b.points().get(b.points().size() - 1).types();
        for (int types : new int[] {b.suggested().types(), last}) {
            Types made = Types.NONE
                    .adopted(Role.BEAM, groups(b, types), Set.of())
                    .adopted(Role.COLUMN, groups(c, c.suggested().types()), Set.of());
            BuildingDesign with = with(d, made);
            Steel told = b.points().stream()
                    .filter(p -> p.types() == types)
                    .map(Curve.Point::steel)
                    .findFirst()
                    .orElseThrow()
                    .plus(c.suggested().steel());
            assertEquals(told.kg(), with.quantities().steel(), 1e-6 * told.kg());
            // marks are those of the bar list, which is made by other code
            assertEquals(
                    Schedules.bars(Scheduled.of(with)).stream()
                            .map(r -> r.member() + " " + r.barMark())
                            .distinct()
                            .count(),
                    told.marks());
            holds(d, with);
            everyMemberHasTheCageOfItsType(with);
            assertTrue(with.typed().stream().allMatch(TypeDesign::sound));
        }
    }

    /** What is satisfied by itself is satisfied in its type, and the checking path says so of the cage as it lies. */
    private static void holds(BuildingDesign alone, BuildingDesign with) {
        for (int i = 0; i < alone.beams().size(); i++) {
            BeamDesign b = with.beams().get(i);
            BeamDesign again = BeamCheck.run(b.line(), b.cage(), with.contexts().beams());
            assertEquals(again.checks(), b.checks());
            assertTrue(
                    again.satisfied() || !alone.beams().get(i).satisfied(),
                    b.line().mark());
        }
        for (int i = 0; i < alone.columns().size(); i++) {
            assertTrue(
                    with.columns().get(i).satisfied() || !alone.columns().get(i).satisfied());
        }
    }

    /** Of beams; that of columns is told by {@link NestedStacksTest}. */
    private static void everyMemberHasTheCageOfItsType(BuildingDesign with) {
        Map<String, String> bars = new HashMap<>();
        for (BeamDesign b : with.beams()) {
            bars.put(b.line().id(), numbersAndSizes(b.cage()));
        }
        int shared = 0;
        for (TypeDesign t : with.typed()) {
            Set<String> cages = new HashSet<>();
            t.members().stream().filter(bars::containsKey).forEach(m -> cages.add(bars.get(m)));
            assertEquals(
                    t.type().role() == Role.BEAM ? 1 : 0, cages.size(), t.type().mark() + " " + cages);
            shared += t.members().size();
        }
        assertTrue(shared > with.beams().size() / 2, shared + " members share a cage");
    }

    private static String numbersAndSizes(BeamCage cage) {
        StringBuilder out = new StringBuilder();
        cage.groups()
                .forEach(g -> out.append(g.face())
                        .append(g.layer())
                        .append(g.count())
                        .append(g.bar().label()));
        cage.zones()
                .forEach(z -> out.append(z.span())
                        .append(z.bar().label())
                        .append(z.legs())
                        .append(z.spacing()));
        cage.sideBars()
                .forEach(s ->
                        out.append(s.span()).append(s.perFace()).append(s.bar().label()));
        return out.toString();
    }

    /** Bell numbers grow fast: families of four or five lines, all partitions of each. */
    @Test
    void smallFamiliesComeNearTheBestOfAllPartitions() {
        int compared = 0;
        double worst = 0;
        for (int seed = 11; seed <= 10 + Sweep.of(2, 12); seed++) {
            BuildingDesign d = design(new DemoOptions(seed, 2, 3, 2, false), "aci-318m-19");
            Map<Object, List<BeamDesign>> families = new HashMap<>();
            for (BeamDesign b : d.beams()) {
                if (b.satisfied()) {
                    families.computeIfAbsent(Likeness.of(b), k -> new ArrayList<>())
                            .add(b);
                }
            }
            for (List<BeamDesign> all : families.values()) {
                List<BeamDesign> family = all.subList(0, Math.min(5, all.size()));
                if (family.size() >= 3) {
                    worst = Math.max(worst, excess(d, family));
                    compared++;
                }
            }
        }
        System.out.printf(
                "%d families compared with their best partitions: at most %.2f %% above%n", compared, 100 * worst);
        assertTrue(compared >= 6, compared + " families");
        assertTrue(worst < 0.02, "greedy merging takes " + 100 * worst + " % more than the best partition");
    }

    private static double excess(BuildingDesign d, List<BeamDesign> family) {
        BeamSharing sharing = new BeamSharing(family, d.contexts()::beams);
        Map<Integer, Double> best = new HashMap<>();
        Map<String, Sharing.Shared<BeamDesign>> made = new HashMap<>();
        for (List<List<BeamDesign>> partition : partitions(family)) {
            double kg = 0;
            boolean sound = true;
            for (List<BeamDesign> group : partition) {
                String key =
                        group.stream().map(b -> b.line().id()).sorted().toList().toString();
                Sharing.Shared<BeamDesign> s = made.computeIfAbsent(
                        key,
                        k -> sharing.shared(group.stream()
                                .map(BeamDesign::line)
                                .sorted(java.util.Comparator.comparing(l -> l.id()))
                                .toList()));
                kg += s.steel().kg();
                sound &= s.sound();
            }
            if (sound) {
                best.merge(partition.size(), kg, Math::min);
            }
        }
        Curve c = CurveMaker.beams(family, d.contexts()::beams, Types.STANDARD_TOLERANCE, CurveMaker.Progress.NONE);
        double worst = 0;
        for (Curve.Point p : c.points()) {
            worst = Math.max(worst, p.steel().kg() / least(best, p.types()) - 1);
        }
        return worst;
    }

    /** The least steel of so many types at most. @param best by number of types */
    static double least(Map<Integer, Double> best, int types) {
        return best.entrySet().stream()
                .filter(e -> e.getKey() <= types)
                .mapToDouble(Map.Entry::getValue)
                .min()
                .orElseThrow();
    }

    static <T> List<List<List<T>>> partitions(List<T> of) {
        if (of.isEmpty()) {
            return List.of(List.of());
        }
        List<List<List<T>>> out = new ArrayList<>();
        T last = of.get(of.size() - 1);
        for (List<List<T>> rest : partitions(of.subList(0, of.size() - 1))) {
            for (int i = 0; i <= rest.size(); i++) {
                List<List<T>> with = new ArrayList<>();
                rest.forEach(g -> with.add(new ArrayList<>(g)));
                if (i == rest.size()) {
                    with.add(new ArrayList<>());
                }
                with.get(i).add(last);
                out.add(with);
            }
        }
        return out;
    }

    @Test
    void makingACurveCanBeCancelledAndTellsHowFarItIs() {
        BuildingDesign d = design(new DemoOptions(3, 2, 2, 2, false), "aci-318m-19");
        Set<Integer> told = java.util.concurrent.ConcurrentHashMap.newKeySet();
        CurveMaker.beams(d.beams(), d.contexts()::beams, 200, (done, total) -> {
            assertTrue(done <= total && total == d.beams().size());
            told.add(done);
        });
        assertTrue(told.size() > 3, told.toString());
        assertThrows(
                CancellationException.class,
                () -> CurveMaker.beams(d.beams(), d.contexts()::beams, 200, (done, total) -> {
                    throw new CancellationException();
                }));
    }
}
