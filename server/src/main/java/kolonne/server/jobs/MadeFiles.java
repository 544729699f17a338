package kolonne.server.jobs;

import java.io.BufferedOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import kolonne.core.finding.Finding;
import kolonne.core.work.Progress;
import kolonne.server.store.Brought;
import kolonne.server.store.JobStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Files that jobs make, kept beside the jobs until they are forgotten. */
public final class MadeFiles implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(MadeFiles.class);
    /** Of the jobs that make them. */
    public static final String KIND = "export";
    /** Files kept at a time; the oldest go first. */
    static final int MOST_KEPT = 40;
    /** Files being made at a time, those that wait included. */
    static final int MOST_MAKING = 20;
    /** Progress is told no more often [ms]. */
    private static final long BETWEEN = 100;

    private final Jobs jobs;
    private final JobStore store;
    private final Map<String, Made> made = Collections.synchronizedMap(new LinkedHashMap<>());
    private final AtomicInteger making = new AtomicInteger();
    private Path folder;

    MadeFiles(Jobs jobs, JobStore store) {
        this.jobs = jobs;
        this.store = store;
    }

    /** A file. @param type of its content; {@code name} that it is saved under */
    public record Made(Path path, String type, String name) {}

    /** Writes a file, told how far it has come. */
    public interface Writing {
        void to(OutputStream out, Progress progress) throws IOException;
    }

    /**
     * Starts to make a file; the job's result is its own id, by which {@link #find} knows it.
     *
     * @param asked for whoever goes on with it where this server dies
     */
    public Job make(String type, Brought what, byte[] asked, Writing writing) {
        String name = what.fileName();
        forget();
        if (making.incrementAndGet() > MOST_MAKING) {
            making.decrementAndGet();
            throw new Jobs.Refused(List.of(Finding.fails(
                    "export.many",
                    name,
                    MOST_MAKING + " files are being made already.",
                    "Wait until some of them are there, or cancel one.")));
        }
        try {
            return jobs.startFile(what, asked, job -> {
                try {
                    return written(job, type, name, writing);
                } finally {
                    making.decrementAndGet();
                }
            });
        } catch (Jobs.Refused e) {
            making.decrementAndGet();
            throw e;
        }
    }

    /** Makes a file in a job, which is then the result; also of one that another server left. */
    public String written(Job job, String type, String name, Writing writing) {
        String id = job.status().id();
        Path path = null;
        try {
            path = fresh();
            write(job, path, writing);
            share(id, type, name, path);
            keep(id, new Made(path, type, name));
            return id;
        } catch (IOException e) {
            LOG.error("export {} could not be written", name, e);
            throw new Jobs.Refused(List.of(Finding.fails(
                    "export.disk",
                    name,
                    "The server could not write the file.",
                    "Make room on the server's disk and ask for it again.")));
        } finally {
            if (path != null && !made.containsKey(id)) {
                delete(path);
            }
        }
    }

    /** Other servers give it out as well; one that the database does not take is given out here alone. */
    private void share(String id, String type, String name, Path path) throws IOException {
        try (InputStream in = Files.newInputStream(path)) {
            store.keep(id, type, name, in);
        } catch (RuntimeException e) {
            LOG.warn("export {} is not kept for other servers: {}", name, e.toString());
        }
    }

    private void keep(String id, Made file) {
        synchronized (made) {
            made.put(id, file);
            while (made.size() > MOST_KEPT) {
                String oldest = made.keySet().iterator().next();
                delete(made.remove(oldest).path());
            }
        }
    }

    private synchronized Path fresh() throws IOException {
        if (folder == null) {
            folder = Files.createTempDirectory("kolonne-exports");
        }
        return Files.createTempFile(folder, "export", "");
    }

    private static void write(Job job, Path path, Writing writing) throws IOException {
        try (OutputStream out = new BufferedOutputStream(new Stoppable(Files.newOutputStream(path), job), 1 << 16)) {
            job.at("writing", 0, 0);
            writing.to(out, new Told(job));
        }
    }

    /** Ends the work at its next block where somebody cancelled. */
    private static final class Stoppable extends FilterOutputStream {
        private final Job job;

        Stoppable(OutputStream out, Job job) {
            super(out);
            this.job = job;
        }

        @Override
        public void write(byte[] b, int from, int length) throws IOException {
            job.stopIfCancelled();
            out.write(b, from, length);
        }
    }

    private static final class Told implements Progress {
        private final Job job;
        private long last;

        Told(Job job) {
            this.job = job;
        }

        @Override
        public void at(String doing, int done, int total) {
            job.stopIfCancelled();
            long now = System.currentTimeMillis();
            if (now - last >= BETWEEN) {
                last = now;
                job.at(doing, done, total);
            }
        }
    }

    /** A file that is made; one of another server is fetched. */
    public Optional<Made> find(String id) throws IOException {
        Made here = made.get(id);
        boolean elsewhere = here == null
                && jobs.find(id)
                        .filter(j -> j.elsewhere() && j.status().phase() == Job.Phase.DONE)
                        .isPresent();
        return elsewhere ? fetched(id) : Optional.ofNullable(here);
    }

    /** One at a time, since two may ask for the same. */
    private synchronized Optional<Made> fetched(String id) throws IOException {
        Optional<JobStore.File> file = store.file(id);
        if (file.isEmpty() || made.containsKey(id)) {
            return Optional.ofNullable(made.get(id));
        }
        forget();
        Path path = fresh();
        try (OutputStream out = Files.newOutputStream(path)) {
            store.read(id, out);
        } catch (IOException | RuntimeException e) {
            delete(path);
            throw e;
        }
        Made m = new Made(path, file.get().type(), file.get().name());
        keep(id, m);
        return Optional.of(m);
    }

    private void forget() {
        synchronized (made) {
            made.entrySet().removeIf(e -> {
                boolean old = !jobs.knows(e.getKey());
                if (old) {
                    delete(e.getValue().path());
                }
                return old;
            });
        }
    }

    private static void delete(Path path) {
        try {
            Files.deleteIfExists(path);
        } catch (IOException e) {
            LOG.warn("{} could not be deleted", path, e);
        }
    }

    @Override
    public synchronized void close() {
        made.values().forEach(m -> delete(m.path()));
        made.clear();
        if (folder != null) {
            delete(folder);
        }
    }
}
