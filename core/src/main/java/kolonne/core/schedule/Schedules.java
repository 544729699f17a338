package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.LinkedHashMap;
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
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.TypeFacts;
import kolonne.core.detail.BarItem;
import kolonne.core.finding.Severity;

/** Rows of the schedules of a designed building. Lengths in mm, mass in kg; texts are ready to print. */
public final class Schedules {
    private Schedules() {}

    /**
     * A span of a beam line or of a type.
     *
     * @param mark      of the line; of the type, with the letters of its groups where others differ in more than lengths
     * @param members   how many lines it stands for
     * @param clearMost of their clear spans the longest, {@code clear} is the shortest [mm]
     * @param satisfied whether all of them satisfy everything
     */
    public record BeamRow(
            String mark,
            String storey,
            int members,
            int span,
            String section,
            double clear,
            double clearMost,
            String topLeft,
            String topMiddle,
            String topRight,
            String bottom,
            String stirrups,
            String sideBars,
            boolean satisfied) {}

    /** A lift of a column stack or of a type. @param members how many stacks it stands for; @param utilisation the largest of them */
    public record ColumnRow(
            String mark,
            int members,
            String storey,
            String section,
            double fc,
            String bars,
            double ratio,
            String ties,
            double utilisation,
            boolean satisfied) {}

    /**
     * Stacks or groups of a type that are scheduled in the same words.
     *
     * @param mark    of the stack or type, with the letters of its groups where others differ in more than lengths
     * @param members marks of the stacks
     * @param designs of them, in the same order
     */
    public record ColumnEntry(String mark, List<String> members, List<ColumnDesign> designs) {
        public ColumnEntry {
            members = List.copyOf(members);
            designs = List.copyOf(designs);
        }

        public ColumnDesign first() {
            return designs.get(0);
        }

        /** Whether something of a lift fails in any of them. */
        public boolean fails(ColumnStack.Lift lift) {
            return designs.stream()
                    .flatMap(c -> c.lifts().get(lift.number()).findings().stream())
                    .anyMatch(f -> f.severity() == Severity.FAILS);
        }
    }

    /** Lines or groups of a type that are scheduled in the same words, and the first of them. */
    public record BeamEntry(BeamDesign first, List<BeamRow> spans) {}

    /**
     * A line of the bar list.
     *
     * @param member  its mark, or that of a type
     * @param groups  of the type that have the bars, as letters; nothing where all have them
     * @param barMark unique within the member or type, where the same bars may be there in several numbers
     * @param members how many have these bars each
     */
    public record BarRow(String member, String groups, String barMark, BarItem item, int members) {}

    /** Total of a bar size. @param mass [kg]; @param length [mm] */
    public record SizeTotal(String label, double length, double mass) {}

    public static List<BeamRow> beams(Scheduled s) {
        return beamEntries(s).stream().flatMap(e -> e.spans().stream()).toList();
    }

    /** Groups of a type that differ in nothing but lengths are one. */
    public static List<BeamEntry> beamEntries(Scheduled s) {
        TypeFacts facts = new TypeFacts(s.design());
        List<BeamEntry> out = new ArrayList<>();
        for (List<ScheduleGroups.Group<BeamDesign>> type : byName(s.beams())) {
            Map<List<BeamRow>, List<ScheduleGroups.Group<BeamDesign>>> alike = new LinkedHashMap<>();
            type.forEach(
                    g -> alike.computeIfAbsent(words(g), k -> new ArrayList<>()).add(g));
            alike.values().forEach(groups -> out.add(entry(groups, facts)));
        }
        return out;
    }

    /** Groups of one name after another. */
    private static <D> List<List<ScheduleGroups.Group<D>>> byName(List<ScheduleGroups.Group<D>> all) {
        Map<List<Object>, List<ScheduleGroups.Group<D>>> out = new LinkedHashMap<>();
        all.forEach(g -> out.computeIfAbsent(List.of(g.type(), g.name()), k -> new ArrayList<>())
                .add(g));
        return List.copyOf(out.values());
    }

    /** What is said of the spans beside their lengths, and the members that they stand for. */
    private static List<BeamRow> words(ScheduleGroups.Group<BeamDesign> g) {
        return g.first().line().spans().stream()
                .map(span -> beam(g.first(), span, "", "", 0, 0, 0, true))
                .toList();
    }

