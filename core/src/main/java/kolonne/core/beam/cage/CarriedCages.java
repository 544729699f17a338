package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.TypedDemand;
import kolonne.core.model.Member;

/**
 * What was set by hand on lines of a model, moved to the lines that took their place when the model changed. A part goes with the members that it was set
 * on; what has no place any more is told by name and left out, never put somewhere else.
 */
public final class CarriedCages {
    /** Lines that lie as they did, within this [mm]. */
    private static final double SAME = 1;

    private final Map<String, HandCage> hand;
    private final Lines before;
    private final Map<String, Map<String, Double>> beganAt = new HashMap<>();
    private final Map<String, HandCage> now = new LinkedHashMap<>();
    private final Set<String> left = new LinkedHashSet<>();

    /**
     * @param now  cages of lines whose cage is another than before, {@link HandCage#NONE} where none is left
     * @param told what was carried and what was left out, in words
     */
    public record Carried(Map<String, HandCage> now, List<String> told) {}

    /**
     * Beam lines of a model. Members of both models have the same ids where they are the same.
     *
     * @param length of a member [mm]
     */
    public record Lines(List<BeamLine> all, ToDoubleFunction<Member> length) {
        public Lines {
            all = List.copyOf(all);
        }

        /** Where the members of a line begin, and where the last one ends [mm]. */
        private Map<String, Double> beginnings(BeamLine l) {
            Map<String, Double> out = new LinkedHashMap<>();
            for (BeamLine.Span s : l.spans()) {
                double x = s.from();
                for (Member m : s.members()) {
                    out.put(m.id(), x);
                    x += length.applyAsDouble(m);
                }
            }
            return out;
        }

        /** How long the members of a line are [mm]. */
        private Map<String, Double> lengths(BeamLine l) {
            Map<String, Double> out = new HashMap<>();
            l.spans().forEach(s -> s.members().forEach(m -> out.put(m.id(), length.applyAsDouble(m))));
            return out;
        }
    }

    private CarriedCages(Lines before, Map<String, HandCage> hand) {
        this.before = before;
        this.hand = hand;
    }

    /**
     * @param hand   what was set, by id of the line
     * @param before lines of the model as it was, with those ids
     * @param after  lines of the model as it is
     */
    public static Carried carry(Map<String, HandCage> hand, Lines before, Lines after) {
        CarriedCages c = new CarriedCages(before, hand);
        Map<String, BeamLine> old = new HashMap<>();
        before.all().forEach(l -> old.put(l.id(), l));
        Set<String> touched = new HashSet<>();
        for (BeamLine l : after.all()) {
            BeamLine was = old.get(l.id());
            if (was == null || !sameSpans(before, was, after, l)) {
                c.line(l, after, touched);
            }
        }
        Set<String> living = new HashSet<>();
        after.all().forEach(l -> living.add(l.id()));
        for (String id : hand.keySet()) {
            if (!living.contains(id)) {
                c.now.put(id, HandCage.NONE);
                touched.addAll(old.containsKey(id) ? Set.of(id) : Set.of());
            }
        }
        for (String id : touched) {
            c.told(old.get(id), after.all());
        }
        return new Carried(c.now, List.copyOf(c.left));
    }

    private static boolean sameSpans(Lines before, BeamLine a, Lines after, BeamLine b) {
        return membersOf(a).equals(membersOf(b))
                && Math.abs(a.length() - b.length()) <= SAME
                && alike(before.beginnings(a), after.beginnings(b));
    }

    private static boolean alike(Map<String, Double> a, Map<String, Double> b) {
        return a.entrySet().stream().allMatch(e -> Math.abs(e.getValue() - b.get(e.getKey())) <= SAME);
    }

    private static List<List<String>> membersOf(BeamLine l) {
        return l.spans().stream().map(CarriedCages::membersOf).toList();
    }

    private static List<String> membersOf(BeamLine.Span s) {
        return s.members().stream().map(Member::id).toList();
    }

    /** A line of the model as it was that gave members to a new one. @param offset from its places to the new line's [mm] */
    private record Giver(BeamLine line, HandCage cage, double offset, boolean own, Set<String> given) {}

