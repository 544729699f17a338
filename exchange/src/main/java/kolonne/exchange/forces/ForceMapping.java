package kolonne.exchange.forces;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kolonne.core.model.Building;
import kolonne.core.model.Role;

/**
 * Which column of a table is which quantity, in which unit, with which sign.
 *
 * @param columns by quantity; a force without a column is zero
 */
public record ForceMapping(Map<Quantity, Column> columns) {
    /** What a column may hold. */
    public enum Quantity {
        MEMBER,
        CASE,
        X,
        N,
        VY,
        VZ,
        T,
        MY,
        MZ;

        /** Units to choose from, the metric display unit first, the US one second. */
        public List<String> units() {
            if (text()) {
                return List.of();
            }
            if (this == X) {
                return List.of("m", "ft", "mm", "cm", "in", "ratio");
            }
            return ordinal() >= T.ordinal()
                    ? List.of("kNm", "kip·ft", "Nmm", "Nm", "kNcm", "MNm", "lb·ft", "kip·in")
                    : List.of("kN", "kip", "N", "MN", "lb");
        }

        boolean text() {
            return this == MEMBER || this == CASE;
        }
    }

    /** @param unit one of {@link #UNITS}, or ratio for places from 0 to 1. @param opposite whether the sign is the other way round */
    public record Column(String header, String unit, boolean opposite) {}

    /** Units with their size in core units. */
    public static final Map<String, Double> UNITS = Map.ofEntries(
            Map.entry("mm", 1.0),
            Map.entry("cm", 10.0),
            Map.entry("m", 1e3),
            Map.entry("in", 25.4),
            Map.entry("ft", 304.8),
            Map.entry("ratio", Double.NaN),
            Map.entry("N", 1.0),
            Map.entry("kN", 1e3),
            Map.entry("MN", 1e6),
            Map.entry("lb", 4.4482216152605),
            Map.entry("kip", 4448.2216152605),
            Map.entry("Nmm", 1.0),
            Map.entry("Nm", 1e3),
            Map.entry("kNm", 1e6),
            Map.entry("kNcm", 1e4),
            Map.entry("MNm", 1e9),
            Map.entry("lb·ft", 1355.8179483),
            Map.entry("kip·in", 112984.8290276),
            Map.entry("kip·ft", 1355817.9483314));

    private static final Map<Quantity, List<String>> NAMES = names();

    public ForceMapping {
        columns = Map.copyOf(columns);
    }

    private static Map<Quantity, List<String>> names() {
        Map<Quantity, List<String>> n = new EnumMap<>(Quantity.class);
        n.put(
                Quantity.MEMBER,
                List.of(
                        "member",
                        "memberid",
                        "membername",
                        "element",
                        "elementid",
                        "bar",
                        "barid",
                        "beam",
                        "line",
                        "id"));
        n.put(Quantity.CASE, List.of("case", "loadcase", "lc", "load", "loading", "action", "caseid"));
        n.put(Quantity.X, List.of("x", "station", "distance", "dist", "position", "pos", "location", "place", "at"));
        n.put(Quantity.N, List.of("n", "nx", "axial", "axialforce", "normalforce", "fx"));
        n.put(Quantity.VY, List.of("vy", "qy", "fy", "sheary", "shearminor"));
        n.put(Quantity.VZ, List.of("vz", "qz", "fz", "shearz", "shear", "v", "shearmajor"));
        n.put(Quantity.T, List.of("t", "mt", "mx", "torsion", "torque"));
        n.put(Quantity.MY, List.of("my", "m", "moment", "bending", "bendingmoment", "momenty", "momentmajor"));
        n.put(Quantity.MZ, List.of("mz", "momentz", "momentminor"));
        return n;
    }

    /** A proposal from the names of the columns and units in them; compression is taken as positive if columns mostly are so. */
    public static ForceMapping propose(ForceTable t, Building b) {
        Map<Quantity, Column> out = new EnumMap<>(Quantity.class);
        boolean us = b.unitSystem().equals("US");
        for (Quantity q : Quantity.values()) {
            for (String name : NAMES.get(q)) {
                String header = t.headers().stream()
                        .filter(h -> plain(h).equals(name))
                        .findFirst()
                        .orElse(null);
                if (header != null && !out.containsKey(q)) {
                    out.put(q, new Column(header, unit(header, q, us), false));
                }
            }
        }
        Column n = out.get(Quantity.N);
        if (n != null && mostlyPositiveInColumns(t, out, b)) {
            out.put(Quantity.N, new Column(n.header(), n.unit(), true));
        }
        return new ForceMapping(out);
    }

    /** A header without its unit, blanks and signs, in small letters. */
    private static String plain(String header) {
        return header.replaceAll("[\\[(].*", "").toLowerCase(Locale.ROOT).replaceAll("[^a-z]", "");
    }

    /** The unit in brackets behind a name, or the display system's. */
    private static String unit(String header, Quantity q, boolean us) {
        List<String> choices = q.units();
        String inside = header.replaceAll("^[^\\[(]*[\\[(]?", "")
                .replaceAll("[\\])].*$", "")
                .replaceAll("[\\s.*·-]", "");
        String found = choices.stream()
                .filter(u -> u.replace("·", "").equalsIgnoreCase(inside))
                .findFirst()
                .orElse(null);
        return found != null || q.text() ? found == null ? "" : found : choices.get(us ? 1 : 0);
    }

    private static boolean mostlyPositiveInColumns(ForceTable t, Map<Quantity, Column> found, Building b) {
        if (!found.containsKey(Quantity.MEMBER)) {
            return false;
        }
        java.util.Set<String> uprights = new java.util.HashSet<>();
        b.members().stream().filter(m -> m.role() == Role.COLUMN).forEach(m -> uprights.add(m.id()));
        int member = t.headers().indexOf(found.get(Quantity.MEMBER).header());
        int force = t.headers().indexOf(found.get(Quantity.N).header());
        double sum = 0;
        for (List<String> row : t.rows()) {
            Double v = ForceTable.number(row.get(force));
            sum += v != null && uprights.contains(row.get(member)) ? v : 0;
        }
        return sum > 0;
    }
}
