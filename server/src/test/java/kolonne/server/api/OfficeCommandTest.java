package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipFile;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.command.OfficeCommand;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** The command line with the token of an account, against a server of an office. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class OfficeCommandTest {
    @TempDir
    private Path dir;

    /** What a command answers: its exit status, output and errors. */
    private record Said(int status, String out, String err) {}

    private static Said run(String... args) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        int status = new CommandLine(new OfficeCommand())
                .setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .setExecutionExceptionHandler((e, cmd, parsed) -> {
                    throw e;
                })
                .execute(args);
        return new Said(status, out.toString(), err.toString());
    }

    private Path file(String name, byte[] content) throws IOException {
        return Files.write(dir.resolve(name), content);
    }

    @Test
    void aProjectIsSentAndItsFilesAreFetchedByThoseWhoMay() throws IOException, InterruptedException, SQLException {
        try (TeamServer office = new TeamServer()) {
            office.person("engineer", false);
            office.person("stranger", false);
            String[] engineer = at(office, "engineer");
            Path bad = file("bad.json", "{\"format\":\"kolonne-model\"}".getBytes(StandardCharsets.UTF_8));
            Said wrong = run("send", bad.toString(), engineer[0], engineer[1]);
            assertEquals(2, wrong.status());
            assertTrue(wrong.err().contains("fails field.missing file.version"), wrong.err());
            assertEquals(
                    2, run("send", dir.toString(), engineer[0], engineer[1]).status(), "a folder");
            assertEquals("", run("list", engineer[0], engineer[1]).out());

            Path model = file("zaal.json", ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(40))));
            Said sent = run("send", model.toString(), "--name", "Zaal Süd & Höhe", engineer[0], engineer[1]);
            assertTrue(sent.status() <= 1, sent.toString());
            assertEquals(sent.out().contains(" 0 overstressed, 0 failing"), sent.status() == 0, sent.out());
            String id = sent.out().split(" ")[0];
            Said list = run("list", engineer[0], engineer[1]);
            assertEquals(id + "  version 1  Zaal Süd & Höhe", list.out().strip());

            Path files = dir.resolve("files");
            String[] all =
                    "report.pdf schedules.pdf schedules.xlsx quantities.csv drawings.pdf drawings.dxf building.ifc analysis.ifc bending.json bending.csv checks.csv results.json basis.json history.csv project.zip"
                            .split(" ");
            Said fetched = run(
                    Stream.of(List.of("fetch", id), List.of(all), List.of("--out", files.toString()), List.of(engineer))
                            .flatMap(List::stream)
                            .toArray(String[]::new));
            assertEquals(0, fetched.status(), fetched.toString());
            for (String f : all) {
                assertTrue(Files.size(files.resolve(f)) > 100, f);
            }
            assertTrue(Files.readString(files.resolve("building.ifc")).endsWith("END-ISO-10303-21;\n"));
            try (ZipFile z = new ZipFile(files.resolve("project.zip").toFile())) {
                assertTrue(z.size() > 1);
            }

            // who has no part in it does not see it
            String[] stranger = at(office, "stranger");
            assertEquals("", run("list", stranger[0], stranger[1]).out());
            Said refused =
                    run("fetch", id, "report.pdf", "--out", dir.resolve("none").toString(), stranger[0], stranger[1]);
            assertEquals(2, refused.status());
            assertTrue(refused.err().contains("There is no project"), refused.err());
            assertFalse(Files.exists(dir.resolve("none/report.pdf")));
            Said nobody = run("list", engineer[0]);
            assertEquals(2, nobody.status(), nobody.toString());
            assertTrue(nobody.err().toLowerCase().contains("sign in"), nobody.err());
        }
    }

    private String[] at(TeamServer office, String who) throws IOException, InterruptedException {
        Path token = file(who + ".token", (office.token(who) + "\n").getBytes(StandardCharsets.UTF_8));
        return new String[] {"--at=http://127.0.0.1:" + office.javalin.port(), "--token-file=" + token};
    }

    /** A stand-in that never gets on with it. */
    @Test
    void aBuildingThatCannotBeDesignedIsNotWaitedFor() throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        server.createContext("/api/projects/p/state", e -> {
            byte[] state =
                    ("{\"current\":false,\"doing\":\"\",\"findings\":[{\"severity\":\"fails\",\"code\":\"analysis.unstable\","
                                    + "\"what\":\"It falls over.\",\"mend\":\"Prop it.\"}]}")
                            .getBytes(StandardCharsets.UTF_8);
            e.sendResponseHeaders(200, state.length);
            e.getResponseBody().write(state);
            e.close();
        });
        server.start();
        try {
            String at = "--at=http://127.0.0.1:" + server.getAddress().getPort();
            Said said = run("fetch", "p", "report.pdf", "--out", dir.toString(), at);
            assertEquals(2, said.status(), said.toString());
            assertTrue(said.err().contains("fails analysis.unstable It falls over. Prop it."), said.err());
        } finally {
            server.stop(0);
        }
    }

    @Test
    void noTokenGoesWhereOthersCouldReadIt() throws IOException {
        Path token = file("t", "kol_0123456789abcdef".getBytes(StandardCharsets.UTF_8));
        Said far = run("list", "--at=http://192.0.2.1/", "--token-file=" + token);
        assertEquals(2, far.status());
        assertTrue(far.err().contains("Use https"), far.err());
        for (String at : List.of("ftp://127.0.0.1/", "127.0.0.1", "http:///x")) {
            Said none = run("list", "--at=" + at);
            assertEquals(2, none.status(), at);
            assertTrue(none.err().contains("no address of a server"), none.err());
        }
        Said nobody = run("list", "--at=http://127.0.0.1:9/");
        assertEquals(2, nobody.status());
        assertTrue(nobody.err().contains("No server answers"), nobody.err());
        Said empty = run("list", "--at=http://127.0.0.1:9/", "--token-file=" + file("empty", new byte[0]));
        assertTrue(empty.status() == 2 && empty.err().contains("holds no token"), empty.toString());
        Said lines = run(
                "list",
                "--at=http://127.0.0.1:9/",
                "--token-file=" + file("two", "kol_secret1\nkol_secret2".getBytes(StandardCharsets.UTF_8)));
        assertTrue(lines.status() == 2 && !lines.err().contains("secret"), lines.toString());
        Said unknown = run("fetch", "x", "../secret", "--at=http://127.0.0.1:9/");
        assertTrue(unknown.status() == 2 && unknown.err().contains("has no file ../secret"), unknown.toString());
    }
}
