package kolonne.core.design;

import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.column.cage.HandLift;

/**
 * What people have set by hand in a building.
 *
 * @param lines on beam lines, by their ids
 * @param lifts on lifts of columns, by the ids of their members
 */
public record HandSet(Map<String, HandCage> lines, Map<String, HandLift> lifts) {
    public static final HandSet NONE = new HandSet(Map.of(), Map.of());

    public HandSet {
        lines = Collections.unmodifiableMap(new LinkedHashMap<>(lines));
        lifts = Collections.unmodifiableMap(new LinkedHashMap<>(lifts));
    }

    /** Only on beam lines. */
    public static HandSet ofLines(Map<String, HandCage> lines) {
        return new HandSet(lines, Map.of());
    }

    /** Only on lifts. */
    public static HandSet ofLifts(Map<String, HandLift> lifts) {
        return new HandSet(Map.of(), lifts);
    }

    public boolean isEmpty() {
        return lines.isEmpty() && lifts.isEmpty();
    }

    /** What is set on a line. */
    public HandCage line(String id) {
        return lines.getOrDefault(id, HandCage.NONE);
    }

    /** What is set on a lift. @param member of it */
    public HandLift lift(String member) {
        return lifts.getOrDefault(member, HandLift.NONE);
    }

    /** The same with other parts in place of those of the same lines and lifts; what is empty there is released. */
    public HandSet with(HandSet changed) {
        Map<String, HandCage> l = new LinkedHashMap<>(lines);
        l.putAll(changed.lines);
        l.values().removeIf(HandCage::isEmpty);
        Map<String, HandLift> c = new LinkedHashMap<>(lifts);
        c.putAll(changed.lifts);
        c.values().removeIf(HandLift::isEmpty);
        return new HandSet(l, c);
    }

    /** Ids of lines on which other parts are set. */
    public Set<String> otherLines(HandSet o) {
        return differing(lines, o.lines);
    }

    /** Members of lifts on which other parts are set. */
    public Set<String> otherLifts(HandSet o) {
        return differing(lifts, o.lifts);
    }

    private static <V> Set<String> differing(Map<String, V> a, Map<String, V> b) {
        Set<String> out = new HashSet<>(a.keySet());
        out.addAll(b.keySet());
        out.removeIf(id -> Objects.equals(a.get(id), b.get(id)));
        return out;
    }
}
