package kolonne.core.beam.line;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.stream.Stream;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Which lines may share a cage. */
class IdenticalLinesTest {
    /** Lines of two spans one behind the other: spans, section of each span, whether the ends are held. */
    private record Line(double first, double second, String one, String two, boolean held) {}

    private static final Line LINE = new Line(6000, 7000, "S", "S", true);

    private static List<BeamLine> lines(Line... all) {
        ModelBuilder b = new ModelBuilder().section("S", 300, 600).section("W", 350, 600);
        for (int k = 0; k < all.length; k++) {
            Line l = all[k];
            double y = 9000 * k;
            b.joint("A" + k, 0, y, 0)
                    .joint("B" + k, l.first(), y, 0)
                    .joint("E" + k, l.first() + l.second(), y, 0)
                    .beam("m" + k, "A" + k, "B" + k, l.one())
                    .beam("n" + k, "B" + k, "E" + k, l.two())
                    .pinned("A" + k)
                    .pinned("B" + k)
                    .spread("m" + k, 0, l.first(), 10 + k, 10);
            if (l.held()) {
                b.pinned("E" + k);
            }
        }
        return BeamLines.find(b.solve());
    }

    @Test
    void linesOfTheSameGeometryAreFoundWhateverTheirLoads() {
        List<BeamLine> all = lines(LINE, LINE, LINE);
        assertEquals(3, all.size());
        assertEquals(List.of(all.get(1), all.get(2)), IdenticalLines.of(all.get(0), all));
        assertEquals(List.of(all.get(0), all.get(2)), IdenticalLines.of(all.get(1), all), "never itself");
    }

    static Stream<Line> others() {
        return Stream.of(
                new Line(6002, 7000, "S", "S", true),
                new Line(6000, 7002, "S", "S", true),
                new Line(6000, 7000, "W", "S", true),
                new Line(6000, 7000, "S", "W", true),
                new Line(6000, 7000, "S", "S", false),
                new Line(7000, 6000, "S", "S", true));
    }

    @ParameterizedTest
    @MethodSource("others")
    void aSpanASectionOrASupportThatDiffersIsAnotherLine(Line other) {
        List<BeamLine> all = lines(LINE, other);
        assertEquals(List.of(), IdenticalLines.of(all.get(0), all));
        assertEquals(List.of(), IdenticalLines.of(all.get(1), all));
    }

    @Test
    void aMillimetreIsNoDifference() {
        List<BeamLine> all = lines(LINE, new Line(6000.4, 6999.8, "S", "S", true));
        assertEquals(1, IdenticalLines.of(all.get(0), all).size());
    }
}
