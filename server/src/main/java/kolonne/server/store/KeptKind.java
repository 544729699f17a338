package kolonne.server.store;

import java.util.Locale;

/** What is kept for all projects; names differ within a kind. */
public enum KeptKind {
    BASIS,
    SECTION;

    /** As records and the log of deeds have it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
