package kolonne.server.store;

import java.time.LocalDateTime;

/** Something that the user did. @param body JSON */
public record CommandRow(String projectId, Integer version, String kind, String body, LocalDateTime madeAt) {}
