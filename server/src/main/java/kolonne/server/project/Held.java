package kolonne.server.project;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.UUID;

/** What was uploaded and is still to be taken. A few are kept; one that is gone is uploaded again. */
public final class Held<T> {
    private final int most;
    private final String gone;
    private final Map<String, T> kept = new LinkedHashMap<>();

    /** @param most how many are kept; @param gone what to say of one that is no longer */
    public Held(int most, String gone) {
        this.most = most;
        this.gone = gone;
    }

    /** Keeps something; returns the name to ask for it. */
    public synchronized String put(T what) {
        String id = UUID.randomUUID().toString();
        kept.put(id, what);
        while (kept.size() > most) {
            kept.remove(kept.keySet().iterator().next());
        }
        return id;
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
