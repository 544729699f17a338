package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.ProjectStore;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The HTTP API over a store that Mockito stands in for. */
class ApiTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 1, 1, 0, 0);
    private static final ProjectRow ROW = new ProjectRow("p1", "Zaal", NOW, NOW, 3);
    private static final byte[] MODEL = ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60)));
    private static ProjectStore store;
    private static Jobs jobs;
    private static Javalin server;

    @BeforeAll
    static void start() {
        store = mock(ProjectStore.class);
        jobs = new Jobs();
        server = new Api(new Projects(store, jobs), jobs).server().start("127.0.0.1", 0);
    }

    @BeforeEach
    void fill() {
        org.mockito.Mockito.reset(store);
        when(store.by(any())).thenReturn(store);
        when(store.list()).thenReturn(List.of(ROW));
        when(store.find("p1")).thenReturn(Optional.of(ROW));
        when(store.model("p1")).thenReturn(new ModelFileRow("p1", "zaal.json", MODEL));
        when(store.commands("p1", 0))
                .thenReturn(List.of(
                        new CommandRow("p1", 1, "set-basis", BasisFile.write(Basis.standard(false)), NOW, "", null)));
    }

    @AfterAll
    static void stop() {
        server.stop();
        jobs.close();
    }

    private static HttpResponse<String> call(String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        return Requests.send(server, method, path, body, headers);
    }

    private static JsonNode designed(String path) throws IOException, InterruptedException {
        for (int i = 0; i < 150; i++) {
            HttpResponse<String> r = call("GET", path, null);
            if (r.statusCode() == 200) {
                return JSON.readTree(r.body());
            }
            assertEquals(409, r.statusCode(), r.body());
            Thread.sleep(100);
        }
        throw new AssertionError("the design did not come");
    }

    private static JsonNode problem(HttpResponse<String> r, int status) throws IOException {
        assertEquals(status, r.statusCode(), r.body());
        assertTrue(r.headers().firstValue("Content-Type").orElse("").startsWith("application/problem+json"));
        JsonNode p = JSON.readTree(r.body());
        assertFalse(p.get("title").asText().isBlank());
        return p;
    }

    /** The description that the web types are generated from is the one that the server serves. */
    @Test
    void theCheckedInDescriptionIsTheServers() throws IOException, InterruptedException {
        JsonNode served = JSON.readTree(call("GET", "/api/openapi.json", null).body());
        JsonNode file = JSON.readTree(Files.readAllBytes(Path.of("../web/openapi.json")));
        assertEquals(file, served, "write /api/openapi.json to web/openapi.json and run npm run types");
    }

    @Test
    void whatWatchesTheServerIsToldWhetherItCanWork() throws Exception {
        JsonNode ready = JSON.readTree(call("GET", "/api/ready", null).body());
        assertTrue(ready.get("ready").asBoolean() && ready.get("database").asBoolean(), ready.toString());
        assertTrue(
                ready.get("heapFreeMb").asLong() > 0 && ready.get("diskFreeMb").asLong() > 0, ready.toString());
        ProjectStore away = mock(ProjectStore.class);
        when(away.list()).thenThrow(new IllegalStateException(new java.sql.SQLException("gone")));
        try (Jobs own = new Jobs()) {
            Javalin other = new Api(new Projects(away, own), own).server().start("127.0.0.1", 0);
            try {
                HttpResponse<String> r = Requests.send(other, "GET", "/api/ready", null);
                assertEquals(503, r.statusCode());
                assertFalse(JSON.readTree(r.body()).get("database").asBoolean());
                assertEquals(
                        200, Requests.send(other, "GET", "/api/health", null).statusCode(), "it lives");
            } finally {
                other.stop();
            }
        }
    }

    @Test
    void resultsComeByPageAndQueriesNarrowThem() throws IOException, InterruptedException {
        JsonNode all = designed("/api/projects/p1/results?size=5");
        assertEquals(5, all.get("rows").size());
        assertTrue(all.get("total").asInt() > 5);
        JsonNode second = designed("/api/projects/p1/results?size=5&page=1");
        assertFalse(all.get("rows")
                .get(0)
                .get("mark")
                .equals(second.get("rows").get(0).get("mark")));
        JsonNode columns = designed("/api/projects/p1/results?q=column");
        columns.get("rows").forEach(r -> assertEquals("column", r.get("role").asText()));
        problem(call("GET", "/api/projects/p1/results?q=storey:L99", null), 400);
        problem(call("GET", "/api/projects/p1/results?size=0", null), 400);
        problem(call("GET", "/api/projects/p1/results?page=x", null), 400);
    }

    @Test
    void aMemberComesWithItsCalculation() throws IOException, InterruptedException {
        for (String role : List.of("beam", "column")) {
            String mark = designed("/api/projects/p1/results?q=" + role)
                    .get("rows")
                    .get(0)
                    .get("mark")
                    .asText();
            JsonNode m = designed("/api/projects/p1/members/" + mark);
            assertEquals(role, m.get("role").asText());
            JsonNode c = designed(
                    "/api/projects/p1/members/" + mark + "/calculation?station=0&lift=0&combination=0&demand=1");
            assertTrue(c.get("steps").size() > 5);
        }
        problem(call("GET", "/api/projects/p1/members/none", null), 404);
    }

    @Test
    void exportsAreWhatTheySay() throws IOException, InterruptedException {
        designed("/api/projects/p1/view");
        assertTrue(
                call("GET", "/api/projects/p1/exports/report.pdf", null).body().startsWith("%PDF"));
        assertTrue(call("GET", "/api/projects/p1/exports/schedules.xlsx", null)
                .body()
                .startsWith("PK"));
        assertEquals(
                "kolonne-results",
                designed("/api/projects/p1/exports/results.json").get("format").asText());
        assertTrue(
                call("GET", "/api/projects/p1/exports/checks.csv", null).body().startsWith("\uFEFFmark,"));
        String ifc = call("GET", "/api/projects/p1/exports/building.ifc", null).body();
        assertTrue(ifc.startsWith("ISO-10303-21;")
                && ifc.endsWith("END-ISO-10303-21;\n")
                && ifc.contains("=IFCREINFORCINGBAR("));
        assertTrue(!call("GET", "/api/projects/p1/exports/building.ifc?bars=no", null)
                .body()
                .contains("REINFORCINGBAR"));
        assertEquals(
                "kolonne-bending",
                designed("/api/projects/p1/exports/bending.json").get("format").asText());
        assertTrue(
                call("GET", "/api/projects/p1/exports/bending.csv", null).body().startsWith("\uFEFFmember,mark,"));
        problem(call("GET", "/api/projects/p1/exports/building.ifc?bars=some", null), 400);
        assertTrue(call("GET", "/api/projects/p1/exports/analysis.ifc", null)
                .body()
                .contains("=IFCSTRUCTURALANALYSISMODEL("));
        problem(call("GET", "/api/projects/p1/exports/report.pdf?sheets=nothing", null), 404);
        assertEquals(
                new String(MODEL, java.nio.charset.StandardCharsets.UTF_8),
                call("GET", "/api/projects/p1/exports/model", null).body());
    }

    @Test
    void whoeverComesSecondIsToldAndNothingIsOverwritten() throws IOException, InterruptedException {
        when(store.rename("p1", 2, "late")).thenReturn(Optional.empty());
        JsonNode p = problem(call("PATCH", "/api/projects/p1", "{\"name\":\"late\"}", "If-Match", "\"2\""), 412);
        assertTrue(p.get("title").asText().contains("Somebody else"));
        problem(call("PATCH", "/api/projects/p1/basis", "{\"fyMpa\":500}"), 428);
        problem(call("PATCH", "/api/projects/p1/basis", "{\"fyMpa\":500}", "If-Match", "abc"), 400);
    }

    @Test
    void aBadBasisIsRefusedWithTheFieldAndNotStored() throws IOException, InterruptedException {
        JsonNode p = problem(call("PATCH", "/api/projects/p1/basis", "{\"fyMpa\":42}", "If-Match", "\"3\""), 422);
        assertEquals("basis.fy", p.get("findings").get(0).get("code").asText());
        problem(call("PATCH", "/api/projects/p1/basis", "nonsense", "If-Match", "\"3\""), 422);
        verify(store, never()).append(any());
    }

    @Test
    void aBadUploadEndsInFindingsAndStoresNothing() throws IOException, InterruptedException {
        JsonNode job = JSON.readTree(call("POST", "/api/projects?fileName=x.json", "{\"format\":\"kolonne-model\"")
                .body());
        for (int i = 0; i < 100 && !job.get("phase").asText().equals("failed"); i++) {
            Thread.sleep(50);
            job = JSON.readTree(
                    call("GET", "/api/jobs/" + job.get("id").asText(), null).body());
        }
        assertEquals("file.truncated", job.get("findings").get(0).get("code").asText());
        verify(store, never()).create(any(), any(), any(), any(), any(), any());
    }

    @Test
    void aSoundUploadBecomesAProject() throws IOException, InterruptedException {
        when(store.create(any(), any(), eq("m.json"), any(), any(), any()))
                .thenReturn(new ProjectRow("new", "n", NOW, NOW, 1));
        JsonNode job = JSON.readTree(call(
                        "POST",
                        "/api/projects?fileName=m.json",
                        new String(MODEL, java.nio.charset.StandardCharsets.UTF_8))
                .body());
        for (int i = 0; i < 200 && !job.get("phase").asText().equals("done"); i++) {
            Thread.sleep(50);
            job = JSON.readTree(
                    call("GET", "/api/jobs/" + job.get("id").asText(), null).body());
        }
        assertEquals("new", job.get("result").asText());
    }

    @Test
    void whatIsNotThereIsAProblemAndADeadDatabaseIsNamed() throws IOException, InterruptedException {
        problem(call("GET", "/api/projects/none", null), 404);
        problem(call("GET", "/api/nothing", null), 404);
        problem(call("DELETE", "/api/projects/none", null), 404);
        problem(call("GET", "/api/jobs/none", null), 404);
        problem(call("PATCH", "/api/projects/p1", "{", "If-Match", "\"3\""), 400);
        when(store.list())
                .thenThrow(new org.apache.ibatis.exceptions.PersistenceException(new java.sql.SQLException("gone")));
        JsonNode p = problem(call("GET", "/api/projects", null), 503);
        assertTrue(p.get("detail").asText().contains("Nothing stored was lost"));
    }
}
