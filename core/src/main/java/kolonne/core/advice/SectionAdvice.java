package kolonne.core.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.design.Quantities;
import kolonne.core.finding.Cause;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;

/**
 * Other sections for a beam line: those of the project and steps of depth and width about the present one within the limits of the
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
            Cause.DEFLECTION);

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

    /** Sections in the band of the basis, the cheapest first; then others that satisfy, then those that do not; empty where the spans of the line differ. */
    public static List<Option> of(BeamDesign d, BeamContext context, List<Section> project) {
        List<Option> out = new ArrayList<>();
        Shape now = shape(d);
        candidates(d, context, project)
                .forEach((shape, id) -> out.add(tried(d, context, shape, id, shape.equals(now))));
        out.sort(Comparator.comparing(Option::satisfied)
                .thenComparing(Option::inBand)
                .reversed()
                .thenComparingDouble(o -> o.satisfied() ? o.cost() : o.strength()));
        return out;
    }

    /** Other sections from the one with the least concrete and formwork on, up to the first in the band of the basis. */
    public static List<Option> upwards(BeamDesign d, BeamContext context, List<Section> project) {
        Map<Shape, String> candidates = candidates(d, context, project);
        candidates.remove(shape(d));
        List<Shape> order = new ArrayList<>(candidates.keySet());
        order.sort(Comparator.comparingDouble(s -> CONCRETE * s.A() / 1e6 + FORMWORK * formed(s) / 1000));
        List<Option> out = new ArrayList<>();
        for (Shape s : order) {
            Option o = tried(d, context, s, candidates.get(s), false);
            out.add(o);
            if (o.inBand()) {
                break;
            }
        }
        return out;
    }

    private static Shape shape(BeamDesign d) {
        return d.line().spans().get(0).section().shape();
    }

    /** Round a web, what is formed: soffit and sides [mm]. */
    private static double formed(Shape s) {
        return s.webWidth() + 2 * (s.depth() - s.flangeDepth());
    }

    private static Map<Shape, String> candidates(BeamDesign d, BeamContext context, List<Section> project) {
        Shape now = shape(d);
        boolean alike =
                d.line().spans().stream().allMatch(s -> s.section().shape().equals(now));
        if (!alike || now instanceof Shape.Circle) {
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
        for (Section s : project) {
            if (s.shape().getClass() == now.getClass()) {
                out.merge(s.shape(), s.id(), (a, b) -> a.isEmpty() ? b : a);
            }
        }
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

    private static Option tried(BeamDesign d, BeamContext context, Shape shape, String id, boolean present) {
        BeamLine line = d.line().with(shape);
        BeamDesign t = present ? d : BeamDesigner.design(line, context);
        Quantities q = Quantities.of(t);
        double concrete = q.concrete() / 1e9;
        double length = line.spans().stream().mapToDouble(BeamLine.Span::clear).sum() / 1000;
        double formwork = length * formed(shape) / 1000;
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
                q.steel(),
                concrete,
                formwork,
                q.steel() + CONCRETE * concrete + FORMWORK * formwork);
    }
}
