package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** What is kept of a design before is what would be found anew; how bars are counted is read again in {@code JointFitAuditTest}. */
class JointFitsTest {
    private final BuildingDesign before = DesignedDemo.by(DesignedDemo.SMALL, Basis.standard("aci-318m-19"));
    private final JointFits fits = JointFits.of(before);

    /** A stack of rectangles, with so many bars a side in all lifts. */
    private BuildingDesign edited(ColumnDesign c, int side) {
        RectangleBars bars = new RectangleBars(
                side, side, BarCatalogue.METRIC.find("T25"), BarCatalogue.METRIC.find("T25"), List.of(), List.of());
        Map<String, HandLift> hand = new java.util.HashMap<>();
        c.stack().lifts().forEach(l -> hand.put(l.member(), new HandLift(bars, null)));
        return before.with(HandSet.ofLifts(hand), Set.of(c.stack().id()));
    }

    @Test
    void afterAnEditOnlyBeamsAtTheColumnAreLookedAtAgain() {
        ColumnDesign c = before.columns().stream()
                .filter(q ->
                        q.stack().lifts().stream().allMatch(l -> l.section().shape() instanceof Shape.Rectangle))
                .findFirst()
                .orElseThrow();
        BuildingDesign now = edited(c, 5);
        JointFits kept = JointFits.of(now, fits);
        assertEquals(told(JointFits.of(now)), told(kept));
        assertNotEquals(told(fits), told(kept), "five bars a side leave less room");
        Set<String> joints = new HashSet<>();
        c.stack()
                .lifts()
                .forEach(l -> joints.add(now.analysis()
                        .index()
                        .upper(now.analysis().index().member(l.member()))
                        .id()));
        int same = 0;
        for (BeamDesign b : now.beams()) {
            if (b.line().supports().stream().noneMatch(s -> joints.contains(s.joint()))) {
                assertSame(fits.at(b), kept.at(b));
                same++;
            }
        }
        assertEquals(true, same > 10, same + " beams elsewhere");
    }

    /** By beam and by column it is the same as of all. */
    @Test
    void byBeamAndByColumn() {
        List<JointFits.Misfit> ofBeams = new ArrayList<>();
        before.beams().forEach(b -> ofBeams.addAll(fits.at(b)));
        assertEquals(fits.all(), ofBeams);
        int ofColumns = 0;
        for (ColumnDesign c : before.columns()) {
            for (Map.Entry<Integer, List<JointFits.Misfit>> e : fits.at(c).entrySet()) {
                ofColumns += e.getValue().size();
                e.getValue().forEach(m -> {
                    assertEquals(c.stack().mark(), m.column());
                    assertEquals(c.stack().lifts().get(e.getKey()).storey(), m.storey());
                });
            }
        }
        assertEquals(fits.all().size(), ofColumns);
    }

    private static List<String> told(JointFits f) {
        return f.all().stream()
                .map(m -> m.beam() + " " + m.column() + " " + m.storey() + " " + m.top() + " " + m.bars() + " "
                        + m.room())
                .toList();
    }
}
