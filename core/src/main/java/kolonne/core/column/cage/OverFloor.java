package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;

/** The bars of a lift as those of the lift below find them over the floor, in the axes of the lift below; and what room is left between them. */
final class OverFloor {
    /** Greatest distance of bars that lap, centre to centre [mm], and as a part of the lap (ACI 318-19 25.5.1.3). */
    static final double BESIDE = 150;

    private static final double BESIDE_PART = 0.2;
    /** Corner bars may be thicker than those of the faces, so that they lie so much further in [mm]. */
    private static final double ABOUT = 15;
    /** How far from a bar it is asked which way its leg lies [mm]. */
    private static final double PROBE = 30;

    private final ColumnStack.Lift lift;
    private final ColumnStack.Lift next;
    private final ColumnCage.LiftCage here;
    private final ColumnCage.LiftCage above;
    private final Basis basis;
    /** Axes of the lift above in those of the lift: its x axis, then its y axis. */
    private final double[] xAbove;

    private final double[] yAbove;
    private final List<Upper> uppers = new ArrayList<>();
    private final List<Taken> taken = new ArrayList<>();

    /** A bar of the lift above. @param ix, iy unit vector from it into its section */
    record Upper(Bar bar, double x, double y, double ix, double iy) {
        double apart(PlacedBar p) {
            return Math.hypot(p.x() - x, p.y() - y);
        }

        /** So far into the section, and along its face [mm]. */
        double[] at(double in, double along) {
            return new double[] {x + in * ix - along * iy, y + in * iy + along * ix};
        }
    }

    /** Where a bar from below stands already. */
    private record Taken(double x, double y, double diameter) {}

    OverFloor(
            ColumnStack.Lift lift,
            ColumnStack.Lift next,
            ColumnCage.LiftCage here,
            ColumnCage.LiftCage above,
            Basis basis) {
        this.lift = lift;
        this.next = next;
        this.here = here;
        this.above = above;
        this.basis = basis;
        ColumnStack.Unbraced x = lift.aboutY();
        ColumnStack.Unbraced y = lift.aboutX();
        ColumnStack.Unbraced turned = next.aboutY();
        boolean known = Math.hypot(x.ux(), x.uy()) * Math.hypot(turned.ux(), turned.uy()) > 0.5;
        this.xAbove = known ? along(x, y, turned) : new double[] {1, 0};
        this.yAbove = known ? along(x, y, next.aboutX()) : new double[] {0, 1};
        List<PlacedBar> placed = above.bars(next.section().shape(), basis.columnCover());
        placed.forEach(p -> uppers.add(upper(p, placed)));
    }

    /** The direction of one axis along two others. */
    private static double[] along(ColumnStack.Unbraced x, ColumnStack.Unbraced y, ColumnStack.Unbraced of) {
        return new double[] {x.ux() * of.ux() + x.uy() * of.uy(), y.ux() * of.ux() + y.uy() * of.uy()};
    }

    private Upper upper(PlacedBar p, List<PlacedBar> all) {
        double[] in = inwards(p, all, next.section().shape());
        return new Upper(
                above.layout().at(p),
                xAbove[0] * p.x() + yAbove[0] * p.y(),
                xAbove[1] * p.x() + yAbove[1] * p.y(),
                xAbove[0] * in[0] + yAbove[0] * in[1],
                xAbove[1] * in[0] + yAbove[1] * in[1]);
    }

    List<Upper> uppers() {
        return uppers;
    }

