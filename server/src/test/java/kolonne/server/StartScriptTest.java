package kolonne.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The shell functions that ./start stands on. */
class StartScriptTest {
    private static final Path LIB =
            Path.of("..", "scripts", "lib.sh").toAbsolutePath().normalize();

    private static Process bash(String script) throws IOException {
        return new ProcessBuilder("bash", "-c", ". " + LIB + "; " + script)
                .redirectErrorStream(true)
                .start();
    }

    private static String out(Process p) throws IOException, InterruptedException {
        String s = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        p.waitFor();
        return s;
    }

    /** A second start on a folder is refused with the process that holds it, for as long as that or a server that it left behind lives. */
    @Test
    void aFolderHasOneOwner(@TempDir Path dir) throws IOException, InterruptedException {
        Process first = bash("own_folder '" + dir + "'; sleep 120 & SERVER=$!; echo $SERVER > '" + dir
                + "/owner'; echo held; wait $SERVER");
        try (BufferedReader r =
                new BufferedReader(new InputStreamReader(first.getInputStream(), StandardCharsets.UTF_8))) {
            assertEquals("held", r.readLine());
            Process second = bash("own_folder '" + dir + "'; echo taken");
            String words = out(second);
            String owner = Files.readString(dir.resolve("owner")).strip();
            assertEquals(1, second.exitValue(), words);
            assertTrue(words.contains("runs on the folder") && words.contains("process " + owner), words);
            // killed alone, it leaves its server behind: the folder is still held
            first.destroyForcibly().waitFor();
            assertTrue(out(bash("own_folder '" + dir + "'; echo taken")).contains("runs on the folder"));
        } finally {
            ProcessHandle.of(Long.parseLong(
                            Files.readString(dir.resolve("owner")).strip()))
                    .ifPresent(ProcessHandle::destroy); // what was left behind
        }
        assertTrue(out(bash("for i in $(seq 100); do (own_folder '" + dir
                        + "') >/dev/null 2>&1 && break; sleep 0.1; done; own_folder '" + dir + "'; echo taken"))
                .contains("taken"));
    }

    /** A database that died comes back on the port that the server knows, once the dying process has let go of it, and on no other. */
    @Test
    void aPortIsWaitedFor() throws IOException, InterruptedException {
        Process waits;
        try (ServerSocket held = new ServerSocket(0, 50, InetAddress.getLoopbackAddress())) {
            int port = held.getLocalPort();
            Process refused = bash("same_port " + port + " 0; echo there");
            assertTrue(out(refused).contains("another program listens on port " + port));
            assertEquals(1, refused.exitValue());
            waits = bash("echo waits; same_port " + port + " 60; echo there");
            assertEquals('w', waits.getInputStream().read());
            // of the one that was refused, and of this: it has looked
            held.accept().close();
            held.accept().close();
        }
        assertEquals("aits\nthere\n", out(waits));
    }

    @Test
    void aFolderThatCannotBeMadeIsNamed(@TempDir Path dir) throws IOException, InterruptedException {
        Path file = Files.writeString(dir.resolve("file"), "x");
        Process p = bash("own_folder '" + file + "/data'");
        String words = out(p);
        assertEquals(1, p.exitValue());
        assertTrue(words.contains("cannot be made; choose another with --data") && !words.contains("mkdir"), words);
    }
}
