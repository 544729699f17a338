package kolonne.exchange.hand;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.design.HandSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is set by hand comes back as it was written; what cannot be meant is told with its place. */
class HandFileTest {
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final Bar EIGHT = BarCatalogue.US.find("#8");

    private static HandFile.Read read(String json, BarCatalogue catalogue) {
        return HandFile.read(json.getBytes(StandardCharsets.UTF_8), catalogue);
    }

    @Test
    void linesAndLiftsComeBackWithSizesOfAnotherCatalogue() {
        HandCage line = new HandCage(
                Map.of(BeamCage.Face.TOP, List.of(new HandCage.Bars(1, 3, EIGHT, 0, 5000, true, false))),
                Map.of(),
                Map.of(),
                List.of());
        HandSet all = new HandSet(
                Map.of("b1", line),
                Map.of(
                        "c1",
                        new HandLift(
                                new RectangleBars(
                                        4, 3, EIGHT, T20, List.of(true, false, true, true), List.of(true, false, true)),
                                new HandLift.Ties(T10, new TieSpacing(100, 75, 150, 600, 450))),
                        "Stütze ö",
                        new HandLift(new RingBars(9, T20), null),
                        "c3",
                        HandLift.NONE));
        HandFile.Read back = read(HandFile.write(all, "two columns"), BarCatalogue.METRIC);
        assertEquals(List.of(), back.findings());
        assertEquals(all, back.cages());
        assertEquals("two columns", HandFile.summary(HandFile.write(all, "two columns")));
    }

    @Test
    void whatOlderServersStoredIsStillRead() {
        HandFile.Read r = read(
                "{\"lines\":{\"b1\":{\"sides\":{\"0\":{\"size\":\"T20\",\"perFace\":2}}}},\"sizes\":[],\"summary\":\"s\"}",
                BarCatalogue.METRIC);
        assertEquals(List.of(), r.findings());
        assertEquals(2, r.cages().line("b1").sides().get(0).perFace());
        assertEquals(Map.of(), r.cages().lifts());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '\'', textBlock = """
            lifts.c.rows.alongX        | '{"rows":{"alongX":1,"alongY":3,"corner":"T20","face":"T20"}}'
            lifts.c.rows.alongY        | '{"rows":{"alongX":3,"alongY":21,"corner":"T20","face":"T20"}}'
            lifts.c.rows.corner        | '{"rows":{"alongX":3,"alongY":3,"corner":null,"face":"T20"}}'
            lifts.c.rows.heldX         | '{"rows":{"alongX":3,"alongY":3,"corner":"T20","face":"T20","heldX":[true,true],"heldY":[true,true,true]}}'
            lifts.c.rows.heldY         | '{"rows":{"alongX":3,"alongY":3,"corner":"T20","face":"T20","heldX":[true,true,true],"heldY":[true,true,null]}}'
            lifts.c.rows               | '{"rows":{"alongX":3,"alongY":3,"corner":"T20","face":"T20","heldX":[true,true,true]}}'
            lifts.c                    | '{"rows":{"alongX":3,"alongY":3,"corner":"T20","face":"T20"},"ring":{"count":8,"size":"T20"}}'
            lifts.c.ring.count         | '{"ring":{"count":2,"size":"T20"}}'
            lifts.c.ring.size          | '{"ring":{"count":8,"size":"T21"}}'
            lifts.c.ties.middle        | '{"ties":{"size":"T10","joint":100,"end":100,"middle":1001,"foot":0,"head":0}}'
            lifts.c.ties.head          | '{"ties":{"size":"T10","joint":100,"end":100,"middle":100,"foot":0,"head":-5}}'
            body.lifts.c.ties.middle   | '{"ties":{"size":"T10","joint":100,"end":100}}'
            body.lifts.c.rows.alongX   | '{"rows":{"alongX":3.5,"alongY":3,"corner":"T20","face":"T20"}}'
            """)
    void whatCannotBeMeantIsToldWithItsPlace(String where, String lift) {
        HandFile.Read r = read("{\"lifts\":{\"c\":" + lift + "}}", BarCatalogue.METRIC);
        assertTrue(r.cages().isEmpty());
        assertEquals(
                List.of(where),
                r.findings().stream().map(f -> f.where()).distinct().toList(),
                r.findings().toString());
    }

    @Test
    void aFileOfNothingIsRefused() {
        assertEquals(1, read("{}", BarCatalogue.METRIC).findings().size());
        assertEquals(1, read("null", BarCatalogue.METRIC).findings().size());
    }
}
