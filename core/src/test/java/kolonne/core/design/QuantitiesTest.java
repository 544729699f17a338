package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class QuantitiesTest {
    @Test
    void wordsInEitherSystem() {
        Quantities q = new Quantities(118_000, 1000e9);
        assertEquals("steel 118.0 t, concrete 1000 m³, 118 kg/m³", q.words(false));
        // 118 000 kg / 907.18474 = 130.07 tons; 1000 m³ / 0.764554858 = 1307.95 yd³; 118 x 0.764554858 / 0.45359237 = 198.9 lb/yd³
        assertEquals("steel 130.1 tons, concrete 1308 yd³, 199 lb/yd³", q.words(true));
        assertEquals("steel 0.0 t, concrete 0 m³, 0 kg/m³", Quantities.NONE.words(false));
    }
}
