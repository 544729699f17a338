package kolonne.server.people;

import at.favre.lib.crypto.bcrypt.BCrypt;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import kolonne.server.guard.Refusal;
import kolonne.server.store.Ids;

/** Passwords: what may be one, and their hashes (bcrypt). */
final class Passwords {
    private static final int SHORTEST = 12;
    /** bcrypt looks at no more bytes. */
    private static final int MOST_BYTES = 72;

    private static final int LEAST_DIFFERENT = 5;
    /** Doublings of the work of a hash, unless the server is started with others. */
    static final int USUAL_COST = 11;

    private static final int COST = cost(System.getProperty("kolonne.password.cost"));

    /** So many are hashed at a time, and so many wait for it: guessing leaves processor and threads to others. */
    private static final Semaphore AT_ONCE = new Semaphore(2, true);

    private static final Semaphore ROOM = new Semaphore(20);

    /** Compared with where there is no account of a name, so that the answer takes as long. */
    private static final String NOBODYS = hash(Ids.random(24));

    private Passwords() {}

    /** What a server is started with, where bcrypt knows it (4 to 31); a hash keeps the cost it was made with. @param told null where nothing is */
    static int cost(String told) {
        return told != null && told.matches("[4-9]|[12][0-9]|3[01]") ? Integer.parseInt(told) : USUAL_COST;
    }

    /** Why it may not be a password; empty where it may. */
    static Optional<String> fault(String password, String name) {
        if (password == null || password.codePointCount(0, password.length()) < SHORTEST) {
            return Optional.of("It has fewer than " + SHORTEST + " characters.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of("It is longer than " + MOST_BYTES + " bytes.");
        }
        if (password.codePoints().distinct().count() < LEAST_DIFFERENT) {
            return Optional.of("It repeats the same few characters.");
        }
        if (password.toLowerCase(Locale.ROOT).contains(name.toLowerCase(Locale.ROOT))) {
            return Optional.of("It holds the name of the account.");
        }
        return Optional.empty();
    }

    static String hash(String password) {
        return held(() -> BCrypt.withDefaults().hashToString(COST, password.toCharArray()));
    }

    /** @param hash of the account; null where there is none of the name */
    static boolean fits(String password, String hash) {
        if (password == null || password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return false;
        }
        boolean same =
                held(() -> BCrypt.verifyer().verify(password.toCharArray(), hash == null ? NOBODYS : hash)).verified;
        return same && hash != null;
    }

    /** One that is told once, to be changed at the first sign-in: four groups of four. */
    static String given() {
        return String.join("-", Ids.random(4), Ids.random(4), Ids.random(4), Ids.random(4));
    }

    private static <T> T held(Supplier<T> work) {
        if (!ROOM.tryAcquire()) {
            throw new Refusal(503, "busy", "Too many sign in at once.", "Try again in a moment.");
        }
        AT_ONCE.acquireUninterruptibly();
        try {
            return work.get();
        } finally {
            AT_ONCE.release();
            ROOM.release();
        }
    }
}
