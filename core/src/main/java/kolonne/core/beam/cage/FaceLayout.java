package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;

/**
 * Where the bars of a face lie across the web: the one layout that check, choice, drawing, paper and files share. Bars of the first layer
 * have equal clear gaps between the legs of the stirrup, alike on both sides of the middle where their sizes allow; bars of further layers
 * stand over those of the first, the outermost first (ACI 318-19 25.2.2, EN 1992-1-1 8.2(3)).
 */
public final class FaceLayout {
    /** Bars that stand over one another are off by no more than half their difference in size and this [mm]. */
    private static final double OFF = 1;

    /**
     * One bar, or two of a pair one above the other, the outer one first.
     *
     * @param groups of its bars
     * @param y      from the web's left face to the middle [mm]
     * @param off    from the middle of the bar below it [mm]; 0 in the first layer
     */
    public record Unit(List<BeamCage.Group> groups, int layer, double y, double off) {
        public double diameter() {
            return groups.get(0).bar().diameter();
        }

        /** Diameter that distances go by. */
        public double spacing() {
            return groups.size() > 1 ? groups.get(0).spacingDiameter() : diameter();
        }
    }

    private static final int MOST_LAYERS = 3;

    private final double bw;
    private final double edge;
    private final List<Unit> units = new ArrayList<>();

    /** @param groups of one face; @param bw web [mm]; @param edge from a side of the web to the inside of the stirrup [mm] */
    public FaceLayout(List<BeamCage.Group> groups, double bw, double edge, Basis basis) {
        this.bw = bw;
        this.edge = edge;
        List<Unit> below = List.of();
        for (int number = 1; number <= MOST_LAYERS; number++) {
            List<List<BeamCage.Group>> order = order(groups, number);
            if (!order.isEmpty()) {
                below = below.isEmpty() ? spread(order, number) : above(order, number, below, basis);
                units.addAll(below);
            }
        }
    }

    /** The groups of a face that are at a place of the line. */
    static List<BeamCage.Group> at(List<BeamCage.Group> groups, BeamCage.Face face, double x) {
        return groups.stream().filter(g -> g.face() == face && g.covers(x)).toList();
    }

    /** Of a cage at a place of a span. */
    public static FaceLayout of(BeamCage cage, BeamLine.Span span, BeamCage.Face face, double x, Basis basis) {
        BeamCage.Zone zone = cage.zoneAt(span.number(), x);
        return new FaceLayout(
                at(cage.groups(), face, x),
                span.shape().webWidth(),
                basis.beamCover() + (zone == null ? 0 : zone.bar().diameter()),
                basis);
    }

    public List<Unit> units() {
        return units;
    }

    public List<Unit> layer(int number) {
        List<Unit> out = new ArrayList<>();
        for (Unit u : units) {
            if (u.layer() == number) {
                out.add(u);
            }
        }
        return out;
    }

    /** Least of clear distance over what is needed in a layer, as {needed, clear} [mm]; null with fewer than two bars side by side. */
    public static double[] tightest(List<Unit> layer, Basis basis) {
        double[] worst = null;
        for (int i = 0; i + 1 < layer.size(); i++) {
            Unit a = layer.get(i);
            Unit b = layer.get(i + 1);
            double clear = b.y() - a.y() - (a.diameter() + b.diameter()) / 2;
            double needed = basis.designCode()
                    .detailing()
                    .beamClearSpacing(Math.max(a.spacing(), b.spacing()), basis.aggregate());
            if (worst == null || clear - needed < worst[1] - worst[0]) {
                worst = new double[] {needed, clear};
            }
        }
        return worst;
    }

    /** Between the legs of the stirrup [mm]. */
    public double clearWidth() {
        return bw - 2 * edge;
    }

    /** Largest distance between the middles of neighbouring bars of a layer [mm]; the web where there is one bar. */
    public double widest(int number) {
        List<Unit> layer = layer(number);
        double out = layer.size() < 2 ? bw : 0;
        for (int i = 0; i + 1 < layer.size(); i++) {
            out = Math.max(out, layer.get(i + 1).y() - layer.get(i).y());
        }
        return out;
    }

    /** How far off the bar below a bar may stand [mm]. */
    static double mayBeOff(Unit u, double below) {
        return Math.abs(u.diameter() - below) / 2 + OFF;
    }

    /** How many bars there are in further layers. */
    public int upper() {
        return (int) units.stream().filter(u -> u.layer() > 1).count();
    }

    /** How many of them stand over a bar of the layer below. */
    public int over() {
        return (int) units.stream()
                .filter(u -> u.layer() > 1 && Math.abs(u.off()) <= mayBeOff(u, below(u)) + 1e-6)
                .count();
    }

    /** The bar that a bar of an upper layer stands over; null for none. */
    private Unit under(Unit u) {
        Unit out = null;
        for (Unit b : units) {
            boolean over = b.layer() < u.layer() && Math.abs(b.y() - (u.y() - u.off())) < 1e-6;
            out = over && (out == null || b.layer() > out.layer()) ? b : out;
        }
        return out;
    }

    /** Diameter of the bar that a bar of an upper layer stands over. */
    private double below(Unit u) {
        Unit b = under(u);
        return b == null ? u.diameter() : b.diameter();
    }

    /** Least clear distance between bars over one another and what is needed, as {needed, clear} [mm]; null with one layer. */
    public double[] closestAbove(Basis basis) {
        double[] worst = null;
        for (Unit u : units) {
            Unit b = u.layer() > 1 ? under(u) : null;
            if (b != null) {
                BeamCage.Group above = u.groups().get(0);
                BeamCage.Group below = b.groups().get(0);
                double clear = above.offset() - height(u) / 2 - below.offset() - height(b) / 2;
                double needed = basis.designCode().detailing().layerClearSpacing(basis.aggregate());
                worst = worst == null || clear - needed < worst[1] - worst[0] ? new double[] {needed, clear} : worst;
            }
        }
        return worst;
    }

