package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.MadeFiles;
import kolonne.server.store.Brought;
import kolonne.server.store.By;
import kolonne.server.store.DeedRow;
import kolonne.server.store.Ids;
import kolonne.server.store.JobRow;
import kolonne.server.store.MariaDbJobStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** Two servers on one database, and a proxy that sends every request to another of them: work of one is told, stopped and given out by the other. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class SharedJobsTest {
    private DatabaseServer one;
    private DatabaseServer two;

    @BeforeEach
    void start() throws IOException {
        one = new DatabaseServer();
        two = new DatabaseServer();
    }

    @AfterEach
    void stop() {
        one.stop();
        two.stop();
    }

    /** Follows a job, as the pages do, until it is as wanted. */
    private static Job.Status until(Job job, Predicate<Job.Status> wanted) throws InterruptedException {
        CountDownLatch there = new CountDownLatch(1);
        job.follow(s -> {
            if (wanted.test(s)) {
                there.countDown();
            }
        });
        assertTrue(there.await(60, TimeUnit.SECONDS), job.status().toString());
        return job.status();
    }

    private static Job at(DatabaseServer server, String id) {
        return server.jobs.find(id).orElseThrow();
    }

    private static byte[] get(DatabaseServer from, String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> r = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + from.javalin.port() + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertEquals(200, r.statusCode(), path);
        return r.body();
    }

    @Test
    void aModelBroughtToOneIsFollowedAtTheOther() throws IOException, InterruptedException {
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        JsonNode job = Requests.upload(one.javalin, "/api/projects?name=Shared", model);
        String id = job.get("id").asText();
        Job.Status end = until(at(two, id), Job.Status::ended);
        assertEquals(Job.Phase.DONE, end.phase());
        String project = "/api/projects/" + end.result();
        JsonNode told = Requests.ask(two.javalin, 200, "GET", "/api/jobs/" + id, null);
        assertEquals("done", told.get("phase").asText());
        Requests.ask(two.javalin, 200, "GET", project, null);
        Requests.send(two.javalin, "DELETE", project, null);
        byte[] broken = new byte[] {'{'};
        String bad = Requests.upload(two.javalin, "/api/projects?name=Bad", broken)
                .get("id")
                .asText();
        Job.Status failed = until(at(one, bad), Job.Status::ended);
        assertEquals(Job.Phase.FAILED, failed.phase());
        assertEquals(at(two, bad).status().findings(), failed.findings());
    }

    /** In several parts, and as it was written. */
    @Test
    void aFileMadeByOneIsGivenOutByTheOther() throws IOException, InterruptedException {
        byte[] content = new byte[(9 << 20) + 17];
        new java.util.Random(5).nextBytes(content);
        Job job = one.jobs
                .files()
                .make(
                        "text/plain",
                        Brought.of("abc", "", "bars.txt", By.NOBODY, 0),
                        new byte[0],
                        (out, progress) -> out.write(content));
        String id = job.status().id();
        until(at(two, id), Job.Status::ended);
        assertArrayEquals(content, get(two, "/api/jobs/" + id + "/file"));
        assertArrayEquals(content, get(one, "/api/jobs/" + id + "/file"));
        MadeFiles.Made fetched = two.jobs.files().find(id).orElseThrow();
        assertEquals("bars.txt", fetched.name());
        assertEquals(fetched, two.jobs.files().find(id).orElseThrow(), "fetched once");
    }

    @Test
    void theOtherSeesHowFarItIsAndStopsIt() throws InterruptedException, IOException {
        Job job = one.jobs.start("import", "abc", 0, j -> {
            j.at("half of it", 1, 2);
            while (true) {
                j.stopIfCancelled();
                Thread.onSpinWait();
            }
        });
        Job there = at(two, job.status().id());
        assertEquals("abc", there.project().orElseThrow(), "whose it is, before anybody is let at it");
        Job.Status half = until(there, s -> s.done() == 1);
        assertEquals("half of it", half.doing());
        assertEquals(2, half.total());
        Requests.ask(two.javalin, 200, "DELETE", "/api/jobs/" + job.status().id(), null);
        assertEquals(Job.Phase.CANCELLED, until(job, Job.Status::ended).phase());
        assertEquals(Job.Phase.CANCELLED, until(there, Job.Status::ended).phase());
    }

    /** One that is told to stop says so itself; one that is killed is given up when it has not been heard of for some seconds. */
    @Test
    void workOfAServerThatEndedHasFailed() throws InterruptedException, IOException, SQLException {
        Job job = one.jobs.start("import", null, 0, j -> {
            while (true) {
                j.stopIfCancelled();
                Thread.onSpinWait();
            }
        });
        Job there = at(two, job.status().id());
        one.jobs.close();
        job.cancel(); // the thread of the test
        Job.Status s = until(there, Job.Status::ended);
        assertEquals(Job.Phase.FAILED, s.phase());
        assertEquals("server.lost", s.findings().get(0).code());
        String id = UUID.randomUUID().toString();
        new MariaDbJobStore(one.database)
                .tell(
                        new JobRow(id, "import", null, "dead", false, "RUNNING", "reading", 1, 2, null, null, false),
                        false);
        assertEquals(Job.Phase.RUNNING, at(two, id).status().phase());
        silent(id);
        Job.Status lost = until(at(two, id), Job.Status::ended);
        assertEquals(
                List.of(Job.Phase.FAILED, "server.lost"),
                List.of(lost.phase(), lost.findings().get(0).code()));
    }

    /** The file that a server was at when it died is read by another, under the same job, and stored once. */
    @Test
    void anImportOfAServerThatDiedIsTakenUp() throws InterruptedException, IOException, SQLException {
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        String project = Ids.random();
        String id = left("RUNNING", project, model, 1);
        Job there = at(two, id);
        Job.Status end = until(there, Job.Status::ended);
        assertEquals(List.of(Job.Phase.DONE, project), List.of(end.phase(), end.result()), end.toString());
        assertEquals("Left 図", two.store.find(project).orElseThrow().name());
        assertEquals(
                List.of("Zoë"),
                two.store.deeds(project).stream().map(DeedRow::person).toList(),
                "whoever brought it");
        // the same once more, by one that died before it told of the project that it had stored
        String again = left("RUNNING", project, model, 1);
        handOver(again);
        assertEquals(project, until(at(one, again), Job.Status::ended).result());
        assertEquals(1, two.store.find(project).orElseThrow().version());
        two.store.delete(project, "");
        two.store.remove(project);
        assertEquals(
                List.of(0, 0),
                List.of(count("job_input", id), count("job_input_part", id)),
                "nothing of the file is left");
    }

    /** Three holders that it has cost are enough; what was stopped is not begun again; a damaged file fails with what is wrong with it. */
    @Test
    void whatNobodyShouldTakeUp() throws InterruptedException, IOException, SQLException {
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        String thrice = left("RUNNING", Ids.random(), model, 3);
        String stopped = left("RUNNING", Ids.random(), model, 3);
        sql("UPDATE job SET cancelled = TRUE WHERE id = '" + stopped + "'");
        sql("UPDATE job_input SET tries = 1 WHERE job_id = '" + stopped + "'");
        List<Job> given = List.of(at(two, thrice), at(two, stopped));
        for (Job job : given) {
            assertEquals(
                    "server.lost",
                    until(job, Job.Status::ended).findings().get(0).code());
        }
        String bad = left("WAITING", Ids.random(), new byte[] {'{'}, 1);
        handOver(bad);
        Job.Status failed = until(at(two, bad), Job.Status::ended);
        assertEquals(Job.Phase.FAILED, failed.phase());
        assertTrue(!failed.findings().get(0).code().startsWith("server"), failed.toString());
    }

    /** One that is told to stop leaves its import to the other at once, which goes on under the same job. */
    @Test
    void aServerThatEndsHandsItsImportOver() throws InterruptedException, IOException, SQLException {
        CountDownLatch begun = new CountDownLatch(2);
        for (String kind : List.of("import", "revision")) {
            one.jobs.does(kind, (j, what, content) -> {
                begun.countDown();
                while (true) {
                    j.stopIfCancelled();
                    Thread.onSpinWait();
                }
            });
        }
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        String id = Requests.upload(one.javalin, "/api/projects?name=Handed", model)
                .get("id")
                .asText();
        String of = two.store
                .create("Of", "of.json", model, BasisFile.write(Basis.standard(false)), null)
                .id();
        String newer = Requests.upload(one.javalin, "/api/projects/" + of + "/revisions?fileName=newer.json", model)
                .get("id")
                .asText();
        Job there = at(two, id);
        Job alsoThere = at(two, newer);
        assertTrue(begun.await(60, TimeUnit.SECONDS));
        one.jobs.close();
        Job.Status end = until(there, Job.Status::ended);
        assertEquals(Job.Phase.DONE, end.phase(), end.toString());
        assertEquals("Handed", two.store.find(end.result()).orElseThrow().name());
        Job.Status read = until(alsoThere, Job.Status::ended);
        assertEquals(Job.Phase.DONE, read.phase(), read.toString());
        assertEquals(of, at(two, newer).project().orElseThrow());
        Requests.ask(two.javalin, 200, "GET", "/api/projects/" + of + "/revisions/" + read.result(), null);
        Requests.send(two.javalin, "DELETE", "/api/projects/" + end.result(), null);
        Requests.send(two.javalin, "DELETE", "/api/projects/" + of, null);
    }

    /** An import as a server leaves it that dies: told, brought, and not heard of any more. */
    private String left(String phase, String project, byte[] model, int tries) throws SQLException, IOException {
        MariaDbJobStore dead = new MariaDbJobStore(one.database);
        String id = UUID.randomUUID().toString();
        dead.tell(new JobRow(id, "import", null, "dead", false, phase, "reading", 0, 0, null, null, false), false);
        By by = new By("Zoë", null, "10.0.0.7", "w1");
        assertTrue(dead.bring(id, Brought.of(project, "Left 図", "left.json", by, 1), model));
        sql("UPDATE job_input SET tries = " + tries + " WHERE job_id = '" + id + "'");
        silent(id);
        return id;
    }

    /** A file is made by the one that takes it up, as it was asked for, and given out under the same job; one that cannot be made says why. */
    @Test
    void aFileIsTakenUp() throws InterruptedException, IOException, SQLException {
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        String project = one.store
                .create("Filed", "f.json", model, BasisFile.write(Basis.standard(false)), null)
                .id();
        Job.Status end = until(at(two, asked(project, "schedules.pdf", "{}")), Job.Status::ended);
        assertEquals(Job.Phase.DONE, end.phase(), end.toString());
        assertEquals("%PDF", new String(get(two, "/api/jobs/" + end.id() + "/file"), 0, 4, StandardCharsets.US_ASCII));
        Job.Status none = until(at(two, asked(project, "schedules.pdf", "{\"marks\":\"nobody\"}")), Job.Status::ended);
        assertEquals(Job.Phase.FAILED, none.phase());
        assertEquals("export.refused", none.findings().get(0).code());
        Requests.send(two.javalin, "DELETE", "/api/projects/" + project, null);
    }

    /** A file that was asked for of a server that was told to stop. */
    private String asked(String project, String file, String query) throws SQLException, IOException {
        MariaDbJobStore dead = new MariaDbJobStore(one.database);
        String id = UUID.randomUUID().toString();
        dead.tell(
                new JobRow(id, "export", project, "dead", false, "RUNNING", "writing", 0, 0, null, null, false), false);
        assertTrue(
                dead.bring(id, Brought.of(project, file, file, By.NOBODY, 1), query.getBytes(StandardCharsets.UTF_8)));
        silent(id);
        handOver(id);
        return id;
    }

    /** The curve is made by the one that takes it up, of the design that it waits for. */
    @Test
    void aCurveIsTakenUp() throws InterruptedException, IOException, SQLException {
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        String project = one.store
                .create("Curved", "c.json", model, BasisFile.write(Basis.standard(false)), null)
                .id();
        MariaDbJobStore dead = new MariaDbJobStore(one.database);
        String id = UUID.randomUUID().toString();
        dead.tell(
                new JobRow(id, "types", project, "dead", false, "RUNNING", "merging types", 0, 0, null, null, false),
                false);
        assertTrue(dead.bring(id, Brought.of(project, "BEAM", "", By.NOBODY, 0), new byte[] {'?'}));
        silent(id);
        handOver(id);
        Job.Status end = until(at(two, id), Job.Status::ended);
        assertEquals(List.of(Job.Phase.DONE, "beam"), List.of(end.phase(), end.result()), end.toString());
        JsonNode curve = Requests.ask(two.javalin, 200, "GET", "/api/projects/" + project + "/types/curve/beam", null);
        assertEquals("true", curve.get("ready").asText());
        Requests.send(two.javalin, "DELETE", "/api/projects/" + project, null);
    }

    /** As by a server that was told to stop. */
    private static void handOver(String id) throws SQLException, IOException {
        sql("UPDATE job SET holder = '' WHERE id = '" + id + "'");
    }

    private static int count(String table, String id) throws SQLException, IOException {
        try (Connection c = connection();
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("SELECT COUNT(*) FROM " + table + " WHERE job_id = '" + id + "'")) {
            r.next();
            return r.getInt(1);
        }
    }

    /** Not heard of since a second longer than anybody waits. */
    private static void silent(String id) throws SQLException, IOException {
        sql("UPDATE job SET held_until = NOW(3) - INTERVAL 1 SECOND WHERE id = '" + id + "'");
    }

    private static void sql(String statement) throws SQLException, IOException {
        try (Connection c = connection();
                Statement s = c.createStatement()) {
            s.executeUpdate(statement);
        }
    }

    private static Connection connection() throws SQLException, IOException {
        String password = Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                .strip();
        return DriverManager.getConnection(System.getenv("KOLONNE_TEST_DB"), "app", password);
    }
}
