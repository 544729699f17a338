package kolonne.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Optional;

/** Work of several servers as each of them tells of it, and the files that it made. */
public interface JobStore {
    /** Of a server by itself: nobody else asks. */
    JobStore ALONE = new JobStore() {
        @Override
        public boolean tell(JobRow row, boolean ended) {
            return false;
        }

        @Override
        public Optional<JobRow> find(String id) {
            return Optional.empty();
        }

        @Override
        public void cancel(String id) {}

        @Override
        public void keep(String id, String type, String name, InputStream content) {}

        @Override
        public Optional<File> file(String id) {
            return Optional.empty();
        }

        @Override
        public void read(String id, OutputStream out) {}
    };

    /** What a file is. @param type of its content; {@code name} that it is saved under */
    record File(String type, String name) {}

    /** Tells how work stands that is done here, and that this server lives. @return whether somebody wants it stopped */
    boolean tell(JobRow row, boolean ended);

    Optional<JobRow> find(String id);

    /** Asks for the end of work, wherever it is done. */
    void cancel(String id);

    /** Keeps the file that work made; nothing where the work is not told. */
    void keep(String id, String type, String name, InputStream content) throws IOException;

    Optional<File> file(String id);

    /** Writes a kept file part by part. */
    void read(String id, OutputStream out) throws IOException;
}
