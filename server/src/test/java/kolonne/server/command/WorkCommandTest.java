package kolonne.server.command;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.Main;
import kolonne.server.kept.Build;
import kolonne.server.store.Database;
import kolonne.server.store.MariaDbProjectStore;
import kolonne.server.store.Shared;
import kolonne.server.store.TaskRow;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** {@code kolonne work} as a process of its own: it designs what waits, and gives back what it is at when it is ended. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class WorkCommandTest {
    private static final String DESIGN = "design";
    private Database database;
    private MariaDbProjectStore store;
    private String id;
    private Process worker;

    @BeforeEach
    void open() throws IOException {
        String password = Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                .strip();
        database = new Database(System.getenv("KOLONNE_TEST_DB"), "app", password);
        store = new MariaDbProjectStore(database);
    }

    @AfterEach
    void close() throws InterruptedException {
        worker.destroyForcibly().waitFor();
        store.delete(id, "");
        database.close();
    }

    private void project(DemoOptions size) throws IOException {
        byte[] model = ModelWriter.json(DemoBuilding.generate(size));
        id = store.create("Works", "works.json", model, BasisFile.write(Basis.standard(false)), null)
                .id();
        Shared.of(database).work().ask(DESIGN, id, 1, Build.id(), "");
    }

    private void work() throws IOException {
        worker = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Main.class.getName(),
                        "work",
                        "--database",
                        System.getenv("KOLONNE_TEST_DB"),
                        "--user",
                        "app",
                        "--password-file",
                        System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE"),
                        "--patience",
                        "0"))
                .redirectErrorStream(true)
                .start();
        BufferedReader told = worker.inputReader(StandardCharsets.UTF_8);
        String line = told.readLine();
        while (line != null && !line.startsWith("Kolonne works")) {
            line = told.readLine();
        }
        assertTrue(line != null, "it ended before it worked");
    }

    private TaskRow task() {
        return Shared.of(database).work().take(DESIGN, id, 1, Build.id(), "test");
    }

    private static void await(String what, BooleanSupplier is) throws InterruptedException {
        for (int i = 0; i < 4800; i++) {
            if (is.getAsBoolean()) {
                return;
            }
            Thread.sleep(25);
        }
        throw new AssertionError("never " + what);
    }

    @Test
    void itDesignsWhatWaits() throws IOException, InterruptedException {
        project(DemoOptions.ofSize(60));
        work();
        await(
                "designed",
                () -> Shared.of(database).designs().versions(id, Build.id()).contains(1));
        await("told", () -> task().is(TaskRow.DONE));
    }

    @Test
    void itGivesBackWhatItIsAt() throws IOException, InterruptedException, SQLException {
        project(DemoOptions.ofSize(3000));
        work();
        try (Connection s = DriverManager.getConnection(
                        System.getenv("KOLONNE_TEST_DB"),
                        "app",
                        Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                                .strip());
                PreparedStatement q = s.prepareStatement("SELECT state, tries FROM task WHERE project_id = ?")) {
            q.setString(1, id);
            await("taken", () -> state(q).equals("taken 1"));
            worker.destroy();
            assertTrue(worker.waitFor(30, TimeUnit.SECONDS));
            assertEquals("waiting 0", state(q));
        }
        assertEquals("test", task().holder());
    }

    private static String state(PreparedStatement q) {
        try (ResultSet r = q.executeQuery()) {
            return r.next() ? r.getString(1) + " " + r.getInt(2) : "";
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }
}
