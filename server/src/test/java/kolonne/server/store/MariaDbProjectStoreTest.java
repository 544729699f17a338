package kolonne.server.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** The store on a real MariaDB; ./test starts one on loopback. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class MariaDbProjectStoreTest {
    private static Database database;
    private static ProjectStore store;

    @BeforeAll
    static void connect() throws IOException {
        database = new Database(
                System.getenv("KOLONNE_TEST_DB"),
                "app",
                Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                        .strip());
        store = new MariaDbProjectStore(database);
    }

    @AfterAll
    static void close() {
        database.close();
    }

    @Test
    void aProjectComesBackAsItWasStored() {
        byte[] model = new byte[3_000_000];
        new Random(4).nextBytes(model);
        ProjectRow p = store.create("Zaal één 図書館 🏛", "mödel.json", model, "{\"a\":1}");
        assertEquals(p, store.find(p.id()).orElseThrow());
        assertArrayEquals(model, store.model(p.id()).content());
        assertEquals("{\"a\":1}", store.last(p.id(), "set-basis").orElseThrow());
        assertTrue(store.list().contains(p));
        assertTrue(store.delete(p.id()));
        assertTrue(store.find(p.id()).isEmpty());
        assertTrue(!store.delete(p.id()));
    }

    @Test
    void ofTwoPeopleWhoChangeTheSameVersionOneIsRefused() throws Exception {
        ProjectRow p = store.create("two", "m.json", new byte[] {1}, "{}");
        ExecutorService pool = Executors.newFixedThreadPool(4);
        List<Callable<Boolean>> work = java.util.stream.IntStream.range(0, 12)
                .<Callable<Boolean>>mapToObj(i -> () -> store.append(p.id(), 1, "set-basis", "{\"i\":" + i + "}")
                        .isPresent())
                .toList();
        int won = 0;
        for (Future<Boolean> f : pool.invokeAll(work)) {
            won += f.get() ? 1 : 0;
        }
        pool.shutdown();
        assertEquals(1, won);
        assertEquals(2, store.find(p.id()).orElseThrow().version());
        assertEquals("new", store.rename(p.id(), 2, "new").orElseThrow().name());
        assertTrue(store.rename(p.id(), 2, "late").isEmpty());
        store.delete(p.id());
    }

    @Test
    void commandsComeInOrderAndAreAsLongAsTheyNeedToBe() {
        ProjectRow p = store.create("edits", "m.json", new byte[] {1}, "{}");
        String large = "\"" + "é".repeat(4_000_000) + "\"";
        store.append(p.id(), 1, "edit-model", large);
        store.append(p.id(), 2, "undo-edit", "{}");
        store.append(p.id(), 3, "set-basis", "{\"b\":2}");
        List<CommandRow> all = store.commands(p.id(), List.of("edit-model", "undo-edit", "redo-edit"), 0);
        assertEquals(
                List.of("edit-model", "undo-edit"),
                all.stream().map(CommandRow::kind).toList());
        assertEquals(List.of(2, 3), all.stream().map(CommandRow::version).toList());
        assertEquals(large, all.get(0).body());
        assertEquals(
                List.of(3),
                store.commands(p.id(), List.of("edit-model", "undo-edit"), 2).stream()
                        .map(CommandRow::version)
                        .toList(),
                "only what came after");
        store.delete(p.id());
        assertEquals(List.of(), store.commands(p.id(), List.of("edit-model"), 0));
    }

    @Test
    void aMappingIsReplacedUnderItsName() {
        store.putMapping("turm ü", "[1]");
        store.putMapping("turm ü", "[2]");
        assertEquals(
                List.of("[2]"),
                store.mappings().stream()
                        .filter(m -> m.name().equals("turm ü"))
                        .map(MappingRow::body)
                        .toList());
    }
}
