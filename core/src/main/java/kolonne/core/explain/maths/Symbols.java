package kolonne.core.explain.maths;

import java.util.List;
import java.util.Set;

/**
 * How the symbol of a quantity is set: its first letter, Latin or Greek, is the quantity, all else its index ({@code fyt}, {@code VRd,max}); a Greek letter before a
 * capital is a factor or a sign of its own ({@code φVn}, {@code ΣMnb}).
 */
final class Symbols {
    static final Set<String> FUNCTIONS = Set.of("max", "min", "cot", "tan", "sin", "cos");
    /** Symbols of several small Latin letters; every other such token is a word. */
    private static final Set<String> SMALL = Set.of(
            "bw", "bt", "bj", "fy", "fyt", "fyk", "fyd", "fywd", "fck", "fcd", "fctm", "fctd", "fbd", "fs", "fr", "ft",
            "lu", "ln", "lo", "lbd", "ldh", "db", "dt", "hmin", "hc", "ph", "pcp", "kt", "kf", "kn", "sr", "wk", "rm",
            "uk", "tef", "yt", "vu", "vmin", "is", "xu");
    /** What can follow a capital as its index, so that other tokens that begin so are words. */
    private static final Set<String> INDICES = Set.of(
            "u", "n", "a", "c", "s", "e", "g", "r", "o", "k", "j", "t", "h", "m", "v", "d", "l", "b", "x", "y", "st",
            "cr", "ch", "cp", "oh", "ux", "uy", "nx", "ny", "nc", "nb", "pr", "Ed", "Rd", "sl", "sw", "col", "sway",
            "foot", "head", "I", "II", "φ");

    private Symbols() {}

    static boolean greek(char c) {
        return c >= 'Α' && c <= 'ω' || c == 'ℓ';
    }

    /** Whether letters, digits and primes are a symbol and not a word. */
    static boolean known(String s) {
        String stem = s.contains(",") ? s.substring(0, s.indexOf(',')) : s;
        char first = stem.charAt(0);
        if (greek(first) || stem.length() == 1 || stem.indexOf('′') > 0) {
            return true;
        }
        boolean digits = stem.chars().anyMatch(Character::isDigit);
        return digits || SMALL.contains(stem) || Character.isUpperCase(first) && INDICES.contains(stem.substring(1));
    }

    /** A symbol, set. */
    static Maths set(String s) {
        char first = s.charAt(0);
        if (s.length() > 1 && greek(first) && Character.isUpperCase(s.charAt(1)) && !greek(s.charAt(1))) {
            return Maths.row(List.of(letter(first), set(s.substring(1))));
        }
        int end = 1;
        while (end < s.length() && s.charAt(end) == '′') {
            end++;
        }
        String rest = s.substring(end).replaceFirst("^,", "");
        if (s.length() == 1) {
            return letter(first);
        }
        return Maths.of(
                Maths.Kind.SCRIPT,
                letter(first),
                rest.isEmpty() ? Maths.NONE : Maths.leaf(Maths.Kind.NAME, rest),
                end == 1 ? Maths.NONE : Maths.leaf(Maths.Kind.SIGN, s.substring(1, end)));
    }

    private static Maths letter(char c) {
        return Maths.leaf(Maths.Kind.LETTER, String.valueOf(c));
    }
}
