package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.function.Predicate;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.kept.Build;
import kolonne.server.store.Shared;
import kolonne.server.store.TaskRow;
import kolonne.server.store.WorkStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** A building is designed once: by whichever server or worker takes it, and not again after a restart. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class SharedDesignsTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String DESIGN = "design";
    private DatabaseServer one;
    private DatabaseServer two;
    private String id;
    private String project;

    @BeforeEach
    void start() throws IOException {
        one = new DatabaseServer();
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
        id = one.store
                .create("Once", "once.json", model, BasisFile.write(Basis.standard(false)), null)
                .id();
        project = "/api/projects/" + id;
    }

    @AfterEach
    void stop() {
        one.store.delete(id, "");
        one.stop();
        if (two != null) {
            two.stop();
        }
    }

    /** A server that cannot design anything: what it shows was designed before. */
    private static Shared idle(Shared s) {
        WorkStore none = mock(WorkStore.class);
        doThrow(new IllegalStateException("it would be designed again"))
                .when(none)
                .take(any(), any(), anyInt(), any(), any());
        return new Shared(s.designs(), none, s.presence(), s.uploads());
    }

    private JsonNode await(DatabaseServer at, Predicate<JsonNode> what) throws IOException, InterruptedException {
        JsonNode state = null;
        for (int i = 0; i < 2400; i++) {
            state = JSON.readTree(
                    Requests.send(at.javalin, "GET", project + "/state", null).body());
            if (what.test(state)) {
                return state;
            }
            Thread.sleep(25);
        }
        throw new AssertionError("never; last " + state);
    }

    private void current(DatabaseServer at, int version) throws IOException, InterruptedException {
        await(
                at,
                s -> s.get("version").asInt() == version
                        && s.get("designed").asInt() == version
                        && s.get("doing").asText().isEmpty());
    }

    private JsonNode rows(DatabaseServer at) throws IOException, InterruptedException {
        return Requests.ask(at.javalin, 200, "GET", project + "/results?size=5000", null)
                .get("rows");
    }

    private void change(int seen, String method, String path, String body) throws IOException, InterruptedException {
        Requests.ask(one.javalin, 200, method, project + path, body, "If-Match", "\"" + seen + "\"");
        current(one, seen + 1);
    }

    private String firstBeam() throws IOException, InterruptedException {
        return Requests.ask(one.javalin, 200, "GET", project + "/results?q=beam", null)
                .get("rows")
                .get(0)
                .get("mark")
                .asText();
    }

    /** A design is kept a moment after it is shown. */
    private void kept(int version) throws InterruptedException {
        for (int i = 0; i < 1200; i++) {
            if (Shared.of(one.database).designs().versions(id, Build.id()).contains(version)) {
                return;
            }
            Thread.sleep(25);
        }
        throw new AssertionError("version " + version + " is never kept");
    }

    private TaskRow task(int version, String holder) {
        return Shared.of(one.database).work().take(DESIGN, id, version, Build.id(), holder);
    }

    private void sql(String statement) throws IOException, SQLException {
        String password = Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")));
        try (Connection c = DriverManager.getConnection(System.getenv("KOLONNE_TEST_DB"), "app", password.strip());
                Statement s = c.createStatement()) {
            assertTrue(s.executeUpdate(statement) > 0, statement);
        }
    }

    @Test
    void whoOpensItNextDesignsNothing() throws IOException, InterruptedException {
        current(one, 1);
        kept(1);
        two = new DatabaseServer(SharedDesignsTest::idle);
        current(two, 1);
        assertEquals(rows(one), rows(two));
    }

    /** Cages by hand and marks since then are taken over; an undo of the basis finds the design from before. */
    @Test
    void whatWasDecidedSinceIsTakenOver() throws IOException, InterruptedException {
        current(one, 1);
        kept(1);
        String beam = firstBeam();
        change(
                1,
                "PUT",
                "/members/" + beam + "/hand",
                "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":4,\"size\":\"T25\",\"from\":-1000,\"to\":1000000,"
                        + "\"hookFrom\":true,\"hookTo\":true}]}}");
        change(2, "PUT", "/members/" + beam + "/mark", "{\"mark\":\"B-own\"}");
        change(3, "PATCH", "/basis", "{\"beamCoverMm\":45}");
        kept(4);
        JsonNode other = rows(one);
        change(4, "POST", "/undo", "{}");
        two = new DatabaseServer(SharedDesignsTest::idle);
        current(two, 5);
        assertEquals(rows(one), rows(two));
        change(5, "POST", "/redo", "{}");
        current(two, 6);
        assertEquals(other, rows(two), "and a redo the other one");
    }

    @Test
    void aDamagedDesignIsMadeAnew() throws IOException, InterruptedException, SQLException {
        current(one, 1);
        kept(1);
        sql("UPDATE design_part SET content = LEFT(content, 1000) WHERE design_id IN "
                + "(SELECT id FROM design WHERE project_id = '" + id + "')");
        two = new DatabaseServer();
        current(two, 1);
        assertEquals(rows(one), rows(two));
    }

    /** Another server has it: it is waited for, and made here once that one is not heard of any more. */
    @Test
    void whatADeadServerHeldIsDesignedByAnother() throws IOException, InterruptedException, SQLException {
        TaskRow t = task(1, "dead");
        Shared.of(one.database).work().renew(t.id(), "dead", "designing", 3, 7);
        JsonNode state = await(one, s -> s.get("done").asInt() == 3);
        assertEquals("designing 3 of 7", state.get("doing").asText() + " 3 of " + state.get("total"));
        sql("UPDATE task SET held_until = NOW(3) - INTERVAL 1 SECOND WHERE id = '" + t.id() + "'");
        current(one, 1);
    }

    @Test
    void whatFailsElsewhereIsToldHere() throws IOException, InterruptedException {
        TaskRow t = task(1, "other");
        await(one, s -> s.get("doing").asText().equals("waiting"));
        Shared.of(one.database)
                .work()
                .end(
                        t.id(),
                        "other",
                        TaskRow.FAILED,
                        "[{\"severity\":\"FAILS\",\"code\":\"frame.unstable\",\"where\":\"joint J7\","
                                + "\"what\":\"It moves without end.\",\"mend\":\"Hold it.\",\"clause\":\"\",\"combination\":\"\"}]");
        JsonNode state = await(one, s -> s.get("findings").size() > 0);
        assertEquals("joint J7", state.get("findings").get(0).get("where").asText());
    }

    /** Nobody's server is free: a worker designs it, and the server shows it. */
    @Test
    void aWorkerDesignsForTheServers() throws IOException, InterruptedException {
        Shared.of(one.database).work().ask(DESIGN, id, 1, Build.id(), "Ana");
        two = new DatabaseServer();
        two.projects.help(0);
        kept(1);
        two.stop();
        two = new DatabaseServer(SharedDesignsTest::idle);
        current(two, 1);
    }
}
