package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/** Scripts as browsers get them: packed as far as they read it, kept for a year, and nothing but assets. */
class AssetsTest {
    private static HttpResponse<byte[]> get(Served s, String path, String accepts)
            throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + s.port() + path))
                                .header("Accept-Encoding", accepts)
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }

    @Test
    void theSmallestFormThatABrowserReads() throws Exception {
        try (Served s = new Served(40)) {
            String page = new String(get(s, "/", "identity").body(), java.nio.charset.StandardCharsets.UTF_8);
            Matcher m = Pattern.compile("/assets/index-[\\w-]+\\.js").matcher(page);
            assertTrue(m.find(), page);
            byte[] plain = get(s, m.group(), "identity").body();
            HttpResponse<byte[]> zipped = get(s, m.group(), "br;q=0, gzip");
            assertEquals("gzip", zipped.headers().firstValue("Content-Encoding").orElse(""));
            assertArrayEquals(plain, new GZIPInputStream(new ByteArrayInputStream(zipped.body())).readAllBytes());
            HttpResponse<byte[]> smallest = get(s, m.group(), "gzip, deflate, br");
            assertEquals("br", smallest.headers().firstValue("Content-Encoding").orElse(""));
            assertTrue(smallest.body().length < zipped.body().length);
            assertEquals(
                    "Accept-Encoding", smallest.headers().firstValue("Vary").orElse(""));
            assertTrue(smallest.headers().firstValue("Cache-Control").orElse("").contains("max-age=31536000"));
            assertTrue(smallest.headers().firstValue("Content-Type").orElse("").startsWith("text/javascript"));
        }
    }

    @Test
    void nothingElseIsGivenOut() throws Exception {
        try (Served s = new Served(40)) {
            for (String path :
                    new String[] {"/assets/none.js", "/assets/..%2Findex.html", "/assets/%2e%2e", "/assets/a.class"}) {
                assertEquals(404, get(s, path, "br").statusCode(), path);
            }
        }
    }
}
