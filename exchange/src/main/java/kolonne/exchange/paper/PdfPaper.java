package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.drawing.Drawing;
import kolonne.core.project.Logo;
import kolonne.core.project.ProjectData;
import kolonne.core.work.Progress;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PageMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDBorderStyleDictionary;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.util.Matrix;

/** Pages of text and tables in the product's type, with a running head and page numbers. Lengths in points. */
final class PdfPaper implements AutoCloseable {
    static final Color INK = new Color(0x1D2528);
    static final Color SOFT = new Color(0x5F6B70);
    static final Color HAIRLINE = new Color(0xC9C2B4);
    static final Color ACCENT = new Color(0x1F5F6B);
    static final Color OVER = new Color(0xB84310);
    private static final Color OVER_GROUND = new Color(0xF3C3A8);
    private static final float MARGIN = 42;
    /** More headings than these are in the bookmarks only. */
    private static final int MOST_CONTENTS = 180;

    private static final float CONTENTS_LINE = 14;
    /** Of letters of quantities: about 12 degrees. */
    private static final float SLANT = 0.21f;

    static final float LEADING = 1.35f;
    /** Content of pages waits on disk: a report of thousands of sheets is larger than the heap. */
    private final PDDocument doc = new PDDocument(IOUtils.createTempFileOnlyStreamCache());

    private final PDFont regular;
    private final PDFont bold;
    private PDRectangle size;
    private final String title;
    private final String beneath;
    private final PdfFonts fonts;
    private final PdfTags tags;
    private final List<Entry> entries = new ArrayList<>();
    private final Progress progress;
    private String doing = "writing";
    private int done;
    private int total;
    private PDPageContentStream out;
    private float y;

    /** A heading that bookmarks and contents lead to. @param level 1 for a part, 2 within it */
    private record Entry(String title, int level, PDPage page, float y) {}

    /** A column of a table. @param right whether its texts are aligned right */
    record Column(String name, float width, boolean right) {}

    /** A cell; {@code over} prints it in the warning ink, {@code bar} from 0 draws a utilisation bar behind no text. */
    record Cell(String text, boolean over, double bar) {
        static Cell of(String text) {
            return new Cell(text, false, -1);
        }
    }

    /** @param project whose line is the second one of the head, and on whose paper it is; {@code progress} is told at every page */
    PdfPaper(String title, ProjectData project, boolean landscape, Progress progress) throws IOException {
        this.progress = progress;
        this.title = title;
        this.beneath = project.line();
        fonts = new PdfFonts(doc);
        tags = new PdfTags(doc);
        regular = fonts.regular();
        bold = fonts.bold();
        float wide = DrawingInk.pt(project.page().width());
        float high = DrawingInk.pt(project.page().height());
        size = landscape ? new PDRectangle(high, wide) : new PDRectangle(wide, high);
        newPage();
    }

    float width() {
        return size.getWidth() - 2 * MARGIN;
    }

    /** Where lines begin. */
    float left() {
        return MARGIN;
    }

    /** What is being written from here on. */
    void doing(String what, int step, int steps) {
        doing = what;
        done = step;
        total = steps;
        progress.at(doing, done, total);
    }

    /** A new page, lying or upright, and all that follow. */
    void newPage(boolean landscape) throws IOException {
        float longer = Math.max(size.getWidth(), size.getHeight());
        float shorter = Math.min(size.getWidth(), size.getHeight());
        size = landscape ? new PDRectangle(longer, shorter) : new PDRectangle(shorter, longer);
        newPage();
    }

    boolean lying() {
        return size.getWidth() > size.getHeight();
    }

    void newPage() throws IOException {
        progress.at(doing, done, total);
        if (out != null) {
            tags.suspend();
            out.close();
        }
        PDPage page = new PDPage(size);
        doc.addPage(page);
        begin(page);
    }

    /** The running head of a page, and where writing begins or goes on. */
    private void begin(PDPage page) throws IOException {
        out = new PDPageContentStream(doc, page);
        tags.page(page, out);
        tags.outside(this::head);
        tags.resume();
    }

