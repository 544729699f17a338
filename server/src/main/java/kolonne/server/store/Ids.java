package kolonne.server.store;

import java.security.SecureRandom;

/** Ids of rows: twelve letters and digits that nobody mistakes for one another. */
public final class Ids {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int LONG = 12;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Ids() {}

    public static String random() {
        return random(LONG);
    }

    /** @param letters how many; each is one of 31 */
    public static String random(int letters) {
        StringBuilder s = new StringBuilder();
        for (int i = 0; i < letters; i++) {
            s.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return s.toString();
    }
}
