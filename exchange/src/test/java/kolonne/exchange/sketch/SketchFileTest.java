package kolonne.exchange.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.stream.Stream;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sketches as the pages send them, and every way in which they can be unfinished. */
class SketchFileTest {
    private static final String BEAM = """
        {"name":"Balk é","units":"SI","fc":30,"patternLive":false,
         "spans":[{"length":6,"section":{"shape":"rectangle","b":300,"h":600}},{"length":6,"section":{"shape":"tee","bw":300,"h":600,"bf":900,"hf":150}}],
         "supports":[{"kind":"pinned"},{"kind":"columns","below":3,"above":0,"column":{"shape":"circle","d":400},"pinnedFoot":true},{"kind":"fixed"}],
         "cases":[{"id":"D","name":"","kind":"dead","selfWeight":1},{"id":"L","name":"live","kind":"live","selfWeight":0}],
         "loads":[{"span":0,"loadCase":"L","kind":"distributed","from":1,"to":5,"value":10,"valueTo":20},
                  {"span":1,"loadCase":"L","kind":"point","from":2,"value":50}]}""";
    private static final String COLUMN = """
        {"name":"Kolom","units":"SI","fc":30,"height":4,"section":{"shape":"rectangle","b":400,"h":400},"foot":"fixed","head":"free",
         "cases":[{"id":"D","name":"","kind":"dead","selfWeight":1}],"loads":[{"loadCase":"D","axial":900,"hx":10}]}""";

    private static SketchFile.Read beam(String s) {
        return SketchFile.beam(s.getBytes(StandardCharsets.UTF_8));
    }