    private static BeamEntry entry(List<ScheduleGroups.Group<BeamDesign>> groups, TypeFacts facts) {
        List<BeamDesign> designs =
                groups.stream().flatMap(g -> g.designs().stream()).toList();
        BeamDesign first = designs.get(0);
        String mark = groups.get(0).name() + ScheduleGroups.letters(groups);
        String storeys = groups.size() == 1
                ? groups.get(0).storeys()
                : facts.storeyWords(designs.stream().map(d -> d.line().id()).toList(), " to ");
        boolean satisfied = designs.stream().allMatch(BeamDesign::satisfied);
        List<BeamRow> spans = new ArrayList<>();
        for (BeamLine.Span s : first.line().spans()) {
            DoubleSummaryStatistics clear = designs.stream()
                    .mapToDouble(d -> d.line().spans().get(s.number()).clear())
                    .summaryStatistics();
            spans.add(beam(first, s, mark, storeys, designs.size(), clear.getMin(), clear.getMax(), satisfied));
        }
        return new BeamEntry(first, spans);
    }

    private static BeamRow beam(
            BeamDesign b,
            BeamLine.Span s,
            String mark,
            String storeys,
            int members,
            double clear,
            double clearMost,
            boolean satisfied) {
        Basis basis = b.basis();
        double[] at = b.line().cutPlaces(s);
        SectionCut left = SectionCut.at(b.line(), b.cage(), basis, s, at[0]);
        SectionCut middle = SectionCut.at(b.line(), b.cage(), basis, s, at[1]);
        SectionCut right = SectionCut.at(b.line(), b.cage(), basis, s, at[2]);
        String side = middle.sideBarsPerFace() == 0
                ? ""
                : "2 × " + middle.sideBarsPerFace() + middle.sideBar().label();
        return new BeamRow(
                mark,
                storeys,
                members,
                s.number() + 1,
                s.section().shape().label(basis.usUnits()),
                clear,
                clearMost,
                left.words(BeamCage.Face.TOP),
                middle.words(BeamCage.Face.TOP),
                right.words(BeamCage.Face.TOP),
                middle.words(BeamCage.Face.BOTTOM),
                stirrups(b.cage(), s.number(), basis),
                side,
                satisfied);
    }

