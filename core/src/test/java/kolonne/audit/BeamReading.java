package kolonne.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import kolonne.core.analysis.Analysis;

/** A drawn beam line against the forces, clause by clause, by our own reading: ACI 318-19 chapters 9, 22 and 25, EN 1992-1-1 sections 6, 8 and 9. */
final class BeamReading {
    private static final double NEAR = 6;
    private final Sheet.Line l;
    private final Sheet.Basis b;
    private final Forces f;
    private final Materials m;
    private final Findings out = new Findings();
    /** By place and combination: My, Vz, T in the sense of the line. */
    private final double[][][] forces;

    BeamReading(Sheet.Line l, Sheet.Basis b, Forces f) {
        this.l = l;
        this.b = b;
        this.f = f;
        this.m = new Materials(b);
        int n = f.strength.size();
        forces = new double[l.places().size()][n][];
        for (int i = 0; i < forces.length; i++) {
            Sheet.Place p = l.places().get(i);
            double factor = f.beamMagnifier(p.member());
            double turn = p.reversed() ? -1 : 1;
            for (int k = 0; k < n; k++) {
                forces[i][k] = new double[] {
                    f.at(p.member(), p.station(), k, Analysis.MY, factor),
                    turn * f.at(p.member(), p.station(), k, Analysis.VZ, factor),
                    turn * f.at(p.member(), p.station(), k, Analysis.T, factor)
                };
            }
        }
    }

    Findings run() {
        if (l.places().stream().anyMatch(p -> Double.isInfinite(f.beamMagnifier(p.member())))) {
            out.add("second-order", 99, "storey");
            return out;
        }
        for (int s = 0; s < l.spans().size(); s++) {
            for (int i = 0; i < forces.length; i++) {
                if (inside(i, s) && !withinBeamAtTip(i, s)) {
                    bending(i, s);
                }
            }
            shear(s);
            stirrups(s);
            intoSupports(s);
        }
        l.bars().forEach(this::extension);
        l.cuts().forEach(this::layout);
        delivered();
        return out;
    }

    /** Up to the face of a beam that is built across the tip of a cantilever. */
    private boolean withinBeamAtTip(int i, int s) {
        Sheet.Span q = l.spans().get(s);
        if (!q.cantilever()) {
            return false;
        }
        boolean left = l.spans().size() == 1 ? !q.columnLeft() : s == 0;
        double tip = left ? q.faceFrom() : q.faceTo();
        Sheet.Place last = l.places().get(left ? 0 : forces.length - 1);
        double half = f.halfAcross(last.member(), left != last.reversed());
        return Math.abs(l.places().get(i).x() - tip) < half - 1;
    }

    private boolean inside(int i, int s) {
        Sheet.Place p = l.places().get(i);
        Sheet.Span q = l.spans().get(s);
        return p.span() == s && p.x() >= q.faceFrom() - NEAR && p.x() <= q.faceTo() + NEAR;
    }

    // ---- bars -------------------------------------------------------------------------------------------------------

    private double straight(Sheet.Bars g, Sheet.Span s) {
        return (g.pairs() ? b.en() ? Math.sqrt(2) : 1 : 1)
                * m.straight(
                        g.d(),
                        s.fc(),
                        g.top(),
                        s.h() - g.offset(),
                        s.h(),
                        g.pairs() ? b.beamCover() / Math.sqrt(2) : b.beamCover());
    }

    private double developed(Sheet.Bars g, double x, Sheet.Span s) {
        double straight = straight(g, s);
        double hook = (g.pairs() && b.en() ? Math.sqrt(2) : 1) * m.hooked(g.d(), s.fc(), true);
        double left = (x - g.from()) / (g.hookFrom() ? hook : straight);
        double right = (g.to() - x) / (g.hookTo() ? hook : straight);
        return Math.max(0, Math.min(1, Math.min(left, right)));
    }

    private Fibres.Bent strength(double x, Sheet.Span s, boolean sagging) {
        return Fibres.beam(s, sagging, levels(x, s, sagging, List.of(), false), m, m.steel());
    }

    /** Nominal moment with bars that yield at a multiple of their strength [Nmm]. @param whole whether bars count with no regard to where they end */
    double nominal(double x, Sheet.Span s, boolean sagging, boolean whole, double factor) {
        Fibres.Bent r = Fibres.beam(s, sagging, levels(x, s, sagging, List.of(), whole), m, factor * b.fy());
        return r.moment() / m.phi(Math.max(0, r.strain()));
    }

