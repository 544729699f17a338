package kolonne.core.advice;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.choice.EndHooks;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.design.Quantities;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Cause;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/**
 * Other sections for a beam line, or for the spans of one section in it where they differ: those of the project and steps of depth and width about the present one within the limits of the
 * basis, each designed with the forces as
 * they are; where the line fails for want of strength or stiffness, only those that are larger somewhere. Taking one means another analysis, since stiffness and weight change.
 */
public final class SectionAdvice {
    /** Steps of depth to either side that are tried at most, and of width. */
    private static final int STEPS = 6;

    private static final int WIDTHS = 2;
    /** What concrete and formwork cost, as kg of steel in place. */
    static final double CONCRETE = 120;

    static final double FORMWORK = 30;

    /** What a section lacks where it fails by it: of two that differ in size only, the smaller has less. */
    private static final Set<Cause> OF_THE_SIZE = EnumSet.of(
            Cause.FLEXURE,
            Cause.FLEXURE_COMPRESSION,
            Cause.SHEAR,
            Cause.SHEAR_LIMIT,
            Cause.TORSION,
            Cause.SHEAR_TORSION_LIMIT,
            Cause.DEFLECTION,
            Cause.BARS_DO_NOT_FIT,
            Cause.STEEL_OVER_CAP);

    private SectionAdvice() {}

    /**
     * A section that was tried.
     *
     * @param section  id in the project; empty for one that is not in it
     * @param strength largest use of a strength
     * @param inBand   whether it satisfies with a strength used as far as the basis wishes
     * @param steel    [kg], concrete [m3], formwork of soffit and sides [m2]
     * @param cost     all together as kg of steel
     */
    public record Option(
            String section,
            Shape shape,
            boolean present,
            boolean satisfied,
            boolean inBand,
            double strength,
            double steel,
            double concrete,
            double formwork,
            double cost) {}

    /** Why no section mends a line, in a sentence or two: no bar develops in an end support. Empty where trying may help. */
    public static Optional<String> inVain(BeamDesign d) {
        boolean us = d.basis().usUnits();
        return EndHooks.none(d)
                .map(n -> String.format(
                        Locale.ROOT,
                        "No other section: the hook of %s, the smallest bar allowed, needs %s to develop in the support at %s, which leaves %s. "
                                + "Make the support deeper, use stronger concrete or allow smaller bars.",
                        n.bar().label(),
                        Quantity.LENGTH.text(n.needs(), us),
                        d.line().supports().get(n.support()).label(),
                        Quantity.LENGTH.text(n.room(), us)));
    }

    /** Sections in the band of the basis, the cheapest first; then others that satisfy, then those that do not. */
    public static List<Option> of(BeamDesign d, BeamContext context, List<Section> project) {
        List<Option> out = new ArrayList<>();
        Shape now = shape(d);
        candidates(d, context, project).forEach((shape, id) -> out.add(tried(d, context, now, shape, id)));
        out.sort(Comparator.comparing(Option::satisfied)
                .thenComparing(Option::inBand)
                .reversed()
                .thenComparingDouble(o -> o.satisfied() ? o.cost() : o.strength()));
        return out;
    }

    /**
     * Other sections from the one with the least concrete and formwork on, up to the first in the band of the basis. Where the line is too small: what is as
     * wide and as deep as any of them, alone, if even that is too weak. None that is nowhere larger than one that was too weak.
     */
    public static List<Option> upwards(BeamDesign d, BeamContext context, List<Section> project) {
        Map<Shape, String> candidates = candidates(d, context, project);
        candidates.remove(shape(d));
        List<Shape> order = new ArrayList<>(candidates.keySet());
        order.sort(Comparator.comparingDouble(SectionAdvice::fixed));
        Shape over = over(order);
        if (tooSmall(d) && over != null) {
            Option o = tried(d, context, shape(d), over, "");
            if (o.strength() > 1) {
                return List.of(o);
            }
        }
        Map<Shape, Option> known = lesser(d, order, s -> tried(d, context, shape(d), s, candidates.get(s)));
        List<Option> out = new ArrayList<>();
        for (Shape s : order) {
            if (tooWeak(known.values(), s)) {
                continue;
            }
            Option o = known.computeIfAbsent(s, k -> tried(d, context, shape(d), k, candidates.get(k)));
            out.add(o);
            if (o.inBand()) {
                break;
            }
        }
        return out;
    }