    /** Stirrups of a span in words, zone by zone: {@code 8 T10-100 | 14 T10-200 | 8 T10-100, 2 legs}. */
    public static String stirrups(BeamCage cage, int span, Basis basis) {
        List<String> parts = new ArrayList<>();
        int legs = 2;
        for (BeamCage.Zone z : cage.zones()) {
            if (z.span() == span) {
                legs = z.legs();
                parts.add(cage.count(z) + " " + z.bar().label() + "-" + spacing(z.spacing(), basis));
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

    public static List<ColumnRow> columns(Scheduled s) {
        List<ColumnRow> out = new ArrayList<>();
        for (ColumnEntry e : columnEntries(s)) {
            e.first().lifts().forEach(l -> out.add(column(e, l)));
        }
        return out;
    }

    /** Groups of a type that differ in nothing but lengths are one. */
    public static List<ColumnEntry> columnEntries(Scheduled s) {
        List<ColumnEntry> out = new ArrayList<>();
        for (List<ScheduleGroups.Group<ColumnDesign>> type : byName(s.columns())) {
            Map<List<ColumnRow>, List<ScheduleGroups.Group<ColumnDesign>>> alike = new LinkedHashMap<>();
            type.forEach(
                    g -> alike.computeIfAbsent(lifts(g), k -> new ArrayList<>()).add(g));
            alike.values().forEach(groups -> out.add(entry(groups)));
        }
        return out;
    }

    /** What is said of the lifts, and not how much each of its stacks uses them. */
    private static List<ColumnRow> lifts(ScheduleGroups.Group<ColumnDesign> g) {
        Basis basis = g.first().basis();
        return g.first().lifts().stream()
                .map(l -> row("", 0, l, basis, 0, true))
                .toList();
    }

    private static ColumnEntry entry(List<ScheduleGroups.Group<ColumnDesign>> groups) {
        return new ColumnEntry(
                groups.get(0).name() + ScheduleGroups.letters(groups),
                groups.stream().flatMap(g -> g.members().stream()).toList(),
                groups.stream().flatMap(g -> g.designs().stream()).toList());
    }

    private static ColumnRow column(ColumnEntry e, ColumnDesign.LiftDesign l) {
        List<ColumnDesign.LiftDesign> alike =
                e.designs().stream().map(c -> c.lifts().get(l.lift().number())).toList();
        double most = alike.stream()
                .mapToDouble(x -> x.governingCheck().utilisation())
                .max()
                .orElseThrow();
        return row(e.mark(), e.members().size(), l, e.first().basis(), most, !e.fails(l.lift()));
    }

    private static ColumnRow row(
            String mark, int members, ColumnDesign.LiftDesign l, Basis basis, double utilisation, boolean satisfied) {
        ColumnStack.Lift lift = l.lift();
        return new ColumnRow(
                mark,
                members,
                lift.storey(),
                lift.section().shape().label(basis.usUnits()),
                lift.material().fc(),
                l.cage().layout().words(),
                l.cage().area() / lift.section().shape().A(),
                ties(l.cage(), basis),
                utilisation,
                satisfied);
    }

    /** Ties in words, for instance {@code T10-200, 4 × 2 legs; 100 in joints and 600 beside them}. */
    public static String ties(ColumnCage.LiftCage c, Basis basis) {
        String s = c.tie().label() + "-" + spacing(c.ties().middle(), basis);
        if (c.wound()) {
            return s + " spiral; hoops " + spacing(c.ties().joint(), basis) + " in joints";
        }
        return (c.layout() instanceof RingBars
                        ? s + " hoops"
                        : c.layout() instanceof LegBars l
                                ? s + " in both legs, " + crossTies(l.crossTies())
                                : s + ", " + c.layout().legsAlongX() + " × "
                                        + c.layout().legsAlongY() + " legs")
                + closer(c.ties(), basis);
    }

    private static String crossTies(int n) {
        return n == 1 ? "a cross-tie" : n + " cross-ties";
    }

    private static String closer(TieSpacing t, Basis basis) {
        if (!t.closerAtEnds()) {
            return t.closerInJoints() ? "; " + spacing(t.joint(), basis) + " in joints" : "";
        }
        String reach = t.foot() == t.head()
                ? spacing(t.foot(), basis) + " beside them"
                : spacing(t.foot(), basis) + " above, " + spacing(t.head(), basis) + " below";
        return t.closerInJoints()
                ? "; " + spacing(t.end(), basis) + " for " + reach + "; " + spacing(t.joint(), basis) + " in joints"
                : "; " + spacing(t.end(), basis) + " in joints and " + reach;
    }

    /** Every bar of the building, member by member; those of a type once. */
    public static List<BarRow> bars(Scheduled s) {
        List<BarRow> out = new ArrayList<>();
        byName(s.beams()).forEach(groups -> list(groups, out));
        byName(s.columns()).forEach(groups -> list(groups, out));
        return out;
    }

    /** Bars in a number each. @param number their mark's */
    private record Listed(int number, String where, int each) {}

    private static <D> void list(List<ScheduleGroups.Group<D>> groups, List<BarRow> out) {
        Map<Listed, List<ScheduleGroups.Group<D>>> having = new TreeMap<>(Comparator.comparingInt(Listed::number)
                .thenComparing(Listed::where)
                .thenComparingInt(Listed::each));
        Map<Listed, BarItem> items = new HashMap<>();
        for (ScheduleGroups.Group<D> g : groups) {
            for (int i = 0; i < g.bars().size(); i++) {
                BarItem b = g.bars().get(i);
                Listed row = new Listed(g.numbers().get(i), b.what(), b.number());
                having.computeIfAbsent(row, k -> new ArrayList<>()).add(g);
                items.putIfAbsent(row, b);
            }
        }
        having.forEach((row, of) -> out.add(new BarRow(
                of.get(0).name(),
                ScheduleGroups.letters(of),
                ScheduleGroups.Group.barMark(row.number()),
                items.get(row),
                of.stream().mapToInt(g -> g.members().size()).sum())));
    }

    /** Length and mass by size, smallest first; bars set by hand from another catalogue count as well. */
    public static List<SizeTotal> totals(List<BarRow> rows) {
        Map<Bar, List<BarRow>> bySize =
                new TreeMap<>(Comparator.comparingDouble(Bar::diameter).thenComparing(Bar::label));
        rows.forEach(r ->
                bySize.computeIfAbsent(r.item().bar(), k -> new ArrayList<>()).add(r));
        List<SizeTotal> out = new ArrayList<>();
        bySize.forEach((bar, of) -> out.add(new SizeTotal(
                bar.label(),
                of.stream()
                        .mapToDouble(
                                r -> r.members() * r.item().number() * r.item().cutLength())
                        .sum(),
                of.stream().mapToDouble(r -> r.members() * r.item().mass()).sum())));
        return out;
    }
}
