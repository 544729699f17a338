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
        int through = groups.stream().filter(BeamCage.Group::through).mapToInt(BeamCage.Group::count).sum();
        int count = groups.stream().mapToInt(BeamCage.Group::count).sum();
        List<BeamCage.Group> order = order(groups, count, through);
        double bw = span.shape().webWidth();
        double h = span.shape().depth();
        double first = edge + order.get(0).bar().diameter() / 2;
        double last = bw - edge - order.get(count - 1).bar().diameter() / 2;
        for (int i = 0; i < count; i++) {
            BeamCage.Group g = order.get(i);
            double y = count == 1 ? bw / 2 : first + (last - first) * i / (count - 1);
            double z = g.face() == BeamCage.Face.TOP ? h - g.offset() : g.offset();
            out.add(new Spot(y, z, g.bar(), g.face(), g.layer(), g.through()));
        }
    }

    /** Which group each place of the layer belongs to: through bars at evenly spread places, both ends included. */
    private static List<BeamCage.Group> order(List<BeamCage.Group> groups, int count, int through) {
        BeamCage.Group[] places = new BeamCage.Group[count];
        int at = 0;
        for (BeamCage.Group g : groups) {
            for (int k = 0; g.through() && k < g.count(); k++) {
                places[through == 1 ? 0 : (int) Math.round((double) (count - 1) * at / (through - 1))] = g;
                at++;
            }
        }
        int next = 0;
        for (BeamCage.Group g : groups) {
            for (int k = 0; !g.through() && k < g.count(); k++) {
                while (places[next] != null) {
                    next++;
                }
                places[next] = g;
            }
        }
        return List.of(places);
    }

    /** Bars of a face in words, largest layer first, for instance {@code 2T20 + 2T16}. */
    public String words(BeamCage.Face face) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        bars.stream().filter(b -> b.face() == face).sorted((a, b) -> Boolean.compare(b.through(), a.through()))
            .forEach(b -> counts.merge(b.bar().label(), 1, Integer::sum));
        return String.join(" + ", counts.entrySet().stream().map(e -> e.getValue() + e.getKey()).toList());
    }
}
