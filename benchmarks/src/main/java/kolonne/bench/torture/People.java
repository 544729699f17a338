package kolonne.bench.torture;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/** People at work on one project through several servers, and all that was acknowledged to them. */
final class People implements AutoCloseable {
    private final Office office;
    private final String project;
    private final List<String> beams;
    private final byte[] model;
    private final Tally tally;
    private final ExecutorService pool = Executors.newCachedThreadPool();
    private final List<Future<?>> all = new ArrayList<>();
    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger number = new AtomicInteger();
    /** Of the names of these people's changes; others had theirs before. */
    private final String prefix = Long.toString(System.nanoTime(), 36) + "-";

    /** Version by the name under which a change was made, of those that were acknowledged. */
    private final Map<String, Integer> edits = new ConcurrentHashMap<>();

    private final Map<String, String> projects = new ConcurrentHashMap<>();

    /** @param model that is imported anew now and then */
    People(Office office, String project, List<String> beams, byte[] model, Tally tally) {
        this.office = office;
        this.project = project;
        this.beams = beams;
        this.model = model;
        this.tally = tally;
    }

    private void start(Callable<?> turn, int pauseMs) {
        all.add(pool.submit(() -> {
            while (!over.get()) {
                turn.call();
                Thread.sleep(pauseMs);
            }
            return null;
        }));
    }

    void begin(int editors, int readers) {
        for (int i = 0; i < editors; i++) {
            Random random = new Random(i);
            start(() -> edit(random), 20);
        }
        for (int i = 0; i < readers; i++) {
            Random random = new Random(100 + i);
            start(() -> read(random), 50);
        }
        Random random = new Random(200);
        start(() -> basis(random), 4000);
        start(() -> bring(random), 3000);
    }

    private String any(Random random) {
        return office.address(random.nextInt(office.size()));
    }

    private Object edit(Random random) throws InterruptedException {
        String beam = beams.get(random.nextInt(beams.size()));
        int n = number.incrementAndGet();
        // never as it is already, nor as another makes it: that would change nothing, and stay at the version that is
        // there then
        double from = -1000 - n % 5000 / 10.0;
        String body = "{\"faces\":{\"bottom\":[{\"layer\":1,\"count\":" + (2 + random.nextInt(4))
                + ",\"size\":\"T25\",\"from\":" + from + ",\"to\":1000000,\"hookFrom\":true,\"hookTo\":true}]}}";
        return change(random, n, "PUT", "/members/" + beam + "/hand", body);
    }

    private Object basis(Random random) throws InterruptedException {
        int n = number.incrementAndGet();
        String cover = String.format(Locale.ROOT, "%.3f", 30 + random.nextInt(31) + n % 1000 / 1000.0);
        return change(random, n, "PATCH", "/basis", "{\"beamCoverMm\":" + cover + "}");
    }

    private Object change(Random random, int n, String method, String path, String body) throws InterruptedException {
        String at = any(random) + "/api/projects/" + project;
        Tally.Answer state = tally.get(at + "/state");
        if (state.ok()) {
            int seen = state.body().path("version").asInt();
            String name = prefix + n;
            Tally.Answer a = tally.ask(
                    method,
                    at + path,
                    body.getBytes(StandardCharsets.UTF_8),
                    "Content-Type",
                    "application/json",
                    "If-Match",
                    "\"" + seen + "\"",
                    "Kolonne-Person",
                    name,
                    "Kolonne-Window",
                    "w" + random.nextInt());
            // what changes nothing stays at the version
            if (a.ok() && a.body().path("version").asInt() > seen) {
                edits.put(name, a.body().path("version").asInt());
            }
        }
        return null;
    }

    private Object read(Random random) throws InterruptedException {
        String at = any(random) + "/api/projects";
        return switch (random.nextInt(3)) {
            case 0 -> tally.get(at);
            case 1 -> tally.get(at + "/" + project + "/state");
            default -> tally.get(at + "/" + project + "/results?size=50");
        };
    }

    private Object bring(Random random) throws InterruptedException {
        String at = any(random);
        String name = prefix + number.incrementAndGet();
        Tally.Answer a = tally.ask(
                "POST",
                at + "/api/projects?name=" + name + "&fileName=m.json",
                model,
                "Content-Type",
                "application/octet-stream");
        if (a.ok()) {
            JsonNode end = ended(tally, at, a.body());
            if (end.path("phase").asText().equals("done")) {
                projects.put(name, end.path("result").asText());
            }
        }
        return null;
    }

    /** A job as it ended; missing where its server did before it, or where it takes over a minute. */
    static JsonNode ended(Tally tally, String at, JsonNode job) throws InterruptedException {
        JsonNode now = job;
        for (int i = 0; i < 600 && !now.path("phase").asText().matches("done|failed|cancelled"); i++) {
            Thread.sleep(Math.min(100, 5 + 5L * i));
            Tally.Answer a = tally.get(at + "/api/jobs/" + job.path("id").asText());
            if (!a.ok() && a.status() != 503) {
                return MissingNode.getInstance();
            }
            now = a.ok() ? a.body() : now;
        }
        return now;
    }

    /** Stops working. @throws Exception what went wrong with somebody */
    void end() throws Exception {
        over.set(true);
        for (Future<?> f : all) {
            f.get();
        }
    }

    int acknowledged() {
        return edits.size() + projects.size();
    }

    /** What was acknowledged and is not there, or not as it was, on a server. */
    List<String> lost(int server) throws InterruptedException, IOException {
        String at = office.address(server) + "/api/projects";
        Map<String, Integer> there = new ConcurrentHashMap<>();
        JsonNode history = whole(at + "/" + project + "/edits");
        history.path("entries")
                .forEach(e ->
                        there.put(e.path("person").asText(), e.path("version").asInt()));
        List<String> out = new ArrayList<>();
        edits.forEach((name, version) -> {
            if (!version.equals(there.get(name))) {
                out.add("edit " + name + " at version " + version + ", there at " + there.get(name));
            }
        });
        String list = whole(at).toString();
        projects.forEach((name, id) -> {
            if (!list.contains(id)) {
                out.add("project " + name + " " + id);
            }
        });
        return out;
    }

    private JsonNode whole(String address) throws InterruptedException, IOException {
        for (int i = 0; i < 100; i++) {
            Tally.Answer a = tally.get(address);
            if (a.ok()) {
                return a.body();
            }
            Thread.sleep(300);
        }
        throw new IOException("no answer of " + address);
    }

    @Override
    public void close() {
        over.set(true);
        pool.shutdownNow();
    }
}
