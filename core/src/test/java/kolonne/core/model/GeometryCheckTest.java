package kolonne.core.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What looks wrong in the shape of a model is told with its place, and does not stop the work. */
class GeometryCheckTest {
    /** A portal of two columns and a beam, fixed at the feet. */
    private static ModelBuilder portal() {
        return new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .joint("C1", 6000, 0, 4000)
                .joint("D", 6000, 0, 0)
                .column("ca", "A", "B")
                .column("cd", "D", "C1")
                .beam("m", "B", "C1")
                .fixed("A")
                .fixed("D")
                .spread("m", 0, 6000, 10, 10);
    }

    private static Arguments odd(String code, String where, Consumer<ModelBuilder> change) {
        return Arguments.of(code, where, change);
    }

    static Stream<Arguments> oddities() {
        return Stream.of(
                odd(
                        "joint.near",
                        "joint N",
                        b -> b.joint("N", 6000, 20, 4000)
                                .joint("E", 6000, 5000, 4000)
                                .beam("n", "N", "E")
                                .fixed("E")),
                odd(
                        "member.crossing",
                        "member m",
                        b -> b.joint("P", 3000, -3000, 4000)
                                .joint("Q", 3000, 3000, 4000)
                                .beam("x", "P", "Q")
                                .fixed("P")
                                .fixed("Q")),
                odd(
                        "member.mid-air",
                        "member s",
                        b -> b.joint("P", 3000, 100, 4000)
                                .joint("Q", 3000, 3000, 4000)
                                .beam("s", "P", "Q")
                                .fixed("Q")),
                odd(
                        "member.free-end",
                        "member s",
                        b -> b.joint("Q", 6000, 5500, 4000).beam("s", "C1", "Q")),
                odd(
                        "column.planted",
                        "member p",
                        b -> b.joint("M", 3000, 0, 4000)
                                .joint("T", 3000, 0, 7000)
                                .beam("m1", "B", "M")
                                .beam("m2", "M", "C1")
                                .column("p", "M", "T")
                                .members
                                .removeIf(m -> m.id().equals("m"))),
                odd(
                        "column.leans",
                        "member c2",
                        b -> b.joint("L", 1000, 0, 8000).column("c2", "B", "L")),
                odd(
                        "column.hanging",
                        "member h",
                        b -> b.joint("H", 0, 0, 8000)
                                .joint("I", 0, 0, 6000)
                                .column("h", "I", "H")
                                .fixed("H")),
                odd(
                        "member.stubby",
                        "member s",
                        b -> b.joint("Q", 6300, 0, 4000).beam("s", "C1", "Q")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("oddities")
    void aNoteNamesThePlace(String code, String where, Consumer<ModelBuilder> change) {
        ModelBuilder b = portal();
        change.accept(b);
        b.memberLoads.removeIf(l -> b.members.stream().noneMatch(m -> m.id().equals(l.member())));
        b.push("B", 1000, 0, 0);
        List<Finding> found = ModelCheck.run(b.building());
        Finding f = found.stream()
                .filter(q -> q.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError(code + " in " + found));
        assertEquals(where, f.where());
        assertEquals(Severity.NOTE, f.severity());
        assertTrue(!f.mend().isBlank());
    }

    @Test
    void aSoundPortalHasNoNotes() {
        assertEquals(List.of(), ModelCheck.run(portal().building()));
    }

    @Test
    void millimetresTakenForMetresAreSuspected() {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 600_000, 0, 0)
                .joint("C", 1_200_000, 0, 0)
                .beam("m", "A", "B")
                .beam("n", "B", "C")
                .fixed("A")
                .fixed("B")
                .spread("m", 0, 600_000, 1, 1);
        List<String> codes =
                ModelCheck.run(b.building()).stream().map(Finding::code).toList();
        assertTrue(codes.contains("model.size") && codes.contains("member.very-long"), codes.toString());
        ModelBuilder worse = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 6_000_000, 0, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B");
        assertEquals(
                List.of("member.too-long", "case.empty"),
                ModelCheck.run(worse.building()).stream().map(Finding::code).toList());
    }

    @Test
    void manyOfOneKindAreCountedNotListed() {
        ModelBuilder b = portal();
        for (int i = 0; i < 60; i++) {
            b.joint("t" + i, 6000 + 50.0 * i + 300, 0, 4000).beam("s" + i, i == 0 ? "C1" : "t" + (i - 1), "t" + i);
        }
        List<Finding> stubby = ModelCheck.run(b.building()).stream()
                .filter(f -> f.code().equals("member.stubby"))
                .toList();
        assertEquals(41, stubby.size());
        assertTrue(stubby.get(40).what().contains("20 more"), stubby.get(40).what());
    }
}
