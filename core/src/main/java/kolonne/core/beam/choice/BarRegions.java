package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;

/** The regions of a line whose bars are chosen each for its largest moment. */
final class BarRegions {
    private final BeamLine line;
    private final Basis basis;
    private final Boost boost;
    private final double[] hogging;
    private final double[] sagging;

    /** @param hogging and {@code sagging} moments of the stations, by size [Nmm] */
    BarRegions(BeamLine line, Basis basis, Boost boost, double[] hogging, double[] sagging) {
        this.line = line;
        this.basis = basis;
        this.boost = boost;
        this.hogging = hogging;
        this.sagging = sagging;
    }

    /** One region a support: half a span on either side; a cantilever belongs to its support altogether. */
    List<BarRegion> top() {
        List<BarRegion> out = new ArrayList<>();
        for (int s = 0; s < line.supports().size(); s++) {
            double from = s == 0 ? line.supports().get(0).x() : middle(s - 1, false);
            double to = s == line.supports().size() - 1 ? line.supports().get(s).x() : middle(s, true);
            out.add(region(
                    BeamCage.Face.TOP,
                    s,
                    hogging,
                    from,
                    to,
                    Math.max(0, s - 1),
                    Math.min(s, line.spans().size() - 1)));
        }
        return out;
    }

    /** Where the regions of a span's two supports meet. */
    private double middle(int span, boolean fromLeft) {
        BeamLine.Span s = line.spans().get(span);
        boolean freeLeft = line.supports().get(span).kind() == BeamLine.SupportKind.FREE;
        boolean freeRight = line.supports().get(span + 1).kind() == BeamLine.SupportKind.FREE;
        if (freeLeft) {
            return s.from();
        }
        return freeRight ? s.to() : s.middle();
    }

    /** One region a span. */
    List<BarRegion> bottom() {
        List<BarRegion> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            out.add(region(BeamCage.Face.BOTTOM, s.number(), sagging, s.from(), s.to(), s.number(), s.number()));
        }
        return out;
    }

    private BarRegion region(
            BeamCage.Face face, int number, double[] demand, double from, double to, int firstSpan, int lastSpan) {
        BeamLine.Span a = line.spans().get(firstSpan);
        BeamLine.Span b = line.spans().get(lastSpan);
        double factor = face == BeamCage.Face.BOTTOM ? boost.spans[number] : boost.supports[number];
        return new BarRegion(
                face,
                number,
                sides(demand, from, to, List.of(a, b), factor),
                List.of(a, b),
                to - from,
                anchor(face, number),
                face == BeamCage.Face.BOTTOM ? ends(number) : List.of());
    }

    /** The moments that bars of a region bear: those of each of its spans, or the larger of both where their sections are alike. */
    private List<BarRegion.Side> sides(
            double[] demand, double from, double to, List<BeamLine.Span> spans, double factor) {
        BeamLine.Span a = spans.get(0);
        BeamLine.Span b = spans.get(1);
        double before = moment(demand, from, to, a) * factor;
        double after = moment(demand, from, to, b) * factor;
        boolean alike = a.shape().equals(b.shape())
                && a.material().equals(b.material())
                && line.cantilever(a.number()) == line.cantilever(b.number());
        if (alike) {
            return List.of(after > before ? new BarRegion.Side(b, after) : new BarRegion.Side(a, before));
        }
        return Stream.of(new BarRegion.Side(a, before), new BarRegion.Side(b, after))
                .filter(q -> q.moment() > 0 || Math.max(before, after) <= 0)
                .toList();
    }

    /** The largest of a span from one place to another; 0 where none is more than negligible. */
    private double moment(double[] demand, double from, double to, BeamLine.Span span) {
        double most = 0;
        for (int i = 0; i < demand.length; i++) {
            BeamLine.Station s = line.stations().get(i);
            boolean within = s.span() == span.number() && s.x() >= from - 1e-6 && s.x() <= to + 1e-6;
            most = within && demand[i] > span.negligibleMoment() ? Math.max(most, demand[i]) : most;
        }
        return most;
    }

    /** The ends of the line that a span's bottom bars are anchored in. */
    private List<BarRegion.End> ends(int number) {
        List<BarRegion.End> out = new ArrayList<>();
        BeamLine.Span s = line.spans().get(number);
        for (boolean left : new boolean[] {true, false}) {
            int support = left ? 0 : line.spans().size();
            BeamLine.SupportKind kind = line.supports().get(support).kind();
            boolean there = number == (left ? 0 : line.spans().size() - 1)
                    && (kind == BeamLine.SupportKind.COLUMN || kind == BeamLine.SupportKind.BEAM);
            int station = left ? 0 : sagging.length - 1;
            if (there && sagging[station] > s.negligibleMoment()) {
                out.add(new BarRegion.End(sagging[station] * boost.spans[number], line.endRoom(basis, left)));
            }
        }
        return out;
    }

    /** What the end supports leave for the hooks of top bars [mm]. */
    private double anchor(BeamCage.Face face, int support) {
        boolean first = support == 0;
        if (face == BeamCage.Face.BOTTOM
                || !first && support < line.supports().size() - 1
                || line.supports().get(support).kind() == BeamLine.SupportKind.FREE
                || line.supports().get(support).kind() == BeamLine.SupportKind.HELD) {
            return Double.POSITIVE_INFINITY;
        }
        return Math.abs(line.endRoom(basis, first));
    }
}
