package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Point;
import kolonne.core.model.Role;
import kolonne.core.model.SlabPanel;

/**
 * Shares a uniform panel load to the beams around it by yield-line geometry. Two-way: every point goes to the nearest
 * supported side (45° lines in a rectangle). One-way: strips along the span hand half of their load to either end. A panel
 * held on one side only is a cantilever; where no slab goes on behind its beam, the beam takes the overhang's moment as
 * torsion. Openings carry nothing.
 *
 * <p>All in plan: a pressure acts on the plan area of a sloping or warped panel, its weight on the true area (see {@link #slope}).
 * The result per unit pressure is a width [mm] (and a torque [mm2]) along each beam, piecewise linear.
 */
final class PanelLoads {
    /** Part of a side over which load that lies beyond its end is spread. */
    private static final double END = 0.05;
    /** Rise of a beam against its side, over its length in plan, from which it is no beam of that side. */
    private static final double STEEP = 0.25;
    /** Parts in which a torque that varies is made linear. */
    private static final int TORQUE_PARTS = 4;

    /** Slab carried by a member between two distances from its start joint [mm]: widths [mm], torques about local x [mm2]. */
    record Share(Member member, double from, double to, double width1, double width2, double torque1, double torque2) {}

    /** A side of the panel: from a corner, along unit vector (ux, uy), the inward normal is (nx, ny). */
    private record Side(
            double x, double y, double ux, double uy, double length, double nx, double ny, List<Piece> beams) {
        boolean supported() {
            return !beams.isEmpty();
        }
    }

    /** A beam on a side, from s1 to s2 along it in plan; reversed if the member runs against the side. @param slope its length over that in plan */
    private record Piece(Member member, double s1, double s2, boolean reversed, double slope) {}

    /** Width and torque at both ends of a length of a side. */
    private record Strip(double s1, double s2, double width1, double width2, double torque1, double torque2) {}

    private final BuildingIndex index;
    private final Consumer<Finding> findings;
    private final Map<String, Integer> panelsOn = new HashMap<>();

    PanelLoads(BuildingIndex index, Consumer<Finding> findings) {
        this.index = index;
        this.findings = findings;
    }

    /** Shares of every panel, by panel id in the order of the file. */
    Map<String, List<Share>> all() {
        Map<String, List<Side>> sides = new LinkedHashMap<>();
        for (SlabPanel p : index.building().panels()) {
            sides.put(p.id(), sidesOf(p));
        }
        sides.values()
                .forEach(l -> l.forEach(
                        s -> s.beams().forEach(b -> panelsOn.merge(b.member().id(), 1, Integer::sum))));
        Map<String, List<Share>> out = new LinkedHashMap<>();
        index.building().panels().forEach(p -> out.put(p.id(), shares(p, sides.get(p.id()))));
        return out;
    }