    private void line(BeamLine to, Lines after, Set<String> touched) {
        Map<String, Double> at = after.beginnings(to);
        Map<String, Double> lengths = after.lengths(to);
        List<Giver> givers = new ArrayList<>();
        for (BeamLine from : before.all()) {
            Map<String, Double> was = beganAt(from);
            Set<String> shared = new LinkedHashSet<>(was.keySet());
            shared.retainAll(at.keySet());
            if (shared.isEmpty()) {
                continue;
            }
            HandCage cage = hand.getOrDefault(from.id(), HandCage.NONE);
            String first = shared.iterator().next();
            double offset = at.get(first) - was.get(first);
            Map<String, Double> wasLong = before.lengths(from);
            boolean asItLay = shared.stream()
                    .allMatch(m -> Math.abs(at.get(m) - was.get(m) - offset) <= SAME
                            && Math.abs(lengths.get(m) - wasLong.get(m)) <= SAME);
            givers.add(new Giver(
                    from, asItLay ? cage : HandCage.NONE, offset, from.id().equals(to.id()), shared));
            if (!cage.isEmpty()) {
                touched.add(from.id());
            }
        }
        HandCage cage = cage(to, givers);
        if (!cage.equals(hand.getOrDefault(to.id(), HandCage.NONE))) {
            now.put(to.id(), cage);
        }
    }

    private Map<String, Double> beganAt(BeamLine l) {
        return beganAt.computeIfAbsent(l.id(), k -> before.beginnings(l));
    }

    private HandCage cage(BeamLine to, List<Giver> givers) {
        Map<BeamCage.Face, List<HandCage.Bars>> faces = new TreeMap<>();
        for (BeamCage.Face f : BeamCage.Face.values()) {
            faces(to, givers, f, faces);
        }
        Map<Integer, List<HandCage.Stirrups>> stirrups = new TreeMap<>();
        Map<Integer, HandCage.Sides> sides = new TreeMap<>();
        List<TypedDemand> demands = new ArrayList<>();
        HandCage.TorsionKind torsion = HandCage.TorsionKind.AS_FOUND;
        for (Giver g : givers) {
            spans(to, g, stirrups, sides);
            g.cage().demands().forEach(d -> demand(to, g, d, demands));
            torsion = g.own() ? g.cage().torsion() : torsion;
        }
        return new HandCage(faces, stirrups, sides, demands, torsion);
    }

    /** A face is set as a whole: it is carried where every part of the new line had it set. */
    private static void faces(
            BeamLine to, List<Giver> givers, BeamCage.Face f, Map<BeamCage.Face, List<HandCage.Bars>> out) {
        Set<String> covered = new HashSet<>();
        List<HandCage.Bars> bars = new ArrayList<>();
        for (Giver g : givers) {
            if (g.cage().faces().containsKey(f)) {
                covered.addAll(g.given());
                g.cage().faces().get(f).forEach(b -> bar(to, g, b, bars));
            }
        }
        boolean all = to.spans().stream().allMatch(s -> covered.containsAll(membersOf(s)));
        boolean empty = bars.isEmpty()
                && givers.stream()
                        .anyMatch(g ->
                                !g.cage().faces().getOrDefault(f, List.of()).isEmpty());
        if (all && !covered.isEmpty() && !empty) {
            out.put(f, bars);
        }
    }

    /** A bar with its places in the new line; it reaches no further past an end than the old line's bars did. */
    private static void bar(BeamLine to, Giver g, HandCage.Bars b, List<HandCage.Bars> out) {
        boolean startStays =
                g.given().contains(membersOf(g.line().spans().get(0)).get(0));
        List<String> lastSpan = membersOf(g.line().spans().get(g.line().spans().size() - 1));
        boolean endStays = g.given().contains(lastSpan.get(lastSpan.size() - 1));
        double from = b.from() + g.offset();
        double to2 = b.to() + g.offset();
        double least = startStays ? Double.NEGATIVE_INFINITY : 0;
        double most = endStays ? Double.POSITIVE_INFINITY : to.length();
        double a = Math.max(from, least);
        double z = Math.min(to2, most);
        if (z > a + SAME) {
            out.add(new HandCage.Bars(
                    b.layer(), b.count(), b.bar(), a, z, b.hookFrom() && a == from, b.hookTo() && z == to2, b.pairs()));
        }
    }

