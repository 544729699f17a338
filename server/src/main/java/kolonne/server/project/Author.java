package kolonne.server.project;

import kolonne.server.store.By;

/**
 * Who makes a change.
 *
 * @param person  as they are called; empty where they do not say
 * @param window  of which they have several, so that each knows its own changes
 * @param account id of their account; null where people need none
 * @param address of the network from where they ask
 */
public record Author(String person, String window, String account, String address) {
    /** Nobody said who. */
    public static final Author UNKNOWN = new Author("", "", null, "");

    /** What is taken down of them. */
    public By by() {
        return new By(person, account, address, window);
    }
}
