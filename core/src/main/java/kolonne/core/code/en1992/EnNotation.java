package kolonne.core.code.en1992;

import kolonne.core.code.Notation;
import kolonne.core.code.Notation.Term;

/** The letters of EN 1992-1-1 (1.6). */
final class EnNotation {
    static final Notation LETTERS = new Notation(
            new Notation.Bending(
                    "fck",
                    new Term("λ", "from fck", ""),
                    "x",
                    new Term("σs", "Es εcu3 (d − x) / x, at most fyd", "3.2.7(2)"),
                    new Term("λx", "λ x", ""),
                    new Term("εs", "εcu3 (d − x) / x", "6.1(2)"),
                    "MRd"),
            new Notation.Column(
                    "NEd",
                    "MEd,x",
                    "MEd,y",
                    new Term("x", "neutral axis where MRd / NRd = MEd / NEd", ""),
                    "εs",
                    "NRd",
                    "MRd"),
            new Notation.Uses("MEd / MRd", "VEd / VRd", "TEd / (0.1 TRd,c)", "NEd / NRd"));

    private EnNotation() {}
}
