package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import kolonne.core.column.line.ColumnStack;

/** What becomes of parts set by hand on lifts when the model changes: each goes with the member of its lift. */
public final class CarriedLifts {
    private CarriedLifts() {}

    /**
     * @param now  what is set on lifts that have other parts than before, {@link HandLift#NONE} where none are left
     * @param told what has no place any more, in sentences
     */
    public record Carried(Map<String, HandLift> now, List<String> told) {}

    /**
     * @param hand    what was set, by member
     * @param renamed the member that one of the model as it was is in the model as it is; null where there is none
     * @param before  stacks of the model as it was, {@code after} as it is
     */
    public static Carried carry(
            Map<String, HandLift> hand,
            UnaryOperator<String> renamed,
            List<ColumnStack> before,
            List<ColumnStack> after) {
        Map<String, String> lifts = words(after);
        Map<String, String> were = words(before);
        Map<String, HandLift> goes = new LinkedHashMap<>();
        List<String> told = new ArrayList<>();
        hand.forEach((member, set) -> {
            String to = renamed.apply(member);
            if (to != null && lifts.containsKey(to)) {
                goes.put(to, set);
            } else if (were.containsKey(member)) {
                told.add("set by hand on " + were.get(member) + " and lost: the lift is no more");
            }
        });
        Map<String, HandLift> now = new LinkedHashMap<>();
        hand.keySet().stream().filter(m -> !goes.containsKey(m)).forEach(m -> now.put(m, HandLift.NONE));
        goes.forEach((m, set) -> {
            if (!set.equals(hand.get(m))) {
                now.put(m, set);
            }
        });
        return new Carried(now, told);
    }

    /** A lift in words, by its member. */
    private static Map<String, String> words(List<ColumnStack> stacks) {
        Map<String, String> out = new HashMap<>();
        for (ColumnStack s : stacks) {
            s.lifts()
                    .forEach(l -> out.put(
                            l.member(), s.mark() + ", lift to " + (l.storey().isEmpty() ? "top" : l.storey())));
        }
        return out;
    }
}
