package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Types through the HTTP API: the curve, its points, what people do, what is refused, and what outlives a restart. */
class TypeRoutesTest {
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(150);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private JsonNode curve(String role) throws IOException, InterruptedException {
        JsonNode c = s.get("/types/curve/" + role);
        if (!c.get("ready").asBoolean()) {
            String job =
                    s.ask(202, "POST", "/types/curve/" + role, "").get("id").asText();
            while (!s.get("/types/curve/" + role).get("ready").asBoolean()) {
                assertFalse(job.isEmpty());
                Thread.sleep(20);
            }
            c = s.get("/types/curve/" + role);
        }
        return c;
    }

    private List<JsonNode> shared() throws IOException, InterruptedException {
        List<JsonNode> out = new ArrayList<>();
        s.get("/types").get("types").forEach(t -> {
            if (!t.get("id").asText().isEmpty()) {
                out.add(t);
            }
        });
        return out;
    }

    private void adopt() throws IOException, InterruptedException {
        int suggested = curve("beam").get("suggested").asInt();
        s.change("PUT", "/types", "{\"action\":\"adopt\",\"role\":\"beam\",\"types\":" + suggested + "}");
    }

    private static String marks(JsonNode type) {
        List<String> out = new ArrayList<>();
        type.get("members").forEach(m -> out.add("\"" + m.get("mark").asText() + "\""));
        return String.join(",", out);
    }

    private JsonNode refused(String change) throws IOException, InterruptedException {
        return s.change(422, s.version(), "PUT", "/types", change)
                .get("findings")
                .get(0);
    }

    @Test
    void aPointOfTheCurveIsLookedAtAdoptedAndTakenBack() throws IOException, InterruptedException {
        assertFalse(s.get("/types/curve/beam").get("ready").asBoolean());
        assertEquals(
                409,
                s.ask(409, "GET", "/types/curve/beam/3", null).get("status").asInt());
        double alone = s.get("/state").get("totals").get("steelKg").asDouble();
        JsonNode c = curve("beam");
        assertEquals(c.get("members").asInt(), c.get("now").get("types").asInt(), "every member its own");
        int types = c.get("suggested").asInt();
        JsonNode at = s.get("/types/curve/beam/" + types);
        assertEquals(types, at.get("groups").size());
        assertTrue(at.get("fewer").size() > 0);
        adopt();
        JsonNode now = s.get("/types/curve/beam").get("now");
        assertEquals(types, now.get("types").asInt());
        assertEquals(at.get("kg").asDouble(), now.get("kg").asDouble(), 1e-6 * alone);
        assertEquals(
                alone - c.get("aloneKg").asDouble() + at.get("kg").asDouble(),
                s.get("/state").get("totals").get("steelKg").asDouble(),
                1e-6 * alone);
        assertTrue(s.get("/types/curve/beam").get("ready").asBoolean(), "types do not make the curve old");
        String mark = shared().get(0).get("mark").asText();
        JsonNode rows = s.get("/results?q=type:" + mark).get("rows");
        assertEquals(shared().get(0).get("members").size(), rows.size());
        assertEquals(mark, rows.get(0).get("type").asText());
        assertEquals(
                types + " types of beams",
                s.get("/edits").get("entries").get(0).get("summary").asText());
        List<JsonNode> before = shared();
        s.again();
        assertEquals(before, shared(), "types outlive a restart");
        s.change("POST", "/undo", "{}");
        assertTrue(shared().isEmpty());
        assertEquals(alone, s.get("/state").get("totals").get("steelKg").asDouble(), 1e-6 * alone);
        s.change("POST", "/redo", "{}");
        assertEquals(before, shared());
    }

