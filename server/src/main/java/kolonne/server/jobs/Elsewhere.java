package kolonne.server.jobs;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import kolonne.core.finding.Finding;
import kolonne.server.store.Brought;
import kolonne.server.store.Ids;
import kolonne.server.store.JobRow;
import kolonne.server.store.JobStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Work as the servers on one database tell one another of it. A database that is away stops no work: it is told again. */
final class Elsewhere {
    private static final Logger LOG = LoggerFactory.getLogger(Elsewhere.class);
    private static final JsonMapper JSON = new JsonMapper();
    private static final int WORDS = 100;
    /** Looks in a row at which a server is found silent before its work is given up: after an outage of the database others may look before it has told. */
    private static final int MOST_SILENT = 20;

    static final List<Finding> LOST = List.of(Finding.fails(
            "server.lost",
            "server",
            "The server that did this ended before it was done.",
            "Ask for it again; nothing stored was changed."));

    private final JobStore store;
    private final String holder = Ids.random();
    /** Looks in a row at which work was found left; by the one thread that looks. */
    private final Map<String, Integer> silent = new HashMap<>();

    Elsewhere(JobStore store) {
        this.store = store;
    }

    /** Tells how a job of this server stands, and stops it where another server was asked to. */
    void tell(Job job) {
        // what is told last is how it stands last, whichever thread tells it
        synchronized (job.news()) {
            if (job.toBeTold()) {
                telling(job);
            }
        }
    }

    private void telling(Job job) {
        Job.Status s = job.status();
        try {
            boolean stop = store.tell(row(s, job.project().orElse(null)), s.ended());
            if (s.ended()) {
                job.told();
            } else if (stop) {
                job.cancel();
            }
        } catch (RuntimeException e) {
            LOG.debug("job {} is not told", s.id(), e);
        }
    }

    /** Keeps what a job is made of, so that another server can take it up. A database that does not take it stops no work. */
    void bring(Job job, Brought what, byte[] content) {
        String id = job.status().id();
        try {
            if (store.bring(id, what, content)) {
                job.brought();
            }
        } catch (RuntimeException e) {
            LOG.warn("job {} is not kept for other servers: {}", id, e.toString());
        }
    }

    /**
     * Takes up what a server left that died: one piece, of which its server was found silent so often in a row that it is not just late.
     *
     * @param kind takes it, with what it is
     */
    void takeUp(Set<String> kinds, int megabytes, BiConsumer<String, JobStore.Left> kind) {
        try {
            List<JobStore.Silent> left = store.left(kinds, holder, megabytes);
            silent.keySet().retainAll(left.stream().map(JobStore.Silent::id).toList());
            for (JobStore.Silent s : left) {
                int looks = silent.merge(s.id(), 1, Integer::sum);
                if (s.handedOver() || looks > MOST_SILENT) {
                    Optional<JobStore.Left> taken = store.takeUp(s.id(), holder);
                    taken.ifPresent(l -> kind.accept(s.kind(), l));
                    if (taken.isPresent()) {
                        return;
                    }
                }
            }
        } catch (RuntimeException e) {
            LOG.debug("no job is looked for", e);
        }
    }

    /** Leaves a job to other servers. @return whether one can take it up */
    boolean leave(Job job) {
        if (!job.isBrought()) {
            return false;
        }
        // nothing is told of it from here any more
        job.told();
        job.cancel();
        try {
            store.release(job.status().id(), holder);
        } catch (RuntimeException e) {
            LOG.debug(
                    "job {} is left when nobody has heard of it for a while",
                    job.status().id(),
                    e);
        }
        return true;
    }

    private JobRow row(Job.Status s, String project) {
        return new JobRow(
                s.id(),
                s.kind(),
                project,
                holder,
                false,
                s.phase().name(),
                s.doing().length() > WORDS ? s.doing().substring(0, WORDS) : s.doing(),
                s.done(),
                s.total(),
                s.findings().isEmpty() ? null : written(s.findings()),
                s.result(),
                false);
    }

    private static String written(List<Finding> findings) {
        try {
            return JSON.writeValueAsString(findings);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A job of another server as it stands; empty where none tells of it. */
    Optional<Job> find(String id) {
        return store.find(id).map(r -> {
            Job job = new Job(r.id(), r.kind(), r.projectId(), () -> store.cancel(r.id()));
            job.show(status(r));
            return job;
        });
    }

    /** Looks again at a job of another server. */
    void look(Job job) {
        try {
            Optional<JobRow> row = store.find(job.status().id());
            boolean silent = row.map(JobRow::lost).orElse(true);
            Job.Status s = job.silent(silent) > MOST_SILENT
                    ? lost(job.status())
                    : row.map(Elsewhere::status).orElse(job.status());
            if (!s.equals(job.status())) {
                job.show(s);
            }
        } catch (RuntimeException e) {
            LOG.debug("job {} is not looked up", job.status().id(), e);
        }
    }

    private static Job.Status status(JobRow r) {
        List<Finding> findings = r.findings() == null ? List.of() : read(r.findings());
        return new Job.Status(
                r.id(), r.kind(), Job.Phase.valueOf(r.phase()), r.doing(), r.done(), r.total(), findings, r.result());
    }

    private static Job.Status lost(Job.Status s) {
        return new Job.Status(s.id(), s.kind(), Job.Phase.FAILED, "failed", s.done(), s.total(), LOST, null);
    }

    private static List<Finding> read(String findings) {
        try {
            return JSON.readValue(findings, new TypeReference<List<Finding>>() {});
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
