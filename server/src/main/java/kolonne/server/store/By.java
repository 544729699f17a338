package kolonne.server.store;

/**
 * Who has something stored.
 *
 * @param person  as they are called in histories; empty where they do not say
 * @param account id of their account; null where people need none
 * @param address of the network from where they ask; empty for what the server does itself
 */
public record By(String person, String account, String address) {
    /** The server itself, or nobody who is known. */
    public static final By NOBODY = new By("", null, "");
}
