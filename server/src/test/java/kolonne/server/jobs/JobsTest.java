package kolonne.server.jobs;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.finding.Finding;
import kolonne.server.store.JobStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class JobsTest {
    private final Jobs jobs = new Jobs();

    @AfterEach
    void close() {
        jobs.close();
    }

    @Test
    void aJobTellsHowFarItIsAndWhatItMade() throws InterruptedException {
        List<String> seen = new ArrayList<>();
        CountDownLatch go = new CountDownLatch(1);
        Job job = jobs.start("import", j -> {
            await(go);
            j.at("reading", 1, 2);
            j.at("solving", 2, 2);
            return "p1";
        });
        job.follow(s -> seen.add(s.doing()));
        go.countDown();
        assertEquals("p1", Waiting.ended(job).result());
        assertEquals(Job.Phase.DONE, job.status().phase());
        assertTrue(seen.containsAll(List.of("reading", "solving")), seen.toString());
        assertEquals(job, jobs.find(job.status().id()).orElseThrow());
    }

    @Test
    void aCancelledJobStopsAtItsNextStep() throws InterruptedException {
        CountDownLatch started = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        Job job = jobs.start("design", j -> {
            j.at("first", 0, 2);
            started.countDown();
            await(go);
            j.at("second", 1, 2);
            return "never";
        });
        started.await();
        job.cancel();
        go.countDown();
        assertEquals(Job.Phase.CANCELLED, Waiting.ended(job).phase());
        assertEquals(null, job.status().result());
    }

    @Test
    void refusedUnsolvableAndBrokenWorkEndInFindings() throws InterruptedException {
        Finding f = Finding.fails("x", "here", "what", "mend");
        assertEquals(
                List.of(f),
                Waiting.ended(jobs.start("a", j -> {
                            throw new Jobs.Refused(List.of(f));
                        }))
                        .findings());
        assertEquals(
                List.of(f),
                Waiting.ended(jobs.start("b", j -> {
                            throw new AnalysisFailed(List.of(f));
                        }))
                        .findings());
        Job.Status broken = Waiting.ended(jobs.start("c", j -> {
            throw new IllegalStateException("Impossible: for the test");
        }));
        assertEquals("server.error", broken.findings().get(0).code());
        assertTrue(!broken.findings().get(0).what().contains("Impossible"), "no stack traces for the user");
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await(5, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** A database that is away is told again and again, and the job ends as it would by itself; work that nobody asks for by its id is not told. */
    @Test
    void aDatabaseThatIsAwayStopsNoJob() throws InterruptedException {
        JobStore away = mock(JobStore.class);
        CountDownLatch again = new CountDownLatch(5);
        when(away.tell(any(), anyBoolean())).thenAnswer(i -> {
            again.countDown();
            throw new IllegalStateException("away");
        });
        try (Jobs told = new Jobs(away)) {
            Job job = told.start("import", j -> "made");
            assertEquals("made", Waiting.ended(job).result());
            assertEquals(job, told.find(job.status().id()).orElseThrow());
            assertTrue(again.await(10, TimeUnit.SECONDS), "told again");
        }
        JobStore there = mock(JobStore.class);
        CountDownLatch done = new CountDownLatch(1);
        try (Jobs unasked = new Jobs(there)) {
            unasked.startUnasked("design", "p", j -> {
                done.countDown();
                return "p";
            });
            assertTrue(done.await(10, TimeUnit.SECONDS));
        }
        verify(there, never()).tell(any(), anyBoolean());
    }

    /** 100 MB for all: two of 60 MB go one after the other; one of 101 MB is refused with both figures. */
    @Test
    void workIsAdmittedByTheMemoryItTakes() throws InterruptedException {
        try (Jobs small = new Jobs(100L << 20, JobStore.ALONE)) {
            CountDownLatch first = new CountDownLatch(1);
            CountDownLatch go = new CountDownLatch(1);
            List<String> order = java.util.Collections.synchronizedList(new ArrayList<>());
            Job one = small.start("import", null, 60L << 20, j -> {
                first.countDown();
                await(go);
                order.add("one");
                return "";
            });
            assertTrue(first.await(10, TimeUnit.SECONDS));
            Job two = small.start("import", null, 60L << 20, j -> {
                order.add("two");
                return "";
            });
            assertEquals(Job.Phase.WAITING, two.status().phase());
            Jobs.Refused r = org.junit.jupiter.api.Assertions.assertThrows(
                    Jobs.Refused.class, () -> small.start("import", null, 101L << 20, j -> ""));
            assertTrue(
                    r.findings().get(0).what().contains("101 MB")
                            && r.findings().get(0).what().contains("100 MB"),
                    r.findings().toString());
            go.countDown();
            Waiting.ended(one);
            Waiting.ended(two);
            assertEquals(List.of("one", "two"), order);
        }
    }
}