    private static double height(Unit u) {
        return u.groups().size() > 1 || u.groups().get(0).pairs() ? 2 * u.diameter() : u.diameter();
    }

    private List<Unit> spread(List<List<BeamCage.Group>> order, int number) {
        double sum = order.stream().mapToDouble(u -> u.get(0).bar().diameter()).sum();
        double gap = order.size() < 2 ? 0 : (bw - 2 * edge - sum) / (order.size() - 1);
        List<Unit> out = new ArrayList<>();
        double at = order.size() == 1 ? bw / 2 - sum / 2 : edge;
        for (List<BeamCage.Group> u : order) {
            double d = u.get(0).bar().diameter();
            out.add(new Unit(u, number, at + d / 2, 0));
            at += d + gap;
        }
        return out;
    }

    /** Over the bars below, from the outside in, where each finds room beside the last; evenly spread where there is no room for all. */
    private List<Unit> above(List<List<BeamCage.Group>> order, int number, List<Unit> below, Basis basis) {
        int n = below.size();
        int k = order.size();
        Unit[] at = new Unit[n];
        int next = 0;
        if (k % 2 == 1 && n % 2 == 1) {
            at[n / 2] = over(order.get(k - 1), number, below.get(n / 2));
            next++;
        }
        for (int i = 0; i < n / 2 && next + 1 < k; i++) {
            at[i] = over(order.get(next), number, below.get(i));
            at[n - 1 - i] = over(order.get(next + 1), number, below.get(n - 1 - i));
            next = fits(at, basis) ? next + 2 : cleared(at, i, n, next);
        }
        for (int i = 0; i < n && next < k; i++) {
            if (at[i] == null) {
                at[i] = over(order.get(next), number, below.get(i));
                next = fits(at, basis) ? next + 1 : cleared(at, i, i + i + 1, next);
            }
        }
        if (next == k) {
            return Arrays.stream(at).filter(u -> u != null).toList();
        }
        // no room over the bars below: spread, and told as off
        return spread(order, number).stream()
                .map(u -> new Unit(u.groups(), number, u.y(), u.y() - nearest(below, u.y())))
                .toList();
    }

    private static int cleared(Unit[] at, int i, int n, int next) {
        at[i] = null;
        at[n - 1 - i] = null;
        return next;
    }

    private static double nearest(List<Unit> below, double y) {
        return below.stream()
                .mapToDouble(Unit::y)
                .boxed()
                .min(java.util.Comparator.comparingDouble(b -> Math.abs(b - y)))
                .orElse(y);
    }

    /** Over a bar, pushed in from the leg of the stirrup where it is the larger one. */
    private Unit over(List<BeamCage.Group> groups, int number, Unit below) {
        double r = groups.get(0).bar().diameter() / 2;
        double y = Math.max(edge + r, Math.min(bw - edge - r, below.y()));
        return new Unit(groups, number, y, y - below.y());
    }

    private static boolean fits(Unit[] at, Basis basis) {
        List<Unit> there = new ArrayList<>(at.length);
        for (Unit u : at) {
            if (u != null) {
                there.add(u);
            }
        }
        double[] t = tightest(there, basis);
        return t == null || t[1] >= t[0] - 1e-6;
    }

    /** Which groups each place of the layer shows: bars that run through outermost, the sizes alike on both sides of the middle; pairs two by two. */
    private static List<List<BeamCage.Group>> order(List<BeamCage.Group> groups, int number) {
        List<List<BeamCage.Group>> through = new ArrayList<>();
        List<List<BeamCage.Group>> others = new ArrayList<>();
        List<BeamCage.Group> paired = new ArrayList<>();
        for (BeamCage.Group g : groups) {
            for (int k = 0; g.layer() == number && k < g.count(); k++) {
                if (g.pairs()) {
                    paired.add(g);
                } else {
                    (g.through() ? through : others).add(List.of(g));
                }
            }
        }
        int half = (paired.size() + 1) / 2;
        for (int k = 0; k < half; k++) {
            others.add(
                    k + half < paired.size() ? List.of(paired.get(k), paired.get(k + half)) : List.of(paired.get(k)));
        }
        return mirrored(through, others);
    }

    /** From the outside in, a pair at a time: places of bars that run through spread evenly over each half, the odd ones in the middle. */
    private static List<List<BeamCage.Group>> mirrored(
            List<List<BeamCage.Group>> through, List<List<BeamCage.Group>> others) {
        int n = through.size() + others.size();
        List<List<BeamCage.Group>> out = new ArrayList<>(java.util.Collections.nCopies(n, null));
        int t = through.size() / 2;
        int o = others.size() / 2;
        int half = t + o;
        int usedThrough = 0;
        int usedOthers = 0;
        for (int i = 0; i < half; i++) {
            boolean runs =
                    t > 0 && (usedOthers >= o || usedThrough < t && i >= Math.round((double) half * usedThrough / t));
            List<List<BeamCage.Group>> from = runs ? through : others;
            int k = runs ? 2 * usedThrough++ : 2 * usedOthers++;
            out.set(i, from.get(k));
            out.set(n - 1 - i, from.get(k + 1));
        }
        int middle = half;
        if (through.size() % 2 == 1) {
            out.set(middle++, through.get(through.size() - 1));
        }
        if (others.size() % 2 == 1) {
            out.set(middle, others.get(others.size() - 1));
        }
        return out;
    }
}
