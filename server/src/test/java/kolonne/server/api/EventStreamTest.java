package kolonne.server.api;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import io.javalin.http.sse.SseClient;
import org.junit.jupiter.api.Test;

/** A stream that is broken ends by itself and stops nobody who has something to tell. */
class EventStreamTest {
    @Test
    void aBrokenStreamIsClosedAndNothingIsThrown() {
        SseClient broken = mock(SseClient.class);
        doThrow(new IllegalStateException("s=OPEN,api=BLOCKED")).when(broken).sendEvent(any(String.class), any());
        Api.send(broken, "state", "designed");
        verify(broken).close();
    }

    @Test
    void aSoundOneStaysOpen() {
        SseClient sound = mock(SseClient.class);
        Api.send(sound, "state", "designed");
        verify(sound).sendEvent("state", "designed");
        verify(sound, never()).close();
    }
}
