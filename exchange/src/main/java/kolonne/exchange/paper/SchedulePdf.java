package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.design.BuildingDesign;
import kolonne.core.project.ProjectData;

/** Beam schedule, column schedule and bar list on A4 landscape. */
public final class SchedulePdf {
    private SchedulePdf() {}

    public static void write(BuildingDesign d, ProjectData project, OutputStream out) throws IOException {
        String name = project.title(d.analysis().index().building().name());
        try (PdfPaper paper =
                new PdfPaper(name + " · schedules · " + d.basis().designCode().name(), project.line(), true)) {
            boolean first = true;
            for (ScheduleTables.Table t : ScheduleTables.all(d)) {
                if (!first) {
                    paper.newPage();
                }
                first = false;
                paper.heading(t.title(), 14);
                paper.table(columns(t, paper.width()), rows(t), 7);
            }
            paper.save(out);
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
