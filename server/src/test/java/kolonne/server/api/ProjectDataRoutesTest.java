package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** The title block over HTTP: filled in by two people at once, on the sheets at once, without designing anew. */
class ProjectDataRoutesTest {
    private static String change(String key, String was, String text) {
        return "{\"key\":\"" + key + "\",\"was\":\"" + was + "\",\"text\":\"" + text + "\"}";
    }

    private static String text(JsonNode data, String key) {
        for (JsonNode t : data.get("texts")) {
            if (t.get("key").asText().equals(key)) {
                return t.get("text").asText();
            }
        }
        throw new AssertionError(key);
    }

    @Test
    void whatIsTypedStandsOnTheSheetsAndNothingIsDesignedAnew() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            int version = s.get("/state").get("designed").asInt();
            assertEquals(0, s.get("/project-data").get("version").asInt());
            assertTrue(sheet(s).contains("Zaal"), "the project's name where nothing is said");
            s.ask(200, "PUT", "/project-data", change("title", "", "Leeszaal"));
            JsonNode d = s.ask(200, "PUT", "/project-data", change("client", "", " Stichting "));
            assertEquals("Stichting", text(d, "client"), "without what stands around it");
            List<String> texts = sheet(s);
            assertTrue(texts.containsAll(List.of("Leeszaal", "Stichting")), texts.toString());
            assertTrue(s.get("/title-block?paper=A4")
                    .get("texts")
                    .findValuesAsText("text")
                    .contains("Stichting"));
            assertEquals(version, s.get("/state").get("designed").asInt());
            s.again();
            assertEquals("Leeszaal", text(s.get("/project-data"), "title"), "after the server was started anew");
        }
    }

    private static List<String> sheet(Served s) throws IOException, InterruptedException {
        return s.get("/drawings?paper=A3").get("texts").findValuesAsText("text");
    }

    @Test
    void twoPeopleFillItInTogether() throws Exception {
        try (Served s = new Served(60)) {
            List<String> keys = List.of("title", "client", "address", "job", "designer", "checker", "date", "notes");
            ExecutorService pool = Executors.newFixedThreadPool(4);
            List<Callable<JsonNode>> work = new ArrayList<>();
            keys.forEach(k -> work.add(() -> s.ask(200, "PUT", "/project-data", change(k, "", "of " + k))));
            for (Future<JsonNode> f : pool.invokeAll(work)) {
                f.get();
            }
            pool.shutdown();
            JsonNode d = s.get("/project-data");
            keys.forEach(k -> assertEquals("of " + k, text(d, k)));
            s.ask(422, "PUT", "/project-data", change("paper", "", "of paper"));
            s.ask(200, "PUT", "/project-data", change("paper", "", "Letter"));
            assertEquals("Letter", text(s.get("/project-data"), "paper"));
            JsonNode clash = s.ask(409, "PUT", "/project-data", change("client", "", "mine"));
            assertTrue(clash.toString().contains("of client"), "it says what the other wrote");
            s.ask(200, "PUT", "/project-data", change("client", "", "of client"));
            String rows = "[{\"index\":\"A\",\"date\":\"2026\",\"what\":\"First\",\"by\":\"RD\"}]";
            s.ask(200, "PUT", "/project-data/revisions", "{\"was\":[],\"revisions\":" + rows + "}");
            s.ask(409, "PUT", "/project-data/revisions", "{\"was\":[],\"revisions\":[]}");
            JsonNode none = s.ask(200, "PUT", "/project-data/revisions", "{\"was\":" + rows + ",\"revisions\":[]}");
            assertEquals(0, none.get("revisions").size());
        }
    }

    @Test
    void whatCannotStandThereIsRefused() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            s.ask(422, "PUT", "/project-data", change("job", "", "9".repeat(41)));
            s.ask(422, "PUT", "/project-data", change("jobs", "", "9"));
            s.ask(422, "PUT", "/project-data", change("job", "", "a\\nb"));
            s.ask(422, "PUT", "/project-data/revisions", "{\"revisions\":[]}");
            s.ask(422, "PUT", "/project-data/revisions", "{\"was\":[],\"revisions\":[null]}");
            s.ask(404, "GET", "/logo", null);
            assertEquals(0, s.get("/project-data").get("version").asInt(), "nothing was stored");
        }
    }

    @Test
    void theLogoIsOnSheetsAndInFiles() throws IOException, InterruptedException {
        try (Served s = new Served(60)) {
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB), "png", png);
            assertTrue(s.get("/drawings?paper=A3").get("logo").isNull());
            assertTrue(s.put("/logo", png.toByteArray(), 200).get("logo").asBoolean());
            JsonNode at = s.get("/drawings?paper=A3").get("logo");
            assertEquals(2, at.get("width").asDouble() / at.get("height").asDouble(), 0.01);
            for (String file : List.of("drawings.pdf?paper=A3", "report.pdf")) {
                assertTrue(s.file("/exports/" + file).body().contains("/Image"), file);
            }
            s.put("/logo", new byte[] {1, 2, 3}, 422);
            assertEquals(200, s.file("/logo").statusCode());
            assertFalse(s.ask(200, "DELETE", "/logo", null).get("logo").asBoolean());
            assertFalse(s.file("/exports/report.pdf").body().contains("/Image"));
        }
    }
}
