package kolonne.exchange.single;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Columns that are tees, ells or polygons, and rectangles with bars on one side: by hand, and one shape given in two ways. */
class GeneralColumnFileTest {
    private static final String TEE = """
        [{'id':'T','use':'column','units':'SI','shape':{'shape':'tee','bw':300,'h':600,'bf':800,'hf':150},'fc':30,'fy':420,
          'bars':[{'area':982,'x':-100,'z':60},{'area':982,'x':100,'z':60}],
          'forces':[{'my':385.9},{'n':-2000,'my':150,'mz':90},{'vz':10},{'n':-500}]}]""";

    private static byte[] bytes(String s) {
        return s.replace('\'', '"').getBytes(StandardCharsets.UTF_8);
    }

    private static JsonNode answer(String s) {
        SectionFile.Read r = SectionFile.read(bytes(s));
        assertTrue(r.findings().isEmpty(), r.findings().toString());
        return SectionFile.answers(r.ready(), true).get(0);
    }

    private static double use(JsonNode set, String name) {
        for (JsonNode c : set.get("checks")) {
            if (c.get("check").asText().equals(name)) {
                return c.get("utilisation").asDouble();
            }
        }
        throw new AssertionError(name + " in " + set);
    }

    /**
     * Bending about x with the block in the flange: a = 1964 × 420 / (0.85 × 30 × 800) = 40.4 mm, Mn = 824.9 (540 − 20.2) = 428.8 kNm, φ 0.9: 385.9. The cap on the
     * axial force: 0.65 × 0.8 (0.85 × 30 (255 000 − 1964) + 420 × 1964) = 3784 kN.
     */
    @Test
    void aTeeByHand() {
        JsonNode a = answer(TEE);
        assertEquals(1, use(a.get("sets").get(0), "axial-bending"), 1e-3);
        assertEquals(3784.2e3, a.get("strengths").get("phiPnMaxN").asDouble(), 100);
        assertEquals(255_000, a.get("strengths").get("areaMm2").asDouble(), 1e-6);
        // 300 × 600 at 300, the flange’s overhangs 500 × 150 at 525
        double z = (180_000 * 300 + 75_000 * 525) / 255_000.0;
        assertEquals(z, a.get("strengths").get("centroidZMm").asDouble(), 1e-6);
        // the neutral axis stands at a / β1 under the edge on top
        assertEquals(40.44 / 0.8357, a.get("sets").get(0).get("neutralAxisMm").asDouble(), 0.05);
        assertEquals(90, a.get("sets").get(0).get("compressionTowardsDeg").asDouble(), 1e-3);
        // with no axial force the ray is the moment
        assertEquals(1, a.get("sets").get(0).get("utilisationAtAxial").asDouble(), 1e-3);
        assertTrue(a.get("sets").get(0).get("calculation").size() >= 4);
        a.get("sets")
                .get(0)
                .get("calculation")
                .forEach(step -> assertFalse(step.toString().matches(".*\\{\\d}.*"), "numbers are put into " + step));
    }

    private static final String POLYGON = TEE.replace(
            "{'shape':'tee','bw':300,'h':600,'bf':800,'hf':150}",
            "{'shape':'polygon','outline':[[-150,0],[150,0],[150,450],[400,450],[400,600],[-400,600],[-400,450],[-150,450]]}");

    /** Shear of polygons is not checked: it is too much, whatever it is, and told. */
    @Test
    void shearOfPolygonsIsNoQuietPass() {
        JsonNode set = answer(POLYGON).get("sets").get(2);
        assertEquals("shear-out-of-scope", set.get("governs").asText());
        assertTrue(set.get("utilisation").asDouble() > 1);
    }

    private static final String ELL = """
        [{'use':'column','units':'SI','shape':{'shape':'ell','bw':250,'h':700,'bf':600,'hf':200},'fc':30,'fy':420,
          'bars':[{'area':500,'x':-250,'z':60},{'area':500,'x':-100,'z':60},{'area':500,'x':-250,'z':640},{'area':500,'x':-100,'z':640},
            {'area':500,'x':240,'z':640},{'area':500,'x':240,'z':560}],
          'stirrups':{'bar':'T10','spacing':150,'legs':2},
          'forces':[{'n':-500,'vz':100,'my':50},{'n':-500,'vy':100,'mz':50},{'n':-500,'vz':200,'vy':200},{'n':-500,'vy':-80,'mz':-50}]}]""";

