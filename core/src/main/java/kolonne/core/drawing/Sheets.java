package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Scheduled;
import kolonne.core.work.Progress;

/** Plans with marks and details packed on sheets, row by row in the order of the schedules; a detail that is larger than the paper asked for gets the next larger one, and one that
 * is larger than any is made smaller. */
public final class Sheets {
    /** What is asked for among the marks to have the plans. */
    public static final String PLANS = "plans";

    private static final double BETWEEN = 6;
    /** Height of a note above a detail [mm]. */
    private static final double NOTE = 8;

    private final BuildingDesign design;
    private final ProjectData project;
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
            if (wide > paper.room() || top - high < Paper.MARGIN + Paper.TITLE + Paper.READING + 2) {
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

    private Sheets(BuildingDesign design, ProjectData project, Paper paper) {
        this.design = design;
        this.project = project;
        this.paper = paper;
    }

    /**
     * The details of a building.
     *
     * @param project what the title blocks tell
     * @param marks   of the lines, stacks or types to draw, {@link #PLANS} for the plans; all where empty
     * @throws java.util.NoSuchElementException naming the marks that mean nothing
     */
    public static List<Sheet> of(
            BuildingDesign d, ProjectData project, Set<String> marks, Paper paper, Progress progress) {
        Scheduled all = scheduled(d, marks);
        Sheets s = new Sheets(d, project, paper);
        if (marks.isEmpty() || marks.contains(PLANS)) {
            KeyPlans.of(d, paper, progress).forEach((title, plan) -> s.add(title, List.of(plan)));
        }
        int total = all.beams().size() + all.columns().size();
        int done = 0;
        for (ScheduleGroups.Group<BeamDesign> g : all.beams()) {
            progress.at("drawing beams", done++, total);
            s.add(g.mark(), BeamDetail.of(g, g.first().basis(), paper.room()));
        }
        for (ScheduleGroups.Group<ColumnDesign> g : all.columns()) {
            progress.at("drawing columns", done++, total);
            s.add(g.mark(), List.of(ColumnDetail.of(g, g.first().basis(), paper.up())));
        }
        return s.finished();
    }

    /** A sheet with nothing but its title block, to be looked at while that is filled in. */
    public static Sheet blank(BuildingDesign d, ProjectData project, Paper paper) {
        Sheets s = new Sheets(d, project, paper);
        Placing p = new Placing(paper);
        p.marks.addAll(d.beams().stream().limit(1).map(b -> b.line().mark()).toList());
        p.marks.addAll(d.columns().stream().limit(1).map(c -> c.stack().mark()).toList());
        s.sheets.add(p);
        return s.finished().get(0);
    }

    /** The groups that are drawn; none for the plans alone. */
    public static Scheduled scheduled(BuildingDesign d, Set<String> marks) {
        Set<String> others = new HashSet<>(marks);
        boolean plans = others.remove(PLANS);
        return plans && others.isEmpty() ? new Scheduled(d, List.of(), List.of(), false) : Scheduled.of(d, others);
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
            TitleBlock.Box logo = frame(pen, s, i + 1);
            Drawing all = pen.drawing();
            for (Drawing p : s.parts) {
                all = all.and(p);
            }
            out.add(new Sheet(
                    i + 1,
                    s.paper,
                    List.copyOf(s.marks),
                    all,
                    Optional.ofNullable(logo).map(box -> Sheet.Picture.within(project.logo(), box))));
        }
        return out;
    }

    /** The frame, at its foot the title block and above it how the sheet is read. @return where the logo goes, or null */
    private TitleBlock.Box frame(Drawing.Pen pen, Placing s, int number) {
        double r = s.paper.width() - Paper.MARGIN;
        pen.rectangle(Layer.FRAME, Paper.LEFT, Paper.MARGIN, r, s.paper.height() - Paper.MARGIN);
        pen.text(
                Paper.LEFT + 2,
                Paper.MARGIN + Paper.TITLE + 1.6,
                1.8,
                Drawing.Align.LEFT,
                "Lengths in " + (design.basis().usUnits() ? "in" : "mm")
                        + ". Bars: mark, number, size, cut length; at straight ends the distance to the nearest face.");
        List<String> marks = List.copyOf(s.marks);
        return TitleBlock.draw(
                pen,
                s.paper,
                project,
                design.analysis().index().building().name(),
                marks.isEmpty() ? "" : marks.get(0) + (marks.size() > 1 ? " to " + marks.get(marks.size() - 1) : ""),
                design.basis().entry().name(),
                number + " of " + sheets.size());
    }
}
