package kolonne.server.store;

import java.time.LocalDateTime;

/** A project. @param version grows by one with every command; what an ETag shows */
public record ProjectRow(String id, String name, LocalDateTime createdAt, LocalDateTime changedAt, Integer version) {}
