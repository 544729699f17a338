package kolonne.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.code.Bar;

/**
 * How many bars as delivered a bar list takes, size by size: each is cut into the longest pieces that still fit, the longest first (first fit decreasing, which
 * needs at most 11/9 of the fewest bars and one more). Beside it stands what no plan can do without: the length of all pieces over that of a bar, and
 * the number of pieces that are longer than half a bar. Spirals come from the coil and are not among the pieces.
 */
public final class CuttingPlan {
    /** Lengths are whole multiples of this [mm]. */
    private static final double UNIT = 1e-3;

    private CuttingPlan() {}

    /**
     * Bars of one size.
     *
     * @param pieces  to be cut
     * @param length  of all pieces [mm]
     * @param bars    as delivered
     * @param least   bars that no plan can do without
     * @param stock   length of a bar as delivered [mm]
     */
    public record Cut(Bar bar, long pieces, double length, long bars, long least, double stock) {
        /** Part of the steel bought that is left over. */
        public double waste() {
            return bars == 0 ? 0 : 1 - length / (bars * stock);
        }
    }

    /** @param rows of the bar list; @param stock length of a bar as delivered, no shorter than any piece [mm] */
    public static List<Cut> of(List<Schedules.BarRow> rows, double stock) {
        Map<Bar, TreeMap<Double, Long>> bySize =
                new TreeMap<>(Comparator.comparingDouble(Bar::diameter).thenComparing(Bar::label));
        for (Schedules.BarRow r : rows) {
            TreeMap<Double, Long> lengths =
                    bySize.computeIfAbsent(r.item().bar(), k -> new TreeMap<>(Comparator.reverseOrder()));
            if (!r.item().fromCoil()) {
                lengths.merge(
                        r.item().cutLength(), (long) r.members() * r.item().number(), Long::sum);
            }
        }
        List<Cut> out = new ArrayList<>();
        bySize.forEach((bar, lengths) -> out.add(cut(bar, lengths, stock)));
        return out;
    }

    private static Cut cut(Bar bar, TreeMap<Double, Long> lengths, double stock) {
        long pieces = lengths.values().stream().mapToLong(n -> n).sum();
        double length = lengths.entrySet().stream()
                .mapToDouble(e -> e.getKey() * e.getValue())
                .sum();
        long halves = lengths.entrySet().stream()
                .filter(e -> 2 * e.getKey() > stock + UNIT)
                .mapToLong(Map.Entry::getValue)
                .sum();
        long least = Math.max(halves, (long) Math.ceil(length / stock - 1e-9));
        TreeMap<Double, Long> left = new TreeMap<>(lengths);
        long bars = 0;
        while (!left.isEmpty()) {
            bars += alike(left, stock);
        }
        return new Cut(bar, pieces, length, bars, least, stock);
    }

    /** Cuts bars into the longest pieces that fit, all that are cut alike at once; answers how many. */
    private static long alike(TreeMap<Double, Long> left, double stock) {
        Map<Double, Long> pattern = new TreeMap<>();
        double room = stock;
        for (Map.Entry<Double, Long> e : left.entrySet()) {
            long n = Math.min(e.getValue(), (long) Math.floor((room + UNIT) / e.getKey()));
            if (n > 0) {
                pattern.put(e.getKey(), n);
                room -= n * e.getKey();
            }
        }
        if (pattern.isEmpty()) {
            // longer than what is delivered: a bar of its own, as the laps leave none
            pattern.put(left.firstKey(), 1L);
        }
        long times = pattern.entrySet().stream()
                .mapToLong(e -> left.get(e.getKey()) / e.getValue())
                .min()
                .orElseThrow();
        pattern.forEach((l, n) -> left.merge(l, -n * times, Long::sum));
        left.values().removeIf(n -> n == 0);
        return times;
    }
}
