package kolonne.core.column.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Ties as they stand: zone by zone no farther apart than chosen, wherever zones meet. */
class TiePlacesTest {
    /** Two lifts of 3600 between beams of 600: joints take 300 of each end, the foot of the first none. */
    private static List<ColumnStack.Lift> lifts(double height) {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, height)
                .joint("C", 0, 0, 2 * height)
                .joint("P", 6000, 0, height)
                .joint("Q", 6000, 0, 2 * height)
                .column("c1", "A", "B")
                .column("c2", "B", "C")
                .fixed("A")
                .fixed("P")
                .fixed("Q");
        b.sections.add(new Section("S", new Shape.Rectangle(400, 600)));
        b.beam("b1", "B", "P").beam("b2", "C", "Q");
        return ColumnStacks.find(new BuildingIndex(b.building())).get(0).lifts();
    }

    private static List<Double> of(ColumnStack.Lift lift, TieSpacing s) {
        Bar bar = BarCatalogue.METRIC.find("T20");
        return TiePlaces.of(
                lift, new ColumnCage.LiftCage(new RectangleBars(2, 2, bar, bar, List.of(), List.of()), bar, 1).with(s));
    }

    @Test
    void byHand() {
        ColumnStack.Lift first = lifts(3600).get(0);
        // 500 and 300 of the joint at 100, 2800 at 200 between
        TieSpacing s = new TieSpacing(100, 100, 200, 500, 500);
        assertEquals(5 + 12 + 8, of(first, s).size(), "0 to 500, 500 to 2800, 2800 to 3600");
        List<Double> all = of(first, s);
        assertEquals(50, all.get(0), 1e-9);
        assertEquals(450, all.get(4), 1e-9);
        assertEquals(500 + 2300 / 24.0, all.get(5), 1e-9);
        assertEquals(3550, all.get(24), 1e-9);
        // nothing stands on the second: hoops go on to the top of the beam
        ColumnStack.Lift second = lifts(3600).get(1);
        List<Double> top = of(second, s);
        assertEquals(3850, top.get(top.size() - 1), 1e-9);
        assertEquals(18, of(lifts(3600).get(0), TieSpacing.even(200)).size());
    }

    @Test
    void nowhereFartherApartThanChosen() {
        Random random = new Random(3);
        for (int k = 0; k < 400; k++) {
            double middle = 50 + 25 * random.nextInt(11);
            double end = Math.min(middle, 50 + 25 * random.nextInt(11));
            double joint = Math.min(end, 50 + 25 * random.nextInt(11));
            TieSpacing s = new TieSpacing(joint, end, middle, 100 * random.nextInt(30), 100 * random.nextInt(30));
            for (ColumnStack.Lift l : lifts(2400 + 100 * random.nextInt(40))) {
                List<Double> all = of(l, s);
                assertEquals(all.size(), of(l, s).size());
                double height = l.top() - l.base();
                for (int i = 1; i < all.size(); i++) {
                    double from = all.get(i - 1);
                    double to = all.get(i);
                    assertTrue(to - from <= middle + 1e-9 && to > from, s.toString());
                    boolean low = to <= l.inFoot() + s.foot();
                    boolean high = from >= height - l.inHead() - s.head();
                    assertTrue(!low && !high || to - from <= end + 1e-9, s + " " + from + " " + to);
                    assertTrue(
                            to > l.inFoot() && from < height - l.inHead() || to - from <= joint + 1e-9,
                            s + " in the joint " + from + " " + to);
                }
            }
        }
    }
}