    private static void spans(
            BeamLine to, Giver g, Map<Integer, List<HandCage.Stirrups>> stirrups, Map<Integer, HandCage.Sides> sides) {
        for (BeamLine.Span was : g.line().spans()) {
            for (BeamLine.Span s : to.spans()) {
                if (membersOf(was).equals(membersOf(s))) {
                    List<HandCage.Stirrups> z = g.cage().stirrups().get(was.number());
                    if (z != null) {
                        stirrups.put(
                                s.number(), z.stream().map(q -> moved(q, g)).toList());
                    }
                    HandCage.Sides b = g.cage().sides().get(was.number());
                    if (b != null) {
                        sides.put(s.number(), b);
                    }
                }
            }
        }
    }

    private static HandCage.Stirrups moved(HandCage.Stirrups z, Giver g) {
        return new HandCage.Stirrups(z.from() + g.offset(), z.bar(), z.legs(), z.spacing());
    }

    private static void demand(BeamLine to, Giver g, TypedDemand d, List<TypedDemand> out) {
        double from = Math.max(0, d.from() + g.offset());
        double end = Math.min(to.length(), d.to() + g.offset());
        if (end >= from) {
            out.add(new TypedDemand(from, end, d.sagging(), d.hogging(), d.shear(), d.torque()));
        }
    }

    /** Says of a line that was set by hand what of it is found nowhere any more. */
    private void told(BeamLine was, List<BeamLine> after) {
        HandCage cage = hand.get(was.id());
        Set<String> members = beganAt(was).keySet();
        List<BeamLine> holders = after.stream()
                .filter(l ->
                        l.spans().stream().flatMap(s -> s.members().stream()).anyMatch(m -> members.contains(m.id())))
                .toList();
        List<String> lost = new ArrayList<>();
        for (BeamCage.Face f : cage.faces().keySet()) {
            if (holders.stream().anyMatch(l -> !cageNow(l).faces().containsKey(f))) {
                lost.add(f == BeamCage.Face.TOP ? "top bars" : "bottom bars");
            }
        }
        for (BeamLine.Span s : was.spans()) {
            if (cage.stirrups().containsKey(s.number()) && !kept(s, holders, HandCage::stirrups)) {
                lost.add("stirrups of span " + (s.number() + 1));
            }
            if (cage.sides().containsKey(s.number()) && !kept(s, holders, HandCage::sides)) {
                lost.add("side bars of span " + (s.number() + 1));
            }
        }
        boolean torsion = cage.torsion() != HandCage.TorsionKind.AS_FOUND
                && holders.stream().noneMatch(l -> l.id().equals(was.id()));
        if (torsion) {
            lost.add("kind of torsion");
        }
        if (holders.isEmpty()) {
            left.add("set by hand on " + was.mark() + " and left out, since it is gone");
            return;
        }
        String where = String.join(" and ", holders.stream().map(BeamLine::mark).toList());
        if (lost.isEmpty()) {
            left.add("what was set by hand on " + was.mark() + " is carried to " + where);
        } else {
            left.add("set by hand on " + was.mark() + " and left out: " + String.join(", ", lost));
        }
    }

    private HandCage cageNow(BeamLine l) {
        return now.getOrDefault(l.id(), hand.getOrDefault(l.id(), HandCage.NONE));
    }

    private boolean kept(BeamLine.Span was, List<BeamLine> holders, Function<HandCage, Map<Integer, ?>> part) {
        return holders.stream()
                .anyMatch(l -> l.spans().stream()
                        .anyMatch(q -> membersOf(q).equals(membersOf(was))
                                && part.apply(cageNow(l)).containsKey(q.number())));
    }
}
