package kolonne.core.mark;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import kolonne.core.model.Role;
import org.junit.jupiter.api.Test;

/** Who keeps a mark when lines join and split, and that no mark ever means another line. */
class MarksTest {
    private static Chain beam(String stem, String... members) {
        return new Chain(Role.BEAM, stem, List.of(members), Collections.nCopies(members.length, 6000.0));
    }

    private static Marks first(Chain... chains) {
        return Marks.NONE.follow(List.of(chains)).marks();
    }

    private static String markOf(Marks m, String member) {
        return m.all().values().stream()
                .filter(q -> q.members().contains(member))
                .findFirst()
                .orElseThrow()
                .mark();
    }

    @Test
    void theFirstMarksCountByStoreyAndPlace() {
        Marks m = first(
                beam("L1-B", "a"),
                beam("L1-B", "b"),
                beam("L2-B", "c"),
                new Chain(Role.COLUMN, "C-D3", List.of("k1"), List.of(3000.0)),
                new Chain(Role.COLUMN, "C-D3", List.of("k2"), List.of(3000.0)));
        assertEquals(
                List.of("L1-B01", "L1-B02", "L2-B01", "C-D3", "C-D3.2"),
                m.all().values().stream().map(Marked::mark).toList());
        assertEquals(List.of("a", "b", "c", "k1", "k2"), List.copyOf(m.all().keySet()));
    }

    @Test
    void theLargerPartKeepsTheMarkWhereLinesJoinAndSplit() {
        Marks before = first(beam("L1-B", "a"), beam("L1-B", "b", "c"), beam("L1-B", "d"));
        Marks.Followed joined = before.follow(List.of(beam("L1-B", "a", "b", "c"), beam("L1-B", "d")));
        assertEquals("L1-B02", markOf(joined.marks(), "a"));
        assertEquals("L1-B03", markOf(joined.marks(), "d"));
        assertEquals(
                List.of("L1-B01 and L1-B02 become one, L1-B02"),
                joined.changes().stream().map(MarkChange::words).toList());
        Marks.Followed split =
                joined.marks().follow(List.of(beam("L1-B", "a", "b"), beam("L1-B", "c"), beam("L1-B", "d")));
        assertEquals("L1-B02", markOf(split.marks(), "b"));
        assertEquals("L1-B04", markOf(split.marks(), "c"), "L1-B01 was given before and is not given again");
        assertEquals(
                List.of("L1-B02 becomes L1-B02 and L1-B04"),
                split.changes().stream().map(MarkChange::words).toList());
    }

    @Test
    void aLineThatComesAndOneThatGoesAreTold() {
        Marks before = first(beam("L1-B", "a"), beam("L1-B", "b"));
        assertEquals(
                List.of("L1-B03 is new", "L1-B01 is gone"),
                before.follow(List.of(beam("L1-B", "b"), beam("L1-B", "n"))).changes().stream()
                        .map(MarkChange::words)
                        .toList());
    }

    @Test
    void aPartThatBeginsWithTheMemberOfAnotherGetsAnIdOfItsOwn() {
        Marks before = first(beam("L1-B", "a", "b", "c"));
        Marks now = before.follow(List.of(beam("L1-B", "a"), beam("L1-B", "b", "c")))
                .marks();
        assertEquals("L1-B01", now.all().get("a").mark(), "the id stays with the larger part, which begins with b now");
        assertEquals(List.of("b", "c"), now.all().get("a").members());
        assertEquals(List.of("a"), now.all().get("a~2").members());
    }

    @Test
    void whatPeopleNameIsUniqueAndCanStandInAnAddress() {
        Marks m = first(beam("L1-B", "a"), beam("L1-B", "b"));
        assertTrue(m.refused("a", "G-1 (noord)").isEmpty());
        assertTrue(m.refused("a", "Träger 7").isEmpty());
        assertTrue(m.refused("a", "L1-B01").isEmpty(), "its own");
        assertTrue(m.refused("a", "l1-b02").isPresent());
        for (String bad : List.of("", " x", "x ", "a/b", "=1+1", "a?b", "a,b", "x".repeat(41))) {
            assertTrue(m.refused("a", bad).isPresent(), bad);
        }
    }

    /** Members in a row, cut into lines at random places again and again, with marks that people change now and then. */
    @Test
    void noMarkEverMeansAnotherLine() {
        for (int seed = 0; seed < 200; seed++) {
            Random r = new Random(seed);
            Marks now = Marks.NONE;
            Map<String, String> idOfMark = new HashMap<>();
            for (int step = 0; step < 12; step++) {
                List<Chain> chains = cut(r);
                Marks before = now;
                now = before.follow(chains).marks();
                assertEquals(chains.size(), now.all().size());
                Set<String> marks = new HashSet<>();
                for (Marked m : now.all().values()) {
                    assertTrue(marks.add(m.mark()), "twice: " + m.mark());
                    String owner = idOfMark.putIfAbsent(m.mark(), m.id());
                    assertTrue(owner == null || owner.equals(m.id()), m.mark() + " was " + owner + ", is " + m.id());
                }
                for (Marked was : before.all().values()) {
                    if (chains.stream().anyMatch(c -> c.members().equals(was.members()))) {
                        assertEquals(was, now.all().get(was.id()), "an untouched line stays what it was");
                    }
                    halfOrMoreIsKept(was, before, now);
                }
            }
        }
    }

    /** A line of which more than half went into a new one, that is more than half of the new one too, keeps its mark. */
    private static void halfOrMoreIsKept(Marked was, Marks before, Marks now) {
        for (Marked m : now.all().values()) {
            long shared = m.members().stream().filter(was.members()::contains).count();
            if (2 * shared > was.members().size() && 2 * shared > m.members().size()) {
                assertEquals(was.id(), m.id(), before + " -> " + now);
                assertEquals(was.mark(), m.mark());
            }
        }
    }

    private static List<Chain> cut(Random r) {
        List<Chain> out = new ArrayList<>();
        List<String> line = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            line.add("m" + i);
            if (i == 11 || r.nextInt(3) == 0) {
                out.add(beam(i < 6 ? "L1-B" : "L2-B", line.toArray(new String[0])));
                line.clear();
            }
        }
        return out;
    }

    @Test
    void changesAreStoredAsDifferences() {
        Marks before = first(beam("L1-B", "a", "b"), beam("L1-B", "c"));
        Marks after = before.follow(List.of(beam("L1-B", "a", "b", "c"))).marks();
        Marks again = before.with(after.changedFrom(before), after.goneFrom(before));
        assertEquals(after.all(), again.all());
        assertEquals(after.marks(), again.marks());
        assertFalse(again.all().containsKey("c"));
        assertEquals(Set.of("c"), after.goneFrom(before));
    }
}
