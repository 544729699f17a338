package kolonne.server.project;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.UUID;

/** Tables of forces between upload and import. A few are kept; one that is gone is uploaded again. */
public final class ForceUploads {
    private static final int MOST = 6;
    private final Map<String, Upload> kept = new LinkedHashMap<>();

    /** An uploaded table. */
    public record Upload(String fileName, byte[] bytes) {}

    /** Keeps a table; returns the name to ask for it. */
    public synchronized String put(String fileName, byte[] bytes) {
        String id = UUID.randomUUID().toString();
        kept.put(id, new Upload(fileName, bytes));
        while (kept.size() > MOST) {
            kept.remove(kept.keySet().iterator().next());
        }
        return id;
    }

    /** @throws NoSuchElementException if it is no longer kept */
    public synchronized Upload get(String id) {
        Upload u = kept.get(id);
        if (u == null) {
            throw new NoSuchElementException("The table is no longer held; choose the file again.");
        }
        return u;
    }
}
