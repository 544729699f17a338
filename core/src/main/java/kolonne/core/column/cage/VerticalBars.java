package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarLengths;
import kolonne.core.code.Bar;
import kolonne.core.code.Bends;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.Detailing;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.section.PlacedBar;

/**
 * The bars that stand in a lift, from end to end: one layout for checks, bar list, drawings and files. Every bar laps with one of the lift below, which is bent
 * aside to stand within it; where the section steps so far that it may not be bent, dowels stand for it and the bars below end under the top of the floor.
 * Starter bars lap with those of the lowest lift. By the basis bars may pass through several lifts as one piece: what stands in the head of a lift is told from
 * where it begins, below the lift's foot or in it; what is listed and drawn with a lift is what begins in it.
 */
public final class VerticalBars {
    /** Clear distance from which laps are longer by it (EN 1992-1-1 8.7.2(3)) [mm]. */
    private static final double APART = 50;
    /** What a beam's stirrups and bars take at the bottom of it, beside its cover [mm]. */
    private static final double IN_BEAM = 40;
    /** Part of a module that lengths may differ by and be one. */
    private static final double EXACT = 1e-9;

    private final ColumnStack.Lift lift;
    private final ColumnStack.Lift next;
    private final ColumnCage.LiftCage here;
    private final ColumnCage.LiftCage above;
    /** The lift that its bars begin in. */
    private final ColumnStack.Lift first;

    private final Basis basis;
    private final Detailing detailing;
    private final ColumnRules rules;
    /** Of the lift, above its lower joint [mm]. */
    private final double height;
    /** Where its bars begin, and top of the floor over it. */
    private final double start;

    private final double floor;
    /** The lift above; null over the highest. */
    private final OverFloor over;

    private final List<Standing> out = new ArrayList<>();

    /** What a bar is for. */
    public enum Use {
        /** Of the lift, on into the lift above. */
        ON,
        /** Of the lift, on to the bar above that it is coupled with. */
        COUPLED,
        /** Of the lift, ending at its head. */
        ENDS,
        DOWEL,
        STARTER
    }

    /**
     * A bar. Heights are above the lower joint of its lift [mm], outside to outside; places about the middle of its section.
     *
     * @param corner   whether it stands in the corner of a rectangle
     * @param crank    where it leaves its line; null where it is straight
     * @param hookFoot whether its foot is bent by 90°; {@code hookHead} its head
     */
    public record Standing(
            Use use,
            Bar bar,
            boolean corner,
            double x,
            double y,
            double from,
            double to,
            Crank crank,
            boolean hookFoot,
            boolean hookHead) {
        /** Along the bar but for its hooks [mm]. */
        public double length() {
            return crank == null ? to - from : crank.from - from + crank.length() + to - crank.to;
        }

        /** Whether it stands in the place of a bar of the section: one of the lift itself. */
        public boolean own() {
            return use != Use.DOWEL && use != Use.STARTER;
        }

        private Standing raised(double by) {
            Crank c = crank == null ? null : new Crank(crank.from + by, crank.to + by, crank.dx, crank.dy);
            return new Standing(use, bar, corner, x, y, from + by, to + by, c, hookFoot, hookHead);
        }
    }

    /**
     * The inclined part of a bar.
     *
     * @param from, to heights of its ends [mm]
     * @param dx, dy by which it leads aside [mm]
     */
    public record Crank(double from, double to, double dx, double dy) {
        public double aside() {
            return Math.hypot(dx, dy);
        }

        public double length() {
            return Math.hypot(to - from, aside());
        }
    }

    private VerticalBars(
            ColumnStack stack,
            int begin,
            int number,
            ColumnCage.LiftCage here,
            ColumnCage.LiftCage above,
            Basis basis) {
        this.lift = stack.lifts().get(number);
        this.next = lift.highest() ? null : stack.lifts().get(number + 1);
        this.here = here;
        this.above = above;
        this.first = stack.lifts().get(begin);
        this.basis = basis;
        this.detailing = basis.designCode().detailing();
        this.rules = basis.designCode().columns();
        this.height = lift.top() - lift.base();
        this.start = first.base()
                - lift.base()
                + ColumnLaps.start(first, here.layout().largest(), basis);
        this.floor = height + lift.inHead();
        this.over = next == null ? null : new OverFloor(lift, next, here, above, basis);
    }

