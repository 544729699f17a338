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
        public boolean bring(String id, Brought what, byte[] content) {
            return false;
        }

        @Override
        public Optional<Left> takeUp(String kind, String holder, int megabytes) {
            return Optional.empty();
        }

        @Override
        public void release(String id, String holder) {}

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

    /** Work whose server died. @param project that it belongs to, or null. @param content of the file that was brought */
    record Left(String id, String project, Brought what, byte[] content) {}

    /** Tells how work stands that is done here, and that this server lives. @return whether somebody wants it stopped, or another server took it up */
    boolean tell(JobRow row, boolean ended);

    Optional<JobRow> find(String id);

    /** Asks for the end of work, wherever it is done. */
    void cancel(String id);

    /** Keeps what work is made of until it has ended, so that another server can take it up. @return whether one can */
    boolean bring(String id, Brought what, byte[] content);

    /** Takes up work of a kind whose holder has not said for a while that it lives, if it takes no more memory than that. */
    Optional<Left> takeUp(String kind, String holder, int megabytes);

    /** What a holder has brought waits for others at once. */
    void release(String id, String holder);

    /** Keeps the file that work made; nothing where the work is not told. */
    void keep(String id, String type, String name, InputStream content) throws IOException;

    Optional<File> file(String id);

    /** Writes a kept file part by part. */
    void read(String id, OutputStream out) throws IOException;
}
