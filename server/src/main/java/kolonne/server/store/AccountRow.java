package kolonne.server.store;

import java.time.LocalDateTime;

/**
 * A person's account. Times are UTC.
 *
 * @param password   hash of the password
 * @param active     whether they may sign in
 * @param mustChange whether the password was given by an administrator and is to be changed first
 * @param failures   wrong passwords since the last right one
 * @param waitUntil  before when no password is tried; null for no wait
 */
public record AccountRow(
        String id,
        String name,
        String password,
        Boolean administrator,
        Boolean active,
        Boolean mustChange,
        Integer failures,
        LocalDateTime waitUntil,
        LocalDateTime madeAt,
        LocalDateTime signedInAt) {}
