package kolonne.core.code;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.basis.Basis;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Effective lengths by the stiffness of the ends: against values of the published charts, hand values of the formulas, and the least force at which a
 * column of forty elements with springs at its ends buckles, which shares nothing with either.
 */
class LengthFactorTest {
    private static final Slenderness ACI = Basis.standard(false).designCode().slenderness();
    private static final Slenderness EN =
            Basis.standard("en-1992-1-1").designCode().slenderness();

    /** An end whose columns are so many times as stiff as its beams, both gross. */
    private static ColumnEnd end(double columnsOverBeams) {
        return new ColumnEnd(1e9, 1e9 / Math.max(columnsOverBeams, 1e-9), 0, false, false);
    }

    /** ψ of beams with 0.35 and columns with 0.70 of their gross stiffness is twice the gross ratio. */
    private static double aci(double a, double b, boolean moves) {
        return ACI.lengthFactor(end(a / 2), end(b / 2), moves, Trace.OFF);
    }

    /** Read off the alignment charts; the four corners are Euler's. */
    @ParameterizedTest
    @CsvSource({
        "0, 0, false, 0.500, 0.001",
        "0, 1000, false, 0.699, 0.002",
        "1000, 1000, false, 1.000, 0.002",
        "1, 1, false, 0.77, 0.01",
        "10, 10, false, 0.96, 0.01",
        "0.2, 2, false, 0.71, 0.015",
        "0, 0, true, 1.000, 0.001",
        "0, 1000, true, 2.0, 0.01",
        "1, 1, true, 1.32, 0.01",
        "10, 10, true, 3.0, 0.05",
        "1, 10, true, 1.9, 0.05"
    })
    void theChartsOfAci(double a, double b, boolean moves, double k, double tolerance) {
        assertEquals(k, aci(a, b, moves), tolerance);
        assertEquals(aci(a, b, moves), aci(b, a, moves), 1e-9, "turned upside down");
    }

    @Test
    void aciIsTheColumnThatBuckles() {
        double[] ratios = {0.05, 0.3, 1, 2.5, 8, 60};
        for (double a : ratios) {
            for (double b : ratios) {
                assertEquals(buckles(2 / a, 2 / b, false), aci(a, b, false), 2e-3, a + " " + b);
                double k = buckles(6 / a, 6 / b, true);
                assertEquals(k, aci(a, b, true), 2e-3 * k, a + " " + b + " moves");
            }
        }
    }

    /** (5.15) and (5.16) come near the column that buckles: within 4 % where nothing moves, at most 6 % short and 20 % long where the head does. */
    @Test
    void enIsNearTheColumnThatBuckles() {
        for (double a : new double[] {0.1, 0.3, 1, 2.5, 8}) {
            for (double b : new double[] {0.1, 0.3, 1, 2.5, 8}) {
                double held = buckles(1 / a, 1 / b, false);
                assertEquals(held, EN.lengthFactor(end(a), end(b), false, Trace.OFF), 0.04 * held, a + " " + b);
                double free = buckles(1 / a, 1 / b, true);
                double k = EN.lengthFactor(end(3 * a), end(3 * b), true, Trace.OFF);
                assertTrue(k > 0.94 * free && k < 1.2 * free, a + " " + b + " moves: " + k + " against " + free);
            }
        }
    }

    /** 0.5 √(1 + 1/1.45)² = 0.8448; 0.5 √((1 + 0.1/0.55) 2) = 0.7687; √(1 + 10/2) = 2.449; (1 + 0.1/1.1) 2 = 2.182. */
    @ParameterizedTest
    @CsvSource({
        "1, 1, false, 0.8448",
        "0.1, 1000, false, 0.7687",
        "0, 1000, false, 0.7687",
        "3, 3, true, 2.4495",
        "0, 3000, true, 2.181"
    })
    void theFormulasOfEn(double a, double b, boolean moves, double k) {
        assertEquals(k, EN.lengthFactor(end(a), end(b), moves, Trace.OFF), 1e-3);
    }

