package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A newer model comes into the same project: its members have other ids, one beam is deeper and the floors carry more. What was set by hand, own sections,
 * marks and types go on; all of it is one step of the history.
 */
class RevisedModelTest {
    private static final String STIRRUPS =
            "{\"stirrups\":{\"0\":[{\"from\":0,\"size\":\"T12\",\"legs\":4,\"spacing\":90}]}}";
    private static final ObjectMapper JSON = new ObjectMapper();
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(120);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asText)
                .toList();
    }

    /** Ids of members by mark of their line, as the view draws them. */
    private Map<String, Set<String>> members() throws IOException, InterruptedException {
        JsonNode view = s.get("/view");
        Map<String, Set<String>> out = new HashMap<>();
        view.get("members")
                .forEach(m -> out.computeIfAbsent(
                                view.get("marks").get(m.get("line").asInt()).asText(), k -> new HashSet<>())
                        .add(m.get("id").asText()));
        return out;
    }

    /** The stored file with every member under another id, the floors loaded by a tenth more, and one beam of another section. */
    private ObjectNode newer(String deeper) throws IOException {
        ObjectNode m = (ObjectNode) JSON.readTree(s.store
                .model(s.project.substring(s.project.lastIndexOf('/') + 1))
                .content());
        Map<String, String> ids = new HashMap<>();
        for (JsonNode q : m.get("members")) {
            String id = q.get("id").asText();
            ids.put(id, "N" + (ids.size() + 1));
            ((ObjectNode) q).put("id", ids.get(id));
            if (id.equals(deeper)) {
                ((ObjectNode) q).put("section", "other");
            }
        }
        m.withArray("sections")
                .addObject()
                .put("id", "other")
                .put("shape", "rectangle")
                .put("b", 400)
                .put("h", 900);
        m.path("memberLoads")
                .forEach(l ->
                        ((ObjectNode) l).put("member", ids.get(l.get("member").asText())));
        m.path("areaLoads")
                .forEach(l -> ((ObjectNode) l).put("pressure", l.get("pressure").asDouble() * 1.1));
        return m;
    }

    private static byte[] bytes(JsonNode m) {
        return m.toString().getBytes(StandardCharsets.UTF_8);
    }

    private String upload(JsonNode m) throws IOException, InterruptedException {
        JsonNode job = s.uploaded("/revisions?fileName=second.json", bytes(m));
        assertEquals("done", job.get("phase").asText(), job.toString());
        return "/revisions/" + job.get("result").asText();
    }

    private List<String> beams() throws IOException, InterruptedException {
        List<String> out = new ArrayList<>();
        s.get("/results?q=beam").get("rows").forEach(r -> out.add(r.get("mark").asText()));
        return out;
    }

    private int total(JsonNode revision, String kind) {
        int n = 0;
        for (JsonNode d : revision.get("differences")) {
            n += d.get("kind").asText().equals(kind) ? d.get("count").asInt() : 0;
        }
        return n;
    }

    @Test
    void whatPeopleDidGoesOnAndOneUndoTakesItBack() throws IOException, InterruptedException {
        Map<String, Set<String>> before = members();
        List<String> beams = beams();
        String byHand = beams.get(0);
        String own = beams.get(1);
        String deeper = before.get(beams.get(2)).iterator().next();
        s.change("PUT", "/members/" + byHand + "/hand", STIRRUPS);
        String ownMember = before.get(own).iterator().next();
        s.change(
                "POST",
                "/edits",
                "{\"edits\":[{\"kind\":\"put-section\",\"id\":\"mine\",\"shape\":\"rectangle\",\"b\":350,\"h\":750},"
                        + "{\"kind\":\"section\",\"members\":[\"" + ownMember + "\"],\"section\":\"mine\"}]}");
        JsonNode stirrups = s.get("/members/" + byHand).get("beam").get("hand");
        JsonNode model = s.get("/model");

        String revision = upload(newer(deeper));
        JsonNode told = s.get(revision);
        assertEquals(before.values().stream().mapToInt(Set::size).sum(), total(told, "renamed"));
        assertEquals(1, total(told, "resized"), told.toString());
        assertTrue(total(told, "slabs") > 0);
        assertEquals(0, total(told, "new") + total(told, "gone"));
        assertEquals(1, told.get("found").asDouble());
        assertEquals("kept", told.get("own").get(0).get("fate").asText());
        assertEquals(2, total(s.get(revision + "?own=no"), "resized"), "without the own section it is another as well");
        assertEquals(
                List.of("set by hand on " + byHand + " and to be looked at again: other forces"),
                texts(told.get("effects")));
        assertEquals(model, s.get("/model"), "nothing is stored by looking");

        s.change(412, s.version() - 1, "POST", revision, "{\"keepOwn\":true}");
        s.change("POST", revision, "{\"keepOwn\":true}");
        Map<String, Set<String>> after = members();
        assertEquals(before.keySet(), after.keySet(), "marks stay with their places");
        assertTrue(after.values().stream().allMatch(m -> m.stream().allMatch(id -> id.startsWith("N"))));
        assertEquals(stirrups, s.get("/members/" + byHand).get("beam").get("hand"));
        List<String> sections = new ArrayList<>();
        for (String m : after.get(own)) {
            sections.add(s.get("/elements/" + m).get("section").asText());
        }
        assertTrue(sections.contains("mine"), sections.toString());
        JsonNode entries = s.get("/edits").get("entries");
        JsonNode last = entries.get(entries.size() - 1);
        assertEquals("revision", last.get("kind").asText());
        assertTrue(last.get("summary").asText().startsWith("newer model second.json"), last.toString());
        s.ask(404, "GET", revision, null);

        JsonNode moved = s.get("/analysis/compare?component=my&from=" + (s.version() - 1) + "&to=" + s.version());
        moved.get("changes").forEach(c -> assertTrue(c.hasNonNull("before") && c.hasNonNull("after"), c.toString()));

        JsonNode newer = s.get("/model");
        s.again();
        assertEquals(newer, s.get("/model"), "nor is anything lost by a restart");
        assertEquals(after, members());
        s.change("POST", "/undo", "{}");
        assertEquals(before, members());
        assertEquals(model, s.get("/model"));
        assertEquals(stirrups, s.get("/members/" + byHand).get("beam").get("hand"));
        s.change("POST", "/redo", "{}");
        assertEquals(after, members());
        s.change("POST", "/edits", "{\"edits\":[{\"kind\":\"section\",\"members\":[\"N1\"],\"section\":\"other\"}]}");
        assertEquals(after.keySet(), members().keySet(), "and it is edited like any model");
    }

    @Test
    void linesThatAreGoneTakeWhatWasSetOnThemAndAreTold() throws IOException, InterruptedException {
        // of one member, so that nothing stands on it
        Map<String, Set<String>> all = members();
        String byHand =
                beams().stream().filter(m -> all.get(m).size() == 1).findFirst().orElseThrow();
        s.change("PUT", "/members/" + byHand + "/hand", STIRRUPS);
        Set<String> gone = members().get(byHand);
        ObjectNode m = newer("");
        ObjectNode old = (ObjectNode) JSON.readTree(s.store
                .model(s.project.substring(s.project.lastIndexOf('/') + 1))
                .content());
        // without slabs, so that a beam can go
        for (String table : List.of("panels", "areaLoads")) {
            m.putArray(table);
        }
        for (int i = old.get("members").size() - 1; i >= 0; i--) {
            if (gone.contains(old.get("members").get(i).get("id").asText())) {
                String id = m.withArray("members").get(i).get("id").asText();
                m.withArray("members").remove(i);
                for (int k = m.path("memberLoads").size() - 1; k >= 0; k--) {
                    if (m.path("memberLoads").get(k).get("member").asText().equals(id)) {
                        m.withArray("memberLoads").remove(k);
                    }
                }
            }
        }
        String revision = upload(m);
        JsonNode told = s.get(revision);
        assertEquals(gone.size(), total(told, "gone"));
        List<String> effects = texts(told.get("effects"));
        assertTrue(effects.contains(byHand + " is gone"), effects.toString());
        assertTrue(
                effects.contains("set by hand on " + byHand + " and left out, since it is gone"), effects.toString());
        s.change("POST", revision, "{\"keepOwn\":false}");
        assertFalse(members().containsKey(byHand));
        JsonNode entries = s.get("/edits").get("entries");
        assertEquals(effects, texts(entries.get(entries.size() - 1).get("effects")));
        s.change("POST", "/undo", "{}");
        assertEquals(gone, members().get(byHand));
    }

    /** The row of a type, with its members and those that have a cage of their own. */
    private JsonNode type(String mark) throws IOException, InterruptedException {
        for (JsonNode t : s.get("/types").get("types")) {
            if (t.get("mark").asText().equals(mark)) {
                return t;
            }
        }
        throw new AssertionError("no type " + mark);
    }

    /** Marks of lines of one member, of one section and about one length. */
    private List<String> threeAlike(Map<String, Set<String>> members) throws IOException, InterruptedException {
        Map<String, List<String>> out = new TreeMap<>();
        for (JsonNode r : s.get("/results?q=beam").get("rows")) {
            String mark = r.get("mark").asText();
            if (members.get(mark).size() == 1) {
                JsonNode span = s.get("/members/" + mark).at("/beam/spans/0");
                double clear =
                        span.get("faceTo").asDouble() - span.get("faceFrom").asDouble();
                out.computeIfAbsent(r.get("section").asText() + Math.round(clear), k -> new ArrayList<>())
                        .add(mark);
            }
        }
        return out.values().stream()
                .filter(l -> l.size() >= 3)
                .findFirst()
                .orElseThrow()
                .subList(0, 3);
    }

    @Test
    void localSettingsGoOnWithTheirMembersAndTypesTellWhoIsUnlikeNow() throws IOException, InterruptedException {
        Map<String, Set<String>> all = members();
        s.change("PUT", "/types", "{\"action\":\"tolerance\",\"toleranceMm\":2000}");
        List<String> three = threeAlike(all);
        s.change("PUT", "/types", "{\"action\":\"merge\",\"members\":[\"" + String.join("\",\"", three) + "\"]}");
        String mark = "";
        for (JsonNode t : s.get("/types").get("types")) {
            mark = t.get("id").asText().isEmpty() ? mark : t.get("mark").asText();
        }
        assertEquals(3, type(mark).get("members").size(), type(mark).toString());
        String deeper = all.get(three.get(1)).iterator().next();
        String line = beams().stream()
                .filter(m -> all.get(m).size() == 1 && !three.contains(m))
                .findFirst()
                .orElseThrow();
        String covered = all.get(line).iterator().next();
        s.change(
                "PATCH",
                "/basis",
                "{\"local\":{\"Car park\":{\"storeys\":[],\"members\":[\"" + covered
                        + "\"],\"set\":{\"beamCoverMm\":55}}}}");
        JsonNode basis = s.get("/basis");
        JsonNode sheet = s.get("/members/" + line);

        String revision = upload(newer(deeper));
        List<String> effects = texts(s.get(revision).get("effects"));
        assertEquals(
                List.of(three.get(1) + " gets a cage of its own, unlike the rest of type " + mark
                        + " in sections, supports, lengths or local settings"),
                effects);
        s.change("POST", revision, "{\"keepOwn\":true}");
        String now = s.get("/basis").at("/local/Car park/members/0").asText();
        assertEquals(members().get(line), Set.of(now), "the same line under its new id");
        assertEquals(55, s.get("/members/" + line).at("/beam/coverMm").asDouble());
        // as it was told beforehand
        assertEquals(
                three.get(1), type(mark).at("/left/0/mark").asText(), type(mark).toString());
        assertEquals(1, type(mark).get("left").size());
        s.again();
        assertEquals(now, s.get("/basis").at("/local/Car park/members/0").asText());
        s.change("POST", "/undo", "{}");
        assertEquals(basis, s.get("/basis"));
        assertEquals(sheet, s.get("/members/" + line));
    }

    @Test
    void aFileThatCannotBeReadIsRefusedAndNothingChanges() throws IOException, InterruptedException {
        int version = s.version();
        JsonNode job = s.uploaded("/revisions?fileName=broken.json", "{\"members\":[".getBytes(StandardCharsets.UTF_8));
        assertEquals("failed", job.get("phase").asText());
        assertFalse(job.get("findings").isEmpty());
        ObjectNode alone = newer("");
        alone.putArray("supports");
        assertEquals(
                "failed", s.uploaded("/revisions", bytes(alone)).get("phase").asText());
        s.ask(404, "GET", "/revisions/nothing", null);
        assertEquals(version, s.version());
    }
}
