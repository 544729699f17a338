package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.core.detail.BarItem;

/** Bars of a member that are cut and bent alike are one item of the bar list, and have one mark, wherever they lie. */
public final class LikeBars {
    /** A number in the words of a place: of a span, a layer or a piece. */
    private static final Pattern NUMBERED = Pattern.compile("(.*\\b(?:span|layer|piece) )(\\d+)(.*)");

    private LikeBars() {}

    /** Items as they come first, each with the number of all that are like it. */
    static List<BarItem> of(List<BarItem> bars) {
        Map<BarItem.Kind, List<BarItem>> alike = new LinkedHashMap<>();
        bars.forEach(
                b -> alike.computeIfAbsent(b.kind(), k -> new ArrayList<>()).add(b));
        return alike.values().stream().map(LikeBars::one).toList();
    }

    /** Bars of all lifts of a stack, from the foundation. @param heads storeys at the heads of the lifts */
    static List<BarItem> ofLifts(List<List<BarItem>> lifts, List<String> heads) {
        Map<BarItem.Kind, Map<String, List<Integer>>> where = new LinkedHashMap<>();
        Map<BarItem.Kind, BarItem> sum = new LinkedHashMap<>();
        for (int i = 0; i < lifts.size(); i++) {
            for (BarItem b : lifts.get(i)) {
                BarItem.Kind key = b.kind();
                where.computeIfAbsent(key, k -> new LinkedHashMap<>())
                        .computeIfAbsent(b.what(), k -> new ArrayList<>())
                        .add(i);
                sum.merge(key, b, LikeBars::plus);
            }
        }
        List<BarItem> out = new ArrayList<>();
        sum.forEach((key, b) -> {
            List<String> words = new ArrayList<>();
            where.get(key).forEach((what, at) -> words.add(what + ", to " + runs(at, heads::get)));
            out.add(new BarItem(String.join("; ", words), b.shape(), b.bar(), b.number(), b.dims(), b.cutLength()));
        });
        return out;
    }

    private static BarItem plus(BarItem a, BarItem b) {
        return new BarItem(a.what(), a.shape(), a.bar(), a.number() + b.number(), a.dims(), a.cutLength());
    }

    /** What is numbered, those that follow one another as from and to. @param numbers rising */
    private static String runs(List<Integer> numbers, IntFunction<String> name) {
        List<String> out = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            int first = i;
            while (i + 1 < numbers.size() && numbers.get(i + 1) == numbers.get(i) + 1) {
                i++;
            }
            String last = name.apply(numbers.get(i));
            out.add(i == first ? last : name.apply(numbers.get(first)) + (i == first + 1 ? ", " : "–") + last);
        }
        return String.join(", ", out);
    }

    private static BarItem one(List<BarItem> alike) {
        BarItem first = alike.get(0);
        return alike.size() == 1
                ? first
                : new BarItem(
                        words(alike.stream().map(BarItem::what).distinct().toList()),
                        first.shape(),
                        first.bar(),
                        alike.stream().mapToInt(BarItem::number).sum(),
                        first.dims(),
                        first.cutLength());
    }

    /** Places in words; those that differ in a number are said once with all of their numbers. */
    static String words(List<String> places) {
        Map<List<String>, TreeSet<Integer>> numbered = new LinkedHashMap<>();
        for (String p : places) {
            Matcher m = NUMBERED.matcher(p);
            if (m.matches()) {
                numbered.computeIfAbsent(List.of(m.group(1), m.group(3)), k -> new TreeSet<>())
                        .add(Integer.parseInt(m.group(2)));
            } else {
                numbered.put(List.of(p, ""), new TreeSet<>());
            }
        }
        List<String> out = new ArrayList<>();
        numbered.forEach((words, numbers) ->
                out.add(words.get(0) + runs(List.copyOf(numbers), Integer::toString) + words.get(1)));
        return String.join("; ", out);
    }

    /** The place in a list of the item that bars belong to. @throws IllegalArgumentException if they are in none */
    public static int place(List<BarItem> list, BarItem bars) {
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i).kind().equals(bars.kind())) {
                return i;
            }
        }
        throw new IllegalArgumentException("not in the list: " + bars);
    }
}
