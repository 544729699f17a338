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
import java.util.stream.Stream;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.finding.Finding;
import kolonne.server.store.Brought;
import kolonne.server.store.JobStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs jobs, two at a time and two files beside them, and remembers ended ones for ten minutes. */
public final class Jobs implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final long KEPT_MS = 600_000;
    /** Between two looks at what other servers do, and two signs of life to them. */
    private static final long LOOK_MS = 300;
    /** Of the heap, for jobs. */
    private static final double PART = 0.7;

    private static final int AT_A_TIME = 2;

    private final ExecutorService pool = threads("job");
    /** Files are made beside, so that a long report keeps nobody's design waiting. */
    private final ExecutorService files = threads("file");

    /** Two threads: a database that is away holds up no design that is tried again. */
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(2, r -> {
        Thread t = new Thread(r, "job clock");
        t.setDaemon(true);
        return t;
    });

    private final int megabytes;
    private final Semaphore heap;
    private final Map<String, Job> jobs = new ConcurrentHashMap<>();
    /** What other servers left and is done here; whoever follows it looks at what is told of it. */
    private final Map<String, Job> takenUp = new ConcurrentHashMap<>();

    private final Map<String, Making> makings = new ConcurrentHashMap<>();
    private final MadeFiles made;
    private final Elsewhere elsewhere;

    private static ExecutorService threads(String name) {
        return Executors.newFixedThreadPool(AT_A_TIME, r -> {
            Thread t = new Thread(r, name);
            t.setDaemon(true);
            return t;
        });
    }

    /** Jobs of a server by itself that share the most of this process's heap. */
    public Jobs() {
        this(JobStore.ALONE);
    }

    /** The same of one of several servers, which tell one another of them. */
    public Jobs(JobStore store) {
        this((long) (PART * Runtime.getRuntime().maxMemory()), store);
    }

    /** @param bytes of the heap that jobs may fill together */
    Jobs(long bytes, JobStore store) {
        megabytes = (int) (bytes >> 20);
        heap = new Semaphore(megabytes, true);
        elsewhere = new Elsewhere(store);
        made = new MadeFiles(this, store);
        if (store != JobStore.ALONE) {
            clock.scheduleWithFixedDelay(this::exchange, LOOK_MS, LOOK_MS, TimeUnit.MILLISECONDS);
        }
    }

    /** Work on a file that was brought: returns the id of what it made. */
    public interface Making {
        String of(Job job, Brought what, byte[] content);
    }

    /** Says how work of a kind is done, here or where another server left it. */
    public void does(String kind, Making making) {
        makings.put(kind, making);
    }

    /** Tells others of what is done here, looks at what they do that somebody here asked for, and takes up what they left. */
    private void exchange() {
        takenUp.values().forEach(elsewhere::tell);
        takenUp.values().removeIf(j -> j.status().ended() && !j.toBeTold());
        if (!makings.isEmpty() && atWork() < AT_A_TIME) {
            elsewhere.takeUp(makings.keySet(), megabytes, this::takeUp);
        }
        for (Job job : jobs.values()) {
            if (job.elsewhere()) {
                if (!job.status().ended()) {
                    elsewhere.look(job);
                }
            } else {
                elsewhere.tell(job);
            }
        }
    }

    /** That wait or run here. */
    private long atWork() {
        return Stream.concat(jobs.values().stream(), takenUp.values().stream())
                .filter(j -> !j.elsewhere() && !j.status().ended())
                .count();
    }

    private void takeUp(String kind, JobStore.Left left) {
        LOG.info("job {} was left by another server and is done here", left.id());
        Job job = new Job(left.id(), kind, left.project());
        job.brought();
        takenUp.put(left.id(), job);
        run(threads(job), job, left.what().megabytes(), j -> makings.get(kind).of(j, left.what(), left.content()));
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
        return (int) jobs.values().stream()
                .filter(j -> !j.elsewhere() && j.status().phase() == phase)
                .count();
    }

    /** Starts work that returns the id of what it made. */
    public Job start(String kind, Function<Job, String> work) {
        return start(kind, null, 0, work);
    }

    /**
     * Starts work that fills about so much memory: it begins when other work has left room for it.
     *
     * @param project that it belongs to; null for one that makes a project
     * @throws Refused if there is not so much at all
     */
    public Job start(String kind, String project, long bytes, Function<Job, String> work) {
        int needed = megabytes(bytes);
        admitted(needed);
        Job job = new Job(UUID.randomUUID().toString(), kind, project);
        elsewhere.tell(job);
        known(job);
        run(pool, job, needed, work);
        return job;
    }

    /** Starts work of a kind, as {@link #does} says; another server takes it up if this one dies. */
    public Job start(String kind, String project, Brought what, byte[] content) {
        return start(kind, project, what, content, j -> makings.get(kind).of(j, what, content));
    }

    /** As {@link #start(String, String, Brought, byte[])}, of work that makes a file. */
    Job startFile(Brought what, byte[] content, Function<Job, String> work) {
        return start(MadeFiles.KIND, what.projectId(), what, content, work);
    }

    private Job start(String kind, String project, Brought what, byte[] content, Function<Job, String> work) {
        admitted(what.megabytes());
        Job job = new Job(UUID.randomUUID().toString(), kind, project);
        elsewhere.tell(job);
        elsewhere.bring(job, what, content);
        known(job);
        run(threads(job), job, what.megabytes(), work);
        return job;
    }

    private ExecutorService threads(Job job) {
        return job.status().kind().equals(MadeFiles.KIND) ? files : pool;
    }

    /** As work is admitted by them. */
    public static int megabytes(long bytes) {
        return (int) Math.min(Integer.MAX_VALUE, bytes >> 20);
    }

    private void admitted(int needed) {
        if (needed > megabytes) {
            throw new Refused(List.of(Finding.fails(
                    "server.memory",
                    "file",
                    "Reading it takes about " + needed + " MB of memory; the server has " + megabytes + " MB for it.",
                    "Split the building, leave out station forces, or start the server with more memory.")));
        }
    }

    /** Starts work that nobody asks for by its id, so that other servers need not know of it. */
    public void startUnasked(String kind, String project, Function<Job, String> work) {
        Job job = new Job(UUID.randomUUID().toString(), kind, project);
        job.told();
        known(job);
        run(pool, job, 0, work);
    }

    private void known(Job job) {
        long now = System.currentTimeMillis();
        jobs.values().removeIf(j -> j.endedBefore(now - KEPT_MS));
        jobs.put(job.status().id(), job);
    }

    private void run(ExecutorService threads, Job job, int needed, Function<Job, String> work) {
        threads.execute(() -> {
            heap.acquireUninterruptibly(needed);
            try {
                run(job, work);
            } finally {
                heap.release(needed);
                elsewhere.tell(job);
            }
        });
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

    /** A job of this server, or one that another server on the database tells of. */
    public Optional<Job> find(String id) {
        Job here = jobs.get(id);
        if (here != null) {
            return Optional.of(here);
        }
        Optional<Job> there = elsewhere.find(id);
        there.ifPresent(j -> jobs.putIfAbsent(id, j));
        return there.map(j -> jobs.getOrDefault(id, j));
    }

    /** Whether it is remembered here. */
    boolean knows(String id) {
        return jobs.containsKey(id);
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
        for (Job job :
                Stream.concat(jobs.values().stream(), takenUp.values().stream()).toList()) {
            if (!job.elsewhere() && !job.status().ended() && !elsewhere.leave(job)) {
                job.end(Job.Phase.FAILED, Elsewhere.LOST, null);
                elsewhere.tell(job);
            }
        }
        made.close();
    }
}
