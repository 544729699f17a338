package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.Bends;
import kolonne.core.column.cage.Spiral;
import kolonne.core.detail.BarItem;

/** Bars of the list bent to their shapes: what the list says, drawn out. Stirrups and ties lie about the middle of what they enclose. */
final class BentBars {
    /** Angle of a stirrup's hook [rad]. */
    private static final double HOOK = 3 * Math.PI / 4;

    private final Bends bends;

    BentBars(Bends bends) {
        this.bends = bends;
    }

    /** Closed stirrup, hoop or single leg; a leg stands upright, its hooks towards negative y. */
    CentreLine across(BarItem item) {
        return switch (item.shape()) {
            case "51" -> closed(item);
            case "75" -> hoop(item);
            case "99" -> leg(item);
            default -> throw new IllegalArgumentException("shape " + item.shape() + " does not lie across a member");
        };
    }

    private double radius(BarItem item) {
        return bends.stirrupRadius(item.bar()) + item.bar().diameter() / 2;
    }

    /** From the upper left corner round it and back. */
    private CentreLine closed(BarItem item) {
        double d = item.bar().diameter();
        double a = item.dims().get(0) - d;
        double b = item.dims().get(1) - d;
        double r = radius(item);
        double tail = bends.stirrupTail(item.bar());
        Bender bender = new Bender(Math.toRadians(135)).forward(tail).turn(HOOK, r);
        double[] begin = bender.here();
        double quarter = Math.PI / 2;
        bender.forward(b - 2 * r).turn(quarter, r).forward(a - 2 * r).turn(quarter, r);
        bender.forward(b - 2 * r)
                .turn(quarter, r)
                .forward(a - 2 * r)
                .turn(HOOK, r)
                .forward(tail);
        return bender.bar(-a / 2 - begin[0], b / 2 - r - begin[1], d);
    }

    private CentreLine leg(BarItem item) {
        double d = item.bar().diameter();
        double r = radius(item);
        double straight = item.dims().get(0) - d - 2 * r;
        double tail = bends.stirrupTail(item.bar());
        Bender bender = new Bender(Math.toRadians(-45)).forward(tail).turn(HOOK, r);
        double[] begin = bender.here();
        bender.forward(straight).turn(HOOK, r).forward(tail);
        return bender.bar(-begin[0], -straight / 2 - begin[1], 0);
    }

    private CentreLine hoop(BarItem item) {
        double d = item.bar().diameter();
        double r = (item.dims().get(0) - d) / 2;
        double angle = 2 * Math.PI + item.dims().get(1) / r;
        // a circle that begins at its lowest point, towards y
        return new Bender(0).turn(angle, r).bar(0, -r, d);
    }

    /** Upwards round the middle, four arcs a turn; its height is that of the spiral. */
    CentreLine spiral(BarItem item, Spiral s) {
        double r = (item.dims().get(0) - item.bar().diameter()) / 2;
        List<Point3> points = new ArrayList<>();
        List<Boolean> arcs = new ArrayList<>();
        for (int i = 0; i <= 8 * s.turns(); i++) {
            double angle = i * Math.PI / 4;
            points.add(new Point3(s.height(i / 8.0), r * Math.sin(angle), -r * Math.cos(angle)));
            if (i % 2 == 1) {
                arcs.add(true);
            }
        }
        return new CentreLine(points, arcs);
    }

    /**
     * Bar along the member, bent up or down or aside at its ends.
     *
     * @param run      its middle from one outer edge to the other
     * @param hookFrom whether it is bent at the first of them; {@code hookTo} at the last
     * @param towards  unit vector in which the hooks point
     */
    CentreLine along(BarItem item, List<Point3> run, boolean hookFrom, boolean hookTo, Point3 towards) {
        double half = item.bar().diameter() / 2;
        List<Point3> corners = new ArrayList<>(run);
        if (hookFrom) {
            Point3 corner = run.get(0).plus(new Point3(half, 0, 0));
            corners.set(0, corner);
            corners.add(0, corner.plus(towards.times(item.dims().get(0) - half)));
        }
        if (hookTo) {
            Point3 corner = run.get(run.size() - 1).minus(new Point3(half, 0, 0));
            corners.set(corners.size() - 1, corner);
            double hook =
                    item.shape().equals("21") ? item.dims().get(2) : item.dims().get(0);
            corners.add(corner.plus(towards.times(hook - half)));
        }
        return CentreLine.through(corners, bends.barRadius(item.bar()) + half);
    }
}
