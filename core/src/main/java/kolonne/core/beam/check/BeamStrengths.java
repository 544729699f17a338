package kolonne.core.beam.check;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;

/** Strengths of the sections of a line in bending, computed once for each arrangement of bars. */
final class BeamStrengths {
    private final BarsAt bars;
    private final Basis basis;
    private final Map<Key, FlexuralStrength> known = new HashMap<>();

    private record Key(Shape shape, double fc, boolean sagging, List<BarLayer> layers) {}

    BeamStrengths(BarsAt bars, Basis basis) {
        this.bars = bars;
        this.basis = basis;
    }

    FlexuralStrength at(double x, BeamLine.Span span, boolean sagging) {
        List<BarLayer> layers = bars.layers(x, span, sagging);
        return known.computeIfAbsent(
                new Key(span.shape(), span.material().fc(), sagging, layers),
                k -> FlexuralStrength.of(
                        k.shape(), sagging, layers, k.fc(), basis.fy(), basis.designCode(), Trace.OFF));
    }

    /** As if every bar were fully developed: tells want of anchorage from want of steel. */
    FlexuralStrength anchored(double x, BeamLine.Span span, boolean sagging) {
        return FlexuralStrength.of(
                span.shape(),
                sagging,
                bars.layers(x, span, sagging, true),
                span.material().fc(),
                basis.fy(),
                basis.designCode(),
                Trace.OFF);
    }
}
