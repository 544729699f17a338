package kolonne.server.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
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
        ProjectRow p = store.create("Zaal één 図書館 🏛", "mödel.json", model, "{\"a\":1}", "{\"lines\":[]}");
        assertEquals(p, store.find(p.id()).orElseThrow());
        assertArrayEquals(model, store.model(p.id()).content());
        CommandRow first = store.commands(p.id(), 0).get(0);
        assertEquals("{\"a\":1}", first.body());
        assertEquals("{\"lines\":[]}", first.effects());
        store.putMarks(p.id(), "other");
        assertEquals(List.of(first), store.commands(p.id(), 0), "marks that are there stay");
        assertTrue(store.list().contains(p));
        gone(p.id());
        assertTrue(store.find(p.id()).isEmpty());
        assertTrue(!store.delete(p.id(), ""));
    }

    private void gone(String id) {
        assertTrue(store.delete(id, "") && store.remove(id));
    }

    @Test
    void aDeletedProjectRestsUnseenAndComesBackWhole() {
        ProjectRow p = store.create("rests", "m.json", new byte[] {1, 2}, "{}", null);
        store.append(new CommandRow(p.id(), 2, "edit", "{}", null, "Zoë", null)).orElseThrow();
        StoredProject whole = store.copy(p.id()).orElseThrow();
        assertTrue(store.delete(p.id(), "Zoë 図"));
        assertTrue(store.find(p.id()).isEmpty() && store.copy(p.id()).isEmpty());
        assertTrue(store.list().stream().noneMatch(r -> r.id().equals(p.id())));
        assertTrue(store.append(new CommandRow(p.id(), 3, "edit", "{}", null, "", null))
                .isEmpty());
        assertTrue(store.rename(p.id(), 2, "late").isEmpty());
        assertFalse(store.put(whole), "its id is taken while it rests");
        DeletedRow row = store.deleted().stream()
                .filter(d -> d.id().equals(p.id()))
                .findFirst()
                .orElseThrow();
        assertEquals("rests", row.name());
        assertEquals("Zoë 図", row.deletedBy());

        assertEquals(whole.row(), store.bringBack(p.id()).orElseThrow());
        assertTrue(store.bringBack(p.id()).isEmpty(), "it rests no longer");
        assertFalse(store.remove(p.id()), "only what rests can be removed for good");
        StoredProject again = store.copy(p.id()).orElseThrow();
        assertEquals(whole.commands(), again.commands());
        assertArrayEquals(whole.model().content(), again.model().content());

        store.delete(p.id(), "");
        java.time.LocalDateTime when = store.deleted().get(0).deletedAt();
        store.removeDeletedBefore(when);
        assertEquals(
                1, store.deleted().stream().filter(d -> d.id().equals(p.id())).count(), "its time is not over");
        store.removeDeletedBefore(when.plusNanos(1_000_000));
        assertTrue(store.bringBack(p.id()).isEmpty());
        assertTrue(store.put(whole), "nothing of it is left");
        gone(p.id());
    }

    @Test
    void aWholeProjectIsCopiedAndPutUnderAnotherId() {
        byte[] model = new byte[1_000_000];
        new Random(5).nextBytes(model);
        ProjectRow p = store.create("whole 図", "m.json", model, "{\"a\":1}", "{\"lines\":[]}");
        CommandRow revision = new CommandRow(p.id(), 2, "revise-model", "{}", null, "Zoë", null);
        store.revise(revision, "newer.ifc", new byte[] {4, 5}).orElseThrow();
        store.putData(new ProjectDataRow(p.id(), 1, "{}", new byte[] {7}));
        StoredProject copy = store.copy(p.id()).orElseThrow();
        assertFalse(store.put(copy), "it is there already");
        String id = store.newId();
        assertTrue(store.put(copy.as(id)));
        StoredProject again = store.copy(id).orElseThrow();
        assertEquals(copy.as(id).row(), again.row());
        assertEquals(copy.as(id).commands(), again.commands());
        assertArrayEquals(model, again.model().content());
        assertArrayEquals(new byte[] {4, 5}, again.revisions().get(2).content());
        assertEquals("newer.ifc", again.revisions().get(2).fileName());
        assertArrayEquals(new byte[] {7}, again.data().logo());
        gone(p.id());
        assertTrue(store.copy(p.id()).isEmpty());
        assertArrayEquals(model, store.copy(id).orElseThrow().model().content(), "the copy stands by itself");
        gone(id);
    }

    @Test
    void projectDataComeBackAndOneOfTwoAtOnceIsRefused() {
        ProjectRow p = store.create("titled", "m.json", new byte[] {1}, "{}", null);
        assertTrue(store.data(p.id()).isEmpty());
        byte[] logo = {1, 0, -1};
        assertTrue(store.putData(new ProjectDataRow(p.id(), 1, "één 図 🏛", null)));
        assertTrue(!store.putData(new ProjectDataRow(p.id(), 1, "late", null)));
        assertTrue(store.putData(new ProjectDataRow(p.id(), 2, "two", logo)));
        assertTrue(!store.putData(new ProjectDataRow(p.id(), 2, "late", null)));
        assertEquals("two", store.data(p.id()).orElseThrow().body());
        assertArrayEquals(logo, store.data(p.id()).orElseThrow().logo());
        gone(p.id());
        assertTrue(store.data(p.id()).isEmpty(), "gone with its project");
    }

    @Test
    void ofTwoPeopleWhoChangeTheSameVersionOneIsRefused() throws Exception {
        ProjectRow p = store.create("two", "m.json", new byte[] {1}, "{}", null);
        ExecutorService pool = Executors.newFixedThreadPool(4);
        List<Callable<Boolean>> work = java.util.stream.IntStream.range(0, 12)
                .<Callable<Boolean>>mapToObj(i -> () -> store.append(command(p, 2, "change-basis", "{\"i\":" + i + "}"))
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
        gone(p.id());
    }

    @Test
    void commandsComeInOrderAndAreAsLongAsTheyNeedToBe() {
        ProjectRow p = store.create("edits", "m.json", new byte[] {1}, "{}", null);
        String large = "\"" + "é".repeat(4_000_000) + "\"";
        store.append(command(p, 2, "edit-model", large));
        store.append(command(p, 3, "undo-edit", "{}"));
        store.append(command(p, 4, "change-basis", "{\"b\":2}"));
        List<CommandRow> all = store.commands(p.id(), 0);
        assertEquals(
                List.of("set-basis", "edit-model", "undo-edit", "change-basis"),
                all.stream().map(CommandRow::kind).toList());
        assertEquals(List.of(1, 2, 3, 4), all.stream().map(CommandRow::version).toList());
        assertEquals(large, all.get(1).body());
        assertEquals("Ines Ångström", all.get(1).person());
        assertEquals("{\"told\":[]}", all.get(1).effects());
        assertEquals(
                List.of(4),
                store.commands(p.id(), 3).stream().map(CommandRow::version).toList(),
                "only what came after");
        store.putMarks(p.id(), "{}");
        assertEquals("{}", store.commands(p.id(), 0).get(0).effects(), "an older server stored none");
        gone(p.id());
        assertEquals(List.of(), store.commands(p.id(), 0));
    }

    private static CommandRow command(ProjectRow p, int version, String kind, String body) {
        return new CommandRow(p.id(), version, kind, body, null, "Ines Ångström", "{\"told\":[]}");
    }

    @Test
    void whatIsKeptIsReplacedUnderItsVeryNameWithinItsKind() {
        store.putKept(KeptKind.BASIS, "Müller", "{}");
        store.putKept(KeptKind.BASIS, "Muller", "[1]");
        store.putKept(KeptKind.SECTION, "Müller", "[3]");
        store.putKept(KeptKind.BASIS, "Müller", "[2]");
        assertEquals(
                List.of("Muller [1]", "Müller [2]"),
                store.kept(KeptKind.BASIS).stream()
                        .map(k -> k.name() + " " + k.body())
                        .toList());
        assertTrue(store.deleteKept(KeptKind.BASIS, "Müller"));
        assertFalse(store.deleteKept(KeptKind.BASIS, "Müller"));
        assertTrue(store.deleteKept(KeptKind.BASIS, "Muller"));
        assertTrue(store.deleteKept(KeptKind.SECTION, "Müller"));
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
