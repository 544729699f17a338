package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Columns under axial force and biaxial bending: fibre integration as second route, and properties of the surface. */
class InteractionSurfaceTest {
    private static List<PlacedBar> ring(double b, double h, int nx, int ny, double area) {
        List<PlacedBar> out = new ArrayList<>();
        double x0 = b / 2 - 60;
        double y0 = h / 2 - 60;
        for (int i = 0; i < nx; i++) {
            out.add(new PlacedBar(-x0 + 2 * x0 * i / (nx - 1), -y0, area));
            out.add(new PlacedBar(-x0 + 2 * x0 * i / (nx - 1), y0, area));
        }
        for (int j = 1; j < ny - 1; j++) {
            out.add(new PlacedBar(-x0, -y0 + 2 * y0 * j / (ny - 1), area));
            out.add(new PlacedBar(x0, -y0 + 2 * y0 * j / (ny - 1), area));
        }
        return out;
    }

    private static List<PlacedBar> circle(double d, int n, double area) {
        List<PlacedBar> out = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            out.add(new PlacedBar((d / 2 - 60) * Math.cos(a), (d / 2 - 60) * Math.sin(a), area));
        }
        return out;
    }

    /** Second route: the block over a 700 × 700 grid of fibres, bars one by one. */
    @ParameterizedTest(name = "{0}, θ={1}°, c={2}")
    @CsvSource({
        "rectangle, 0, 250",
        "rectangle, 90, 250",
        "rectangle, 31, 268",
        "rectangle, 57, 120",
        "rectangle, 45, 900",
        "circle, 0, 200",
        "circle, 20, 350",
        "rectangle, 12, 60"
    })
    void resultantsMatchFibreIntegration(String shape, double degrees, double c) {
        boolean round = shape.equals("circle");
        Shape s = round ? new Shape.Circle(500) : new Shape.Rectangle(400, 600);
        List<PlacedBar> bars = round ? circle(500, 8, 491) : ring(400, 600, 3, 4, 491);
        ColumnSection section = new ColumnSection(s, bars, 35, 420, Aci318.SI);
        double theta = Math.toRadians(degrees);
        ColumnSection.Resultant r = section.at(theta, c);
        double ux = Math.cos(theta);
        double uy = Math.sin(theta);
        double top = section.reach(theta);
        double a = Aci318.SI.block(35).depth() * c;
        int n = 700;
        double nn = 0;
        double mx = 0;
        double my = 0;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double x = s.width() * ((i + 0.5) / n - 0.5);
                double y = s.depth() * ((j + 0.5) / n - 0.5);
                boolean inside = !round || Math.hypot(x, y) <= 250;
                if (inside && top - (x * ux + y * uy) < a) {
                    double f = 0.85 * 35 * s.width() * s.depth() / n / n;
                    nn += f;
                    mx += f * y;
                    my += f * x;
                }
            }
        }
        for (PlacedBar b : bars) {
            double depth = top - (b.x() * ux + b.y() * uy);
            double stress =
                    Math.max(-420, Math.min(420, 200_000 * 0.003 * (c - depth) / c)) - (depth < a ? 0.85 * 35 : 0);
            nn += stress * b.area();
            mx += stress * b.area() * b.y();
            my += stress * b.area() * b.x();
        }
        double force = 0.85 * 35 * s.A();
        assertEquals(nn, r.N(), 2e-3 * force, "N");
        assertEquals(mx, r.Mx(), 2e-3 * force * 200, "Mx");
        assertEquals(my, r.My(), 2e-3 * force * 200, "My");
    }

    /** ACI 318-19 22.4.2: φ 0.80 (0.85 f'c (Ag − Ast) + fy Ast), worked by hand. */
    @Test
    void theCapOnAxialForceIsTheCodes() {
        List<PlacedBar> bars = ring(400, 400, 3, 3, 500);
        ColumnSection s = new ColumnSection(new Shape.Rectangle(400, 400), bars, 30, 420, Aci318.SI);
        double po = 0.85 * 30 * (160_000 - 4000) + 420 * 4000;
        assertEquals(0.65 * 0.8 * po, s.axialCap, 1e-6 * po);
        assertEquals(0.9 * 420 * 4000, s.tension, 1e-6 * po);
        InteractionSurface surface = new InteractionSurface(s, 400);
        assertEquals(1, surface.exact(s.axialCap, 0, 0).utilisation(), 1e-9);
        assertEquals(0.5, surface.exact(-0.5 * s.tension, 0, 0).utilisation(), 1e-9);
    }

    /**
     * Second route for bars that are not alike about both axes: fibres, the neutral axis swept over directions and depths; where the moment
     * points the way of the demand and M / N is the demand's, φM is the strength. Five bars of 20 mm in a circle of 400 under 300 kN.
     */
    @ParameterizedTest(name = "{0} bars, moment towards {1}°, P {2} kN")
    @CsvSource({
        "5, 0, 300",
        "5, 180, 300",
        "5, 90, 300",
        "5, 36, 300",
        "5, 200, 900",
        "7, 180, 300",
        "7, 180, -100",
        "7, 300, 1200"
    })
    void oddRingsAreAsStrongAsTheyLie(int n, double degrees, double kilonewtons) {
        List<PlacedBar> bars = circle(400, n, 314);
        double p = kilonewtons * 1e3;
        double strength = sweptStrength(bars, p / 80e6, Math.toRadians(degrees), kilonewtons < 0);
        double mx = 80e6 * Math.sin(Math.toRadians(degrees));
        double my = 80e6 * Math.cos(Math.toRadians(degrees));
        InteractionSurface s =
                new InteractionSurface(new ColumnSection(new Shape.Circle(400), bars, 30, 420, Aci318.SI), 400);
        double exact = s.exact(p, mx, my).utilisation();
        assertEquals(80e6 / strength, exact, 0.015 * exact);
        assertEquals(exact, s.screened(p, mx, my), 0.03 * exact);
    }

    /** φM where N / M is given, and the moment points towards an angle. */
    private static double sweptStrength(List<PlacedBar> bars, double ratio, double angle, boolean tension) {
        double best = Double.POSITIVE_INFINITY;
        double strength = 0;
        int grid = 60;
        List<double[]> cells = new ArrayList<>();
        for (int i = 0; i < grid * grid; i++) {
            double[] at = {400 * ((i / grid + 0.5) / grid - 0.5), 400 * ((i % grid + 0.5) / grid - 0.5)};
            if (Math.hypot(at[0], at[1]) < 200) {
                cells.add(at);
            }
        }
        for (double theta = angle - 0.2; theta <= angle + 0.2; theta += 0.02) {
            double ux = Math.cos(theta);
            double uy = Math.sin(theta);
            for (double c = 10; c < 1500; c *= 1.015) {
                double f = 0;
                double x = 0;
                double y = 0;
                for (double[] at : cells) {
                    if (200 - at[0] * ux - at[1] * uy < 0.8357 * c) {
                        double q = 0.85 * 30 * 400 * 400 / grid / grid;
                        f += q;
                        x += q * at[0];
                        y += q * at[1];
                    }
                }
                double epsT = 0;
                for (PlacedBar b : bars) {
                    double depth = 200 - b.x() * ux - b.y() * uy;
                    double eps = 0.003 * (c - depth) / c;
                    double q = (Math.max(-420, Math.min(420, 200_000 * eps)) - (depth < 0.8357 * c ? 0.85 * 30 : 0))
                            * b.area();
                    epsT = Math.max(epsT, -eps);
                    f += q;
                    x += q * b.x();
                    y += q * b.y();
                }
                double m = Math.hypot(x, y);
                double off = Math.abs(Math.IEEEremainder(Math.atan2(y, x) - angle, 2 * Math.PI))
                        + 2 * Math.abs(Math.atan2(f, m * 5e-3) - Math.atan2(ratio, 5e-3));
                if (off < best) {
                    best = off;
                    strength = (0.65 + 0.25 * Math.max(0, Math.min(1, (epsT - 0.0021) / 0.003))) * m;
                }
            }
        }
        return strength;
    }

    @Test
    void theExactPointLiesOnTheRayAndTheScreenIsWithinThreePerCent() {
        InteractionSurface s = new InteractionSurface(
                new ColumnSection(new Shape.Rectangle(400, 600), ring(400, 600, 3, 5, 491), 35, 420, Aci318.SI), 600);
        Random random = new Random(5);
        for (int k = 0; k < 400; k++) {
            double n = (random.nextDouble() * 1.2 - 0.2) * 5e6;
            double mx = (random.nextDouble() - 0.5) * 1.4e9;
            double my = (random.nextDouble() - 0.5) * 0.9e9;
            InteractionSurface.Hit h = s.exact(n, mx, my);
            if (!h.capped()) {
                double f = 1 / h.utilisation();
                assertEquals(n * f, h.nominal().phi() * h.nominal().N(), 2e-3 * 5e6, "N on the ray");
                assertEquals(Math.abs(mx) * f, h.nominal().phi() * h.nominal().Mx(), 2e-3 * 1e9, "Mx on the ray");
                assertEquals(Math.abs(my) * f, h.nominal().phi() * h.nominal().My(), 2e-3 * 1e9, "My on the ray");
            }
            assertEquals(
                    h.utilisation(),
                    s.screened(n, mx, my),
                    0.03 * h.utilisation(),
                    "screen at " + n + " " + mx + " " + my);
        }
    }

    @Test
    void utilisationGrowsInProportionIsContinuousAndSymmetric() {
        InteractionSurface s = new InteractionSurface(
                new ColumnSection(new Shape.Circle(600), circle(600, 8, 491), 35, 420, Aci318.SI), 600);
        double u = s.exact(2e6, 3e8, 1e8).utilisation();
        assertEquals(2 * u, s.exact(4e6, 6e8, 2e8).utilisation(), 1e-6);
        assertEquals(u, s.exact(2e6, -3e8, 1e8).utilisation(), 1e-9);
        double last = s.exact(-1.2e6, 2e8, 1e8).utilisation();
        for (double n = -1.2e6; n < 7e6; n += 2e4) {
            double now = s.exact(n, 2e8, 1e8).utilisation();
            assertTrue(Math.abs(now - last) < 0.03, "a jump at N = " + n);
            last = now;
        }
    }

    @Test
    void moreSteelNeverRaisesTheUtilisation() {
        double last = Double.POSITIVE_INFINITY;
        for (double area = 200; area < 1200; area += 100) {
            double u = new InteractionSurface(
                            new ColumnSection(
                                    new Shape.Rectangle(500, 500), ring(500, 500, 3, 3, area), 30, 420, Aci318.SI),
                            500)
                    .exact(1.5e6, 3e8, 2e8)
                    .utilisation();
            assertTrue(u <= last + 1e-9, "area " + area);
            last = u;
        }
    }
}
