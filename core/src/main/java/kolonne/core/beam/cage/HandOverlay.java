package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/** Puts what a person has set in the place of Kolonne's choice. */
public final class HandOverlay {
    /** How near the end of the line a bar counts as running to it [mm]. */
    private static final double AT_END = 1;

    private final BeamLine line;
    private final Basis basis;
    private final HandCage hand;

    public HandOverlay(BeamLine line, Basis basis, HandCage hand) {
        this.line = line;
        this.basis = basis;
        this.hand = hand;
    }

    /** Whether both faces are set by hand. */
    public boolean allBars() {
        return hand.faces().size() == BeamCage.Face.values().length;
    }

    /** The groups with hand-set faces in place of chosen ones. */
    public List<BeamCage.Group> groups(List<BeamCage.Group> chosen, Bar stirrup) {
        List<BeamCage.Group> out = new ArrayList<>();
        for (BeamCage.Face face : BeamCage.Face.values()) {
            if (hand.faces().containsKey(face)) {
                out.addAll(LayerLevels.of(
                        hand.faces().get(face).stream().map(b -> group(face, b)).toList(), stirrup, basis));
            } else {
                chosen.stream().filter(g -> g.face() == face).forEach(out::add);
            }
        }
        return out;
    }

    /** Bars that no longer fit between the ends of the line are shown up to them; a finding says so. */
    private BeamCage.Group group(BeamCage.Face face, HandCage.Bars b) {
        double start = line.firstBar(basis);
        double end = line.lastBar(basis);
        double from = b.from() <= start + AT_END ? start : Math.min(b.from(), end - AT_END);
        double to = b.to() >= end - AT_END ? end : Math.max(b.to(), from + AT_END);
        return new BeamCage.Group(
                face,
                b.layer(),
                b.count(),
                b.bar(),
                0,
                from,
                to,
                b.hookFrom() && from == start,
                b.hookTo() && to == end,
                from == start && to == end,
                b.pairs());
    }

    /** The zones with hand-set spans in place of chosen ones. */
    public List<BeamCage.Zone> zones(List<BeamCage.Zone> chosen) {
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            List<HandCage.Stirrups> set = hand.stirrups().getOrDefault(s.number(), List.of());
            if (set.isEmpty()) {
                chosen.stream().filter(z -> z.span() == s.number()).forEach(out::add);
            } else {
                zones(
                        s,
                        set.stream()
                                .sorted(Comparator.comparingDouble(HandCage.Stirrups::from))
                                .toList(),
                        out);
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
    public List<BeamCage.SideBars> sides(
            List<BeamCage.SideBars> chosen,
            java.util.function.BiFunction<BeamLine.Span, HandCage.Sides, BeamCage.SideBars> laid) {
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
    public static boolean outside(BeamLine line, Basis basis, HandCage hand) {
        double start = line.firstBar(basis) - AT_END;
        double end = line.lastBar(basis) + AT_END;
        int spans = line.spans().size();
        return hand.faces().values().stream()
                        .flatMap(List::stream)
                        .anyMatch(b -> b.from() < start || b.to() > end || b.from() > end)
                || hand.stirrups().keySet().stream().anyMatch(k -> k >= spans)
                || hand.sides().keySet().stream().anyMatch(k -> k >= spans);
    }
}
