package kolonne.server.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.HandSet;

/** What was set or released on a line or column, in words for the history of edits. */
public final class HandSummary {
    private HandSummary() {}

    /** For instance {@code L2-B04: top bars, stirrups of span 2 by hand}. */
    public static String of(String mark, HandCage before, HandCage after) {
        List<String> set = new ArrayList<>();
        List<String> released = new ArrayList<>();
        for (BeamCage.Face f : BeamCage.Face.values()) {
            part(
                    f == BeamCage.Face.TOP ? "top bars" : "bottom bars",
                    before.faces().get(f),
                    after.faces().get(f),
                    set,
                    released);
        }
        spans("stirrups", before.stirrups(), after.stirrups(), set, released);
        spans("side bars", before.sides(), after.sides(), set, released);
        part("demand", empty(before.demands()), empty(after.demands()), set, released);
        part("kind of torsion", kind(before), kind(after), set, released);
        return words(mark, set, released);
    }

    /** For instance {@code C-A1: bars of the lift to L2 by hand}. @param set what is on its lifts now */
    public static String of(ColumnStack stack, HandSet before, HandSet set) {
        List<String> now = new ArrayList<>();
        List<String> released = new ArrayList<>();
        for (ColumnStack.Lift l : stack.lifts()) {
            HandLift a = before.lift(l.member());
            HandLift b = set.lift(l.member());
            String of = " of the lift to " + (l.storey().isEmpty() ? "the top" : l.storey());
            part("bars" + of, a.bars(), b.bars(), now, released);
            part("ties" + of, a.ties(), b.ties(), now, released);
        }
        return words(stack.mark(), now, released);
    }

    private static String words(String mark, List<String> set, List<String> released) {
        List<String> words = new ArrayList<>();
        if (!set.isEmpty()) {
            words.add(String.join(", ", set) + " by hand");
        }
        if (!released.isEmpty()) {
            words.add(String.join(", ", released) + " released");
        }
        return mark + ": " + (words.isEmpty() ? "nothing changed" : String.join("; ", words));
    }

    private static HandCage.TorsionKind kind(HandCage h) {
        return h.torsion() == HandCage.TorsionKind.AS_FOUND ? null : h.torsion();
    }

    private static <V> List<V> empty(List<V> list) {
        return list.isEmpty() ? null : list;
    }

    private static <V> void spans(
            String what, Map<Integer, V> before, Map<Integer, V> after, List<String> set, List<String> released) {
        TreeSet<Integer> all = new TreeSet<>(before.keySet());
        all.addAll(after.keySet());
        all.forEach(k -> part(what + " of span " + (k + 1), before.get(k), after.get(k), set, released));
    }

    private static void part(String what, Object before, Object after, List<String> set, List<String> released) {
        if (!Objects.equals(before, after)) {
            (after == null ? released : set).add(what);
        }
    }
}