    /** The bars that begin in a lift: those that stand in it, and in lifts above where they pass on through them; dowels into the lift above; starter bars in the lowest. */
    public static List<Standing> of(ColumnStack stack, int number, ColumnCage cage, Basis basis) {
        if (basis.practice().columnLapsEvery() <= 1) {
            return pieces(stack, number, number, cage, basis);
        }
        BarRuns runs = BarRuns.of(stack, cage, basis);
        List<Standing> out = new ArrayList<>(in(stack, number, cage, basis));
        out.removeIf(Standing::own);
        if (runs.begins(number)) {
            int last = runs.last(number);
            double up =
                    stack.lifts().get(last).base() - stack.lifts().get(number).base();
            pieces(stack, number, last, cage, basis).stream()
                    .filter(Standing::own)
                    .forEach(s -> out.add(s.raised(up)));
        }
        return out;
    }

    /**
     * What stands in the head of a lift: its bars from where they begin, there or in a lift below, dowels into the lift above, and the starter bars of the lowest. None
     * of its own where they pass on into the lift above.
     */
    public static List<Standing> in(ColumnStack stack, int number, ColumnCage cage, Basis basis) {
        if (basis.practice().columnLapsEvery() <= 1) {
            return pieces(stack, number, number, cage, basis);
        }
        BarRuns runs = BarRuns.of(stack, cage, basis);
        if (runs.last(number) == number) {
            return pieces(stack, runs.begin(number), number, cage, basis);
        }
        VerticalBars v = new VerticalBars(
                stack, number, number, cage.lifts().get(number), cage.lifts().get(number + 1), basis);
        v.starters();
        return v.out;
    }

    /** What stands in the head of a lift if its bars begin in it. @param above cage of the lift above; null for the highest */
    public static List<Standing> in(
            ColumnStack stack, int number, ColumnCage.LiftCage here, ColumnCage.LiftCage above, Basis basis) {
        VerticalBars v = new VerticalBars(stack, number, number, here, above, basis);
        v.all();
        return v.out;
    }

    /** What stands in the head of lift {@code last} if its bars begin in lift {@code begin}. */
    static List<Standing> pieces(ColumnStack stack, int begin, int last, ColumnCage cage, Basis basis) {
        ColumnCage.LiftCage above =
                last + 1 < cage.lifts().size() ? cage.lifts().get(last + 1) : null;
        VerticalBars v = new VerticalBars(stack, begin, last, cage.lifts().get(last), above, basis);
        v.all();
        return v.out;
    }

    /** Longest of some bars, with their hooks, as they are cut [mm]; 0 for none. */
    public static double longest(List<Standing> all, Basis basis) {
        double most = 0;
        for (Standing s : all) {
            int hooks = (s.hookFoot ? 1 : 0) + (s.hookHead ? 1 : 0);
            most = Math.max(most, s.length() + hooks * basis.entry().bends().hookBeyondRun(s.bar));
        }
        return most;
    }

    /** Greatest distance of bars that lap, centre to centre (ACI 318-19 25.5.1.3) [mm]. */
    public static final double BESIDE = OverFloor.BESIDE;

    /** Greatest distance of a dowel from the nearest bar that ends beside it, centre to centre [mm]; 0 without dowels. @param all bars of a lift */
    public static double dowelsApart(List<Standing> all) {
        double most = 0;
        for (Standing d : all) {
            double least = Double.POSITIVE_INFINITY;
            for (Standing s : all) {
                boolean own = s.use == Use.ENDS || s.use == Use.ON;
                least = own ? Math.min(least, Math.hypot(s.x - d.x, s.y - d.y)) : least;
            }
            most = d.use == Use.DOWEL ? Math.max(most, least) : most;
        }
        return most;
    }

    /** Where the highest bars do that end in a lift; another height where none end. @param all bars of a lift; heights above its lower joint [mm] */
    static double end(List<Standing> all, double otherwise) {
        return all.stream()
                .filter(s -> s.use == Use.ENDS)
                .mapToDouble(Standing::to)
                .max()
                .orElse(otherwise);
    }

    private void all() {
        List<PlacedBar> bars = here.bars(lift.section().shape(), basis.columnCover());
        starters();
        if (over == null) {
            bars.forEach(this::ending);
            return;
        }
        PlacedBar[] partners = over.partners(bars);
        Set<PlacedBar> done = new HashSet<>();
        List<OverFloor.Upper> alone = new ArrayList<>();
        for (int i = 0; i < partners.length; i++) {
            OverFloor.Upper u = over.uppers().get(i);
            if (partners[i] != null && onwards(partners[i], u)) {
                done.add(partners[i]);
            } else {
                alone.add(u);
            }
        }
        bars.stream().filter(p -> !done.contains(p)).forEach(this::surplus);
        alone.forEach(u -> dowel(u, bars));
    }

