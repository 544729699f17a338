package kolonne.server.project;

import java.time.Duration;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.finding.Finding;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.Database;
import kolonne.server.store.Shared;
import kolonne.server.store.TaskRow;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Designs of whole buildings: one that was kept is taken as it is, one that another server or worker makes is waited for, any other is made here. What is asked for
 * stands in the database until it is done, so that it outlives the server.
 */
final class Designs {
    private static final Logger LOG = LoggerFactory.getLogger(Designs.class);
    /** How soon a design that lost its database is tried again. */
    private static final Duration RETRY = Duration.ofSeconds(1);
    /** Between two looks at a design that is made elsewhere, and at what waits for help. */
    private static final Duration LOOK = Duration.ofMillis(250);

    private static final Finding OUTAGE = Finding.fails(
            "server.database", "server", "The database does not answer.", "The design goes on as soon as it does.");
    private static final Finding ERROR = Finding.fails(
            "server.error",
            "server",
            "The design stopped because of an error inside Kolonne; it is in the log.",
            "Change the basis or try again.");

    private final Projects projects;
    private final Jobs jobs;
    private final KeptDesigns kept;
    private final SharedWork work;
    /** What is done for others is held under another name, so that this server's own turn waits for it as for anybody's. */
    private final SharedWork forOthers;

    Designs(Projects projects, Jobs jobs, Shared shared) {
        this.projects = projects;
        this.jobs = jobs;
        this.kept = new KeptDesigns(shared.designs());
        this.work = new SharedWork(shared.work());
        this.forOthers = new SharedWork(shared.work());
    }

    /** Starts the design of a version of a project that is held in memory. */
    void redesign(Workspace w, int version) {
        w.publish(new Workspace.State(version, w.state().designed(), "waiting", 0, 0, List.of()));
        try {
            work.ask(w.id(), version, w.last().person());
        } catch (RuntimeException e) {
            if (!Database.isOutage(e)) {
                throw e;
            }
            // asked for when it is taken
        }
        start(w, version);
    }

    private void start(Workspace w, int version) {
        jobs.startUnasked("design", w.id(), job -> {
            run(w, version);
            return w.id();
        });
    }

    /** A design for a version of the project: nothing once a newer one is wanted. */
    private static final class Progress implements Workspace.Step {
        private final Workspace w;
        private final int version;
        private volatile SharedWork.Held held;

        Progress(Workspace w, int version) {
            this.w = w;
            this.version = version;
        }

        @Override
        public void at(String doing, int done, int total) {
            wanted();
            w.publish(new Workspace.State(version, w.state().designed(), doing, done, total, List.of()));
        }

        @Override
        public void wanted() {
            if (w.state().version() != version) {
                throw new CancellationException();
            }
            if (held != null) {
                held.wanted();
            }
        }
    }

    private void run(Workspace w, int version) {
        Progress progress = new Progress(w, version);
        try {
            progress.wanted();
            projects.read(w);
            Basis basis = sound(w);
            if (!takenAsKept(w, version, progress)) {
                share(w, basis, version, progress);
            }
        } catch (AnalysisFailed e) {
            failed(w, version, e.findings());
            throw e;
        } catch (Jobs.Refused e) {
            failed(w, version, e.findings());
            throw e;
        } catch (CancellationException e) {
            throw e; // a newer design is under way and says so itself
        } catch (RuntimeException e) {
            if (Database.isOutage(e)) {
                LOG.warn("the database does not answer; the design of {} is tried again", w.id());
                later(w, version, new SharedWork.At("waiting for the database", 0, 0), RETRY);
                throw new Jobs.Refused(List.of(OUTAGE));
            }
            failed(w, version, List.of(ERROR));
            throw e;
        }
    }

    /** The basis in force. @throws Jobs.Refused if nothing can be designed to it */
    private Basis sound(Workspace w) {
        Basis basis = projects.basis(w.id());
        List<Finding> wrong = basis.check();
        if (!wrong.isEmpty()) {
            throw new Jobs.Refused(wrong);
        }
        return basis;
    }

    private boolean takenAsKept(Workspace w, int version, Progress progress) {
        Optional<BuildingDesign> d =
                kept.find(w.id(), projects.commands(w.id()), projects.log(w.id()), () -> w.solved(progress));
        d.ifPresent(k -> current(w, version, k));
        return d.isPresent();
    }

