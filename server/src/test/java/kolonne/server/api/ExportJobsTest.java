package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import kolonne.exchange.model.ModelReader;
import org.junit.jupiter.api.Test;

/** Files made by jobs: the same bytes as sent at once, refused before they begin where nothing such is there. */
class ExportJobsTest {
    private static final List<String> FILES = List.of(
            "report.pdf?calculations=failing",
            "schedules.pdf",
            "drawings.pdf?paper=A3",
            "drawings.dxf",
            "building.ifc?bars=yes",
            "building.ifc?bars=no",
            "analysis.ifc",
            "results.json",
            "checks.csv",
            "quantities.csv",
            "basis.json",
            "bending.json",
            "bending.csv");

    @Test
    void everyFileIsTheSameByAJobAndAtOnce() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            for (String file : FILES) {
                JsonNode job = s.ended(s.ask(202, "POST", "/exports/" + file, null));
                assertEquals("done", job.get("phase").asText(), file + job);
                assertEquals("export", job.get("kind").asText());
                HttpResponse<String> made =
                        s.fileAt("/api/jobs/" + job.get("result").asText() + "/file");
                HttpResponse<String> atOnce = s.file("/exports/" + file);
                assertEquals(200, made.statusCode());
                assertTrue(made.body().length() > 200, file);
                assertEquals(atOnce.body(), made.body(), file);
                for (String header : List.of("Content-Type", "Content-Disposition")) {
                    assertEquals(
                            atOnce.headers().firstValue(header), made.headers().firstValue(header), file);
                }
            }
        }
    }

    /** Nothing of what the analysis derives of a model is written as the model: neither a frame out of plumb nor a column that is redrawn. */
    @Test
    void theAnalysisModelIsThatOfTheUser() throws IOException, InterruptedException {
        Building plumb = DemoBuilding.generate(DemoOptions.ofSize(60));
        AnalysisOptions o = plumb.options();
        List<Section> sections = new ArrayList<>(plumb.sections());
        sections.add(new Section("legs", new Shape.Ell(250, 700, 600, 300)));
        List<Member> members = new ArrayList<>(plumb.members());
        int column = IntStream.range(0, members.size())
                .filter(i -> members.get(i).role() == Role.COLUMN)
                .findFirst()
                .orElseThrow();
        Member up = members.get(column);
        Member down = new Member(
                up.id(),
                Role.COLUMN,
                up.end(),
                up.start(),
                "legs",
                up.material(),
                0,
                up.endRelease(),
                up.startRelease(),
                0,
                0,
                null);
        members.set(column, down);
        Building b = plumb.withOptions(new AnalysisOptions(
                        o.shearDeformation(),
                        o.beams(),
                        o.columns(),
                        o.rigidEnds(),
                        o.pDelta(),
                        o.patternLive(),
                        0.003))
                .withSections(sections)
                .withMembers(members);
        try (Served s = new Served(b)) {
            Building read = ModelReader.read(
                            s.file("/exports/analysis.ifc").body().getBytes(StandardCharsets.UTF_8))
                    .building();
            assertEquals(
                    b.combinations().stream().map(Combination::id).toList(),
                    read.combinations().stream().map(Combination::id).toList());
            assertEquals(
                    b.loadCases().stream().map(LoadCase::id).toList(),
                    read.loadCases().stream().map(LoadCase::id).toList());
            assertEquals(down.start(), read.members().get(column).start());
            assertEquals(
                    b.sections().stream()
                            .map(Section::id)
                            .filter("legs"::equals)
                            .toList(),
                    read.sections().stream()
                            .filter(q -> q.shape() instanceof Shape.Ell e && e.bw() == 250)
                            .map(Section::id)
                            .toList());
        }
    }

    @Test
    void whatIsNotThereIsRefusedBeforeAJobBegins() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            JsonNode unknown = s.ask(404, "POST", "/exports/report.pdf?sheets=Z9", null);
            assertTrue(unknown.toString().contains("Z9"), unknown.toString());
            s.ask(400, "POST", "/exports/report.pdf?calculations=some", null);
            s.ask(400, "POST", "/exports/building.ifc?bars=some", null);
            s.ask(404, "POST", "/exports/drawings.pdf?marks=Z9", null);
            s.ask(400, "POST", "/exports/drawings.dxf?paper=B5", null);
            JsonNode none = s.askAt(404, "GET", "/api/jobs/nothing/file", null);
            assertTrue(none.toString().contains("Ask for it again"), none.toString());
        }
    }
}
