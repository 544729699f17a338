package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Shade;
import kolonne.core.design.BuildingDesign;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.project.ProjectData;
import kolonne.core.work.Progress;

/** The utilisation report: contents, summary, plans, what fails, every member's governing checks, what it stands on, calculation sheets of chosen members. */
public final class UtilisationReport {
    /** Members from which on a note is printed once for all of them. */
    private static final int SHARED = 3;
    /** Parts before the calculations. */
    private static final int PARTS = 3;

    private final Map<String, Set<String>> shared = new LinkedHashMap<>();
    private final BuildingDesign d;
    private final boolean us;
    private final PdfPaper paper;
    private final Map<String, String> types;

    private UtilisationReport(BuildingDesign d, PdfPaper paper) {
        this.d = d;
        this.us = d.basis().usUnits();
        this.paper = paper;
        this.types = d.typeMarks();
    }

    /** @param sheets marks of the lines and stacks whose calculations are printed */
    public static void write(
            BuildingDesign d, ProjectData project, Collection<String> sheets, Progress progress, OutputStream out)
            throws IOException {
        String name = project.title(d.analysis().index().building().name());
        try (PdfPaper paper = new PdfPaper(name + " · utilisation report", project, false, progress)) {
            UtilisationReport r = new UtilisationReport(d, paper);
            r.project(name, project);
            paper.about(
                    "Utilisation of every beam and column to "
                            + d.basis().designCode().name(),
                    project.text(ProjectData.Field.DESIGNER));
            paper.doing("summary and plans", 0, PARTS + sheets.size());
            r.summary();
            new StoreyPlans(d, paper).write();
            r.failing();
            ReportCures.write(d, paper);
            paper.doing("every member", 1, PARTS + sheets.size());
            r.members();
            paper.doing("what it stands on", 2, PARTS + sheets.size());
            new ReportGround(d, paper).write();
            new CalculationSheets(d, paper).write(sheets, PARTS);
            paper.contents();
            paper.save(out);
        }
    }

    /** What is told of the project, and its revisions. */
    private void project(String name, ProjectData project) throws IOException {
        Basis b = d.basis();
        if (project.logo() != null) {
            paper.picture(project.logo(), 110, 46);
        }
        paper.heading(name, 18);
        paper.paragraph(
                "Utilisation report to " + b.designCode().name() + ", basis “" + b.name() + "”.", 10, PdfPaper.SOFT);
        List<List<PdfPaper.Cell>> facts = new ArrayList<>();
        for (ProjectData.Field f : ProjectData.Field.values()) {
            if (f != ProjectData.Field.TITLE
                    && f != ProjectData.Field.PAPER
                    && !project.text(f).isEmpty()) {
                facts.add(List.of(
                        PdfPaper.Cell.of(f.words()),
                        PdfPaper.Cell.of(project.text(f).replace('\n', ' '))));
            }
        }
        if (!facts.isEmpty()) {
            paper.table(
                    List.of(new PdfPaper.Column("project", 90, false), new PdfPaper.Column("", 420, false)), facts, 9);
        }
        if (!project.revisions().isEmpty()) {
            paper.table(
                    List.of(
                            new PdfPaper.Column("revision", 90, false),
                            new PdfPaper.Column("date", 80, false),
                            new PdfPaper.Column("what was revised", 280, false),
                            new PdfPaper.Column("by", 60, false)),
                    project.revisions().stream()
                            .map(r -> List.of(
                                    PdfPaper.Cell.of(r.index()),
                                    PdfPaper.Cell.of(r.date()),
                                    PdfPaper.Cell.of(r.what()),
                                    PdfPaper.Cell.of(r.by())))
                            .toList(),
                    9);
        }
    }

    private void summary() throws IOException {
        BuildingDesign.State s = d.state();
        Basis b = d.basis();
        paper.section("Summary", 1, 12);
        paper.paragraph(String.format(
                Locale.ROOT,
                "%d members in %d beam lines and column stacks: %d satisfied, %d overstressed, %d failing, %d with notes.",
                d.analysis().index().building().members().size(),
                s.members(),
                s.satisfied(),
                s.overstressed(),
                s.failing(),
                s.withNotes()));
        paper.paragraph("In all: " + d.quantities().words(us) + ".");
        paper.paragraph(String.format(
                Locale.ROOT,
                "fy %s, fyt %s, cover %s in beams and %s in columns, practical steel cap %.1f %%.",
                Quantity.STRENGTH.text(b.fy(), us),
                Quantity.STRENGTH.text(b.fyt(), us),
                Quantity.LENGTH.text(b.beamCover(), us),
                Quantity.LENGTH.text(b.columnCover(), us),
                100 * b.bars().practicalCap()));
        distribution();
        paper.heading("Causes", 12);
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (Cause c : Cause.values()) {
            Integer n = d.causes().get(c.id());
            if (n != null) {
                rows.add(List.of(PdfPaper.Cell.of(c.words()), PdfPaper.Cell.of(Integer.toString(n))));
            }
        }
        if (rows.isEmpty()) {
            paper.paragraph("Nothing fails.");
        } else {
            paper.table(
                    List.of(
                            new PdfPaper.Column("cause", 260, false),
                            new PdfPaper.Column("lines and stacks", 90, true)),
                    rows,
                    9);
        }
    }