    /** From a bar square into its face, or from a corner to the middle. */
    static double[] inwards(PlacedBar p, List<PlacedBar> all, Shape shape) {
        if (shape instanceof Shape.Flanged) {
            return intoLeg(p, Outline.centred(shape));
        }
        double r = Math.hypot(p.x(), p.y());
        if (shape instanceof Shape.Circle || r < 1) {
            return new double[] {r < 1 ? 1 : -p.x() / r, r < 1 ? 0 : -p.y() / r};
        }
        double ix = outermost(p.x(), all.stream().mapToDouble(PlacedBar::x)) ? -Math.signum(p.x()) : 0;
        double iy = outermost(p.y(), all.stream().mapToDouble(PlacedBar::y)) ? -Math.signum(p.y()) : 0;
        double size = Math.hypot(ix, iy);
        return size > 0 ? new double[] {ix / size, iy / size} : new double[] {-p.x() / r, -p.y() / r};
    }

    /** Of eight directions the one that leads farthest from the faces. */
    private static double[] intoLeg(PlacedBar p, Outline outline) {
        double[] best = {1, 0};
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < 8; k++) {
            double[] d = {Math.cos(k * Math.PI / 4), Math.sin(k * Math.PI / 4)};
            double x = p.x() + PROBE * d[0];
            double y = p.y() + PROBE * d[1];
            double in = outline.contains(x, y) ? outline.distance(x, y) : -1;
            if (in > most + 1e-6) {
                most = in;
                best = d;
            }
        }
        return best;
    }

    static boolean outermost(double at, DoubleStream all) {
        return Math.abs(at) > all.map(Math::abs).max().orElse(0) - ABOUT;
    }

    private record Pair(int upper, PlacedBar bar, double apart) {}

    /** For every bar of the lift above the nearest here that is as thick, each once, the thickest first; null where there is none within reach. */
    PlacedBar[] partners(List<PlacedBar> bars) {
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < uppers.size(); i++) {
            for (PlacedBar p : bars) {
                boolean thick =
                        here.layout().at(p).diameter() > uppers.get(i).bar.diameter() - 0.1;
                if (thick && uppers.get(i).apart(p) <= BESIDE) {
                    pairs.add(new Pair(i, p, uppers.get(i).apart(p)));
                }
            }
        }
        pairs.sort(
                Comparator.comparingDouble((Pair p) -> -uppers.get(p.upper).bar.diameter())
                        .thenComparingDouble(Pair::apart));
        PlacedBar[] of = new PlacedBar[uppers.size()];
        Set<PlacedBar> used = new HashSet<>();
        for (Pair p : pairs) {
            if (of[p.upper] == null && used.add(p.bar)) {
                of[p.upper] = p.bar;
            }
        }
        return of;
    }

    /** Whether the lift above has another outline: then bars must be in their places already at the top of the floor. */
    boolean step() {
        Shape s = next.section().shape();
        if (!lift.section().shape().equals(s)) {
            return true;
        }
        if (s instanceof Shape.Flanged) {
            return xAbove[0] < 1 - 1e-6 || yAbove[1] < 1 - 1e-6;
        }
        boolean square = Math.abs(s.width() - s.depth()) < 1e-6 && Math.abs(xAbove[0]) < 1e-6;
        return !(s instanceof Shape.Circle) && !square && Math.abs(xAbove[1]) > 1e-6;
    }

    /** By how much the faces across the width of a rectangle lie further out or in than those of the rectangle above it [mm]; 0 for other shapes. */
    double faceOffsetX() {
        return faceOffset(0, lift.section().shape().width());
    }

    double faceOffsetY() {
        return faceOffset(1, lift.section().shape().depth());
    }

    private double faceOffset(int axis, double size) {
        Shape s = next.section().shape();
        return lift.section().shape() instanceof Shape.Rectangle && s instanceof Shape.Rectangle
                ? Math.abs(size - Math.abs(xAbove[axis]) * s.width() - Math.abs(yAbove[axis]) * s.depth()) / 2
                : 0;
    }

    /** Where a bar from below stands while it laps: in its line if it is near and free there, else touching its partner; null where there is no room. */
    double[] beside(PlacedBar p, Bar bar, Upper u) {
        double half = (bar.diameter() + u.bar.diameter()) / 2;
        double lap = ColumnLaps.length(next, bar, u.bar, basis);
        double[] own = {p.x(), p.y()};
        return u.apart(p) <= BESIDE_PART * lap && free(own, bar) ? own : touching(u, bar, half);
    }

    /** Where a dowel stands: touching its partner, within it where there is no room elsewhere. */
    double[] dowel(Upper u) {
        double[] at = touching(u, u.bar, u.bar.diameter());
        at = at == null ? u.at(u.bar.diameter(), 0) : at;
        take(at, u.bar);
        return at;
    }

    /** Within its partner or at either side of it: the first place that keeps clear of all others, as laps are to; else the first that is free. */
    private double[] touching(Upper u, Bar bar, double half) {
        List<double[]> places = List.of(u.at(half, 0), u.at(0, half), u.at(0, -half));
        double[] free = null;
        for (double[] at : places) {
            if (free(at, bar)) {
                if (lapsClear(at, bar, u)) {
                    return at;
                }
                free = free == null ? at : free;
            }
        }
        return free;
    }

    /** Whether a bar that laps keeps the distance that laps have from all but its partner. */
    private boolean lapsClear(double[] at, Bar bar, Upper partner) {
        for (Upper u : uppers) {
            if (u != partner && tooNear(at, bar, u.x, u.y, u.bar.diameter())) {
                return false;
            }
        }
        return taken.stream().noneMatch(t -> tooNear(at, bar, t.x, t.y, t.diameter));
    }

    private boolean tooNear(double[] at, Bar bar, double x, double y, double d) {
        double needs = basis.designCode().detailing().lapClearSpacing(Math.max(bar.diameter(), d), basis.aggregate());
        return Math.hypot(x - at[0], y - at[1]) - (d + bar.diameter()) / 2 < needs - 0.01;
    }

    void take(double[] at, Bar bar) {
        taken.add(new Taken(at[0], at[1], bar.diameter()));
    }

    /** Whether a bar has its place inside the ties, and in no other bar. */
    private boolean free(double[] at, Bar bar) {
        return inside(at, bar) && distance(at, bar) > -0.01;
    }

    /** Whether a bar in its own line stands inside the ties over the floor; thicker ones than below leave less room. */
    boolean inside(PlacedBar p, Bar bar) {
        return inside(new double[] {p.x(), p.y()}, bar);
    }

    /** Whether a bar that goes straight on keeps clear of all others. */
    boolean clear(PlacedBar p, Bar bar) {
        double[] at = {p.x(), p.y()};
        double needs = basis.designCode().detailing().columnClearSpacing(bar.diameter(), basis.aggregate());
        return inside(p, bar) && distance(at, bar) >= needs;
    }

    /** Clear distance to the nearest bar [mm]. */
    private double distance(double[] at, Bar bar) {
        double least = Double.POSITIVE_INFINITY;
        for (Upper u : uppers) {
            least = Math.min(least, Math.hypot(u.x - at[0], u.y - at[1]) - (u.bar.diameter() + bar.diameter()) / 2);
        }
        for (Taken t : taken) {
            least = Math.min(least, Math.hypot(t.x - at[0], t.y - at[1]) - (t.diameter + bar.diameter()) / 2);
        }
        return least;
    }

    private boolean inside(double[] at, Bar bar) {
        Shape s = next.section().shape();
        double x = xAbove[0] * at[0] + xAbove[1] * at[1];
        double y = yAbove[0] * at[0] + yAbove[1] * at[1];
        double in = basis.columnCover() + above.tie().diameter() + bar.diameter() / 2 - 0.1;
        if (s instanceof Shape.Flanged) {
            Outline o = Outline.centred(s);
            return o.contains(x, y) && o.distance(x, y) >= in;
        }
        return s instanceof Shape.Circle
                ? Math.hypot(x, y) <= s.width() / 2 - in
                : Math.abs(x) <= s.width() / 2 - in && Math.abs(y) <= s.depth() / 2 - in;
    }
}
