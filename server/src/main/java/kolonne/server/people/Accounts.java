package kolonne.server.people;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.store.AccountRow;
import kolonne.server.store.By;
import kolonne.server.store.Ids;
import kolonne.server.store.PeopleMapper;
import kolonne.server.store.PeopleStore;

/** The accounts of an office, and what their administrators do with them. */
public final class Accounts {
    private static final int LONGEST_NAME = 60;
    /** Accounts of one name, told apart by a number. */
    private static final int NAMESAKES = 99;

    /** Wrong passwords before one has to wait; the wait doubles with each further one. */
    private static final int FREE = 5;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    private final PeopleStore store;
    private final Clock clock;
    private final Strangers strangers = new Strangers();

    public Accounts(PeopleStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** An account with a password that is told this once. */
    public record Given(AccountRow account, String password) {}

    LocalDateTime now() {
        return LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC).truncatedTo(ChronoUnit.MILLIS);
    }

    /** All accounts by name. */
    public List<AccountRow> all() {
        return store.in(PeopleMapper::accounts);
    }

    /** @throws NoSuchElementException if there is none */
    public AccountRow find(String id) {
        return store.in(m -> found(m, id));
    }

    private static AccountRow found(PeopleMapper m, String id) {
        return Optional.ofNullable(m.account(id))
                .orElseThrow(() -> new NoSuchElementException("There is no account " + id + "."));
    }

    /** Makes an account. @throws Refusal if the name cannot be one, or is taken */
    public Given add(String name, boolean administrator, By by) {
        String n = name == null ? "" : name.strip().replaceAll("\\s+", " ");
        if (n.isEmpty() || n.codePointCount(0, n.length()) > LONGEST_NAME || n.matches(".*\\p{Cntrl}.*")) {
            throw new Refusal(
                    422,
                    "account-name",
                    "The name is empty or longer than " + LONGEST_NAME + " characters.",
                    "Give the name under which the person signs in and stands in histories.");
        }
        String password = Passwords.given();
        AccountRow row = new AccountRow(
                Ids.random(), n, Passwords.hash(password), administrator, true, true, 0, null, now(), null);
        return store.in(by, (m, log) -> {
            if (m.insert(row) == 0) {
                throw new Refusal(
                        409, "account-name", "There is an account “" + n + "” already.", "Give another name.");
            }
            log.deed("", null, "account-add", n + (administrator ? ", administrator" : ""));
            return new Given(row, password);
        });
    }

    /** The account of whoever a provider knows; made where there is none yet, under a name that is free. */
    AccountRow of(OpenId.Person person) {
        String subject = Secrets.kept(person.issuer() + "\n" + person.subject());
        return store.in(By.NOBODY, (m, log) -> {
            AccountRow known = m.bySubject(subject);
            if (known != null) {
                return known;
            }
            String name = named(person.name());
            for (int i = 1; i <= NAMESAKES; i++) {
                String free = i == 1 ? name : name + " " + i;
                AccountRow row = new AccountRow(Ids.random(), free, "", false, true, false, 0, null, now(), null);
                if (m.insert(row) > 0) {
                    m.setSubject(row.id(), subject);
                    log.deed("", null, "account-add", free + ", by the provider");
                    return row;
                }
            }
            throw new Refusal(409, "account-name", "There are too many accounts “" + name + "”.", "Rename one.");
        });
    }

    /** Lets whoever has an account sign in as somebody that a provider knows as well. @throws Refusal if another account is theirs already */
    void link(String id, OpenId.Person person, By by) {
        String subject = Secrets.kept(person.issuer() + "\n" + person.subject());
        store.in(by, (m, log) -> {
            AccountRow known = m.bySubject(subject);
            if (known != null && !known.id().equals(id)) {
                throw new Refusal(
                        409,
                        "linked",
                        "The provider's person has the account “" + known.name() + "” here already.",
                        "Sign in as that one, or ask an administrator.");
            }
            AccountRow own = found(m, id);
            m.setSubject(id, subject);
            log.deed("", null, "account-link", own.name());
            return own;
        });
    }

    /** Whether somebody signs in through the provider. */
    boolean linked(String id) {
        return store.in(m -> m.linked(id)) > 0;
    }

    private static String named(String told) {
        String n =
                told == null ? "" : told.replaceAll("\\p{Cntrl}", " ").strip().replaceAll("\\s+", " ");
        int most = LONGEST_NAME - 4;
        return n.isEmpty()
                ? "colleague"
                : n.codePointCount(0, n.length()) <= most ? n : n.substring(0, n.offsetByCodePoints(0, most));
    }

