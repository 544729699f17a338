package kolonne.exchange.single;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Lists of sections against hand calculations in either system, and every way in which they can be bad. */
class SectionFileTest {
    /** 12 by 24 in, 4 #8 at d = 21.5 in, #4 stirrups at 8 in, f'c 4000 psi, Grade 60. */
    private static final String BEAM = """
        [{"id":"B","use":"beam","units":"US","shape":{"shape":"rectangle","b":12,"h":24},"fc":4,"fy":60,"cover":1.5,
          "bars":[{"bar":"#8","z":2.5,"count":4},{"bar":"#5","face":"top","count":2}],"stirrups":{"bar":"#4","spacing":8},
          "forces":[{"name":"a","my":200,"vz":40},{"name":"b","my":-60,"t":25,"vz":20}]}]""";

    private static final String COLUMN = """
        [{"id":"C","use":"column","units":"SI","shape":{"shape":"rectangle","b":400,"h":400},"fc":30,"fy":420,
          "bars":[{"bar":"T25","x":-140,"z":60},{"bar":"T25","x":140,"z":60},{"bar":"T25","x":-140,"z":340},{"bar":"T25","x":140,"z":340}],
          "stirrups":{"bar":"T10","spacing":200},"forces":[{"n":-1500},{"n":-800,"my":120,"mz":40,"vz":60}]}]""";

    private static JsonNode answer(String s) {
        SectionFile.Read r = SectionFile.read(s.getBytes(StandardCharsets.UTF_8));
        assertTrue(r.findings().isEmpty(), r.findings().toString());
        return SectionFile.answers(r.ready(), true).get(0);
    }

    private static double check(JsonNode set, String name) {
        for (JsonNode c : set.get("checks")) {
            if (c.get("check").asText().equals(name)) {
                return c.get("utilisation").asDouble();
            }
        }
        throw new AssertionError(name + " in " + set);
    }

    @Test
    void aBeamInInchesByHand() {
        JsonNode a = answer(BEAM.replace(",{\"bar\":\"#5\",\"face\":\"top\",\"count\":2}", ""));
        // a = 3.16 x 60 / (0.85 x 4 x 12) = 4.647 in; Mn = 189.6 (21.5 - 2.324) = 3636 kip in; φ = 0.9: 272.7 kip ft
        assertEquals(272.7, a.get("strengths").get("phiMnSaggingNmm").asDouble() / 1355817.948, 0.1);
        assertEquals(200 / 272.7, check(a.get("sets").get(0), "flexure"), 5e-4);
        // Vc = 2 √4000 x 12 x 21.5 = 32.63 kip; Vs = 0.4 x 60 x 21.5 / 8 = 64.5 kip; φVn = 72.85 kip
        assertEquals(72.85, a.get("strengths").get("phiVnN").asDouble() / 4448.2216, 0.02);
        assertEquals(40 / 72.85, check(a.get("sets").get(0), "shear"), 5e-4);
        assertTrue(check(a.get("sets").get(0), "torsion-threshold") == 0);
    }

    @Test
    void torsionInInchesByHand() {
        JsonNode a = answer(BEAM);
        JsonNode set = a.get("sets").get(1);
        // x1 = 8.5, y1 = 20.5: Aoh = 174.25, ph = 58; At/s = 300 000 / (0.75 x 2 x 0.85 x 174.25 x 60 000) = 0.022505
        // in
        double at = 0.022505;
        // hogging: d = 24 - 1.5 - 0.5 - 0.3125 = 21.6875 of the top bars; φVc = 0.75 x 2 √4000 x 12 x 21.6875 = 24.69
        // kip > 20
        assertEquals(at / (0.20 / 8), check(set, "torsion"), 1e-3);
        double al = Math.max(at * 58, 5 * Math.sqrt(4000) * 288 / 60_000 - Math.max(at, 25.0 * 12 / 60_000) * 58);
        assertEquals(al / 2 / 0.62, check(set, "torsion-bars"), 2e-3, "two levels, the top one has 0.62 in2");
        assertEquals(8 / 7.25, check(set, "torsion-spacing"), 1e-6, "ph / 8 = 7.25 in");
        assertTrue(set.get("calculation").size() > 10);
        assertEquals("flexure", set.get("governs").asText(), "torsion takes more than the top bars");
    }

