package kolonne.server.store;

import java.time.LocalDateTime;

/**
 * Something that a person did.
 *
 * @param body    JSON
 * @param madeAt  UTC; null while it is not stored
 * @param person  by whom, as they call themselves; empty where they do not say
 * @param effects what it brought with it, JSON; null where there was nothing
 */
public record CommandRow(
        String projectId,
        Integer version,
        String kind,
        String body,
        LocalDateTime madeAt,
        String person,
        String effects) {}
