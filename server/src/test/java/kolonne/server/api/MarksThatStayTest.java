package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Marks over edits, undo, restarts and renaming; what was set by hand follows its members or is told by name. */
class MarksThatStayTest {
    private static final String DEEP =
            "{\"kind\":\"put-section\",\"id\":\"deep\",\"shape\":\"rectangle\",\"b\":300,\"h\":1400}";
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(200);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    /** Marks by the members of the spans, as the view draws them. */
    private Map<String, String> marks() throws IOException, InterruptedException {
        JsonNode view = s.get("/view");
        Map<String, String> out = new HashMap<>();
        view.get("members")
                .forEach(m -> out.put(
                        m.get("id").asText(),
                        view.get("marks").get(m.get("line").asInt()).asText()));
        return out;
    }

    /** Members of the last span of a beam line. */
    private List<String> lastSpan(String mark) throws IOException, InterruptedException {
        JsonNode view = s.get("/view");
        int last = s.get("/members/" + mark).get("beam").get("spans").size() - 1;
        List<String> out = new ArrayList<>();
        view.get("members").forEach(m -> {
            boolean of = view.get("marks").get(m.get("line").asInt()).asText().equals(mark);
            if (of && m.get("part").asInt() == last) {
                out.add(m.get("id").asText());
            }
        });
        return out;
    }

    /** A beam line of at least three spans. */
    private String longLine() throws IOException, InterruptedException {
        for (JsonNode r : s.get("/results?q=beam").get("rows")) {
            if (r.get("parts").asInt() >= 3) {
                return r.get("mark").asText();
            }
        }
        throw new AssertionError("the building has no line of three spans");
    }

    private static String section(List<String> members, String section) {
        return "{\"kind\":\"section\",\"members\":[\"" + String.join("\",\"", members) + "\"],\"section\":\"" + section
                + "\"}";
    }

    private static String deepen(List<String> members) {
        return "{\"edits\":[" + DEEP + "," + section(members, "deep") + "]}";
    }

    private List<String> effects() throws IOException, InterruptedException {
        JsonNode all = s.get("/edits").get("entries");
        return texts(all.get(all.size() - 1).get("effects"));
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asText)
                .toList();
    }

    @Test
    void onlyWhatSplitsGetsANewMarkAndUndoGivesTheOldOneBack() throws IOException, InterruptedException {
        Map<String, String> before = marks();
        String line = longLine();
        List<String> span = lastSpan(line);
        String member = span.get(0);
        List<String> told =
                texts(s.ask(200, "POST", "/edits/preview", deepen(span)).get("effects"));
        assertEquals(1, told.size(), told.toString());
        assertTrue(told.get(0).startsWith(line + " becomes " + line + " and "), told.toString());
        assertEquals(before, marks(), "a preview stores nothing");
        s.change("POST", "/edits", deepen(span));
        assertEquals(told, effects());
        Map<String, String> split = marks();
        String fresh = split.get(member);
        assertFalse(before.containsValue(fresh), "a mark that no line had");
        Map<String, String> expected = new HashMap<>(before);
        span.forEach(m -> expected.put(m, fresh));
        assertEquals(expected, split, "no other mark moved");
        s.again();
        assertEquals(expected, marks(), "nor after a restart");
        s.change("POST", "/undo", "{}");
        assertEquals(before, marks());
        JsonNode gone = s.ask(410, "GET", "/members/" + fresh, null);
        assertEquals(line, gone.get("findings").get(0).get("where").asText(), "its address leads on");
        s.change("POST", "/redo", "{}");
        assertEquals(expected, marks());
    }

    @Test
    void whatWasSetByHandGoesWithItsSpansAndComesBack() throws IOException, InterruptedException {
        String line = longLine();
        List<String> members = lastSpan(line);
        int span = s.get("/members/" + line).get("beam").get("spans").size() - 1;
        s.change(
                "PUT",
                "/members/" + line + "/hand",
                "{\"stirrups\":{\"" + span + "\":[{\"from\":0,\"size\":\"T12\",\"legs\":2,\"spacing\":90}],"
                        + "\"0\":[{\"from\":0,\"size\":\"T12\",\"legs\":2,\"spacing\":80}]},"
                        + "\"faces\":{\"bottom\":[{\"layer\":1,\"count\":4,\"size\":\"T25\",\"from\":-1000,\"to\":1000000,"
                        + "\"hookFrom\":true,\"hookTo\":true}]}}");
        String was = s.get("/elements/" + members.get(0)).get("section").asText();
        s.change("POST", "/edits", deepen(members));
        String fresh = marks().get(members.get(0));
        JsonNode kept = s.get("/members/" + line).get("beam").get("hand");
        JsonNode part = s.get("/members/" + fresh).get("beam").get("hand");
        assertEquals(
                90, part.get("stirrups").get("0").get(0).get("spacing").asInt(), "the last span is the part's first");
        assertEquals(80, kept.get("stirrups").get("0").get(0).get("spacing").asInt());
        assertEquals(1, kept.get("stirrups").size());
        assertEquals(4, part.get("faces").get("bottom").get(0).get("count").asInt());
        assertTrue(
                effects().contains("what was set by hand on " + line + " is carried to " + line + " and " + fresh),
                effects().toString());
        // joined again by an edit, not by undo: the bars of both parts were set, so the face is whole
        s.change("POST", "/edits", "{\"edits\":[" + section(members, was) + "]}");
        assertEquals(line, marks().get(members.get(0)));
        JsonNode joined = s.get("/members/" + line).get("beam").get("hand");
        assertEquals(
                90, joined.get("stirrups").get("" + span).get(0).get("spacing").asInt());
        assertTrue(joined.get("faces").has("bottom"));
        s.change("POST", "/undo", "{}");
        s.change("POST", "/undo", "{}");
        assertEquals(
                2,
                s.get("/members/" + line)
                        .get("beam")
                        .get("hand")
                        .get("stirrups")
                        .size());
    }

    @Test
    void aMarkIsGivenByAPersonAndTakenBack() throws IOException, InterruptedException {
        String line = longLine();
        String column = "";
        for (JsonNode r : s.get("/results?q=column").get("rows")) {
            column = r.get("mark").asText();
        }
        JsonNode no = s.change(422, s.version(), "PUT", "/members/" + line + "/mark", "{\"mark\":\"" + column + "\"}");
        assertTrue(no.get("findings").get(0).get("what").asText().contains(column), no.toString());
        s.change(422, s.version(), "PUT", "/members/" + line + "/mark", "{\"mark\":\"=1+1\"}");
        s.change("PUT", "/members/" + line + "/mark", "{\"mark\":\"Rand 1\"}");
        assertTrue(marks().containsValue("Rand 1"));
        assertEquals("Rand 1", s.get("/members/Rand%201").get("mark").asText());
        assertEquals(
                "Rand 1",
                s.ask(410, "GET", "/members/" + line, null)
                        .get("findings")
                        .get(0)
                        .get("where")
                        .asText());
        s.change("PUT", "/members/" + column + "/mark", "{\"mark\":\"K-1\"}");
        assertTrue(s.get("/results?q=mark:K-1").get("matching").asInt() == 1);
        s.again();
        assertTrue(marks().containsValue("K-1") && marks().containsValue("Rand 1"));
        s.change("POST", "/undo", "{}");
        s.change("POST", "/undo", "{}");
        assertTrue(marks().containsValue(line) && marks().containsValue(column));
        assertNotEquals(0, s.get("/edits").get("entries").size());
    }
}
