package kolonne.server.command;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kolonne.server.Main;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command line without a server or database, and its exit statuses. */
class CommandLineTest {
    @TempDir
    private Path dir;

    private Path demo() {
        Path model = dir.resolve("m.json");
        assertEquals(0, Main.run("demo", model.toString(), "--storeys", "2", "--bays", "2x1", "--plain"));
        return model;
    }

    @Test
    void designsABuildingIntoAFolder() throws IOException {
        int status = Main.run(
                "design", demo().toString(), "--out", dir.resolve("out").toString());
        assertTrue(status == 0 || status == 1, "status " + status);
        var results =
                new ObjectMapper().readTree(dir.resolve("out/results.json").toFile());
        boolean all = results.get("state").get("satisfied").asInt()
                == results.get("state").get("members").asInt();
        assertEquals(all ? 0 : 1, status);
        for (String f : new String[] {
            "report.pdf", "schedules.pdf", "schedules.xlsx", "checks.csv", "bending.json", "bending.csv"
        }) {
            assertTrue(Files.size(dir.resolve("out").resolve(f)) > 1000, f);
        }
        long plain = Files.size(dir.resolve("out/report.pdf"));
        Path more = dir.resolve("more");
        Main.run("design", demo().toString(), "--out", more.toString(), "--calculations", "cages");
        assertTrue(Files.size(more.resolve("report.pdf")) > plain, "with calculations");
        assertEquals(2, Main.run("design", demo().toString(), "--out", more.toString(), "--calculations", "some"));
    }

    @Test
    void writesTheBuildingWithItsBars() throws IOException {
        Path file = dir.resolve("new/building.ifc");
        Path model = demo();
        int status = Main.run("ifc", model.toString(), "--out", file.toString());
        assertTrue(status == 0 || status == 1, "as design");
        String text = Files.readString(file);
        assertTrue(text.contains("=IFCREINFORCINGBAR(") && text.endsWith("END-ISO-10303-21;\n"));
        assertEquals(status, Main.run("ifc", model.toString(), "--concrete", "--out", file.toString()));
        assertTrue(Files.size(file) < text.length() / 3);
        assertEquals(2, Main.run("ifc", dir.resolve("none.json").toString(), "--out", file.toString()));
    }

    @Test
    void writesReportSchedulesAndBendingListsOneByOne() throws IOException {
        Path model = demo();
        Path all = dir.resolve("all");
        int status = Main.run("design", model.toString(), "--out", all.toString());
        Path one = dir.resolve("one");
        String[][] alike = {
            {"report", "report.pdf"},
            {"schedule", "schedules.pdf"},
            {"bbs", "bending.json"},
            {"bbs", "bending.csv"}
        };
        for (String[] c : alike) {
            Path file = one.resolve(c[1]);
            assertEquals(status, Main.run(c[0], model.toString(), "--out", file.toString()), c[0]);
            assertArrayEquals(Files.readAllBytes(all.resolve(c[1])), Files.readAllBytes(file), "the same " + c[1]);
        }
        Path list = one.resolve("list.pdf");
        assertEquals(status, Main.run("bbs", model.toString(), "--out", list.toString()));
        assertTrue(Files.size(list) > 1000 && Files.size(list) < Files.size(one.resolve("schedules.pdf")));
        Path some = one.resolve("some.XLSX");
        assertEquals(status, Main.run("schedule", model.toString(), "--marks", "L1-B01", "--out", some.toString()));
        Path sheets = one.resolve("sheets.pdf");
        assertEquals(status, Main.run("report", model.toString(), "--sheets", "L1-B01", "--out", sheets.toString()));
        assertTrue(Files.size(sheets) > Files.size(one.resolve("report.pdf")));
        assertEquals(2, Main.run("schedule", model.toString(), "--marks", "Z9", "--out", some.toString()));
        assertEquals(
                2,
                Main.run(
                        "schedule",
                        model.toString(),
                        "--out",
                        one.resolve("it.doc").toString()));
        assertEquals(
                2, Main.run("bbs", model.toString(), "--out", one.resolve("it").toString()));
        assertEquals(2, Main.run("report", model.toString(), "--sheets", "Z9", "--out", sheets.toString()));
    }

