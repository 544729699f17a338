package kolonne.server.store;

import java.util.Optional;

/** Shared work in MariaDB. */
public final class MariaDbWorkStore implements WorkStore {
    /** How long a holder need not say that it lives [s]. */
    private static final int HELD = 10;
    /** Holders that one piece of work may cost. */
    private static final int MOST_TRIES = 3;

    private final Database database;

    public MariaDbWorkStore(Database database) {
        this.database = database;
    }

    @Override
    public void ask(String kind, String project, int version, String build, String person) {
        database.in(s -> {
            TaskMapper m = s.getMapper(TaskMapper.class);
            m.outdate(kind, project, version);
            m.clean();
            return m.ask(Ids.random(), kind, project, version, build, person);
        });
    }

    @Override
    public TaskRow take(String kind, String project, int version, String build, String holder) {
        return database.in(s -> {
            TaskMapper m = s.getMapper(TaskMapper.class);
            TaskRow t = m.held(kind, project, version, build);
            if (t == null) {
                m.ask(Ids.random(), kind, project, version, build, "");
                t = m.held(kind, project, version, build);
            }
            if (t.is(TaskRow.TAKEN) && t.holder().equals(holder)) {
                m.renew(t.id(), holder, HELD, t.doing(), t.done(), t.total());
            } else if (t.is(TaskRow.WAITING) || t.lost()) {
                take(m, t, holder);
                s.clearCache();
                t = m.held(kind, project, version, build);
            }
            return t;
        });
    }

    @Override
    public Optional<TaskRow> next(String build, String holder, int patience) {
        return database.in(s -> {
            TaskMapper m = s.getMapper(TaskMapper.class);
            TaskRow t = m.next(build, patience);
            return t != null && take(m, t, holder) ? Optional.of(t) : Optional.empty();
        });
    }

    private boolean take(TaskMapper m, TaskRow t, String holder) {
        boolean hope = t.tries() < MOST_TRIES;
        if (hope) {
            m.take(t.id(), holder, HELD);
        } else {
            m.giveUp(t.id());
        }
        return hope;
    }

    @Override
    public boolean renew(String id, String holder, String doing, int done, int total) {
        return database.in(s -> s.getMapper(TaskMapper.class).renew(id, holder, HELD, doing, done, total)) > 0;
    }

    @Override
    public void end(String id, String holder, String state, String findings) {
        database.in(s -> s.getMapper(TaskMapper.class).end(id, holder, state, findings));
    }

    @Override
    public void release(String holder) {
        database.in(s -> s.getMapper(TaskMapper.class).release(holder));
    }

    @Override
    public void again(String id) {
        database.in(s -> s.getMapper(TaskMapper.class).again(id));
    }
}
