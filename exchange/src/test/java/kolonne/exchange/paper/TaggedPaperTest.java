package kolonne.exchange.paper;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.explain.Step;
import kolonne.core.explain.maths.Maths;
import kolonne.core.model.BuildingIndex;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Papers for those who listen to them: the structure against the pages, both walked by hand; and formulas whose ink stays where it belongs. */
class TaggedPaperTest {
    private static final Set<String> INK = Set.of("Tj", "TJ", "Do", "S", "s", "f", "F", "f*", "B", "b", "sh");

    private static BuildingDesign design;
    private static byte[] report;
    private static byte[] schedules;

    @BeforeAll
    static void make() throws IOException {
        design = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(DemoOptions.ofSize(120)))),
                Basis.standard(false),
                BuildingDesigner.Progress.NONE);
        BeamDesign beam = design.beams().get(0);
        ColumnDesign column = design.columns().get(0);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        UtilisationReport.write(
                design,
                ProjectData.EMPTY,
                List.of(beam.line().mark(), column.stack().mark()),
                Progress.NONE,
                out);
        report = out.toByteArray();
        ByteArrayOutputStream other = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(design), ProjectData.EMPTY, Progress.NONE, other);
        schedules = other.toByteArray();
    }

    /** An element of the structure, read from the file's own dictionaries. */
    private record Element(COSDictionary of, String type, List<Element> kids, Map<COSBase, Set<Integer>> marks) {
        int count(String wanted) {
            return (type.equals(wanted) ? 1 : 0)
                    + kids.stream().mapToInt(k -> k.count(wanted)).sum();
        }

        void all(List<Element> to) {
            to.add(this);
            kids.forEach(k -> k.all(to));
        }
    }

    private static Element read(COSDictionary d) {
        Element e = new Element(d, d.getNameAsString(COSName.S), new ArrayList<>(), new HashMap<>());
        COSBase k = d.getDictionaryObject(COSName.K);
        COSArray kids = k instanceof COSArray a ? a : new COSArray(k == null ? List.of() : List.of(k));
        for (int i = 0; i < kids.size(); i++) {
            if (kids.getObject(i) instanceof COSInteger id) {
                e.marks()
                        .computeIfAbsent(d.getDictionaryObject(COSName.PG), p -> new HashSet<>())
                        .add(id.intValue());
                continue;
            }
            COSDictionary kid = (COSDictionary) kids.getObject(i);
            String type = kid.getNameAsString(COSName.TYPE);
            if ("MCR".equals(type)) {
                e.marks()
                        .computeIfAbsent(kid.getDictionaryObject(COSName.PG), p -> new HashSet<>())
                        .add(kid.getInt(COSName.MCID));
            } else if (!"OBJR".equals(type)) {
                assertSame(d, kid.getDictionaryObject(COSName.P), "a child knows its parent");
                e.kids().add(read(kid));
            }
        }
        return e;
    }

    /** Ids of marked content of a page; fails where anything is drawn outside. */
    private static Set<Integer> marked(PDPage page) throws IOException {
        Set<Integer> out = new HashSet<>();
        Deque<String> open = new ArrayDeque<>();
        List<Object> arguments = new ArrayList<>();
        for (Object token : new PDFStreamParser(page).parse()) {
            if (!(token instanceof Operator o)) {
                arguments.add(token);
                continue;
            }
            switch (o.getName()) {
                case "BMC", "BDC" -> {
                    assertTrue(open.isEmpty(), "marked content within marked content");
                    open.push(((COSName) arguments.get(0)).getName());
                    if (o.getName().equals("BDC")) {
                        int id = ((COSDictionary) arguments.get(1)).getInt(COSName.MCID);
                        assertTrue(out.add(id), "an id once a page");
                    }
                }
                case "EMC" -> open.pop();
                default -> assertFalse(INK.contains(o.getName()) && open.isEmpty(), "ink outside: " + o.getName());
            }
            arguments.clear();
        }
        assertTrue(open.isEmpty());
        return out;
    }

    private static Element structure(PDDocument d) throws IOException {
        assertTrue(d.getDocumentCatalog().getMarkInfo().isMarked());
        COSDictionary root = d.getDocumentCatalog().getStructureTreeRoot().getCOSObject();
        Element document = read((COSDictionary) root.getDictionaryObject(COSName.K));
        List<Element> all = new ArrayList<>();
        document.all(all);
        Map<COSBase, Map<Integer, COSDictionary>> told = new HashMap<>();
        all.forEach(e -> e.marks()
                .forEach((page, ids) -> ids.forEach(id -> assertEquals(
                        null,
                        told.computeIfAbsent(page, p -> new TreeMap<>()).put(id, e.of()),
                        "an id in two elements"))));
        Map<Integer, ?> parents =
                d.getDocumentCatalog().getStructureTreeRoot().getParentTree().getNumbers();
        for (PDPage page : d.getPages()) {
            Map<Integer, COSDictionary> here = told.getOrDefault(page.getCOSObject(), Map.of());
            assertEquals(marked(page), here.keySet());
            COSArray back = (COSArray) ((PDParentTreeValue) parents.get(page.getStructParents())).getCOSObject();
            here.forEach((id, e) -> assertSame(e, back.getObject(id)));
        }
        return document;
    }

    private static void tablesAreWhole(Element document) {
        List<Element> all = new ArrayList<>();
        document.all(all);
        for (Element e : all) {
            if (e.type().equals("Table")) {
                int columns = e.kids().get(0).kids().size();
                e.kids().get(0).kids().forEach(c -> assertEquals("TH", c.type()));
                for (Element row : e.kids()) {
                    assertEquals("TR", row.type());
                    assertEquals(columns, row.kids().size());
                }
            }
            if (Set.of("Figure", "Formula").contains(e.type())) {
                assertNotNull(e.of().getString(COSName.ALT), e.type() + " without words");
            }
        }
    }

    @Test
    void everythingOnAPageOfTheReportIsToldOrAnArtifact() throws IOException {
        try (PDDocument d = Loader.loadPDF(report)) {
            Element document = structure(d);
            tablesAreWhole(document);
            assertEquals("TOC", document.kids().get(0).type());
            assertTrue(document.count("TOCI") > 5);
            assertEquals(document.count("TOCI"), document.count("Link"));
            assertTrue(document.count("H1") > 5 && document.count("P") > 5);
            assertTrue(document.count("Formula") > 100);
            // distribution, key, plans, two diagrams of the line, sections of its stations, one of each lift
            long stations = design.beams().get(0).checks().stream()
                    .filter(c -> c.station() >= 0 && c.cause().isStrength())
                    .mapToInt(CheckResult::station)
                    .distinct()
                    .count();
            Set<String> storeys = new HashSet<>();
            design.beams().forEach(b -> storeys.add(b.line().storey()));
            design.columns()
                    .forEach(c -> c.lifts().forEach(l -> storeys.add(l.lift().storey())));
            int lifts = design.columns().get(0).lifts().size();
            assertEquals(2 + storeys.size() + 2 + stations + lifts, document.count("Figure"));
            List<Element> all = new ArrayList<>();
            document.all(all);
            assertTrue(
                    all.stream()
                            .anyMatch(e -> e.type().equals("Formula")
                                    && e.of().getString(COSName.ALT).contains("√f′c")),
                    "formulas are told as they are written in a line");
            assertEquals("en", d.getDocumentCatalog().getLanguage());
        }
    }

    @Test
    void everythingOnAPageOfTheSchedulesIsToldOrAnArtifact() throws IOException {
        try (PDDocument d = Loader.loadPDF(schedules)) {
            Element document = structure(d);
            tablesAreWhole(document);
            assertTrue(document.count("Table") >= 3);
        }
    }

    /** Where an element goes on within another one it is part of that: sheet by sheet, over pages. */
    @Test
    void anElementHoldsWhatIsDrawnWithinIt() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PdfPaper paper = new PdfPaper("a paper", ProjectData.EMPTY, false, Progress.NONE)) {
            paper.paragraph("before");
            paper.figure("everything of a sheet", () -> {
                paper.heading("a heading", 14);
                paper.newPage();
                paper.table(
                        List.of(new PdfPaper.Column("a", 50, false), new PdfPaper.Column("", 50, false)),
                        List.of(List.of(PdfPaper.Cell.of("1"), PdfPaper.Cell.of(""))),
                        8);
                paper.formula("a = b", () -> paper.paragraph("a = b"));
            });
            paper.paragraph("behind");
            paper.save(out);
        }
        try (PDDocument d = Loader.loadPDF(out.toByteArray())) {
            Element document = structure(d);
            assertEquals(
                    List.of("P", "Figure", "P"),
                    document.kids().stream().map(Element::type).toList());
            Element sheet = document.kids().get(1);
            assertEquals("everything of a sheet", sheet.of().getString(COSName.ALT));
            assertEquals(2, sheet.marks().size(), "on both pages");
            assertTrue(sheet.kids().isEmpty());
        }
    }

    /** 8.5 by 11 inches; everything of a page lies on it. */
    @Test
    void papersAreOnLetterWhereTheProjectSaysSo() throws IOException {
        ProjectData letter = ProjectData.EMPTY.with(ProjectData.Field.PAPER, "Letter");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(design), letter, Progress.NONE, out);
        try (PDDocument d = Loader.loadPDF(out.toByteArray())) {
            assertEquals(11 * 72, d.getPage(0).getMediaBox().getWidth(), 0.1);
            assertEquals(8.5 * 72, d.getPage(0).getMediaBox().getHeight(), 0.1);
            tablesAreWhole(structure(d));
            assertTrue(new OnPage().getText(d).contains("Column schedule"));
        }
        try (PDDocument d = Loader.loadPDF(schedules)) {
            assertEquals(297 / 25.4 * 72, d.getPage(0).getMediaBox().getWidth(), 0.1);
        }
    }

    /** Fails where a glyph lies outside its page. */
    private static final class OnPage extends PDFTextStripper {
        @Override
        protected void processTextPosition(TextPosition t) {
            super.processTextPosition(t);
            float wide = t.getPageWidth();
            assertTrue(t.getX() > 0 && t.getX() + t.getWidth() < wide, t.getUnicode() + " at " + t.getX());
            assertTrue(t.getY() > 0 && t.getY() < t.getPageHeight(), t.getUnicode() + " at " + t.getY());
        }
    }

    @Test
    void aReportTellsHowFarItIsAndStopsWhereItIsCancelled() throws IOException {
        List<String> told = new ArrayList<>();
        String mark = design.beams().get(0).line().mark();
        UtilisationReport.write(
                design,
                ProjectData.EMPTY,
                List.of(mark),
                (doing, done, total) -> told.add(doing + ", " + done + " of " + total),
                new ByteArrayOutputStream());
        assertTrue(told.contains("every member, 1 of 4") && told.contains("calculation of " + mark + ", 3 of 4"));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThrows(
                CancellationException.class,
                () -> UtilisationReport.write(
                        design,
                        ProjectData.EMPTY,
                        List.of(mark),
                        (doing, done, total) -> {
                            if (doing.startsWith("calculation")) {
                                throw new CancellationException();
                            }
                        },
                        out));
        assertEquals(0, out.size());
    }

    /** What is set as a fraction stands over its rule and under it; nothing leaves its box; no two texts meet. */
    @Test
    void theInkOfFormulasStaysApart() throws IOException {
        Set<String> seen = new HashSet<>();
        for (BeamDesign b : design.beams()) {
            for (Step s : BeamCheck.explain(
                    b.line(),
                    b.cage(),
                    design.contexts().of(b.line()),
                    b.line().stations().size() / 2)) {
                if (!Double.isNaN(s.value())) {
                    seen.addAll(List.of(s.symbol(), s.formula(), s.substituted(false)));
                }
            }
        }
        seen.add("√((Vu / bw d)² + (Tu ph / 1.7 Aoh²)²)");
        seen.add("1 / (ζ / III + (1 − ζ) / II)");
        try (PdfPaper paper = new PdfPaper("a paper", ProjectData.EMPTY, false, Progress.NONE)) {
            FormulaSetter setter = new FormulaSetter(paper);
            for (String s : seen) {
                apart(s, setter.set(Maths.of(s), 9), paper);
            }
            FormulaSetter.Box f = setter.set(Maths.of("a / d"), 9);
            assertTrue(f.pieces().get(0).y() > f.pieces().get(2).y()
                    && f.pieces().get(2).y() > f.pieces().get(1).y());
        }
        assertTrue(seen.size() > 100);
    }

    private static void apart(String s, FormulaSetter.Box box, PdfPaper paper) throws IOException {
        List<float[]> taken = new ArrayList<>();
        for (FormulaSetter.Piece p : box.pieces()) {
            boolean line = p.text() == null;
            float right = line ? Math.max(p.x(), p.x2()) : p.x() + paper.labelWidth(p.points(), false, p.text());
            float low = line ? Math.min(p.y(), p.y2()) : p.y() - 0.22f * p.points();
            float high = line ? Math.max(p.y(), p.y2()) : p.y() + 0.75f * p.points();
            assertTrue(p.x() > -0.01f && right < box.width() + 0.6f, s + " leaves its box across at " + p);
            assertTrue(high < box.up() + 0.3f && low > -box.down() - 0.3f, s + " leaves its box at " + p);
            // ink of a text: from the base line to the height of small letters
            float[] ink = {p.x() + 0.2f, p.y(), right - 0.4f, p.y() + 0.5f * p.points()};
            for (float[] o : taken) {
                boolean meet = !line && ink[0] < o[2] && o[0] < ink[2] && ink[1] < o[3] && o[1] < ink[3];
                assertFalse(meet, s + ": " + p.text() + " on another");
            }
            if (!line) {
                taken.add(ink);
            }
        }
    }
}
