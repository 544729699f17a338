package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Sections of the bench kept for all projects: as they were given, under their names, within bounds, forgotten. */
class KeptSectionsTest {
    private static final String KEPT = "/api/sections";
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(30);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private static String section(String name, String more) {
        return "{\"id\":\"" + name + "\",\"use\":\"column\",\"units\":\"SI\",\"code\":\"aci-318m-19\","
                + "\"shape\":{\"shape\":\"rectangle\",\"b\":400.0,\"h\":400.0},\"fc\":30.0,\"fy\":420.0,\"cover\":40.0,"
                + "\"bars\":[{\"bar\":\"T20\",\"x\":-140.0,\"z\":60.0,\"x2\":140.0,\"z2\":60.0,\"count\":2},"
                + "{\"bar\":\"T20\",\"count\":2,\"x\":-140.0,\"z\":340.0,\"x2\":140.0,\"z2\":340.0}],\"forces\":["
                + more
                + "]}";
    }

    private static List<String> names(JsonNode kept) {
        return StreamSupport.stream(kept.get("sections").spliterator(), false)
                .map(k -> k.get("section").get("id").asText())
                .toList();
    }

    @Test
    void keptReplacedForgotten() throws IOException, InterruptedException {
        String own = section("Ecke / 図", "{\"name\":\"G\",\"n\":-800.0}");
        JsonNode first = s.askAt(200, "PUT", KEPT, own).get("sections").get(0);
        assertEquals(new ObjectMapper().readTree(own), first.get("section"), "as it was given, nothing added");
        assertTrue(first.get("keptAt").asText().endsWith("Z"));
        s.askAt(200, "PUT", KEPT, section(" b ", ""));
        assertEquals(List.of("Ecke / 図", "b"), names(s.askAt(200, "PUT", KEPT, section("Ecke / 図", ""))));
        s.again();
        JsonNode after = s.askAt(200, "GET", KEPT, null);
        assertEquals(List.of("Ecke / 図", "b"), names(after));
        assertEquals(
                0, after.get("sections").get(0).get("section").get("forces").size());
        assertEquals(List.of("Ecke / 図"), names(s.askAt(200, "DELETE", KEPT + "?name=b", null)));
        s.askAt(404, "DELETE", KEPT + "?name=b", null);
        assertEquals(0, s.askAt(200, "GET", "/api/bases", null).get("bases").size(), "bases are kept apart");
    }

    @Test
    void whatIsNoSectionIsRefused() throws IOException, InterruptedException {
        s.askAt(422, "PUT", KEPT, "{}");
        s.askAt(422, "PUT", KEPT, "[1");
        s.askAt(422, "PUT", KEPT, section("a".repeat(81), ""));
        s.askAt(422, "PUT", KEPT, section(" ", ""));
        s.askAt(422, "PUT", KEPT, section("far", "{\"name\":\"" + "x".repeat(99_990) + "\",\"n\":-8}"));
        s.askAt(422, "PUT", KEPT, section("own", "").replace("\"fc\":30.0", "\"fc\":1e9"));
        s.askAt(400, "DELETE", KEPT, null);
        assertEquals(0, s.askAt(200, "GET", KEPT, null).get("sections").size());
    }

    @Test
    void twoHundredAreKept() throws IOException, InterruptedException {
        for (int i = 0; i < 200; i++) {
            s.askAt(200, "PUT", KEPT, section("n" + i, ""));
        }
        JsonNode refused = s.askAt(422, "PUT", KEPT, section("one more", ""));
        assertTrue(refused.toString().contains("200 of them are kept already"), refused.toString());
        s.askAt(200, "PUT", KEPT, section("n7", ""));
    }
}
