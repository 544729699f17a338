package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Random;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.code.en1992.En1992;
import kolonne.core.section.general.Outline;
import kolonne.core.section.general.Surfaces;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Strains and stresses that are shown at the strength: by hand, and summed up again over small squares to the forces on the surface. */
class StrainStateTest {
    private static final DesignCode ACI = Basis.standard(false).designCode();
    private static final DesignCode EN = En1992.of(Map.of());

    private static List<PlacedBar> corners(double x, double y, double area) {
        return List.of(
                new PlacedBar(x, y, area),
                new PlacedBar(-x, y, area),
                new PlacedBar(x, -y, area),
                new PlacedBar(-x, -y, area));
    }

    /** 500 × 500, 30 and 420 MPa, c = 300, ACI 318-19 22.2: ε = 0.003 (1 − d / c); the block of 25.5 MPa is 0.8357 · 300 deep. */
    @Test
    void byHand() {
        StrengthSurface s =
                Surfaces.of(new Shape.Rectangle(500, 500), corners(187.5, 187.5, 491), List.of(), 30, 420, ACI);
        StrainState q = s.state(-Math.PI / 2, 300);
        assertEquals(0.003, q.edge(), 1e-12);
        assertEquals(-0.002, q.far(), 1e-12);
        // the edge is the soffit: bars at y = -187.5 lie 62.5 below it
        assertEquals(62.5, q.bars().get(2).depth(), 1e-9);
        assertEquals(0.002375, q.bars().get(2).strain(), 1e-12);
        assertEquals(420, q.bars().get(2).stress(), 1e-9);
        assertEquals(-0.001375, q.bars().get(0).strain(), 1e-12);
        assertEquals(-275, q.bars().get(0).stress(), 1e-9);
        assertEquals(25.5, q.concrete().get(1).stress(), 1e-9);
        assertEquals((0.85 - 0.05 * 2 / 7) * 300, q.concrete().get(1).depth(), 1e-9);
        assertEquals(0.001, q.at(200), 1e-12);
    }

    @Test
    void pulledAndPressedWithoutMoment() {
        StrengthSurface s =
                Surfaces.of(new Shape.Rectangle(500, 500), corners(187.5, 187.5, 491), List.of(), 30, 500, EN);
        StrainState pulled = s.state(-1e5, 0, 0).orElseThrow();
        assertTrue(pulled.concrete().isEmpty());
        assertTrue(pulled.bars().stream().allMatch(b -> b.stress() == -500 / 1.15 && b.strain() < 0));
        // figure 6.1: 0.002 all over, 400 MPa in the bars
        StrainState pressed = s.state(1e5, 0, 0).orElseThrow();
        assertEquals(0.002, pressed.edge(), 2e-6);
        assertEquals(0.002, pressed.far(), 2e-6);
        assertEquals(400, pressed.bars().get(0).stress(), 0.5);
        assertTrue(s.state(0, 0, 0).isEmpty());
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci", "en"})
    void theStressesThatAreShownAddUpToTheForces(String code) {
        boolean en = code.equals("en");
        Random random = new Random(7);
        List<Shape> shapes =
                List.of(new Shape.Rectangle(350, 600), new Shape.Ell(250, 700, 600, 250), new Shape.Circle(500));
        for (Shape shape : shapes) {
            boolean round = shape instanceof Shape.Circle;
            Outline outline = round ? Outline.circle(0, 0, 500) : Outline.centred(shape);
            List<PlacedBar> bars = shape instanceof Shape.Ell
                    ? List.of(
                            new PlacedBar(-100, -250, 800), new PlacedBar(-60, 150, 600), new PlacedBar(120, 180, 400))
                    : corners(120, 150, 800);
            StrengthSurface s = Surfaces.of(shape, bars, List.of(), 30, en ? 500 : 420, en ? EN : ACI);
            for (int i = 0; i < 3; i++) {
                double n = (random.nextDouble() * 1.2 - 0.2) * s.axialCap();
                double mx = (random.nextDouble() - 0.5) * 600e6;
                double my = (random.nextDouble() - 0.5) * 600e6;
                StrainState q = s.state(n, mx, my).orElseThrow();
                double[] sum = summed(outline, bars, q);
                double part = (sum[0] * n + (sum[1] * mx + sum[2] * my) / 1e6) / (n * n + (mx * mx + my * my) / 1e6);
                // the forces lie on the ray of the demand, but for a cap on the axial force
                assertEquals(part * n, sum[0], 0.01 * s.axialCap(), shape + " " + i);
                assertEquals(part * mx, sum[1], 4e6, shape + " " + i);
                assertEquals(part * my, sum[2], 4e6, shape + " " + i);
                assertTrue(part > 0);
            }
        }
    }

    /** {N, Mx, My} of concrete in squares of 1 mm from a corner on and of the bars less what they displace, by the stresses of the state. */
    private static double[] summed(Outline outline, List<PlacedBar> bars, StrainState q) {
        double ux = Math.cos(q.theta());
        double uy = Math.sin(q.theta());
        double top = outline.reach(ux, uy);
        double[] sum = new double[3];
        for (double x = 0.5 - outline.reach(-1, 0); x < outline.reach(1, 0); x++) {
            for (double y = 0.5 - outline.reach(0, -1); y < outline.reach(0, 1); y++) {
                if (outline.contains(x, y)) {
                    add(sum, stress(q, top - x * ux - y * uy), x, y);
                }
            }
        }
        for (int i = 0; i < bars.size(); i++) {
            StrainState.OfBar b = q.bars().get(i);
            add(
                    sum,
                    bars.get(i).area() * (b.stress() - stress(q, b.depth())),
                    bars.get(i).x(),
                    bars.get(i).y());
        }
        return sum;
    }

    private static void add(double[] sum, double f, double x, double y) {
        sum[0] += f;
        sum[1] += f * y;
        sum[2] += f * x;
    }

    /** Straight between the corners that are shown. */
    private static double stress(StrainState q, double depth) {
        for (int i = 1; i < q.concrete().size(); i++) {
            StrainState.Fibre a = q.concrete().get(i - 1);
            StrainState.Fibre b = q.concrete().get(i);
            if (depth <= b.depth() && b.depth() > a.depth()) {
                return a.stress() + (b.stress() - a.stress()) * (depth - a.depth()) / (b.depth() - a.depth());
            }
        }
        return 0;
    }
}
