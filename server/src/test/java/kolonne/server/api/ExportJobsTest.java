package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Files made by jobs: the same bytes as sent at once, refused before they begin where nothing such is there. */
class ExportJobsTest {
    private static final List<String> FILES = List.of(
            "report.pdf?calculations=failing",
            "schedules.pdf",
            "drawings.pdf?paper=A3",
            "drawings.dxf",
            "building.ifc?bars=yes",
            "building.ifc?bars=no",
            "analysis.ifc",
            "results.json",
            "checks.csv",
            "quantities.csv",
            "basis.json",
            "bending.json",
            "bending.csv");

    @Test
    void everyFileIsTheSameByAJobAndAtOnce() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            for (String file : FILES) {
                JsonNode job = s.ended(s.ask(202, "POST", "/exports/" + file, null));
                assertEquals("done", job.get("phase").asText(), file + job);
                assertEquals("export", job.get("kind").asText());
                HttpResponse<String> made =
                        s.fileAt("/api/jobs/" + job.get("result").asText() + "/file");
                HttpResponse<String> atOnce = s.file("/exports/" + file);
                assertEquals(200, made.statusCode());
                assertTrue(made.body().length() > 200, file);
                assertEquals(atOnce.body(), made.body(), file);
                for (String header : List.of("Content-Type", "Content-Disposition")) {
                    assertEquals(
                            atOnce.headers().firstValue(header), made.headers().firstValue(header), file);
                }
            }
        }
    }

    @Test
    void whatIsNotThereIsRefusedBeforeAJobBegins() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            JsonNode unknown = s.ask(404, "POST", "/exports/report.pdf?sheets=Z9", null);
            assertTrue(unknown.toString().contains("Z9"), unknown.toString());
            s.ask(400, "POST", "/exports/report.pdf?calculations=some", null);
            s.ask(400, "POST", "/exports/building.ifc?bars=some", null);
            s.ask(404, "POST", "/exports/drawings.pdf?marks=Z9", null);
            s.ask(400, "POST", "/exports/drawings.dxf?paper=B5", null);
            JsonNode none = s.askAt(404, "GET", "/api/jobs/nothing/file", null);
            assertTrue(none.toString().contains("Ask for it again"), none.toString());
        }
    }
}
