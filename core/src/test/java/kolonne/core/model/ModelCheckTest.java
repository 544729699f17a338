package kolonne.core.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.finding.Finding;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every fault of a model has a finding with the part it concerns and a way to mend it. */
class ModelCheckTest {
    static Stream<Arguments> faults() {
        return Stream.of(
            fault("id.duplicate", b -> b.joint("A", 1, 1, 1)), fault("reference.missing", b -> b.beam("x", "A", "nowhere")),
            fault("member.zero-length", b -> b.joint("A2", 0, 0, 5).beam("x", "A", "A2")),
            fault("member.duplicate", b -> b.beam("x", "B", "A")), fault("member.role", b -> b.column("x", "A", "C2")),
            fault("support.missing", b -> b.supports.clear()), fault("model.empty", b -> b.members.clear()),
            fault("member.rigid-ends", b -> b.beam("x", "B", "C2", Release.NONE, Release.NONE, 5000, 5000)),
            fault("load.place", b -> b.point("m", 9000, 1)), fault("load.place", b -> b.spread("m", 3000, 1000, 1, 1)),
            fault("combination.empty", b -> b.combinations.add(new Combination("K", "K", Purpose.STRENGTH, List.of()))),
            fault("combination.no-strength", b -> b.combinations.set(0,
                new Combination("K", "K", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1))))),
            fault("model.disconnected", b -> b.joint("X", 0, 9000, 0).joint("Y", 5000, 9000, 0).beam("x", "X", "Y")),
            fault("material.strength", b -> b.fc = 35_000), fault("section.size", b -> b.section("T", 3, 6)),
            fault("diaphragm.shared-joint", b -> {
                b.diaphragms.add(new Diaphragm("D1", List.of("A", "B")));
                b.diaphragms.add(new Diaphragm("D2", List.of("B", "C2")));
            }),
            fault("member.releases", b -> b.beam("x", "B", "C2", Release.of(true, false, false, false, false, false),
                Release.of(true, false, false, false, false, false), 0, 0)));
    }

    private static Arguments fault(String code, Consumer<ModelBuilder> change) {
        return Arguments.of(code, change);
    }

    private static ModelBuilder sound() {
        ModelBuilder b = new ModelBuilder().section("S", 300, 600).joint("A", 0, 0, 0).joint("B", 5000, 0, 0)
            .joint("C2", 9000, 0, 0).beam("m", "A", "B").beam("n", "B", "C2").fixed("A").spread("m", 0, 5000, 1, 1);
        return b.combine("K0", java.util.Map.of("P", 1.0));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void namesTheFault(String code, Consumer<ModelBuilder> change) {
        ModelBuilder b = sound();
        change.accept(b);
        List<Finding> found = ModelCheck.run(b.building());
        Finding f = found.stream().filter(x -> x.code().equals(code)).findFirst()
            .orElseThrow(() -> new AssertionError("no " + code + " in " + found));
        assertTrue(!f.where().isBlank() && !f.mend().isBlank(), f.toString());
    }

    @Test
    void findsNothingInASoundModelOrInTheDemo() {
        assertEquals(List.of(), ModelCheck.run(sound().building()));
        List<Finding> demo = ModelCheck.run(DemoBuilding.generate(DemoOptions.VELDHAVEN));
        assertEquals(List.of("column.planted"), demo.stream().map(Finding::code).toList(), "the column on the transfer beam");
        assertTrue(demo.get(0).what().contains("beams L1-"), demo.get(0).what());
    }

    @Test
    void theDemoIsTheSameEveryTime() {
        assertEquals(DemoBuilding.generate(DemoOptions.VELDHAVEN), DemoBuilding.generate(DemoOptions.VELDHAVEN));
    }
}
