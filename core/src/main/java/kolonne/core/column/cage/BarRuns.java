package kolonne.core.column.cage;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/**
 * Lifts that the bars of a column pass through as one piece, counted from its foot: by the basis bars lap with those below only after some storeys. They do so
 * sooner where the section, the bars or the size of the ties change, and where one piece would be longer than bars are delivered.
 */
public final class BarRuns {
    /** What ended the run of the lift below. */
    public enum End {
        /** As many storeys as the basis says, or the foot of the column. */
        DUE,
        SECTION,
        BARS,
        TIES,
        LENGTH
    }

    private final ColumnStack stack;
    private final ColumnCage cage;
    private final Basis basis;
    /** By lift: the lift that its bars begin in, and what ended those below it. */
    private final int[] begin;

    private final End[] why;

    private BarRuns(ColumnStack stack, ColumnCage cage, Basis basis) {
        this.stack = stack;
        this.cage = cage;
        this.basis = basis;
        this.begin = new int[stack.lifts().size()];
        this.why = new End[begin.length];
    }

    /** Of a stack with its whole cage. */
    public static BarRuns of(ColumnStack stack, ColumnCage cage, Basis basis) {
        BarRuns r = new BarRuns(stack, cage, basis);
        r.why[0] = End.DUE;
        for (int i = 1; i < r.begin.length; i++) {
            r.why[i] = r.end(r.begin[i - 1], i);
            r.begin[i] = r.why[i] == null ? r.begin[i - 1] : i;
        }
        return r;
    }

    /** The lift that the bars which stand in a lift begin in. */
    int begin(int number) {
        return begin[number];
    }

    /** The lift at whose head they end or lap. */
    int last(int number) {
        int out = number;
        while (out + 1 < begin.length && begin[out + 1] == begin[number]) {
            out++;
        }
        return out;
    }

    /** Whether the bars of a lift begin in it. */
    public boolean begins(int number) {
        return begin[number] == number;
    }

    /** Why the bars of a lift begin in it; null where they do not. */
    public End why(int number) {
        return why[number];
    }

    /** What keeps bars that begin in lift {@code from} from passing on into lift {@code to}; null where nothing does. */
    private End end(int from, int to) {
        ColumnStack.Lift below = stack.lifts().get(to - 1);
        ColumnStack.Lift lift = stack.lifts().get(to);
        ColumnCage.LiftCage under = cage.lifts().get(to - 1);
        ColumnCage.LiftCage here = cage.lifts().get(to);
        if (to - from >= basis.practice().columnLapsEvery()) {
            return End.DUE;
        }
        if (!alike(below, lift)) {
            return End.SECTION;
        }
        if (!under.layout().unheld().equals(here.layout().unheld())) {
            return End.BARS;
        }
        if (!under.tie().equals(here.tie())) {
            return End.TIES;
        }
        List<VerticalBars.Standing> pieces = VerticalBars.pieces(stack, from, to, cage, basis);
        return VerticalBars.longest(pieces, basis) > basis.bars().stockLength() + 1e-6 ? End.LENGTH : null;
    }

    /** Whether two lifts have one outline, turned alike. */
    private static boolean alike(ColumnStack.Lift a, ColumnStack.Lift b) {
        Shape s = a.section().shape();
        double turned =
                a.aboutY().ux() * b.aboutY().ux() + a.aboutY().uy() * b.aboutY().uy();
        double known = Math.hypot(a.aboutY().ux(), a.aboutY().uy())
                * Math.hypot(b.aboutY().ux(), b.aboutY().uy());
        return s.equals(b.section().shape()) && (known < 0.5 || turned > 1 - 1e-6);
    }
}
