package kolonne.core.column.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.choice.HeldBars;
import kolonne.core.demand.Demands;
import kolonne.core.demand.Sidesway;
import kolonne.core.demand.SwayIndex;
import kolonne.core.finding.Finding;
import kolonne.core.model.CaseKind;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import kolonne.core.model.Section;
import kolonne.core.model.Storey;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Stacks, sway, second order, and what the designer makes of single columns. */
class ColumnStackTest {
    /** A cantilever column 4 m high with axial load and moments at its head. */
    private static ModelBuilder post(Shape s, double p, double mx, double my) {
        ModelBuilder b = new ModelBuilder()
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .column("c", "A", "B")
                .fixed("A");
        b.sections.add(new Section("S", s));
        b.storeys.add(new Storey("G", "Ground", 0));
        b.storeys.add(new Storey("L1", "L1", 4000));
        b.jointLoads.add(new JointLoad("P", "B", 0, 0, -p, mx, my, 0));
        return b;
    }

    private static ColumnDesign design(ModelBuilder b) {
        Analysis a = b.solve();
        ColumnContext c = ColumnContext.of(Sidesway.of(a, Basis.standard(false)), Basis.standard(false));
        return ColumnDesigner.design(ColumnStacks.find(a.index()).get(0), c);
    }

    @Test
    void liftsThatStandOnOneAnotherFormAStackFromTheFoundationUp() {
        ModelBuilder b = post(new Shape.Rectangle(400, 400), 1e6, 0, 0)
                .joint("C", 0, 0, 7000)
                .joint("D", 0, 0, 10_000)
                .column("c3", "D", "C")
                .column("c2", "B", "C");
        List<ColumnStack> stacks = ColumnStacks.find(b.solve().index());
        assertEquals(1, stacks.size());
        assertEquals(
                List.of("c", "c2", "c3"),
                stacks.get(0).lifts().stream().map(ColumnStack.Lift::member).toList());
        assertFalse(stacks.get(0).lifts().get(0).planted());
    }

    @Test
    void aLightColumnGetsTheMinimumAndAHeavyOneSaysWhy() {
        ColumnDesign light = design(post(new Shape.Rectangle(400, 400), 500e3, 0, 0));
        assertTrue(light.satisfied(), light.findings().toString());
        assertTrue(
                light.cage().lifts().get(0).area() < 1.3 * 0.01 * 160_000,
                light.cage().toString());
        List<String> codes = design(post(new Shape.Rectangle(300, 300), 5e6, 0, 0)).findings().stream()
                .map(Finding::code)
                .toList();
        assertTrue(codes.contains("axial-limit"), codes.toString());
        List<String> bent = design(post(new Shape.Rectangle(300, 300), 400e3, 300e6, 0)).findings().stream()
                .map(Finding::code)
                .toList();
        assertTrue(bent.contains("axial-bending"), bent.toString());
    }

    @Test
    void theSameColumnTurnedGetsTheSameBarsTurned() {
        ColumnCage.LiftCage x = design(post(new Shape.Rectangle(300, 600), 1e6, 350e6, 0))
                .cage()
                .lifts()
                .get(0);
        ColumnCage.LiftCage y = design(post(new Shape.Rectangle(600, 300), 1e6, 0, 350e6))
                .cage()
                .lifts()
                .get(0);
        assertEquals(x.area(), y.area(), 1e-9);
        assertEquals(((RectangleBars) x.layout()).alongX(), ((RectangleBars) y.layout()).alongY());
        assertEquals(x.layout().legsAlongX(), y.layout().legsAlongY());
    }

    @Test
    void roundColumnsAndEllsAreDesigned() {
        ColumnDesign round = design(post(new Shape.Circle(500), 1.0e6, 120e6, 90e6));
        assertTrue(round.satisfied(), round.findings().toString());
        assertTrue(round.cage().lifts().get(0).layout() instanceof RingBars
                && round.cage().lifts().get(0).count() >= 6);
        ColumnDesign ell = design(post(new Shape.Ell(300, 700, 800, 250), 1.0e6, 120e6, 90e6));
        assertTrue(ell.satisfied(), ell.findings().toString());
        assertTrue(ell.cage().lifts().get(0).layout() instanceof LegBars l && l.overhangs() == 1);
        ColumnDesign thin = design(post(new Shape.Ell(300, 600, 800, 130), 1e6, 0, 0));
        assertTrue(
                thin.findings().stream().anyMatch(f -> f.code().equals("bars-do-not-fit")),
                "two rows have no room in a flange of 130");
    }

