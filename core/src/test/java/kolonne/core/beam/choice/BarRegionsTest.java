package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Top bars over a support where the depth changes: each side has its own moment and its own lever. */
class BarRegionsTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");
    private static final Bar T16 = BarCatalogue.METRIC.find("T16");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");

    /** Spans of 300 × 650 and of the other depth. */
    private static BeamLine line(double depth) {
        return BeamLines.find(new ModelBuilder()
                        .section("D", 300, 650)
                        .section("S", 300, depth)
                        .joint("A", 0, 0, 0)
                        .joint("B", 6000, 0, 0)
                        .joint("E", 12_000, 0, 0)
                        .beam("m1", "A", "B", "D")
                        .beam("m2", "B", "E", "S")
                        .pinned("A")
                        .pinned("B")
                        .pinned("E")
                        .spread("m1", 0, 6000, 10, 10)
                        .solve())
                .get(0);
    }

    /** The region over the middle support with such moments at its sides [kNm]. */
    private static BarRegion over(BeamLine line, double before, double after) {
        double[] hogging = new double[line.stations().size()];
        for (BeamLine.Station s : line.stations()) {
            hogging[s.number()] = Math.abs(s.x() - 6000) < 1 ? (s.span() == 0 ? before : after) * 1e6 : 0;
        }
        return new BarRegions(line, ACI, new Boost(line), hogging, new double[hogging.length])
                .top()
                .get(1);
    }

    private static int bars(BeamLine line, BarRegion r) {
        Choice under =
                new Choice(2, T16, 0, T16, List.of(new BarFit.Layer(1, 2, T16, 58)), 0, T16, Double.MAX_VALUE, true);
        RegionChoice choice =
                new RegionChoice(line, ACI, T10, Optional.empty(), new BarFit.Memo(ACI), new FaceStrengths(ACI));
        Choice c = choice.cheapest(r, 2, T20, List.of(T20), new Choice[] {under, under});
        assertTrue(c.satisfies());
        return c.through() + c.added();
    }

    /**
     * By hand, without the bars below: φMn = 0.9 · 420 n 314 (d − 420 n 314 / (2 · 0.85 · 30 · 300)) with d = 590 are 201 (3), 264 (4) and 325 kNm (5), with d
     * = 390 130, 169 and 206 kNm. Five in a row fit into 300 mm; the sixth lies above.
     */
    @ParameterizedTest(name = "{0} kNm before and {1} kNm after: {2} bars")
    @CsvSource({"300, 150, 5", "195, 150, 4", "250, 100, 4", "195, 190, 5", "300, 0, 5", "0, 150, 4", "0, 0, 2"})
    void eachSideHasItsOwnLever(double before, double after, int expected) {
        BeamLine line = line(450);
        assertEquals(expected, bars(line, over(line, before, after)));
    }

    /** Where the sections are alike the larger moment is borne, whichever side it is on. */
    @Test
    void alikeSidesAreOne() {
        BeamLine line = line(650);
        for (double[] m : new double[][] {{300, 150}, {150, 300}}) {
            BarRegion r = over(line, m[0], m[1]);
            assertEquals(1, r.sides().size());
            assertEquals(BeamCage.Face.TOP, r.face());
            assertEquals(5, bars(line, r));
        }
    }

    /** The least part borne is told of the weaker side: the parts of both moments that five bars bear, as above, less than 3 % more with the bars below. */
    @Test
    void theWeakerSideTells() {
        BeamLine line = line(450);
        BarRegion r = over(line, 400, 400);
        assertEquals(206 / 400.0, r.part(s -> s.number() == 0 ? 325e6 : 206e6), 1e-12);
        assertEquals(325 / 400.0, over(line, 400, 0).part(s -> 325e6), 1e-12);
        assertTrue(r.bear(s -> 400e6) && !r.bear(s -> s.number() == 0 ? 400e6 : 399e6));
    }
}
