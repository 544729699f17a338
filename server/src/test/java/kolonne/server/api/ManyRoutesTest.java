package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Many lines changed in one step, and what came of it, told line by line. */
class ManyRoutesTest {
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(120);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private static String list(List<String> names) {
        return "[\"" + String.join("\",\"", names) + "\"]";
    }

    private List<String> members(String role) throws IOException, InterruptedException {
        List<String> out = new ArrayList<>();
        s.get("/view").get("members").forEach(m -> {
            if (m.get("role").asText().equals(role)) {
                out.add(m.get("id").asText());
            }
        });
        return out;
    }

    private Map<String, JsonNode> rows() throws IOException, InterruptedException {
        Map<String, JsonNode> out = new HashMap<>();
        s.get("/results?size=1000&q=")
                .get("rows")
                .forEach(r -> out.put(r.get("id").asText(), r));
        return out;
    }

    private JsonNode elements(List<String> ids) throws IOException, InterruptedException {
        return s.ask(200, "POST", "/elements", "{\"members\":" + list(ids) + "}")
                .get("elements");
    }

    @Test
    void allBeamsGrowByAStepInOneEntryAndTheOutcomeIsTheDifference() throws IOException, InterruptedException {
        List<String> beams = members("beam");
        Map<String, Integer> depth = new HashMap<>();
        for (JsonNode e : elements(beams)) {
            depth.put(e.get("id").asText(), height(e.get("section").asText()));
        }
        Map<String, JsonNode> before = rows();
        JsonNode edits = s.ask(200, "POST", "/resized", "{\"members\":" + list(beams) + ",\"deeper\":2,\"wider\":0}");
        assertEquals(1, s.version(), "nothing is stored");
        s.change("POST", "/edits", edits.toString());
        assertEquals(2, s.version());
        assertEquals(1, s.get("/edits").get("entries").size());
        for (JsonNode e : elements(beams)) {
            assertEquals(
                    depth.get(e.get("id").asText()) + 100,
                    height(e.get("section").asText()),
                    e.toString());
        }
        JsonNode o = s.get("/outcome");
        int mended = 0;
        int broken = 0;
        for (Map.Entry<String, JsonNode> r : rows().entrySet()) {
            boolean was = before.get(r.getKey()).get("satisfied").asBoolean();
            boolean is = r.getValue().get("satisfied").asBoolean();
            mended += !was && is ? 1 : 0;
            broken += was && !is ? 1 : 0;
        }
        assertEquals(mended, o.get("mended").asInt());
        assertEquals(broken, o.get("broken").asInt());
        assertEquals(1, o.get("from").asInt());
        assertEquals(2, o.get("to").asInt());
        assertEquals(Math.min(50, mended), o.get("firstMended").size());
        s.change("POST", "/undo", "{}");
        assertEquals(before.size(), rows().size());
        assertEquals(mended, s.get("/outcome").get("broken").asInt(), "taken back");
    }

    /** The depth that a rectangle's or a tee's id says. */
    private static int height(String section) {
        java.util.regex.Matcher m =
                java.util.regex.Pattern.compile("\\d+x(\\d+)").matcher(section.replace(" × ", "x"));
        assertTrue(m.find(), section);
        return Integer.parseInt(m.group(1));
    }

    @Test
    void concreteIsChangedForAllColumns() throws IOException, InterruptedException {
        List<String> columns = members("column");
        JsonNode first = elements(columns).get(0);
        String other = "";
        for (JsonNode m : first.get("materials")) {
            other = m.asText().equals(first.get("material").asText()) ? other : m.asText();
        }
        assertFalse(other.isEmpty(), "the building has two concretes");
        s.change(
                "POST",
                "/edits",
                "{\"edits\":[{\"kind\":\"material\",\"members\":" + list(columns) + ",\"material\":\"" + other
                        + "\"}]}");
        for (JsonNode e : elements(columns)) {
            assertEquals(other, e.get("material").asText());
        }
        s.change(
                422,
                s.version(),
                "POST",
                "/edits",
                "{\"edits\":[{\"kind\":\"material\",\"members\":" + list(columns) + ",\"material\":\"none\"}]}");
    }

    @Test
    void handSetPartsOfManyAreReleasedAndTorsionIsSaidInOneStep() throws IOException, InterruptedException {
        List<String> marks = new ArrayList<>();
        s.get("/results?q=beam")
                .get("rows")
                .forEach(r -> marks.add(r.get("mark").asText()));
        String torsion = "{\"marks\":" + list(marks) + ",\"release\":false,\"torsion\":\"equilibrium\"}";
        s.change("POST", "/hand", torsion);
        assertEquals(2, s.version());
        assertEquals(marks.size(), s.get("/results?q=hand").get("matching").asInt());
        s.change(422, 2, "POST", "/hand", torsion);
        s.change(422, 2, "POST", "/hand", torsion.replace("equilibrium", "whatever"));
        s.change("POST", "/hand", "{\"marks\":" + list(marks) + ",\"release\":true,\"torsion\":null}");
        assertEquals(0, s.get("/results?q=hand").get("matching").asInt());
        s.change("POST", "/undo", "{}");
        assertEquals(marks.size(), s.get("/results?q=hand").get("matching").asInt());
    }

    @Test
    void whatCannotBeMeantIsRefused() throws IOException, InterruptedException {
        List<String> beams = members("beam");
        s.ask(422, "POST", "/elements", "{\"members\":[]}");
        s.ask(422, "POST", "/elements", "{\"members\":[null]}");
        s.ask(422, "POST", "/elements", "{\"members\":[\"nobody\"]}");
        s.ask(422, "POST", "/resized", "{\"members\":" + list(beams) + ",\"deeper\":-20,\"wider\":0}");
        s.ask(422, "POST", "/resized", "{\"members\":" + list(beams) + ",\"deeper\":2000000000,\"wider\":0}");
        assertFalse(s.get("/edits").get("canUndo").asBoolean());
    }
}
