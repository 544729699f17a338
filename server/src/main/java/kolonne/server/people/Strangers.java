package kolonne.server.people;

import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Passwords that were tried for names that nobody has. */
final class Strangers {
    /** Names that are remembered; the oldest go first. */
    private static final int NAMES = 10_000;

    private final Map<String, Tries> names = new LinkedHashMap<>();

    /** @param waitUntil before when no password is tried (UTC); null for no wait */
    record Tries(int failures, LocalDateTime waitUntil) {}

    synchronized void merge(String name, UnaryOperator<Tries> next) {
        names.put(name, next.apply(names.getOrDefault(name, new Tries(0, null))));
        if (names.size() > NAMES) {
            names.remove(names.keySet().iterator().next());
        }
    }
}
