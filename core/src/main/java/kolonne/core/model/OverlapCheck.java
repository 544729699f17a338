package kolonne.core.model;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;

/**
 * What would be counted twice: slab panels over one another, openings over one another, beams or columns on one line that overlap; and rigid
 * floors that tie two levels into one. All fail: the analysis would be of another building.
 */
final class OverlapCheck {
    /** Overlaps below this part of the smaller area are slips of drawing [-]. */
    private static final double SLIGHT = 1e-3;
    /** Panels farther apart in height are two floors [mm]. */
    private static final double ONE_FLOOR = 500;
    /** Levels farther apart are not one floor, however it slopes [mm]. */
    private static final double ONE_PLATE = 1500;
    /** Side of the squares in which panels are sought [mm]. */
    private static final double CELL = 10_000;
    /** A panel that covers more squares is larger than the model may be. */
    private static final int MOST_CELLS = 10_000;
    /** Panels whose boxes share a square: sixty floors of panels 1 m wide. */
    private static final int MOST_IN_CELL = 6000;

    private final Building b;
    private final BuildingIndex index;
    private final Consumer<Finding> out;

    private OverlapCheck(Building b, Consumer<Finding> out) {
        this.b = b;
        this.index = new BuildingIndex(b);
        this.out = out;
    }

    /** @param b a building whose references are sound */
    static void run(Building b, Consumer<Finding> out) {
        OverlapCheck c = new OverlapCheck(b, out);
        c.panels();
        c.members();
        c.plates();
    }

    // ---- slabs ------------------------------------------------------------------------------------------------------

    /** @param number in the order of the file */
    private record Plan(int number, SlabPanel panel, Area area, Rectangle2D box, double low, double high) {}

    private void panels() {
        Map<Long, List<Plan>> cells = new HashMap<>();
        int number = 0;
        for (SlabPanel p : b.panels()) {
            holes(p);
            Plan plan = plan(number++, p);
            Map<Integer, Plan> near = new TreeMap<>();
            int count = 0;
            for (long x = cell(plan.box().getMinX()); x <= cell(plan.box().getMaxX()) && count < MOST_CELLS; x++) {
                for (long y = cell(plan.box().getMinY());
                        y <= cell(plan.box().getMaxY()) && count < MOST_CELLS;
                        y++, count++) {
                    List<Plan> here = cells.computeIfAbsent(x * 1_000_003L + y, k -> new ArrayList<>());
                    if (here.size() >= MOST_IN_CELL) {
                        crowded(p);
                        return;
                    }
                    here.stream().filter(o -> meet(o, plan)).forEach(o -> near.put(o.number(), o));
                    here.add(plan);
                }
            }
            near.values().stream()
                    .filter(o -> over(o, plan))
                    .findFirst()
                    .ifPresent(o -> out.accept(Finding.fails(
                            "panel.overlap",
                            "slab panel " + p.id(),
                            String.format(
                                    Locale.ROOT,
                                    "The panel lies over panel %s on %.2f m2: loads there would count twice.",
                                    o.panel().id(),
                                    common(o.area(), plan.area()) / 1e6),
                            "Delete one of the two, or move their common corners.")));
        }
    }

    private void crowded(SlabPanel p) {
        out.accept(Finding.fails(
                "panel.crowded",
                "slab panel " + p.id(),
                "More than " + MOST_IN_CELL + " slab panels lie within 10 m of it in plan.",
                "Check the units of coordinates, or make larger panels."));
    }

    private static long cell(double v) {
        return (long) Math.floor(v / CELL);
    }