    @Test
    void aColumnUnderPureCompressionIsAtItsCap() {
        JsonNode a = answer(COLUMN);
        double ast = 4 * Math.PI * 625 / 4;
        double cap = 0.65 * 0.8 * (0.85 * 30 * (160_000 - ast) + 420 * ast);
        assertEquals(1.5e6 / cap, check(a.get("sets").get(0), "axial-limit"), 1e-6);
        assertEquals(
                check(a.get("sets").get(0), "axial-limit"), check(a.get("sets").get(0), "axial-bending"), 1e-9);
        assertTrue(check(a.get("sets").get(1), "axial-bending") > 0.3
                && check(a.get("sets").get(1), "axial-bending") < 1.2);
    }

    @Test
    void oneSectionInEitherSystemGivesTheSame() {
        String si = """
            [{"use":"beam","units":"SI","shape":{"shape":"tee","bw":300,"h":600,"bf":1200,"hf":150},"fc":28,"fy":420,"cover":40,
              "bars":[{"area":2400,"diameter":25,"z":70}],"forces":[{"my":300}]}]""";
        JsonNode a = answer(si);
        double as = 2400 * 420 / (0.85 * 28 * 1200);
        assertEquals(
                0.9 * 2400 * 420 * (530 - as / 2),
                a.get("strengths").get("phiMnSaggingNmm").asDouble(),
                1e3);
    }

    @Test
    void barsOfACircleLieEvenlyRoundOneRing() {
        StringBuilder bars = new StringBuilder();
        for (int i = 0; i < 6; i++) {
            bars.append(i == 0 ? "" : ",")
                    .append(String.format(
                            java.util.Locale.ROOT,
                            "{\"bar\":\"T20\",\"x\":%.3f,\"z\":%.3f}",
                            180 * Math.cos(i * Math.PI / 3),
                            250 + 180 * Math.sin(i * Math.PI / 3)));
        }
        String round =
                "[{\"use\":\"column\",\"units\":\"SI\",\"shape\":{\"shape\":\"circle\",\"d\":500},\"fc\":30,\"fy\":420,\"bars\":["
                        + bars + "],\"forces\":[{\"n\":-500,\"my\":100}]}]";
        assertTrue(check(answer(round).get("sets").get(0), "axial-bending") > 0);
        SectionFile.Read one =
                SectionFile.read(round.replaceFirst("180\\.000", "90.000").getBytes(StandardCharsets.UTF_8));
        assertTrue(
                one.findings().stream().anyMatch(f -> f.what().contains("out of scope")),
                one.findings().toString());
    }

    static Stream<Arguments> bad() {
        return Stream.of(
                bad("units", BEAM.replace("\"US\"", "\"cgs\"")),
                bad("use", BEAM.replace("\"beam\"", "\"slab\"")),
                bad("fc", BEAM.replace("\"fc\":4", "\"fc\":-4")),
                bad("bars[0]", BEAM.replace("#8", "#77")),
                bad("bars[0]", BEAM.replace("\"z\":2.5", "\"z\":92.5")),
                bad("shape", BEAM.replace("\"b\":12", "\"b\":0")),
                bad("stirrups", BEAM.replace("\"spacing\":8", "\"spacing\":0")),
                bad("file", "[]"),
                bad("file", "{"),
                bad("file", "hello"),
                bad("sections[0]", "[null]"),
                bad("no sections", "null"),
                bad("NaN is not a number", BEAM.replace("\"my\":200", "\"my\":NaN")),
                bad("file[0].fc", BEAM.replace("\"fc\":4", "\"fc\":\"4\"")),
                bad("not a whole number", BEAM.replace("\"count\":4", "\"count\":2.5")),
                bad("fc", BEAM.replace("\"fc\":4,", "\"fc\":4000,")),
                bad("fy", BEAM.replace("\"fy\":60", "\"fy\":420")),
                bad("fyt", BEAM.replace("\"fy\":60", "\"fy\":60,\"fyt\":1")),
                bad("strength is missing", BEAM.replace("\"fc\":4,", "")),
                bad("forces[0]", BEAM.replace("\"my\":200", "\"my\":1e400")),
                bad("forces[1]", BEAM.replaceAll("\\{\"name\":\"b\".*?\\}", "null")),
                bad(
                        "The id is that of sections[0]",
                        "[" + BEAM.strip().substring(1, BEAM.strip().length() - 1) + ","
                                + BEAM.strip().substring(1)),
                bad("of the section", BEAM.replace("\"bar\":\"#8\"", "\"area\":200")),
                bad("cover", BEAM.replace("\"cover\":1.5", "\"cover\":-1")),
                bad("shape", BEAM.replace("\"b\":12", "\"b\":12000")),
                bad("given twice", BEAM.replace("\"fc\":4", "\"fc\":4,\"fc\":5")),
                bad("nested too deeply", "[".repeat(2000)),
                bad("file", BEAM.replace("\"fc\":4", "\"fc\":\"four\"")),
                bad("file", BEAM.replace("\"cover\"", "\"kover\"")),
                bad("bars", BEAM.replaceAll("\"bars\":\\[.*?\\],", "")));
    }

