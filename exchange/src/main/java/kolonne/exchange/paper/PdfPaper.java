package kolonne.exchange.paper;

import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.project.Logo;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Pages of text and tables in the product's type, with a running head and page numbers. Lengths in points. */
final class PdfPaper implements AutoCloseable {
    static final Color INK = new Color(0x1D2528);
    static final Color SOFT = new Color(0x5F6B70);
    static final Color HAIRLINE = new Color(0xC9C2B4);
    static final Color ACCENT = new Color(0x1F5F6B);
    static final Color OVER = new Color(0xB84310);
    private static final float MARGIN = 42;
    private static final float LEADING = 1.35f;

    private final PDDocument doc = new PDDocument();
    private final PDFont regular;
    private final PDFont bold;
    private final PDRectangle size;
    private final String title;
    private final String beneath;
    private final PdfFonts fonts;
    private PDPageContentStream out;
    private float y;

    /** A column of a table. @param right whether its texts are aligned right */
    record Column(String name, float width, boolean right) {}

    /** A cell; {@code over} prints it in the warning ink, {@code bar} from 0 draws a utilisation bar behind no text. */
    record Cell(String text, boolean over, double bar) {
        static Cell of(String text) {
            return new Cell(text, false, -1);
        }
    }

    /** @param beneath a second line of the head, or empty */
    PdfPaper(String title, String beneath, boolean landscape) throws IOException {
        this.title = title;
        this.beneath = beneath;
        fonts = new PdfFonts(doc);
        regular = fonts.regular();
        bold = fonts.bold();
        size = landscape ? new PDRectangle(PDRectangle.A4.getHeight(), PDRectangle.A4.getWidth()) : PDRectangle.A4;
        newPage();
    }

    float width() {
        return size.getWidth() - 2 * MARGIN;
    }

    void newPage() throws IOException {
        if (out != null) {
            out.close();
        }
        PDPage page = new PDPage(size);
        doc.addPage(page);
        out = new PDPageContentStream(doc, page);
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
        out.drawImage(
                PDImageXObject.createFromByteArray(doc, logo.bytes(), "logo"),
                size.getWidth() - MARGIN - f * logo.width(),
                y - f * logo.height() + 12,
                f * logo.width(),
                f * logo.height());
    }

    /** Begins a new page unless {@code height} is left on this one. */
    void need(float height) throws IOException {
        if (y - height < MARGIN + 14) {
            newPage();
        }
    }

    void heading(String s, float points) throws IOException {
        need(points * 4);
        y -= points * 0.6f;
        text(bold, points, INK, MARGIN, y, fit(bold, points, s, width()));
        y -= points * 0.5f + 9;
    }

    void paragraph(String s) throws IOException {
        paragraph(s, 9, INK);
    }

    void paragraph(String s, float points, Color color) throws IOException {
        for (String l : wrap(regular, points, s, width())) {
            need(points * LEADING);
            text(regular, points, color, MARGIN, y, l);
            y -= points * LEADING;
        }
        y -= 3;
    }

    /** A table whose head repeats on every page; cells wrap. */
    void table(List<Column> columns, List<List<Cell>> rows, float points) throws IOException {
        tableHead(columns, points);
        for (List<Cell> row : rows) {
            List<List<String>> lines = new ArrayList<>();
            int most = 1;
            for (int c = 0; c < columns.size(); c++) {
                List<String> l =
                        wrap(regular, points, row.get(c).text(), columns.get(c).width() - 6);
                lines.add(l);
                most = Math.max(most, l.size());
            }
            float height = most * points * LEADING + 4;
            if (y - height < MARGIN + 14) {
                newPage();
                tableHead(columns, points);
            }
            float x = MARGIN;
            for (int c = 0; c < columns.size(); c++) {
                cell(columns.get(c), row.get(c), lines.get(c), x, points);
                x += columns.get(c).width();
            }
            y -= height;
            line(MARGIN, y + points * 1.05f, x, y + points * 1.05f, HAIRLINE);
        }
        y -= 8;
    }

    private void cell(Column column, Cell cell, List<String> lines, float x, float points) throws IOException {
        if (cell.bar() >= 0) {
            bar(x, y - 1, column.width() - 8, points * 0.7f, cell.bar());
            return;
        }
        PDFont font = cell.over() ? bold : regular;
        for (int i = 0; i < lines.size(); i++) {
            float at = column.right() ? x + column.width() - 6 - width(font, points, lines.get(i)) : x;
            text(font, points, cell.over() ? OVER : INK, at, y - i * points * LEADING, lines.get(i));
        }
    }

    /** A bar to a scale of 1.25; over 1.00 it is hatched, so that it survives black-and-white printing. */
    private void bar(float x, float base, float w, float h, double u) throws IOException {
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

    private void tableHead(List<Column> columns, float points) throws IOException {
        need(points * 5);
        float x = MARGIN;
        for (Column c : columns) {
            String s = fit(bold, points, c.name(), c.width() - 4);
            text(bold, points, SOFT, c.right() ? x + c.width() - 6 - width(bold, points, s) : x, y, s);
            x += c.width();
        }
        y -= points * 0.6f;
        line(MARGIN, y, x, y, INK);
        y -= points * LEADING;
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
        return font.getStringWidth(fonts.known(s)) / 1000 * points;
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

    /** Numbers the pages and writes the document. */
    void save(OutputStream to) throws IOException {
        out.close();
        int n = doc.getNumberOfPages();
        for (int i = 0; i < n; i++) {
            try (PDPageContentStream c =
                    new PDPageContentStream(doc, doc.getPage(i), PDPageContentStream.AppendMode.APPEND, true)) {
                String s = "page " + (i + 1) + " of " + n;
                c.beginText();
                c.setFont(regular, 8);
                c.setNonStrokingColor(SOFT);
                c.newLineAtOffset(size.getWidth() - MARGIN - width(regular, 8, s), MARGIN - 12);
                c.showText(s);
                c.endText();
            }
        }
        PdfFonts.reproducible(doc);
        doc.save(to);
    }

    @Override
    public void close() throws IOException {
        doc.close();
    }
}
