package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Steel;
import kolonne.core.explain.Trace;
import kolonne.core.section.BarLayer;
import kolonne.core.section.FlexuralStrength;

/** The greatest moment that a section can carry, tension-controlled, with the bars of the basis that fit into it. */
final class SectionLimit {
    private SectionLimit() {}

    /** @return φMn with as many bars of one size as fit in tension, and one full layer in compression [Nmm] */
    static double of(BeamLine.Span span, boolean sagging, Basis basis, Bar stirrup) {
        DesignCode code = basis.designCode();
        double h = span.shape().depth();
        double bw = span.shape().webWidth();
        double limit =
                code.beamTensionStrain(basis.fy() / Steel.ES, span.material().fc(), Trace.OFF);
        double best = 0;
        for (Bar bar : basis.beamBarList()) {
            for (int n = 2; ; n++) {
                boolean pairs = basis.beams().bundles()
                        && bar.diameter() <= code.detailing().largestInPair();
                List<BarFit.Layer> layers =
                        BarFit.place(new BarFit.Wanted(bw, stirrup, 2, bar, n - 2, bar, pairs), basis);
                if (layers == null) {
                    break;
                }
                List<BarLayer> bars = new ArrayList<>();
                layers.forEach(l -> bars.add(
                        new BarLayer(h - l.offset(), l.count() * l.bar().area())));
                BarFit.Layer first = layers.get(0);
                int inFirst = layers.stream()
                        .filter(l -> l.number() == 1)
                        .mapToInt(BarFit.Layer::count)
                        .sum();
                bars.add(new BarLayer(first.offset(), inFirst * bar.area()));
                FlexuralStrength s = FlexuralStrength.of(
                        span.shape(), sagging, bars, span.material().fc(), basis.fy(), code, Trace.OFF);
                if (s.epsT() >= limit) {
                    best = Math.max(best, s.phiMn());
                }
            }
        }
        return best;
    }
}
