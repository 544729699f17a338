package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.verify;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.Decisions;
import kolonne.core.finding.Severity;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelReader;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Job;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.Database;
import kolonne.server.store.MemoryStore;
import org.apache.ibatis.exceptions.PersistenceException;
import org.junit.jupiter.api.Test;

/** Designs that lose their database, and designs that nobody wants any more. */
class ProjectsTest {
    private static final byte[] MODEL = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
    private static final PersistenceException AWAY = new PersistenceException(new SQLException("connection refused"));

    /** The database goes away as a design begins and comes back: the design is made good without anybody asking. */
    @Test
    void aDesignIsMadeGoodAfterAnOutage() throws InterruptedException {
        MemoryStore store = spy(new MemoryStore());
        String id = store.create("Zaal", "zaal.json", MODEL, BasisFile.write(Basis.standard(false)), null)
                .id();
        doThrow(AWAY).doThrow(AWAY).doCallRealMethod().when(store).model(id);
        try (Jobs jobs = new Jobs()) {
            Workspace w = new Projects(store, jobs).open(id);
            AtomicInteger waited = new AtomicInteger();
            w.follow(s -> waited.addAndGet(s.doing().equals("waiting for the database") ? 1 : 0));
            awaitCurrent(w);
            assertTrue(waited.get() >= 1, "it is told meanwhile");
            assertEquals(1, w.published().version());
        }
    }

    /** The same while the basis cannot be read. */
    @Test
    void aBasisThatCannotBeReadMeanwhileIsReadLater() throws InterruptedException {
        MemoryStore store = spy(new MemoryStore());
        String id = store.create("Zaal", "zaal.json", MODEL, BasisFile.write(Basis.standard(false)), null)
                .id();
        doThrow(AWAY).doCallRealMethod().when(store).commands(anyString(), anyInt());
        try (Jobs jobs = new Jobs()) {
            Workspace w = new Projects(store, jobs).open(id);
            awaitCurrent(w);
        }
    }

    /** Work that is no longer wanted stops at the next member, and publishes nothing. */
    @Test
    void aSupersededDesignStopsAtTheNextMember() {
        Workspace w = new Workspace("p", 1);
        ModelReader.Read read = ModelReader.read(MODEL);
        w.read(read, read.building(), 1, false);
        AtomicInteger asked = new AtomicInteger();
        Workspace.Step step = new Workspace.Step() {
            @Override
            public void at(String doing, int done, int total) {}

            @Override
            public void wanted() {
                if (asked.incrementAndGet() >= 4) {
                    throw new CancellationException();
                }
            }
        };
        assertThrows(CancellationException.class, () -> w.design(Basis.standard(false), Decisions.NONE, step));
        assertNull(w.published());
        int lines = kolonne.core.design.BuildingDesigner.design(
                        w.solved((a, b, c) -> {}),
                        Basis.standard(false),
                        kolonne.core.design.BuildingDesigner.Progress.NONE)
                .beams()
                .size();
        assertTrue(asked.get() < lines, "asked " + asked.get() + " times, not once for each of " + lines);
    }

    /** Thirty changes of the basis in a row: the last one is designed, and those between are given up. */
    @Test
    void manyChangesInARowEndInTheLast() throws InterruptedException {
        MemoryStore store = new MemoryStore();
        String id = store.create("Zaal", "zaal.json", MODEL, BasisFile.write(Basis.standard(false)), null)
                .id();
        try (Jobs jobs = new Jobs()) {
            Projects projects = new Projects(store, jobs);
            Workspace w = projects.open(id);
            CountDownLatch current = new CountDownLatch(1);
            w.follow(s -> {
                if (s.current()
                        && s.version() == 31
                        && w.published() != null
                        && w.published().version() == 31) {
                    current.countDown();
                }
            });
            for (int v = 1; v <= 30; v++) {
                Preference p = Preference.values()[v % Preference.values().length];
                String word = p.name().toLowerCase(Locale.ROOT).replace('_', '-');
                byte[] patch = ("{\"preference\":\"" + word + "\"}").getBytes(StandardCharsets.UTF_8);
                assertEquals(
                        v + 1,
                        projects.changes().basis(id, v, patch, Author.UNKNOWN).version());
            }
            assertTrue(current.await(60, TimeUnit.SECONDS), w.state().toString());
            assertEquals(
                    Basis.standard(false).with(Preference.values()[30 % Preference.values().length]),
                    w.published().design().basis());
        }
    }

    /** Whoever opens an imported project finds it read and solved: the stored file is not read again. */
    @Test
    void anImportHandsOverItsSolvedModel() throws InterruptedException {
        MemoryStore store = spy(new MemoryStore());
        try (Jobs jobs = new Jobs()) {
            Projects projects = new Projects(store, jobs);
            Job job = projects.importFile("Zaal", "zaal.json", MODEL, Author.UNKNOWN);
            CountDownLatch ended = new CountDownLatch(1);
            job.follow(st -> {
                if (st.ended()) {
                    ended.countDown();
                }
            });
            assertTrue(ended.await(60, TimeUnit.SECONDS));
            Workspace w = projects.open(job.status().result());
            awaitCurrent(w);
            verify(store, never()).model(anyString());
            assertSame(w.kept(1), w.published().design().analysis());
            assertEquals(ModelReader.read(MODEL).findings(), projects.modelFindings(w));
        }
    }

