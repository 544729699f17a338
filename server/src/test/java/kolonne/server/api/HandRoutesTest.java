package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.exchange.basis.BasisFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Cages set by hand through the HTTP API: stored, tried, undone, kept through redesigns and restarts, copied. */
class HandRoutesTest {
    private Served s;
    private String mark;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(60);
        for (JsonNode r : s.get("/results?q=beam").get("rows")) {
            if (mark == null && r.get("satisfied").asBoolean()) {
                mark = r.get("mark").asText();
            }
        }
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private JsonNode beam(String of) throws IOException, InterruptedException {
        return s.get("/members/" + of).get("beam");
    }

    private static String bars(int count) {
        return "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":" + count
                + ",\"size\":\"T25\",\"from\":-1000,\"to\":1000000,\"hookFrom\":true,\"hookTo\":true}]}}";
    }

    private JsonNode set(int status, int version, String hand) throws IOException, InterruptedException {
        return s.change(status, version, "PUT", "/members/" + mark + "/hand", hand);
    }

    @Test
    void barsAreTriedWithoutATrace() throws IOException, InterruptedException {
        JsonNode before = beam(mark);
        JsonNode tried = s.ask(200, "POST", "/members/" + mark + "/try", bars(4));
        assertEquals(
                4,
                tried.get("groups")
                        .get(tried.get("groups").size() - 1)
                        .get("count")
                        .asInt());
        assertEquals(before, beam(mark));
        assertEquals(1, s.version());
    }

    @Test
    void barsAreSetUndoneAndRedone() throws IOException, InterruptedException {
        JsonNode before = beam(mark);
        JsonNode answer = set(200, 1, bars(4));
        assertEquals(2, answer.get("version").asInt());
        assertEquals(answer.get("beam"), beam(mark));
        assertTrue(beam(mark).get("hand").get("faces").has("bottom"));
        assertEquals(2, s.get("/results?size=1").get("version").asInt(), "the whole design is current at once");
        s.change(200, 2, "POST", "/undo", "{}");
        assertEquals(before, beam(mark));
        s.change(200, 3, "POST", "/redo", "{}");
        assertEquals(answer.get("beam"), beam(mark));
        JsonNode history = s.get("/edits");
        assertEquals(
                mark + ": bottom bars by hand",
                history.get("entries").get(0).get("summary").asText());
        assertEquals(1, history.get("modelVersion").asInt(), "the model itself did not change");
    }

    @Test
    void handSetBarsSurviveARedesignAndARestart() throws IOException, InterruptedException {
        set(200, 1, bars(5));
        String basis = BasisFile.write(Basis.standard(false).with(Preference.FEWEST_BARS));
        s.change(200, 2, "PATCH", "/basis", basis);
        s.designed();
        assertEquals(
                1,
                beam(mark).get("groups").findValuesAsText("face").stream()
                        .filter("bottom"::equals)
                        .count());
        String us = BasisFile.write(Basis.standard(true));
        s.change(200, 3, "PATCH", "/basis", us);
        s.designed();
        assertEquals(
                "T25",
                beam(mark)
                        .get("hand")
                        .get("faces")
                        .get("bottom")
                        .get(0)
                        .get("size")
                        .asText(),
                "a bar outlives the catalogue it came from");
        s.again();
        assertEquals(
                5,
                beam(mark)
                        .get("hand")
                        .get("faces")
                        .get("bottom")
                        .get(0)
                        .get("count")
                        .asInt());
    }

    @Test
    void anotherPersonsChangeIsNotOverwritten() throws IOException, InterruptedException {
        set(200, 1, bars(4));
        assertTrue(set(409, 1, bars(3)).get("title").asText().contains("Somebody else"));
        assertEquals(
                4,
                beam(mark)
                        .get("hand")
                        .get("faces")
                        .get("bottom")
                        .get(0)
                        .get("count")
                        .asInt());
    }

