package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.Sweep;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.explain.Step;
import org.junit.jupiter.api.Test;

/** A number and its explanation cannot differ, and every check has one. */
class ExplanationTest {
    private static final BuildingDesign D = DesignedDemo.by(Basis.standard(false));

    private static boolean says(List<Step> steps, double utilisation) {
        return steps.stream().anyMatch(s -> Math.abs(s.value() - utilisation) < 1e-9 * Math.max(1, utilisation));
    }

    @Test
    void everyCheckOfALineIsFoundInItsCalculation() {
        for (int i = 0; i < D.beams().size(); i += Sweep.of(3, 1)) {
            BeamDesign b = D.beams().get(i);
            Map<Integer, List<Step>> byStation = new HashMap<>();
            for (CheckResult c : b.checks()) {
                int station = c.station() >= 0 ? c.station() : firstOf(b, c.part());
                List<Step> steps = byStation.computeIfAbsent(
                        station,
                        s -> BeamCheck.explain(b.line(), b.cage(), D.contexts().beams(), s));
                boolean direct = List.of("flexure-top", "flexure-bottom", "torsion-threshold")
                                .contains(c.kind().id())
                        || c.station() < 0;
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
        for (ColumnDesign c : D.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                List<Step> steps = LiftCalculation.of(
                        c.stack(),
                        c.cage(),
                        l.lift().number(),
                        D.contexts().columns(),
                        l.governing().combination(),
                        l.governing().number());
                for (CheckResult r : l.checks()) {
                    boolean elsewhere = List.of("axial-limit", "second-order")
                            .contains(r.kind().id());
                    assertTrue(
                            elsewhere || says(steps, r.utilisation()), c.stack().mark() + " " + r);
                }
                assertFalse(steps.isEmpty());
            }
        }
    }

    @Test
    void theCalculationCanBeReadInBothSystems() {
        BeamDesign b = D.beams().get(0);
        for (Step s : BeamCheck.explain(b.line(), b.cage(), D.contexts().beams(), 0)) {
            for (boolean us : new boolean[] {false, true}) {
                assertFalse(s.substituted(us).contains("{"), s.toString());
                assertEquals(Double.isNaN(s.value()), s.result(us).isEmpty());
            }
        }
    }
}
