package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Purpose;
import org.junit.jupiter.api.Test;

/** Against the rows of ACI 318-19 table 5.3.1, written out by hand. */
class AciCombinationsTest {
    private static LoadCase of(String id, CaseKind kind) {
        return new LoadCase(id, id, kind, 0);
    }

    private static Set<Map<String, Double>> strength(LoadCase... cases) {
        return AciCombinations.of(List.of(cases)).stream()
                .filter(c -> c.purpose() == Purpose.STRENGTH)
                .map(AciCombinationsTest::terms)
                .collect(Collectors.toSet());
    }

    private static Map<String, Double> terms(Combination c) {
        Map<String, Double> m = new LinkedHashMap<>();
        c.terms().forEach(t -> m.merge(t.loadCase(), t.factor(), Double::sum));
        return m;
    }

    @Test
    void deadAndLive() {
        assertEquals(
                Set.of(Map.of("D", 1.4), Map.of("D", 1.2, "L", 1.6)),
                strength(of("D", CaseKind.DEAD), of("L", CaseKind.LIVE)));
    }

    @Test
    void allRowsOfTheTableForWindSnowAndEarthquake() {
        Set<Map<String, Double>> found = strength(
                of("D", CaseKind.DEAD),
                of("SD", CaseKind.SUPERIMPOSED),
                of("L", CaseKind.LIVE),
                of("S", CaseKind.SNOW),
                of("W", CaseKind.WIND),
                of("E", CaseKind.SEISMIC));
        List<Map<String, Double>> rows = Stream.of(
                        "1.4D",
                        "1.2D 1.6L",
                        "1.2D 1.6L 0.5S",
                        "1.2D 1.6S 1L",
                        "1.2D 1.6S 0.5W",
                        "1.2D 1W 1L 0.5S",
                        "1.2D 1E 1L",
                        "0.9D 1W",
                        "0.9D 1E")
                .map(AciCombinationsTest::row)
                .toList();
        rows.forEach(r -> assertTrue(found.contains(r), r + " in " + found));
    }

    /** A row of the table; the superimposed load goes with the dead load. */
    private static Map<String, Double> row(String words) {
        Map<String, Double> m = new LinkedHashMap<>();
        for (String w : words.split(" ")) {
            String id = w.replaceAll("[0-9.]", "");
            double f = Double.parseDouble(w.replaceAll("[A-Z]", ""));
            m.put(id, f);
            if (id.equals("D")) {
                m.put("SD", f);
            }
        }
        return m;
    }

    @Test
    void lateralCasesComeWithEitherSignAndNeverTwoAtOnce() {
        Set<Map<String, Double>> found = strength(
                of("D", CaseKind.DEAD), of("WX", CaseKind.WIND), of("WY", CaseKind.WIND), of("EX", CaseKind.SEISMIC));
        for (String lateral : List.of("WX", "WY", "EX")) {
            for (double f : new double[] {1, -1}) {
                assertTrue(found.contains(Map.of("D", 0.9, lateral, f)), lateral + " " + f);
                assertTrue(found.contains(Map.of("D", 1.2, lateral, f)), lateral + " " + f);
            }
        }
        found.forEach(m -> {
            Set<String> lateral = new TreeSet<>(m.keySet());
            lateral.retainAll(Set.of("WX", "WY", "EX"));
            assertTrue(lateral.size() <= 1, m.toString());
        });
    }

    @Test
    void serviceCombinationsAreThereAndNoNameComesTwice() {
        List<Combination> all =
                AciCombinations.of(List.of(of("D", CaseKind.DEAD), of("L", CaseKind.LIVE), of("S", CaseKind.SNOW)));
        assertTrue(all.stream()
                .anyMatch(c ->
                        c.purpose() == Purpose.SERVICE_CHARACTERISTIC && terms(c).equals(Map.of("D", 1.0, "L", 1.0))));
        assertTrue(all.stream()
                .anyMatch(c ->
                        c.purpose() == Purpose.SERVICE_QUASI_PERMANENT && terms(c).equals(Map.of("D", 1.0, "L", 0.3))));
        assertEquals(all.size(), all.stream().map(Combination::id).distinct().count());
        assertEquals(all.size(), all.stream().map(Combination::name).distinct().count());
    }

