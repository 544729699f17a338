package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import kolonne.core.advice.SectionAdvice;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.explain.Quantity;

/** What would mend the beam lines that fail: other sections, each designed anew with the forces as they are. */
final class ReportCures {
    /** Lines that are tried at most: each is designed some ten times. */
    private static final int MOST = 60;
    /** Lines between two looks at whether anybody still waits. */
    private static final int AT_ONCE = 8;

    private ReportCures() {}

    static void write(BuildingDesign d, PdfPaper paper) throws IOException {
        List<BeamDesign> failing =
                d.beams().stream().filter(b -> !b.satisfied()).toList();
        if (failing.isEmpty()) {
            return;
        }
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        List<BeamDesign> told = failing.subList(0, Math.min(MOST, failing.size()));
        for (int from = 0; from < told.size(); from += AT_ONCE) {
            paper.doing("cures of " + told.get(from).line().mark(), 0, 0);
            rows.addAll(told.subList(from, Math.min(from + AT_ONCE, told.size())).parallelStream()
                    .map(b -> List.of(new PdfPaper.Cell(b.line().mark(), true, -1), PdfPaper.Cell.of(cure(d, b))))
                    .toList());
        }
        paper.section("What would mend them", 2, 12);
        paper.paragraph(
                "The least section of the same line, by concrete and formwork, that satisfies with a strength used as far as "
                        + "the basis wishes, designed anew with the forces as they are; taking it means another analysis, since "
                        + "stiffness and weight change."
                        + (failing.size() > MOST ? " The first " + MOST + " of " + failing.size() + " lines." : ""));
        paper.table(
                List.of(new PdfPaper.Column("mark", 62, false), new PdfPaper.Column("section", 449, false)),
                rows,
                7.5f);
    }

    private static String cure(BuildingDesign d, BeamDesign b) {
        List<SectionAdvice.Option> tried = SectionAdvice.upwards(
                b, d.contexts().of(b.line()), d.analysis().index().building().sections());
        if (tried.isEmpty()) {
            return "Not tried: the spans have different sections, or the limits of the basis leave none.";
        }
        SectionAdvice.Option last = tried.get(tried.size() - 1);
        Optional<SectionAdvice.Option> least =
                tried.stream().filter(SectionAdvice.Option::satisfied).findFirst();
        Optional<SectionAdvice.Option> best = last.inBand() ? Optional.of(last) : least;
        return best.map(o -> String.format(
                        Locale.ROOT,
                        "%s satisfies, strength used %.2f, steel %.0f %s%s.",
                        o.shape().label(d.basis().usUnits()),
                        o.strength(),
                        Quantity.MASS.display(o.steel(), d.basis().usUnits()),
                        Quantity.MASS.unit(d.basis().usUnits()),
                        o.section().isEmpty() ? "" : "; it is in the model"))
                .orElse("None of the " + tried.size() + " sections tried within the limits of the basis satisfies.");
    }
}