    /**
     * Vz by the web of 250: d = 700 − 60 under a moment that compresses the flange; 22.5.5.1(a) 0.17 √30 + 500 000 / (6 × 245 000), with ties
     * of 2 × 78.5 at 150. Vy by the flange of 200: with the right end compressed the bars at -250 are farthest, 300 + 250; else those at 240, 300 + 240.
     */
    @Test
    void shearOfAnEllByTheLegAlongIt() {
        JsonNode sets = answer(ELL).get("sets");
        double stress = 0.17 * Math.sqrt(30) + 500_000 / (6.0 * (250 * 700 + 350 * 200));
        double ties = 2 * Math.PI * 25 / 150 * 420;
        double z = 0.75 * (stress * 250 * 640 + ties * 640) / 1e3;
        double right = 0.75 * (stress * 200 * 550 + ties * 550) / 1e3;
        double left = 0.75 * (stress * 200 * 540 + ties * 540) / 1e3;
        assertEquals(100 / z, use(sets.get(0), "shear-z"), 1e-4);
        assertEquals(100 / right, use(sets.get(1), "shear-y"), 1e-4);
        assertEquals(80 / left, use(sets.get(3), "shear-y"), 1e-4);
        // no moment says which bars are stretched: the lesser depth
        double both = 200 / z + 200 / left;
        assertEquals(both / 1.5, use(sets.get(2), "shear-both"), 1e-4);
    }

    private static final String ROUND = """
        [{'use':'column','units':'US','code':'aci-318-19','shape':{'shape':'circle','d':20},'fc':4,'fy':60,'cover':1.5,
          'bars':[{'bar':'#8','x':7.6250,'z':10.0000},{'bar':'#8','x':5.3917,'z':15.3917},{'bar':'#8','x':0.0000,'z':17.6250},{'bar':'#8','x':-5.3917,'z':15.3917},
            {'bar':'#8','x':-7.6250,'z':10.0000},{'bar':'#8','x':-5.3917,'z':4.6083},{'bar':'#8','x':-0.0000,'z':2.3750},{'bar':'#8','x':5.3917,'z':4.6083}],
          'stirrups':{'bar':'#3','spacing':2,'spiral':true},'forces':[{'n':-900}]}]""";

    /** ρs 4 × 0.11 × (17 − 0.375) / (17² × 2) against 0.45 (400/289 − 1) 4/60 (25.7.3.3); clear 1.625 in. of 1 to 3; 0.75 × 0.85 Po in place of 0.65 × 0.80. */
    @Test
    void aSpiralRoundACircle() {
        JsonNode wound = answer(ROUND);
        JsonNode tied = answer(ROUND.replace(",'spiral':true", ""));
        assertEquals(
                0.75 * 0.85 / (0.65 * 0.80),
                wound.get("strengths").get("phiPnMaxN").asDouble()
                        / tied.get("strengths").get("phiPnMaxN").asDouble(),
                1e-9);
        JsonNode set = wound.get("sets").get(0);
        double has = 4 * 0.11 * 16.625 / (289 * 2);
        assertEquals(0.45 * (400 / 289.0 - 1) * 4 / 60 / has, use(set, "spiral-ratio"), 2e-3);
        assertEquals(1 / 1.625, use(set, "spiral-clear"), 1e-3);
        assertEquals(1.625 / 3, use(set, "spiral-pitch"), 1e-3);
        assertTrue(use(
                        answer(ROUND.replace("'spacing':2", "'spacing':4"))
                                .get("sets")
                                .get(0),
                        "spiral-pitch")
                > 1);
        SectionFile.Read r = SectionFile.read(bytes(ROUND.replace("'circle','d':20", "'rectangle','b':20,'h':20")));
        assertTrue(
                r.findings().stream().anyMatch(f -> f.what().contains("Only a round column")),
                r.findings().toString());
    }

    /** The tee has no bars in its flange: shear along it is borne by nothing. */
    @Test
    void aLegWithoutBarsCarriesNoShear() {
        JsonNode set = answer(TEE.replace("{'vz':10}", "{'vy':10}")).get("sets").get(2);
        assertEquals("shear-y", set.get("governs").asText());
        assertTrue(set.get("utilisation").asDouble() > 1);
    }