    private static void current(Workspace w, int version, BuildingDesign d) {
        w.publish(version, d);
        if (w.state().version() == version) {
            w.publish(new Workspace.State(version, version, "", 0, 0, List.of()));
        }
    }

    private static void failed(Workspace w, int version, List<Finding> findings) {
        w.publish(new Workspace.State(version, w.state().designed(), "", 0, 0, findings));
    }

    private void share(Workspace w, Basis basis, int version, Progress progress) {
        TaskRow t = work.take(w.id(), version);
        if (work.ours(t)) {
            try (SharedWork.Held held = work.hold(t, () -> at(w))) {
                make(w, basis, version, progress, held);
            }
        } else if (t.is(TaskRow.FAILED)) {
            throw new Jobs.Refused(SharedWork.why(t));
        } else if (t.is(TaskRow.OLD)) {
            throw new CancellationException(); // the newer version is followed in a moment
        } else {
            if (t.is(TaskRow.DONE) && !takenAsKept(w, version, progress)) {
                work.again(t);
            }
            if (!t.is(TaskRow.DONE) || !w.state().current()) {
                later(w, version, new SharedWork.At(t.doing(), t.done(), t.total()), LOOK);
            }
        }
    }

    private static SharedWork.At at(Workspace w) {
        return new SharedWork.At(w.state().doing(), w.state().done(), w.state().total());
    }

    /** Designs, and keeps it before it is told to others to be done: whoever waits for it finds it. */
    private void make(Workspace w, Basis basis, int version, Progress progress, SharedWork.Held held) {
        progress.held = held;
        try {
            BuildingDesign d = w.design(basis, projects.history(w.id()).decisions(), progress);
            current(w, version, d);
            kept.keep(w.id(), version, d);
            held.done();
        } catch (AnalysisFailed e) {
            held.failed(e.findings());
            throw e;
        } catch (RuntimeException e) {
            if (!(e instanceof CancellationException) && !Database.isOutage(e)) {
                held.failed(List.of(ERROR));
            }
            throw e;
        }
    }

    /** Looks again after a while, unless a newer version is wanted by then. */
    private void later(Workspace w, int version, SharedWork.At at, Duration wait) {
        w.publish(new Workspace.State(
                version,
                w.state().designed(),
                at.doing().isEmpty() ? "waiting" : at.doing(),
                at.done(),
                at.total(),
                List.of()));
        jobs.later(wait, () -> {
            if (w.state().version() == version && projects.holds(w)) {
                start(w, version);
            }
        });
    }

    /** Makes from now on, one at a time, what waits longer than others should need to take it, and what its holder died of. @param patience [ms] */
    void help(int patience) {
        Thread helper = new Thread(() -> helping(patience), "helper");
        helper.setDaemon(true);
        helper.start();
    }

    private void helping(int patience) {
        boolean away = false;
        while (!Thread.currentThread().isInterrupted()) {
            try {
                TaskRow t = forOthers.next(patience);
                away = false;
                if (t != null) {
                    helpWith(t);
                } else {
                    Thread.sleep(LOOK.toMillis());
                }
            } catch (InterruptedException e) {
                return;
            } catch (RuntimeException e) {
                // told once: it is tried again and again
                if (!away) {
                    LOG.warn("shared designs cannot be taken or made: {}", e.toString());
                }
                away = true;
                pause();
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(RETRY.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Hands what is under way to other servers and workers. */
    void close() {
        for (SharedWork w : List.of(work, forOthers)) {
            try {
                w.close();
            } catch (RuntimeException e) {
                LOG.warn("what is under way is not handed over, others take it up in a while: {}", e.toString());
            }
        }
    }

    /** Makes a design for others, beside what this server holds in memory. */
    private void helpWith(TaskRow t) {
        Workspace w = new Workspace(t.projectId(), t.version());
        Progress progress = new Progress(w, t.version());
        try (SharedWork.Held held = forOthers.hold(t, () -> at(w))) {
            if (projects.find(w.id()).version() != t.version()) {
                held.old();
                return;
            }
            LOG.info("designing {} at version {} for others", w.id(), t.version());
            try {
                projects.read(w);
                make(w, sound(w), t.version(), progress, held);
            } catch (Jobs.Refused e) {
                held.failed(e.findings());
            } catch (CancellationException | AnalysisFailed e) {
                LOG.info("the design of {} ended: {}", w.id(), e.toString());
            }
        } catch (NoSuchElementException e) {
            LOG.info("the project {} is gone", w.id());
        } finally {
            projects.forget(w.id());
        }
    }
}
