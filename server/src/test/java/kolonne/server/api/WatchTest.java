package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.core.Appender;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.server.watch.Logs;
import kolonne.server.watch.Metrics;
import kolonne.server.watch.RequestWatch;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.slf4j.LoggerFactory;

@Timeout(120)
class WatchTest {
    private static double figure(String text, String line) {
        Matcher m = Pattern.compile("^" + Pattern.quote(line) + " ([0-9.E+-]+)$", Pattern.MULTILINE)
                .matcher(text);
        assertTrue(m.find(), line + " in\n" + text);
        return Double.parseDouble(m.group(1));
    }

    @Test
    void figuresTellRequestsByRouteAndJobsByPhase() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            String line =
                    "kolonne_requests_seconds_count{method=\"GET\",route=\"/api/projects/{id}/basis\",status=\"200\"}";
            s.get("/basis");
            s.ask(404, "GET", "/members/none", null);
            s.fileAt("/api/nothing/of/the/kind");
            HttpResponse<String> now = s.fileAt("/api/metrics");
            assertEquals(
                    Metrics.CONTENT_TYPE,
                    now.headers().firstValue("Content-Type").orElseThrow());
            double before = figure(now.body(), line);
            s.get("/basis");
            s.get("/basis");
            String text = s.fileAt("/api/metrics").body();
            assertEquals(before + 2, figure(text, line));
            assertEquals(0, figure(text, "kolonne_jobs_waiting"));
            assertEquals(1, figure(text, "kolonne_projects_open"));
            assertTrue(text.contains("jvm_memory_used_bytes{") && text.contains("process_uptime_seconds "));
            assertFalse(text.contains(s.project.substring(s.project.lastIndexOf('/'))), "no project is named");
            assertFalse(text.contains("of/the/kind"), "addresses that are no route are told together");
        }
    }

    @Test
    void everyRequestHasAnIdAndALineWithoutWhatWasAsked(@TempDir Path dir) throws IOException, InterruptedException {
        Path folder = dir.resolve("logs");
        Logs.into(folder);
        try (Served s = new Served(60)) {
            HttpResponse<String> a = s.file("/results?q=mark:SECRET");
            HttpResponse<String> b = s.file("/basis");
            String id = a.headers().firstValue(RequestWatch.HEADER).orElseThrow();
            assertNotEquals(id, b.headers().firstValue(RequestWatch.HEADER).orElseThrow());
            s.fileAt("/api/x%0d%0ay" + "z".repeat(500));
            List<String> lines = written(folder.resolve("access.log"), 3);
            String own = lines.stream().filter(l -> l.contains(id)).findFirst().orElseThrow();
            assertTrue(
                    own.matches(
                            "\\d{4}-\\d\\d-\\d\\dT[0-9:.]+Z \\[" + id + "] GET " + s.project + "/results 200 \\d+ ms"),
                    own);
            assertTrue(lines.stream().noneMatch(l -> l.contains("SECRET") || l.length() > 400));
            assertTrue(lines.stream().allMatch(l -> l.matches("\\d{4}-.* ms")), "no path begins a line");
        } finally {
            detach("ROOT", "server");
            detach("access", "access");
        }
        assertThrows(
                IOException.class,
                () -> Logs.into(Files.createFile(dir.resolve("file")).resolve("logs")));
    }

    /** The last line is written after its answer has gone out. */
    private static List<String> written(Path file, int least) throws IOException {
        List<String> lines = List.of();
        while (lines.stream().filter(l -> l.contains("/api/")).count() < least
                || lines.stream().noneMatch(l -> l.contains("zzz"))) {
            lines = Files.readAllLines(file);
            Thread.onSpinWait();
        }
        return lines;
    }

    private static void detach(String logger, String name) {
        Logger l = (Logger) LoggerFactory.getLogger(logger);
        Appender<?> file = l.getAppender(name);
        l.detachAppender(name);
        file.stop();
    }
}
