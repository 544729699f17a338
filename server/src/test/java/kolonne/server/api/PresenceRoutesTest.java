package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

@Timeout(60)
class PresenceRoutesTest {
    /** A window that follows a project. */
    private static final class Window implements AutoCloseable {
        private final InputStream in;
        private final BufferedReader lines;

        Window(HttpClient client, Served s, String query) throws IOException, InterruptedException {
            URI at = URI.create("http://127.0.0.1:" + s.port() + s.project + "/events?" + query);
            in = client.send(
                            HttpRequest.newBuilder(at)
                                    .header("Accept", "text/event-stream")
                                    .build(),
                            HttpResponse.BodyHandlers.ofInputStream())
                    .body();
            lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
        }

        /** What is told next of who else is there. */
        String people() throws IOException {
            String line;
            do {
                line = lines.readLine();
            } while (!line.equals("event: people"));
            return lines.readLine();
        }

        @Override
        public void close() throws IOException {
            in.close();
        }
    }

    @Test
    void whoFollowsAProjectIsToldWhoElseDoesUntilTheyAreGone() throws IOException, InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        try (Served s = new Served(60);
                Window zoe = new Window(client, s, "person=Zo%C3%AB%0A%20Q&window=a")) {
            assertEquals("data: {\"people\":[]}", zoe.people());
            try (Window nameless = new Window(client, s, "window=b")) {
                assertEquals("data: {\"people\":[\"Zoë  Q\"]}", nameless.people());
                assertEquals("data: {\"people\":[\"\"]}", zoe.people());
            }
            // found out by what can no longer be sent
            assertEquals("data: {\"people\":[]}", zoe.people());
            try (Window old = new Window(client, s, "")) {
                assertEquals("data: {\"people\":[\"Zoë  Q\"]}", old.people(), "a page that tells nothing of itself");
            }
        }
    }
}