    private void starters() {
        if (lift.number() == 0 && (basis.practice().starters() || onBeam())) {
            here.bars(lift.section().shape(), basis.columnCover()).forEach(this::starter);
        }
    }

    /** On into the lift above, over its lap; answers false where it may not be led there. */
    private boolean onwards(PlacedBar p, OverFloor.Upper u) {
        Bar bar = here.layout().at(p);
        if (ColumnLaps.coupled(basis) && u.apart(p) < 1 && Math.abs(u.bar().diameter() - bar.diameter()) < 0.1) {
            out.add(new Standing(Use.COUPLED, bar, corner(p), p.x(), p.y(), start, nextStart(), null, false, false));
            return true;
        }
        double[] at = over.beside(p, bar, u);
        if (at == null) {
            return false;
        }
        boolean straight = Math.hypot(at[0] - p.x(), at[1] - p.y()) < 0.01;
        boolean atFloor = over.step() || !over.inside(p, bar);
        Crank crank = straight ? null : crank(at[0] - p.x(), at[1] - p.y(), atFloor);
        if (atFloor && !bends(crank)) {
            return false;
        }
        over.take(at, bar);
        double clear = Math.hypot(at[0] - u.x(), at[1] - u.y())
                - (bar.diameter() + u.bar().diameter()) / 2;
        double to = nextStart() + ColumnLaps.length(next, bar, u.bar(), basis) + (clear > APART ? clear : 0);
        add(Use.ON, bar, p, start, to, crank);
        return true;
    }

    /** The inclined part of a bar that is led aside, before it laps or under the top of the floor. */
    private Crank crank(double dx, double dy, boolean atFloor) {
        double end = atFloor ? floor : nextStart();
        double aside = Math.hypot(dx, dy);
        // in the middle of the height there is room
        double room = end > floor + 1 ? Double.POSITIVE_INFINITY : 2 * lift.inHead();
        double along = Math.max(rules.crankSteepest() * aside, Math.min(rules.crankGentle() * aside, room));
        return new Crank(end - along, end, dx, dy);
    }

    /** Whether a bar may be led aside so at a step: nowhere where it or the face is offset by what the code lets none be bent at, and within the depth of the beams. */
    private boolean bends(Crank c) {
        return c == null
                || bends(c.dx, over.faceOffsetX())
                        && bends(c.dy, over.faceOffsetY())
                        && c.to - c.from <= 2 * lift.inHead() + 1e-6;
    }

    private boolean bends(double aside, double face) {
        return Math.abs(aside) < 1e-6 || Math.max(Math.abs(aside), face) < rules.crankMost();
    }

    private double nextStart() {
        return height + ColumnLaps.start(next, above.layout().largest(), basis);
    }

    /** A bar that none above laps with: on as far as it develops where it stands inside the lift above and clear of its bars. */
    private void surplus(PlacedBar p) {
        Bar bar = here.layout().at(p);
        if (!over.clear(p, bar)) {
            ending(p);
            return;
        }
        over.take(new double[] {p.x(), p.y()}, bar);
        double fc = Math.min(lift.material().fc(), next.material().fc());
        add(Use.ON, bar, p, start, Math.max(floor, soffit() + development(bar, fc)), null);
    }

    private double soffit() {
        return height - lift.inHead();
    }

    private double development(Bar bar, double fc) {
        return detailing.developmentLength(bar, fc, basis.fy(), false, 2 * bar.diameter(), basis.columnCover(), true);
    }

    /** A bar that ends under the top of the floor: straight where it develops so, or where no beams are known there, else bent. */
    private void ending(PlacedBar p) {
        Bar bar = here.layout().at(p);
        double top = floor - basis.columnCover();
        double develops = soffit() + development(bar, lift.material().fc());
        boolean hook = lift.inHead() > 0 && top < develops;
        boolean straight = lift.inHead() > 0 && !hook;
        double to = straight ? shortened(top, develops) : top;
        out.add(new Standing(Use.ENDS, bar, corner(p), p.x(), p.y(), start, to, null, false, hook));
    }

