package kolonne.core.explain.maths;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.explain.maths.Tokens.Kind;
import kolonne.core.explain.maths.Tokens.Token;

/**
 * Reads a formula written in a line, by the habits of the calculations: a slash between blanks is a fraction of all factors before it over the next factor and
 * those that follow without a bracket; a slash without blanks stays one; factors stand side by side; words part formulas.
 */
final class Reader {
    private final List<Token> tokens;
    private int at;

    Reader(List<Token> tokens) {
        this.tokens = tokens;
    }

    Maths read() {
        List<Maths> out = new ArrayList<>();
        while (at < tokens.size()) {
            phrase(out);
            if (at < tokens.size()) {
                out.add(sign(tokens.get(at++).text())); // a bracket that nothing opens
            }
        }
        return Maths.row(out);
    }

    private Token peek() {
        return at < tokens.size() ? tokens.get(at) : null;
    }

    /** Terms and signs up to the end or a closing bracket. */
    private void phrase(List<Maths> out) {
        for (Token t = peek(); t != null && t.kind() != Kind.CLOSE; t = peek()) {
            if (begins(t)) {
                out.addAll(term());
            } else {
                at++;
                out.add(sign(t.text()));
            }
        }
    }

    private static boolean begins(Token t) {
        return switch (t.kind()) {
            case NUMBER, SYMBOL, FUNCTION, WORD, OPEN, ROOT -> true;
            default -> false;
        };
    }

    /** Factors, with what they are divided by. */
    private List<Maths> term() {
        List<Maths> out = new ArrayList<>();
        for (Token t = peek(); t != null; t = peek()) {
            if (begins(t)) {
                out.add(factor());
            } else if (t.is("×")) {
                at++;
                out.add(sign("×"));
            } else if (t.is("/") && !out.isEmpty() && at + 1 < tokens.size() && begins(tokens.get(at + 1))) {
                at++;
                divide(out);
            } else {
                break;
            }
        }
        return out;
    }

    private void divide(List<Maths> out) {
        int from = out.size();
        boolean words = out.get(from - 1).is(Maths.Kind.WORDS);
        while (from > 0 && (words ? from == out.size() : !(out.get(from - 1).is(Maths.Kind.WORDS)))) {
            from--;
        }
        List<Maths> over = List.copyOf(out.subList(from, out.size()));
        out.subList(from, out.size()).clear();
        out.add(Maths.of(Maths.Kind.FRACTION, bare(Maths.row(over)), bare(under())));
    }

    private Maths under() {
        List<Maths> out = new ArrayList<>();
        boolean one = peek().kind() == Kind.OPEN || peek().kind() == Kind.WORD;
        out.add(factor());
        for (Token t = peek();
                !one && t != null && begins(t) && t.kind() != Kind.OPEN && t.kind() != Kind.WORD;
                t = peek()) {
            out.add(factor());
        }
        return Maths.row(out);
    }

    /** A fraction and a root need no bracket around what they hold. */
    private static Maths bare(Maths m) {
        return m.is(Maths.Kind.BRACKETED) ? m.part(0) : m;
    }

    private Maths factor() {
        Token t = peek();
        if (t.kind() == Kind.WORD) {
            return words();
        }
        List<Maths> out = new ArrayList<>(List.of(raised()));
        while (tight("/")) {
            at++;
            out.add(sign("/"));
            out.add(raised());
        }
        return Maths.row(out);
    }

    /** Whether a sign without blanks stands between two. */
    private boolean tight(String sign) {
        Token t = peek();
        return t != null
                && t.is(sign)
                && !t.before()
                && !t.after()
                && at + 1 < tokens.size()
                && begins(tokens.get(at + 1))
                && tokens.get(at + 1).kind() != Kind.WORD;
    }

    private Maths words() {
        StringBuilder b = new StringBuilder(tokens.get(at++).text());
        while (peek() != null && peek().kind() == Kind.WORD) {
            b.append(' ').append(tokens.get(at++).text());
        }
        return Maths.leaf(Maths.Kind.WORDS, b.toString());
    }

    /** An atom with what stands above and below it. */
    private Maths raised() {
        Maths out = atom();
        for (Token t = peek();
                t != null && !t.before() && (t.kind() == Kind.ABOVE || t.kind() == Kind.BELOW);
                t = peek()) {
            at++;
            out = t.kind() == Kind.ABOVE
                    ? above(out, Maths.leaf(Maths.Kind.DIGITS, t.text()))
                    : Maths.of(Maths.Kind.SCRIPT, out, Maths.leaf(Maths.Kind.NAME, t.text()), Maths.NONE);
        }
        return out;
    }

    private static Maths above(Maths base, Maths power) {
        int last = base.parts().size() - 1;
        if (base.is(Maths.Kind.ROW) && base.part(last).is(Maths.Kind.SCRIPT)) {
            List<Maths> parts = new ArrayList<>(base.parts());
            parts.add(above(parts.remove(last), power));
            return Maths.row(parts);
        }
        if (base.is(Maths.Kind.SCRIPT)) {
            Maths was = base.part(2);
            return Maths.of(
                    Maths.Kind.SCRIPT,
                    base.part(0),
                    base.part(1),
                    was.blank() ? power : Maths.row(List.of(was, power)));
        }
        return Maths.of(Maths.Kind.SCRIPT, base, Maths.NONE, power);
    }

    private static Maths sign(String text) {
        return Maths.leaf(Maths.Kind.SIGN, text);
    }

    private Maths atom() {
        Token t = tokens.get(at++);
        return switch (t.kind()) {
            case NUMBER -> Maths.leaf(Maths.Kind.DIGITS, t.text());
            case SYMBOL -> Symbols.set(t.text());
            case FUNCTION -> function(t);
            case ROOT ->
                peek() != null && begins(peek()) && peek().kind() != Kind.WORD
                        ? Maths.of(Maths.Kind.ROOT, bare(peek().kind() == Kind.OPEN ? atom() : raised()))
                        : sign("√");
            default -> bracket();
        };
    }

    private Maths function(Token t) {
        Maths name = Maths.leaf(Maths.Kind.NAME, t.text());
        boolean of = peek() != null && begins(peek()) && peek().kind() != Kind.WORD;
        return of ? Maths.row(List.of(name, raised())) : name;
    }

    private Maths bracket() {
        List<Maths> in = new ArrayList<>();
        phrase(in);
        if (peek() == null) {
            in.add(0, sign("("));
            return Maths.row(in);
        }
        at++;
        return Maths.of(Maths.Kind.BRACKETED, Maths.row(in));
    }
}
