package kolonne.server.store;

import java.util.List;

/** Which windows have which project open on which server. */
public interface PresenceStore {
    /** Of a server that shares with nobody. */
    PresenceStore ALONE = new PresenceStore() {
        @Override
        public void put(String server, List<Here> windows) {}

        @Override
        public List<Here> elsewhere(String server) {
            return List.of();
        }
    };

    /** A window that has a project open. @param person what the one at it is called; may be empty */
    record Here(String projectId, String person, String madeIn) {}

    /** Tells all windows of a server, in place of those told before. */
    void put(String server, List<Here> windows);

    /** Windows of other servers that live. */
    List<Here> elsewhere(String server);
}
