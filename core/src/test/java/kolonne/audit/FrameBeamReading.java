package kolonne.audit;

import java.util.List;
import java.util.stream.IntStream;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.shape.Shape;

/** A beam line of a moment frame for earthquakes as it is drawn, by our own reading of ACI 318-19 18.3.2, 18.4.2, 18.6, 18.8.2.3 and 18.8.5.1. */
final class FrameBeamReading {
    private final Sheet.Line l;
    private final Sheet.Basis b;
    private final Forces f;
    private final Materials m;
    private final BeamReading plain;
    /** Special frames, and members outside the system that resists earthquakes. */
    private final boolean special;

    private final boolean outside;
    private final Findings out = new Findings();

    /** @param outside whether it is outside the system that resists earthquakes (18.14.3.3) */
    FrameBeamReading(Sheet.Line l, Sheet.Basis b, Forces f, boolean outside) {
        this.l = l;
        this.b = b;
        this.f = f;
        this.m = new Materials(b);
        this.plain = new BeamReading(l, b, f);
        this.special = b.frame() == Sheet.Frame.SPECIAL;
        this.outside = outside;
    }

    /** Of spans that sway with the frame: at least one end at a column, none free. */
    Findings run() {
        for (int s = 0; s < l.spans().size(); s++) {
            if (sways(l.spans().get(s))) {
                span(s);
            }
        }
        if (special && !outside) {
            hooks();
            through();
        }
        return out;
    }

    private void span(int number) {
        Sheet.Span s = l.spans().get(number);
        steel(number);
        if (b.frame() == Sheet.Frame.ORDINARY) {
            return;
        }
        shear(number);
        stirrups(number);
        if (!outside) {
            strengths(number);
        }
        if (special && !outside) {
            proportions(number);
            l.laps().stream().filter(q -> lapped(q) == number).forEach(q -> lap(q, s));
            l.cuts().stream()
                    .filter(c -> c.span() == number)
                    .filter(c -> c.x() <= s.faceFrom() + reach(s) || c.x() >= s.faceTo() - reach(s))
                    .forEach(c -> legs(c, s));
        }
    }

    private static boolean sways(Sheet.Span s) {
        return !s.cantilever() && (s.columnLeft() || s.columnRight());
    }

    private List<Sheet.Place> places(int span) {
        return l.places().stream().filter(p -> p.span() == span).toList();
    }

    /** Two bars all along on both faces (18.3.2, 18.4.2.1, 18.6.3.1); of special frames no less than the least and no more than 0.025 at any section. */
    private void steel(int span) {
        Sheet.Span s = l.spans().get(span);
        double bottom = 0;
        for (Sheet.Place p : places(span)) {
            String where = String.valueOf(Math.round(p.x()));
            double x = Math.max(s.faceFrom(), Math.min(s.faceTo(), p.x()));
            for (boolean top : new boolean[] {true, false}) {
                String face = top ? "top" : "bottom";
                int count = l.bars().stream()
                        .filter(g -> g.top() == top && g.at(x))
                        .mapToInt(Sheet.Bars::count)
                        .sum();
                out.add("ductile-through-" + face, 2.0 / count, where);
                double d = plain.depth(x, s, top);
                if (special) {
                    double width = top && s.hf() > 0 && s.cantilever() ? Math.min(s.b(), 2 * s.bw()) : s.bw();
                    out.add("ductile-minimum-" + face, m.leastSteel(s.fc(), width, d) / plain.area(x, top), where);
                    out.add("ductile-most-" + face, plain.area(x, top) / (0.025 * s.bw() * d), where);
                }
            }
            bottom = Math.max(bottom, plain.area(x, false));
        }
        double least = l.bars().stream()
                .filter(g -> !g.top() && g.from() <= s.faceFrom() && g.to() >= s.faceTo())
                .mapToDouble(g -> g.count() * g.area())
                .sum();
        if (!special) {
            out.add("ductile-bottom", 0.25 * bottom / least, s.faceFrom() + "");
        }
    }

    /** 18.4.2.2, 18.6.3.2. */
    private void strengths(int span) {
        Sheet.Span s = l.spans().get(span);
        double most = 0;
        for (boolean left : new boolean[] {true, false}) {
            if (left ? s.columnLeft() : s.columnRight()) {
                double x = left ? s.faceFrom() : s.faceTo();
                double sagging = plain.nominal(x, s, true, false, 1);
                double hogging = plain.nominal(x, s, false, false, 1);
                out.add("ductile-sagging", hogging / (special ? 2 : 3) / sagging, "" + x);
                most = Math.max(most, Math.max(sagging, hogging));
            }
        }
        for (Sheet.Place p : places(span)) {
            for (boolean sagging : new boolean[] {true, false}) {
                if (p.x() > s.faceFrom() - 1 && p.x() < s.faceTo() + 1) {
                    out.add(
                            "ductile-anywhere-" + (sagging ? "bottom" : "top"),
                            most / (special ? 4 : 5) / plain.nominal(p.x(), s, sagging, false, 1),
                            String.valueOf(Math.round(p.x())));
                }
            }
        }
    }

