package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.model.Direction;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Beams in torsion, designed and then checked by hand; cages robbed of a part must be found out. */
class BeamTorsionTest {
    private static final Basis BASIS = Basis.standard(false);

    /** A beam of 7 m fixed at both ends on columns, with a spread torque [Nmm/mm] and a spread load [N/mm]. */
    private static ModelBuilder beam(double h, double w, double torque) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 350, h)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3500)
                .joint("E", 7000, 0, 3500)
                .joint("F", 7000, 0, 0)
                .column("c1", "A", "B")
                .column("c2", "F", "E")
                .beam("m", "B", "E")
                .fixed("A")
                .fixed("F")
                .fixed("B")
                .fixed("E")
                .spread("m", 0, 7000, w, w);
        b.sections.clear();
        b.section("S", 350, h);
        b.memberLoads.add(new MemberLoad(
                "P", "m", MemberLoad.Kind.DISTRIBUTED_MOMENT, Direction.LOCAL_X, 0, 7000, torque, torque));
        return b;
    }

    private static BeamContext context(Analysis a) {
        return BeamContext.of(a, BASIS);
    }

    private static CheckResult check(BeamDesign d, String kind) {
        return d.checks().stream()
                .filter(c -> c.kind().id().equals(kind))
                .findFirst()
                .orElseThrow(() -> new AssertionError(kind + " in "
                        + d.checks().stream().map(k -> k.kind().id()).toList()));
    }

    @Test
    void belowTheThresholdOnlyTheThresholdIsShown() {
        Analysis a = beam(600, 30, 1000).solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context(a));
        assertTrue(check(d, "torsion-threshold").utilisation() < 1);
        assertTrue(d.checks().stream().noneMatch(c -> c.kind().id().equals("torsion")));
        assertTrue(d.cage().sideBars().isEmpty());
    }

    @ParameterizedTest(name = "torque {0} Nmm/mm")
    @ValueSource(doubles = {6_000, 10_000, 14_000})
    void aDesignedBeamHoldsByHand(double torque) {
        Analysis a = beam(600, 30, torque).solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context(a));
        assertTrue(d.satisfied(), d.findings().toString());
        // ACI 318M-19 by hand at the face of the left column: T = m (L/2 - 200), V = w (L/2 - 200)
        BeamCage.Zone z = d.cage().zones().get(0);
        double x1 = 350 - 80 - z.bar().diameter();
        double y1 = 600 - 80 - z.bar().diameter();
        double ao = 0.85 * x1 * y1;
        double ph = 2 * (x1 + y1);
        double dEff = 600 - 40 - z.bar().diameter() - 25;
        // at d from the face (9.4.4.3)
        double arm = 3500 - 175 - dEff;
        double at = torque * arm / (0.75 * 2 * ao * 420);
        double vs = Math.max(0, 30 * arm / 0.75 - 0.17 * Math.sqrt(30) * 350 * dEff);
        double leg = at + vs / (420 * dEff) / z.legs();
        assertTrue(z.bar().area() / z.spacing() >= 0.99 * leg, z + " against " + leg);
        assertTrue(z.spacing() <= ph / 8);
        // longitudinal: At/s ph of the torque there, over top, bottom and the side levels
        double face = torque * (3500 - 175);
        double al = face / (0.75 * 2 * ao * 420) * ph;
        BeamCage.SideBars side = d.cage().sideBars().get(0);
        assertTrue(side.levelArea() >= 0.97 * al / (2 + side.perFace()), side + " against " + al);
        double between = (600 - 2 * 60.0) / (side.perFace() + 1);
        assertTrue(between <= 300, "bars round the perimeter at most 300 apart");
        double bottomEnd = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.BOTTOM && g.through())
                .mapToDouble(BeamCage.Group::area)
                .sum();
        double compression = -30 * 7000.0 * 7000 / 12 * 0.8 / (0.9 * dEff * 420);
        assertTrue(
                bottomEnd >= 0.95 * (al / (2 + side.perFace()) + compression),
                "bars of the compressed face at the support");
    }

    @Test
    void tooMuchForTheConcreteIsItsOwnCause() {
        Analysis a = beam(600, 60, 60_000).solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context(a));
        assertFalse(d.satisfied());
        assertTrue(
                d.findings().stream().anyMatch(f -> f.code().equals("shear-torsion-limit")),
                d.findings().toString());
    }

    @Test
    void aRobbedCageIsFoundOut() {
        Analysis a = beam(600, 30, 12_000).solve();
        BeamContext context = context(a);
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
        assertTrue(d.satisfied(), d.findings().toString());
        BeamCage c = d.cage();
        List<BeamCage.Zone> wide = c.zones().stream()
                .map(z -> new BeamCage.Zone(z.span(), z.from(), z.to(), z.bar(), z.legs(), 2 * z.spacing()))
                .toList();
        assertFalse(
                BeamCheck.run(d.line(), new BeamCage(c.groups(), wide, c.sideBars()), context)
                        .satisfied(),
                "stirrups");
        assertFalse(
                BeamCheck.run(d.line(), new BeamCage(c.groups(), c.zones(), List.of()), context)
                        .satisfied(),
                "side bars");
        List<BeamCage.SideBars> shortBars = c.sideBars().stream()
                .map(s -> new BeamCage.SideBars(
                        s.span(), s.bar(), s.perFace(), s.from() + 400, s.to(), false, s.hookTo()))
                .toList();
        assertFalse(
                BeamCheck.run(d.line(), new BeamCage(c.groups(), c.zones(), shortBars), context)
                        .satisfied(),
                "anchorage");
        List<BeamCage.Group> fewer = c.groups().stream()
                .map(g -> g.face() == BeamCage.Face.TOP
                        ? new BeamCage.Group(
                                g.face(),
                                g.layer(),
                                Math.max(1, g.count() / 2),
                                g.bar(),
                                g.offset(),
                                g.from(),
                                g.to(),
                                g.hookFrom(),
                                g.hookTo(),
                                g.through())
                        : g)
                .toList();
        assertFalse(
                BeamCheck.run(d.line(), new BeamCage(fewer, c.zones(), c.sideBars()), context)
                        .satisfied(),
                "top bars");
    }

    /** Bars that torsion takes are not there for bending: the use with torsion is the greater, and exact at no torsion. */
    @Test
    void torsionTakesItsShareOfTheTensionBars() {
        Analysis with = beam(600, 30, 10_000).solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(with).get(0), context(with));
        assertTrue(check(d, "flexure-torsion-top").utilisation()
                > check(d, "flexure-top").utilisation());
        BeamDesign same = BeamCheck.run(d.line(), d.cage(), context(with));
        assertEquals(d.checks(), same.checks());
    }

    @Test
    void theCalculationShowsTorsionWithItsClauses() {
        Analysis a = beam(600, 30, 12_000).solve();
        BeamContext context = context(a);
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
        Map<String, Long> clauses =
                BeamCheck.explain(
                                d.line(), d.cage(), context, check(d, "torsion").station())
                        .stream()
                        .collect(java.util.stream.Collectors.groupingBy(
                                s -> s.clause().text(), java.util.stream.Collectors.counting()));
        for (String clause : List.of("22.7.4.1", "22.7.5.1", "22.7.6.1", "22.7.7.1", "9.6.4.3")) {
            assertTrue(clauses.containsKey(clause), clause + " in " + clauses);
        }
    }
}