    @Test
    void whatCannotBeMeantIsRefusedWithItsPlace() throws IOException, InterruptedException {
        assertEquals(
                "line.faces.bottom[0].count",
                set(422, 1, bars(0)).get("findings").get(0).get("where").asText());
        assertTrue(set(422, 1, bars(4).replace("T25", "T26"))
                .get("findings")
                .get(0)
                .get("what")
                .asText()
                .contains("no bar T26"));
        set(422, 1, "{\"faces\":{\"side\":[]}}");
        set(422, 1, "{\"stirrups\":{\"0\":[]}}");
        set(422, 1, "{\"stirrups\":{\"0\":[{\"from\":0,\"size\":\"T10\",\"legs\":2,\"spacing\":1e9}]}}");
        set(422, 1, "{\"demands\":[{\"from\":5,\"to\":1,\"values\":{\"shear\":-3}}]}");
        set(422, 1, "{\"demands\":[{\"from\":0,\"to\":1,\"values\":{\"force\":3}}]}");
        set(422, 1, "[]");
        set(422, 1, "{\"faces\":");
        assertEquals(1, s.version());
    }

    @Test
    void aCageIsCopiedToIdenticalLinesAndReleased() throws IOException, InterruptedException {
        JsonNode alike = null;
        for (JsonNode r : s.get("/results?q=beam").get("rows")) {
            mark = r.get("mark").asText();
            alike = s.get("/members/" + mark + "/identical").get("lines");
            if (!alike.isEmpty()) {
                break;
            }
        }
        assertFalse(alike.isEmpty(), "the sample has lines that repeat");
        String other = alike.get(0).get("mark").asText();
        s.change(400, 1, "POST", "/members/" + mark + "/copy", "{\"marks\":[\"" + mark + "\"]}");
        s.change(200, 1, "POST", "/members/" + mark + "/copy", "{\"marks\":[\"" + other + "\"]}");
        assertEquals(beam(mark).get("groups"), beam(other).get("groups"));
        assertEquals(2, beam(other).get("hand").get("faces").size());
        mark = other;
        set(200, 2, "{}");
        assertEquals(0, beam(other).get("hand").get("faces").size());
    }

    @Test
    void stirrupsThatWereWeighedStandInOrderAndTheirReasonIsGiven() throws IOException, InterruptedException {
        JsonNode all = s.get("/members/" + mark + "/stirrups?span=0").get("options");
        assertEquals("", all.get(0).get("lost").asText());
        for (int i = 1; i < all.size(); i++) {
            assertFalse(all.get(i).get("lost").asText().isEmpty());
        }
        JsonNode zone = beam(mark).get("zones").get(0);
        assertEquals(
                zone.get("size").asText() + zone.get("legs").asInt(),
                all.get(0).get("size").asText() + all.get(0).get("legs").asInt(),
                "the first is the one chosen");
    }

    @Test
    void aSectionIsTakenWithItsEdits() throws IOException, InterruptedException {
        JsonNode tried = null;
        for (JsonNode r : s.get("/results?q=beam").get("rows")) {
            mark = r.get("mark").asText();
            for (JsonNode o : s.get("/members/" + mark + "/sections").get("options")) {
                tried = tried == null
                                && !o.get("present").asBoolean()
                                && !o.get("inProject").asBoolean()
                                && o.get("satisfied").asBoolean()
                        ? o
                        : tried;
            }
            if (tried != null) {
                break;
            }
        }
        s.change(200, 1, "POST", "/edits", "{\"edits\":" + tried.get("edits") + "}");
        s.designed();
        assertEquals(
                tried.get("label").asText(),
                beam(mark).get("spans").get(0).get("section").get("label").asText());
    }

    @Test
    void readingsAreThoseOfEveryCombination() throws IOException, InterruptedException {
        JsonNode b = beam(mark);
        int station = b.get("governingStation").asInt();
        JsonNode r = s.get("/members/" + mark + "/readings?station=" + station).get("readings");
        double most = 0;
        double least = 0;
        for (JsonNode c : r) {
            most = Math.max(most, c.get("moment").asDouble());
            least = Math.min(least, c.get("moment").asDouble());
        }
        assertEquals(b.get("points").get(station).get("mPos").asDouble(), most, 1e-9);
        assertEquals(b.get("points").get(station).get("mNeg").asDouble(), least, 1e-9);
        assertNotEquals(0, r.size());
        s.ask(400, "GET", "/members/" + mark + "/readings?station=100000", null);
    }
}
