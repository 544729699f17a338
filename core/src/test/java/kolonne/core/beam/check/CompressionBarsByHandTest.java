package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T12;
import static kolonne.core.beam.check.LaidByHand.T16;
import static kolonne.core.beam.check.LaidByHand.T20;
import static kolonne.core.beam.check.LaidByHand.T32;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Stirrups that hold bars in compression (ACI 318-19 9.7.6.4, EN 1992-1-1 9.2.1.2(3)), on a span of 6 m, 900 × 450, with 13T32 at 384 from the compressed face: what the section bears
 * with so many bars in compression is found here by halving the axis.
 */
class CompressionBarsByHandTest {
    private static final double AS = 13 * T32.area();

    /** Concrete, steel and factor of a code. @param stress of the block, @param beta its depth over the axis, @param crushing strain */
    private record Rules(double stress, double beta, double crushing, double fy, boolean reduced) {
        static final Rules ACI = new Rules(0.85 * 30, 0.85 - 0.05 * 2 / 7, 0.003, 420, true);
        static final Rules EN = new Rules(20, 0.8, 0.0035, 500 / 1.15, false);

        static Rules of(String code) {
            return code.startsWith("aci") ? ACI : EN;
        }

        double steel(double depth, double c) {
            double s = Math.max(-fy, Math.min(fy, 200_000 * crushing * (depth - c) / c));
            return depth < beta * c ? s + stress : s;
        }

        /** Design moment. @param bars by depth and area */
        double moment(double[]... bars) {
            double low = 1;
            double high = 450;
            for (int k = 0; k < 80; k++) {
                double c = (low + high) / 2;
                double surplus = stress * 900 * beta * c;
                for (double[] b : bars) {
                    surplus -= steel(b[0], c) * b[1];
                }
                low = surplus < 0 ? c : low;
                high = surplus < 0 ? high : c;
            }
            double m = -stress * 900 * beta * high * beta * high / 2;
            for (double[] b : bars) {
                m += steel(b[0], high) * b[1] * b[0];
            }
            double tension = 0.003 * (384 - high) / high;
            return (reduced ? Math.max(0.65, Math.min(0.9, 0.65 + 0.25 * (tension - 0.0021) / 0.003)) : 1) * m;
        }

        /** With so many T16 in compression. */
        double with(double n) {
            return moment(new double[] {384, AS}, new double[] {58, n * T16.area()});
        }
    }

    /** A span with a moment in the middle [Nmm]; hogging where it is negative. */
    private static LaidByHand span(String code, double middle) {
        double w = 8 * middle / (1.6 * 36e6);
        ModelBuilder m = ModelBuilder.span(6000).section("S", 900, 450).spread("m", 0, 6000, w, w);
        return new LaidByHand(m.combine("U", java.util.Map.of("P", 1.6)), Basis.standard(code));
    }

    private static LaidByHand nine(String code, double middle) {
        boolean sagging = middle > 0;
        return span(code, middle)
                .through(sagging ? BOTTOM : TOP, 13, T32, 66)
                .through(sagging ? TOP : BOTTOM, 9, T16, 58);
    }

    /** From the station before the first one with more than a moment to the one after the last. */
    private static double[] around(BeamLine line, double middle, double moment) {
        List<Double> x = line.stations().stream().map(BeamLine.Station::x).toList();
        double from = 0;
        double to = 6000;
        for (int i = 1; i < x.size(); i++) {
            boolean before = at(x.get(i - 1), middle) > moment;
            boolean now = at(x.get(i), middle) > moment;
            from = !before && now ? x.get(i - 1) : from;
            to = before && !now ? x.get(i) : to;
        }
        return new double[] {from, to};
    }

    private static double at(double x, double middle) {
        return Math.abs(middle) * (1 - Math.pow(x / 3000 - 1, 2));
    }

    private static void is(CheckResult c, double demand, double capacity, String clause) {
        assertEquals(demand, c.demand(), 1e-6, c.kind().id());
        assertEquals(capacity, c.capacity(), 1e-6, c.kind().id());
        assertEquals(demand <= capacity, c.satisfied(), c.kind().id());
        assertEquals(clause, c.clause().text());
    }

    /** Between what two and three bars in compression bear: three are counted on, where the moment is more than the tension bars bear alone. */
    @ParameterizedTest
    @CsvSource({"aci-318m-19, 1", "aci-318m-19, -1", "en-1992-1-1, 1", "en-1992-1-1, -1"})
    void whereTheyAreNeeded(String code, double sign) {
        Rules r = Rules.of(code);
        double middle = (r.with(2) + r.with(3)) / 2;
        assertTrue(r.with(0) < 0.97 * middle && middle < r.with(9), "bars are needed");
        double[] needed = around(nine(code, sign * middle).line, middle, r.with(0));
        assertTrue(needed[0] > 0 && needed[1] < 6000);
        for (double into : new double[] {0, 1}) {
            LaidByHand l = nine(code, sign * middle)
                    .zone(0, 0, needed[0] + into, T10, 2, 400)
                    .zone(0, needed[0] + into, needed[1], T10, 4, 200)
                    .zone(0, needed[1], 6000, T10, 2, 390);
            LaidByHand.Told t = l.told();
            boolean aci = r.reduced;
            CheckResult spacing = t.of("compression-spacing");
            // 16 T16 are less than 48 T10 and 450; 15 by Eurocode
            is(spacing, into > 0 ? 400 : 200, aci ? 256 : 240, aci ? "9.7.6.4" : "9.2.1.2(3)");
            if (!aci) {
                t.silent("compression-legs", "compression-stirrup");
                continue;
            }
            is(t.of("compression-legs"), into > 0 ? t.of("compression-legs").demand() : 3, into > 0 ? 2 : 4, "9.7.6.4");
            is(t.of("compression-stirrup"), 9.5, 10.05, "9.7.6.4");
            assertEquals(
                    3000,
                    l.line.stations()
                            .get(spacing.station() < 0 ? 0 : spacing.station())
                            .x(),
                    3000);
        }
    }

