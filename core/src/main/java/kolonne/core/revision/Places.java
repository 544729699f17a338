package kolonne.core.revision;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Things at places in space, found again by a place that is nearly theirs. */
final class Places<T> {
    /** Places nearer than this are one: models are written to a millimetre, and some to a hundredth of a foot [mm]. */
    static final double NEAR = 10;

    private record Cell(long x, long y, long z) {}

    private record At<T>(double[] place, T what) {}

    private final Map<Cell, List<At<T>>> cells = new HashMap<>();

    private static long cell(double v) {
        return (long) Math.floor(v / (2 * NEAR));
    }

    void put(double[] place, T what) {
        Cell c = new Cell(cell(place[0]), cell(place[1]), cell(place[2]));
        cells.computeIfAbsent(c, k -> new ArrayList<>(1)).add(new At<>(place, what));
    }

    /** What lies at a place, in the order put. */
    List<T> at(double[] place) {
        List<T> out = new ArrayList<>(1);
        for (long x = cell(place[0] - NEAR); x <= cell(place[0] + NEAR); x++) {
            for (long y = cell(place[1] - NEAR); y <= cell(place[1] + NEAR); y++) {
                for (long z = cell(place[2] - NEAR); z <= cell(place[2] + NEAR); z++) {
                    for (At<T> a : cells.getOrDefault(new Cell(x, y, z), List.of())) {
                        if (distance(a.place(), place) <= NEAR) {
                            out.add(a.what());
                        }
                    }
                }
            }
        }
        return out;
    }

    static double distance(double[] a, double[] b) {
        return Math.sqrt((a[0] - b[0]) * (a[0] - b[0]) + (a[1] - b[1]) * (a[1] - b[1]) + (a[2] - b[2]) * (a[2] - b[2]));
    }
}