    private List<Fibres.Level> levels(
            double x, Sheet.Span s, boolean sagging, List<Sheet.Bars> without, boolean whole) {
        List<Fibres.Level> levels = new ArrayList<>();
        for (Sheet.Bars g : l.bars()) {
            if (!without.contains(g) && g.at(x)) {
                double area = g.count() * g.area() * (whole ? 1 : developed(g, x, s));
                levels.add(new Fibres.Level(sagging == g.top() ? g.offset() : s.h() - g.offset(), area));
            }
        }
        return levels;
    }

    double area(double x, boolean top) {
        return l.bars().stream()
                .filter(g -> g.top() == top && g.at(x))
                .mapToDouble(g -> g.count() * g.area())
                .sum();
    }

    double depth(double x, Sheet.Span s, boolean top) {
        double sum = 0;
        double first = 0;
        for (Sheet.Bars g : l.bars()) {
            if (g.top() == top && g.at(x)) {
                sum += g.count() * g.area();
                first += g.count() * g.area() * g.offset();
            }
        }
        return s.h() - (sum > 0 ? first / sum : b.beamCover());
    }

    double least(double x, Sheet.Span s) {
        return Math.min(depth(x, s, true), depth(x, s, false));
    }

    // ---- bending ----------------------------------------------------------------------------------------------------

    private double demand(int i, boolean sagging) {
        double most = 0;
        for (double[] k : forces[i]) {
            most = Math.max(most, sagging ? k[0] : -k[0]);
        }
        return most;
    }

    private static double rounding(Sheet.Span s) {
        return 1e-4 * s.fc() * s.bw() * s.h() * s.h();
    }

    private void bending(int i, int span) {
        Sheet.Span s = l.spans().get(span);
        double x = l.places().get(i).x();
        String where = String.valueOf(Math.round(x));
        for (boolean sagging : new boolean[] {true, false}) {
            double moment = demand(i, sagging);
            if (moment <= rounding(s)) {
                continue;
            }
            Fibres.Bent has = strength(x, s, sagging);
            out.add("flexure", moment / has.moment(), where + (sagging ? " bottom" : " top"));
            if (has.strain() < m.leastStrain(s.fc())) {
                out.add("ductility", m.leastStrain(s.fc()) / Math.max(1e-9, has.strain()), where);
            }
            double width = !b.en() && !sagging && s.hf() > 0 && s.cantilever() ? Math.min(s.b(), 2 * s.bw()) : s.bw();
            double steel = m.leastSteel(s.fc(), width, depth(x, s, !sagging)) / area(x, !sagging);
            out.add(
                    "minimum",
                    Math.min(steel, b.en() ? 99 : 4.0 / 3 * moment / has.moment()),
                    where + (sagging ? " bottom" : " top"));
        }
    }

    /** Moment between places: the cubic with the moments and shears at both. */
    private double between(double x, int span, boolean sagging) {
        int i = -1;
        for (int k = 0; k < forces.length; k++) {
            i = inside(k, span) && l.places().get(k).x() <= x ? k : i;
        }
        if (i < 0 || i + 1 >= forces.length || l.places().get(i + 1).span() != span) {
            return 0;
        }
        double x0 = l.places().get(i).x();
        double h = l.places().get(i + 1).x() - x0;
        double t = (x - x0) / h;
        double most = 0;
        for (int k = 0; k < forces[i].length; k++) {
            double[] p = forces[i][k];
            double[] q = forces[i + 1][k];
            double moment = p[0] * (2 * t * t * t - 3 * t * t + 1)
                    + p[1] * h * (t * t * t - 2 * t * t + t)
                    + q[0] * (3 * t * t - 2 * t * t * t)
                    + q[1] * h * (t * t * t - t * t);
            most = Math.max(most, sagging ? moment : -moment);
        }
        return most;
    }

