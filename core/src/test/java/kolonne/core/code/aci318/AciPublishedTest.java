package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.code.BarCatalogue;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** ACI 318-19 in inch-pound units against its own tables and published worked values. */
class AciPublishedTest {
    private static final double IN = 25.4;
    private static final double PSI = 0.00689475729316836;
    private static final double KIP_FT = 1355817.9483314;

    /** Table 22.2.2.4.3. */
    @ParameterizedTest
    @CsvSource({"3000,0.85", "4000,0.85", "5000,0.80", "6000,0.75", "7000,0.70", "8000,0.65", "10000,0.65"})
    void depthOfTheBlock(double fc, double beta) {
        assertEquals(beta, Aci318.US.block(fc * PSI).depth(), 1e-9);
    }

    /** D. Darwin, C. W. Dolan, A. H. Nilson, Design of Concrete Structures: b 10 in, d 23 in, three No. 8, 4000 psi, Grade 60: a 4.18 in, Mn 248 ft-kips. */
    @Test
    void singlyReinforced() {
        FlexuralStrength f = FlexuralStrength.of(
                new Shape.Rectangle(10 * IN, 25 * IN),
                true,
                List.of(new BarLayer(23 * IN, 2.37 * IN * IN)),
                4000 * PSI,
                60_000 * PSI,
                Aci318.US,
                Trace.OFF);
        assertEquals(4.18, 0.85 * f.c() / IN, 0.005);
        assertEquals(248, f.Mn() / KIP_FT, 0.5);
        assertEquals(0.9, f.phi());
    }

    /** Darwin, Dolan and Nilson, flexural resistance factors R = Mn / (b d²) in 4000 psi, Grade 60 [psi]; printed without decimals. */
    @ParameterizedTest
    @CsvSource({"0.005,287", "0.010,547", "0.015,780"})
    void flexuralResistance(double rho, double r) {
        FlexuralStrength f = FlexuralStrength.of(
                new Shape.Rectangle(12 * IN, 23 * IN),
                true,
                List.of(new BarLayer(20 * IN, rho * 12 * 20 * IN * IN)),
                4000 * PSI,
                60_000 * PSI,
                Aci318.US,
                Trace.OFF);
        assertEquals(r, f.Mn() / PSI / (12 * 20 * 20 * IN * IN * IN), 1.5);
    }

    /** Class B laps as published for Grade 60 in 4000 psi: 1.3 times the development length [in]. */
    @ParameterizedTest
    @CsvSource({"#5,30.8", "#6,37.0", "#8,61.7"})
    void laps(String size, double in) {
        var bar = BarCatalogue.US.find(size);
        assertEquals(
                in,
                Aci318.US.detailing().lapLength(bar, 4000 * PSI, 60_000 * PSI, false, 2 * bar.diameter(), 2 * IN) / IN,
                0.15);
    }

    /** Development lengths as published for Grade 60 in 4000 psi, cases of the first row [in]; top bars 1.3 times. */
    @ParameterizedTest
    @CsvSource({"#5,23.7", "#6,28.5", "#7,41.5", "#8,47.4", "#9,53.5"})
    void developmentLengths(String size, double in) {
        var bar = BarCatalogue.US.find(size);
        double ld = Aci318.US
                .detailing()
                .developmentLength(bar, 4000 * PSI, 60_000 * PSI, false, 2 * bar.diameter(), 2 * IN, true);
        assertEquals(in, ld / IN, 0.1);
        assertEquals(
                1.3 * ld,
                Aci318.US
                        .detailing()
                        .developmentLength(bar, 4000 * PSI, 60_000 * PSI, true, 2 * bar.diameter(), 2 * IN, true),
                1e-6);
    }

    /** 9.6.1.2 in Grade 60: 200 / fy = 0.00333 to 4400 psi, 3 √f'c / fy = 0.00354 at 5000 psi. */
    @ParameterizedTest
    @CsvSource({"3000,0.00333", "4000,0.00333", "5000,0.00354", "6000,0.00387"})
    void leastTensionSteel(double fc, double ratio) {
        assertEquals(ratio, Aci318.US.beamMinimumSteel(fc * PSI, 60_000 * PSI, 1, 1, Trace.OFF), 5e-6);
    }
}
