package kolonne.server.store;

import java.util.Optional;

/** Long work that several servers share: each piece is done by one of them at a time, and taken up by another if that one dies. */
public interface WorkStore {
    /** Of a server that shares with nobody: all work is its own. */
    WorkStore ALONE = new WorkStore() {
        @Override
        public void ask(String kind, String project, int version, String build, String person) {}

        @Override
        public TaskRow take(String kind, String project, int version, String build, String holder) {
            return new TaskRow("", kind, project, version, TaskRow.TAKEN, holder, false, 1, "", 0, 0, null);
        }

        @Override
        public Optional<TaskRow> next(String build, String holder, int patience) {
            return Optional.empty();
        }

        @Override
        public boolean renew(String id, String holder, String doing, int done, int total) {
            return true;
        }

        @Override
        public void end(String id, String holder, String state, String findings) {}

        @Override
        public void again(String id) {}

        @Override
        public void release(String holder) {}
    };

    /** Asks for a piece of work of a project's version; work for older versions is not wanted any more. What was asked for already stays as it is, unless it failed. */
    void ask(String kind, String project, int version, String build, String person);

    /** Takes what was asked for, unless another holds it, it has ended, or a newer version is wanted. @return as it stands then */
    TaskRow take(String kind, String project, int version, String build, String holder);

    /** Takes the next piece that nobody took within {@code patience} milliseconds, or whose holder died; persons who wait for less come first. */
    Optional<TaskRow> next(String build, String holder, int patience);

    /** Says that the holder lives, and what it is at. False if the work is not wanted any more, or another has it. */
    boolean renew(String id, String holder, String doing, int done, int total);

    /** Ends what this holder holds. @param findings why it failed, as JSON, or null */
    void end(String id, String holder, String state, String findings);

    /** What this holder holds waits for others again, as if it had not been taken. */
    void release(String holder);

    /** What is done is asked for again: its result is gone. */
    void again(String id);
}