    /**
     * The Concrete Centre, How to Design Concrete Structures using Eurocode 2, columns: table of l0 / l of braced members by the flexibilities of their ends,
     * the last one pinned; printed to two decimals.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = ':',
            value = {
                "0.1: 0.59 0.62 0.64 0.66 0.67 0.69 0.71 0.73 0.75 0.76 0.77",
                "0.2: 0.62 0.65 0.68 0.69 0.71 0.73 0.74 0.77 0.79 0.80 0.81",
                "0.3: 0.64 0.68 0.70 0.72 0.73 0.75 0.77 0.80 0.82 0.83 0.84",
                "0.4: 0.66 0.69 0.72 0.74 0.75 0.77 0.79 0.82 0.84 0.85 0.86",
                "0.5: 0.67 0.71 0.73 0.75 0.76 0.78 0.80 0.83 0.86 0.86 0.87",
                "0.7: 0.69 0.73 0.75 0.77 0.78 0.80 0.82 0.85 0.88 0.89 0.90",
                "1.0: 0.71 0.74 0.77 0.79 0.80 0.82 0.84 0.88 0.90 0.91 0.92",
                "2.0: 0.73 0.77 0.80 0.82 0.83 0.85 0.88 0.91 0.93 0.94 0.95",
                "5.0: 0.75 0.79 0.82 0.84 0.86 0.88 0.90 0.93 0.96 0.97 0.98",
                "9.0: 0.76 0.80 0.83 0.85 0.86 0.89 0.91 0.94 0.97 0.98 0.99"
            })
    void theTableOfBracedColumns(double k1, String row) {
        double[] k2 = {0.1, 0.2, 0.3, 0.4, 0.5, 0.7, 1, 2, 5, 9, 1e6};
        String[] printed = row.trim().split(" ");
        for (int i = 0; i < k2.length; i++) {
            double k = EN.lengthFactor(end(k1), end(k2[i]), false, Trace.OFF);
            assertEquals(Double.parseDouble(printed[i]), k, 0.0051, k1 + " and " + k2[i]);
        }
    }

    /** A support that holds the rotation is ψ = 1, or k = 0.1; a hinge and an end without beams turn; a spring is a beam of its stiffness. */
    @Test
    void supportsHingesAndSprings() {
        ColumnEnd fixed = new ColumnEnd(1e9, 0, 0, true, false);
        ColumnEnd bare = new ColumnEnd(1e9, 0, 0, false, false);
        assertEquals(aci(1, 1, false), ACI.lengthFactor(fixed, end(0.5), false, Trace.OFF), 1e-6);
        assertEquals(0.7687, EN.lengthFactor(fixed, bare, false, Trace.OFF), 1e-3);
        for (Slenderness s : new Slenderness[] {ACI, EN}) {
            assertEquals(1, s.lengthFactor(bare, ColumnEnd.HINGE, false, Trace.OFF), 2e-3);
            assertTrue(s.lengthFactor(bare, ColumnEnd.HINGE, true, Trace.OFF) > 9, "it falls over");
            assertTrue(s.lengthFactor(fixed, bare, true, Trace.OFF) > 2, "a flagpole on no rigid foundation");
        }
        // 2 × 0.35 × 1e9 where it does not move, 6 × 0.35 × 1e9 where it does
        ColumnEnd sprung = new ColumnEnd(1e9, 0, 0.7e9, false, false);
        assertEquals(aci(2, 2, false), ACI.lengthFactor(sprung, sprung, false, Trace.OFF), 1e-6);
        ColumnEnd stiffer = new ColumnEnd(1e9, 0, 2.1e9, false, false);
        assertEquals(aci(2, 2, true), ACI.lengthFactor(stiffer, stiffer, true, Trace.OFF), 1e-6);
        ColumnEnd whole = new ColumnEnd(1e9, 0, 1e9, false, false);
        assertEquals(0.8448, EN.lengthFactor(whole, whole, false, Trace.OFF), 1e-3);
    }

    /**
     * Effective length of a column of unit length and stiffness that buckles: the least force at which the stiffness of forty elements, with springs
     * against turning at its ends, stops being positive.
     */
    private static double buckles(double foot, double head, boolean moves) {
        double low = 0.01;
        double high = 45;
        for (int i = 0; i < 50; i++) {
            double p = (low + high) / 2;
            if (positive(p, foot, head, moves)) {
                low = p;
            } else {
                high = p;
            }
        }
        return Math.PI / Math.sqrt(low);
    }

    private static boolean positive(double p, double foot, double head, boolean moves) {
        int n = 40;
        double l = 1.0 / n;
        int size = 2 * (n + 1);
        double[][] k = new double[size][size];
        double[][] bent = {
            {12, 6 * l, -12, 6 * l},
            {6 * l, 4 * l * l, -6 * l, 2 * l * l},
            {-12, -6 * l, 12, -6 * l},
            {6 * l, 2 * l * l, -6 * l, 4 * l * l}
        };
        double[][] pressed = {
            {36, 3 * l, -36, 3 * l},
            {3 * l, 4 * l * l, -3 * l, -l * l},
            {-36, -3 * l, 36, -3 * l},
            {3 * l, -l * l, -3 * l, 4 * l * l}
        };
        for (int e = 0; e < n; e++) {
            for (int i = 0; i < 4; i++) {
                for (int j = 0; j < 4; j++) {
                    k[2 * e + i][2 * e + j] += bent[i][j] / (l * l * l) - p * pressed[i][j] / (30 * l);
                }
            }
        }
        k[1][1] += foot;
        k[size - 1][size - 1] += head;
        k[0][0] += 1e9;
        k[size - 2][size - 2] += moves ? 0 : 1e9;
        for (int i = 0; i < size; i++) {
            if (k[i][i] <= 0) {
                return false;
            }
            for (int r = i + 1; r < size; r++) {
                double f = k[r][i] / k[i][i];
                for (int c = i; c < size; c++) {
                    k[r][c] -= f * k[i][c];
                }
            }
        }
        return true;
    }
}
