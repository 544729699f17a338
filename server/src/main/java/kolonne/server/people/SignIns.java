package kolonne.server.people;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.store.AccountRow;
import kolonne.server.store.By;
import kolonne.server.store.PeopleStore;
import kolonne.server.store.SignInRow;

/** Browsers that are signed in: by name and password, until they are left alone for a day or a fortnight is over. */
public final class SignIns {
    private static final Duration ALONE = Duration.ofHours(24);
    /** How long one lasts at most. */
    public static final Duration LONGEST = Duration.ofDays(14);
    /** How exactly it is kept when a browser was last seen. */
    private static final Duration SEEN = Duration.ofMinutes(1);

    private static final int LONGEST_DEVICE = 200;

    private final PeopleStore store;
    private final Accounts accounts;
    private final Guesses guesses;

    public SignIns(PeopleStore store, Accounts accounts, Clock clock) {
        this.store = store;
        this.accounts = accounts;
        this.guesses = new Guesses(clock);
    }

    /**
     * Signs a browser in. The answer and its time are the same for a wrong name and a wrong password.
     *
     * @param device as the browser calls itself
     * @return what its cookie holds
     * @throws Refusal if name or password is wrong, or too many were
     */
    public String begin(String name, String password, String address, String device) {
        Duration wait = guesses.left(address);
        if (!wait.isZero()) {
            throw Accounts.tooMany(wait);
        }
        Optional<AccountRow> known = accounts.known(name, password);
        if (known.isEmpty()) {
            guesses.wrong(address);
            throw new Refusal(
                    401,
                    "sign-in",
                    "Name or password is wrong.",
                    "Try again; an administrator of your office can give you a new password.");
        }
        return open(known.get(), address, device, "");
    }

    /** Signs in whom a provider knows. @throws Refusal if their account is closed */
    public String begin(OpenId.Person person, String address, String device) {
        AccountRow who = accounts.of(person);
        if (!who.active()) {
            throw new Refusal(403, "closed", "The account is closed.", "Ask an administrator of your office.");
        }
        return open(who, address, device, "by the provider");
    }

    private String open(AccountRow who, String address, String device, String how) {
        String secret = Secrets.random();
        LocalDateTime now = accounts.now();
        return store.in(new By(who.name(), who.id(), address, ""), (m, log) -> {
            m.endOldSignIns(now.minus(ALONE), now.minus(LONGEST));
            m.insertSignIn(new SignInRow(Secrets.kept(secret), who.id(), now, now, address, cut(device)));
            m.signedIn(who.id(), now);
            log.deed("", null, "sign-in", how);
            return secret;
        });
    }

    private static String cut(String device) {
        String d = device == null ? "" : device.replaceAll("\\p{Cntrl}", " ");
        return d.codePointCount(0, d.length()) <= LONGEST_DEVICE
                ? d
                : d.substring(0, d.offsetByCodePoints(0, LONGEST_DEVICE));
    }

    /** Who is signed in with what a cookie holds; nobody where that is over. */
    public Optional<Caller> caller(String secret) {
        String kept = Secrets.kept(secret);
        LocalDateTime now = accounts.now();
        return store.in(m -> {
            SignInRow row = m.signIn(kept);
            if (row == null
                    || row.seenAt().isBefore(now.minus(ALONE))
                    || row.beganAt().isBefore(now.minus(LONGEST))) {
                return Optional.empty();
            }
            AccountRow a = m.account(row.accountId());
            if (!a.active()) {
                return Optional.empty();
            }
            if (row.seenAt().isBefore(now.minus(SEEN))) {
                m.seen(kept, now);
            }
            return Optional.of(new Caller(a.id(), a.name(), a.administrator(), a.mustChange(), kept));
        });
    }

    /** Signs the browser of a caller out. */
    public void end(Caller who) {
        if (who.secret() != null) {
            store.in(m -> m.endSignIn(who.secret()));
        }
    }

    /** Browsers that a person is signed in with, the one seen last first. */
    public List<SignInRow> of(Caller who) {
        return store.in(m -> m.signIns(who.account()));
    }

    /** Signs all browsers of a person out but the one that asks. */
    public void endOthers(Caller who, By by) {
        store.in(by, (m, log) -> {
            log.deed("", null, "sign-out-others", "");
            return m.endSignIns(who.account(), who.secret() == null ? "" : who.secret());
        });
    }
}
