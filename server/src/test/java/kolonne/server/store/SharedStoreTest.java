package kolonne.server.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** What several servers share, on a real MariaDB. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class SharedStoreTest {
    private static final String URL = System.getenv("KOLONNE_TEST_DB");
    private final String build = Ids.random(40);
    private Database database;
    private ProjectStore projects;
    private DesignStore designs;
    private WorkStore work;
    private String project;

    private static String password() throws IOException {
        return Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                .strip();
    }

    @BeforeEach
    void open() throws IOException {
        database = new Database(URL, "app", password());
        projects = new MariaDbProjectStore(database);
        Shared shared = Shared.of(database);
        designs = shared.designs();
        work = shared.work();
        project = another();
    }

    @AfterEach
    void close() {
        projects.list().forEach(p -> projects.delete(p.id(), ""));
        database.close();
    }

    private String another() {
        return projects.create("Shared", "m.json", new byte[] {1}, "{}", null).id();
    }

    private TaskRow take(int version, String holder) {
        return work.take("design", project, version, build, holder);
    }

    /** The holder of a piece of work is not heard of for longer than it may be. */
    private void diesOf(String id) throws IOException, SQLException {
        try (Connection c = DriverManager.getConnection(URL, "app", password());
                Statement s = c.createStatement()) {
            assertEquals(
                    1,
                    s.executeUpdate("UPDATE task SET held_until = NOW(3) - INTERVAL 1 SECOND WHERE id = '" + id + "'"));
        }
    }

    @Test
    void designsOfAnySizeAreKeptAndTheOldestGo() {
        byte[] large = new byte[(9 << 20) + 7];
        new Random(3).nextBytes(large);
        designs.keep(project, 1, build, large);
        designs.keep(project, 1, build, new byte[] {9});
        assertArrayEquals(large, designs.read(project, 1, build).orElseThrow(), "the first one of a version stays");
        assertEquals(Optional.empty(), designs.read(project, 1, "another build"));
        for (int v = 2; v <= 5; v++) {
            designs.keep(project, v, build, new byte[] {(byte) v});
        }
        assertEquals(List.of(5, 4, 3), designs.versions(project, build));
        designs.forget(project, 4, build);
        assertEquals(List.of(5, 3), designs.versions(project, build));
        projects.delete(project, "");
        projects.remove(project);
        assertEquals(List.of(), designs.versions(project, build), "they go with their project");
        designs.keep(project, 6, build, new byte[] {6});
        assertEquals(List.of(), designs.versions(project, build), "and do not come without one");
    }

    @Test
    void workIsTakenByOneAloneHoweverManyAsk() throws Exception {
        work.ask("design", project, 1, build, "Ana");
        ExecutorService pool = Executors.newFixedThreadPool(6);
        try {
            List<Callable<TaskRow>> all = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                String holder = "holder" + i;
                all.add(() -> take(1, holder));
            }
            List<String> holders = new ArrayList<>();
            for (Future<TaskRow> f : pool.invokeAll(all)) {
                holders.add(f.get().holder());
            }
            assertEquals(1, holders.stream().distinct().count(), holders.toString());
            TaskRow t = take(1, "late");
            assertTrue(t.is(TaskRow.TAKEN) && t.holder().equals(holders.get(0)) && t.tries() == 1);
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void whatItsHolderDiedOfIsTakenUpAndGivenUpInTheEnd() throws IOException, SQLException {
        for (int i = 1; i <= 3; i++) {
            TaskRow t = take(1, "holder" + i);
            assertEquals("holder" + i, t.holder());
            assertEquals(i, t.tries());
            assertTrue(work.renew(t.id(), t.holder(), "designing", 2, 9));
            assertEquals("designing 2 9", told(take(1, "another")));
            diesOf(t.id());
        }
        TaskRow end = take(1, "holder4");
        assertTrue(end.is(TaskRow.FAILED), end.toString());
        assertNull(end.findings());
        assertFalse(work.renew(end.id(), "holder3", "", 0, 0), "who comes back has lost it");
        work.ask("design", project, 1, build, "Ana");
        assertEquals("holder5", take(1, "holder5").holder(), "asked for anew, it has new tries");
    }

    /** Who ends in good order gives back what it holds; nobody waits for it, and it does not count as a try. */
    @Test
    void whatIsHandedBackIsFreeAtOnce() {
        assertEquals("one", take(1, "one").holder());
        work.release("another");
        assertEquals("one", take(1, "two").holder());
        work.release("one");
        assertTrue(work.next(build, "helper", 0).isPresent());
        TaskRow t = take(1, "three");
        assertEquals("helper", t.holder());
        assertEquals(1, t.tries());
        work.end(t.id(), "one", TaskRow.DONE, null);
        assertTrue(take(1, "three").is(TaskRow.TAKEN), "who gave it back cannot end it");
    }

    private static String told(TaskRow t) {
        return t.doing() + " " + t.done() + " " + t.total();
    }

    @Test
    void onlyTheNewestVersionIsWanted() {
        TaskRow old = take(1, "one");
        work.ask("design", project, 2, build, "Ana");
        assertFalse(work.renew(old.id(), "one", "", 0, 0));
        assertTrue(take(1, "two").is(TaskRow.OLD));
        TaskRow t = take(2, "two");
        work.end(t.id(), "one", TaskRow.DONE, null);
        assertTrue(take(2, "one").is(TaskRow.TAKEN), "who does not hold it cannot end it");
        work.end(t.id(), "two", TaskRow.FAILED, "[]");
        assertEquals("[]", take(2, "one").findings());
        work.ask("design", project, 2, build, "Ana");
        work.end(take(2, "one").id(), "one", TaskRow.DONE, null);
        assertTrue(take(2, "two").is(TaskRow.DONE));
        work.again(t.id());
        assertTrue(take(2, "two").is(TaskRow.TAKEN));
    }

    @Test
    void whoWaitsForLessComesFirst() {
        String busy = another();
        String also = another();
        work.ask("design", busy, 1, build, "Ana");
        assertEquals(busy, work.next(build, "one", 0).orElseThrow().projectId());
        work.ask("design", also, 1, build, "Ana");
        work.ask("design", project, 1, build, "Zoë");
        assertEquals(Optional.empty(), work.next(build, "one", 60_000), "the servers have a while to take it");
        assertEquals(Optional.empty(), work.next("another build", "one", 0));
        assertEquals(project, work.next(build, "one", 0).orElseThrow().projectId(), "Ana has one under way");
        assertEquals(also, work.next(build, "one", 0).orElseThrow().projectId());
        assertEquals(Optional.empty(), work.next(build, "one", 0));
    }

    @Test
    void windowsOfOtherServersAreKnownWhileTheyLive() throws IOException, SQLException {
        PresenceStore presence = Shared.of(database).presence();
        String a = Ids.random();
        String b = Ids.random();
        List<PresenceStore.Here> here =
                List.of(new PresenceStore.Here(project, "Ana", "w1"), new PresenceStore.Here(project, "", "w2"));
        presence.put(a, here);
        presence.put(b, List.of(new PresenceStore.Here(project, "Zoë", "w3")));
        assertEquals(
                here,
                of(presence.elsewhere(b)).stream()
                        .sorted((x, y) -> y.person().compareTo(x.person()))
                        .toList());
        presence.put(a, List.of());
        assertEquals(List.of(), of(presence.elsewhere(b)));
        presence.put(a, here);
        try (Connection c = DriverManager.getConnection(URL, "app", password());
                Statement s = c.createStatement()) {
            s.executeUpdate("UPDATE presence SET seen_at = seen_at - INTERVAL 11 SECOND WHERE server = '" + a + "'");
        }
        assertEquals(List.of(), of(presence.elsewhere(b)), "a server that died takes its windows with it");
        presence.put(b, List.of());
    }

    private List<PresenceStore.Here> of(List<PresenceStore.Here> all) {
        return all.stream().filter(h -> h.projectId().equals(project)).toList();
    }
}
