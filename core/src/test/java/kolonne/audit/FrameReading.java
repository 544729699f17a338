package kolonne.audit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;

/** Columns and joints of a special moment frame from what is drawn, by our own reading of ACI 318-19 18.7 and 18.8: strengths by strips and bisection, by cells where a lift bends askew. */
final class FrameReading {
    private static final int STRIPS = 400;

    private final Sheet.Basis b;
    private final Materials m;
    private final Forces f;
    private final BuildingIndex index;
    private final Map<Integer, Sheet.Lift> lifts = new HashMap<>();
    private final JointBeams beams;
    private final Map<Integer, LegReading> legged = new HashMap<>();
    private final Map<Integer, Cells> cells = new HashMap<>();
    private final Map<Integer, Map<String, Double>> found = new HashMap<>();

    FrameReading(Sheet.Basis b, Forces f, List<Sheet.Line> lines, List<Sheet.Lift> all) {
        this.b = b;
        this.m = new Materials(b);
        this.f = f;
        this.index = f.analysis().index();
        all.forEach(l -> lifts.put(l.member(), l));
        this.beams = new JointBeams(b, index, lines);
    }

    /** What is found at the head of a lift and in it, by kind. */
    Map<String, Double> read(Sheet.Lift l) {
        return found.computeIfAbsent(l.member(), k -> reading(l));
    }

    private Map<String, Double> reading(Sheet.Lift l) {
        Map<String, Double> out = new HashMap<>();
        Member member = index.building().members().get(l.member());
        Joint head = index.upper(member);
        double[][] axes = LocalAxes.of(index.joint(member.start()), index.joint(member.end()), member.angle());
        Sheet.Lift above = above(head, member);
        for (int axis = 0; axis < 2; axis++) {
            double[] u = axes[axis + 1];
            double[] best = new double[2];
            double moment = 0;
            double strong = 0;
            double fc = l.fc();
            double width = Double.POSITIVE_INFINITY;
            boolean[] side = new boolean[2];
            for (int sense = 0; sense < 2; sense++) {
                double nominal = 0;
                double probable = 0;
                double steel = 0;
                for (JointBeams.End e : beams.swaying(head.id())) {
                    double along = e.ux() * u[0] + e.uy() * u[1];
                    if (Math.abs(along) > 0.7) {
                        int hogs = along > 0 == (sense == 0) ? 0 : 1;
                        nominal += Math.abs(along) * e.plain()[hogs];
                        probable += Math.abs(along) * e.strong()[hogs];
                        steel += Math.abs(along) * e.area()[hogs];
                        fc = Math.min(fc, e.fc());
                        width = Math.min(width, e.width());
                        side[along > 0 ? 0 : 1] = true;
                    }
                }
                best[0] = Math.max(best[0], nominal);
                strong = Math.max(strong, probable);
                best[1] = Math.max(best[1], steel);
            }
            moment = best[0];
            if (moment > 0) {
                joint(l, above, member, u, axis, moment, strong, best[1], fc, width, side[0] && side[1], out);
            }
        }
        hoops(l, out);
        for (int axis = 0; axis < 2; axis++) {
            shear(l, member, axes[axis + 1], axis, out);
        }
        Findings loads = new ColumnReading(l, b, f, Drawn.depths(index)).runShear(l.widest());
        loads.all().forEach((kind, use) -> out.put(kind + "-loads", use.use()));
        return out;
    }

    /** Shear from the ends over what bears it between them, and by the hoops beside the joints where the concrete counts for nothing: compression under a twentieth. */
    private void shear(Sheet.Lift l, Member member, double[] u, int axis, Map<String, Double> out) {
        double v = shear(l, member, u, axis);
        ShearReading s = new ShearReading(l, b);
        double d = s.depth(axis == 0);
        double most = m.root(0.66, 8, l.fc(), false) * s.width(axis == 0) * d;
        double legs = s.legs(axis == 0) * l.tieArea() / hoopGap(l) * m.links() * d;
        double hoops = 0.75 * Math.min(legs, most);
        double use = v / s.carried(axis == 0, earthquake(l)[0], l.widest());
        out.put("shear-" + (axis == 0 ? "x" : "y"), withoutConcrete(l) ? Math.max(use, v / hoops) : use);
    }

    /** Of hoops beside the joints, the largest. */
    double hoopGap(Sheet.Lift l) {
        Member member = index.building().members().get(l.member());
        double gap = 0;
        for (int i = 1; i < l.ties().size(); i++) {
            boolean near = l.ties().get(i) <= deepest(index.lower(member)) / 2 + 450;
            gap = near ? Math.max(gap, l.ties().get(i) - l.ties().get(i - 1)) : gap;
        }
        return gap;
    }

