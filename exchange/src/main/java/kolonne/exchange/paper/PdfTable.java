package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.drawing.Drawing;

/** A table on paper: its head stands again on every page, cells wrap, rows that belong together stay together. Lengths in points. */
final class PdfTable {
    /** Part of a page that may stay empty for rows that belong together. */
    private static final float MOST_LEFT = 0.1f;
    /** From line to line of rows without rules between them, in the size of the type. */
    static final float CLOSE = 1.25f;
    /** Beneath a table. */
    private static final float BENEATH = 8;

    private final PdfPaper paper;
    private final List<PdfPaper.Column> columns;
    private final float points;
    /** From base line to base line. */
    private final float line;

    /** @param leading from base line to base line, in the size of the type */
    PdfTable(PdfPaper paper, List<PdfPaper.Column> columns, float points, float leading) {
        this.paper = paper;
        this.columns = columns;
        this.points = points;
        this.line = points * leading;
    }

    /** A rule beneath every row. */
    void write(List<List<PdfPaper.Cell>> rows) throws IOException {
        paper.tags().group("Table", () -> rows(rows));
        paper.down(BENEATH);
    }

    /** Rows whose first cells are alike: that is printed once a page, a rule beneath them all, and a page parts them only where much of it would stay empty. @param pictures by first cells, drawn beneath them */
    void write(List<List<PdfPaper.Cell>> rows, Map<String, Drawing> pictures) throws IOException {
        paper.tags().group("Table", () -> groups(rows, pictures));
        paper.down(BENEATH);
    }

    private void rows(List<List<PdfPaper.Cell>> rows) throws IOException {
        head();
        for (List<PdfPaper.Cell> row : rows) {
            Laid laid = laid(row, 4);
            if (paper.free() < laid.height()) {
                paper.newPage();
                headAgain();
            }
            row(row, laid);
            ruled(1.05f);
        }
    }

    private void groups(List<List<PdfPaper.Cell>> rows, Map<String, Drawing> pictures) throws IOException {
        head();
        int next = 0;
        while (next < rows.size()) {
            String name = rows.get(next).get(0).text();
            List<Laid> group = new ArrayList<>();
            float height = 0;
            while (next + group.size() < rows.size()
                    && rows.get(next + group.size()).get(0).text().equals(name)) {
                Laid laid = laid(rows.get(next + group.size()), 0.5f);
                group.add(laid);
                height += laid.height();
            }
            Drawing picture = pictures.get(name);
            float pictured = picture == null ? 0 : beneath(picture);
            height = Math.max(height, pictured);
            float left = paper.free();
            if (height > left && left < MOST_LEFT * paper.height()) {
                paper.newPage();
                headAgain();
            }
            boolean first = true;
            float end = paper.base() - pictured;
            if (picture != null) {
                draw(picture);
            }
            for (Laid laid : group) {
                if (paper.free() < laid.height()) {
                    paper.newPage();
                    headAgain();
                    first = true;
                    end = paper.base();
                }
                List<PdfPaper.Cell> row = new ArrayList<>(rows.get(next++));
                row.set(0, first ? row.get(0) : PdfPaper.Cell.of(""));
                row(row, laid);
                first = false;
            }
            paper.down(Math.max(0, paper.base() - end));
            ruled(0.95f);
            paper.down(1.5f);
        }
    }

    /** Under the line that names what it shows, at the left. */
    private void draw(Drawing picture) throws IOException {
        double[] box = picture.box();
        float x = paper.left() + 2 - DrawingInk.pt(box[0]);
        paper.drawing(picture, x, paper.base() + 1 - line - DrawingInk.pt(box[3]));
    }

    /** Height of a picture under the line that names what it shows. */
    private float beneath(Drawing picture) {
        double[] box = picture.box();
        return 2 * line + DrawingInk.pt(box[3] - box[1]);
    }

    /** Lines of the cells of a row, and how high it stands. */
    private record Laid(List<List<String>> lines, float height) {}

    private Laid laid(List<PdfPaper.Cell> row, float gap) throws IOException {
        List<List<String>> lines = new ArrayList<>();
        int most = 1;
        for (int c = 0; c < columns.size(); c++) {
            List<String> l =
                    paper.lines(points, row.get(c).text(), columns.get(c).width() - 6);
            lines.add(l);
            most = Math.max(most, l.size());
        }
        return new Laid(lines, most * line + gap);
    }

    private void row(List<PdfPaper.Cell> row, Laid laid) throws IOException {
        paper.tags().group("TR", () -> {
            float x = paper.left();
            for (int c = 0; c < columns.size(); c++) {
                PdfPaper.Cell cell = row.get(c);
                if (cell.text().isEmpty() && cell.bar() < 0) {
                    paper.tags().empty("TD");
                } else {
                    PdfPaper.Column column = columns.get(c);
                    List<String> lines = laid.lines().get(c);
                    float at = x;
                    paper.tags().element("TD", () -> cell(column, cell, lines, at));
                }
                x += columns.get(c).width();
            }
        });
        paper.down(laid.height());
    }

    private float width() {
        float sum = 0;
        for (PdfPaper.Column c : columns) {
            sum += c.width();
        }
        return sum;
    }

    private void cell(PdfPaper.Column column, PdfPaper.Cell cell, List<String> lines, float x) throws IOException {
        if (cell.bar() >= 0) {
            paper.bar(x, paper.base() - 1, column.width() - 8, points * 0.7f, cell.bar());
            return;
        }
        for (int i = 0; i < lines.size(); i++) {
            String s = lines.get(i);
            float at = column.right() ? x + column.width() - 6 - paper.labelWidth(points, cell.over(), s) : x;
            paper.write(
                    cell.over(), points, cell.over() ? PdfPaper.OVER : PdfPaper.INK, at, paper.base() - i * line, s);
        }
    }

    private void head() throws IOException {
        paper.need(points * 5);
        paper.tags().group("TR", () -> {
            float x = paper.left();
            for (PdfPaper.Column c : columns) {
                float at = x;
                if (c.name().isEmpty()) {
                    paper.tags().empty("TH");
                } else {
                    paper.tags().element("TH", () -> name(c, at));
                }
                x += c.width();
            }
        });
        underHead();
    }

    /** On a further page of a table: for the eye only. */
    private void headAgain() throws IOException {
        paper.tags().artifact(() -> {
            float x = paper.left();
            for (PdfPaper.Column c : columns) {
                name(c, x);
                x += c.width();
            }
        });
        underHead();
    }

    private void name(PdfPaper.Column c, float x) throws IOException {
        String s = paper.fitted(true, points, c.name(), c.width() - 4);
        float at = c.right() ? x + c.width() - 6 - paper.labelWidth(points, true, s) : x;
        paper.write(true, points, PdfPaper.SOFT, at, paper.base(), s);
    }

    private void underHead() throws IOException {
        float y = paper.down(points * 0.6f);
        paper.thin(paper.left(), y, paper.left() + width(), y, PdfPaper.INK);
        paper.down(line);
    }

    /** A rule above the base line of what comes next. @param part of the size of the type */
    private void ruled(float part) throws IOException {
        float y = paper.base() + points * part;
        paper.rule(paper.left(), y, paper.left() + width(), y);
    }
}
