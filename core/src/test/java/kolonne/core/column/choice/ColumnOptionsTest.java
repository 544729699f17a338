package kolonne.core.column.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.DesignedDemo;
import kolonne.core.design.HandSet;
import org.junit.jupiter.api.Test;

/** Other bars for a lift: each, when it is set by hand, is used as much as was said, and bears what the lift bears. */
class ColumnOptionsTest {
    private static final BuildingDesign D = DesignedDemo.by(DesignedDemo.SMALL, Basis.standard(false));

    private static double bending(ColumnDesign.LiftDesign l) {
        return l.checks().stream()
                .filter(c -> c.kind().id().equals("axial-bending"))
                .mapToDouble(CheckResult::utilisation)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsOfferedHoldsWhenItIsTaken() {
        int taken = 0;
        int own = 0;
        for (ColumnDesign c : D.columns().subList(0, 6)) {
            int lift = c.lifts().size() / 2;
            List<ColumnOptions.Option> all =
                    ColumnOptions.of(c.stack(), lift, c.cage(), D.contexts().columns());
            Set<Integer> counts = new HashSet<>();
            for (ColumnOptions.Option o : all) {
                assertTrue(counts.add(o.bars().count()), "one of each number");
                String member = c.stack().lifts().get(lift).member();
                HandSet set =
                        HandSet.ofLifts(Map.of(member, new HandLift(o.bars().unheld(), null)));
                ColumnDesign with = D.with(set, Set.of(c.stack().id())).columns().stream()
                        .filter(x -> x.stack().id().equals(c.stack().id()))
                        .findFirst()
                        .orElseThrow();
                assertEquals(
                        o.utilisation(),
                        bending(with.lifts().get(lift)),
                        1e-6,
                        c.stack().mark() + o);
                assertTrue(o.utilisation() <= 1 + 1e-9);
                assertTrue(o.clear() >= 40, "they fit");
                assertEquals(o.bars().area() * 7.85e-3, o.mass(), 0.01 * o.mass());
                taken++;
            }
            own += all.stream()
                            .anyMatch(o -> o.bars()
                                    .unheld()
                                    .equals(c.cage().lifts().get(lift).layout().unheld()))
                    ? 1
                    : 0;
        }
        assertTrue(taken > 20 && own >= 3, taken + " taken, the designer's own among those of " + own);
    }

    /** Kolonne's choice for other lifts goes with the hand-set one: bars above find their like. */
    @Test
    void liftsAboveAndBelowFollow() {
        ColumnDesign c = D.columns().stream()
                .filter(x -> x.lifts().size() >= 3)
                .findFirst()
                .orElseThrow();
        String lowest = c.stack().lifts().get(0).member();
        List<ColumnOptions.Option> all =
                ColumnOptions.of(c.stack(), 0, c.cage(), D.contexts().columns());
        for (ColumnOptions.Option o : all) {
            ColumnDesign with = D
                    .with(
                            HandSet.ofLifts(Map.of(lowest, new HandLift(o.bars().unheld(), null))),
                            Set.of(c.stack().id()))
                    .columns()
                    .stream()
                    .filter(x -> x.stack().id().equals(c.stack().id()))
                    .findFirst()
                    .orElseThrow();
            assertTrue(
                    with.lifts().get(0).checks().stream()
                            .noneMatch(k -> k.kind().id().equals("bars-below")),
                    o.bars().words());
        }
    }
}
