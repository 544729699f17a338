package kolonne.exchange.drawing;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeMap;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.Paper;
import kolonne.core.drawing.Sheet;
import kolonne.core.drawing.Sheets;
import kolonne.core.model.BuildingIndex;
import kolonne.core.project.ProjectData;
import kolonne.core.work.Progress;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Drawing files read back: DXF by ezdxf, an independent reader with an audit of its own, PDF by its texts and sizes. */
class DrawingFilesTest {
    private static final BuildingDesign DESIGN = BuildingDesigner.design(
            FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(7, 2, 2, 2, false)))),
            Basis.standard(false),
            BuildingDesigner.Progress.NONE);
    private static final List<Sheet> SHEETS = Sheets.of(DESIGN, ProjectData.EMPTY, Set.of(), Paper.A2, Progress.NONE);

    @TempDir
    private Path dir;

    private static String dxf(List<Sheet> sheets) throws IOException {
        StringWriter w = new StringWriter();
        DxfWriter.write(sheets, Progress.NONE, w);
        return w.toString();
    }

    /** What a script of the independent reader prints, line by line. */
    private static List<String> python(String script, Path file) throws IOException, InterruptedException {
        ProcessBuilder b =
                new ProcessBuilder("/usr/bin/python3", "-c", script, file.toString()).redirectErrorStream(true);
        b.environment().put("PYTHONIOENCODING", "utf-8");
        Process p = b.start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(0, p.waitFor(), said + " (./test installs python3-ezdxf)");
        return said.lines().toList();
    }

    @Test
    void anIndependentReaderFindsEveryLineAndTextAndNothingToMend() throws IOException, InterruptedException {
        Path file = Files.writeString(dir.resolve("all.dxf"), dxf(SHEETS), StandardCharsets.US_ASCII);
        List<String> said = python("""
                import sys, ezdxf, collections
                from ezdxf.lldxf.encoding import decode_dxf_unicode
                d = ezdxf.readfile(sys.argv[1])
                a = d.audit()
                print(len(a.errors), len(a.fixes), d.dxfversion, d.header['$INSUNITS'])
                sheets = [e for e in d.modelspace()]
                m = [e for s in sheets for e in s.virtual_entities()]
                bars = [e for e in m if e.dxftype() == 'INSERT']
                print(sum(e.dxftype() == 'LINE' for e in m), len(bars), sum(e.dxftype() == 'CIRCLE' for e in m))
                print(' '.join(s.dxf.name for s in sheets), '%.1f' % sheets[-1].dxf.insert.x, ' '.join(sorted({e.dxf.name for e in bars})))
                from ezdxf import bbox
                b = bars[0]
                print('%.4f %.4f' % (2 * b.dxf.xscale, bbox.extents(b.virtual_entities()).size.x))
                print('%.3f' % sum(((e.dxf.start - e.dxf.end).magnitude) for e in m if e.dxftype() == 'LINE'))
                n = collections.Counter(e.dxf.layer for e in m)
                print(' '.join('%s=%d' % k for k in sorted(n.items())))
                print(' '.join('%s=%d' % (l.dxf.name, l.dxf.lineweight) for l in d.layers if l.dxf.name != '0'))
                for e in (e for e in m if e.dxftype() == 'TEXT'): print(decode_dxf_unicode(e.dxf.text))
                """, file);
        assertEquals("0 0 AC1015 4", said.get(0), "nothing to mend, millimetres");
        long lines = SHEETS.stream().mapToLong(s -> s.drawing().lines().size()).sum();
        long filled = SHEETS.stream()
                .flatMap(s -> s.drawing().discs().stream())
                .filter(Drawing.Disc::filled)
                .count();
        long open = SHEETS.stream().mapToLong(s -> s.drawing().discs().size()).sum() - filled;
        assertEquals(lines + " " + filled + " " + open, said.get(1));
        double length = SHEETS.stream()
                .flatMap(s -> s.drawing().lines().stream())
                .mapToDouble(l -> Math.hypot(l.x2() - l.x1(), l.y2() - l.y1()))
                .sum();
        String names = String.join(
                " ",
                SHEETS.stream()
                        .map(s -> String.format(Locale.ROOT, "SHEET-%02d", s.number()))
                        .toList());
        double last = SHEETS.stream()
                .limit(SHEETS.size() - 1)
                .mapToDouble(s -> s.paper().width() + 40)
                .sum();
        assertEquals(
                names + String.format(Locale.ROOT, " %.1f BAR", last), said.get(2), "a block a sheet, side by side");
        double bar = 2
                * SHEETS.stream()
                        .flatMap(s -> s.drawing().discs().stream())
                        .filter(Drawing.Disc::filled)
                        .findFirst()
                        .orElseThrow()
                        .radius();
        String[] sizes = said.get(3).split(" ");
        assertEquals(bar, Double.parseDouble(sizes[0]), 1e-3);
        assertEquals(bar, Double.parseDouble(sizes[1]), 1e-3, "the ink of a bar is as wide as the bar");
        assertEquals(length, Double.parseDouble(said.get(4)), 0.2);
        TreeMap<String, Integer> layers = new TreeMap<>();
        SHEETS.forEach(s -> {
            s.drawing().lines().forEach(l -> layers.merge(l.layer().name(), 1, Integer::sum));
            s.drawing().discs().forEach(c -> layers.merge(c.layer().name(), 1, Integer::sum));
            s.drawing().labels().forEach(t -> layers.merge("TEXT", 1, Integer::sum));
        });
        assertEquals(
                String.join(
                        " ", layers.entrySet().stream().map(Object::toString).toList()),
                said.get(5));
        assertTrue(said.get(6).contains("BARS=50") && said.get(6).contains("STIRRUPS=25"), said.get(6));
        List<String> texts = SHEETS.stream()
                .flatMap(s -> s.drawing().labels().stream().map(Drawing.Label::text))
                .toList();
        assertEquals(texts, said.subList(7, said.size()));
    }

    @Test
    void charactersBeyondAsciiAreEscaped() {
        assertEquals("\\U+00D8 500, Caf\\U+00E9 1\\U+2013", DxfWriter.ascii("Ø 500, Café 1–"));
        assertEquals("a?b?", DxfWriter.ascii("a\nb\uD83C\uDFD7"));
    }

    @Test
    void theSameSheetsGiveTheSameBytes() throws IOException {
        assertEquals(dxf(SHEETS), dxf(Sheets.of(DESIGN, ProjectData.EMPTY, Set.of(), Paper.A2, Progress.NONE)));
        assertArrayEquals(pdf(SHEETS), pdf(Sheets.of(DESIGN, ProjectData.EMPTY, Set.of(), Paper.A2, Progress.NONE)));
    }

    private static byte[] pdf(List<Sheet> sheets) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DrawingPdf.write(sheets, Progress.NONE, out);
        return out.toByteArray();
    }

    @Test
    void pagesAreAsLargeAsThePaperAndSayWhatIsOnThem() throws IOException {
        try (PDDocument doc = Loader.loadPDF(pdf(SHEETS))) {
            assertEquals(SHEETS.size(), doc.getNumberOfPages());
            assertEquals(594 / 25.4 * 72, doc.getPage(0).getMediaBox().getWidth(), 0.1);
            PDFTextStripper text = new PDFTextStripper();
            text.setEndPage(1);
            String first = text.getText(doc);
            for (String mark : SHEETS.get(0).marks()) {
                assertTrue(first.contains(mark), mark);
            }
        }
    }
}
