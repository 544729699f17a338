package kolonne.server.people;

import java.time.LocalDateTime;
import java.time.Period;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.store.AccountRow;
import kolonne.server.store.By;
import kolonne.server.store.Ids;
import kolonne.server.store.PeopleStore;
import kolonne.server.store.TokenRow;

/** Tokens with which programs work for a person: told once, good for a year, ended with the password. */
public final class Tokens {
    private static final String PREFIX = "kol_";
    private static final Period LIFE = Period.ofYears(1);
    private static final int MOST = 20;
    private static final int LONGEST_NAME = 60;

    private final PeopleStore store;
    private final Accounts accounts;

    public Tokens(PeopleStore store, Accounts accounts) {
        this.store = store;
        this.accounts = accounts;
    }

    /** A token as it is made. @param secret told this once */
    public record Made(TokenRow row, String secret) {}

    /** @param name of the program or machine that uses it. @throws Refusal if it has no name, or there are too many */
    public Made make(Caller who, String name, By by) {
        String n = name == null ? "" : name.strip();
        if (n.isEmpty() || n.codePointCount(0, n.length()) > LONGEST_NAME) {
            throw new Refusal(
                    422,
                    "token-name",
                    "The name is empty or longer than " + LONGEST_NAME + " characters.",
                    "Say which program or machine uses the token.");
        }
        String secret = PREFIX + Secrets.random();
        LocalDateTime now = accounts.now();
        TokenRow row = new TokenRow(Ids.random(), Secrets.kept(secret), who.account(), n, now, now.plus(LIFE), null);
        return store.in(by, (m, log) -> {
            if (m.tokens(who.account()).size() >= MOST) {
                throw new Refusal(409, "token-many", "You have " + MOST + " tokens already.", "End one first.");
            }
            m.insertToken(row);
            log.deed("", null, "token-add", n);
            return new Made(row, secret);
        });
    }

    public List<TokenRow> of(Caller who) {
        return store.in(m -> m.tokens(who.account()));
    }

    /** @throws NoSuchElementException if the person has no such token */
    public void end(Caller who, String id, By by) {
        store.in(by, (m, log) -> {
            if (m.endToken(who.account(), id) == 0) {
                throw new NoSuchElementException("You have no token " + id + ".");
            }
            log.deed("", null, "token-end", "");
            return null;
        });
    }

    /** For whom a program works; nobody where its token is over, or the person may not sign in. */
    public Optional<Caller> caller(String secret) {
        String kept = Secrets.kept(secret);
        LocalDateTime now = accounts.now();
        return store.in(m -> {
            TokenRow row = m.token(kept);
            if (row == null || row.endsAt().isBefore(now)) {
                return Optional.empty();
            }
            AccountRow a = m.account(row.accountId());
            if (!a.active()) {
                return Optional.empty();
            }
            if (row.usedAt() == null || row.usedAt().isBefore(now.minusMinutes(1))) {
                m.used(kept, now);
            }
            return Optional.of(new Caller(a.id(), a.name(), a.administrator(), a.mustChange(), null));
        });
    }
}
