package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.finding.Finding;
import kolonne.core.model.ModelBuilder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Concentrated loads within twice the depth of a support that make half of the shear at its face or more (9.9.1.1(b)): a note with the part that they make. */
class NearLoadsTest {
    /**
     * A simple span of 6 m, 300 × 600, under 20 kN/m and one load: P (6 - a) / 6 + 60 kN at the nearer face. 100 kN at 1 m are 100 of 143.3 kN, at 1.3 m too far away; 60
     * kN at 0.5 m are 60 of 115 kN, 50 kN 50 of 105.8 kN; two of 100 kN at 1 m from either end 100 of 160 kN.
     */
    @ParameterizedTest
    @CsvSource({
        "100, 1000, 0, 70",
        "100, 5000, 0, 70",
        "100, 1300, 0, 0",
        "100, 4700, 0, 0",
        "60, 500, 0, 52",
        "50, 500, 0, 0",
        "100, 1000, 5000, 63",
    })
    void partOfTheShear(double load, double at, double other, int percent) {
        ModelBuilder m = ModelBuilder.span(6000).spread("m", 0, 6000, 20, 20).point("m", at, load * 1e3);
        if (other > 0) {
            m.point("m", other, load * 1e3);
        }
        LaidByHand l = new LaidByHand(m, Basis.standard("aci-318m-19"))
                .through(BeamCage.Face.TOP, 3, LaidByHand.T16, 58)
                .through(BeamCage.Face.BOTTOM, 4, LaidByHand.T20, 60)
                .zone(0, 0, 6000, LaidByHand.T10, 2, 150);
        List<Finding> notes = l.design().findings().stream()
                .filter(f -> f.code().equals("load.near-support"))
                .toList();
        assertEquals(percent > 0 ? 1 : 0, notes.size(), notes.toString());
        for (Finding f : notes) {
            boolean right = at > 3000;
            double shear = load * (right ? at : 6000 - at) / 6000 + 60 + (other > 0 ? load / 6 : 0);
            assertTrue(
                    f.what().contains(" " + percent + " % of the shear of " + String.format("%.1f kN", shear)),
                    f.what());
            assertTrue(f.where().contains(right ? "B" : "A"), f.where());
            assertEquals("9.9.1.1", f.clause());
        }
    }
}
