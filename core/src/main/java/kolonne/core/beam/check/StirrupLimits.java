package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/** What the main bars of a span ask of its stirrups, besides shear and torsion. */
public interface StirrupLimits {
    /** Largest spacing of stirrups that stand between two places [mm]. */
    double spacing(double from, double to, double d, Bar stirrup);

    /** Fewest legs anywhere in the span. */
    int legs(Bar stirrup);

    /** Whether bars of a size may be stirrups. */
    boolean allows(Bar stirrup);

    /** All limits of a span with its main bars. @param bars of a cage, which may have no stirrups yet */
    static List<StirrupLimits> of(BeamLine line, BeamLine.Span span, BarsAt bars, BeamContext context) {
        List<StirrupLimits> out = new ArrayList<>(2);
        DuctileHoops.of(line, span, bars.cage().groups(), context).ifPresent(out::add);
        CompressionBars.of(line, span, bars, context).ifPresent(out::add);
        return out;
    }
}