    /** True area of a panel over its area in plan; of a warped one, of the triangles from its middle to its sides. */
    static double slope(BuildingIndex index, SlabPanel panel) {
        List<Joint> j = panel.joints().stream().map(index::joint).toList();
        double[] o = {
            j.stream().mapToDouble(Joint::x).average().orElse(0),
            j.stream().mapToDouble(Joint::y).average().orElse(0),
            j.stream().mapToDouble(Joint::z).average().orElse(0)
        };
        double plan = 0;
        double whole = 0;
        for (int i = 0; i < j.size(); i++) {
            Joint p = j.get(i);
            Joint q = j.get((i + 1) % j.size());
            double[] u = {p.x() - o[0], p.y() - o[1], p.z() - o[2]};
            double[] v = {q.x() - o[0], q.y() - o[1], q.z() - o[2]};
            double nz = u[0] * v[1] - u[1] * v[0];
            plan += Math.abs(nz);
            whole += Math.hypot(Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2]), nz);
        }
        return plan > 0 ? whole / plan : 1;
    }

    /** Panels beside each beam, by its id: two where there is a slab on either side. */
    static Map<String, List<SlabPanel>> beside(BuildingIndex index) {
        PanelLoads loads = new PanelLoads(index, f -> {});
        Map<String, List<SlabPanel>> out = new HashMap<>();
        for (SlabPanel p : index.building().panels()) {
            for (Side side : loads.sidesOf(p)) {
                side.beams()
                        .forEach(b -> out.computeIfAbsent(b.member().id(), k -> new ArrayList<>())
                                .add(p));
            }
        }
        return out;
    }

    /** Area of a panel in plan without its openings [mm2]. */
    static double netArea(BuildingIndex index, SlabPanel p) {
        List<double[]> corners = p.joints().stream()
                .map(index::joint)
                .map(j -> new double[] {j.x(), j.y()})
                .toList();
        double holes = p.holes().stream()
                .mapToDouble(h -> new Polygon(
                                h.stream().map(q -> new double[] {q.x(), q.y()}).toList())
                        .area())
                .sum();
        return new Polygon(corners).area() - holes;
    }

    /** The sides with the beams on them; none, with a finding, if the panel cannot be used. */
    private List<Side> sidesOf(SlabPanel panel) {
        List<Joint> corners = corners(panel);
        if (corners.size() < 3) {
            fail(
                    "panel.corners",
                    panel,
                    "The panel's joints lie on one line.",
                    "List the corners in order around the panel.");
            return List.of();
        }
        List<Side> sides = sides(corners);
        if (sides == null) {
            fail(
                    "panel.not-convex",
                    panel,
                    "The panel is not convex, or its joints are not in order around it.",
                    "Put the joints in order, or split the panel into convex ones.");
            return List.of();
        }
        if (sides.stream().noneMatch(Side::supported)) {
            fail(
                    "panel.unsupported",
                    panel,
                    "No beam runs along any side of the panel.",
                    "Add beams along its sides or remove the panel.");
            return List.of();
        }
        return sides;
    }

    private List<Share> shares(SlabPanel panel, List<Side> sides) {
        if (sides.isEmpty()) {
            return List.of();
        }
        Polygon outline = outline(sides);
        List<Polygon> holes = holes(panel, outline);
        if (holes == null) {
            return List.of();
        }
        boolean cantilever = sides.stream().filter(Side::supported).count() == 1;
        List<Share> out = new ArrayList<>();
        for (Side side : sides) {
            if (side.supported()) {
                List<Strip> strips = panel.oneWay() && !cantilever
                        ? oneWay(panel, side, outline, holes)
                        : twoWay(sides, side, outline, holes, cantilever && twists(panel, side));
                strips.forEach(s -> distribute(side, s, out));
            }
        }
        double shared = out.stream()
                .mapToDouble(s -> (s.to() - s.from()) * (s.width1() + s.width2()) / 2)
                .sum();
        double area = outline.area() - holes.stream().mapToDouble(Polygon::area).sum();
        if (Math.abs(shared - area) > 1e-3 * area) {
            fail(
                    "panel.load-lost",
                    panel,
                    String.format(
                            Locale.ROOT,
                            "Beams take up %.2f of the panel's %.2f m2: a side that must carry load has no beam on it.",
                            shared / 1e6,
                            area / 1e6),
                    "Add the missing beam, or turn the span of the one-way slab.");
            return List.of();
        }
        return out;
    }

    private void fail(String code, SlabPanel p, String what, String mend) {
        findings.accept(Finding.fails(code, "slab panel " + p.id(), what, mend));
    }

    /** Whether the beam of a cantilever panel takes its moment as torsion; says where the moment goes. */
    private boolean twists(SlabPanel panel, Side side) {
        boolean alone =
                side.beams().stream().anyMatch(b -> panelsOn.get(b.member().id()) == 1);
        findings.accept(Finding.note(
                "panel.cantilever",
                "slab panel " + panel.id(),
                alone
                        ? "The panel cantilevers from one beam with no slab behind it: the beam takes the overhang's moment as torsion."
                        : "The panel cantilevers from one beam; its moment is taken to go on into the slab behind the beam.",
                alone
                        ? "Add the slab behind the beam if there is one."
                        : "Check the slab behind for the moment of the overhang."));
        return alone;
    }

    /** The panel's joints without those that lie on a straight line between their neighbours. */
    private List<Joint> corners(SlabPanel panel) {
        List<Joint> all = panel.joints().stream().map(index::joint).toList();
        List<Joint> out = new ArrayList<>();
        int n = all.size();
        for (int i = 0; i < n; i++) {
            Joint a = all.get((i + n - 1) % n);
            Joint b = all.get(i);
            Joint c = all.get((i + 1) % n);
            double cross = (b.x() - a.x()) * (c.y() - b.y()) - (b.y() - a.y()) * (c.x() - b.x());
            if (Math.abs(cross) > 1e-6 * a.distanceTo(b) * b.distanceTo(c)) {
                out.add(b);
            }
        }
        return out;
    }

    private static Polygon outline(List<Side> sides) {
        return new Polygon(sides.stream().map(s -> new double[] {s.x(), s.y()}).toList());
    }

    /** The openings, or null (with a finding) if one is not a polygon inside the panel. */
    private List<Polygon> holes(SlabPanel panel, Polygon outline) {
        List<Polygon> out = new ArrayList<>();
        for (List<Point> h : panel.holes()) {
            Polygon hole =
                    new Polygon(h.stream().map(p -> new double[] {p.x(), p.y()}).toList());
            Polygon inside = hole;
            double turn = Math.signum(outline.twiceArea());
            int n = outline.corners().size();
            for (int i = 0; i < n; i++) {
                double[] p = outline.corners().get(i);
                double[] q = outline.corners().get((i + 1) % n);
                double a = -turn * (q[1] - p[1]);
                double b = turn * (q[0] - p[0]);
                inside = inside.clipped(a, b, -a * p[0] - b * p[1]);
            }
            if (h.size() < 3 || !(hole.area() > 0) || inside.area() < 0.999 * hole.area()) {
                fail(
                        "panel.hole",
                        panel,
                        "An opening has no area, crosses itself or reaches beyond the panel.",
                        "Give its corners in order, inside the panel.");
                return null;
            }
            out.add(hole);
        }
        return out;
    }

    /** The sides with the beams on them, or null if the outline is not convex. */
    private List<Side> sides(List<Joint> c) {
        double turn = Math.signum(new Polygon(
                        c.stream().map(j -> new double[] {j.x(), j.y()}).toList())
                .twiceArea());
        List<Side> out = new ArrayList<>();
        for (int i = 0; i < c.size(); i++) {
            Joint a = c.get(i);
            Joint b = c.get((i + 1) % c.size());
            Joint d = c.get((i + 2) % c.size());
            double l = Math.hypot(b.x() - a.x(), b.y() - a.y());
            double ux = (b.x() - a.x()) / l;
            double uy = (b.y() - a.y()) / l;
            if (turn * (ux * (d.y() - b.y()) - uy * (d.x() - b.x())) <= 0) {
                return null;
            }
            out.add(new Side(a.x(), a.y(), ux, uy, l, -turn * uy, turn * ux, beamsAlong(a, b, l)));
        }
        return out;
    }

    /**
     * Walks in plan from one corner to the other along beams; of several that lie over one another the one nearest to the straight line between
     * the corners in height. Empty if the walk breaks off.
     */
    private List<Piece> beamsAlong(Joint a, Joint b, double length) {
        List<Piece> out = new ArrayList<>();
        Joint at = a;
        double done = 0;
        while (!at.id().equals(b.id())) {
            Piece next = null;
            Joint to = null;
            double nearest = STEEP;
            for (Member m : index.membersAt(at.id())) {
                Joint other = index.joint(index.otherEnd(m, at.id()));
                double step = Math.hypot(other.x() - at.x(), other.y() - at.y());
                double along =
                        ((other.x() - at.x()) * (b.x() - a.x()) + (other.y() - at.y()) * (b.y() - a.y())) / length;
                boolean onSide = m.role() == Role.BEAM
                        && step > 0
                        && along > step * (1 - 1e-6)
                        && done + step <= length * (1 + 1e-6);
                double off = onSide
                        ? Math.abs(other.z() - a.z() - (b.z() - a.z()) * (done + step) / length) / step
                        : nearest;
                if (off < nearest) {
                    nearest = off;
                    next = new Piece(m, done, done + step, !m.start().equals(at.id()), index.length(m) / step);
                    to = other;
                }
            }
            if (next == null) {
                return List.of();
            }
            out.add(next);
            done = next.s2();
            at = to;
        }
        return out;
    }

    /** The region nearer to {@code side} than to any other supported side, as strips at right angles to it. */
    private static List<Strip> twoWay(
            List<Side> sides, Side side, Polygon outline, List<Polygon> holes, boolean torque) {
        Polygon region = outline;
        List<Polygon> missing = new ArrayList<>(holes);
        for (Side o : sides) {
            if (o != side && o.supported()) {
                double a = o.nx() - side.nx();
                double b = o.ny() - side.ny();
                double c = -o.nx() * o.x() - o.ny() * o.y() + side.nx() * side.x() + side.ny() * side.y();
                region = region.clipped(a, b, c);
                missing.replaceAll(h -> h.clipped(a, b, c));
            }
        }
        Polygon inner = along(region, side, side.nx(), side.ny());
        List<Polygon> without =
                missing.stream().map(h -> along(h, side, side.nx(), side.ny())).toList();
        List<Strip> out = strips(inner, without, side.length(), 1, torque);
        beyond(inner, without, side.length(), out);
        return out;
    }

    /** Load whose foot lies beyond the ends of the side (a free side leans outwards) goes to the ends. */
    private static void beyond(Polygon region, List<Polygon> holes, double length, List<Strip> out) {
        double end = END * length;
        double before = net(region, holes, -1, 0);
        double after = net(region, holes, 1, -length);
        if (before > 1e-9 * length * length) {
            out.add(new Strip(0, end, before / end, before / end, 0, 0));
        }
        if (after > 1e-9 * length * length) {
            out.add(new Strip(length - end, length, after / end, after / end, 0, 0));
        }
    }

    private static double net(Polygon region, List<Polygon> holes, double a, double c) {
        return region.clipped(a, 0, c).area()
                - holes.stream().mapToDouble(h -> h.clipped(a, 0, c).area()).sum();
    }

    /** Half of every strip along the span. */
    private static List<Strip> oneWay(SlabPanel panel, Side side, Polygon outline, List<Polygon> holes) {
        double dx = Math.cos(panel.spanAngle());
        double dy = Math.sin(panel.spanAngle());
        double sine = Math.abs(side.ux() * dy - side.uy() * dx);
        if (sine < 1e-6) {
            return List.of();
        }
        return strips(
                along(outline, side, dx, dy),
                holes.stream().map(h -> along(h, side, dx, dy)).toList(),
                side.length(),
                sine / 2,
                false);
    }

    /** Coordinates along the side and along direction (dx, dy) from it. */
    private static Polygon along(Polygon p, Side side, double dx, double dy) {
        double det = side.ux() * dy - side.uy() * dx;
        return new Polygon(p.corners().stream()
                .map(c -> {
                    double x = c[0] - side.x();
                    double y = c[1] - side.y();
                    return new double[] {(x * dy - y * dx) / det, (side.ux() * y - side.uy() * x) / det};
                })
                .toList());
    }

    /** Net chords along a side, linear between the corners of the region and of the openings. */
    private static List<Strip> strips(
            Polygon region, List<Polygon> holes, double length, double factor, boolean torque) {
        TreeSet<Double> cuts = new TreeSet<>(List.of(0.0, length));
        List<Polygon> all = new ArrayList<>(holes);
        all.add(region);
        all.forEach(p -> p.corners().stream()
                .map(c -> c[0])
                .filter(s -> s > 0 && s < length)
                .forEach(cuts::add));
        List<Double> at = new ArrayList<>(cuts);
        List<Strip> out = new ArrayList<>();
        for (int i = 0; i + 1 < at.size(); i++) {
            int parts = torque ? TORQUE_PARTS : 1;
            for (int k = 0; k < parts && at.get(i + 1) - at.get(i) > 1e-6; k++) {
                double step = (at.get(i + 1) - at.get(i)) / parts;
                strip(region, holes, at.get(i) + k * step, at.get(i) + (k + 1) * step, factor, torque, out);
            }
        }
        return out;
    }

    /** Values just inside both ends, since chords may jump at the ends themselves. */
    private static void strip(
            Polygon region, List<Polygon> holes, double s1, double s2, double factor, boolean torque, List<Strip> out) {
        double[] a = net(region, holes, s1 + 0.25 * (s2 - s1));
        double[] b = net(region, holes, s1 + 0.75 * (s2 - s1));
        double w1 = Math.max(0, 1.5 * a[0] - 0.5 * b[0]);
        double w2 = Math.max(0, 1.5 * b[0] - 0.5 * a[0]);
        if (w1 > 1e-9 || w2 > 1e-9) {
            out.add(new Strip(
                    s1,
                    s2,
                    w1 * factor,
                    w2 * factor,
                    torque ? 1.5 * a[1] - 0.5 * b[1] : 0,
                    torque ? 1.5 * b[1] - 0.5 * a[1] : 0));
        }
    }

    private static double[] net(Polygon region, List<Polygon> holes, double s) {
        double[] out = region.chord(s);
        for (int i = 0; i < 2; i++) {
            out[i] = Math.abs(out[i]);
        }
        for (Polygon h : holes) {
            double[] c = h.chord(s);
            out[0] -= Math.abs(c[0]);
            out[1] -= Math.abs(c[1]);
        }
        return out;
    }

    private static void distribute(Side side, Strip strip, List<Share> out) {
        for (Piece p : side.beams()) {
            double from = Math.max(strip.s1(), p.s1());
            double to = Math.min(strip.s2(), p.s2());
            if (to - from <= 1e-9) {
                continue;
            }
            double t1 = (from - strip.s1()) / (strip.s2() - strip.s1());
            double t2 = (to - strip.s1()) / (strip.s2() - strip.s1());
            // a downward load at t along the inward normal turns about the member's axis: (t n × −k) · x
            double turn = -(side.ny() * side.ux() - side.nx() * side.uy()) * (p.reversed() ? -1 : 1);
            double[] w = {mix(strip.width1(), strip.width2(), t1), mix(strip.width1(), strip.width2(), t2)};
            double[] q = {
                turn * mix(strip.torque1(), strip.torque2(), t1), turn * mix(strip.torque1(), strip.torque2(), t2)
            };
            double k = p.slope();
            out.add(
                    p.reversed()
                            ? new Share(
                                    p.member(),
                                    (p.s2() - to) * k,
                                    (p.s2() - from) * k,
                                    w[1] / k,
                                    w[0] / k,
                                    q[1] / k,
                                    q[0] / k)
                            : new Share(
                                    p.member(),
                                    (from - p.s1()) * k,
                                    (to - p.s1()) * k,
                                    w[0] / k,
                                    w[1] / k,
                                    q[0] / k,
                                    q[1] / k));
        }
    }

    private static double mix(double a, double b, double t) {
        return a + t * (b - a);
    }
}
