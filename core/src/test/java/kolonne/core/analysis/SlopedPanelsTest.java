package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Release;
import kolonne.core.model.SlabPanel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Panels of 6 by 5 m that slope or are warped hand their load over as level ones do: in plan. */
class SlopedPanelsTest {
    /** Simple beams around a panel whose corners have the given heights, split at mid-span where asked. */
    private static ModelBuilder bay(double[] z, boolean oneWay, double angle, boolean split) {
        double[][] at = {{0, 0}, {6000, 0}, {6000, 5000}, {0, 5000}};
        ModelBuilder b = new ModelBuilder();
        for (int i = 0; i < 4; i++) {
            b.joint("J" + i, at[i][0], at[i][1], z[i]).fixed("J" + i);
        }
        for (int i = 0; i < 4; i++) {
            int k = (i + 1) % 4;
            if (split) {
                b.joint("M" + i, (at[i][0] + at[k][0]) / 2, (at[i][1] + at[k][1]) / 2, (z[i] + z[k]) / 2)
                        .fixed("M" + i);
                b.beam("a" + i, "J" + i, "M" + i, Release.PIN, Release.PIN, 0, 0)
                        .beam("b" + i, "M" + i, "J" + k, Release.PIN, Release.PIN, 0, 0);
            } else {
                b.beam("e" + i, "J" + i, "J" + k, Release.PIN, Release.PIN, 0, 0);
            }
        }
        b.panels.add(new SlabPanel("V", List.of("J0", "J1", "J2", "J3"), 150, 25e-6, oneWay, angle));
        b.areaLoads.add(new AreaLoad("P", "V", 3e-3));
        return b;
    }

    private static double load(Analysis a, int loadCase, String... members) {
        double sum = 0;
        for (String id : members) {
            int m = a.index().memberNumber(id);
            int last = a.stationCount(m) - 1;
            double[][] axes = LocalAxes.of(
                    a.index().joint(a.index().member(id).start()),
                    a.index().joint(a.index().member(id).end()),
                    0);
            for (int s : new int[] {0, last}) {
                double up = (a.force(m, loadCase, s, Analysis.N) * -axes[0][2]
                                + a.force(m, loadCase, s, Analysis.VZ) * axes[2][2])
                        * (s == 0 ? 1 : -1);
                sum += up;
            }
        }
        return sum;
    }

    /** Two-way by 45°: the beams of 6 m take 26.25 kN each, those of 5 m 18.75 kN, whatever the slope along X or Y; warped alike. */
    @ParameterizedTest(name = "heights {0} {1} {2} {3}")
    @CsvSource({
        "0, 0, 0, 0",
        "0, 9, 9, 0",
        "0, 120, 120, 0",
        "0, 2400, 2400, 0",
        "0, 0, 100, 100",
        "0, 100, 200, 100",
        "0, 50, 300, 20",
        "0, 0, 400, 0"
    })
    void slopesHandOverTheLoadOfTheirPlan(double a, double b, double c, double d) {
        for (boolean split : new boolean[] {false, true}) {
            Analysis s = bay(new double[] {a, b, c, d}, false, 0, split).solve();
            double[] expected = {26_250, 18_750, 26_250, 18_750};
            for (int i = 0; i < 4; i++) {
                assertEquals(expected[i], split ? load(s, 0, "a" + i, "b" + i) : load(s, 0, "e" + i), 1, "side " + i);
            }
        }
    }

    /** One-way along Y over beams that slope along X: half of 90 kN each. */
    @Test
    void oneWayAcrossSlopingBeams() {
        Analysis s =
                bay(new double[] {0, 600, 600, 0}, true, Math.PI / 2, false).solve();
        assertEquals(45_000, load(s, 0, "e0"), 1);
        assertEquals(45_000, load(s, 0, "e2"), 1);
        assertEquals(0, load(s, 0, "e1"), 1);
    }

    /** 30 m2 of 150 mm at 25 kN/m3: 112.5 kN level; at 40 % the true area is √1.16 times that, 121.2 kN. */
    @ParameterizedTest(name = "rise {0}")
    @CsvSource({"0, 112500", "2400, 121166"})
    void theWeightIsOfTheTrueArea(double rise, double expected) {
        ModelBuilder b = bay(new double[] {0, rise, rise, 0}, false, 0, false);
        b.cases.add(new LoadCase("G", "dead", CaseKind.DEAD, 1));
        b.areaLoads.clear();
        Analysis s = b.solve();
        double beams = 0;
        for (int m = 0; m < 4; m++) {
            beams += 25e-6
                    * 300
                    * 600
                    * s.index().length(s.index().building().members().get(m));
        }
        assertEquals(expected, -s.applied(1, 2) - beams, 2);
        assertTrue(s.findings().isEmpty(), s.findings().toString());
    }
}
