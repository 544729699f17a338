package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Changes of the basis as single fields, and one history of everything with who did it. */
class OneHistoryTest {
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(60);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private double basis(String field) throws IOException, InterruptedException {
        return s.get("/basis").get(field).asDouble();
    }

    @Test
    void twoPeopleWhoChangeDifferentFieldsBothKeepTheirs() throws IOException, InterruptedException {
        s.change(200, 1, "PATCH", "/basis", "{\"beamCoverMm\":45}");
        s.change(200, 1, "PATCH", "/basis", "{\"columnCoverMm\":50}");
        assertEquals(45, basis("beamCoverMm"));
        assertEquals(50, basis("columnCoverMm"));
    }

    @Test
    void theSameFieldClashesAndBothValuesAreTold() throws IOException, InterruptedException {
        s.change(200, 1, "PATCH", "/basis", "{\"beamCoverMm\":45}");
        JsonNode p = s.change(409, 1, "PATCH", "/basis", "{\"beamCoverMm\":35,\"columnCoverMm\":50}");
        assertEquals(
                "Cover of beams is 45 mm now; you set 35 mm.",
                p.get("findings").get(0).get("what").asText());
        assertEquals(45, basis("beamCoverMm"));
        assertEquals(40, basis("columnCoverMm"), "nothing of a change that clashes is taken");
        s.change(200, 1, "PATCH", "/basis", "{\"beamCoverMm\":45}");
        assertEquals(2, s.version(), "who wants the same has it already");
        s.change(200, 2, "PATCH", "/basis", "{\"beamCoverMm\":35}");
        assertEquals(35, basis("beamCoverMm"));
    }

    @Test
    void theHistoryIsATableWhoseCellsStayText() throws IOException, InterruptedException {
        String[] by = {"If-Match", "\"1\"", "Kolonne-Person", "%3DZo%C3%AB%2C%20A"};
        s.ask(200, "PATCH", "/basis", "{\"beamCoverMm\":45}", by);
        s.change("POST", "/undo", "{}");
        List<String> lines = s.file("/exports/history.csv").body().lines().toList();
        assertEquals("\uFEFFversion,time,person,address,kind,change,in force,effects", lines.get(0));
        assertTrue(lines.get(1).matches("2,\\d{4}-.*Z,\"'=Zoë, A\",,basis,.*45 mm.*,false,.*"), lines.get(1));
        assertTrue(lines.get(2).startsWith("3,") && lines.get(2).contains(",undo,"), lines.get(2));
    }

    /** Typed quickly in one window while another changes something else: one's own last word is no clash. */
    @Test
    void aWindowDoesNotClashWithItself() throws IOException, InterruptedException {
        String[] mine = {"If-Match", "\"1\"", "Kolonne-Window", "w1"};
        s.change(200, 1, "PATCH", "/basis", "{\"columnCoverMm\":50}");
        s.ask(200, "PATCH", "/basis", "{\"beamCoverMm\":45}", mine);
        s.ask(200, "PATCH", "/basis", "{\"beamCoverMm\":50}", mine);
        assertEquals(50, basis("beamCoverMm"));
        s.ask(409, "PATCH", "/basis", "{\"columnCoverMm\":60}", mine);
    }

    @Test
    void anotherCodeStandsAgainstEveryFieldOfTheOld() throws IOException, InterruptedException {
        s.change(200, 1, "PATCH", "/basis", "{\"code\":\"en-1992-1-1\",\"fyMpa\":500,\"fytMpa\":500}");
        JsonNode p = s.change(409, 1, "PATCH", "/basis", "{\"beamCoverMm\":35}");
        assertTrue(p.get("findings").get(0).get("what").asText().startsWith("Design code is EN 1992"), p.toString());
        s.change(422, 2, "PATCH", "/basis", "{}");
        s.change(422, 2, "PATCH", "/basis", "{\"noSuchField\":1}");
        s.change(422, 2, "PATCH", "/basis", "{\"beamCoverMm\":\"1e400\"}");
    }

    @Test
    void undoTakesBackTheLastChangeWhateverItWas() throws IOException, InterruptedException {
        String mark = s.get("/results?q=beam").get("rows").get(0).get("mark").asText();
        s.ask(
                200,
                "PATCH",
                "/basis",
                "{\"beamCoverMm\":45}",
                "If-Match",
                "\"1\"",
                "Kolonne-Person",
                "In%C3%A9s%20%C3%85");
        s.change("PUT", "/members/" + mark + "/hand", "{\"torsion\":\"equilibrium\"}");
        s.change("PATCH", "/basis", "{\"columnCoverMm\":50}");
        s.change("PUT", "/members/" + mark + "/mark", "{\"mark\":\"G1\"}");
        List<String> kinds = texts("kind");
        assertEquals(List.of("basis", "cage", "basis", "mark"), kinds);
        assertEquals("Inés Å", texts("person").get(0));
        assertEquals("Cover of beams 40 → 45 mm", texts("summary").get(0));
        s.again();
        s.change("POST", "/undo", "{}");
        assertEquals(mark, s.get("/members/" + mark).get("mark").asText());
        s.change("POST", "/undo", "{}");
        assertEquals(40, basis("columnCoverMm"));
        assertEquals(45, basis("beamCoverMm"));
        s.change("POST", "/undo", "{}");
        assertEquals(
                "as-found",
                s.get("/members/" + mark).get("beam").get("hand").get("torsion").asText());
        s.change("POST", "/redo", "{}");
        s.change("POST", "/undo", "{}");
        s.change("POST", "/undo", "{}");
        assertEquals(40, basis("beamCoverMm"));
        assertFalse(s.get("/edits").get("canUndo").asBoolean());
        assertEquals("undo: Cover of beams 40 → 45 mm", texts("summary").get(9));
    }

    private List<String> texts(String field) throws IOException, InterruptedException {
        return StreamSupport.stream(s.get("/edits").get("entries").spliterator(), false)
                .map(e -> e.get(field).asText())
                .toList();
    }

    @Test
    void theOtherWindowIsToldWhoChangedWhat() throws IOException, InterruptedException {
        s.ask(
                200,
                "PATCH",
                "/basis",
                "{\"beamCoverMm\":45}",
                "If-Match",
                "\"1\"",
                "Kolonne-Person",
                "Ines",
                "Kolonne-Window",
                "w1");
        JsonNode last = s.get("/state").get("last");
        assertEquals("Ines", last.get("person").asText());
        assertEquals("w1", last.get("window").asText());
        assertEquals("Cover of beams 40 → 45 mm", last.get("summary").asText());
        assertEquals(2, last.get("version").asInt());
        s.ask(400, "PATCH", "/basis", "{\"beamCoverMm\":50}", "If-Match", "\"2\"", "Kolonne-Person", "%zz");
    }
}
