package kolonne.server.store;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Accounts, what they are signed in with, and their roles, in MariaDB. */
public final class PeopleStore {
    private final Database database;

    public PeopleStore(Database database) {
        this.database = database;
    }

    /** One transaction. */
    public <T> T in(Function<PeopleMapper, T> work) {
        return database.in(s -> work.apply(s.getMapper(PeopleMapper.class)));
    }

    /** One transaction that takes down who did what in it. */
    public <T> T in(By by, BiFunction<PeopleMapper, DeedLog, T> work) {
        return database.in(s -> work.apply(s.getMapper(PeopleMapper.class), new DeedLog(s, by)));
    }

    /** What was done in all projects and beside them, the last first. @param most how many */
    public List<DeedRow> deeds(int most) {
        return database.in(s -> s.getMapper(DeedMapper.class).newest(most));
    }
}
