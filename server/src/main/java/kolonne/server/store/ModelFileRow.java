package kolonne.server.store;

/** The model as uploaded. @param content gzip */
public record ModelFileRow(String projectId, String fileName, byte[] content) {}
