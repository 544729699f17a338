package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.beam.line.PerimeterBeams;
import kolonne.core.check.CheckResult;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.api.Test;

/** Continuous bars of edge beams (ACI 318-19 9.7.7.1) and top bars past the point of inflection (9.7.3.8.4). */
class BeamContinuityTest {
    private static ModelBuilder spans(double w) {
        return new ModelBuilder()
                .section("S", 350, 650)
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .joint("E", 16_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .spread("m1", 0, 8000, w, w)
                .spread("m2", 0, 8000, w, w);
    }

    private static CheckResult check(BeamDesign d, String kind) {
        return d.checks().stream()
                .filter(c -> c.kind().id().equals(kind))
                .findFirst()
                .orElseThrow(() -> new AssertionError(kind));
    }

    private static BeamDesign design(Analysis a) {
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(false)));
    }

    @Test
    void anEdgeBeamHasAQuarterOfItsBottomAndASixthOfItsTopThroughout() {
        BeamDesign d = design(spans(70).solve());
        for (BeamCage.Face face : BeamCage.Face.values()) {
            double through = d.cage().groups().stream()
                    .filter(g -> g.face() == face && g.through())
                    .mapToDouble(BeamCage.Group::area)
                    .sum();
            double most = 0;
            for (double x = 0; x <= 16_000; x += 100) {
                double at = x;
                most = Math.max(
                        most,
                        d.cage().groups().stream()
                                .filter(g -> g.face() == face && g.from() <= at && g.to() >= at)
                                .mapToDouble(BeamCage.Group::area)
                                .sum());
            }
            double part = face == BeamCage.Face.BOTTOM ? 0.25 : 1.0 / 6;
            assertTrue(through >= part * most - 1e-6, face + ": " + through + " of " + most);
        }
        assertTrue(check(d, "integrity-top").satisfied()
                && check(d, "integrity-bottom").satisfied());
    }

    @Test
    void aThirdOfTheTopBarsPassesTheInflection() {
        BeamDesign d = design(spans(70).solve());
        // two equal spans under spread load: M = 0 at 3/4 of the span from the end
        double inflection = 6000;
        double passing = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.TOP && g.from() <= inflection - 8000.0 / 16 + 1)
                .mapToDouble(BeamCage.Group::area)
                .sum();
        double total = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.TOP && g.from() <= 8000 && g.to() >= 8000)
                .mapToDouble(BeamCage.Group::area)
                .sum();
        assertTrue(passing >= total / 3 - 1e-6, passing + " of " + total);
        assertTrue(check(d, "past-inflection").satisfied());
    }

    @Test
    void barsCutTooEarlyOrTooFewThroughAreFoundOut() {
        Analysis a = spans(70).solve();
        BeamDesign d = design(a);
        BeamContext context = BeamContext.of(a, Basis.standard(false));
        List<BeamCage.Group> cut = d.cage().groups().stream()
                .map(g -> g.face() == BeamCage.Face.TOP
                        ? new BeamCage.Group(
                                g.face(), g.layer(), g.count(), g.bar(), g.offset(), 6500, 9500, false, false, false)
                        : g)
                .toList();
        BeamDesign short1 = BeamCheck.run(
                d.line(), new BeamCage(cut, d.cage().zones(), d.cage().sideBars()), context);
        assertFalse(check(short1, "past-inflection").satisfied());
        assertFalse(check(short1, "integrity-top").satisfied());
    }

    /** Every preference changes what it names, and least steel is the least. */
    @Test
    void preferencesChangeTheBarsAsTheySay() {
        Analysis a = spans(60).solve();
        BeamLine line = BeamLines.find(a).get(0);
        java.util.Map<Preference, BeamDesign> all = new java.util.EnumMap<>(Preference.class);
        for (Preference p : Preference.values()) {
            BeamDesign d = BeamDesigner.design(
                    line, BeamContext.of(a, Basis.standard(false).with(p)));
            assertTrue(d.satisfied(), p + ": " + d.findings());
            all.put(p, d);
        }
        java.util.function.ToDoubleFunction<BeamDesign> steel =
                d -> kolonne.core.design.Quantities.of(d).steel();
        double least = steel.applyAsDouble(all.get(Preference.LEAST_STEEL));
        all.forEach((p, d) -> assertTrue(steel.applyAsDouble(d) >= 0.93 * least, p + " takes less than least steel"));
        java.util.function.ToIntFunction<BeamDesign> count =
                d -> d.cage().groups().stream().mapToInt(BeamCage.Group::count).sum();
        assertTrue(
                count.applyAsInt(all.get(Preference.FEWEST_BARS)) <= count.applyAsInt(all.get(Preference.LEAST_STEEL)));
        java.util.function.ToIntFunction<BeamDesign> layers = d ->
                d.cage().groups().stream().mapToInt(BeamCage.Group::layer).max().orElse(0);
        assertTrue(layers.applyAsInt(all.get(Preference.FEWEST_LAYERS))
                <= layers.applyAsInt(all.get(Preference.LEAST_STEEL)));
        assertEquals(
                1,
                all.get(Preference.FEWEST_SIZES).cage().groups().stream()
                        .map(g -> g.bar().label())
                        .distinct()
                        .count());
        for (BeamCage.Face face : BeamCage.Face.values()) {
            assertEquals(
                    1,
                    all.get(Preference.ONE_SIZE_A_FACE).cage().groups().stream()
                            .filter(g -> g.face() == face)
                            .map(g -> g.bar().label())
                            .distinct()
                            .count());
        }
    }

    @Test
    void beamsBetweenTwoPanelsAreNotOfThePerimeter() {
        ModelBuilder b = new ModelBuilder();
        for (int i = 0; i < 3; i++) {
            b.joint("L" + i, 0, 5000 * i, 3000)
                    .joint("R" + i, 6000, 5000 * i, 3000)
                    .beam("x" + i, "L" + i, "R" + i);
        }
        b.panels.add(new SlabPanel("P1", List.of("L0", "R0", "R1", "L1"), 150, 0, false, 0));
        b.panels.add(new SlabPanel("P2", List.of("L1", "R1", "R2", "L2"), 150, 0, false, 0));
        assertEquals(Set.of("x0", "x2"), PerimeterBeams.of(new BuildingIndex(b.building())));
        assertEquals(
                3,
                PerimeterBeams.of(new BuildingIndex(spansWithoutPanels())).size(),
                "without panels every beam counts");
        int all = DemoBuilding.generate(DemoOptions.VELDHAVEN).members().size();
        int edge = PerimeterBeams.of(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN)))
                .size();
        assertTrue(edge > 20 && edge < all / 2, edge + " of " + all);
    }

    private static kolonne.core.model.Building spansWithoutPanels() {
        ModelBuilder b = new ModelBuilder();
        for (int i = 0; i < 3; i++) {
            b.joint("L" + i, 0, 5000 * i, 3000)
                    .joint("R" + i, 6000, 5000 * i, 3000)
                    .beam("x" + i, "L" + i, "R" + i);
        }
        return b.building();
    }
}