    /** One bar more than none still asks for two legs; more than all nine bear for every other one (82 mm apart): five. Less than the tension bars bear asks for nothing. */
    @ParameterizedTest
    @CsvSource({"0.999, 0", "1.001, 2", "2, 5"})
    void howManyLegs(double times, int legs) {
        Rules r = Rules.ACI;
        double middle = times > 1.5 ? 1.01 * r.with(9) : times * r.with(0);
        LaidByHand.Told t =
                nine("aci-318m-19", middle).zone(0, 0, 6000, T10, 3, 150).told();
        if (legs == 0) {
            t.silent("compression-spacing", "compression-legs", "compression-stirrup");
        } else {
            is(t.of("compression-legs"), legs, 3, "9.7.6.4");
            assertEquals(3000, t.of("compression-legs").x(), 601);
        }
    }

    /** Bars that end before the place are not there; those below the axis are in tension, whatever their face: 2T20 in compression, T12 at 260. */
    @Test
    void barsThatAreNotInCompression() {
        Rules r = Rules.ACI;
        double[] tension = {384, AS};
        double[] below = {260, 2 * T12.area()};
        double[] above = {58, 2 * T20.area()};
        double without = r.moment(tension, below);
        double with = r.moment(tension, below, above);
        LaidByHand l = span("aci-318m-19", (without + with) / 2)
                .through(BOTTOM, 13, T32, 66)
                .through(TOP, 2, T20, 58)
                .bars(new BeamCage.Group(TOP, 2, 2, T12, 260, -100, 6100, false, false, true))
                .bars(new BeamCage.Group(TOP, 1, 7, T16, 58, -100, 1500, false, false, false))
                .bars(new BeamCage.Group(TOP, 1, 7, T16, 58, 4500, 6100, false, false, false))
                .zone(0, 0, 6000, T10, 2, 150);
        LaidByHand.Told t = l.told();
        is(t.of("compression-spacing"), 150, 320, "9.7.6.4");
        is(t.of("compression-legs"), 2, 2, "9.7.6.4");
    }

    /** The thinnest of them decides the spacing, the thickest which stirrup may hold it: from 12.7 mm over 32.3 (9.7.6.4.2). */
    @Test
    void thinAndThickOnes() {
        Bar t40 = BarCatalogue.METRIC.find("T40");
        for (Bar stirrup : new Bar[] {T12, T16}) {
            LaidByHand l = span("aci-318m-19", 1.2 * Rules.ACI.with(0))
                    .through(BOTTOM, 13, T32, 66)
                    .through(TOP, 2, t40, 70)
                    .bars(new BeamCage.Group(TOP, 1, 4, T16, 58, -100, 6100, false, false, true))
                    .zone(0, 0, 6000, stirrup, 4, 150);
            LaidByHand.Told t = l.told();
            is(t.of("compression-stirrup"), 12.7, stirrup.diameter() + 0.05, "9.7.6.4");
            is(t.of("compression-spacing"), 150, 256, "9.7.6.4");
            CompressionBars c = CompressionBars.of(
                            l.line,
                            l.line.spans().get(0),
                            new BarsAt(l.line, l.cage(), l.context.basis()),
                            l.context.of(l.line))
                    .orElseThrow();
            assertEquals(stirrup == T16, c.allows(stirrup));
            assertEquals(256, c.spacing(2900, 3100, 384, stirrup));
            assertFalse(c.spacing(0, 300, 384, stirrup) < 256, "near the support none is needed");
            assertTrue(c.legs(stirrup) >= 2 && c.legs(stirrup) <= 4);
        }
    }

    /** Bundled bars want thick stirrups whatever their size: eight T16 in four pairs. */
    @ParameterizedTest
    @CsvSource({"false, 9.5", "true, 12.7"})
    void pairs(boolean paired, double least) {
        LaidByHand.Told t = span("aci-318m-19", 1.01 * Rules.ACI.with(0))
                .through(BOTTOM, 13, T32, 66)
                .bars(new BeamCage.Group(TOP, 1, 8, T16, 66, -100, 6100, false, false, true, paired))
                .zone(0, 0, 6000, T12, 4, 150)
                .told();
        is(t.of("compression-stirrup"), least, 12.05, "9.7.6.4");
    }
}
