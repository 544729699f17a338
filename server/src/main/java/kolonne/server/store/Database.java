package kolonne.server.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Set;
import java.util.function.Function;
import org.apache.ibatis.mapping.Environment;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSession;
import org.apache.ibatis.session.SqlSessionFactory;
import org.apache.ibatis.session.SqlSessionFactoryBuilder;
import org.apache.ibatis.transaction.jdbc.JdbcTransactionFactory;
import org.flywaydb.core.Flyway;

/** Connection pool, migrations and MyBatis sessions of one MariaDB. */
public final class Database implements AutoCloseable {
    private static final Set<Integer> FULL = Set.of(28, 1021, 1026, 1114);

    private final HikariDataSource pool;
    private final SqlSessionFactory sessions;

    /** Connects and migrates. @param url JDBC address of an empty schema or one of Kolonne's */
    public Database(String url, String user, String password) {
        HikariConfig config = new HikariConfig();
        config.setJdbcUrl(url);
        config.setUsername(user);
        config.setPassword(password);
        config.setMaximumPoolSize(8);
        config.setMinimumIdle(1);
        config.setConnectionTimeout(4000);
        config.setPoolName("kolonne");
        pool = new HikariDataSource(config);
        Flyway.configure()
                .dataSource(pool)
                .locations("classpath:db/migration")
                .load()
                .migrate();
        Configuration mybatis = new Configuration(new Environment("kolonne", new JdbcTransactionFactory(), pool));
        mybatis.setMapUnderscoreToCamelCase(true);
        mybatis.setArgNameBasedConstructorAutoMapping(true);
        mybatis.addMapper(ProjectMapper.class);
        mybatis.addMapper(PeopleMapper.class);
        mybatis.addMapper(DeedMapper.class);
        mybatis.addMapper(DesignMapper.class);
        mybatis.addMapper(TaskMapper.class);
        mybatis.addMapper(JobMapper.class);
        mybatis.addMapper(PresenceMapper.class);
        mybatis.addMapper(UploadMapper.class);
        sessions = new SqlSessionFactoryBuilder().build(mybatis);
    }

    /** Whether something failed because the database did not do its part. */
    public static boolean isOutage(Throwable e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof java.sql.SQLException) {
                return true;
            }
        }
        return false;
    }

    /** Whether it failed because its disk is full (errors 1021, 1026 and 1114 of MariaDB, 28 of the system). */
    public static boolean isFull(Throwable e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof java.sql.SQLException s
                    && (FULL.contains(s.getErrorCode())
                            || String.valueOf(s.getMessage()).contains("No space left"))) {
                return true;
            }
        }
        return false;
    }

    /** One transaction. */
    <T> T in(Function<SqlSession, T> work) {
        try (SqlSession s = sessions.openSession(false)) {
            T t = work.apply(s);
            s.commit();
            return t;
        }
    }

    /** The moment, as rows keep it (UTC, milliseconds). */
    static LocalDateTime now() {
        return LocalDateTime.now(ZoneOffset.UTC).truncatedTo(ChronoUnit.MILLIS);
    }

    @Override
    public void close() {
        pool.close();
    }
}
