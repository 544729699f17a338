package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.SlabPanel;

/**
 * Shares a uniform panel load to the beams around it. Two-way: every point goes to the nearest supported edge (the 45°
 * lines of a rectangular panel). One-way: strips along the span direction hand half of their load to either end.
 *
 * <p>The result per unit pressure is a width [mm] along each beam, piecewise linear.
 */
final class PanelLoads {
    /** Width of slab carried by a member between two distances from its start joint [mm]. */
    record Share(Member member, double from, double to, double width1, double width2) {}

    /** A side of the panel: from a corner, along unit vector (ux, uy), the inward normal is (nx, ny). */
    private record Side(double x, double y, double ux, double uy, double length, double nx, double ny,
                        List<Piece> beams) {}

    /** A beam on a side, from s1 to s2 along it; reversed if the member runs against the side. */
    private record Piece(Member member, double s1, double s2, boolean reversed) {}

    private final BuildingIndex index;
    private final Consumer<Finding> findings;

    PanelLoads(BuildingIndex index, Consumer<Finding> findings) {
        this.index = index;
        this.findings = findings;
    }

    List<Share> shares(SlabPanel panel) {
        List<Joint> corners = corners(panel);
        if (corners.size() < 3) {
            findings.accept(Finding.fails("panel.corners", where(panel), "The panel's joints lie on one line.",
                "List the corners in order around the panel."));
            return List.of();
        }
        List<Side> sides = sides(corners);
        if (sides == null) {
            findings.accept(Finding.fails("panel.not-convex", where(panel),
                "The panel is not convex, or its joints are not in order around it.",
                "Put the joints in order, or split the panel into convex ones."));
            return List.of();
        }
        if (sides.stream().allMatch(s -> s.beams().isEmpty())) {
            findings.accept(Finding.fails("panel.unsupported", where(panel), "No beam runs along any side of the panel.",
                "Add beams along its sides or remove the panel."));
            return List.of();
        }
        List<Share> out = new ArrayList<>();
        for (Side side : sides) {
            if (!side.beams().isEmpty()) {
                double[][] profile = panel.oneWay() ? oneWay(panel, sides, side) : twoWay(sides, side);
                distribute(side, profile, out);
            }
        }
        double shared = out.stream().mapToDouble(s -> (s.to() - s.from()) * (s.width1() + s.width2()) / 2).sum();
        double area = area(corners);
        if (Math.abs(shared - area) > 1e-3 * area) {
            findings.accept(Finding.fails("panel.load-lost", where(panel), String.format(Locale.ROOT,
                "Beams take up %.2f of the panel's %.2f m2: a side that must carry load has no beam on it.",
                shared / 1e6, area / 1e6), "Add the missing beam, or turn the span of the one-way slab."));
            return List.of();
        }
        return out;
    }

