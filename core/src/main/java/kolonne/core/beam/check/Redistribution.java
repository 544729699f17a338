package kolonne.core.beam.check;

import java.util.List;
import java.util.Locale;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Trace;
import kolonne.core.finding.Finding;
import kolonne.core.section.FlexuralStrength;

/**
 * Whether the sections over the supports can turn as far as the redistribution asks. A line of which one section cannot is checked with the
 * moments of the analysis.
 */
final class Redistribution {
    private final BeamLine line;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final BarsAt bars;
    /** The section with the least strain to spare; null where all have enough. */
    private BeamLine.Station tooStiff;

    private double strain = Double.POSITIVE_INFINITY;
    /** The first of two neighbouring spans too unlike in length; null where there are none. */
    private BeamLine.Span unlike;

    Redistribution(BeamLine line, BeamCage cage, BeamContext own) {
        this.line = line;
        this.context = own;
        this.basis = own.basis();
        this.code = basis.designCode();
        this.bars = new BarsAt(line, cage, basis);
        for (int i = 0; i + 1 < line.spans().size() && unlike == null; i++) {
            BeamLine.Span a = line.spans().get(i);
            BeamLine.Span b = line.spans().get(i + 1);
            double ratio = Math.max(length(a) / length(b), length(b) / length(a));
            unlike =
                    !line.cantilever(i) && !line.cantilever(i + 1) && ratio > code.redistributionSpanRatio() ? a : null;
        }
        for (BeamLine.Span span : line.spans()) {
            if (!line.cantilever(span.number())) {
                List<BeamLine.Station> all = line.stations().stream()
                        .filter(s -> s.span() == span.number())
                        .toList();
                look(span, all.get(0));
                look(span, all.get(all.size() - 1));
            }
        }
    }

    private static double length(BeamLine.Span s) {
        return s.to() - s.from();
    }

    private void look(BeamLine.Span span, BeamLine.Station s) {
        double hogging = 0;
        for (int c = 0; c < context.combinations(); c++) {
            hogging = Math.max(hogging, -context.at(s, c, Analysis.MY));
        }
        if (hogging <= span.negligibleMoment()) {
            return;
        }
        double has = FlexuralStrength.of(
                        span.shape(),
                        false,
                        bars.layers(s.x(), span, false, true),
                        span.material().fc(),
                        basis.fy(),
                        code,
                        Trace.OFF)
                .epsT();
        if (has
                        < code.redistributionStrain(
                                basis.redistribution(), span.material().fc())
                && has < strain) {
            strain = has;
            tooStiff = s;
        }
    }

    /** The context whose moments count: redistributed, or as analysed. */
    BeamContext context() {
        return tooStiff == null && unlike == null
                ? context
                : context.with(basis.withRedistribution(0)).of(line);
    }

    /** Why it is refused; empty where it is not. */
    List<Finding> findings() {
        if (unlike != null) {
            return List.of(Finding.note(
                    "redistribution.refused",
                    line.mark() + ", span " + (unlike.number() + 1),
                    String.format(
                            Locale.ROOT,
                            "Redistribution is refused: this span and the next differ in length by more than a factor of %.0f (%s). The moments of the analysis count.",
                            code.redistributionSpanRatio(),
                            code.redistributionClause()),
                    "Redistribute nothing in this line, or even out the spans."));
        }
        if (tooStiff == null) {
            return List.of();
        }
        BeamLine.Span span = line.spans().get(tooStiff.span());
        double needed = code.redistributionStrain(
                basis.redistribution(), span.material().fc());
        return List.of(Finding.note(
                "redistribution.refused",
                line.mark() + ", " + Places.of(line, tooStiff.x(), tooStiff.span(), context),
                String.format(
                        Locale.ROOT,
                        "Redistribution of %.0f %% is refused: the bars reach a strain of %.2f ‰ where %.2f ‰ are needed (%s). The moments of the "
                                + "analysis count.",
                        100 * basis.redistribution(),
                        1000 * strain,
                        1000 * needed,
                        code.redistributionClause()),
                "Make the section deeper, add bottom bars over the support, or redistribute less."));
    }
}
