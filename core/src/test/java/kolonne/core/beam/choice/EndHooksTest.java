package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.advice.SectionAdvice;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.finding.Cause;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** End supports too narrow for any hook: ACI 318-19 9.7.3.8.2 wants a quarter of the bottom bars to yield at the face of a column. */
class EndHooksTest {
    /** A beam of 6 m on two columns, square with sides so wide. */
    private static Analysis on(double side) {
        return new ModelBuilder()
                .section("S", side, side)
                .section("B", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .joint("C", 6000, 0, 0)
                .joint("D", 6000, 0, 3000)
                .column("c1", "A", "B")
                .column("c2", "C", "D")
                .beam("b", "B", "D", "B")
                .fixed("A")
                .fixed("C")
                .spread("b", 0, 6000, 30, 30)
                .solve();
    }

    private static BeamDesign design(Analysis a, String code) {
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(code)));
    }

    /** By 25.4.3.1 with f'c = 30: 420 · 1.25 · (30 / 105 + 0.6) · 16^1.5 / (23 · √30) = 236.2 mm; a column of 250 leaves 200 behind a cover of 50. */
    @Test
    void whereNoBarDevelopsNoSectionMendsIt() {
        Analysis a = on(250);
        BeamDesign d = design(a, "aci-318m-19");
        EndHooks.None none = EndHooks.none(d).orElseThrow();
        assertEquals("T16", none.bar().label());
        assertEquals(236.2, none.needs(), 0.05);
        assertEquals(200, none.room(), 1e-9);
        assertTrue(none.support() == 0 || none.support() == 1);
        assertEquals(
                "No other section: the hook of T16, the smallest bar allowed, needs 236 mm to develop in the support at "
                        + d.line().supports().get(none.support()).label()
                        + ", which leaves 200 mm. Make the support deeper, use stronger concrete or allow smaller bars.",
                SectionAdvice.inVain(d).orElseThrow());
        List<SectionAdvice.Option> others = SectionAdvice.of(d, BeamContext.of(a, d.basis()), List.of());
        assertTrue(others.size() > 10, others.size() + " sections tried");
        assertFalse(others.stream().anyMatch(SectionAdvice.Option::satisfied));
    }

    @Test
    void aColumnWithRoomOrACodeThatAsksForLess() {
        BeamDesign wide = design(on(300), "aci-318m-19");
        assertTrue(wide.satisfied() && SectionAdvice.inVain(wide).isEmpty());
        BeamDesign en = design(on(250), "en-1992-1-1");
        assertTrue(EndHooks.none(en).isEmpty());
        assertFalse(en.checks().stream().anyMatch(EndHooksTest::ofItsEnds), "a quarter may reach in without its yield");
    }

    private static boolean ofItsEnds(CheckResult c) {
        return !c.satisfied() && c.cause() == Cause.ANCHORAGE;
    }
}
