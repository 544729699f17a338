package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Cracked elastic sections against the closed forms of every text, and against strips by brute force. */
class CrackedSectionTest {
    /** k = √((nρ)² + 2nρ) − nρ; Icr = b (kd)³ / 3 + n As (d − kd)². */
    @ParameterizedTest
    @CsvSource({"300, 540, 1500, 8", "250, 440, 600, 7", "400, 690, 4000, 9"})
    void aRectangleWithTensionBars(double b, double d, double as, double n) {
        CrackedSection s = CrackedSection.of(new Shape.Rectangle(b, d + 60), true, List.of(new BarLayer(d, as)), n);
        double nr = n * as / (b * d);
        double kd = (Math.sqrt(nr * nr + 2 * nr) - nr) * d;
        assertEquals(kd, s.depth(), 1e-6 * d);
        assertEquals(b * Math.pow(kd, 3) / 3 + n * as * (d - kd) * (d - kd), s.inertia(), 1e-6 * s.inertia());
    }

    @Test
    void aTeeByBruteForce() {
        Shape tee = new Shape.Tee(300, 600, 1200, 120);
        for (boolean sagging : new boolean[] {true, false}) {
            List<BarLayer> bars = List.of(new BarLayer(540, 3000), new BarLayer(60, 800));
            CrackedSection s = CrackedSection.of(tee, sagging, bars, 7.5);
            double first = 0;
            double second = 0;
            double step = 0.01;
            for (double z = step / 2; z < s.depth(); z += step) {
                double height = sagging ? 600 - z : z;
                double width = height > 480 ? 1200 : 300;
                first += width * step * (s.depth() - z);
                second += width * step * (s.depth() - z) * (s.depth() - z);
            }
            for (BarLayer l : bars) {
                double times = l.depth() < s.depth() ? 6.5 : 7.5;
                first += times * l.area() * (s.depth() - l.depth());
                second += times * l.area() * (s.depth() - l.depth()) * (s.depth() - l.depth());
            }
            assertEquals(0, first / (7.5 * 3000 * 540), 1e-4);
            assertEquals(second, s.inertia(), 1e-4 * second);
        }
    }
}
