package kolonne.core.column.check;

import static kolonne.core.column.check.ColumnChecksByHandTest.RECTANGLE;
import static kolonne.core.column.check.ColumnChecksByHandTest.USUAL;
import static kolonne.core.column.check.ColumnChecksByHandTest.post;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Ductility;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.TwoLifts;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.column.line.ColumnStacks;
import kolonne.core.demand.Sidesway;
import kolonne.core.explain.Step;
import kolonne.core.model.ModelBuilder;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** The calculation of a lift says everything that was checked: no result of the checks without its line, and what only some lifts have. */
class ColumnCalculationTest {
    private static final Basis ACI = Basis.standard(false);
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");

    private static ColumnCage.LiftCage bars(int along, String bar) {
        Bar b = BarCatalogue.METRIC.find(bar);
        List<Boolean> held = Stream.generate(() -> true).limit(along).toList();
        return new ColumnCage.LiftCage(new RectangleBars(along, along, b, b, held, held), T10, 150);
    }

    private static ColumnContext context(ModelBuilder b) {
        return ColumnContext.of(Sidesway.of(b.solve(), ACI), ACI);
    }

    /** Titles and symbols of the calculation of a lift, in which every check of it is told. */
    private static List<String> told(ColumnContext c, ColumnStack stack, int lift, ColumnCage cage) {
        List<String> said = LiftCalculation.of(stack, cage, lift, c, 0, 0).stream()
                .map(Step::symbol)
                .toList();
        List<String> missing = ColumnCheck.run(stack, cage, c).lifts().get(lift).checks().stream()
                .filter(r -> !r.kind().id().equals("axial-bending"))
                .map(CheckResult::kind)
                .map(k -> k.title())
                .filter(title -> !said.contains(title))
                .toList();
        assertEquals(List.of(), missing);
        return said;
    }

    private static List<String> told(ModelBuilder b, int lift, ColumnCage.LiftCage... cages) {
        ColumnContext c = context(b);
        return told(c, ColumnStacks.find(c.index()).get(0), lift, new ColumnCage(List.of(cages)));
    }

    @Test
    void everyCheckHasItsLine() {
        told(post(RECTANGLE, 60e3, 90e3, 800e3, 20e6, 10e6, 0), 0, USUAL);
        told(post(RECTANGLE, 60e3, 0, 300e3, 0, 0, 60e6), 0, USUAL);
        assertTrue(told(TwoLifts.model(500, 500), 0, bars(2, "T20"), bars(3, "T20"))
                .contains("Bars for those above to lap with"));
        assertTrue(told(TwoLifts.model(500, 450), 0, bars(2, "T20"), bars(2, "T20"))
                .contains("Ties at bars bent out of their line"));
        told(TwoLifts.model(500, 350), 0, bars(2, "T20"), bars(2, "T20"));
        told(TwoLifts.model(500, 500), 1, bars(2, "T32"), bars(2, "T32"));
        // the joint of a frame that no earthquake asks anything of (15.4)
        assertTrue(told(TwoLifts.model(500, 500), 0, bars(2, "T20"), bars(2, "T20"))
                .containsAll(List.of("Joint at the head, along x", "Vu", "Aj")));
    }

    @Test
    void aSpiralIsToldWhereThereIsOne() {
        Shape circle = new Shape.Circle(500);
        RingBars ring = new RingBars(8, BarCatalogue.METRIC.find("T25"), true);
        ModelBuilder b = post(circle, 20e3, 0, 800e3, 0, 0, 0);
        assertTrue(told(b, 0, new ColumnCage.LiftCage(ring, T10, new TieSpacing(150, 60, 60, 0, 0)))
                .containsAll(List.of("Spiral", "ρs,min", "ρs")));
        RingBars hoops = new RingBars(8, BarCatalogue.METRIC.find("T25"), false);
        assertTrue(!told(b, 0, new ColumnCage.LiftCage(hoops, T10, 60)).contains("Spiral"));
    }

    @Test
    void whatADuctileFrameAsksForIsTold() {
        ColumnContext c = FrameColumnsByHandTest.context(
                Ductility.SPECIAL,
                new Shape.Rectangle(500, 500),
                FrameColumnsByHandTest.bothSides(),
                FrameColumnsByHandTest.bothSides());
        ColumnCage.LiftCage cage = bars(3, "T25").with(new TieSpacing(100, 100, 150, 500, 500));
        List<String> said = told(c, FrameColumnsByHandTest.stack(c), 0, new ColumnCage(List.of(cage, cage)));
        assertTrue(
                said.contains("Shear from the strength of the ends") && said.contains("Hoops that confine the core"));
    }

    /** 200 kNm about x bear what the strength of three rows of bars does on either side of the balanced point, by hand ({@link ColumnChecksByHandTest#point}). */
    @Test
    void theRangeOfTheAxialForce() {
        ColumnContext c = context(post(RECTANGLE, 0, 0, 800e3, 200e6, 0, 0));
        ColumnStack stack = ColumnStacks.find(c.index()).get(0);
        List<Step> steps = LiftCalculation.of(stack, new ColumnCage(List.of(USUAL)), 0, c, 0, 0);
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (double axis = 40; axis < 700; axis += 0.05) {
            double[] strength = ColumnChecksByHandTest.point(axis);
            if (strength[1] >= 200e6) {
                least = Math.min(least, strength[0]);
                most = Math.max(most, strength[0]);
            }
        }
        assertEquals(least, value(steps, "Pu,min"), 2e3);
        assertEquals(most, value(steps, "Pu,max"), 2e3);
        ColumnContext bent = context(post(RECTANGLE, 0, 0, 800e3, 600e6, 0, 0));
        assertTrue(LiftCalculation.of(stack, new ColumnCage(List.of(USUAL)), 0, bent, 0, 0).stream()
                .anyMatch(s -> s.symbol().equals("Range of the axial force")));
    }

    private static double value(List<Step> steps, String symbol) {
        return steps.stream()
                .filter(s -> s.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new AssertionError(symbol))
                .value();
    }
}
