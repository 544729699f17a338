package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.URLConnection;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicReference;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.project.Author;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** Two servers on one database: each shows what the other stored, and neither loses a change of either. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class TwoServersTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private DatabaseServer one;
    private DatabaseServer two;
    private String project;
    private final List<String> lines = new ArrayList<>();

    @BeforeEach
    void start() throws IOException, InterruptedException {
        one = new DatabaseServer();
        two = new DatabaseServer();
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        project = "/api/projects/"
                + one.store
                        .create("Two", "two.json", model, BasisFile.write(Basis.standard(false)), null)
                        .id();
        current(one, 1);
        current(two, 1);
        for (JsonNode r : ask(one, 200, "GET", "/results?q=beam", null).get("rows")) {
            lines.add(r.get("mark").asText());
        }
    }

    @AfterEach
    void stop() throws IOException, InterruptedException {
        Requests.send(one.javalin, "DELETE", project, null);
        one.stop();
        two.stop();
    }

    private JsonNode ask(DatabaseServer at, int status, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        return Requests.ask(at.javalin, status, method, project + path, body, headers);
    }

    private JsonNode change(DatabaseServer at, int status, int seen, String method, String path, String body)
            throws IOException, InterruptedException {
        return ask(at, status, method, path, body, "If-Match", "\"" + seen + "\"", "Kolonne-Window", "w" + path);
    }

    private static String cage(int bars) {
        return "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":" + bars
                + ",\"size\":\"T25\",\"from\":-1000,\"to\":1000000,\"hookFrom\":true,\"hookTo\":true}]}}";
    }

    /** Waits until a server shows the design of a version. */
    private void current(DatabaseServer at, int version) throws IOException, InterruptedException {
        for (int i = 0; i < 2400; i++) {
            HttpResponse<String> r = Requests.send(at.javalin, "GET", project + "/state", null);
            JsonNode state = JSON.readTree(r.body());
            if (state.get("version").asInt() == version
                    && state.get("designed").asInt() == version
                    && state.get("doing").asText().isEmpty()) {
                return;
            }
            Thread.sleep(25);
        }
        throw new AssertionError("never at version " + version);
    }

    /** What a server shows of the whole design. */
    private JsonNode results(DatabaseServer at) throws IOException, InterruptedException {
        ObjectNode out = JSON.createObjectNode();
        out.set("rows", ask(at, 200, "GET", "/results?size=5000", null).get("rows"));
        out.set("view", ask(at, 200, "GET", "/view", null));
        out.set("history", ask(at, 200, "GET", "/edits", null));
        out.set("basis", ask(at, 200, "GET", "/basis", null));
        return out;
    }

    private void alike(int version) throws IOException, InterruptedException {
        current(one, version);
        current(two, version);
        assertEquals(results(one), results(two), "at version " + version);
    }

    @Test
    void whatOneStoresTheOtherShows() throws IOException, InterruptedException {
        change(one, 200, 1, "PUT", "/members/" + lines.get(0) + "/hand", cage(4));
        alike(2);
        change(two, 200, 2, "PATCH", "/basis", "{\"beamCoverMm\":45}");
        alike(3);
        String member = ask(one, 200, "GET", "/view", null)
                .get("members")
                .get(0)
                .get("id")
                .asText();
        change(
                one,
                200,
                3,
                "POST",
                "/edits",
                "{\"edits\":[{\"kind\":\"stiffness\",\"members\":[\"" + member + "\"],\"factorIy\":0.5}]}");
        alike(4);
        change(two, 200, 4, "PATCH", "", "{\"name\":\"Two anew\"}");
        alike(5);
        change(two, 200, 5, "POST", "/undo", "{}");
        alike(6);
        change(one, 200, 6, "PUT", "/members/" + lines.get(1) + "/mark", "{\"mark\":\"B-new\"}");
        alike(7);
        assertEquals(
                "B-new is here",
                ask(two, 200, "GET", "/members/B-new", null).get("mark").asText() + " is here");
        Requests.ask(one.javalin, 204, "DELETE", project, null);
        Requests.ask(two.javalin, 404, "GET", project + "/results", null);
    }

    /** What a job of the first server made. */
    private String result(JsonNode job) throws IOException, InterruptedException {
        JsonNode now = job;
        while (now.get("result").isNull()) {
            assertTrue(!now.get("phase").asText().equals("failed"), now.toString());
            Thread.sleep(20);
            now = Requests.ask(
                    one.javalin, 200, "GET", "/api/jobs/" + job.get("id").asText(), null);
        }
        return now.get("result").asText();
    }

    /** A curve of types that one made is there at the other, also with a cage set by hand. */
    @Test
    void aCurveIsMadeOnceForBoth() throws IOException, InterruptedException {
        String curve = "/types/curve/beam";
        for (int v = 1; v <= 2; v++) {
            assertEquals("false", ask(two, 200, "GET", curve, null).get("ready").asText(), "version " + v);
            result(ask(one, 202, "POST", curve, "{}"));
            JsonNode made = ask(one, 200, "GET", curve, null);
            assertEquals("true", made.get("ready").asText());
            assertEquals(made, ask(two, 200, "GET", curve, null));
            if (v == 1) {
                change(two, 200, 1, "PUT", "/members/" + lines.get(0) + "/hand", cage(5));
                current(one, 2);
                current(two, 2);
            }
        }
    }

    /** A table that one took is mapped at the other; a newer model that one read is compared and adopted at the other, once. */
    @Test
    void filesBetweenUploadAndUseAreThereForBoth() throws IOException, InterruptedException {
        String csv = "Bar;LC;Dist (mm);Axial (N)\nnobody;G;0;0\n";
        JsonNode file = ask(one, 200, "POST", "/force-files?fileName=t.csv", csv);
        String table = "/force-files/" + file.get("file").asText();
        assertEquals(file, ask(two, 200, "GET", table + "?sheet=", null));
        byte[] newer = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(90)));
        String revision =
                "/revisions/" + result(Requests.upload(one.javalin, project + "/revisions?fileName=newer.json", newer));
        assertEquals(ask(one, 200, "GET", revision, null), ask(two, 200, "GET", revision, null));
        change(two, 200, 1, "POST", revision, "{\"keepOwn\":true}");
        alike(2);
        ask(two, 404, "GET", revision, null);
    }

    /** An edit on the other server at once after one here stands on it, though nobody has looked yet. */
    @Test
    void aChangeStandsOnWhatTheOtherStoredAMomentBefore() throws IOException, InterruptedException {
        for (int v = 1; v <= 8; v++) {
            change(v % 2 == 0 ? one : two, 200, v, "PUT", "/members/" + lines.get(v % 3) + "/hand", cage(2 + v % 4));
        }
        alike(9);
    }

    @Test
    void whatBothStoreAtOnceIsAllThere() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(4);
        try {
            List<Callable<Integer>> all = new ArrayList<>();
            for (int i = 0; i < Math.min(12, lines.size()); i++) {
                String path = project + "/members/" + lines.get(i) + "/hand";
                DatabaseServer at = i % 2 == 0 ? one : two;
                all.add(() -> Requests.send(at.javalin, "PUT", path, cage(3), "If-Match", "\"1\"")
                        .statusCode());
            }
            for (Future<Integer> f : pool.invokeAll(all)) {
                assertEquals(200, f.get());
            }
            alike(1 + all.size());
            assertEquals(
                    all.size(),
                    ask(one, 200, "GET", "/edits", null).get("entries").size());
        } finally {
            pool.shutdownNow();
        }
    }

    /** Pages that follow a project on one server are told who did what on the other. */
    @Test
    void pagesAreToldOfTheOther() throws IOException, InterruptedException {
        URLConnection c = URI.create("http://127.0.0.1:" + one.javalin.port() + project + "/events")
                .toURL()
                .openConnection();
        c.setRequestProperty("Accept", "text/event-stream");
        c.setReadTimeout(60_000);
        try (BufferedReader in =
                new BufferedReader(new InputStreamReader(c.getInputStream(), StandardCharsets.UTF_8))) {
            in.readLine();
            ask(
                    two,
                    200,
                    "PATCH",
                    "/basis",
                    "{\"beamCoverMm\":45}",
                    "If-Match",
                    "\"1\"",
                    "Kolonne-Person",
                    "Ines",
                    "Kolonne-Window",
                    "there");
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (line.startsWith("data:") && line.contains("\"version\":2")) {
                    JsonNode last = JSON.readTree(line.substring(5)).get("last");
                    assertEquals("Ines", last.get("person").asText());
                    assertEquals("there", last.get("window").asText());
                    assertTrue(last.get("summary").asText().contains("45 mm"));
                    return;
                }
            }
            throw new AssertionError("never told");
        }
    }

    @Test
    void whoHasAProjectOpenOnTheOtherServerIsTold() throws InterruptedException {
        String id = project.substring(project.lastIndexOf('/') + 1);
        AtomicReference<List<String>> ana = new AtomicReference<>();
        AtomicReference<List<String>> zoe = new AtomicReference<>();
        one.projects.present().enters(id, new Author("Ana", "w1", null, ""), ana::set);
        Runnable leaves = two.projects.present().enters(id, new Author("Zoë", "w2", null, ""), zoe::set);
        told(ana, List.of("Zoë"));
        told(zoe, List.of("Ana"));
        leaves.run();
        told(ana, List.of());
    }

    private static void told(AtomicReference<List<String>> who, List<String> names) throws InterruptedException {
        for (int i = 0; i < 600 && !names.equals(who.get()); i++) {
            Thread.sleep(25);
        }
        assertEquals(names, who.get());
    }
}
