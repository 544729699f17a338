package kolonne.server.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kolonne.core.finding.Cause;

/**
 * The small query language of the worklist: words that must all hold.
 *
 * <pre>beam | column | fails | over | notes | hand | crowded | storey:L3 | storey:L2..L5 | util&gt;0.95 | util&lt;0.5 | cause:shear
 * section:300x600 | type:TB3 | local | local:basement | anything else is looked for in mark, section and check</pre>
 */
public final class ResultQuery {
    private static final Pattern UTIL =
            Pattern.compile("util(>=|<=|≥|≤|>|<|=)([0-9]*[.,]?[0-9]+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern SIGN = Pattern.compile("\\s*(>=|<=|≥|≤|>|<|=)\\s*");
    private final List<Predicate<ResultRow>> tests = new ArrayList<>();

    private ResultQuery() {}

    /**
     * Reads a query.
     *
     * @param storeys names from the ground up, for ranges
     * @throws IllegalArgumentException with a sentence for the user
     */
    public static ResultQuery of(String text, List<String> storeys) {
        ResultQuery q = new ResultQuery();
        for (String word : SIGN.matcher(text.strip()).replaceAll("$1").split("\\s+")) {
            if (!word.isEmpty()) {
                q.tests.add(test(word, storeys));
            }
        }
        return q;
    }

    public boolean matches(ResultRow r) {
        return tests.stream().allMatch(t -> t.test(r));
    }

    private static Predicate<ResultRow> test(String word, List<String> storeys) {
        switch (word.toLowerCase(Locale.ROOT)) {
            case "beam", "beams" -> {
                return r -> r.role().equals("beam");
            }
            case "column", "columns" -> {
                return r -> r.role().equals("column");
            }
            case "fails", "fail", "failing" -> {
                return r -> !r.satisfied();
            }
            case "over", "overstressed" -> {
                return ResultRow::overstressed;
            }
            case "hand" -> {
                return ResultRow::handSet;
            }
            case "local" -> {
                return r -> !r.local().isEmpty();
            }
            case "crowded" -> {
                return r -> r.crowded() > 0;
            }
            case "notes", "note" -> {
                return r -> r.notes() > 0;
            }
            default -> {
                return keyed(word, storeys);
            }
        }
    }

    private static Predicate<ResultRow> keyed(String word, List<String> storeys) {
        Matcher m = UTIL.matcher(word);
        if (m.matches()) {
            double v = Double.parseDouble(m.group(2).replace(',', '.'));
            return switch (m.group(1)) {
                case ">" -> r -> r.utilisation() > v;
                case ">=", "≥" -> r -> r.utilisation() >= v;
                case "<" -> r -> r.utilisation() < v;
                case "<=", "≤" -> r -> r.utilisation() <= v;
                default -> r -> Math.abs(r.utilisation() - v) < 0.005;
            };
        }
        if (word.toLowerCase(Locale.ROOT).startsWith("util")) {
            throw new IllegalArgumentException("“" + word + "” is not understood: write for instance util>0.95.");
        }
        int colon = word.indexOf(':');
        String key = colon < 0 ? "" : word.substring(0, colon).toLowerCase(Locale.ROOT);
        String value = word.substring(colon + 1);
        return switch (key) {
            case "storey" -> storey(value, storeys);
            case "cause" -> cause(value.toLowerCase(Locale.ROOT));
            case "section" -> r -> plain(r.section()).contains(plain(value));
            case "type" -> r -> !r.type().isEmpty() && plain(r.type()).equals(plain(value));
            case "local" -> r -> r.local().stream().anyMatch(n -> plain(n).equals(plain(value)));
            case "mark" -> r -> plain(r.mark()).contains(plain(value));
            case "" ->
                r -> plain(r.mark()).contains(plain(value))
                        || plain(r.section()).contains(plain(value))
                        || r.check().toLowerCase(Locale.ROOT).contains(value.toLowerCase(Locale.ROOT));
            default ->
                throw new IllegalArgumentException(
                        "“" + key + ":” is not a key: use storey, cause, section, type, local or mark.");
        };
    }

    private static Predicate<ResultRow> cause(String id) {
        if (Stream.of(Cause.values()).noneMatch(c -> c.id().equals(id))) {
            throw new IllegalArgumentException("There is no cause “" + id + "”: use one of "
                    + Stream.of(Cause.values()).map(Cause::id).collect(Collectors.joining(", ")) + ".");
        }
        return r -> r.causes().contains(id);
    }

    private static Predicate<ResultRow> storey(String value, List<String> storeys) {
        String[] ends = value.split("\\.\\.", 2);
        int a = index(ends[0], storeys);
        int b = index(ends[ends.length - 1], storeys);
        List<String> wanted = storeys.subList(Math.min(a, b), Math.max(a, b) + 1);
        return r -> r.storeys().stream().anyMatch(wanted::contains);
    }

    private static int index(String name, List<String> storeys) {
        for (int i = 0; i < storeys.size(); i++) {
            String s = storeys.get(i);
            if (s.equalsIgnoreCase(name) || s.replace(" ", "").equalsIgnoreCase(name)) {
                return i;
            }
        }
        throw new IllegalArgumentException(
                "There is no storey “" + name + "”: use one of " + String.join(", ", storeys) + ".");
    }

    private static String plain(String s) {
        return s.toLowerCase(Locale.ROOT).replace("×", "x").replace(" ", "");
    }
}
