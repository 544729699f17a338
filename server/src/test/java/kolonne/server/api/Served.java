package kolonne.server.api;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.MemoryStore;

/** A small building served over HTTP from a store in memory, for tests of what a page and a second page would see. */
final class Served implements AutoCloseable {
    private static final ObjectMapper JSON = new ObjectMapper();

    final MemoryStore store = new MemoryStore();
    /** The path of the project that is asked. */
    String project;

    private Jobs jobs;
    private Javalin server;

    /** @param members of the building, about */
    Served(int members) throws IOException, InterruptedException {
        this(DemoOptions.ofSize(members));
    }

    Served(DemoOptions building) throws IOException, InterruptedException {
        this(DemoBuilding.generate(building));
    }

    Served(Building building) throws IOException, InterruptedException {
        byte[] demo = ModelWriter.json(building);
        project = "/api/projects/"
                + store.create("Zaal", "zaal.json", demo, BasisFile.write(Basis.standard(false)), null)
                        .id();
        open(true);
    }

    /** Starts the server anew on the same store. */
    void again() throws IOException, InterruptedException {
        again(true);
    }

    /** @param there whether the project is, so that its design is waited for */
    void again(boolean there) throws IOException, InterruptedException {
        close();
        open(there);
    }

    private void open(boolean there) throws IOException, InterruptedException {
        jobs = new Jobs();
        server = new Api(new Projects(store, jobs), jobs).server().start("127.0.0.1", 0);
        if (there) {
            designed();
        }
    }

    @Override
    public void close() {
        server.stop();
        jobs.close();
    }

    int port() {
        return server.port();
    }

    Javalin javalin() {
        return server;
    }

    /** Asks another project from now on, which is designed first. */
    void look(String path) throws IOException, InterruptedException {
        project = path;
        designed();
    }

    JsonNode get(String path) throws IOException, InterruptedException {
        return ask(200, "GET", path, null);
    }

    /** Asks anywhere; the answer must have the status. */
    JsonNode askAt(int status, String method, String path, String body) throws IOException, InterruptedException {
        return Requests.ask(server, status, method, path, body);
    }

    /** Asks below the project; the answer must have the status. */
    JsonNode ask(int status, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        return Requests.ask(server, status, method, project + path, body, headers);
    }

    /** Puts a file below the project; the answer must have the status. */
    JsonNode put(String path, byte[] file, int status) throws IOException, InterruptedException {
        return Requests.put(server, project + path, file, status);
    }

    /** A file that is downloaded. */
    HttpResponse<String> file(String path) throws IOException, InterruptedException {
        return Requests.send(server, "GET", project + path, null);
    }

    /** What a route answers to a body, whatever its status. */
    HttpResponse<String> answer(String method, String path, String body) throws IOException, InterruptedException {
        return Requests.send(server, method, path, body);
    }

    /** A file anywhere. */
    HttpResponse<String> fileAt(String path) throws IOException, InterruptedException {
        return Requests.send(server, "GET", path, null);
    }

    /** Sends a file to a route that answers with a job, and waits for what becomes of it. */
    JsonNode uploaded(String path, byte[] file) throws IOException, InterruptedException {
        return ended(Requests.upload(server, project + path, file));
    }

    /** Waits until a job has ended. */
    JsonNode ended(JsonNode started) throws IOException, InterruptedException {
        JsonNode job = started;
        while (!List.of("done", "failed", "cancelled").contains(job.get("phase").asText())) {
            Thread.sleep(10);
            job = Requests.ask(server, 200, "GET", "/api/jobs/" + job.get("id").asText(), null);
        }
        return job;
    }

    /** Changes the project at a version that the page has seen. */
    JsonNode change(int status, int seen, String method, String path, String body)
            throws IOException, InterruptedException {
        return ask(status, method, path, body, "If-Match", "\"" + seen + "\"");
    }

    /** Changes the newest version and waits until it is designed. */
    JsonNode change(String method, String path, String body) throws IOException, InterruptedException {
        JsonNode out = change(200, version(), method, path, body);
        designed();
        return out;
    }

    int version() throws IOException, InterruptedException {
        return get("").get("version").asInt();
    }

    /** Waits until the whole building is designed to the newest version. */
    void designed() throws IOException, InterruptedException {
        for (int i = 0; i < 1200; i++) {
            HttpResponse<String> r = Requests.send(server, "GET", project + "/results?size=1", null);
            if (r.statusCode() == 200 && JSON.readTree(r.body()).get("version").asInt() == version()) {
                return;
            }
            Thread.sleep(25);
        }
        throw new AssertionError("never designed");
    }
}
