package kolonne.bench.torture;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.OutputStream;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.exchange.model.ModelWriter;

/**
 * Tortures two servers on one database and prints what became of it: kills of servers, database and all of them while people work; damaged files; slow clients, a
 * crowd and large uploads; a full disk. Ends with 1 if anything acknowledged was lost, answered by a fault, or not answered in ten seconds.
 */
public final class Torture {
    private static final Building SMALL = DemoBuilding.generate(DemoOptions.ofSize(60));
    private final Office office;
    private final Office.Places places;
    private boolean sound = true;
    private String project;
    private final List<String> beams = new ArrayList<>();

    private Torture(Office.Places places) throws IOException {
        this.places = places;
        this.office = new Office(places, List.of(freePort(), freePort()));
    }

    /** @param args folder of the application, its jar, folder and port of the running database, folder on a small disk or "-"; kills, files and seconds for each part */
    public static void main(String[] args) throws Exception {
        Office.Places places =
                new Office.Places(Path.of(args[0]), Path.of(args[1]), Path.of(args[2]), Integer.parseInt(args[3]));
        Torture t = new Torture(places);
        int kills = Integer.parseInt(args[5]);
        int files = Integer.parseInt(args[6]);
        int seconds = Integer.parseInt(args[7]);
        try {
            if (kills + files > 0) {
                t.begin();
                t.kills(kills, seconds);
                t.badFiles(files, seconds);
                t.crowd();
            }
        } finally {
            t.office.close();
        }
        if (!args[4].equals("-")) {
            t.fullDisk(Path.of(args[4]));
        }
        if (kills + files > 0) {
            t.faultsInLogs();
        }
        System.out.println("most memory of a server: " + t.office.peakMb() + " MB");
        System.exit(t.sound ? 0 : 1);
    }

    /** What the servers themselves took for a fault, besides a database that does not answer. */
    private void faultsInLogs() throws IOException {
        for (int i = 0; i < office.size(); i++) {
            Path log = places.database().resolve("../logs" + i + "/server.log").normalize();
            List<String> lines = Files.readAllLines(log);
            Set<String> told = new LinkedHashSet<>();
            for (int at = 0; at < lines.size(); at++) {
                String why = at + 1 < lines.size() ? lines.get(at + 1) : "";
                if (lines.get(at).contains(" ERROR ") && !why.contains("PersistenceException")) {
                    told.add(String.join(" | ", lines.subList(at, Math.min(lines.size(), at + 7)))
                            .replaceFirst("^\\S+ \\S+ ", ""));
                }
            }
            told.stream().limit(8).forEach(l -> System.out.println("    log: " + l));
        }
    }

    static int freePort() throws IOException {
        try (ServerSocket s = new ServerSocket(0)) {
            return s.getLocalPort();
        }
    }