    private boolean withoutConcrete(Sheet.Lift l) {
        return b.frame() == Sheet.Frame.SPECIAL && earthquake(l)[0] < gross(l) * l.fc() / 20;
    }

    /** The joint at the head of a lift of a frame that need not be ductile. */
    Map<String, Double> plainJoint(Sheet.Lift l) {
        Joint head = index.upper(index.building().members().get(l.member()));
        return new PlainJointReading(b, f)
                .read(l, above(head, index.building().members().get(l.member())), beams.all(head.id()));
    }

    /** The ties of a twisted lift beside the shear from its ends, under every combination with earthquake. */
    void torsion(Sheet.Lift l, Findings out) {
        Member member = index.building().members().get(l.member());
        double[][] axes = LocalAxes.of(index.joint(member.start()), index.joint(member.end()), member.angle());
        TorsionReading t = new TorsionReading(l, b, f);
        for (int k = 0; k < f.strength.size(); k++) {
            if (!f.shakes(k) || !t.counts(k)) {
                continue;
            }
            for (int axis = 0; axis < 2; axis++) {
                double v = shear(l, member, axes[axis + 1], axis);
                if (v > 0) {
                    t.beside(k, v, axis == 0, earthquake(l)[0], l.widest(), out);
                }
                if (v > 0 && withoutConcrete(l)) {
                    t.hoops(k, v, axis == 0, hoopGap(l), out);
                }
            }
        }
    }

    /** Shear with the strength of the ends; of ordinary frames only in lifts no longer than five depths (18.3.3, 18.4.3.1, 18.7.6.1). */
    private double shear(Sheet.Lift l, Member member, double[] u, int axis) {
        double[] own = {largest(l, u, 1), largest(l, u, -1)};
        double length = index.length(member);
        List<Double> brought = new ArrayList<>();
        for (Joint j : List.of(index.lower(member), index.upper(member))) {
            double beams = 0;
            for (int sense = 0; sense < 2; sense++) {
                double sum = 0;
                for (JointBeams.End e : this.beams.swaying(j.id())) {
                    double along = e.ux() * u[0] + e.uy() * u[1];
                    sum += Math.abs(along) > 0.7 ? Math.abs(along) * e.strong()[along > 0 == (sense == 0) ? 0 : 1] : 0;
                }
                beams = Math.max(beams, sum);
            }
            Sheet.Lift next = index.membersAt(j.id()).stream()
                    .filter(o -> o != member && o.role() == Role.COLUMN)
                    .map(o -> lifts.get(index.memberNumber(o.id())))
                    .findFirst()
                    .orElse(null);
            double stiff = stiffness(l, u);
            double share = next == null ? 1 : stiff / (stiff + stiffness(next, u));
            boolean special = b.frame() == Sheet.Frame.SPECIAL;
            brought.add(special && beams > 0 ? beams * share : Double.POSITIVE_INFINITY);
            // whichever way the deepest runs: a shorter lift has more shear
            length -= deepest(j) / 2;
        }
        // foot and head are compressed on opposite sides
        double ends = Math.max(
                Math.min(own[0], brought.get(0)) + Math.min(own[1], brought.get(1)),
                Math.min(own[1], brought.get(0)) + Math.min(own[0], brought.get(1)));
        double h = l.round() || axis == 0 ? l.b() : l.h();
        if (b.frame() == Sheet.Frame.ORDINARY && length > 5 * h) {
            return 0;
        }
        return b.frame() == Sheet.Frame.SPECIAL ? ends / length : Math.min(ends / length, overstrength(l, axis));
    }

    /** Shear of the combinations with earthquake three times as strong, no less than with it as it is; swaying parts magnified by the larger factor. */
    private double overstrength(Sheet.Lift l, int axis) {
        double delta = new ColumnReading(l, b, f, Drawn.depths(index)).sway();
        double out = 0;
        for (int k = 0; k < f.strength.size(); k++) {
            for (int i = 0; f.shakes(k) && i < f.analysis().stationCount(l.member()); i++) {
                int component = axis == 0 ? Analysis.VY : Analysis.VZ;
                for (int times : new int[] {1, 3}) {
                    out = Math.max(out, Math.abs(f.shaken(l.member(), i, k, component, delta, times)));
                }
            }
        }
        return out;
    }

