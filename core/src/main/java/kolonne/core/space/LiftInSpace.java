package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kolonne.core.analysis.LocalAxes;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnLaps;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.ColumnBars;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.schedule.LikeBars;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/** A lift of a column as it is built: concrete from joint to joint, up to the top of the beams where nothing stands on it, and every bar of the list. */
public final class LiftInSpace {
    /** A bar is set aside for the lap over a length so many times as long. */
    private static final double SLOPE = 6;

    private final ColumnStack.Lift lift;
    private final ColumnCage.LiftCage cage;
    private final Basis basis;
    private final BentBars bent;
    private final Frame frame;
    private final List<BarItem> list;
    private final List<SpaceBar> bars = new ArrayList<>();

    private LiftInSpace(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis, BuildingIndex index, List<BarItem> list) {
        this.lift = lift;
        this.cage = cage;
        this.basis = basis;
        this.bent = new BentBars(basis.entry().bends());
        this.list = list;
        Member m = index.member(lift.member());
        boolean upwards = index.lower(m).id().equals(m.start());
        this.frame = Frame.of(
                Point3.of(index.lower(m)),
                LocalAxes.of(index.lower(m), index.upper(m), upwards ? m.angle() : -m.angle()));
    }

    /** @param list the bars of its stack's schedule, in the order of their marks, each with the lift that it is in */
    public static Placed of(
            ColumnStack.Lift lift, ColumnCage.LiftCage cage, Basis basis, BuildingIndex index, List<BarItem> list) {
        LiftInSpace s = new LiftInSpace(lift, cage, basis, index, list);
        if (lift.inScope()) {
            s.allBars();
        }
        Member m = index.member(lift.member());
        double length = index.length(m) + (lift.highest() ? lift.inHead() : 0);
        Body body = new Body(m, lift.section(), lift.material(), Point3.ORIGIN, 0, length);
        return new Placed(s.frame, List.of(body), s.bars);
    }

    private void allBars() {
        List<BarItem> items = ColumnBars.of(lift, cage, basis);
        Shape shape = lift.section().shape();
        BarLayout layout = cage.layout();
        List<PlacedBar> placed = cage.bars(shape, basis.columnCover());
        for (PlacedBar p : placed) {
            Bar bar = layout.at(p);
            vertical(
                    find(items, i -> i.shape().equals("00") && i.bar().equals(bar)),
                    p,
                    ColumnLaps.run(lift, bar, basis));
        }
        for (double at : TiePlaces.of(lift, cage.ties())) {
            ties(items, at, shape);
        }
    }

    private static BarItem find(List<BarItem> items, java.util.function.Predicate<BarItem> which) {
        return items.stream().filter(which).findFirst().orElseThrow();
    }

    /** Straight to the upper joint, but set aside before it by the bar's diameter towards the middle, for the lap with the next lift. */
    private void vertical(BarItem item, PlacedBar p, double run) {
        double height = lift.top() - lift.base();
        List<Point3> way = new ArrayList<>(List.of(new Point3(0, p.x(), p.y())));
        if (run > height && !lift.highest()) {
            double d = item.bar().diameter();
            double out = Math.hypot(p.x(), p.y());
            double f = out < d ? 1 : 1 - d / out;
            way.add(new Point3(height - SLOPE * d, p.x(), p.y()));
            way.add(new Point3(height, f * p.x(), f * p.y()));
            way.add(new Point3(run, f * p.x(), f * p.y()));
        } else {
            way.add(new Point3(run, p.x(), p.y()));
        }
        Point3 at = way.get(0);
        CentreLine shape = CentreLine.through(way.stream().map(q -> q.minus(at)).toList(), 0);
        add(item, SpaceBar.Use.MAIN, shape, at);
    }

    private void ties(List<BarItem> items, double at, Shape shape) {
        BarItem outer = find(items, i -> i.shape().equals("51") || i.shape().equals("75"));
        add(outer, SpaceBar.Use.TIE, bent.across(outer), new Point3(at, 0, 0));
        if (!(cage.layout() instanceof RectangleBars r)) {
            return;
        }
        double inside = basis.columnCover() + cage.tie().diameter() + r.corner().diameter() / 2;
        double beside = (r.face().diameter() + cage.tie().diameter()) / 2;
        // beside the closed tie
        double level = at + 1.5 * cage.tie().diameter();
        for (int i = 1; i + 1 < r.heldX().size(); i++) {
            if (r.heldX().get(i)) {
                double x = place(shape.width() / 2 - inside, i, r.alongX());
                leg(items, shape.depth(), new Point3(level, x + beside, 0), false);
            }
        }
        for (int j = 1; j + 1 < r.heldY().size(); j++) {
            if (r.heldY().get(j)) {
                double y = place(shape.depth() / 2 - inside, j, r.alongY());
                leg(items, shape.width(), new Point3(level + cage.tie().diameter(), 0, y - beside), true);
            }
        }
    }

    private static double place(double corner, int number, int of) {
        return -corner + 2 * corner * number / (of - 1);
    }

    /** @param lying whether it runs along the width instead of the depth */
    private void leg(List<BarItem> items, double size, Point3 at, boolean lying) {
        long outside = Math.round(size - 2 * basis.columnCover());
        BarItem item = find(items, i -> i.shape().equals("99") && i.dims().get(0) == outside);
        CentreLine upright = bent.across(item);
        add(item, SpaceBar.Use.TIE, lying ? turned(upright) : upright, at);
    }

    /** By a right angle, so that what ran along z runs along y. */
    private static CentreLine turned(CentreLine c) {
        return new CentreLine(
                c.points().stream().map(p -> new Point3(p.x(), p.z(), -p.y())).toList(), c.arcs());
    }

    private void add(BarItem item, SpaceBar.Use use, CentreLine shape, Point3 at) {
        String to = ", to " + (lift.storey().isEmpty() ? "top" : lift.storey());
        String mark = String.format(Locale.ROOT, "%02d", LikeBars.place(list, item, to) + 1);
        bars.add(new SpaceBar(item, mark, use, shape, at));
    }
}
