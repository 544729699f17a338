package kolonne.audit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Role;

/** A drawn lift against the forces by our own reading: ACI 318-19 6.6.4, 10.6, 10.7, 22.4, 22.5, 25.7; EN 1992-1-1 5.8, 6.1, 6.2, 9.5. */
final class ColumnReading {
    /** φ(∞, t0) of the standard basis. */
    private static final double CREEP = 2.0;

    private final Sheet.Lift l;
    private final Sheet.Basis b;
    private final Forces f;
    private final Materials m;
    private final BuildingIndex index;
    private final double[] depths;
    private final Findings out = new Findings();
    private final Member member;
    private final double[][] axes;
    private final int n;
    private final TorsionReading torsion;
    private final ShearReading shear;
    private boolean unread;
    /** What bars develop at foot and head; null where they are whole. */
    private final List<List<Fibres.Part>> ends = new ArrayList<>(Arrays.asList(null, null));

    /** @param depths of the sections of all members [mm] */
    ColumnReading(Sheet.Lift l, Sheet.Basis b, Forces f, double[] depths) {
        this.l = l;
        this.b = b;
        this.f = f;
        this.m = new Materials(b);
        this.depths = depths;
        this.index = f.analysis().index();
        this.member = index.building().members().get(l.member());
        this.axes = LocalAxes.of(index.joint(member.start()), index.joint(member.end()), member.angle());
        this.n = f.analysis().stationCount(l.member());
        this.torsion = new TorsionReading(l, b, f);
        this.shear = new ShearReading(l, b);
    }

    /** With what its bars develop where they end. @param bars as they stand */
    ColumnReading ending(List<Sheet.Standing> bars) {
        EndingReading e = new EndingReading(l, bars, b);
        double base = index.lower(member).z();
        double length = index.length(member);
        double checked = base + 0.8 * high();
        String foot = index.lower(member).id();
        boolean planted = low() > 0
                && index.building().supports().stream().noneMatch(s -> s.joint().equals(foot))
                && index.membersAt(foot).stream().noneMatch(o -> o != member && o.role() == Role.COLUMN);
        ends.set(0, planted ? e.foot(checked, base + low()) : null);
        ends.set(1, high() < length ? e.head(checked, base + high(), base + 2 * length - high()) : null);
        return this;
    }

    /** What is found; null where lengths run over several members, which is not read here. */
    Findings run() {
        strength();
        ties();
        return unread ? null : out;
    }

    /** Shear alone, of any shape, with ties so far apart. */
    Findings runShear(double gap) {
        shear(gap);
        return out;
    }

    private double gross() {
        return l.round() ? Math.PI * l.b() * l.b() / 4 : l.b() * l.h();
    }

    private double steel() {
        return l.bars().stream().mapToDouble(Sheet.Dot::area).sum();
    }

    /** Bending about one axis of one combination: ends, the largest anywhere, the bow between the ends. */
    private record Bent(double[] moments, double foot, double head, double most, double bow, int at) {}

    private Bent bent(int k, int component, double magnifier) {
        double[] v = new double[n];
        double[] x = new double[n];
        int at = 0;
        for (int i = 0; i < n; i++) {
            v[i] = f.at(l.member(), i, k, component, magnifier);
            x[i] = f.analysis().stationX(l.member(), i);
            at = Math.abs(v[i]) > Math.abs(v[at]) ? i : at;
        }
        double bow = 0;
        for (int i = 0; i < n; i++) {
            bow = Math.max(bow, Math.abs(v[i] - v[0] - (v[n - 1] - v[0]) * (x[i] - x[0]) / (x[n - 1] - x[0])));
        }
        return new Bent(v, v[0], v[n - 1], v[at], bow, at);
    }

    private double magnifier(int axis) {
        double z1 = index.joint(member.start()).z();
        double z2 = index.joint(member.end()).z();
        return f.magnifier(Math.min(z1, z2), Math.max(z1, z2), axes[axis][0], axes[axis][1]);
    }

