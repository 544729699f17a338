package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import kolonne.core.Sweep;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.Ductility;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.LegBuildings;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.ModelCheck;
import kolonne.core.model.Role;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Frames that no person would draw: skew plans, turned and round columns, flanged and wide beams in any mixture, cantilevers with
 * moments, twisted spans, pins, with and without slabs and service combinations, columns that are ells and tees, by every code. Every member is designed or
 * carries a finding, the checking path finds the same again, and every calculation can be written.
 */
class RandomFramesTest {
    static LongStream seeds() {
        return LongStream.rangeClosed(1, Sweep.of(36, 600));
    }

    @ParameterizedTest(name = "frame {0}")
    @MethodSource("seeds")
    void everyMemberIsDesignedOrCarriesAFinding(long seed) {
        boolean us = seed % 3 == 0;
        Building drawn = new RandomFrame(seed).building(us);
        Building b = seed % Sweep.of(8, 4) == 0 ? LegBuildings.atRandom(drawn, seed) : drawn;
        assertTrue(
                ModelCheck.run(b).stream().noneMatch(f -> f.severity() == Severity.FAILS),
                ModelCheck.run(b).toString());
        Analysis a = FrameAnalysis.solve(new BuildingIndex(b));
        for (int c = 0; c < a.index().building().loadCases().size(); c++) {
            assertTrue(a.residual(c) < 1e-9, "case " + c);
        }
        Basis basis = us ? Basis.standard(true) : Basis.standard(seed % 3 == 1 ? "aci-318m-19" : "en-1992-1-1");
        boolean aci = !basis.code().startsWith("en");
        Ductility kind = aci ? Ductility.values()[(int) (seed / 3 % 4)] : Ductility.NONE;
        basis = Varied.bundles(Varied.ductile(seed % 2 == 0 ? Varied.slabFlanges(basis) : basis, kind), seed % 5 < 2);
        BuildingDesign d = BuildingDesigner.design(a, basis, BuildingDesigner.Progress.NONE);
        for (BeamDesign beam : d.beams()) {
            told(beam.line().mark(), beam.checks(), beam.findings());
            BeamDesign again =
                    BeamCheck.run(beam.line(), beam.cage(), d.contexts().beams());
            assertEquals(beam.checks(), again.checks(), "the checking path finds the same");
            beam.deflections()
                    .forEach(f -> assertTrue(f.live().stream().allMatch(Double::isFinite)
                            && f.lasting().stream().allMatch(Double::isFinite)));
        }
        for (ColumnDesign column : d.columns()) {
            ColumnContext c = d.contexts().of(column.stack());
            List<ColumnDesign.LiftDesign> again =
                    ColumnCheck.run(column.stack(), column.cage(), c).lifts();
            for (ColumnDesign.LiftDesign l : column.lifts()) {
                int number = l.lift().number();
                told(column.stack().mark(), l.checks(), l.findings());
                assertEquals(l.checks(), again.get(number).checks(), "the checking path finds the same");
                if (seed % Sweep.of(4, 1) == 0 && number <= Sweep.of(0, 100)) {
                    assertFalse(LiftCalculation.of(column.stack(), column.cage(), number, c, 0, 0)
                            .isEmpty());
                }
            }
        }
        Set<String> lined = d.beams().stream()
                .flatMap(q -> q.line().spans().stream())
                .flatMap(s -> s.members().stream())
                .map(Member::id)
                .collect(Collectors.toSet());
        b.members().stream()
                .filter(m -> m.role() == Role.BEAM)
                .forEach(m -> assertTrue(lined.contains(m.id()), m.id() + " is in no line"));
    }

    /** Every check has a number, and every unmet one a finding that says how to mend it. */
    private static void told(String mark, List<CheckResult> checks, List<Finding> findings) {
        assertTrue(!checks.isEmpty(), mark);
        for (CheckResult c : checks) {
            assertTrue(Double.isFinite(c.utilisation()) && c.utilisation() >= 0, mark + " " + c);
            boolean found = findings.stream()
                    .anyMatch(f -> f.severity() == Severity.FAILS
                            && f.code().equals(c.cause().id())
                            && !f.mend().isBlank());
            assertTrue(c.satisfied() || found, mark + " " + c.kind().id() + " has no finding");
        }
    }
}
