package kolonne.core.demand;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Sidesway of a portal whose columns do not bend to speak of, 20 kN on 5 m: what P-Delta puts into the forces, and what is added for the rest, make the same
 * second order, 1 / (1 − Q) with Q of the first-order drift.
 */
class PDeltaSwayTest {
    private static final Basis ACI = Basis.standard(false);
    private static final double P = 1000e3;

    /** @param part of the columns' axial forces that P-Delta has */
    private static ModelBuilder portal(double part) {
        ModelBuilder b = ModelBuilder.portal(P, CaseKind.WIND, true).section("C", 1500, 1500);
        b.members.replaceAll(m -> m.id().startsWith("c") ? m.withSection("C") : m);
        AnalysisOptions o = b.options;
        List<Combination.Term> terms = part == 0 ? List.of() : List.of(new Combination.Term("P", part));
        b.options = new AnalysisOptions(o.shearDeformation(), o.beams(), o.columns(), 0, terms, o.patternLive());
        return b;
    }

    private static double beamEnd(Analysis a) {
        return Math.abs(a.force(2, 1, 0, Analysis.MY));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.2, 0.5, 0.8, 1, 1.3})
    void theSameInAll(double part) {
        Analysis first = portal(0).solve();
        double drift = first.displacement(1, first.index().jointNumber("B"), 0);
        double q = 2 * P * drift / (20e3 * 5000);
        assertTrue(q > 0.2 && q < 0.3, "Q " + q);
        Analysis a = portal(part).solve();
        Sidesway s = Sidesway.of(a, ACI);
        double held = s.held(0, 5000, 1, 0);
        assertEquals(1 / (1 - part * q), held, 2e-3 * held);
        assertEquals(held * 50e6, beamEnd(a), 3e-3 * held * 50e6, "in the forces");
        double rest = s.magnifier(0, 5000, true);
        double needed = Math.max(1, (1 - part * q) / (1 - q));
        // a rest of Q up to 0.05 may be left out, as a braced storey's
        assertEquals(needed < 1 / (1 - 0.05) ? 1 : needed, rest, 4e-3 * needed);
        assertEquals(rest * beamEnd(a), Math.abs(s.strength().at(2, 0, 0, Analysis.MY)), 1);
    }

    private static CheckResult secondOrder(List<CheckResult> checks) {
        return checks.stream()
                .filter(c -> c.kind().id().equals("second-order"))
                .findFirst()
                .orElseThrow();
    }

    /** 6.2.5.3 asks for all of the second order, in beams and columns, whichever way it came. */
    @Test
    void theLimitSeesAllOfIt() {
        double[] beams = new double[2];
        double[] columns = new double[2];
        for (int i = 0; i < 2; i++) {
            Analysis a = portal(i).solve();
            BeamContext c = BeamContext.of(a, ACI);
            BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), c);
            beams[i] = secondOrder(d.checks()).demand();
            columns[i] = secondOrder(design(a).lifts().get(0).checks()).demand();
        }
        assertEquals(beams[0], beams[1], 5e-3 * beams[0]);
        assertEquals(columns[0], columns[1], 5e-3 * columns[0]);
        assertTrue(beams[0] > 1.25, "as much as 1 / (1 − Q)");
    }

    private static ColumnDesign design(Analysis a) {
        ColumnContext c = ColumnContext.of(Sidesway.of(a, ACI), ACI);
        return ColumnDesigner.design(ColumnStacks.find(c.index()).get(0), c);
    }

    /** The calculation says what is left out, and only where something is. */
    @Test
    void theCalculationSaysWhich() {
        for (double part : new double[] {0, 1}) {
            Analysis a = portal(part).solve();
            ColumnContext c = ColumnContext.of(Sidesway.of(a, ACI), ACI);
            ColumnStack stack = ColumnStacks.find(c.index()).get(0);
            ColumnDesign d = ColumnDesigner.design(stack, c);
            long told = LiftCalculation.of(stack, d.cage(), 0, c, 0, 0).stream()
                    .filter(s -> s.symbol().equals("P-Delta of the analysis")
                            && s.formula().contains("under 1.00 P:"))
                    .count();
            assertEquals(part, told);
        }
    }

    /** Braced by the basis nothing sways, and of forces from elsewhere nobody knows. */
    @Test
    void noneWhereItDoesNotSway() {
        Analysis a = portal(1).solve();
        Basis braced = ACI.with(new kolonne.core.basis.part.Frame(
                kolonne.core.basis.part.Sway.BRACED,
                kolonne.core.basis.part.Sway.FROM_MODEL,
                0,
                kolonne.core.basis.part.Ductility.NONE));
        assertEquals(1, Sidesway.of(a, braced).held(0, 5000, 1, 0));
        assertTrue(Sidesway.of(a, ACI).held(0, 5000, 1, 0) > 1.2);
        assertEquals(1, Sidesway.of(a, ACI).held(0, 5000, 0, 1), "nothing pushes it along Y");
        assertEquals(List.of(), Sidesway.of(portal(0).solve(), ACI).pDelta());
    }
}
