package kolonne.server.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.store.By;

/** Accounts that are being linked to a person of the provider: begun while signed in, done when the browser comes back. */
public final class Links {
    private static final Duration LONGEST = Duration.ofMinutes(15);
    private static final int MOST = 1000;

    private record Begun(Caller who, Instant until) {}

    private final Accounts accounts;
    private final Clock clock;
    private final Map<String, Begun> byState = new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Begun> eldest) {
            return size() > MOST;
        }
    };

    Links(Accounts accounts, Clock clock) {
        this.accounts = accounts;
        this.clock = clock;
    }

    /** @param state of the request to the provider. @throws Refusal for who is not signed in for good */
    public synchronized void begin(String state, Optional<Caller> who) {
        Caller c = who.filter(w -> !w.mustChange())
                .orElseThrow(() -> new Refusal(401, "sign-in", "You are not signed in.", "Sign in and try again."));
        byState.put(state, new Begun(c, clock.instant().plus(LONGEST)));
    }

    /** Links the account that began with a state. @param address from where. @throws Refusal if that was here long ago, or the person has another account */
    public void end(String state, OpenId.Person person, String address) {
        Begun b;
        synchronized (this) {
            b = byState.remove(state);
        }
        if (b == null || clock.instant().isAfter(b.until())) {
            throw new Refusal(403, "stale", "This began elsewhere or long ago.", "Begin again.");
        }
        Caller who = b.who();
        accounts.link(who.account(), person, new By(who.name(), who.account(), address, ""));
    }

    /** Whether somebody signs in through the provider already. */
    public boolean linked(Caller who) {
        return accounts.linked(who.account());
    }
}
