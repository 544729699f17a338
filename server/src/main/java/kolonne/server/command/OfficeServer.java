package kolonne.server.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine;

/** A server that runs somewhere, as a program sees it: by its address, and the token of an account where it has accounts. */
final class OfficeServer {
    private static final JsonMapper JSON = new JsonMapper();
    /** Between two looks at a job [ms]. */
    private static final int LOOK = 250;
    /** That a design is waited for. */
    private static final Duration LONGEST = Duration.ofHours(2);
    /** Most of an answer that is read as text [bytes]. */
    private static final int MOST = 16 << 20;

    @CommandLine.Option(
            names = "--at",
            paramLabel = "URL",
            defaultValue = "http://127.0.0.1:8420/",
            description = "Address of the server (${DEFAULT-VALUE}).")
    private URI at;

    @CommandLine.Option(
            names = "--token-file",
            paramLabel = "FILE",
            description =
                    "File with a token of your account, made on its page “Your account”; KOLONNE_TOKEN if left out.")
    private Path tokenFile;

    @CommandLine.Spec(CommandLine.Spec.Target.MIXEE)
    private CommandLine.Model.CommandSpec spec;

    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(10)).build();

    /** What the server refuses, in its words. */
    static final class Refused extends IOException {
        Refused(String message) {
            super(message);
        }
    }

    JsonNode get(String path) throws IOException {
        return json(send(request(path).GET().build()));
    }

    /** @param path with its query; @param body of bytes */
    JsonNode post(String path, HttpRequest.BodyPublisher body) throws IOException {
        return json(send(request(path)
                .header("Content-Type", "application/octet-stream")
                .POST(body)
                .build()));
    }

    /** Writes what is at a path; the file appears whole or not at all. */
    void download(String path, Path file) throws IOException {
        try (InputStream in = ok(send(request(path).GET().build()))) {
            WholeFile.bytes(file, in::transferTo);
        }
    }

    /** Waits for a job and says how far it is; a job that is interrupted here is cancelled there. @return its result */
    String done(JsonNode job) throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        String path = "api/jobs/" + encoded(job.path("id").asText());
        Thread cancel = new Thread(() -> cancel(path));
        Runtime.getRuntime().addShutdownHook(cancel);
        try {
            String told = "";
            JsonNode now = job;
            while (running(now)) {
                pause();
                now = get(path);
                String doing = now.path("doing").asText();
                if (running(now) && !doing.isEmpty() && !doing.equals(told)) {
                    err.println("· " + doing);
                    told = doing;
                }
            }
            findings(now);
            if (!now.path("phase").asText().equals("done")) {
                throw new Refused(
                        "The server did not finish it: " + now.path("phase").asText() + ".");
            }
            return now.path("result").asText();
        } finally {
            forget(cancel);
        }
    }

    private static void forget(Thread atTheEnd) {
        try {
            Runtime.getRuntime().removeShutdownHook(atTheEnd);
        } catch (IllegalStateException e) {
            // it runs already
        }
    }

    private static boolean running(JsonNode job) {
        return job.path("phase").asText().matches("waiting|running");
    }

    /** How a project stands when all of it is designed. */
    JsonNode current(String project) throws IOException {
        String path = "api/projects/" + encoded(project) + "/state";
        long end = System.nanoTime() + LONGEST.toNanos();
        JsonNode state = get(path);
        while (!state.path("current").asBoolean()) {
            if (state.path("doing").asText().isEmpty()
                    && !state.path("findings").isEmpty()) {
                findings(state);
                throw new Refused("The server cannot design it.");
            }
            if (System.nanoTime() > end) {
                throw new Refused("The server has not designed it within " + LONGEST.toHours() + " hours.");
            }
            pause();
            state = get(path);
        }
        return state;
    }

    static String encoded(String part) {
        return URLEncoder.encode(part, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private void cancel(String path) {
        try {
            client.send(request(path).DELETE().build(), HttpResponse.BodyHandlers.discarding());
        } catch (IOException | InterruptedException e) {
            // the process ends; the server lets the job end by itself
            spec.commandLine().getErr().println("The job goes on: " + e.getMessage());
        }
    }

    private void findings(JsonNode of) {
        PrintWriter err = spec.commandLine().getErr();
        of.path("findings")
                .forEach(f -> err.println(Stream.of("severity", "code", "where", "what", "mend")
                        .map(k -> f.path(k).asText())
                        .filter(t -> !t.isEmpty())
                        .collect(Collectors.joining(" "))));
    }

    private HttpRequest.Builder request(String path) throws IOException {
        URI base = base();
        HttpRequest.Builder out = HttpRequest.newBuilder(base.resolve(path)).timeout(Duration.ofMinutes(10));
        String token = token();
        if (!token.isEmpty()) {
            if (!base.getScheme().equals("https")
                    && !InetAddress.getByName(base.getHost()).isLoopbackAddress()) {
                throw new Refused(
                        "A token is not sent to " + base + ", where others on the way could read it. Use https.");
            }
            out.header("Authorization", "Bearer " + token);
        }
        return out;
    }

    private URI base() throws IOException {
        if (at.getHost() == null || !(at + "").matches("https?://.*")) {
            throw new Refused(at + " is no address of a server; it begins with http:// or https://.");
        }
        return (at + "").endsWith("/") ? at : URI.create(at + "/");
    }

    /** Of the file, else of the environment; empty for none. */
    private String token() throws IOException {
        String token = tokenFile == null
                ? Objects.requireNonNullElse(System.getenv("KOLONNE_TOKEN"), "").strip()
                : read();
        if ((tokenFile != null || !token.isEmpty()) && !token.matches("[\\w-]{8,200}")) {
            throw new Refused((tokenFile == null ? "KOLONNE_TOKEN" : tokenFile)
                    + " holds no token: it is one line that begins with kol_.");
        }
        return token;
    }

    private String read() throws IOException {
        try (InputStream in = Files.newInputStream(tokenFile)) {
            return new String(in.readNBytes(1024), StandardCharsets.UTF_8).strip();
        }
    }

    private HttpResponse<InputStream> send(HttpRequest request) throws IOException {
        try {
            return client.send(request, HttpResponse.BodyHandlers.ofInputStream());
        } catch (java.net.ConnectException e) {
            throw new Refused("No server answers at " + at + ". Check --at and that it runs.");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("interrupted");
        }
    }

    private static void pause() throws IOException {
        try {
            Thread.sleep(LOOK);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("interrupted");
        }
    }

    private JsonNode json(HttpResponse<InputStream> r) throws IOException {
        try (InputStream in = ok(r)) {
            return JSON.readTree(in.readNBytes(MOST));
        }
    }

    /** The body of an answer; what a refusal says in its place. */
    private InputStream ok(HttpResponse<InputStream> r) throws IOException {
        if (r.statusCode() < 400) {
            return r.body();
        }
        try (InputStream in = r.body()) {
            JsonNode problem = problem(in.readNBytes(MOST));
            findings(problem);
            String title = problem.path("title").asText();
            throw new Refused(
                    title.isEmpty()
                            ? "The server answers " + r.statusCode() + "."
                            : title + " " + problem.path("detail").asText());
        }
    }

    private static JsonNode problem(byte[] body) {
        try {
            return JSON.readTree(body);
        } catch (IOException e) {
            // something before the server answers in words of its own
            return JSON.nullNode();
        }
    }
}
