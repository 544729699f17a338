package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Settings of some members over the API: what they hold for, what sheets and lists say, what undo and a second person do. */
class LocalSettingsRoutesTest {
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(60);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private List<JsonNode> rows(String q) throws IOException, InterruptedException {
        return StreamSupport.stream(s.get("/results?q=" + q).get("rows").spliterator(), false)
                .toList();
    }

    private static String exposed(String member, int cover) {
        return "{\"local\":{\"Car park\":{\"storeys\":[],\"members\":[\"" + member + "\"],\"set\":{\"beamCoverMm\":"
                + cover + ",\"columnCoverMm\":" + cover + "}}}}";
    }

    @Test
    void aLineAndAColumnAnswerToThem() throws IOException, InterruptedException {
        JsonNode line = rows("beam").get(0);
        JsonNode other = rows("beam").get(1);
        String mark = line.get("mark").asText();
        JsonNode before = s.get("/members/" + mark).get("beam");
        s.change("PATCH", "/basis", exposed(line.get("id").asText(), 60));
        assertEquals(
                List.of(mark),
                rows("local").stream().map(r -> r.get("mark").asText()).toList());
        assertEquals(1, rows("local:carpark").size());
        JsonNode sheet = s.get("/members/" + mark);
        assertEquals("Car park", sheet.get("local").get(0).asText());
        assertEquals(60, sheet.get("beam").get("coverMm").asDouble());
        assertNotEquals(before.get("points"), sheet.get("beam").get("points"));
        JsonNode untouched = s.get("/members/" + other.get("mark").asText());
        assertEquals(0, untouched.get("local").size());
        assertEquals(40, untouched.get("beam").get("coverMm").asDouble());
        // what is tried, offered and explained for the line is on its own cover as well
        assertEquals(
                sheet.get("beam").get("steelKg").asDouble(),
                StreamSupport.stream(
                                s.get("/members/" + mark + "/preferences")
                                        .get("preferences")
                                        .spliterator(),
                                false)
                        .filter(o -> o.get("preference").asText().equals("practical"))
                        .findFirst()
                        .orElseThrow()
                        .get("steelKg")
                        .asDouble(),
                1e-6);
        String results = s.get("/exports/results.json").toString();
        assertTrue(results.contains("\"localSettings\":[\"Car park\"]"));
        assertEquals(
                "Local settings “Car park” none → 1 single member: Cover of beams 60 mm, Cover of columns 60 mm",
                s.get("/edits").get("entries").get(0).get("summary").asText());
        s.change("POST", "/undo", "{}");
        assertEquals(0, rows("local").size());
        assertEquals(before, s.get("/members/" + mark).get("beam"));
    }

    @Test
    void twoPeople() throws IOException, InterruptedException {
        String id = rows("column").get(0).get("id").asText();
        s.change(200, 1, "PATCH", "/basis", exposed(id, 60));
        s.change(200, 1, "PATCH", "/basis", "{\"local\":{\"Roof\":{\"storeys\":[\"L1\"],\"set\":{\"fyMpa\":500}}}}");
        JsonNode p = s.change(409, 1, "PATCH", "/basis", exposed(id, 50));
        assertTrue(p.toString().contains("Local settings “Car park”"), p.toString());
        assertEquals(2, s.get("/basis").get("local").size());
        s.change(422, 3, "PATCH", "/basis", exposed(id, 5));
        s.change(422, 3, "PATCH", "/basis", "{\"local\":{\"Roof\":{\"set\":{\"code\":\"x\"}}}}");
        s.change(422, 3, "PATCH", "/basis", "{\"local\":3}");
        s.again();
        s.designed();
        assertEquals(500, s.get("/basis").at("/local/Roof/set/fyMpa").asDouble());
    }
}