    /** What comes of those with less concrete and formwork than the present section, the nearest first: those beyond one that is too weak need no trial. */
    private static Map<Shape, Option> lesser(BeamDesign d, List<Shape> ascending, Function<Shape, Option> trial) {
        Map<Shape, Option> out = new LinkedHashMap<>();
        for (int i = ascending.size() - 1; i >= 0; i--) {
            Shape s = ascending.get(i);
            if (fixed(s) < fixed(shape(d)) && !tooWeak(out.values(), s)) {
                out.put(s, trial.apply(s));
            }
        }
        return out;
    }

    /** Whether a shape is nowhere larger than another one that was too weak. */
    private static boolean tooWeak(Collection<Option> tried, Shape s) {
        return tried.stream().anyMatch(o -> o.strength() > 1 && !o.shape().equals(s) && !larger(s, o.shape()));
    }

    /** What concrete and formwork of a metre cost. */
    private static double fixed(Shape s) {
        return CONCRETE * s.A() / 1e6 + FORMWORK * formed(s) / 1000;
    }

    /** A shape as wide and as deep as any of some; null where they are none or differ otherwise. */
    private static Shape over(List<Shape> some) {
        double b = some.stream().mapToDouble(Shape::webWidth).max().orElse(0);
        double h = some.stream().mapToDouble(Shape::depth).max().orElse(0);
        if (some.isEmpty() || some.get(0) instanceof Shape.Circle) {
            return null;
        }
        if (!(some.get(0) instanceof Shape.Flanged f)) {
            return new Shape.Rectangle(b, h);
        }
        boolean alike = some.stream().allMatch(s -> s.width() == f.width() && s.flangeDepth() == f.flangeDepth());
        return alike && b <= f.bf() ? f.withWeb(b, h) : null;
    }

    /** A section that was tried for the spans of one shape. @param was that shape; @param spans how many have it */
    public record Deeper(Shape was, int spans, Option option) {}

    /**
     * Of a line whose spans differ: the least section that is only deeper and with which the line satisfies, for the spans of one of the shapes that fail or adjoin what fails,
     * the smallest first; where none does the deepest for the first of them. Empty where the limits of the basis leave none.
     */
    public static Optional<Deeper> deeper(BeamDesign d, BeamContext context) {
        Deeper first = null;
        for (Shape was : weak(d)) {
            Optional<Option> o = Least.of(
                    deeper(was, context.basis().beams().advice()),
                    s -> tried(d, context, was, s, known(s, context)),
                    Function.identity());
            if (o.isPresent()) {
                Deeper found = new Deeper(was, spans(d, was).size(), o.get());
                if (found.option.satisfied()) {
                    return Optional.of(found);
                }
                first = first == null ? found : first;
            }
        }
        return Optional.ofNullable(first);
    }

    private static List<Shape> deeper(Shape now, SectionLimits limits) {
        List<Shape> out = new ArrayList<>();
        for (int k = 1; k <= STEPS && !(now instanceof Shape.Circle); k++) {
            double h = now.depth() + k * limits.step();
            if (h <= limits.depthMost()) {
                out.add(
                        now instanceof Shape.Flanged f
                                ? f.withWeb(now.webWidth(), h)
                                : new Shape.Rectangle(now.width(), h));
            }
        }
        return out;
    }

    /** Shapes of the spans with something unmet, and of their neighbours, from the smallest. */
    private static List<Shape> weak(BeamDesign d) {
        List<BeamLine.Span> spans = d.line().spans();
        Set<Shape> out = new LinkedHashSet<>();
        d.checks().stream().filter(c -> !c.satisfied()).forEach(c -> {
            for (int i = Math.max(0, c.part() - 1); i <= Math.min(spans.size() - 1, c.part() + 1); i++) {
                out.add(spans.get(i).section().shape());
            }
        });
        return out.stream().sorted(Comparator.comparingDouble(Shape::A)).toList();
    }

    /** Id of a section of the building with this shape; empty for none. */
    private static String known(Shape s, BeamContext context) {
        return context.index().building().sections().stream()
                .filter(q -> q.shape().equals(s))
                .map(Section::id)
                .findFirst()
                .orElse("");
    }

    /** The section that is to be another: of a line whose spans differ that of the span which decides. */
    private static Shape shape(BeamDesign d) {
        List<BeamLine.Span> spans = d.line().spans();
        int decides = Math.max(0, Math.min(spans.size() - 1, d.governing().part()));
        return spans.get(decides).section().shape();
    }