    private void head() throws IOException {
        y = size.getHeight() - MARGIN;
        text(bold, 8, ACCENT, MARGIN, y, "kolonne");
        String head = fit(regular, 8, title, width() - 60);
        text(regular, 8, SOFT, size.getWidth() - MARGIN - width(regular, 8, head), y, head);
        if (!beneath.isEmpty()) {
            y -= 10;
            String second = fit(regular, 8, beneath, width());
            text(regular, 8, SOFT, size.getWidth() - MARGIN - width(regular, 8, second), y, second);
        }
        y -= 6;
        line(MARGIN, y, size.getWidth() - MARGIN, y, HAIRLINE);
        y -= 18;
    }

    /** A picture at the top right of what is written, at most so wide and high. */
    void picture(Logo logo, float wide, float high) throws IOException {
        float f = Math.min(wide / logo.width(), high / logo.height());
        PDImageXObject image = PDImageXObject.createFromByteArray(doc, logo.bytes(), "logo");
        float w = f * logo.width();
        float h = f * logo.height();
        tags.told("Figure", "Logo", () -> out.drawImage(image, size.getWidth() - MARGIN - w, y - h + 12, w, h));
    }

    /** Begins a new page unless {@code height} is left on this one. */
    void need(float height) throws IOException {
        if (y - height < MARGIN + 14) {
            newPage();
        }
    }

    /** A heading that bookmarks and contents lead to. */
    void section(String s, int level, float points) throws IOException {
        need(points * 4);
        entries.add(new Entry(s, level, doc.getPage(doc.getNumberOfPages() - 1), y + points * 0.6f));
        heading(s, points, "H" + level);
    }

    void heading(String s, float points) throws IOException {
        heading(s, points, points >= 14 ? "H1" : "H2");
    }

    private void heading(String s, float points, String type) throws IOException {
        need(points * 4);
        y -= points * 0.6f;
        tags.element(type, () -> text(bold, points, INK, MARGIN, y, fit(bold, points, s, width())));
        y -= points * 0.5f + 9;
    }

    void paragraph(String s) throws IOException {
        paragraph(s, 9, INK);
    }

    void paragraph(String s, float points, Color color) throws IOException {
        List<String> lines = wrap(regular, points, s, width());
        need(points * LEADING);
        tags.element("P", () -> {
            for (String l : lines) {
                need(points * LEADING);
                text(regular, points, color, MARGIN, y, l);
                y -= points * LEADING;
            }
        });
        y -= 3;
    }

    /** A table whose head repeats on every page; cells wrap. */
    void table(List<Column> columns, List<List<Cell>> rows, float points) throws IOException {
        new PdfTable(this, columns, points, LEADING).write(rows);
    }

    /** A table whose rows belong together where their first cells are alike. @param pictures by first cells, drawn beneath them */
    void grouped(List<Column> columns, List<List<Cell>> rows, Map<String, Drawing> pictures, float points)
            throws IOException {
        new PdfTable(this, columns, points, PdfTable.CLOSE).write(rows, pictures);
    }

    /** A bar to a scale of 1.25; over 1.00 it is hatched, so that it survives black-and-white printing. */
    void bar(float x, float base, float w, float h, double u) throws IOException {
        float unit = w / 1.25f;
        float length = (float) Math.min(u, 1.25) * unit;
        out.setNonStrokingColor(u > 1 ? new Color(0xF3C3A8) : new Color(0x8AB3BA));
        out.addRect(x, base, length, h);
        out.fill();
        if (u > 1) {
            out.setStrokingColor(OVER);
            out.setLineWidth(0.6f);
            for (float t = 2; t < length; t += 3) {
                out.moveTo(x + t - 2, base);
                out.lineTo(Math.min(x + t, x + length), base + h);
            }
            out.stroke();
        }
        line(x + unit, base - 1, x + unit, base + h + 1, INK);
    }

    /** Where the next line is written [points from the foot]. */
    float base() {
        return y;
    }

    /** What is left for writing on this page [points]. */
    float free() {
        return y - MARGIN - 14;
    }

    /** Height of a page [points]. */
    float height() {
        return size.getHeight();
    }

    PdfTags tags() {
        return tags;
    }

    /** A text from a point, within an element. */
    void write(boolean strong, float points, Color color, float x, float base, String s) throws IOException {
        text(strong ? bold : regular, points, color, x, base, s);
    }

    /** As much of a text as fits into a width. */
    String fitted(boolean strong, float points, String s, float w) throws IOException {
        return fit(strong ? bold : regular, points, s, w);
    }