    private double largest(Sheet.Lift l, double[] u, int sense) {
        double[] p = earthquake(l);
        double out = 0;
        int parts = l.legs() != null ? 6 : 40;
        for (int i = 0; i <= parts; i++) {
            out = Math.max(out, bears(l, u, sense, p[0] + (p[1] - p[0]) * i / parts, true));
        }
        return out;
    }

    private double probable() {
        return b.frame() == Sheet.Frame.SPECIAL ? 1.25 : 1;
    }

    private double gross(Sheet.Lift l) {
        return l.legs() != null ? legs(l).gross() : l.round() ? Math.PI * l.b() * l.b() / 4 : l.b() * l.h();
    }

    private LegReading legs(Sheet.Lift l) {
        return legged.computeIfAbsent(l.member(), k -> new LegReading(l, b));
    }

    /** E I / l where it moves in a plan direction, to which it may be turned. */
    private double stiffness(Sheet.Lift l, double[] u) {
        Member o = index.building().members().get(l.member());
        double[][] axes = LocalAxes.of(index.joint(o.start()), index.joint(o.end()), o.angle());
        double x = u[0] * axes[1][0] + u[1] * axes[1][1];
        double y = u[0] * axes[2][0] + u[1] * axes[2][1];
        double inertia = (x * x * inertia(l, 0) + y * y * inertia(l, 1)) / (x * x + y * y);
        return l.ec() * inertia / index.length(o);
    }

    private double inertia(Sheet.Lift l, int axis) {
        if (l.legs() != null) {
            return legs(l).inertia(axis);
        }
        return l.round()
                ? Math.PI * Math.pow(l.b(), 4) / 64
                : axis == 0 ? l.h() * Math.pow(l.b(), 3) / 12 : l.b() * Math.pow(l.h(), 3) / 12;
    }

    private Sheet.Lift above(Joint head, Member below) {
        return index.membersAt(head.id()).stream()
                .filter(o -> o != below && o.role() == Role.COLUMN)
                .map(o -> lifts.get(index.memberNumber(o.id())))
                .findFirst()
                .orElse(null);
    }

    private void joint(
            Sheet.Lift l,
            Sheet.Lift above,
            Member member,
            double[] u,
            int axis,
            double beams,
            double probable,
            double steel,
            double fc,
            double width,
            boolean both,
            Map<String, Double> out) {
        String name = axis == 0 ? "x" : "y";
        double[] p = earthquake(l);
        boolean free = above == null && p[1] < gross(l) * l.fc() / 10;
        if (!free) {
            double columns = Double.POSITIVE_INFINITY;
            for (int sense : new int[] {1, -1}) {
                columns = Math.min(columns, lowest(l, u, sense) + (above == null ? 0 : lowest(above, u, -sense)));
            }
            out.put("strong-column-" + name, 1.2 * beams / columns);
        }
        double height = index.length(member);
        double column = above == null
                ? 0
                : probable / ((height + index.length(index.building().members().get(above.member()))) / 2);
        // a round column counts as a square of its area: 0.8862 of its diameter
        double h = l.round() ? 0.886227 * l.b() : axis == 0 ? l.b() : l.h();
        double across =
                l.legs() != null ? legs(l).thickness(axis) : l.round() ? 0.886227 * l.b() : axis == 1 ? l.b() : l.h();
        double bj = width >= across ? across : Math.min(across, width + h);
        // whether beams hold it across is not read: the strength lies between the two
        out.merge("joint-depth", deepestAlong(index.upper(member), u) / 2 / h, Math::max);
        int runs = (above == null ? 0 : 1) + (both ? 1 : 0);
        double[] si = {0.7, 1.0, 1.2, 1.7};
        double v = 1.25 * b.fy() * steel - column;
        out.put("joint-shear-" + name, v / (0.85 * si[runs] * Math.sqrt(fc) * h * bj));
        out.put("joint-shear-held-" + name, v / (0.85 * si[runs + 1] * Math.sqrt(fc) * h * bj));
    }

