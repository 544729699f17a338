package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Beams in bending against published values, the closed form, and strain integration in thin strips. */
class FlexuralStrengthTest {
    private static final double KIP_FT = 1355817.9483314;
    private static final double PSI = 0.00689475729316836;

    /**
     * J. K. Wight, J. G. MacGregor, Reinforced Concrete: Mechanics and Design, 6th ed., example 4-1: b 12 in, d 17.5 in,
     * f'c 4000 psi, Grade 60, 3.16 in2: a = 4.65 in, Mn = 240 kip ft (three digits, hence 0.5 %).
     */
    @Test
    void singlyReinforcedRectangleMatchesThePublishedExample() {
        FlexuralStrength s = FlexuralStrength.of(
                new Shape.Rectangle(12 * 25.4, 20 * 25.4),
                true,
                List.of(new BarLayer(17.5 * 25.4, 3.16 * 645.16)),
                4000 * PSI,
                60_000 * PSI,
                Aci318.US,
                Trace.OFF);
        assertEquals(240, s.Mn() / KIP_FT, 0.005 * 240);
        assertEquals(4.65, 0.85 * s.c() / 25.4, 0.005 * 4.65);
    }

    /** Second route: a = As fy / (0.85 f'c b), Mn = As fy (d − a/2), where the steel yields. */
    @ParameterizedTest(name = "b={0} h={1} d={2} As={3} fc={4} fy={5}")
    @CsvSource({
        "300, 600, 540, 1257, 30, 420",
        "400, 700, 630, 2945, 35, 420",
        "250, 500, 440, 628, 25, 500",
        "1000, 400, 340, 3927, 40, 420",
        "300, 600, 540, 402, 60, 420"
    })
    void matchesTheClosedFormWhereTheSteelYields(double b, double h, double d, double as, double fc, double fy) {
        FlexuralStrength s = FlexuralStrength.of(
                new Shape.Rectangle(b, h), true, List.of(new BarLayer(d, as)), fc, fy, Aci318.SI, Trace.OFF);
        double a = as * fy / (0.85 * fc * b);
        assertEquals(as * fy * (d - a / 2), s.Mn(), 1e-6 * s.Mn());
        double epsT = 0.003 * (d - s.c()) / s.c();
        assertEquals(epsT, s.epsT(), 1e-9);
        assertEquals(epsT > fy / 200_000 + 0.003 ? 0.9 : s.phi(), s.phi(), 1e-12);
    }

    /** Second route: the block and the bars summed over a thousand strips. */
    @ParameterizedTest(name = "{0}")
    @CsvSource({"tee, true", "tee, false", "ell, true", "ell, false", "rectangle, true", "circle, true"})
    void matchesStrainIntegrationInStrips(String shape, boolean sagging) {
        Shape s = switch (shape) {
            case "tee" -> new Shape.Tee(300, 600, 1200, 150);
            case "ell" -> new Shape.Ell(300, 600, 800, 150);
            case "circle" -> new Shape.Circle(600);
            default -> new Shape.Rectangle(300, 600);
        };
        List<BarLayer> layers = List.of(new BarLayer(60, 804), new BarLayer(500, 982), new BarLayer(545, 1963));
        FlexuralStrength f = FlexuralStrength.of(s, sagging, layers, 30, 420, Aci318.SI, Trace.OFF);
        double a = Aci318.SI.block(30).depth() * f.c();
        double n = 0;
        double m = 0;
        int strips = 20_000;
        for (int i = 0; i < strips; i++) {
            double y = (i + 0.5) * s.depth() / strips;
            if (y < a) {
                double force = 0.85 * 30 * width(s, sagging ? s.depth() - y : y) * s.depth() / strips;
                n += force;
                m -= force * y;
            }
        }
        for (BarLayer l : layers) {
            double stress = Math.max(-420, Math.min(420, 200_000 * 0.003 * (l.depth() - f.c()) / f.c()));
            stress += l.depth() < a ? 0.85 * 30 : 0;
            n -= stress * l.area();
            m += stress * l.area() * l.depth();
        }
        assertEquals(0, n, 1e-3 * 0.85 * 30 * 300 * 600, "axial equilibrium");
        assertEquals(m, f.Mn(), 1e-3 * m);
    }

    private static double width(Shape s, double z) {
        if (s instanceof Shape.Circle c) {
            double r = c.d() / 2;
            return 2 * Math.sqrt(Math.max(0, r * r - (z - r) * (z - r)));
        }
        return s.strips().stream()
                .filter(t -> z >= t.from() && z <= t.to())
                .findFirst()
                .orElseThrow()
                .width();
    }

    @Test
    void moreSteelNeverLowersTheNominalStrength() {
        double last = 0;
        for (int n = 2; n < 40; n++) {
            double mn = FlexuralStrength.of(
                            new Shape.Rectangle(300, 600),
                            true,
                            List.of(new BarLayer(60, 402), new BarLayer(540, n * 201)),
                            30,
                            420,
                            Aci318.SI,
                            Trace.OFF)
                    .Mn();
            assertTrue(mn >= last, n + " bars");
            last = mn;
        }
    }

    @Test
    void theExplanationEndsWithTheNumberOfTheCheck() {
        Trace t = Trace.recording();
        FlexuralStrength s = FlexuralStrength.of(
                new Shape.Rectangle(300, 600), true, List.of(new BarLayer(540, 1257)), 30, 420, Aci318.SI, t);
        List<Step> steps = new ArrayList<>(t.steps());
        assertEquals(s.phiMn(), steps.get(steps.size() - 1).value());
        assertTrue(steps.stream().allMatch(x -> !x.clause().text().isBlank()), "every step has a clause");
    }
}
