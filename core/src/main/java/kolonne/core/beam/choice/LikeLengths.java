package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/**
 * Bars of a line that are of one size and shape are cut to few lengths: shorter ones to that of longer ones where what they are longer by weighs less than a
 * further bar mark costs: of all partitions of their lengths the cheapest, where all of them find room.
 */
final class LikeLengths {
    /** @param hooked whether the bars end in a hook somewhere */
    private record Shape(Bar bar, boolean hooked) {}

    /** Bars of one length. @param room how much longer they may be made [mm] */
    record Cut(int count, double length, double room) {}

    private LikeLengths() {}

    /** The cage with fewer lengths; the same where each is worth its mark. @param stays faces that stay as they are */
    static BeamCage of(BeamLine line, BeamCage cage, Basis basis, Set<BeamCage.Face> stays, boolean fromFirst) {
        Map<Shape, List<Integer>> alike = new LinkedHashMap<>();
        for (int i = 0; i < cage.groups().size(); i++) {
            BeamCage.Group g = cage.groups().get(i);
            if (!(g.hookFrom() && g.hookTo()) && Laps.of(line, g, basis).isEmpty()) {
                alike.computeIfAbsent(new Shape(g.bar(), g.hookFrom() || g.hookTo()), k -> new ArrayList<>())
                        .add(i);
            }
        }
        double[] by = new double[cage.groups().size()];
        alike.forEach((shape, of) -> {
            of.sort(Comparator.comparingDouble(
                    i -> BarLengths.length(cage.groups().get(i), basis)));
            List<Cut> cuts = of.stream()
                    .map(i -> cut(line, cage.groups().get(i), basis, stays))
                    .toList();
            double[] longer =
                    longer(cuts, shape.bar().mass(), basis.practice().costs().mark());
            for (int k = 0; k < longer.length; k++) {
                by[of.get(k)] = longer[k];
            }
        });
        return BarLengths.longer(line, cage, basis, by, fromFirst);
    }

    private static Cut cut(BeamLine line, BeamCage.Group g, Basis basis, Set<BeamCage.Face> stays) {
        double room = stays.contains(g.face()) ? 0 : BarLengths.room(line, g, basis);
        return new Cut(g.count(), BarLengths.length(g, basis), room);
    }

    /**
     * What each of some bars is made longer by [mm].
     *
     * @param cuts of one size and shape, the shortest first
     * @param mass of the bars [kg/m]
     * @param mark what a further length costs [kg]
     */
    static double[] longer(List<Cut> cuts, double mass, double mark) {
        int n = cuts.size();
        double[] cost = new double[n + 1];
        int[] first = new int[n + 1];
        for (int end = 1; end <= n; end++) {
            cost[end] = Double.POSITIVE_INFINITY;
            for (int begin = end - 1; begin >= 0; begin--) {
                double c = cost[begin] + mark + beside(cuts.subList(begin, end), mass, mark);
                if (c < cost[end]) {
                    cost[end] = c;
                    first[end] = begin;
                }
            }
        }
        double[] out = new double[n];
        for (int end = n; end > 0; end = first[end]) {
            double to = cuts.get(end - 1).length();
            for (int k = first[end]; k < end; k++) {
                double by = to - cuts.get(k).length();
                out[k] = by <= cuts.get(k).room() ? by : 0;
            }
        }
        return out;
    }

    /** What bars of the length of the last one cost beside their mark: mass, or a mark of their own where there is no room. */
    private static double beside(List<Cut> cuts, double mass, double mark) {
        double to = cuts.get(cuts.size() - 1).length();
        double out = 0;
        for (Cut c : cuts) {
            double by = to - c.length();
            out += by <= c.room() ? c.count() * by * mass / 1000 : mark;
        }
        return out;
    }
}