    /** How far hoops reach from the faces (18.4.2.4, 18.6.4.1). */
    private static double reach(Sheet.Span s) {
        return Math.min(2 * s.h(), (s.faceTo() - s.faceFrom()) / 2);
    }

    /** Between neighbouring stirrups as they stand, the first from the face of its support (18.4.2.4, 18.4.2.5, 18.6.4; 18.14.3.2 outside the system). */
    private void stirrups(int span) {
        Sheet.Span s = l.spans().get(span);
        List<Double> at = l.standing().stream()
                .filter(x -> x > s.faceFrom() - 1 && x < s.faceTo() + 1)
                .toList();
        double first = Math.max(at.get(0) - s.faceFrom(), s.faceTo() - at.get(at.size() - 1));
        out.add("first-hoop", first / m.inches(50, 2), "faces");
        for (int i = 0; i + 1 < at.size(); i++) {
            double p = at.get(i);
            double q = at.get(i + 1);
            double beside = Math.max(
                    within(p, q, s.faceFrom(), s.faceFrom() + reach(s)),
                    within(p, q, s.faceTo() - reach(s), s.faceTo()));
            double d = plain.least((p + q) / 2, s);
            if (outside || beside == 0) {
                out.add("ductile-spacing", (q - p) / (d / 2), String.valueOf(Math.round(p)));
            }
            if (!outside) {
                hoops(span, p, q, beside, d);
            }
        }
    }

    /** 18.4.2.4; 18.6.4.4, 18.6.3.3. */
    private void hoops(int span, double p, double q, double beside, double d) {
        Sheet.Span s = l.spans().get(span);
        double thin = l.bars().stream()
                .filter(g -> g.from() < s.faceTo() && g.to() > s.faceFrom())
                .mapToDouble(Sheet.Bars::d)
                .min()
                .orElseThrow();
        double hoop = plain.zone(span, (p + q) / 2).d();
        double limit = special
                ? Math.min(Math.min(d / 4, m.inches(150, 6)), 6 * thin)
                : Math.min(Math.min(d / 4, 8 * thin), Math.min(24 * hoop, m.inches(300, 12)));
        String where = String.valueOf(Math.round(p));
        out.add("hoop-spacing", beside / limit, where);
        for (Sheet.Lap lap : special ? l.laps() : List.<Sheet.Lap>of()) {
            double close = Math.min(d / 4, m.inches(100, 4));
            out.add("hoops-at-laps", within(p, q, lap.from(), lap.to()) / close, where);
        }
    }

    private static double within(double p, double q, double from, double to) {
        return Math.max(0, Math.min(q, to) - Math.max(p, from));
    }

    /** Fewest legs that hold the bars beside a face: from one held bar to the farthest that may be the next (18.6.4.2 with 25.7.2.3). */
    private void legs(Sheet.Cut c, Sheet.Span s) {
        Sheet.Stirrups z = plain.zone(c.span(), c.x());
        for (boolean top : new boolean[] {true, false}) {
            double[][] row = c.spots().stream()
                    .filter(q -> q.top() == top && q.layer() == 1)
                    .map(q -> new double[] {q.y(), q.d()})
                    .sorted((a, e) -> Double.compare(a[0], e[0]))
                    .toArray(double[][]::new);
            int legs = 1;
            int held = 0;
            while (held + 1 < row.length) {
                boolean skips = held + 2 < row.length
                        && clear(row[held], row[held + 1]) <= 150
                        && clear(row[held + 1], row[held + 2]) <= 150
                        && row[held + 2][0] - row[held][0] <= m.inches(350, 14);
                held += skips ? 2 : 1;
                legs++;
            }
            out.add("hoop-legs", (double) legs / z.legs(), String.valueOf(Math.round(c.x())));
        }
        double apart = (s.bw() - 2 * b.beamCover() - z.d()) / (z.legs() - 1);
        out.add("hoop-distance", apart / m.inches(350, 14), String.valueOf(Math.round(c.x())));
    }

    private static double clear(double[] a, double[] c) {
        return c[0] - a[0] - (a[1] + c[1]) / 2;
    }

