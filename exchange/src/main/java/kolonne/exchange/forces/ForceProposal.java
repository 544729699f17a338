package kolonne.exchange.forces;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.model.Building;
import kolonne.core.model.Role;
import kolonne.exchange.forces.ForceMapping.Column;
import kolonne.exchange.forces.ForceMapping.Quantity;

/**
 * Which column is which, as far as the table says so: from the names of members and cases in the cells, then from the headers.
 *
 * @param doubts what only a person can say; the quantity has no column, or no unit, until they do
 */
public record ForceProposal(ForceMapping mapping, List<Doubt> doubts) {
    /** Rows that are looked at for names of members and cases. */
    private static final int SAMPLE = 3000;
    /** Part of the cells that must be names. */
    private static final double MOST = 0.6;

    public ForceProposal {
        doubts = List.copyOf(doubts);
    }

    /** @param headers that it could be */
    public record Doubt(Quantity quantity, List<String> headers, String what) {
        public Doubt {
            headers = List.copyOf(headers);
        }
    }

    /** Proposes a mapping. */
    public static ForceProposal of(ForceTable t, Building b) {
        return new Finder(t, b).find();
    }

    private static final class Finder {
        private final ForceTable table;
        private final Building building;
        private final List<ForceHeader> headers = new ArrayList<>();
        private final Map<Quantity, Column> found = new EnumMap<>(Quantity.class);
        private final List<Doubt> doubts = new ArrayList<>();
        private final Set<String> taken = new HashSet<>();

        Finder(ForceTable table, Building building) {
            this.table = table;
            this.building = building;
            for (int i = 0; i < table.headers().size(); i++) {
                headers.add(ForceHeader.of(
                        table.headers().get(i),
                        table.units().isEmpty() ? "" : table.units().get(i)));
            }
        }

        ForceProposal find() {
            Set<String> members = new HashSet<>();
            building.members().forEach(m -> members.add(m.id()));
            Set<String> cases = new HashSet<>();
            building.loadCases().forEach(c -> cases.add(c.id()));
            building.combinations().forEach(c -> cases.add(c.id()));
            decide(Quantity.MEMBER, holding(members, candidates(Quantity.MEMBER)));
            decide(Quantity.CASE, holding(cases, candidates(Quantity.CASE)));
            for (Quantity q : Quantity.values()) {
                if (!q.text()) {
                    decide(q, candidates(q));
                }
            }
            Column n = found.get(Quantity.N);
            if (n != null && compressionIsPositive()) {
                found.put(Quantity.N, new Column(n.header(), n.unit(), true));
            }
            return new ForceProposal(new ForceMapping(found), doubts);
        }

        /** Headers that a quantity is called by, the plainest names first. */
        private List<ForceHeader> candidates(Quantity q) {
            return headers.stream()
                    .filter(h -> h.rank(q) >= 0 && !taken.contains(h.text()))
                    .sorted(java.util.Comparator.comparingInt(h -> h.rank(q)))
                    .toList();
        }

        /** Columns whose cells are names of the model, those called so first; the named ones where there is none. */
        private List<ForceHeader> holding(Set<String> names, List<ForceHeader> called) {
            List<ForceHeader> holding = headers.stream()
                    .filter(h -> !taken.contains(h.text())
                            && share(names, table.headers().indexOf(h.text())) >= MOST)
                    .toList();
            List<ForceHeader> both = called.stream().filter(holding::contains).toList();
            return both.isEmpty() ? (holding.isEmpty() ? called : holding) : both;
        }

        private double share(Set<String> names, int column) {
            int rows = Math.min(SAMPLE, table.rows().size());
            int hits = 0;
            for (int i = 0; i < rows; i++) {
                hits += names.contains(table.rows().get(i).get(column)) ? 1 : 0;
            }
            return rows == 0 ? 0 : (double) hits / rows;
        }

        private void decide(Quantity q, List<ForceHeader> could) {
            if (could.isEmpty()) {
                return;
            }
            List<ForceHeader> sure =
                    could.stream().filter(h -> others(h, q).isEmpty()).toList();
            ForceHeader plainest = could.get(0);
            if (sure.size() == 1) {
                take(q, sure.get(0));
            } else if (plainest.rank(q) == 0 || q.text() && sure.isEmpty() && could.size() == 1) {
                take(q, plainest);
            } else if (sure.isEmpty()) {
                ask(q, could, one(could) + " could be " + word(q) + " or " + words(others(plainest, q)) + ".");
            } else {
                ask(q, sure, list(sure) + " could each be " + word(q) + ".");
            }
        }

        /** Other quantities that are still open and go by the same name. */
        private List<Quantity> others(ForceHeader h, Quantity q) {
            List<Quantity> out = new ArrayList<>();
            for (Quantity o : Quantity.values()) {
                boolean open = o != q && !found.containsKey(o) && !o.text();
                if (open && !q.text() && h.rank(o) >= 0) {
                    out.add(o);
                }
            }
            return out;
        }

        private void take(Quantity q, ForceHeader h) {
            String unit = h.unitOf(q, building.unitSystem().equals("US")).orElse("");
            found.put(q, new Column(h.text(), unit, false));
            taken.add(h.text());
            if (unit.isEmpty() && !q.text()) {
                doubts.add(new Doubt(
                        q,
                        List.of(h.text()),
                        "The unit “" + h.unit() + "” of “" + h.text() + "” is not known for " + word(q)
                                + ": choose one."));
            }
        }

        private void ask(Quantity q, List<ForceHeader> could, String what) {
            doubts.add(new Doubt(q, could.stream().map(ForceHeader::text).toList(), what + " Choose the column."));
        }

        private static String one(List<ForceHeader> h) {
            return h.size() == 1 ? "“" + h.get(0).text() + "”" : list(h);
        }

        private static String list(List<ForceHeader> h) {
            return String.join(
                    " and ", h.stream().map(x -> "“" + x.text() + "”").toList());
        }

        private static String words(List<Quantity> q) {
            return String.join(" or ", q.stream().map(Finder::word).toList());
        }

        private static String word(Quantity q) {
            return switch (q) {
                case MEMBER -> "the member";
                case CASE -> "the load case";
                case X -> "the place";
                case N -> "N (axial)";
                case VY -> "Vy (sideways)";
                case VZ -> "Vz (vertical)";
                case T -> "T (torque)";
                case MY -> "My (vertical plane)";
                case MZ -> "Mz (sideways)";
            };
        }

        /** Whether columns are mostly compressed where their axial force is positive. */
        private boolean compressionIsPositive() {
            if (!found.containsKey(Quantity.MEMBER)) {
                return false;
            }
            Set<String> uprights = new HashSet<>();
            building.members().stream().filter(m -> m.role() == Role.COLUMN).forEach(m -> uprights.add(m.id()));
            int member = table.headers().indexOf(found.get(Quantity.MEMBER).header());
            int force = table.headers().indexOf(found.get(Quantity.N).header());
            double sum = 0;
            for (List<String> row : table.rows()) {
                Double v = ForceTable.number(row.get(force));
                sum += v != null && uprights.contains(row.get(member)) ? v : 0;
            }
            return sum > 0;
        }
    }
}
