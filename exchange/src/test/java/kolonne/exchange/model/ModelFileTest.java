package kolonne.exchange.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.Joint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The model file there and back in every form, and every way in which it can be bad. */
class ModelFileTest {
    private static final String SOUND = """
        {"format":"kolonne-model","version":1,"name":"Zaal één","units":"SI",
         "storeys":[{"id":"L1","name":"Łąka","elevation":3}],
         "joints":[{"id":"A","x":0,"y":0,"z":3},{"id":"B","x":6,"y":0,"z":3}],
         "materials":[{"id":"C","fc":30}],
         "sections":[{"id":"S","shape":"rectangle","b":300,"h":600}],
         "members":[{"id":"M","role":"beam","start":"A","end":"B","section":"S","material":"C"}],
         "supports":[{"joint":"A","held":["ux","uy","uz","rx","ry","rz"]}],
         "loadCases":[{"id":"P","kind":"live"}],
         "memberLoads":[{"case":"P","member":"M","kind":"distributed","from":0,"to":6,"value":-10}],
         "combinations":[{"id":"K","purpose":"strength","terms":{"P":1.6}}]}""";

    private static ModelReader.Read read(String s) {
        return ModelReader.read(s.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aSmallSoundFileIsReadInCoreUnits() {
        ModelReader.Read r = read(SOUND);
        assertTrue(r.sound(), r.findings().toString());
        Building b = r.building();
        assertEquals("Zaal één", b.name());
        assertEquals("Łąka", b.storeys().get(0).name());
        assertEquals(6000, b.joints().get(1).x());
        assertEquals(-10, b.memberLoads().get(0).w1());
        assertEquals(
                4700 * Math.sqrt(30), b.materials().get(0).E(), 1e-9, "ACI 318M-19 19.2.2.1 where no modulus is given");
    }

    /** Numbers that no building has end in a finding in our own words, whatever table they stand in. */
    @ParameterizedTest(name = "{0} → {1}")
    @CsvSource(delimiter = '|', textBlock = """
        "x":6|"x":1e308
        "x":6|"x":1e12
        "value":-10|"value":-1e308
        "value":-10|"value":-1e15
        "P":1.6|"P":1e300
        "elevation":3|"elevation":-1e308
        "b":300|"b":1e308
        "fc":30|"fc":1e308
        "kind":"live"}|"kind":"live","selfWeight":1e308}
        "material":"C"|"material":"C","angle":1e300
        "material":"C"|"material":"C","releaseEnd":["my=1e308"]
        "material":"C"|"material":"C","factorIy":1e12
        """)
    void numbersHaveBounds(String sound, String absurd) {
        assertTrue(SOUND.contains(sound), sound);
        ModelReader.Read r = read(SOUND.replace(sound, absurd));
        assertFalse(r.sound(), absurd);
        for (Finding f : r.findings()) {
            assertFalse(
                    f.what().contains("Infinity")
                            || f.what().contains("NaN")
                            || f.what().contains("Exception"),
                    f.toString());
        }
    }

    /** More notes than a person reads do not make a sound model unsound; of more faults than that the model stays unsound. */
    @Test
    void manyNotesRejectNothing() {
        StringBuilder lonely = new StringBuilder();
        for (int i = 0; i < 700; i++) {
            lonely.append(",{\"id\":\"J")
                    .append(i)
                    .append("\",\"x\":")
                    .append(10 + i)
                    .append(",\"y\":5,\"z\":0}");
        }
        String many = SOUND.replace(
                "{\"id\":\"B\",\"x\":6,\"y\":0,\"z\":3}", "{\"id\":\"B\",\"x\":6,\"y\":0,\"z\":3}" + lonely);
        ModelReader.Read r = read(many);
        assertTrue(r.sound(), r.findings().get(r.findings().size() - 1).toString());
        assertTrue(r.findings().size() <= 501);
        assertTrue(
                read(many.replace("\"value\":-10", "\"value\":-1e300"))
                                .findings()
                                .get(0)
                                .severity()
                        == Severity.FAILS,
                "what fails comes first");
    }

    /** A section that cannot be read is told once, not again by every member that has it. */
    @Test
    void oneUnreadableEntrySetsOffNoTrail() {
        ModelReader.Read r = read(SOUND.replace("\"b\":300", "\"b\":\"wide\""));
        assertEquals(
                List.of("field.type"),
                r.findings().stream().map(Finding::code).distinct().toList(),
                r.findings().toString());
    }

    @Test
    void aModelWithoutStrengthCombinationsCanBeAnalysedButNotDesigned() {
        ModelReader.Read r = read(SOUND.replace("\"purpose\":\"strength\"", "\"purpose\":\"service-characteristic\""));
        assertTrue(r.analysable() && !r.sound(), r.findings().toString());
    }

    @Test
    void usCustomaryUnitsAreConverted() {
        ModelReader.Read r = read(SOUND.replace("\"SI\"", "\"US\"")
                .replace("\"fc\":30", "\"fc\":4")
                .replace("300", "12")
                .replace("600", "24")
                .replace("\"x\":6", "\"x\":20")
                .replace("\"to\":6", "\"to\":20")
                .replace("-10", "-1"));
        assertTrue(r.sound(), r.findings().toString());
        assertEquals(20 * 304.8, r.building().joints().get(1).x(), 1e-9);
        assertEquals(304.8, r.building().sections().get(0).shape().width(), 1e-9);
        assertEquals(27.579, r.building().materials().get(0).fc(), 1e-3);
        assertEquals(-14.5939, r.building().memberLoads().get(0).w1(), 1e-4, "1 kip/ft in N/mm");
    }

    @Test
    void jsonZipAndFolderHoldTheSameBuilding(@TempDir Path dir) throws IOException {
        Building b = DemoBuilding.generate(DemoOptions.VELDHAVEN);
        Building json = ModelReader.read(ModelWriter.json(b)).building();
        Building zip = ModelReader.read(zip(ModelWriter.csv(b))).building();
        for (Map.Entry<String, String> f : ModelWriter.csv(b).entrySet()) {
            Files.writeString(dir.resolve(f.getKey()), f.getValue());
        }
        Building folder = ModelReader.read(dir).building();
        assertEquals(json, zip);
        assertEquals(json, folder);
        assertEquals(b.members().size(), json.members().size());
        assertEquals(
                b.panels().stream().map(p -> p.joints()).toList(),
                json.panels().stream().map(p -> p.joints()).toList());
        assertEquals(b.combinations(), json.combinations());
        for (int i = 0; i < b.joints().size(); i++) {
            Joint p = b.joints().get(i);
            assertEquals(0, p.distanceTo(json.joints().get(i)), 1e-6);
        }
        assertEquals(json, ModelReader.read(ModelWriter.json(json)).building(), "a second time nothing changes");
    }

    /** Every table that the demo does not use, in both units. */
    @Test
    void springsSettlementsOpeningsAndConnectionsGoThereAndBack() {
        for (String units : List.of("SI", "US")) {
            String more = SOUND.replace("\"SI\"", '"' + units + '"')
                    .replace("\"fc\":30", units.equals("US") ? "\"fc\":4" : "\"fc\":30")
                    .replace("300", units.equals("US") ? "12" : "300")
                    .replace("600", units.equals("US") ? "24" : "600")
                    .replace(
                            "\"material\":\"C\"}",
                            "\"material\":\"C\",\"releaseStart\":[\"t\",\"my=5000\"],\"factorTorsion\":0.1}")
                    .replace("\"supports\":", """
                    "analysis":[{"shearDeformation":"yes","rigidEnds":0.5,"patternLive":"yes","inclination":0.004,"pDelta":{"P":1.2}}],
                    "roleStiffness":[{"role":"beam","factorIy":0.35},{"role":"column","factorIy":0.7}],
                    "springs":[{"joint":"B","uz":9000,"ry":400}],"settlements":[{"case":"P","joint":"A","uz":-12,"rx":0.001}],
                    "diaphragms":[{"id":"F","joints":["A","B"],"kind":"flexible"}],
                    "panels":[{"id":"V","joints":["A","B","D"],"thickness":8,"holes":["1 0.5 1.5 0.5 1.5 1"]}],
                    "supports":""")
                    .replace(
                            "\"joints\":[{\"id\":\"A\"",
                            "\"joints\":[{\"id\":\"D\",\"x\":6,\"y\":5,\"z\":3},{\"id\":\"A\"");
            assertTrue(read(more).sound(), read(more).findings().toString());
            Building b = read(more).building();
            double length = units.equals("US") ? 304.8 : 1000;
            assertEquals(
                    -12 * (units.equals("US") ? 25.4 : 1),
                    b.settlements().get(0).uz(),
                    1e-9);
            assertEquals(
                    9000 * (units.equals("US") ? 4448.2216152605 : 1000) / length,
                    b.springs().get(0).uz(),
                    1e-6);
            assertEquals(0.5 * length, b.panels().get(0).holes().get(0).get(0).y(), 1e-9);
            assertFalse(b.diaphragms().get(0).rigid());
            assertTrue(b.members().get(0).startRelease().frees(3));
            assertEquals(
                    5000 * (units.equals("US") ? 4448.2216152605 * 304.8 : 1e6),
                    b.members().get(0).startRelease().my(),
                    1);
            assertEquals(0.35, b.options().beams().iy());
            assertTrue(b.options().shearDeformation() && b.options().patternLive());
            Building back = ModelReader.read(ModelWriter.json(b)).building();
            assertEquals(back, ModelReader.read(ModelWriter.json(back)).building());
            assertEquals(
                    b.members().get(0).startRelease().my(),
                    back.members().get(0).startRelease().my(),
                    1e-6 * 5e9);
            assertEquals(b.options(), back.options());
            assertEquals(
                    b.panels().get(0).holes().get(0).size(),
                    back.panels().get(0).holes().get(0).size());
        }
    }

    /** Loads along a length run to the end of the member, 6 m away, where the file does not say how far; a member that there is not is told of once. */
    @Test
    void aLoadWithoutAnEndRunsAlongTheWholeMember() {
        String open = SOUND.replaceFirst(",\"from\":[0-9.]+,\"to\":[0-9.]+", "");
        assertFalse(open.equals(SOUND));
        assertEquals(6000, read(open).building().memberLoads().get(0).to(), 1e-9);
        assertEquals(0, read(open).building().memberLoads().get(0).from());
        List<Finding> lost = read(open.replaceFirst("\"member\":\"[^\"]+\"", "\"member\":\"nowhere\""))
                .findings();
        assertEquals(
                1, lost.stream().filter(f -> f.severity() == Severity.FAILS).count(), lost.toString());
    }

    @Test
    void temperatureIsOutOfScopeAndSaysSo() {
        ModelReader.Read r = read(SOUND.replace("\"kind\":\"distributed\"", "\"kind\":\"temperature\""));
        assertTrue(
                r.findings().stream().anyMatch(f -> f.code().equals("out-of-scope")),
                r.findings().toString());
    }

    private static byte[] zip(Map<String, String> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream z = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> f : files.entrySet()) {
                z.putNextEntry(new ZipEntry(f.getKey()));
                z.write(f.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return out.toByteArray();
    }

    static Stream<Arguments> bad() {
        return Stream.of(
                bad("", "file.empty"),
                bad("   ", "file.empty"),
                bad("hello", "file.not-json"),
                bad("[1,2]", "file.not-a-model"),
                bad("{\"format\":\"kolonne-model\"", "file.truncated"),
                bad(SOUND.substring(0, SOUND.length() / 2), "file.truncated"),
                bad(SOUND + "x", "file.not-json"),
                bad("{}", "field.missing"),
                bad(SOUND.replace("\"version\":1", "\"version\":9"), "file.version"),
                bad(SOUND.replace("\"SI\"", "\"cubits\""), "file.units"),
                bad(SOUND.replace("\"x\":6", "\"x\":NaN"), "file.not-json"),
                bad(SOUND.replace("\"x\":6", "\"x\":\"6\""), "field.type"),
                bad(SOUND.replace("\"x\":6", "\"x\":1e999"), "field.type"),
                bad(SOUND.replace("\"x\":6,", ""), "field.missing"),
                bad(SOUND.replace("\"x\":6,\"y\":0", "\"x\":6,\"x\":7,\"y\":0"), "file.not-json"),
                bad(SOUND.replace("\"id\":\"B\"", "\"id\":\"A\""), "id.duplicate"),
                bad(SOUND.replace("\"end\":\"B\"", "\"end\":\"Q\""), "reference.missing"),
                bad(SOUND.replace("\"end\":\"B\"", "\"end\":\"A\""), "member.zero-length"),
                bad(SOUND.replace("\"role\":\"beam\"", "\"role\":\"girder\""), "field.word"),
                bad(SOUND.replace("\"b\":300", "\"b\":-300"), "section.size"),
                bad(SOUND.replace("\"b\":300", "\"b\":0.3").replace("\"h\":600", "\"h\":0.6"), "section.size"),
                bad(SOUND.replace("\"joints\":[", "\"joints\":[5,"), "field.type"),
                bad(
                        SOUND.replace("\"storeys\":[{", "\"storeys\":{\"a\":[{")
                                .replace("\"elevation\":3}]", "\"elevation\":3}]}"),
                        "field.type"),
                bad(SOUND.replace("\"fc\":30", "\"fc\":30000"), "material.strength"),
                bad(SOUND.replace("{\"P\":1.6}", "{\"P\":\"1.6\"}"), "field.type"));
    }

    private static Arguments bad(String text, String code) {
        return Arguments.of(code, text);
    }

    @ParameterizedTest(name = "{0} ({index})")
    @MethodSource("bad")
    void aBadFileGetsAFindingWithPlaceReasonAndMend(String code, String text) {
        ModelReader.Read r = read(text);
        assertFalse(r.sound());
        Finding f = r.findings().stream()
                .filter(x -> x.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + code + " in " + r.findings()));
        assertEquals(Severity.FAILS, f.severity());
        assertFalse(f.where().isBlank() || f.what().isBlank() || f.mend().isBlank(), f.toString());
    }

    @Test
    void allFaultsAreReportedAtOnceAndUnknownFieldsAreNotes() {
        ModelReader.Read r = read(SOUND.replace("\"x\":6,", "\"colour\":\"red\",")
                .replace("\"end\":\"B\"", "\"end\":\"Q\"")
                .replace("\"b\":300,", ""));
        List<String> codes = r.findings().stream().map(Finding::code).toList();
        assertTrue(codes.containsAll(List.of("field.unknown", "field.missing", "reference.missing")), codes.toString());
        assertEquals(
                Severity.NOTE,
                r.findings().stream()
                        .filter(f -> f.code().equals("field.unknown"))
                        .findFirst()
                        .orElseThrow()
                        .severity());
        assertTrue(
                r.findings().stream().anyMatch(f -> f.where().startsWith("joints[1] B")),
                r.findings().toString());
    }

    @Test
    void bytesThatAreNoTextAreRefused() {
        byte[] noise = new byte[4096];
        new java.util.Random(1).nextBytes(noise);
        noise[0] = (byte) 0xFF;
        assertNull(ModelReader.read(noise).building());
    }

    @Test
    void aZipThatUnpacksToTooMuchIsRefusedBeforeItFillsTheMemory() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream z = new ZipOutputStream(out)) {
            z.putNextEntry(new ZipEntry("joints.csv"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 300; i++) {
                z.write(zeros);
            }
        }
        assertTrue(out.size() < 1 << 20, "a bomb is small");
        ModelReader.Read r = ModelReader.read(out.toByteArray());
        assertEquals("zip.too-large", r.findings().get(0).code());
    }

    @Test
    void aDamagedZipAndATableWithoutUnitsAreNamed() throws IOException {
        byte[] z = zip(ModelWriter.csv(DemoBuilding.generate(DemoOptions.ofSize(60))));
        ModelReader.Read cut = ModelReader.read(java.util.Arrays.copyOf(z, z.length / 2));
        assertFalse(cut.sound());
        assertEquals(
                "table.no-model",
                ModelReader.read(zip(Map.of("joints.csv", "id,x,y,z\nA,0,0,0\n")))
                        .findings()
                        .get(0)
                        .code());
    }

    @Test
    void aFormulaInACellIsATextThatIsNotANumber() throws IOException {
        ModelReader.Read r = ModelReader.read(
                zip(Map.of("model.csv", "name,units\nx,SI\n", "joints.csv", "id,x,y,z\nA,=1+1,0,0\n")));
        assertTrue(
                r.findings().stream()
                        .anyMatch(f -> f.code().equals("field.type")
                                && f.what().contains("=1+1")
                                && f.where().equals("joints.csv line 2.x")),
                r.findings().toString());
    }

    /** A line without end, a header of thousands, rows of unlike length: told by name, and cheaply. */
    @Test
    void tablesHaveBounds() throws IOException {
        String model = "name,units\nx,SI\n";
        ModelReader.Read line = ModelReader.read(
                zip(Map.of("model.csv", model, "joints.csv", "id,x,y,z\nA,0,0,0\nB," + "9".repeat(3 << 20))));
        assertTrue(
                line.findings().stream()
                        .anyMatch(
                                f -> f.code().equals("table.line") && f.where().equals("joints.csv line 3")),
                line.findings().toString());
        ModelReader.Read wide = ModelReader.read(
                zip(Map.of("model.csv", model, "joints.csv", "id,x,y,z" + ",c".repeat(5000) + "\nA,0,0,0\n")));
        assertTrue(
                wide.findings().stream()
                        .anyMatch(f ->
                                f.code().equals("table.columns") && f.what().contains("5004")),
                wide.findings().toString());
        ModelReader.Read more =
                ModelReader.read(zip(Map.of("model.csv", model, "joints.csv", "id,x,y,z\nA,0,0,0,7\n")));
        assertTrue(
                more.findings().stream()
                        .anyMatch(f ->
                                f.code().equals("table.damaged") && f.where().equals("joints.csv line 2")),
                more.findings().toString());
        ModelReader.Read fewer = ModelReader.read(zip(Map.of("model.csv", model, "joints.csv", "id,x,y,z\nA,0\n")));
        assertTrue(
                fewer.findings().stream().anyMatch(f -> f.where().startsWith("joints.csv line 2")),
                fewer.findings().toString());
    }

    @Test
    void rowsHaveABound() throws IOException {
        ModelReader.Read r = ModelReader.read(
                zip(Map.of("model.csv", "name,units\nx,SI\n", "joints.csv", "id\n" + "a\n".repeat(2_000_001))));
        assertTrue(
                r.findings().stream().anyMatch(f -> f.code().equals("table.rows")),
                r.findings().subList(0, 3).toString());
    }

    /** A zip of 80 KB that holds a list of forty million noughts, and one name without end. */
    @Test
    void valuesHaveABound() throws IOException {
        byte[] body = new byte[80 << 20];
        byte[] head = "{\"format\":\"kolonne-model\",\"version\":1,\"name\":\"x\",\"units\":\"SI\",\"joints\":[0"
                .getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < body.length; i++) {
            body[i] = i < head.length ? head[i] : (byte) ((i - head.length) % 2 == 0 ? ',' : '0');
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream z = new ZipOutputStream(out)) {
            z.putNextEntry(new ZipEntry("model.json"));
            z.write(body);
        }
        ModelReader.Read many = ModelReader.read(out.toByteArray());
        assertTrue(
                many.findings().get(0).what().contains("25 million values"),
                many.findings().toString());
        ModelReader.Read name =
                ModelReader.read(("{\"format\":\"kolonne-model\",\"name\":\"" + "a".repeat(200_000) + "\"}")
                        .getBytes(StandardCharsets.UTF_8));
        assertTrue(
                name.findings().get(0).what().contains("too long"),
                name.findings().toString());
    }
}
