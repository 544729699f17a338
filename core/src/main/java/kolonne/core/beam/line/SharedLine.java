package kolonne.core.beam.line;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * A line that stands for several of like geometry while their common cage is chosen: every span as long as the longest, every support as narrow as the
 * narrowest, so that bars that are long enough in it are long enough in all.
 */
public final class SharedLine {
    private SharedLine() {}

    /** @param base whose members and stations it has; @param lines with the same number of spans, the base among them */
    public static BeamLine of(BeamLine base, List<BeamLine> lines) {
        List<BeamLine.Support> supports = new ArrayList<>();
        List<BeamLine.Span> spans = new ArrayList<>();
        double x = 0;
        for (int i = 0; i < base.supports().size(); i++) {
            int k = i;
            BeamLine.Support s = base.supports().get(i);
            x += i == 0
                    ? s.x()
                    : most(
                            lines,
                            l -> l.supports().get(k).x()
                                    - l.supports().get(k - 1).x());
            supports.add(new BeamLine.Support(
                    s.joint(),
                    x,
                    s.kind(),
                    least(lines, l -> l.supports().get(k).depth()),
                    least(lines, l -> l.supports().get(k).across()),
                    s.label()));
        }
        for (BeamLine.Span s : base.spans()) {
            int k = s.number();
            double from = supports.get(k).x();
            double to = supports.get(k + 1).x();
            spans.add(new BeamLine.Span(
                    k,
                    from,
                    to,
                    from + least(lines, l -> inset(l, k, true)),
                    to - least(lines, l -> inset(l, k, false)),
                    s.members(),
                    s.section(),
                    s.shape(),
                    s.material()));
        }
        List<BeamLine.Station> stations =
                base.stations().stream().map(s -> moved(s, base, spans)).toList();
        return new BeamLine(base.id(), base.mark(), base.storey(), spans, supports, stations, x);
    }

    private static double inset(BeamLine l, int span, boolean left) {
        BeamLine.Span s = l.spans().get(span);
        return left ? s.faceFrom() - s.from() : s.to() - s.faceTo();
    }

    /** At the same part of the clear span. */
    private static BeamLine.Station moved(BeamLine.Station s, BeamLine base, List<BeamLine.Span> spans) {
        BeamLine.Span was = base.spans().get(s.span());
        BeamLine.Span now = spans.get(s.span());
        double x = now.faceFrom() + (s.x() - was.faceFrom()) / was.clear() * now.clear();
        return new BeamLine.Station(s.number(), x, s.span(), s.memberNumber(), s.station(), s.reversed());
    }

    private static double most(List<BeamLine> lines, ToDoubleFunction<BeamLine> of) {
        return lines.stream().mapToDouble(of).max().orElseThrow();
    }

    private static double least(List<BeamLine> lines, ToDoubleFunction<BeamLine> of) {
        return lines.stream().mapToDouble(of).min().orElseThrow();
    }
}
