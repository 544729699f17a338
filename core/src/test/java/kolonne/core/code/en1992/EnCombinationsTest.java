package kolonne.core.code.en1992;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Purpose;
import org.junit.jupiter.api.Test;

/** Against EN 1990 expressions (6.10), (6.12b), (6.14b) and (6.16b) with table A1.1 and A1.2(B), written out by hand. */
class EnCombinationsTest {
    private static LoadCase of(String id, CaseKind kind) {
        return new LoadCase(id, id, kind, 0);
    }

    private static Set<Map<String, Double>> of(Purpose p, LoadCase... cases) {
        return EnCombinations.of(List.of(cases)).stream()
                .filter(c -> c.purpose() == p)
                .map(EnCombinationsTest::terms)
                .collect(Collectors.toSet());
    }

    private static Map<String, Double> terms(Combination c) {
        Map<String, Double> m = new TreeMap<>();
        c.terms().forEach(t -> m.merge(t.loadCase(), t.factor(), Double::sum));
        return m;
    }

    @Test
    void deadAndLive() {
        LoadCase[] two = {of("D", CaseKind.DEAD), of("L", CaseKind.LIVE)};
        assertEquals(
                Set.of(Map.of("D", 1.35), Map.of("D", 1.35, "L", 1.5), Map.of("D", 1.0, "L", 1.5)),
                of(Purpose.STRENGTH, two));
        assertEquals(Set.of(Map.of("D", 1.0, "L", 1.0)), of(Purpose.SERVICE_CHARACTERISTIC, two));
        assertEquals(Set.of(Map.of("D", 1.0, "L", 0.3)), of(Purpose.SERVICE_QUASI_PERMANENT, two));
    }

    @Test
    void everyVariableLoadLeadsOnceWithTheOthersReduced() {
        Set<Map<String, Double>> found = of(
                Purpose.STRENGTH,
                of("D", CaseKind.DEAD),
                of("L", CaseKind.LIVE),
                of("S", CaseKind.SNOW),
                of("W", CaseKind.WIND),
                of("E", CaseKind.SEISMIC));
        List<Map<String, Double>> rows = Stream.of(
                        "1.35D 1.5L 0.75S 0.9W",
                        "1.35D 1.5L 0.75S",
                        "1.35D 1.05L 1.5S 0.9W",
                        "1.35D 1.05L 0.75S 1.5W",
                        "1D 1.5W",
                        "1D 0.3L 1E")
                .map(EnCombinationsTest::row)
                .toList();
        rows.forEach(r -> assertTrue(found.contains(r), r + " in " + found));
        assertTrue(found.stream().anyMatch(m -> m.getOrDefault("W", 0.0) == -1.5)
                && found.stream().anyMatch(m -> m.getOrDefault("E", 0.0) == -1));
        assertTrue(found.stream().noneMatch(m -> m.containsKey("E") && m.containsKey("W")));
    }

    private static Map<String, Double> row(String words) {
        Map<String, Double> m = new TreeMap<>();
        for (String w : words.split(" ")) {
            m.put(w.replaceAll("[0-9.]", ""), Double.parseDouble(w.replaceAll("[A-Z]", "")));
        }
        return m;
    }

    @Test
    void deadLoadAloneHasOneOfEveryPurposeAndNamesAreUnique() {
        List<Combination> alone = EnCombinations.of(List.of(of("D", CaseKind.DEAD)));
        assertEquals(3, alone.size());
        List<Combination> all = new En1992Entry()
                .combinations()
                .of(List.of(
                        of("D", CaseKind.DEAD),
                        of("L", CaseKind.LIVE),
                        of("R", CaseKind.ROOF_LIVE),
                        of("S", CaseKind.SNOW),
                        of("W1", CaseKind.WIND),
                        of("W2", CaseKind.WIND),
                        of("E", CaseKind.SEISMIC),
                        of("H", CaseKind.SOIL)));
        assertEquals(all.size(), all.stream().map(Combination::id).distinct().count());
        assertEquals(
                all.size(),
                all.stream().map(c -> c.purpose() + c.name()).distinct().count());
        assertTrue(all.stream()
                .allMatch(c -> c.terms().stream().anyMatch(t -> t.loadCase().equals("H"))));
    }

    /** Live load of two roofs, category H, is one load with ψ0 = 0 and ψ2 = 0; snow on them has two arrangements, of which each leads by itself and goes with ψ0 = 0.5. */
    @Test
    void roofs() {
        LoadCase[] cases = {
            of("D", CaseKind.DEAD),
            of("L", CaseKind.LIVE),
            of("R", CaseKind.ROOF_LIVE),
            of("T", CaseKind.ROOF_LIVE),
            of("S", CaseKind.SNOW)
        };
        assertEquals(
                rows(
                        "1.35D",
                        "1.35D 1.5L",
                        "1.35D 1.5L 0.75S",
                        "1D 1.5L",
                        "1.35D 1.5R 1.5T",
                        "1.35D 1.05L 1.5R 1.5T 0.75S",
                        "1D 1.5R 1.5T",
                        "1.35D 1.5S",
                        "1.35D 1.05L 1.5S",
                        "1D 1.5S"),
                of(Purpose.STRENGTH, cases));
        assertEquals(rows("1D 1L 0.5S", "1D 0.7L 1R 1T 0.5S", "1D 0.7L 1S"), of(Purpose.SERVICE_CHARACTERISTIC, cases));
        assertEquals(rows("1D 0.3L"), of(Purpose.SERVICE_QUASI_PERMANENT, cases));
    }

    private static Set<Map<String, Double>> rows(String... words) {
        return Stream.of(words).map(EnCombinationsTest::row).collect(Collectors.toSet());
    }
}
