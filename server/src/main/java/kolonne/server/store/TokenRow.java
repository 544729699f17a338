package kolonne.server.store;

import java.time.LocalDateTime;

/** A token of a program that works for a person. Times are UTC. @param secret SHA-256 of the token; @param usedAt last; null if never */
public record TokenRow(
        String id,
        String secret,
        String accountId,
        String name,
        LocalDateTime madeAt,
        LocalDateTime endsAt,
        LocalDateTime usedAt) {}