    @Test
    void typesAreMergedTakenApartLockedAndNamed() throws IOException, InterruptedException {
        adopt();
        List<JsonNode> all = shared();
        JsonNode first = all.get(0);
        String id = first.get("id").asText();
        JsonNode alike = all.stream()
                .skip(1)
                .filter(t -> t.get("section").equals(first.get("section")))
                .findFirst()
                .orElse(null);
        s.change("PUT", "/types", "{\"action\":\"lock\",\"type\":\"" + id + "\"}");
        assertTrue(shared().get(0).get("locked").asBoolean());
        String member = first.get("members").get(0).get("mark").asText();
        assertTrue(refused("{\"action\":\"apart\",\"members\":[\"" + member + "\"]}")
                .get("what")
                .asText()
                .contains("is locked"));
        s.change("PUT", "/types", "{\"action\":\"unlock\",\"type\":\"" + id + "\"}");
        s.change("PUT", "/types", "{\"action\":\"apart\",\"members\":[\"" + member + "\"]}");
        assertTrue(shared().stream().noneMatch(t -> marks(t).contains("\"" + member + "\"")));
        // back into the type that it came from, or into a new one with its only mate
        String mate = first.get("members").get(1).get("mark").asText();
        s.change("PUT", "/types", "{\"action\":\"merge\",\"members\":[\"" + member + "\",\"" + mate + "\"]}");
        assertTrue(shared().stream()
                .anyMatch(t -> marks(t).contains("\"" + member + "\"") && marks(t).contains("\"" + mate + "\"")));
        if (alike != null) {
            String both = marks(first) + "," + marks(alike);
            s.change("PUT", "/types", "{\"action\":\"merge\",\"members\":[" + both + "]}");
            assertEquals(all.size() - 1, shared().size());
        }
        String now = shared().get(0).get("id").asText();
        String taken = shared().get(0).get("mark").asText();
        JsonNode sheet = s.get("/members/" + mate);
        assertFalse(sheet.get("type").asText().isEmpty());
        assertTrue(s.change(422, s.version(), "PUT", "/members/" + mate + "/mark", "{\"mark\":\"" + taken + "\"}")
                .get("findings")
                .get(0)
                .get("what")
                .asText()
                .contains("is the mark of a type"));
        s.change("PUT", "/types", "{\"action\":\"rename\",\"type\":\"" + now + "\",\"mark\":\"Zaal 1\"}");
        assertEquals("Zaal 1", shared().get(0).get("mark").asText());
        s.change("PUT", "/types", "{\"action\":\"pattern\",\"role\":\"beam\",\"mark\":\"{storey}-{role}{n}\"}");
        assertTrue(
                shared().get(0).get("mark").asText().matches("L.*-B1"),
                shared().get(0).get("mark").asText());
        s.change("PUT", "/types", "{\"action\":\"dissolve\",\"type\":\"" + now + "\"}");
        assertTrue(shared().stream().noneMatch(t -> t.get("id").asText().equals(now)));
        s.change("PUT", "/types", "{\"action\":\"none\",\"role\":\"beam\"}");
        assertTrue(shared().isEmpty());
    }

    @Test
    void whatCannotBeIsRefusedWithTheReason() throws IOException, InterruptedException {
        JsonNode rows = s.get("/results?q=beam").get("rows");
        JsonNode columns = s.get("/results?q=column").get("rows");
        String a = rows.get(0).get("mark").asText();
        String c = columns.get(0).get("mark").asText();
        assertTrue(refused("{\"action\":\"merge\",\"members\":[\"" + a + "\",\"" + c + "\"]}")
                .get("what")
                .asText()
                .contains("cannot share a cage"));
        assertTrue(refused("{\"action\":\"merge\",\"members\":[\"" + a + "\"]}")
                .get("what")
                .asText()
                .contains("One member is no type"));
        assertTrue(refused("{\"action\":\"merge\",\"members\":[\"nowhere\"]}")
                .get("what")
                .asText()
                .contains("There is no beam line or column nowhere"));
        assertTrue(refused("{\"action\":\"dissolve\",\"type\":\"T99\"}")
                .get("what")
                .asText()
                .contains("no more"));
        assertTrue(refused("{\"action\":\"tolerance\",\"toleranceMm\":-1}")
                .get("what")
                .asText()
                .contains("0 to 2000 mm"));
        assertTrue(refused("{\"action\":\"tolerance\"}").get("what").asText().contains("0 to 2000 mm"));
        s.change(400, s.version(), "PUT", "/types", "{\"action\":\"paint\"}");
        s.change(400, s.version(), "PUT", "/types", "{\"action\":\"none\",\"role\":\"wall\"}");
        s.change(409, s.version(), "PUT", "/types", "{\"action\":\"adopt\",\"role\":\"beam\",\"types\":3}");
        curve("beam");
        assertTrue(refused("{\"action\":\"adopt\",\"role\":\"beam\",\"types\":100000}")
                .get("what")
                .asText()
                .contains("no point"));
        s.ask(400, "GET", "/types/curve/beam/many", null);
        assertTrue(s.ask(422, "GET", "/types/pattern/beam?pattern=%7Bx%7D", null)
                .get("findings")
                .get(0)
                .get("what")
                .asText()
                .contains("{x} says nothing"));
        assertEquals(1, s.version(), "nothing was stored");
        s.change(412, 7, "PUT", "/types", "{\"action\":\"none\",\"role\":\"beam\"}");
    }

    @Test
    void aMemberSetByHandOrChangedLeavesItsTypeAndIsToldOf() throws IOException, InterruptedException {
        adopt();
        JsonNode type = shared().get(0);
        String mark = type.get("members").get(0).get("mark").asText();
        String bars = "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":5,\"size\":\"T25\",\"from\":-1000,\"to\":1000000,"
                + "\"hookFrom\":true,\"hookTo\":true}]}}";
        s.change("PUT", "/members/" + mark + "/hand", bars);
        JsonNode now = shared().get(0);
        assertEquals(mark, now.get("left").get(0).get("mark").asText());
        assertTrue(now.get("left").get(0).get("why").asText().contains("by hand"));
        assertEquals(type.get("members").size() - 1, now.get("members").size());
        assertTrue(s.get("/model").get("findings").findValuesAsText("code").contains("type.left"));
        s.change("POST", "/undo", "{}");
        assertEquals(type, shared().get(0));
    }
}
