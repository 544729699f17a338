package kolonne.core.beam.line;

import java.util.List;
import kolonne.core.analysis.Analysis;

/**
 * Largest moments and shears of the combinations at any place of a span. Between two stations the moment of a combination is the cubic that has its
 * moments and its shears (V = dM/dx) at both: exact for loads that vary linearly between them, and every load that jumps has stations on either
 * side. Where demands are typed, whose shears belong to no moments, it is straight.
 */
public final class Envelope {
    /** Stations on either side of a place where a load stands are nearer to it [mm]. */
    private static final double SAME_PLACE = 1;

    private final BeamLine line;
    private final LineDemands demands;
    /** By span: numbers of its first and last station. */
    private final int[][] range;

    public Envelope(BeamLine line, LineDemands demands) {
        this.line = line;
        this.demands = demands;
        this.range = new int[line.spans().size()][];
        for (BeamLine.Station s : line.stations()) {
            int[] r = range[s.span()];
            range[s.span()] = r == null ? new int[] {s.number(), s.number()} : new int[] {r[0], s.number()};
        }
    }

    /** Largest sagging or hogging moment by size at a place of a span; before its first station that of the station [Nmm]. */
    public double at(double x, BeamLine.Span span, boolean sagging) {
        List<BeamLine.Station> st = line.stations();
        int i = range[span.number()][0];
        int last = range[span.number()][1];
        while (i < last && st.get(i + 1).x() <= x) {
            i++;
        }
        double most = 0;
        for (int c = 0; c < demands.count(); c++) {
            double m = i == last || x <= st.get(i).x()
                    ? demands.at(st.get(i), c, Analysis.MY)
                    : between(st.get(i), st.get(i + 1), c, x);
            most = Math.max(most, sagging ? m : -m);
        }
        return most;
    }

    /** Largest shear by size at a place of a span, where it jumps on the larger side: the slope of the moment [N]. */
    public double shear(double x, BeamLine.Span span) {
        List<BeamLine.Station> st = line.stations();
        int first = range[span.number()][0];
        int last = range[span.number()][1];
        double at = -1;
        int before = first;
        for (int i = first; i <= last; i++) {
            if (Math.abs(st.get(i).x() - x) <= SAME_PLACE) {
                at = Math.max(at, shear(st.get(i)));
            }
            before = st.get(i).x() < x ? i : before;
        }
        if (at >= 0) {
            return at;
        }
        if (before == last || x < st.get(first).x()) {
            return shear(st.get(before));
        }
        double most = 0;
        for (int c = 0; c < demands.count(); c++) {
            most = Math.max(most, shearBetween(st.get(before), st.get(before + 1), c, x));
        }
        return most;
    }

    private double shear(BeamLine.Station s) {
        double most = 0;
        for (int c = 0; c < demands.count(); c++) {
            most = Math.max(most, Math.abs(demands.at(s, c, Analysis.VZ)));
        }
        return most;
    }

    private double shearBetween(BeamLine.Station a, BeamLine.Station b, int c, double x) {
        double h = b.x() - a.x();
        double t = (x - a.x()) / h;
        double va = demands.at(a, c, Analysis.VZ);
        double vb = demands.at(b, c, Analysis.VZ);
        if (demands.typed()) {
            return Math.abs(va + t * (vb - va));
        }
        double slope = (demands.at(b, c, Analysis.MY) - demands.at(a, c, Analysis.MY)) / h;
        return Math.abs(slope + (va - slope) * (1 - t) * (1 - 3 * t) + (vb - slope) * t * (3 * t - 2));
    }

    private double between(BeamLine.Station a, BeamLine.Station b, int c, double x) {
        double h = b.x() - a.x();
        double t = (x - a.x()) / h;
        double ma = demands.at(a, c, Analysis.MY);
        double mb = demands.at(b, c, Analysis.MY);
        double straight = ma + t * (mb - ma);
        if (demands.typed()) {
            return straight;
        }
        // what the shears at the ends differ from the slope of the chord bends the line
        double slope = (mb - ma) / h;
        double va = demands.at(a, c, Analysis.VZ) - slope;
        double vb = demands.at(b, c, Analysis.VZ) - slope;
        return straight + h * t * (1 - t) * (va * (1 - t) - vb * t);
    }

    /** Places of a span between two that see every station and halve the ways between them. */
    public List<Double> places(double from, double to, BeamLine.Span span) {
        java.util.TreeSet<Double> out = new java.util.TreeSet<>(List.of(from, to));
        for (int i = range[span.number()][0]; i <= range[span.number()][1]; i++) {
            double x = line.stations().get(i).x();
            if (x > from && x < to) {
                out.add(x);
            }
        }
        List<Double> ends = List.copyOf(out);
        for (int i = 0; i + 1 < ends.size(); i++) {
            out.add((ends.get(i) + ends.get(i + 1)) / 2);
        }
        return List.copyOf(out);
    }
}
