package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kolonne.core.analysis.Analysis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Section;
import kolonne.exchange.edit.BasisWords;

/** What a report stands on: the basis in full, materials and sections, load cases with their sums, combinations, and what was said of the model. */
final class ReportGround {
    private final BuildingDesign d;
    private final Building building;
    private final boolean us;
    private final PdfPaper paper;

    ReportGround(BuildingDesign d, PdfPaper paper) {
        this.d = d;
        this.building = d.analysis().index().building();
        this.us = d.basis().usUnits();
        this.paper = paper;
    }

    void write() throws IOException {
        paper.newPage();
        paper.section("Basis of design", 1, 14);
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        BasisWords.all(d.basis()).forEach((name, value) -> rows.add(cells(name, value)));
        paper.table(List.of(new PdfPaper.Column("", 250, false), new PdfPaper.Column("value", 260, false)), rows, 8);
        materials();
        loads();
        combinations();
        findings();
    }

    private static List<PdfPaper.Cell> cells(String... texts) {
        return java.util.Arrays.stream(texts).map(PdfPaper.Cell::of).toList();
    }

    private void materials() throws IOException {
        paper.section("Concrete and sections", 1, 14);
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (Material m : building.materials()) {
            rows.add(cells(m.id(), Quantity.STRENGTH.text(m.fc(), us), Quantity.STRENGTH.text(m.E(), us)));
        }
        paper.table(
                List.of(
                        new PdfPaper.Column("concrete", 120, false),
                        new PdfPaper.Column("strength", 90, true),
                        new PdfPaper.Column("modulus of elasticity", 120, true)),
                rows,
                8);
        Map<String, Long> members = building.members().stream()
                .collect(Collectors.groupingBy(m -> m.section(), TreeMap::new, Collectors.counting()));
        List<List<PdfPaper.Cell>> sections = new ArrayList<>();
        for (Section s : building.sections()) {
            if (members.containsKey(s.id())) {
                sections.add(cells(s.id(), s.shape().whole(us), Long.toString(members.get(s.id()))));
            }
        }
        paper.table(
                List.of(
                        new PdfPaper.Column("section", 120, false),
                        new PdfPaper.Column("", 140, false),
                        new PdfPaper.Column("members", 60, true)),
                sections,
                8);
    }

    /** What is applied, and how well the reactions balance it. */
    private void loads() throws IOException {
        paper.section("Load cases", 1, 14);
        if (d.analysis().imported()) {
            paper.paragraph("The forces were solved elsewhere; their balance is not known here.");
        } else {
            paper.paragraph(
                    "Sums of what is applied. The residual is the largest imbalance of a joint over the largest load.");
        }
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (int i = 0; i < building.loadCases().size(); i++) {
            LoadCase c = building.loadCases().get(i);
            rows.add(cells(
                    c.name(),
                    c.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                    sum(i, 0),
                    sum(i, 1),
                    sum(i, 2),
                    d.analysis().imported()
                            ? ""
                            : String.format(Locale.ROOT, "%.0e", d.analysis().residual(i))));
        }
        paper.table(
                List.of(
                        new PdfPaper.Column("case", 170, false),
                        new PdfPaper.Column("kind", 70, false),
                        new PdfPaper.Column("ΣX", 72, true),
                        new PdfPaper.Column("ΣY", 72, true),
                        new PdfPaper.Column("ΣZ", 72, true),
                        new PdfPaper.Column("residual", 54, true)),
                rows,
                8);
    }

    private String sum(int loadCase, int direction) {
        Analysis a = d.analysis();
        return a.imported() ? "" : Quantity.FORCE.text(a.applied(loadCase, direction), us);
    }

    private void combinations() throws IOException {
        paper.section("Combinations", 1, 14);
        Map<String, String> names =
                building.loadCases().stream().collect(Collectors.toMap(LoadCase::id, LoadCase::name, (a, b) -> a));
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (Combination c : building.combinations()) {
            rows.add(cells(
                    c.name(),
                    c.purpose().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                    c.terms().stream()
                            .map(t -> number(t.factor()) + " " + names.getOrDefault(t.loadCase(), t.loadCase()))
                            .collect(Collectors.joining(" + "))
                            .replace("+ -", "− ")));
        }
        paper.table(
                List.of(
                        new PdfPaper.Column("combination", 130, false),
                        new PdfPaper.Column("for", 100, false),
                        new PdfPaper.Column("of", 280, false)),
                rows,
                7.5f);
    }

    private static String number(double f) {
        return new java.math.BigDecimal(f)
                .round(new java.math.MathContext(4))
                .stripTrailingZeros()
                .toPlainString();
    }

    private void findings() throws IOException {
        List<Finding> all = new ArrayList<>(d.findings());
        all.addAll(d.analysis().findings());
        if (all.isEmpty()) {
            return;
        }
        paper.section("Said of the model and the frame", 1, 14);
        paper.table(
                List.of(
                        new PdfPaper.Column("", 40, false),
                        new PdfPaper.Column("where", 80, false),
                        new PdfPaper.Column("what", 220, false),
                        new PdfPaper.Column("what mends it", 170, false)),
                all.stream()
                        .map(f -> cells(f.severity().word(), f.where(), f.what(), f.mend()))
                        .toList(),
                7.5f);
    }
}
