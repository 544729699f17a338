package kolonne.core.beam.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Cages of whole buildings set by hand as they were chosen: they lie and check as the chosen ones do. */
class CopiedCagesTest {
    private static final Basis BASIS = Basis.standard(false);
    private static final Comparator<BeamCage.Group> ORDER = Comparator.comparing(BeamCage.Group::face)
            .thenComparing(BeamCage.Group::layer)
            .thenComparing(g -> g.bar().diameter())
            .thenComparing(BeamCage.Group::from)
            .thenComparing(BeamCage.Group::to);

    @Test
    void aCageSetByHandAsKolonneChoseItChecksTheSame() {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(250))));
        BuildingDesign d = BuildingDesigner.design(a, BASIS, BuildingDesigner.Progress.NONE);
        for (BeamDesign b : d.beams()) {
            BeamDesign by = BeamDesigner.design(
                    b.line(), d.contexts().beams().with(Map.of(b.line().id(), HandCage.of(b.cage()))));
            assertEquals(b.satisfied(), by.satisfied(), b.line().mark());
            assertEquals(
                    b.governing().utilisation(),
                    by.governing().utilisation(),
                    0.01 * b.governing().utilisation(),
                    b.line().mark());
            assertEquals(b.cage().groups().size(), by.cage().groups().size());
        }
    }

    static Stream<Basis> bases() {
        Basis si = Basis.standard("aci-318m-19");
        return Stream.of(
                si,
                Basis.standard("en-1992-1-1"),
                Varied.beamCover(Varied.stirrupBars(si, List.of("T10", "T16")), 56),
                Varied.bundles(si, true),
                Varied.ductile(
                        Varied.bundles(Varied.beamCover(Varied.stirrupBars(si, List.of("T12")), 30), true),
                        Ductility.INTERMEDIATE),
                Varied.ductile(si, Ductility.SPECIAL));
    }

    /** Bars lie where the stirrups, the layers and pairs before them leave them, whoever put them there: a copied cage passes where the designed one did. */
    @ParameterizedTest
    @MethodSource("bases")
    void barsSetByHandLieWhereTheDesignLaysThem(Basis basis) {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(250))));
        BuildingDesign d = BuildingDesigner.design(a, basis, BuildingDesigner.Progress.NONE);
        d.beams().parallelStream().forEach(b -> {
            BeamDesign by = BeamDesigner.design(
                    b.line(), d.contexts().beams().with(Map.of(b.line().id(), HandCage.of(b.cage()))));
            assertTrue(by.satisfied() || !b.satisfied(), b.line().mark() + by.findings());
            List<Double> laid = b.cage().groups().stream()
                    .sorted(ORDER)
                    .map(BeamCage.Group::offset)
                    .toList();
            List<Double> set = by.cage().groups().stream()
                    .sorted(ORDER)
                    .map(BeamCage.Group::offset)
                    .toList();
            for (int i = 0; i < laid.size(); i++) {
                assertEquals(
                        laid.get(i),
                        set.get(i),
                        0.01,
                        b.line().mark() + b.cage().groups() + by.cage().groups());
            }
        });
    }
}
