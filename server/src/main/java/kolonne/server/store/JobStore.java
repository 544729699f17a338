package kolonne.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.Set;

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
        public List<Silent> left(Set<String> kinds, String holder, int megabytes) {
            return List.of();
        }

        @Override
        public Optional<Left> takeUp(String id, String holder) {
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

    /** Work that waits to be taken up. @param handedOver by a server that was told to stop, rather than one that has not been heard of for a while */
    record Silent(String id, String kind, boolean handedOver) {}

    /** Work whose server died. @param project that it belongs to, or null. @param content of the file that was brought */
    record Left(String id, String project, Brought what, byte[] content) {}

    /** Tells how work stands that is done here, and that this server lives. @return whether somebody wants it stopped, or another server took it up */
    boolean tell(JobRow row, boolean ended);

    Optional<JobRow> find(String id);

    /** Asks for the end of work, wherever it is done. */
    void cancel(String id);

    /** Keeps what work is made of until it has ended, so that another server can take it up. @return whether one can */
    boolean bring(String id, Brought what, byte[] content);

    /** Work of some kinds that others left or have not been heard of for a while, if it takes no more memory than that; left longest ago first. */
    List<Silent> left(Set<String> kinds, String holder, int megabytes);

    /** Takes up such work; empty where another was faster or its holder has been heard of again. */
    Optional<Left> takeUp(String id, String holder);

    /** What a holder has brought waits for others at once. */
    void release(String id, String holder);

    /** Keeps the file that work made; nothing where the work is not told. */
    void keep(String id, String type, String name, InputStream content) throws IOException;

    Optional<File> file(String id);

    /** Writes a kept file part by part. */
    void read(String id, OutputStream out) throws IOException;
}
