package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Strength about one axis under a force: the closed form where all bars yield, symmetry, and what cannot be borne. */
class MomentAtForceTest {
    private static final double AS = 1963.5;

    /** Two rows 60 mm from the faces of a 400 by 600 section of 30 MPa, bars of 420 MPa. */
    private static ColumnSection section(boolean turned) {
        List<PlacedBar> bars = new ArrayList<>();
        for (int i : new int[] {-1, 1}) {
            for (int k : new int[] {-1, 1}) {
                bars.add(new PlacedBar(i * (turned ? 240 : 140), k * (turned ? 140 : 240), AS / 2));
            }
        }
        return new ColumnSection(
                turned ? new Shape.Rectangle(600, 400) : new Shape.Rectangle(400, 600), bars, 30, 420, Aci318.SI);
    }

    /**
     * With P = 1500 kN both rows yield (c = a / 0.8357 about 176 mm: the upper row's strain is 0.003 · (176 − 60)/176 = 0.00198, all but): by hand
     * a from P = 0.85 f'c b a + As (fs' − 0.85 f'c) − As fy, moments about the middle.
     */
    @Test
    void byHand() {
        double p = 1500e3;
        double beta = 0.85 - 0.05 * (30 - 28) / 7;
        double low = 60;
        double high = 600;
        for (int k = 0; k < 100; k++) {
            double c = (low + high) / 2;
            low = force(c, beta)[0] < p ? c : low;
            high = force(c, beta)[0] < p ? high : c;
        }
        assertEquals(force(low, beta)[1], MomentAtForce.of(section(false), true, p), 1e3);
        assertEquals(force(low, beta)[1], MomentAtForce.of(section(true), false, p), 1e3, "turned by 90°");
    }

    private static double[] force(double c, double beta) {
        double concrete = 25.5 * 400 * beta * c;
        double upper = Math.min(420, 200_000 * 0.003 * (c - 60) / c) - (beta * c > 60 ? 25.5 : 0);
        double lower = Math.max(-420, 200_000 * 0.003 * (c - 540) / c);
        return new double[] {
            concrete + AS * (upper + lower), concrete * (300 - beta * c / 2) + AS * 240 * (upper - lower)
        };
    }

    /** Nothing is left under pure compression or tension; between them the moment rises to one peak. */
    @Test
    void overTheWholeRange() {
        ColumnSection s = section(false);
        double most = 25.5 * (240_000 - 2 * AS) + 420 * 2 * AS;
        assertEquals(0, MomentAtForce.of(s, true, 1.001 * most));
        assertEquals(0, MomentAtForce.of(s, true, -1.001 * 420 * 2 * AS));
        double before = -1;
        boolean fell = false;
        double peak = 0;
        for (double p = -420 * 2 * AS * 0.99; p < 0.99 * most; p += most / 200) {
            double m = MomentAtForce.of(s, true, p);
            assertTrue(!fell || m <= before + 1, "one peak");
            fell |= m < before - 1;
            before = m;
            peak = Math.max(peak, m);
        }
        double found = MomentAtForce.largest(s, true, -420 * 2 * AS * 0.99, 0.99 * most);
        assertTrue(found >= peak * (1 - 1e-9) && found < 1.01 * peak, found + " against " + peak);
        assertEquals(
                MomentAtForce.of(s, true, 500e3),
                MomentAtForce.largest(s, true, 400e3, 500e3),
                1,
                "below the peak the larger force");
    }
}
