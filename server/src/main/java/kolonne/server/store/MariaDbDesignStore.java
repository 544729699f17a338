package kolonne.server.store;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Kept designs in MariaDB, in parts that are smaller than what any server lets through at once. */
public final class MariaDbDesignStore implements DesignStore {
    /** Bytes of a part. */
    private static final int PART = 4 << 20;
    /** Designs of a project that are kept: of the basis in force, and of those that an undo and a redo bring back. */
    private static final int MOST = 3;

    private final Database database;

    public MariaDbDesignStore(Database database) {
        this.database = database;
    }

    @Override
    public void keep(String project, int version, String build, byte[] design) {
        String id = Ids.random();
        database.in(s -> {
            DesignMapper m = s.getMapper(DesignMapper.class);
            if (m.insert(id, project, version, build, Database.now()) == 0) {
                return false;
            }
            for (int from = 0; from < design.length; from += PART) {
                m.insertPart(id, from / PART, Arrays.copyOfRange(design, from, Math.min(design.length, from + PART)));
            }
            m.ofProject(project).stream().skip(MOST).forEach(m::remove);
            return true;
        });
    }

    @Override
    public List<Integer> versions(String project, String build) {
        return database.in(s -> s.getMapper(DesignMapper.class).versions(project, build));
    }

    @Override
    public Optional<byte[]> read(String project, int version, String build) {
        List<byte[]> parts = database.in(s -> s.getMapper(DesignMapper.class).parts(project, version, build));
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        parts.forEach(whole::writeBytes);
        return parts.isEmpty() ? Optional.empty() : Optional.of(whole.toByteArray());
    }

    @Override
    public void forget(String project, int version, String build) {
        database.in(s -> s.getMapper(DesignMapper.class).forget(project, version, build));
    }
}