    @Test
    void drawsWhatIsAskedForOnPaper() throws IOException {
        Path out = dir.resolve("drawn");
        Path model = demo();
        int status = Main.run("draw", model.toString(), "--out", out.toString(), "--paper", "A3", "--marks", "L1-B01");
        assertTrue(status == 0 || status == 1, "status " + status);
        assertTrue(Files.readString(out.resolve("drawings.dxf")).contains("L1-B01"));
        assertTrue(Files.size(out.resolve("drawings.pdf")) > 1000);
        Path project = dir.resolve("project.json");
        Files.writeString(project, "{\"format\":\"kolonne-project\",\"version\":1,\"client\":\"Stichting Leeszaal\"}");
        String[] drawn = {
            "draw", model.toString(), "--out", out.toString(), "--marks", "L1-B01", "--project", project.toString()
        };
        assertEquals(status, Main.run(drawn));
        assertTrue(Files.readString(out.resolve("drawings.dxf")).contains("Stichting Leeszaal"));
        Files.writeString(project, "{\"format\":\"kolonne-project\",\"version\":1,\"logo\":\"none.png\"}");
        assertEquals(2, Main.run(drawn), "the picture is not there");
        assertEquals(2, Main.run("draw", model.toString(), "--out", out.toString(), "--marks", "X9"));
        assertEquals(2, Main.run("draw", model.toString(), "--out", out.toString(), "--paper", "B5"));
    }

    @Test
    void comparesTwoModels() throws IOException {
        Path old = demo();
        assertEquals(0, Main.run("compare", old.toString(), old.toString()));
        Path deeper = dir.resolve("deeper.json");
        assertEquals(0, Main.run("demo", deeper.toString(), "--storeys", "3", "--bays", "2x1", "--plain"));
        java.io.PrintStream console = System.out;
        var said = new java.io.ByteArrayOutputStream();
        System.setOut(new java.io.PrintStream(said, true, java.nio.charset.StandardCharsets.UTF_8));
        try {
            assertEquals(1, Main.run("compare", old.toString(), deeper.toString(), "--json"));
        } finally {
            System.setOut(console);
        }
        var told = new ObjectMapper().readTree(said.toByteArray());
        assertTrue(told.get("differences").findValuesAsText("kind").contains("new"), told.toString());
        assertTrue(told.get("totals").size() > 0);
        assertEquals(
                2, Main.run("compare", old.toString(), dir.resolve("none.json").toString()));
    }

    @Test
    void designsWithTheSuggestedTypes() throws IOException {
        Path own = dir.resolve("own");
        Path shared = dir.resolve("shared");
        Path model = demo();
        Main.run("design", model.toString(), "--out", own.toString());
        Main.run("design", model.toString(), "--out", shared.toString(), "--types", "suggested");
        var alone = new ObjectMapper().readTree(own.resolve("results.json").toFile());
        var typed = new ObjectMapper().readTree(shared.resolve("results.json").toFile());
        assertTrue(alone.findValues("type").stream().noneMatch(t -> t.asText().startsWith("TB")));
        long members = typed.get("beamLines").findValuesAsText("type").stream()
                .filter(t -> t.startsWith("TB"))
                .count();
        assertTrue(members > 3, members + " lines share cages");
        assertTrue(
                typed.get("steelKg").asDouble() <= 1.06 * alone.get("steelKg").asDouble());
        assertEquals(2, Main.run("design", model.toString(), "--out", own.toString(), "--types", "few"));
    }

    @Test
    void anUnmetBuildingEndsWithOneAndBadInputWithTwo() throws IOException {
        Path model = demo();
        Path weak = dir.resolve("weak.json");
        Files.writeString(weak, Files.readString(model).replace("\"fc\":35.0", "\"fc\":11.0"));
        assertEquals(
                1, Main.run("design", weak.toString(), "--out", dir.resolve("o").toString()));
        assertEquals(
                2,
                Main.run(
                        "design",
                        dir.resolve("none.json").toString(),
                        "--out",
                        dir.resolve("o").toString()));
        Path bad = Files.writeString(dir.resolve("bad.json"), "{");
        assertEquals(
                2, Main.run("design", bad.toString(), "--out", dir.resolve("o").toString()));
        assertEquals(2, Main.run("check", bad.toString()));
        assertEquals(
                2,
                Main.run(
                        "design",
                        model.toString(),
                        "--basis",
                        bad.toString(),
                        "--out",
                        dir.resolve("o").toString()));
        assertEquals(2, Main.run("nonsense"));
        assertEquals(2, Main.run("demo", dir.resolve("x.json").toString(), "--bays", "axb"));
    }

    @Test
    void aSheetOfAnUnknownMarkIsRefusedBeforeAnythingIsWritten() throws IOException {
        Path out = dir.resolve("sheets");
        assertEquals(2, Main.run("design", demo().toString(), "--out", out.toString(), "--sheets", "L1-B01,X9"));
        assertTrue(Files.notExists(out));
    }

