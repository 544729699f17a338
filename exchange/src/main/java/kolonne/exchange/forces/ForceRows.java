package kolonne.exchange.forces;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.StationForces;
import kolonne.exchange.forces.ForceMapping.Column;
import kolonne.exchange.forces.ForceMapping.Quantity;

/** Reads the rows of a table with a mapping. */
public final class ForceRows {
    private static final int MOST_FINDINGS = 200;
    /** How far a station may lie beyond its member before the unit is doubted, as part of the length. */
    private static final double BEYOND = 0.005;

    private final ForceTable table;
    private final ForceMapping mapping;
    private final BuildingIndex index;
    private final Map<Quantity, Integer> at = new EnumMap<>(Quantity.class);
    private final Set<String> cases = new HashSet<>();
    private final List<Finding> findings = new ArrayList<>();
    private final Map<String, Integer> unmatched = new LinkedHashMap<>();
    private final Map<String, Integer> foreignCases = new LinkedHashMap<>();
    private final Set<String> combinations = new HashSet<>();
    private int ofCombinations;
    private int unread;

    private ForceRows(ForceTable table, ForceMapping mapping, Building b) {
        this.table = table;
        this.mapping = mapping;
        this.index = new BuildingIndex(b);
        b.loadCases().forEach(c -> cases.add(c.id()));
        b.combinations().forEach(c -> combinations.add(c.id()));
        combinations.removeAll(cases);
    }

    /** Rows in core units and signs; rows that cannot be used are told and left out. @param used number of rows that were used */
    public record Read(List<StationForces> forces, List<Finding> findings, int used) {}

    /** Reads at most {@code most} rows. */
    public static Read read(ForceTable table, ForceMapping mapping, Building b, int most) {
        ForceRows r = new ForceRows(table, mapping, b);
        if (!r.columnsFound()) {
            return new Read(List.of(), r.findings, 0);
        }
        Map<String, StationForces> out = new LinkedHashMap<>();
        for (int i = 0; i < table.rows().size() && i < most; i++) {
            StationForces f = r.row(i);
            if (f != null) {
                StationForces old = out.put(f.member() + "\0" + f.loadCase() + "\0" + Math.round(f.x()), f);
                if (old != null && !old.equals(f)) {
                    r.note(
                            "forces.twice",
                            i,
                            "Member " + f.member() + " has two rows in " + f.loadCase() + " at "
                                    + String.format(Locale.ROOT, "%.3f", f.x() / 1000) + " m; the later one counts.",
                            "Keep one row a station; give envelopes as load cases of their own.");
                }
            }
        }
        r.summary();
        return new Read(List.copyOf(out.values()), r.findings, out.size());
    }

    private boolean columnsFound() {
        for (Quantity q : Quantity.values()) {
            Column c = mapping.columns().get(q);
            if (c == null) {
                if (q == Quantity.MEMBER || q == Quantity.CASE || q == Quantity.X) {
                    fail(
                            "mapping.missing",
                            "No column is mapped to " + word(q) + ".",
                            "Choose the column that holds it.");
                }
                continue;
            }
            int k = table.headers().indexOf(c.header());
            if (k < 0) {
                fail(
                        "mapping.header",
                        "The table has no column " + c.header() + ".",
                        "Choose another column for " + word(q) + ".");
            } else if (!q.text() && ForceUnits.size(q, c.unit()) == null) {
                fail(
                        "mapping.unit",
                        c.unit().isEmpty()
                                ? "The unit of " + c.header() + " is not known."
                                : "The unit of " + c.header() + " is " + c.unit() + ".",
                        "Choose a unit of the list.");
            }
            at.put(q, k);
        }
        return findings.isEmpty();
    }

    private static String word(Quantity q) {
        return switch (q) {
            case MEMBER -> "the member";
            case CASE -> "the load case";
            case X -> "the place along the member";
            default -> q.name();
        };
    }

    private void fail(String code, String what, String mend) {
        findings.add(Finding.fails(code, "mapping", what, mend));
    }

    private void note(String code, int row, String what, String mend) {
        if (findings.size() < MOST_FINDINGS) {
            findings.add(Finding.note(
                    code, row < 0 ? "table" : "row " + table.rowNumbers().get(row), what, mend));
        } else {
            unread++;
        }
    }

