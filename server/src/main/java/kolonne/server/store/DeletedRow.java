package kolonne.server.store;

import java.time.LocalDateTime;

/** A project that was deleted and rests. @param deletedBy as people call themselves; may be empty */
public record DeletedRow(String id, String name, LocalDateTime deletedAt, String deletedBy) {}
