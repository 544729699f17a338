package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Steel that is required place by place, by ACI 318-19, on two spans of 6 m under the same load: MB = -w l² / 8, M = 3/8 w l x - w x² / 2 in the spans; areas by halving the strength that
 * the test works out itself.
 */
class SteelNeedsByHandTest {
    private static LaidByHand laid(double w) {
        ModelBuilder m =
                ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, w, w).spread("m2", 0, 6000, w, w);
        return new LaidByHand(m, Basis.standard("aci-318m-19"))
                .through(TOP, 2, T16, 58)
                .bars(new BeamCage.Group(TOP, 1, 4, T16, 58, 3900, 8100, false, false, false))
                .through(BOTTOM, 3, T20, 60)
                .zone(0, 0, 3000, T10, 2, 150)
                .zone(0, 3000, 6000, T10, 2, 100)
                .zone(1, 6000, 9000, T10, 4, 100)
                .zone(1, 9000, 9600, T10, 2, 250)
                .zone(1, 9600, 12_000, T10, 2, 200);
    }

    private static double area(double moment, double d, double compressed, double at) {
        double low = 0;
        double high = 2500;
        for (int k = 0; k < 60; k++) {
            double as = (low + high) / 2;
            boolean less = BeamChecksByHandTest.phiMn(300, 30, 420, new double[] {d, as}, new double[] {at, compressed})
                    < moment;
            low = less ? as : low;
            high = less ? high : as;
        }
        return high;
    }

    /** 40 kN/m: the moment decides over B, the least steel of 1.4 / 420 · 300 · 540 = 540 mm² in the spans; 10 kN/m: a third more than the moment needs (9.6.1.3). */
    @ParameterizedTest
    @CsvSource({"40, false, 540", "10, true, 0"})
    void bars(double w, boolean leastOverB, double least) {
        LaidByHand l = laid(w);
        List<SteelNeeds.Bars> all = SteelNeeds.bars(l.design(), l.context.of(l.line));
        assertEquals(5, all.size());
        for (int s = 0; s < 3; s++) {
            SteelNeeds.Bars b = all.get(s);
            assertTrue(b.face() == TOP && b.number() == s);
            double needs = area(w * 4.5e6 * (leastOverB ? 4 / 3.0 : 1), 542, 3 * T20.area(), 60);
            assertEquals(s == 1 ? needs : 0, b.required(), 0.01 * needs, "support " + s);
            assertEquals((s == 1 ? 6 : 2) * T16.area(), b.provided(), 1e-6);
            assertEquals(s == 1 && leastOverB, b.minimum());
        }
        assertEquals(6000, all.get(1).x(), 1e-6);
        for (int s = 0; s < 2; s++) {
            SteelNeeds.Bars b = all.get(3 + s);
            assertTrue(b.face() == BOTTOM && b.number() == s && b.minimum());
            double x = s == 0 ? b.x() : 12_000 - b.x();
            assertEquals(2250, x, 160, "the largest moment");
            double moment = w * (2250 * x - x * x / 2);
            assertEquals(
                    least > 0 ? least : area(4 / 3.0 * moment, 540, 2 * T16.area(), 58),
                    b.required(),
                    0.01 * b.required());
            assertEquals(3 * T20.area(), b.provided(), 1e-6);
        }
    }

    /** Where no bars at their depth are enough. */
    @Test
    void noNumberOfBars() {
        LaidByHand l = laid(300);
        assertTrue(Double.isInfinite(
                SteelNeeds.bars(l.design(), l.context.of(l.line)).get(1).required()));
    }

    /** 80 kN/m: 180 kN at A and E, 300 at B; φVc = 0.75 · 150.8 kN; least 0.35 · 300 / 420 = 0.25 mm²/mm (9.6.3.4). */
    @Test
    void stirrups() {
        LaidByHand l = laid(80);
        double vc = 0.17 * Math.sqrt(30) * 300 * 540;
        double outer = (180e3 / 0.75 - vc) / (420 * 540);
        double inner = (300e3 / 0.75 - vc) / (420 * 540);
        double[] required = {outer, inner, inner, 0.25, outer};
        double[] legs = {2 / 150.0, 2 / 100.0, 4 / 100.0, 2 / 250.0, 2 / 200.0};
        List<SteelNeeds.Stirrups> all = SteelNeeds.stirrups(l.design(), l.context);
        for (int i = 0; i < 5; i++) {
            assertEquals(required[i], all.get(i).required(), 2e-3 * required[i], "zone " + i);
            assertEquals(legs[i] * T10.area(), all.get(i).provided(), 1e-9);
            assertEquals(i < 2 ? 0 : 1, all.get(i).span());
        }
    }
}
