package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.javalin.Javalin;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Iterator;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.model.ModelWriter;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.Projects;
import kolonne.server.store.MemoryStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Looking at the analysis, changing the model, and forces solved elsewhere, through the HTTP API. */
class AnalysisAndEditsTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Building DEMO = DemoBuilding.generate(DemoOptions.ofSize(60));
    private static final Member BEAM = DEMO.members().stream()
            .filter(m -> m.role() == Role.BEAM)
            .findFirst()
            .orElseThrow();
    private Jobs jobs;
    private Javalin server;
    private String p;

    @BeforeEach
    void start() {
        MemoryStore store = new MemoryStore();
        p = "/api/projects/"
                + store.create(
                                "Zaal",
                                "zaal.json",
                                ModelWriter.json(DEMO),
                                BasisFile.write(Basis.standard(false)),
                                null)
                        .id();
        jobs = new Jobs();
        server = new Api(new Projects(store, jobs), jobs).server().start("127.0.0.1", 0);
    }

    @AfterEach
    void stop() {
        server.stop();
        jobs.close();
    }

    private JsonNode ask(int status, String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        return Requests.ask(server, status, method, path.replace(" ", "%20").replace(">", "%3E"), body, headers);
    }

    private JsonNode get(String path) throws IOException, InterruptedException {
        return ask(200, "GET", p + path, null);
    }

    private JsonNode edit(int status, int version, String edit) throws IOException, InterruptedException {
        return ask(status, "POST", p + "/edits", "{\"edits\":[" + edit + "]}", "If-Match", "\"" + version + "\"");
    }

    private static String relief(String member) {
        return "{\"kind\":\"stiffness\",\"members\":[\"" + member + "\"],\"factorIy\":0.1}";
    }

    private static double peak(JsonNode diagram, String member) {
        for (JsonNode m : diagram.get("members")) {
            if (m.get("id").asText().equals(member)) {
                double most = 0;
                for (Iterator<JsonNode> i = m.get("v").elements(); i.hasNext(); ) {
                    most = Math.max(most, Math.abs(i.next().asDouble()));
                }
                return most;
            }
        }
        throw new AssertionError("no " + member);
    }

    @Test
    void everyCaseBalances() throws IOException, InterruptedException {
        JsonNode a = get("/analysis");
        assertEquals(DEMO.loadCases().size(), a.get("balance").size());
        for (JsonNode c : a.get("balance")) {
            for (int d = 0; d < 3; d++) {
                assertEquals(
                        0,
                        c.get("applied").get(d).asDouble()
                                + c.get("reaction").get(d).asDouble(),
                        0.01,
                        c.toString());
            }
            assertTrue(c.get("residual").asDouble() < 1e-9);
        }
        assertTrue(a.get("drifts").size() > 0 && a.get("masses").size() > 0);
    }

    @Test
    void reactionsAddUpToTheLoadsAndAnEnvelopeHasNone() throws IOException, InterruptedException {
        String first = DEMO.loadCases().get(0).id();
        double up = 0;
        for (JsonNode j : get("/analysis/reactions?of=case:" + first).get("joints")) {
            up += j.get("forces").get(2).asDouble();
        }
        assertEquals(
                -get("/analysis").get("balance").get(0).get("applied").get(2).asDouble(), up, 0.1);
        ask(400, "GET", p + "/analysis/reactions?of=envelope:strength", null);
        ask(400, "GET", p + "/analysis/deflection?of=case:nothing", null);
        ask(400, "GET", p + "/analysis/diagram?of=case:" + first + "&component=q", null);
    }

    @Test
    void anEnvelopeHoldsEveryCombination() throws IOException, InterruptedException {
        JsonNode env = get("/analysis/diagram?of=envelope:strength&component=my");
        String k = DEMO.combinations().get(0).id();
        JsonNode one = get("/analysis/diagram?of=combination:" + k + "&component=my");
        for (int m = 0; m < one.get("members").size(); m++) {
            JsonNode e = env.get("members").get(m);
            JsonNode v = one.get("members").get(m).get("v");
            for (int s = 0; s < v.size(); s++) {
                assertTrue(v.get(s).asDouble() <= e.get("v").get(s).asDouble() + 1e-3
                        && v.get(s).asDouble() >= e.get("low").get(s).asDouble() - 1e-3);
            }
        }
        assertTrue(get("/analysis/deflection?of=combination:" + k).get("mostMm").asDouble() > 0);
    }

    @Test
    void anEditMovesForcesAndUndoAndRedoBringThemBack() throws IOException, InterruptedException {
        String of = "/analysis/diagram?of=case:" + DEMO.loadCases().get(0).id() + "&component=my";
        double before = peak(get(of), BEAM.id());
        assertEquals(2, edit(200, 1, relief(BEAM.id())).get("version").asInt());
        double after = peak(get(of), BEAM.id());
        assertTrue(Math.abs(after - before) > 0.01 * before, before + " and " + after);
        assertEquals(0.1, get("/elements/" + BEAM.id()).get("factors").get("iy").asDouble());
        JsonNode changes = get("/analysis/compare?from=1&to=2&component=my").get("changes");
        assertTrue(changes.size() > 1);
        double last = Double.MAX_VALUE;
        for (JsonNode c : changes) {
            assertTrue(Math.abs(c.get("by").asDouble()) <= last + 1e-9, "sorted");
            last = Math.abs(c.get("by").asDouble());
        }
        ask(200, "POST", p + "/undo", "{}", "If-Match", "\"2\"");
        assertEquals(before, peak(get(of), BEAM.id()), 1e-3);
        ask(200, "POST", p + "/redo", "{}", "If-Match", "\"3\"");
        assertEquals(after, peak(get(of), BEAM.id()), 1e-3);
        JsonNode h = get("/edits");
        assertEquals(3, h.get("entries").size());
        assertTrue(h.get("canUndo").asBoolean() && !h.get("canRedo").asBoolean());
        ask(422, "POST", p + "/redo", "{}", "If-Match", "\"4\"");
    }

    @Test
    void anEditThatCannotStandIsRefusedAndNothingIsStored() throws IOException, InterruptedException {
        assertTrue(edit(422, 1, "{\"kind\":\"section\",\"members\":[\"" + BEAM.id() + "\"],\"section\":\"none such\"}")
                        .get("findings")
                        .size()
                > 0);
        edit(422, 1, "{\"kind\":\"paint\"}");
        edit(
                422,
                1,
                "{\"kind\":\"releases\",\"members\":[\"" + BEAM.id()
                        + "\"],\"releaseStart\":[\"n\",\"t\",\"my\"],\"releaseEnd\":[\"n\",\"t\",\"my\"]}");
        edit(412, 7, relief(BEAM.id()));
        assertEquals(0, get("/edits").get("entries").size());
        assertEquals(1, ask(200, "GET", p, null).get("version").asInt());
        ask(404, "GET", p + "/elements/none", null);
    }

    @Test
    void optionsAreThoseOfTheLastEdit() throws IOException, InterruptedException {
        edit(
                200,
                1,
                "{\"kind\":\"options\",\"analysis\":{\"shearDeformation\":\"yes\",\"rigidEnds\":0.5,\"patternLive\":\"yes\"},"
                        + "\"roleStiffness\":[{\"role\":\"beam\",\"factorIy\":0.35},{\"role\":\"column\",\"factorIy\":0.7}]}");
        JsonNode o = get("/options");
        assertTrue(o.get("shearDeformation").asBoolean() && o.get("patternLive").asBoolean());
        assertEquals(0.35, o.get("beams").get("iy").asDouble());
        boolean generated = false;
        for (JsonNode c : get("/analysis").get("balance")) {
            generated |= c.get("generated").asBoolean();
        }
        assertTrue(generated, "arrangements of the live load are cases of their own");
    }

    /** Forces of the own analysis, written as a table with headers of another kind, come back as they were. */
    @Test
    void forcesSolvedElsewhereAreMappedRememberedAndGoStale() throws IOException, InterruptedException {
        StringBuilder csv = new StringBuilder("Bar;LC;Dist (mm);Axial (N);Q (N);M (kNm)\nnobody;G;0;0;0;0\n");
        for (var c : DEMO.loadCases()) {
            JsonNode my =
                    get("/analysis/diagram?of=case:" + c.id() + "&component=my").get("members");
            JsonNode n =
                    get("/analysis/diagram?of=case:" + c.id() + "&component=n").get("members");
            for (int m = 0; m < my.size(); m++) {
                for (int s = 0; s < my.get(m).get("x").size(); s++) {
                    csv.append(my.get(m).get("id").asText())
                            .append(';')
                            .append(c.id())
                            .append(';')
                            .append(1000 * my.get(m).get("x").get(s).asDouble())
                            .append(';')
                            .append(-1000 * n.get(m).get("v").get(s).asDouble())
                            .append(";0;")
                            .append(my.get(m).get("v").get(s).asDouble())
                            .append('\n');
                }
            }
        }
        JsonNode file = ask(200, "POST", p + "/force-files?fileName=t.csv", csv.toString());
        JsonNode proposal = file.get("proposal");
        String use = "{\"sheet\":\"\",\"mapping\":" + proposal + ",\"name\":\"other solver\"}";
        boolean opposite = false;
        for (JsonNode q : proposal) {
            opposite |=
                    q.get("quantity").asText().equals("n") && q.get("opposite").asBoolean();
        }
        assertTrue(opposite, "compression was written as positive");
        JsonNode preview =
                ask(200, "POST", p + "/force-files/" + file.get("file").asText() + "/preview", use);
        assertEquals(0, preview.get("without").size());
        assertTrue(preview.get("findings").toString().contains("nobody"));
        assertEquals("agrees", preview.get("totals").get(0).get("verdict").asText());
        assertEquals("differs", preview.get("totals").get(2).get("verdict").asText(), "the shears were written as 0");
        assertEquals(0, preview.get("gaps").size());
        String part = csv.toString()
                .lines()
                .filter(l -> !l.contains(";W"))
                .collect(java.util.stream.Collectors.joining("\n"));
        JsonNode less = ask(200, "POST", p + "/force-files?fileName=t.csv", part);
        String import2 = p + "/force-files/" + less.get("file").asText() + "/import";
        JsonNode refused = ask(422, "POST", import2, use, "If-Match", "\"1\"");
        assertTrue(
                refused.get("findings").get(0).get("what").asText().contains("would be taken as zero"),
                refused.toString());
        double own = peak(get("/analysis/diagram?of=envelope:strength&component=my"), BEAM.id());
        ask(200, "POST", p + "/force-files/" + file.get("file").asText() + "/import", use, "If-Match", "\"1\"");
        assertTrue(get("/model").get("importedForces").asBoolean());
        assertFalse(get("/model").get("forcesStale").asBoolean());
        assertEquals(own, peak(get("/analysis/diagram?of=envelope:strength&component=my"), BEAM.id()), 1e-2 * own);
        ask(
                409,
                "GET",
                p + "/analysis/reactions?of=case:" + DEMO.loadCases().get(0).id(),
                null);
        edit(200, 2, relief(BEAM.id()));
        assertTrue(get("/model").get("forcesStale").asBoolean());
        assertTrue(get("/model").get("findings").toString().contains("forces.stale"));
        JsonNode again = ask(200, "POST", p + "/force-files?fileName=t.csv", csv.toString());
        assertEquals("other solver", again.get("saved").get(0).get("name").asText());
        assertEquals("other solver", again.get("remembered").asText(), "the same headers are mapped at once");
        assertEquals(proposal, again.get("proposal"));
        assertEquals(
                "",
                ask(
                                200,
                                "POST",
                                p + "/force-files?fileName=t.csv",
                                csv.toString().replace("Dist", "Weg"))
                        .get("remembered")
                        .asText());
        assertEquals(
                again.get("headers"),
                get("/force-files/" + again.get("file").asText() + "?sheet=").get("headers"));
        ask(200, "POST", import2, use.replace("\"name\"", "\"incomplete\":true,\"name\""), "If-Match", "\"3\"");
        edit(200, 4, "{\"kind\":\"forces\",\"rows\":[]}");
        assertFalse(get("/model").get("importedForces").asBoolean());
        ask(422, "POST", p + "/force-files?fileName=t.csv", "nothing");
        ask(404, "POST", p + "/force-files/gone/preview", use);
    }

    /** The worst beam line, once the building is designed. */
    private String firstBeam() throws IOException, InterruptedException {
        for (int k = 0; k < 150; k++) {
            HttpResponse<String> r = Requests.send(server, "GET", p + "/results?q=beam", null);
            if (r.statusCode() == 200) {
                return JSON.readTree(r.body()).get("rows").get(0).get("mark").asText();
            }
            Thread.sleep(100);
        }
        throw new AssertionError("the design did not come");
    }

    @Test
    void everyPreferenceHasItsPrice() throws IOException, InterruptedException {
        JsonNode all = get("/members/" + firstBeam() + "/preferences");
        assertEquals("practical", all.get("current").asText());
        assertEquals(Preference.values().length, all.get("preferences").size());
        for (JsonNode q : all.get("preferences")) {
            assertTrue(
                    q.get("steelKg").asDouble() > 0
                            && q.get("bars").asInt() >= 4
                            && q.get("sizes").asInt() >= 1,
                    q.toString());
        }
        ask(404, "GET", p + "/members/none/preferences", null);
    }

    @Test
    void theBeamSheetHoldsTorsionAndDeflections() throws IOException, InterruptedException {
        JsonNode beam = get("/members/" + firstBeam()).get("beam");
        assertEquals(beam.get("spans").size(), beam.get("deflections").size());
        JsonNode d = beam.get("deflections").get(0);
        assertEquals(d.get("x").size(), d.get("lasting").size());
        assertTrue(
                d.get("liveLimit").asDouble() > 0 && !d.get("service").asText().isEmpty());
        beam.get("points").forEach(q -> assertTrue(q.get("tn").asDouble() >= 0));
    }

    @Test
    void torsionIsTriedWithoutStoringAnything() throws IOException, InterruptedException {
        String mark = firstBeam();
        JsonNode t = ask(200, "POST", p + "/members/" + mark + "/torsion-relief", null);
        assertTrue(t.get("evidence").asText().contains("torsional stiffness"));
        assertTrue(t.get("crackingKnm").asDouble() > 0);
        assertTrue(t.get("relievedKnm").asDouble() <= t.get("torqueKnm").asDouble() + 1e-9);
        assertEquals(1, ask(200, "GET", p, null).get("version").asInt());
        assertEquals(0, get("/edits").get("entries").size());
        ask(404, "POST", p + "/members/none/torsion-relief", null);
    }

    @Test
    void aSketchIsLookedAtAndBecomesAProject() throws IOException, InterruptedException {
        String beam = """
            {"name":"Balk","units":"SI","fc":30,"patternLive":true,"spans":[{"length":6,"section":{"shape":"rectangle","b":300,"h":600}},
             {"length":6,"section":{"shape":"rectangle","b":300,"h":600}}],"supports":[{"kind":"pinned"},{"kind":"pinned"},{"kind":"pinned"}],
             "cases":[{"id":"L","name":"","kind":"live","selfWeight":0}],
             "loads":[{"span":0,"loadCase":"L","kind":"distributed","from":0,"to":6,"value":10,"valueTo":10},
              {"span":1,"loadCase":"L","kind":"distributed","from":0,"to":6,"value":10,"valueTo":10}]}""";
        JsonNode view = ask(200, "POST", "/api/sketches/beam/preview", beam);
        assertEquals(2, view.get("envelopes").size());
        double low = 0;
        for (JsonNode v : view.get("envelopes").get(0).get("myLow")) {
            low = Math.min(low, v.asDouble());
        }
        assertEquals(-1.6 * 10 * 36 / 8, low, 0.05, "1.6 wL2/8 over the middle support");
        JsonNode made = ask(201, "POST", "/api/sketches/beam", beam);
        assertEquals("Balk", made.get("name").asText());
        JsonNode bad = ask(200, "POST", "/api/sketches/beam/preview", beam.replace("\"length\":6", "\"length\":0"));
        assertEquals(0, bad.get("envelopes").size());
        assertTrue(bad.get("findings").size() > 0);
        ask(422, "POST", "/api/sketches/beam", beam.replace("\"length\":6", "\"length\":0"));
        String column = """
            {"name":"Kolom","units":"US","fc":4,"height":12,"section":{"shape":"circle","d":18},"foot":"fixed","head":"pinned",
             "cases":[{"id":"D","name":"","kind":"dead","selfWeight":0}],"loads":[{"loadCase":"D","axial":100}]}""";
        assertEquals(
                -140,
                ask(200, "POST", "/api/sketches/column/preview", column)
                        .get("envelopes")
                        .get(0)
                        .get("nLow")
                        .get(0)
                        .asDouble(),
                1e-3);
        ask(201, "POST", "/api/sketches/column", column);
    }
}