    private StationForces row(int i) {
        List<String> cells = table.rows().get(i);
        String member = cells.get(at.get(Quantity.MEMBER));
        String loadCase = cells.get(at.get(Quantity.CASE));
        Member m = index.member(member);
        if (m == null) {
            unmatched.merge(member, 1, Integer::sum);
            return null;
        }
        if (combinations.contains(loadCase)) {
            ofCombinations++;
            return null;
        }
        if (!cases.contains(loadCase)) {
            foreignCases.merge(loadCase, 1, Integer::sum);
            return null;
        }
        Map<Quantity, Double> v = new EnumMap<>(Quantity.class);
        for (Map.Entry<Quantity, Integer> e : at.entrySet()) {
            if (e.getKey().text()) {
                continue;
            }
            Double x = ForceTable.number(cells.get(e.getValue()));
            if (x == null) {
                note(
                        "forces.not-a-number",
                        i,
                        "The column " + table.headers().get(e.getValue()) + " holds \"" + cells.get(e.getValue())
                                + "\"; the row is left out.",
                        "Write a number.");
                return null;
            }
            Column c = mapping.columns().get(e.getKey());
            double unit = c.unit().equals(ForceUnits.RATIO) ? index.length(m) : ForceUnits.size(e.getKey(), c.unit());
            v.put(e.getKey(), (c.opposite() ? -1 : 1) * x * unit);
        }
        double x = v.get(Quantity.X);
        double length = index.length(m);
        if (x < -BEYOND * length || x > length * (1 + BEYOND)) {
            note(
                    "forces.beyond",
                    i,
                    String.format(
                            Locale.ROOT,
                            "The place %.3f m lies beyond member %s, which is %.3f m long; the row is left out.",
                            x / 1000,
                            member,
                            length / 1000),
                    "Check the unit of the column.");
            return null;
        }
        return new StationForces(
                member,
                loadCase,
                Math.max(0, Math.min(length, x)),
                of(v, Quantity.N),
                of(v, Quantity.VY),
                of(v, Quantity.VZ),
                of(v, Quantity.T),
                of(v, Quantity.MY),
                of(v, Quantity.MZ));
    }

    private static double of(Map<Quantity, Double> v, Quantity q) {
        return v.getOrDefault(q, 0.0);
    }

    private void summary() {
        if (ofCombinations > 0) {
            note(
                    "forces.combinations",
                    -1,
                    ofCombinations + (ofCombinations == 1 ? " row is" : " rows are")
                            + " of combinations, which Kolonne makes of the load cases itself.",
                    "Nothing to do where the cases are in the table too.");
        }
        unmatched.forEach((id, n) -> note(
                "forces.no-member",
                -1,
                n + (n == 1 ? " row names" : " rows name") + " the member \"" + id + "\", which is not in the model.",
                "Check that the table belongs to this model."));
        foreignCases.forEach((id, n) -> note(
                "forces.no-case",
                -1,
                n + (n == 1 ? " row names" : " rows name") + " the load case \"" + id
                        + "\", which is not in the model.",
                "Export forces by load case, not by combination, or add the case to the model."));
        if (unread > 0) {
            findings.add(Finding.note(
                    "forces.more", "table", unread + " more findings are not shown.", "Mend these first."));
        }
    }

    /** Members of the model that the forces leave out: without two stations none can be designed. */
    public static List<String> without(List<StationForces> forces, Building b) {
        Map<String, Set<Long>> places = new HashMap<>();
        forces.forEach(
                f -> places.computeIfAbsent(f.member(), k -> new HashSet<>()).add(Math.round(f.x())));
        return b.members().stream()
                .map(Member::id)
                .filter(id -> places.getOrDefault(id, Set.of()).size() < 2)
                .toList();
    }

    /** A load case that counts in a combination, and the members that have no forces in it, though they have in others. */
    public record Gap(String loadCase, List<String> members) {}

    /** What would be taken as zero without a word. */
    public static List<Gap> gaps(List<StationForces> forces, Building b) {
        Set<String> counts = new HashSet<>();
        b.combinations()
                .forEach(c -> c.terms().stream().filter(t -> t.factor() != 0).forEach(t -> counts.add(t.loadCase())));
        Map<String, Set<String>> there = new HashMap<>();
        Set<String> members = new HashSet<>();
        forces.forEach(f -> {
            there.computeIfAbsent(f.loadCase(), k -> new HashSet<>()).add(f.member());
            members.add(f.member());
        });
        List<Gap> out = new ArrayList<>();
        for (LoadCase c : b.loadCases()) {
            Set<String> in = there.getOrDefault(c.id(), Set.of());
            List<String> gone = b.members().stream()
                    .map(Member::id)
                    .filter(id -> members.contains(id) && !in.contains(id))
                    .toList();
            if (counts.contains(c.id()) && !gone.isEmpty()) {
                out.add(new Gap(c.id(), gone));
            }
        }
        return out;
    }
}
