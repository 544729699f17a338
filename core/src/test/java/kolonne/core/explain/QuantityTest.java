package kolonne.core.explain;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Numbers and units as a reader sees them, and the trace that records them. */
class QuantityTest {
    @ParameterizedTest(name = "{0} {1}: {2} | {3}")
    @CsvSource({
        "FORCE, 318200, 318.2 kN, 71.53 kip",
        "MOMENT, 61.4e6, 61.4 kNm, 45.29 kip·ft",
        "LENGTH, 254, 254 mm, 10.00 in",
        "DISTANCE, 6540, 6.54 m, 21.46 ft",
        "AREA, 645.16, 645 mm², 1.00 in²",
        "STRESS, 6.894757, 6.89 MPa, 1000 psi",
        "RATIO, 0.0179, 1.79%, 1.79%",
        "STRAIN, -0.0029, −2.90 ‰, −2.90 ‰",
        "COUNT, 16, 16, 16"
    })
    void showsBothSystems(Quantity q, double core, String si, String us) {
        assertEquals(si, q.text(core, false));
        assertEquals(us, q.text(core, true));
    }

    @Test
    void numbersThatAreNoneAreShownAsSuch() {
        assertEquals("–", Quantity.FORCE.digits(Double.NaN, false));
        assertEquals("∞", Quantity.NUMBER.digits(Double.POSITIVE_INFINITY, false));
    }

    @Test
    void aTraceThatIsOffKeepsNothingAndOneThatIsOnKeepsTheOrder() {
        Trace.OFF.step("x", "x", "", 1, Quantity.NUMBER, Clause.NONE);
        assertEquals(List.of(), Trace.OFF.steps());
        Trace t = Trace.recording();
        t.say("Shear", "heading", Clause.of("22.5"));
        t.step(
                "Vs",
                "Av fyt d / s",
                "{0} × {1}",
                2e5,
                Quantity.FORCE,
                Clause.of("22.5.8.5.3"),
                Trace.in(0.9, Quantity.AREA_PER_LENGTH),
                Trace.in(540, Quantity.LENGTH));
        assertEquals("0.900 × 540", t.steps().get(1).substituted(false));
        assertEquals("0.0354 × 21.26", t.steps().get(1).substituted(true));
        assertEquals("200.0 kN", t.steps().get(1).result(false));
        assertTrue(t.steps().get(0).result(false).isEmpty());
    }
}
