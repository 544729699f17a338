package kolonne.core.explain.maths;

import java.util.List;

/**
 * A formula as it is set: what stands over, under and beside what. Whoever draws it needs nothing else.
 *
 * @param text  of a leaf, else empty
 * @param parts what it is made of, by its kind
 */
public record Maths(Kind kind, String text, List<Maths> parts) {
    public enum Kind {
        /** Parts one after another. */
        ROW,
        /** Words of a sentence, upright. */
        WORDS,
        /** A number with all its digits and its sign of degree or per cent. */
        DIGITS,
        /** The letter of a quantity, set in italics. */
        LETTER,
        /** A function such as {@code max}, or an index: upright. */
        NAME,
        /** A sign between two: plus, minus, times, a relation, a comma. */
        SIGN,
        /** Base, index below and index above; a missing index is an empty row. */
        SCRIPT,
        /** One part over another, with a rule between them. */
        FRACTION,
        /** The root of its part. */
        ROOT,
        /** Its part in brackets as high as it. */
        BRACKETED
    }

    /** Nothing. */
    static final Maths NONE = new Maths(Kind.ROW, "", List.of());

    public Maths {
        parts = List.copyOf(parts);
    }

    /** A formula as a calculation writes it in a line. */
    public static Maths of(String text) {
        return new Reader(Tokens.of(text)).read();
    }

    static Maths leaf(Kind kind, String text) {
        return new Maths(kind, text, List.of());
    }

    static Maths of(Kind kind, Maths... parts) {
        return new Maths(kind, "", List.of(parts));
    }

    /** Several in a row; one alone stays what it is. */
    static Maths row(List<Maths> parts) {
        return parts.size() == 1 ? parts.get(0) : new Maths(Kind.ROW, "", parts);
    }

    boolean is(Kind k) {
        return kind == k;
    }

    public Maths part(int i) {
        return parts.get(i);
    }

    /** Whether it can stand behind an equals sign: neither a sentence nor a list of what is given. */
    public boolean equal() {
        boolean sentence = kind == Kind.WORDS || kind == Kind.ROW && !parts.isEmpty() && part(0).kind == Kind.WORDS;
        return !sentence && parts.stream().noneMatch(p -> p.kind == Kind.SIGN && p.text.equals("="));
    }

    /** Whether there is nothing to set. */
    public boolean blank() {
        return kind == Kind.ROW && parts.isEmpty();
    }
}