    /** By the closed tie of its web, 210 × 510 within the middle of T10, and its two bars; of a polygon nothing is known. */
    @Test
    void torsionOfATee() {
        String twisted = TEE.replace("{'vz':10}", "{'t':20}")
                .replace("'forces'", "'stirrups':{'bar':'T10','spacing':100},'forces'");
        JsonNode set = answer(twisted).get("sets").get(2);
        double at = 20e6 / (0.75 * 2 * 0.85 * 210 * 510 * 420);
        assertEquals(at / 0.7854, use(set, "torsion-z"), 1e-3);
        assertEquals(at * 2 * (210 + 510) / 1964, use(set, "torsion-bars"), 1e-3);
        JsonNode polygon =
                answer(POLYGON.replace("{'vz':10}", "{'t':20}")).get("sets").get(2);
        assertEquals("torsion-out-of-scope", polygon.get("governs").asText());
        assertTrue(polygon.get("utilisation").asDouble() > 1);
    }

    @Test
    void aPolygonIsTheShapeThatItDraws() {
        JsonNode tee = answer(TEE);
        JsonNode polygon = answer(POLYGON);
        assertEquals(tee.get("strengths"), polygon.get("strengths"));
        for (int i = 0; i < 4; i++) {
            for (String check : new String[] {"axial-bending", "axial-limit", "torsion-threshold"}) {
                assertEquals(
                        use(tee.get("sets").get(i), check),
                        use(polygon.get("sets").get(i), check),
                        1e-12,
                        check);
            }
        }
        // the other way round, and in inches
        String us = """
            [{'id':'T','use':'column','units':'US','code':'aci-318-19','shape':{'shape':'polygon','outline':[[-6,24],[-6,0],[6,0],[6,24]],
              'openings':[[[-2,10],[2,10],[2,14],[-2,14]]]},
              'fc':4,'fy':60,'bars':[{'bar':'#8','count':3,'x':-3.5,'z':2.5,'x2':3.5,'z2':2.5},{'bar':'#8','count':3,'x':-3.5,'z':21.5,'x2':3.5,'z2':21.5}],
              'forces':[{'my':100},{'n':-200,'my':100}]}]""";
        JsonNode a = answer(us);
        assertEquals(
                (12 * 24 - 16) * 25.4 * 25.4, a.get("strengths").get("areaMm2").asDouble(), 1e-3);
        assertTrue(use(a.get("sets").get(1), "axial-bending") > 0);
    }

    /** A rectangle with bars on one side only: tension bars by hand, T20 × 3 at d = 540 under sagging. */
    @Test
    void aRectangleWithBarsOnOneSide() {
        String s = """
            [{'use':'column','units':'SI','shape':{'shape':'rectangle','b':300,'h':600},'fc':25,'fy':420,'bars':[{'area':942,'x':-90,'z':60},{'area':942,'x':90,'z':60}],
              'forces':[{'my':100},{'my':-5}]}]""";
        double a = 1884 * 420 / (0.85 * 25 * 300.0);
        double strength = 0.9 * 1884 * 420 * (540 - a / 2) / 1e6;
        JsonNode sets = answer(s).get("sets");
        assertEquals(100 / strength, use(sets.get(0), "axial-bending"), 1e-4);
        assertTrue(use(sets.get(1), "axial-bending") > 5 / strength, "hogging has the bars on the wrong side");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
        'outline':[[0,0],[300,0]]                                        | fewer than 3
        'outline':[[0,0],[300,300],[300,0],[0,300]]                      | crosses itself
        'outline':[[0,0],[300,0],[300,300],[0,300],[0,0]]                | crosses itself
        'outline':[[0,0],[3,0],[3,3],[0,3]]                              | smaller than 20 mm
        'outline':[[0,0],[300,0,1],[300,300],[0,300]]                    | not a pair
        'outline':[[0,0],[1e300,0],[300,300],[0,300]]                    | not a pair
        'outline':[[0,0],[300,0],null,[0,300]]                           | not a pair
        'outline':[[0,0],[300,0],[300,300],[0,300]],'openings':[[[400,10],[450,10],[450,50]]] | outside the outline
        'outline':[[0,0],[300,0],[300,300],[0,300]],'openings':[[[250,10],[350,10],[350,50]]] | cross or touch
        'outline':[[0,0],[300,0],[300,300],[0,300]],'openings':[null]    | fewer than 3
        'b':300                                                          | fewer than 3
        """)
    void badOutlinesAreTold(String shape, String words) {
        SectionFile.Read r = SectionFile.read(bytes("""
            [{'use':'column','units':'SI','shape':{'shape':'polygon',%s},'fc':30,'fy':420,'bars':[{'bar':'T20','x':50,'z':50}],'forces':[]}]""".formatted(shape.replace("''", "'"))));
        assertFalse(r.findings().isEmpty());
        assertTrue(
                r.findings().stream()
                        .anyMatch(f -> f.what().contains(words) && !f.mend().isBlank()),
                r.findings().toString());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
        {'bar':'T20','x':50}                          | place of the bar is missing
        {'bar':'T20','count':3,'z':50}                | place of the bar is missing
        {'bar':'T20','count':3,'x':50,'z':50}         | count is 3
        {'bar':'T20','count':3,'x':50,'z':50,'x2':90} | place of the bar is missing
        {'bar':'T20','count':201,'x':50,'z':50,'x2':90,'z2':50} | count is 201
        {'bar':'T20','x':150,'z':150}                 | outside the section
        {'bar':'T20','x':350,'z':150}                 | outside the section
        """)
    void badBarsAreTold(String bar, String words) {
        SectionFile.Read r = SectionFile.read(bytes("""
            [{'use':'column','units':'SI','shape':{'shape':'polygon','outline':[[0,0],[300,0],[300,300],[0,300]],'openings':[[[100,100],[200,100],[200,200],[100,200]]]},
              'fc':30,'fy':420,'bars':[%s],'forces':[]}]""".formatted(bar)));
        assertTrue(
                r.findings().stream().anyMatch(f -> f.what().contains(words)),
                r.findings().toString());
    }

