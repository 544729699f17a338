package kolonne.core.beam.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HeldBars;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.Bar;
import kolonne.core.code.DuctileFrame;

/** Hoops of a span of a ductile frame: where they stand, how close, and how many legs hold its bars. */
final class DuctileHoops implements StirrupLimits {
    private final BeamLine.Span span;
    private final List<BeamCage.Group> groups;
    private final Basis basis;
    private final DuctileFrame rules;
    private final Bar thinnest;

    private final List<Laps.Lap> laps;

    private DuctileHoops(
            BeamLine line, BeamLine.Span span, List<BeamCage.Group> groups, Basis basis, DuctileFrame rules) {
        this.span = span;
        this.groups = groups.stream()
                .filter(g -> g.to() > span.faceFrom() && g.from() < span.faceTo())
                .toList();
        this.basis = basis;
        this.rules = rules;
        this.laps = this.groups.stream()
                .flatMap(g -> Laps.of(line, g, basis).stream())
                .toList();
        this.thinnest = this.groups.stream()
                .map(BeamCage.Group::bar)
                .min(Comparator.comparingDouble(Bar::diameter))
                .orElse(basis.beamBarList().get(0));
    }

    /** Of a span with its main bars; empty where it is no part of a ductile frame. */
    static Optional<DuctileHoops> of(
            BeamLine line, BeamLine.Span span, List<BeamCage.Group> groups, BeamContext context) {
        return DuctileSpans.rules(line, context.basis())
                .filter(r -> DuctileSpans.applies(line, span))
                .map(r -> new DuctileHoops(line, span, groups, context.basis(), r));
    }

    /** Largest spacing of stirrups that stand between two places [mm]. */
    @Override
    public double spacing(double from, double to, double d, Bar hoop) {
        double reach = DuctileSpans.hoops(span, rules);
        boolean hoops = reach > 0 && (from < span.faceFrom() + reach - 1e-6 || to > span.faceTo() - reach + 1e-6);
        boolean lapped = laps.stream().anyMatch(l -> from < l.to() - 1e-6 && to > l.from() + 1e-6);
        double elsewhere = Math.min(rules.spacingElsewhere(d), lapped ? rules.lapHoops(d) : Double.POSITIVE_INFINITY);
        return hoops ? Math.min(elsewhere, rules.hoopSpacing(d, thinnest, hoop, basis.fy())) : elsewhere;
    }

    /**
     * Legs that hold the bars of the first layers: both corners, every other bar, every bar further than 150 mm from a held one
     * (25.7.2.3), and no two held bars further apart than the frame allows.
     */
    @Override
    public int legs(Bar hoop) {
        if (!rules.hoopsHoldBars()) {
            return 2;
        }
        int most = 2;
        double width = span.shape().webWidth() - 2 * basis.beamCover() - hoop.diameter();
        double reach = DuctileSpans.hoops(span, rules);
        for (BeamCage.Face face : BeamCage.Face.values()) {
            for (double x :
                    new double[] {span.faceFrom(), span.faceFrom() + reach, span.faceTo() - reach, span.faceTo()}) {
                most = Math.max(most, HeldBars.legs(span, groups, face, x, hoop, basis));
            }
        }
        return Math.max(most, (int) Math.ceil(width / rules.heldDistance() - 1e-9) + 1);
    }

    @Override
    public boolean allows(Bar hoop) {
        return true;
    }
}
