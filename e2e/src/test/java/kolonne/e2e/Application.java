package kolonne.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application on a database of its own, made anew. */
final class Application implements AutoCloseable {
    private final Process process;
    private final String address;
    private final BlockingQueue<String> lines = new LinkedBlockingQueue<>();

    /** @param name of the database, after its beginning; @param options of the server besides the usual */
    Application(String name, String... options) throws IOException, SQLException {
        Path password = Path.of(required("KOLONNE_TEST_DB_PASSWORD_FILE"));
        String url = anew(
                required("KOLONNE_TEST_DB"),
                "kolonne_" + name,
                Files.readString(password).strip());
        List<String> command = new ArrayList<>(List.of("java", "-Xmx2g", "-XX:+UseParallelGC"));
        command.addAll(List.of(System.getProperty("kolonne.compile").split(" ")));
        command.addAll(List.of(
                "-jar",
                System.getProperty("kolonne.jar"),
                "serve",
                "--port",
                "0",
                "--database",
                url,
                "--password-file",
                password.toString()));
        command.addAll(List.of(options));
        process = new ProcessBuilder(command).redirectErrorStream(true).start();
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        List<String> said = new ArrayList<>();
        String found = null;
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.add(line);
            int at = line.indexOf("http://");
            if (line.startsWith("Kolonne is at") && at >= 0) {
                found = line.substring(at).strip();
                break;
            }
        }
        if (found == null) {
            throw new IOException("the application did not start: " + said);
        }
        address = found;
        Thread drain = new Thread(() -> out.lines().forEach(l -> {
            lines.add(l);
            System.out.println("server: " + l);
        }));
        drain.setDaemon(true);
        drain.start();
    }

    private static String anew(String tests, String name, String password) throws SQLException {
        try (Connection c = DriverManager.getConnection(tests, "app", password);
                Statement s = c.createStatement()) {
            s.execute("DROP DATABASE IF EXISTS " + name);
            s.execute("CREATE DATABASE " + name + " CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        }
        return tests.replaceFirst("/[^/]*$", "/" + name);
    }

    /** The first line of the server's, after that of its address, that a pattern is found in; what it found first. */
    String said(Pattern what) throws InterruptedException {
        for (String line = lines.poll(60, TimeUnit.SECONDS); line != null; line = lines.poll(60, TimeUnit.SECONDS)) {
            Matcher m = what.matcher(line);
            if (m.find()) {
                return m.group(1);
            }
        }
        throw new AssertionError("the server did not say " + what);
    }

    private static String required(String name) {
        String v = System.getenv(name);
        if (v == null) {
            throw new IllegalStateException(name + " is not set: run the tests with ./test");
        }
        return v;
    }

    /** Imports a model; answers with the project's id. */
    String imported(String name, byte[] model) throws IOException, InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest upload = HttpRequest.newBuilder(
                        URI.create(address + "api/projects?name=" + name + "&fileName=model.json"))
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(model))
                .build();
        String job = client.send(upload, HttpResponse.BodyHandlers.ofString()).body();
        HttpRequest ask = HttpRequest.newBuilder(URI.create(address + "api/jobs/" + field(job, "id")))
                .build();
        String told = job;
        while (told.contains("\"phase\":\"running\"") || told.contains("\"phase\":\"waiting\"")) {
            Thread.sleep(50);
            told = client.send(ask, HttpResponse.BodyHandlers.ofString()).body();
        }
        if (!told.contains("\"phase\":\"done\"")) {
            throw new IOException("the building was not imported: " + told);
        }
        return field(told, "result");
    }

    private static String field(String json, String name) {
        return json.replaceAll("(?s).*\"" + name + "\":\"([^\"]+)\".*", "$1");
    }

    String address() {
        return address;
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(10, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
    }
}