    private static String where(SlabPanel p) {
        return "slab panel " + p.id();
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

    private static double area(List<Joint> c) {
        double twice = 0;
        for (int i = 0; i < c.size(); i++) {
            Joint a = c.get(i);
            Joint b = c.get((i + 1) % c.size());
            twice += a.x() * b.y() - b.x() * a.y();
        }
        return Math.abs(twice) / 2;
    }

    /** The sides with the beams on them, or null if the outline is not convex. */
    private List<Side> sides(List<Joint> c) {
        double twice = 0;
        for (int i = 0; i < c.size(); i++) {
            twice += c.get(i).x() * c.get((i + 1) % c.size()).y() - c.get((i + 1) % c.size()).x() * c.get(i).y();
        }
        double turn = Math.signum(twice);
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

    /** Walks from one corner to the other along beams on the straight line; empty if the walk breaks off. */
    private List<Piece> beamsAlong(Joint a, Joint b, double length) {
        List<Piece> out = new ArrayList<>();
        Joint at = a;
        double done = 0;
        while (!at.id().equals(b.id())) {
            Piece next = null;
            Joint to = null;
            for (Member m : index.membersAt(at.id())) {
                Joint other = index.joint(index.otherEnd(m, at.id()));
                double step = at.distanceTo(other);
                double along = ((other.x() - at.x()) * (b.x() - a.x()) + (other.y() - at.y()) * (b.y() - a.y())
                    + (other.z() - at.z()) * (b.z() - a.z())) / a.distanceTo(b);
                if (m.role() == Role.BEAM && along > step * (1 - 1e-6) && done + step <= length * (1 + 1e-6)) {
                    next = new Piece(m, done, done + step, !m.start().equals(at.id()));
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

    /** Depth of the region nearest to {@code side}: the smallest of linear functions of s, one per other side. */
    private static double[][] twoWay(List<Side> sides, Side side) {
        List<double[]> lines = new ArrayList<>();
        for (Side o : sides) {
            if (o == side) {
                continue;
            }
            // distance to o at (s, y): d0 + ds s + dn y
            double d0 = (side.x() - o.x()) * o.nx() + (side.y() - o.y()) * o.ny();
            double ds = side.ux() * o.nx() + side.uy() * o.ny();
            double dn = side.nx() * o.nx() + side.ny() * o.ny();
            double divisor = o.beams().isEmpty() ? -dn : 1 - dn;
            if (divisor > 1e-9) {
                lines.add(new double[] {d0 / divisor, ds / divisor});
            }
        }
        return lowerEnvelope(lines, side.length());
    }

    /** Points (s, depth) of the lower envelope of lines a + b s over [0, length]. */
    private static double[][] lowerEnvelope(List<double[]> lines, double length) {
        List<Double> at = new ArrayList<>(List.of(0.0, length));
        for (int i = 0; i < lines.size(); i++) {
            for (int j = i + 1; j < lines.size(); j++) {
                double db = lines.get(i)[1] - lines.get(j)[1];
                if (Math.abs(db) > 1e-12) {
                    double s = (lines.get(j)[0] - lines.get(i)[0]) / db;
                    if (s > 0 && s < length) {
                        at.add(s);
                    }
                }
            }
        }
        return at.stream().sorted().map(s -> {
            double depth = lines.stream().mapToDouble(l -> l[0] + l[1] * s).min().orElse(0);
            return new double[] {s, Math.max(0, depth)};
        }).toArray(double[][]::new);
    }

    /** Half the chord along the span direction, per length of the side. */
    private double[][] oneWay(SlabPanel panel, List<Side> sides, Side side) {
        double dx = Math.cos(panel.spanAngle());
        double dy = Math.sin(panel.spanAngle());
        double sine = Math.abs(side.ux() * dy - side.uy() * dx);
        if (sine < 1e-6) {
            return new double[][] {{0, 0}, {side.length(), 0}};
        }
        List<Double> at = new ArrayList<>(List.of(0.0, side.length()));
        for (Side o : sides) {
            double s = parameter(side, o.x(), o.y(), dx, dy);
            if (s > 0 && s < side.length()) {
                at.add(s);
            }
        }
        return at.stream().sorted().map(s -> new double[] {s, chord(sides, side, s, dx, dy) * sine / 2})
            .toArray(double[][]::new);
    }

    /** Where the strip through (x, y) along (dx, dy) meets the line of {@code side}. */
    private static double parameter(Side side, double x, double y, double dx, double dy) {
        double det = side.ux() * dy - side.uy() * dx;
        return ((x - side.x()) * dy - (y - side.y()) * dx) / det;
    }

    private static double chord(List<Side> sides, Side side, double s, double dx, double dy) {
        double x = side.x() + s * side.ux();
        double y = side.y() + s * side.uy();
        double inward = dx * side.nx() + dy * side.ny() > 0 ? 1 : -1;
        double reach = Double.POSITIVE_INFINITY;
        for (Side o : sides) {
            double speed = inward * (dx * o.nx() + dy * o.ny());
            if (o != side && speed < -1e-9) {
                double distance = (x - o.x()) * o.nx() + (y - o.y()) * o.ny();
                reach = Math.min(reach, Math.max(0, distance) / -speed);
            }
        }
        return reach;
    }

    private static void distribute(Side side, double[][] profile, List<Share> out) {
        for (Piece p : side.beams()) {
            double[] cuts = Arrays.stream(profile).mapToDouble(q -> q[0]).filter(s -> s > p.s1() && s < p.s2()).toArray();
            double from = p.s1();
            for (int i = 0; i <= cuts.length; i++) {
                double to = i < cuts.length ? cuts[i] : p.s2();
                add(p, profile, from, to, out);
                from = to;
            }
        }
    }

    private static void add(Piece p, double[][] profile, double from, double to, List<Share> out) {
        double w1 = valueAt(profile, from);
        double w2 = valueAt(profile, to);
        if (to - from <= 1e-9 || w1 <= 0 && w2 <= 0) {
            return;
        }
        out.add(p.reversed() ? new Share(p.member(), p.s2() - to, p.s2() - from, w2, w1)
            : new Share(p.member(), from - p.s1(), to - p.s1(), w1, w2));
    }

    private static double valueAt(double[][] profile, double s) {
        for (int i = 1; i < profile.length; i++) {
            if (s <= profile[i][0] || i == profile.length - 1) {
                double[] a = profile[i - 1];
                double[] b = profile[i];
                double t = b[0] > a[0] ? Math.max(0, Math.min(1, (s - a[0]) / (b[0] - a[0]))) : 0;
                return a[1] + t * (b[1] - a[1]);
            }
        }
        throw new IllegalStateException("Impossible: a profile has two points at least");
    }

    /** Shares of every panel, by panel id in the order of the file. */
    Map<String, List<Share>> all() {
        Map<String, List<Share>> out = new LinkedHashMap<>();
        index.building().panels().forEach(p -> out.put(p.id(), shares(p)));
        return out;
    }
}