    private double[] earthquake(Sheet.Lift l) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < f.strength.size(); k++) {
            for (int i = 0; f.shakes(k) && i < f.analysis().stationCount(l.member()); i++) {
                double p = -f.at(l.member(), i, k, Analysis.N, 1);
                least = Math.min(least, p);
                most = Math.max(most, p);
            }
        }
        return new double[] {least, most};
    }

    private double lowest(Sheet.Lift l, double[] u, int sense) {
        double[] p = earthquake(l);
        double out = Double.POSITIVE_INFINITY;
        // over the whole range, not at its ends alone
        int parts = l.legs() != null ? 2 : 12;
        for (int i = 0; i <= parts; i++) {
            out = Math.min(out, bears(l, u, sense, p[0] + (p[1] - p[0]) * i / parts, false));
        }
        return out;
    }

    /** Moment towards a direction in plan (1) or away from it (-1) with an axial force; at its most with 1.25 fy in special frames, whatever bends the lift across. */
    private double bears(Sheet.Lift l, double[] u, int sense, double p, boolean most) {
        Member member = index.building().members().get(l.member());
        double[][] axes = LocalAxes.of(index.joint(member.start()), index.joint(member.end()), member.angle());
        double x = u[0] * axes[1][0] + u[1] * axes[1][1] + u[2] * axes[1][2];
        double y = u[0] * axes[2][0] + u[1] * axes[2][1] + u[2] * axes[2][2];
        boolean along = l.legs() == null && (l.round() || Math.min(Math.abs(x), Math.abs(y)) < 1e-6);
        if (along) {
            return bears(l, Math.abs(x) > Math.abs(y) ? 0 : 1, p, most ? probable() : 1);
        }
        Cells c = cells.computeIfAbsent(l.member(), k -> Cells.of(l, b));
        double theta = Math.atan2(sense * y, sense * x);
        return most ? c.most(theta, p, probable() * b.fy()) : c.alone(theta, p, b.fy());
    }

    /** Moment along x (0) or y (1) with an axial force, by strips across the depth and bisection of the axis. */
    private double bears(Sheet.Lift l, int axis, double p, double factor) {
        double h = l.round() || axis == 0 ? l.b() : l.h();
        double low = 1e-3 * h;
        double high = 30 * h;
        double[] sum = new double[2];
        for (int k = 0; k < 60; k++) {
            double c = (low + high) / 2;
            sum(l, axis, h, c, factor * b.fy(), sum);
            low = sum[0] < p ? c : low;
            high = sum[0] < p ? high : c;
        }
        return sum[1];
    }

    private void sum(Sheet.Lift l, int axis, double h, double c, double fy, double[] out) {
        double t = h / STRIPS;
        double block = m.blockDepth(l.fc()) * c;
        double n = 0;
        double moment = 0;
        for (int i = 0; i < STRIPS && i * t < block; i++) {
            double part = Math.min(1, (block - i * t) / t);
            double depth = i * t + part * t / 2;
            double r = h / 2;
            double wide = l.round()
                    ? 2 * Math.sqrt(Math.max(0, r * r - (r - depth) * (r - depth)))
                    : axis == 0 ? l.h() : l.b();
            double force = part * t * wide * m.blockStress(l.fc());
            n += force;
            moment += force * (h / 2 - depth);
        }
        for (Sheet.Dot d : l.bars()) {
            double depth = h / 2 - (axis == 0 ? d.x() : d.y());
            double eps = 0.003 * (c - depth) / c;
            double force = (Math.max(-fy, Math.min(fy, 200_000 * eps)) - (depth < block ? m.blockStress(l.fc()) : 0))
                    * d.area();
            n += force;
            moment += force * (h / 2 - depth);
        }
        out[0] = n;
        out[1] = moment;
    }

    /** Hoops over the length beside the joints (18.7.5): how close, how far, how many legs round the core. */
    private void hoops(Sheet.Lift l, Map<String, Double> out) {
        Member member = index.building().members().get(l.member());
        double height = index.length(member);
        double thin = l.bars().stream().mapToDouble(Sheet.Dot::d).min().orElseThrow();
        double side = l.legs() != null ? legs(l).thinner() : Math.min(l.b(), l.round() ? l.b() : l.h());
        double large = Math.max(l.b(), l.round() ? l.b() : l.h());
        double low = deepest(index.lower(member)) / 2;
        double high = height - deepest(index.upper(member)) / 2;
        double reach = Math.max(450, Math.max(large, (high - low) / 6));
        double close = 0;
        double widest = 0;
        for (int i = 1; i < l.ties().size(); i++) {
            double gap = l.ties().get(i) - l.ties().get(i - 1);
            boolean near = l.ties().get(i) <= low + reach || l.ties().get(i - 1) >= high - reach;
            close = near ? Math.max(close, gap) : close;
            widest = Math.max(widest, gap);
        }
        double hx = l.legs() != null
                ? legs(l).apart()
                : l.round() ? 0 : Math.max(apart(l.heldX(), l.b(), l), apart(l.heldY(), l.h(), l));
        double so = Math.max(100, Math.min(150, 100 + (350 - hx) / 3));
        double limit = l.round() ? Math.min(side / 4, 6 * thin) : Math.min(so, Math.min(side / 4, 6 * thin));
        out.put("hoops-beside", close / (limit + 0.1));
        bars(l, out);
        out.put("hoops-elsewhere", widest / (Math.min(150, 6 * thin) + 0.1));
        double p = earthquake(l)[1];
        double gross = gross(l);
        double bx = l.b() - 2 * b.columnCover();
        double by = l.h() - 2 * b.columnCover();
        double core = l.round() ? Math.PI * bx * bx / 4 : bx * by;
        boolean heavy = p > 0.3 * gross * l.fc() || l.fc() > 70;
        if (l.legs() != null) {
            legs(l).confinement(close, p, heavy, out);
            legs(l).proportions(out);
            return;
        }
        out.put("least-side", 300 / side);
        out.put("side-ratio", 0.4 * large / side);
        if (l.round()) {
            double needed = Math.max(0.45 * (gross / core - 1), 0.12) * l.fc() / b.fyt();
            needed = heavy ? Math.max(needed, 0.35 * Math.max(1, l.fc() / 175 + 0.6) * p / (b.fyt() * core)) : needed;
            out.put("confinement-x", needed / (4 * l.tieArea() / (bx * close)));
            return;
        }
        long legsX = l.heldY().stream().filter(q -> q).count();
        long legsY = l.heldX().stream().filter(q -> q).count();
        double held = 2 * (legsX + legsY) - 4;
        double needed = Math.max(0.3 * (gross / core - 1), 0.09) * l.fc() / b.fyt();
        needed = heavy
                ? Math.max(needed, 0.2 * Math.max(1, l.fc() / 175 + 0.6) * held / (held - 2) * p / (b.fyt() * core))
                : needed;
        out.put("confinement-x", needed * close * by / (legsX * l.tieArea()));
        out.put("confinement-y", needed * close * bx / (legsY * l.tieArea()));
        out.put("held-distance", hx / (heavy ? 200 : 350));
        out.put("every-bar-held", heavy ? l.bars().size() / held : 0);
    }

    /** Not too much of them, enough of them round a ring, laps and development within half of the height (18.7.4.1, 18.7.4.2, 18.7.4.3, 18.7.4.4). */
    private void bars(Sheet.Lift l, Map<String, Double> out) {
        Member member = index.building().members().get(l.member());
        double thick = l.bars().stream().mapToDouble(Sheet.Dot::d).max().orElseThrow();
        double steel = l.bars().stream().mapToDouble(Sheet.Dot::area).sum();
        out.put("ductile-most", steel / gross(l) / 0.06);
        out.put("round-bars", l.round() ? 6.0 / l.bars().size() : 0);
        double clear = index.length(member) - (deepest(index.lower(member)) + deepest(index.upper(member))) / 2;
        double develops = m.straight(thick, l.fc(), false, 0, 0, b.columnCover());
        out.put("bar-development", 1.25 * develops / (clear / 2));
        out.put("lap-middle", Math.max(1.3 * develops, m.inches(300, 12)) / (clear / 2));
    }

    /** Of the beams along a plan direction that are fixed to a joint. */
    private double deepestAlong(Joint j, double[] u) {
        return beams.swaying(j.id()).stream()
                .filter(e -> Math.abs(e.ux() * u[0] + e.uy() * u[1]) > 0.7)
                .mapToDouble(JointBeams.End::depth)
                .max()
                .orElse(0);
    }

    private double deepest(Joint j) {
        return index.membersAt(j.id()).stream()
                .filter(o -> o.role() == Role.BEAM)
                .mapToDouble(o -> index.sectionOf(o).shape().depth())
                .max()
                .orElse(0);
    }

    /** Largest distance between bars with a leg along a side. */
    private double apart(List<Boolean> held, double side, Sheet.Lift l) {
        double corner = l.bars().stream().mapToDouble(Sheet.Dot::d).max().orElseThrow();
        double step = (side - 2 * b.columnCover() - 2 * l.tie() - corner) / (held.size() - 1);
        int run = 0;
        int most = 0;
        for (int i = 1; i < held.size(); i++) {
            run++;
            if (held.get(i)) {
                most = Math.max(most, run);
                run = 0;
            }
        }
        return most * step;
    }
}
