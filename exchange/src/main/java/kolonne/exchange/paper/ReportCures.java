package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import kolonne.core.advice.ColumnAdvice;
import kolonne.core.advice.SectionAdvice;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;
import kolonne.core.explain.Quantity;

/** What would mend the beam lines and columns that fail: other sections, each designed anew with the forces as they are. */
final class ReportCures {
    /** Lines and lifts that are tried at most: each is designed some ten times. */
    private static final int MOST = 60;
    /** Lines between two looks at whether anybody still waits. */
    private static final int AT_ONCE = 8;

    private ReportCures() {}

    static void write(BuildingDesign d, PdfPaper paper) throws IOException {
        List<Failing> failing = failing(d);
        if (failing.isEmpty()) {
            return;
        }
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        List<Failing> told = failing.subList(0, Math.min(MOST, failing.size()));
        for (int from = 0; from < told.size(); from += AT_ONCE) {
            paper.doing("cures of " + told.get(from).mark, 0, 0);
            rows.addAll(told.subList(from, Math.min(from + AT_ONCE, told.size())).parallelStream()
                    .map(f -> List.of(new PdfPaper.Cell(f.mark, true, -1), PdfPaper.Cell.of(f.cure.get())))
                    .toList());
        }
        paper.section("What would mend them", 2, 12);
        paper.paragraph(
                "Of a beam line the least other section, by concrete and formwork, that satisfies with a strength used as far as "
                        + "the basis wishes, else the least that satisfies; where its spans differ the least that is only deeper, for "
                        + "the spans of one section. Of a column the least whose sides all grow by the same, for the "
                        + "lifts of that section and those that must follow. Each is designed anew with the forces as they are; taking "
                        + "it means another analysis, since stiffness and weight change."
                        + (failing.size() > MOST ? " The first " + MOST + " of " + failing.size() + "." : ""));
        paper.table(
                List.of(new PdfPaper.Column("mark", 62, false), new PdfPaper.Column("section", 449, false)),
                rows,
                7.5f);
    }

    /** What fails, and how its cure is found. */
    private record Failing(String mark, Supplier<String> cure) {}

    private static List<Failing> failing(BuildingDesign d) {
        List<Failing> out = new ArrayList<>();
        d.beams().stream()
                .filter(b -> !b.satisfied())
                .forEach(b -> out.add(new Failing(b.line().mark(), () -> cure(d, b))));
        for (ColumnDesign c : d.columns()) {
            boolean below = false;
            for (int i = 0; i < c.lifts().size(); i++) {
                boolean fails = c.lifts().get(i).checks().stream().anyMatch(k -> !k.satisfied());
                // lifts of one section in a row are mended together
                boolean first = !below || !c.stack().alike(i - 1, i);
                int lift = i;
                if (fails && first) {
                    out.add(new Failing(c.stack().mark(), () -> cure(d, c, lift)));
                }
                below = fails;
            }
        }
        return out;
    }

    private static String cure(BuildingDesign d, ColumnDesign c, int lift) {
        boolean us = d.basis().usUnits();
        String where = "Lift to " + name(c, lift) + ", "
                + c.stack().lifts().get(lift).section().shape().label(us) + ": ";
        Optional<ColumnAdvice.Tried> t =
                ColumnAdvice.least(c, lift, d.contexts().of(c.stack()));
        if (t.isEmpty()) {
            return where + "not tried, since the limits of the basis leave no larger section.";
        }
        SectionAdvice.Option o = t.get().option();
        if (!o.satisfied()) {
            return where + "none up to " + o.shape().label(us) + " satisfies.";
        }
        List<Integer> lifts = t.get().lifts();
        return where + words(o, us) + ", taken by "
                + (lifts.size() == 1
                        ? "this lift"
                        : "the lifts to " + name(c, lifts.get(0)) + " to " + name(c, lifts.get(lifts.size() - 1)))
                + ".";
    }

    private static String name(ColumnDesign c, int lift) {
        String storey = c.stack().lifts().get(lift).storey();
        return storey.isEmpty() ? "top" : storey;
    }

    private static String cure(BuildingDesign d, BeamDesign b) {
        return SectionAdvice.inVain(b).orElseGet(() -> sized(d, b));
    }

    private static String sized(BuildingDesign d, BeamDesign b) {
        return SectionAdvice.taking(b).size() == b.line().spans().size() ? whole(d, b) : some(d, b);
    }

    private static String whole(BuildingDesign d, BeamDesign b) {
        List<SectionAdvice.Option> tried = SectionAdvice.upwards(
                b, d.contexts().of(b.line()), d.analysis().given().building().sections());
        if (tried.isEmpty()) {
            return "Not tried: the limits of the basis leave no section that could mend it.";
        }
        SectionAdvice.Option last = tried.get(tried.size() - 1);
        Optional<SectionAdvice.Option> least =
                tried.stream().filter(SectionAdvice.Option::satisfied).findFirst();
        Optional<SectionAdvice.Option> best = last.inBand() ? Optional.of(last) : least;
        return best.map(o -> words(o, d.basis().usUnits()) + ".")
                .orElse("None up to " + last.shape().label(d.basis().usUnits()) + " satisfies.");
    }

    /** Of spans that differ those of one section become deeper. */
    private static String some(BuildingDesign d, BeamDesign b) {
        boolean us = d.basis().usUnits();
        Optional<SectionAdvice.Deeper> found =
                SectionAdvice.deeper(b, d.contexts().of(b.line()));
        if (found.isEmpty()) {
            return "Not tried: the limits of the basis leave no deeper section.";
        }
        SectionAdvice.Option o = found.get().option();
        String was = found.get().was().label(us) + " in " + found.get().spans() + " of "
                + b.line().spans().size() + " spans: ";
        return was + (o.satisfied() ? words(o, us) : "none down to " + o.shape().label(us) + " satisfies") + ".";
    }

    private static String words(SectionAdvice.Option o, boolean us) {
        return String.format(
                Locale.ROOT,
                "%s satisfies, strength used %.2f, steel %.0f %s%s",
                o.shape().label(us),
                o.strength(),
                Quantity.MASS.display(o.steel(), us),
                Quantity.MASS.unit(us),
                o.section().isEmpty() ? "" : "; it is in the model");
    }
}
