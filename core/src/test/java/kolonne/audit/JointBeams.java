package kolonne.audit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;

/** Beams at joints as they are drawn: what they bear there. */
final class JointBeams {
    private final Sheet.Basis b;
    private final Materials m;
    private final BuildingIndex index;
    private final Map<String, List<End>> swaying = new HashMap<>();
    private final Map<String, List<End>> all = new HashMap<>();

    /** A beam at a joint: where it runs, what it bears with fy and with 1.25 fy, and its bars. */
    record End(
            double ux,
            double uy,
            double width,
            double depth,
            double fc,
            double[] plain,
            double[] strong,
            double[] area,
            double lever) {}

    JointBeams(Sheet.Basis b, BuildingIndex index, List<Sheet.Line> lines) {
        this.b = b;
        this.m = new Materials(b);
        this.index = index;
        lines.forEach(this::line);
    }

    /** Beams that are fixed to a joint and sway with the frame: no cantilevers. */
    List<End> swaying(String joint) {
        return swaying.getOrDefault(joint, List.of());
    }

    /** All that are fixed to it. */
    List<End> all(String joint) {
        return all.getOrDefault(joint, List.of());
    }

    private void line(Sheet.Line l) {
        for (int s = 0; s < l.spans().size(); s++) {
            int number = s;
            Sheet.Span span = l.spans().get(s);
            List<Sheet.Place> here =
                    l.places().stream().filter(p -> p.span() == number).toList();
            String from = joint(here.get(0), true);
            String to = joint(here.get(here.size() - 1), false);
            if (span.columnLeft()) {
                end(l, span, from, to, span.faceFrom(), here.get(0), true);
            }
            if (span.columnRight()) {
                end(l, span, to, from, span.faceTo(), here.get(here.size() - 1), false);
            }
        }
    }

    private String joint(Sheet.Place p, boolean first) {
        Member member = index.building().members().get(p.member());
        return first != p.reversed() ? member.start() : member.end();
    }

    private void end(Sheet.Line l, Sheet.Span s, String at, String other, double face, Sheet.Place p, boolean first) {
        Member member = index.building().members().get(p.member());
        boolean pinned = (first != p.reversed() ? member.startRelease() : member.endRelease()).frees(4);
        if (pinned) {
            return;
        }
        Joint a = index.joint(at);
        Joint o = index.joint(other);
        double run = Math.hypot(o.x() - a.x(), o.y() - a.y());
        List<Sheet.Bars> bars = l.bars().stream().filter(q -> q.at(face)).toList();
        End end = new End(
                (o.x() - a.x()) / run,
                (o.y() - a.y()) / run,
                s.bw(),
                s.h(),
                s.fc(),
                new double[] {bends(s, false, bars, 1), bends(s, true, bars, 1)},
                new double[] {bends(s, false, bars, 1.25), bends(s, true, bars, 1.25)},
                new double[] {area(bars, true), area(bars, false)},
                s.h() - bars.stream().mapToDouble(Sheet.Bars::offset).min().orElse(s.h()));
        all.computeIfAbsent(at, k -> new ArrayList<>()).add(end);
        if (!s.cantilever()) {
            swaying.computeIfAbsent(at, k -> new ArrayList<>()).add(end);
        }
    }

    private static double area(List<Sheet.Bars> bars, boolean top) {
        return bars.stream()
                .filter(q -> q.top() == top)
                .mapToDouble(q -> q.count() * q.area())
                .sum();
    }

    private double bends(Sheet.Span s, boolean sagging, List<Sheet.Bars> bars, double factor) {
        List<Fibres.Level> levels = bars.stream()
                .map(q -> new Fibres.Level(q.top() == sagging ? q.offset() : s.h() - q.offset(), q.count() * q.area()))
                .toList();
        Fibres.Bent r = Fibres.beam(s, sagging, levels, m, factor * b.fy());
        return r.moment() / m.phi(Math.max(0, r.strain()));
    }
}
