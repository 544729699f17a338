package kolonne.core.detail;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.explain.Quantity;

/** How the bars of a lift stand, in words: those that go on, those that end, dowels, starter bars. */
public final class StandingWords {
    private StandingWords() {}

    /** A line for bars that stand alike. @param cage of the whole stack */
    public static List<String> of(ColumnStack stack, int number, ColumnCage cage, Basis basis) {
        ColumnStack.Lift lift = stack.lifts().get(number);
        double floor = lift.top() - lift.base() + lift.inHead();
        Map<String, Map<Bar, Integer>> alike = new LinkedHashMap<>();
        List<VerticalBars.Standing> standing = VerticalBars.in(stack, number, cage, basis);
        for (VerticalBars.Standing s : standing) {
            alike.computeIfAbsent(words(s, lift, floor, basis), k -> new LinkedHashMap<>())
                    .merge(s.bar(), 1, Integer::sum);
        }
        List<String> out = new ArrayList<>();
        alike.forEach((words, bars) -> {
            List<String> counts = new ArrayList<>();
            bars.forEach((bar, n) -> counts.add(n + bar.label()));
            out.add(String.join(" + ", counts) + " " + words);
        });
        if (standing.stream().noneMatch(VerticalBars.Standing::own)) {
            out.add(cage.lifts().get(number).layout().words() + " pass on through the lift above in one piece");
        }
        return out;
    }

    private static boolean onBeam(ColumnStack.Lift lift) {
        return lift.planted() && lift.inFoot() > 0;
    }

    private static String words(VerticalBars.Standing s, ColumnStack.Lift lift, double floor, Basis basis) {
        boolean us = basis.usUnits();
        String over = Quantity.LENGTH.text(s.to() - floor, us) + " above the floor";
        String begin = s.own() && s.from() < 0 ? "come through the lift below, " : "";
        return switch (s.use()) {
            case ON ->
                begin + "go on to " + over
                        + (s.crank() == null
                                ? ""
                                : ", bent aside "
                                        + Quantity.LENGTH.text(s.crank().aside(), us) + " over "
                                        + Quantity.LENGTH.text(
                                                s.crank().to() - s.crank().from(), us));
            case COUPLED -> begin + "coupled with the bars above, " + over;
            case ENDS -> begin + "end under the top of the floor, " + (s.hookHead() ? "bent" : "straight");
            case DOWEL ->
                "dowels, " + Quantity.LENGTH.text(floor - s.from(), us) + " down and "
                        + Quantity.LENGTH.text(s.to() - floor, us) + " up from the floor";
            case STARTER ->
                "starter bars, " + Quantity.LENGTH.text((onBeam(lift) ? lift.inFoot() : 0) - s.from(), us)
                        + " into the "
                        + (onBeam(lift) ? "beam" : "foundation") + ", "
                        + Quantity.LENGTH.text(s.to() - lift.inFoot(), us) + " up";
        };
    }
}
