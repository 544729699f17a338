package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.Deflection;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.LoadCase;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import org.junit.jupiter.api.Test;

/** Deflections against closed forms, against the frame's own deflected shape where nothing cracks, and ACI 318-19 24.2 by hand. */
class BeamDeflectionTest {
    private static final double E = ModelBuilder.E;
    private static final double IG = 300 * Math.pow(600, 3) / 12;

    private static ModelBuilder service(ModelBuilder b, double sustained) {
        b.combine("U", java.util.Map.of("P", 1.6));
        b.combinations.add(
                new Combination("S", "S", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1.0))));
        b.combinations.add(new Combination(
                "Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", sustained))));
        return b;
    }

    private static ModelBuilder simple(double w) {
        return service(ModelBuilder.span(6000).spread("m", 0, 6000, w, w), 0.3);
    }

    private static BeamDesign design(ModelBuilder b) {
        Analysis a = b.solve();
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(false)));
    }

    /** Ie by table 24.2.3.5 for a rectangle with tension bars, all by hand. */
    private static double effective(double m, double as, double d, double top, double dTop) {
        double n = 200_000 / E;
        // b c^2 / 2 + (n - 1) A's (c - d') = n As (d - c)
        double a2 = 150;
        double a1 = (n - 1) * top + n * as;
        double a0 = -((n - 1) * top * dTop + n * as * d);
        double c = (-a1 + Math.sqrt(a1 * a1 - 4 * a2 * a0)) / (2 * a2);
        double topPart = (c > dTop ? n - 1 : n) * top * (c - dTop) * (c - dTop);
        double icr = 300 * c * c * c / 3 + topPart + n * as * (d - c) * (d - c);
        double mcr = 0.62 * Math.sqrt(30) * IG / 300;
        double part = 2.0 / 3 * mcr / m;
        return part >= 1 ? IG : icr / (1 - part * part * (1 - icr / IG));
    }

    @Test
    void uncrackedIsTheClosedForm() {
        BeamDesign d = design(simple(3));
        Deflections f = d.deflections().get(0);
        double expected = 5 * 3 * Math.pow(6000, 4) / (384 * E * IG);
        assertEquals(expected, f.mostLive(), 1e-6 * expected, "5 w l4 / 384 E I");
        assertEquals(3000, f.x().get(f.liveAt()), 1);
    }

    @Test
    void crackedIsTheClosedFormWithTheEffectiveSection() {
        BeamDesign d = design(simple(40));
        Deflections f = d.deflections().get(0);
        List<BeamCage.Group> bottom = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.BOTTOM && g.from() <= 3000 && g.to() >= 3000)
                .toList();
        double as = bottom.stream().mapToDouble(BeamCage.Group::area).sum();
        double depth =
                600 - bottom.stream().mapToDouble(g -> g.area() * g.offset()).sum() / as;
        List<BeamCage.Group> top = d.cage().groups().stream()
                .filter(g -> g.face() == BeamCage.Face.TOP && g.through())
                .toList();
        double at = top.stream().mapToDouble(BeamCage.Group::area).sum();
        double m = 40 * 6000.0 * 6000 / 8;
        double ie = effective(m, as, depth, at, top.get(0).offset());
        double expected = 5 * 40 * Math.pow(6000, 4) / (384 * E * ie);
        // bars lie in layers, by hand in their centroid
        assertEquals(expected, f.mostLive(), 0.01 * expected);
        double sustained = 0.3 * m;
        double ieSustained = effective(sustained, as, depth, at, top.get(0).offset());
        double lambda = 2.0 / (1 + 50 * at / (300 * depth));
        double lasting = lambda * 5 * 0.3 * 40 * Math.pow(6000, 4) / (384 * E * ieSustained) + f.mostLive();
        assertEquals(lasting, f.mostLasting(), 0.01 * lasting);
    }

    @Test
    void onlyLiveLoadCountsAsImmediate() {
        ModelBuilder b = simple(2);
        b.cases.add(new LoadCase("G", "dead", CaseKind.DEAD, 0));
        b.memberLoads.add(new MemberLoad("G", "m", MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_Z, 0, 6000, -3, -3));
        b.combinations.clear();
        b.combinations.add(new Combination(
                "U", "U", Purpose.STRENGTH, List.of(new Combination.Term("G", 1.2), new Combination.Term("P", 1.6))));
        b.combinations.add(new Combination(
                "S",
                "S",
                Purpose.SERVICE_CHARACTERISTIC,
                List.of(new Combination.Term("G", 1), new Combination.Term("P", 1))));
        b.combinations.add(
                new Combination("Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("G", 1))));
        BeamDesign d = design(b);
        assertEquals(
                5 * 2 * Math.pow(6000, 4) / (384 * E * IG),
                d.deflections().get(0).mostLive(),
                1e-4);
    }

    /** Second route: where nothing cracks, spans and cantilever deflect as the frame does, measured from their chords. */
    @Test
    void uncrackedLinesDeflectAsTheFrame() {
        ModelBuilder b = service(
                new ModelBuilder()
                        .section("S", 300, 600)
                        .joint("A", 0, 0, 0)
                        .joint("B", 6000, 0, 0)
                        .joint("C1", 11_000, 0, 0)
                        .joint("D", 13_000, 0, 0)
                        .beam("m1", "A", "B")
                        .beam("m2", "B", "C1")
                        .beam("m3", "C1", "D")
                        .pinned("A")
                        .pinned("B")
                        .pinned("C1")
                        .spread("m1", 0, 6000, 3, 3)
                        .spread("m2", 1000, 4000, 1, 4)
                        .spread("m3", 0, 2000, 2, 2)
                        .point("m3", 2000, 1000),
                0.3);
        Analysis a = b.solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(false)));
        for (int s = 0; s < 3; s++) {
            Deflections f = d.deflections().get(s);
            int member = a.index().memberNumber("m" + (s + 1));
            Deflection.Shape shape = Deflection.of(a, member, new double[] {1}, 400);
            for (int i = 0; i < f.x().size(); i++) {
                double x = f.x().get(i) - d.line().spans().get(s).from();
                assertEquals(-at(shape, x), f.live().get(i), 2e-3 * f.mostLive() + 1e-4, "span " + s + " at " + x);
            }
        }
    }

    private static double at(Deflection.Shape s, double x) {
        for (int i = 1; i < s.x().length; i++) {
            if (x <= s.x()[i] + 1e-6 && s.x()[i] > s.x()[i - 1]) {
                double t = (x - s.x()[i - 1]) / (s.x()[i] - s.x()[i - 1]);
                return s.global()[i - 1][2] * (1 - t) + s.global()[i][2] * t;
            }
        }
        throw new AssertionError("beyond the member");
    }

    @Test
    void aCantileverFromAColumnTurnsWithItsJoint() {
        ModelBuilder b = service(
                new ModelBuilder()
                        .section("S", 300, 600)
                        .joint("A", 0, 0, 0)
                        .joint("B", 0, 0, 4000)
                        .joint("C1", 2000, 0, 4000)
                        .column("c", "A", "B")
                        .beam("m", "B", "C1")
                        .fixed("A")
                        .point("m", 2000, 5000),
                0.3);
        Analysis a = b.solve();
        BeamDesign d = BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(false)));
        Deflections f = d.deflections().get(0);
        // P l^3 / 3EI from the face, and the joint's rotation M h / E Ic over the length
        double ic = 600 * Math.pow(300, 3) / 12;
        double turn = 5000.0 * 2000 * 4000 / (E * ic);
        double clear = 2000 - 150;
        double expected = 5000 * Math.pow(clear, 3) / (3 * E * IG) + turn * clear;
        assertEquals(expected, f.mostLive(), 0.01 * expected);
    }

    @Test
    void aThinSpanIsJudgedByItsDeflectionAndADeepOneByItsDepth() {
        BeamDesign deep = design(simple(30));
        assertTrue(deep.checks().stream().anyMatch(c -> c.kind().id().equals("span-to-depth") && c.satisfied()));
        ModelBuilder thin = simple(12);
        thin.sections.clear();
        thin.section("S", 600, 350);
        BeamDesign d = design(thin);
        CheckResult live = d.checks().stream()
                .filter(c -> c.kind().id().equals("deflection-live"))
                .findFirst()
                .orElseThrow();
        assertEquals(6000.0 / 360, live.capacity(), 1e-9);
        assertTrue(d.checks().stream().noneMatch(c -> c.kind().id().equals("span-to-depth")), "350 < 6000 / 16");
        assertFalse(d.deflections().isEmpty());
    }

    @Test
    void compressionBarsHoldTheLongTermDown() {
        BeamDesign d = design(simple(40));
        Bar bar = BarCatalogue.METRIC.find("T32");
        List<BeamCage.Group> more = new java.util.ArrayList<>(d.cage().groups());
        more.add(new BeamCage.Group(BeamCage.Face.TOP, 2, 2, bar, 110, 0, 6000, false, false, false));
        Analysis a = simple(40).solve();
        BeamDesign with = BeamCheck.run(
                d.line(),
                new BeamCage(more, d.cage().zones(), d.cage().sideBars()),
                BeamContext.of(a, Basis.standard(false)));
        assertTrue(with.deflections().get(0).mostLasting()
                < 0.95 * d.deflections().get(0).mostLasting());
    }

    @Test
    void withoutServiceCombinationsTheDepthDecides() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 600, 300)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .pinned("A")
                .pinned("B")
                .spread("m", 0, 6000, 10, 10);
        BeamDesign d = design(b);
        assertTrue(d.deflections().isEmpty());
        assertTrue(d.checks().stream().anyMatch(c -> c.kind().id().equals("span-to-depth") && !c.satisfied()));
    }
}
