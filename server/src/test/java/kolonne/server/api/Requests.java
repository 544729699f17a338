package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** Requests as the pages send them. */
final class Requests {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    private Requests() {}

    /** @param body JSON, or null for none. @param headers names and values in turn */
    static HttpResponse<String> send(Javalin to, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        HttpRequest.Builder b = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + to.port() + path))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (headers.length > 0) {
            b.headers(headers);
        }
        return CLIENT.send(b.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** The answer, which must have the status. */
    static JsonNode ask(Javalin of, int status, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        HttpResponse<String> r = send(of, method, path, body, headers);
        assertEquals(status, r.statusCode(), method + " " + path + ": " + r.body());
        return JSON.readTree(r.body());
    }

    /** Sends a file; the answer is a job under way. */
    static JsonNode upload(Javalin to, String path, byte[] file) throws IOException, InterruptedException {
        HttpRequest r = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + to.port() + path))
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(file))
                .build();
        HttpResponse<String> a = CLIENT.send(r, HttpResponse.BodyHandlers.ofString());
        assertEquals(202, a.statusCode(), a.body());
        return JSON.readTree(a.body());
    }

    /** Puts a file; the answer must have the status. */
    static JsonNode put(Javalin to, String path, byte[] file, int status) throws IOException, InterruptedException {
        HttpRequest r = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + to.port() + path))
                .header("Content-Type", "application/octet-stream")
                .PUT(HttpRequest.BodyPublishers.ofByteArray(file))
                .build();
        HttpResponse<String> a = CLIENT.send(r, HttpResponse.BodyHandlers.ofString());
        assertEquals(status, a.statusCode(), a.body());
        return JSON.readTree(a.body());
    }
}
