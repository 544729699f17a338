package kolonne.server.store;

/** Project data as stored. @param version grows by one with every change of it; @param logo or null */
public record ProjectDataRow(String projectId, Integer version, String body, byte[] logo) {}
