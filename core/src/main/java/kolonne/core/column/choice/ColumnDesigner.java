package kolonne.core.column.choice;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.LapGap;
import kolonne.core.column.cage.LapHeight;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.check.BentBarTies;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.EndStrength;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/**
 * Proposes the cage of a column stack from its top down: of all arrangements of counts and sizes the one with the least
 * steel whose every demand lies inside its surface, and with no fewer or smaller bars than the lift above of the same
 * section. Where none serves, the strongest is taken and the check says what is wrong. Parts that people have set stay as they are.
 */
public final class ColumnDesigner {
    /** Steel that may be spent so that no dowels are needed, over that without. */
    private static final double DOWELS_COST = 1.1;

    /** The same so that bars have room beside them while they lap. */
    private static final double ROOM_COST = 1.25;

    /** Arrangements that bear the loads and are asked for such room at most: where the lift above leaves none, no bars here have it. */
    private static final int ROOM_TRIES = 8;

    private static final Predicate<ColumnCage.LiftCage> ANY = c -> true;

    /** The highest of those that share the cage. */
    private final ColumnStack stack;
    /** From the highest to the lowest: those that have a lift come before those that end under it. */
    private final List<ColumnStack> all;
    /** Of every stack, lift by lift. */
    private final List<List<LiftDemands>> demands;

    private final ColumnContext context;
    private final Basis basis;
    /** The lift above the one that is being designed. */
    private List<Borne> over;
    /** Bars of lifts, by number, that stay the same through several storeys. */
    private final Map<Integer, BarLayout> through = new HashMap<>();
    /** What people have set on the lift that is being designed. */
    private HandLift hand = HandLift.NONE;
    /** Diameter of the thinnest ties that bars are chosen within [mm]. */
    private double leastTie;

    private ColumnDesigner(List<ColumnStack> stacks, ColumnContext context) {
        this.all = stacks.stream()
                .sorted(Comparator.comparingInt((ColumnStack s) -> s.lifts().size())
                        .reversed())
                .toList();
        this.stack = all.get(0);
        this.context = context;
        this.demands = all.stream()
                .map(s ->
                        s.lifts().stream().map(l -> new LiftDemands(l, context)).toList())
                .toList();
        this.basis = context.basis();
    }

    /** The designed stack: a cage and its checks. */
    public static ColumnDesign design(ColumnStack stack, ColumnContext context) {
        return design(List.of(stack), context).get(0);
    }

    /** Stacks that share a cage, each with its checks, in their order. Lifts of the same number have the same section; those that end lower have the lowest lifts of the cage. */
    public static List<ColumnDesign> design(List<ColumnStack> stacks, ColumnContext context) {
        ColumnDesigner designer = new ColumnDesigner(stacks, context);
        ColumnCage cage = designer.cage();
        return stacks.stream()
                .map(s -> ColumnCheck.run(
                        s, cage.upTo(s.lifts().size()), context, designer.demands.get(designer.all.indexOf(s))))
                .toList();
    }

    /**
     * All arrangements of a lift's bars that fit and that those above find their like in, in the order of the basis's preference.
     *
     * @param cage of the whole stack as it is
     */
    static List<ColumnCage.LiftCage> arrangements(
            ColumnStack stack, int number, ColumnCage cage, LiftDemands demands, ColumnContext context) {
        ColumnDesigner d = new ColumnDesigner(List.of(stack), context);
        ColumnStack.Lift lift = stack.lifts().get(number);
        d.hand = new HandLift(null, context.hand(lift).ties());
        ColumnStack.Lift over = lift.highest() ? null : stack.lifts().get(number + 1);
        boolean same = over != null && over.alike(lift);
        return d.over(
                lift,
                d.arrangements()
                        .of(
                                lift,
                                same ? cage.lifts().get(number + 1) : null,
                                ColumnCheck.leastRatio(lift, context, demands)));
    }

