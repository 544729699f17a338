package kolonne.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What the bars of a lift develop at the face of a joint, as they stand in space: all of their strength but where they end at its head, or stand on a beam
 * (ACI 318-19 25.4.3, 25.4.9; EN 1992-1-1 8.4).
 */
final class EndingReading {
    private final Sheet.Lift l;
    private final List<Sheet.Standing> bars;
    private final Sheet.Basis b;
    private final Materials m;

    EndingReading(Sheet.Lift l, List<Sheet.Standing> bars, Sheet.Basis b) {
        this.l = l;
        this.bars = bars;
        this.b = b;
        this.m = new Materials(b);
    }

    /** Bar by bar; null where all are whole. @param checked height at which a section was checked; {@code floor} over the joint */
    List<Fibres.Part> head(double checked, double soffit, double floor) {
        List<Fibres.Part> out = new ArrayList<>();
        for (Sheet.Dot dot : l.bars()) {
            Sheet.Standing s = bars.stream()
                    .filter(q -> q.is(dot, checked))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no bar in " + l.mark()));
            boolean ends = s.top() < floor;
            out.add(ends ? part(s, s.top() - soffit) : new Fibres.Part(1, 1));
        }
        return weaker(out);
    }

    /** By the nearest bar that stands in the beam beneath. @param over top of that beam */
    List<Fibres.Part> foot(double checked, double over) {
        List<Sheet.Standing> starters = bars.stream()
                .filter(q -> q.bottom() < over - 50 && l.bars().stream().noneMatch(dot -> q.is(dot, checked)))
                .toList();
        List<Fibres.Part> out = new ArrayList<>();
        for (Sheet.Dot dot : l.bars()) {
            Sheet.Standing s = starters.stream()
                    .min(Comparator.comparingDouble(q -> apart(q.at(over), dot)))
                    .orElseThrow(() -> new IllegalStateException("nothing under " + l.mark()));
            out.add(part(s, over - s.bottom()));
        }
        return weaker(out);
    }

    private static double apart(double[] at, Sheet.Dot dot) {
        return Math.hypot(at[0] - dot.x(), at[1] - dot.y());
    }

    /** @param room from the face of the joint to the middle of the bar's end */
    private Fibres.Part part(Sheet.Standing s, double room) {
        double straight = m.straight(s.d(), l.fc(), false, 0, 0, b.columnCover());
        double push = b.en() ? straight : m.pushed(s.d(), l.fc());
        if (!s.hooked()) {
            return new Fibres.Part(of(room, straight), of(room, push));
        }
        double whole = room + s.d() / 2;
        return new Fibres.Part(of(whole, m.hooked(s.d(), l.fc(), false)), of(whole - radius(s.d()) - s.d(), push));
    }

    /** Inside a bend of a main bar (25.3.1; table 8.1N). */
    private double radius(double d) {
        if (b.en()) {
            return d <= 16 ? 2 * d : 3.5 * d;
        }
        return d < 25.5 ? 3 * d : d < 37 ? 4 * d : 5 * d;
    }

    private static double of(double has, double needs) {
        return Math.max(0, Math.min(1, has / needs));
    }

    private static List<Fibres.Part> weaker(List<Fibres.Part> all) {
        return all.stream().allMatch(p -> p.pull() == 1 && p.push() == 1) ? null : all;
    }
}