    /** What the basis multiplies the clear length by against moving along a local axis; askew in plan the larger. */
    private double factor(int axis) {
        if (b.lengthsFromEnds()) {
            double size = Math.hypot(axes[axis][0], axes[axis][1]);
            double k = new EndsReading(index, b).factor(member, axes[axis][0] / size, axes[axis][1] / size);
            double z1 = index.joint(member.start()).z();
            double z2 = index.joint(member.end()).z();
            boolean known = f.known(Math.min(z1, z2), Math.max(z1, z2), axes[axis][0], axes[axis][1]);
            return magnifier(axis) > 1 || !known ? Math.max(1, k) : k;
        }
        double degrees = Math.toDegrees(Math.atan2(Math.abs(axes[axis][1]), Math.abs(axes[axis][0])));
        double across = Math.abs(90 - degrees);
        return degrees < 2.5 ? b.lengthX() : across < 2.5 ? b.lengthY() : Math.max(b.lengthX(), b.lengthY());
    }

    /** Clear length against moving along local axis 1 (y) or 2 (z). */
    private double length(int axis) {
        double size = Math.hypot(axes[axis][0], axes[axis][1]);
        double ux = axes[axis][0] / size;
        double uy = axes[axis][1] / size;
        double whole = index.length(member);
        double inside = 0;
        for (String end : List.of(member.start(), member.end())) {
            Joint j = index.joint(end);
            double least = Double.POSITIVE_INFINITY;
            boolean held =
                    index.building().supports().stream().anyMatch(s -> s.joint().equals(end) && s.ux() && s.uy());
            held |= index.building().diaphragms().stream()
                    .filter(Diaphragm::rigid)
                    .anyMatch(d -> d.joints().contains(end));
            held |= index.building().panels().stream().anyMatch(p -> p.joints().contains(end));
            for (Member o : index.membersAt(end)) {
                Joint far = index.joint(index.otherEnd(o, end));
                boolean along = o.role() == Role.BEAM
                        && Math.abs((far.x() - j.x()) * ux + (far.y() - j.y()) * uy) > 0.5 * j.distanceTo(far);
                held |= along && index.membersAt(far.id()).size() > 1;
                least = along ? Math.min(least, depths[index.memberNumber(o.id())] / 2) : least;
            }
            double rigid = end.equals(member.start()) ? member.rigidStart() : member.rigidEnd();
            inside += rigid > 0 ? rigid : Double.isInfinite(least) ? 0 : least;
            boolean onBeam = index.membersAt(end).stream().anyMatch(o -> o.role() == Role.BEAM)
                    && j.z()
                            < Math.max(
                                    index.joint(member.start()).z(),
                                    index.joint(member.end()).z());
            unread |= !held && !onBeam;
        }
        return Math.max(whole - inside, whole / 2);
    }

