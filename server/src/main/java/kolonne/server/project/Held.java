package kolonne.server.project;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import kolonne.server.store.Database;
import kolonne.server.store.Upload;
import kolonne.server.store.UploadStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What was uploaded for a project and is still to be taken. A few are kept in memory, of large ones only the newest; files are kept for other servers as well,
 * and for this one once it has let go of them. One that is gone everywhere is uploaded again.
 */
public final class Held<T> {
    private static final Logger LOG = LoggerFactory.getLogger(Held.class);
    /** Bytes of files that are kept beside the newest. */
    private static final long MOST_BYTES = 128L << 20;

    private final Kind<T> kind;
    private final UploadStore store;
    private final Map<String, T> kept = new LinkedHashMap<>();

    /**
     * What is held.
     *
     * @param word in the store
     * @param most how many are kept in memory
     * @param gone what to say of one that is no longer
     * @param file of it
     * @param read makes it of its file again
     */
    record Kind<T>(String word, int most, String gone, Function<T, Upload> file, Function<Upload, T> read) {}

    Held(Kind<T> kind, UploadStore store) {
        this.kind = kind;
        this.store = store;
    }

    /** Keeps something; returns the name to ask for it. */
    public String put(T what) {
        String id = UUID.randomUUID().toString();
        try {
            store.keep(id, kind.word, kind.file.apply(what));
        } catch (RuntimeException e) {
            LOG.warn("upload {} is not kept for other servers: {}", id, e.toString());
        }
        hold(id, what);
        return id;
    }

    private synchronized void hold(String id, T what) {
        kept.put(id, what);
        while (kept.size() > kind.most || kept.size() > 1 && bytes() > MOST_BYTES) {
            kept.remove(kept.keySet().iterator().next());
        }
    }

    private long bytes() {
        return kept.values().stream()
                .mapToLong(t -> kind.file.apply(t).content().length)
                .sum();
    }

    private synchronized Optional<T> here(String id) {
        return Optional.ofNullable(kept.get(id));
    }

    /** @throws NoSuchElementException if it is no longer kept, or was uploaded for another project */
    public T get(String project, String id) {
        T what = here(id).orElseGet(() -> {
            T again = store.find(id, kind.word).map(kind.read).orElseThrow(() -> new NoSuchElementException(kind.gone));
            hold(id, again);
            return again;
        });
        if (!kind.file.apply(what).project().equals(project)) {
            throw new NoSuchElementException("The file was chosen for another project; choose it here again.");
        }
        return what;
    }

    /** Lets go of something. */
    public void drop(String id) {
        synchronized (this) {
            kept.remove(id);
        }
        try {
            store.drop(id);
        } catch (RuntimeException e) {
            if (!Database.isOutage(e)) {
                throw e;
            }
            LOG.debug("upload {} stays until it is forgotten", id, e);
        }
    }
}
