package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Sway;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.code.Slenderness;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Step;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Moments between the ends of a lift, lengths between restraints, and sidesway of beams, each by hand calculation. */
class SlenderLiftTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis EN = Basis.standard("en-1992-1-1");

    /** 400 x 400, pinned at both ends, the head free to go down. */
    private static ModelBuilder strut(double height, double p, int members) {
        ModelBuilder b = new ModelBuilder().section("S", 400, 400).joint("J0", 0, 0, 0);
        for (int i = 1; i <= members; i++) {
            b.joint("J" + i, 0, 0, height * i / members).column("c" + i, "J" + (i - 1), "J" + i);
        }
        b.supports.add(new Support("J0", true, true, true, false, false, true));
        b.supports.add(new Support("J" + members, true, true, false, false, false, false));
        return b.push("J" + members, 0, 0, -p);
    }

    private static List<LiftDemands.Demand> demands(ModelBuilder b, Basis basis, int lift) {
        Analysis a = b.solve();
        ColumnContext c = ColumnContext.of(Sidesway.of(a, basis), basis);
        ColumnDesign d = ColumnDesigner.design(ColumnStacks.find(a.index()).get(0), c);
        return LiftDemands.of(d.lifts().get(lift).lift(), d.lifts().get(lift).cage(), c);
    }

    private static double most(List<LiftDemands.Demand> all, ToDoubleFunction<LiftDemands.Demand> of) {
        return all.stream().mapToDouble(of).map(Math::abs).max().orElseThrow();
    }

    /** With more steel λlim grows (EN 5.8.3.1): some of these struts are slender with the steel that is too weak, and no more with that which is chosen: a demand is then there no more. */
    @Test
    void withOtherSteelALiftMayBeSlenderNoMore() {
        int changed = 0;
        for (double height = 4000; height <= 7000; height += 250) {
            for (double p = 500e3; p <= 3500e3; p += 500e3) {
                ModelBuilder b = strut(height, p, 1);
                b.memberLoads.add(
                        new MemberLoad("P", "c1", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, height, 50, 50));
                Analysis a = b.solve();
                ColumnContext c = ColumnContext.of(Sidesway.of(a, EN), EN);
                ColumnDesign.LiftDesign d = ColumnDesigner.design(
                                ColumnStacks.find(a.index()).get(0), c)
                        .lifts()
                        .get(0);
                ColumnSteel chosen = ColumnSteel.of(d.lift(), d.cage(), EN);
                LiftDemands demands = new LiftDemands(d.lift(), c);
                int fewer = demands.all(chosen).size();
                changed += demands.all(half(chosen)).size() > fewer ? 1 : 0;
            }
        }
        assertTrue(changed > 1, changed + " struts");
    }

    private static ColumnSteel half(ColumnSteel s) {
        return new ColumnSteel(half(s.x()), half(s.y()));
    }

    private static Slenderness.Bars half(Slenderness.Bars b) {
        return new Slenderness.Bars(b.depth(), b.area() / 2, b.inertia() / 2);
    }

    /**
     * 4 m under 90 kN/m: wL²/8 = 180 kNm in the middle. k lu / r = 34.6 > 22, EI = 0.4 × 30 000 × 400⁴/12 = 2.56e13 (nothing sustained),
     * Pc = π² EI / 4000² = 15.79 MN, δ = 1 / (1 − 500 / (0.75 × 15 791)) = 1.0441.
     */
    @Test
    void theMomentOfALoadBetweenTheEndsIsMagnifiedWhereItIs() {
        ModelBuilder b = strut(4000, 500e3, 1);
        b.memberLoads.add(new MemberLoad("P", "c1", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, 4000, 90, 90));
        double pc = Math.PI * Math.PI * 0.4 * 30_000 * Math.pow(400, 4) / 12 / (4000.0 * 4000);
        assertEquals(15.79e6, pc, 0.01e6);
        assertEquals(180e6 / (1 - 500e3 / (0.75 * pc)), most(demands(b, ACI, 0), LiftDemands.Demand::my), 1e3);
        assertTrue(
                most(demands(b, EN, 0), LiftDemands.Demand::my) >= 180e6 + 500e3 * 10 - 1,
                "and by EN no less than its imperfection more");
    }

    /** The same with k = 0.8 along X: Pc = 15.79 MN / 0.64 = 24.67 MN; along Y, where nothing bends it, k = 1.5 is not asked for. */
    @Test
    void anEffectiveLengthOfTheBasisCountsForItsDirection() {
        ModelBuilder b = strut(4000, 500e3, 1);
        b.memberLoads.add(new MemberLoad("P", "c1", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, 4000, 90, 90));
        Frame f = ACI.frame();
        Basis other = ACI.with(new Frame(f.swayX(), f.swayY(), 0, f.ductility(), EffectiveLengths.GIVEN, 0.8, 1.5));
        double pc = Math.PI * Math.PI * 0.4 * 30_000 * Math.pow(400, 4) / 12 / (3200.0 * 3200);
        assertEquals(24.67e6, pc, 0.01e6);
        assertEquals(180e6 / (1 - 500e3 / (0.75 * pc)), most(demands(b, other, 0), LiftDemands.Demand::my), 1e3);
        // k lu / r = 51.96 about x: slender without any moment, under Pu (15 + 0.03 h) = 13.5 kNm magnified with Pc =
        // 7.018 MN
        assertEquals(13.5e6 / (1 - 500e3 / (0.75 * 7.018e6)), most(demands(b, other, 0), LiftDemands.Demand::mx), 5e3);
    }

    /**
     * 6 m under 1400 kN and nothing else: k lu / r = 51.96 about both axes, Pc = 7.018 MN, so that Pu (15 + 0.03 h) = 37.8 kNm becomes
     * 37.8 / (1 − 1400 / 5263.5) = 51.5 kNm: about one axis, then about the other, not about both at once (R6.6.4.5.4). With ends that bend it evenly by 20 kNm
     * about one axis, that axis has 20 kNm × 1.3624 while the least moment acts about the other.
     */
    @Test
    void leastMomentsActAboutOneAxisAtATime() {
        assertEquals(List.of("0 51", "51 0"), bowed(strut(6000, 1400e3, 1)));
        ModelBuilder bent = strut(6000, 1400e3, 1);
        bent.jointLoads.add(new JointLoad("P", "J0", 0, 0, 0, 0, 20e6, 0));
        bent.jointLoads.add(new JointLoad("P", "J1", 0, 0, 0, 0, -20e6, 0));
        assertEquals(List.of("0 51", "51 27"), bowed(bent));
        ModelBuilder more = strut(6000, 1400e3, 1);
        more.jointLoads.add(new JointLoad("P", "J0", 0, 0, 0, 0, 60e6, 0));
        more.jointLoads.add(new JointLoad("P", "J1", 0, 0, 0, 0, -60e6, 0));
        // 60 kNm × 1.3624 are no least moment: they act with that about the other axis
        assertEquals(List.of("51 82"), bowed(more));
    }

    /** Sizes of the magnified moments about x and y [kNm]. */
    private static List<String> bowed(ModelBuilder b) {
        return demands(b, ACI, 0).stream()
                .filter(LiftDemands.Demand::magnified)
                .map(d -> Math.round(Math.abs(d.mx()) / 1e6 - 0.01) + " " + Math.round(Math.abs(d.my()) / 1e6 - 0.01))
                .sorted()
                .toList();
    }

    /**
     * A portal of 6 m and 5 m with hinged feet, 300 × 300 everywhere, braced: ψ = 0.7/5 over 0.35/6 = 2.4 at the head, none at the foot: (s + 2/ψ) s = (s c)²
     * of the bar under compression at u = 3.369, k = π/u = 0.933. Where it sways it is the whole length, with its sway magnified; where the basis gives k, that is k.
     */
    @Test
    void effectiveLengthsFromTheEndsOfColumns() {
        ModelBuilder b = ModelBuilder.portal(400e3, CaseKind.WIND, true);
        assertEquals(0.933, kAboutY(b, Sway.BRACED, EffectiveLengths.FROM_ENDS), 0.001);
        assertEquals(1.3, kAboutY(b, Sway.BRACED, EffectiveLengths.GIVEN), 1e-9);
        assertEquals(1, kAboutY(b, Sway.FROM_MODEL, EffectiveLengths.FROM_ENDS), 1e-9);
        ModelBuilder still = ModelBuilder.portal(400e3, CaseKind.WIND, false);
        assertEquals(
                1, kAboutY(still, Sway.FROM_MODEL, EffectiveLengths.FROM_ENDS), 1e-9, "nobody knows whether it sways");
        assertEquals(0.933, kAboutY(still, Sway.BRACED, EffectiveLengths.FROM_ENDS), 0.001);
    }

    /** k of the first column along X, out of the length that its calculation shows. */
    private static double kAboutY(ModelBuilder b, Sway sway, EffectiveLengths lengths) {
        Basis basis = ACI.with(new Frame(sway, sway, 0, Ductility.NONE, lengths, 1.3, 1));
        Analysis a = b.solve();
        ColumnContext c = ColumnContext.of(Sidesway.of(a, basis), basis);
        ColumnDesign d = ColumnDesigner.design(ColumnStacks.find(a.index()).get(0), c);
        ColumnDesign.LiftDesign l = d.lifts().get(0);
        Trace t = Trace.recording();
        new LiftDemands(l.lift(), c).of(0, ColumnSteel.of(l.lift(), l.cage(), basis), new ArrayList<>(), t);
        boolean x = Math.abs(l.lift().aboutX().ux()) > 0.5;
        double lu = (x ? l.lift().aboutX() : l.lift().aboutY()).length();
        List<Step> steps =
                t.steps().stream().filter(s -> s.symbol().equals("k lu / r")).toList();
        return steps.get(x ? 0 : 1).value() * 300 / Math.sqrt(12) / lu;
    }

    /** 400 kN at 0.5 m of 2.5 m: P a b / L = 160 kNm under the load; k lu / r = 21.7 < 22, so it is not slender. */
    @ParameterizedTest
    @ValueSource(doubles = {500, 700, 1900, 2000})
    void aLoadNearAnEndIsDesignedForWhereItActs(double at) {
        ModelBuilder b = strut(2500, 500e3, 1);
        b.memberLoads.add(new MemberLoad("P", "c1", MemberLoad.Kind.POINT, Direction.GLOBAL_Y, at, at, 400e3, 0));
        List<LiftDemands.Demand> all = demands(b, ACI, 0);
        assertTrue(all.stream().noneMatch(LiftDemands.Demand::magnified));
        LiftDemands.Demand worst = all.stream()
                .max(java.util.Comparator.comparingDouble(d -> Math.abs(d.mx())))
                .orElseThrow();
        assertEquals(400e3 * at * (2500 - at) / 2500, Math.abs(worst.mx()), 2e-5 * 200e6);
        assertEquals(at / 2500, worst.part(), 1e-5);
    }

    /** What the analysis says at any station is never more than what the lift is designed for. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "en-1992-1-1"})
    void noStationIsDesignedForLess(String code) {
        ModelBuilder b = strut(5000, 900e3, 1);
        b.memberLoads.add(
                new MemberLoad("P", "c1", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 1000, 2200, 80, 10));
        b.memberLoads.add(new MemberLoad("P", "c1", MemberLoad.Kind.POINT, Direction.GLOBAL_Y, 3900, 3900, -60e3, 0));
        Analysis a = b.solve();
        Basis basis = Basis.standard(code);
        List<LiftDemands.Demand> all = demands(b, basis, 0);
        for (int component : new int[] {Analysis.MY, Analysis.MZ}) {
            double most = 0;
            for (int s = 0; s < a.stationCount(0); s++) {
                most = Math.max(most, Math.abs(a.force(0, 0, s, component)));
            }
            assertTrue(most(all, component == Analysis.MY ? LiftDemands.Demand::mx : LiftDemands.Demand::my) >= most);
        }
    }

    /** With bars that do not depend on the lengths of the members, few enough that the strut is slender. */
    private static List<LiftDemands.Demand> withSomeBars(ModelBuilder b, Basis basis, int lift) {
        Analysis a = b.solve();
        Slenderness.Bars bars = new Slenderness.Bars(330, 800, 1.2e7);
        return new LiftDemands(
                        ColumnStacks.find(a.index()).get(0).lifts().get(lift),
                        ColumnContext.of(Sidesway.of(a, basis), basis))
                .all(new ColumnSteel(bars, bars));
    }

    /** A joint that nothing restrains changes nothing: a strut of 9 m as one member, as two and as three. */
    @ParameterizedTest
    @ValueSource(ints = {2, 3})
    void aJointThatNothingHoldsDoesNotShortenTheColumn(int members) {
        for (Basis basis : List.of(ACI, EN)) {
            ModelBuilder whole = strut(9000, 800e3, 1);
            ModelBuilder split = strut(9000, 800e3, members);
            for (ModelBuilder b : List.of(whole, split)) {
                String head = "J" + (b.joints.size() - 1);
                b.jointLoads.add(new JointLoad("P", head, 0, 0, 0, 30e6, 50e6, 0));
            }
            List<LiftDemands.Demand> one = withSomeBars(whole, basis, 0);
            for (int lift = 0; lift < members; lift++) {
                List<LiftDemands.Demand> part = withSomeBars(split, basis, lift);
                assertEquals(
                        most(one, LiftDemands.Demand::mx),
                        most(part, LiftDemands.Demand::mx),
                        1e-3 * most(one, LiftDemands.Demand::mx));
                assertEquals(
                        most(one, LiftDemands.Demand::my),
                        most(part, LiftDemands.Demand::my),
                        1e-3 * most(one, LiftDemands.Demand::my));
            }
        }
    }

    /** A beam along X to another column holds the joint along X only; a bracket with a free end holds nothing. */
    @Test
    void lengthsRunBetweenRestraintsByDirection() {
        ModelBuilder b = strut(9000, 800e3, 2)
                .joint("K0", 6000, 0, 0)
                .joint("K1", 6000, 0, 4500)
                .column("k", "K0", "K1")
                .fixed("K0")
                .beam("beam", "J1", "K1");
        ColumnStack.Lift held =
                ColumnStacks.find(b.solve().index()).get(0).lifts().get(0);
        // the width lies along X: bending about the y axis moves along X, and half the beam of 400 is inside the joint
        assertEquals(4500 - 200, held.aboutY().length(), 1e-6);
        assertEquals(9000, held.aboutX().length(), 1e-6);
        ModelBuilder free = strut(9000, 800e3, 2).joint("K1", 2000, 0, 4500).beam("bracket", "J1", "K1");
        assertEquals(
                9000,
                ColumnStacks.find(free.solve().index())
                        .get(0)
                        .lifts()
                        .get(0)
                        .aboutY()
                        .length(),
                1e-6);
    }

    /** A head that nothing holds: k = 2. Pc = π² EI / (2 × 3000)² = 7.02 MN, δ = 1 / (1 − 900 / (0.75 × 7018)), M2,min = 900 × 27 mm. */
    @Test
    void aFreeHeadDoublesTheLength() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 3000)
                .column("c", "A", "B")
                .fixed("A")
                .push("B", 0, 0, -900e3);
        double pc = Math.PI * Math.PI * 0.4 * 30_000 * Math.pow(400, 4) / 12 / (6000.0 * 6000);
        double mc = 900e3 * 27 / (1 - 900e3 / (0.75 * pc));
        assertEquals(mc, most(demands(b, ACI, 0), LiftDemands.Demand::mx), 1e3);
    }

    /** d = h/2 + is: eight bars on a ring of radius r have is = r / √2; four in the corners lie in two rows, d = h − c. */
    @Test
    void theEffectiveDepthIsOfAllBars() {
        ModelBuilder round = strut(3000, 500e3, 1);
        round.sections.set(0, new Section("S", new Shape.Circle(400)));
        Analysis a = round.solve();
        ColumnStack.Lift lift = ColumnStacks.find(a.index()).get(0).lifts().get(0);
        ColumnCage.LiftCage cage = ColumnDesigner.design(
                        ColumnStacks.find(a.index()).get(0), ColumnContext.of(Sidesway.of(a, EN), EN))
                .cage()
                .lifts()
                .get(0);
        double r = 200
                - EN.columnCover()
                - cage.tie().diameter()
                - cage.layout().largest().diameter() / 2;
        assertEquals(200 + r / Math.sqrt(2), ColumnSteel.of(lift, cage, EN).x().depth(), 1e-6);
        assertEquals(200 + r / Math.sqrt(2), ColumnSteel.of(lift, cage, EN).y().depth(), 1e-6);
    }

    /**
     * 6.6.4.6.3: the beam carries the magnified moment of the column's head, 20 kN × 5 m / 2 / (1 − Q); whatever the kind of the case that
     * pushes. Q = ΣP Δ / (V h) with the drift of the analysis.
     */
    @ParameterizedTest
    @ValueSource(strings = {"WIND", "SOIL", "OTHER", "LIVE"})
    void beamsCarryTheMagnifiedMomentsOfTheColumns(String kind) {
        Analysis a = ModelBuilder.portal(250e3, CaseKind.valueOf(kind), true).solve();
        double drift = a.displacement(1, a.index().jointNumber("B"), 0);
        double q = 500e3 * drift / (20e3 * 5000);
        assertTrue(q > 0.1 && q < 0.6, "Q " + q);
        for (Basis basis : List.of(ACI, EN)) {
            BeamLine line = BeamLines.find(a).get(0);
            BeamContext c = BeamContext.of(a, basis);
            double end = c.strength().at(line.stations().get(0).memberNumber(), 0, 0, Analysis.MY);
            assertEquals(50e6 / (1 - q), Math.abs(end), 0.005 * 50e6);
        }
    }

    @Test
    void gravityThatDoesNotSwayIsNotMagnified() {
        ModelBuilder b = ModelBuilder.portal(250e3, CaseKind.WIND, true);
        b.spread("b", 0, 6000, 30, 30);
        Analysis a = b.solve();
        Sidesway s = Sidesway.of(a, ACI);
        double gravity = a.force(2, 0, 0, Analysis.MY);
        double wind = a.force(2, 1, 0, Analysis.MY);
        assertEquals(gravity + s.magnifier(0, 5000, true) * wind, s.strength().at(2, 0, 0, Analysis.MY), 1);
        assertTrue(s.strength().magnifier(2) > 1.05);
    }

    /** Floors are listed at the top of slabs where joints lie in the middle of beams, or the other way: columns and beams are of the same storeys. */
    @Test
    void floorsMayBeListedBesideTheirJoints() {
        ModelBuilder exact = ModelBuilder.portal(250e3, CaseKind.WIND, true);
        Sidesway one = Sidesway.of(exact.solve(), ACI);
        assertTrue(one.magnifier(0, 5000, true) > 1.05);
        for (double off : new double[] {-40, 40}) {
            ModelBuilder beside = ModelBuilder.portal(250e3, CaseKind.WIND, true);
            beside.storeys.replaceAll(s -> new Storey(s.id(), s.name(), s.elevation() + off));
            Analysis a = beside.solve();
            Sidesway other = Sidesway.of(a, ACI);
            assertEquals(one.magnifier(0, 5000, true), other.magnifier(0, 5000, true), 1e-9);
            Member beam = a.index().member("b");
            assertEquals(one.magnifier(0, 5000, true), other.ofBeam(a.index(), beam), 1e-9, "beam");
        }
    }

    /** A storey with Q above one: columns and beams fail by name, and nothing that is told is infinite or no number. */
    @Test
    void anUnstableStoreyFailsInWords() {
        ModelBuilder b = ModelBuilder.portal(250e3, CaseKind.WIND, true);
        b.push("B", 0, 0, -4000e3);
        Analysis a = b.solve();
        kolonne.core.design.BuildingDesign d =
                kolonne.core.design.BuildingDesigner.design(a, ACI, kolonne.core.design.BuildingDesigner.Progress.NONE);
        for (List<Finding> f :
                List.of(d.columns().get(0).findings(), d.beams().get(0).findings())) {
            assertTrue(f.stream().anyMatch(x -> x.code().equals("slenderness")), f.toString());
            f.forEach(x -> assertFalse(x.what().contains("Infinity") || x.what().contains("NaN"), x.what()));
        }
        d.columns()
                .forEach(c -> c.lifts()
                        .forEach(l ->
                                l.checks().forEach(k -> assertTrue(Double.isFinite(k.utilisation()), k.toString()))));
        assertEquals(3, d.causes().get("slenderness"), d.causes().toString());
    }
}
