package kolonne.server.jobs;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;

/** One piece of long work. Its state is published as immutable {@link Status} values. */
public final class Job {
    /** How a job stands. */
    public enum Phase {
        WAITING,
        RUNNING,
        DONE,
        FAILED,
        CANCELLED
    }

    /**
     * @param doing    what it is at, in words
     * @param done     steps done of {@code total}; total 0 where it cannot be told
     * @param findings why it failed
     * @param result   id of what it made, or null
     */
    public record Status(
            String id,
            String kind,
            Phase phase,
            String doing,
            int done,
            int total,
            List<Finding> findings,
            String result) {
        public boolean ended() {
            return phase == Phase.DONE || phase == Phase.FAILED || phase == Phase.CANCELLED;
        }
    }

    private final List<Consumer<Status>> listeners = new java.util.concurrent.CopyOnWriteArrayList<>();
    private volatile Status status;
    private volatile boolean cancelled;
    private volatile long endedAt;
    private final String project;
    /** Of work that another server does, what asks it to stop; null of work that is done here. */
    private final Runnable stopsElsewhere;

    private final Object news = new Object();
    /** By the thread that looks. */
    private int silent;
    /** Whether other servers know of its end, or need not. */
    private volatile boolean told;
    /** Whether another server can take it up. */
    private volatile boolean brought;

    /** @param project that it belongs to; null for one that makes a project */
    Job(String id, String kind, String project) {
        this(id, kind, project, null);
    }

    /** Work that another server does. @param stops asks that server to stop */
    Job(String id, String kind, String project, Runnable stops) {
        this.project = project;
        status = new Status(id, kind, Phase.WAITING, "waiting", 0, 0, List.of(), null);
        stopsElsewhere = stops;
    }

    /** Held by the thread that tells other servers. */
    Object news() {
        return news;
    }

    /** How often in a row the server that does it was found silent. */
    int silent(boolean now) {
        silent = now ? silent + 1 : 0;
        return silent;
    }

    boolean elsewhere() {
        return stopsElsewhere != null;
    }

    /** Nothing of it is told other servers any more. */
    void told() {
        told = true;
    }

    /** What it is made of is kept. */
    void brought() {
        brought = true;
    }

    boolean isBrought() {
        return brought;
    }

    boolean toBeTold() {
        return !told;
    }

    public Status status() {
        return status;
    }

    /** The project that it belongs to; empty for one that makes a project. */
    public Optional<String> project() {
        return Optional.ofNullable(project);
    }

    /** Says what is being done. @throws CancellationException if somebody cancelled */
    public void at(String doing, int done, int total) {
        stopIfCancelled();
        publish(Phase.RUNNING, doing, done, total, List.of(), null);
    }

    /** @throws CancellationException if somebody cancelled */
    public void stopIfCancelled() {
        if (cancelled) {
            throw new CancellationException();
        }
    }

    void end(Phase phase, List<Finding> findings, String result) {
        if (status.ended()) {
            return; // by the end of the server
        }
        endedAt = System.currentTimeMillis();
        publish(
                phase,
                phase.name().toLowerCase(java.util.Locale.ROOT),
                status.done(),
                status.total(),
                findings,
                result);
    }

    private synchronized void publish(
            Phase phase, String doing, int done, int total, List<Finding> findings, String result) {
        set(new Status(status.id(), status.kind(), phase, doing, done, total, List.copyOf(findings), result));
    }

    private void set(Status s) {
        status = s;
        listeners.forEach(l -> l.accept(s));
    }

    /** How it stands where it is done. */
    synchronized void show(Status s) {
        if (s.ended()) {
            endedAt = System.currentTimeMillis();
        }
        set(s);
    }

    /** Asks the job to stop at its next step. */
    public void cancel() {
        cancelled = true;
        if (elsewhere()) {
            stopsElsewhere.run();
        }
    }

    /** Calls the listener now and at every change. */
    public synchronized void follow(Consumer<Status> listener) {
        listeners.add(listener);
        listener.accept(status);
    }

    public void unfollow(Consumer<Status> listener) {
        listeners.remove(listener);
    }

    boolean endedBefore(long time) {
        return status.ended() && endedAt < time;
    }
}