    /** Bars run on by d or 12 db past where they are no longer needed (9.7.3.3): there those that run on further carry the moment, without any that stop with them or before. */
    private void extension(Sheet.Bars g) {
        for (boolean right : new boolean[] {true, false}) {
            double end = right ? g.to() : g.from();
            if (b.en() || (right ? g.hookTo() : g.hookFrom())) {
                continue;
            }
            for (int s = 0; s < l.spans().size(); s++) {
                Sheet.Span q = l.spans().get(s);
                boolean here = end > q.faceFrom() + 1 && end < q.faceTo() - 1;
                double run = Math.max(q.h() - g.offset(), 12 * g.d());
                double x = right ? end - run : end + run;
                boolean freeEnd = s == 0 && q.cantilever() && !right && end < q.faceFrom() + 100
                        || s == l.spans().size() - 1 && q.cantilever() && right && end > q.faceTo() - 100;
                if (here && !freeEnd && x > q.faceFrom() && x < q.faceTo()) {
                    double moment = between(x, s, !g.top());
                    if (moment > rounding(q)) {
                        out.add("extension", moment / leaving(x, q, g, right).moment(), String.valueOf(Math.round(x)));
                    }
                }
            }
        }
    }

    /** The section where the bars of an end are left behind, with every bar of their face that goes no further. */
    private Fibres.Bent leaving(double x, Sheet.Span q, Sheet.Bars end, boolean right) {
        List<Sheet.Bars> stop = new ArrayList<>();
        for (Sheet.Bars o : l.bars()) {
            double beyond = right ? o.to() - end.to() : end.from() - o.from();
            if (o.top() == end.top() && beyond < 2) {
                stop.add(o);
            }
        }
        return Fibres.beam(q, !end.top(), levels(x, q, !end.top(), stop, false), m, m.steel());
    }

    /** A quarter of the bottom steel, a third at simple supports, runs 150 mm into the supports (9.7.3.8; 9.2.1.4, 9.2.1.5). */
    private void intoSupports(int span) {
        Sheet.Span s = l.spans().get(span);
        if (s.cantilever()) {
            return;
        }
        double most = 0;
        for (int i = 0; i < forces.length; i++) {
            most = inside(i, span) ? Math.max(most, area(l.places().get(i).x(), false)) : most;
        }
        for (boolean left : new boolean[] {true, false}) {
            int next = left ? span - 1 : span + 1;
            boolean end = next < 0 || next >= l.spans().size();
            double face = left ? s.faceFrom() : s.faceTo();
            double room = end
                    ? 150
                    : Math.abs((left
                                                    ? l.spans().get(next).faceTo()
                                                    : l.spans().get(next).faceFrom())
                                            - face)
                                    / 2
                            - 1;
            double run = Math.min(end ? Math.min(150, reach(left, face)) : 150, room);
            double reaching = 0;
            for (Sheet.Bars g : l.bars()) {
                reaching += !g.top()
                                && (left
                                        ? g.from() <= face - run + 2 && g.to() > face
                                        : g.to() >= face + run - 2 && g.from() < face)
                        ? g.count() * g.area()
                        : 0;
            }
            if (most > 0 && run > 1) {
                out.add("into-support", most / 4 / reaching, String.format("%.0f", face));
            }
        }
    }

    private double reach(boolean left, double face) {
        return l.bars().stream()
                .mapToDouble(g -> left ? face - g.from() : g.to() - face)
                .max()
                .orElse(0);
    }

    /** Bars longer than delivered are lapped, all of a layer at one place, each piece with its hooks no longer than delivered (25.5.2.1; 8.7.3). */
    private void delivered() {
        for (int i = 0; i < l.bars().size(); i++) {
            Sheet.Bars g = l.bars().get(i);
            int number = i;
            double begin = g.from() - (g.hookFrom() ? 12 * g.d() : 0);
            for (Sheet.Lap p : l.laps().stream().filter(q -> q.bars() == number).toList()) {
                String where = String.valueOf(Math.round(p.from()));
                out.add("delivered", (p.to() - begin) / (b.stock() + 1), where);
                out.add("lap-length", lap(g, p) / (p.to() - p.from() + 1), where);
                begin = p.from();
            }
            double end = g.to() + (g.hookTo() ? 12 * g.d() : 0);
            out.add("delivered", (end - begin) / (b.stock() + 1), "last piece");
        }
    }

    private double lap(Sheet.Bars g, Sheet.Lap p) {
        Sheet.Span s =
                l.spans().stream().filter(q -> q.to() >= p.from()).findFirst().orElseThrow();
        double develops = straight(g, s);
        return b.en()
                ? Math.max(1.5 * develops, Math.max(15 * g.d(), 200))
                : Math.max(1.3 * develops, m.inches(300, 12));
    }

