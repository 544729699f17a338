package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** 400 × 400, f'c 30, fy 420, four bars of 500 mm2 at ±140, about x: the ends of the range against equilibrium written out by hand (ACI 318-19 22.2, 21.2.2). */
class BorneForcesTest {
    private static final double AS = 1000;

    private static InteractionSurface surface() {
        List<PlacedBar> bars = List.of(
                new PlacedBar(-140, -140, AS / 2),
                new PlacedBar(140, -140, AS / 2),
                new PlacedBar(-140, 140, AS / 2),
                new PlacedBar(140, 140, AS / 2));
        return new InteractionSurface(
                new ColumnSection(
                        new Shape.Rectangle(400, 400),
                        bars,
                        30,
                        420,
                        Basis.standard(false).designCode()),
                400);
    }

    /** {φ Pn, φ Mn} for a depth of the neutral axis from the compressed face. */
    private static double[] byHand(double c) {
        double beta = 0.85 - 0.05 * (30 - 28) / 7;
        double concrete = 0.85 * 30 * 400 * beta * c;
        double near = Math.min(420, 600 * (c - 60) / c) - (60 < beta * c ? 0.85 * 30 : 0);
        double far = Math.max(-420, Math.min(420, 600 * (c - 340) / c));
        double strain = 0.003 * (340 - c) / c;
        double phi = Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (strain - 0.0021) / 0.003));
        return new double[] {
            phi * (concrete + AS * (near + far)), phi * (concrete * (200 - beta * c / 2) + AS * 140 * (near - far))
        };
    }

    @Test
    void theLeastForce() {
        // tension controls: φ 0.9
        double[] at = byHand(110);
        BorneForces range = BorneForces.of(surface(), at[0] + 2e5, at[1], 0).orElseThrow();
        assertEquals(at[0], range.least(), 1e-3 * Math.abs(at[0]));
        assertTrue(range.most() > at[0] + 2e5);
    }

    @Test
    void theGreatestForce() {
        // compression controls: φ 0.65
        double[] at = byHand(280);
        BorneForces range = BorneForces.of(surface(), at[0] - 2e5, at[1], 0).orElseThrow();
        assertEquals(at[0], range.most(), 1e-3 * at[0]);
        // nothing is said of the demand but that it lies inside
        assertTrue(range.least() < at[0] - 2e5);
    }

    @Test
    void withoutMomentsFromPureTensionToTheCap() {
        BorneForces range = BorneForces.of(surface(), 1e5, 0, 0).orElseThrow();
        assertEquals(-0.9 * 2 * AS * 420, range.least(), 1);
        double cap = 0.8 * 0.65 * (0.85 * 30 * (160_000 - 2 * AS) + 2 * AS * 420);
        assertEquals(cap, range.most(), 1);
    }

    @Test
    void whereTheForceIsTooSmallTheRangeIsTold() {
        double[] at = byHand(110);
        BorneForces range = BorneForces.of(surface(), at[0] - 3e5, at[1], 0).orElseThrow();
        assertEquals(at[0], range.least(), 1e-3 * Math.abs(at[0]));
    }

    @Test
    void momentsThatNoForceBears() {
        assertFalse(BorneForces.of(surface(), 1e6, 400e6, 0).isPresent());
    }
}