    private static void until(String what, int seconds, java.util.concurrent.Callable<Boolean> is) throws Exception {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        while (!is.call()) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("not within " + seconds + " s: " + what);
            }
            Thread.sleep(100);
        }
    }

    private static boolean ready(Office o, int server) throws InterruptedException {
        return new Tally("ready").get(o.address(server) + "/api/ready").ok();
    }

    private void begin() throws Exception {
        for (int i = 0; i < office.size(); i++) {
            office.startServer(i);
            int server = i;
            until("server " + i, 120, () -> ready(office, server));
        }
        project = imported(office, SMALL);
        beams.addAll(beams(office, project));
    }

    private static List<String> beams(Office o, String project) throws Exception {
        List<String> out = new ArrayList<>();
        for (JsonNode r : designed(o, 0, project).path("rows")) {
            if (r.path("role").asText().equals("beam")) {
                out.add(r.path("mark").asText());
            }
        }
        if (out.isEmpty()) {
            throw new IllegalStateException("no beams");
        }
        return out;
    }

    private static String imported(Office o, Building b) throws Exception {
        Tally t = new Tally("import");
        Tally.Answer a = t.ask(
                "POST",
                o.address(0) + "/api/projects?fileName=m.json",
                ModelWriter.json(b),
                "Content-Type",
                "application/octet-stream");
        return People.ended(t, o.address(0), a.body()).path("result").asText();
    }

    /** The rows of a project once its design is current. */
    private static JsonNode designed(Office o, int server, String project) throws Exception {
        Tally t = new Tally("design");
        String at = o.address(server) + "/api/projects/" + project;
        until("a design on server " + server, 180, () -> {
            JsonNode s = t.get(at + "/state").body();
            return s.path("designed").asInt(-1) == s.path("version").asInt()
                    && s.path("doing").asText().isEmpty();
        });
        return t.get(at + "/results?size=5000").body();
    }

    private void done(Tally t, String counted, List<String> lost) {
        t.print();
        System.out.println("    " + counted + "; lost: " + lost.size() + (lost.isEmpty() ? "" : " " + lost));
        sound &= t.sound() && lost.isEmpty();
    }

    private void kills(int most, int seconds) throws Exception {
        Tally t = new Tally("kills");
        Random random = new Random(11);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        int kills = 0;
        int[] of = new int[3];
        People people = new People(office, project, beams, ModelWriter.json(SMALL), t);
        try (people) {
            people.begin(3, 3);
            while (kills < most && System.nanoTime() < end) {
                until("a server", 120, () -> {
                    office.mend();
                    return ready(office, 0) || ready(office, 1);
                });
                Thread.sleep(200 + random.nextInt(1500));
                int what = random.nextInt(6);
                if (what <= 2) {
                    office.killServer(what % 2);
                    of[0]++;
                } else if (what <= 4) {
                    office.killDatabase();
                    of[1]++;
                } else {
                    office.killServer(0);
                    office.killServer(1);
                    office.killDatabase();
                    of[2]++;
                }
                kills++;
                Thread.sleep(random.nextInt(300));
                if (what > 2) {
                    office.startDatabase();
                }
                office.mend();
            }
            people.end();
        }
        for (int i = 0; i < office.size(); i++) {
            int server = i;
            until("server " + i, 120, () -> ready(office, server));
        }
        List<String> lost = new ArrayList<>(people.lost(0));
        lost.addAll(people.lost(1));
        if (!designed(office, 0, project)
                .path("rows")
                .equals(designed(office, 1, project).path("rows"))) {
            lost.add("the servers show different designs");
        }
        done(
                t,
                kills + " kills (" + of[0] + " of a server, " + of[1] + " of the database, " + of[2] + " of all), "
                        + people.acknowledged() + " changes acknowledged",
                lost);
    }

    private void badFiles(int files, int seconds) throws Exception {
        String fresh = imported(office, SMALL);
        designed(office, 0, fresh);
        Tally bad = new Tally("damaged files");
        Tally others = new Tally("others meanwhile");
        BadFiles b = new BadFiles(office.address(0), fresh, beams.get(0), SMALL, bad);
        int given;
        try (People people = new People(office, project, beams, ModelWriter.json(SMALL), others)) {
            people.begin(0, 2);
            given = b.give(files, System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds));
            people.end();
        }
        office.measure();
        done(bad, given + " files", List.of());
        done(others, "reading, changing the basis, importing", List.of());
    }

    private void crowd() throws Exception {
        Tally slow = new Tally("others beside 300 slow clients");
        try (People people = new People(office, project, beams, ModelWriter.json(SMALL), slow);
                Crowd crowd = new Crowd(300, Integer.parseInt(office.address(0).replaceAll(".*:", "")))) {
            people.begin(2, 4);
            Thread.sleep(20_000);
            people.end();
            done(slow, crowd.let() + " of the slow ones were let in", people.lost(0));
        }
        office.measure();
        Tally users = new Tally("50 people");
        try (People people = new People(office, project, beams, ModelWriter.json(SMALL), users)) {
            people.begin(20, 28);
            Thread.sleep(20_000);
            people.end();
            done(users, people.acknowledged() + " changes acknowledged", people.lost(1));
        }
        office.measure();
        uploads();
    }

    private void uploads() throws Exception {
        Tally others = new Tally("others beside 30 uploads of 1 000 members");
        byte[] model = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(1000)));
        Tally up = new Tally("30 uploads");
        try (People people = new People(office, project, beams, ModelWriter.json(SMALL), others)) {
            people.begin(1, 2);
            List<Thread> all = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                String at = office.address(i % 2);
                Thread t = new Thread(() -> upload(up, at, model));
                t.start();
                all.add(t);
            }
            for (Thread t : all) {
                t.join();
            }
            people.end();
            done(up, "of " + model.length / 1024 + " kB each", List.of());
            done(others, people.acknowledged() + " changes acknowledged", people.lost(0));
        }
        office.measure();
    }

    private static void upload(Tally t, String at, byte[] model) {
        try {
            Tally.Answer a = t.ask(
                    "POST",
                    at + "/api/projects?name=large&fileName=m.json",
                    model,
                    "Content-Type",
                    "application/octet-stream");
            if (a.ok()) {
                JsonNode end = People.ended(t, at, a.body());
                if (end.path("findings").toString().contains("server.error")) {
                    t.fault("an import failed inside");
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** A database on a disk that fills up, and has room again. */
    private void fullDisk(Path disk) throws Exception {
        Tally t = new Tally("a full disk");
        Office.Places small = new Office.Places(places.root(), places.jar(), disk.resolve("db"), freePort());
        Office one = new Office(small, List.of(freePort()));
        Path filler = disk.resolve("filler");
        one.startDatabase();
        try (one) {
            one.startServer(0);
            until("the server on the small disk", 120, () -> ready(one, 0));
            String id = imported(one, SMALL);
            try (People people = new People(one, id, beams(one, id), ModelWriter.json(SMALL), t)) {
                people.begin(3, 1);
                Thread.sleep(4000);
                fill(filler);
                Thread.sleep(12_000);
                Files.delete(filler);
                int before = people.acknowledged();
                until("changes once there is room again", 60, () -> {
                    one.mendDatabase();
                    return people.acknowledged() > before + 3;
                });
                people.end();
                done(t, people.acknowledged() + " changes acknowledged", people.lost(0));
            }
        } finally {
            one.killDatabase();
        }
    }

    private static void fill(Path file) {
        byte[] much = new byte[1 << 20];
        try (OutputStream out = Files.newOutputStream(file)) {
            while (true) {
                out.write(much);
            }
        } catch (IOException e) {
            return; // full
        }
    }
}
