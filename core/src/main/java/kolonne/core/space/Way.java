package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/** How a bar runs along a line: {along, across, up} of points in order, straight between them [mm]. */
record Way(List<double[]> points) {
    /** A bar is set aside for a lap over a length so many times as long. */
    private static final double SLOPE = 6;

    Way {
        points = List.copyOf(points);
    }

    double from() {
        return points.get(0)[0];
    }

    double to() {
        return points.get(points.size() - 1)[0];
    }

    /** Its point at a place; beyond its ends that of the end. */
    double[] at(double x) {
        for (int i = 1; i < points.size(); i++) {
            double[] a = points.get(i - 1);
            double[] b = points.get(i);
            if (x <= b[0]) {
                double f = Math.max(0, (x - a[0]) / (b[0] - a[0]));
                return new double[] {x, a[1] + f * (b[1] - a[1]), a[2] + f * (b[2] - a[2])};
            }
        }
        double[] end = points.get(points.size() - 1);
        return new double[] {x, end[1], end[2]};
    }

    /** The part between two places. */
    Way between(double a, double b) {
        List<double[]> out = new ArrayList<>(List.of(at(a)));
        points.stream().filter(p -> p[0] > a && p[0] < b).forEach(out::add);
        out.add(at(b));
        return new Way(out);
    }

    /** The same with points at some places more. */
    Way with(List<Double> places) {
        TreeSet<Double> all = new TreeSet<>();
        points.forEach(p -> all.add(p[0]));
        places.stream().filter(x -> x > from() && x < to()).forEach(all::add);
        return new Way(all.stream().map(this::at).toList());
    }

    /** From a place on lifted, so that it lies beside the bar that it laps with; led there before. @param by up [mm] */
    Way lifted(double place, double by) {
        double begin = Math.max(from() + 1, place - SLOPE * Math.abs(by));
        return new Way(with(List.of(begin, place)).points().stream()
                .map(p ->
                        new double[] {p[0], p[1], p[2] + by * Math.max(0, Math.min(1, (p[0] - begin) / (place - begin)))
                        })
                .toList());
    }
}