    /** How many beam lines and column lifts use how much of their strength. */
    private void distribution() throws IOException {
        int[] count = new int[StoreyPlans.STEPS.length + 1];
        d.beams().forEach(b -> count[step(b.checks())]++);
        d.columns().forEach(c -> c.lifts().forEach(l -> count[step(l.checks())]++));
        int most = Arrays.stream(count).max().orElse(1);
        paper.heading("Strength in use, beam lines and column lifts", 12);
        float[] box = paper.room(74);
        StringBuilder words = new StringBuilder("Numbers of beam lines and column lifts by strength in use:");
        for (int i = 0; i < count.length; i++) {
            words.append(i == 0 ? " " : ", ")
                    .append(step(i, count.length))
                    .append(" ")
                    .append(count[i]);
        }
        paper.figure(words.toString(), () -> distribution(count, most, box));
    }

    /** A step of the distribution in words. */
    private static String step(int i, int steps) {
        return i == steps - 1
                ? "fail"
                : i == 0
                        ? String.format(Locale.ROOT, "to %.2f", StoreyPlans.STEPS[0])
                        : String.format(Locale.ROOT, "%.2f to %.2f", StoreyPlans.STEPS[i - 1], StoreyPlans.STEPS[i]);
    }

    private void distribution(int[] count, int most, float[] box) throws IOException {
        float wide = box[2] / count.length;
        paper.rule(box[0], box[1] + 12, box[0] + box[2], box[1] + 12);
        for (int i = 0; i < count.length; i++) {
            float x = box[0] + i * wide;
            float high = 46f * count[i] / Math.max(1, most);
            boolean over = i == count.length - 1;
            if (count[i] > 0) {
                paper.area(
                        new float[] {
                            x + 8,
                            box[1] + 12,
                            x + wide - 8,
                            box[1] + 12,
                            x + wide - 8,
                            box[1] + 12 + high,
                            x + 8,
                            box[1] + 12 + high
                        },
                        StoreyPlans.SHADES[Math.min(i, StoreyPlans.SHADES.length - 1)],
                        over);
            }
            paper.label(x + wide / 2, box[1] + 15 + high, 8, true, PdfPaper.INK, false, Integer.toString(count[i]));
            paper.label(x + wide / 2, box[1] + 2, 8, false, PdfPaper.SOFT, false, step(i, count.length));
        }
    }

    private static int step(List<CheckResult> checks) {
        if (checks.stream().anyMatch(c -> !c.satisfied())) {
            return StoreyPlans.STEPS.length;
        }
        double u = Shade.STRENGTH.of(checks);
        int i = 0;
        while (i < StoreyPlans.STEPS.length - 1 && u > StoreyPlans.STEPS[i]) {
            i++;
        }
        return i;
    }

    /** Every unmet requirement, the worst first. */
    private void failing() throws IOException {
        record Unmet(String mark, CheckResult check) {}
        List<Unmet> all = new ArrayList<>();
        d.beams()
                .forEach(b -> b.checks().stream()
                        .filter(c -> !c.satisfied())
                        .forEach(c -> all.add(new Unmet(b.line().mark(), c))));
        d.columns()
                .forEach(k -> k.lifts()
                        .forEach(l -> l.checks().stream()
                                .filter(c -> !c.satisfied())
                                .forEach(c -> all.add(new Unmet(
                                        k.stack().mark() + " to " + l.lift().storey(), c)))));
        if (all.isEmpty()) {
            return;
        }
        all.sort(
                Comparator.comparingDouble((Unmet u) -> u.check().utilisation()).reversed());
        paper.newPage();
        paper.section("What fails", 1, 14);
        paper.table(
                List.of(
                        new PdfPaper.Column("mark", 62, false),
                        new PdfPaper.Column("cause", 82, false),
                        new PdfPaper.Column("check", 110, false),
                        new PdfPaper.Column("place", 84, false),
                        new PdfPaper.Column("combination", 84, false),
                        new PdfPaper.Column("clause", 54, false),
                        new PdfPaper.Column("util.", 35, true)),
                all.stream()
                        .map(u -> List.of(
                                new PdfPaper.Cell(u.mark(), true, -1),
                                PdfPaper.Cell.of(u.check().cause().words()),
                                PdfPaper.Cell.of(u.check().title()),
                                PdfPaper.Cell.of(u.check().place()),
                                PdfPaper.Cell.of(u.check().combination()),
                                PdfPaper.Cell.of(u.check().clause().text()),
                                new PdfPaper.Cell(
                                        String.format(
                                                Locale.ROOT, "%.2f", u.check().utilisation()),
                                        true,
                                        -1)))
                        .toList(),
                7.5f);
    }

