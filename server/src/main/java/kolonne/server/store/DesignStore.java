package kolonne.server.store;

import java.util.List;
import java.util.Optional;

/** Designs as they were published, as bytes; only the build that wrote one reads it. */
public interface DesignStore {
    /** Keeps nothing. */
    DesignStore NONE = new DesignStore() {
        @Override
        public void keep(String project, int version, String build, byte[] design) {}

        @Override
        public List<Integer> versions(String project, String build) {
            return List.of();
        }

        @Override
        public Optional<byte[]> read(String project, int version, String build) {
            return Optional.empty();
        }

        @Override
        public void forget(String project, int version, String build) {}
    };

    /** Keeps a design with the newest few of its project; one of the same version stays as it is. */
    void keep(String project, int version, String build, byte[] design);

    /** Versions of which a design is kept, the newest first. */
    List<Integer> versions(String project, String build);

    Optional<byte[]> read(String project, int version, String build);

    /** Lets go of one that nobody can read. */
    void forget(String project, int version, String build);
}
