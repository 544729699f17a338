package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.design.BuildingDesign;
import kolonne.core.explain.Quantity;
import kolonne.core.schedule.Schedules;

/** The calculations of chosen lines and stacks: every check, diagrams of demand and capacity, the sections, and each step set as mathematics. */
final class CalculationSheets {
    /** More are told sheet by sheet, not step by step: the elements of thousands of sheets would not fit into memory. */
    private static final int TOLD_IN_FULL = 300;

    private final BuildingDesign d;
    private final boolean us;
    private final PdfPaper paper;
    private final Map<String, String> types;
    private final StepsOnPaper steps;
    private final CalculationPictures pictures;

    CalculationSheets(BuildingDesign d, PdfPaper paper) {
        this.d = d;
        this.us = d.basis().usUnits();
        this.paper = paper;
        this.types = d.typeMarks();
        this.steps = new StepsOnPaper(paper, us);
        this.pictures = new CalculationPictures(d, paper);
    }

    /** @param marks of lines and stacks; {@code before}: steps of the report that are done */
    void write(Collection<String> marks, int before) throws IOException {
        if (marks.isEmpty()) {
            return;
        }
        paper.newPage();
        paper.section("Calculations", 1, 14);
        paper.paragraph("Of " + String.join(", ", new TreeSet<>(marks)) + ".");
        int done = before;
        for (BeamDesign b : d.beams()) {
            if (marks.contains(b.line().mark())) {
                paper.doing("calculation of " + b.line().mark(), done++, before + marks.size());
                sheet("beam line " + b.line().mark(), marks.size(), () -> beam(b));
            }
        }
        for (ColumnDesign c : d.columns()) {
            if (marks.contains(c.stack().mark())) {
                paper.doing("calculation of " + c.stack().mark(), done++, before + marks.size());
                sheet("column stack " + c.stack().mark(), marks.size(), () -> column(c));
            }
        }
    }

    private void sheet(String of, int sheets, PdfTags.Ink ink) throws IOException {
        paper.newPage();
        if (sheets <= TOLD_IN_FULL) {
            ink.draw();
        } else {
            paper.figure("Calculation of " + of + ": every check and the steps that lead to it", ink);
        }
    }

    /** What beside the basis of the project a line or stack answers to, in words after the rest. */
    private String answersTo(String id, List<LocalSettings> local) {
        String type = types.containsKey(id) ? " · cage of type " + types.get(id) : "";
        return local.isEmpty()
                ? type
                : type + " · local settings “"
                        + local.stream().map(LocalSettings::name).collect(Collectors.joining("”, “")) + "”";
    }

    private void beam(BeamDesign b) throws IOException {
        BeamLine line = b.line();
        paper.section("Calculation: beam line " + line.mark(), 2, 14);
        int spans = line.spans().size();
        paper.paragraph(line.storey() + " · " + spans + (spans == 1 ? " span · " : " spans · ")
                + line.spans().get(0).section().shape().label(us)
                + answersTo(line.id(), d.contexts().local().holding(line)));
        TreeSet<Integer> stations = new TreeSet<>();
        b.checks().stream()
                .filter(c -> c.station() >= 0 && c.cause().isStrength())
                .forEach(c -> stations.add(c.station()));
        pictures.line(b, stations);
        checks(b.checks());
        for (int s : stations) {
            String at = Quantity.DISTANCE.text(line.stations().get(s).x(), us);
            paper.need(150);
            paper.heading("At " + at + " from the start of the line", 11);
            pictures.section(b, line.stations().get(s));
            steps.write(BeamCheck.explain(line, b.cage(), d.contexts().of(line), s));
        }
    }

    private void column(ColumnDesign c) throws IOException {
        paper.section("Calculation: column stack " + c.stack().mark(), 2, 14);
        paper.paragraph(c.lifts().size()
                + (c.lifts().size() == 1 ? " lift" : " lifts")
                + answersTo(c.stack().id(), d.contexts().local().holding(c.stack())));
        for (ColumnDesign.LiftDesign l : c.lifts()) {
            paper.need(190);
            paper.heading(
                    "Lift to " + l.lift().storey() + ": "
                            + l.lift().section().shape().whole(us) + ", "
                            + l.cage().layout().words() + ", " + Schedules.ties(l.cage(), d.basis()),
                    11);
            LiftDemands.Demand g = l.governing();
            if (g != null) {
                pictures.lift(c, l);
            }
            checks(l.checks());
            if (g != null) {
                steps.write(LiftCalculation.of(
                        c.stack(),
                        c.cage(),
                        l.lift().number(),
                        d.contexts().of(c.stack()),
                        g.combination(),
                        g.number()));
            }
        }
    }

    private void checks(List<CheckResult> checks) throws IOException {
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (CheckResult c : checks) {
            rows.add(List.of(
                    PdfPaper.Cell.of(c.title()),
                    PdfPaper.Cell.of(c.place()),
                    PdfPaper.Cell.of(c.quantity().text(c.demand(), us)),
                    PdfPaper.Cell.of(c.quantity().text(c.capacity(), us)),
                    new PdfPaper.Cell(String.format(Locale.ROOT, "%.2f", c.utilisation()), !c.satisfied(), -1),
                    PdfPaper.Cell.of(c.combination()),
                    PdfPaper.Cell.of(c.clause().text())));
        }
        paper.table(
                List.of(
                        new PdfPaper.Column("check", 130, false),
                        new PdfPaper.Column("place", 90, false),
                        new PdfPaper.Column("demand", 60, true),
                        new PdfPaper.Column("capacity", 60, true),
                        new PdfPaper.Column("util.", 36, true),
                        new PdfPaper.Column("combination", 82, false),
                        new PdfPaper.Column("clause", 53, false)),
                rows,
                7.5f);
    }
}
