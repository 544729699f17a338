package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import kolonne.core.analysis.Analysis;

/**
 * Demands of several lines of like geometry, as if one of them bore them all: the combinations of every line, at the places of the one that lie alike.
 * Combinations that are nowhere the largest of any kind are left out; a cage that is chosen by these is checked with every line's own afterwards.
 */
public final class SharedDemands {
    /** Places this near to each other, as parts of their spans, are the same place. */
    private static final double SAME_PLACE = 0.02;
    /** A combination decides only where it exceeds another by this part. */
    private static final double MORE = 1e-3;

    private final BeamLine base;
    private final int[] first;

    private SharedDemands(BeamLine base) {
        this.base = base;
        this.first = starts(base);
    }

    /** @param base the line that stands for all; @param demands of each line */
    public static LineDemands of(BeamLine base, List<BeamLine> lines, Function<BeamLine, LineDemands> demands) {
        SharedDemands s = new SharedDemands(base);
        List<LineDemands.Borne> all = new ArrayList<>();
        for (BeamLine l : lines) {
            s.add(l, demands.apply(l), all);
        }
        return new LineDemands(s.decisive(all), spread(base, lines));
    }

    /** Largest difference of a clear span. */
    private static double spread(BeamLine base, List<BeamLine> lines) {
        double most = 0;
        for (BeamLine.Span s : base.spans()) {
            for (BeamLine l : lines) {
                most = Math.max(
                        most, Math.abs(s.clear() - l.spans().get(s.number()).clear()));
            }
        }
        return most;
    }

    /** By span: number of its first station; at the end the number of stations. */
    private static int[] starts(BeamLine line) {
        int[] out = new int[line.spans().size() + 1];
        java.util.Arrays.fill(out, line.stations().size());
        for (BeamLine.Station s : line.stations()) {
            out[s.span()] = Math.min(out[s.span()], s.number());
        }
        return out;
    }

    private void add(BeamLine line, LineDemands d, List<LineDemands.Borne> out) {
        int[] starts = starts(line);
        for (int c = 0; c < d.count(); c++) {
            double[][] at = new double[base.stations().size()][];
            double[] shear = new double[at.length];
            boolean earthquake = d.hasEarthquake(c);
            for (BeamLine.Station s : base.stations()) {
                at[s.number()] = at(s, line, starts, d, c);
                shear[s.number()] = earthquake ? nearest(s, line, starts, d, c) : 0;
            }
            out.add(new LineDemands.Borne(at, earthquake, shear));
        }
    }

    /** Earthquake's part of the shear at the nearest place that is known of the line: along a span it changes little. */
    private double nearest(BeamLine.Station s, BeamLine line, int[] starts, LineDemands d, int c) {
        double part = part(s, base);
        BeamLine.Station best = line.stations().get(starts[s.span()]);
        for (int i = starts[s.span()]; i < starts[s.span() + 1]; i++) {
            BeamLine.Station q = line.stations().get(i);
            best = Math.abs(part(q, line) - part) < Math.abs(part(best, line) - part) ? q : best;
        }
        return d.earthquakeShear(best, c);
    }

    private double[] at(BeamLine.Station s, BeamLine line, int[] starts, LineDemands d, int c) {
        int k = s.span();
        double part = part(s, base);
        int same = starts[k] + s.number() - first[k];
        boolean alike = starts[k + 1] - starts[k] == first[k + 1] - first[k];
        if (alike && Math.abs(part(line.stations().get(same), line) - part) < SAME_PLACE) {
            return components(line.stations().get(same), d, c, null, 0);
        }
        int i = starts[k];
        while (i + 2 < starts[k + 1] && part(line.stations().get(i + 1), line) < part) {
            i++;
        }
        BeamLine.Station a = line.stations().get(i);
        BeamLine.Station b = line.stations().get(Math.min(i + 1, starts[k + 1] - 1));
        double way = part(b, line) - part(a, line);
        double t = way > 0 ? Math.max(0, Math.min(1, (part - part(a, line)) / way)) : 0;
        return components(a, d, c, b, t);
    }

    private static double[] components(BeamLine.Station a, LineDemands d, int c, BeamLine.Station b, double t) {
        double[] out = new double[LineDemands.COMPONENTS];
        for (int k = 0; k < out.length; k++) {
            out[k] = d.at(a, c, k) + (b == null ? 0 : t * (d.at(b, c, k) - d.at(a, c, k)));
        }
        return out;
    }

    /** Where a station lies between the faces of its span: 0 at the left one, 1 at the right one. */
    private static double part(BeamLine.Station s, BeamLine line) {
        BeamLine.Span span = line.spans().get(s.span());
        return (s.x() - span.faceFrom()) / span.clear();
    }

    /** Those that are the largest of a kind somewhere. */
    private List<LineDemands.Borne> decisive(List<LineDemands.Borne> all) {
        Set<Integer> kept = new TreeSet<>();
        for (int s = 0; s < base.stations().size(); s++) {
            for (int kind = 0; kind < 6; kind++) {
                keep(all, s, kind, false, kept);
            }
            // shear of a ductile frame is that beside earthquake
            keep(all, s, 2, true, kept);
            keep(all, s, 3, true, kept);
        }
        return kept.stream().map(all::get).toList();
    }

    /** Keeps the combination that is the largest of a kind at a station, of all or of those with earthquake. */
    private void keep(List<LineDemands.Borne> all, int station, int kind, boolean earthquake, Set<Integer> kept) {
        int most = -1;
        double largest = Double.NEGATIVE_INFINITY;
        for (int c = 0; c < all.size(); c++) {
            double now = size(all.get(c).forces()[station], kind);
            if ((all.get(c).earthquake() || !earthquake) && (most < 0 || now > largest + MORE * Math.abs(largest))) {
                most = c;
                largest = now;
            }
        }
        if (most >= 0) {
            kept.add(most);
        }
    }

    /** Sagging, hogging, shear either way, torsion, and shear with torsion by the width of the web. */
    private double size(double[] f, int kind) {
        double width = base.spans().get(0).shape().webWidth();
        return switch (kind) {
            case 0 -> f[Analysis.MY];
            case 1 -> -f[Analysis.MY];
            case 2 -> f[Analysis.VZ];
            case 3 -> -f[Analysis.VZ];
            case 4 -> Math.abs(f[Analysis.T]);
            default -> Math.abs(f[Analysis.VZ]) + 2 * Math.abs(f[Analysis.T]) / width;
        };
    }
}
