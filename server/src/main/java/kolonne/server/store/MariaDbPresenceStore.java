package kolonne.server.store;

import java.util.List;

/** Presence in MariaDB. */
public final class MariaDbPresenceStore implements PresenceStore {
    private final Database database;

    public MariaDbPresenceStore(Database database) {
        this.database = database;
    }

    @Override
    public void put(String server, List<Here> windows) {
        database.in(s -> {
            PresenceMapper m = s.getMapper(PresenceMapper.class);
            m.clear(server);
            for (int i = 0; i < windows.size(); i++) {
                m.insert(server, i, windows.get(i));
            }
            return windows.size();
        });
    }

    @Override
    public List<Here> elsewhere(String server) {
        return database.in(s -> s.getMapper(PresenceMapper.class).elsewhere(server));
    }
}
