package kolonne.core.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kolonne.core.advice.SectionAdvice.Option;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnContext;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnDesigner;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.Quantities;
import kolonne.core.finding.Cause;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/**
 * Other sections for lifts of a column: those of the columns of the building and steps about the present one within the limits of the basis, each tried by designing the whole stack with
 * the forces as they are. All neighbouring lifts of the section take it, those below that would else be smaller, and those above into which the bars could not be led. Taking one means another analysis, since
 * stiffness and weight change.
 */
public final class ColumnAdvice {
    /** Steps that both sides shrink and grow by at most, and one side alone. */
    private static final int SMALLER = 3;

    private static final int LARGER = 8;
    private static final int ONE_SIDE = 4;
    /** Offset of a face over which bars are led into the lift above without dowels: less than 75 mm (ACI 318-19 10.7.4.2). */
    private static final double STEP = 70;

    /** What a section lacks where it fails by it. */
    private static final Set<Cause> OF_THE_SIZE = EnumSet.of(
            Cause.AXIAL_BENDING,
            Cause.AXIAL_LIMIT,
            Cause.SHEAR,
            Cause.SHEAR_LIMIT,
            Cause.STEEL_OVER_CAP,
            Cause.STEEL_OVER_PRACTICAL,
            Cause.BARS_DO_NOT_FIT,
            Cause.SLENDERNESS,
            Cause.JOINT_STRENGTH,
            Cause.JOINT_SHEAR);

    private ColumnAdvice() {}

    /**
     * A section that was tried.
     *
     * @param option what came of it: whether the lifts that take it satisfy and no other fails that did not, how much of a strength they use, and what the whole column then has
     * @param lifts  that take it, by number from the foot
     */
    public record Tried(Option option, List<Integer> lifts) {}

    /** Sections in the band of the basis, the cheapest first; then others that satisfy, then those that do not. @param lift that is to have another section */
    public static List<Tried> of(ColumnDesign d, int lift, ColumnContext context) {
        List<Tried> out = new ArrayList<>();
        candidates(d, lift, context).forEach((shape, id) -> out.add(tried(d, lift, context, shape, id)));
        out.sort(Comparator.comparing((Tried t) -> t.option.satisfied())
                .thenComparing(t -> t.option.inBand())
                .reversed()
                .thenComparingDouble(t -> t.option.satisfied() ? t.option.cost() : t.option.strength()));
        return out;
    }

    /** The least section that satisfies of those whose sides all grow by the same; where none does the largest; empty where there are none. */
    public static Optional<Tried> least(ColumnDesign d, int lift, ColumnContext context) {
        Map<Shape, String> known = candidates(d, lift, context);
        List<Shape> grown = new ArrayList<>();
        double step = context.basis().beams().advice().step();
        for (int k = 1; k <= LARGER; k++) {
            Shape s = grown(shape(d, lift), k * step, k * step);
            if (s != null && known.containsKey(s)) {
                grown.add(s);
            }
        }
        return Least.of(grown, s -> tried(d, lift, context, s, known.get(s)), Tried::option);
    }

    private static Shape shape(ColumnDesign d, int lift) {
        return d.stack().lifts().get(lift).section().shape();
    }

    private static Map<Shape, String> candidates(ColumnDesign d, int lift, ColumnContext context) {
        Shape now = shape(d, lift);
        Map<Shape, String> out = new LinkedHashMap<>();
        Map<Shape, String> used = new LinkedHashMap<>();
        for (Member m : context.index().building().members()) {
            Section s = context.index().sectionOf(m);
            if (m.role() == Role.COLUMN && s.shape().getClass() == now.getClass()) {
                used.putIfAbsent(s.shape(), s.id());
            }
        }
        out.put(now, "");
        Near.of(used, now).forEach((shape, id) -> out.merge(shape, id, (was, is) -> was.isEmpty() ? is : was));
        SectionLimits limits = context.basis().beams().advice();
        for (int k = -SMALLER; k <= LARGER; k++) {
            add(out, grown(now, k * limits.step(), k * limits.step()), limits);
            if (Math.abs(k) <= ONE_SIDE) {
                add(out, grown(now, k * limits.step(), 0), limits);
                add(out, grown(now, 0, k * limits.step()), limits);
            }
        }
        if (tooSmall(d, lift)) {
            out.keySet().removeIf(s -> !s.equals(now) && !larger(s, now));
        }
        return out;
    }

    /** Sides, a diameter, or the thickness of both legs changed by so much [mm]; null where nothing is left. */
    private static Shape grown(Shape now, double across, double deep) {
        if (now instanceof Shape.Circle c) {
            return across == deep ? circle(c.d() + across) : null;
        }
        if (now instanceof Shape.Flanged f) {
            boolean fits =
                    f.bw() + across < f.bf() && f.hf() + deep < f.h() && Math.min(f.bw() + across, f.hf() + deep) > 0;
            return across == deep && fits
                    ? Shape.flanged(f.word(), f.bw() + across, f.h(), f.bf(), f.hf() + deep)
                    : null;
        }
        double b = now.width() + across;
        double h = now.depth() + deep;
        return Math.min(b, h) > 0 ? new Shape.Rectangle(b, h) : null;
    }

