package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipInputStream;
import kolonne.server.archive.ProjectArchive;
import kolonne.server.store.CommandRow;
import kolonne.server.store.StoredProject;
import org.junit.jupiter.api.Test;

/** A project is downloaded, taken in by another server, and is there what it was: model, basis, cages by hand, marks, title block, history with persons. */
class ProjectFileRoutesTest {
    private static final String HAND =
            "{\"stirrups\":{\"0\":[{\"from\":0,\"size\":\"T12\",\"legs\":4,\"spacing\":90}]}}";

    private static byte[] download(Served s) throws Exception {
        return download(s, "");
    }

    private static byte[] download(Served s, String query) throws Exception {
        HttpResponse<byte[]> r = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(
                                        "http://127.0.0.1:" + s.port() + s.project + "/exports/project.zip" + query))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertEquals(200, r.statusCode());
        return r.body();
    }

    /** The mark of some beam line. */
    private static String beam(Served s) throws Exception {
        for (JsonNode mark : s.get("/view").get("marks")) {
            if (mark.asText().contains("-B")) {
                return mark.asText();
            }
        }
        throw new AssertionError("no beam");
    }

    private static void work(Served s) throws Exception {
        s.change("PATCH", "/basis", "{\"beamCoverMm\":45}");
        s.change("PUT", "/members/" + beam(s) + "/hand", HAND);
        s.change("POST", "/undo", null);
        s.change("POST", "/redo", null);
        s.change("PATCH", "", "{\"name\":\"Zaal twee\"}");
    }

    @Test
    void itIsWhatItWasOnAnotherServer() throws Exception {
        try (Served s = new Served(60);
                Served other = new Served(20)) {
            work(s);
            byte[] file = download(s);
            JsonNode job = other.ended(Requests.upload(other.javalin(), "/api/projects?fileName=p.zip", file));
            assertEquals("done", job.get("phase").asText(), job.toString());
            String there = "/api/projects/" + job.get("result").asText();
            assertNotEquals(s.project, there);
            other.look(there);
            assertEquals(s.get("/basis"), other.get("/basis"));
            assertEquals("Zaal twee", other.get("").get("name").asText());
            assertEquals(s.get("/edits"), other.get("/edits"));
            assertTrue(s.get("/edits").toString().contains("undo"));
            assertEquals(
                    s.file("/exports/checks.csv").body(),
                    other.file("/exports/checks.csv").body());
            // and goes on as any other
            assertEquals(s.version(), other.version());
            other.change("POST", "/undo", null);
            assertEquals(s.version() + 1, other.version());
        }
    }

    /** For others to read: the application designs again, and what stands in the results changes nothing. */
    @Test
    void resultsAreInItWhereTheyAreAskedForAndAreNotBelieved() throws Exception {
        try (Served s = new Served(20)) {
            s.ask(400, "GET", "/exports/project.zip?results=some", null);
            byte[] file = download(s, "?results=yes");
            String results = s.file("/exports/results.json").body();
            String last = null;
            try (ZipInputStream z = new ZipInputStream(new ByteArrayInputStream(file))) {
                for (var e = z.getNextEntry(); e != null; e = z.getNextEntry()) {
                    last = e.getName();
                    if (last.equals("results.json")) {
                        assertEquals(results, new String(z.readAllBytes(), StandardCharsets.UTF_8));
                    }
                }
            }
            assertEquals("results.json", last);
            StoredProject p = ProjectArchive.read(file).project();
            ByteArrayOutputStream forged = new ByteArrayOutputStream();
            ProjectArchive.write(
                    p, o -> o.write("{\"state\":\"all is well\"}".getBytes(StandardCharsets.UTF_8)), forged);
            JsonNode job = s.ended(Requests.upload(s.javalin(), "/api/projects?fileName=p.zip", forged.toByteArray()));
            assertEquals("done", job.get("phase").asText(), job.toString());
            s.look("/api/projects/" + job.get("result").asText());
            assertEquals(results, s.file("/exports/results.json").body());
        }
    }

    private static byte[] written(StoredProject p) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ProjectArchive.write(p, out);
        return out.toByteArray();
    }

    private static StoredProject with(StoredProject p, CommandRow more) {
        List<CommandRow> all = new ArrayList<>(p.commands());
        all.add(more);
        return new StoredProject(
                new kolonne.server.store.ProjectRow(
                        p.row().id(),
                        p.row().name(),
                        p.row().createdAt(),
                        p.row().changedAt(),
                        more.version()),
                p.model(),
                all,
                p.revisions(),
                p.data());
    }

    @Test
    void aHistoryThatCannotBeFollowedIsRefusedWhole() throws Exception {
        try (Served s = new Served(20)) {
            StoredProject p = ProjectArchive.read(download(s)).project();
            int before = s.store.list().size();
            for (String[] bad : new String[][] {
                {"paint-red", "{}", "no kind of change"},
                {"undo-edit", "{}", "cannot be followed"},
                {"change-basis", "{\"fields\":{\"nothing\":{\"of\":7}}}", "cannot be followed"},
                {"edit-model", "[{\"kind\":\"nonsense\"}]", "cannot be followed"}
            }) {
                CommandRow c = new CommandRow("x", 2, bad[0], bad[1], p.row().createdAt(), "", null);
                JsonNode job =
                        s.ended(Requests.upload(s.javalin(), "/api/projects?fileName=p.zip", written(with(p, c))));
                assertEquals("failed", job.get("phase").asText(), bad[0] + job);
                assertTrue(job.get("findings").toString().contains(bad[2]), bad[0] + job);
            }
            assertEquals(before, s.store.list().size());
        }
    }
}