    private void members() throws IOException {
        List<PdfPaper.Column> columns = List.of(
                new PdfPaper.Column(types.isEmpty() ? "mark" : "mark · type", 62, false),
                new PdfPaper.Column("storey", 46, false),
                new PdfPaper.Column("section", 96, false),
                new PdfPaper.Column("governing check", 128, false),
                new PdfPaper.Column("combination", 92, false),
                new PdfPaper.Column("", 52, false),
                new PdfPaper.Column("util.", 35, true));
        shareNotes();
        paper.newPage();
        paper.section("Beam lines", 1, 14);
        List<List<PdfPaper.Cell>> beams = new ArrayList<>();
        d.beams()
                .forEach(b -> row(
                        marked(b.line().mark(), b.line().id()),
                        b.line().storey(),
                        b.line()
                                .spans()
                                .get(b.governing().part())
                                .section()
                                .shape()
                                .label(us),
                        b.governing(),
                        b.findings(),
                        beams));
        paper.table(columns, beams, 7.5f);
        paper.section("Column lifts", 1, 14);
        List<List<PdfPaper.Cell>> lifts = new ArrayList<>();
        d.columns()
                .forEach(c -> c.lifts()
                        .forEach(l -> row(
                                marked(c.stack().mark(), c.stack().id()),
                                l.lift().storey(),
                                l.lift().section().shape().whole(us),
                                l.governingCheck(),
                                l.findings(),
                                lifts)));
        paper.table(columns, lifts, 7.5f);
        sharedNotes();
    }

    /** A mark with that of the type whose cage it has. */
    private String marked(String mark, String id) {
        return types.containsKey(id) ? mark + " · " + types.get(id) : mark;
    }

    /** A note without its place: many members may have the same. */
    private static String key(Finding f) {
        return f.what() + "\n" + f.mend() + "\n" + f.clause();
    }

    /** Finds the notes that several members share; they are printed once, with their marks. */
    private void shareNotes() {
        Map<String, Set<String>> marks = new LinkedHashMap<>();
        d.beams().forEach(b -> collect(b.line().mark(), b.findings(), marks));
        d.columns()
                .forEach(c -> c.lifts()
                        .forEach(l ->
                                collect(c.stack().mark() + " to " + l.lift().storey(), l.findings(), marks)));
        marks.forEach((k, m) -> {
            if (m.size() >= SHARED) {
                shared.put(k, m);
            }
        });
    }

    private static void collect(String mark, List<Finding> findings, Map<String, Set<String>> marks) {
        findings.stream()
                .filter(f -> f.severity() == Severity.NOTE)
                .forEach(f -> marks.computeIfAbsent(key(f), k -> new LinkedHashSet<>())
                        .add(mark));
    }

    private void sharedNotes() throws IOException {
        if (shared.isEmpty()) {
            return;
        }
        paper.section("Notes that several share", 1, 14);
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        shared.forEach((k, marks) -> {
            String[] part = k.split("\n", -1);
            rows.add(List.of(
                    PdfPaper.Cell.of(part[0] + " " + part[1]),
                    PdfPaper.Cell.of(part[2]),
                    PdfPaper.Cell.of(marks.size() + ": " + String.join(", ", marks))));
        });
        paper.table(
                List.of(
                        new PdfPaper.Column("note", 230, false),
                        new PdfPaper.Column("clause", 60, false),
                        new PdfPaper.Column("where", 221, false)),
                rows,
                7.5f);
    }

    private void row(
            String mark,
            String storey,
            String section,
            CheckResult c,
            List<Finding> findings,
            List<List<PdfPaper.Cell>> out) {
        boolean over = !c.satisfied();
        String check = c.title() + (c.place().equals("whole lift") ? "" : ", " + c.place());
        out.add(List.of(
                new PdfPaper.Cell(mark, over, -1),
                PdfPaper.Cell.of(storey),
                PdfPaper.Cell.of(section),
                PdfPaper.Cell.of(check),
                PdfPaper.Cell.of(c.combination()),
                new PdfPaper.Cell("", over, c.utilisation()),
                new PdfPaper.Cell(String.format(Locale.ROOT, "%.2f", c.utilisation()), over, -1)));
        for (Finding f : findings) {
            if (f.severity() != Severity.INFO && !shared.containsKey(key(f))) {
                out.add(List.of(
                        PdfPaper.Cell.of(""),
                        new PdfPaper.Cell(f.severity().word(), f.severity() == Severity.FAILS, -1),
                        PdfPaper.Cell.of(f.clause()),
                        PdfPaper.Cell.of(f.what()),
                        PdfPaper.Cell.of(f.mend()),
                        PdfPaper.Cell.of(""),
                        PdfPaper.Cell.of("")));
            }
        }
    }
}
