package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.time.Duration;
import java.time.OffsetDateTime;
import org.junit.jupiter.api.Test;

class DeletedProjectsTest {
    private static final String DELETED = "/api/deleted-projects";

    @Test
    void aDeletedProjectRestsForThirtyDaysAndComesBackAsItWas() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            s.change("PATCH", "/basis", "{\"beamCoverMm\":45}");
            JsonNode before = s.get("");
            String csv = s.file("/exports/checks.csv").body();
            String id = before.get("id").asText();

            s.ask(204, "DELETE", "", null, "Kolonne-Person", "Zo%C3%AB");
            s.ask(404, "GET", "", null);
            s.ask(404, "GET", "/results", null);
            s.ask(404, "DELETE", "", null);
            assertEquals(
                    0,
                    s.askAt(200, "GET", "/api/projects", null).get("projects").size());
            JsonNode rests = s.askAt(200, "GET", DELETED, null).get("projects").get(0);
            assertEquals(id, rests.get("id").asText());
            assertEquals("Zoë", rests.get("deletedBy").asText());
            assertEquals(
                    Duration.ofDays(30),
                    Duration.between(
                            OffsetDateTime.parse(rests.get("deletedAt").asText()),
                            OffsetDateTime.parse(rests.get("until").asText())));

            s.again(false);
            assertEquals(before, s.askAt(200, "POST", DELETED + "/" + id, null));
            s.look(s.project);
            assertEquals(45, s.get("/basis").get("beamCoverMm").asDouble());
            assertEquals(csv, s.file("/exports/checks.csv").body());
            s.askAt(404, "POST", DELETED + "/" + id, null);
            s.askAt(404, "DELETE", DELETED + "/" + id, null);

            s.ask(204, "DELETE", "", null);
            s.askAt(204, "DELETE", DELETED + "/" + id, null);
            assertTrue(s.askAt(200, "GET", DELETED, null).get("projects").isEmpty());
            s.askAt(404, "POST", DELETED + "/" + id, null);
        }
    }
}
