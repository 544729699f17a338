package kolonne.core.beam.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.basis.part.HandlingCost;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.cage.StirrupPlaces;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.finding.Cause;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The search over stirrups: its order, that whatever it calls practical holds, and that zones are spent only where they save. */
class StirrupOptionsTest {
    private static final Basis SI = Basis.standard("aci-318m-19");
    private static final Basis EN = Basis.standard("en-1992-1-1");

    /** One span of 8 m, 300 x 600, evenly loaded, with a heavy load at a place that makes the shear lopsided. */
    private static Analysis span(double even, double heavy, double at) {
        return ModelBuilder.span(8000)
                .spread("m", 0, 8000, even, even)
                .point("m", at, heavy)
                .solve();
    }

    static Stream<Arguments> cases() {
        return Stream.of(SI, EN)
                .flatMap(b -> Stream.of(
                        Arguments.of(b, span(25, 0, 4000)),
                        Arguments.of(b, span(45, 60e3, 1500)),
                        Arguments.of(b, span(20, 250e3, 6500)),
                        Arguments.of(b, span(60, 100e3, 4000))));
    }

    private static Basis with(Basis b, int zones, int legs) {
        return Varied.zonesAndLegs(b, zones, legs);
    }

    /** Mass, and what the basis puts on every change of stirrups. */
    private static double cost(Basis b, StirrupChoice.Option o) {
        return o.mass() + b.practice().costs().zone() * (o.zones().size() - 1);
    }

    private static Basis dear(Basis b, double zone) {
        Practice p = b.practice();
        HandlingCost c = p.costs();
        return b.with(new Practice(
                p.sizesApart(),
                p.columnBarsApart(),
                p.lengthModule(),
                new HandlingCost(c.piece(), c.layer(), c.alone(), c.offMiddle(), c.size(), zone, c.mark())));
    }

    /** Against the fewest stirrups of one zone, of two and of three, each found with nothing on a change; the least steel knows no such cost. */
    @ParameterizedTest
    @MethodSource("cases")
    void aChangeOfStirrupsMustSaveWhatItCosts(Basis basis, Analysis a) {
        int changes = 3;
        for (double zone : new double[] {0, 1, 3, 8, 1000}) {
            StirrupChoice.Option got = first(a, dear(with(basis, 3, 4), zone));
            double least = Double.POSITIVE_INFINITY;
            for (int most = 1; most <= 3; most++) {
                StirrupChoice.Option o = first(a, dear(with(basis, most, 4), 0));
                least = Math.min(least, o.mass() + zone * (o.zones().size() - 1));
            }
            assertTrue(got.mass() + zone * (got.zones().size() - 1) <= 1.042 * least, zone + ": " + got);
            assertTrue(got.zones().size() <= changes + 1, zone + ": " + got);
            changes = Math.min(changes, got.zones().size() - 1);
        }
        assertEquals(0, changes);
        Basis steel = with(basis, 3, 4).with(Preference.LEAST_STEEL);
        assertEquals(
                first(a, dear(steel, 0)).zones(), first(a, dear(steel, 1000)).zones());
    }

    private static StirrupChoice.Option first(Analysis a, Basis basis) {
        BeamContext context = BeamContext.of(a, basis);
        return StirrupChoice.options(BeamDesigner.design(BeamLines.find(a).get(0), context), 0, context)
                .get(0);
    }

    private static int count(StirrupChoice.Option o) {
        return o.zones().stream()
                .mapToInt(z -> StirrupPlaces.count(o.zones(), z))
                .sum();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theBestIsWhatTheLineGotAndNoOtherIsBetter(Basis basis, Analysis a) {
        BeamContext context = BeamContext.of(a, basis);
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
        List<StirrupChoice.Option> all = StirrupChoice.options(d, 0, context);
        assertEquals(d.cage().zones(), all.get(0).zones());
        assertTrue(all.size() >= 4, "sizes times legs: " + all.size());
        for (StirrupChoice.Option o : all) {
            assertTrue(!o.practical() || all.get(0).practical());
            assertTrue(!o.practical() || cost(basis, all.get(0)) <= 1.021 * cost(basis, o), "least cost, 2 % alike");
            assertEquals(
                    o.practical(),
                    o.zones().stream()
                                    .allMatch(
                                            z -> z.spacing() >= basis.stirrups().least())
                            && o.practical());
        }
    }

    /** Every arrangement that the search weighs and calls practical, put in by hand, passes the same checks of shear and spacing. */
    @ParameterizedTest
    @MethodSource("cases")
    void whateverIsPracticalHolds(Basis basis, Analysis a) {
        BeamContext context = BeamContext.of(a, basis);
        BeamLine line = BeamLines.find(a).get(0);
        BeamDesign d = BeamDesigner.design(line, context);
        for (StirrupChoice.Option o : StirrupChoice.options(d, 0, context)) {
            HandCage h = HandCage.of(
                    new BeamCage(d.cage().groups(), o.zones(), d.cage().sideBars()));
            BeamDesign by = BeamDesigner.design(line, context.with(Map.of(line.id(), h)));
            boolean holds = by.checks().stream()
                    .filter(c -> c.cause() == Cause.SHEAR
                            || c.cause() == Cause.STIRRUP_SPACING
                            || c.cause() == Cause.TORSION)
                    .allMatch(c -> c.satisfied());
            assertTrue(holds || !o.practical(), o + " " + by.findings());
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void moreZonesNeverCostMoreAndAreSpentOnlyWhereTheySave(Basis basis, Analysis a) {
        StirrupChoice.Option[] best = new StirrupChoice.Option[4];
        for (int zones = 1; zones <= 3; zones++) {
            BeamContext context = BeamContext.of(a, with(basis, zones, 4));
            BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
            best[zones] = StirrupChoice.options(d, 0, context).get(0);
            assertTrue(best[zones].zones().size() <= zones);
        }
        assertTrue(
                cost(basis, best[2]) <= 1.021 * cost(basis, best[1])
                        && cost(basis, best[3]) <= 1.021 * cost(basis, best[2]),
                best[1] + "\n" + best[2] + "\n" + best[3]);
        for (int zones = 2; zones <= 3; zones++) {
            boolean same = best[zones].bar().equals(best[1].bar()) && best[zones].legs() == best[1].legs();
            assertTrue(
                    !same || best[zones].zones().size() == 1 || count(best[zones]) < count(best[1]),
                    "a zone must save stirrups");
        }
    }

    @Test
    void aLopsidedShearTakesTwoZones() {
        // 220 kN over the last 1.6 m, a tenth of it elsewhere
        Analysis a = span(4, 260e3, 6400);
        BeamContext context = BeamContext.of(a, with(SI, 2, 4));
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
        assertEquals(2, d.cage().zones().size(), d.cage().zones().toString());
        assertTrue(d.cage().zones().get(1).spacing() < d.cage().zones().get(0).spacing());
        assertEquals(d.cage().zones().get(0).to(), d.cage().zones().get(1).from());
    }
}