    private Plan plan(int number, SlabPanel p) {
        Path2D path = new Path2D.Double();
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < p.joints().size(); i++) {
            Joint j = index.joint(p.joints().get(i));
            if (i == 0) {
                path.moveTo(j.x(), j.y());
            } else {
                path.lineTo(j.x(), j.y());
            }
            low = Math.min(low, j.z());
            high = Math.max(high, j.z());
        }
        path.closePath();
        return new Plan(number, p, new Area(path), path.getBounds2D(), low, high);
    }

    /** Whether their boxes do: few of those in a square. */
    private static boolean meet(Plan p, Plan q) {
        return p.low() < q.high() + ONE_FLOOR
                && q.low() < p.high() + ONE_FLOOR
                && p.box().intersects(q.box());
    }

    private static boolean over(Plan p, Plan q) {
        return common(p.area(), q.area()) > SLIGHT * Math.min(size(p.area()), size(q.area()));
    }

    private void holes(SlabPanel p) {
        List<Area> before = new ArrayList<>();
        for (List<Point> h : p.holes()) {
            Path2D path = new Path2D.Double();
            path.moveTo(h.get(0).x(), h.get(0).y());
            h.forEach(q -> path.lineTo(q.x(), q.y()));
            path.closePath();
            Area area = new Area(path);
            if (before.stream().anyMatch(o -> common(o, area) > SLIGHT * Math.min(size(o), size(area)))) {
                out.accept(Finding.fails(
                        "panel.hole-overlap",
                        "slab panel " + p.id(),
                        "Two openings lie over one another: the slab there would be taken off twice.",
                        "Draw them as one opening."));
                return;
            }
            before.add(area);
        }
    }

    private static double common(Area p, Area q) {
        Area both = new Area(p);
        both.intersect(q);
        return size(both);
    }

    /** Area of what has straight sides; pieces that turn the other way are taken off [mm2]. */
    private static double size(Area a) {
        double twice = 0;
        double[] v = new double[6];
        double x0 = 0;
        double y0 = 0;
        double x = 0;
        double y = 0;
        for (PathIterator i = a.getPathIterator(null); !i.isDone(); i.next()) {
            int kind = i.currentSegment(v);
            double nx = kind == PathIterator.SEG_CLOSE ? x0 : v[0];
            double ny = kind == PathIterator.SEG_CLOSE ? y0 : v[1];
            if (kind == PathIterator.SEG_MOVETO) {
                x0 = nx;
                y0 = ny;
            } else {
                twice += x * ny - nx * y;
            }
            x = nx;
            y = ny;
        }
        return Math.abs(twice) / 2;
    }

    // ---- members ----------------------------------------------------------------------------------------------------

    /** Two members from one joint in one direction overlap, since each runs to its own other end. */
    private void members() {
        Set<String> told = new HashSet<>();
        for (Joint j : b.joints()) {
            List<Member> here = index.membersAt(j.id());
            for (int p = 0; p < here.size(); p++) {
                for (int q = p + 1; q < here.size(); q++) {
                    String other = index.otherEnd(here.get(p), j.id());
                    boolean same = other.equals(index.otherEnd(here.get(q), j.id()));
                    if (!same && onOneLine(j, index.joint(other), index.joint(index.otherEnd(here.get(q), j.id())))) {
                        overlap(here.get(p), here.get(q), told);
                    }
                }
            }
        }
    }

    /** Whether two directions from a joint are one, within a thousandth. */
    private static boolean onOneLine(Joint at, Joint p, Joint q) {
        double cosine = ((p.x() - at.x()) * (q.x() - at.x())
                        + (p.y() - at.y()) * (q.y() - at.y())
                        + (p.z() - at.z()) * (q.z() - at.z()))
                / (at.distanceTo(p) * at.distanceTo(q));
        return cosine > 1 - 0.5e-6;
    }

    private void overlap(Member p, Member q, Set<String> told) {
        Member longer = index.length(p) > index.length(q) ? p : q;
        Member shorter = longer == p ? q : p;
        if (told.add(longer.id())) {
            out.accept(Finding.fails(
                    "member.overlap",
                    "member " + longer.id(),
                    "The member runs along member " + shorter.id()
                            + " on the same line: their stiffness and weight would count twice.",
                    "Let it begin where the other ends, or delete one of the two."));
        }
    }

    // ---- floors -----------------------------------------------------------------------------------------------------

    private void plates() {
        for (Diaphragm d : b.diaphragms()) {
            double low = d.joints().stream()
                    .mapToDouble(j -> index.joint(j).z())
                    .min()
                    .orElse(0);
            double high = d.joints().stream()
                    .mapToDouble(j -> index.joint(j).z())
                    .max()
                    .orElse(0);
            if (d.rigid() && high - low > ONE_PLATE) {
                out.accept(Finding.fails(
                        "diaphragm.levels",
                        "diaphragm " + d.id(),
                        String.format(
                                Locale.ROOT,
                                "The rigid floor ties joints between %.2f and %.2f m: levels could not move against one another.",
                                low / 1000,
                                high / 1000),
                        "Give each level a diaphragm of its own."));
            }
        }
    }
}
