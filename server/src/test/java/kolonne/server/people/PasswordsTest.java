package kolonne.server.people;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import at.favre.lib.crypto.bcrypt.BCrypt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasswordsTest {
    @ParameterizedTest
    @CsvSource({",11", "4,4", "12,12", "31,31", "3,11", "32,11", "-4,11", "04,11", "eleven,11", "'',11"})
    void theCostIsTheUsualOneUnlessToldWithinBcrypt(String told, int cost) {
        assertEquals(cost, Passwords.cost(told));
    }

    @Test
    void aHashKeepsTheCostItWasMadeWith() {
        String dearer = BCrypt.withDefaults().hashToString(6, "zes maal negen".toCharArray());
        assertTrue(dearer.startsWith("$2a$06$"), dearer);
        assertTrue(Passwords.fits("zes maal negen", dearer));
        assertFalse(Passwords.fits("zes maal tien", dearer));
        assertFalse(Passwords.fits("zes maal negen", null));
    }
}
