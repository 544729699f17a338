package kolonne.server.project;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.function.ToLongFunction;

/** What was uploaded and is still to be taken. A few are kept, of large ones only the newest; one that is gone is uploaded again. */
public final class Held<T> {
    /** Bytes of files that are kept beside the newest. */
    private static final long MOST_BYTES = 128L << 20;

    private final int most;
    private final String gone;
    private final ToLongFunction<T> size;
    private final Map<String, T> kept = new LinkedHashMap<>();

    /**
     * @param most how many are kept
     * @param gone what to say of one that is no longer
     * @param size of what is kept [bytes]
     */
    public Held(int most, String gone, ToLongFunction<T> size) {
        this.most = most;
        this.gone = gone;
        this.size = size;
    }

    /** Keeps something; returns the name to ask for it. */
    public synchronized String put(T what) {
        String id = UUID.randomUUID().toString();
        kept.put(id, what);
        while (kept.size() > most || kept.size() > 1 && bytes() > MOST_BYTES) {
            kept.remove(kept.keySet().iterator().next());
        }
        return id;
    }

    private long bytes() {
        return kept.values().stream().mapToLong(size).sum();
    }

    /** @throws NoSuchElementException if it is no longer kept */
    public synchronized T get(String id) {
        T what = kept.get(id);
        if (what == null) {
            throw new NoSuchElementException(gone);
        }
        return what;
    }

    /** Lets go of something. */
    public synchronized void drop(String id) {
        kept.remove(id);
    }
}
