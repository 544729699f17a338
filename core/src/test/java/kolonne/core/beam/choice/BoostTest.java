package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** What cracks and the shifted moment ask for beside the moments: where bars can give it, and no more than is raised counts. */
class BoostTest {
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final boolean[] NONE_FULL = {false, false, false};
    /** Two spans on three supports. */
    private static final BeamLine LINE = BeamLines.find(new ModelBuilder()
                    .section("S", 300, 600)
                    .joint("A", 0, 0, 0)
                    .joint("B", 6000, 0, 0)
                    .joint("C", 12000, 0, 0)
                    .beam("m", "A", "B")
                    .beam("n", "B", "C")
                    .pinned("A")
                    .pinned("B")
                    .pinned("C")
                    .spread("m", 0, 6000, 30, 30)
                    .spread("n", 0, 6000, 30, 30)
                    .solve())
            .get(0);

    private static double[] everywhere(double use) {
        double[] out = new double[LINE.stations().size()];
        Arrays.fill(out, use);
        return out;
    }

    @Test
    void everyStationThatCracksTooWideIsRaisedByItsUse() {
        Boost b = new Boost(LINE);
        assertTrue(b.raise(LINE, true, everywhere(1.2), everywhere(0), NONE_FULL));
        assertArrayEquals(everywhere(1.2 * 1.02), b.sagging, 1e-12);
        assertArrayEquals(everywhere(1), b.hogging);
        assertFalse(b.raise(LINE, true, everywhere(1), everywhere(1), NONE_FULL));
    }

    @Test
    void aRegionThatNoBarsBearIsRaisedNoMore() {
        Boost b = new Boost(LINE);
        assertFalse(b.raise(LINE, false, everywhere(3), everywhere(3), new boolean[] {true, true, true}));
        assertArrayEquals(everywhere(1), b.hogging);
        // the middle support alone: the halves of the spans beside it
        assertTrue(b.raise(LINE, false, everywhere(3), everywhere(3), new boolean[] {false, true, false}));
        for (int i = 0; i < b.hogging.length; i++) {
            BeamLine.Station s = LINE.stations().get(i);
            boolean outer = s.span() == 0
                    ? s.x() < LINE.spans().get(0).middle()
                    : s.x() >= LINE.spans().get(1).middle();
            assertEquals(outer ? 1.6 : 1, b.hogging[i], "at " + s.x());
        }
        assertEquals(1, b.supports[1]);
        assertTrue(b.supports[0] > 1 && b.supports[2] > 1);
        // the other span's bottom bars
        assertTrue(b.raise(LINE, true, everywhere(0), everywhere(3), new boolean[] {true, false}));
        assertEquals(1, b.spans[0]);
        assertTrue(b.spans[1] > 1);
    }

    @Test
    void facesThatAreFullAreTold() {
        Choice serves = new Choice(
                2,
                EN.beamBarList().get(0),
                0,
                EN.beamBarList().get(0),
                List.of(),
                0,
                EN.beamBarList().get(0),
                1,
                true);
        Choice fails = new Choice(
                2,
                EN.beamBarList().get(0),
                0,
                EN.beamBarList().get(0),
                List.of(),
                0,
                EN.beamBarList().get(0),
                1,
                false);
        FlexureChoice.Chosen c =
                new FlexureChoice.Chosen(new Choice[] {serves, fails, serves}, new Choice[] {fails, serves});
        assertArrayEquals(new boolean[] {false, true, false}, c.full(false));
        assertArrayEquals(new boolean[] {true, false}, c.full(true));
    }
}
