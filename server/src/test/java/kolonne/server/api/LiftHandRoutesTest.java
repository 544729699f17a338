package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.exchange.basis.BasisFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Columns set by hand through the HTTP API: stored, tried, undone, kept through redesigns and restarts, copied. */
class LiftHandRoutesTest {
    private Served s;
    private String mark;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(60);
        for (JsonNode r : s.get("/results?q=column").get("rows")) {
            boolean rows = column(r.get("mark").asText())
                    .get("lifts")
                    .get(0)
                    .get("whole")
                    .get("rows")
                    .isObject();
            if (mark == null && r.get("satisfied").asBoolean() && rows) {
                mark = r.get("mark").asText();
            }
        }
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private JsonNode column(String of) throws IOException, InterruptedException {
        return s.get("/members/" + of).get("column");
    }

    private static String rows(int alongX, String corner) {
        return "{\"rows\":{\"alongX\":" + alongX + ",\"alongY\":3,\"corner\":\"" + corner
                + "\",\"face\":\"T20\",\"heldX\":[],\"heldY\":[]}}";
    }

    private static String lifts(String first) {
        return "{\"lifts\":{\"0\":" + first + "}}";
    }

    private JsonNode set(int status, int version, String hand) throws IOException, InterruptedException {
        return s.change(status, version, "PUT", "/columns/" + mark + "/hand", hand);
    }

    /** Rows, sheets and the view tell the same of bars that do not pass in joints, when bars of a column leave no room and when they leave all. */
    @Test
    void crowdedJoints() throws IOException, InterruptedException {
        int before = crowded();
        set(200, 1, lifts(everySide(8, "T32")));
        JsonNode joint = column(mark).get("lifts").get(0).get("crowded");
        assertTrue(joint.size() > 0, "eight thick bars a side leave no room");
        assertEquals(before + joint.size(), crowded());
        set(200, 2, lifts(everySide(2, "T20")));
        assertEquals(0, column(mark).get("lifts").get(0).get("crowded").size());
        assertEquals(before, crowded());
    }

    private static String everySide(int bars, String size) {
        return rows(bars, size).replace("\"alongY\":3", "\"alongY\":" + bars).replace("T20", size);
    }

    /** Layers that do not pass, by the view, by the rows of columns and by those of beams. */
    private int crowded() throws IOException, InterruptedException {
        int[] rows = new int[2];
        for (JsonNode r : s.get("/results?q=crowded&size=500").get("rows")) {
            boolean beam = r.get("role").asText().equals("beam");
            rows[beam ? 0 : 1] += r.get("crowded").asInt();
            int ofIt = 0;
            JsonNode member = s.get("/members/" + r.get("mark").asText());
            for (JsonNode l :
                    beam ? List.of(member.get("beam")) : member.get("column").get("lifts")) {
                ofIt += l.get("crowded").size();
            }
            assertEquals(r.get("crowded").asInt(), ofIt, r.get("mark").asText());
        }
        int view = 0;
        for (JsonNode m : s.get("/view").get("members")) {
            view += m.get("crowded").asInt();
        }
        assertEquals(List.of(view, view), List.of(rows[0], rows[1]));
        return view;
    }

    /** The lifts that were promised have the section after one action, those below it none that is smaller. */
    @Test
    void aSectionIsTakenWithItsEdits() throws IOException, InterruptedException {
        JsonNode tried = null;
        for (JsonNode o : s.get("/columns/" + mark + "/sections?lift=0").get("options")) {
            boolean other = !o.get("present").asBoolean() && !o.get("inProject").asBoolean();
            tried = tried == null && other && o.get("satisfied").asBoolean() ? o : tried;
        }
        s.change(200, 1, "POST", "/edits", "{\"edits\":" + tried.get("edits") + "}");
        s.designed();
        JsonNode lifts = column(mark).get("lifts");
        int taken = Integer.parseInt(tried.get("where").asText().split(" ")[0]);
        for (int i = 0; i < taken; i++) {
            assertEquals(
                    tried.get("label").asText(),
                    lifts.get(i).get("section").get("label").asText());
        }
        s.ask(400, "GET", "/columns/" + mark + "/sections?lift=99", "");
    }

