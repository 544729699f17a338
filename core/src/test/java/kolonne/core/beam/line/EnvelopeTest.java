package kolonne.core.beam.line;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** Moments and shears between the stations against the closed forms of simple statics. */
class EnvelopeTest {
    private static final double[] PLACES = {7, 333, 1111, 2345, 3001, 4999, 5617, 6893};

    private static Envelope of(ModelBuilder m) {
        Analysis a = m.solve();
        BeamLine line = BeamLines.find(a).get(0);
        return new Envelope(
                line, BeamContext.of(a, Basis.standard(false)).of(line).demands());
    }

    private static BeamLine.Span span(ModelBuilder m) {
        return BeamLines.find(m.solve()).get(0).spans().get(0);
    }

    /** Two equal spans: 3/8 w L x − w x² / 2. */
    @Test
    void uniformLoad() {
        ModelBuilder m =
                ModelBuilder.twoSpans(7000, 7000).spread("m1", 0, 7000, 45, 45).spread("m2", 0, 7000, 45, 45);
        Envelope e = of(m);
        for (double x : PLACES) {
            double moment = 3.0 / 8 * 45 * 7000 * x - 45 * x * x / 2;
            assertEquals(Math.abs(moment), e.at(x, span(m), moment > 0), 1e-5 * Math.abs(moment), "at " + x);
            double shear = Math.abs(3.0 / 8 * 45 * 7000 - 45 * x);
            assertEquals(shear, e.shear(x, span(m)), 1e-5 * 118_125, "at " + x);
        }
    }

    /** From nothing to w: w L x / 6 − w x³ / 6 L, whose shear is no straight line between the stations. */
    @Test
    void growingLoad() {
        ModelBuilder m = ModelBuilder.span(7000).spread("m", 0, 7000, 0, 60);
        Envelope e = of(m);
        for (double x : PLACES) {
            assertEquals(
                    60 * 7000 * x / 6 - 60 * x * x * x / (6 * 7000), e.at(x, span(m), true), 1e-5 * 190e6, "at " + x);
            assertEquals(Math.abs(60 * 7000 / 6.0 - 60 * x * x / (2 * 7000)), e.shear(x, span(m)), 2, "at " + x);
        }
    }

    /** 100 kN at 2 m of 7 m: 71.4 kN before and 28.6 kN after, the larger at the load itself. */
    @Test
    void aLoadWhereTheShearJumps() {
        ModelBuilder m = ModelBuilder.span(7000).point("m", 2000, 100e3);
        Envelope e = of(m);
        assertEquals(500e3 / 7, e.shear(1990, span(m)), 1);
        assertEquals(500e3 / 7, e.shear(2000, span(m)), 1);
        assertEquals(200e3 / 7, e.shear(2010, span(m)), 1);
        assertEquals(200e3 / 7, e.shear(7000, span(m)), 1);
        assertEquals(500e3 / 7, e.shear(0, span(m)), 1);
    }

    /** Typed moments and shears belong to no load: between the stations they are what they are at both, however much the shear would bend the moment. */
    @Test
    void typedDemands() {
        Analysis a = ModelBuilder.span(7000).spread("m", 0, 7000, 10, 10).solve();
        BeamLine line = BeamLines.find(a).get(0);
        TypedDemand typed = new TypedDemand(0, 7000, 80e6, 20e6, 90e3, 0);
        Envelope e = new Envelope(
                line,
                new LineDemands(line, BeamContext.of(a, Basis.standard(false)).strength(), List.of(typed), 0));
        for (double x : PLACES) {
            assertEquals(80e6, e.at(x, line.spans().get(0), true), 1, "at " + x);
            assertEquals(20e6, e.at(x, line.spans().get(0), false), 1, "at " + x);
            assertEquals(90e3, e.shear(x, line.spans().get(0)), 1e-3, "at " + x);
        }
    }
}