    private void strength() {
        double[][][] surface = Fibres.surface(l, m, b);
        double scale = Math.max(l.b(), l.h());
        double dx = magnifier(2);
        double dy = magnifier(1);
        double kx = factor(2);
        double ky = factor(1);
        double lx = kx * length(2);
        double ly = ky * length(1);
        if (Double.isInfinite(dx) || Double.isInfinite(dy)) {
            out.add("second-order", 99, "storey");
            return;
        }
        double fcd = b.en() ? l.fc() / 1.5 : 0;
        double cap = b.en()
                ? fcd * (gross() - steel())
                        + Math.min(
                                        m.steel(),
                                        (l.fc() <= 50 ? 0.002 : 0.002 + 0.000085 * Math.pow(l.fc() - 50, 0.53))
                                                * 200_000)
                                * steel()
                : (l.spiral() ? 0.75 * 0.85 : 0.65 * 0.80)
                        * (0.85 * l.fc() * (gross() - steel()) + Math.min(b.fy(), 550) * steel());
        for (int k = 0; k < f.strength.size(); k++) {
            Bent x = bent(k, Analysis.MY, dx);
            Bent y = bent(k, Analysis.MZ, dy);
            double[] p = new double[n];
            double most = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < n; i++) {
                p[i] = -f.at(l.member(), i, k, Analysis.N, 1);
                most = Math.max(most, p[i]);
            }
            out.add("axial-limit", most / cap, "P");
            left = torsion.counts(k) ? Fibres.surface(l, torsion.left(k), m, b) : null;
            for (int turn = 0; turn < (b.en() ? 2 : 1); turn++) {
                atEnds(k, p, x, y, turn, lx, ly, scale);
                for (int i : new TreeSet<>(List.of(0, n / 2, n - 1, x.at(), y.at()))) {
                    point(
                            surface,
                            scale,
                            p[i],
                            eccentric(x.moments()[i], p[i], turn == 0, lx, l.h()),
                            eccentric(y.moments()[i], p[i], turn == 1, ly, l.b()));
                }
                double[] sx = second(k, x, most, lx, l.h(), dx > 1 || kx > 1, kx > 1, true, turn == 0);
                double[] sy = second(k, y, most, ly, l.b(), dy > 1 || ky > 1, ky > 1, false, turn == 1);
                // least moments not about both axes at once (R6.6.4.5.4)
                boolean leastOfBoth = sx[0] > sx[2] && sy[0] > sy[2];
                for (int way = 0; way < (leastOfBoth ? 2 : 1) && sx[1] + sy[1] > 0; way++) {
                    point(
                            surface,
                            scale,
                            most,
                            eccentric(sx[leastOfBoth && way == 0 ? 2 : 0], most, turn == 0, lx, l.h()),
                            eccentric(sy[leastOfBoth && way == 1 ? 2 : 0], most, turn == 1, ly, l.b()));
                }
            }
        }
    }

    /** A tenth of the height from either end with what bars develop there, less what a torque takes of it. */
    private void atEnds(int k, double[] p, Bent x, Bent y, int turn, double lx, double ly, double scale) {
        for (int i = 0; i < n; i++) {
            double part = f.analysis().stationX(l.member(), i) / f.analysis().stationX(l.member(), n - 1);
            double up = upwards() ? part : 1 - part;
            List<Fibres.Part> parts = up <= 0.1 ? ends.get(0) : up >= 0.9 ? ends.get(1) : null;
            if (parts == null) {
                continue;
            }
            double taken = torsion.counts(k) ? 1 - torsion.left(k) : 0;
            List<Fibres.Part> left = parts.stream()
                    .map(q -> new Fibres.Part(Math.max(0, q.pull() - taken), q.push()))
                    .toList();
            double mx = Math.copySign(eccentric(x.moments()[i], p[i], turn == 0, lx, l.h()), x.moments()[i]);
            double my = Math.copySign(eccentric(y.moments()[i], p[i], turn == 1, ly, l.b()), y.moments()[i]);
            double use = Fibres.useAround(Fibres.around(l, left, m, b), p[i], mx, my, scale);
            double steel = 0;
            for (int j = 0; j < left.size(); j++) {
                steel += left.get(j).push() * l.bars().get(j).area() * Math.min(b.fy(), 550);
            }
            double cap = (l.spiral() ? 0.75 * 0.85 : 0.65 * 0.80) * (0.85 * l.fc() * (gross() - steel()) + steel);
            out.add(
                    taken > 0 ? "bar-ends-torsion" : "bar-ends",
                    Math.max(Double.isNaN(use) ? 0 : use, b.en() ? 0 : p[i] / cap),
                    "at " + part + " of " + k);
        }
    }

    /** What torsion leaves of the bars in the combination that is read; null where it does not count. */
    private double[][][] left;

    private void point(double[][][] surface, double scale, double p, double mx, double my) {
        if (Double.isInfinite(mx) || Double.isInfinite(my)) {
            out.add("second-order", 99, "buckles");
            return;
        }
        if (Math.hypot(mx, my) > 1e-4 * scale * Math.abs(p)) {
            String at = "P " + Math.round(p / 1e3) + " Mx " + Math.round(mx / 1e6) + " My " + Math.round(my / 1e6);
            double use = Fibres.use(surface, p, mx, my, scale);
            out.add("axial-bending", Double.isNaN(use) ? 0 : use, at);
            double beside = left == null ? 0 : Fibres.use(left, p, mx, my, scale);
            out.add("torsion-bending", Double.isNaN(beside) ? 0 : beside, at);
        }
    }

    private double eccentric(double moment, double p, boolean counts, double length, double h) {
        return !b.en() || !counts || p <= 0
                ? moment
                : Math.max(Math.abs(moment) + p * length / 400, p * Math.max(h / 30, 20));
    }

    /**
     * {moment, 1 if slender, moment without a least one} of the lift about an axis.
     *
     * @param free  whether its ends move by the factor of the basis: then the whole moment counts
     * @param aside whether its imperfection counts about that axis
     */
    private double[] second(
            int k,
            Bent v,
            double p,
            double length,
            double h,
            boolean sways,
            boolean free,
            boolean aboutX,
            boolean aside) {
        double inertia = l.round()
                ? Math.PI * Math.pow(l.b(), 4) / 64
                : (aboutX ? l.b() * Math.pow(l.h(), 3) : l.h() * Math.pow(l.b(), 3)) / 12;
        double r = Math.sqrt(inertia / gross());
        boolean predominantly = b.en() && p > 0 && Math.abs(v.most()) < p * length / 400;
        boolean loaded = free || v.bow() > 0.02 * Math.max(Math.abs(v.most()), 1) || predominantly;
        double m2 = loaded ? Math.abs(v.most()) : Math.max(Math.abs(v.foot()), Math.abs(v.head()));
        double m1 = Math.min(Math.abs(v.foot()), Math.abs(v.head()));
        boolean single = v.foot() * v.head() > 0;
        if (p <= 0) {
            return new double[] {m2, 0, m2};
        }
        return b.en()
                ? curvature(k, v, p, length, h, inertia, r, loaded, m2, single ? m1 : -m1, sways, aboutX, aside)
                : magnified(k, p, length, h, inertia, r, loaded, m2, single ? -m1 : m1, aboutX);
    }

    /** Second moment of all bars about the middle of the section [mm4]. */
    private double ofBars(boolean aboutX) {
        return l.bars().stream()
                .mapToDouble(d -> d.area() * Math.pow(aboutX ? d.y() : d.x(), 2))
                .sum();
    }

    /** 6.2.5.1, 6.6.4.4.2, 6.6.4.4.4 (a) or (b), 6.6.4.5. @param m1 negative in single curvature */
    private double[] magnified(
            int k,
            double p,
            double length,
            double h,
            double inertia,
            double r,
            boolean loaded,
            double m2,
            double m1,
            boolean aboutX) {
        double ratio = loaded || m2 == 0 ? -1 : m1 / m2;
        if (length / r <= Math.min(40, 34 + 12 * ratio) + 1e-6) {
            return new double[] {m2, 0, m2};
        }
        double dead = Math.max(0, Math.min(1, -f.dead(l.member(), footStation(), k, Analysis.N) / p));
        double least = p * (m.inches(15, 0.6) + 0.03 * h);
        double curved = loaded ? 1 : 0.6 - 0.4 * ratio;
        double gross = l.ec() * inertia;
        double ei = Math.max(0.4 * gross, 0.2 * gross + 200_000 * ofBars(aboutX)) / (1 + dead);
        double pc = Math.PI * Math.PI * ei / (length * length);
        double rest = 1 - p / (0.75 * pc);
        double infinite = Double.POSITIVE_INFINITY;
        double own = rest <= 0 ? infinite : m2 * Math.max(1, curved / rest);
        return new double[] {rest <= 0 ? infinite : least > m2 ? least / Math.min(1, rest) : own, 1, own};
    }

    /** 5.8.3.1, then 5.8.8 or 5.8.7. @param m1 positive in single curvature */
    private double[] curvature(
            int k,
            Bent v,
            double p,
            double length,
            double h,
            double inertia,
            double r,
            boolean loaded,
            double m2,
            double m1,
            boolean sways,
            boolean aboutX,
            boolean aside) {
        double fcd = l.fc() / 1.5;
        double lasting = f.lasting(l.member(), v.at(), aboutX ? Analysis.MY : Analysis.MZ, length / 400);
        double part = Double.isNaN(lasting)
                ? Math.max(0, Math.min(1, -f.dead(l.member(), footStation(), k, Analysis.N) / p))
                : Math.min(1, lasting / (Math.abs(v.most()) + p * length / 400));
        double creep = CREEP * part;
        double rm = loaded || sways || m2 == 0 ? 1 : m1 / m2;
        double lambda = length / r;
        double relative = p / (gross() * fcd);
        double omega = steel() * m.steel() / (gross() * fcd);
        if (lambda * Math.sqrt(relative) <= 20 / (1 + 0.2 * creep) * Math.sqrt(1 + 2 * omega) * (1.7 - rm)) {
            return new double[] {m2, 0, m2};
        }
        double m0e = loaded ? m2 : Math.max(0.6 * m2 + 0.4 * m1, 0.4 * m2);
        if (b.nominalStiffness()) {
            double kc = Math.sqrt(l.fc() / 20) * Math.min(0.2, relative * lambda / 170) / (1 + creep);
            double ei = kc * l.ec() / 1.2 * inertia + 200_000 * ofBars(aboutX);
            double critical = Math.PI * Math.PI * ei / (length * length);
            double imperfection = aside ? p * length / 400 : 0;
            double larger = 1 + Math.PI * Math.PI / 8 * p / (critical - p);
            double m = critical <= p
                    ? Double.POSITIVE_INFINITY
                    : Math.max(m2, larger * (m0e + imperfection) - imperfection);
            return new double[] {m, 1, m};
        }
        double d = h / 2 + Math.sqrt(ofBars(aboutX) / steel());
        double kphi = Math.max(1, 1 + (0.35 + l.fc() / 200 - lambda / 150) * creep);
        double kr = Math.max(0, Math.min(1, (1 + omega - relative) / (0.6 + omega)));
        double e2 = kr * kphi * m.steel() / 200_000 / (0.45 * d) * length * length / 10;
        double m = Math.max(m2, m0e + p * e2);
        return new double[] {m, 1, m};
    }

    private int footStation() {
        return index.joint(member.start()).z() < index.joint(member.end()).z() ? 0 : n - 1;
    }

    // ---- ties -------------------------------------------------------------------------------------------------------

    private void ties() {
        double ratio = steel() / gross();
        double most = 0;
        for (int k = 0; k < f.strength.size(); k++) {
            for (int i = 0; i < n; i++) {
                most = Math.max(most, -f.at(l.member(), i, k, Analysis.N, 1));
            }
        }
        out.add("bar-count", (l.spiral() && !b.en() ? 6.0 : 4.0) / l.bars().size(), "bars");
        out.add("steel", ratio / (b.en() ? 0.04 : 0.08), "most");
        out.add("steel", (b.en() ? Math.max(0.002, 0.1 * most / m.steel() / gross()) : 0.01) / ratio, "least");
        double thin = l.bars().stream().mapToDouble(Sheet.Dot::d).min().orElse(1);
        double thick = l.bars().stream().mapToDouble(Sheet.Dot::d).max().orElse(1);
        double least = Math.min(l.b(), l.h());
        spacings(
                b.en()
                        ? Math.min(20 * thin, Math.min(least, 400))
                        : Math.min(16 * thin, Math.min(48 * l.tie(), least)));
        out.add(
                "tie-size",
                b.en() ? Math.max(6, thick / 4) / l.tie() : (thick > 33 && !l.spiral() ? 12.6 : 9.5) / l.tie() * 0.99,
                "tie");
        for (int i = 0; i < l.bars().size(); i++) {
            for (int k = i + 1; k < l.bars().size(); k++) {
                Sheet.Dot p = l.bars().get(i);
                Sheet.Dot q = l.bars().get(k);
                double needed = b.en()
                        ? m.clear(Math.max(p.d(), q.d()))
                        : Math.max(m.inches(40, 1.5), Math.max(1.5 * Math.max(p.d(), q.d()), 4.0 / 3 * b.aggregate()));
                out.add(
                        "bars-apart",
                        needed / Math.max(0.1, Math.hypot(p.x() - q.x(), p.y() - q.y()) - (p.d() + q.d()) / 2 + 0.1),
                        i + "/" + k);
            }
            Sheet.Dot p = l.bars().get(i);
            double in = l.round()
                    ? l.b() / 2 - Math.hypot(p.x(), p.y())
                    : Math.min(l.b() / 2 - Math.abs(p.x()), l.h() / 2 - Math.abs(p.y()));
            out.add("cover", (b.columnCover() + l.tie() + p.d() / 2) / (in + 0.1), "bar " + i);
        }
        if (l.spiral()) {
            spiral();
        }
        if (!l.round()) {
            held(true);
            held(false);
        }
        shear(widest());
    }

    /**
     * Every tie against the next: 200 mm (8 in) within beams (15.3.1.4); by EN 0.6 of the usual from a beam's face over the larger side of the section
     * (9.5.3(4)). The first and the last stand within half of it from the ends.
     */
    private void spacings(double usual) {
        double height = index.length(member);
        double low = low();
        double high = high();
        double near = b.en() ? Math.max(l.b(), l.h()) : 0;
        List<Double> all = l.ties();
        out.add("tie-spacing", all.get(0) / (usual / 2 + 0.1), "first");
        out.add("tie-spacing", (height - all.get(all.size() - 1)) / (usual / 2 + 0.1), "last");
        for (int i = 1; i < all.size(); i++) {
            double from = all.get(i - 1);
            double to = all.get(i);
            boolean inside = to <= low || from >= high;
            boolean close = to <= low + near || from >= high - near;
            double limit = b.en() ? close ? 0.6 * usual : usual : inside ? Math.min(usual, m.inches(200, 8)) : usual;
            out.add("tie-spacing", (to - from) / (limit + 0.1), "at " + Math.round(to));
        }
    }

    private boolean upwards() {
        return index.joint(member.start()).z() < index.joint(member.end()).z();
    }

    /** Top of the beams at its foot, above its lower joint; underside of those at its head. */
    private double low() {
        return deepest(upwards() ? member.start() : member.end()) / 2;
    }

    private double high() {
        return index.length(member) - deepest(upwards() ? member.end() : member.start()) / 2;
    }

    /** Turns between the flat ones: clear distances and, by ACI, their volume over that of the core (25.7.3.1, 25.7.3.3; 8.2(2)). */
    private void spiral() {
        double pitch = widest();
        double clear = pitch - l.tie();
        double least = b.en() ? Math.max(b.aggregate() + 5, 20) : Math.max(m.inches(25, 1), 4.0 / 3 * b.aggregate());
        out.add("spiral", least / Math.max(0.1, clear + 0.01), "turns apart");
        if (!b.en()) {
            out.add("spiral", clear / (m.inches(75, 3) + 0.01), "clear");
            double core = Math.PI / 4 * Math.pow(l.b() - 2 * b.columnCover(), 2);
            double turn = l.tieArea() * Math.PI * (l.b() - 2 * b.columnCover() - l.tie());
            double needs = 0.45 * (gross() / core - 1) * l.fc() / Math.min(b.fyt(), 700);
            out.add("spiral", needs / (turn / (core * pitch)), "volume");
        }
    }

    private double deepest(String joint) {
        return index.membersAt(joint).stream()
                .filter(o -> o.role() == Role.BEAM)
                .mapToDouble(o -> depths[index.memberNumber(o.id())])
                .max()
                .orElse(0);
    }

    /** Largest distance of ties along the lift. */
    private double widest() {
        double out = 0;
        for (int i = 1; i < l.ties().size(); i++) {
            double middle = (l.ties().get(i) + l.ties().get(i - 1)) / 2;
            // hoops within the joints do not enclose what spans between them
            boolean between = !l.spiral() || middle > low() && middle < high();
            out = between ? Math.max(out, l.ties().get(i) - l.ties().get(i - 1)) : out;
        }
        return out;
    }

    /** Every corner and alternate bar has a leg, and none is more than 150 mm clear from one that has (25.7.2.3; 9.5.3(6)). */
    private void held(boolean alongX) {
        List<Boolean> legs = alongX ? l.heldX() : l.heldY();
        double side = alongX ? l.h() : l.b();
        List<Sheet.Dot> face = new ArrayList<>(l.bars().stream()
                .filter(d -> (alongX ? -d.y() : -d.x()) > side / 2 - b.columnCover() - l.tie() - d.d() / 2 - 1)
                .toList());
        face.sort((p, q) -> Double.compare(alongX ? p.x() : p.y(), alongX ? q.x() : q.y()));
        if (face.size() != legs.size()) {
            out.add("held", 99, "legs " + legs.size() + " bars " + face.size());
            return;
        }
        boolean corners = legs.get(0) && legs.get(legs.size() - 1);
        out.add("held", corners ? 0 : 99, "corners");
        for (int i = 1; i + 1 < face.size(); i++) {
            if (!legs.get(i)) {
                double gap = Double.POSITIVE_INFINITY;
                for (int k : new int[] {i - 1, i + 1}) {
                    double clear = Math.abs(
                                    alongX
                                            ? face.get(i).x() - face.get(k).x()
                                            : face.get(i).y() - face.get(k).y())
                            - (face.get(i).d() + face.get(k).d()) / 2;
                    gap = legs.get(k) ? Math.min(gap, clear) : gap;
                }
                out.add("held", gap / m.inches(150, 6), "bar " + i);
                out.add("held", legs.get(i - 1) && legs.get(i + 1) ? 0 : 99, "two in a row");
            }
        }
    }

    /** The larger magnifier; an unstable storey fails by that, and what is left to read is the analysis. */
    double sway() {
        return Math.max(finite(1), finite(2));
    }

    double finite(int axis) {
        double d = magnifier(axis);
        return Double.isFinite(d) ? d : 1;
    }

    private void shear(double gap) {
        double sway = sway();
        for (int k = 0; k < f.strength.size(); k++) {
            double p = Double.POSITIVE_INFINITY;
            for (int i = 0; i < n; i++) {
                p = Math.min(p, -f.at(l.member(), i, k, Analysis.N, 1));
            }
            double both = 0;
            double lesser = Double.POSITIVE_INFINITY;
            for (boolean alongX : new boolean[] {true, false}) {
                double v = 0;
                for (int i = 0; i < n; i++) {
                    v = Math.max(v, Math.abs(f.at(l.member(), i, k, alongX ? Analysis.VY : Analysis.VZ, sway)));
                }
                double use = v / shear.carried(alongX, p, gap);
                out.add("shear", use, alongX ? "x" : "y");
                both += use;
                lesser = Math.min(lesser, use);
                if (!b.en() && v > 0.5 * 0.75 * shear.concrete(alongX, p, gap)) {
                    double has = shear.legs(alongX) * l.tieArea() / gap;
                    out.add("minimum-ties", shear.least(alongX) / has, alongX ? "x" : "y");
                }
                if (l.legs() == null && torsion.counts(k)) {
                    torsion.beside(k, v, alongX, p, gap, out);
                }
            }
            // 22.5.1.10, 22.5.1.11; by EN the line that touches the circle
            if (lesser > 0.5) {
                out.add("shear-both", both / (b.en() ? Math.sqrt(2) : 1.5), "of " + k);
            }
        }
    }
}