    private static Arguments bad(String words, String text) {
        return Arguments.of(words, text);
    }

    @ParameterizedTest(name = "{index} {0}")
    @MethodSource("bad")
    void aBadListSaysWhatAndWhere(String words, String text) {
        SectionFile.Read r = SectionFile.read(text.getBytes(StandardCharsets.UTF_8));
        assertFalse(r.findings().isEmpty());
        assertTrue(
                r.findings().stream()
                        .anyMatch(f -> (f.where() + f.what()).contains(words)
                                && !f.mend().isBlank()),
                r.findings().toString());
    }

    /** What beams are not checked for is told as soon as it is more than may be left out: ACI 318-19 9.3.3.1 allows 0.1 f'c Ag of compression. */
    @Test
    void forcesThatABeamIsNotCheckedForAreNotAQuietPass() {
        String si = """
            [{"use":"beam","units":"SI","shape":{"shape":"rectangle","b":300,"h":600},"fc":25,"fy":420,"bars":[{"bar":"T25","z":60,"count":3}],
              "stirrups":{"bar":"T10","spacing":150},"forces":[{"n":-500},{"n":20},{"mz":30},{"vy":60},{"my":50}]}]""";
        JsonNode sets = answer(si).get("sets");
        assertEquals(500 / (0.1 * 25 * 0.3 * 600), check(sets.get(0), "axial-force"), 1e-9);
        assertEquals(20 / (0.003 * 25 * 0.3 * 600), check(sets.get(1), "axial-force"), 1e-9);
        assertEquals(30 / (0.01 * 25 * 0.6 * 0.3 * 300), check(sets.get(2), "minor-moment"), 1e-9);
        assertEquals(60 / (0.05 * 5 * 0.3 * 600), check(sets.get(3), "minor-shear"), 1e-9);
        for (int i = 0; i < 4; i++) {
            assertTrue(
                    sets.get(i).get("utilisation").asDouble() > 1, sets.get(i).toString());
        }
        assertTrue(sets.get(4).get("utilisation").asDouble() < 0.3);
    }

    /** Shear along both axes of a column adds up to 1.5 where each is over half (ACI 318-19 22.5.1.11). */
    @Test
    void shearOfAColumnInBothDirections() {
        JsonNode sets = answer(COLUMN.replace(
                        "\"forces\":[", "\"forces\":[{\"n\":-800,\"vy\":150,\"vz\":150},{\"n\":-800,\"vz\":150},"))
                .get("sets");
        double each = check(sets.get(0), "shear-z");
        assertTrue(each > 0.5, "each direction uses " + each);
        assertEquals((each + check(sets.get(0), "shear-y")) / 1.5, check(sets.get(0), "shear-both"), 1e-9);
        assertTrue(sets.get(1).get("checks").findValuesAsText("check").stream().noneMatch("shear-both"::equals));
    }

    static Stream<Arguments> outside() {
        return Stream.of(
                bad("bars-do-not-fit", BEAM.replace("\"count\":4", "\"count\":12")),
                bad("out-of-scope", BEAM.replace("\"fc\":4", "\"fc\":2")),
                bad("out-of-scope", BEAM.replace("\"fy\":60", "\"fy\":120")),
                bad("out-of-scope", COLUMN.replace("\"fy\":420", "\"code\":\"en-1992-1-1\",\"fy\":250")),
                bad("out-of-scope", COLUMN.replace("\"fc\":30", "\"code\":\"en-1992-1-1\",\"fc\":100")));
    }

    /** Bars in each other, concrete and steel that the code does not cover (ACI 318-19 19.2.1.1, 20.2.2.4; EN 1992-1-1 3.1.2, 3.2.2(3)). */
    @ParameterizedTest(name = "{index} {0}")
    @MethodSource("outside")
    void whatTheSectionIsNotCoveredForIsAFinding(String cause, String text) {
        assertEquals(cause, answer(text).get("findings").path(0).path("cause").asText());
    }

    @Test
    void aSoundSectionHasNoFindings() {
        assertTrue(answer(BEAM).get("findings").isEmpty()
                && answer(COLUMN).get("findings").isEmpty());
        assertTrue(
                answer(BEAM.replace("\"bar\":\"#8\",\"z\":2.5,\"count\":4", "\"area\":3.16,\"z\":2.5,\"count\":1"))
                        .get("findings")
                        .isEmpty(),
                "an area may stand for bars anywhere");
    }
}
