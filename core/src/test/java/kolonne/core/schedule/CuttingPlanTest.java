package kolonne.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.detail.BarItem;
import org.junit.jupiter.api.Test;

/** Plans worked out by hand, and small ones against the best of all plans. */
class CuttingPlanTest {
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");

    private static Schedules.BarRow row(double length, int number, int members) {
        return new Schedules.BarRow(
                "L", "", "01", new BarItem("x", "00", T20, number, List.of(length), length), members);
    }

    @Test
    void piecesThatFitTogetherLeaveNothing() {
        CuttingPlan.Cut c = CuttingPlan.of(List.of(row(7000, 2, 1), row(5000, 1, 2)), 12_000)
                .get(0);
        assertEquals(4, c.pieces());
        assertEquals(2, c.bars());
        assertEquals(2, c.least());
        assertEquals(0, c.waste(), 1e-12);
    }

    /** Five of 6.5 m: one a bar, since two have no room; 5 × 5.5 m of 60 m are left over. */
    @Test
    void piecesOverHalfABarNeedOneEach() {
        CuttingPlan.Cut c = CuttingPlan.of(List.of(row(6500, 5, 1)), 12_000).get(0);
        assertEquals(5, c.bars());
        assertEquals(5, c.least());
        assertEquals(27.5 / 60, c.waste(), 1e-12);
    }

    /** 1 000 000 pieces of 2.9 m, four a bar, are cut in no time; the last bar is cut short. */
    @Test
    void manyAlikeAreCountedNotCut() {
        CuttingPlan.Cut c =
                CuttingPlan.of(List.of(row(2900, 1001, 1000)), 12_000).get(0);
        assertEquals(250_250, c.bars());
    }

    @Test
    void sizesAreCutApartTheThinnestFirst() {
        Bar t10 = BarCatalogue.METRIC.find("T10");
        List<CuttingPlan.Cut> all = CuttingPlan.of(
                List.of(
                        row(3000, 1, 1),
                        new Schedules.BarRow("L", "", "02", new BarItem("x", "00", t10, 4, List.of(3000.0), 3000), 1)),
                12_000);
        assertEquals(
                List.of("T10", "T20"), all.stream().map(c -> c.bar().label()).toList());
        assertEquals(List.of(1L, 1L), all.stream().map(CuttingPlan.Cut::bars).toList());
    }

    @Test
    void smallPlansAreNearTheBestOfAll() {
        Random r = new Random(5);
        for (int trial = 0; trial < 200; trial++) {
            List<Schedules.BarRow> rows = new ArrayList<>();
            double[] lengths = new double[3 + r.nextInt(5)];
            for (int i = 0; i < lengths.length; i++) {
                lengths[i] = 50 * (10 + r.nextInt(230));
                rows.add(row(lengths[i], 1, 1));
            }
            CuttingPlan.Cut c = CuttingPlan.of(rows, 12_000).get(0);
            int best = best(lengths, 0, new double[lengths.length], 0, lengths.length);
            assertTrue(c.least() <= best && best <= c.bars(), Arrays.toString(lengths));
            assertTrue(c.bars() <= Math.floor(11 * best / 9.0 + 6 / 9.0), c + " " + best);
        }
    }

    /** The fewest bars over all ways to put pieces into them. */
    private static int best(double[] lengths, int i, double[] used, int bars, int most) {
        if (bars >= most || i == lengths.length) {
            return Math.min(bars, most);
        }
        int out = most;
        for (int b = 0; b < bars; b++) {
            if (used[b] + lengths[i] <= 12_000) {
                used[b] += lengths[i];
                out = best(lengths, i + 1, used, bars, out);
                used[b] -= lengths[i];
            }
        }
        used[bars] = lengths[i];
        out = best(lengths, i + 1, used, bars + 1, out);
        used[bars] = 0;
        return out;
    }
}