    /** 18.6.2.1, and how far a beam is wider than its columns. */
    private void proportions(int number) {
        Sheet.Span s = l.spans().get(number);
        double d = plain.depth((s.faceFrom() + s.faceTo()) / 2, s, false);
        out.add("ductile-span", 4 * d / (s.faceTo() - s.faceFrom()), "");
        out.add("ductile-width", Math.min(0.3 * s.h(), m.inches(250, 10)) / s.bw(), "");
        for (boolean right : new boolean[] {false, true}) {
            double[] c = right
                    ? s.columnRight() ? column(number, true) : null
                    : s.columnLeft() ? column(number, false) : null;
            if (c != null && s.bw() > c[1]) {
                out.add(
                        "ductile-projection",
                        (s.bw() - c[1]) / 2 / Math.min(c[1], 0.75 * c[0]),
                        right ? "right" : "left");
            }
        }
    }

    private int lapped(Sheet.Lap lap) {
        double x = (lap.from() + lap.to()) / 2;
        return IntStream.range(0, l.spans().size())
                .filter(i -> l.spans().get(i).to() >= x)
                .findFirst()
                .orElse(l.spans().size() - 1);
    }

    /** No lap within twice the depth of a column (18.6.3.3). */
    private void lap(Sheet.Lap lap, Sheet.Span s) {
        double left = s.columnLeft() ? lap.from() - s.faceFrom() : Double.POSITIVE_INFINITY;
        double right = s.columnRight() ? s.faceTo() - lap.to() : Double.POSITIVE_INFINITY;
        out.add("lap-place", reach(s) / Math.max(1e-9, Math.min(left, right)), String.valueOf(Math.round(lap.from())));
    }

    /** Hooks at both ends of the line, in columns, from the face to their outside (18.8.5.1). */
    private void hooks() {
        Sheet.Span first = l.spans().get(0);
        Sheet.Span last = l.spans().get(l.spans().size() - 1);
        for (Sheet.Bars g : l.bars()) {
            if (g.hookFrom() && first.columnLeft() && sways(first)) {
                out.add("ductile-hook", hook(g.d(), first.fc()) / (first.faceFrom() - g.from()), "left");
            }
            if (g.hookTo() && last.columnRight() && sways(last)) {
                out.add("ductile-hook", hook(g.d(), last.fc()) / (g.to() - last.faceTo()), "right");
            }
        }
    }

    private double hook(double d, double fc) {
        return Math.max(b.fy() * d / m.root(5.4, 65, fc, true), Math.max(8 * d, m.inches(150, 6)));
    }

    /** Columns 20 times as deep as the bars that pass through them (18.8.2.3): those that lie along the beam or square to it. */
    private void through() {
        for (int k = 0; k + 1 < l.spans().size(); k++) {
            double from = l.spans().get(k).faceTo();
            double to = l.spans().get(k + 1).faceFrom();
            double deep = l.spans().get(k).columnRight() ? column(k, true)[0] : Double.NaN;
            for (Sheet.Bars g : l.bars()) {
                if (deep > 0 && g.from() < from && g.to() > to) {
                    out.add("ductile-column-depth", 20 * g.d() / deep, String.valueOf(Math.round(from)));
                }
            }
        }
    }

    /** Of the column under an end of a span, its size along the beam and across; NaN where it is askew. */
    private double[] column(int span, boolean right) {
        List<Sheet.Place> all = places(span);
        Sheet.Place p = all.get(right ? all.size() - 1 : 0);
        BuildingIndex index = f.analysis().index();
        Member beam = index.building().members().get(p.member());
        Joint joint = index.joint(right == p.reversed() ? beam.start() : beam.end());
        Joint far = index.joint(right == p.reversed() ? beam.end() : beam.start());
        Member column = index.membersAt(joint.id()).stream()
                .filter(o -> o.role() == Role.COLUMN && index.upper(o) == joint)
                .findFirst()
                .orElseThrow();
        double[][] axes = LocalAxes.of(index.joint(column.start()), index.joint(column.end()), column.angle());
        double length = Math.hypot(joint.x() - far.x(), joint.y() - far.y());
        double along = Math.abs(axes[1][0] * (joint.x() - far.x()) + axes[1][1] * (joint.y() - far.y())) / length;
        boolean askew = along > 1e-3 && along < 1 - 1e-6;
        Shape shape = index.sectionOf(column).shape();
        if (shape instanceof Shape.Circle c) {
            return new double[] {c.d(), c.d()};
        }
        return askew || !(shape instanceof Shape.Rectangle r)
                ? new double[] {Double.NaN, Double.NaN}
                : along > 0.5 ? new double[] {r.b(), r.h()} : new double[] {r.h(), r.b()};
    }

