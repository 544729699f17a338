package kolonne.server.store;

/** How the columns of a table of station forces were read. @param body JSON */
public record MappingRow(String name, String body) {}
