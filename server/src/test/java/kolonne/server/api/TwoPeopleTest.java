package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two people who changed the same version of a project: both are taken where they touch different lines, else the second is told what the first did. */
class TwoPeopleTest {
    private Served s;
    private final List<String> lines = new ArrayList<>();

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(60);
        for (JsonNode r : s.get("/results?q=beam").get("rows")) {
            if (r.get("satisfied").asBoolean()) {
                lines.add(r.get("mark").asText());
            }
        }
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private JsonNode change(int status, String person, int seen, String method, String path, String body)
            throws IOException, InterruptedException {
        return s.ask(
                status,
                method,
                path,
                body,
                "If-Match",
                "\"" + seen + "\"",
                "Kolonne-Person",
                person,
                "Kolonne-Window",
                person);
    }

    private JsonNode cage(int status, String person, int seen, String mark, int bars)
            throws IOException, InterruptedException {
        String hand = "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":" + bars
                + ",\"size\":\"T25\",\"from\":-1000,\"to\":1000000,\"hookFrom\":true,\"hookTo\":true}]}}";
        return change(status, person, seen, "PUT", "/members/" + mark + "/hand", hand);
    }

    private int bars(String mark) throws IOException, InterruptedException {
        return s.get("/members/" + mark)
                .get("beam")
                .get("hand")
                .get("faces")
                .get("bottom")
                .get(0)
                .get("count")
                .asInt();
    }

    /** Analysis members of a line. */
    private List<String> members(String mark) throws IOException, InterruptedException {
        JsonNode view = s.get("/view");
        List<String> out = new ArrayList<>();
        for (JsonNode m : view.get("members")) {
            int line = m.get("line").asInt();
            if (line >= 0 && view.get("marks").get(line).asText().equals(mark)) {
                out.add(m.get("id").asText());
            }
        }
        return out;
    }

    private static String softer(String member) {
        return "{\"edits\":[{\"kind\":\"stiffness\",\"members\":[\"" + member + "\"],\"factorIy\":0.5}]}";
    }

    @Test
    void cagesOfDifferentLinesAreBothTaken() throws IOException, InterruptedException {
        cage(200, "Ines", 1, lines.get(0), 4);
        assertEquals(3, cage(200, "Jonas", 1, lines.get(1), 5).get("version").asInt());
        assertEquals(4, bars(lines.get(0)));
        assertEquals(5, bars(lines.get(1)));
        s.designed();
        change(200, "Jonas", 3, "POST", "/undo", "{}");
        assertEquals(4, bars(lines.get(0)), "undo takes the newest back, and nothing else");
        assertTrue(s.get("/members/" + lines.get(1))
                .get("beam")
                .get("hand")
                .get("faces")
                .isEmpty());
    }

    @Test
    void aClashTellsWhoDidWhat() throws IOException, InterruptedException {
        cage(200, "Ines", 1, lines.get(0), 4);
        JsonNode clash = cage(409, "Jonas", 1, lines.get(0), 5);
        String told = clash.get("findings").get(0).get("what").asText();
        assertTrue(told.startsWith("Ines made it meanwhile: ") && told.contains(lines.get(0)), told);
        assertEquals(4, bars(lines.get(0)));
        cage(200, "Jonas", 2, lines.get(0), 5);
        assertEquals(5, bars(lines.get(0)));
    }

    @Test
    void anEditOfOtherMembersAndACageAreBothTaken() throws IOException, InterruptedException {
        change(200, "Ines", 1, "POST", "/edits", softer(members(lines.get(0)).get(0)));
        s.designed();
        cage(200, "Jonas", 1, lines.get(1), 5);
        s.designed();
        change(200, "Mirel", 1, "POST", "/edits", softer(members(lines.get(2)).get(0)));
        s.designed();
        assertEquals(5, bars(lines.get(1)));
        assertEquals(
                0.5,
                s.get("/elements/" + members(lines.get(0)).get(0))
                        .get("factors")
                        .get("iy")
                        .asDouble());
        cage(409, "Jonas", 1, lines.get(2), 5);
        change(409, "Ines", 1, "POST", "/edits", softer(members(lines.get(1)).get(0)));
    }

    /** Undo, types and a newer model are about the whole: what was made before them is made again on top. */
    @Test
    void whatIsAboutTheWholeStandsInTheWay() throws IOException, InterruptedException {
        cage(200, "Ines", 1, lines.get(0), 4);
        change(200, "Ines", 2, "POST", "/undo", "{}");
        cage(409, "Jonas", 1, lines.get(1), 5);
        change(412, "Jonas", 1, "POST", "/redo", "{}");
        change(412, "Jonas", 1, "PUT", "/types", "{\"action\":\"none\",\"role\":\"beam\"}");
    }

    @Test
    void theBasisAndTheNameAreInNobodysWay() throws IOException, InterruptedException {
        change(200, "Ines", 1, "PATCH", "/basis", "{\"beamCoverMm\":45}");
        change(200, "Ines", 2, "PATCH", "", "{\"name\":\"Zaal anew\"}");
        s.designed();
        cage(200, "Jonas", 1, lines.get(1), 5);
        change(200, "Mirel", 1, "PUT", "/members/" + lines.get(0) + "/mark", "{\"mark\":\"B-new\"}");
        s.designed();
        change(409, "Jonas", 1, "PUT", "/members/B-new/mark", "{\"mark\":\"B-newer\"}");
        change(200, "Jonas", 1, "PUT", "/members/" + lines.get(2) + "/mark", "{\"mark\":\"B-other\"}");
    }
}
