package kolonne.server.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;

/** Wrong passwords by the address that they came from, so that nobody tries many names one after the other. */
final class Guesses {
    private static final int MOST = 50;
    private static final Duration WITHIN = Duration.ofMinutes(10);
    /** Addresses that are remembered; the oldest go first. */
    private static final int ADDRESSES = 10_000;

    private final Clock clock;
    private final Map<String, Count> counts = new LinkedHashMap<>();

    private record Count(Instant since, int wrong) {}

    Guesses(Clock clock) {
        this.clock = clock;
    }

    /** How long the address has to wait; zero where it need not. */
    synchronized Duration left(String address) {
        Count c = current(address);
        return c == null || c.wrong() < MOST
                ? Duration.ZERO
                : Duration.between(clock.instant(), c.since().plus(WITHIN));
    }

    synchronized void wrong(String address) {
        Count c = current(address);
        counts.put(address, c == null ? new Count(clock.instant(), 1) : new Count(c.since(), c.wrong() + 1));
        if (counts.size() > ADDRESSES) {
            counts.remove(counts.keySet().iterator().next());
        }
    }

    private Count current(String address) {
        Count c = counts.get(address);
        if (c != null && !clock.instant().isBefore(c.since().plus(WITHIN))) {
            counts.remove(address);
            return null;
        }
        return c;
    }
}