    // ---- shear and torsion ------------------------------------------------------------------------------------------

    Sheet.Stirrups zone(int span, double x) {
        return l.stirrups().stream()
                .filter(z -> z.span() == span && x >= z.from() - 1e-6 && x <= z.to() + 1e-6)
                .max(Comparator.comparingDouble(z -> z.legs() * z.area() / z.spacing()))
                .orElse(null);
    }

    private void shear(int span) {
        Sheet.Span s = l.spans().get(span);
        double low = critical(span)[0];
        double high = critical(span)[1];
        int last = -1;
        for (int i = 0; i < forces.length; i++) {
            if (l.places().get(i).span() != span) {
                continue;
            }
            double x = l.places().get(i).x();
            for (double at : new double[] {low, high}) {
                if (last >= 0 && l.places().get(last).x() < at && x > at) {
                    double t = (at - l.places().get(last).x())
                            / (x - l.places().get(last).x());
                    for (int k = 0; k < forces[i].length; k++) {
                        one(s, zone(span, at), at, mix(forces[last][k], forces[i][k], t));
                    }
                }
            }
            for (int k = 0; x >= low - 1e-6 && x <= high + 1e-6 && k < forces[i].length; k++) {
                one(s, zone(span, x), x, forces[i][k]);
            }
            last = i;
        }
        zoneEnds(s, span, low, high);
    }

    /** Where the spacing changes the wider one must do, wherever forces are known. */
    private void zoneEnds(Sheet.Span s, int span, double low, double high) {
        for (Sheet.Stirrups z : l.stirrups()) {
            for (double x : new double[] {z.from(), z.to()}) {
                for (int k = 0; z.span() == span && x > low && x < high && k < forces[0].length; k++) {
                    one(s, z, x, force(span, x, k));
                }
            }
        }
    }

    /** Between which sections of a span its shear is borne: d from columns where nothing stands in between (9.4.3.2). */
    double[] critical(int span) {
        Sheet.Span s = l.spans().get(span);
        double d = least((s.faceFrom() + s.faceTo()) / 2, s);
        boolean far = s.faceTo() - s.faceFrom() > 3 * d;
        return new double[] {
            s.columnLeft() && !jump(span, true, d) && far ? s.faceFrom() + d : s.faceFrom(),
            s.columnRight() && !jump(span, false, d) && far ? s.faceTo() - d : s.faceTo()
        };
    }

    /** My, Vz, T of a combination at a place of a span, between those where they are known. */
    double[] force(int span, double x, int k) {
        int i = 0;
        while (l.places().get(i).span() != span) {
            i++;
        }
        while (i + 2 < forces.length
                && l.places().get(i + 2).span() == span
                && l.places().get(i + 1).x() < x) {
            i++;
        }
        double x0 = l.places().get(i).x();
        double dx = l.places().get(i + 1).x() - x0;
        return mix(forces[i][k], forces[i + 1][k], dx < 1e-6 ? 0 : Math.max(0, Math.min(1, (x - x0) / dx)));
    }

    private static double[] mix(double[] a, double[] c, double t) {
        return new double[] {a[0] + t * (c[0] - a[0]), a[1] + t * (c[1] - a[1]), a[2] + t * (c[2] - a[2])};
    }

    /** Whether a load stands between a face and d from it: the shear jumps, or members meet (9.4.3.2 c). */
    private boolean jump(int span, boolean left, double d) {
        Sheet.Span s = l.spans().get(span);
        for (int i = 0; i + 1 < forces.length; i++) {
            Sheet.Place p = l.places().get(i);
            Sheet.Place q = l.places().get(i + 1);
            boolean near = left ? p.x() < s.faceFrom() + d : p.x() > s.faceTo() - d;
            if (p.span() == span && q.span() == span && near && (q.x() - p.x() < 1 || p.member() != q.member())) {
                return true;
            }
        }
        return false;
    }