    /** Gives an account a new password, told this once, and ends all that is signed in with the old one. */
    public Given reset(String id, By by) {
        String password = Passwords.given();
        String hash = Passwords.hash(password);
        return store.in(by, (m, log) -> {
            AccountRow row = found(m, id);
            m.setPassword(id, hash, true);
            m.endSignIns(id, "");
            m.endTokens(id);
            log.deed("", null, "account-reset", row.name());
            return new Given(row, password);
        });
    }

    /**
     * Whether an account may sign in and is an administrator. One that may not is signed out at once.
     *
     * @throws Refusal if nobody would be left to administrate
     */
    public AccountRow stand(String id, boolean active, boolean administrator, By by) {
        return store.in(by, (m, log) -> {
            AccountRow row = found(m, id);
            List<String> administrators = m.administrators();
            if (!(active && administrator) && administrators.equals(List.of(id))) {
                throw new Refusal(
                        409,
                        "last-administrator",
                        row.name() + " is the last administrator.",
                        "Make somebody else an administrator first.");
            }
            m.setStanding(id, active, administrator);
            if (!active) {
                m.endSignIns(id, "");
                m.endTokens(id);
            }
            log.deed(
                    "",
                    null,
                    "account-change",
                    row.name() + (active ? "" : ", may not sign in") + (administrator ? ", administrator" : ""));
            return found(m, id);
        });
    }

    /** Takes a password for that of an account; each try is counted before it is looked at, and too many wrong ones make the next ones wait. */
    Optional<AccountRow> known(String name, String password) {
        AccountRow row = name == null ? null : store.in(m -> tried(m, name.strip()));
        boolean fits = Passwords.fits(password, row == null || row.password().isEmpty() ? null : row.password());
        if (!fits || !row.active()) {
            return Optional.empty();
        }
        store.in(m -> m.right(row.id()));
        return Optional.of(row);
    }

    private AccountRow tried(PeopleMapper m, String name) {
        AccountRow row = m.named(name);
        if (row == null) {
            strangers.merge(name.toLowerCase(Locale.ROOT), this::tried);
            return null;
        }
        patient(row.waitUntil());
        m.failed(row.id(), until(row.failures() + 1));
        return row;
    }

    /** A name that nobody has waits like one that somebody has, so that guessing does not tell which there are. */
    private Strangers.Tries tried(Strangers.Tries before) {
        patient(before.waitUntil());
        int failures = before.failures() + 1;
        return new Strangers.Tries(failures, until(failures));
    }

    private void patient(LocalDateTime until) {
        if (until != null && now().isBefore(until)) {
            throw tooMany(Duration.between(now(), until));
        }
    }

    private LocalDateTime until(int failures) {
        if (failures < FREE) {
            return null;
        }
        int doublings = Math.min(failures - FREE, 20);
        Duration wait = FIRST_WAIT.multipliedBy(1L << doublings);
        return now().plus(wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT);
    }

    static Refusal tooMany(Duration d) {
        long s = Math.max(1, d.toSeconds() + 1);
        return new Refusal(
                429,
                "wait",
                "Too many wrong passwords.",
                "Wait " + (s < 90 ? s + " seconds" : (s + 59) / 60 + " minutes")
                        + ", or have an administrator give a new password.");
    }

    /**
     * Changes one's own password; all other browsers that are signed in with the old one are signed out, and its tokens end.
     *
     * @throws Refusal if the old one is wrong, or the new one is too weak or the same
     */
    public void changePassword(Caller who, String old, String password, By by) {
        AccountRow row = find(who.account());
        if (known(row.name(), old).isEmpty()) {
            throw new Refusal(422, "password", "The old password is wrong.", "Type the one that you signed in with.");
        }
        Passwords.fault(password, row.name()).ifPresent(why -> {
            throw new Refusal(422, "password", "The new password is too weak. " + why, "Some unrelated words do well.");
        });
        if (password.equals(old)) {
            throw new Refusal(422, "password", "The new password is the old one.", "Choose another.");
        }
        String hash = Passwords.hash(password);
        store.in(by, (m, log) -> {
            m.setPassword(row.id(), hash, false);
            m.endSignIns(row.id(), who.secret() == null ? "" : who.secret());
            m.endTokens(row.id());
            log.deed("", null, "password", "");
            return null;
        });
    }
}
