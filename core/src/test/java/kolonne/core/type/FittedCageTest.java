package kolonne.core.type;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.SharedLine;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.model.Material;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Places worked out by hand: two spans of 6 and 8 m on columns of 400 against 5.9 and 8.1 m on columns of 500. */
class FittedCageTest {
    private static final Basis BASIS = Basis.standard("aci-318m-19");
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");

    private static BeamLine line(String id, double column, double... joints) {
        Section s = new Section("B", new Shape.Rectangle(300, 600));
        Material m = new Material("C30", 30, 25000, 0.2, 25);
        List<BeamLine.Support> supports = java.util.Arrays.stream(joints)
                .mapToObj(x -> new BeamLine.Support("J" + x, x, BeamLine.SupportKind.COLUMN, column, column, "G"))
                .toList();
        List<BeamLine.Span> spans = java.util.stream.IntStream.range(0, joints.length - 1)
                .mapToObj(i -> new BeamLine.Span(
                        i,
                        joints[i],
                        joints[i + 1],
                        joints[i] + column / 2,
                        joints[i + 1] - column / 2,
                        List.of(),
                        s,
                        s.shape(),
                        m))
                .toList();
        List<BeamLine.Station> stations = List.of(
                new BeamLine.Station(0, column / 2, 0, 0, 0, false),
                new BeamLine.Station(1, (joints[0] + joints[1]) / 2, 0, 0, 1, false));
        return new BeamLine(id, id, "L1", spans, supports, stations, joints[joints.length - 1]);
    }

    private static final BeamLine A = line("a", 400, 0, 6000, 14000);
    private static final BeamLine B = line("b", 500, 0, 5900, 14000);

    private static BeamCage.Group bars(BeamLine l, double from, double to) {
        boolean first = from <= l.firstBar(BASIS);
        boolean last = to >= l.lastBar(BASIS);
        return new BeamCage.Group(BeamCage.Face.TOP, 1, 2, T20, 60, from, to, first, last, first && last);
    }

    private static BeamCage fitted(BeamCage.Group... g) {
        return FittedCage.of(new BeamCage(List.of(g), List.of(), List.of()), A, B, BASIS);
    }

    @Test
    void barsThroughTheLineRunFromEndToEnd() {
        BeamCage.Group g =
                fitted(bars(A, A.firstBar(BASIS), A.lastBar(BASIS))).groups().get(0);
        assertEquals(B.firstBar(BASIS), g.from());
        assertEquals(B.lastBar(BASIS), g.to());
        assertTrue(g.hookFrom() && g.hookTo() && g.through());
        assertEquals(-50, g.from() - A.firstBar(BASIS), 1e-9, "columns are 100 deeper");
    }

    @Test
    void endsKeepTheirDistanceFromTheNearerFace() {
        // 1200 left of the left face of the middle column (5800) and 1800 right of its right face (6200)
        BeamCage.Group g = fitted(bars(A, 4600, 8000)).groups().get(0);
        assertEquals(5650 - 1200, g.from(), 1e-9);
        assertEquals(6150 + 1800, g.to(), 1e-9);
    }

    @Test
    void zonesOfStirrupsFillTheSpanAndKeepTheirLengthsAtTheFaces() {
        BeamCage cage = new BeamCage(
                List.of(),
                List.of(
                        new BeamCage.Zone(0, 200, 1200, T10, 2, 100),
                        new BeamCage.Zone(0, 1200, 4800, T10, 2, 250),
                        new BeamCage.Zone(0, 4800, 5800, T10, 2, 100),
                        new BeamCage.Zone(1, 6200, 13800, T10, 2, 200)),
                List.of());
        List<BeamCage.Zone> z = FittedCage.of(cage, A, B, BASIS).zones();
        double[] expected = {250, 1250, 4650, 5650, 6150, 13750};
        assertEquals(4, z.size());
        assertEquals(expected[0], z.get(0).from());
        assertEquals(expected[1], z.get(0).to(), 1e-9);
        assertEquals(expected[1], z.get(1).from(), 1e-9);
        assertEquals(expected[2], z.get(1).to(), 1e-9);
        assertEquals(expected[3], z.get(2).to(), 1e-9);
        assertEquals(expected[4], z.get(3).from());
        assertEquals(expected[5], z.get(3).to());
    }

    @Test
    void theLineThatStandsForBothIsAsLongAsTheLongestAndHeldAsNarrowly() {
        BeamLine s = SharedLine.of(A, List.of(A, B));
        // spans of 6000 and 8100 on columns of 400
        assertEquals(14100, s.length(), 1e-9);
        assertEquals(5600, s.spans().get(0).clear(), 1e-9);
        assertEquals(7700, s.spans().get(1).clear(), 1e-9);
        assertEquals(400, s.supports().get(1).depth());
        assertEquals(200, s.stations().get(0).x(), 1e-9);
        assertEquals(3000, s.stations().get(1).x(), 1e-9);
    }

    @Test
    void linesShareWithinTheToleranceOnly() {
        // clear spans 5600 and 7600 against 5400 and 7600
        assertTrue(Likeness.of(A, Basis.standard(false)).shares(Likeness.of(B, Basis.standard(false)), 200));
        assertTrue(!Likeness.of(A, Basis.standard(false)).shares(Likeness.of(B, Basis.standard(false)), 199));
        assertTrue(!Likeness.of(A, Basis.standard(false))
                .shares(Likeness.of(line("c", 400, 0, 6000), Basis.standard(false)), 1e6));
    }
}
