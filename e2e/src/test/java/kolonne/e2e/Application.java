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
import java.util.concurrent.TimeUnit;

/** The packaged application with the demo building, on the tests' database, emptied first. */
final class Application implements AutoCloseable {
    private final Process process;
    private final String address;

    Application() throws IOException, SQLException {
        String url = required("KOLONNE_TEST_DB");
        Path password = Path.of(required("KOLONNE_TEST_DB_PASSWORD_FILE"));
        empty(url, Files.readString(password).strip());
        process = new ProcessBuilder(
                        "java",
                        "-Xmx2g",
                        "-XX:+UseParallelGC",
                        "-jar",
                        System.getProperty("kolonne.jar"),
                        "serve",
                        "--port",
                        "0",
                        "--database",
                        url,
                        "--password-file",
                        password.toString(),
                        "--demo")
                .redirectErrorStream(true)
                .start();
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
        Thread drain = new Thread(() -> out.lines().forEach(l -> System.out.println("server: " + l)));
        drain.setDaemon(true);
        drain.start();
    }

    /** The tests' own database is emptied, so that every class starts alike. */
    private static void empty(String url, String password) throws SQLException {
        try (Connection c = DriverManager.getConnection(url, "app", password);
                Statement s = c.createStatement()) {
            s.execute("SET FOREIGN_KEY_CHECKS = 0");
            List<String> tables = new ArrayList<>();
            try (java.sql.ResultSet r = s.executeQuery("SHOW TABLES")) {
                while (r.next()) {
                    tables.add(r.getString(1));
                }
            }
            for (String table : tables) {
                s.execute("DROP TABLE `" + table + "`");
            }
        }
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
