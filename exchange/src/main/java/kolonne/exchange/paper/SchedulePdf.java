package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kolonne.core.design.BuildingDesign;
import kolonne.core.detail.ShapeSketch;
import kolonne.core.project.ProjectData;
import kolonne.core.work.Progress;

/** Beam schedule, column schedule and bar list on A4 landscape. */
public final class SchedulePdf {
    /** First columns of tables with several rows a member. */
    private static final Set<String> OF_MEMBERS = Set.of("mark", "member");

    private SchedulePdf() {}

    public static void write(BuildingDesign d, ProjectData project, Progress progress, OutputStream out)
            throws IOException {
        String name = project.title(d.analysis().index().building().name());
        try (PdfPaper paper = new PdfPaper(
                name + " · schedules · " + d.basis().designCode().name(), project.line(), true, progress)) {
            List<ScheduleTables.Table> tables = ScheduleTables.all(d);
            for (int i = 0; i < tables.size(); i++) {
                ScheduleTables.Table t = tables.get(i);
                paper.doing(t.title(), i, tables.size());
                if (i > 0) {
                    paper.newPage();
                }
                paper.heading(t.title(), 14);
                shapes(t.shapes(), paper);
                if (OF_MEMBERS.contains(t.columns().get(0))) {
                    paper.grouped(columns(t, paper.width()), rows(t), 7);
                } else {
                    paper.table(columns(t, paper.width()), rows(t), 7);
                }
            }
            paper.save(out);
        }
    }

    /** The shapes that the rows name, with the letters of their dimensions. */
    private static void shapes(List<ShapeSketch> shapes, PdfPaper paper) throws IOException {
        if (shapes.isEmpty()) {
            return;
        }
        float[] box = paper.room(64);
        String codes = String.join(", ", shapes.stream().map(ShapeSketch::code).toList());
        paper.figure("Sketches of the bar shapes " + codes, () -> sketches(shapes, paper, box));
    }

    private static void sketches(List<ShapeSketch> shapes, PdfPaper paper, float[] box) throws IOException {
        for (int i = 0; i < shapes.size(); i++) {
            ShapeSketch s = shapes.get(i);
            float x = box[0] + i * 112;
            float y = box[1] + 4;
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