    @Test
    void barsThatComeOutOfTheConcreteAreFound() {
        JsonNode a = answer("""
            [{'use':'column','units':'SI','shape':{'shape':'polygon','outline':[[0,0],[300,0],[300,300],[0,300]]},
              'fc':30,'fy':420,'bars':[{'bar':'T20','x':50,'z':50},{'bar':'T20','x':250,'z':295},{'bar':'T20','x':62,'z':50}],'forces':[]}]""");
        assertTrue(a.get("findings").toString().contains("comes out of the concrete"), a.toString());
        assertTrue(a.get("findings").toString().contains("lie in each other"), a.toString());
    }

    /** Sets for service: σs = N / As in a tie, the width under the limit that the parameters set; kinds and parameters that are none are refused by name. */
    @Test
    void setsUnderServiceLoad() {
        String tie = "[{'id':'T','use':'column','units':'SI','code':'en-1992-1-1','parameters':{'crackWidth':0.2},"
                + "'shape':{'shape':'rectangle','b':300,'h':300},'fc':30,'fy':500,"
                + "'bars':[{'bar':'T20','count':2,'z':50},{'bar':'T20','count':2,'z':250}],"
                + "'forces':[{'n':300,'kind':'quasi-permanent'},{'n':300,'kind':'characteristic'},{'n':300}]}]";
        JsonNode sets = answer(tie).get("sets");
        JsonNode crack = sets.get(0).get("checks").get(0);
        assertEquals("crack-width", crack.get("check").asText());
        assertEquals(0.2, crack.get("capacity").asDouble(), 1e-9);
        double as = 4 * Math.PI * 100;
        assertEquals(300e3 / as, sets.get(0).get("barTensionMpa").asDouble(), 0.01);
        assertEquals(4, sets.get(0).get("barStressesMpa").size());
        assertEquals(300e3 / as / 400, use(sets.get(1), "steel-stress"), 1e-4);
        assertEquals("strength", sets.get(2).get("kind").asText());
        String wrong = tie.replace("characteristic", "rare").replace("crackWidth", "crack");
        assertEquals(
                java.util.List.of("sections[0], T, parameters"),
                SectionFile.read(bytes(wrong)).findings().stream()
                        .map(kolonne.core.finding.Finding::where)
                        .toList());
        String rare = tie.replace("characteristic", "rare");
        assertEquals(
                "There is no kind rare.",
                SectionFile.read(bytes(rare)).findings().get(0).what());
        String far = tie.replace("0.2", "7");
        assertTrue(SectionFile.read(bytes(far)).findings().get(0).what().contains("outside 0.05 to 0.5"));
    }
}
