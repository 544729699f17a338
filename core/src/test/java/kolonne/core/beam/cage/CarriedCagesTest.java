package kolonne.core.beam.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.beam.line.TypedDemand;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.design.BuildingMarks;
import kolonne.core.mark.Marks;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** What was set by hand goes with the members that it was set on; every place is worked out by hand from the spans of 6, 7 and 8 m. */
class CarriedCagesTest {
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final double FREE = Double.POSITIVE_INFINITY;

    /** Three spans of 6, 7 and 8 m; the section of each is S or, too unlike for bars to run through, D. */
    private static Analysis frame(String sections) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 450)
                .section("D", 300, 800)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("C", 13_000, 0, 0)
                .joint("E", 21_000, 0, 0);
        b.beam("m1", "A", "B").beam("m2", "B", "C").beam("m3", "C", "E");
        for (int i = 0; i < 3; i++) {
            int k = i;
            b.members.replaceAll(m -> m.id().equals("m" + (k + 1)) ? m.withSection("" + sections.charAt(k)) : m);
        }
        List.of("A", "B", "C", "E").forEach(b::pinned);
        return b.spread("m1", 0, 6000, 20, 20)
                .spread("m2", 0, 7000, 20, 20)
                .spread("m3", 0, 8000, 20, 20)
                .solve();
    }

    private record Model(Analysis analysis, Marks marks) {
        static Model of(String sections) {
            Analysis a = frame(sections);
            return new Model(a, BuildingMarks.follow(Marks.NONE, a.index()).marks());
        }

        Model become(String sections) {
            Analysis a = frame(sections);
            return new Model(a, BuildingMarks.follow(marks, a.index()).marks());
        }

        List<BeamLine> lines() {
            return BeamLines.find(analysis, marks);
        }

        CarriedCages.Lines carried() {
            return new CarriedCages.Lines(lines(), analysis.index()::length);
        }

        CarriedCages.Carried carry(Map<String, HandCage> hand, Model after) {
            return CarriedCages.carry(hand, carried(), after.carried());
        }
    }

    private static HandCage.Bars run(int count, double from, double to) {
        return new HandCage.Bars(1, count, T20, from, to, true, true);
    }

    private static HandCage whole() {
        return new HandCage(
                Map.of(BeamCage.Face.TOP, List.of(run(2, -100, 21_100), run(2, 11_000, 15_000))),
                Map.of(
                        0, List.of(new HandCage.Stirrups(150, T10, 2, 200)),
                        2, List.of(new HandCage.Stirrups(13_150, T10, 4, 100))),
                Map.of(2, new HandCage.Sides(T10, 2)),
                List.of(new TypedDemand(12_000, 14_000, 90e6, FREE, FREE, FREE)),
                HandCage.TorsionKind.EQUILIBRIUM);
    }

    @Test
    void aSplitTakesEveryPartToTheLineThatHasItsMembers() {
        Model before = Model.of("SSS");
        Model after = before.become("SSD");
        CarriedCages.Carried c = before.carry(Map.of("m1", whole()), after);
        HandCage first = c.now().get("m1");
        HandCage second = c.now().get("m3");
        // the run of bars ends at the joint where the line ends now, 13 m; the group over it is cut in two
        assertEquals(
                List.of(
                        new HandCage.Bars(1, 2, T20, -100, 13_000, true, false),
                        new HandCage.Bars(1, 2, T20, 11_000, 13_000, true, false)),
                first.faces().get(BeamCage.Face.TOP));
        assertEquals(
                List.of(
                        new HandCage.Bars(1, 2, T20, 0, 8100, false, true),
                        new HandCage.Bars(1, 2, T20, 0, 2000, false, true)),
                second.faces().get(BeamCage.Face.TOP));
        assertEquals(
                List.of(new HandCage.Stirrups(150, T10, 2, 200)),
                first.stirrups().get(0));
        assertEquals(
                List.of(new HandCage.Stirrups(150, T10, 4, 100)),
                second.stirrups().get(0));
        assertEquals(Map.of(0, new HandCage.Sides(T10, 2)), second.sides());
        assertEquals(List.of(new TypedDemand(12_000, 13_000, 90e6, FREE, FREE, FREE)), first.demands());
        assertEquals(List.of(new TypedDemand(0, 1000, 90e6, FREE, FREE, FREE)), second.demands());
        assertEquals(HandCage.TorsionKind.EQUILIBRIUM, first.torsion());
        assertEquals(HandCage.TorsionKind.AS_FOUND, second.torsion());
        assertEquals(1, c.told().size());
        assertTrue(c.told().get(0).contains("is carried to"), c.told().toString());
    }

    @Test
    void aFaceIsLeftOutWhereTheLineThatJoinsHadNoneAndIsTold() {
        Model before = Model.of("SSD");
        Model after = before.become("SSS");
        HandCage h = new HandCage(
                Map.of(BeamCage.Face.BOTTOM, List.of(run(3, 0, 8000))),
                Map.of(0, List.of(new HandCage.Stirrups(150, T10, 4, 100))),
                Map.of(),
                List.of());
        String mark = before.marks().all().get("m3").mark();
        CarriedCages.Carried c = before.carry(Map.of("m3", h), after);
        assertEquals(HandCage.NONE, c.now().get("m3"), "the line is part of the longer one");
        HandCage joined = c.now().get("m1");
        assertEquals(
                Map.of(2, List.of(new HandCage.Stirrups(13_150, T10, 4, 100))),
                joined.stirrups(),
                "the third span, from 13 m");
        assertFalse(joined.faces().containsKey(BeamCage.Face.BOTTOM), "the other spans would have had no bars");
        assertEquals(List.of("set by hand on " + mark + " and left out: bottom bars"), c.told());
    }

    @Test
    void aFaceSetOnBothPartsIsWhole() {
        Model before = Model.of("SSD");
        Model after = before.become("SSS");
        Map<String, HandCage> hand = Map.of(
                "m1",
                        new HandCage(
                                Map.of(BeamCage.Face.TOP, List.of(run(2, -100, 13_100))),
                                Map.of(),
                                Map.of(),
                                List.of()),
                "m3",
                        new HandCage(
                                Map.of(BeamCage.Face.TOP, List.of(run(4, -100, 8100))), Map.of(), Map.of(), List.of()));
        CarriedCages.Carried c = before.carry(hand, after);
        assertEquals(
                List.of(run(2, -100, 13_100), run(4, 12_900, 21_100)),
                c.now().get("m1").faces().get(BeamCage.Face.TOP));
        assertEquals(2, c.told().size(), c.told().toString());
        assertTrue(c.told().stream().allMatch(t -> t.contains("is carried to")));
    }

    @Test
    void linesThatStayAsTheyLieKeepTheirCagesWithoutAWord() {
        Model before = Model.of("SSS");
        CarriedCages.Carried c = before.carry(Map.of("m1", whole()), before.become("SSS"));
        assertTrue(c.now().isEmpty());
        assertTrue(c.told().isEmpty());
    }

    @Test
    void stirrupsOfASpanThatIsNoMoreAreTold() {
        // a support in the middle of the second span goes: its two spans become one
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 450)
                .joint("A", 0, 0, 0)
                .joint("B", 4000, 0, 0)
                .joint("C", 8000, 0, 0);
        b.beam("m1", "A", "B").beam("m2", "B", "C").pinned("A").pinned("B").pinned("C");
        Analysis held = b.spread("m1", 0, 4000, 20, 20).solve();
        Marks marks = BuildingMarks.follow(Marks.NONE, held.index()).marks();
        b.supports.removeIf(s -> s.joint().equals("B"));
        Analysis free = b.solve();
        HandCage h = new HandCage(
                Map.of(BeamCage.Face.TOP, List.of(run(2, -100, 8100))),
                Map.of(1, List.of(new HandCage.Stirrups(4000, T10, 4, 100))),
                Map.of(),
                List.of());
        CarriedCages.Carried c = CarriedCages.carry(
                Map.of("m1", h),
                new CarriedCages.Lines(BeamLines.find(held, marks), held.index()::length),
                new CarriedCages.Lines(BeamLines.find(free, marks), free.index()::length));
        assertTrue(c.now().get("m1").stirrups().isEmpty());
        assertEquals(h.faces(), c.now().get("m1").faces());
        assertEquals(
                List.of("set by hand on " + marks.all().get("m1").mark() + " and left out: stirrups of span 2"),
                c.told());
    }

    /** The frame with its last joint further out: the last span is 8.5 m long instead of 8. */
    private static Model longer() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 450)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("C", 13_000, 0, 0)
                .joint("E", 21_500, 0, 0);
        b.beam("m1", "A", "B").beam("m2", "B", "C").beam("m3", "C", "E");
        List.of("A", "B", "C", "E").forEach(b::pinned);
        Analysis a = b.spread("m1", 0, 6000, 20, 20).solve();
        return new Model(a, BuildingMarks.follow(Marks.NONE, a.index()).marks());
    }

    @Test
    void barsDoNotFollowToSpansOfAnotherLength() {
        Model before = Model.of("SSS");
        CarriedCages.Carried c = before.carry(Map.of("m1", whole()), longer());
        assertTrue(c.now().get("m1").faces().isEmpty());
        assertEquals(1, c.told().size());
        assertTrue(c.told().get(0).contains("left out: "), c.told().toString());
        assertTrue(c.told().get(0).contains("top bars"), c.told().toString());
    }

    @Test
    void whatWasSetOnALineThatIsGoneIsTold() {
        Model before = Model.of("SSS");
        CarriedCages.Carried c = CarriedCages.carry(
                Map.of("m1", whole()),
                before.carried(),
                new CarriedCages.Lines(List.of(), before.analysis().index()::length));
        assertTrue(c.now().get("m1").isEmpty());
        assertEquals(
                List.of("set by hand on " + before.lines().get(0).mark() + " and left out, since it is gone"),
                c.told());
    }
}
