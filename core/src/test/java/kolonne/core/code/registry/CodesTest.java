package kolonne.core.code.registry;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the codes' rows say, against printed values. */
class CodesTest {
    /** Ecm of EN 1992-1-1 table 3.1, printed in whole GPa; 4700 √f'c of ACI 318M-19 19.2.2.1 b by hand. */
    @ParameterizedTest
    @CsvSource({
        "en-1992-1-1, 20, 30",
        "en-1992-1-1, 30, 33",
        "en-1992-1-1, 50, 37",
        "en-1992-1-1, 90, 44",
        "aci-318m-19, 25, 23.5",
        "aci-318m-19, 36, 28.2"
    })
    void modulusOfConcrete(String code, double fc, double gpa) {
        assertEquals(gpa, Codes.of(code).elasticModulus(fc) / 1000, 0.5);
    }

    /** 57 000 √4000 psi of ACI 318-19 19.2.2.1 b in inches and pounds: 3605 ksi, as tables for practice print it. */
    @Test
    void modulusOfConcreteInPounds() {
        double psi = 6.894757293168361e-3;
        assertEquals(3605, Codes.of("aci-318-19").elasticModulus(4000 * psi) / psi / 1000, 0.5);
    }

    /** Cap at laps: 8 % by ACI 318-19 10.6.1.1 and by EN 1992-1-1 9.5.2(3); run of bottom bars by ACI 9.7.3.8.1: 150 mm. */
    @Test
    void limitsThatDifferFromCodeToCode() {
        for (String code : new String[] {"aci-318m-19", "aci-318-19", "en-1992-1-1"}) {
            assertEquals(0.08, Codes.of(code).rules(Map.of()).columns().lapMaximumRatio());
            assertEquals(150, Codes.of(code).rules(Map.of()).detailing().bottomRunIntoSupport());
        }
    }

    @Test
    void oneCodeIsUsualInEachSystemOfUnits() {
        assertEquals("aci-318m-19", Codes.usual(false).key());
        assertEquals("aci-318-19", Codes.usual(true).key());
    }
}
