package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Drawings over HTTP: a sheet for the page, files, and what is asked for wrongly. */
class DrawingRoutesTest {
    @Test
    void sheetsAndFilesOfWhatIsAskedFor() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            JsonNode all = s.get("/drawings");
            assertEquals(841, all.get("width").asDouble());
            assertEquals(1, all.get("sheet").asInt());
            JsonNode last = s.get("/drawings?paper=A3&sheet=100000");
            assertEquals(last.get("sheets").asInt(), last.get("sheet").asInt(), "past the end is the last");
            assertTrue(last.get("sheets").asInt() > 1);
            assertTrue(all.get("marks").get(0).asText().startsWith("Plan "), "plans come first");
            JsonNode plans = s.get("/drawings?marks=plans");
            plans.get("marks").forEach(m -> assertTrue(m.asText().startsWith("Plan "), m.asText()));
            JsonNode marks = all.get("marks");
            String mark = marks.get(marks.size() - 1).asText();
            JsonNode one = s.get("/drawings?marks=" + mark + ",%20" + mark);
            assertEquals(1, one.get("sheets").asInt());
            assertEquals(1, one.get("marks").size());
            for (JsonNode l : one.get("lines")) {
                assertEquals(0, l.get("xy").size() % 4);
            }
            assertTrue(one.get("texts").findValuesAsText("text").contains(mark));
            HttpResponse<String> dxf = s.file("/exports/drawings.dxf?marks=" + mark);
            assertEquals(200, dxf.statusCode());
            assertTrue(dxf.body().startsWith("0\nSECTION\n") && dxf.body().endsWith("0\nEOF\n"));
            assertTrue(s.file("/exports/drawings.pdf?marks=" + mark).body().startsWith("%PDF"));
            JsonNode unknown = s.ask(404, "GET", "/drawings?marks=X9", null);
            assertTrue(unknown.toString().contains("X9"), unknown.toString());
            s.ask(400, "GET", "/drawings?paper=B5", null);
            s.ask(400, "GET", "/drawings?sheet=many", null);
        }
    }

    @Test
    void schedulesAreNarrowedToMarksAndColumnsStandAgainstStoreys() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            JsonNode columns = s.get("/column-schedule");
            String stack = columns.get("marks").get(0).asText();
            assertTrue(columns.get("texts").findValuesAsText("text").contains(stack));
            JsonNode one = s.get("/column-schedule?marks=" + stack);
            assertEquals(1, one.get("marks").size());
            JsonNode beams = s.get("/schedules/beams");
            String line = beams.get("rows").get(0).get(0).asText();
            assertEquals(line, beams.get("pictures").get(0).get("marks").get(0).asText());
            JsonNode some = s.get("/schedules/bars?size=500&marks=" + line + "," + stack);
            some.get("rows")
                    .forEach(r ->
                            assertTrue(Set.of(line, stack).contains(r.get(0).asText()), r.toString()));
            assertTrue(some.get("total").asInt()
                    < s.get("/schedules/bars").get("total").asInt());
            assertTrue(s.file("/exports/schedules.pdf?marks=" + line).body().startsWith("%PDF"));
            for (String path : List.of("/schedules/beams", "/column-schedule", "/exports/schedules.xlsx")) {
                assertTrue(s.ask(404, "GET", path + "?marks=X9," + line, null)
                        .toString()
                        .contains("type X9."));
            }
        }
    }
}
