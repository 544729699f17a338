package kolonne.core.code.aci318;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.explain.Trace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every cell of table 25.4.2.3 in both unit systems, the factors of table 25.4.2.5, hooks by eq. 25.4.3.1a. */
class AciAnchorageTest {
    private static final double PSI = 0.006894757293168361;

    /** Divisors of fy ψ db / λ √f'c: SI column of the table; clear spacing and cover in bar diameters. */
    @ParameterizedTest
    @CsvSource({
        "T16,1,1,true,2.1",
        "T16,2,1,false,2.1",
        "T16,1,1,false,1.4",
        "T16,0.9,1,true,1.4",
        "T16,2,0.9,true,1.4",
        "T16,1.9,1,false,1.4",
        "T25,1,1,true,1.7",
        "T25,2,1,false,1.7",
        "T25,1,1,false,1.1",
        "T25,0.9,2,true,1.1",
        "T25,3,0.5,true,1.1"
    })
    void cellsOfTheTableInMillimetres(String size, double clear, double cover, boolean stirrups, double divisor) {
        Bar b = BarCatalogue.METRIC.find(size);
        double ld = Aci318.SI
                .detailing()
                .developmentLength(b, 30, 420, false, clear * b.diameter(), cover * b.diameter(), stirrups);
        assertEquals(420 * b.diameter() / (divisor * Math.sqrt(30)), ld, 1e-6 * ld);
    }

    @ParameterizedTest
    @CsvSource({
        "#6,1,1,true,25",
        "#6,2,1,false,25",
        "#6,1,1,false,16.6667",
        "#6,2,0.9,true,16.6667",
        "#9,1,1,true,20",
        "#9,2,1,false,20",
        "#9,1,1,false,13.3333",
        "#11,0.9,1,true,13.3333"
    })
    void cellsOfTheTableInInches(String size, double clear, double cover, boolean stirrups, double divisor) {
        Bar b = BarCatalogue.US.find(size);
        double ld = Aci318.US
                .detailing()
                .developmentLength(
                        b, 4000 * PSI, 60_000 * PSI, false, clear * b.diameter(), cover * b.diameter(), stirrups);
        assertEquals(60_000 * b.diameter() / (divisor * Math.sqrt(4000)), ld, 1e-4 * ld);
    }

    /** ψg 1.0, 1.15, 1.3 by grade; ψt 1.3 of top bars; √f'c at most 8.3 MPa (25.4.1.4); never under 300 mm. */
    @Test
    void factorsAndLimits() {
        Bar b = BarCatalogue.METRIC.find("T25");
        double plain = ld(b, 30, 420, false);
        assertEquals(1.3 * plain, ld(b, 30, 420, true), 1e-9 * plain);
        assertEquals(1.15 * 500 / 420.0 * plain, ld(b, 30, 500, false), 1e-9 * plain);
        assertEquals(1.15 * 550 / 420.0 * plain, ld(b, 30, 550, false), 1e-9 * plain);
        assertEquals(1.3 * 600 / 420.0 * plain, ld(b, 30, 600, false), 1e-9 * plain);
        assertEquals(ld(b, 69, 420, false), ld(b, 90, 420, false), 1e-3 * plain);
        Bar small = BarCatalogue.METRIC.find("T10");
        assertEquals(300, ld(small, 60, 420, false), 1e-9);
    }

    private static double ld(Bar b, double fc, double fy, boolean top) {
        return Aci318.SI.detailing().developmentLength(b, fc, fy, top, 3 * b.diameter(), 2 * b.diameter(), true);
    }

    /** ldh = fy ψo ψc db^1.5 / (23 √f'c) with ψo 1.25, ψc f'c/105 + 0.6 to 1.0; at least 8 db and 150 mm. In inches 55 and f'c/15 000. */
    @ParameterizedTest
    @CsvSource({"T16,25", "T20,30", "T25,40", "T32,45"})
    void hooks(String size, double fc) {
        Bar b = BarCatalogue.METRIC.find(size);
        double ldh = 420 * 1.25 * Math.min(1, fc / 105 + 0.6) * Math.pow(b.diameter(), 1.5) / (23 * Math.sqrt(fc));
        assertEquals(
                Math.max(ldh, Math.max(8 * b.diameter(), 150)),
                Aci318.SI.detailing().hookLength(b, fc, 420, Trace.OFF),
                1e-6 * ldh);
        double us = Aci318.US.detailing().hookLength(b, fc, 420, Trace.OFF);
        assertEquals(ldh, us, 0.02 * ldh, "the constants of the two editions are rounded");
        assertTrue(Aci318.SI.detailing().hookLength(b, 2 * fc, 420, Trace.OFF) <= ldh + 1e-9);
    }

    @Test
    void theHookOfTheCalculationIsTheHook() {
        Trace t = Trace.recording();
        Bar b = BarCatalogue.METRIC.find("T20");
        double ldh = Aci318.SI.detailing().hookLength(b, 30, 420, t);
        assertTrue(
                t.steps().stream()
                        .anyMatch(s -> s.symbol().equals("ldh")
                                && s.clause().text().equals("25.4.3.1")
                                && s.result(false).equals(String.format(java.util.Locale.ROOT, "%.0f mm", ldh))),
                t.steps().toString());
    }

    /** 25.4.9.2 by hand: 0.24 fy db / √f'c and 0.043 fy db, 200 mm; fy db / 50 √f'c and 0.0003 fy db, 8 in. */
    @ParameterizedTest
    @CsvSource({
        "true, T25, 30, 460.08",
        "true, T25, 50, 451.5",
        "true, T10, 30, 200",
        "false, #8, 3000, 556.5",
        "false, #8, 6000, 457.2",
        "false, #3, 6000, 203.2"
    })
    void barsInCompression(boolean si, String size, double fc, double length) {
        Bar b = (si ? BarCatalogue.METRIC : BarCatalogue.US).find(size);
        assertEquals(
                length,
                (si ? Aci318.SI : Aci318.US)
                        .detailing()
                        .compressionDevelopment(b, si ? fc : fc * PSI, si ? 420 : 60_000 * PSI),
                0.1);
    }
}
