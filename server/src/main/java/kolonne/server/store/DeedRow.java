package kolonne.server.store;

import java.time.LocalDateTime;

/**
 * That somebody did something.
 *
 * @param projectId of the project; empty for what belongs to none
 * @param version   of the project that it made; null where it made none
 * @param address   of the network from where; empty for what the server did itself
 * @param kind      what, as a word
 * @param detail    in words; may be empty
 */
public record DeedRow(
        LocalDateTime madeAt,
        String projectId,
        Integer version,
        String person,
        String address,
        String kind,
        String detail) {}
