package kolonne.core.code.en1992;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import kolonne.core.code.BarCatalogue;
import kolonne.core.code.Bends;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Mandrels of EN 1992-1-1 table 8.1N a), and ends no shorter than figures 8.1 b) and 8.5 a) ask. */
class EnBendsTest {
    @ParameterizedTest
    @CsvSource({"T8, 32", "T10, 40", "T16, 64", "T20, 140", "T25, 175", "T32, 224"})
    void mandrels(String bar, double mandrel) {
        Bends b = new En1992Entry().bends();
        var size = BarCatalogue.METRIC.find(bar);
        assertEquals(mandrel, 2 * b.barRadius(size), 1e-9);
        assertEquals(mandrel, 2 * b.stirrupRadius(size), 1e-9);
        assertTrue(b.barTail(size) >= 5 * size.diameter());
        assertTrue(b.stirrupTail(size) >= Math.max(5 * size.diameter(), 50));
    }
}