    private void line(float x1, float y1, float x2, float y2, Color c) throws IOException {
        out.setStrokingColor(c);
        out.setLineWidth(0.5f);
        out.moveTo(x1, y1);
        out.lineTo(x2, y2);
        out.stroke();
    }

    private void text(PDFont font, float points, Color color, float x, float base, String s) throws IOException {
        out.beginText();
        out.setFont(font, points);
        out.setNonStrokingColor(color);
        out.newLineAtOffset(x, base);
        out.showText(fonts.known(s));
        out.endText();
    }

    private float width(PDFont font, float points, String s) throws IOException {
        return fonts.width(font, points, s);
    }

    private String fit(PDFont font, float points, String s, float w) throws IOException {
        if (width(font, points, s) <= w) {
            return s;
        }
        int end = s.length();
        while (end > 1 && width(font, points, s.substring(0, end) + "…") > w) {
            end--;
        }
        return s.substring(0, end) + "…";
    }

    /** A text in lines no wider than {@code w}. */
    List<String> lines(float points, String s, float w) throws IOException {
        return wrap(regular, points, s, w);
    }

    private List<String> wrap(PDFont font, float points, String s, float w) throws IOException {
        List<String> out = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : s.split(" ")) {
            String with = line.isEmpty() ? word : line + " " + word;
            if (width(font, points, with) <= w || line.isEmpty()) {
                line.setLength(0);
                line.append(with);
            } else {
                out.add(line.toString());
                line.setLength(0);
                line.append(word);
            }
        }
        out.add(line.toString());
        List<String> fitted = new ArrayList<>();
        for (String l : out) {
            fitted.add(fit(font, points, l, w));
        }
        return fitted;
    }

    /** Puts the contents behind the first page: parts and what is in them, each with a link to its page. */
    void contents() throws IOException {
        out.close();
        List<Entry> shown = entries.size() <= MOST_CONTENTS
                ? entries
                : entries.stream().filter(e -> e.level() == 1).toList();
        int onPage = (int) ((size.getHeight() - 2 * MARGIN - 60) / CONTENTS_LINE);
        int pages = Math.max(1, (shown.size() + onPage - 1) / onPage);
        List<PDPage> fresh = new ArrayList<>();
        for (int i = 0; i < pages; i++) {
            PDPage page = new PDPage(size);
            doc.getPages().insertAfter(page, i == 0 ? doc.getPage(0) : fresh.get(i - 1));
            fresh.add(page);
        }
        for (int i = 0; i < pages; i++) {
            begin(fresh.get(i));
            PDPage page = fresh.get(i);
            List<Entry> here = shown.subList(i * onPage, Math.min(shown.size(), (i + 1) * onPage));
            String title = i == 0 ? "Contents" : "Contents, continued";
            tags.first("TOC", () -> {
                tags.group("Caption", () -> heading(title, 14, "P"));
                for (Entry e : here) {
                    tags.group("TOCI", () -> line(e, page));
                }
            });
            out.close();
        }
    }

    private void line(Entry e, PDPage on) throws IOException {
        float x = MARGIN + (e.level() - 1) * 14;
        String number = Integer.toString(doc.getPages().indexOf(e.page()) + 1);
        float right = size.getWidth() - MARGIN;
        PDFont font = e.level() == 1 ? bold : regular;
        String title = fit(font, 9, e.title(), width() - 60);
        PDStructureElement shown = tags.element("Link", () -> {
            text(font, 9, INK, x, y, title);
            text(regular, 9, INK, right - width(regular, 9, number), y, number);
        });
        rule(x + width(font, 9, title) + 6, y + 2, right - width(regular, 9, number) - 6, y + 2);
        PDAnnotationLink link = new PDAnnotationLink();
        link.setRectangle(new PDRectangle(x, y - 3, size.getWidth() - MARGIN - x, CONTENTS_LINE));
        PDBorderStyleDictionary none = new PDBorderStyleDictionary();
        none.setWidth(0);
        link.setBorderStyle(none);
        link.setDestination(place(e));
        link.setContents(e.title());
        on.getAnnotations().add(link);
        tags.link(shown, link, on);
        y -= CONTENTS_LINE;
    }

    private static PDPageXYZDestination place(Entry e) {
        PDPageXYZDestination d = new PDPageXYZDestination();
        d.setPage(e.page());
        d.setTop((int) (e.y() + 20));
        return d;
    }

    /** Bookmarks of all headings, those within a part beneath it. */
    private void outline() {
        PDDocumentOutline root = new PDDocumentOutline();
        doc.getDocumentCatalog().setDocumentOutline(root);
        PDOutlineItem part = null;
        for (Entry e : entries) {
            PDOutlineItem item = new PDOutlineItem();
            item.setTitle(e.title());
            item.setDestination(place(e));
            if (e.level() == 1 || part == null) {
                root.addLast(item);
                part = item;
            } else {
                part.addLast(item);
            }
        }
        doc.getDocumentCatalog().setPageMode(PageMode.USE_OUTLINES);
    }

    /** What the document says of itself. */
    void about(String subject, String author) {
        PDDocumentInformation i = doc.getDocumentInformation();
        i.setTitle(title);
        i.setSubject(subject);
        if (!author.isEmpty()) {
            i.setAuthor(author);
        }
        i.setCreator("Kolonne");
        doc.getDocumentCatalog().setLanguage("en");
    }

    /** Room for a drawing of a height across the page: left, bottom, width and height. */
    float[] room(float height) throws IOException {
        need(height);
        y -= height;
        float[] box = {MARGIN, y, width(), height};
        y -= 14;
        return box;
    }

    /** A picture of what is drawn within. @param words what it shows, for those who do not see it */
    void figure(String words, PdfTags.Ink ink) throws IOException {
        tags.told("Figure", words, ink);
    }

    /** An area with an edge; {@code over} hatches it in the warning ink. @param xy corners in turn */
    void area(float[] xy, Color fill, boolean over) throws IOException {
        tags.artifact(() -> filled(xy, fill, over));
    }

    private void filled(float[] xy, Color fill, boolean over) throws IOException {
        out.saveGraphicsState();
        path(xy);
        out.setNonStrokingColor(over ? OVER_GROUND : fill);
        out.fill();
        if (over) {
            path(xy);
            out.clip();
            hatch(xy);
        }
        out.restoreGraphicsState();
        path(xy);
        out.setStrokingColor(over ? OVER : INK);
        out.setLineWidth(over ? 0.7f : 0.3f);
        out.stroke();
    }

    /** A rectangle on a ground, with lines at angles so far apart. @param angles [degrees], 0 lies */
    void patterned(float x, float y, float wide, float high, Color ground, float apart, int... angles)
            throws IOException {
        float[] xy = {x, y, x + wide, y, x + wide, y + high, x, y + high};
        tags.artifact(() -> {
            out.saveGraphicsState();
            path(xy);
            out.setNonStrokingColor(ground);
            out.fill();
            path(xy);
            out.clip();
            out.setStrokingColor(INK);
            out.setLineWidth(0.5f);
            for (int angle : angles) {
                parallels(x + wide / 2, y + high / 2, wide + high, apart, Math.toRadians(angle));
            }
            out.restoreGraphicsState();
            path(xy);
            out.setStrokingColor(INK);
            out.setLineWidth(0.4f);
            out.stroke();
        });
    }

    /** Lines to both sides of a point, as far as {@code reach}. */
    private void parallels(float x, float y, float reach, float apart, double angle) throws IOException {
        float ux = (float) Math.cos(angle);
        float uy = (float) Math.sin(angle);
        for (int k = -(int) (reach / apart); k <= reach / apart; k++) {
            float mx = x - k * apart * uy;
            float my = y + k * apart * ux;
            out.moveTo(mx - reach * ux, my - reach * uy);
            out.lineTo(mx + reach * ux, my + reach * uy);
        }
        out.stroke();
    }

    private void path(float[] xy) throws IOException {
        out.moveTo(xy[0], xy[1]);
        for (int i = 2; i < xy.length; i += 2) {
            out.lineTo(xy[i], xy[i + 1]);
        }
        out.closePath();
    }

    private void hatch(float[] xy) throws IOException {
        float left = xy[0];
        float right = xy[0];
        float low = xy[1];
        float high = xy[1];
        for (int i = 0; i < xy.length; i += 2) {
            left = Math.min(left, xy[i]);
            right = Math.max(right, xy[i]);
            low = Math.min(low, xy[i + 1]);
            high = Math.max(high, xy[i + 1]);
        }
        out.setStrokingColor(OVER);
        out.setLineWidth(0.6f);
        for (float x = left - (high - low); x < right; x += 2.4f) {
            out.moveTo(x, low);
            out.lineTo(x + high - low, high);
        }
        out.stroke();
    }

    /** A line as heavy as a bar in a sketch. */
    void stroke(float x1, float y1, float x2, float y2) throws IOException {
        path(new float[] {x1, y1, x2, y2}, 1.1f, INK);
    }

    /** A line through points. @param xy in turn */
    void path(float[] xy, float wide, Color color) throws IOException {
        tags.artifact(() -> {
            out.setStrokingColor(color);
            out.setLineWidth(wide);
            out.moveTo(xy[0], xy[1]);
            for (int i = 2; i < xy.length; i += 2) {
                out.lineTo(xy[i], xy[i + 1]);
            }
            out.stroke();
        });
    }

    void rule(float x1, float y1, float x2, float y2) throws IOException {
        thin(x1, y1, x2, y2, HAIRLINE);
    }

    void thin(float x1, float y1, float x2, float y2, Color color) throws IOException {
        tags.artifact(() -> line(x1, y1, x2, y2, color));
    }

    /** A drawing with its origin at a point. */
    void drawing(Drawing d, float x, float base) throws IOException {
        tags.artifact(() -> {
            out.saveGraphicsState();
            out.setStrokingColor(INK);
            out.setNonStrokingColor(INK);
            out.transform(Matrix.getTranslateInstance(x, base));
            DrawingInk.draw(d, out, fonts);
            out.restoreGraphicsState();
        });
    }

    /** A text from a point, slanted where it is the letter of a quantity. */
    void glyphs(float x, float base, float points, boolean strong, boolean slanted, Color color, String s)
            throws IOException {
        tags.artifact(() -> {
            out.beginText();
            out.setFont(strong ? bold : regular, points);
            out.setNonStrokingColor(color);
            out.setTextMatrix(new Matrix(1, 0, slanted ? SLANT : 0, 1, x, base));
            out.showText(fonts.known(s));
            out.endText();
        });
    }

    /** An element of a calculation, told as it is written in a line. */
    void formula(String words, PdfTags.Ink ink) throws IOException {
        tags.told("Formula", words, ink);
    }

    /** Where writing goes on [points from the foot]; {@code by} further down. */
    float down(float by) {
        y -= by;
        return y;
    }

    /** A text from a point on. */
    void words(float x, float base, float points, boolean strong, Color color, String s) throws IOException {
        tags.artifact(() -> text(strong ? bold : regular, points, color, x, base, s));
    }

    /** A text about a point, on the ground of the page where {@code ground}. @return its box: left, bottom, right, top */
    float[] label(float x, float base, float points, boolean strong, Color color, boolean ground, String s)
            throws IOException {
        PDFont font = strong ? bold : regular;
        float w = width(font, points, s);
        float[] box = {x - w / 2 - 1, base - 1.2f, x + w / 2 + 1, base + points * 0.8f};
        tags.artifact(() -> {
            if (ground) {
                out.setNonStrokingColor(Color.WHITE);
                out.addRect(box[0], box[1], box[2] - box[0], box[3] - box[1]);
                out.fill();
            }
            text(font, points, color, x - w / 2, base, s);
        });
        return box;
    }

    /** How wide a label would be. */
    float labelWidth(float points, boolean strong, String s) throws IOException {
        return width(strong ? bold : regular, points, s);
    }

    /** Numbers the pages and writes the document. */
    void save(OutputStream to) throws IOException {
        out.close();
        int n = doc.getNumberOfPages();
        for (int i = 0; i < n; i++) {
            try (PDPageContentStream c =
                    new PDPageContentStream(doc, doc.getPage(i), PDPageContentStream.AppendMode.APPEND, true)) {
                String s = "page " + (i + 1) + " of " + n;
                c.beginMarkedContent(COSName.getPDFName("Artifact"));
                c.beginText();
                c.setFont(regular, 8);
                c.setNonStrokingColor(SOFT);
                c.newLineAtOffset(doc.getPage(i).getMediaBox().getWidth() - MARGIN - width(regular, 8, s), MARGIN - 12);
                c.showText(s);
                c.endText();
                c.endMarkedContent();
            }
        }
        progress.at("putting pages together", total, total);
        outline();
        tags.finish(doc);
        PdfFonts.reproducible(doc);
        doc.save(to);
    }

    @Override
    public void close() throws IOException {
        doc.close();
    }
}
