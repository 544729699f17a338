package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.basis.Basis;
import kolonne.core.code.DesignCode;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Where two functions vanish: circles and lines by hand, and the rays of many sections, which have to lie on what they meet. */
class TwoRootsTest {
    @Test
    void aCircleAndALineMeet() {
        double[] at = {4, 1};
        assertTrue(TwoRoots.find(
                (x, y, out) -> {
                    out[0] = x * x + y * y - 25;
                    out[1] = y - x + 1;
                },
                at,
                new double[] {1, 1},
                1e-10));
        assertEquals(4, at[0], 1e-9);
        assertEquals(3, at[1], 1e-9);
    }

    @Test
    void whatDoesNotMeetIsSaid() {
        assertFalse(TwoRoots.find(
                (x, y, out) -> {
                    out[0] = x * x + y * y + 1;
                    out[1] = y - x;
                },
                new double[] {1, 2},
                new double[] {1, 1},
                1e-10));
        assertFalse(
                TwoRoots.find(
                        (x, y, out) -> {
                            out[0] = 1;
                            out[1] = 2;
                        },
                        new double[] {1, 2},
                        new double[] {1, 1},
                        1e-10),
                "no slope leads anywhere");
    }

    /** The resultants that are met stand in the demand's ratios. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "en-1992-1-1"})
    void raysMeetWhatLiesOnThem(String key) {
        DesignCode code = Basis.standard(key).designCode();
        Random random = new Random(97);
        int biaxial = 0;
        for (int i = 0; i < 150; i++) {
            double b = 250 + 50 * random.nextInt(14);
            double h = 250 + 50 * random.nextInt(14);
            InteractionSurface s = new InteractionSurface(
                    new ColumnSection(
                            new Shape.Rectangle(b, h), bars(b, h, random), 25 + random.nextInt(45), 500, code),
                    Math.max(b, h));
            for (int k = 0; k < 12; k++) {
                double n = (random.nextDouble() * 1.3 - 0.3) * s.axialCap();
                double mx = random.nextGaussian() * 0.1 * s.axialCap() * h;
                double my = random.nextGaussian() * 0.1 * s.axialCap() * b;
                InteractionSurface.Hit hit = s.exact(n, mx, my);
                ColumnSection.Resultant r = hit.nominal();
                double size = Math.hypot(r.N(), Math.hypot(r.Mx(), r.My()) / s.scale());
                double asked = Math.hypot(n, Math.hypot(mx, my) / s.scale());
                // a jump, where a bar enters the block, may be met at its edge
                double slack = code.curve(30).isPresent() ? 1e-6 : 0.01;
                assertEquals(n / asked, r.N() / size, slack);
                assertEquals(Math.abs(mx) / asked, Math.abs(r.Mx()) / size, slack * s.scale());
                assertEquals(Math.abs(my) / asked, Math.abs(r.My()) / size, slack * s.scale());
                biaxial += Double.isInfinite(hit.c()) ? 0 : 1;
            }
        }
        assertTrue(biaxial > 1500, biaxial + " biaxial");
    }

    private static List<PlacedBar> bars(double b, double h, Random random) {
        List<PlacedBar> out = new ArrayList<>();
        int along = 2 + random.nextInt(4);
        double area = 200 + 100 * random.nextInt(7);
        for (int i = 0; i < along; i++) {
            double x = (b / 2 - 60) * (2.0 * i / (along - 1) - 1);
            out.add(new PlacedBar(x, h / 2 - 60, area));
            out.add(new PlacedBar(x, 60 - h / 2, area));
        }
        return out;
    }
}
