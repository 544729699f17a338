package kolonne.server.store;

/** What several servers on one database share besides projects. */
public record Shared(DesignStore designs, WorkStore work, PresenceStore presence, UploadStore uploads) {
    /** Of a server by itself, which keeps nothing over a restart. */
    public static final Shared NONE =
            new Shared(DesignStore.NONE, WorkStore.ALONE, PresenceStore.ALONE, UploadStore.ALONE);

    public static Shared of(Database d) {
        return new Shared(
                new MariaDbDesignStore(d),
                new MariaDbWorkStore(d),
                new MariaDbPresenceStore(d),
                new MariaDbUploadStore(d));
    }
}
