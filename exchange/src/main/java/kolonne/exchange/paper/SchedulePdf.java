package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kolonne.core.detail.ShapeSketch;
import kolonne.core.drawing.ColumnSchedule;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;

/** Beam and column schedules on lying pages, the bar list and quantities on upright ones. */
public final class SchedulePdf {
    /** First columns of tables with several rows a member. */
    private static final Set<String> OF_MEMBERS = Set.of("mark", "member", "type");

    /** Width of a sketch and height of a row of them [points]. */
    private static final float SKETCH = 112;

    private static final float ROW = 64;

    /** Height of a row of a table of short texts [points]. */
    private static final float A_ROW = 14;

    private SchedulePdf() {}

    public static void write(Scheduled all, ProjectData project, Progress progress, OutputStream out)
            throws IOException {
        try (PdfPaper paper = paper(all, project, true, "schedules", progress)) {
            List<ScheduleTables.Table> before = ScheduleTables.beforeColumns(all);
            List<ScheduleTables.Table> behind = ScheduleTables.behindColumns(all);
            int parts = before.size() + 1 + behind.size();
            int part = 0;
            for (ScheduleTables.Table t : before) {
                table(t, true, part++, parts, paper);
            }
            paper.doing("Column schedule", part++, parts);
            columns(ColumnSchedule.of(all, DrawingInk.mm(paper.width())), paper);
            for (ScheduleTables.Table t : behind) {
                table(t, false, part++, parts, paper);
            }
            if (all.whole()) {
                SteelChart.write(all.design(), paper);
            }
            paper.save(out);
        }
    }

    /** The bar list alone. */
    public static void bars(Scheduled all, ProjectData project, Progress progress, OutputStream out)
            throws IOException {
        try (PdfPaper paper = paper(all, project, false, "bar bending schedule", progress)) {
            table(ScheduleTables.bars(all), false, 0, 1, paper);
            paper.save(out);
        }
    }

    private static PdfPaper paper(Scheduled all, ProjectData project, boolean lying, String what, Progress progress)
            throws IOException {
        String name = project.title(all.design().analysis().index().building().name());
        String title =
                name + " · " + what + " · " + all.design().basis().designCode().name();
        PdfPaper paper = new PdfPaper(title, project, lying, progress);
        paper.about("Beams and columns of " + name, project.text(ProjectData.Field.DESIGNER));
        return paper;
    }

    private static void table(ScheduleTables.Table t, boolean lying, int part, int parts, PdfPaper paper)
            throws IOException {
        paper.doing(t.title(), part, parts);
        if (part > 0
                && (lying != paper.lying() || paper.free() < A_ROW * (t.rows().size() + 4))) {
            paper.newPage(lying);
        }
        paper.section(
                t.title() + (t.pictures().isEmpty() ? "" : ", sections 1 : " + ScheduleTables.SECTION_SCALE), 1, 14);
        shapes(t.shapes(), paper);
        if (OF_MEMBERS.contains(t.columns().get(0))) {
            paper.grouped(columns(t, paper.width()), rows(t), t.pictures(), 7);
        } else {
            paper.table(columns(t, paper.width()), rows(t), 7);
        }
    }

    /** Stacks against storeys, a page of them at a time. */
    private static void columns(List<ColumnSchedule.Page> pages, PdfPaper paper) throws IOException {
        for (ColumnSchedule.Page p : pages) {
            paper.newPage();
            paper.section("Column schedule: " + String.join(", ", p.marks()), 1, 14);
            float[] box = paper.room(DrawingInk.pt(ColumnSchedule.HEIGHT));
            paper.figure(p.words(), () -> paper.drawing(p.drawing(), box[0], box[1]));
        }
    }

    /** The shapes that the rows name, with the letters of their dimensions. */
    private static void shapes(List<ShapeSketch> shapes, PdfPaper paper) throws IOException {
        if (shapes.isEmpty()) {
            return;
        }
        int across = (int) (paper.width() / SKETCH);
        float[] box = paper.room(ROW * ((shapes.size() + across - 1) / across));
        String codes = String.join(", ", shapes.stream().map(ShapeSketch::code).toList());
        paper.figure("Sketches of the bar shapes " + codes, () -> sketches(shapes, across, paper, box));
    }

    private static void sketches(List<ShapeSketch> shapes, int across, PdfPaper paper, float[] box) throws IOException {
        for (int i = 0; i < shapes.size(); i++) {
            ShapeSketch s = shapes.get(i);
            float x = box[0] + i % across * SKETCH;
            float y = box[1] + box[3] - (i / across + 1) * ROW + 4;
            paper.label(x + 10, y + 48, 9, true, PdfPaper.INK, false, s.code());
            for (List<Double> line : s.lines()) {
                for (int k = 0; k + 3 < line.size(); k += 2) {
                    paper.stroke(
                            x + 22 + 0.8f * line.get(k).floatValue(),
                            y + 0.8f * line.get(k + 1).floatValue(),
                            x + 22 + 0.8f * line.get(k + 2).floatValue(),
                            y + 0.8f * line.get(k + 3).floatValue());
                }
            }
            for (ShapeSketch.Letter l : s.letters()) {
                paper.label(
                        x + 22 + 0.8f * (float) l.x(),
                        y + 0.8f * (float) l.y(),
                        7,
                        false,
                        PdfPaper.SOFT,
                        false,
                        l.text());
            }
        }
    }

    private static List<PdfPaper.Column> columns(ScheduleTables.Table t, float width) {
        int sum = t.widths().stream().mapToInt(Integer::intValue).sum();
        float scale = sum < 60 ? 5 : width / sum;
        List<PdfPaper.Column> out = new ArrayList<>();
        for (int c = 0; c < t.columns().size(); c++) {
            out.add(new PdfPaper.Column(t.columns().get(c), t.widths().get(c) * scale, t.numeric(c)));
        }
        return out;
    }

    private static List<List<PdfPaper.Cell>> rows(ScheduleTables.Table t) {
        List<List<PdfPaper.Cell>> out = new ArrayList<>();
        for (int r = 0; r < t.rows().size(); r++) {
            List<PdfPaper.Cell> row = new ArrayList<>();
            for (int c = 0; c < t.columns().size(); c++) {
                String s = t.text(r, c);
                row.add(new PdfPaper.Cell(s, s.equals("fails"), -1));
            }
            out.add(row);
        }
        return out;
    }
}
