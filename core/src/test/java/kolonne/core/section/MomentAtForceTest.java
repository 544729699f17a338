package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.section.general.Surfaces;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Strength about one axis under a force: the closed form where all bars yield, symmetry, and what cannot be borne. */
class MomentAtForceTest {
    private static final double AS = 1963.5;
    private static final double UP = Math.PI / 2;

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
        assertEquals(force(low, beta)[1], MomentAtForce.of(section(false), UP, p), 1e3);
        assertEquals(force(low, beta)[1], MomentAtForce.of(section(true), 0, p), 1e3, "turned by 90°");
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
        assertEquals(0, MomentAtForce.of(s, UP, 1.001 * most));
        assertEquals(0, MomentAtForce.of(s, UP, -1.001 * 420 * 2 * AS));
        double before = -1;
        boolean fell = false;
        double peak = 0;
        for (double p = -420 * 2 * AS * 0.99; p < 0.99 * most; p += most / 200) {
            double m = MomentAtForce.of(s, UP, p);
            assertTrue(!fell || m <= before + 1, "one peak");
            fell |= m < before - 1;
            before = m;
            peak = Math.max(peak, m);
        }
        double found = MomentAtForce.largest(s, UP, -420 * 2 * AS * 0.99, 0.99 * most);
        assertTrue(found >= peak * (1 - 1e-9) && found < 1.01 * peak, found + " against " + peak);
        assertEquals(
                MomentAtForce.of(s, UP, 500e3),
                MomentAtForce.largest(s, UP, 400e3, 500e3),
                1,
                "below the peak the larger force");
    }

    private static final Shape.Ell ELL = new Shape.Ell(300, 800, 700, 250);

    private static final double[][] BARS = {
        {60, 60}, {240, 60}, {60, 740}, {240, 740}, {640, 740}, {640, 610}, {60, 400}
    };

    /** {force, moments} of the ell by cells of 10 mm, from its outer corner, flange above; by what it yields and crushes alone. */
    private static double[] cells(double theta, double c) {
        double cx = (165_000 * 150 + 175_000 * 350) / 340_000.0;
        double cy = (165_000 * 275 + 175_000 * 675) / 340_000.0;
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        double top = Double.NEGATIVE_INFINITY;
        for (double[] q : new double[][] {{0, 0}, {300, 0}, {0, 800}, {700, 800}, {700, 550}}) {
            top = Math.max(top, (q[0] - cx) * ux + (q[1] - cy) * uy);
        }
        double block = (0.85 - 0.05 * 2 / 7) * c;
        double[] out = new double[3];
        for (int i = 0; i < 70; i++) {
            for (int k = 0; k < 80; k++) {
                double x = 10 * i + 5;
                double y = 10 * k + 5;
                double depth = top - (x - cx) * ux - (y - cy) * uy;
                double part = (block - depth) / (10 * (Math.abs(ux) + Math.abs(uy))) + 0.5;
                if (x < 300 || y > 550) {
                    add(out, 100 * 25.5 * Math.max(0, Math.min(1, part)), x - cx, y - cy);
                }
            }
        }
        for (double[] q : BARS) {
            double depth = top - (q[0] - cx) * ux - (q[1] - cy) * uy;
            double stress = Math.max(-420, Math.min(420, 600 * (c - depth) / c)) - (depth < block ? 25.5 : 0);
            add(out, stress * 500, q[0] - cx, q[1] - cy);
        }
        return out;
    }

    private static void add(double[] out, double f, double x, double y) {
        out[0] += f;
        out[1] += f * x;
        out[2] += f * y;
    }

    private static double[] under(double theta, double p) {
        double low = 1;
        double high = 1e4;
        for (int k = 0; k < 40; k++) {
            double c = (low + high) / 2;
            low = cells(theta, c)[0] < p ? c : low;
            high = cells(theta, c)[0] < p ? high : c;
        }
        return cells(theta, low);
    }

    /**
     * An ell under 800 kN, turned by cells until nothing bends it across; and the largest moment of all turns. They differ by a fifth and more: the one is
     * what a column sets against its beams, the other what it can bring to its shear.
     */
    @Test
    void anEll() {
        List<PlacedBar> bars = new ArrayList<>();
        double cx = (165_000 * 150 + 175_000 * 350) / 340_000.0;
        double cy = (165_000 * 275 + 175_000 * 675) / 340_000.0;
        for (double[] q : BARS) {
            bars.add(new PlacedBar(q[0] - cx, q[1] - cy, 500));
        }
        PlaneSection s = Surfaces.section(ELL, bars, 30, 420, Aci318.SI);
        double furthest = 0;
        for (int quarter = 0; quarter < 4; quarter++) {
            double theta = quarter * Math.PI / 2;
            double ux = Math.cos(theta);
            double uy = Math.sin(theta);
            double low = theta - Math.PI / 2;
            double high = theta + Math.PI / 2;
            for (int k = 0; k < 18; k++) {
                double[] r = under((low + high) / 2, 800e3);
                boolean beyond = r[2] * ux - r[1] * uy > 0;
                high = beyond ? (low + high) / 2 : high;
                low = beyond ? low : (low + high) / 2;
            }
            double[] r = under(low, 800e3);
            double alone = r[1] * ux + r[2] * uy;
            double most = 0;
            for (int turn = -80; turn <= 80; turn += 2) {
                double[] t = under(theta + Math.toRadians(turn), 800e3);
                most = Math.max(most, t[1] * ux + t[2] * uy);
            }
            assertEquals(alone, MomentAtForce.alone(s, theta, 800e3), 0.01 * alone, "quarter " + quarter);
            assertEquals(most, MomentAtForce.of(s, theta, 800e3), 0.01 * most, "quarter " + quarter);
            furthest = Math.max(furthest, most / alone);
        }
        assertTrue(furthest > 1.2, "by " + furthest);
    }

    /** Bars on one side alone: under tension near what they bear nothing stands without bending towards them. */
    @Test
    void nothingWithoutTheOtherMoment() {
        List<PlacedBar> bars = List.of(new PlacedBar(-300, 300, AS), new PlacedBar(-300, -300, AS));
        PlaneSection s = Surfaces.section(new Shape.Tee(300, 800, 700, 250), bars, 30, 420, Aci318.SI);
        assertEquals(0, MomentAtForce.alone(s, UP, -0.98 * 2 * AS * 420));
        assertTrue(MomentAtForce.of(s, UP, 100e3) > 0);
        // a rectangle alike on both sides has nothing across in the first place
        assertEquals(MomentAtForce.of(section(false), UP, 1e6), MomentAtForce.alone(section(false), UP, 1e6));
    }
}
