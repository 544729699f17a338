package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.code.en1992.En1992;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Columns with the parabola and rectangle of EN 1992-1-1: against closed forms and against integration over a grid of fibres. */
class EnColumnTest {
    private static final En1992 CODE = En1992.of(Map.of());
    private static final double FYD = 500 / 1.15;

    private static List<PlacedBar> corners(double b, double h, double area) {
        return List.of(
                new PlacedBar(b, h, area),
                new PlacedBar(-b, h, area),
                new PlacedBar(b, -h, area),
                new PlacedBar(-b, -h, area));
    }

    /** Second route: stress by the code's formulas at the middle of small squares. */
    private static double[] fibres(Shape s, List<PlacedBar> bars, double fck, double theta, double c) {
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        boolean circle = s instanceof Shape.Circle;
        double top = circle ? s.width() / 2 : (s.width() * Math.abs(ux) + s.depth() * Math.abs(uy)) / 2;
        double h = 2 * top;
        double extreme = c <= h ? 0.0035 : 0.002 * c / (c - h * 3.0 / 7);
        double[] out = new double[3];
        int n = 400;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double x = s.width() * ((i + 0.5) / n - 0.5);
                double y = s.depth() * ((j + 0.5) / n - 0.5);
                if (!circle || Math.hypot(x, y) <= s.width() / 2) {
                    add(
                            out,
                            stress(extreme * (1 - (top - x * ux - y * uy) / c), fck) * s.width() * s.depth() / n / n,
                            x,
                            y);
                }
            }
        }
        for (PlacedBar b : bars) {
            double e = extreme * (1 - (top - b.x() * ux - b.y() * uy) / c);
            add(out, (Math.max(-FYD, Math.min(FYD, 200_000 * e)) - stress(e, fck)) * b.area(), b.x(), b.y());
        }
        return out;
    }

    private static void add(double[] out, double f, double x, double y) {
        out[0] += f;
        out[1] += f * y;
        out[2] += f * x;
    }

    private static double stress(double e, double fck) {
        return e <= 0 ? 0 : e >= 0.002 ? fck / 1.5 : fck / 1.5 * (1 - Math.pow(1 - e / 0.002, 2));
    }

    @ParameterizedTest
    @CsvSource({"0,100", "0,300", "0.4,250", "0.8,400", "1.2,700", "1.5707963,200", "0.7,2000"})
    void rectanglesAgreeWithFibres(double theta, double c) {
        Shape s = new Shape.Rectangle(350, 500);
        List<PlacedBar> bars = corners(120, 195, 804);
        ColumnSection.Resultant r = new ColumnSection(s, bars, 30, 500, CODE).at(theta, c);
        double[] f = fibres(s, bars, 30, theta, c);
        assertEquals(f[0], r.N(), 0.003 * 30 * 350 * 500 / 1.5);
        assertEquals(f[1], r.Mx(), 0.003 * 20.0 * 350 * 500 * 500);
        assertEquals(f[2], r.My(), 0.003 * 20.0 * 350 * 500 * 350);
    }

    @ParameterizedTest
    @CsvSource({"100", "250", "450", "900"})
    void circlesAgreeWithFibres(double c) {
        Shape s = new Shape.Circle(500);
        List<PlacedBar> bars = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            bars.add(new PlacedBar(190 * Math.cos(i * Math.PI / 4), 190 * Math.sin(i * Math.PI / 4), 491));
        }
        ColumnSection.Resultant r = new ColumnSection(s, bars, 40, 500, CODE).at(0.3, c);
        double[] f = fibres(s, bars, 40, 0.3, c);
        assertEquals(f[0], r.N(), 0.004 * 40 * s.A() / 1.5);
        assertEquals(f[1], r.Mx(), 0.004 * 40 / 1.5 * s.A() * 250);
    }

    /** In pure compression no strain passes εc2 = 0.002, so that bars carry 400 MPa (6.1(3)). */
    @Test
    void pureCompression() {
        Shape s = new Shape.Rectangle(400, 400);
        ColumnSection k = new ColumnSection(s, corners(140, 140, 491), 30, 500, CODE);
        double nrd = 20.0 * (160_000 - 4 * 491) + 400 * 4 * 491;
        assertEquals(nrd, k.axialCap, 1);
        assertEquals(nrd, k.at(0, 1e7).N(), 1e-3 * nrd);
        assertEquals(4 * 491 * FYD, k.tension, 1);
    }

    /** Closed form of bending with the whole parabola: block of 17/21 x at 99/238 x. */
    @Test
    void theParabolaHasItsKnownBlock() {
        ColumnSection k =
                new ColumnSection(new Shape.Rectangle(300, 500), List.of(new PlacedBar(0, 0, 1e-9)), 30, 500, CODE);
        ColumnSection.Resultant r = k.at(Math.PI / 2, 200);
        assertEquals(17.0 / 21 * 200 * 300 * 20, r.N(), 0.002 * r.N());
        assertEquals(r.N() * (250 - 99.0 / 238 * 200), r.Mx(), 0.002 * r.Mx());
    }

    @Test
    void utilisationIsContinuousFromOneAxisToTwo() {
        InteractionSurface s = new InteractionSurface(
                new ColumnSection(new Shape.Rectangle(300, 500), corners(100, 200, 804), 30, 500, CODE), 500);
        double before = s.exact(800e3, 150e6, 0).utilisation();
        for (double my = 1e3; my < 40e6; my *= 3) {
            double u = s.exact(800e3, 150e6, my).utilisation();
            assertTrue(Math.abs(u - before) < 0.02 + my / 40e6 * 0.5, "at " + my);
        }
        for (double n = -300e3; n < 2500e3; n += 100e3) {
            assertEquals(
                    s.exact(n, 80e6, 40e6).utilisation(),
                    s.screened(n, 80e6, 40e6),
                    0.03 * s.exact(n, 80e6, 40e6).utilisation(),
                    "n = " + n);
        }
    }
}
