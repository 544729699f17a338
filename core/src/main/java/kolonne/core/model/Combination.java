package kolonne.core.model;

import java.util.List;

/** A linear combination of load cases. */
public record Combination(String id, String name, Purpose purpose, List<Term> terms) {
    /** One load case with its factor. */
    public record Term(String loadCase, double factor) {}

    public Combination {
        terms = List.copyOf(terms);
    }
}
