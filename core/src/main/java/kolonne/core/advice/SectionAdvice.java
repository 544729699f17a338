package kolonne.core.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.beam.BeamContext;
import kolonne.core.beam.BeamDesign;
import kolonne.core.beam.BeamDesigner;
import kolonne.core.beam.BeamLine;
import kolonne.core.design.Quantities;
import kolonne.core.model.Section;
import kolonne.core.section.Shape;

/**
 * Other sections for a beam line: those of the project and steps of depth and width about the present one, each designed with the forces as
 * they are. Taking one means another analysis, since stiffness and weight change.
 */
public final class SectionAdvice {
    /** Steps of depth and width [mm], in inch-pound projects 2 in. */
    private static final double STEP = 50;
    private static final double INCH_STEP = 50.8;
    private static final int STEPS = 6;
    /** What concrete and formwork cost, as kg of steel in place. */
    private static final double CONCRETE = 120;
    private static final double FORMWORK = 30;

    private SectionAdvice() {}

    /**
     * A section that was tried.
     *
     * @param section  id in the project; empty for one that is not in it
     * @param strength largest use of a strength
     * @param steel    [kg], concrete [m3], formwork of soffit and sides [m2]
     * @param cost     all together as kg of steel
     */
    public record Option(String section, Shape shape, boolean present, boolean satisfied, double strength, double steel, double concrete, double formwork, double cost) {}

    /** Sections from the cheapest that satisfies to the dearest, then those that do not; empty where the spans of the line differ. */
    public static List<Option> of(BeamDesign d, BeamContext context, List<Section> project) {
        Shape now = d.line().spans().get(0).section().shape();
        boolean alike = d.line().spans().stream().allMatch(s -> s.section().shape().equals(now));
        if (!alike || now instanceof Shape.Circle) {
            return List.of();
        }
        List<Option> out = new ArrayList<>();
        candidates(now, project, context.basis().usUnits() ? INCH_STEP : STEP).forEach((shape, id) -> out.add(tried(d, context, shape, id, shape.equals(now))));
        out.sort(Comparator.comparing(Option::satisfied).reversed().thenComparingDouble(o -> o.satisfied() ? o.cost() : o.strength()));
        return out;
    }

    /** Shapes by id in the project. */
    private static Map<Shape, String> candidates(Shape now, List<Section> project, double step) {
        Map<Shape, String> out = new LinkedHashMap<>();
        out.put(now, "");
        for (Section s : project) {
            if (s.shape().getClass() == now.getClass()) {
                out.merge(s.shape(), s.id(), (a, b) -> a.isEmpty() ? b : a);
            }
        }
        for (int k = -STEPS; k <= STEPS; k++) {
            add(out, sized(now, now.webWidth(), now.depth() + k * step));
            if (Math.abs(k) <= 2) {
                add(out, sized(now, now.webWidth() + k * step, now.depth()));
            }
        }
        return out;
    }

    /** Webs from 200 mm, depths from half to twice the present one are worth a try; null is not. */
    private static void add(Map<Shape, String> out, Shape s) {
        if (s != null) {
            out.putIfAbsent(s, "");
        }
    }

    private static Shape sized(Shape now, double bw, double h) {
        if (bw < 200 || h < now.depth() / 2 || h > 2 * now.depth()) {
            return null;
        }
        if (now instanceof Shape.Tee t) {
            return h > 2 * t.hf() && bw <= t.bf() ? new Shape.Tee(bw, h, t.bf(), t.hf()) : null;
        }
        if (now instanceof Shape.Ell e) {
            return h > 2 * e.hf() && bw <= e.bf() ? new Shape.Ell(bw, h, e.bf(), e.hf()) : null;
        }
        return h >= 150 ? new Shape.Rectangle(bw, h) : null;
    }

    private static Option tried(BeamDesign d, BeamContext context, Shape shape, String id, boolean present) {
        BeamLine line = d.line().with(shape);
        BeamDesign t = present ? d : BeamDesigner.design(line, context);
        Quantities q = Quantities.of(t, context.basis());
        double concrete = q.concrete() / 1e9;
        double length = line.spans().stream().mapToDouble(BeamLine.Span::clear).sum() / 1000;
        double formwork = length * (shape.webWidth() + 2 * (shape.depth() - flange(shape))) / 1000;
        double strength = t.checks().stream().filter(c -> c.cause().isStrength()).mapToDouble(c -> c.utilisation()).max().orElse(0);
        return new Option(id, shape, present, t.satisfied(), strength, q.steel(), concrete, formwork, q.steel() + CONCRETE * concrete + FORMWORK * formwork);
    }

    private static double flange(Shape s) {
        return s instanceof Shape.Tee t ? t.hf() : s instanceof Shape.Ell e ? e.hf() : 0;
    }
}
