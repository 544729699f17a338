package kolonne.core.code.aci318;

import kolonne.core.code.Notation;
import kolonne.core.code.Notation.Term;
import kolonne.core.explain.Clause;

/** The letters of ACI 318 (chapter 2). */
final class AciNotation {
    static final Notation LETTERS = new Notation(
            new Notation.Bending(
                    "f′c",
                    new Term("β1", "from f′c", Clause.NONE),
                    "c",
                    new Term("fs", "Es εcu (d − c) / c, at most fy", Clause.of("22.2.1")),
                    new Term("a", "β1 c", Clause.NONE),
                    new Term("εt", "εcu (dt − c) / c", Clause.of("22.2.2.1")),
                    "Mn"),
            new Notation.Column(
                    "Pu",
                    "Mux",
                    "Muy",
                    new Term("c", "neutral axis where Mn / Pn = Mu / Pu", Clause.NONE),
                    "εt",
                    "Pn",
                    "Mn"),
            new Notation.Uses("Mu / φMn", "Vu / φVn", "Tu / φTth", "Pu / φPn,max"));

    private AciNotation() {}
}
