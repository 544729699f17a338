package kolonne.core.beam;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;

/**
 * The bars that a cut through the line at one place shows.
 *
 * @param y from the web's left face [mm]
 * @param z from the soffit [mm]
 */
public record SectionCut(double x, BeamLine.Span span, List<Spot> bars, BeamCage.Zone zone, int sideBarsPerFace,
                         Bar sideBar) {
    /** One bar. */
    public record Spot(double y, double z, Bar bar, BeamCage.Face face, int layer, boolean through) {}

    public SectionCut {
        bars = List.copyOf(bars);
    }

    /** Cuts the line at {@code x}: bars of a layer spread evenly between the stirrup's legs, through bars outermost. */
    public static SectionCut at(BeamLine line, BeamCage cage, Basis basis, BeamLine.Span span, double x) {
        BeamCage.Zone zone = cage.zoneAt(span.number(), x);
        double edge = basis.beamCover() + (zone == null ? 0 : zone.bar().diameter());
        Map<String, List<BeamCage.Group>> layers = new LinkedHashMap<>();
        for (BeamCage.Group g : cage.groups()) {
            if (x >= g.from() - 1e-6 && x <= g.to() + 1e-6) {
                layers.computeIfAbsent(g.face() + "/" + g.layer(), k -> new ArrayList<>()).add(g);
            }
        }
        List<Spot> bars = new ArrayList<>();
        layers.values().forEach(groups -> spread(groups, span, edge, bars));
        List<BeamCage.SideBars> sides = cage.sideBars().stream().filter(s -> s.span() == span.number()).toList();
        return new SectionCut(x, span, bars, zone, sides.isEmpty() ? 0 : sides.get(0).perFace(),
            sides.isEmpty() ? null : sides.get(0).bar());
    }

    private static void spread(List<BeamCage.Group> groups, BeamLine.Span span, double edge, List<Spot> out) {
        List<List<BeamCage.Group>> order = order(groups);
        double bw = span.shape().webWidth();
        double h = span.shape().depth();
        int count = order.size();
        double first = edge + width(order.get(0)) / 2;
        double last = bw - edge - width(order.get(count - 1)) / 2;
        for (int i = 0; i < count; i++) {
            double y = count == 1 ? bw / 2 : first + (last - first) * i / (count - 1);
            for (int k = 0; k < order.get(i).size(); k++) {
                BeamCage.Group g = order.get(i).get(k);
                double offset = g.offset() + (g.pairs() ? (k - 0.5) * g.bar().diameter() : 0);
                out.add(new Spot(y, g.face() == BeamCage.Face.TOP ? h - offset : offset, g.bar(), g.face(), g.layer(), g.through()));
            }
        }
    }

    /** Width of a bar, or of a pair one above the other [mm]. */
    private static double width(List<BeamCage.Group> unit) {
        return unit.get(0).bar().diameter();
    }

    /** Which groups each place of the layer shows: through bars at evenly spread places, both ends included; bars in pairs two by two, the outer one first. */
    private static List<List<BeamCage.Group>> order(List<BeamCage.Group> groups) {
        List<BeamCage.Group> through = new ArrayList<>();
        List<List<BeamCage.Group>> others = new ArrayList<>();
        List<BeamCage.Group> paired = new ArrayList<>();
        for (BeamCage.Group g : groups) {
            for (int k = 0; k < g.count(); k++) {
                if (g.pairs()) {
                    paired.add(g);
                } else if (g.through()) {
                    through.add(g);
                } else {
                    others.add(List.of(g));
                }
            }
        }
        int half = (paired.size() + 1) / 2;
        for (int k = 0; k < half; k++) {
            others.add(k + half < paired.size() ? List.of(paired.get(k), paired.get(k + half)) : List.of(paired.get(k)));
        }
        List<List<BeamCage.Group>> places = new ArrayList<>(java.util.Collections.nCopies(through.size() + others.size(), null));
        for (int k = 0; k < through.size(); k++) {
            places.set(through.size() == 1 ? 0 : (int) Math.round((double) (places.size() - 1) * k / (through.size() - 1)), List.of(through.get(k)));
        }
        int next = 0;
        for (List<BeamCage.Group> unit : others) {
            while (places.get(next) != null) {
                next++;
            }
            places.set(next, unit);
        }
        return places;
    }

    /** Bars of a face in words, largest layer first, for instance {@code 2T20 + 2T16}. */
    public String words(BeamCage.Face face) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        bars.stream().filter(b -> b.face() == face).sorted((a, b) -> Boolean.compare(b.through(), a.through()))
            .forEach(b -> counts.merge(b.bar().label(), 1, Integer::sum));
        return String.join(" + ", counts.entrySet().stream().map(e -> e.getValue() + e.getKey()).toList());
    }
}
