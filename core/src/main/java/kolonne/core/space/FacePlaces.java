package kolonne.core.space;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.cage.SoffitStep;
import kolonne.core.beam.line.BeamLine;

/**
 * Where the bars of a face lie along a line. Across the web a bar keeps one place from end to end: the one that it is checked at where most bars lie side by side
 * (in the narrowest web that it passes); where another bar has that place, the middle of the widest gap. Bars of a further layer stay over the bar that they stand on.
 * Up and down they follow the soffit.
 */
final class FacePlaces {
    /** Places that differ by less are one [mm]. */
    private static final double SAME = 0.5;

    private final BeamLine line;
    private final BeamCage cage;
    private final BeamCage.Face face;
    private final Basis basis;
    private final double top;
    private final List<Part> parts = new ArrayList<>();
    private final Map<BeamCage.Group, double[]> across = new IdentityHashMap<>();

    /** A stretch of the line with the same bars. @param slots of every group, in order across */
    private record Part(double from, double to, BeamLine.Span span, int units, Map<BeamCage.Group, List<Slot>> slots) {}

    /** A bar in a layout. @param y across; @param over the bar that it stands over, null in the first layer; @param turn of a pair: -1 the outer bar, 1 the inner, 0 no pair */
    private record Slot(double y, Under over, int turn) {}

    private record Under(BeamCage.Group group, int number, double off) {}

    /** @param top of the beams above the line's axis [mm] */
    FacePlaces(BeamLine line, BeamCage cage, BeamCage.Face face, Basis basis, double top) {
        this.line = line;
        this.cage = cage;
        this.face = face;
        this.basis = basis;
        this.top = top;
        List<Double> ends = new ArrayList<>(changes());
        for (int i = 0; i + 1 < ends.size(); i++) {
            if (ends.get(i + 1) - ends.get(i) > SAME) {
                parts.add(part(ends.get(i), ends.get(i + 1)));
            }
        }
        cage.groups().stream()
                .filter(g -> g.face() == face)
                .sorted(Comparator.comparingInt(BeamCage.Group::layer)
                        .thenComparing(g -> !g.through())
                        .thenComparing(g -> g.from() - g.to()))
                .forEach(g -> across.put(g, places(g)));
    }

    private TreeSet<Double> changes() {
        TreeSet<Double> out = new TreeSet<>();
        for (BeamCage.Group g : cage.groups()) {
            if (g.face() == face) {
                out.add(g.from());
                out.add(g.to());
            }
        }
        cage.zones().forEach(z -> out.add(z.to()));
        line.spans().forEach(s -> out.add(s.to()));
        return out;
    }

    private Part part(double from, double to) {
        double x = (from + to) / 2;
        BeamLine.Span span = line.spanAt(x);
        Map<BeamCage.Group, List<Slot>> slots = new IdentityHashMap<>();
        FaceLayout layout = FaceLayout.of(cage, span, face, x, basis);
        for (FaceLayout.Unit u : layout.units()) {
            for (int k = 0; k < u.groups().size(); k++) {
                BeamCage.Group g = u.groups().get(k);
                // seen along the line the left face of the web is on the side of y
                double y = span.shape().webWidth() / 2 - u.y();
                int turn = !g.pairs() ? 0 : k == 0 ? -1 : 1;
                slots.computeIfAbsent(g, q -> new ArrayList<>()).add(new Slot(y, under(layout, u), turn));
            }
        }
        return new Part(from, to, span, layout.units().size(), slots);
    }

    /** The bar below a bar of a further layer, by its group and number. */
    private static Under under(FaceLayout layout, FaceLayout.Unit u) {
        Under out = null;
        Map<BeamCage.Group, Integer> seen = new IdentityHashMap<>();
        for (FaceLayout.Unit b : layout.units()) {
            BeamCage.Group g = b.groups().get(0);
            int number = seen.getOrDefault(g, 0);
            b.groups().forEach(q -> seen.merge(q, 1, Integer::sum));
            if (b.layer() < u.layer() && Math.abs(b.y() - (u.y() - u.off())) < 1e-6) {
                out = new Under(g, number, -u.off());
            }
        }
        return out;
    }

    private List<Part> partsOf(BeamCage.Group g) {
        return parts.stream()
                .filter(p -> p.to() > g.from() + SAME
                        && p.from() < g.to() - SAME
                        && p.slots().containsKey(g))
                .toList();
    }