    private static Shape circle(double d) {
        return d > 0 ? new Shape.Circle(d) : null;
    }

    private static void add(Map<Shape, String> out, Shape s, SectionLimits limits) {
        boolean within = s != null
                && Math.min(s.width(), s.depth()) >= limits.widthLeast()
                && Math.max(s.width(), s.depth()) <= limits.depthMost();
        if (within) {
            out.putIfAbsent(s, "");
        }
    }

    private static boolean tooSmall(ColumnDesign d, int lift) {
        return run(d.stack(), lift).stream()
                .flatMap(i -> d.lifts().get(i).checks().stream())
                .anyMatch(c -> !c.satisfied() && OF_THE_SIZE.contains(c.cause()));
    }

    /** Whether a shape has more of anything than another of its kind. */
    private static boolean larger(Shape s, Shape than) {
        return s.width() > than.width() + 1e-6 || s.depth() > than.depth() + 1e-6 || s.A() > than.A() + 1e-6;
    }

    /** The lift and its neighbours of the same shape. */
    private static List<Integer> run(ColumnStack stack, int lift) {
        Shape now = stack.lifts().get(lift).section().shape();
        int from = lift;
        int to = lift;
        while (from > 0 && stack.lifts().get(from - 1).section().shape().equals(now)) {
            from--;
        }
        while (to + 1 < stack.lifts().size()
                && stack.lifts().get(to + 1).section().shape().equals(now)) {
            to++;
        }
        List<Integer> out = new ArrayList<>();
        for (int i = from; i <= to; i++) {
            out.add(i);
        }
        return out;
    }

    /** The run; lifts below that are smaller somewhere than its new shape; lifts above into which bars could not be led over the step. */
    private static List<Integer> taking(ColumnStack stack, int lift, Shape shape) {
        List<Integer> out = new ArrayList<>(run(stack, lift));
        for (int i = out.get(0) - 1; i >= 0 && smaller(stack, i, shape, 0); i--) {
            out.add(0, i);
        }
        int next = out.get(out.size() - 1) + 1;
        for (int i = next; i < stack.lifts().size() && smaller(stack, i, shape, 2 * STEP); i++) {
            out.add(i);
        }
        return out;
    }

    /** Whether a lift is smaller than a shape of its kind by more than so much [mm]. */
    private static boolean smaller(ColumnStack stack, int lift, Shape shape, double by) {
        Shape s = stack.lifts().get(lift).section().shape();
        return s.getClass() == shape.getClass()
                && (s.width() < shape.width() - by - 1e-6 || s.depth() < shape.depth() - by - 1e-6);
    }

    private static Tried tried(ColumnDesign d, int lift, ColumnContext context, Shape shape, String id) {
        boolean present = shape.equals(shape(d, lift));
        List<Integer> lifts = taking(d.stack(), lift, shape);
        ColumnDesign t = present ? d : ColumnDesigner.design(with(d.stack(), lifts, shape), context);
        double strength = lifts.stream()
                .flatMap(i -> t.lifts().get(i).checks().stream())
                .filter(c -> c.cause().isStrength())
                .mapToDouble(CheckResult::utilisation)
                .max()
                .orElse(0);
        boolean satisfied = true;
        for (int i = 0; i < t.lifts().size(); i++) {
            satisfied &= satisfied(t, i) || !lifts.contains(i) && !satisfied(d, i);
        }
        SectionLimits limits = context.basis().beams().advice();
        boolean inBand = satisfied && strength >= limits.bandFrom() && strength <= limits.bandTo();
        Quantities q = Quantities.of(t);
        double concrete = q.concrete() / 1e9;
        double formwork = q.formwork() / 1e6;
        double cost = q.steel() + SectionAdvice.CONCRETE * concrete + SectionAdvice.FORMWORK * formwork;
        return new Tried(
                new Option(id, shape, present, satisfied, inBand, strength, q.steel(), concrete, formwork, cost),
                lifts);
    }

    private static boolean satisfied(ColumnDesign d, int lift) {
        return d.lifts().get(lift).checks().stream().allMatch(CheckResult::satisfied);
    }

    private static ColumnStack with(ColumnStack stack, List<Integer> lifts, Shape shape) {
        List<ColumnStack.Lift> out = new ArrayList<>(stack.lifts());
        Section section = new Section("tried " + shape.whole(false), shape);
        lifts.forEach(i -> out.set(i, out.get(i).with(section)));
        return new ColumnStack(stack.id(), stack.mark(), out);
    }
}
