package kolonne.core.beam;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;

/** Puts what a person has set in the place of Kolonne's choice. */
final class HandOverlay {
    /** How near the end of the line a bar counts as running to it [mm]. */
    private static final double AT_END = 1;

    private final BeamLine line;
    private final Basis basis;
    private final HandCage hand;

    HandOverlay(BeamLine line, Basis basis, HandCage hand) {
        this.line = line;
        this.basis = basis;
        this.hand = hand;
    }

    /** Whether both faces are set by hand. */
    boolean allBars() {
        return hand.faces().size() == BeamCage.Face.values().length;
    }

    /** The groups with hand-set faces in place of chosen ones. */
    List<BeamCage.Group> groups(List<BeamCage.Group> chosen, Bar stirrup) {
        List<BeamCage.Group> out = new ArrayList<>();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            if (hand.faces().containsKey(face)) {
                hand.faces().get(face).forEach(b -> out.add(group(face, b, stirrup)));
            } else {
                chosen.stream().filter(g -> g.face() == face).forEach(out::add);
            }
        }
        return out;
    }

    /** Bars that no longer fit between the ends of the line are shown up to them; a finding says so. */
    private BeamCage.Group group(BeamCage.Face face, HandCage.Bars b, Bar stirrup) {
        double start = GroupLayout.start(line, basis);
        double end = GroupLayout.end(line, basis);
        double from = b.from() <= start + AT_END ? start : Math.min(b.from(), end - AT_END);
        double to = b.to() >= end - AT_END ? end : Math.max(b.to(), from + AT_END);
        return new BeamCage.Group(face, b.layer(), b.count(), b.bar(), offset(face, b, stirrup), from, to, b.hookFrom() && from == start,
            b.hookTo() && to == end, from == start && to == end, b.pairs());
    }

    /** From the face to the middle of the bars: layers lie clear of each other below the largest bars of those before that they meet. */
    private double offset(BeamCage.Face face, HandCage.Bars b, Bar stirrup) {
        double level = basis.beamCover() + stirrup.diameter();
        for (int layer = 1; layer < b.layer(); layer++) {
            double next = largest(face, layer + 1, b, Math.sqrt(2));
            double clear = layer + 1 < b.layer() ? next : Math.max(size(b, Math.sqrt(2)), next);
            level += largest(face, layer, b, 2) + Math.max(basis.designCode().detailing().layerClearSpacing(basis.aggregate()), clear);
        }
        return level + size(b, 2) / 2;
    }

    /** @param pair what counts of two bars that touch: 2 diameters of their height, √2 as one bar of the same area */
    private double largest(BeamCage.Face face, int layer, HandCage.Bars b, double pair) {
        return hand.faces().get(face).stream().filter(q -> q.layer() == layer && q.from() < b.to() && q.to() > b.from()).mapToDouble(q -> size(q, pair)).max().orElse(0);
    }

    private static double size(HandCage.Bars b, double pair) {
        return (b.pairs() ? pair : 1) * b.bar().diameter();
    }

    /** The zones with hand-set spans in place of chosen ones. */
    List<BeamCage.Zone> zones(List<BeamCage.Zone> chosen) {
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            List<HandCage.Stirrups> set = hand.stirrups().getOrDefault(s.number(), List.of());
            if (set.isEmpty()) {
                chosen.stream().filter(z -> z.span() == s.number()).forEach(out::add);
            } else {
                zones(s, set.stream().sorted(Comparator.comparingDouble(HandCage.Stirrups::from)).toList(), out);
            }
        }
        return out;
    }

    private static void zones(BeamLine.Span s, List<HandCage.Stirrups> set, List<BeamCage.Zone> out) {
        double from = s.faceFrom();
        for (int k = 0; k < set.size(); k++) {
            HandCage.Stirrups z = set.get(k);
            double to = k + 1 < set.size() ? Math.min(set.get(k + 1).from(), s.faceTo()) : s.faceTo();
            if (to > from) {
                out.add(new BeamCage.Zone(s.number(), from, to, z.bar(), z.legs(), z.spacing()));
                from = to;
            }
        }
    }

    /** Side bars with hand-set spans in place of chosen ones; hand-set bars run and are anchored as chosen ones are. */
    List<BeamCage.SideBars> sides(List<BeamCage.SideBars> chosen, java.util.function.BiFunction<BeamLine.Span, HandCage.Sides, BeamCage.SideBars> laid) {
        List<BeamCage.SideBars> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            HandCage.Sides set = hand.sides().get(s.number());
            if (set == null) {
                chosen.stream().filter(b -> b.span() == s.number()).forEach(out::add);
            } else if (set.perFace() > 0) {
                out.add(laid.apply(s, set));
            }
        }
        return out;
    }

    /** Whether bars reach past the line, which must have become shorter since they were set. */
    static boolean outside(BeamLine line, Basis basis, HandCage hand) {
        double start = GroupLayout.start(line, basis) - AT_END;
        double end = GroupLayout.end(line, basis) + AT_END;
        int spans = line.spans().size();
        return hand.faces().values().stream().flatMap(List::stream).anyMatch(b -> b.from() < start || b.to() > end || b.from() > end)
            || hand.stirrups().keySet().stream().anyMatch(k -> k >= spans) || hand.sides().keySet().stream().anyMatch(k -> k >= spans);
    }
}
