package kolonne.server.store;

/** A file between upload and use. @param project that it was uploaded for */
public record Upload(String project, String fileName, byte[] content) {}
