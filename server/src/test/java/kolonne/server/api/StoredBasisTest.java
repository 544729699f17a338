package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.http.HttpResponse;
import kolonne.core.basis.Basis;
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

/** A basis that was stored before a limit of its values came still opens; the project says what to change, and is designed when that is done. */
class StoredBasisTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private final MemoryStore store = new MemoryStore();
    private String p;
    private Jobs jobs;
    private Javalin server;

    @BeforeEach
    void start() throws IOException {
        ObjectNode old = (ObjectNode) JSON.readTree(BasisFile.write(Basis.standard("en-1992-1-1")));
        old.put("fytMpa", 250);
        p = "/api/projects/"
                + store.create(
                                "Zaal",
                                "zaal.json",
                                ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(40))),
                                old.toString(),
                                null)
                        .id();
        jobs = new Jobs();
        server = new Api(new Projects(store, jobs), jobs).server().start("127.0.0.1", 0);
    }

    @AfterEach
    void stop() {
        server.stop();
        jobs.close();
    }

    private HttpResponse<String> send(String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        return Requests.send(server, method, path, body, headers);
    }

    /** The findings of the model page once the design has ended. */
    private JsonNode findings() throws IOException, InterruptedException {
        for (int i = 0; i < 300; i++) {
            send("GET", p + "/results?q=", null);
            JsonNode model = JSON.readTree(send("GET", p + "/model", null).body());
            for (JsonNode f : model.get("findings")) {
                if (f.get("code").asText().equals("basis.fyt")) {
                    return f;
                }
            }
            Thread.sleep(100);
        }
        throw new AssertionError("no finding about the basis");
    }

    @Test
    void opensSaysWhatToChangeAndIsDesignedThen() throws IOException, InterruptedException {
        JsonNode f = findings();
        assertTrue(
                f.get("what").asText().contains("250") && f.get("what").asText().contains("3.2.2(3)"), f.toString());
        HttpResponse<String> basis = send("GET", p + "/basis", null);
        assertEquals(200, basis.statusCode(), basis.body());
        ObjectNode b = (ObjectNode) JSON.readTree(basis.body());
        assertEquals(250, b.get("fytMpa").asDouble());
        assertEquals(
                422,
                send("PATCH", p + "/basis", b.toString(), "If-Match", "\"1\"").statusCode(),
                "nor can it be stored again");
        b.put("fytMpa", 500);
        HttpResponse<String> mended = send("PATCH", p + "/basis", b.toString(), "If-Match", "\"1\"");
        assertEquals(200, mended.statusCode(), mended.body());
        for (int i = 0; i < 300; i++) {
            if (send("GET", p + "/results?q=", null).statusCode() == 200) {
                return;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("never designed");
    }
}
