package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** One section over the API: an ell, a beam, and what is refused. */
class SectionRoutesTest {
    private static final String ELL = """
            {"id":"L","use":"column","units":"SI","shape":{"shape":"ell","bw":300,"h":700,"bf":700,"hf":300},"fc":30,"fy":420,
             "bars":[{"bar":"T20","count":4,"x":-290,"z":60,"x2":-290,"z2":640},{"bar":"T20","count":3,"x":-110,"z":640,"x2":290,"z2":640}],
             "forces":[{"name":"a","n":-2000,"my":150,"mz":-90},{"name":"b","n":-9000}]}""";

    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(30);
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private JsonNode tried(int status, String body, int set) throws IOException, InterruptedException {
        return s.askAt(status, "POST", "/api/sections/try?set=" + set, body);
    }

    @Test
    void anEllWithItsCurves() throws IOException, InterruptedException {
        JsonNode a = tried(200, ELL, 0);
        assertEquals(2, a.get("sets").size());
        JsonNode set = a.get("sets").get(0);
        assertTrue(set.get("utilisation").asDouble() > 0.2
                && set.get("utilisation").asDouble() < 1);
        assertTrue(a.get("sets").get(1).get("utilisation").asDouble() > 1);
        assertEquals(6 * 2, a.get("picture").get("rings").get(0).size());
        assertEquals(7, a.get("picture").get("bars").size());
        // every point of the curve through a set is used by one: the set itself lies on its ray
        JsonNode design = a.get("curves").get("design");
        double most = 0;
        for (JsonNode p : design) {
            most = Math.max(most, p.get("n").asDouble());
        }
        assertEquals(a.get("strengths").get("phiPnMaxN").asDouble() / 1e3, most, 1);
        assertTrue(a.get("calculation").size() > 3);
        JsonNode strains = a.get("strains");
        assertTrue(strains.get("along").isNull());
        assertEquals(3, strains.get("edge").asDouble(), 1e-9);
        assertEquals(7, strains.get("bars").size());
        for (int along : new int[] {0, 30, 60}) {
            JsonNode at = s.askAt(200, "POST", "/api/sections/try?set=0&along=" + along, ELL)
                    .get("strains");
            assertEquals(along, at.get("along").asInt());
            assertTrue(at.get("far").asDouble() < at.get("edge").asDouble());
        }
        s.askAt(400, "POST", "/api/sections/try?set=0&along=61", ELL);
        // where the force alone is too much there is no contour to speak of, and no use at that force
        assertTrue(tried(200, ELL, 1).get("curves").get("atAxial").isNull());
    }

    @Test
    void aBeamHasNoSurface() throws IOException, InterruptedException {
        JsonNode a = tried(200, """
                {"use":"beam","units":"SI","shape":{"shape":"tee","bw":300,"h":600,"bf":900,"hf":150},"fc":30,"fy":420,
                 "bars":[{"bar":"T20","count":4,"face":"bottom"}],"stirrups":{"bar":"T10","spacing":200},"forces":[{"my":150,"vz":80}]}""", 0);
        assertTrue(a.get("curves").isNull());
        assertTrue(a.get("strains").isNull());
        assertTrue(a.get("sets").get(0).get("atAxial").isNull());
        assertEquals("ACI 318M-19", a.get("code").asText());
    }

    @Test
    void whatIsNoSectionIsRefused() throws IOException, InterruptedException {
        tried(422, "{}", 0);
        tried(422, "[]", 0);
        tried(422, "null", 0);
        tried(422, ELL.replace("\"fc\":30", "\"fc\":3000"), 0);
        tried(400, ELL, 7);
        String many =
                IntStream.range(0, 301).mapToObj(i -> "{\"n\":-" + i + "}").collect(Collectors.joining(","));
        JsonNode p = tried(422, ELL.replaceAll("\"forces\":\\[.*\\]", "\"forces\":[" + many + "]"), 0);
        assertTrue(p.toString().contains("301 sets"), p.toString());
        assertEquals(
                0,
                tried(200, ELL.replaceAll("\"forces\":\\[.*\\]", "\"forces\":[]"), 0)
                        .get("sets")
                        .size());
    }

    @Test
    void onPaper() throws IOException, InterruptedException {
        java.net.http.HttpResponse<String> r = s.answer("POST", "/api/sections/pdf", ELL);
        assertEquals(200, r.statusCode());
        assertEquals("application/pdf", r.headers().firstValue("Content-Type").orElseThrow());
        assertTrue(r.body().startsWith("%PDF-"));
        s.askAt(422, "POST", "/api/sections/pdf", ELL.replace("\"fc\":30", "\"fc\":3000"));
    }

    @Test
    void stressesUnderServiceLoad() throws IOException, InterruptedException {
        JsonNode a = tried(200, ELL.replace("{\"name\":\"a\"", "{\"kind\":\"characteristic\",\"name\":\"a\""), 0);
        JsonNode set = a.get("sets").get(0);
        assertEquals(7, set.get("stresses").get("bars").size());
        assertTrue(set.get("stresses").get("concrete").asDouble() > 5);
        assertEquals("none", set.get("governs").asText());
        assertTrue(a.get("curves").isNull());
        assertTrue(a.get("sets").get(1).get("stresses").isNull());
    }
}
