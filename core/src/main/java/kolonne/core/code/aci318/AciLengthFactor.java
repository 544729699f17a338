package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import java.util.function.DoubleUnaryOperator;
import kolonne.core.code.ColumnEnd;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/**
 * Effective length factors by the equations behind the alignment charts (ACI 318-19 figure R6.2.5.1), with the stiffnesses of 6.6.3.1.1. A support
 * that holds the rotation counts as ψ = 1, as no foundation is rigid; an end without beams turns as it likes.
 */
final class AciLengthFactor {
    /** Parts of the gross second moment of area of columns and beams (table 6.6.3.1.1 (a)). */
    private static final double COLUMNS = 0.70;

    private static final double BEAMS = 0.35;
    private static final double FOUNDATION = 1.0;
    /** Beyond it an end counts as hinged: k differs by a thousandth. */
    private static final double HINGE = 1000;
    /** The longest that is told apart: a column whose head moves and whose ends both turn has no length at all. */
    private static final double LONGEST = 10;

    private AciLengthFactor() {}

    static double of(ColumnEnd foot, ColumnEnd head, boolean moves, Trace t) {
        double a = ratio("ψA", "at the foot", foot, moves, t);
        double b = ratio("ψB", "at the head", head, moves, t);
        double k = Math.PI / (moves ? moving(a, b) : held(a, b));
        if (t.on()) {
            t.step(
                    "k",
                    moves ? "alignment chart, ends that move" : "alignment chart, ends that do not move",
                    "ψA = {0}, ψB = {1}",
                    k,
                    Quantity.NUMBER,
                    Clause.of("R6.2.5.1"),
                    in(a, Quantity.NUMBER),
                    in(b, Quantity.NUMBER));
        }
        return k;
    }

    /** ψ = Σ EI/lc of columns over Σ EI/l of beams; a spring turns like a beam, which bends in single curvature, or in double where the head moves. */
    private static double ratio(String symbol, String place, ColumnEnd end, boolean moves, Trace t) {
        double columns = COLUMNS * end.columns();
        double beams = BEAMS * end.beams() + end.springs() / (moves ? 6 : 2);
        double ratio =
                end.hinged() ? HINGE : end.fixed() ? FOUNDATION : Math.min(HINGE, columns / Math.max(beams, 1e-9));
        if (t.on()) {
            String words = end.hinged()
                    ? "hinged " + place
                    : end.fixed()
                            ? "support " + place
                            : ratio == HINGE ? "no beams " + place : "Σ(EI/lc) / Σ(EI/l) " + place;
            t.step(
                    symbol,
                    words,
                    end.hinged() || end.fixed() || ratio == HINGE ? "" : "{0} / {1}",
                    ratio,
                    Quantity.NUMBER,
                    Clause.of("R6.2.5.1"),
                    in(columns, Quantity.MOMENT),
                    in(beams, Quantity.MOMENT));
        }
        return ratio;
    }

    /** π/k of ends that do not move, between π and 2π. */
    private static double held(double a, double b) {
        return root(
                x -> a * b / 4 * x * x + (a + b) / 2 * (1 - x / Math.tan(x)) + 2 * Math.tan(x / 2) / x - 1,
                Math.PI * (1 + 1e-12),
                2 * Math.PI * (1 - 1e-12));
    }

    /** π/k of ends that move, up to π. */
    private static double moving(double a, double b) {
        double sum = Math.max(a + b, 1e-9);
        return root(x -> (a * b * x * x - 36) / (6 * sum) - x / Math.tan(x), Math.PI / LONGEST, Math.PI * (1 - 1e-12));
    }

    /** Where a function that grows crosses nought; the end it is nearer to where it does not. */
    private static double root(DoubleUnaryOperator f, double from, double to) {
        double low = from;
        double high = to;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (f.applyAsDouble(middle) < 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }
}
