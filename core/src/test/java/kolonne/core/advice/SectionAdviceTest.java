package kolonne.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Other sections for a line that is too small, and for one that is too large. */
class SectionAdviceTest {
    private static final List<Section> PROJECT =
            List.of(new Section("big", new Shape.Rectangle(350, 850)), new Section("round", new Shape.Circle(500)));

    private static Analysis span(double b, double h, double w) {
        return new ModelBuilder()
                .section("S", b, h)
                .joint("A", 0, 0, 0)
                .joint("B", 8000, 0, 0)
                .beam("m1", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m1", 0, 8000, w, w)
                .solve();
    }

    private static List<SectionAdvice.Option> advice(Analysis a) {
        BeamContext context = BeamContext.of(a, Basis.standard(false));
        return SectionAdvice.of(BeamDesigner.design(BeamLines.find(a).get(0), context), context, PROJECT);
    }

    @Test
    void aSectionThatIsTooSmallFindsALargerOne() {
        List<SectionAdvice.Option> all = advice(span(300, 500, 110));
        SectionAdvice.Option now =
                all.stream().filter(SectionAdvice.Option::present).findFirst().orElseThrow();
        assertFalse(now.satisfied());
        assertTrue(now.strength() > 1);
        assertTrue(
                all.get(0).satisfied() && all.get(0).shape().depth() > 500,
                all.get(0).toString());
        assertTrue(all.stream().anyMatch(o -> o.section().equals("big")));
        assertFalse(all.stream().anyMatch(o -> o.shape() instanceof Shape.Circle));
    }

    /** Concrete and formwork grow from one to the next, and only the last is in the band. */
    @Test
    void theLeastSectionInTheBandEndsTheSearch() {
        Analysis a = span(300, 500, 110);
        BeamContext context = BeamContext.of(a, Basis.standard(false));
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
        List<SectionAdvice.Option> up = SectionAdvice.upwards(d, context, PROJECT);
        SectionAdvice.Option last = up.get(up.size() - 1);
        assertTrue(last.inBand() && last.satisfied(), last.toString());
        for (int i = 0; i + 1 < up.size(); i++) {
            assertFalse(up.get(i).inBand() || up.get(i).present());
            assertTrue(fixed(up.get(i)) <= fixed(up.get(i + 1)) + 1e-9);
        }
        for (SectionAdvice.Option o : SectionAdvice.of(d, context, PROJECT)) {
            assertTrue(!o.inBand() || fixed(o) >= fixed(last) - 1e-9, o.toString());
        }
    }

    private static double fixed(SectionAdvice.Option o) {
        return 120 * o.concrete() + 30 * o.formwork();
    }

    /** What is left out is nowhere larger, and would not have satisfied. */
    @Test
    void aSectionThatIsTooSmallIsNotMadeSmaller() {
        Analysis a = span(300, 500, 110);
        for (SectionAdvice.Option o : advice(a)) {
            assertTrue(o.present() || o.shape().depth() > 500 || o.shape().webWidth() > 300, o.toString());
        }
        for (Shape s : List.of(new Shape.Rectangle(300, 450), new Shape.Rectangle(250, 500))) {
            BeamDesign d =
                    BeamDesigner.design(BeamLines.find(a).get(0).with(s), BeamContext.of(a, Basis.standard(false)));
            assertFalse(d.satisfied(), s.toString());
        }
    }

    @Test
    void aSectionThatIsTooLargeFindsACheaperOneAndEveryOneThatSatisfiesDoesSoWhenDesigned() {
        Analysis a = span(450, 1000, 25);
        List<SectionAdvice.Option> all = advice(a);
        SectionAdvice.Option now =
                all.stream().filter(SectionAdvice.Option::present).findFirst().orElseThrow();
        assertTrue(now.satisfied());
        assertTrue(all.get(0).cost() < now.cost());
        assertTrue(all.get(0).inBand() && all.get(0).strength() >= 0.7);
        SectionAdvice.Option last = all.get(0);
        for (SectionAdvice.Option o : all) {
            if (!o.satisfied()) {
                break;
            }
            assertTrue(last.inBand() && !o.inBand() || last.inBand() == o.inBand() && o.cost() >= last.cost());
            last = o;
            BeamDesign d = BeamDesigner.design(
                    BeamLines.find(a).get(0).with(o.shape()), BeamContext.of(a, Basis.standard(false)));
            assertTrue(d.satisfied(), o.toString());
        }
    }

    @Test
    void costIsSteelConcreteAndFormwork() {
        SectionAdvice.Option o = advice(span(300, 600, 30)).stream()
                .filter(SectionAdvice.Option::present)
                .findFirst()
                .orElseThrow();
        assertEquals(8 * 0.3 * 0.6, o.concrete(), 1e-9);
        assertEquals(8 * (0.3 + 2 * 0.6), o.formwork(), 1e-9);
        assertEquals(o.steel() + 120 * o.concrete() + 30 * o.formwork(), o.cost(), 1e-9);
    }
}
