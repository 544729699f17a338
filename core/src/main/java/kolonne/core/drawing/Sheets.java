package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.schedule.ScheduleGroups;

/** Details packed on sheets, row by row in the order of the schedules; a detail that is larger than the paper asked for gets the next larger one, and one that
 * is larger than any is made smaller. */
public final class Sheets {
    private static final double BETWEEN = 6;
    /** Height of a note above a detail [mm]. */
    private static final double NOTE = 8;

    private final BuildingDesign design;
    private final Paper paper;
    private final List<Placing> sheets = new ArrayList<>();

    /** A part of a detail that stays together. */
    private record Block(String mark, Drawing drawing) {}

    /** A sheet that is being filled. */
    private static final class Placing {
        final Paper paper;
        final List<Drawing> parts = new ArrayList<>();
        final Set<String> marks = new LinkedHashSet<>();
        double x;
        double y;
        double row;

        Placing(Paper paper) {
            this.paper = paper;
            this.y = paper.height() - Paper.MARGIN - 2;
        }

        /** Puts a part beside the last one or beneath its row; whether there is room. */
        boolean take(Block b) {
            double[] box = b.drawing().box();
            double wide = box[2] - box[0];
            double high = box[3] - box[1];
            boolean beside = x > 0 && x + wide <= paper.room();
            double top = beside ? y : y - row - (row > 0 ? BETWEEN : 0);
            if (wide > paper.room() || top - high < Paper.MARGIN + Paper.TITLE + 2) {
                return false;
            }
            if (!beside) {
                x = 0;
                row = 0;
                y = top;
            }
            parts.add(b.drawing().moved(Paper.LEFT + 2 + x - box[0], y - box[3]));
            marks.add(b.mark());
            x += wide + 2 * BETWEEN;
            row = Math.max(row, high);
            return true;
        }
    }

    private Sheets(BuildingDesign design, Paper paper) {
        this.design = design;
        this.paper = paper;
    }

    /** What can be drawn: marks of groups, of their members and of types. */
    public static Set<String> marks(BuildingDesign d) {
        Set<String> out = new HashSet<>(d.typeMarks().values());
        Stream.concat(ScheduleGroups.beams(d).stream(), ScheduleGroups.columns(d).stream())
                .forEach(g -> {
                    out.add(g.mark());
                    out.addAll(g.members());
                });
        return out;
    }

    /**
     * The details of a building.
     *
     * @param marks  of the lines, stacks or types to draw; all where empty
     * @param wanted asked before every detail; false stops with what there is
     */
    public static List<Sheet> of(BuildingDesign d, Set<String> marks, Paper paper, BooleanSupplier wanted) {
        Sheets s = new Sheets(d, paper);
        Map<String, String> types = d.typeMarks();
        for (ScheduleGroups.Group<BeamDesign> g : ScheduleGroups.beams(d)) {
            if (meant(g, types.get(g.first().line().id()), marks) && wanted.getAsBoolean()) {
                s.add(g.mark(), BeamDetail.of(g, d.basis(), paper.room()));
            }
        }
        for (ScheduleGroups.Group<ColumnDesign> g : ScheduleGroups.columns(d)) {
            if (meant(g, types.get(g.first().stack().id()), marks) && wanted.getAsBoolean()) {
                s.add(g.mark(), List.of(ColumnDetail.of(g, d.basis(), paper.up())));
            }
        }
        return s.finished();
    }

    private static boolean meant(ScheduleGroups.Group<?> g, String type, Set<String> marks) {
        return marks.isEmpty()
                || marks.contains(g.mark())
                || type != null && marks.contains(type)
                || g.members().stream().anyMatch(marks::contains);
    }

    private void add(String mark, List<Drawing> parts) {
        for (Drawing d : parts) {
            Block b = new Block(mark, d);
            if (sheets.isEmpty() || !sheets.get(sheets.size() - 1).take(b)) {
                fresh(b);
            }
        }
    }

    private void fresh(Block b) {
        for (Paper p : paper.orLarger()) {
            Placing s = new Placing(p);
            if (s.take(b)) {
                sheets.add(s);
                return;
            }
        }
        Placing s = new Placing(Paper.A0);
        s.take(new Block(b.mark(), reduced(b.drawing())));
        sheets.add(s);
    }

    /** What is larger than the largest paper, made smaller to fit it; it says so. */
    private static Drawing reduced(Drawing d) {
        double[] box = d.box();
        double f = 0.98 * Math.min(Paper.A0.room() / (box[2] - box[0]), (Paper.A0.up() - NOTE) / (box[3] - box[1]));
        Drawing.Pen pen = new Drawing.Pen();
        pen.text(f * box[0], f * box[3] + 2, 2.5, Drawing.Align.LEFT, true, "Reduced to fit the sheet: not to scale");
        return d.times(f).and(pen.drawing());
    }

    private List<Sheet> finished() {
        List<Sheet> out = new ArrayList<>();
        for (int i = 0; i < sheets.size(); i++) {
            Placing s = sheets.get(i);
            Drawing.Pen pen = new Drawing.Pen();
            frame(pen, s, i + 1);
            Drawing all = pen.drawing();
            for (Drawing p : s.parts) {
                all = all.and(p);
            }
            out.add(new Sheet(i + 1, s.paper, List.copyOf(s.marks), all));
        }
        return out;
    }

    /** The frame, and at its foot what the sheet is of. */
    private void frame(Drawing.Pen pen, Placing s, int number) {
        double r = s.paper.width() - Paper.MARGIN;
        double t = s.paper.height() - Paper.MARGIN;
        double foot = Paper.MARGIN + Paper.TITLE;
        pen.rectangle(Layer.FRAME, Paper.LEFT, Paper.MARGIN, r, t);
        pen.line(Layer.FRAME, Paper.LEFT, foot, r, foot);
        double[] cells = {r - 150, r - 78, r - 34};
        for (double x : cells) {
            pen.line(Layer.FRAME, x, Paper.MARGIN, x, foot);
        }
        cell(pen, Paper.LEFT, "project", design.analysis().index().building().name());
        List<String> marks = List.copyOf(s.marks);
        cell(pen, cells[0], "details", marks.get(0) + (marks.size() > 1 ? " to " + marks.get(marks.size() - 1) : ""));
        cell(pen, cells[1], "designed to", design.basis().entry().name());
        cell(pen, cells[2], "sheet", number + " of " + sheets.size());
        pen.text(
                Paper.LEFT + 2,
                Paper.MARGIN + 2,
                1.8,
                Drawing.Align.LEFT,
                "Lengths in " + (design.basis().usUnits() ? "in" : "mm")
                        + ". Bars: mark, number, size, cut length; at straight ends the distance to the nearest face. For review.");
    }

    private static void cell(Drawing.Pen pen, double x, String what, String text) {
        pen.text(x + 2, Paper.MARGIN + Paper.TITLE - 4, 1.6, Drawing.Align.LEFT, what);
        pen.text(x + 2, Paper.MARGIN + Paper.TITLE - 9.5, 3, Drawing.Align.LEFT, true, text);
    }
}
