package kolonne.core.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.core.explain.Clause;
import kolonne.core.finding.Cause;
import org.junit.jupiter.api.Test;

/** The list of checks: keys that files and addresses may rely on, and a way to mend each. */
class CheckKindTest {
    @Test
    void aKeyNamesOneCheckOfBeamsAndOneOfColumns() {
        Map<String, List<CheckKind>> byKey =
                Arrays.stream(CheckKind.values()).collect(Collectors.groupingBy(k -> k.ofColumn() + " " + k.id()));
        Set<String> shared = byKey.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        assertEquals(
                Set.of("false crack-width"), shared, "crack widths of both faces are one check: the worst is shown");
        for (CheckKind k : CheckKind.values()) {
            assertTrue(k.id().matches("[a-z]+(-[a-z]+)*"), k.id());
            assertFalse(k.title().isBlank());
        }
    }

    @Test
    void everyCheckSaysHowToMend() {
        for (CheckKind k : CheckKind.values()) {
            assertTrue(Mend.of(k, k.cause()).endsWith("."), k.name());
        }
        assertEquals("Make the beam wider.", Mend.of(CheckKind.DUCTILE_WIDTH, Cause.GEOMETRY));
        assertEquals("Make the beam shallower, or the span longer.", Mend.of(CheckKind.DUCTILE_SPAN, Cause.GEOMETRY));
    }

    @Test
    void theWorstOfAKindIsKeptAndItsPlaceToldInTheEnd() {
        int[] told = new int[1];
        Governing g = new Governing((x, part) -> "at " + x + " in " + part + ", told " + ++told[0]);
        g.offer(CheckKind.FLEXURE.of(true), 80, 100, At.station(500, 1, 7).under("1.2D"), Clause.of("22.3"));
        g.offer(CheckKind.FLEXURE.of(true), 70, 100, At.place(900, 1), Clause.of("22.3"));
        g.offer(CheckKind.FLEXURE.of(false), 5, 0, At.named(900, 1, "whole span"), Clause.of("22.3"));
        assertEquals(0, told[0]);
        List<CheckResult> results = g.results();
        assertEquals(1, told[0], "of what is passed by a worse one nothing is told");
        assertEquals(
                List.of("flexure-bottom", "flexure-top"),
                results.stream().map(r -> r.kind().id()).toList());
        assertEquals("at 500.0 in 1, told 1", results.get(0).place());
        assertEquals(0.8, results.get(0).utilisation(), 1e-12);
        assertEquals(7, results.get(0).station());
        assertEquals(CheckResult.NO_CAPACITY, results.get(1).utilisation(), "nothing stands against it");
        assertEquals("whole span", results.get(1).place());
        assertEquals(results.get(1), Governing.of(results), "an unmet check decides");
    }
}
