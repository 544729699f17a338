package kolonne.bench.torture;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Servers on a database, which can be killed and started again. */
final class Office implements AutoCloseable {
    /**
     * Where all of it is.
     *
     * @param root     folder of the application
     * @param database folder of the database; {@code port} that it answers at
     */
    record Places(Path root, Path jar, Path database, int port) {
        String url() {
            return "jdbc:mariadb://127.0.0.1:" + port + "/kolonne";
        }
    }

    private final Places places;
    private final List<Process> servers = new ArrayList<>();
    private final List<Integer> ports;
    private volatile long peakKb;

    Office(Places places, List<Integer> ports) {
        this.places = places;
        this.ports = List.copyOf(ports);
        ports.forEach(p -> servers.add(null));
    }

    int size() {
        return ports.size();
    }

    String address(int server) {
        return "http://127.0.0.1:" + ports.get(server);
    }

    synchronized void startServer(int i) throws IOException {
        List<String> command = List.of(
                "java",
                "-Xmx1g",
                "-XX:+ExitOnOutOfMemoryError",
                "-jar",
                places.jar().toString(),
                "serve",
                "--port",
                ports.get(i).toString(),
                "--database",
                places.url(),
                "--password-file",
                places.database().resolve("password").toString(),
                "--logs",
                places.database().resolve("../logs" + i).toString());
        servers.set(
                i,
                new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.appendTo(places.database()
                                .resolve("../server" + i + ".out")
                                .toFile()))
                        .start());
    }

    /** Starts again what has ended by itself, as {@code ./start} does. */
    synchronized void mend() throws IOException {
        for (int i = 0; i < servers.size(); i++) {
            if (servers.get(i) != null && !servers.get(i).isAlive()) {
                startServer(i);
            }
        }
    }

    synchronized void killServer(int i) throws InterruptedException {
        measure();
        servers.get(i).destroyForcibly().waitFor();
    }

    void killDatabase() throws IOException, InterruptedException {
        String pid = Files.readString(places.database().resolve("run/db.pid")).strip();
        shell("kill -9 " + pid + "; while [ -e /proc/" + pid + "/exe ]; do sleep 0.05; done");
    }

    void startDatabase() throws IOException, InterruptedException {
        shell("cd '" + places.root() + "' && . scripts/lib.sh && database_start '" + places.database() + "' "
                + places.port());
    }

    /** Starts a database that has ended by itself, as {@code ./start} does. */
    void mendDatabase() throws IOException, InterruptedException {
        Path pid = places.database().resolve("run/db.pid");
        if (!Files.exists(pid)
                || !Files.exists(Path.of("/proc", Files.readString(pid).strip(), "exe"))) {
            System.out.println("    the database ended by itself and is started again");
            startDatabase();
        }
    }

    static void shell(String line) throws IOException, InterruptedException {
        Process p =
                new ProcessBuilder("bash", "-c", line).redirectErrorStream(true).start();
        String said = new String(p.getInputStream().readAllBytes());
        if (p.waitFor() != 0) {
            throw new IOException(line + ": " + said);
        }
    }

    /** Takes down how much memory the servers hold now. */
    void measure() {
        for (Process p : List.copyOf(
                servers.stream().filter(s -> s != null && s.isAlive()).toList())) {
            try {
                Files.readAllLines(Path.of("/proc", String.valueOf(p.pid()), "status")).stream()
                        .filter(l -> l.startsWith("VmRSS:"))
                        .forEach(l -> peakKb = Math.max(peakKb, Long.parseLong(l.replaceAll("\\D", ""))));
            } catch (IOException e) {
                // it has ended meanwhile
                continue;
            }
        }
    }

    long peakMb() {
        return peakKb >> 10;
    }

    @Override
    public synchronized void close() {
        for (Process p : servers) {
            if (p != null) {
                p.destroy();
            }
        }
        for (Process p : servers) {
            try {
                if (p != null && !p.waitFor(20, TimeUnit.SECONDS)) {
                    p.destroyForcibly();
                }
            } catch (InterruptedException e) {
                p.destroyForcibly();
                Thread.currentThread().interrupt();
            }
        }
    }
}