    private static void awaitCurrent(Workspace w) throws InterruptedException {
        CountDownLatch current = new CountDownLatch(1);
        w.follow(s -> {
            if (s.current() && w.published() != null) {
                current.countDown();
            }
        });
        assertTrue(current.await(60, TimeUnit.SECONDS), w.state().toString());
    }

    /** A project that somebody has open stays in memory while others come and go; one that must go tells those who follow it. */
    @Test
    void whatIsFollowedStays() throws InterruptedException {
        MemoryStore store = new MemoryStore();
        for (int i = 0; i < 20; i++) {
            store.create("P" + i, "zaal.json", MODEL, BasisFile.write(Basis.standard(false)), null);
        }
        try (Jobs jobs = new Jobs()) {
            Projects projects = new Projects(store, jobs);
            Workspace followed = projects.open("m0");
            AtomicInteger told = new AtomicInteger();
            followed.onPutOut(told::incrementAndGet);
            awaitCurrent(followed);
            for (int i = 1; i < 18; i++) {
                awaitCurrent(projects.open("m" + i));
            }
            assertSame(followed, projects.open("m0"), "eighteen are followed, and all stay");
            awaitCurrent(projects.open("m18"));
            awaitCurrent(projects.open("m19"));
            projects.open("m19");
            assertEquals(0, told.get(), "it was used last");
        }
    }

    @Test
    void longNamesAreCutBetweenCharacters() {
        String s = "a".repeat(179) + "\uD83C\uDFD7" + "b";
        assertEquals("a".repeat(179), Projects.cut(s, 180));
        assertEquals("a".repeat(179) + "\uD83C\uDFD7", Projects.cut(s, 181));
        assertEquals("kort", Projects.cut("kort", 180));
    }

    @Test
    void aFullDiskIsNotAnOutage() {
        assertTrue(Database.isFull(new PersistenceException(new SQLException("x", "HY000", 1021))));
        assertTrue(Database.isFull(new SQLException("Got error 28 \"No space left on device\" from storage engine")));
        assertTrue(
                !Database.isFull(AWAY) && Database.isOutage(AWAY) && !Database.isOutage(new IllegalStateException()));
    }

    /** A model stored before panels over one another were told: edits that have nothing to do with it are taken, and those that break more are not. */
    @Test
    void aModelThatFailsANewerCheckCanStillBeEdited() throws IOException {
        ObjectNode model = (ObjectNode) new ObjectMapper().readTree(MODEL);
        ObjectNode twice = model.withArray("panels").get(0).deepCopy();
        model.withArray("panels").add(twice.put("id", "again"));
        MemoryStore store = new MemoryStore();
        String id = store.create(
                        "Zaal",
                        "zaal.json",
                        model.toString().getBytes(StandardCharsets.UTF_8),
                        BasisFile.write(Basis.standard(false)),
                        null)
                .id();
        try (Jobs jobs = new Jobs()) {
            Projects projects = new Projects(store, jobs);
            assertTrue(
                    projects.modelFindings(projects.model(id)).stream().anyMatch(f -> f.severity() == Severity.FAILS),
                    "it is told");
            String load = "{\"edits\":[{\"kind\":\"area-load\",\"panel\":\""
                    + model.withArray("panels").get(1).get("id").asText() + "\",\"case\":\""
                    + model.withArray("loadCases").get(1).get("id").asText() + "\",\"pressure\":";
            assertEquals(
                    2,
                    projects.changes()
                            .edit(id, 1, (load + "4}]}").getBytes(StandardCharsets.UTF_8), Author.UNKNOWN)
                            .orElseThrow()
                            .version());
            assertThrows(
                    Jobs.Refused.class,
                    () -> projects.changes()
                            .edit(id, 2, (load + "1e12}]}").getBytes(StandardCharsets.UTF_8), Author.UNKNOWN));
        }
    }

    /** Who reads before the first design gets it, without asking twice; who reads what cannot be designed is told so at once. */
    @Test
    void readersWaitForTheFirstDesign() {
        MemoryStore store = new MemoryStore();
        String id = store.create("Zaal", "zaal.json", MODEL, BasisFile.write(Basis.standard(false)), null)
                .id();
        String broken = store.create(
                        "Leeg",
                        "leeg.json",
                        "{}".getBytes(StandardCharsets.UTF_8),
                        BasisFile.write(Basis.standard(false)),
                        null)
                .id();
        try (Jobs jobs = new Jobs()) {
            Projects projects = new Projects(store, jobs);
            assertEquals(1, projects.designed(id).published().version());
            Workspace none = projects.designed(broken);
            assertNull(none.published());
            assertTrue(
                    none.state().doing().isEmpty() && !none.state().findings().isEmpty(),
                    none.state().toString());
        }
    }
}
