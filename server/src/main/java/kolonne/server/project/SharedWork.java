package kolonne.server.project;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import kolonne.core.finding.Finding;
import kolonne.server.kept.Build;
import kolonne.server.store.Ids;
import kolonne.server.store.TaskRow;
import kolonne.server.store.WorkStore;

/** Designs that are shared with other servers and workers of the same build: each is made by one of them. */
final class SharedWork {
    static final String DESIGN = "design";
    /** Between two signs of life [s]. */
    private static final int ALIVE = 2;

    private static final JsonMapper JSON = new JsonMapper();
    private static final List<Finding> HOPELESS = List.of(Finding.fails(
            "server.lost",
            "server",
            "Every server that designed the building ended before it was done.",
            "Split the building, or give the servers more memory, and open it again."));

    private final WorkStore store;
    private final String holder = Ids.random();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "signs of life");
        t.setDaemon(true);
        return t;
    });

    private volatile boolean closed;

    SharedWork(WorkStore store) {
        this.store = store;
    }

    /** What is told of work while it is done. */
    record At(String doing, int done, int total) {}

    /** Work that is done here. */
    final class Held implements AutoCloseable {
        private final TaskRow task;
        private final ScheduledFuture<?> alive;
        private volatile boolean lost;

        private Held(TaskRow task, Supplier<At> at) {
            this.task = task;
            this.alive = clock.scheduleWithFixedDelay(() -> renew(at.get()), ALIVE, ALIVE, TimeUnit.SECONDS);
        }

        private void renew(At at) {
            try {
                lost |= !store.renew(task.id(), holder, Projects.cut(at.doing(), 100), at.done(), at.total());
            } catch (RuntimeException e) {
                // a database that is away takes nothing from anybody: asked again in two seconds
                return;
            }
        }

        /** @throws CancellationException if a newer version is wanted, or another has taken the work up */
        void wanted() {
            if (lost) {
                throw new CancellationException();
            }
        }

        void done() {
            store.end(task.id(), holder, TaskRow.DONE, null);
        }

        /** A newer version is there. */
        void old() {
            store.end(task.id(), holder, TaskRow.OLD, null);
        }

        void failed(List<Finding> findings) {
            try {
                store.end(task.id(), holder, TaskRow.FAILED, JSON.writeValueAsString(findings));
            } catch (JsonProcessingException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public void close() {
            alive.cancel(false);
        }
    }

    /** Takes nothing from now on, and gives back what is held: others need not wait until it would be given up for lost. */
    void close() {
        closed = true;
        clock.shutdownNow();
        store.release(holder);
    }

    /** Asks for the design of a version. */
    void ask(String project, int version, String person) {
        store.ask(DESIGN, project, version, Build.id(), Projects.cut(person, 60));
    }

    /** The design of a version as it stands, taken by this server if nobody has it. */
    TaskRow take(String project, int version) {
        if (closed) {
            throw new CancellationException();
        }
        return store.take(DESIGN, project, version, Build.id(), holder);
    }

    boolean ours(TaskRow t) {
        return t.is(TaskRow.TAKEN) && holder.equals(t.holder());
    }

    Held hold(TaskRow t, Supplier<At> at) {
        return new Held(t, at);
    }

    /** What is done is wanted once more. */
    void again(TaskRow t) {
        store.again(t.id());
    }

    /** Why work failed elsewhere. */
    static List<Finding> why(TaskRow t) {
        try {
            return t.findings() == null
                    ? HOPELESS
                    : JSON.readValue(t.findings(), new TypeReference<List<Finding>>() {});
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The next design that waits, or whose holder died; null if there is none. @param patience how long it waited for others [ms] */
    TaskRow next(int patience) {
        return closed ? null : store.next(Build.id(), holder, patience).orElse(null);
    }
}
