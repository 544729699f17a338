package kolonne.bench.torture;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/** Requests of one part of the torture: how long they took, and what went wrong. */
final class Tally {
    private static final Duration HANG = Duration.ofSeconds(10);
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final HttpClient CLIENT = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(5))
            .executor(Executors.newFixedThreadPool(8, r -> {
                Thread t = new Thread(r, "client");
                t.setDaemon(true);
                return t;
            }))
            .build();

    private final String name;
    private final List<Long> took = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger faults = new AtomicInteger();
    private final AtomicInteger hangs = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();
    private final AtomicInteger away = new AtomicInteger();
    private final List<String> worst = Collections.synchronizedList(new ArrayList<>());

    Tally(String name) {
        this.name = name;
    }

    /** What was answered. @param status 0 where nobody answered */
    record Answer(int status, JsonNode body) {
        boolean ok() {
            return status >= 200 && status < 300;
        }
    }

    Answer get(String address) throws InterruptedException {
        return ask("GET", address, null);
    }

    Answer ask(String method, String address, byte[] body, String... headers) throws InterruptedException {
        HttpRequest.Builder b = HttpRequest.newBuilder(URI.create(address))
                .timeout(HANG)
                .method(
                        method,
                        body == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofByteArray(body));
        if (headers.length > 0) {
            b.headers(headers);
        }
        long began = System.nanoTime();
        try {
            HttpResponse<byte[]> r = CLIENT.send(b.build(), HttpResponse.BodyHandlers.ofByteArray());
            took.add((System.nanoTime() - began) / 1_000_000);
            count(r.statusCode(), method + " " + address);
            return new Answer(r.statusCode(), parsed(r.body()));
        } catch (HttpTimeoutException e) {
            if (!e.getMessage().contains("connect")) {
                hangs.incrementAndGet();
                worst.add("no answer in 10 s: " + method + " " + address);
            }
        } catch (IOException e) {
            away.incrementAndGet(); // killed, or not up again
        }
        return new Answer(0, JSON.createObjectNode());
    }

    private void count(int status, String what) {
        if (status == 503 || status == 507 || status == 429) {
            refused.incrementAndGet();
        } else if (status >= 500) {
            fault(status + ": " + what);
        }
    }

    /** Something that must not happen. */
    void fault(String what) {
        faults.incrementAndGet();
        worst.add(what);
    }

    private static JsonNode parsed(byte[] body) {
        try {
            return JSON.readTree(body);
        } catch (IOException e) {
            return JSON.createObjectNode();
        }
    }

    private long part(double p) {
        List<Long> sorted = new ArrayList<>(took);
        Collections.sort(sorted);
        return sorted.isEmpty() ? 0 : sorted.get((int) Math.min(sorted.size() - 1L, Math.round(p * sorted.size())));
    }

    boolean sound() {
        return faults.get() == 0 && hangs.get() == 0;
    }

    void print() {
        System.out.printf(
                Locale.ROOT,
                "%-46s %7d answers  p50 %5d  p95 %5d  p99 %5d ms  500: %d  hangs: %d  told to wait: %d  nobody there: %d%n",
                name,
                took.size(),
                part(0.5),
                part(0.95),
                part(0.99),
                faults.get(),
                hangs.get(),
                refused.get(),
                away.get());
        worst.stream().distinct().limit(10).forEach(w -> System.out.println("    " + w));
    }
}