    private static SketchFile.Read column(String s) {
        return SketchFile.column(s.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void loadsActDownwardsInTheirUnits() {
        SketchFile.Read r = beam(BEAM);
        assertTrue(r.sound(), r.findings().toString());
        Analysis a = FrameAnalysis.solve(new BuildingIndex(r.building()));
        assertEquals(-(15 * 4 + 50) * 1e3, a.applied(1, 2), 1e-3);
        // weight: 25 kN/m3 of a rectangle, a tee and the column below
        double volume = 0.3 * 0.6 * 6 + (0.3 * 0.6 + 0.6 * 0.15) * 6 + Math.PI * 0.04 * 3;
        assertEquals(-25e3 * volume, a.applied(0, 2), 1);
        assertEquals("Balk é", r.building().name());
    }

    @Test
    void usUnitsAreThoseOfTheModelFile() {
        SketchFile.Read r = column(COLUMN.replace("\"SI\"", "\"US\"")
                .replace("\"fc\":30", "\"fc\":4")
                .replace("400", "16")
                .replace("\"height\":4", "\"height\":12"));
        assertTrue(r.sound(), r.findings().toString());
        Analysis a = FrameAnalysis.solve(new BuildingIndex(r.building()));
        double weight = 25e-6 * 406.4 * 406.4 * 3657.6;
        assertEquals(-900 * 4448.2216 - weight, a.applied(0, 2), 1);
        assertEquals(10 * 4448.2216, a.applied(0, 0), 1);
    }

    static Stream<Arguments> unfinished() {
        return Stream.of(
                bad("spans", "\"length\":6,", "\"length\":0,"),
                bad("units", "\"SI\"", "\"cubits\""),
                bad("concrete", "\"fc\":30", "\"fc\":0"),
                bad("name", "\"Balk é\"", "\" \""),
                bad("kind of case", "\"kind\":\"live\"", "\"kind\":\"alive\""),
                bad("double case", "\"id\":\"L\"", "\"id\":\"D\""),
                bad("flange", "\"bf\":900", "\"bf\":200"),
                bad("support kind", "\"kind\":\"fixed\"", "\"kind\":\"glued\""),
                bad("inner free", "{\"kind\":\"columns\"", "{\"kind\":\"free\""),
                bad("no column", "\"below\":3", "\"below\":0"),
                bad("beyond", "\"to\":5", "\"to\":7"),
                bad("backwards", "\"from\":1", "\"from\":5.5"),
                bad("span", "\"span\":1", "\"span\":4"),
                bad("load case", "\"loadCase\":\"L\",\"kind\":\"point\"", "\"loadCase\":\"Q\",\"kind\":\"point\""),
                bad("unknown field", "\"fc\":30", "\"fcc\":30"),
                bad("one support less", "{\"kind\":\"pinned\"},", ""));
    }

    private static Arguments bad(String name, String from, String to) {
        return Arguments.of(name, from, to);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("unfinished")
    void anUnfinishedBeamSaysWhatIsMissing(String name, String from, String to) {
        assertTrue(BEAM.contains(from), from);
        SketchFile.Read r = beam(BEAM.replace(from, to));
        assertFalse(r.sound(), name);
        assertTrue(
                r.findings().stream()
                        .allMatch(f -> !f.what().isBlank() && !f.mend().isBlank()),
                r.findings().toString());
    }

    @Test
    void holesInListsAreNamed() {
        for (String s : new String[] {
            BEAM.replace("{\"kind\":\"pinned\"}", "null"),
            BEAM.replace("\"loads\":[", "\"loads\":[null,"),
            BEAM.replace("\"cases\":[", "\"cases\":[null,"),
            BEAM.replace("\"spans\":[", "\"spans\":[null,")
        }) {
            assertTrue(beam(s).findings().stream().anyMatch(f -> f.what().contains("null")), s);
        }
    }

    @Test
    void anUnfinishedColumnSaysWhatIsMissing() {
        for (String s : new String[] {
            COLUMN.replace("\"fixed\"", "\"pinned\""),
            COLUMN.replace("\"foot\":\"fixed\"", "\"foot\":\"free\""),
            COLUMN.replace("\"height\":4", "\"height\":-4"),
            COLUMN.replace("\"loadCase\":\"D\"", "\"loadCase\":\"X\""),
            COLUMN + "}",
            "",
            "null"
        }) {
            assertFalse(column(s).sound(), s);
            assertFalse(column(s).findings().isEmpty(), s);
        }
    }

    @Test
    void theDesignCodeDecidesTheCombinationsAndGoesWithItsUnits() {
        SketchFile.Read en =
                SketchFile.beam(BEAM.replace("\"units\":\"SI\"", "\"units\":\"SI\",\"code\":\"en-1992-1-1\"")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertTrue(en.sound(), en.findings().toString());
        assertEquals("en-1992-1-1", en.code());
        assertTrue(en.building().combinations().stream().anyMatch(c -> c.name().startsWith("1.35G")));
        assertEquals(
                22_000 * Math.pow(3.8, 0.3), en.building().materials().get(0).E(), 1, "Ecm of C30 (table 3.1)");
        SketchFile.Read bad =
                SketchFile.beam(BEAM.replace("\"units\":\"SI\"", "\"units\":\"SI\",\"code\":\"aci-318-19\"")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertTrue(
                !bad.sound() && bad.findings().toString().contains("aci-318-19"),
                bad.findings().toString());
    }

    /** A length of 2³¹ m asked for stations without end; one span in metres typed as millimetres is told before anything is computed. */
    @ParameterizedTest
    @ValueSource(strings = {"2147483648", "6000", "1e300"})
    void lengthsHaveBounds(String length) {
        assertTimeoutPreemptively(Duration.ofSeconds(20), () -> {
            assertTold(
                    beam(BEAM.replace(
                            "\"length\":6,\"section\":{\"shape\":\"rect",
                            "\"length\":" + length + ",\"section\":{\"shape\":\"rect")),
                    "span 1",
                    "long");
            assertTold(column(COLUMN.replace("\"height\":4", "\"height\":" + length)), "height", "long");
            assertTold(beam(BEAM.replace("\"below\":3", "\"below\":" + length)), "support 2", "long");
        });
        assertTold(beam(BEAM.replace("\"h\":600}}", "\"h\":60000}}")), "span 1", "size");
        String load = "{\"span\":1,\"loadCase\":\"L\",\"kind\":\"point\",\"from\":2,\"value\":50}";
        assertTold(beam(BEAM.replace(load, load + ("," + load).repeat(300))), "loads", "more than 200");
    }

    private static void assertTold(SketchFile.Read r, String where, String what) {
        assertFalse(r.sound());
        assertTrue(
                r.findings().stream()
                        .anyMatch(f -> f.where().equals(where) && f.what().contains(what)),
                r.findings().toString());
    }
}
