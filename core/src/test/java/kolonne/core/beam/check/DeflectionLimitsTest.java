package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static kolonne.core.beam.check.LaidByHand.T25;
import static kolonne.core.beam.check.LaidByHand.T32;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.basis.Varied;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.code.SpanRules;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Cause;
import kolonne.core.model.Combination;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Purpose;
import org.junit.jupiter.api.Test;

/** Deflections and depths of beams against their limits, by hand on cages laid by hand. */
class DeflectionLimitsTest {
    private static final Basis ACI = Basis.standard(false);

    private static ModelBuilder simple(double h, double w) {
        return ModelBuilder.span(6000).section("S", 300, h).spread("m", 0, 6000, w, w);
    }

    private static ModelBuilder service(ModelBuilder m, double lasting) {
        m.combine("U", Map.of("P", 1.4));
        m.combinations.add(
                new Combination("S", "S", Purpose.SERVICE_CHARACTERISTIC, List.of(new Combination.Term("P", 1.0))));
        m.combinations.add(new Combination(
                "Q", "Q", Purpose.SERVICE_QUASI_PERMANENT, List.of(new Combination.Term("P", lasting))));
        return m;
    }

    private static Basis limits(String code, double lasting) {
        Basis s = Basis.standard(code);
        return Varied.deflection(s, 360, 180, lasting);
    }

    /** 300 deep over 6 m is thinner than 6000 / 16: its deflections are computed and keep L/360 and L/240 (table 24.2.2). */
    @Test
    void thinSpansKeepTheirLimits() {
        LaidByHand.Told t = new LaidByHand(service(simple(300, 6), 0.4), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 100)
                .told();
        Deflections d = t.design().deflections().get(0);
        t.tells("deflection-live", d.mostLive(), 6000 / 360.0, 3000, "24.2.2")
                .tells("deflection-lasting", d.mostLasting(), 6000 / 240.0, 3000, "24.2.2");
        t.cause("deflection-live", Cause.DEFLECTION).silent("span-to-depth", "deflection-total");
        assertEquals("S", t.of("deflection-live").combination());
        // a deep one needs none computed, but where partitions are likely to be damaged
        LaidByHand.Told deep = new LaidByHand(service(simple(600, 6), 0.4), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 100)
                .told();
        deep.tells("span-to-depth", 375, 600, 3000, "9.3.1.1").silent("deflection-live", "deflection-lasting");
        LaidByHand.Told sensitive = new LaidByHand(service(simple(600, 6), 0.4), limits("aci-318m-19", 480))
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 100)
                .told();
        sensitive
                .tells(
                        "deflection-lasting",
                        sensitive.design().deflections().get(0).mostLasting(),
                        6000 / 480.0,
                        3000,
                        "24.2.2")
                .silent("span-to-depth");
    }

    /** By Eurocode what is sustained keeps L/250 (7.4.1(4)); what comes after partitions only where they are likely to be damaged. */
    @Test
    void thinSpansByEurocode() {
        for (double lasting : new double[] {250, 500}) {
            LaidByHand.Told t = new LaidByHand(service(simple(300, 12), 0.6), limits("en-1992-1-1", lasting))
                    .through(TOP, 2, T16, 53)
                    .through(BOTTOM, 4, T20, 55)
                    .zone(0, 0, 6000, T10, 2, 100)
                    .told();
            Deflections d = t.design().deflections().get(0);
            t.tells("deflection-total", d.total(), 24, 3000, "7.4.1").silent("deflection-live", "span-to-depth");
            assertEquals("Q", t.of("deflection-total").combination());
            if (lasting > 480) {
                t.tells("deflection-lasting", d.mostLasting(), 12, 3000, "7.4.1");
                assertEquals("S", t.of("deflection-lasting").combination());
            } else {
                t.silent("deflection-lasting");
            }
        }
    }

    /** Table 9.3.1.1 with each kind of ends: 16, 18.5, 21, and 8 of the clear length of a cantilever, on either side. */
    @Test
    void leastDepthsByTheTable() {
        ModelBuilder m = new ModelBuilder()
                .section("S", 300, 600)
                .joint("o", -2000, 0, 0)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .joint("E", 12_000, 0, 0)
                .joint("G", 18_000, 0, 0)
                .beam("m0", "o", "A")
                .beam("m1", "A", "B")
                .beam("m2", "B", "E")
                .beam("m3", "E", "G")
                .pinned("A")
                .pinned("B")
                .pinned("E")
                .pinned("G")
                .spread("m1", 0, 6000, 10, 10);
        LaidByHand l = new LaidByHand(m, ACI).through(TOP, 2, T16, 58).through(BOTTOM, 2, T16, 58);
        BarsAt bars = new BarsAt(l.line, l.cage(), ACI);
        double[] expected = {2000 / 8.0, 6000 / 21.0, 6000 / 21.0, 6000 / 18.5};
        for (int i = 0; i < 4; i++) {
            assertEquals(
                    expected[i],
                    DeflectionCheck.leastDepth(l.line, l.line.spans().get(i), bars, ACI, Trace.OFF),
                    1e-6,
                    "span " + i);
        }
        assertEquals(
                SpanRules.SpanEnds.CANTILEVER,
                DeflectionCheck.ends(l.line, l.line.spans().get(0)));
        // (7.16) goes by the tension steel where it is: the top of a cantilever at its support, the bottom in the
        // middle of a span
        Basis en = Basis.standard("en-1992-1-1");
        LaidByHand more = new LaidByHand(m, en)
                .through(TOP, 2, T16, 53)
                .bars(new BeamCage.Group(TOP, 1, 2, T32, 61, 1500, 2500, false, false, false))
                .through(BOTTOM, 2, T16, 53)
                .bars(new BeamCage.Group(BOTTOM, 1, 2, T25, 57.5, 4500, 5500, false, false, false));
        BarsAt there = new BarsAt(more.line, more.cage(), en);
        BarsAt without = new BarsAt(
                more.line,
                new LaidByHand(m, en)
                        .through(TOP, 2, T16, 53)
                        .through(BOTTOM, 2, T16, 53)
                        .cage(),
                en);
        for (int i : new int[] {0, 1}) {
            assertTrue(
                    depth(more, i, there, en) > depth(more, i, without, en),
                    "more steel, more stress in the concrete: span " + i);
        }
        assertEquals(depth(more, 2, without, en), depth(more, 2, there, en), 1e-9);
    }

    private static double depth(LaidByHand l, int span, BarsAt bars, Basis basis) {
        return DeflectionCheck.leastDepth(l.line, l.line.spans().get(span), bars, basis, Trace.OFF);
    }

    /** The calculation works the deflection out where service loads are known. */
    @Test
    void theCalculationOfADeflection() {
        LaidByHand l = new LaidByHand(service(simple(300, 6), 0.4), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 100);
        assertTrue(l.explained(3000).stream().anyMatch(s -> s.clause().text().startsWith("24.2.3")), "Ie");
        LaidByHand none = new LaidByHand(simple(300, 6), ACI)
                .through(TOP, 2, T16, 58)
                .through(BOTTOM, 4, T20, 60)
                .zone(0, 0, 6000, T10, 2, 100);
        assertTrue(
                none.explained(3000).stream().noneMatch(s -> s.clause().text().startsWith("24.2.3")));
    }
}
