package kolonne.core.section;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A. H. Nilson, D. Darwin, C. W. Dolan, Design of Concrete Structures, example of a column strength interaction diagram: 12 × 20 in, a bar of 1.0 in² in each
 * corner 2.5 in from the faces, 4000 psi, Grade 60, bent about its stronger axis. The book leaves the concrete whole where bars lie in it; here as in
 * the code it is taken out, 0.85 · 4 ksi · 2 in² = 6.8 kips 7.5 in from the middle.
 */
class PublishedColumnTest {
    private static final double IN = 25.4;
    private static final double KSI = 6.89475729316836;
    private static final double KIP = 4448.2216;
    private static final double DISPLACED = 6.8;

    private static ColumnSection column() {
        double a = IN * IN;
        return new ColumnSection(
                new Shape.Rectangle(12 * IN, 20 * IN),
                List.of(
                        new PlacedBar(-3.5 * IN, -7.5 * IN, a),
                        new PlacedBar(3.5 * IN, -7.5 * IN, a),
                        new PlacedBar(-3.5 * IN, 7.5 * IN, a),
                        new PlacedBar(3.5 * IN, 7.5 * IN, a)),
                4 * KSI,
                60 * KSI,
                Aci318.US);
    }

    /** Neutral axis [in], axial force [kips], moment [ft kips]: the balanced point, one in compression, and one in tension that is worked by hand in the same way. */
    @ParameterizedTest
    @CsvSource({"10.3, 357, 317", "18.0, 748, 194", "5.0, 140.4, 243.2"})
    void points(double c, double kips, double ftKips) {
        ColumnSection.Resultant r = column().at(Math.PI / 2, c * IN);
        assertEquals(kips - DISPLACED, r.N() / KIP, 2);
        assertEquals(ftKips - DISPLACED * 7.5 / 12, r.Mx() / KIP / IN / 12, 1.5);
    }

    /** Under the published forces the moments are the published ones. */
    @ParameterizedTest
    @CsvSource({"357, 317", "748, 194", "140.4, 243.2"})
    void momentsUnderForces(double kips, double ftKips) {
        double m = MomentAtForce.of(column(), Math.PI / 2, (kips - DISPLACED) * KIP);
        assertEquals(ftKips - DISPLACED * 7.5 / 12, m / KIP / IN / 12, 2);
    }

    /** Po = 0.85 · 4 · 240 + 60 · 4 = 1056 kips, less the concrete beside four bars; 0.80 and 0.65 of it (22.4.2). */
    @Test
    void underNoMoment() {
        assertEquals(0.8 * 0.65 * (1056 - 2 * DISPLACED), column().axialCap / KIP, 0.1);
    }
}
