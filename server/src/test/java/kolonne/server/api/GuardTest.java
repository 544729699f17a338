package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.Socket;
import java.net.SocketException;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.guard.Intake;
import kolonne.server.guard.SameSite;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Requests as nobody's own page sends them, over plain sockets: other hosts, other pages, forms, slow and broken clients. */
class GuardTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 1, 1, 0, 0);
    private static final int SMALL = 5;
    private static Jobs jobs;
    private static Intake intake;
    private static Javalin server;
    private static Api api;

    @BeforeAll
    static void start() {
        ProjectStore store = mock(ProjectStore.class);
        ProjectRow row = new ProjectRow("p1", "Zaal", NOW, NOW, 3);
        when(store.by(any())).thenReturn(store);
        when(store.list()).thenReturn(List.of(row));
        when(store.find("p1")).thenReturn(Optional.of(row));
        when(store.model("p1"))
                .thenReturn(new ModelFileRow(
                        "p1", "zaal.json", ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)))));
        when(store.commands("p1", 0))
                .thenReturn(List.of(
                        new CommandRow("p1", 1, "set-basis", BasisFile.write(Basis.standard(false)), NOW, "", null)));
        when(store.append(any())).thenReturn(Optional.empty());
        jobs = new Jobs();
        intake = new Intake(new Intake.Limits(SMALL, 1, 1000, Duration.ofMillis(700), 1 << 20, 1 << 20));
        api = new Api(
                new Projects(store, jobs),
                jobs,
                new SameSite(List.of("kolonne.office.example")),
                intake,
                null,
                Set.of());
        server = api.server().start("127.0.0.1", 0);
    }

    @AfterAll
    static void stop() {
        server.stop();
        intake.close();
        jobs.close();
    }

    private record Answer(int status, String head, String body) {}

    private static Answer get(String request) throws IOException {
        return send(request, "");
    }

    private static Answer send(String request, String body, String... headers) throws IOException {
        byte[] content = body.getBytes(StandardCharsets.UTF_8);
        StringBuilder s = new StringBuilder(request + " HTTP/1.1\r\nConnection: close\r\n");
        if (List.of(headers).stream().noneMatch(h -> h.startsWith("Host:"))) {
            s.append("Host: 127.0.0.1:").append(server.port()).append("\r\n");
        }
        List.of(headers).forEach(h -> s.append(h).append("\r\n"));
        s.append(content.length > 0 ? "Content-Length: " + content.length + "\r\n\r\n" : "\r\n");
        try (Socket socket = new Socket("127.0.0.1", server.port())) {
            socket.setSoTimeout(20_000);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            out.write(s.toString().getBytes(StandardCharsets.UTF_8));
            out.write(content);
            socket.getOutputStream().write(out.toByteArray());
            String all = new String(read(socket), StandardCharsets.UTF_8);
            int end = all.indexOf("\r\n\r\n");
            return new Answer(Integer.parseInt(all.split(" ")[1]), all.substring(0, end), all.substring(end + 4));
        }
    }

    /** What a server answers before it ends the connection, be it by a reset because it would not read what was sent. */
    private static byte[] read(Socket socket) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        byte[] piece = new byte[8192];
        try {
            for (int n = socket.getInputStream().read(piece);
                    n >= 0;
                    n = socket.getInputStream().read(piece)) {
                all.write(piece, 0, n);
            }
        } catch (SocketTimeoutException e) {
            throw e;
        } catch (SocketException e) {
            // ended
        }
        return all.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({
        "evil.example, 421",
        "evil.example:8420, 421",
        "localhost, 200",
        "LOCALHOST:9, 200",
        "[::1]:8420, 200",
        "127.0.0.1, 200",
        "kolonne.office.example, 200",
        "127.0.0.1.evil.example, 421"
    })
    void onlyOurHostsAreAnswered(String host, int status) throws IOException {
        assertEquals(status, send("GET /api/health", "", "Host: " + host).status());
    }

    @Test
    void pagesElsewhereAreNotAnswered() throws IOException {
        String own = "http://127.0.0.1:" + server.port();
        assertEquals(
                200,
                send("GET /api/projects", "", "Origin: " + own, "Sec-Fetch-Site: same-origin")
                        .status());
        assertEquals(200, send("GET /api/projects", "", "Sec-Fetch-Site: none").status());
        for (String header : List.of(
                "Origin: http://evil.example",
                "Origin: null",
                "Origin: http://127.0.0.1:1",
                "Origin: http://[",
                "Sec-Fetch-Site: cross-site",
                "Sec-Fetch-Site: same-site")) {
            Answer a = send("GET /api/projects", "", header);
            assertEquals(403, a.status(), header);
            assertTrue(a.body().contains("kolonne:origin") && a.head().contains("application/problem+json"), a.body());
        }
        // a link from elsewhere may open the pages, but none of what they ask
        assertNotEquals(
                403,
                send("GET /", "", "Sec-Fetch-Site: cross-site", "Sec-Fetch-Mode: navigate")
                        .status());
        assertEquals(
                403,
                send("GET /api/projects", "", "Sec-Fetch-Site: cross-site", "Sec-Fetch-Mode: navigate")
                        .status());
        assertEquals(
                403,
                send("POST /", "x", "Sec-Fetch-Site: cross-site", "Sec-Fetch-Mode: navigate")
                        .status());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "text/plain",
                "TEXT/PLAIN; charset=utf-8",
                "application/x-www-form-urlencoded",
                "multipart/form-data; boundary=x",
                "",
                "text/html"
            })
    void jsonComesAsJson(String type) throws IOException {
        String[] headers = type.isEmpty()
                ? new String[] {"If-Match: \"3\""}
                : new String[] {"If-Match: \"3\"", "Content-Type: " + type};
        assertEquals(
                415, send("PATCH /api/projects/p1", "{\"name\":\"x\"}", headers).status());
    }

    @Test
    void filesComeAsAnythingButAForm() throws IOException {
        assertEquals(
                415,
                send("POST /api/projects", "{}", "Content-Type: text/plain").status());
        assertEquals(
                202,
                send("POST /api/projects", "{}", "Content-Type: application/octet-stream")
                        .status());
    }

    /** Every answer carries them, be it a page, JSON, an error of a route or one before any route. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /",
                "GET /api/health",
                "GET /api/nothing",
                "GET /nothing.js",
                "GET /api/%00",
                "GET /../../etc/passwd",
                "BREW /api/health",
                "GET /api/projects/none"
            })
    void everyAnswerIsClosedToOthers(String request) throws IOException {
        Answer a = get(request);
        for (Map.Entry<String, String> h : SameSite.headers().entrySet()) {
            assertTrue(
                    a.head().toLowerCase().contains((h.getKey() + ": " + h.getValue()).toLowerCase()),
                    h + " in " + a.head());
        }
        assertFalse(a.status() >= 400 && a.head().contains("text/html"), a.head() + a.body());
        assertFalse(a.body().contains("org.eclipse") || a.body().contains("Jetty"), a.body());
    }

    @Test
    void anAddressWithoutEndIsAProblemInJson() throws IOException {
        Answer a = get("GET /api/" + "a".repeat(20_000));
        assertEquals(414, a.status());
        assertTrue(a.head().contains("application/problem+json") && a.body().contains("too long"), a.head() + a.body());
    }

    /** Clients that send next to nothing hold so many places and no more, and lose them in time; short requests are answered all the while. */
    @Test
    void slowClientsDoNotStopOthers() throws IOException {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 300; i++) {
                Socket s = new Socket("127.0.0.1", server.port());
                s.getOutputStream()
                        .write(
                                ("POST /api/sketches/beam/preview HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{")
                                        .getBytes(StandardCharsets.UTF_8));
                slow.add(s);
            }
            assertEquals(200, get("GET /api/health").status(), "answered while 300 others send slowly");
            int busy = 0;
            for (Socket s : slow) {
                s.setSoTimeout(20_000);
                busy += new String(read(s), StandardCharsets.UTF_8).startsWith("HTTP/1.1 503") ? 1 : 0;
            }
            assertTrue(busy >= 1, "the others are told to come again");
        } finally {
            for (Socket s : slow) {
                s.close();
            }
        }
        assertEquals(
                200,
                send("POST /api/sketches/beam/preview", "{}", "Content-Type: application/json")
                        .status(),
                "places are free again");
    }

    /** Bodies that are JSON and not what was asked for: no route fails inside. */
    @Test
    void noBodyMakesARouteFail() throws IOException {
        List<String> wrong = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.description().get("paths").properties()) {
            for (Map.Entry<String, JsonNode> op : path.getValue().properties()) {
                String address = path.getKey().replace("{id}", "p1").replaceAll("\\{[^}]*}", "x");
                for (String body : List.of(
                        "null",
                        "[]",
                        "\"x\"",
                        "7",
                        "{}",
                        "{\"name\":7,\"edits\":null,\"mapping\":[null],\"marks\":[null]}",
                        "[null]",
                        "{\"edits\":[null]}",
                        "{\"",
                        "\u00ff")) {
                    boolean sends = !op.getKey().equals("get");
                    Answer a = send(
                            op.getKey().toUpperCase() + " " + address,
                            sends ? body : "",
                            "Content-Type: application/json",
                            "If-Match: \"3\"");
                    if (a.status() == 500) {
                        wrong.add(op.getKey() + " " + path.getKey() + " " + body);
                    } else if (a.status() >= 400 && !a.body().isEmpty()) {
                        String title = JSON.readTree(a.body()).get("title").asText();
                        assertFalse(
                                title.isBlank()
                                        || a.body().contains("REDACTED")
                                        || a.body().contains("org.")
                                        || a.body().contains("Exception"),
                                a.body());
                    }
                }
            }
        }
        assertEquals(List.of(), wrong);
    }

    /** Requests without a body take no place among those that send one. */
    @Test
    void whoSendsNothingNeedsNoPlace() throws Exception {
        ExecutorService many = Executors.newFixedThreadPool(32);
        try {
            List<Future<Integer>> all = new ArrayList<>();
            for (int i = 0; i < 320; i++) {
                all.add(many.submit(() -> get("GET /api/projects").status()));
            }
            for (Future<Integer> f : all) {
                assertEquals(200, f.get());
            }
        } finally {
            many.shutdownNow();
        }
    }

    /** A body in pieces could be without end: its length is asked for. */
    @Test
    void bodiesSayTheirLength() throws IOException {
        try (Socket s = new Socket("127.0.0.1", server.port())) {
            s.setSoTimeout(20_000);
            s.getOutputStream()
                    .write(
                            ("POST /api/sketches/beam/preview HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n"
                                            + "2\r\n{}\r\n0\r\n\r\n")
                                    .getBytes(StandardCharsets.UTF_8));
            assertTrue(new String(read(s), StandardCharsets.UTF_8).startsWith("HTTP/1.1 411"));
        }
    }
}