    @Test
    void anUnstableColumnIsSlenderNotSilent() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 250, 250)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 12_000)
                .column("c", "A", "B")
                .fixed("A")
                .push("B", 0, 0, -900e3);
        assertTrue(design(b).findings().stream().anyMatch(f -> f.code().equals("slenderness")));
    }

    /** Which bars of a face must be held (25.7.2.3): corners, alternate ones, all where the gap exceeds 150 mm. */
    @ParameterizedTest(name = "{0} bars, gap {1}: {2}")
    @CsvSource({
        "2, 100, 11",
        "3, 100, 101",
        "3, 200, 111",
        "4, 100, 1111",
        "5, 100, 10101",
        "6, 100, 101101",
        "7, 100, 1010101",
        "7, 151, 1111111"
    })
    void holdsCornersAndAlternateBars(int n, double gap, String expected) {
        String held = String.join(
                "", HeldBars.along(n, gap, 150).stream().map(h -> h ? "1" : "0").toList());
        assertEquals(expected, held);
        assertFalse(held.contains("00"), "never two unheld in a row");
    }

    /** Two cantilever columns under a push: Δ / V = h³ / (2 · 3 E I), Q = ΣPu Δ / (V h), worked by hand. */
    @Test
    void theStabilityIndexIsTheCodesFormula() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .joint("C", 6000, 0, 0)
                .joint("D", 6000, 0, 4000)
                .column("c1", "A", "B")
                .column("c2", "C", "D")
                .fixed("A")
                .fixed("C")
                .push("B", 0, 0, -400e3)
                .push("D", 0, 0, -600e3);
        b.storeys.add(new Storey("G", "Ground", 0));
        b.storeys.add(new Storey("L1", "L1", 4000));
        b.cases.add(new LoadCase("W", "wind", CaseKind.WIND, 0));
        b.jointLoads.add(new JointLoad("W", "B", 10e3, 0, 0, 0, 0, 0));
        b.jointLoads.add(new JointLoad("W", "D", 10e3, 0, 0, 0, 0, 0));
        b.combine("1.2P", Map.of("P", 1.2));
        Analysis a = b.solve();
        SwayIndex q = SwayIndex.of(new Demands(a, Purpose.STRENGTH));
        double i = Math.pow(400, 4) / 12;
        double flexibility = Math.pow(4000, 3) / (2 * 3 * ModelBuilder.E * i);
        assertEquals(1.2 * 1000e3 * flexibility / 4000, q.of(0, 4000, true), 1e-6);
        assertTrue(Double.isNaN(q.of(0, 4000, false)), "no case shears the storey along Y");
    }

    @Test
    void swayMagnifiesTheMomentsOfWindAlone() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 300, 300)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .column("c", "A", "B")
                .fixed("A")
                .push("B", 0, 0, -300e3);
        b.storeys.add(new Storey("G", "Ground", 0));
        b.storeys.add(new Storey("L1", "L1", 4000));
        b.cases.add(new LoadCase("W", "wind", CaseKind.WIND, 0));
        b.jointLoads.add(new JointLoad("W", "B", 10e3, 0, 0, 0, 0, 0));
        b.combine("P + W", Map.of("P", 1.0, "W", 1.0));
        Analysis a = b.solve();
        ColumnContext c = ColumnContext.of(Sidesway.of(a, Basis.standard(false)), Basis.standard(false));
        ColumnStack.Lift lift = ColumnStacks.find(a.index()).get(0).lifts().get(0);
        double q = c.sway().index(0, 4000, true);
        assertTrue(q > 0.05, "Q " + q);
        double foot = LiftDemands.of(
                        lift,
                        ColumnDesigner.design(ColumnStacks.find(a.index()).get(0), c)
                                .cage()
                                .lifts()
                                .get(0),
                        c)
                .stream()
                .filter(x -> x.place() == LiftDemands.Place.FOOT)
                .mapToDouble(x -> Math.abs(x.my()))
                .max()
                .orElseThrow();
        assertEquals(10e3 * 4000 / (1 - q), foot, 1);
    }
}
