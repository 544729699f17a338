package kolonne.server.store;

/** How far a project is. */
public record VersionRow(String id, Integer version) {}
