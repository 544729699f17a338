package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.GridLine;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Storey;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;
import kolonne.core.work.Progress;

/**
 * Plans of the storeys that say which detail stands for which beam and column: marks of the schedules, on the grid. Storeys that look alike to the last mark are one
 * plan. A mark keeps clear of other marks, and of members where it can; one that finds no room is counted beneath the plan.
 */
final class KeyPlans {
    private static final double TEXT = 1.8;
    /** About the plan, for the grid and its circles [mm]. */
    private static final double EDGE = 16;

    private static final double CIRCLE = 3.5;
    private static final double TITLE = 9;
    private static final int[] SCALES = {50, 75, 100, 125, 150, 200, 250, 300, 400, 500, 750, 1000, 2000, 5000, 10_000};
    /** The smallest scale at which several plans share a sheet. */
    private static final int SMALL = 200;
    /** Along a span, where a mark is tried. */
    private static final double[] ALONG = {0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8};

    private final BuildingDesign design;
    private final BuildingIndex index;
    private final Map<String, String> marks = new HashMap<>();
    private final double[] extent = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
    private final int scale;
    private Drawing.Pen pen;
    private List<double[]> written;
    private List<double[]> bodies;
    private int left;

    private KeyPlans(BuildingDesign design, Paper paper) {
        this.design = design;
        this.index = design.analysis().index();
        ScheduleGroups.beams(design)
                .forEach(g -> g.designs().forEach(b -> marks.put(b.line().id(), g.mark())));
        ScheduleGroups.columns(design)
                .forEach(g -> g.designs().forEach(c -> marks.put(c.stack().id(), g.mark())));
        for (Joint j : index.building().joints()) {
            extent[0] = Math.min(extent[0], j.x());
            extent[1] = Math.min(extent[1], j.y());
            extent[2] = Math.max(extent[2], j.x());
            extent[3] = Math.max(extent[3], j.y());
        }
        int half = fitting(paper.room() / 2 - 6, paper.up() / 2 - 6);
        scale = half <= SMALL ? half : fitting(paper.room(), paper.up());
    }

    private int fitting(double wide, double high) {
        for (int s : SCALES) {
            if ((extent[2] - extent[0]) / s + 2 * EDGE <= wide
                    && (extent[3] - extent[1]) / s + 2 * EDGE + TITLE <= high) {
                return s;
            }
        }
        return SCALES[SCALES.length - 1];
    }

    /** Plans by their titles, from the lowest storey up. */
    static Map<String, Drawing> of(BuildingDesign d, Paper paper, Progress progress) {
        return new KeyPlans(d, paper).all(progress);
    }

    private Map<String, Drawing> all(Progress progress) {
        Map<Drawing, List<String>> alike = new LinkedHashMap<>();
        List<Storey> upwards = index.building().storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .toList();
        for (Storey s : upwards) {
            progress.at("drawing plans", 0, 0);
            if (holds(s.name())) {
                alike.computeIfAbsent(plan(s.name()), k -> new ArrayList<>()).add(s.name());
            }
        }
        Map<String, Drawing> out = new LinkedHashMap<>();
        alike.forEach((plan, storeys) -> {
            String title = "Plan " + String.join(", ", storeys);
            Drawing.Pen head = new Drawing.Pen();
            head.text(0, -4, 3.5, Drawing.Align.LEFT, true, title);
            head.text(
                    Drawing.Label.width(title, 3.5) + 4,
                    -4,
                    2,
                    Drawing.Align.LEFT,
                    "1 : " + scale + " · marks of the schedules");
            out.put(title, head.drawing().and(plan));
        });
        return out;
    }

    private double x(double mm) {
        return EDGE + (mm - extent[0]) / scale;
    }

    private double y(double mm) {
        return -TITLE - EDGE - (extent[3] - mm) / scale;
    }

    private boolean holds(String storey) {
        return design.beams().stream().anyMatch(b -> b.line().storey().equals(storey))
                || design.columns().stream()
                        .flatMap(c -> c.stack().lifts().stream())
                        .anyMatch(l -> l.storey().equals(storey));
    }

