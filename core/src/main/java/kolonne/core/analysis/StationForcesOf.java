package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/** Internal forces along one member, exact from statics. */
final class StationForcesOf {
    /** Half the distance between the two stations at a point load [mm]. */
    private static final double EITHER_SIDE = 0.01;
    private static final int EQUAL_PARTS = 10;

    private StationForcesOf() {}

    /** Stations from clear end to clear end in equal parts, with both sides of every point load. */
    static double[] stations(Element e, Iterable<List<SpanLoad>> loadsByCase) {
        double a = e.member.rigidStart();
        TreeSet<Double> at = new TreeSet<>();
        for (int i = 0; i <= EQUAL_PARTS; i++) {
            at.add(a + e.clear * i / EQUAL_PARTS);
        }
        for (List<SpanLoad> loads : loadsByCase) {
            for (SpanLoad l : loads) {
                if (l.isPoint() && l.from() > a + 1 && l.from() < a + e.clear - 1) {
                    at.add(l.from() - EITHER_SIDE);
                    at.add(l.from() + EITHER_SIDE);
                }
            }
        }
        List<Double> merged = new ArrayList<>(at);
        return merged.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** Writes six components per station into {@code out} from {@code offset}. */
    static void fill(Element e, double[] end, List<SpanLoad> loads, double[] stations, double[] out, int offset) {
        double a = e.member.rigidStart();
        for (int s = 0; s < stations.length; s++) {
            double x = stations[s];
            int o = offset + 6 * s;
            double arm = x - a;
            out[o] = -end[0];
            out[o + 1] = end[1];
            out[o + 2] = end[2];
            out[o + 3] = -end[3];
            out[o + 4] = end[4] + end[2] * arm;
            out[o + 5] = -end[5] + end[1] * arm;
            for (SpanLoad l : loads) {
                add(l, a, x, out, o);
            }
        }
    }

    private static void add(SpanLoad l, double a, double x, double[] out, int o) {
        double from = Math.max(l.from(), a);
        if (l.isPoint()) {
            if (l.from() >= a && l.from() < x) {
                point(l.q1(), x - l.from(), out, o);
                out[o + 3] -= l.q2()[0];
                out[o + 4] += l.q2()[1];
                out[o + 5] -= l.q2()[2];
            }
            return;
        }
        double to = Math.min(l.to(), x);
        if (to <= from) {
            return;
        }
        double c = to - from;
        for (int k = 0; k < 3; k++) {
            double q1 = l.at(from, k);
            double q2 = l.at(to, k);
            double total = (q1 + q2) / 2 * c;
            // moment of the trapezium about its far end, plus its resultant times the rest of the way
            double moment = (2 * q1 + q2) / 6 * c * c + total * (x - to);
            if (k == 0) {
                out[o] -= total;
            } else if (k == 1) {
                out[o + 1] += total;
                out[o + 5] += moment;
            } else {
                out[o + 2] += total;
                out[o + 4] += moment;
            }
        }
    }

    private static void point(double[] f, double arm, double[] out, int o) {
        out[o] -= f[0];
        out[o + 1] += f[1];
        out[o + 2] += f[2];
        out[o + 4] += f[2] * arm;
        out[o + 5] += f[1] * arm;
    }
}