    @Test
    void convertsThereAndBackAndAnalyses() throws IOException {
        Path model = demo();
        assertEquals(
                0, Main.run("convert", model.toString(), dir.resolve("m.zip").toString()));
        assertEquals(
                0,
                Main.run(
                        "convert",
                        dir.resolve("m.zip").toString(),
                        dir.resolve("tables").toString()));
        assertEquals(
                0,
                Main.run(
                        "convert",
                        dir.resolve("tables").toString(),
                        dir.resolve("again.json").toString()));
        assertEquals(Files.readString(model), Files.readString(dir.resolve("again.json")));
        assertEquals(0, Main.run("check", model.toString()));
        assertEquals(
                0,
                Main.run("analyse", model.toString(), "--out", dir.resolve("a").toString()));
        assertTrue(Files.readString(dir.resolve("a/reactions.csv")).startsWith("case,joint,"));
    }

    /** Without combinations for strength a model is analysed, not designed; a storey that is unstable is told in whole files. */
    @Test
    void analysesWithoutStrengthAndWritesWholeFiles() throws IOException {
        Path model = demo();
        Path service = Files.writeString(
                dir.resolve("service.json"),
                Files.readString(model).replace("\"purpose\":\"strength\"", "\"purpose\":\"service-characteristic\""));
        assertEquals(
                0,
                Main.run(
                        "analyse", service.toString(), "--out", dir.resolve("s").toString()));
        assertEquals(
                2,
                Main.run(
                        "design", service.toString(), "--out", dir.resolve("s2").toString()));
        Path soft = Files.writeString(
                dir.resolve("soft.json"),
                Files.readString(model)
                        .replaceAll("\"E\":[0-9.]+", "\"E\":1100")
                        .replaceAll("\"pressure\":[0-9.]+", "\"pressure\":20"));
        assertEquals(
                1, Main.run("design", soft.toString(), "--out", dir.resolve("u").toString()));
        String checks = Files.readString(dir.resolve("u/checks.csv"));
        assertTrue(
                checks.contains(",inf,") && checks.contains("second-order") && checks.endsWith("\n"),
                "an unstable storey has no bound");
        try (var files = Files.list(dir.resolve("u"))) {
            assertTrue(files.noneMatch(f -> f.toString().endsWith(".part")));
        }
    }

    private static String printed(java.util.concurrent.Callable<Integer> run, int status) throws Exception {
        java.io.PrintStream out = System.out;
        java.io.ByteArrayOutputStream kept = new java.io.ByteArrayOutputStream();
        System.setOut(new java.io.PrintStream(kept, true, java.nio.charset.StandardCharsets.UTF_8));
        try {
            assertEquals(status, run.call());
        } finally {
            System.setOut(out);
        }
        return kept.toString(java.nio.charset.StandardCharsets.UTF_8);
    }

    @Test
    void streamsAndJsonServeScripts() throws Exception {
        Path model = demo();
        String json = printed(() -> Main.run("check", model.toString(), "--json"), 0);
        assertTrue(new ObjectMapper().readTree(json).get("sound").asBoolean());
        Path bad = Files.writeString(dir.resolve("bad.json"), "{");
        var told = new ObjectMapper().readTree(printed(() -> Main.run("check", bad.toString(), "--json"), 2));
        assertEquals("file.truncated", told.get("findings").get(0).get("code").asText());
        java.io.InputStream in = System.in;
        System.setIn(Files.newInputStream(model));
        try {
            assertEquals(
                    Files.readString(model).strip(),
                    printed(() -> Main.run("convert", "-", "-"), 0).strip());
        } finally {
            System.setIn(in);
        }
        assertTrue(printed(() -> Main.run("help", "design"), 0).contains("--basis"));
        assertTrue(printed(() -> Main.run("generate-completion"), 0).contains("_complete_kolonne"));
    }

    @Test
    void answersForSectionsOnTheirOwn() throws IOException {
        Path list = Files.writeString(dir.resolve("s.json"), """
            [{"id":"B","use":"beam","units":"SI","shape":{"shape":"rectangle","b":300,"h":600},"fc":30,"fy":420,
              "bars":[{"bar":"T20","face":"bottom","count":4}],"stirrups":{"bar":"T10","spacing":150},"forces":[{"my":200,"vz":100}]}]""");
        Path answers = dir.resolve("a.json");
        assertEquals(0, Main.run("section", list.toString(), "--out", answers.toString(), "--calculations"));
        assertTrue(Files.readString(answers).contains("\"governs\""));
        Files.writeString(list, Files.readString(list).replace("\"my\":200", "\"my\":400"));
        assertEquals(1, Main.run("section", list.toString()));
        assertEquals(2, Main.run("section", dir.resolve("none.json").toString()));
        assertEquals(
                2,
                Main.run(
                        "section",
                        Files.writeString(dir.resolve("bad.json"), "[").toString()));
    }
}
