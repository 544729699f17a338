package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.stream.IntStream;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** Stations lie where demand jumps or peaks. */
class StationsTest {
    private static double[] stations(Analysis a, int member) {
        return IntStream.range(0, a.stationCount(member))
                .mapToDouble(s -> a.stationX(member, s))
                .toArray();
    }

    private static boolean has(double[] at, double x, double tolerance) {
        return IntStream.range(0, at.length).anyMatch(i -> Math.abs(at[i] - x) <= tolerance);
    }

    @Test
    void bothSidesOfAPointLoadAreKept() {
        Analysis a = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .fixed("B")
                .point("m", 2345, 9e4)
                .solve();
        double[] at = stations(a, 0);
        int after = IntStream.range(0, at.length)
                .filter(i -> at[i] > 2345)
                .findFirst()
                .orElseThrow();
        assertEquals(2345, at[after], 0.1);
        assertEquals(2345, at[after - 1], 0.1);
        assertEquals(
                -9e4,
                a.force(0, 0, after, Analysis.VZ) - a.force(0, 0, after - 1, Analysis.VZ),
                1,
                "the shear drops by the load");
    }

    @Test
    void facesOfColumnsAndDFromThemAreStations() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .joint("E", 7000, 0, 4000)
                .joint("F", 7000, 0, 0)
                .column("c1", "A", "B")
                .column("c2", "F", "E")
                .beam("m", "B", "E")
                .fixed("A")
                .fixed("F")
                .spread("m", 0, 7000, 10, 10);
        double[] at = stations(b.solve(), 2);
        // columns 400 wide along X; d = 600 - 65
        for (double x : new double[] {200, 6800, 200 + 535, 6800 - 535}) {
            assertTrue(has(at, x, 5), x + " in " + java.util.Arrays.toString(at));
        }
    }

    @Test
    void theMomentsPeakIsAStation() {
        // propped cantilever: zero shear at 5L/8 from the fixed end, M = 9 w L2 / 128 there
        Analysis a = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .fixed("A")
                .pinned("B")
                .spread("m", 0, 6000, 20, 20)
                .solve();
        double[] at = stations(a, 0);
        assertTrue(has(at, 3750, 5), java.util.Arrays.toString(at));
        double most = IntStream.range(0, at.length)
                .mapToDouble(s -> a.force(0, 0, s, Analysis.MY))
                .max()
                .orElseThrow();
        assertEquals(9 * 20.0 * 6000 * 6000 / 128, most, 1);
    }
}
