package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.ColumnEnd;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/**
 * Effective lengths by EN 1992-1-1 5.8.3.2(3): l0 = k l with the relative flexibilities k1, k2 of what restrains the ends. Beams restrain with half
 * their gross stiffness, as they crack (5.8.3.2(5)), bent in single curvature, or in double where the head moves; no end is stiffer than 0.1.
 */
final class EnLengthFactor {
    private static final double CRACKED = 0.5;
    private static final double STIFFEST = 0.1;
    /** Beyond it an end counts as hinged: l0 differs by less than a thousandth. */
    private static final double HINGE = 1000;
    /** The longest that is told apart: a column whose head moves and whose ends both turn has no length at all. */
    private static final double LONGEST = 10;

    private EnLengthFactor() {}

    static double of(ColumnEnd foot, ColumnEnd head, boolean moves, Trace t) {
        double a = flexibility("k1", "at the foot", foot, moves, t);
        double b = flexibility("k2", "at the head", head, moves, t);
        double k = moves ? Math.min(LONGEST, moving(a, b)) : held(a, b);
        if (t.on()) {
            t.step(
                    "l0 / l",
                    moves
                            ? "max(√(1 + 10 k1 k2 / (k1 + k2)), (1 + k1/(1 + k1)) (1 + k2/(1 + k2)))"
                            : "0.5 √((1 + k1/(0.45 + k1)) (1 + k2/(0.45 + k2)))",
                    "k1 = {0}, k2 = {1}",
                    k,
                    Quantity.NUMBER,
                    Clause.of(moves ? "5.8.3.2(3) (5.16)" : "5.8.3.2(3) (5.15)"),
                    in(a, Quantity.NUMBER),
                    in(b, Quantity.NUMBER));
        }
        return k;
    }

    private static double flexibility(String symbol, String place, ColumnEnd end, boolean moves, Trace t) {
        double restraint = CRACKED * (moves ? 6 : 2) * end.beams() + end.springs();
        double k = end.hinged()
                ? HINGE
                : end.fixed()
                        ? STIFFEST
                        : Math.max(STIFFEST, Math.min(HINGE, end.columns() / Math.max(restraint, 1e-9)));
        if (t.on()) {
            String words = end.hinged()
                    ? "hinged " + place
                    : end.fixed()
                            ? "support " + place
                            : k == HINGE ? "no beams " + place : "(θ/M) Σ(EI/l) ≥ 0.1 " + place;
            t.step(
                    symbol,
                    words,
                    end.hinged() || end.fixed() || k == HINGE ? "" : "{0} / {1}",
                    k,
                    Quantity.NUMBER,
                    Clause.of("5.8.3.2(3)"),
                    in(end.columns(), Quantity.MOMENT),
                    in(restraint, Quantity.MOMENT));
        }
        return k;
    }

    private static double held(double a, double b) {
        return 0.5 * Math.sqrt((1 + a / (0.45 + a)) * (1 + b / (0.45 + b)));
    }

    private static double moving(double a, double b) {
        return Math.max(Math.sqrt(1 + 10 * a * b / (a + b)), (1 + a / (1 + a)) * (1 + b / (1 + b)));
    }
}
