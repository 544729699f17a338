package kolonne.core.column.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.code.Slenderness;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Step;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** The parts of a moment against statics and magnifiers by hand: 400 × 400, pinned at both ends, E = 30 000 MPa, few bars. */
class MomentPartsTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Basis EN = Basis.standard("en-1992-1-1");
    private static final Slenderness.Bars BARS = new Slenderness.Bars(330, 800, 1.2e7);

    /** As tall as asked, pressed by 300 kN of a case that stays and 200 kN of one that does not. */
    private static ModelBuilder strut(double height) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, height)
                .column("c", "A", "B")
                .push("B", 0, 0, -200e3)
                .combine("D + P", Map.of("P", 1.0, "D", 1.0));
        b.supports.add(new Support("A", true, true, true, false, false, true));
        b.supports.add(new Support("B", true, true, false, false, false, false));
        b.cases.add(new LoadCase("D", "stays", CaseKind.DEAD, 0));
        b.jointLoads.add(new JointLoad("D", "B", 0, 0, -300e3, 0, 0, 0));
        return b;
    }

    private static MemberLoad along(String loadCase, double w, double height) {
        return new MemberLoad(loadCase, "c", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_X, 0, height, w, w);
    }

    private record Taken(LiftDemands.Demand demand, MomentParts parts) {}

    private static List<Taken> all(ModelBuilder b, Basis basis) {
        Analysis a = b.solve();
        LiftDemands d = new LiftDemands(
                ColumnStacks.find(a.index()).get(0).lifts().get(0), ColumnContext.of(Sidesway.of(a, basis), basis));
        return d.all(new ColumnSteel(BARS, BARS)).stream()
                .map(q -> new Taken(q, d.parts(q)))
                .toList();
    }

    private static Taken most(List<Taken> all, ToDoubleFunction<LiftDemands.Demand> of) {
        return all.stream()
                .max(Comparator.comparingDouble(t -> Math.abs(of.applyAsDouble(t.demand))))
                .orElseThrow();
    }

    /** In the sense of their sum. */
    private static void assertParts(
            MomentParts.Part p, double sustained, double others, double eccentricity, double second, double within) {
        double sense = Math.signum(p.total());
        assertEquals(sustained, sense * p.sustained(), within, "sustained");
        assertEquals(others, sense * p.others(), within, "others");
        assertEquals(eccentricity, sense * p.eccentricity(), within, "eccentricity");
        assertEquals(second, sense * p.secondOrder(), within, "second order");
    }

    /**
     * 4 m under 60 kN/m that stay and 30 that do not: wL²/8 = 120 and 60 kNm. βdns = 300/500, EI = 0.4 × 30 000 × 400⁴/12 / 1.6 = 1.6e13 (bars of 1.2e7 mm⁴
     * count less), Pc = 9.87 MN, δ = 1 / (1 − 500 / 7402) = 1.0724: 13.04 kNm more.
     */
    @Test
    void ofALoadBetweenTheEnds() {
        ModelBuilder b = strut(4000);
        b.memberLoads.add(along("D", 60, 4000));
        b.memberLoads.add(along("P", 30, 4000));
        double pc = Math.PI * Math.PI * 1.6e13 / 16e6;
        double delta = 1 / (1 - 500e3 / (0.75 * pc));
        assertEquals(1.0724, delta, 1e-4);
        Taken t = most(all(b, ACI), LiftDemands.Demand::my);
        assertTrue(t.demand.magnified());
        assertParts(t.parts.y(), 120e6, 60e6, 0, (delta - 1) * 180e6, 2e3);
        assertEquals(t.demand.my(), t.parts.y().total(), 1);
        Taken station = all(b, ACI).stream()
                .filter(q -> !q.demand.magnified() && Math.abs(q.demand.part() - 0.5) < 1e-6)
                .findFirst()
                .orElseThrow();
        assertParts(station.parts.y(), 120e6, 60e6, 0, 0, 1);
        assertFalse(station.parts.pDelta());
    }

    /** By EN 6.1(4) at least max(20, 400/30) mm = 20, here l0/400 = 10 mm more than the load gives: 500 kN × 10 mm = 5 kNm. */
    @Test
    void ofAnImperfection() {
        ModelBuilder b = strut(4000);
        b.memberLoads.add(along("D", 60, 4000));
        b.memberLoads.add(along("P", 30, 4000));
        Taken station =
                most(all(b, EN).stream().filter(q -> !q.demand.magnified()).toList(), LiftDemands.Demand::my);
        assertParts(station.parts.y(), 120e6, 60e6, 5e6, 0, 1);
        assertParts(station.parts.x(), 0, 0, 0, 0, 1);
    }

    /** 9 m by EN: e2 = (1/r) l0²/10 with Kr, Kφ of its calculation; the arrows are those of the step that shows MEd. */
    @Test
    void ofTheNominalCurvature() {
        ModelBuilder b = strut(9000);
        b.memberLoads.add(along("D", 6, 9000));
        b.memberLoads.add(along("P", 3, 9000));
        Taken t = most(all(b, EN), LiftDemands.Demand::my);
        double first = 9 * 81e6 / 8;
        // λ = 9000 / 115.5 = 77.9, φef = φ M0Eqp / M0Ed; n = 500 / (160 000 × 17) = 0.18: Kr = 1; β = 0.35 + 0.15 −
        // 0.52 < 0: Kφ = 1; 1/r = εyd / (0.45 × 330)
        double e2 = 500 / 1.15 / 200_000 / (0.45 * 330) * 81e6 / 10;
        assertParts(t.parts.y(), first * 2 / 3, first / 3, 500e3 * 9000 / 400, 500e3 * e2, 2e4);
    }

    /**
     * 6 m, pressed alone: M2,min = 500 kN × (15 + 0.03 × 400) mm = 13.5 kNm is all that acts, and δ = 1 / (1 − 500 / (0.75 Pc)) with Pc = π² 1.6e13 / 6000²
     * = 4.386 MN adds 0.179 of it; bent evenly by 5 kNm, it lacks 8.5.
     */
    @Test
    void ofALeastMoment() {
        double more = 1 / (1 - 500 / (0.75 * 4386.5)) - 1;
        assertEquals(0.179, more, 1e-3);
        assertParts(most(all(strut(6000), ACI), LiftDemands.Demand::mx).parts.x(), 0, 0, 13.5e6, more * 13.5e6, 1e3);
        ModelBuilder bent = strut(6000);
        bent.jointLoads.add(new JointLoad("P", "A", 0, 0, 0, 0, 5e6, 0));
        bent.jointLoads.add(new JointLoad("P", "B", 0, 0, 0, 0, -5e6, 0));
        assertParts(most(all(bent, ACI), LiftDemands.Demand::my).parts.y(), 0, 5e6, 8.5e6, more * 13.5e6, 1e3);
    }

    /** The head of a portal's column, hinged foot: 10 kN × 5 m = 50 kNm of wind, and 1 / (1 − Q) of it where Q of the first-order drift is above 0.05. */
    @Test
    void ofSidesway() {
        ModelBuilder b = ModelBuilder.portal(400e3, CaseKind.WIND, true);
        Analysis a = b.solve();
        double drift = a.displacement(1, a.index().jointNumber("B"), 0);
        double q = 2 * 400e3 * drift / (20e3 * 5000);
        assertTrue(q > 0.1, "Q " + q);
        Taken t = all(b, ACI).stream()
                .filter(d -> d.demand.combination() == 0 && d.demand.place() == LiftDemands.Place.HEAD)
                .findFirst()
                .orElseThrow();
        double second = 50e6 * (1 / (1 - q) - 1);
        assertParts(t.parts.y(), 0, 50e6, 0, second, 2e-3 * second + 1e5);
        Function<Double, Boolean> pDelta = part -> {
            ModelBuilder m = ModelBuilder.portal(400e3, CaseKind.WIND, true);
            AnalysisOptions o = m.options;
            m.options = new AnalysisOptions(
                    o.shearDeformation(),
                    o.beams(),
                    o.columns(),
                    0,
                    List.of(new Combination.Term("P", part)),
                    o.patternLive());
            return all(m, ACI).get(0).parts.pDelta();
        };
        assertTrue(pDelta.apply(1.0), "the forces have it, so that it is among the first two");
    }

    /** An ell is tried both ways: against the bending only what the lift adds acts. */
    @Test
    void againstTheBendingOnlyWhatIsAddedActs() {
        ModelBuilder b = strut(4000);
        b.sections.set(0, new Section("S", new Shape.Ell(600, 600, 200, 200)));
        b.memberLoads.add(along("D", 60, 4000));
        List<Taken> bowed =
                all(b, ACI).stream().filter(q -> q.demand.magnified()).toList();
        assertEquals(0, bowed.size() % 4);
        Taken with = most(bowed, LiftDemands.Demand::my);
        Taken against = bowed.stream()
                .filter(q -> q.demand.my() * with.demand.my() < 0)
                .findFirst()
                .orElseThrow();
        assertEquals(120e6, Math.abs(with.parts.y().sustained()), 2e6);
        assertEquals(0, against.parts.y().sustained());
        assertEquals(-with.parts.y().secondOrder(), against.parts.y().secondOrder(), 1);
        assertEquals(against.demand.my(), against.parts.y().total(), 1);
    }

    /** The calculation says them. */
    @Test
    void theCalculationAddsThemUp() {
        ModelBuilder b = strut(4000);
        b.memberLoads.add(along("D", 60, 4000));
        Analysis a = b.solve();
        ColumnContext c = ColumnContext.of(Sidesway.of(a, EN), EN);
        ColumnDesign d = kolonne.core.column.choice.ColumnDesigner.design(
                ColumnStacks.find(a.index()).get(0), c);
        LiftDemands demands = new LiftDemands(d.lifts().get(0).lift(), c);
        List<LiftDemands.Demand> all = demands.of(
                0, ColumnSteel.of(d.lifts().get(0).lift(), d.lifts().get(0).cage(), EN));
        for (LiftDemands.Demand q : all) {
            List<Step> moments = LiftCalculation.of(d.stack(), d.cage(), 0, c, 0, q.number()).stream()
                    .filter(s ->
                            s.formula().contains("second order") && s.inputs().size() == 4)
                    .toList();
            assertEquals(2, moments.size());
            assertEquals(q.mx(), moments.get(0).value());
            assertEquals(q.my(), moments.get(1).value());
            for (Step s : moments) {
                assertEquals(
                        s.value(),
                        s.inputs().stream().mapToDouble(Step.Input::value).sum(),
                        1);
            }
        }
    }
}
