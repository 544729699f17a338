package kolonne.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.finding.Cause;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;
import kolonne.core.shape.Shape;

/** What there is to say of members that share a cage: storeys, section, the member that governs. */
public final class TypeFacts {
    private static final Pattern TOKEN = Pattern.compile("\\{([^}]*)}");
    private static final List<String> TOKENS = List.of("role", "storey", "section", "grid", "n");

    private final BuildingDesign design;
    private final List<String> storeys;
    private final Map<String, BeamDesign> beams = new HashMap<>();
    private final Map<String, ColumnDesign> columns = new HashMap<>();

    public TypeFacts(BuildingDesign design) {
        this.design = design;
        storeys = design.analysis().index().building().storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .map(Storey::name)
                .toList();
        design.beams().forEach(b -> beams.put(b.line().id(), b));
        design.columns().forEach(c -> columns.put(c.stack().id(), c));
    }

    /** The design of a beam line; null where there is none of this id. */
    public BeamDesign beam(String id) {
        return beams.get(id);
    }

    /** The design of a column stack; null where there is none of this id. */
    public ColumnDesign column(String id) {
        return columns.get(id);
    }

    /** The mark of a line or stack, or its id where it is no more. */
    public String mark(String id) {
        return beams.containsKey(id)
                ? beams.get(id).line().mark()
                : columns.containsKey(id) ? columns.get(id).stack().mark() : id;
    }

    public boolean satisfied(String id) {
        return beams.containsKey(id)
                ? beams.get(id).satisfied()
                : columns.get(id).satisfied();
    }

    public CheckResult governing(String id) {
        return beams.containsKey(id)
                ? beams.get(id).governing()
                : columns.get(id).governing();
    }

    /** The member whose governing check is used most; one that fails comes first. */
    public String governingMember(List<String> members) {
        return members.stream()
                .max(Comparator.comparing((String id) -> !satisfied(id))
                        .thenComparingDouble(id -> governing(id).utilisation())
                        .thenComparing(Comparator.reverseOrder()))
                .orElseThrow();
    }

    /** The largest use of a distance between bars in any of some members: 1 where they lie as near each other as they may; 0 for no such check. */
    public double congestion(List<String> members) {
        return members.stream()
                .flatMap(id -> beams.containsKey(id)
                        ? beams.get(id).checks().stream()
                        : columns.get(id).lifts().stream().flatMap(l -> l.checks().stream()))
                .filter(c -> c.cause() == Cause.BARS_DO_NOT_FIT)
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElse(0);
    }

    /** Concrete of a member [mm3]. */
    public double concrete(String id) {
        return beams.containsKey(id)
                ? Quantities.of(beams.get(id)).concrete()
                : Quantities.of(columns.get(id)).concrete();
    }

    /** Storeys that members touch, from the lowest. */
    public List<String> storeys(List<String> members) {
        Set<String> out = new LinkedHashSet<>();
        for (String id : members) {
            if (beams.containsKey(id)) {
                out.add(beams.get(id).line().storey());
            } else {
                columns.get(id).stack().lifts().forEach(l -> out.add(l.storey()));
            }
        }
        return out.stream().sorted(Comparator.comparingInt(storeys::indexOf)).toList();
    }

    /** Storeys in words, those that follow each other as a range: {@code L2 to L6, L8}. */
    public String storeyWords(List<String> members, String to) {
        List<String> names = storeys(members);
        List<String> out = new ArrayList<>();
        int i = 0;
        while (i < names.size()) {
            int k = i;
            while (k + 1 < names.size() && storeys.indexOf(names.get(k + 1)) == storeys.indexOf(names.get(k)) + 1) {
                k++;
            }
            out.add(
                    k == i
                            ? names.get(i)
                            : k == i + 1 && !to.equals("-")
                                    ? names.get(i) + ", " + names.get(k)
                                    : names.get(i) + to + names.get(k));
            i = k + 1;
        }
        return String.join(to.equals("-") ? "+" : ", ", out);
    }

    /** Sections of members with one cage, each once; of the member that has most of them first. */
    public String sections(List<String> members) {
        return members.stream()
                .map(this::shapes)
                .sorted(Comparator.comparingInt((List<Shape> s) -> s.size()).reversed())
                .flatMap(List::stream)
                .map(s -> s.label(design.basis().usUnits()))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private List<Shape> shapes(String id) {
        return beams.containsKey(id)
                ? beams.get(id).line().spans().stream()
                        .map(s -> s.section().shape())
                        .toList()
                : columns.get(id).stack().lifts().stream()
                        .map(l -> l.section().shape())
                        .toList();
    }

    private String sectionId(String id) {
        return beams.containsKey(id)
                ? beams.get(id).line().spans().get(0).section().id()
                : columns.get(id).stack().lifts().get(0).section().id();
    }

    private String grid(String id) {
        return beams.containsKey(id)
                ? beams.get(id).line().supports().get(0).label()
                : columns.get(id).stack().mark();
    }

    /** Why a pattern cannot name types; empty if it can. */
    public static Optional<String> wrong(String pattern) {
        Matcher m = TOKEN.matcher(pattern);
        while (m.find()) {
            if (!TOKENS.contains(m.group(1))) {
                return Optional.of("{" + m.group(1) + "} says nothing: a pattern knows {role}, {storey}, {section}, "
                        + "{grid} and {n}.");
            }
        }
        return pattern.isBlank() ? Optional.of("The pattern is empty.") : Optional.empty();
    }

    /** Marks by a pattern; {@code {n}} counts those that are otherwise alike. @param members of the types, by id of the type */
    public Map<String, String> marks(String pattern, Role role, Map<String, List<String>> members) {
        Map<String, Integer> numbers = new HashMap<>();
        Map<String, String> out = new LinkedHashMap<>();
        for (Map.Entry<String, List<String>> e : members.entrySet()) {
            String first = e.getValue().get(0);
            Function<String, String> value = token -> switch (token) {
                case "role" -> role == Role.BEAM ? "B" : "C";
                case "storey" -> storeyWords(e.getValue(), "-");
                case "section" -> sectionId(first);
                case "grid" -> grid(first);
                default -> "{n}";
            };
            String mark = TOKEN.matcher(pattern).replaceAll(m -> Matcher.quoteReplacement(value.apply(m.group(1))));
            int n = numbers.merge(mark, 1, Integer::sum);
            out.put(e.getKey(), mark.replace("{n}", Integer.toString(n)));
        }
        return out;
    }

    /** Order of a member on plans: storey from the lowest, then as the design has them. */
    public Comparator<List<String>> inOrder() {
        Map<String, Integer> place = new HashMap<>();
        for (BeamDesign b : design.beams()) {
            BeamLine l = b.line();
            place.put(l.id(), storeys.indexOf(l.storey()) * 1_000_000 + place.size());
        }
        for (ColumnDesign c : design.columns()) {
            ColumnStack s = c.stack();
            place.put(s.id(), place.size());
        }
        return Comparator.comparingInt(
                g -> g.stream().mapToInt(id -> place.getOrDefault(id, 0)).min().orElse(0));
    }
}
