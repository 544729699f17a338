package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.NoSuchElementException;
import org.junit.jupiter.api.Test;

/** A few are kept, large ones only the newest, and what is gone says so. */
class HeldTest {
    @Test
    void theOldestGoesFirst() {
        Held<Integer> held = new Held<>(2, "gone", n -> n);
        String a = held.put(1);
        String b = held.put(2);
        String c = held.put(3);
        assertEquals(
                "gone",
                assertThrows(NoSuchElementException.class, () -> held.get(a)).getMessage());
        assertEquals(2, held.get(b));
        held.drop(b);
        assertThrows(NoSuchElementException.class, () -> held.get(b));
        assertEquals(3, held.get(c));
    }

    @Test
    void ofLargeOnesTheNewestStaysWhateverItsSize() {
        Held<Integer> held = new Held<>(4, "gone", n -> n);
        String a = held.put(100 << 20);
        String b = held.put(200 << 20);
        assertThrows(NoSuchElementException.class, () -> held.get(a));
        assertEquals(200 << 20, held.get(b));
        String c = held.put(1);
        assertThrows(NoSuchElementException.class, () -> held.get(b));
        assertEquals(1, held.get(c));
    }
}
