package kolonne.core.column.choice;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.RoundTies;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.LapGap;
import kolonne.core.column.cage.LapHeight;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.TieSpacing;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.check.BentBarTies;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.check.ColumnTorsion;
import kolonne.core.column.check.EndMoments;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.check.TieLimits;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.StrengthSurface;
import kolonne.core.shape.Shape;

/**
 * Proposes the cage of a column stack from its top down: of all arrangements of counts and sizes the one with the least
 * steel whose every demand lies inside its surface, and with no fewer or smaller bars than the lift above of the same
 * section. Where none serves, the strongest is taken and the check says what is wrong. Parts that people have set stay as they are.
 */
public final class ColumnDesigner {
    /** Checks that the size and spacing of ties decide. */
    private static final Set<CheckKind> OF_TIES = EnumSet.of(
            CheckKind.COLUMN_SHEAR_X,
            CheckKind.COLUMN_SHEAR_Y,
            CheckKind.COLUMN_SHEAR_BOTH,
            CheckKind.COLUMN_TORSION_X,
            CheckKind.COLUMN_TORSION_Y,
            CheckKind.COLUMN_TORSION_SPACING,
            CheckKind.COLUMN_TIE_SPACING,
            CheckKind.COLUMN_END_TIES,
            CheckKind.COLUMN_JOINT_TIES,
            CheckKind.COLUMN_CONFINEMENT_X,
            CheckKind.COLUMN_CONFINEMENT_Y,
            CheckKind.COLUMN_HELD_DISTANCE,
            CheckKind.COLUMN_EVERY_BAR_HELD,
            CheckKind.COLUMN_SPIRAL_CLEAR,
            CheckKind.COLUMN_SPIRAL_RATIO,
            CheckKind.COLUMN_MINIMUM_TIES_X,
            CheckKind.COLUMN_MINIMUM_TIES_Y);

    /** Screened utilisations above this are worked out exactly. */
    private static final double NEARLY_ONE = 0.96;

    /** Steel that may be spent so that no dowels are needed, over that without. */
    private static final double DOWELS_COST = 1.1;

    /** The same so that bars have room beside them while they lap. */
    private static final double ROOM_COST = 1.25;

    /** Arrangements that bear the loads and are asked for such room at most: where the lift above leaves none, no bars here have it. */
    private static final int ROOM_TRIES = 8;

    /** Demands that are asked first, since they failed arrangements before. */
    private static final int DECISIVE = 6;

    private static final int MOST_ALONG = 8;
    private static final int MOST_IN_CIRCLE = 16;

    private static final Predicate<ColumnCage.LiftCage> ANY = c -> true;

    private final ColumnStack stack;
    private final List<ColumnStack> all;
    /** Of every stack, lift by lift. */
    private final List<List<LiftDemands>> demands;

    private final ColumnContext context;
    private final Basis basis;
    private final DesignCode code;
    /** The lift above the one that is being designed. */
    private List<Borne> over;
    /** Bars of lifts, by number, that stay the same through several storeys. */
    private final Map<Integer, BarLayout> through = new HashMap<>();
    /** What people have set on the lift that is being designed. */
    private HandLift hand = HandLift.NONE;
    /** Diameter of the thinnest ties that bars are chosen within [mm]. */
    private double leastTie;

    private ColumnDesigner(List<ColumnStack> all, ColumnContext context) {
        this.all = all;
        this.stack = all.get(0);
        this.context = context;
        this.demands = all.stream()
                .map(s ->
                        s.lifts().stream().map(l -> new LiftDemands(l, context)).toList())
                .toList();
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    /** The designed stack: a cage and its checks. */
    public static ColumnDesign design(ColumnStack stack, ColumnContext context) {
        return design(List.of(stack), context).get(0);
    }

    /** Stacks of the same lifts that share a cage, each with its checks. */
    public static List<ColumnDesign> design(List<ColumnStack> all, ColumnContext context) {
        ColumnDesigner designer = new ColumnDesigner(all, context);
        ColumnCage cage = designer.cage();
        return IntStream.range(0, all.size())
                .mapToObj(i -> ColumnCheck.run(all.get(i), cage, context, designer.demands.get(i)))
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
                d.arrangements(
                        lift,
                        same ? cage.lifts().get(number + 1) : null,
                        ColumnCheck.leastRatio(lift, context, demands)));
    }

