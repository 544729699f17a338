package kolonne.core.column.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.part.Preference;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;

/** Lifts whose bars are to be the same, since the basis lets them change only after some storeys. */
final class SameBars {
    private SameBars() {}

    /** Runs of lifts of one section, by their numbers from the foot, whose bars differ and should not; none with bars that people have set. */
    static List<List<Integer>> runs(ColumnStack stack, ColumnCage free, ColumnContext context) {
        int every = context.basis().practice().sameBarsThrough();
        List<List<Integer>> out = new ArrayList<>();
        if (every <= 1 || context.basis().bars().preference() != Preference.PRACTICAL) {
            return out;
        }
        List<Integer> run = new ArrayList<>();
        for (int i = 0; i < stack.lifts().size(); i++) {
            if (stack.sinceStep(i) % every == 0) {
                run = new ArrayList<>();
                out.add(run);
            }
            run.add(i);
        }
        out.removeIf(r -> r.stream().map(i -> bars(free, i)).distinct().count() < 2
                || r.stream().anyMatch(i -> fixed(stack.lifts().get(i), context)));
        return out;
    }

    private static boolean fixed(ColumnStack.Lift lift, ColumnContext context) {
        return context.hand(lift).bars() != null;
    }

    private static BarLayout bars(ColumnCage cage, int lift) {
        return cage.lifts().get(lift).layout().unheld();
    }

    /** The bars of a run with most steel, those of the lowest lift where several have as much. */
    static BarLayout strongest(List<Integer> run, ColumnCage free) {
        return run.stream()
                .max(Comparator.<Integer>comparingDouble(
                                i -> free.lifts().get(i).area())
                        .thenComparing(Comparator.reverseOrder()))
                .map(i -> bars(free, i))
                .orElseThrow();
    }

    /** The runs with which no lift fails that did not fail before. @param all stacks that share the cage */
    static List<List<Integer>> serve(
            List<List<Integer>> runs, List<ColumnStack> all, ColumnCage free, ColumnCage kept, ColumnContext context) {
        List<List<Integer>> out = new ArrayList<>(runs);
        for (ColumnStack s : all) {
            int lifts = s.lifts().size();
            ColumnDesign before = ColumnCheck.run(s, free.upTo(lifts), context);
            ColumnDesign after = ColumnCheck.run(s, kept.upTo(lifts), context);
            // a run decides as well how the bars of the lift below it go on
            out.removeIf(r -> r.stream().anyMatch(i -> worse(before, after, i))
                    || r.get(0) > 0 && worse(before, after, r.get(0) - 1));
        }
        return out;
    }

    private static boolean worse(ColumnDesign before, ColumnDesign after, int lift) {
        return lift < before.lifts().size() && satisfied(before, lift) && !satisfied(after, lift);
    }

    private static boolean satisfied(ColumnDesign d, int lift) {
        return d.lifts().get(lift).checks().stream().allMatch(c -> c.satisfied());
    }
}
