package kolonne.core.explain.maths;

import java.util.ArrayList;
import java.util.List;

/** The pieces of a formula written in a line. */
final class Tokens {
    enum Kind {
        NUMBER,
        SYMBOL,
        FUNCTION,
        WORD,
        /** Two or three above, or what follows {@code ^}. */
        ABOVE,
        /** An index behind a bracket, such as {@code ,max}. */
        BELOW,
        OPEN,
        CLOSE,
        ROOT,
        SIGN
    }

    /** @param before whether a blank stands before it; @param after whether one stands behind it */
    record Token(Kind kind, String text, boolean before, boolean after) {
        boolean is(String sign) {
            return kind == Kind.SIGN && text.equals(sign);
        }
    }

    private final String s;
    private final List<Token> out = new ArrayList<>();
    private int at;

    private Tokens(String s) {
        this.s = s;
    }

    static List<Token> of(String s) {
        Tokens t = new Tokens(s);
        while (t.at < s.length()) {
            if (s.charAt(t.at) == ' ') {
                t.at++;
            } else {
                t.next();
            }
        }
        return t.out;
    }

    private void next() {
        int from = at;
        char c = s.charAt(at);
        if (c == '“') {
            quoted();
        } else if (Character.isDigit(c)) {
            number();
            add(Kind.NUMBER, from, s.substring(from, at));
        } else if (Character.isLetter(c)) {
            letters();
            String text = s.substring(from, at);
            Kind kind = Symbols.FUNCTIONS.contains(text)
                    ? Kind.FUNCTION
                    : Symbols.known(text) && !inSentence(from, text) ? Kind.SYMBOL : Kind.WORD;
            add(kind, from, text);
        } else if (c == ',' && at > 0 && s.charAt(at - 1) == ')' && letterAt(at + 1)) {
            at++;
            letters();
            add(Kind.BELOW, from, s.substring(from + 1, at));
        } else {
            at++;
            sign(c, from);
        }
    }

    /** The article of a sentence looks like the depth of a stress block. */
    private boolean inSentence(int from, String text) {
        return text.equals("a")
                && from > 0
                && at + 1 < s.length()
                && Character.isLetter(s.charAt(at + 1))
                && !out.isEmpty()
                && out.get(out.size() - 1).kind() == Kind.WORD;
    }

    private void sign(char c, int from) {
        switch (c) {
            case '(' -> add(Kind.OPEN, from, "(");
            case ')' -> add(Kind.CLOSE, from, ")");
            case '√' -> add(Kind.ROOT, from, "√");
            case '²' -> add(Kind.ABOVE, from, "2");
            case '³' -> add(Kind.ABOVE, from, "3");
            case '^' -> {
                if (at < s.length() && Character.isDigit(s.charAt(at))) {
                    number();
                } else if (at < s.length()) {
                    at++;
                }
                add(Kind.ABOVE, from, s.substring(from + 1, at).replace("⅓", "1/3"));
            }
            case '∞', '–', '°', '%', '‰' -> add(Kind.NUMBER, from, String.valueOf(c));
            default -> add(Kind.SIGN, from, String.valueOf(c));
        }
    }

    /** Words that are no formula whatever they look like: names of grid lines and storeys. */
    private void quoted() {
        int from = at++;
        int end = s.indexOf('”', at);
        String text = s.substring(at, end < 0 ? s.length() : end);
        at = end < 0 ? s.length() : end + 1;
        add(Kind.WORD, from, text);
    }

    /** Digits, a point, and groups of three behind a blank. */
    private void number() {
        while (at < s.length()
                && (Character.isDigit(s.charAt(at)) || s.charAt(at) == '.' && digitAt(at + 1) || group())) {
            at += s.charAt(at) == ' ' ? 4 : 1;
        }
        if (at < s.length() && "°%‰".indexOf(s.charAt(at)) >= 0) {
            at++;
        }
    }

    private boolean group() {
        return s.charAt(at) == ' '
                && digitAt(at + 1)
                && digitAt(at + 2)
                && digitAt(at + 3)
                && !digitAt(at + 4)
                && !(at + 4 < s.length() && s.charAt(at + 4) == '.');
    }

    private boolean digitAt(int i) {
        return i < s.length() && Character.isDigit(s.charAt(i));
    }

    private boolean letterAt(int i) {
        return i < s.length() && Character.isLetter(s.charAt(i));
    }

    private void letters() {
        while (at < s.length()
                && (Character.isLetterOrDigit(s.charAt(at))
                        || "′'’".indexOf(s.charAt(at)) >= 0
                        || ",-".indexOf(s.charAt(at)) >= 0 && letterAt(at + 1))) {
            at++;
        }
    }

    private void add(Kind kind, int from, String text) {
        out.add(new Token(kind, text, from > 0 && s.charAt(from - 1) == ' ', at < s.length() && s.charAt(at) == ' '));
    }
}
