package kolonne.server.jobs;

import java.io.BufferedOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.finding.Finding;
import kolonne.core.work.Progress;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Files that jobs make, kept beside the jobs until they are forgotten. */
public final class MadeFiles implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(MadeFiles.class);
    /** Progress is told no more often [ms]. */
    private static final long BETWEEN = 100;

    private final Jobs jobs;
    private final Map<String, Made> made = new ConcurrentHashMap<>();
    private Path folder;

    MadeFiles(Jobs jobs) {
        this.jobs = jobs;
    }

    /** A file. @param type of its content; {@code name} that it is saved under */
    public record Made(Path path, String type, String name) {}

    /** Writes a file, told how far it has come. */
    public interface Writing {
        void to(OutputStream out, Progress progress) throws IOException;
    }

    /** Starts to make a file; the job's result is its own id, by which {@link #find} knows it. */
    public Job make(String type, String name, long bytes, Writing writing) {
        forget();
        return jobs.startFile("export", bytes, job -> {
            String id = job.status().id();
            Path path = null;
            try {
                path = fresh();
                write(job, path, writing);
                made.put(id, new Made(path, type, name));
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
        });
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

    public Optional<Made> find(String id) {
        return Optional.ofNullable(made.get(id));
    }

    private void forget() {
        made.keySet().removeIf(id -> {
            boolean old = jobs.find(id).isEmpty();
            if (old) {
                delete(made.get(id).path());
            }
            return old;
        });
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
