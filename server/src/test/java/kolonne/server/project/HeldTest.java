package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Function;
import kolonne.server.store.Upload;
import kolonne.server.store.UploadStore;
import org.junit.jupiter.api.Test;

/** A few are kept, large ones only the newest, and what is gone says so. */
class HeldTest {
    private static Held<Upload> held(int most, UploadStore store) {
        return new Held<>(new Held.Kind<>("x", most, "gone", Function.identity(), Function.identity()), store);
    }

    private static Upload of(int bytes) {
        return new Upload("p", "f", new byte[bytes]);
    }

    private static void gone(Held<Upload> held, String id) {
        assertEquals(
                "gone",
                assertThrows(NoSuchElementException.class, () -> held.get("p", id))
                        .getMessage());
    }

    @Test
    void theOldestGoesFirst() {
        Held<Upload> held = held(2, UploadStore.ALONE);
        String a = held.put(of(1));
        String b = held.put(of(2));
        String c = held.put(of(3));
        gone(held, a);
        assertEquals(2, held.get("p", b).content().length);
        held.drop(b);
        gone(held, b);
        assertEquals(3, held.get("p", c).content().length);
        assertThrows(NoSuchElementException.class, () -> held.get("another", c));
    }

    @Test
    void ofLargeOnesTheNewestStaysWhateverItsSize() {
        Held<Upload> held = held(4, UploadStore.ALONE);
        String a = held.put(of(70 << 20));
        String b = held.put(of(90 << 20));
        gone(held, a);
        assertEquals(90 << 20, held.get("p", b).content().length);
        String c = held.put(of(50 << 20));
        gone(held, b);
        assertEquals(50 << 20, held.get("p", c).content().length);
    }

    /** What memory has let go of, or another server took, comes from the store; one that is away keeps nobody from what is in memory. */
    @Test
    void theStoreStandsBehind() {
        UploadStore store = mock(UploadStore.class);
        when(store.find("there", "x")).thenReturn(Optional.of(of(7)));
        assertEquals(7, held(2, store).get("p", "there").content().length);
        UploadStore away = mock(UploadStore.class);
        doThrow(new IllegalStateException("away")).when(away).keep(any(), any(), any());
        Held<Upload> held = held(2, away);
        assertEquals(5, held.get("p", held.put(of(5))).content().length);
    }
}
