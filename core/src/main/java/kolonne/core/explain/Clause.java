package kolonne.core.explain;

/**
 * Where a rule stands in its code; empty for a step that needs no rule.
 *
 * @param text as a reader looks it up, for instance {@code 9.7.3.8.4}
 */
public record Clause(String text) {
    /** Of a step that needs no rule. */
    public static final Clause NONE = new Clause("");
    /** Of what the basis of design asks for. */
    public static final Clause BASIS = new Clause("basis");

    public static Clause of(String text) {
        return new Clause(text);
    }

    /** For sentences. */
    @Override
    public String toString() {
        return text;
    }
}