    /** Shear with the ends at their strength, and the loads of the combinations with earthquake on a span that turns freely there (18.4.2.3, 18.6.5). */
    private void shear(int span) {
        Sheet.Span s = l.spans().get(span);
        double length = s.faceTo() - s.faceFrom();
        double factor = special ? 1.25 : 1;
        double[] hogging = new double[2];
        double[] sagging = new double[2];
        for (int e = 0; e < 2; e++) {
            double x = e == 0 ? s.faceFrom() : s.faceTo();
            hogging[e] = plain.nominal(x, s, false, true, factor);
            sagging[e] = plain.nominal(x, s, true, true, factor);
        }
        double up = (hogging[0] + sagging[1]) / length;
        double down = (sagging[0] + hogging[1]) / length;
        List<Double> at = IntStream.rangeClosed(0, 40)
                .mapToObj(i -> s.faceFrom() + length * i / 40)
                .toList();
        double near = at.stream()
                .filter(x -> x <= s.faceFrom() + reach(s) || x >= s.faceTo() - reach(s))
                .mapToDouble(x -> most(span, x, up, down))
                .max()
                .orElseThrow();
        boolean lost = special && Math.max(up, down) >= near / 2;
        // up to the faces, where the moments act: on the safe side of 9.4.3.2
        for (double x : at) {
            borne(span, x, plain.zone(span, x), most(span, x, up, down), lost);
        }
        for (Sheet.Stirrups z : l.stirrups()) {
            for (double x : new double[] {z.from(), z.to()}) {
                if (z.span() == span) {
                    // hoops reach to the end of their zone
                    double inside = (z.from() + z.to()) / 2;
                    borne(span, x + Math.signum(inside - x) * 1e-3, z, most(span, x, up, down), lost);
                }
            }
        }
    }

    private void borne(int span, double x, Sheet.Stirrups z, double v, boolean lost) {
        Sheet.Span s = l.spans().get(span);
        boolean beside = x <= s.faceFrom() + reach(s) || x >= s.faceTo() - reach(s);
        double d = plain.least(x, s);
        double concrete = m.root(0.17, 2, s.fc(), true) * s.bw() * d;
        double most = m.root(0.66, 8, s.fc(), false) * s.bw() * d;
        double legs = Math.min(z.legs() * z.area() / z.spacing() * m.links() * d, most);
        double alone = lost && beside ? 0 : concrete;
        String where = String.valueOf(Math.round(x));
        out.add("capacity-shear", v / (0.75 * (alone + legs)), where);
        boolean high = v / 0.75 - alone > m.root(0.33, 4, s.fc(), false) * s.bw() * d * 1.01;
        out.add("stirrup-spacing", z.spacing() / (high ? d / 4 : d / 2), where);
        double across = (s.bw() - 2 * b.beamCover() - z.d()) / (z.legs() - 1);
        out.add("leg-spacing", across / (high ? d / 2 : d), where);
    }

    private double most(int span, double x, double up, double down) {
        Sheet.Span s = l.spans().get(span);
        double out = Math.max(up, down);
        double limit = 0;
        boolean any = IntStream.range(0, f.strength.size()).anyMatch(f::shakes);
        for (int k = 0; k < f.strength.size(); k++) {
            if (!any || f.shakes(k)) {
                double ends = plain.force(span, s.faceTo(), k)[0] - plain.force(span, s.faceFrom(), k)[0];
                double v = plain.force(span, x, k)[1];
                double free = v - ends / (s.faceTo() - s.faceFrom());
                out = Math.max(out, Math.max(Math.abs(free + up), Math.abs(free - down)));
                limit = Math.max(limit, Math.max(Math.abs(v), Math.abs(v + earthquake(span, x, k))));
            }
        }
        return special ? out : Math.min(out, limit);
    }

    private double earthquake(int span, double x, int k) {
        List<Sheet.Place> all = places(span);
        for (int i = 0; i + 1 < all.size(); i++) {
            Sheet.Place p = all.get(i);
            Sheet.Place q = all.get(i + 1);
            if (q.x() > p.x() && x <= q.x() + 1e-6) {
                double t = Math.max(0, (x - p.x()) / (q.x() - p.x()));
                return (1 - t) * earthquake(p, k) + t * earthquake(q, k);
            }
        }
        return earthquake(all.get(all.size() - 1), k);
    }

    private double earthquake(Sheet.Place p, int k) {
        double factor = f.beamMagnifier(p.member());
        double twice = f.shaken(p.member(), p.station(), k, Analysis.VZ, factor, 2);
        return (p.reversed() ? -1 : 1) * (twice - f.at(p.member(), p.station(), k, Analysis.VZ, factor));
    }
}