    /** A lift of one of the stacks with its demands. */
    private record Borne(ColumnStack stack, ColumnStack.Lift lift, LiftDemands demands) {}

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
                .mapToObj(i -> new Borne(
                        all.get(i),
                        all.get(i).lifts().get(number),
                        demands.get(i).get(number)))
                .toList();
        List<Borne> overhead = over;
        over = borne;
        hand = context.hand(lift).on(lift.section().shape());
        if (hand.bars() != null) {
            return tied(lift, new ColumnCage.LiftCage(hand.bars(), tieFor(hand.bars()), 1), borne);
        }
        if (through.containsKey(lift.number())) {
            BarLayout bars = through.get(lift.number());
            return tied(lift, new ColumnCage.LiftCage(bars, tieFor(bars), 1), borne);
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
        ColumnCage.LiftCage out = tied(lift, bars, borne);
        while (out.tie().diameter() > bars.tie().diameter() && loses(lift, bars, out, borne, frame)) {
            leastTie = out.tie().diameter();
            bars = bars(lift, above, upper, borne, frame);
            out = tied(lift, bars, borne);
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
        return weak || !fits(after, s) && fits(before, s) || !bears(lift, after, borne) && bears(lift, before, borne);
    }

    private boolean bears(ColumnStack.Lift lift, ColumnCage.LiftCage c, List<Borne> borne) {
        StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
        ColumnSteel steel = ColumnSteel.of(lift, c, basis);
        return borne.stream().allMatch(b -> worst(surface, b.demands.all(steel)) == null) && twists(c, borne);
    }

    /** Whether its bars bear what they do beside their torsion. */
    private boolean twists(ColumnCage.LiftCage c, List<Borne> borne) {
        return borne.stream()
                .allMatch(b -> ColumnTorsion.bears(
                        b.lift, c, context, b.demands, b.demands.all(ColumnSteel.of(b.lift, c, basis))));
    }

    private ColumnCage.LiftCage bars(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage above,
            ColumnCage.LiftCage upper,
            List<Borne> borne,
            FrameColumn frame) {
        double least = borne.stream()
                .mapToDouble(b -> ColumnCheck.leastRatio(b.lift, context, b.demands))
                .max()
                .orElseThrow();
        List<ColumnCage.LiftCage> arranged = arrangements(lift, above, least);
        List<ColumnCage.LiftCage> fitting = over(lift, arranged);
        List<ColumnCage.LiftCage> held = frame == null ? fitting : frame.held(fitting);
        List<List<ColumnCage.LiftCage>> practical =
                ColumnPractice.of(lift, basis).from(held, upper);
        Predicate<ColumnCage.LiftCage> twists = c -> twists(c, borne);
        Predicate<ColumnCage.LiftCage> ends = c -> borne.stream()
                .allMatch(b -> ColumnCheck.endsBear(
                        b.lift,
                        c,
                        VerticalBars.in(b.stack, lift.number(), c, upper, basis),
                        b.demands.all(ColumnSteel.of(lift, c, basis)),
                        context));
        Predicate<ColumnCage.LiftCage> anchored = twists.and(ends);
        Predicate<ColumnCage.LiftCage> near = c -> laps(lift, c, upper);
        if (frame != null) {
            Predicate<ColumnCage.LiftCage> bears = anchored.and(frame::strong);
            ColumnCage.LiftCage chosen = first(practical, lift, borne, bears);
            if (chosen != null) {
                return withRoom(chosen, practical, lift, upper, borne, bears);
            }
        }
        for (List<ColumnCage.LiftCage> some : practical) {
            ColumnCage.LiftCage chosen = choose(some, lift, borne, ANY, near.and(anchored));
            if (chosen != null) {
                ColumnCage.LiftCage straight = withoutDowels(chosen, some, lift, upper, borne, anchored);
                return withRoom(straight, practical, lift, upper, borne, near.and(anchored));
            }
        }
        // where no bars develop, or lap with those above, more of them would not help: the loads decide,
        // and the check tells
        for (Predicate<ColumnCage.LiftCage> suits : List.of(anchored, near, twists, ANY)) {
            ColumnCage.LiftCage chosen = first(practical, lift, borne, suits);
            if (chosen != null) {
                return chosen;
            }
        }
        return strongest(lift, arranged, borne);
    }

    /** Out of the first group that has one. */
    private ColumnCage.LiftCage first(
            List<List<ColumnCage.LiftCage>> groups,
            ColumnStack.Lift lift,
            List<Borne> borne,
            Predicate<ColumnCage.LiftCage> suits) {
        for (List<ColumnCage.LiftCage> some : groups) {
            ColumnCage.LiftCage chosen = choose(some, lift, borne, ANY, suits);
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
            List<Borne> borne,
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
            ColumnCage.LiftCage other = choose(some, lift, borne, alone, apart.and(suits));
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
            List<Borne> borne,
            Predicate<ColumnCage.LiftCage> suits) {
        Predicate<ColumnCage.LiftCage> none = c -> VerticalBars.in(stack, lift.number(), c, upper, basis).stream()
                .noneMatch(s -> s.use() == VerticalBars.Use.DOWEL);
        if (upper == null || none.test(chosen)) {
            return chosen;
        }
        List<ColumnCage.LiftCage> near = some.stream()
                .filter(c -> c.area() <= DOWELS_COST * chosen.area() && none.test(c))
                .toList();
        ColumnCage.LiftCage other = choose(near, lift, borne, ANY, suits);
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

    /** What a ductile frame asks of the bars; null without one. */
    private FrameColumn frame(List<Borne> borne, ColumnCage.LiftCage upper, List<Borne> overhead) {
        if (context.ductile().isEmpty()) {
            return null;
        }
        FrameColumn out = new FrameColumn(context, context.ductile().get());
        for (int i = 0; i < borne.size(); i++) {
            out.add(borne.get(i).lift, borne.get(i).demands, upper, upper == null ? null : overhead.get(i).demands);
        }
        return out;
    }

    /** The first arrangement inside whose surface every demand lies and that is strong enough; null if there is none. @param quick asked before strength is */
    private ColumnCage.LiftCage choose(
            List<ColumnCage.LiftCage> some,
            ColumnStack.Lift lift,
            List<Borne> borne,
            Predicate<ColumnCage.LiftCage> quick,
            Predicate<ColumnCage.LiftCage> strong) {
        List<Deque<LiftDemands.Demand>> decisive = borne.stream()
                .map(b -> (Deque<LiftDemands.Demand>) new ArrayDeque<LiftDemands.Demand>())
                .toList();
        for (ColumnCage.LiftCage c : some) {
            StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
            ColumnSteel steel = ColumnSteel.of(lift, c, basis);
            if (!failsAgain(surface, steel, borne, decisive)
                    && quick.test(c)
                    && !fails(surface, steel, borne, decisive)
                    && strong.test(c)) {
                return c;
            }
        }
        return null;
    }

    /** The demands that failed other arrangements most likely fail this one too. */
    private static boolean failsAgain(
            StrengthSurface surface, ColumnSteel steel, List<Borne> borne, List<Deque<LiftDemands.Demand>> decisive) {
        for (int i = 0; i < borne.size(); i++) {
            for (LiftDemands.Demand d : decisive.get(i)) {
                List<LiftDemands.Demand> now = borne.get(i).demands.of(d.combination(), steel);
                // with other steel a lift may be slender no more, so that a combination has fewer demands
                if (d.number() < now.size() && utilisation(surface, now.get(d.number())) > 1) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean fails(
            StrengthSurface surface, ColumnSteel steel, List<Borne> borne, List<Deque<LiftDemands.Demand>> decisive) {
        for (int i = 0; i < borne.size(); i++) {
            LiftDemands.Demand failing = worst(surface, borne.get(i).demands.all(steel));
            if (failing != null) {
                Deque<LiftDemands.Demand> before = decisive.get(i);
                before.addFirst(failing);
                if (before.size() > DECISIVE) {
                    before.removeLast();
                }
                return true;
            }
        }
        return false;
    }

    /** The demand that uses the section most, of those above 1; null if there is none. */
    private static LiftDemands.Demand worst(StrengthSurface surface, List<LiftDemands.Demand> demands) {
        LiftDemands.Demand worst = null;
        double highest = 1;
        for (LiftDemands.Demand d : demands) {
            double u = d.stable() ? surface.screened(d.p(), d.mx(), d.my()) : 0;
            if (u > NEARLY_ONE && (u = utilisation(surface, d)) > highest) {
                highest = u;
                worst = d;
            }
        }
        return worst;
    }

    private static double utilisation(StrengthSurface surface, LiftDemands.Demand d) {
        return surface.exact(d.p(), d.mx(), d.my()).utilisation();
    }

    /** Among the arrangements with most steel the one with the lowest highest utilisation. */
    private ColumnCage.LiftCage strongest(
            ColumnStack.Lift lift, List<ColumnCage.LiftCage> arranged, List<Borne> borne) {
        ColumnCage.LiftCage best = arranged.get(0);
        double lowest = Double.POSITIVE_INFINITY;
        for (ColumnCage.LiftCage c : arranged.subList(Math.max(0, arranged.size() - 12), arranged.size())) {
            StrengthSurface surface = context.surface(lift.section(), lift.material(), c);
            ColumnSteel steel = ColumnSteel.of(lift, c, basis);
            double worst = borne.stream()
                    .flatMap(b -> b.demands.all(steel).stream())
                    .filter(LiftDemands.Demand::stable)
                    .mapToDouble(d -> surface.screened(d.p(), d.mx(), d.my()))
                    .max()
                    .orElse(0);
            if (worst < lowest) {
                lowest = worst;
                best = c;
            }
        }
        return best;
    }

    /** All arrangements that fit, within the code's limits of steel, least steel first (or fewest bars first). */
    private List<ColumnCage.LiftCage> arrangements(ColumnStack.Lift lift, ColumnCage.LiftCage above, double least) {
        Shape s = lift.section().shape();
        List<ColumnCage.LiftCage> out = new ArrayList<>();
        List<ColumnCage.LiftCage> unlimited = new ArrayList<>();
        for (Bar corner : basis.columnBarList()) {
            for (Bar face : basis.columnBarList()) {
                if (face.diameter() > corner.diameter() || s instanceof Shape.Circle && face != corner) {
                    continue;
                }
                counts(s, corner, face, unlimited);
            }
        }
        for (ColumnCage.LiftCage c : unlimited) {
            double ratio = c.area() / s.A();
            boolean legal = ratio >= least - 1e-9 && ratio <= code.columns().columnMaximumRatio() + 1e-9;
            if (legal && fits(c, s) && notLess(c, above)) {
                out.add(c);
            }
        }
        if (out.isEmpty()) {
            out.add(above != null ? above : unlimited.get(0));
        }
        Comparator<ColumnCage.LiftCage> byArea = Comparator.comparingDouble(ColumnCage.LiftCage::area);
        Comparator<ColumnCage.LiftCage> byCount = Comparator.comparingInt(ColumnCage.LiftCage::count);
        double piece = ColumnPractice.piece(basis);
        Comparator<ColumnCage.LiftCage> byCost = Comparator.comparingDouble(c -> c.area() + piece * c.count());
        out.sort(
                switch (basis.bars().preference()) {
                    case FEWEST_BARS -> byCount.thenComparing(byArea);
                    case PRACTICAL -> byCost.thenComparing(byCount);
                    default -> byArea.thenComparing(byCount);
                });
        return out;
    }

    private void counts(Shape s, Bar corner, Bar face, List<ColumnCage.LiftCage> out) {
        if (s instanceof Shape.Circle) {
            boolean spiral = basis.practice().roundTies() == RoundTies.SPIRALS;
            for (int n = 6; n <= MOST_IN_CIRCLE; n += 2) {
                RingBars ring = new RingBars(n, corner, spiral);
                out.add(new ColumnCage.LiftCage(
                        ring, tieFor(ring), basis.stirrups().least()));
            }
            return;
        }
        Bar tie = tieFor(code.columns().smallestTie(corner));
        if (s instanceof Shape.Flanged f) {
            for (int web = 0; web <= MOST_ALONG - 2; web++) {
                for (int flange = 0; flange <= MOST_ALONG - 2; flange++) {
                    if (web + flange > 0 || face == corner) {
                        out.add(new ColumnCage.LiftCage(
                                LegBars.of(f.overhangs(), web, flange, corner, face),
                                tie,
                                basis.stirrups().least()));
                    }
                }
            }
            return;
        }
        for (int nx = 2; nx <= MOST_ALONG; nx++) {
            for (int ny = 2; ny <= MOST_ALONG; ny++) {
                if (nx == 2 && ny == 2 && face != corner) {
                    continue;
                }
                out.add(new ColumnCage.LiftCage(
                        new RectangleBars(nx, ny, corner, face, held(nx, 1, 0), held(ny, 1, 0)),
                        tie,
                        basis.stirrups().least()));
            }
        }
    }

    private Bar tieFor(BarLayout layout) {
        Bar thick = layout.largest();
        boolean wound = layout instanceof RingBars r && r.spiral();
        return tieFor(wound ? code.spirals().smallest(thick) : code.columns().smallestTie(thick));
    }

    /** @param least diameter [mm] */
    private Bar tieFor(double least) {
        if (hand.ties() != null) {
            return hand.ties().bar();
        }
        List<Bar> ties = basis.stirrupList();
        return ties.stream()
                .filter(t -> t.diameter() >= Math.max(least, leastTie))
                .findFirst()
                .orElse(ties.get(ties.size() - 1));
    }

    private boolean fits(ColumnCage.LiftCage c, Shape s) {
        double needed = code.detailing().columnClearSpacing(c.layout().largest().diameter(), basis.aggregate());
        for (double g : c.layout().gaps(s, ColumnTieCheck.inset(c, basis))) {
            if (g < needed - 1e-6) {
                return false;
            }
        }
        return true;
    }

    private static boolean notLess(ColumnCage.LiftCage c, ColumnCage.LiftCage above) {
        return above == null || c.layout().below(above.layout()) == above.count();
    }

    /** Ties: held bars by the code's rule, spacing in the basis's step, more legs, then a larger bar, for shear and confinement. */
    private ColumnCage.LiftCage tied(ColumnStack.Lift lift, ColumnCage.LiftCage c, List<Borne> borne) {
        ColumnCage.LiftCage last = null;
        double[] gaps = c.layout().gaps(lift.section().shape(), ColumnTieCheck.inset(c, basis));
        for (Bar tie : tieSizes(c.tie())) {
            ColumnCage.LiftCage size =
                    new ColumnCage.LiftCage(c.layout(), tie, basis.stirrups().least());
            List<EndMoments> ends = borne.stream()
                    .map(b -> EndMoments.of(b.stack, b.lift, size, context, b.demands))
                    .toList();
            for (BarLayout layout : heldLayouts(c.layout(), gaps)) {
                ColumnCage.LiftCage trial =
                        new ColumnCage.LiftCage(layout, tie, basis.stirrups().least());
                TieChoice choice = new TieChoice(trial, borne, ends);
                boolean found = hand.ties() == null ? choice.find() : choice.serves(set(trial));
                last = trial.with(hand.ties() == null ? choice.spacing() : set(trial));
                if (found) {
                    return last;
                }
            }
        }
        return last;
    }

    /** Spacings that people have set; a spiral has one pitch from end to end. */
    private TieSpacing set(ColumnCage.LiftCage trial) {
        TieSpacing s = hand.ties().spacing();
        return trial.wound() ? new TieSpacing(s.joint(), s.middle(), s.middle(), 0, 0) : s;
    }

    /** Sizes of ties to look among. @param least that the bars ask for */
    private List<Bar> tieSizes(Bar least) {
        return hand.ties() != null
                ? List.of(hand.ties().bar())
                : basis.stirrupList().stream()
                        .filter(t -> t.diameter() >= least.diameter())
                        .toList();
    }

    /** The bars as they may be held: as people have set them; else by the code's rule, then all of them. */
    private List<BarLayout> heldLayouts(BarLayout layout, double[] gaps) {
        return hand.holds() ? List.of(layout) : List.of(held(layout, gaps, false), held(layout, gaps, true));
    }

    /** Looks for the largest spacings of ties of a size and arrangement. */
    private final class TieChoice {
        private final ColumnCage.LiftCage trial;
        private final List<Borne> borne;
        private final List<EndMoments> ends;
        private final TieSpacing limit;
        private final double step;
        private final double least;
        private double end;
        private double middle;
        /** Of hoops in the joints of a column with a spiral. */
        private double hoops;

        TieChoice(ColumnCage.LiftCage trial, List<Borne> borne, List<EndMoments> ends) {
            this.trial = trial;
            this.borne = borne;
            this.ends = ends;
            List<TieSpacing> limits = borne.stream()
                    .map(b -> TieLimits.of(b.lift, trial, context, false, false))
                    .toList();
            this.limit = limits.stream().reduce(TieChoice::smaller).orElseThrow();
            this.step = trial.wound() ? pitchStep() : basis.stirrups().step();
            // turns of a spiral lie as near as concrete passes between them
            this.least = trial.wound()
                    ? Math.ceil((code.spirals().leastClear(basis.aggregate())
                                                    + trial.tie().diameter())
                                            / step
                                    - 1e-9)
                            * step
                    : basis.stirrups().least();
            this.middle = stepped(Math.min(basis.stirrups().most(), limit.middle()));
            this.end = stepped(Math.min(middle, limit.end()));
            this.hoops = hoops();
        }

        private static TieSpacing smaller(TieSpacing a, TieSpacing b) {
            return new TieSpacing(
                    Math.min(a.joint(), b.joint()),
                    Math.min(a.end(), b.end()),
                    Math.min(a.middle(), b.middle()),
                    Math.max(a.foot(), b.foot()),
                    Math.max(a.head(), b.head()));
        }

        /** Pitches are told to 5 mm, or a quarter of an inch. */
        private double pitchStep() {
            return basis.usUnits() ? 6.35 : 5;
        }

        private double stepped(double s) {
            return Math.floor(s / step + 1e-9) * step;
        }

        private double reaching(double s) {
            return Math.ceil(s / step - 1e-6) * step;
        }

        /** The spacings as they are now, none under the practical minimum; closer ties reach up to the next step. */
        TieSpacing spacing() {
            double m = Math.max(least, middle);
            double e = Math.max(least, Math.min(end, m));
            if (trial.wound()) {
                return new TieSpacing(hoops, m, m, 0, 0);
            }
            boolean closer = Math.max(limit.foot(), limit.head()) > 0 && e < m;
            double joint = Math.max(least, Math.min(closer ? e : m, stepped(limit.joint())));
            return closer
                    ? new TieSpacing(joint, e, m, reaching(limit.foot()), reaching(limit.head()))
                    : new TieSpacing(joint, m, m, 0, 0);
        }

        /** As far apart as they may be, in the step of ties. */
        private double hoops() {
            double by = basis.stirrups().step();
            double most = Math.min(basis.stirrups().most(), limit.joint());
            return Math.max(basis.stirrups().least(), Math.floor(most / by + 1e-9) * by);
        }

        /** Goes down step by step, between the ends or next to the joints, wherever something is not met; whether all is met in the end. */
        boolean find() {
            while (middle >= least && end >= least) {
                CheckResult unmet = unmet(spacing());
                if (unmet == null) {
                    return true;
                }
                if (!decided(unmet.kind())) {
                    return false;
                }
                if (trial.wound() && unmet.kind() == CheckKind.COLUMN_JOINT_TIES) {
                    if (hoops <= basis.stirrups().least()) {
                        return false;
                    }
                    hoops = Math.max(
                            basis.stirrups().least(), hoops - basis.stirrups().step());
                } else if (unmet.place().equals(ColumnTieCheck.ENDS) && Math.max(limit.foot(), limit.head()) > 0) {
                    end -= step;
                } else {
                    middle -= step;
                    end = Math.min(end, middle);
                }
            }
            return false;
        }

        /** Whether ties at these spacings meet all that is asked of them. */
        boolean serves(TieSpacing set) {
            return unmet(set) == null;
        }

        /** Whether a smaller spacing helps. */
        private boolean decided(CheckKind kind) {
            return kind != CheckKind.COLUMN_HELD_DISTANCE && kind != CheckKind.COLUMN_EVERY_BAR_HELD;
        }

        /** An unmet check of the ties, by the same checks that judge the final cage; null if all are met. */
        private CheckResult unmet(TieSpacing spacing) {
            ColumnCage.LiftCage c = trial.with(spacing);
            for (int i = 0; i < borne.size(); i++) {
                Borne b = borne.get(i);
                Governing g = new Governing((x, number) -> ColumnCheck.WHOLE);
                new ColumnTieCheck(b.lift, c, context, b.demands, ends.get(i), g).run();
                for (CheckResult r : g.results()) {
                    if (OF_TIES.contains(r.kind()) && !r.satisfied()) {
                        return r;
                    }
                }
            }
            return null;
        }
    }

    /** The bars held by the code's rule, or all of them; a ring is held by its round ties. */
    private BarLayout held(BarLayout layout, double[] gaps, boolean all) {
        double limit = all ? 0 : code.columns().greatestUnheldDistance();
        if (layout instanceof LegBars l) {
            return new LegBars(
                    l.overhangs(),
                    l.web(),
                    l.flange(),
                    l.corner(),
                    l.face(),
                    held(l.web() + 2, gaps[0], limit),
                    held(l.flange() + 2, gaps[1], limit));
        }
        return layout instanceof RectangleBars r
                ? new RectangleBars(
                        r.alongX(),
                        r.alongY(),
                        r.corner(),
                        r.face(),
                        held(r.alongX(), gaps[0], limit),
                        held(r.alongY(), gaps[1], limit))
                : layout;
    }

    /** Which bars of a face are held: corners always; alternate ones if the gap is small, all otherwise; symmetric. */
    public static List<Boolean> held(int n, double gap, double limit) {
        Boolean[] out = new Boolean[n];
        boolean all = gap > limit;
        for (int i = 0; i < n; i++) {
            int fromEnd = Math.min(i, n - 1 - i);
            out[i] = all || fromEnd % 2 == 0;
        }
        // an even count leaves the middle pair alike: hold both if they would be two unheld in a row
        if (n % 2 == 0 && n > 2 && !out[n / 2]) {
            out[n / 2] = true;
            out[n / 2 - 1] = true;
        }
        return List.of(out);
    }
}
