package kolonne.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.Spiral;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.ColumnBars;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/** A lift of a column as it is built: concrete from joint to joint, up to the top of the beams where nothing stands on it, and every bar of the list. */
public final class LiftInSpace {
    private final ColumnStack stack;
    private final ColumnCage whole;
    private final ColumnStack.Lift lift;
    private final Shape shape;
    private final ColumnCage.LiftCage cage;
    private final Basis basis;
    private final BentBars bent;
    private final Frame frame;
    private final Function<BarItem, String> marks;
    private final List<SpaceBar> bars = new ArrayList<>();

    private LiftInSpace(
            ColumnStack stack,
            int number,
            ColumnCage whole,
            Basis basis,
            BuildingIndex index,
            Function<BarItem, String> marks) {
        this.stack = stack;
        this.whole = whole;
        this.lift = stack.lifts().get(number);
        this.shape = lift.section().shape();
        this.cage = whole.lifts().get(number);
        this.basis = basis;
        this.bent = new BentBars(basis.entry().bends());
        this.marks = marks;
        Member m = index.member(lift.member());
        boolean upwards = index.lower(m).id().equals(m.start());
        this.frame = Frame.of(
                Point3.of(index.lower(m)),
                LocalAxes.of(index.lower(m), index.upper(m), upwards ? m.angle() : -m.angle()));
    }

    /** @param marks of its bars in the schedule */
    public static Placed of(
            ColumnStack stack,
            int number,
            ColumnCage whole,
            Basis basis,
            BuildingIndex index,
            Function<BarItem, String> marks) {
        LiftInSpace s = new LiftInSpace(stack, number, whole, basis, index, marks);
        ColumnStack.Lift lift = s.lift;
        s.allBars();
        Member m = index.member(lift.member());
        double length = index.length(m) + (lift.highest() ? lift.inHead() : 0);
        Body body = new Body(m, lift.section(), lift.material(), Point3.ORIGIN, 0, length);
        return new Placed(s.frame, List.of(body), s.bars);
    }

    private void allBars() {
        List<BarItem> items = ColumnBars.of(stack, lift.number(), whole, basis);
        VerticalBars.of(stack, lift.number(), whole, basis).forEach(this::vertical);
        for (double at : TiePlaces.of(lift, cage)) {
            ties(items, at);
        }
        if (cage.wound()) {
            BarItem item = find(items, i -> i.what().equals(ColumnBars.SPIRAL));
            Spiral spiral = Spiral.of(lift, cage, basis.beamCover());
            add(item, SpaceBar.Use.TIE, bent.spiral(item, spiral), Point3.ORIGIN);
        }
    }

    private static BarItem find(List<BarItem> items, java.util.function.Predicate<BarItem> which) {
        return items.stream().filter(which).findFirst().orElseThrow();
    }

    /** A bar as it stands, its hooks along the longer side: at the head towards the other face, those of one face beneath those of the other, at the foot away. */
    private void vertical(VerticalBars.Standing v) {
        BarItem item = ColumnBars.item(v, cage, basis);
        boolean alongX = alongX(v);
        double away = away(v, alongX);
        Point3 at = new Point3(v.from(), v.x(), v.y());
        List<Point3> way = new ArrayList<>(List.of(Point3.ORIGIN));
        if (v.crank() != null) {
            double x = v.crank().dx();
            double y = v.crank().dy();
            way.add(new Point3(v.crank().from() - v.from(), 0, 0));
            way.add(new Point3(v.crank().to() - v.from(), x, y));
            way.add(new Point3(v.to() - v.from(), x, y));
        } else {
            way.add(new Point3(v.to() - v.from(), 0, 0));
        }
        double sense = v.hookHead() ? -away : away;
        Point3 towards = alongX ? new Point3(0, sense, 0) : new Point3(0, 0, sense);
        add(item, SpaceBar.Use.MAIN, bent.along(item, way, v.hookFoot(), v.hookHead(), towards), at);
    }

    /** Whether hooks of a bar lie along the width: along the longer side, in an ell or a tee along its leg. */
    private boolean alongX(VerticalBars.Standing v) {
        if (shape instanceof Shape.Flanged f) {
            Legs legs = Legs.of(f);
            return legs.inFlange(v.y()) && !(legs.inWeb(v.x()) && f.h() > f.bf());
        }
        return shape.width() >= shape.depth();
    }

    /** From the middle of the section, or of the leg, to a bar: 1 or -1. */
    private double away(VerticalBars.Standing v, boolean alongX) {
        double middle = 0;
        if (shape instanceof Shape.Flanged f) {
            Legs l = Legs.of(f);
            middle = alongX ? (l.from() + l.to()) / 2 : (l.free() + l.outer()) / 2;
        }
        double away = Math.signum((alongX ? v.x() : v.y()) - middle);
        return away == 0 ? 1 : away;
    }

    private void ties(List<BarItem> items, double at) {
        if (cage.layout() instanceof LegBars l) {
            ofLegs(items, l, at);
            return;
        }
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

    /** The closed ties of both legs, one on the other where they cross, and the cross-ties above them. */
    private void ofLegs(List<BarItem> items, LegBars bars, double at) {
        Shape.Flanged f = (Shape.Flanged) shape;
        Legs l = Legs.of(f);
        double d = cage.tie().diameter();
        BarItem web = find(items, i -> i.what().equals(ColumnBars.WEB_TIES));
        BarItem flange = find(items, i -> i.what().equals(ColumnBars.FLANGE_TIES));
        add(
                web,
                SpaceBar.Use.TIE,
                bent.across(web),
                new Point3(at, (l.left() + l.right()) / 2, (l.free() + l.outer()) / 2));
        add(
                flange,
                SpaceBar.Use.TIE,
                bent.across(flange),
                new Point3(at + d, (l.from() + l.to()) / 2, (l.inner() + l.outer()) / 2));
        double beside = (bars.largest().diameter() + d) / 2;
        for (LegBars.CrossTie c : bars.crossTies(f, basis.columnCover() + d)) {
            if (c.acrossWeb()) {
                leg(items, f.bw(), new Point3(at + 2 * d, c.x(), c.y() - beside), true);
            } else {
                leg(items, f.hf(), new Point3(at + 3 * d, c.x() + beside, c.y()), false);
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
        String mark = marks.apply(item);
        bars.add(new SpaceBar(item, mark, use, shape, at));
    }
}
