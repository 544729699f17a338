package kolonne.core.beam.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.util.List;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.api.Test;

/** A span of 7 m between columns 600 × 600, cover 40: clear from 300 to 6700, bars reach from -260 to 7260. Lengths to multiples of 50 mm, by hand. */
class BarLengthsTest {
    private static final Basis BASIS = Basis.standard(false);
    private static final Bar T20 = BarCatalogue.METRIC.find("T20");
    private static final BeamLine LINE = line();

    private static BeamLine line() {
        ModelBuilder b = new ModelBuilder().section("S", 350, 650).section("K", 600, 600);
        for (int i = 0; i <= 1; i++) {
            b.joint("f" + i, 7000 * i, 0, 0)
                    .joint("t" + i, 7000 * i, 0, 3500)
                    .fixed("f" + i)
                    .column("c" + i, "f" + i, "t" + i);
        }
        b.members.replaceAll(m -> m.withSection("K"));
        b.beam("m", "t0", "t1").spread("m", 0, 7000, 30, 30);
        return BeamLines.find(b.solve(), BASIS).get(0);
    }

    private static BeamCage.Group bars(double from, double to, boolean hookFrom, boolean hookTo) {
        return new BeamCage.Group(BeamCage.Face.TOP, 1, 2, T20, 60, from, to, hookFrom, hookTo, false);
    }

    private static double[] even(BeamCage.Group g, boolean fromFirst) {
        BeamCage cage = new BeamCage(List.of(g), List.of(), List.of());
        BeamCage.Group now = BarLengths.onModule(LINE, cage, BASIS, Set.of(), fromFirst)
                .groups()
                .get(0);
        return new double[] {now.from(), now.to()};
    }

    private static void lies(double from, double to, double[] of) {
        assertEquals(from, of[0], 1e-6);
        assertEquals(to, of[1], 1e-6);
    }

    @Test
    void aStraightBarRunsOnAtOneEnd() {
        lies(1000, 2350, even(bars(1000, 2321, false, false), false));
        lies(971, 2321, even(bars(1000, 2321, false, false), true));
        lies(1000, 2350, even(bars(1000, 2350, false, false), false));
    }

    @Test
    void aBarRunsIntoNoFaceAndOutOfNoCover() {
        // 1 410 long; at 6690 ten millimetres are left to the face
        lies(5240, 6690, even(bars(5280, 6690, false, false), false));
        // 2 210 long, from the far side of the column, where ten are left to the cover
        lies(-250, 2000, even(bars(-250, 1960, false, false), true));
        // between 310 and 6690 neither end has room for the 20 that 6 380 lacks
        lies(310, 6690, even(bars(310, 6690, false, false), false));
    }

    /** The hook of T20 by ACI 318M: bend 6 d, tail 12 d: 60 + 20 + 240 = 320 high, less 30 + 20 in the bend: 270 beyond the run. */
    @Test
    void aHookedBarRunsOnAtItsStraightEnd() {
        lies(-260, 2020, even(bars(-260, 2000, true, false), false));
        lies(-260, 7260, even(bars(-260, 7260, true, true), false));
    }

    @Test
    void facesThatAPersonSetAndBasesWithoutAModuleStay() {
        BeamCage cage = new BeamCage(List.of(bars(1000, 2321, false, false)), List.of(), List.of());
        assertSame(cage, BarLengths.onModule(LINE, cage, BASIS, Set.of(BeamCage.Face.TOP), false));
        Basis any = BASIS.with(kolonne.core.basis.part.Practice.NONE);
        assertSame(cage, BarLengths.onModule(LINE, cage, any, Set.of(), false));
    }
}
