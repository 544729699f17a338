package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Bases kept for all projects: under their names, compared line by line, taken by another project, forgotten. */
class KeptBasesTest {
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(30);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private static final String NAME = "Häuser / SI";
    private static final String FORGET = "/api/bases?name=H%C3%A4user%20%2F%20SI";

    private static String named(JsonNode basis, String name) {
        return ((ObjectNode) basis).deepCopy().put("name", name).toString();
    }

    private static List<String> differing(JsonNode compared) {
        return StreamSupport.stream(compared.get("lines").spliterator(), false)
                .filter(l -> !l.get("same").asBoolean())
                .map(l -> l.get("name").asText() + ": " + l.get("here").asText() + " | "
                        + l.get("there").asText())
                .toList();
    }

    @Test
    void keptComparedTakenForgotten() throws IOException, InterruptedException {
        s.change(
                200,
                1,
                "PATCH",
                "/basis",
                "{\"beamCoverMm\":45,\"beamBars\":[\"T16\",\"T25\"],\"local\":{\"a\":{\"storeys\":[\"L1\"],\"set\":{\"fyMpa\":500}}}}");
        JsonNode own = s.get("/basis");
        JsonNode kept = s.askAt(200, "PUT", "/api/bases", named(own, NAME));
        JsonNode first = kept.get("bases").get(0);
        assertEquals("Häuser / SI", first.get("name").asText());
        assertEquals(0, first.get("basis").get("local").size(), "what is local stays with its project");
        s.change("POST", "/undo", "{}");
        JsonNode compared =
                s.ask(200, "POST", "/basis/compare", first.get("basis").toString());
        assertEquals(
                List.of(
                        "Name: Standard, SI | Häuser / SI",
                        "Cover of beams: 40 mm | 45 mm",
                        "Bars of beams: T16 T20 T25 T32 | T16 T25"),
                differing(compared));
        ObjectNode take = ((ObjectNode) first.get("basis")).deepCopy();
        take.remove("local");
        s.change("PATCH", "/basis", take.toString());
        assertEquals(
                List.of(),
                differing(
                        s.ask(200, "POST", "/basis/compare", first.get("basis").toString())));
        assertEquals(45, s.get("/basis").get("beamCoverMm").asDouble());
        // kept again under its name it is replaced
        assertEquals(
                1,
                s.askAt(200, "PUT", "/api/bases", named(own, NAME)).get("bases").size());
        s.again();
        assertEquals(1, s.askAt(200, "GET", "/api/bases", null).get("bases").size());
        assertEquals(0, s.askAt(200, "DELETE", FORGET, null).get("bases").size());
        s.askAt(404, "DELETE", FORGET, null);
    }

    @Test
    void whatIsNoBasisIsRefused() throws IOException, InterruptedException {
        JsonNode own = s.get("/basis");
        s.askAt(422, "PUT", "/api/bases", "{}");
        s.askAt(422, "PUT", "/api/bases", own.toString().replace("\"fyMpa\":420.0", "\"fyMpa\":1e9"));
        s.askAt(422, "PUT", "/api/bases", named(own, "a".repeat(81)));
        s.askAt(422, "PUT", "/api/bases", named(own, " "));
        s.askAt(400, "DELETE", "/api/bases", null);
        s.ask(422, "POST", "/basis/compare", "[]");
        s.ask(422, "POST", "/basis/compare", "{\"name\":");
        assertTrue(s.get("/exports/basis.json").equals(s.get("/basis")));
    }
}
