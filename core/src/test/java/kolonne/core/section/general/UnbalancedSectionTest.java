package kolonne.core.section.general;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.code.en1992.En1992;
import kolonne.core.section.BorneForces;
import kolonne.core.section.ColumnSection;
import kolonne.core.section.InteractionSurface;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrengthSurface;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/**
 * 300 × 600, f'c 30, fy 420, two bars of 800 mm2 60 from the soffit and two of 200 as far from the top: axial force without moment strains it unevenly. Against
 * equilibrium written out by hand over the depth of the neutral axis (ACI 318-19 22.2, 21.2.2; EN 1992-1-1 3.1.7 with its curve summed in strips).
 */
class UnbalancedSectionTest {
    private static final List<PlacedBar> BARS = List.of(
            new PlacedBar(-90, -240, 800),
            new PlacedBar(90, -240, 800),
            new PlacedBar(-90, 240, 200),
            new PlacedBar(90, 240, 200));

    private static StrengthSurface surface(DesignCode code, double fy) {
        return Surfaces.of(new Shape.Rectangle(300, 600), BARS, List.of(), 30, fy, code);
    }

    private static final double FYD = 500 / 1.15;
    private static final StrengthSurface ACI = surface(Basis.standard(false).designCode(), 420);

    /** {φ Pn, φ Mn}, moments positive with compression at the top, for the soffit compressed to a depth. */
    private static double[] soffitCompressed(double c) {
        double a = (0.85 - 0.05 * 2 / 7) * c;
        double concrete = 0.85 * 30 * 300 * Math.min(600, a);
        double low = 1600 * (steel(0.003 * (c - 60) / c) - (a > 60 ? 25.5 : 0));
        double high = 400 * (steel(0.003 * (c - 540) / c) - (a > 540 ? 25.5 : 0));
        double strain = 0.003 * (540 - c) / c;
        double phi = Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (strain - 0.0021) / 0.003));
        return new double[] {
            phi * (concrete + low + high), phi * (-concrete * (300 - Math.min(600, a) / 2) - 240 * low + 240 * high)
        };
    }

    private static double steel(double strain) {
        return Math.max(-420, Math.min(420, 200_000 * strain));
    }

    private static double zero(DoubleUnaryOperator f, double from, double to) {
        double a = from;
        double b = to;
        boolean rises = f.applyAsDouble(b) > f.applyAsDouble(a);
        for (int i = 0; i < 100; i++) {
            double mid = (a + b) / 2;
            if (f.applyAsDouble(mid) > 0 == rises) {
                b = mid;
            } else {
                a = mid;
            }
        }
        return (a + b) / 2;
    }

    @Test
    void tensionWithoutMomentIsLessThanAllBars() {
        double c = zero(q -> soffitCompressed(q)[1], 25, 60);
        double n = soffitCompressed(c)[0];
        assertTrue(n < 0);
        assertEquals(-n, ACI.tension(), 1e-3 * -n);
        assertEquals(1, ACI.exact(n, 0, 0).utilisation(), 1e-3);
        // all bars: 2000 × 420 × 0.9 = 756 kN, more than twice as much
        assertEquals(756e3, ACI.steel(), 1);
        assertTrue(ACI.tension() < 0.5 * ACI.steel());
    }

    @Test
    void withItsMomentItBearsMoreThanThatTension() {
        // -600 kN with the 100 kNm that the lower bars' eccentricity makes
        double n = -600e3;
        double m = 100e6;
        assertTrue(ACI.exact(n, m, 0).utilisation() < 0.9);
        BorneForces range = BorneForces.of(ACI, n, m, 0).orElseThrow();
        assertTrue(range.least() < n && range.most() > n);
        assertEquals(1, ACI.exact(range.least(), m, 0).utilisation(), 1e-6);
        assertEquals(1, ACI.exact(range.most(), m, 0).utilisation(), 1e-6);
        // the end by hand: a sliver of concrete at the soffit takes what moment the yielding bars have too much
        double[] end = soffitCompressed(zero(q -> soffitCompressed(q)[1] - m, 0.5, 24));
        assertEquals(end[0], range.least(), 1e-3 * 756e3);
    }

    @Test
    void aForceThatIsTooGreatForItsMomentIsToldTheRangeBelow() {
        BorneForces range = BorneForces.of(ACI, -400e3, 0, 0).orElseThrow();
        assertEquals(-ACI.tension(), range.least(), 1);
    }

    @Test
    void compressionWithoutMomentByEn() {
        StrengthSurface s = surface(En1992.of(Map.of()), 500);
        double c = zero(q -> topCompressed(q)[1], 650, 20_000);
        double n = topCompressed(c)[0];
        assertEquals(1, s.exact(n, 0, 0).utilisation(), 2e-3);
        // less than with the force where an even strain would put it
        assertTrue(n < 0.99 * s.axialCap());
    }

    /** {N, M} by EN's parabola and rectangle in 2000 strips, the top compressed most and the whole section compressed. */
    private static double[] topCompressed(double c) {
        double extreme = 0.002 * c / (c - 600 * 3.0 / 7);
        double n = 0;
        double m = 0;
        for (int i = 0; i < 2000; i++) {
            double y = 300 - 0.3 * (i + 0.5);
            double f = parabola(extreme * (1 - (300 - y) / c)) * 300 * 0.3;
            n += f;
            m += f * y;
        }
        for (PlacedBar b : BARS) {
            double e = extreme * (1 - (300 - b.y()) / c);
            double f = b.area() * (Math.max(-FYD, Math.min(FYD, 200_000 * e)) - parabola(e));
            n += f;
            m += f * b.y();
        }
        return new double[] {n, m};
    }

    private static double parabola(double e) {
        return e >= 0.002 ? 20 : 20 * (1 - Math.pow(1 - e / 0.002, 2));
    }

    @Test
    void theSurfaceOfBalancedSectionsRefusesIt() {
        ColumnSection c = new ColumnSection(
                new Shape.Rectangle(300, 600),
                BARS,
                30,
                420,
                Basis.standard(false).designCode());
        assertThrows(IllegalArgumentException.class, () -> new InteractionSurface(c, 600));
    }

    @Test
    void ringsOfAnyNumberOfBarsAreBalanced() {
        List<PlacedBar> ring = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            ring.add(new PlacedBar(180 * Math.cos(2 * Math.PI * i / 5), 180 * Math.sin(2 * Math.PI * i / 5), 314));
        }
        DesignCode code = Basis.standard(false).designCode();
        Shape circle = new Shape.Circle(500);
        assertInstanceOf(InteractionSurface.class, Surfaces.of(circle, ring, List.of(), 30, 420, code));
        // without one of them it is not
        StrengthSurface four = Surfaces.of(circle, ring.subList(0, 4), List.of(), 30, 420, code);
        assertInstanceOf(GeneralSurface.class, four);
        assertTrue(four.tension() < 0.95 * four.steel());
    }
}