    @Test
    void barsAreTriedWithoutATrace() throws IOException, InterruptedException {
        JsonNode before = column(mark);
        JsonNode tried = s.ask(200, "POST", "/columns/" + mark + "/try", lifts(rows(5, "T32")));
        assertEquals("4T32 + 8T20", tried.get("lifts").get(0).get("bars").asText());
        assertEquals(before, column(mark));
        assertEquals(1, s.version());
    }

    @Test
    void barsAndTiesAreSetUndoneAndRedone() throws IOException, InterruptedException {
        JsonNode before = column(mark);
        String ties = "\"ties\":{\"size\":\"T12\",\"joint\":125,\"end\":100,\"middle\":175,\"foot\":600,\"head\":450}";
        JsonNode answer = set(200, 1, lifts(rows(5, "T32").replaceFirst("}$", "," + ties + "}")));
        assertEquals(2, answer.get("version").asInt());
        assertEquals(answer.get("column"), column(mark));
        JsonNode first = column(mark).get("lifts").get(0);
        assertEquals(175, first.get("whole").get("ties").get("middle").asDouble());
        assertEquals("T12", first.get("tie").get("size").asText());
        assertEquals(5, first.get("tie").get("heldX").size(), "Kolonne chooses which bars are held");
        assertEquals(2, s.get("/results?size=1").get("version").asInt(), "the whole design is current at once");
        assertEquals(1, s.get("/results?q=hand").get("rows").size());
        s.change(200, 2, "POST", "/undo", "{}");
        assertEquals(before, column(mark));
        s.change(200, 3, "POST", "/redo", "{}");
        assertEquals(answer.get("column"), column(mark));
        String storey = first.get("storey").asText();
        assertEquals(
                mark + ": bars of the lift to " + storey + ", ties of the lift to " + storey + " by hand",
                s.get("/edits").get("entries").get(0).get("summary").asText());
    }

    @Test
    void theySurviveARedesignAndARestartAndAreReleased() throws IOException, InterruptedException {
        set(200, 1, lifts(rows(6, "T32")));
        s.change(200, 2, "PATCH", "/basis", BasisFile.write(Basis.standard(true)));
        s.designed();
        s.again();
        assertEquals(
                "4T32 + 10T20", column(mark).get("lifts").get(0).get("bars").asText(), "bars outlive their catalogue");
        s.change(200, 3, "POST", "/hand", "{\"marks\":[\"" + mark + "\"],\"release\":true,\"torsion\":null}");
        s.designed();
        assertTrue(column(mark).get("lifts").get(0).get("hand").get("rows").isNull());
        JsonNode done = s.get("/edits").get("entries");
        assertTrue(done.get(done.size() - 1).get("summary").asText().endsWith("released on 1 column"));
    }

    @Test
    void whatCannotBeMeantIsRefusedWithItsPlace() throws IOException, InterruptedException {
        assertEquals(
                "lifts.0.rows.alongX",
                set(422, 1, lifts(rows(1, "T25")))
                        .get("findings")
                        .get(0)
                        .get("where")
                        .asText());
        assertEquals(
                "lifts.0.rows.corner",
                set(422, 1, lifts(rows(3, "T26")))
                        .get("findings")
                        .get(0)
                        .get("where")
                        .asText());
        set(422, 1, lifts("{\"ring\":{\"count\":8,\"size\":\"T25\"}}"));
        set(422, 1, "{\"lifts\":{\"90\":" + rows(3, "T25") + "}}");
        set(422, 1, "{\"lifts\":{\"foot\":" + rows(3, "T25") + "}}");
        set(422, 1, lifts(rows(3, "T25").replace("\"heldX\":[]", "\"heldX\":[true,false,false]")));
        set(422, 1, lifts("{\"ties\":{\"size\":\"T10\",\"joint\":0,\"end\":1,\"middle\":1e9,\"foot\":-1,\"head\":0}}"));
        set(
                422,
                1,
                lifts("{\"ties\":{\"size\":\"T10\",\"joint\":NaN,\"end\":100,\"middle\":100,\"foot\":0,\"head\":0}}"));
        set(422, 1, lifts("{\"ties\":{\"size\":\"T10\"}}"));
        set(422, 1, "[]");
        set(422, 1, "{\"lifts\":");
        s.change(404, 1, "PUT", "/columns/nobody/hand", "{\"lifts\":{}}");
        s.change(412, 7, "PUT", "/columns/" + mark + "/hand", lifts(rows(3, "T25")));
        assertEquals(1, s.version());
    }