    private void one(Sheet.Span s, Sheet.Stirrups z, double x, double[] k) {
        if (z == null) {
            out.add("shear", 99, "no stirrups at " + x);
            return;
        }
        double v = Math.abs(k[1]);
        double torque = Math.abs(k[2]);
        double d = least(x, s);
        String where = String.valueOf(Math.round(x));
        double avs = z.legs() * z.area() / z.spacing();
        double x1 = s.bw() - 2 * b.beamCover() - z.d();
        double y1 = s.h() - 2 * b.beamCover() - z.d();
        boolean twists = torque > threshold(s);
        if (b.en()) {
            double nu = 0.6 * (1 - s.fc() / 250);
            double fcd = s.fc() / 1.5;
            double lever = 0.9 * d;
            double sin2 = Math.min(1, avs * m.links() / (s.bw() * nu * fcd));
            double cot = Math.max(1, Math.min(2.5, Math.sqrt((1 - sin2) / Math.max(1e-9, sin2))));
            double carried = Math.min(avs * lever * m.links() * cot, s.bw() * lever * nu * fcd / (cot + 1 / cot));
            out.add("shear", v / carried, where);
            out.add("shear-limit", v / (s.bw() * lever * nu * fcd / 2), where);
            if (twists) {
                double bar = l.bars().stream()
                        .filter(g -> g.layer() == 1 && g.from() < s.to() && g.to() > s.from())
                        .mapToDouble(Sheet.Bars::d)
                        .max()
                        .orElse(0);
                double t = Math.min(
                        Math.max(s.bw() * s.h() / (2 * (s.bw() + s.h())), 2 * (b.beamCover() + z.d() + bar / 2)),
                        Math.min(s.bw(), s.h()) / 2);
                double ak = (s.bw() - t) * (s.h() - t);
                out.add(
                        "torsion",
                        (torque / (2 * ak * m.links()) + v / (lever * m.links()) / z.legs()) / (z.area() / z.spacing()),
                        where);
                out.add(
                        "shear-torsion-limit",
                        torque / (nu * fcd * ak * t) + v / (s.bw() * lever * nu * fcd / 2),
                        where);
            }
            return;
        }
        double vc = m.root(0.17, 2, s.fc(), true) * s.bw() * d;
        double most = vc + m.root(0.66, 8, s.fc(), false) * s.bw() * d;
        out.add("shear", v / (0.75 * Math.min(most, vc + avs * m.links() * d)), where);
        out.add("shear-limit", v / (0.75 * most), where);
        if (twists) {
            double leg = torque / (0.75 * 2 * 0.85 * x1 * y1 * m.links())
                    + Math.max(0, v / 0.75 - vc) / (m.links() * d) / z.legs();
            out.add("torsion", leg / (z.area() / z.spacing()), where);
            double tau = torque * 2 * (x1 + y1) / (1.7 * x1 * y1 * x1 * y1);
            out.add("shear-torsion-limit", Math.hypot(v / (s.bw() * d), tau) / (0.75 * most / (s.bw() * d)), where);
        }
    }

    /** 22.7.4.1 with the flange where it counts (9.2.4.4); by EN a tenth of TRd,c, which is the designer's own limit. */
    private double threshold(Sheet.Span s) {
        double acp = s.bw() * s.h();
        double pcp = 2 * (s.bw() + s.h());
        double plain = acp * acp / pcp;
        double over = s.hf() > 0 ? Math.min(s.h() - s.hf(), 4 * s.hf()) : 0;
        double most = plain;
        for (int sides = 1; sides <= 2 && over > 0; sides++) {
            double o = Math.min(over, (s.b() - s.bw()) / sides);
            double with = acp + sides * o * s.hf();
            most = Math.max(most, with * with / (pcp + 2 * sides * o));
        }
        if (b.en()) {
            double tef = acp / pcp;
            return 0.1 * 0.7 * m.fctm(Math.min(s.fc(), 90)) / 1.5 * tef * 2 * (acp - pcp * tef / 2 + tef * tef);
        }
        return 0.75 * m.root(0.083, 1, s.fc(), true) * most;
    }

