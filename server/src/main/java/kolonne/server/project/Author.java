package kolonne.server.project;

/**
 * Who makes a change.
 *
 * @param person as they call themselves; empty where they do not say
 * @param window of which they have several, so that each knows its own changes
 */
public record Author(String person, String window) {
    /** Nobody said who. */
    public static final Author UNKNOWN = new Author("", "");
}
