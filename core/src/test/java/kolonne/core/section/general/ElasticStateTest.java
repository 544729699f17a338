package kolonne.core.section.general;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.section.BarLayer;
import kolonne.core.section.CrackedSection;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Stresses of cracked sections: textbook formulas, and for outlines at random a sum over many small squares, which shares nothing with the solution. */
class ElasticStateTest {
    private static final double N = 7;

    private static Outline centred(Shape s) {
        Outline o = Outline.of(s);
        Outline.Corner c = o.centroid();
        return o.moved(-c.x(), -c.y());
    }

    /** Below the kern nothing cracks: P/A ± M/W of the transformed section, 300 × 500 with four bars of 500 mm2 at ±200. */
    @Test
    void uncracked() {
        List<PlacedBar> bars = List.of(
                new PlacedBar(-100, -200, 500),
                new PlacedBar(100, -200, 500),
                new PlacedBar(-100, 200, 500),
                new PlacedBar(100, 200, 500));
        ElasticState s = ElasticState.of(centred(new Shape.Rectangle(300, 500)), bars, N, 1e6, 50e6, 0)
                .orElseThrow();
        double area = 150_000 + 6 * 2000;
        double inertia = 300 * Math.pow(500, 3) / 12 + 6 * 2000 * 200 * 200;
        assertEquals(1e6 / area + 50e6 * 250 / inertia, s.plane(0, 250), 1e-6);
        assertEquals(1e6 / area - 50e6 * 250 / inertia, s.plane(0, -250), 1e-6);
        assertEquals(-N * (1e6 / area + 50e6 * 200 / inertia), s.bar(100, 200), 1e-6);
    }

    /** Pure bending of a tee: the neutral axis and inertia of the cracked section by first moments. */
    @Test
    void bendingAlone() {
        Shape tee = new Shape.Tee(300, 600, 1000, 120);
        Outline o = centred(tee);
        double zc = tee.centroid();
        List<PlacedBar> bars = List.of(new PlacedBar(-100, 60 - zc, 800), new PlacedBar(100, 60 - zc, 800));
        ElasticState s = ElasticState.of(o, bars, N, 0, 200e6, 0).orElseThrow();
        CrackedSection c = CrackedSection.of(tee, true, List.of(new BarLayer(540, 1600)), N);
        assertEquals(200e6 * c.depth() / c.inertia(), s.plane(0, 600 - zc), 1e-4);
        assertEquals(N * 200e6 * (540 - c.depth()) / c.inertia(), s.bar(0, 60 - zc), 1e-3);
    }

    /** Tension at the middle: bars alone. */
    @Test
    void tensionAlone() {
        List<PlacedBar> bars = List.of(
                new PlacedBar(-100, -200, 500),
                new PlacedBar(100, -200, 500),
                new PlacedBar(-100, 200, 500),
                new PlacedBar(100, 200, 500));
        ElasticState s = ElasticState.of(centred(new Shape.Rectangle(300, 500)), bars, N, -4e5, 0, 0)
                .orElseThrow();
        assertEquals(200, s.bar(0, 0), 1e-6);
        assertEquals(200, s.bar(100, 200), 1e-6);
    }

    @Test
    void nothingTakesTheTension() {
        Outline o = centred(new Shape.Rectangle(300, 500));
        assertTrue(ElasticState.of(o, List.of(), N, 1e5, 1e9, 0).isEmpty());
        assertTrue(ElasticState.of(o, List.of(), N, -1e5, 0, 0).isEmpty());
    }

    /** A ring: stresses of a round column turn with the moments. */
    @Test
    void roundSectionsKnowNoDirection() {
        Outline o = Outline.circle(0, 0, 600);
        assertEquals(Math.PI * 300 * 300, o.area(), 1);
        double[] m = o.moments(1, 0, 0);
        assertEquals(Math.PI * Math.pow(600, 4) / 64, m[3], 1e-3 * m[3]);
        List<PlacedBar> bars = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            bars.add(new PlacedBar(240 * Math.cos(i * Math.PI / 6), 240 * Math.sin(i * Math.PI / 6), 300));
        }
        ElasticState x = ElasticState.of(o, bars, N, 8e5, 3e8, 0).orElseThrow();
        ElasticState y = ElasticState.of(o, bars, N, 8e5, 0, 3e8).orElseThrow();
        assertEquals(x.plane(0, 300), y.plane(300, 0), 1e-3 * x.plane(0, 300));
        assertEquals(x.bar(0, -240), y.bar(-240, 0), 1e-3 * x.bar(0, -240));
    }

    @Test
    void balanceOfManySmallSquares() {
        Random random = new Random(14);
        for (int k = 0; k < 60; k++) {
            Shape shape = random.nextBoolean()
                    ? new Shape.Ell(
                            200 + random.nextInt(100), 500 + random.nextInt(300), 500, 150 + random.nextInt(100))
                    : new Shape.Rectangle(300 + random.nextInt(300), 300 + random.nextInt(400));
            Outline o = centred(shape);
            List<PlacedBar> bars = new ArrayList<>();
            while (bars.size() < 8) {
                double bx = (random.nextDouble() - 0.5) * 2 * shape.width();
                double by = (random.nextDouble() - 0.5) * 2 * shape.depth();
                if (o.contains(bx, by) && o.distance(bx, by) > 40) {
                    bars.add(new PlacedBar(bx, by, 200 + random.nextInt(600)));
                }
            }
            double p = (random.nextDouble() - 0.2) * 2e6;
            double mx = (random.nextDouble() - 0.5) * 3e8;
            double my = (random.nextDouble() - 0.5) * 3e8;
            double n = 5 + random.nextInt(15);
            ElasticState s = ElasticState.of(o, bars, n, p, mx, my).orElseThrow();
            double[] sum = squares(o, bars, s, 1);
            double size = Math.max(Math.abs(p), Math.hypot(mx, my) / 300);
            assertEquals(p, sum[0], 2e-4 * size, "axial force, " + k);
            assertEquals(mx, sum[1], 0.05 * size, "moment about x, " + k);
            assertEquals(my, sum[2], 0.05 * size, "moment about y, " + k);
        }
    }

    private static double[] squares(Outline o, List<PlacedBar> bars, ElasticState s, double side) {
        double[] out = new double[3];
        // from a corner, so that the squares fill the outline: its sizes are whole
        for (double x = -o.reach(-1, 0) + side / 2; x < o.reach(1, 0); x += side) {
            for (double y = -o.reach(0, -1) + side / 2; y < o.reach(0, 1); y += side) {
                double f = o.contains(x, y) ? Math.max(0, s.plane(x, y)) * side * side : 0;
                out[0] += f;
                out[1] += f * y;
                out[2] += f * x;
            }
        }
        for (PlacedBar b : bars) {
            double q = s.plane(b.x(), b.y());
            double f = b.area() * (-s.bar(b.x(), b.y()) - Math.max(0, q));
            out[0] += f;
            out[1] += f * b.y();
            out[2] += f * b.x();
        }
        return out;
    }
}
