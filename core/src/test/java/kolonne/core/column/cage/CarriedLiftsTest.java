package kolonne.core.column.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Parts set by hand go with the members of their lifts, whatever the model becomes. */
class CarriedLiftsTest {
    private static final Bar T25 = BarCatalogue.METRIC.find("T25");
    private static final HandLift EIGHT = new HandLift(new RingBars(8, T25), null);
    private static final HandLift NINE = new HandLift(new RingBars(9, T25), null);

    /** Two lifts, one over the other, under these ids. */
    private static List<ColumnStack> stacks(String low, String high) {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .joint("C", 0, 0, 6000)
                .column(low, "A", "B")
                .fixed("A");
        if (high != null) {
            b.column(high, "B", "C");
        }
        b.sections.add(new Section("S", new Shape.Circle(500)));
        return ColumnStacks.find(new BuildingIndex(b.building()), kolonne.core.mark.Marks.NONE);
    }

    private static CarriedLifts.Carried carried(
            Map<String, HandLift> hand, UnaryOperator<String> renamed, List<ColumnStack> after) {
        return CarriedLifts.carry(hand, renamed, stacks("c1", "c2"), after);
    }

    @Test
    void nothingMovesWhereMembersStay() {
        CarriedLifts.Carried c = carried(Map.of("c1", EIGHT, "c2", NINE), m -> m, stacks("c1", "c2"));
        assertEquals(Map.of(), c.now());
        assertEquals(List.of(), c.told());
    }

    @Test
    void aLiftThatIsGoneIsNamed() {
        CarriedLifts.Carried c = carried(Map.of("c1", EIGHT, "c2", NINE), m -> m, stacks("c1", null));
        assertEquals(Map.of("c2", HandLift.NONE), c.now());
        String mark = stacks("c1", "c2").get(0).mark();
        assertEquals(List.of("set by hand on " + mark + ", lift to top and lost: the lift is no more"), c.told());
    }

    @Test
    void membersThatAreNumberedAnewTakeTheirPartsAlong() {
        CarriedLifts.Carried c = carried(Map.of("c1", EIGHT), Map.of("c1", "k7", "c2", "k8")::get, stacks("k7", "k8"));
        assertEquals(Map.of("c1", HandLift.NONE, "k7", EIGHT), c.now());
        assertEquals(List.of(), c.told());
    }

    @Test
    void idsThatChangePlacesChangeTheirParts() {
        CarriedLifts.Carried c =
                carried(Map.of("c1", EIGHT, "c2", NINE), Map.of("c1", "c2", "c2", "c1")::get, stacks("c2", "c1"));
        assertEquals(Map.of("c2", EIGHT, "c1", NINE), c.now());
    }

    @Test
    void whatWasLostBeforeIsNotToldAgain() {
        CarriedLifts.Carried c = carried(Map.of("c9", EIGHT), m -> m, stacks("c1", "c2"));
        assertEquals(Map.of("c9", HandLift.NONE), c.now());
        assertEquals(List.of(), c.told());
    }
}
