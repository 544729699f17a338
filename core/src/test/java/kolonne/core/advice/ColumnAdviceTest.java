package kolonne.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.DesignedDemo;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Other sections for lifts of columns: what they promise is looked for in the building that takes them. */
class ColumnAdviceTest {
    private static final Basis BASIS = Basis.standard(false);
    private static final BuildingDesign DEMO = DesignedDemo.by(DesignedDemo.SMALL, BASIS);

    private static int failing(ColumnDesign d) {
        for (int i = 0; i < d.lifts().size(); i++) {
            if (!d.lifts().get(i).checks().stream().allMatch(CheckResult::satisfied)) {
                return i;
            }
        }
        return -1;
    }

    private static ColumnDesign failing() {
        return DEMO.columns().stream()
                .filter(c ->
                        failing(c) >= 0 && !c.stack().lifts().get(failing(c)).legged())
                .findFirst()
                .orElseThrow();
    }

    private static List<ColumnAdvice.Tried> advice(ColumnDesign d, int lift) {
        ColumnContext context = DEMO.contexts().of(d.stack());
        return ColumnAdvice.of(d, lift, context);
    }

    @Test
    void aColumnThatIsTooSmallIsNotMadeSmaller() {
        ColumnDesign d = failing();
        int lift = failing(d);
        Shape now = d.stack().lifts().get(lift).section().shape();
        List<ColumnAdvice.Tried> all = advice(d, lift);
        assertTrue(all.size() > 8, all.size() + " tried");
        for (ColumnAdvice.Tried t : all) {
            Shape s = t.option().shape();
            assertTrue(t.option().present() || s.width() > now.width() || s.depth() > now.depth(), s.label());
            assertTrue(t.lifts().contains(lift));
            for (int i = 0; i < t.lifts().get(0); i++) {
                Shape below = d.stack().lifts().get(i).section().shape();
                assertTrue(
                        below.width() >= s.width() && below.depth() >= s.depth(), s.label() + " over " + below.label());
            }
        }
        assertTrue(all.get(0).option().satisfied(), "one of them serves");
        assertEquals(1, all.stream().filter(t -> t.option().present()).count());
    }

    /** The building with the section that was promised, analysed and designed as a whole: forces shift, so that the use is near what was told, and the lifts satisfy. */
    @Test
    void whatIsPromisedHolds() {
        ColumnDesign d = failing();
        int lift = failing(d);
        ColumnAdvice.Tried best = advice(d, lift).get(0);
        Building b = DEMO.analysis().index().building();
        Map<String, Boolean> taking = new HashMap<>();
        best.lifts().forEach(i -> taking.put(d.stack().lifts().get(i).member(), true));
        List<Section> sections = new java.util.ArrayList<>(b.sections());
        sections.add(new Section("promised", best.option().shape()));
        List<Member> members = b.members().stream()
                .map(m -> taking.containsKey(m.id()) ? m.withSection("promised") : m)
                .toList();
        BuildingDesign now = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(b.withSections(sections).withMembers(members))),
                BASIS,
                BuildingDesigner.Progress.NONE);
        ColumnDesign same = now.columns().stream()
                .filter(c -> c.stack().id().equals(d.stack().id()))
                .findFirst()
                .orElseThrow();
        double strength = best.lifts().stream()
                .flatMap(i -> same.lifts().get(i).checks().stream())
                .filter(c -> c.cause().isStrength())
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElseThrow();
        assertEquals(best.option().strength(), strength, 0.25, "forces of a stiffer column");
        best.lifts()
                .forEach(i -> assertTrue(
                        same.lifts().get(i).checks().stream().allMatch(c -> c.utilisation() < 1.1),
                        best.option().shape().label() + ", lift " + i));
    }

    /** Of every stack that fails, by both codes: what is told is the least of all that grow on both sides and satisfy, and none where none does. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "en-1992-1-1"})
    void theLeastThatServes(String code) {
        BuildingDesign demo = DesignedDemo.by(DesignedDemo.SMALL, Basis.standard(code));
        int compared = 0;
        for (ColumnDesign d : demo.columns()) {
            int lift = failing(d);
            if (lift < 0) {
                continue;
            }
            compared++;
            Shape now = d.stack().lifts().get(lift).section().shape();
            ColumnContext context = demo.contexts().of(d.stack());
            SectionAdvice.Option told =
                    ColumnAdvice.least(d, lift, context).orElseThrow().option();
            double least = ColumnAdvice.of(d, lift, context).stream()
                    .map(ColumnAdvice.Tried::option)
                    .filter(o -> o.satisfied() && o.shape().A() > now.A())
                    .map(SectionAdvice.Option::shape)
                    .filter(s -> Math.abs(s.width() - now.width() - s.depth() + now.depth()) < 1e-6)
                    .mapToDouble(Shape::A)
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
            assertEquals(told.satisfied(), Double.isFinite(least), d.stack().mark());
            assertTrue(
                    !told.satisfied() || told.shape().A() <= least + 1e-6,
                    d.stack().mark() + ": " + told);
        }
        assertTrue(compared > 1, compared + " stacks fail");
    }

    /** A column that bears its loads is offered smaller ones as well. */
    @Test
    void aColumnThatServesMayBeSmaller() {
        ColumnDesign d =
                DEMO.columns().stream().filter(c -> failing(c) < 0).findFirst().orElseThrow();
        Shape now = d.stack().lifts().get(0).section().shape();
        List<ColumnAdvice.Tried> all = advice(d, 0);
        assertTrue(all.stream().anyMatch(t -> t.option().shape().A() < now.A()));
        for (int i = 0; i + 1 < all.size(); i++) {
            boolean better =
                    all.get(i).option().satisfied() || !all.get(i + 1).option().satisfied();
            assertTrue(better, "those that satisfy stand first");
        }
    }
}
