package kolonne.server.kept;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.Frame;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.HandSet;
import kolonne.core.design.Undesigned;
import kolonne.core.mark.Marks;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Role;
import kolonne.core.type.Types;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What comes back of a kept design is what was kept; what is damaged never does. */
class DesignBytesTest {
    private static final Analysis ANALYSIS =
            FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(7, 3, 3, 2, true))));

    static Stream<Basis> bases() {
        Basis aci = Basis.standard("aci-318m-19");
        Frame f = aci.frame();
        return Stream.of(
                aci,
                Basis.standard("aci-318-19"),
                Basis.standard("en-1992-1-1"),
                aci.with(new Frame(f.swayX(), f.swayY(), 0, Ductility.SPECIAL, f.lengths(), 1, 1)));
    }

    @ParameterizedTest
    @MethodSource("bases")
    void aDesignComesBackWhole(Basis basis) {
        alike(BuildingDesigner.design(ANALYSIS, basis, BuildingDesigner.Progress.NONE), Decisions.NONE);
    }

    @Test
    void whatPeopleDecidedComesBackWithIt() {
        Basis basis = Basis.standard(false);
        BuildingDesign own = BuildingDesigner.design(ANALYSIS, basis, BuildingDesigner.Progress.NONE);
        List<String> beams = own.beams().stream().map(b -> b.line().id()).toList();
        Types types = Types.NONE.adopted(Role.BEAM, List.of(beams.subList(0, 2)), Set.of());
        HandSet hand = HandSet.ofLines(
                Map.of(beams.get(2), HandCage.of(own.beams().get(2).cage())));
        Decisions decided = new Decisions(Marks.NONE, hand, types);
        BuildingDesign d = BuildingDesigner.design(ANALYSIS, basis, decided, BuildingDesigner.Progress.NONE);
        assertTrue(!d.beams().get(2).hand().isEmpty() && !d.typed().isEmpty());
        alike(d, decided);
    }

    private static void alike(BuildingDesign d, Decisions decided) {
        BuildingDesign back = DesignBytes.read(DesignBytes.of(d), Undesigned.of(ANALYSIS, d.basis(), decided));
        assertEquals(d.beams(), back.beams());
        assertEquals(d.columns(), back.columns());
        assertEquals(d.quantities(), back.quantities());
        assertEquals(d.types(), back.types());
        assertEquals(d.typed(), back.typed());
        assertEquals(d.findings(), back.findings());
        // and it goes on as the first would
        BeamDesign some = d.beams().get(1);
        Decisions now = new Decisions(
                decided.marks(), HandSet.ofLines(Map.of(some.line().id(), HandCage.of(some.cage()))), decided.types());
        Set<String> changed = Set.of(some.line().id());
        assertEquals(d.with(now, changed).beams(), back.with(now, changed).beams());
        assertEquals(d.with(now, changed).columns(), back.with(now, changed).columns());
    }

    @Test
    void damagedBytesAreNeverADesign() {
        Basis basis = Basis.standard(false);
        BuildingDesign d = BuildingDesigner.design(ANALYSIS, basis, BuildingDesigner.Progress.NONE);
        byte[] whole = DesignBytes.of(d);
        Undesigned u = Undesigned.of(ANALYSIS, basis, Decisions.NONE);
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            byte[] bad = Arrays.copyOf(whole, i % 3 == 0 ? random.nextInt(whole.length) : whole.length);
            if (bad.length == whole.length) {
                bad[random.nextInt(bad.length)] ^= (byte) (1 << random.nextInt(8));
            }
            assertThrows(DesignBytes.Unreadable.class, () -> DesignBytes.read(bad, u));
        }
    }

    /** Of another building: the bytes are whole, and what they refer to is not there. */
    @Test
    void anotherBuildingsDesignIsRefused() {
        Basis basis = Basis.standard(false);
        byte[] whole = DesignBytes.of(BuildingDesigner.design(ANALYSIS, basis, BuildingDesigner.Progress.NONE));
        Analysis other =
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(7, 2, 3, 2, true))));
        assertThrows(
                DesignBytes.Unreadable.class,
                () -> DesignBytes.read(whole, Undesigned.of(other, basis, Decisions.NONE)));
    }

    @Test
    void aBuildIsToldByItsClasses() {
        assertTrue(Build.id().matches("[0-9a-f]{40}"), Build.id());
    }
}