    /** Bars change where the loads ask for it or, by the basis, only after some storeys; sooner where the same do not serve in all of them. */
    private ColumnCage cage() {
        ColumnCage free = fromTheTop();
        List<List<Integer>> runs = SameBars.runs(stack, free, context);
        while (!runs.isEmpty()) {
            through.clear();
            runs.forEach(r -> r.forEach(i -> through.put(i, SameBars.strongest(r, free))));
            ColumnCage kept = fromTheTop();
            List<List<Integer>> serve = SameBars.serve(runs, all, free, kept, context);
            if (serve.size() == runs.size()) {
                return kept;
            }
            runs = serve;
        }
        return free;
    }

    private ColumnCage fromTheTop() {
        over = null;
        ColumnCage.LiftCage[] out = new ColumnCage.LiftCage[stack.lifts().size()];
        ColumnCage.LiftCage above = null;
        for (int i = out.length - 1; i >= 0; i--) {
            ColumnStack.Lift lift = stack.lifts().get(i);
            boolean alike = i + 1 < out.length && stack.alike(i, i + 1);
            out[i] = lift(lift, alike ? above : null, above);
            above = out[i];
        }
        ColumnCage cage = new ColumnCage(List.of(out));
        for (int i = 0; i + 1 < out.length; i++) {
            cage = tiedAtStep(i, cage);
        }
        return cage;
    }

    /** Ties closer in the joint over a lift where bars that are bent out of their line ask for it; as they are where nothing serves or people have set them. */
    private ColumnCage tiedAtStep(int number, ColumnCage cage) {
        ColumnCage trial = cage;
        List<VerticalBars.Standing> standing = VerticalBars.in(stack, number, cage, basis);
        boolean set = context.hand(stack.lifts().get(number)).ties() != null
                || context.hand(stack.lifts().get(number + 1)).ties() != null;
        double step = basis.stirrups().step();
        double widest = Math.max(
                cage.lifts().get(number).ties().joint(),
                cage.lifts().get(number + 1).ties().joint());
        for (double s = Math.ceil(widest / step - 1e-6) * step;
                !set && s > basis.stirrups().least() - 1e-9;
                s -= step) {
            if (BentBarTies.of(stack, number, trial, standing, basis).serve()) {
                return trial;
            }
            trial = trial.withJoint(number, s).withJoint(number + 1, s);
        }
        return BentBarTies.of(stack, number, trial, standing, basis).serve() ? trial : cage;
    }

    /** @param above the lift above if it has the same section; @param upper the lift above whatever its section, or null */
    private ColumnCage.LiftCage lift(ColumnStack.Lift lift, ColumnCage.LiftCage above, ColumnCage.LiftCage upper) {
        int number = lift.number();
        List<Borne> borne = IntStream.range(0, all.size())
                .filter(i -> number < all.get(i).lifts().size())
                .mapToObj(i -> new Borne(
                        all.get(i),
                        all.get(i).lifts().get(number),
                        demands.get(i).get(number)))
                .toList();
        List<Borne> overhead = over;
        over = borne;
        hand = context.hand(lift).on(lift.section().shape());
        if (hand.bars() != null) {
            return ties(lift, borne)
                    .tied(new ColumnCage.LiftCage(hand.bars(), arrangements().tieFor(hand.bars()), 1));
        }
        if (through.containsKey(lift.number())) {
            BarLayout bars = through.get(lift.number());
            return ties(lift, borne)
                    .tied(new ColumnCage.LiftCage(bars, arrangements().tieFor(bars), 1));
        }
        return choice(lift, above, upper, borne, frame(borne, upper, overhead));
    }

    /** Bars and ties. Thicker ties than the bars were chosen within push these inwards: where they bear no longer what they bore, or lie too near, others are chosen. */
    private ColumnCage.LiftCage choice(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage above,
            ColumnCage.LiftCage upper,
            List<Borne> borne,
            FrameColumn frame) {
        leastTie = 0;
        ColumnCage.LiftCage bars = bars(lift, above, upper, borne, frame);
        ColumnCage.LiftCage out = ties(lift, borne).tied(bars);
        while (out.tie().diameter() > bars.tie().diameter() && loses(lift, bars, out, borne, frame)) {
            leastTie = out.tie().diameter();
            bars = bars(lift, above, upper, borne, frame);
            out = ties(lift, borne).tied(bars);
        }
        leastTie = 0;
        return out;
    }

