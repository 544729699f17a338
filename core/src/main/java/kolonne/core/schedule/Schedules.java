package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.detail.BarItem;

/** Rows of the schedules of a designed building. Lengths in mm, mass in kg; texts are ready to print. */
public final class Schedules {
    private Schedules() {}

    /** A span of a beam line. @param satisfied whether the line satisfies everything */
    public record BeamRow(
            String mark,
            String storey,
            int span,
            String section,
            double clear,
            String topLeft,
            String topMiddle,
            String topRight,
            String bottom,
            String stirrups,
            String sideBars,
            boolean satisfied) {}

    /** A lift of a column stack. */
    public record ColumnRow(
            String mark,
            String storey,
            String section,
            double fc,
            String bars,
            double ratio,
            String ties,
            double utilisation,
            boolean satisfied) {}

    /** A line of the bar list. @param barMark unique within the member */
    public record BarRow(String member, String barMark, BarItem item) {}

    /** Total of a bar size. @param mass [kg]; @param length [mm] */
    public record SizeTotal(String label, double length, double mass) {}

    public static List<BeamRow> beams(BuildingDesign d) {
        List<BeamRow> out = new ArrayList<>();
        for (BeamDesign b : d.beams()) {
            for (BeamLine.Span s : b.line().spans()) {
                out.add(beam(b, s, d.basis()));
            }
        }
        return out;
    }

    private static BeamRow beam(BeamDesign b, BeamLine.Span s, Basis basis) {
        double[] at = b.line().cutPlaces(s);
        SectionCut left = SectionCut.at(b.line(), b.cage(), basis, s, at[0]);
        SectionCut middle = SectionCut.at(b.line(), b.cage(), basis, s, at[1]);
        SectionCut right = SectionCut.at(b.line(), b.cage(), basis, s, at[2]);
        String side = middle.sideBarsPerFace() == 0
                ? ""
                : "2 × " + middle.sideBarsPerFace() + middle.sideBar().label();
        return new BeamRow(
                b.line().mark(),
                b.line().storey(),
                s.number() + 1,
                s.section().shape().label(basis.usUnits()),
                s.clear(),
                left.words(BeamCage.Face.TOP),
                middle.words(BeamCage.Face.TOP),
                right.words(BeamCage.Face.TOP),
                middle.words(BeamCage.Face.BOTTOM),
                stirrups(b.cage(), s.number(), basis),
                side,
                b.satisfied());
    }

    /** Stirrups of a span in words, zone by zone: {@code 8 T10-100 | 14 T10-200 | 8 T10-100, 2 legs}. */
    public static String stirrups(BeamCage cage, int span, Basis basis) {
        List<String> parts = new ArrayList<>();
        int legs = 2;
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() == span) {
                legs = z.legs();
                parts.add(z.count() + " " + z.bar().label() + "-" + spacing(z.spacing(), basis));
            }
        }
        return String.join(" | ", parts) + ", " + legs + " legs";
    }

    /** A spacing as digits in the display unit. */
    public static String spacing(double mm, Basis basis) {
        return basis.usUnits()
                ? String.format(java.util.Locale.ROOT, "%.0f", mm / 25.4)
                : String.format(java.util.Locale.ROOT, "%.0f", mm);
    }

    public static List<ColumnRow> columns(BuildingDesign d) {
        List<ColumnRow> out = new ArrayList<>();
        for (ColumnDesign c : d.columns()) {
            for (ColumnDesign.LiftDesign l : c.lifts()) {
                ColumnStack.Lift lift = l.lift();
                out.add(new ColumnRow(
                        c.stack().mark(),
                        lift.storey(),
                        lift.section().shape().label(d.basis().usUnits()),
                        lift.material().fc(),
                        l.cage().layout().words(),
                        l.cage().area() / lift.section().shape().A(),
                        ties(l.cage(), d.basis()),
                        l.governingCheck().utilisation(),
                        l.findings().stream().noneMatch(f -> f.severity() == kolonne.core.finding.Severity.FAILS)));
            }
        }
        return out;
    }

    /** Ties in words, for instance {@code T10-200, 4 × 2 legs}. */
    public static String ties(ColumnCage.LiftCage c, Basis basis) {
        String s = c.tie().label() + "-" + spacing(c.spacing(), basis);
        return c.layout() instanceof RingBars
                ? s + " hoops"
                : s + ", " + c.layout().legsAlongX() + " × " + c.layout().legsAlongY() + " legs";
    }

    /** Every bar of the building, member by member. */
    public static List<BarRow> bars(BuildingDesign d) {
        List<BarRow> out = new ArrayList<>();
        for (BeamDesign b : d.beams()) {
            number(b.line().mark(), Quantities.bars(b, d.basis()), out);
        }
        for (ColumnDesign c : d.columns()) {
            List<BarItem> all = new ArrayList<>();
            for (int i = 0; i < c.lifts().size(); i++) {
                String storey = c.stack().lifts().get(i).storey();
                for (BarItem item : Quantities.bars(c, i, d.basis())) {
                    all.add(new BarItem(
                            item.what() + ", to " + (storey.isEmpty() ? "top" : storey),
                            item.shape(),
                            item.bar(),
                            item.number(),
                            item.dims(),
                            item.cutLength()));
                }
            }
            number(c.stack().mark(), all, out);
        }
        return out;
    }

    private static void number(String member, List<BarItem> items, List<BarRow> out) {
        for (int i = 0; i < items.size(); i++) {
            out.add(new BarRow(member, String.format(java.util.Locale.ROOT, "%02d", i + 1), items.get(i)));
        }
    }

    /** Length and mass by size, smallest first; bars set by hand from another catalogue count as well. */
    public static List<SizeTotal> totals(List<BarRow> rows) {
        Map<Bar, List<BarItem>> bySize =
                new TreeMap<>(Comparator.comparingDouble(Bar::diameter).thenComparing(Bar::label));
        rows.forEach(r ->
                bySize.computeIfAbsent(r.item().bar(), k -> new ArrayList<>()).add(r.item()));
        List<SizeTotal> out = new ArrayList<>();
        bySize.forEach((bar, of) -> out.add(new SizeTotal(
                bar.label(),
                of.stream().mapToDouble(i -> i.number() * i.cutLength()).sum(),
                of.stream().mapToDouble(BarItem::mass).sum())));
        return out;
    }
}
