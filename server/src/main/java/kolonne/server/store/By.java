package kolonne.server.store;

/**
 * Who has something stored.
 *
 * @param person  as they are called in histories; empty where they do not say
 * @param account id of their account; null where people need none
 * @param address of the network from where they ask; empty for what the server does itself
 * @param window  in which they do it, so that it knows its own changes on whichever server; empty where none tells
 */
public record By(String person, String account, String address, String window) {
    /** The server itself, or nobody who is known. */
    public static final By NOBODY = new By("", null, "", "");
}
