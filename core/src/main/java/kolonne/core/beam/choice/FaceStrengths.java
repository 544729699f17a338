package kolonne.core.beam.choice;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;
import kolonne.core.shape.Shape;

/** Strengths of sections with layers of bars, remembered; for one line, by one thread. */
final class FaceStrengths {
    private record Section(Shape shape, double fc, boolean sagging, List<BarLayer> bars) {}

    private final Basis basis;
    private final Map<Section, FlexuralStrength> known = new HashMap<>();

    FaceStrengths(Basis basis) {
        this.basis = basis;
    }

    FlexuralStrength of(BeamLine.Span span, BeamCage.Face face, List<BarLayer> bars) {
        Section key = new Section(span.shape(), span.material().fc(), face == BeamCage.Face.BOTTOM, bars);
        FlexuralStrength s = known.get(key);
        if (s == null) {
            s = FlexuralStrength.of(
                    key.shape(), key.sagging(), bars, key.fc(), basis.fy(), basis.designCode(), Trace.OFF);
            known.put(key, s);
        }
        return s;
    }

    /** Strength of a face's layers alone; bars of the other face are left out, which is safe. @return φMn [Nmm] */
    double ofLayers(BeamLine.Span span, BeamCage.Face face, List<BarFit.Layer> layers) {
        double h = span.shape().depth();
        return of(
                        span,
                        face,
                        layers.stream()
                                .map(l -> new BarLayer(
                                        h - l.offset(), l.count() * l.bar().area()))
                                .toList())
                .phiMn();
    }
}
