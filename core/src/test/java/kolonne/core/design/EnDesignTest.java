package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.explain.Step;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The demo designed to EN 1992-1-1 through the same designers: every member told, no word of another code. */
class EnDesignTest {
    /** Sections of ACI 318 that the Eurocode does not have. */
    private static final String OTHER = "(9\\.[34678]|1\\d\\.|2\\d\\.).*";

    private static BuildingDesign d;

    @BeforeAll
    static void design() {
        Analysis a = FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(250))));
        d = BuildingDesigner.design(a, Basis.standard("en-1992-1-1"), BuildingDesigner.Progress.NONE);
    }

    private static void own(CheckResult c) {
        assertFalse(c.clause().text().matches(OTHER), c.toString());
        assertTrue(Double.isFinite(c.utilisation()), c.toString());
    }

    @Test
    void everyCheckCitesTheEurocode() {
        d.beams().forEach(b -> b.checks().forEach(EnDesignTest::own));
        d.columns().forEach(c -> c.lifts().forEach(l -> l.checks().forEach(EnDesignTest::own)));
        assertTrue(d.beams().stream()
                .allMatch(b -> b.checks().stream().anyMatch(c -> c.kind().id().equals("crack-width"))));
        assertTrue(d.findings().stream().anyMatch(f -> f.code().equals("frame.imperfections")));
    }

    @Test
    void everyCalculationIsInTheWordsOfTheEurocode() {
        for (BeamDesign b : d.beams()) {
            int station = b.line().stations().size() / 2;
            words(BeamCheck.explain(b.line(), b.cage(), d.contexts().beams(), station));
        }
        for (ColumnDesign c : d.columns()) {
            for (int demand = 0; demand < 8; demand++) {
                words(LiftCalculation.of(c.stack(), c.cage(), 0, d.contexts().columns(), 0, demand));
            }
        }
    }

    private static void words(List<Step> steps) {
        assertTrue(steps.size() > 8);
        for (Step s : steps) {
            assertFalse(s.clause().text().matches(OTHER), s.toString());
            assertFalse(
                    s.symbol().contains("φMn")
                            || s.symbol().contains("Vu")
                            || s.symbol().contains("Pu"),
                    s.toString());
        }
    }

    @Test
    void mostMembersAreSatisfiedAndTheCheckingPathAgrees() {
        long satisfied = d.beams().stream().filter(BeamDesign::satisfied).count();
        assertTrue(
                satisfied > 0.75 * d.beams().size(),
                satisfied + " of " + d.beams().size());
        assertTrue(d.columns().stream().filter(ColumnDesign::satisfied).count()
                > 0.8 * d.columns().size());
        d.beams()
                .forEach(b -> assertEquals(
                        b.checks(),
                        BeamCheck.run(b.line(), b.cage(), d.contexts().beams()).checks()));
    }

    @Test
    void columnsCarryTheirImperfectionsAboutBothAxes() {
        ColumnDesign c = d.columns().get(0);
        List<LiftDemands.Demand> all = LiftDemands.of(
                c.lifts().get(0).lift(), c.lifts().get(0).cage(), d.contexts().columns());
        assertTrue(all.size() >= 6 * d.contexts().columns().strength().count(), all.size() + " demands");
        for (LiftDemands.Demand q : all) {
            double least = q.p() * 20;
            assertTrue(q.p() <= 0 || Math.abs(q.mx()) >= least - 1 || Math.abs(q.my()) >= least - 1, q.toString());
        }
    }
}
