package kolonne.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;

/** Work of several servers in MariaDB. */
public final class MariaDbJobStore implements JobStore {
    /** How long a holder need not say that it lives [s]. */
    private static final int HELD = 10;
    /** How long work is told of after its end [min]. */
    private static final int KEPT = 10;
    /** Files of all servers that are kept; the oldest go first. */
    private static final int MOST_FILES = 40;
    /** Bytes of a part. */
    private static final int PART = 4 << 20;

    private final Database database;

    public MariaDbJobStore(Database database) {
        this.database = database;
    }

    @Override
    public boolean tell(JobRow row, boolean ended) {
        return database.in(s -> {
            JobMapper m = s.getMapper(JobMapper.class);
            m.tell(row, ended ? 0 : HELD);
            if (ended) {
                m.forget(KEPT);
            }
            return m.cancelled(row.id());
        });
    }

    @Override
    public Optional<JobRow> find(String id) {
        return Optional.ofNullable(database.in(s -> s.getMapper(JobMapper.class).find(id)));
    }

    @Override
    public void cancel(String id) {
        database.in(s -> s.getMapper(JobMapper.class).cancel(id));
    }

    @Override
    public void keep(String id, String type, String name, InputStream content) throws IOException {
        // one transaction a part: a large file holds no other work up
        boolean told = database.in(s -> {
            JobMapper m = s.getMapper(JobMapper.class);
            m.files().stream().skip(MOST_FILES - 1L).forEach(m::removeFile);
            return m.insertFile(id, type, name) > 0;
        });
        int part = 0;
        for (byte[] b = content.readNBytes(PART); told && b.length > 0; b = content.readNBytes(PART)) {
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
