package kolonne.server.store;

import java.time.LocalDateTime;

/** What is kept under a name for all projects. @param kind word of its {@link KeptKind}; @param body as its file has it */
public record KeptRow(String kind, String name, String body, LocalDateTime keptAt) {}
