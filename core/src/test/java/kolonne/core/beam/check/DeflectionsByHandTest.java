package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.explain.Step;
import kolonne.core.model.Combination;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Deflections of cages laid by hand: closed forms of the elastic line with an effective section that is worked out here, by halving and by strips of a millimetre; and what may not depend
 * on where a line begins or which way it runs.
 */
class DeflectionsByHandTest {
    private static final double E = ModelBuilder.E;
    private static final Basis ACI = Basis.standard("aci-318m-19");
    private static final Basis EN = Basis.standard("en-1992-1-1");
    /** Bars of every cage: four T20 and four T16, 60 and 58 from their faces. */
    private static final double AS_BOTTOM = 4 * T20.area();

    private static final double AS_TOP = 4 * T16.area();
    private static final Shape TEE = new Shape.Tee(300, 600, 900, 150);

    private static ModelBuilder combined(ModelBuilder m, double... sustained) {
        m.combine("U", Map.of("P", 1.6));
        m.combinations.add(
                new Combination("S", "S", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1.0))));
        for (double q : sustained) {
            m.combinations.add(new Combination(
                    "Q" + q, "Q" + q, Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", q))));
        }
        return m;
    }

    private static ModelBuilder simple(Shape shape, double w) {
        ModelBuilder m = ModelBuilder.span(6000).spread("m", 0, 6000, w, w);
        m.sections.add(new Section("S", shape));
        return m;
    }

    private static LaidByHand laid(ModelBuilder m, Basis basis) {
        LaidByHand l = new LaidByHand(m, basis).through(TOP, 4, T16, 58).through(BOTTOM, 4, T20, 60);
        l.line.spans().forEach(s -> l.zone(s.number(), s.faceFrom(), s.faceTo(), T10, 2, 100));
        return l;
    }

    private static Deflections of(ModelBuilder m, Basis basis, int span) {
        return laid(m, basis).design().deflections().get(span);
    }

    /** A section without tension in its concrete: depth of the axis [mm], second moment [mm4], first moment of the bars about it [mm3]. */
    private record Cracked(double c, double inertia, double bars) {}

    /**
     * By halving, concrete in strips of a millimetre.
     *
     * @param width of the concrete at a depth from the compression face; the bars in tension, then those in compression, by area and depth
     */
    private static Cracked cracked(DoubleUnaryOperator width, double n, double as, double d, double ac, double dc) {
        double low = 1;
        double high = d;
        for (int k = 0; k < 60; k++) {
            double c = (low + high) / 2;
            double m = n * as * (c - d) + (dc < c ? n - 1 : n) * ac * (c - dc);
            for (double y = 0; y < c; y++) {
                double t = Math.min(1, c - y);
                m += width.applyAsDouble(y + t / 2) * t * (c - y - t / 2);
            }
            low = m < 0 ? c : low;
            high = m < 0 ? high : c;
        }
        double c = (low + high) / 2;
        double i = n * as * (d - c) * (d - c) + (dc < c ? n - 1 : n) * ac * (c - dc) * (c - dc);
        for (double y = 0; y < c; y++) {
            double t = Math.min(1, c - y);
            double arm = c - y - t / 2;
            i += width.applyAsDouble(y + t / 2) * t * (arm * arm + t * t / 12);
        }
        return new Cracked(c, i, as * (d - c) + ac * (dc - c));
    }

    private static final DoubleUnaryOperator RECTANGLE = y -> 300;

    private static Cracked sagging(double n) {
        return cracked(RECTANGLE, n, AS_BOTTOM, 540, AS_TOP, 58);
    }

    private static Cracked hogging(double n) {
        return cracked(RECTANGLE, n, AS_TOP, 542, AS_BOTTOM, 60);
    }

    /** 7.4.3(3): ζ = 1 − 0.5 (Mcr / M)² between the whole and the cracked section of 300 × 600; fctm = 0.3 · 30^(2/3). */
    private static double byEurocode(double m, Cracked q) {
        double whole = 300 * Math.pow(600, 3) / 12;
        double mcr = 0.3 * Math.pow(30, 2 / 3.0) * whole / 300;
        double zeta = m <= mcr ? 0 : 1 - 0.5 * (mcr / m) * (mcr / m);
        return 1 / (zeta / q.inertia + (1 - zeta) / whole);
    }

    /** Table 24.2.3.5: Ie from two thirds of Mcr = 0.62 √f'c Ig / yt on. */
    private static double byAci(double m, double whole, double yt, Cracked q) {
        double part = 2.0 / 3 * 0.62 * Math.sqrt(30) * whole / yt / m;
        return part >= 1 ? whole : q.inertia / (1 - part * part * (1 - q.inertia / whole));
    }

    private static double simply(double w, double ei) {
        return 5 * w * Math.pow(6000, 4) / (384 * ei);
    }

    /** With the effective modulus E / (1 + 2) and n = 20 for what lasts, and shrinkage of 0.3 ‰ with 1 / r = εcs αe S / I over l² / 8 (7.4.3(5), (6)). */
    @ParameterizedTest
    @ValueSource(doubles = {40, 8})
    void creepAndShrinkageByEurocode(double w) {
        LaidByHand l = laid(combined(simple(new Shape.Rectangle(300, 600), w), 0.6), EN);
        Deflections d = l.design().deflections().get(0);
        double n = 200_000 / E;
        double now = simply(0.6 * w, E * byEurocode(0.6 * w * 4.5e6, sagging(n)));
        double crept = simply(0.6 * w, E / 3 * byEurocode(0.6 * w * 4.5e6, sagging(3 * n)));
        double live = simply(w, E * byEurocode(w * 4.5e6, sagging(n)));
        Cracked q = sagging(3 * n);
        double shrunk = 0.3e-3 * 3 * n * q.bars / q.inertia * 6000.0 * 6000 / 8;
        assertEquals(live, d.mostLive(), 1e-4 * live);
        assertEquals(crept + shrunk, d.total(), 1e-4 * d.total());
        assertEquals(crept - now + shrunk + live, d.mostLasting(), 1e-4 * d.mostLasting());
        assertEquals(6000, d.length());
        // each in the calculation, with what it is made of
        List<Step> steps = l.explained(3000);
        assertTrue(steps.stream().anyMatch(s -> s.symbol().equals("Deflection, span 1")));
        told(steps, "Mcr", 0.3 * Math.pow(30, 2 / 3.0) * 300 * 600 * 100);
        told(steps, "Icr", q.inertia);
        told(steps, "Δshrinkage", shrunk);
        told(steps, "Δlive", live);
        told(steps, "Δlasting", crept - now + shrunk + live);
    }

    /** The last line with a symbol, and that it can be worked out again from its numbers. */
    private static void told(List<Step> steps, String symbol, double value) {
        Step s = steps.stream()
                .filter(q -> q.symbol().equals(symbol))
                .reduce((a, b) -> b)
                .orElseThrow();
        assertEquals(value, s.value(), 2e-4 * value, symbol);
        if (s.formula().startsWith("Δ")) {
            double a = s.inputs().get(0).value();
            double b = s.inputs().get(1).value();
            assertEquals(value, symbol.equals("Δlive") ? a - b : a + b, 2e-4 * value, symbol + " of its numbers");
        }
    }

    /** Shrinkage alone over spans that are held at no, one and both ends and over a cantilever: 0.086, 0.063 and 1/2 of its curvature times the length squared. */
    @Test
    void shrinkageOfSpansThatAreHeld() {
        ModelBuilder m = new ModelBuilder().section("S", 300, 600);
        double[] x = {0, 6000, 12_000, 18_000, 20_000};
        for (int i = 0; i < 5; i++) {
            m.joint("J" + i, x[i], 0, 0);
        }
        for (int i = 0; i < 4; i++) {
            m.beam("m" + i, "J" + i, "J" + (i + 1)).pinned("J" + i).spread("m" + i, 0, x[i + 1] - x[i], 40, 40);
        }
        combined(m, 0.6);
        BeamDesign with = laid(m, EN).design();
        BeamDesign without =
                laid(m, Varied.national(EN, Map.of("shrinkage", 0.0))).design();
        double[] held = {0.086, 0.063, 0.063, 0.5};
        for (int s = 0; s < 4; s++) {
            double length = x[s + 1] - x[s];
            Cracked q = s == 3 ? hogging(20) : sagging(20);
            double shrunk = held[s] * 0.3e-3 * 20 * Math.abs(q.bars) / q.inertia * length * length;
            assertEquals(
                    shrunk,
                    with.deflections().get(s).total()
                            - without.deflections().get(s).total(),
                    1e-4 * shrunk,
                    "span " + s);
        }
    }

    /** A tee cracks from its nearer or its farther face: 375 mm from the axis in a span, 225 at the support of a cantilever. Ig = 8.60625e9 mm⁴. */
    @ParameterizedTest
    @CsvSource({"false, 10", "false, 14", "false, 30", "true, 10", "true, 6", "true, 3"})
    void teesByAci(boolean cantilever, double w) {
        ModelBuilder m = simple(TEE, w);
        if (cantilever) {
            m.supports.clear();
            m.fixed("A");
        }
        Deflections d = of(combined(m, 0.4), ACI, 0);
        double whole = 8.60625e9;
        double n = 200_000 / E;
        Cracked q = cantilever
                ? cracked(y -> y < 450 ? 300 : 900, n, AS_TOP, 542, AS_BOTTOM, 60)
                : cracked(y -> y < 150 ? 900 : 300, n, AS_BOTTOM, 540, AS_TOP, 58);
        double moment = w * 36e6 / (cantilever ? 2 : 8);
        double yt = cantilever ? 225 : 375;
        double form = Math.pow(6000, 4) * (cantilever ? 1 / 8.0 : 5 / 384.0);
        double live = form * w / (E * byAci(moment, whole, yt, q));
        double sustained = form * 0.4 * w / (E * byAci(0.4 * moment, whole, yt, q));
        // 24.2.4.1.2: the bars of the compressed face at mid-span, at the support of a cantilever
        double ratio = cantilever ? AS_BOTTOM / (300 * 542) : AS_TOP / (300 * 540);
        assertEquals(live, d.mostLive(), 2e-4 * live);
        assertEquals(live + 2 / (1 + 50 * ratio) * sustained, d.mostLasting(), 2e-4 * d.mostLasting());
        assertEquals((1 + 2 / (1 + 50 * ratio)) * sustained, d.total(), 2e-4 * d.total());
    }

    /** Two sustained combinations and two in service, in either order: the larger of each counts, and is named. */
    @ParameterizedTest
    @CsvSource({"0.2, 0.5, 1", "0.5, 0.2, 0"})
    void theLargestCombinationCounts(double first, double second, int larger) {
        Deflections alone = of(combined(simple(TEE, 30), 0.5), EN, 0);
        ModelBuilder m = combined(simple(TEE, 30), first, second);
        Combination half = new Combination(
                "H", "H", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", first + 0.2)));
        m.combinations.add(larger == 0 ? 0 : m.combinations.size(), half);
        Deflections both = of(m, EN, 0);
        assertEquals(larger, both.sustained());
        assertEquals(larger == 0 ? 1 : 0, both.service());
        assertEquals(alone.total(), both.total(), 1e-12);
        assertEquals(alone.mostLasting(), both.mostLasting(), 1e-12);
        assertEquals(alone.mostLive(), both.mostLive(), 1e-12);
    }

    /** An overhang behind a span, as it is and seen from the other side: by either code every place deflects as its mirror image. */
    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "en-1992-1-1"})
    void aMirroredLineDeflectsLikeItsImage(String code) {
        Basis basis = Basis.standard(code);
        BeamDesign one = laid(overhang(1), basis).design();
        BeamDesign other = laid(overhang(-1), basis).design();
        for (int s = 0; s < 2; s++) {
            Deflections a = one.deflections().get(s);
            Deflections b = other.deflections().get(1 - s);
            assertTrue(a.mostLive() > 0.5 && a.total() > 0.5, "span " + s);
            assertEquals(a.total(), b.total(), 1e-6);
            alike(a.live(), b.live(), true);
            alike(a.lasting(), b.lasting(), true);
        }
    }

    private static ModelBuilder overhang(double sense) {
        ModelBuilder m = new ModelBuilder()
                .section("S", 300, 600)
                .joint("A", 0, 0, 0)
                .joint("B", sense * 6000, 0, 0)
                .joint("D", sense * 8500, 0, 0);
        if (sense > 0) {
            m.beam("m", "A", "B").beam("o", "B", "D");
        } else {
            m.beam("o", "D", "B").beam("m", "B", "A");
        }
        return combined(m.pinned("A").pinned("B").spread("m", 0, 6000, 60, 60).spread("o", 0, 2500, 30, 30), 0.5);
    }

    /** A cantilever that a round column holds turns with the column's head, wherever it points and from whichever end it is drawn. */
    @ParameterizedTest
    @CsvSource({"-1, 0, false", "0, 1, false", "0, -1, true", "0.6, 0.8, false", "-0.6, 0.8, true", "1, 0, true"})
    void aCantileverMayPointAnywhere(double ux, double uy, boolean drawnBack) {
        Deflections along = of(onColumn(1, 0, false), EN, 0);
        Deflections turned = of(onColumn(ux, uy, drawnBack), EN, 0);
        assertTrue(along.mostLive() > 5 && along.total() > 5);
        assertEquals(along.total(), turned.total(), 1e-6);
        assertEquals(along.mostLive(), turned.mostLive(), 1e-6);
        assertEquals(along.mostLasting(), turned.mostLasting(), 1e-6);
        boolean back = Math.abs(along.live().get(0) - turned.live().get(0)) > 1e-6;
        alike(along.live(), turned.live(), back);
    }

    private static ModelBuilder onColumn(double ux, double uy, boolean drawnBack) {
        ModelBuilder m = new ModelBuilder()
                .section("B", 300, 600)
                .joint("F", 0, 0, 0)
                .joint("H", 0, 0, 4000)
                .joint("T", 2500 * ux, 2500 * uy, 4000)
                .column("c", "F", "H")
                .beam("b", drawnBack ? "T" : "H", drawnBack ? "H" : "T", "B")
                .fixed("F")
                .push("T", 0, 0, -60e3);
        m.sections.add(new Section("S", new Shape.Circle(450)));
        return combined(m, 0.5);
    }

    private static void alike(List<Double> a, List<Double> b, boolean mirrored) {
        List<Double> other = new ArrayList<>(b);
        if (mirrored) {
            Collections.reverse(other);
        }
        assertEquals(a.size(), other.size());
        for (int i = 0; i < a.size(); i++) {
            assertEquals(a.get(i), other.get(i), 1e-6, "place " + i);
        }
    }
}
