package kolonne.core.type;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import kolonne.core.model.Role;
import org.junit.jupiter.api.Test;

/** What people do with types, by hand: who is in which, which mark it has, and what it keeps. */
class TypesTest {
    private static final Set<String> NO_MARKS = Set.of();

    private static List<String> members(Types t, String mark) {
        return t.byMark(mark).orElseThrow().members();
    }

    @Test
    void groupsBecomeTypesAndAMemberByItselfNeedsNone() {
        Types t = Types.NONE.adopted(Role.BEAM, List.of(List.of("a", "b"), List.of("c"), List.of("d", "e")), NO_MARKS);
        assertEquals(List.of("a", "b"), members(t, "TB1"));
        assertEquals(List.of("d", "e"), members(t, "TB2"));
        assertEquals(2, t.all().size());
        assertTrue(t.of("c").isEmpty());
        assertEquals("TB1", t.of("b").orElseThrow().mark());
    }

    @Test
    void aTypeMadeAnewKeepsItsMarkWhereMostOfItsMembersAre() {
        Types t = Types.NONE
                .adopted(Role.BEAM, List.of(List.of("a", "b", "c"), List.of("d", "e")), NO_MARKS)
                .renamed(Map.of("T1", "B100"))
                .adopted(
                        Role.BEAM,
                        List.of(List.of("c", "d", "e", "f"), List.of("a", "b"), List.of("x", "y")),
                        NO_MARKS);
        assertEquals(List.of("a", "b"), members(t, "B100"));
        assertEquals(List.of("c", "d", "e", "f"), members(t, "TB2"));
        assertEquals(List.of("x", "y"), members(t, "TB3"));
    }

    @Test
    void aLockedTypeStaysAsItIsAndTheOtherRoleIsNotTouched() {
        Types t = Types.NONE
                .adopted(Role.BEAM, List.of(List.of("a", "b"), List.of("c", "d")), NO_MARKS)
                .adopted(Role.COLUMN, List.of(List.of("k", "l")), NO_MARKS)
                .locked("T1", true)
                .adopted(Role.BEAM, List.of(List.of("a", "b", "c"), List.of("d", "e")), NO_MARKS);
        assertEquals(List.of("a", "b"), members(t, "TB1"));
        assertTrue(t.of("c").isEmpty(), "c is left by itself: b and a are locked");
        assertEquals(List.of("d", "e"), members(t, "TB2"));
        assertEquals(List.of("k", "l"), members(t, "TC3"));
    }

    @Test
    void membersAreMergedIntoTheTypeOfMostOfThem() {
        Types t = Types.NONE
                .adopted(Role.BEAM, List.of(List.of("a", "b", "c"), List.of("d", "e")), NO_MARKS)
                .merged(Role.BEAM, List.of("d", "a", "b", "z"), NO_MARKS);
        assertEquals(Set.of("a", "b", "c", "d", "z"), new HashSet<>(members(t, "TB1")));
        assertTrue(t.byMark("TB2").isEmpty(), "e alone is no type any more");
        Types fresh = t.merged(Role.BEAM, List.of("p", "q"), NO_MARKS);
        assertEquals(List.of("p", "q"), members(fresh, "TB3"));
    }

    @Test
    void membersAreTakenApart() {
        Types t = Types.NONE
                .adopted(Role.BEAM, List.of(List.of("a", "b", "c"), List.of("d", "e")), NO_MARKS)
                .apart(List.of("a", "d"));
        assertEquals(List.of("b", "c"), members(t, "TB1"));
        assertEquals(1, t.all().size());
    }

    @Test
    void aMarkIsGivenOnceAndNotToTwo() {
        Types t = Types.NONE.adopted(Role.BEAM, List.of(List.of("a", "b"), List.of("c", "d")), Set.of("TB2"));
        assertTrue(t.byMark("TB3").isPresent(), "a line has the mark TB2");
        assertTrue(t.refused(Map.of("T1", "tb3"), NO_MARKS).isPresent());
        assertTrue(t.refused(Map.of("T1", "L1-B01"), Set.of("L1-B01")).isPresent());
        assertTrue(t.refused(Map.of("T1", "=1+1"), NO_MARKS).isPresent());
        assertTrue(t.refused(Map.of("T1", "X", "T3", "X"), NO_MARKS).isPresent());
        assertTrue(t.refused(Map.of("T1", "TB3", "T3", "TB1"), NO_MARKS).isEmpty(), "two may swap");
        Types later = t.apart(List.of("a", "b", "c", "d")).adopted(Role.BEAM, List.of(List.of("a", "b")), NO_MARKS);
        assertEquals("T4", later.of("a").orElseThrow().id(), "what was given is not given again");
    }

    @Test
    void whateverIsDoneEveryMemberIsInOneTypeAtMost() {
        for (int seed = 1; seed <= 300; seed++) {
            Random r = new Random(seed);
            Types t = Types.NONE;
            List<String> all = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                all.add("m" + i);
            }
            for (int step = 0; step < 12; step++) {
                Set<String> marksBefore = new HashSet<>();
                t.all().values().forEach(x -> marksBefore.add(x.id() + x.mark()));
                List<String> some = all.stream().filter(m -> r.nextInt(3) == 0).toList();
                Set<String> ids = t.all().keySet();
                Types now = switch (r.nextInt(4)) {
                    case 0 -> t.adopted(Role.BEAM, partition(all, r), NO_MARKS);
                    case 1 -> some.size() < 2 ? t : t.merged(Role.BEAM, some, NO_MARKS);
                    case 2 -> t.apart(some);
                    default -> ids.isEmpty() ? t : t.locked(ids.iterator().next(), r.nextBoolean());
                };
                Set<String> seen = new HashSet<>();
                Set<String> marks = new HashSet<>();
                for (MemberType x : now.all().values()) {
                    assertTrue(marks.add(x.mark()), "seed " + seed + ": " + x.mark() + " twice");
                    x.members().forEach(m -> assertTrue(seen.add(m), m + " in two types"));
                    assertFalse(x.members().isEmpty());
                    boolean known = t.all().containsKey(x.id());
                    assertTrue(!known || marksBefore.contains(x.id() + x.mark()), "a mark changed by itself");
                }
                t = now;
            }
        }
    }

    private static List<List<String>> partition(List<String> all, Random r) {
        List<List<String>> out = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            out.add(new ArrayList<>());
        }
        all.forEach(m -> out.get(r.nextInt(5)).add(m));
        out.removeIf(List::isEmpty);
        return out;
    }
}
