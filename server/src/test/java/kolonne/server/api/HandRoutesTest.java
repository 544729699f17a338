package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.MemoryStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Cages set by hand through the HTTP API: stored, tried, undone, kept through redesigns and restarts, copied. */
class HandRoutesTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final byte[] DEMO = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
    private final MemoryStore store = new MemoryStore();
    private String p;
    private String mark;
    private Jobs jobs;
    private Javalin server;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        p = "/api/projects/"
                + store.create("Zaal", "zaal.json", DEMO, BasisFile.write(Basis.standard(false)), null)
                        .id();
        open();
        for (JsonNode r : ask(200, "GET", p + "/results?q=beam", null).get("rows")) {
            if (mark == null && r.get("satisfied").asBoolean()) {
                mark = r.get("mark").asText();
            }
        }
    }

    private void open() throws IOException, InterruptedException {
        jobs = new Jobs();
        server = new Api(new Projects(store, jobs), jobs).server().start("127.0.0.1", 0);
        designed();
    }

    @AfterEach
    void stop() {
        server.stop();
        jobs.close();
    }

    private JsonNode ask(int status, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        HttpRequest.Builder b = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + server.port() + path))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (headers.length > 0) {
            b.headers(headers);
        }
        HttpResponse<String> r = CLIENT.send(b.build(), HttpResponse.BodyHandlers.ofString());
        assertEquals(status, r.statusCode(), path + ": " + r.body());
        return JSON.readTree(r.body());
    }

    /** Waits until the whole building is designed to the newest version. */
    private void designed() throws IOException, InterruptedException {
        for (int i = 0; i < 600; i++) {
            HttpResponse<String> r = CLIENT.send(
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + server.port() + p + "/results?size=1"))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            if (r.statusCode() == 200 && JSON.readTree(r.body()).get("version").asInt() == version()) {
                return;
            }
            Thread.sleep(50);
        }
        throw new AssertionError("never designed");
    }

    private int version() throws IOException, InterruptedException {
        return ask(200, "GET", p, null).get("version").asInt();
    }

    private JsonNode beam(String of) throws IOException, InterruptedException {
        return ask(200, "GET", p + "/members/" + of, null).get("beam");
    }

    private static String bars(int count) {
        return "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":" + count
                + ",\"size\":\"T25\",\"from\":-1000,\"to\":1000000,\"hookFrom\":true,\"hookTo\":true}]}}";
    }

    private JsonNode set(int status, int version, String hand) throws IOException, InterruptedException {
        return ask(status, "PUT", p + "/members/" + mark + "/hand", hand, "If-Match", "\"" + version + "\"");
    }

    @Test
    void barsAreTriedWithoutATrace() throws IOException, InterruptedException {
        JsonNode before = beam(mark);
        JsonNode tried = ask(200, "POST", p + "/members/" + mark + "/try", bars(4));
        assertEquals(
                4,
                tried.get("groups")
                        .get(tried.get("groups").size() - 1)
                        .get("count")
                        .asInt());
        assertEquals(before, beam(mark));
        assertEquals(1, version());
    }

    @Test
    void barsAreSetUndoneAndRedone() throws IOException, InterruptedException {
        JsonNode before = beam(mark);
        JsonNode answer = set(200, 1, bars(4));
        assertEquals(2, answer.get("version").asInt());
        assertEquals(answer.get("beam"), beam(mark));
        assertTrue(beam(mark).get("hand").get("faces").has("bottom"));
        assertEquals(
                2,
                ask(200, "GET", p + "/results?size=1", null).get("version").asInt(),
                "the whole design is current at once");
        ask(200, "POST", p + "/undo", "{}", "If-Match", "\"2\"");
        assertEquals(before, beam(mark));
        ask(200, "POST", p + "/redo", "{}", "If-Match", "\"3\"");
        assertEquals(answer.get("beam"), beam(mark));
        JsonNode history = ask(200, "GET", p + "/edits", null);
        assertEquals(
                mark + ": bottom bars by hand",
                history.get("entries").get(0).get("summary").asText());
        assertEquals(1, history.get("modelVersion").asInt(), "the model itself did not change");
    }

    @Test
    void handSetBarsSurviveARedesignAndARestart() throws IOException, InterruptedException {
        set(200, 1, bars(5));
        String basis = BasisFile.write(Basis.standard(false).with(Preference.FEWEST_BARS));
        ask(200, "PATCH", p + "/basis", basis, "If-Match", "\"2\"");
        designed();
        assertEquals(
                1,
                beam(mark).get("groups").findValuesAsText("face").stream()
                        .filter("bottom"::equals)
                        .count());
        String us = BasisFile.write(Basis.standard(true));
        ask(200, "PATCH", p + "/basis", us, "If-Match", "\"3\"");
        designed();
        assertEquals(
                "T25",
                beam(mark)
                        .get("hand")
                        .get("faces")
                        .get("bottom")
                        .get(0)
                        .get("size")
                        .asText(),
                "a bar outlives the catalogue it came from");
        stop();
        open();
        assertEquals(
                5,
                beam(mark)
                        .get("hand")
                        .get("faces")
                        .get("bottom")
                        .get(0)
                        .get("count")
                        .asInt());
    }

    @Test
    void anotherPersonsChangeIsNotOverwritten() throws IOException, InterruptedException {
        set(200, 1, bars(4));
        assertTrue(set(412, 1, bars(3)).get("title").asText().contains("Somebody else"));
        assertEquals(
                4,
                beam(mark)
                        .get("hand")
                        .get("faces")
                        .get("bottom")
                        .get(0)
                        .get("count")
                        .asInt());
    }

    @Test
    void whatCannotBeMeantIsRefusedWithItsPlace() throws IOException, InterruptedException {
        assertEquals(
                "line.faces.bottom[0].count",
                set(422, 1, bars(0)).get("findings").get(0).get("where").asText());
        assertTrue(set(422, 1, bars(4).replace("T25", "T26"))
                .get("findings")
                .get(0)
                .get("what")
                .asText()
                .contains("no bar T26"));
        set(422, 1, "{\"faces\":{\"side\":[]}}");
        set(422, 1, "{\"stirrups\":{\"0\":[]}}");
        set(422, 1, "{\"stirrups\":{\"0\":[{\"from\":0,\"size\":\"T10\",\"legs\":2,\"spacing\":1e9}]}}");
        set(422, 1, "{\"demands\":[{\"from\":5,\"to\":1,\"values\":{\"shear\":-3}}]}");
        set(422, 1, "{\"demands\":[{\"from\":0,\"to\":1,\"values\":{\"force\":3}}]}");
        set(422, 1, "[]");
        set(422, 1, "{\"faces\":");
        assertEquals(1, version());
    }

    @Test
    void aCageIsCopiedToIdenticalLinesAndReleased() throws IOException, InterruptedException {
        JsonNode alike = null;
        for (JsonNode r : ask(200, "GET", p + "/results?q=beam", null).get("rows")) {
            mark = r.get("mark").asText();
            alike = ask(200, "GET", p + "/members/" + mark + "/identical", null).get("lines");
            if (!alike.isEmpty()) {
                break;
            }
        }
        assertFalse(alike.isEmpty(), "the sample has lines that repeat");
        String other = alike.get(0).get("mark").asText();
        ask(400, "POST", p + "/members/" + mark + "/copy", "{\"marks\":[\"" + mark + "\"]}", "If-Match", "\"1\"");
        ask(200, "POST", p + "/members/" + mark + "/copy", "{\"marks\":[\"" + other + "\"]}", "If-Match", "\"1\"");
        assertEquals(beam(mark).get("groups"), beam(other).get("groups"));
        assertEquals(2, beam(other).get("hand").get("faces").size());
        mark = other;
        set(200, 2, "{}");
        assertEquals(0, beam(other).get("hand").get("faces").size());
    }

    @Test
    void stirrupsThatWereWeighedStandInOrderAndTheirReasonIsGiven() throws IOException, InterruptedException {
        JsonNode all = ask(200, "GET", p + "/members/" + mark + "/stirrups?span=0", null)
                .get("options");
        assertEquals("", all.get(0).get("lost").asText());
        for (int i = 1; i < all.size(); i++) {
            assertFalse(all.get(i).get("lost").asText().isEmpty());
        }
        JsonNode zone = beam(mark).get("zones").get(0);
        assertEquals(
                zone.get("size").asText() + zone.get("legs").asInt(),
                all.get(0).get("size").asText() + all.get(0).get("legs").asInt(),
                "the first is the one chosen");
    }

    @Test
    void aSectionIsTakenWithItsEdits() throws IOException, InterruptedException {
        JsonNode tried = null;
        for (JsonNode r : ask(200, "GET", p + "/results?q=beam", null).get("rows")) {
            mark = r.get("mark").asText();
            for (JsonNode o :
                    ask(200, "GET", p + "/members/" + mark + "/sections", null).get("options")) {
                tried = tried == null
                                && !o.get("present").asBoolean()
                                && !o.get("inProject").asBoolean()
                                && o.get("satisfied").asBoolean()
                        ? o
                        : tried;
            }
            if (tried != null) {
                break;
            }
        }
        ask(200, "POST", p + "/edits", "{\"edits\":" + tried.get("edits") + "}", "If-Match", "\"1\"");
        designed();
        assertEquals(
                tried.get("label").asText(),
                beam(mark).get("spans").get(0).get("section").get("label").asText());
    }

    @Test
    void readingsAreThoseOfEveryCombination() throws IOException, InterruptedException {
        JsonNode b = beam(mark);
        int station = b.get("governingStation").asInt();
        JsonNode r = ask(200, "GET", p + "/members/" + mark + "/readings?station=" + station, null)
                .get("readings");
        double most = 0;
        double least = 0;
        for (JsonNode c : r) {
            most = Math.max(most, c.get("moment").asDouble());
            least = Math.min(least, c.get("moment").asDouble());
        }
        assertEquals(b.get("points").get(station).get("mPos").asDouble(), most, 1e-9);
        assertEquals(b.get("points").get(station).get("mNeg").asDouble(), least, 1e-9);
        assertNotEquals(0, r.size());
        ask(400, "GET", p + "/members/" + mark + "/readings?station=100000", null);
    }
}
