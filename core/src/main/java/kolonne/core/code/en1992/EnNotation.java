package kolonne.core.code.en1992;

import kolonne.core.code.Notation;
import kolonne.core.code.Notation.Term;
import kolonne.core.explain.Clause;

/** The letters of EN 1992-1-1 (1.6). */
final class EnNotation {
    static final Notation LETTERS = new Notation(
            new Notation.Bending(
                    "fck",
                    new Term("λ", "from fck", Clause.NONE),
                    "x",
                    new Term("σs", "Es εcu3 (d − x) / x, at most fyd", Clause.of("3.2.7(2)")),
                    new Term("λx", "λ x", Clause.NONE),
                    new Term("εs", "εcu3 (d − x) / x", Clause.of("6.1(2)")),
                    "MRd"),
            new Notation.Column(
                    "NEd",
                    "MEd,x",
                    "MEd,y",
                    new Term("x", "neutral axis where MRd / NRd = MEd / NEd", Clause.NONE),
                    "εs",
                    "NRd",
                    "MRd"),
            new Notation.Uses("MEd / MRd", "VEd / VRd", "TEd / (0.1 TRd,c)", "NEd / NRd"));

    private EnNotation() {}
}
