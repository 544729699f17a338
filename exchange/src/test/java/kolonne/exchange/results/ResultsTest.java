package kolonne.exchange.results;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.local.LocalScope;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.SuggestedTypes;
import kolonne.core.model.BuildingIndex;
import kolonne.core.project.ProjectData;
import kolonne.core.project.Revision;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import kolonne.exchange.basis.BasisFile;
import kolonne.exchange.paper.ReportSheets;
import kolonne.exchange.paper.SchedulePdf;
import kolonne.exchange.paper.ScheduleTables;
import kolonne.exchange.paper.ScheduleWorkbook;
import kolonne.exchange.paper.UtilisationReport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Results files and papers of a small building, read back as somebody else's program would read them. */
class ResultsTest {
    private static BuildingDesign design;
    private static JsonNode json;

    @BeforeAll
    static void make() throws IOException {
        design = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(300)))),
                Basis.standard(false),
                BuildingDesigner.Progress.NONE);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ResultsJson.write(design, out);
        json = new ObjectMapper().readTree(out.toByteArray());
    }

    /** A second, independent check from the file alone: flexure by As fy (d − a/2) with the bars of the middle cut. */
    @Test
    void aBeamCanBeCheckedAgainFromTheFileAlone() {
        int compared = 0;
        for (JsonNode line : json.get("beamLines")) {
            for (JsonNode st : line.get("stations")) {
                JsonNode span = line.get("spans").get(st.get("span").asInt() - 1);
                double middle = (span.get("faceFromMm").asDouble()
                                + span.get("faceToMm").asDouble())
                        / 2;
                if (Math.abs(st.get("xMm").asDouble() - middle) > 1
                        || !span.get("section").get("shape").asText().equals("rectangle")) {
                    continue;
                }
                double h = span.get("section").get("depthMm").asDouble();
                double as = 0;
                double moment = 0;
                for (JsonNode bar : span.get("cuts").get(1).get("bars")) {
                    if (bar.get("zMm").asDouble() < h / 2) {
                        as += bar.get("areaMm2").asDouble();
                        moment += bar.get("areaMm2").asDouble()
                                * (h - bar.get("zMm").asDouble());
                    }
                }
                double fy = json.get("basis").get("fyMpa").asDouble();
                double a = as
                        * fy
                        / (0.85
                                * span.get("concrete").get("fcMpa").asDouble()
                                * span.get("section").get("webWidthMm").asDouble());
                double strength = 0.9 * as * fy * (moment / as - a / 2) / 1e6;
                assertEquals(
                        strength,
                        st.get("capacitySaggingKnm").asDouble(),
                        0.06 * strength,
                        line.get("mark").asText());
                double worst = 0;
                for (JsonNode f : st.get("forces")) {
                    worst = Math.max(worst, f.get("myKnm").asDouble());
                }
                assertTrue(worst <= strength * 1.02, "the strongest demand is met");
                compared++;
            }
        }
        assertTrue(compared > 2, compared + " compared");
    }

    @Test
    void everyCheckHasDemandCapacityUtilisationPlaceAndClause() {
        for (JsonNode line : json.get("beamLines")) {
            for (JsonNode c : line.get("checks")) {
                double u = c.get("demand").asDouble() / c.get("capacity").asDouble();
                boolean ratio = Set.of("flexure-top", "flexure-bottom", "shear", "shear-limit", "torsion-threshold")
                        .contains(c.get("kind").asText());
                if (ratio) {
                    assertEquals(u, c.get("utilisation").asDouble(), 1e-3, c.toString());
                    assertFalse(c.get("combination").asText().isBlank());
                }
                assertFalse(c.get("clause").asText().isBlank(), c.toString());
                assertFalse(c.get("place").asText().isBlank(), c.toString());
            }
            assertTrue(line.get("bars").size() >= 2 && line.get("stirrups").size() >= 1);
        }
    }

    /** Every station of a line, in order of place; a check names a station only where it lies at one; combinations of every purpose are listed. */
    @Test
    void stationsAndCombinationsAreWhole() {
        int between = 0;
        for (int i = 0; i < json.get("beamLines").size(); i++) {
            JsonNode line = json.get("beamLines").get(i);
            assertEquals(
                    design.beams().get(i).line().stations().size(),
                    line.get("stations").size());
            for (JsonNode c : line.get("checks")) {
                int station = c.get("station").asInt();
                between += station < 0 ? 1 : 0;
                assertTrue(
                        station < 0
                                || Math.abs(line.get("stations")
                                                        .get(station)
                                                        .get("xMm")
                                                        .asDouble()
                                                - c.get("xMm").asDouble())
                                        < 1,
                        c.toString());
            }
        }
        assertTrue(between > 0);
        for (String purpose : new String[] {"combinations", "serviceCombinations", "sustainedCombinations"}) {
            assertTrue(
                    json.get(purpose).size() > 0
                            && json.get(purpose).get(0).get("terms").size() > 0,
                    purpose);
        }
    }

    /** Redistributed moments are those of the file: hogging at supports is less than that of the analysis. */
    @Test
    void theFileHasTheMomentsThatWereDesignedFor() throws IOException {
        BuildingDesign moved = BuildingDesigner.design(
                design.analysis(), Basis.standard(false).withRedistribution(0.1), BuildingDesigner.Progress.NONE);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ResultsJson.write(moved, out);
        JsonNode file = new ObjectMapper().readTree(out.toByteArray());
        int less = 0;
        for (int i = 0; i < file.get("beamLines").size(); i++) {
            less += hogging(file.get("beamLines").get(i))
                            < hogging(json.get("beamLines").get(i)) - 1e-3
                    ? 1
                    : 0;
        }
        assertTrue(less > 10, less + " lines");
    }

    private static double hogging(JsonNode line) {
        double out = 0;
        for (JsonNode s : line.get("stations")) {
            for (JsonNode f : s.get("forces")) {
                out = Math.max(out, -f.get("myKnm").asDouble());
            }
        }
        return out;
    }

    @Test
    void everyColumnBarHasAPlaceInsideTheCover() {
        for (JsonNode stack : json.get("columnStacks")) {
            for (JsonNode lift : stack.get("lifts")) {
                double b = lift.get("section").get("widthMm").asDouble();
                double sum = 0;
                for (JsonNode bar : lift.get("bars")) {
                    assertTrue(Math.abs(bar.get("xMm").asDouble())
                                    + bar.get("diameterMm").asDouble() / 2
                            <= b / 2 - 40 + 1e-6);
                    sum += bar.get("areaMm2").asDouble();
                }
                assertEquals(lift.get("steelAreaMm2").asDouble(), sum, 1e-3 * sum);
                assertTrue(lift.get("demands").size()
                        >= 3 * json.get("combinations").size());
            }
        }
    }

    @Test
    void noNumberOfTheFileIsMissingOrInfinite() {
        String text = json.toString();
        assertFalse(text.contains("NaN") || text.contains("Infinity"));
    }

    @Test
    void theTablesOfTheAnalysisHaveALineForEveryPlaceAndCase() throws IOException {
        StringWriter w = new StringWriter();
        ResultsCsv.displacements(design.analysis(), w);
        var b = design.analysis().index().building();
        int names = b.loadCases().size() + b.combinations().size();
        assertEquals(1 + names * b.joints().size(), w.toString().lines().count());
        StringWriter s = new StringWriter();
        ResultsCsv.stationForces(design.analysis(), s);
        assertTrue(s.toString().lines().skip(1).allMatch(l -> l.split(",").length >= 9));
        StringWriter r = new StringWriter();
        ResultsCsv.reactions(design.analysis(), r);
        assertTrue(r.toString().lines().count() > b.supports().size());
    }

    @Test
    void aNameThatASpreadsheetWouldRunIsDefused() {
        assertEquals("'=HYPERLINK(1)", ResultsCsv.text("=HYPERLINK(1)"));
        assertEquals("\"a,\"\"b\"\"\"", ResultsCsv.text("a,\"b\""));
    }

    @Test
    void theReportAndSchedulesCanBeReadBack() throws IOException {
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        String mark = design.beams().get(0).line().mark();
        UtilisationReport.write(design, ProjectData.EMPTY, List.of(mark), Progress.NONE, pdf);
        try (PDDocument d = Loader.loadPDF(pdf.toByteArray())) {
            String text = new PDFTextStripper().getText(d);
            assertTrue(text.contains("Calculation: beam line " + mark));
            assertFalse(text.contains("?"), "no character is missing from the type");
        }
        ByteArrayOutputStream schedule = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(design), ProjectData.EMPTY, Progress.NONE, schedule);
        try (PDDocument d = Loader.loadPDF(schedule.toByteArray())) {
            String text = new PDFTextStripper().getText(d);
            assertTrue(text.contains("Steel by size"));
            assertTrue(
                    text.substring(text.indexOf("Bar list")).startsWith("Bar list\n00"),
                    "the shapes stand before the bars");
        }
        ByteArrayOutputStream xlsx = new ByteArrayOutputStream();
        ScheduleWorkbook.write(Scheduled.of(design), ProjectData.EMPTY, Progress.NONE, xlsx);
        try (Workbook book = new XSSFWorkbook(new java.io.ByteArrayInputStream(xlsx.toByteArray()))) {
            assertEquals(
                    ScheduleTables.bars(Scheduled.of(design)).rows().size(),
                    book.getSheet("Bar list").getLastRowNum());
            for (org.apache.poi.ss.usermodel.Sheet s : book) {
                assertTrue(s.getPrintSetup().getLandscape() && s.getFitToPage(), s.getSheetName());
                assertEquals(1, s.getPrintSetup().getFitWidth());
                assertEquals(0, s.getPrintSetup().getFitHeight(), "as many pages as it takes");
                assertEquals(0, s.getRepeatingRows().getFirstRow());
                assertEquals(
                        design.analysis().index().building().name(),
                        s.getHeader().getLeft());
                assertTrue(((org.apache.poi.xssf.usermodel.XSSFSheet) s)
                        .getCTWorksheet()
                        .isSetAutoFilter());
                for (org.apache.poi.ss.usermodel.Row row : s) {
                    for (org.apache.poi.ss.usermodel.Cell cell : row) {
                        if (cell.getCellType() == org.apache.poi.ss.usermodel.CellType.NUMERIC) {
                            String digits = Double.toString(cell.getNumericCellValue());
                            assertTrue(digits.length() < 16, digits + " in " + cell.getAddress());
                        }
                    }
                }
            }
        }
    }

    /** Bookmarks and contents lead to the pages where the parts begin; what fails is there whole; the same bytes each time. */
    @Test
    void theReportLeadsToItsParts() throws IOException {
        String mark = design.beams().get(0).line().mark();
        byte[] first = report(List.of(mark));
        org.junit.jupiter.api.Assertions.assertArrayEquals(first, report(List.of(mark)));
        try (PDDocument d = Loader.loadPDF(first)) {
            Map<String, Integer> pages = new HashMap<>();
            for (PDOutlineItem item :
                    d.getDocumentCatalog().getDocumentOutline().children()) {
                visit(item, d, pages);
            }
            assertTrue(
                    pages.keySet()
                            .containsAll(List.of(
                                    "Summary",
                                    "Plans",
                                    "Beam lines",
                                    "Column lifts",
                                    "Basis of design",
                                    "Load cases",
                                    "Combinations",
                                    "Calculation: beam line " + mark)),
                    pages.toString());
            design.analysis().index().building().storeys().stream()
                    .map(kolonne.core.model.Storey::name)
                    .filter(n -> design.beams().stream()
                            .anyMatch(b -> b.line().storey().equals(n)))
                    .forEach(n -> assertTrue(pages.containsKey(n), n));
            String contents = page(d, 2);
            for (Map.Entry<String, Integer> e : pages.entrySet()) {
                assertTrue(page(d, e.getValue()).contains(e.getKey()), e.toString());
                assertTrue(
                        contents.lines()
                                .map(l -> l.replaceAll("\\s+", " ").strip())
                                .anyMatch(l -> l.equals(e.getKey() + " " + e.getValue())),
                        e + " in " + contents);
            }
            assertEquals(pages.size(), d.getPage(1).getAnnotations().size(), "a link for each");
            String all = new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
            for (kolonne.core.model.Combination c :
                    design.analysis().index().building().combinations()) {
                assertTrue(all.contains(c.name().replaceAll("\\s+", " ")), c.name());
            }
            design.beams().stream()
                    .filter(b -> !b.satisfied())
                    .forEach(b -> assertTrue(
                            all.indexOf("What fails") > 0
                                    && all.indexOf(b.line().mark() + " ", all.indexOf("What fails")) > 0,
                            b.line().mark()));
            assertEquals("Kolonne", d.getDocumentInformation().getCreator());
        }
    }

    /** The whole demo has beam lines that fail. */
    @Test
    void everyLineThatFailsHasACureOrSaysWhyNot() throws IOException {
        BuildingDesign demo = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.VELDHAVEN))),
                Basis.standard(false),
                BuildingDesigner.Progress.NONE);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        UtilisationReport.write(demo, ProjectData.EMPTY, List.of(), Progress.NONE, out);
        try (PDDocument d = Loader.loadPDF(out.toByteArray())) {
            String text = new PDFTextStripper().getText(d);
            long failing = demo.beams().stream().filter(b -> !b.satisfied()).count();
            assertTrue(failing > 0, "something is to be mended");
            String said =
                    " (.* satisfies, strength used \\d\\.\\d\\d, steel \\d+ kg|.*[Nn]one (up|down) to .* satisfies|Not tried: |No other section: the hook of T16, ).*";
            List<String> lines =
                    text.substring(text.indexOf("What would mend them")).lines().toList();
            assertEquals(
                    failing,
                    lines.stream().filter(l -> l.matches("L\\d-B\\d+" + said)).count());
            assertEquals(
                    2,
                    lines.stream()
                            .filter(l -> l.matches("L7-B(08|14) No other section: .* smallest bar allowed, needs .*"))
                            .count(),
                    "on the columns of 250 under the roof");
            List<String> stacks = demo.columns().stream()
                    .filter(c -> !c.satisfied())
                    .map(c -> c.stack().mark())
                    .toList();
            assertTrue(stacks.size() > 3, stacks + " fail");
            for (String mark : stacks) {
                assertTrue(
                        lines.stream().anyMatch(l -> l.matches(mark + " Lift to .*: .*(satisfies|not tried).*")), mark);
            }
        }
    }

    @Test
    void calculationsOfWhatFailsOrOfEveryCage() {
        Set<String> failing = new java.util.TreeSet<>();
        design.beams().stream()
                .filter(b -> !b.satisfied())
                .forEach(b -> failing.add(b.line().mark()));
        design.columns().stream()
                .filter(c -> !c.satisfied())
                .forEach(c -> failing.add(c.stack().mark()));
        assertEquals(
                failing,
                new java.util.TreeSet<>(ReportSheets.of("failing").orElseThrow().marks(design, List.of())));
        Set<String> cages = ReportSheets.of("cages").orElseThrow().marks(design, List.of("X"));
        assertTrue(cages.contains("X")
                && cages.size() > 3
                && cages.size() <= 1 + design.beams().size() + design.columns().size());
        assertEquals(Set.of("X"), ReportSheets.of("named").orElseThrow().marks(design, List.of("X")));
        assertTrue(ReportSheets.of("some").isEmpty());
    }

    private static byte[] report(List<String> marks) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        UtilisationReport.write(design, ProjectData.EMPTY, marks, Progress.NONE, out);
        return out.toByteArray();
    }

    private static void visit(PDOutlineItem item, PDDocument d, Map<String, Integer> pages) throws IOException {
        pages.put(item.getTitle(), d.getPages().indexOf(item.findDestinationPage(d)) + 1);
        for (PDOutlineItem child : item.children()) {
            visit(child, d, pages);
        }
    }

    private static String page(PDDocument d, int number) throws IOException {
        PDFTextStripper text = new PDFTextStripper();
        text.setStartPage(number);
        text.setEndPage(number);
        text.setSortByPosition(true);
        return text.getText(d);
    }

    /** Every page of every paper says what is issued. */
    @Test
    void headsOfPagesTellTheProject() throws IOException {
        ProjectData told = new ProjectData(
                Map.of(
                        ProjectData.Field.TITLE, "Zaal & Kelder",
                        ProjectData.Field.JOB, "26-114",
                        ProjectData.Field.NOTES, "Piles by others."),
                List.of(new Revision("A", "2026", "First", "RD"), new Revision("B", "2026", "Archive loads", "RD")),
                null);
        ByteArrayOutputStream report = new ByteArrayOutputStream();
        UtilisationReport.write(design, told, List.of(), Progress.NONE, report);
        ByteArrayOutputStream schedule = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(design), told, Progress.NONE, schedule);
        for (byte[] pdf : List.of(report.toByteArray(), schedule.toByteArray())) {
            try (PDDocument d = Loader.loadPDF(pdf)) {
                for (int i = 1; i <= d.getNumberOfPages(); i++) {
                    PDFTextStripper page = new PDFTextStripper();
                    page.setStartPage(i);
                    page.setEndPage(i);
                    String text = page.getText(d);
                    assertTrue(text.contains("Zaal & Kelder") && text.contains("job 26-114 · rev B"), "page " + i);
                    if (i == 1 && pdf.length == report.size()) {
                        assertTrue(text.contains("Archive loads") && text.contains("Piles by others."), text);
                    }
                }
            }
        }
        ByteArrayOutputStream xlsx = new ByteArrayOutputStream();
        ScheduleWorkbook.write(Scheduled.of(design), told, Progress.NONE, xlsx);
        try (Workbook book = new XSSFWorkbook(new java.io.ByteArrayInputStream(xlsx.toByteArray()))) {
            assertEquals(
                    "Zaal && Kelder · job 26-114 · rev B",
                    book.getSheetAt(0).getHeader().getLeft());
        }
    }

    /** The bars of a member stand together in the bar list, its mark once; only members of many bars run on to the next page, under their mark again. */
    @Test
    void noPageOfTheBarListPartsAMemberOfFewBars() throws IOException {
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(design), ProjectData.EMPTY, Progress.NONE, pdf);
        Map<String, Integer> seen = new HashMap<>();
        try (PDDocument d = Loader.loadPDF(pdf.toByteArray())) {
            PDFTextStripper all = new PDFTextStripper();
            all.setSortByPosition(true);
            String text = all.getText(d);
            text = text.substring(text.indexOf("Bar list"), text.indexOf("Steel by size"));
            for (String l : text.split("\\R")) {
                seen.merge(l.split(" ")[0], 1, Integer::sum);
            }
        }
        int parted = 0;
        for (kolonne.core.beam.check.BeamDesign b : design.beams()) {
            int bars = kolonne.core.detail.BeamBars.of(b.line(), b.cage(), b.basis())
                    .size();
            int times = seen.getOrDefault(b.line().mark(), 0);
            assertTrue(times == 1 || times == 2 && bars > 12, b.line().mark() + " " + times + " times");
            parted += times - 1;
        }
        assertTrue(parted * 4 < design.beams().size(), parted + " are parted");
    }

    /** Members with settings of their own, and those that share a cage, say so on their sheets and in the file. */
    @Test
    void sheetsNameLocalSettingsAndTypes() throws IOException {
        LocalValues cover = new LocalValues(
                new LocalValues.OfMaterials(null, null, 60.0, 60.0, null),
                LocalValues.OfBars.NONE,
                LocalValues.OfStirrups.NONE,
                LocalValues.OfPractice.NONE,
                LocalValues.OfSway.NONE,
                null);
        String own = design.beams().get(0).line().id();
        BuildingDesign d = BuildingDesigner.design(
                design.analysis(),
                design.basis().with(List.of(new LocalSettings("Kelder", LocalScope.of(Set.of(own)), cover))),
                Decisions.typed(SuggestedTypes.of(design)),
                BuildingDesigner.Progress.NONE);
        Map.Entry<String, String> typed = d.typeMarks().entrySet().iterator().next();
        String like = d.columns().stream()
                .filter(c -> c.stack().id().equals(typed.getKey()))
                .map(c -> c.stack().mark())
                .findFirst()
                .orElseGet(() -> d.beams().stream()
                        .filter(b -> b.line().id().equals(typed.getKey()))
                        .findFirst()
                        .orElseThrow()
                        .line()
                        .mark());
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        String mark = d.beams().get(0).line().mark();
        UtilisationReport.write(d, ProjectData.EMPTY, List.of(mark, like), Progress.NONE, pdf);
        try (PDDocument doc = Loader.loadPDF(pdf.toByteArray())) {
            String text = new PDFTextStripper().getText(doc).replaceAll("\\s+", " ");
            assertTrue(text.contains("local settings “Kelder”"));
            assertTrue(text.contains("cage of type " + typed.getValue()));
            assertTrue(text.contains(like + " · " + typed.getValue()));
            assertTrue(text.contains("1 single member: Cover of beams 60 mm"), "the basis in full");
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ResultsJson.write(d, out);
        JsonNode line =
                new ObjectMapper().readTree(out.toByteArray()).get("beamLines").get(0);
        assertEquals("Kelder", line.get("localSettings").get(0).asText());
    }

    /** The demo has notes that many share: each is printed once, with their marks. */
    @Test
    void aNoteThatManyShareIsPrintedOnce() throws IOException {
        Map<String, Integer> notes = new HashMap<>();
        design.beams()
                .forEach(b -> b.findings().stream()
                        .filter(f -> f.severity() == kolonne.core.finding.Severity.NOTE)
                        .forEach(f -> notes.merge(f.what(), 1, Integer::sum)));
        String shared = notes.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
        assertTrue(notes.get(shared) >= 3, "the building has a note that three lines share: " + notes);
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        UtilisationReport.write(design, ProjectData.EMPTY, List.of(), Progress.NONE, pdf);
        try (PDDocument d = Loader.loadPDF(pdf.toByteArray())) {
            String text = new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
            assertTrue(text.contains("Notes that several share"));
            String begins = shared.substring(0, Math.min(28, shared.length()));
            assertEquals(1, text.split(java.util.regex.Pattern.quote(begins), -1).length - 1, begins);
        }
    }

    @Test
    void checksOpenInASpreadsheetInTheUnitsOfTheBasis() throws IOException {
        StringWriter si = new StringWriter();
        ResultsCsv.checks(design, si);
        assertTrue(si.toString().startsWith("\uFEFFmark,part,check,"));
        assertTrue(si.toString().contains(",kNm,") && !si.toString().contains(",kip·ft,"));
        BuildingDesign us =
                BuildingDesigner.design(design.analysis(), Basis.standard(true), BuildingDesigner.Progress.NONE);
        StringWriter imperial = new StringWriter();
        ResultsCsv.checks(us, imperial);
        assertTrue(
                imperial.toString().contains(",kip·ft,") && !imperial.toString().contains(",kNm,"));
    }

    @Test
    void aBasisGoesThereAndBackAndABadOneIsExplained() {
        for (boolean us : new boolean[] {false, true}) {
            Basis b = Basis.standard(us);
            Basis back = BasisFile.read(BasisFile.write(b).getBytes(java.nio.charset.StandardCharsets.UTF_8))
                    .basis();
            assertEquals(BasisFile.dto(b), BasisFile.dto(back));
        }
        String text = BasisFile.write(Basis.standard(false));
        for (String bad : List.of(
                "",
                "{",
                "[]",
                text.replace("420.0", "\"x\""),
                text.replace("\"beamBars\"", "\"beamBar\""),
                text.replace("aci-318m-19", "aci-000"),
                text.replace("\"practical\"", "\"cheapest\""),
                text.replace("\"T16\"", "\"T17\""),
                text.replace("\"name\" : \"Standard, SI\"", "\"name\" : null"))) {
            BasisFile.Read r = BasisFile.read(bad.getBytes(java.nio.charset.StandardCharsets.UTF_8));
            assertEquals(null, r.basis(), bad);
            assertFalse(r.findings().get(0).mend().isBlank());
        }
    }
}