    /** The spans that take another section: those of the shape that decides. */
    public static List<BeamLine.Span> taking(BeamDesign d) {
        return spans(d, shape(d));
    }

    private static List<BeamLine.Span> spans(BeamDesign d, Shape shape) {
        return d.line().spans().stream()
                .filter(s -> s.section().shape().equals(shape))
                .toList();
    }

    /** Round a web, what is formed: soffit and sides [mm]. */
    private static double formed(Shape s) {
        return s.webWidth() + 2 * (s.depth() - s.flangeDepth());
    }

    private static Map<Shape, String> candidates(BeamDesign d, BeamContext context, List<Section> project) {
        Shape now = shape(d);
        if (now instanceof Shape.Circle) {
            return new LinkedHashMap<>();
        }
        Map<Shape, String> out =
                candidates(now, project, context.basis().beams().advice());
        if (tooSmall(d)) {
            out.keySet().removeIf(s -> !s.equals(now) && !larger(s, now));
        }
        return out;
    }

    /** Whether something fails that no smaller section bears, the forces being what they are. */
    private static boolean tooSmall(BeamDesign d) {
        return d.checks().stream().anyMatch(c -> !c.satisfied() && OF_THE_SIZE.contains(c.cause()));
    }

    /** Whether a shape has more of anything than another of its kind. */
    private static boolean larger(Shape s, Shape than) {
        return s.depth() > than.depth()
                || s.webWidth() > than.webWidth()
                || s.width() > than.width()
                || s.flangeDepth() > than.flangeDepth();
    }

    /** Shapes by id in the project. */
    private static Map<Shape, String> candidates(Shape now, List<Section> project, SectionLimits limits) {
        Map<Shape, String> out = new LinkedHashMap<>();
        out.put(now, "");
        Map<Shape, String> known = new LinkedHashMap<>();
        for (Section s : project) {
            if (s.shape().getClass() == now.getClass()) {
                known.putIfAbsent(s.shape(), s.id());
            }
        }
        Near.of(known, now).forEach((shape, id) -> out.merge(shape, id, (was, is) -> was.isEmpty() ? is : was));
        for (int k = -STEPS; k <= STEPS; k++) {
            add(out, sized(now, now.webWidth(), now.depth() + k * limits.step(), limits));
            if (Math.abs(k) <= WIDTHS) {
                add(out, sized(now, now.webWidth() + k * limits.step(), now.depth(), limits));
            }
        }
        return out;
    }

    private static void add(Map<Shape, String> out, Shape s) {
        if (s != null) {
            out.putIfAbsent(s, "");
        }
    }

    /** The shape on another web; null outside the limits, or where the flange would not fit it. */
    private static Shape sized(Shape now, double bw, double h, SectionLimits limits) {
        if (bw < limits.widthLeast() || bw > limits.widthMost() || h < limits.depthLeast() || h > limits.depthMost()) {
            return null;
        }
        if (now instanceof Shape.Flanged f) {
            return h > 2 * f.hf() && bw <= f.bf() ? f.withWeb(bw, h) : null;
        }
        return new Shape.Rectangle(bw, h);
    }

    /** @param was shape of the spans that take another */
    private static Option tried(BeamDesign d, BeamContext context, Shape was, Shape shape, String id) {
        boolean present = shape.equals(was);
        BeamLine line = d.line().with(was, shape);
        BeamDesign t =
                present ? d : d.satisfied() ? BeamDesigner.design(line, context) : BeamDesigner.onTrial(line, context);
        Quantities has = Quantities.of(t);
        double concrete = has.concrete() / 1e9;
        double formwork = line.spans().stream()
                .mapToDouble(q -> q.clear() / 1000 * formed(q.section().shape()) / 1000)
                .sum();
        double strength = t.checks().stream()
                .filter(c -> c.cause().isStrength())
                .mapToDouble(c -> c.utilisation())
                .max()
                .orElse(0);
        SectionLimits limits = context.basis().beams().advice();
        boolean inBand = t.satisfied() && strength >= limits.bandFrom() && strength <= limits.bandTo();
        return new Option(
                id,
                shape,
                present,
                t.satisfied(),
                inBand,
                strength,
                has.steel(),
                concrete,
                formwork,
                has.steel() + CONCRETE * concrete + FORMWORK * formwork);
    }
}
