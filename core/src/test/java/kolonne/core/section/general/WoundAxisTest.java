package kolonne.core.section.general;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Axes of made-up resultants whose directions are known: as far off pure compression as twice the arctangent of the inverse depth, and still beyond some depths. */
class WoundAxisTest {
    private static final double LEAST = Math.log(1e-7);
    private static final double MOST = Math.log(1e7);
    private static final double[] NONE = {};

    private static double[] off(double angle, double theta) {
        return new double[] {Math.cos(angle), Math.sin(angle) * Math.cos(theta), Math.sin(angle) * Math.sin(theta)};
    }

    private static double[] at(double theta, double logC) {
        double still = Math.max(0, Math.min(Math.PI, 1.02 * 2 * Math.atan(Math.exp(-logC)) - 0.01 * Math.PI));
        return off(still, theta);
    }

    @Test
    void raysMeetTheirAxis() {
        Random r = new Random(3);
        for (int k = 0; k < 500; k++) {
            double theta = 2 * Math.PI * r.nextDouble();
            double beside = Math.exp(Math.log(1e-6) * r.nextDouble());
            double angle = k % 2 == 0 ? beside : Math.PI - beside;
            double[] ray = off(angle, theta);
            // the axis that is looked near to first is right, or far off
            double[] near = {k % 3 == 0 ? theta + 0.02 : 1, 0.1};
            double[] found = new WoundAxis(WoundAxisTest::at, ray, NONE, LEAST, MOST).axis(near);
            double[] points = at(found[0], found[1]);
            for (int i = 0; i < 3; i++) {
                assertEquals(ray[i], points[i], 1e-8);
            }
        }
    }

    /** Resultants that keep to one side never point the other way. */
    @Test
    void thereIsNoneWhereNothingPoints() {
        double[] ray = off(2, 1);
        assertNull(new WoundAxis((theta, logC) -> off(Math.min(1, Math.exp(-logC)), theta), ray, NONE, LEAST, MOST)
                .axis(new double[] {1, 0}));
    }

    @Test
    void aSearchEndsWhateverResultantsDo() {
        Random r = new Random(4);
        AtomicInteger asked = new AtomicInteger();
        WoundAxis.Pointing wild = (theta, logC) -> {
            asked.incrementAndGet();
            return off(1 + r.nextDouble(), 6 * r.nextDouble());
        };
        assertNull(new WoundAxis(wild, off(0.5, 1), NONE, LEAST, MOST).axis(new double[] {0, 0}));
        assertTrue(asked.get() < 110_000, asked + " places");
    }
}