    /** Lr is the live load of all roofs, here in two cases; snow another load, in two arrangements: one of them at a time. */
    @Test
    void roofs() {
        LoadCase[] cases = {
            of("D", CaseKind.DEAD),
            of("L", CaseKind.LIVE),
            of("R", CaseKind.ROOF_LIVE),
            of("S", CaseKind.SNOW),
            of("U", CaseKind.SNOW),
            of("T", CaseKind.ROOF_LIVE),
            of("W", CaseKind.WIND)
        };
        Set<Map<String, Double>> found = strength(cases);
        for (String r : List.of(
                "1.2D 1.6L 0.5R 0.5T",
                "1.2D 1L 1.6R 1.6T",
                "1.2D 1.6R 1.6T 0.5W",
                "1.2D 1L 0.5R 0.5T 1W",
                "1.2D 1.6L 0.5U",
                "1.2D 1L 1.6S")) {
            Map<String, Double> row = row(r);
            row.remove("SD");
            assertTrue(found.contains(row), r + " in " + found);
        }
        found.forEach(m -> {
            assertEquals(m.get("R"), m.get("T"), "together: " + m);
            assertTrue(Stream.of("R", "S", "U").filter(m::containsKey).count() <= 1, "one at a time: " + m);
        });
        assertTrue(AciCombinations.of(List.of(cases)).stream()
                .anyMatch(c -> c.name().equals("D + L + (R + T)")
                        && terms(c).equals(Map.of("D", 1.0, "L", 1.0, "R", 1.0, "T", 1.0))));
    }

    /** Every row of the table, and no other, with soil in all of them (5.3.8 a). */
    @Test
    void theWholeTableWithSoil() {
        Set<Map<String, Double>> rows = Stream.of(
                        "1.4D",
                        "1.2D 1.6L",
                        "1.2D 1.6L 0.5S",
                        "1.2D 1L 1.6S",
                        "1.2D 1L 1W",
                        "1.2D 1L -1W",
                        "0.9D 1W",
                        "0.9D -1W",
                        "1.2D 1.6S 0.5W",
                        "1.2D 1.6S -0.5W",
                        "1.2D 1L 0.5S 1W",
                        "1.2D 1L 0.5S -1W")
                .map(words -> Stream.of((words + " 1.6H").split(" "))
                        .collect(java.util.stream.Collectors.toMap(
                                w -> w.replaceAll("[-0-9.]", ""), w -> Double.parseDouble(w.replaceAll("[A-Z]", "")))))
                .collect(java.util.stream.Collectors.toSet());
        LoadCase[] cases = {
            of("D", CaseKind.DEAD),
            of("L", CaseKind.LIVE),
            of("S", CaseKind.SNOW),
            of("W", CaseKind.WIND),
            of("H", CaseKind.SOIL)
        };
        assertEquals(rows, strength(cases));
        assertTrue(AciCombinations.of(List.of(cases)).stream()
                .filter(c -> c.purpose() != Purpose.STRENGTH)
                .allMatch(c -> terms(c).get("H") == 1.0));
    }

    /** Without live load its rows are those of dead load, and no name speaks of it. */
    @Test
    void withoutLiveLoad() {
        List<Combination> all =
                AciCombinations.of(List.of(of("D", CaseKind.DEAD), of("S", CaseKind.SNOW), of("E", CaseKind.SEISMIC)));
        List<String> names = all.stream()
                .filter(c -> c.purpose() == Purpose.STRENGTH)
                .map(Combination::name)
                .toList();
        assertEquals(
                List.of("1.4D", "1.2D + 0.5S", "1.2D + 1.6S", "1.2D + E +", "0.9D + E +", "1.2D + E −", "0.9D + E −"),
                names);
        assertEquals(
                List.of("1.4D", "1.2D"),
                AciCombinations.of(List.of(of("D", CaseKind.DEAD))).stream()
                        .filter(c -> c.purpose() == Purpose.STRENGTH)
                        .map(Combination::name)
                        .toList());
    }
}
