package kolonne.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.function.Predicate;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

    /** A frame on columns too narrow for the hooks of its beam, which is strong enough: whatever is left out is not what trying all of them finds. */
    @ParameterizedTest
    @CsvSource({"aci-318m-19, 200, 35", "en-1992-1-1, 150, 80", "en-1992-1-1, 200, 100"})
    void whatIsLeftOutIsNotTheLeast(String code, double column, double load) {
        ModelBuilder m = new ModelBuilder().section("S", 300, 600).section("K", column, column);
        for (int i = 0; i < 2; i++) {
            m.joint("f" + i, 7000 * i, 0, 0).joint("t" + i, 7000 * i, 0, 3500).fixed("f" + i);
            m.column("c" + i, "f" + i, "t" + i);
        }
        m.members.replaceAll(c -> c.withSection("K"));
        m.beam("m", "t0", "t1").spread("m", 0, 7000, load, load);
        Analysis a = m.solve();
        BeamContext context = BeamContext.of(a, Basis.standard(code));
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), context);
        assertFalse(d.satisfied());
        List<SectionAdvice.Option> all = SectionAdvice.of(d, context, PROJECT);
        List<SectionAdvice.Option> up = SectionAdvice.upwards(d, context, PROJECT);
        assertEquals(least(all, SectionAdvice.Option::inBand), least(up, SectionAdvice.Option::inBand));
        if (least(all, SectionAdvice.Option::inBand) < 0) {
            assertEquals(least(all, SectionAdvice.Option::satisfied), least(up, SectionAdvice.Option::satisfied));
        }
    }

    private static double least(List<SectionAdvice.Option> some, Predicate<SectionAdvice.Option> which) {
        return some.stream()
                .filter(o -> which.test(o) && !o.present())
                .mapToDouble(SectionAdviceTest::fixed)
                .min()
                .orElse(-1);
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
            BeamDesign d = BeamDesigner.design(
                    BeamLines.find(a).get(0).with(new Shape.Rectangle(300, 500), s),
                    BeamContext.of(a, Basis.standard(false)));
            assertFalse(d.satisfied(), s.toString());
        }
    }

    /** Of two spans the long one is too weak: it alone takes another section, and the other keeps its own. */
    @Test
    void spansThatDifferAreMendedWhereTheyFail() {
        Analysis a = new ModelBuilder()
                .section("S", 300, 500)
                .section("D", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", 4000, 0, 0)
                .joint("C", 12_000, 0, 0)
                .beam("m1", "A", "B")
                .beam("m2", "B", "C")
                .pinned("A")
                .pinned("B")
                .pinned("C")
                .spread("m2", 0, 8000, 75, 75)
                .solve();
        Building b = a.index().building();
        List<Member> members = b.members().stream()
                .map(m -> m.id().equals("m1") ? m.withSection("D") : m)
                .toList();
        Analysis mixed = FrameAnalysis.solve(new BuildingIndex(b.withMembers(members)));
        BeamContext context = BeamContext.of(mixed, Basis.standard(false));
        BeamDesign d = BeamDesigner.design(BeamLines.find(mixed).get(0), context);
        assertFalse(d.satisfied());
        SectionAdvice.Deeper deeper = SectionAdvice.deeper(d, context).orElseThrow();
        SectionAdvice.Option found = deeper.option();
        Shape was = deeper.was();
        assertEquals(1, deeper.spans());
        BeamLine.Span weak = d.line().spans().get(1);
        BeamLine.Span kept = d.line().spans().get(0);
        assertEquals(new Shape.Rectangle(300, 500), was, "the smaller of both, which adjoin the support that fails");
        assertTrue(found.satisfied(), found.toString());
        assertEquals(was.width(), found.shape().width(), 1e-9);
        BeamLine mended = d.line().with(was, found.shape());
        assertEquals(kept.section(), mended.spans().get(kept.number()).section());
        assertEquals(found.shape(), mended.spans().get(weak.number()).section().shape());
        assertTrue(BeamDesigner.design(mended, context).satisfied());
        // all that are less deep fail: nothing is lost by halving
        for (double h = was.depth() + 50; h < found.shape().depth() - 1; h += 50) {
            BeamLine less = d.line().with(was, new Shape.Rectangle(300, h));
            assertFalse(BeamDesigner.design(less, context).satisfied(), "depth " + h);
        }
        Shape other = kept.section().shape();
        double sides = weak.clear() * (300 + 2 * found.shape().depth()) + kept.clear() * (300 + 2 * other.depth());
        assertEquals(sides / 1e6, found.formwork(), 1e-6);
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
                    BeamLines.find(a).get(0).with(new Shape.Rectangle(450, 1000), o.shape()),
                    BeamContext.of(a, Basis.standard(false)));
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
