package kolonne.core.beam.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Point;
import kolonne.core.model.SlabPanel;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SlabFlangesTest {
    /** Beams along X at y = 0, 3 and 9 m, 8 m long, 300 × 600, slabs 150 between them; with a hole, a cantilevered edge, or neither. */
    private static ModelBuilder floor(List<List<Point>> holes, double overhang) {
        ModelBuilder b = new ModelBuilder();
        double[] ys = {0, 3000, 9000};
        for (int i = 0; i < 3; i++) {
            b.joint("a" + i, 0, ys[i], 0)
                    .joint("b" + i, 8000, ys[i], 0)
                    .beam("m" + i, "a" + i, "b" + i)
                    .fixed("a" + i)
                    .fixed("b" + i)
                    .spread("m" + i, 0, 8000, 30, 30);
        }
        b.panels.add(new SlabPanel("p1", List.of("a0", "b0", "b1", "a1"), 150, 25e-6, false, 0, holes));
        b.panels.add(new SlabPanel("p2", List.of("a1", "b1", "b2", "a2"), 150, 25e-6, false, 0));
        if (overhang > 0) {
            b.joint("e", 0, 9000 + overhang, 0).joint("f", 8000, 9000 + overhang, 0);
            b.panels.add(new SlabPanel("p3", List.of("a2", "b2", "f", "e"), 120, 25e-6, false, 0));
        }
        return b;
    }

    private static Shape shape(ModelBuilder b, String member, String code) {
        Basis basis = Basis.standard(code);
        Basis on = Varied.slabFlanges(basis);
        return BeamLines.find(b.solve(), on).stream()
                .filter(l -> l.id().equals(member))
                .findFirst()
                .orElseThrow()
                .spans()
                .get(0)
                .shape();
    }

    /** ACI 318-19 table 6.3.2.1: interior 8h = 1200, sw/2 = 1350 or 2850, ln/8 = 1000; edge 6h = 900, sw/2 = 1350, ln/12 = 666.7. */
    @Test
    void theWidthIsTheLeastOfTheTable() {
        ModelBuilder b = floor(List.of(), 0);
        assertEquals(new Shape.Tee(300, 600, 2300, 150), shape(b, "m1", "aci-318m-19"));
        Shape.Ell edge = assertInstanceOf(Shape.Ell.class, shape(b, "m0", "aci-318m-19"));
        assertEquals(300 + 8000 / 12.0, edge.bf(), 1e-6);
    }

    /** EN 1992-1-1 (5.7): bi = 1350, l0 = 8000 for one span: 0.2 · 1350 + 800 = 1070; 0.2 · 2850 + 800 = 1370; at most bi and 0.2 l0 = 1600. */
    @Test
    void eurocodeCountsAFifthOfTheHalfDistanceAndATenthOfTheZeroMomentLength() {
        Shape.Tee t = assertInstanceOf(Shape.Tee.class, shape(floor(List.of(), 0), "m1", "en-1992-1-1"));
        assertEquals(300 + 1070 + 1370, t.bf(), 1e-6);
    }

    @Test
    void aFreeEdgeCountsWholeAndTheThinnerSlabDecides() {
        Shape.Tee t = assertInstanceOf(Shape.Tee.class, shape(floor(List.of(), 500), "m2", "aci-318m-19"));
        assertEquals(120, t.hf());
        assertEquals(300 + (500 - 150) + 8 * 120, t.bf(), 1e-6); // 8h of the thinner slab is less than ln/8
    }

    @Test
    void anOpeningBesideTheBeamTakesTheFlangeAwayAndOneFurtherOffNarrowsIt() {
        List<Point> beside =
                List.of(new Point(2000, 0), new Point(4000, 0), new Point(4000, 1000), new Point(2000, 1000));
        assertEquals(new Shape.Rectangle(300, 600), shape(floor(List.of(beside), 0), "m0", "aci-318m-19"));
        List<Point> off =
                List.of(new Point(2000, 500), new Point(4000, 500), new Point(4000, 1500), new Point(2000, 1500));
        Shape.Ell e = assertInstanceOf(Shape.Ell.class, shape(floor(List.of(off), 0), "m0", "aci-318m-19"));
        assertEquals(300 + 350, e.bf(), 1);
    }

    @Test
    void hiddenBeamsAndBeamsWithoutASlabStayAsTheyAre() {
        ModelBuilder hidden = floor(List.of(), 0);
        hidden.section("S", 600, 160);
        assertEquals(new Shape.Rectangle(600, 160), shape(hidden, "m1", "aci-318m-19"));
        ModelBuilder bare = floor(List.of(), 0);
        bare.panels.clear();
        assertEquals(new Shape.Rectangle(300, 600), shape(bare, "m1", "aci-318m-19"));
    }

    @Test
    void theOptionIsOffInTheStandardBasisAndTheConcreteIsThatOfTheModel() {
        Analysis a = floor(List.of(), 0).solve();
        Basis s = Basis.standard(false);
        Basis on = Varied.slabFlanges(s);
        assertEquals(
                new Shape.Rectangle(300, 600),
                BeamLines.find(a, s).get(0).spans().get(0).shape());
        BeamLine line = BeamLines.find(a, on).get(1);
        BeamDesign with = BeamDesigner.design(line, BeamContext.of(a, on));
        BeamDesign without = BeamDesigner.design(BeamLines.find(a, s).get(1), BeamContext.of(a, s));
        assertTrue(with.satisfied(), with.findings().toString());
        assertTrue(kolonne.core.design.Quantities.of(with).concrete()
                == kolonne.core.design.Quantities.of(without).concrete());
        assertTrue(with.profile().stream()
                        .mapToDouble(BeamDesign.Point::capPos)
                        .max()
                        .orElseThrow()
                > 0);
        BeamLine deeper = line.with(line.spans().get(0).section().shape(), new Shape.Rectangle(300, 800));
        assertEquals(new Shape.Tee(300, 800, 2300, 150), deeper.spans().get(0).shape());
    }

    @Test
    void theLedgesOfAnInvertedTeeAreToldAndItsSoffitIsTheWideSide() {
        ModelBuilder b = ModelBuilder.span(8000).spread("m", 0, 8000, 40, 40);
        b.sections.add(new kolonne.core.model.Section("S", new Shape.InvertedTee(350, 700, 750, 250)));
        Analysis a = b.solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(false)));
        assertTrue(d.satisfied(), d.findings().toString());
        assertTrue(d.findings().stream().anyMatch(f -> f.code().equals("ledge")));
        assertFalse(new Shape.InvertedTee(350, 700, 750, 250).flangeInTension(false));
        // flange in tension of a span that is statically determinate: least steel for the flange, at most twice the web
        // (9.6.1.2)
        double d0 = new BarsAt(d.line(), d.cage(), Basis.standard(false))
                .effectiveDepth(4000, d.line().spans().get(0), BeamCage.Face.BOTTOM);
        double least = 0.25 * Math.sqrt(30) / 420 * 700 * d0;
        double has = new BarsAt(d.line(), d.cage(), Basis.standard(false)).areaAt(4000, BeamCage.Face.BOTTOM);
        assertTrue(
                has >= Math.min(least, 1.4 / 420 * 700 * d0)
                        || d.checks().stream()
                                .anyMatch(c -> c.kind().id().equals("minimum-bottom") && c.utilisation() <= 1),
                has + " of " + least);
    }

    /** The same floor turned about the vertical has the same flanges. */
    @ParameterizedTest
    @ValueSource(doubles = {17, 90, 133, 180, 271})
    void aTurnedFloorHasTheSameFlanges(double degrees) {
        double c = Math.cos(Math.toRadians(degrees));
        double q = Math.sin(Math.toRadians(degrees));
        ModelBuilder turned = floor(List.of(), 500);
        turned.joints.replaceAll(
                j -> new kolonne.core.model.Joint(j.id(), c * j.x() - q * j.y(), q * j.x() + c * j.y(), j.z()));
        for (String m : List.of("m0", "m1", "m2")) {
            Shape.Flanged before = (Shape.Flanged) shape(floor(List.of(), 500), m, "aci-318m-19");
            Shape.Flanged after = (Shape.Flanged) shape(turned, m, "aci-318m-19");
            assertEquals(before.getClass(), after.getClass());
            assertEquals(before.bf(), after.bf(), 1e-3);
            assertEquals(before.hf(), after.hf());
        }
    }

    /** A beam drawn from its other end has the same flange. */
    @Test
    void theDirectionOfAMemberDoesNotMatter() {
        ModelBuilder back = floor(List.of(), 0);
        back.members.replaceAll(m -> new kolonne.core.model.Member(
                m.id(),
                m.role(),
                m.end(),
                m.start(),
                m.section(),
                m.material(),
                0,
                m.startRelease(),
                m.endRelease(),
                0,
                0,
                m.stiffness()));
        for (String m : List.of("m0", "m1", "m2")) {
            assertEquals(shape(floor(List.of(), 0), m, "en-1992-1-1"), shape(back, m, "en-1992-1-1"));
        }
    }

    /** Walls of mesh between panels make no difference: a slab in two panels is as wide as in one. */
    @Test
    void aSlabInPiecesIsTheSameSlab() {
        ModelBuilder whole = floor(List.of(), 0);
        ModelBuilder pieces = floor(List.of(), 0);
        pieces.panels.removeIf(p -> p.id().equals("p2"));
        pieces.joint("x0", 0, 3900, 0).joint("x1", 8000, 3900, 0);
        pieces.panels.add(new SlabPanel("p2a", List.of("a1", "b1", "x1", "x0"), 150, 25e-6, false, 0));
        pieces.panels.add(new SlabPanel("p2b", List.of("x0", "x1", "b2", "a2"), 150, 25e-6, false, 0));
        assertEquals(shape(whole, "m1", "en-1992-1-1"), shape(pieces, "m1", "en-1992-1-1"));
    }
}