    @Test
    void aCageIsCopiedToIdenticalColumns() throws IOException, InterruptedException {
        List<String> alike = new ArrayList<>();
        for (JsonNode r : s.get("/results?q=column").get("rows")) {
            if (alike.isEmpty()) {
                mark = r.get("mark").asText();
                s.get("/members/" + mark + "/identical")
                        .get("lines")
                        .forEach(l -> alike.add(l.get("mark").asText()));
            }
        }
        assertFalse(alike.isEmpty(), "the sample has columns that repeat");
        set(200, 1, lifts(rows(6, "T32")));
        s.change(200, 2, "POST", "/members/" + mark + "/copy", "{\"marks\":[\"" + alike.get(0) + "\"]}");
        JsonNode a = column(mark).get("lifts");
        JsonNode b = column(alike.get(0)).get("lifts");
        for (int i = 0; i < a.size(); i++) {
            assertEquals(a.get(i).get("whole"), b.get(i).get("whole"));
            assertEquals(b.get(i).get("whole"), b.get(i).get("hand"));
        }
        s.change(400, 3, "POST", "/members/" + mark + "/copy", "{\"marks\":[\"" + mark + "\"]}");
    }

    @Test
    void otherBarsAreOfferedAndTaken() throws IOException, InterruptedException {
        JsonNode options = s.get("/columns/" + mark + "/arrangements?lift=0").get("options");
        assertTrue(options.size() > 1);
        JsonNode other = null;
        for (JsonNode o : options) {
            other = o.get("present").asBoolean() ? other : o;
        }
        set(200, 1, lifts(other.get("hand").toString()));
        assertEquals(other.get("bars"), column(mark).get("lifts").get(0).get("bars"));
        s.ask(404, "GET", "/columns/" + mark + "/arrangements?lift=90", null);
        s.ask(404, "GET", "/columns/nobody/arrangements", null);
    }

    @Test
    void curvesAndSurfaceOfALift() throws IOException, InterruptedException {
        JsonNode worst =
                s.get("/members/" + mark + "/interaction?lift=0").get("demands").get(0);
        String at = "/members/" + mark + "/curves?lift=0&combination="
                + worst.get("combinationNumber").asInt() + "&demand="
                + worst.get("number").asInt();
        JsonNode curves = s.get(at);
        assertEquals(73, curves.get("contour").size());
        assertEquals(
                worst.get("p").asDouble(), curves.get("contour").get(5).get("n").asDouble(), 1e-9);
        assertTrue(curves.get("atAxial").asDouble() > 0);
        for (String m : List.of("mx", "my")) {
            double sum = 0;
            for (JsonNode part : curves.get("parts")) {
                sum += part.get(m).asDouble();
            }
            assertEquals(worst.get(m).asDouble(), sum, 1e-6, "the parts add up to " + m);
        }
        assertEquals("sustained", curves.get("parts").get(0).get("kind").asText());
        assertEquals(30, s.get(at + "&angle=30").get("angleDeg").asDouble(), 1e-9);
        s.ask(400, "GET", at + "&angle=999", null);
        s.ask(404, "GET", "/members/" + mark + "/curves?lift=0&combination=99999&demand=0", null);
        assertEquals(
                48,
                s.get("/members/" + mark + "/surface?lift=0").get("meridians").size());
    }
}