    /** Across the web, bar by bar. */
    private double[] places(BeamCage.Group g) {
        List<Part> own = partsOf(g);
        double narrowest =
                own.stream().mapToDouble(p -> p.span().shape().webWidth()).min().orElse(0);
        Part densest = own.stream()
                .filter(p -> p.span().shape().webWidth() < narrowest + SAME)
                .max(Comparator.comparingInt(Part::units))
                .orElseThrow();
        List<Slot> slots = densest.slots().get(g);
        double[] out = new double[g.count()];
        for (int k = 0; k < out.length; k++) {
            Slot s = slots.get(Math.min(k, slots.size() - 1));
            double[] below = s.over() == null ? null : across.get(s.over().group());
            out[k] = below == null ? s.y() : below[s.over().number()] + s.over().off();
        }
        return clear(out, g) ? out : between(g, slots);
    }

    /** Bars of the same layer that are placed and run beside a group: {across, diameter}. */
    private List<double[]> beside(BeamCage.Group g) {
        List<double[]> out = new ArrayList<>();
        across.forEach((o, places) -> {
            if (o.layer() == g.layer() && o.from() < g.to() - SAME && o.to() > g.from() + SAME) {
                for (double y : places) {
                    out.add(new double[] {y, o.bar().diameter()});
                }
            }
        });
        out.sort(Comparator.comparingDouble(q -> -q[0]));
        return out;
    }

    private boolean clear(double[] places, BeamCage.Group g) {
        for (double[] o : beside(g)) {
            for (double y : places) {
                if (Math.abs(y - o[0])
                        < (o[1] + g.bar().diameter()) / 2 + g.bar().diameter() / 2) {
                    return false;
                }
            }
        }
        return true;
    }

    /** One after another into the middle of the widest gap that is left, the outer ones first; bars of a pair share a place. */
    private double[] between(BeamCage.Group g, List<Slot> slots) {
        List<double[]> taken = beside(g);
        double d = g.bar().diameter();
        List<Double> found = new ArrayList<>();
        int wanted = (int) slots.stream().filter(s -> s.turn() <= 0).count();
        for (int k = 0; k < wanted; k++) {
            double best = 0;
            double widest = -Double.MAX_VALUE;
            for (int i = 0; i + 1 < taken.size(); i++) {
                double gap = taken.get(i)[0] - taken.get(i + 1)[0] - (taken.get(i)[1] + taken.get(i + 1)[1]) / 2;
                if (gap > widest + SAME) {
                    widest = gap;
                    best = taken.get(i)[0] - taken.get(i)[1] / 2 - gap / 2;
                }
            }
            found.add(best);
            taken.add(new double[] {best, d});
            taken.sort(Comparator.comparingDouble(q -> -q[0]));
        }
        found.sort(Comparator.reverseOrder());
        double[] out = new double[g.count()];
        int pair = -1;
        for (int k = 0; k < out.length; k++) {
            pair += slots.get(Math.min(k, slots.size() - 1)).turn() <= 0 ? 1 : 0;
            out[k] = found.get(Math.max(0, Math.min(pair, found.size() - 1)));
        }
        return out;
    }

    /** The way of a bar of a group, from its beginning to its end. @param number of the bar in its group, from 0 */
    Way way(BeamCage.Group g, int number) {
        List<double[]> out = new ArrayList<>();
        double y = across.get(g)[number];
        Part before = null;
        for (Part p : partsOf(g)) {
            if (before == null) {
                out.add(new double[] {g.from(), y, up(g, number, p)});
            } else {
                lead(out, g, new Part[] {before, p}, y, up(g, number, before), up(g, number, p));
            }
            before = p;
        }
        out.add(new double[] {g.to(), y, up(g, number, before)});
        return new Way(out);
    }

    private double up(BeamCage.Group g, int number, Part p) {
        int turn = p.slots().get(g).get(number).turn();
        double offset = g.offset() + turn * g.bar().diameter() / 2;
        return face == BeamCage.Face.TOP ? top - offset : top - p.span().shape().depth() + offset;
    }

    /** Over a step of the soffit, within the deeper span. */
    private static void lead(List<double[]> out, BeamCage.Group g, Part[] at, double y, double was, double is) {
        double step = Math.abs(is - was);
        if (step < SAME) {
            return;
        }
        double border = at[0].to();
        boolean after = is < was;
        double room = after
                ? Math.min(g.to(), at[1].span().to()) - border
                : border - Math.max(g.from(), at[0].span().from());
        double length = Math.min(SoffitStep.SLOPE * step, room / 2);
        out.add(new double[] {after ? border : border - length, y, was});
        out.add(new double[] {after ? border + length : border, y, is});
    }
}
