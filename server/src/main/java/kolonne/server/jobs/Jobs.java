package kolonne.server.jobs;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.finding.Finding;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs jobs, two at a time and two files beside them, and remembers ended ones for ten minutes. */
public final class Jobs implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final long KEPT_MS = 600_000;
    /** Of the heap, for jobs. */
    private static final double PART = 0.7;

    private final ExecutorService pool = threads("job");
    /** Files are made beside, so that a long report keeps nobody's design waiting. */
    private final ExecutorService files = threads("file");

    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "job clock");
        t.setDaemon(true);
        return t;
    });
    private final int megabytes;
    private final Semaphore heap;
    private final Map<String, Job> jobs = new ConcurrentHashMap<>();
    private final MadeFiles made = new MadeFiles(this);

    private static ExecutorService threads(String name) {
        return Executors.newFixedThreadPool(2, r -> {
            Thread t = new Thread(r, name);
            t.setDaemon(true);
            return t;
        });
    }

    /** Jobs that share the most of this process's heap. */
    public Jobs() {
        this((long) (PART * Runtime.getRuntime().maxMemory()));
    }

    /** @param bytes of the heap that jobs may fill together */
    Jobs(long bytes) {
        megabytes = (int) (bytes >> 20);
        heap = new Semaphore(megabytes, true);
    }

    /** The work could not be done for reasons the user can mend. */
    public static final class Refused extends RuntimeException {
        private final transient List<Finding> findings;

        public Refused(List<Finding> findings) {
            super("refused with " + findings.size() + " findings");
            this.findings = List.copyOf(findings);
        }

        public List<Finding> findings() {
            return findings;
        }
    }

    /** How many stand at a phase. */
    public int count(Job.Phase phase) {
        return (int)
                jobs.values().stream().filter(j -> j.status().phase() == phase).count();
    }

    /** Starts work that returns the id of what it made. */
    public Job start(String kind, Function<Job, String> work) {
        return start(kind, 0, work);
    }

    /**
     * Starts work that fills about so much memory: it begins when other work has left room for it.
     *
     * @throws Refused if there is not so much at all
     */
    public Job start(String kind, long bytes, Function<Job, String> work) {
        return start(pool, kind, bytes, work);
    }

    /** As {@link #start(String, long, Function)}, of work that makes a file. */
    Job startFile(String kind, long bytes, Function<Job, String> work) {
        return start(files, kind, bytes, work);
    }

    private Job start(ExecutorService threads, String kind, long bytes, Function<Job, String> work) {
        int needed = (int) Math.min(Integer.MAX_VALUE, bytes >> 20);
        if (needed > megabytes) {
            throw new Refused(List.of(Finding.fails(
                    "server.memory",
                    "file",
                    "Reading it takes about " + needed + " MB of memory; the server has " + megabytes + " MB for it.",
                    "Split the building, leave out station forces, or start the server with more memory.")));
        }
        long now = System.currentTimeMillis();
        jobs.values().removeIf(j -> j.endedBefore(now - KEPT_MS));
        Job job = new Job(UUID.randomUUID().toString(), kind);
        jobs.put(job.status().id(), job);
        threads.execute(() -> {
            heap.acquireUninterruptibly(needed);
            try {
                run(job, work);
            } finally {
                heap.release(needed);
            }
        });
        return job;
    }

    private static void run(Job job, Function<Job, String> work) {
        try {
            job.end(Job.Phase.DONE, List.of(), work.apply(job));
        } catch (CancellationException e) {
            job.end(Job.Phase.CANCELLED, List.of(), null);
        } catch (Refused e) {
            job.end(Job.Phase.FAILED, e.findings(), null);
        } catch (AnalysisFailed e) {
            job.end(Job.Phase.FAILED, e.findings(), null);
        } catch (OutOfMemoryError e) {
            LOG.error("job {} ran out of memory", job.status().kind());
            job.end(
                    Job.Phase.FAILED,
                    List.of(Finding.fails(
                            "server.memory",
                            "server",
                            "The building is too large for the server's memory.",
                            "Split it, or start the server with more memory.")),
                    null);
        } catch (RuntimeException e) {
            LOG.error("job {} failed", job.status().kind(), e);
            job.end(
                    Job.Phase.FAILED,
                    List.of(Finding.fails(
                            "server.error",
                            "server",
                            "Something went wrong inside Kolonne; it is in the log.",
                            "Try again; nothing stored was changed.")),
                    null);
        }
    }

    /** Does something short after a while; nothing once the jobs are closed. */
    public void later(Duration wait, Runnable what) {
        if (!clock.isShutdown()) {
            clock.schedule(what, wait.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    public Optional<Job> find(String id) {
        return Optional.ofNullable(jobs.get(id));
    }

    /** Files that jobs make. */
    public MadeFiles files() {
        return made;
    }

    @Override
    public void close() {
        clock.shutdownNow();
        pool.shutdownNow();
        files.shutdownNow();
        made.close();
    }
}
