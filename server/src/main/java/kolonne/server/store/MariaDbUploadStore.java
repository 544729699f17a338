package kolonne.server.store;

import java.util.Optional;

/** Files between upload and use in MariaDB. */
public final class MariaDbUploadStore implements UploadStore {
    /** That are kept for all projects together, and what they may have in all [bytes]; the newest stays whatever its size. */
    private static final int MOST = 100;

    private static final long MOST_BYTES = 512L << 20;
    /** How long one waits to be used [h]. */
    private static final int KEPT = 24;

    private final Database database;

    public MariaDbUploadStore(Database database) {
        this.database = database;
    }

    @Override
    public void keep(String id, String kind, Upload what) {
        database.in(s -> {
            UploadMapper m = s.getMapper(UploadMapper.class);
            m.forget(KEPT);
            makeRoom(m, what.content().length);
            return m.insert(id, kind, what, what.content().length);
        });
        Parts.each(
                what.content(),
                (part, content) ->
                        database.in(s -> s.getMapper(UploadMapper.class).insertPart(id, part, content)));
        database.in(s -> s.getMapper(UploadMapper.class).whole(id));
    }

    private static void makeRoom(UploadMapper m, long bytes) {
        int number = 1;
        long all = bytes;
        for (UploadMapper.Kept k : m.kept()) {
            number++;
            all += k.bytes();
            if (number > MOST || all > MOST_BYTES) {
                m.remove(k.id());
            }
        }
    }

    @Override
    public Optional<Upload> find(String id, String kind) {
        UploadMapper.Named n = database.in(s -> s.getMapper(UploadMapper.class).find(id, kind));
        return Optional.ofNullable(n)
                .map(u -> new Upload(
                        u.projectId(),
                        u.fileName(),
                        Parts.joined(part ->
                                database.in(s -> s.getMapper(UploadMapper.class).part(id, part)))));
    }

    @Override
    public void drop(String id) {
        database.in(s -> s.getMapper(UploadMapper.class).remove(id));
    }
}
