package kolonne.server.store;

import java.util.Optional;

/** Files between upload and use, for whichever server is asked next. */
public interface UploadStore {
    /** Of a server by itself, which keeps them in its memory alone. */
    UploadStore ALONE = new UploadStore() {
        @Override
        public void keep(String id, String kind, Upload what) {}

        @Override
        public Optional<Upload> find(String id, String kind) {
            return Optional.empty();
        }

        @Override
        public void drop(String id) {}
    };

    /** Keeps a file; the oldest go where many or large ones are kept. */
    void keep(String id, String kind, Upload what);

    Optional<Upload> find(String id, String kind);

    void drop(String id);
}
