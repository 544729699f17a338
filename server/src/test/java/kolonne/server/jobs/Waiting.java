package kolonne.server.jobs;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;

/** Waits for jobs in tests. */
final class Waiting {
    private Waiting() {}

    /** Until the job has ended. */
    static Job.Status ended(Job job) throws InterruptedException {
        CountDownLatch done = new CountDownLatch(1);
        job.follow(s -> {
            if (s.ended()) {
                done.countDown();
            }
        });
        assertTrue(done.await(10, TimeUnit.SECONDS), "the job ends");
        return job.status();
    }
}