    /** Where a straight bar under the top of the floor ends so that its length is on the module, unless it would end below a height. */
    private double shortened(double top, double least) {
        double module = basis.practice().lengthModule();
        double to = module <= 0 ? top : start + Math.floor((top - start) / module + EXACT) * module;
        return to >= least ? to : top;
    }

    /** A bar beside one of the lift above, down beside the bars that end here. */
    private void dowel(OverFloor.Upper u, List<PlacedBar> bars) {
        Bar bar = u.bar();
        double[] at = over.dowel(u);
        double x = at[0];
        double y = at[1];
        double apart = bars.stream()
                .mapToDouble(p ->
                        Math.hypot(p.x() - x, p.y() - y) - (here.layout().at(p).diameter() + bar.diameter()) / 2)
                .min()
                .orElse(0);
        double lap = ColumnLaps.length(lift, here.layout().largest(), bar, basis);
        // bars apart by more than they may lap with: so much longer (8.7.2(3))
        double down = lap + (apart > APART ? apart : 0);
        double ends = out.stream()
                .filter(q -> q.use() == Use.ENDS)
                .mapToDouble(Standing::to)
                .min()
                .orElse(floor - basis.columnCover());
        double from = ends - down;
        double to = nextStart() + ColumnLaps.length(next, bar, bar, basis);
        out.add(onModule(new Standing(Use.DOWEL, bar, false, x, y, from, to, null, false, false)));
    }

    /** A bar from the foundation, or the beam it stands on, beside one of the lowest lift; its foot is bent. */
    private void starter(PlacedBar p) {
        Bar bar = here.layout().at(p);
        List<PlacedBar> all = here.bars(lift.section().shape(), basis.columnCover());
        double[] in = OverFloor.inwards(p, all, lift.section().shape());
        boolean coupled = ColumnLaps.coupled(basis);
        double aside = coupled ? 0 : bar.diameter();
        double to = start + (coupled ? 0 : ColumnLaps.length(lift, bar, bar, basis));
        out.add(new Standing(
                Use.STARTER,
                bar,
                corner(p),
                p.x() + aside * in[0],
                p.y() + aside * in[1],
                starterFoot(bar),
                to,
                null,
                true,
                false));
    }

    /** Height of the foot of a starter bar: as deep as it develops, or as the beam that carries the column leaves room. */
    private double starterFoot(Bar bar) {
        double fc = lift.material().fc();
        double hooked = detailing.standingHookLength(bar, fc, basis.fy(), kolonne.core.explain.Trace.OFF);
        double straight = detailing.compressionDevelopment(bar, fc, basis.fy()) + bend(bar);
        double down = Math.max(hooked, straight);
        down += BarLengths.missing(down, basis.practice().lengthModule());
        if (onBeam()) {
            double room = 2 * lift.inFoot() - basis.beamCover() - IN_BEAM;
            return lift.inFoot() - Math.min(down, Math.max(0, room));
        }
        return -down;
    }

    private boolean onBeam() {
        return lift.planted() && lift.inFoot() > 0;
    }

    /** What a bend takes off the straight part of a bar [mm]. */
    private double bend(Bar bar) {
        Bends bends = basis.entry().bends();
        return bends.barRadius(bar) + bar.diameter();
    }

    private void add(Use use, Bar bar, PlacedBar p, double from, double to, Crank crank) {
        out.add(onModule(new Standing(use, bar, corner(p), p.x(), p.y(), from, to, crank, false, false)));
    }

    /** Longer by what its length lacks to the module, but where its lap would then leave the middle of the lift above. */
    private Standing onModule(Standing s) {
        double more = BarLengths.missing(s.length(), basis.practice().lengthModule());
        double most = next != null && ColumnLaps.inMiddle(basis)
                ? height + next.inFoot() + 3 * next.between() / 4
                : Double.POSITIVE_INFINITY;
        more = s.to <= most && s.to + more > most ? 0 : more;
        return new Standing(s.use, s.bar, s.corner, s.x, s.y, s.from, s.to + more, s.crank, s.hookFoot, s.hookHead);
    }

    private boolean corner(PlacedBar p) {
        if (!(here.layout() instanceof RectangleBars)) {
            return false;
        }
        List<PlacedBar> all = here.bars(lift.section().shape(), basis.columnCover());
        return OverFloor.outermost(p.x(), all.stream().mapToDouble(PlacedBar::x))
                && OverFloor.outermost(p.y(), all.stream().mapToDouble(PlacedBar::y));
    }
}
