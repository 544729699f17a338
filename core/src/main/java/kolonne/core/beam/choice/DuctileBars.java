package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.FlexureCheck;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileFrame;
import kolonne.core.explain.Trace;

/** What a ductile frame leaves to the choice of bars. */
final class DuctileBars {
    private final BeamLine line;
    private final Basis basis;
    private final DesignCode code;
    private final DuctileFrame rules;

    DuctileBars(BeamLine line, Basis basis, DuctileFrame rules) {
        this.line = line;
        this.basis = basis;
        this.code = basis.designCode();
        this.rules = rules;
    }

    /** Part of a face's most steel that runs through: what must be there everywhere does. Less steel has the longer lever, so that the part of the steel is enough of the strength. */
    double throughPart(BeamCage.Face face) {
        return Math.max(rules.anywhere(), face == BeamCage.Face.BOTTOM ? rules.continuousBottom() : 0);
    }

    /** Most steel of a face of a span with its bars at a depth [mm2]. */
    double most(BeamLine.Span span, double d) {
        return rules.mostRatio(basis.fy()) * span.shape().webWidth() * d;
    }

    /** Sizes whose hooks and passages find room in the columns of a ductile frame; the smallest if none does. */
    List<Bar> sizes() {
        List<Bar> out = basis.beamBarList().stream().filter(this::fits).toList();
        return out.isEmpty() ? basis.beamBarList().subList(0, 1) : out;
    }

    private boolean fits(Bar bar) {
        int n = line.spans().size();
        for (int k = 0; k <= n; k++) {
            if (!DuctileSpans.column(line, k)) {
                continue;
            }
            BeamLine.Span span = line.spans().get(Math.min(k, n - 1));
            boolean end = k == 0 || k == n;
            if (end
                    ? rules.hookLength(bar, span.material().fc(), basis.fy()) > line.endRoom(basis, k == 0) + 1e-6
                    : rules.columnDepthInBars(basis.fy()) * bar.diameter()
                            > line.supports().get(k).depth() + 1e-6) {
                return false;
            }
        }
        return true;
    }

    /** Least steel that a ductile frame has on a face everywhere [mm2]. */
    double leastThrough(BeamCage.Face face, Bar bar, Bar stirrup) {
        if (!rules.leastSteelOnBothFaces()) {
            return 0;
        }
        double offset = basis.beamCover() + stirrup.diameter() + bar.diameter() / 2;
        return line.spans().stream()
                .mapToDouble(q -> code.beamMinimumSteel(
                        q.material().fc(),
                        basis.fy(),
                        FlexureCheck.minimumWidth(code, line, q, face == BeamCage.Face.BOTTOM),
                        q.shape().depth() - offset,
                        Trace.OFF))
                .max()
                .orElse(0);
    }
}