    /** Whether bars within thicker ties fail where they did not before. */
    private boolean loses(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage before,
            ColumnCage.LiftCage after,
            List<Borne> borne,
            FrameColumn frame) {
        boolean weak = frame != null && !frame.strong(after) && frame.strong(before);
        Shape s = lift.section().shape();
        Arrangements all = arrangements();
        Bearing bearing = new Bearing(lift, borne, context);
        return weak || !all.fits(after, s) && all.fits(before, s) || !bearing.bears(after) && bearing.bears(before);
    }

    private ColumnCage.LiftCage bars(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage above,
            ColumnCage.LiftCage upper,
            List<Borne> borne,
            FrameColumn frame) {
        double least = borne.stream()
                .mapToDouble(b -> ColumnCheck.leastRatio(b.lift(), context, b.demands()))
                .max()
                .orElseThrow();
        Bearing bearing = new Bearing(lift, borne, context);
        List<ColumnCage.LiftCage> arranged = arrangements().of(lift, above, least);
        List<ColumnCage.LiftCage> fitting = over(lift, arranged);
        List<ColumnCage.LiftCage> held = frame == null ? fitting : frame.held(fitting);
        List<List<ColumnCage.LiftCage>> practical =
                ColumnPractice.of(lift, basis).from(held, upper);
        Predicate<ColumnCage.LiftCage> twists = bearing::twists;
        Predicate<ColumnCage.LiftCage> ends = c -> borne.stream()
                .allMatch(b -> EndStrength.bears(
                        b.lift(), c, VerticalBars.in(b.stack(), lift.number(), c, upper, basis), b.demands(), context));
        Predicate<ColumnCage.LiftCage> anchored = twists.and(ends);
        Predicate<ColumnCage.LiftCage> near = c -> laps(lift, c, upper);
        if (frame != null) {
            Predicate<ColumnCage.LiftCage> bears = anchored.and(frame::strong);
            ColumnCage.LiftCage chosen = first(practical, bearing, bears);
            if (chosen != null) {
                return withRoom(chosen, practical, lift, upper, bearing, bears);
            }
        }
        for (List<ColumnCage.LiftCage> some : practical) {
            ColumnCage.LiftCage chosen = bearing.first(some, ANY, near.and(anchored));
            if (chosen != null) {
                ColumnCage.LiftCage straight = withoutDowels(chosen, some, lift, upper, bearing, anchored);
                return withRoom(straight, practical, lift, upper, bearing, near.and(anchored));
            }
        }
        // where no bars develop, or lap with those above, more of them would not help: the loads decide,
        // and the check tells
        for (Predicate<ColumnCage.LiftCage> suits : List.of(anchored, near, twists, ANY)) {
            ColumnCage.LiftCage chosen = first(practical, bearing, suits);
            if (chosen != null) {
                return chosen;
            }
        }
        return bearing.strongest(arranged);
    }

    /** Out of the first group that has one. */
    private static ColumnCage.LiftCage first(
            List<List<ColumnCage.LiftCage>> groups, Bearing bearing, Predicate<ColumnCage.LiftCage> suits) {
        for (List<ColumnCage.LiftCage> some : groups) {
            ColumnCage.LiftCage chosen = bearing.first(some, ANY, suits);
            if (chosen != null) {
                return chosen;
            }
        }
        return null;
    }

    /** An arrangement whose bars have room beside them while they lap, where there is one with not much more steel; else the chosen one, and the check tells. */
    private ColumnCage.LiftCage withRoom(
            ColumnCage.LiftCage chosen,
            List<List<ColumnCage.LiftCage>> groups,
            ColumnStack.Lift lift,
            ColumnCage.LiftCage upper,
            Bearing bearing,
            Predicate<ColumnCage.LiftCage> suits) {
        int[] tries = {ROOM_TRIES};
        Predicate<ColumnCage.LiftCage> alone = c -> tries[0] > 0 && LapGap.suffices(lift, c, basis);
        Predicate<ColumnCage.LiftCage> apart = c -> tries[0]-- > 0 && apart(lift, c, upper);
        if (alone.and(apart).test(chosen)) {
            return chosen;
        }
        for (List<ColumnCage.LiftCage> all : groups) {
            List<ColumnCage.LiftCage> some = all.stream()
                    .filter(c -> c.area() <= ROOM_COST * chosen.area())
                    .toList();
            ColumnCage.LiftCage other = bearing.first(some, alone, apart.and(suits));
            if (other != null) {
                return other;
            }
        }
        return chosen;
    }

