package kolonne.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Work of several servers in MariaDB. */
public final class MariaDbJobStore implements JobStore {
    /** How long a holder need not say that it lives [s]. */
    private static final int HELD = 10;
    /** How long work is told of after its end [min]. */
    private static final int KEPT = 10;
    /** Files of all servers that are kept; the oldest go first. */
    private static final int MOST_FILES = 40;
    /** Holders that an import may cost. */
    static final int MOST_TRIES = 3;

    private final Database database;
    private final boolean files;

    public MariaDbJobStore(Database database) {
        this(database, true);
    }

    /** @param files whether files that work makes are kept; not where one server alone gives them out */
    public MariaDbJobStore(Database database, boolean files) {
        this.database = database;
        this.files = files;
    }

    @Override
    public boolean tell(JobRow row, boolean ended) {
        return database.in(s -> {
            JobMapper m = s.getMapper(JobMapper.class);
            m.tell(row, ended ? 0 : HELD);
            if (ended) {
                m.removeInput(row.id(), row.holder());
                m.forget(KEPT);
            }
            return m.unwanted(row.id(), row.holder());
        });
    }

    @Override
    public Optional<JobRow> find(String id) {
        return Optional.ofNullable(database.in(s -> s.getMapper(JobMapper.class).find(id, MOST_TRIES)));
    }

    @Override
    public void cancel(String id) {
        database.in(s -> s.getMapper(JobMapper.class).cancel(id));
    }

    @Override
    public boolean bring(String id, Brought what, byte[] content) {
        database.in(s -> s.getMapper(JobMapper.class).insertInput(id, what));
        int all = Parts.each(
                content,
                (part, bytes) -> database.in(s -> s.getMapper(JobMapper.class).insertInputPart(id, part, bytes)));
        return database.in(s -> s.getMapper(JobMapper.class).whole(id, all)) > 0 && all > 0;
    }

    @Override
    public List<Silent> left(Set<String> kinds, String holder, int megabytes) {
        return database.in(s -> s.getMapper(JobMapper.class).left(kinds, holder, megabytes, MOST_TRIES));
    }

    @Override
    public Optional<Left> takeUp(String id, String holder) {
        boolean taken = database.in(s -> {
            JobMapper m = s.getMapper(JobMapper.class);
            boolean mine = m.lockLeft(id) != null;
            if (mine) {
                m.takeUp(id, holder, HELD);
                m.tried(id);
            }
            return mine;
        });
        return taken
                ? Optional.of(new Left(id, find(id).map(JobRow::projectId).orElse(null), input(id), content(id)))
                : Optional.empty();
    }

    private Brought input(String id) {
        return database.in(s -> s.getMapper(JobMapper.class).input(id));
    }

    private byte[] content(String id) {
        return Parts.joined(
                part -> database.in(s -> s.getMapper(JobMapper.class).inputPart(id, part)));
    }

    @Override
    public void release(String id, String holder) {
        database.in(s -> s.getMapper(JobMapper.class).release(id, holder));
    }

    @Override
    public void keep(String id, String type, String name, InputStream content) throws IOException {
        // one transaction a part: a large file holds no other work up
        boolean told = files
                && database.in(s -> {
                    JobMapper m = s.getMapper(JobMapper.class);
                    m.files().stream().skip(MOST_FILES - 1L).forEach(m::removeFile);
                    return m.insertFile(id, type, name) > 0;
                });
        int part = 0;
        for (byte[] b = content.readNBytes(Parts.SIZE); told && b.length > 0; b = content.readNBytes(Parts.SIZE)) {
            byte[] bytes = b;
            int number = part++;
            database.in(s -> s.getMapper(JobMapper.class).insertPart(id, number, bytes));
        }
    }

    @Override
    public Optional<File> file(String id) {
        return Optional.ofNullable(database.in(s -> s.getMapper(JobMapper.class).file(id)));
    }

    @Override
    public void read(String id, OutputStream out) throws IOException {
        int part = 0;
        for (List<byte[]> b = part(id, part); !b.isEmpty(); b = part(id, part)) {
            out.write(b.get(0));
            part++;
        }
    }

    private List<byte[]> part(String id, int part) {
        return database.in(s -> s.getMapper(JobMapper.class).part(id, part));
    }
}
