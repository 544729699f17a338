package kolonne.core.beam.line;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.check.CheckResult;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.api.Test;

class RoofBeamsTest {
    /** A floor with live load and a roof with snow above it, each of one beam; a third level carries both. */
    private static ModelBuilder levels() {
        ModelBuilder b = new ModelBuilder();
        b.cases.add(new LoadCase("S", "snow", CaseKind.SNOW, 0));
        for (int k = 0; k < 3; k++) {
            b.joint("a" + k, 0, 0, 3000 * k)
                    .joint("b" + k, 6000, 0, 3000 * k)
                    .joint("c" + k, 6000, 4000, 3000 * k)
                    .joint("d" + k, 0, 4000, 3000 * k)
                    .beam("m" + k, "a" + k, "b" + k)
                    .beam("n" + k, "d" + k, "c" + k)
                    .fixed("a" + k)
                    .fixed("b" + k)
                    .fixed("c" + k)
                    .fixed("d" + k);
            b.panels.add(new SlabPanel("p" + k, List.of("a" + k, "b" + k, "c" + k, "d" + k), 150, 25e-6, false, 0));
        }
        b.areaLoads.add(new AreaLoad("P", "p0", 3e-3));
        b.areaLoads.add(new AreaLoad("S", "p1", 1e-3));
        b.areaLoads.add(new AreaLoad("P", "p2", 3e-3));
        b.areaLoads.add(new AreaLoad("S", "p2", 1e-3));
        return b;
    }

    @Test
    void aRoofCarriesRoofLoadsAndNoOtherLiveLoad() {
        assertEquals(Set.of("m1", "n1"), RoofBeams.of(new BuildingIndex(levels().building())));
    }

    @Test
    void roofsMayDeflectFurtherUnderLiveLoad() {
        ModelBuilder b = levels();
        b.combine("U", Map.of("P", 1.6, "S", 1.6));
        b.combinations.add(new Combination(
                "C",
                "C",
                Purpose.SERVICE_CHARACTERISTIC,
                List.of(new Combination.Term("P", 1.0), new Combination.Term("S", 1.0))));
        b.combinations.add(
                new Combination("Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", 0.3))));
        Analysis a = b.solve();
        Basis s = Basis.standard(false);
        Basis sensitive = Varied.deflection(s, 360, 180, 480);
        assertEquals(6000 / 360.0, limit(a, sensitive, "m0"), 0.01);
        assertEquals(6000 / 180.0, limit(a, sensitive, "m1"), 0.01);
        assertEquals(6000 / 360.0, limit(a, sensitive, "m2"), 0.01);
    }

    private static double limit(Analysis a, Basis basis, String line) {
        BeamLine l = BeamLines.find(a).stream()
                .filter(q -> q.id().equals(line))
                .findFirst()
                .orElseThrow();
        return BeamDesigner.design(l, BeamContext.of(a, basis)).checks().stream()
                .filter(c -> c.kind().id().equals("deflection-live"))
                .map(CheckResult::capacity)
                .findFirst()
                .orElseThrow();
    }
}
