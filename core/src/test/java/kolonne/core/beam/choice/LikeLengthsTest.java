package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Bars of 2 kg/m that are cut to one length where that costs less than a further mark. */
class LikeLengthsTest {
    private static final double MASS = 2;

    private static LikeLengths.Cut cut(int count, double length, double room) {
        return new LikeLengths.Cut(count, length, room);
    }

    private static double[] longer(double mark, LikeLengths.Cut... cuts) {
        return LikeLengths.longer(List.of(cuts), MASS, mark);
    }

    /** Two bars 500 longer weigh 2 kg more, three bars 100 longer 0.6 kg. */
    @Test
    void byHand() {
        LikeLengths.Cut[] cuts = {cut(2, 3000, 9000), cut(3, 3400, 9000), cut(2, 3500, 9000)};
        assertArrayEquals(new double[] {0, 0, 0}, longer(0.5, cuts));
        assertArrayEquals(new double[] {0, 100, 0}, longer(1.9, cuts));
        assertArrayEquals(new double[] {500, 100, 0}, longer(2.1, cuts));
        assertArrayEquals(new double[0], longer(2.1));
    }

    @Test
    void barsWithoutRoomStay() {
        assertArrayEquals(new double[] {0, 100, 0}, longer(9, cut(2, 3000, 400), cut(3, 3400, 100), cut(2, 3500, 0)));
    }

    /** Against every way to cut up to six kinds of bars as long as one of them. */
    @Test
    void noOtherPartitionCostsLess() {
        Random random = new Random(5);
        int fewer = 0;
        for (int trial = 0; trial < 400; trial++) {
            List<LikeLengths.Cut> cuts = new ArrayList<>();
            int n = 1 + random.nextInt(6);
            for (int i = 0; i < n; i++) {
                cuts.add(cut(1 + random.nextInt(4), 2000 + 50 * random.nextInt(60), 1e6));
            }
            cuts.sort(Comparator.comparingDouble(LikeLengths.Cut::length));
            double mark = 6 * random.nextDouble();
            double[] by = LikeLengths.longer(cuts, MASS, mark);
            double[] to = new double[n];
            for (int i = 0; i < n; i++) {
                to[i] = cuts.get(i).length() + by[i];
            }
            double least = least(cuts, new double[n], 0, mark);
            assertEquals(least, cost(cuts, to, mark), 1e-9);
            fewer += least
                            < cost(
                                    cuts,
                                    cuts.stream()
                                            .mapToDouble(LikeLengths.Cut::length)
                                            .toArray(),
                                    mark)
                    ? 1
                    : 0;
        }
        assertTrue(fewer > 100, fewer + " have fewer lengths");
    }

    private static double least(List<LikeLengths.Cut> cuts, double[] to, int at, double mark) {
        if (at == to.length) {
            return cost(cuts, to, mark);
        }
        double least = Double.POSITIVE_INFINITY;
        for (LikeLengths.Cut c : cuts) {
            if (c.length() >= cuts.get(at).length()) {
                to[at] = c.length();
                least = Math.min(least, least(cuts, to, at + 1, mark));
            }
        }
        return least;
    }

    private static double cost(List<LikeLengths.Cut> cuts, double[] to, double mark) {
        Set<Double> marks = new HashSet<>();
        double kg = 0;
        for (int i = 0; i < to.length; i++) {
            marks.add(to[i]);
            kg += cuts.get(i).count() * (to[i] - cuts.get(i).length()) / 1000 * MASS;
        }
        return kg + mark * marks.size();
    }
}
