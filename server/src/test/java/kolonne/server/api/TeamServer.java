package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.guard.Intake;
import kolonne.server.guard.SameSite;
import kolonne.server.jobs.Jobs;
import kolonne.server.people.OpenId;
import kolonne.server.people.Team;
import kolonne.server.project.Projects;
import kolonne.server.store.By;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbProjectStore;
import kolonne.server.store.ProjectStore;

/** A server of an office on a database of its own, with a clock that can be put on. */
final class TeamServer implements AutoCloseable {
    private static final ObjectMapper JSON = new ObjectMapper();
    static final String PASSWORD = "violet umbrella 29 kettle";

    final Javalin javalin;
    final Api api;
    final ProjectStore store;
    final Team team;
    private final Jobs jobs = new Jobs();
    private final Database database;
    private final String url;
    private Duration ahead = Duration.ZERO;

    TeamServer() throws IOException, SQLException {
        this(Optional.empty());
    }

    TeamServer(Optional<OpenId> provider) throws IOException, SQLException {
        String tests = System.getenv("KOLONNE_TEST_DB");
        String password = password();
        try (Connection c = DriverManager.getConnection(tests, "app", password);
                Statement s = c.createStatement()) {
            s.execute("DROP DATABASE IF EXISTS kolonne_team");
            s.execute("CREATE DATABASE kolonne_team CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        }
        url = tests.replaceFirst("/[^/]*$", "/kolonne_team");
        database = new Database(url, "app", password);
        store = new MariaDbProjectStore(database);
        team = Team.of(
                database,
                new Clock() {
                    @Override
                    public ZoneId getZone() {
                        return ZoneOffset.UTC;
                    }

                    @Override
                    public Clock withZone(ZoneId zone) {
                        return this;
                    }

                    @Override
                    public Instant instant() {
                        return Instant.now().plus(ahead);
                    }
                },
                provider);
        Intake intake = new Intake(Intake.Limits.of(ModelReader.LARGEST + 1024));
        api = new Api(
                new Projects(store, jobs),
                jobs,
                new SameSite(List.of("kolonne.office.example")),
                intake,
                team,
                Set.of("127.0.0.1"));
        javalin = api.server().start("127.0.0.1", 0);
    }

    private static String password() throws IOException {
        return Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                .strip();
    }

    void later(Duration d) {
        ahead = ahead.plus(d);
    }

    /** Everything that the database holds of accounts, as text. */
    String kept() throws IOException, SQLException {
        StringBuilder out = new StringBuilder();
        try (Connection c = DriverManager.getConnection(url, "app", password());
                Statement s = c.createStatement()) {
            for (String table : List.of("account", "sign_in", "access_token", "deed")) {
                var r = s.executeQuery("SELECT * FROM " + table);
                while (r.next()) {
                    for (int i = 1; i <= r.getMetaData().getColumnCount(); i++) {
                        out.append(r.getString(i)).append('\n');
                    }
                }
            }
        }
        return out.toString();
    }

    /** A person with a password of their own; the id of the account. */
    String person(String name, boolean administrator) throws IOException, InterruptedException {
        var given = team.accounts().add(name, administrator, By.NOBODY);
        String cookie = signIn(name, given.password());
        ask(
                204,
                cookie,
                "PUT",
                "/api/account/password",
                "{\"old\":\"" + given.password() + "\",\"password\":\"" + PASSWORD + "\"}");
        return given.account().id();
    }

    /** What a browser that has signed in sends. */
    String signIn(String name, String password) throws IOException, InterruptedException {
        HttpResponse<String> r = tried(name, password);
        assertEquals(200, r.statusCode(), r.body());
        return r.headers().firstValue("Set-Cookie").orElseThrow().split(";")[0];
    }

    HttpResponse<String> tried(String name, String password) throws IOException, InterruptedException {
        return Requests.send(
                javalin,
                "POST",
                "/api/session",
                JSON.createObjectNode()
                        .put("name", name)
                        .put("password", password)
                        .toString());
    }

    /** A token that works for a person. */
    String token(String name) throws IOException, InterruptedException {
        return ask(200, signIn(name, PASSWORD), "POST", "/api/account/tokens", "{\"name\":\"test\"}")
                .get("secret")
                .asText();
    }

    /** @param cookie of {@link #signIn}, or null for nobody */
    JsonNode ask(int status, String cookie, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        HttpResponse<String> r = send(cookie, method, path, body, headers);
        assertEquals(status, r.statusCode(), method + " " + path + ": " + r.body());
        return r.body().isEmpty() ? JSON.nullNode() : JSON.readTree(r.body());
    }

    HttpResponse<String> send(String cookie, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        String[] all = java.util.Arrays.copyOf(headers, headers.length + (cookie == null ? 0 : 2));
        if (cookie != null) {
            all[headers.length] = "Cookie";
            all[headers.length + 1] = cookie;
        }
        return Requests.send(javalin, method, path, body, all);
    }

    /** A small project of somebody; its id. @param owner account, or null for none */
    String project(String name, String owner) {
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        return store.by(new By("", owner, "", ""))
                .create(name, "zaal.json", model, BasisFile.write(Basis.standard(false)), null)
                .id();
    }

    @Override
    public void close() {
        javalin.stop();
        jobs.close();
        database.close();
    }
}
