package kolonne.core.code.throwaway;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.BasisField;
import kolonne.core.basis.Varied;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.detail.BeamBars;
import kolonne.core.explain.Step;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** A code that is only a package and a row is designed to, explained and asked for like those that ship. */
class ANewCodeTest {
    private static final Basis OWN = Basis.standard("throw-away-1");
    private static final Analysis FRAME =
            ModelBuilder.portal(60_000, kolonne.core.model.CaseKind.WIND, true).solve();

    private static BuildingDesign design(Basis b) {
        return BuildingDesigner.design(FRAME, b, BuildingDesigner.Progress.NONE);
    }

    private static CheckResult of(BeamDesign d, String id) {
        return d.checks().stream()
                .filter(c -> c.kind().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void itsStandardBasisIsSoundAndItsOwn() {
        assertEquals(List.of(), OWN.check());
        assertEquals("Standard, thrown away", OWN.name());
        assertEquals(
                List.of("basis.beamBars"),
                Varied.beamBars(OWN, "T16").check().stream().map(f -> f.code()).toList(),
                "its catalogue has two bars");
        assertEquals(
                List.of("basis.national.shearPart"),
                Varied.national(OWN, Map.of("shearPart", 2.0)).check().stream()
                        .map(f -> f.code())
                        .toList());
        assertEquals(1000 * 30, ThrowawayEntry.registered().elasticModulus(30));
        assertTrue(BasisField.ALL.stream()
                .filter(f -> f.key().equals("aggregateMm"))
                .findFirst()
                .orElseThrow()
                .help(ThrowawayEntry.registered())
                .endsWith("(T.4)."));
    }

    @Test
    void aBuildingIsDesignedExplainedAndScheduledByIt() {
        BuildingDesign d = design(OWN);
        BeamDesign b = d.beams().get(0);
        assertTrue(b.cage().groups().stream().allMatch(g -> g.bar().label().equals("T25")));
        assertEquals("T.1", of(b, "flexure-top").clause().text());
        List<Step> steps = BeamCheck.explain(b.line(), b.cage(), d.contexts().beams(), 0);
        assertTrue(steps.stream().anyMatch(s -> s.clause().text().equals("T.1")), steps.toString());
        assertFalse(BeamBars.of(b.line(), b.cage(), OWN).isEmpty());
        assertFalse(d.columns().isEmpty());
    }

    /** The same cage: its shear is used twice as much as by the code it is made from, by its parameter as much. */
    @Test
    void itsRulesAndParametersDecide() {
        BuildingDesign own = design(OWN);
        BeamDesign b = own.beams().get(0);
        BuildingDesign like = design(Basis.standard("aci-318m-19"));
        double there = of(BeamCheck.run(b.line(), b.cage(), like.contexts().beams()), "shear")
                .utilisation();
        assertEquals(2 * there, of(b, "shear").utilisation(), 1e-9);
        BuildingDesign whole = design(Varied.national(OWN, Map.of("shearPart", 1.0)));
        assertEquals(
                there,
                of(BeamCheck.run(b.line(), b.cage(), whole.contexts().beams()), "shear")
                        .utilisation(),
                1e-9);
    }
}
