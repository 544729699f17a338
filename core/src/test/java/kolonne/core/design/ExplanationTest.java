package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.BeamCheck;
import kolonne.core.beam.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.ColumnCheck;
import kolonne.core.column.ColumnDesign;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.explain.Step;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.Test;

/** A number and its explanation cannot differ, and every check has one. */
class ExplanationTest {
    private final BuildingDesign d = BuildingDesigner.design(FrameAnalysis.solve(new BuildingIndex(
        DemoBuilding.generate(DemoOptions.VELDHAVEN))), Basis.standard(false), BuildingDesigner.Progress.NONE);

    private static boolean says(List<Step> steps, double utilisation) {
        return steps.stream().anyMatch(s -> Math.abs(s.value() - utilisation) < 1e-9 * Math.max(1, utilisation));
    }

    @Test
    void everyCheckOfALineIsFoundInItsCalculation() {
        for (BeamDesign b : d.beams()) {
            for (CheckResult c : b.checks()) {
                int station = c.station() >= 0 ? c.station() : firstOf(b, c.part());
                List<Step> steps = BeamCheck.explain(b.line(), b.cage(), d.beamContext(), station);
                boolean direct = List.of("flexure-top", "flexure-bottom", "torsion-threshold").contains(c.kind()) || c.station() < 0;
                assertTrue(!direct || says(steps, c.utilisation()), b.line().mark() + " " + c);
            }
        }
    }

    private static int firstOf(BeamDesign b, int span) {
        for (int i = 0; i < b.line().stations().size(); i++) {
            if (b.line().stations().get(i).span() == span) {
                return i;
            }
        }
        throw new AssertionError("a span without stations");
    }

    @Test
    void everyCheckOfALiftIsFoundInItsCalculation() {
        for (ColumnDesign c : d.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                List<Step> steps = ColumnCheck.explain(l.lift(), l.cage(), d.columnContext(), l.governing().combination(),
                    l.governing().place());
                for (CheckResult r : l.checks()) {
                    boolean elsewhere = List.of("axial-limit", "second-order").contains(r.kind());
                    assertTrue(elsewhere || says(steps, r.utilisation()), c.stack().mark() + " " + r);
                }
                assertFalse(steps.isEmpty());
            }
        }
    }

    @Test
    void theCalculationCanBeReadInBothSystems() {
        BeamDesign b = d.beams().get(0);
        for (Step s : BeamCheck.explain(b.line(), b.cage(), d.beamContext(), 0)) {
            for (boolean us : new boolean[] {false, true}) {
                assertFalse(s.substituted(us).contains("{"), s.toString());
                assertEquals(Double.isNaN(s.value()), s.result(us).isEmpty());
            }
        }
    }
}