    /** A storey's beams, and the columns beneath them. */
    private Drawing plan(String storey) {
        pen = new Drawing.Pen();
        written = new ArrayList<>();
        bodies = new ArrayList<>();
        left = 0;
        List<BeamDesign> beams = design.beams().stream()
                .filter(b -> b.line().storey().equals(storey))
                .toList();
        Map<ColumnStack.Lift, String> lifts = new LinkedHashMap<>();
        for (ColumnDesign c : design.columns()) {
            c.stack().lifts().stream()
                    .filter(l -> l.storey().equals(storey))
                    .forEach(l -> lifts.put(l, marks.get(c.stack().id())));
        }
        grid();
        beams.forEach(b -> b.line().spans().forEach(s -> span(b.line(), s)));
        lifts.keySet().forEach(this::column);
        lifts.forEach((l, mark) -> name(l, mark));
        beams.forEach(b -> name(b.line(), marks.get(b.line().id())));
        if (left > 0) {
            pen.text(
                    0,
                    y(extent[1]) - EDGE - 3,
                    TEXT,
                    Drawing.Align.LEFT,
                    left + (left == 1 ? " member has" : " members have") + " no room for a mark at this scale.");
        }
        return pen.drawing();
    }

    private void grid() {
        for (GridLine g : index.building().gridLines()) {
            double length = Math.hypot(g.x2() - g.x1(), g.y2() - g.y1());
            if (length <= 0) {
                continue;
            }
            double dx = (g.x2() - g.x1()) / length;
            double dy = (g.y2() - g.y1()) / length;
            // from edge to edge of the plan, the circle at its left or lower end
            double[] ends = clipped(g, dx, dy);
            if (ends == null) {
                continue;
            }
            double ax = x(g.x1() + ends[0] * dx) - 6 * dx;
            double ay = y(g.y1() + ends[0] * dy) - 6 * dy;
            pen.line(Layer.GRID, ax, ay, x(g.x1() + ends[1] * dx) + 4 * dx, y(g.y1() + ends[1] * dy) + 4 * dy);
            double cx = ax - CIRCLE * dx;
            double cy = ay - CIRCLE * dy;
            double height = Math.min(2.5, 1.7 * CIRCLE / Math.max(1, g.id().length()));
            double half = Drawing.Label.width(g.id(), height) / 2;
            double[] box = {cx - half, cy - height / 2, cx + half, cy + height / 2};
            if (written.stream().noneMatch(w -> meet(w, box))) {
                pen.disc(Layer.GRID, cx, cy, CIRCLE, false);
                pen.text(cx, cy - height / 2, height, Drawing.Align.MIDDLE, g.id());
                written.add(new double[] {cx - CIRCLE, cy - CIRCLE, cx + CIRCLE, cy + CIRCLE});
            }
        }
    }

    /** Where a grid line enters and leaves the plan, along it from its beginning; null where it passes by. */
    private double[] clipped(GridLine g, double dx, double dy) {
        double from = -Double.MAX_VALUE;
        double to = Double.MAX_VALUE;
        double[] at = {g.x1(), g.y1()};
        double[] way = {dx, dy};
        for (int k = 0; k < 2; k++) {
            if (Math.abs(way[k]) < 1e-9) {
                if (at[k] < extent[k] - 1 || at[k] > extent[k + 2] + 1) {
                    return null;
                }
                continue;
            }
            double a = (extent[k] - at[k]) / way[k];
            double b = (extent[k + 2] - at[k]) / way[k];
            from = Math.max(from, Math.min(a, b));
            to = Math.min(to, Math.max(a, b));
        }
        // the lower or left end first
        boolean backwards = Math.abs(dx) > Math.abs(dy) ? dx < 0 : dy < 0;
        return from > to ? null : backwards ? new double[] {to, from} : new double[] {from, to};
    }

    private double[] ends(BeamLine line, BeamLine.Span s) {
        Joint a = index.joint(line.supports().get(s.number()).joint());
        Joint b = index.joint(line.supports().get(s.number() + 1).joint());
        double f = (s.faceFrom() - s.from()) / (s.to() - s.from());
        double g = (s.faceTo() - s.from()) / (s.to() - s.from());
        return new double[] {
            x(a.x() + f * (b.x() - a.x())), y(a.y() + f * (b.y() - a.y())),
            x(a.x() + g * (b.x() - a.x())), y(a.y() + g * (b.y() - a.y()))
        };
    }

