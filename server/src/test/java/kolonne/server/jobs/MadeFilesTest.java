package kolonne.server.jobs;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import kolonne.server.store.Brought;
import kolonne.server.store.By;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Files made beside the jobs: kept, cancelled in the middle of writing, not written, and gone with the server. */
class MadeFilesTest {
    private final Jobs jobs = new Jobs();

    @AfterEach
    void close() {
        jobs.close();
    }

    @Test
    void aFileIsKeptUntilTheServerCloses() throws InterruptedException, IOException {
        byte[] text = "bars".getBytes(StandardCharsets.UTF_8);
        Job job = jobs.files()
                .make("text/plain", Brought.of("abc", "", "bars.txt", By.NOBODY, 0), new byte[0], (out, progress) -> {
                    progress.at("writing bars", 1, 2);
                    out.write(text);
                });
        String id = Waiting.ended(job).result();
        MadeFiles.Made made = jobs.files().find(id).orElseThrow();
        assertEquals("bars", Files.readString(made.path()));
        assertEquals("bars.txt", made.name());
        Path folder = made.path().getParent();
        jobs.close();
        assertFalse(Files.exists(folder), "nothing is left behind");
    }

    @Test
    void writingStopsWhereItIsCancelledAndLeavesNothing() throws InterruptedException, IOException {
        CountDownLatch begun = new CountDownLatch(1);
        Job job = jobs.files()
                .make(
                        "text/plain",
                        Brought.of("abc", "", "endless.txt", By.NOBODY, 0),
                        new byte[0],
                        (out, progress) -> {
                            begun.countDown();
                            while (true) {
                                out.write(new byte[1 << 16]); // never asks by itself whether it is still wanted
                            }
                        });
        assertTrue(begun.await(10, TimeUnit.SECONDS));
        job.cancel();
        assertEquals(Job.Phase.CANCELLED, Waiting.ended(job).phase());
        assertTrue(jobs.files().find(job.status().id()).isEmpty());
    }

    @Test
    void aDiskThatTakesNothingIsToldInWordsOfItsOwn() throws InterruptedException, IOException {
        Job job = jobs.files()
                .make("text/plain", Brought.of("abc", "", "full.txt", By.NOBODY, 0), new byte[0], (out, progress) -> {
                    throw new IOException("No space left on device");
                });
        Job.Status s = Waiting.ended(job);
        assertEquals(Job.Phase.FAILED, s.phase());
        assertEquals("export.disk", s.findings().get(0).code());
        assertFalse(s.findings().get(0).what().contains("device"));
    }

    @Test
    void onlySoManyAreKeptAndMadeAtATime() throws InterruptedException, IOException {
        MadeFiles.Writing one = (out, progress) -> out.write(1);
        String first = Waiting.ended(
                        jobs.files().make("text/plain", Brought.of("abc", "", "0.txt", By.NOBODY, 0), new byte[0], one))
                .result();
        for (int i = 1; i <= MadeFiles.MOST_KEPT; i++) {
            Waiting.ended(
                    jobs.files().make("text/plain", Brought.of("abc", "", i + ".txt", By.NOBODY, 0), new byte[0], one));
        }
        assertTrue(jobs.files().find(first).isEmpty(), "the oldest is gone");
        CountDownLatch go = new CountDownLatch(1);
        MadeFiles.Writing slow = (out, progress) -> {
            while (go.getCount() > 0) {
                progress.at("waiting", 0, 0);
            }
        };
        Job last = null;
        for (int i = 0; i < MadeFiles.MOST_MAKING; i++) {
            last = jobs.files().make("text/plain", Brought.of("abc", "", "slow.txt", By.NOBODY, 0), new byte[0], slow);
        }
        Jobs.Refused e = assertThrows(
                Jobs.Refused.class,
                () -> jobs.files()
                        .make("text/plain", Brought.of("abc", "", "more.txt", By.NOBODY, 0), new byte[0], one));
        assertEquals("export.many", e.findings().get(0).code());
        go.countDown();
        assertEquals(Job.Phase.DONE, Waiting.ended(last).phase());
        Job again = jobs.files().make("text/plain", Brought.of("abc", "", "again.txt", By.NOBODY, 0), new byte[0], one);
        assertEquals(Job.Phase.DONE, Waiting.ended(again).phase());
    }

    @Test
    void filesDoNotKeepDesignsWaiting() throws InterruptedException, IOException {
        CountDownLatch go = new CountDownLatch(1);
        for (int i = 0; i < 5; i++) {
            jobs.files()
                    .make(
                            "text/plain",
                            Brought.of("abc", "", "slow.txt", By.NOBODY, 0),
                            new byte[0],
                            (out, progress) -> {
                                try {
                                    go.await(10, TimeUnit.SECONDS);
                                } catch (InterruptedException e) {
                                    Thread.currentThread().interrupt();
                                }
                            });
        }
        assertEquals("p1", Waiting.ended(jobs.start("design", j -> "p1")).result());
        go.countDown();
    }
}