    private boolean apart(ColumnStack.Lift lift, ColumnCage.LiftCage here, ColumnCage.LiftCage upper) {
        List<VerticalBars.Standing> standing = VerticalBars.in(stack, lift.number(), here, upper, basis);
        return LapGap.worst(stack, lift.number(), standing, here, upper, basis)
                .map(g -> g.part() <= 1 + 1e-6)
                .orElse(true);
    }

    /** Whether the bars have height for their laps, and dowels stand near enough to them. */
    private boolean laps(ColumnStack.Lift lift, ColumnCage.LiftCage here, ColumnCage.LiftCage upper) {
        List<VerticalBars.Standing> standing = VerticalBars.in(stack, lift.number(), here, upper, basis);
        return VerticalBars.dowelsApart(standing) <= VerticalBars.BESIDE
                && LapHeight.suffices(stack, lift.number(), standing, basis);
    }

    /** An arrangement with hardly more steel whose bars all go on into the lift above without dowels, where there is one; else the chosen one. */
    private ColumnCage.LiftCage withoutDowels(
            ColumnCage.LiftCage chosen,
            List<ColumnCage.LiftCage> some,
            ColumnStack.Lift lift,
            ColumnCage.LiftCage upper,
            Bearing bearing,
            Predicate<ColumnCage.LiftCage> suits) {
        Predicate<ColumnCage.LiftCage> none = c -> VerticalBars.in(stack, lift.number(), c, upper, basis).stream()
                .noneMatch(s -> s.use() == VerticalBars.Use.DOWEL);
        if (upper == null || none.test(chosen)) {
            return chosen;
        }
        List<ColumnCage.LiftCage> near = some.stream()
                .filter(c -> c.area() <= DOWELS_COST * chosen.area() && none.test(c))
                .toList();
        ColumnCage.LiftCage other = bearing.first(near, ANY, suits);
        return other == null ? chosen : other;
    }

    /** Those whose bars find their like in the bars that people have set below; all where none do. */
    private List<ColumnCage.LiftCage> over(ColumnStack.Lift lift, List<ColumnCage.LiftCage> all) {
        for (int i = lift.number() - 1; i >= 0; i--) {
            ColumnStack.Lift below = stack.lifts().get(i);
            BarLayout set = context.hand(below).bars();
            if (!below.alike(lift)) {
                return all;
            }
            if (set != null) {
                List<ColumnCage.LiftCage> out = all.stream()
                        .filter(c -> set.below(c.layout()) == c.count())
                        .toList();
                return out.isEmpty() ? all : out;
            }
        }
        return all;
    }

    private Arrangements arrangements() {
        return new Arrangements(basis, hand, leastTie);
    }

    private TieChoice ties(ColumnStack.Lift lift, List<Borne> borne) {
        return new TieChoice(lift, borne, hand, context);
    }

    /** What a ductile frame asks of the bars; null without one. */
    private FrameColumn frame(List<Borne> borne, ColumnCage.LiftCage upper, List<Borne> overhead) {
        if (context.ductile().isEmpty()) {
            return null;
        }
        FrameColumn out = new FrameColumn(context, context.ductile().get());
        for (int i = 0; i < borne.size(); i++) {
            // over the highest lift of a stack that ends lower than others there is none
            boolean ends = overhead == null || i >= overhead.size();
            out.add(
                    borne.get(i).lift(),
                    borne.get(i).demands(),
                    ends ? null : upper,
                    ends ? null : overhead.get(i).demands());
        }
        return out;
    }
}