    private void span(BeamLine line, BeamLine.Span s) {
        double[] e = ends(line, s);
        double length = Math.hypot(e[2] - e[0], e[3] - e[1]);
        if (length < 0.01) {
            return; // it stands upright
        }
        double half = s.shape().webWidth() / scale / 2;
        double nx = -(e[3] - e[1]) / length * half;
        double ny = (e[2] - e[0]) / length * half;
        pen.line(Layer.CONCRETE, e[0] + nx, e[1] + ny, e[2] + nx, e[3] + ny);
        pen.line(Layer.CONCRETE, e[0] - nx, e[1] - ny, e[2] - nx, e[3] - ny);
        bodies.add(new double[] {
            Math.min(e[0], e[2]) - Math.abs(nx),
            Math.min(e[1], e[3]) - Math.abs(ny),
            Math.max(e[0], e[2]) + Math.abs(nx),
            Math.max(e[1], e[3]) + Math.abs(ny)
        });
    }

    private void column(ColumnStack.Lift l) {
        Member m = index.member(l.member());
        Joint top = index.upper(m);
        Shape s = l.section().shape();
        double px = x(top.x());
        double py = y(top.y());
        double r;
        if (s instanceof Shape.Circle c) {
            r = c.d() / 2 / scale;
            pen.disc(Layer.CONCRETE, px, py, r, false);
        } else {
            // wherever it was drawn from
            double[][] axes = LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
            List<double[]> corners = Outline.centred(s).rings().get(0).corners().stream()
                    .map(c -> new double[] {
                        px + (c.x() * axes[1][0] + c.y() * axes[2][0]) / scale,
                        py + (c.x() * axes[1][1] + c.y() * axes[2][1]) / scale
                    })
                    .toList();
            for (int i = 0; i < corners.size(); i++) {
                double[] a = corners.get(i);
                double[] b = corners.get((i + 1) % corners.size());
                pen.line(Layer.CONCRETE, a[0], a[1], b[0], b[1]);
            }
            if (s instanceof Shape.Rectangle) {
                pen.line(Layer.HIDDEN, corners.get(0)[0], corners.get(0)[1], corners.get(2)[0], corners.get(2)[1]);
            }
            r = Math.max(s.width(), s.depth()) / 2 / scale;
        }
        bodies.add(new double[] {px - r, py - r, px + r, py + r});
    }

    private void name(ColumnStack.Lift l, String mark) {
        Joint top = index.upper(index.member(l.member()));
        Shape s = l.section().shape();
        double r = Math.max(s.width(), s.depth()) / 2 / scale + 0.8;
        double wide = Drawing.Label.width(mark, TEXT);
        List<double[]> places = new ArrayList<>();
        for (double up : new double[] {1, -1}) {
            for (double aside : new double[] {1, -1}) {
                places.add(
                        new double[] {x(top.x()) + (aside > 0 ? r : -r - wide), y(top.y()) + (up > 0 ? r : -r - TEXT)});
            }
        }
        put(mark, places);
    }

    /** Beside one of its spans, the longest first. */
    private void name(BeamLine line, String mark) {
        double wide = Drawing.Label.width(mark, TEXT);
        List<double[]> places = new ArrayList<>();
        List<BeamLine.Span> longest = line.spans().stream()
                .sorted(Comparator.comparingDouble(BeamLine.Span::clear).reversed())
                .toList();
        for (double f : ALONG) {
            for (BeamLine.Span s : longest) {
                double[] e = ends(line, s);
                double px = e[0] + f * (e[2] - e[0]);
                double py = e[1] + f * (e[3] - e[1]);
                double off = s.shape().webWidth() / 2 / scale + 0.8;
                if (Math.abs(e[2] - e[0]) >= Math.abs(e[3] - e[1])) {
                    places.add(new double[] {px - wide / 2, py + off});
                    places.add(new double[] {px - wide / 2, py - off - TEXT});
                } else {
                    places.add(new double[] {px + off, py - TEXT / 2});
                    places.add(new double[] {px - off - wide, py - TEXT / 2});
                }
            }
        }
        put(mark, places);
    }

    /** Where it meets nothing; else where it meets no other mark; else it is left out and counted. */
    private void put(String mark, List<double[]> places) {
        double wide = Drawing.Label.width(mark, TEXT);
        for (boolean clear : new boolean[] {true, false}) {
            for (double[] p : places) {
                double[] box = {p[0] - 0.3, p[1] - 0.5, p[0] + wide + 0.3, p[1] + TEXT + 0.4};
                if (written.stream().noneMatch(w -> meet(w, box))
                        && (!clear || bodies.stream().noneMatch(b -> meet(b, box)))) {
                    pen.text(p[0], p[1], TEXT, Drawing.Align.LEFT, mark);
                    written.add(box);
                    return;
                }
            }
        }
        left++;
    }

    private static boolean meet(double[] a, double[] b) {
        return a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];
    }
}
