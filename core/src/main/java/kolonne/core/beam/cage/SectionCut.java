package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/**
 * The bars that a cut through the line at one place shows.
 *
 * @param y from the web's left face [mm]
 * @param z from the soffit [mm]
 */
public record SectionCut(
        double x,
        BeamLine.Span span,
        List<Spot> bars,
        BeamCage.Zone zone,
        int sideBarsPerFace,
        Bar sideBar,
        List<BeamCage.Spacers> spacers) {
    /** One bar. */
    public record Spot(double y, double z, Bar bar, BeamCage.Face face, int layer, boolean through) {}

    public SectionCut {
        bars = List.copyOf(bars);
        spacers = List.copyOf(spacers);
    }

    /** Cuts the line at {@code x}: bars as they lie by {@link FaceLayout}. */
    public static SectionCut at(BeamLine line, BeamCage cage, Basis basis, BeamLine.Span span, double x) {
        List<Spot> bars = new ArrayList<>();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            FaceLayout.of(cage, span, face, x, basis)
                    .units()
                    .forEach(u -> show(u, span.shape().depth(), bars));
        }
        List<BeamCage.SideBars> sides =
                cage.sideBars().stream().filter(s -> s.span() == span.number()).toList();
        return new SectionCut(
                x,
                span,
                bars,
                cage.zoneAt(span.number(), x),
                sides.isEmpty() ? 0 : sides.get(0).perFace(),
                sides.isEmpty() ? null : sides.get(0).bar(),
                spacers(LayerSpacers.of(line, cage, basis), span, x, bars));
    }

    /** Those of the span next to the cut, one between each two layers that it shows. */
    private static List<BeamCage.Spacers> spacers(
            List<BeamCage.Spacers> all, BeamLine.Span span, double x, List<Spot> bars) {
        Map<String, BeamCage.Spacers> next = new LinkedHashMap<>();
        for (BeamCage.Spacers s : all) {
            if (s.span() == span.number()
                    && bars.stream().anyMatch(b -> b.face() == s.face() && b.layer() == s.layer())) {
                next.merge(s.face() + " " + s.layer(), s, (a, b) -> a.from(x) <= b.from(x) ? a : b);
            }
        }
        return List.copyOf(next.values());
    }

    private static void show(FaceLayout.Unit u, double h, List<Spot> out) {
        for (int k = 0; k < u.groups().size(); k++) {
            BeamCage.Group g = u.groups().get(k);
            double offset = g.offset() + (g.pairs() ? (k - 0.5) * g.bar().diameter() : 0);
            out.add(new Spot(
                    u.y(),
                    g.face() == BeamCage.Face.TOP ? h - offset : offset,
                    g.bar(),
                    g.face(),
                    g.layer(),
                    g.through()));
        }
    }

    /** Bars of a face in words, largest layer first, for instance {@code 2T20 + 2T16}. */
    public String words(BeamCage.Face face) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        bars.stream()
                .filter(b -> b.face() == face)
                .sorted((a, b) -> Boolean.compare(b.through(), a.through()))
                .forEach(b -> counts.merge(b.bar().label(), 1, Integer::sum));
        return String.join(
                " + ",
                counts.entrySet().stream().map(e -> e.getValue() + e.getKey()).toList());
    }
}
