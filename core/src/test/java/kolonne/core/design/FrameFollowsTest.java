package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.demo.DemoOptions;
import kolonne.core.joint.BeamsAtJoints;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** In a ductile frame columns and joints answer to the beams as they are in the end: set by hand, shared, or by themselves. */
class FrameFollowsTest {
    private static BuildingDesign design(Ductility kind) {
        return DesignedDemo.by(new DemoOptions(5, 3, 3, 2, false), Varied.ductile(Basis.standard(false), kind));
    }

    /** Every column is what a check against the beams of this very design finds. */
    private static void joined(BuildingDesign d) {
        BeamsAtJoints now = BeamEnds.of(d.beams(), d.analysis().index(), d.basis());
        assertEquals(Set.of(), now.unlike(d.contexts().columns().beams()));
        for (ColumnDesign c : d.columns()) {
            ColumnDesign again =
                    ColumnCheck.run(c.stack(), c.cage(), d.contexts().columns());
            for (int i = 0; i < c.lifts().size(); i++) {
                assertEquals(
                        again.lifts().get(i).checks(),
                        c.lifts().get(i).checks(),
                        c.stack().mark());
            }
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Ductility.class,
            names = {"INTERMEDIATE", "SPECIAL"})
    void membersThatShareCages(Ductility kind) {
        BuildingDesign alone = design(kind);
        joined(alone);
        BuildingDesign shared = alone.with(Decisions.typed(SuggestedTypes.of(alone)), Set.of());
        assertTrue(shared.typed().stream().anyMatch(t -> t.members().size() > 1));
        joined(shared);
        joined(shared.alone());
        assertEquals(alone.quantities().steel(), shared.alone().quantities().steel(), 1e-6);
    }

    @Test
    void aBeamSetByHand() {
        BuildingDesign d = design(Ductility.SPECIAL);
        BeamDesign b = d.beams().stream()
                .filter(q -> q.line().spans().size() > 1 && q.satisfied())
                .findFirst()
                .orElseThrow();
        String id = b.line().id();
        // two more bars in every group: the beam is stronger, and so must the columns be
        HandCage own = HandCage.of(b.cage());
        Map<BeamCage.Face, List<HandCage.Bars>> more = new EnumMap<>(BeamCage.Face.class);
        own.faces()
                .forEach((face, bars) -> more.put(
                        face,
                        bars.stream()
                                .map(g -> new HandCage.Bars(
                                        g.layer(), g.count() + 2, g.bar(), g.from(), g.to(), g.hookFrom(), g.hookTo()))
                                .toList()));
        BuildingDesign hand =
                d.with(HandSet.ofLines(Map.of(id, new HandCage(more, Map.of(), Map.of(), List.of()))), Set.of(id));
        joined(hand);
        assertFalse(hand.contexts()
                .columns()
                .beams()
                .unlike(d.contexts().columns().beams())
                .isEmpty());
        long touched = 0;
        for (int i = 0; i < d.columns().size(); i++) {
            touched += hand.columns().get(i) != d.columns().get(i) ? 1 : 0;
        }
        assertTrue(touched >= 2 && touched < d.columns().size(), touched + " stacks were designed anew");
        joined(hand.with(HandSet.NONE, Set.of(id)));
        assertEquals(
                d.quantities().steel(),
                hand.with(HandSet.NONE, Set.of(id)).quantities().steel(),
                1e-6);
    }

    /** Without a ductile frame nothing of it is asked, and nothing follows. */
    @Test
    void plainFramesDoNotFollow() {
        BuildingDesign d = design(Ductility.NONE);
        assertEquals(Set.of(), d.contexts().columns().beams().unlike(BeamsAtJoints.NONE));
        assertTrue(d.findings().stream().noneMatch(f -> f.code().equals("frame.ductile-slab")));
        assertTrue(design(Ductility.ORDINARY).findings().stream()
                .anyMatch(f -> f.code().equals("frame.ductile-slab")));
    }
}