    private void stirrups(int span) {
        Sheet.Span s = l.spans().get(span);
        for (Sheet.Stirrups z : l.stirrups()) {
            if (z.span() != span) {
                continue;
            }
            double x = (z.from() + z.to()) / 2;
            double d = least(x, s);
            double vc = m.root(0.17, 2, s.fc(), true) * s.bw() * d;
            boolean high = false;
            for (int i = 0; i < forces.length && !b.en(); i++) {
                double at = l.places().get(i).x();
                boolean clear =
                        (!s.columnLeft() || at >= s.faceFrom() + d) && (!s.columnRight() || at <= s.faceTo() - d);
                for (double[] k :
                        inside(i, span) && clear && at >= z.from() && at <= z.to() ? forces[i] : new double[0][]) {
                    high |= Math.abs(k[1]) / 0.75 - vc > m.root(0.33, 4, s.fc(), false) * s.bw() * d * 1.01;
                }
            }
            double along =
                    b.en() ? 0.75 * d : high ? Math.min(d / 4, m.inches(300, 12)) : Math.min(d / 2, m.inches(600, 24));
            double across = b.en()
                    ? Math.min(0.75 * d, 600)
                    : high ? Math.min(d / 2, m.inches(300, 12)) : Math.min(d, m.inches(600, 24));
            double minimum = b.en()
                    ? 0.08 * Math.sqrt(s.fc()) / b.fyt() * s.bw()
                    : Math.max(
                                    m.root(0.062, 0.75, s.fc(), false),
                                    b.code() == Sheet.Code.ACI_US ? 50 * 0.006894757 : 0.35)
                            / m.links()
                            * s.bw();
            String where = String.valueOf(Math.round(x));
            out.add("stirrup-spacing", z.spacing() / along, where);
            out.add("leg-spacing", (s.bw() - 2 * b.beamCover() - z.d()) / (z.legs() - 1) / across, where);
            out.add("minimum-stirrups", minimum / (z.legs() * z.area() / z.spacing()), where);
        }
    }

    // ---- layout -----------------------------------------------------------------------------------------------------

    private void layout(Sheet.Cut c) {
        Sheet.Span s = l.spans().get(c.span());
        Sheet.Stirrups z = l.stirrups().stream()
                .filter(q -> q.span() == c.span() && c.x() <= q.to() + 1e-6)
                .findFirst()
                .orElse(null);
        double inner = b.beamCover() + (z == null ? 0 : z.d());
        String where = String.format("%.0f", c.x());
        for (boolean top : new boolean[] {true, false}) {
            TreeMap<Integer, List<Sheet.Spot>> layers = new TreeMap<>();
            c.spots().stream()
                    .filter(q -> q.top() == top)
                    .sorted(Comparator.comparingDouble(Sheet.Spot::y))
                    .forEach(q -> layers.computeIfAbsent(q.layer(), n -> new ArrayList<>())
                            .add(q));
            layers.forEach((n, spots) -> {
                beside(spots, where);
                spots.forEach(q -> {
                    double side = Math.min(q.y(), s.bw() - q.y()) - q.d() / 2;
                    double face = (q.top() ? s.h() - q.z() : q.z()) - q.d() / 2;
                    out.add("cover", inner / Math.max(1, Math.min(side, face) + 0.1), where);
                });
                if (layers.containsKey(n - 1)) {
                    spots.forEach(q -> over(q, layers.get(n - 1), where));
                }
            });
        }
    }

    private void beside(List<Sheet.Spot> spots, String where) {
        for (int i = 0; i + 1 < spots.size(); i++) {
            Sheet.Spot p = spots.get(i);
            Sheet.Spot q = spots.get(i + 1);
            if (q.y() - p.y() > 1) {
                boolean pair = i > 0 && p.y() - spots.get(i - 1).y() < 1
                        || i + 2 < spots.size() && spots.get(i + 2).y() - q.y() < 1;
                double needed = m.clear((pair ? Math.sqrt(2) : 1) * Math.max(p.d(), q.d()));
                out.add("bars-beside", needed / Math.max(0.1, q.y() - p.y() - (p.d() + q.d()) / 2 + 0.05), where);
            }
        }
    }

    private void over(Sheet.Spot q, List<Sheet.Spot> below, String where) {
        Sheet.Spot under = below.stream()
                .min(Comparator.comparingDouble(p -> Math.abs(p.y() - q.y()) + 1e-3 * Math.abs(p.z() - q.z())))
                .orElseThrow();
        out.add("bars-over", Math.abs(under.y() - q.y()) / (Math.abs(under.d() - q.d()) / 2 + 1.5), where);
        out.add(
                "layers-clear",
                m.clearLayers() / Math.max(0.1, Math.abs(under.z() - q.z()) - (under.d() + q.d()) / 2 + 0.05),
                where);
    }
}
