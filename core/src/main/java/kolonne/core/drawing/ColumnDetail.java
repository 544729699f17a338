package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.Spiral;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.Quantities;
import kolonne.core.detail.BarItem;
import kolonne.core.explain.Quantity;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Schedules;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/** A column from its foundation to its top: lifts with bars and ties in elevation, and beside each run of like lifts its section and its bars with their marks. */
public final class ColumnDetail {
    private static final double TEXT = 2;
    /** From the levels to the column, and from the column to its sections [mm]. */
    private static final double LEVELS = 26;

    private static final double SECTIONS = 34;
    private static final double SECTION = 32;
    /** A line of text, with its space [mm]. */
    private static final double LINE = 3.2;
    /** On paper, at which turns of a spiral can be told apart [mm]; else so many are drawn at each end. */
    private static final double TURNS_APART = 1.2;

    private static final int TURNS_AT_ENDS = 4;
    /** Bar marks on a line of text. */
    private static final int MARKS = 4;

    private final ScheduleGroups.Group<ColumnDesign> group;
    private final ColumnDesign column;
    private final Basis basis;
    private final boolean us;
    private final Drawing.Pen pen = new Drawing.Pen();
    private final Scales scales;

    private ColumnDetail(ScheduleGroups.Group<ColumnDesign> group, Basis basis, double room) {
        this.group = group;
        this.column = group.first();
        this.basis = basis;
        this.us = basis.usUnits();
        List<ColumnStack.Lift> lifts = column.stack().lifts();
        double high = lifts.get(lifts.size() - 1).top() - lifts.get(0).base() + foundation();
        double widest = lifts.stream()
                .mapToDouble(l -> Math.max(
                        l.section().shape().width(), l.section().shape().depth()))
                .max()
                .orElseThrow();
        this.scales = Scales.fitting(high, room - 14, widest, SECTION);
    }

    /** How far starter bars reach below the lowest lift [mm]. */
    private double foundation() {
        return VerticalBars.of(column.stack(), 0, column.cage(), basis).stream()
                .mapToDouble(s -> -s.from())
                .max()
                .orElse(0);
    }

    /** @param room that the paper has from foot to head [mm] */
    public static Drawing of(ScheduleGroups.Group<ColumnDesign> group, Basis basis, double room) {
        ColumnDetail d = new ColumnDetail(group, basis, room);
        d.draw();
        return d.pen.drawing();
    }

    private void draw() {
        List<ColumnStack.Lift> lifts = column.stack().lifts();
        double base = lifts.get(0).base();
        double top = scales.ofWhole(lifts.get(lifts.size() - 1).top() - base);
        pen.text(0, top + 9, 3.5, Drawing.Align.LEFT, true, group.mark());
        String alike = group.members().size() == 1
                ? ""
                : " · " + group.members().size() + " alike: "
                        + String.join(
                                ", ",
                                group.members()
                                        .subList(0, Math.min(4, group.members().size())))
                        + (group.members().size() > 4 ? ", …" : "");
        pen.text(
                0,
                top + 5,
                TEXT,
                Drawing.Align.LEFT,
                "1 : " + scales.whole() + ", sections 1 : " + scales.section() + alike);
        double axis = LEVELS + scales.ofWhole(widest()) / 2;
        double text = top;
        int item = 0;
        for (int i = lifts.size() - 1; i >= 0; i--) {
            lift(lifts.get(i), column.lifts().get(i).cage(), axis, base);
        }
        // sections from the top, each run of like lifts once
        int i = lifts.size() - 1;
        while (i >= 0) {
            int k = i;
            while (k > 0 && words(k - 1).equals(words(i))) {
                k--;
            }
            double at = Math.min(text, scales.ofWhole(lifts.get(i).top() - base) - 1);
            text = section(k, i, axis + scales.ofWhole(widest()) / 2 + SECTIONS, at);
            i = k - 1;
        }
    }

    private double widest() {
        return column.stack().lifts().stream()
                .mapToDouble(l -> l.section().shape().width())
                .max()
                .orElseThrow();
    }

    private String level(double z) {
        return (Math.abs(z) < 0.5 ? "±" : z > 0 ? "+" : "") + Quantity.DISTANCE.digits(z, us);
    }

    private void lift(ColumnStack.Lift l, ColumnCage.LiftCage c, double axis, double base) {
        double lo = scales.ofWhole(l.base() - base);
        double hi = scales.ofWhole(l.top() - base);
        // nothing stands on it: up to the top of the beams
        double end = hi + (l.highest() ? scales.ofWhole(l.inHead()) : 0);
        double[] sides = sides(l.section().shape());
        double left = axis + scales.ofWhole(sides[0]);
        double right = axis + scales.ofWhole(sides[1]);
        double half = Math.max(right - axis, axis - left);
        pen.rectangle(Layer.CONCRETE, left, lo, right, end);
        web(l.section().shape(), axis, lo, end);
        pen.line(Layer.GRID, 0, hi, axis + half + 4, hi);
        pen.text(0, hi + 0.6, TEXT, Drawing.Align.LEFT, l.storey().isEmpty() ? "top" : l.storey());
        pen.text(LEVELS - 4, hi + 0.6, 1.6, Drawing.Align.RIGHT, level(l.top()));
        if (l.number() == 0) {
            pen.line(Layer.GRID, 0, lo, axis + half + 4, lo);
            pen.text(LEVELS - 4, lo + 0.6, 1.6, Drawing.Align.RIGHT, level(l.base()));
        }
        double cover = scales.ofWhole(basis.columnCover());
        for (double z : TiePlaces.of(l, c)) {
            double at = scales.ofWhole(l.base() + z - base);
            pen.line(Layer.STIRRUPS, left + cover, at, right - cover, at);
        }
        if (c.wound()) {
            spiral(l, c, left + cover, right - cover, lo);
        }
        bars(l, axis, lo);
        // short of the levels, where nothing else is written
        pen.dimensionUp(axis + half + 6, lo, hi, TEXT, Quantity.LENGTH.digits(l.top() - l.base(), us));
    }

    /** Its turns as they cross the picture from side to side; where they would run together on paper only those at its ends. */
    private void spiral(ColumnStack.Lift l, ColumnCage.LiftCage c, double left, double right, double foot) {
        Spiral s = Spiral.of(l, c, basis.beamCover());
        boolean all = scales.ofWhole(s.pitch()) >= TURNS_APART;
        double some = s.flat() + TURNS_AT_ENDS;
        for (int half = 0; half < 2 * s.turns(); half++) {
            if (!all && half / 2.0 > some && half / 2.0 < s.turns() - some) {
                continue;
            }
            double from = foot + scales.ofWhole(s.height(half / 2.0));
            double to = foot + scales.ofWhole(s.height((half + 1) / 2.0));
            boolean rightwards = half % 2 == 0;
            pen.line(Layer.STIRRUPS, rightwards ? left : right, from, rightwards ? right : left, to);
        }
    }

    /** Left and right side from the axis [mm]. */
    private static double[] sides(Shape s) {
        if (s instanceof Shape.Flanged f) {
            Legs l = Legs.of(f);
            return new double[] {l.from(), l.to()};
        }
        return new double[] {-s.width() / 2, s.width() / 2};
    }

    /** The sides of the web of an ell or a tee. */
    private void web(Shape s, double axis, double from, double to) {
        if (s instanceof Shape.Flanged f) {
            Legs l = Legs.of(f);
            double right = axis + scales.ofWhole(l.right());
            pen.line(Layer.CONCRETE, right, from, right, to);
            if (l.bothSides()) {
                double left = axis + scales.ofWhole(l.left());
                pen.line(Layer.CONCRETE, left, from, left, to);
            }
        }
    }

    /** Bars as they stand, seen from the side: of those behind one another one, and of every kind the outermost on either side. */
    private void bars(ColumnStack.Lift l, double axis, double foot) {
        List<VerticalBars.Standing> all = VerticalBars.of(column.stack(), l.number(), column.cage(), basis);
        for (VerticalBars.Use use : VerticalBars.Use.values()) {
            List<VerticalBars.Standing> some =
                    all.stream().filter(s -> s.use() == use).toList();
            some.stream()
                    .min(Comparator.comparingDouble(VerticalBars.Standing::x))
                    .ifPresent(s -> bar(s, axis, foot));
            some.stream()
                    .max(Comparator.comparingDouble(VerticalBars.Standing::x))
                    .ifPresent(s -> bar(s, axis, foot));
        }
    }

    private void bar(VerticalBars.Standing s, double axis, double foot) {
        double x = axis + scales.ofWhole(s.x());
        double from = foot + scales.ofWhole(s.from());
        double to = foot + scales.ofWhole(s.to());
        double hook = scales.ofWhole(basis.entry().bends().hook(s.bar()));
        double away = s.x() < 0 ? -1 : 1;
        if (s.hookFoot()) {
            pen.line(Layer.BARS, x + away * hook, from, x, from);
        }
        if (s.hookHead()) {
            pen.line(Layer.BARS, x, to, x - away * hook, to);
        }
        if (s.crank() == null) {
            pen.line(Layer.BARS, x, from, x, to);
            return;
        }
        double lower = foot + scales.ofWhole(s.crank().from());
        double upper = foot + scales.ofWhole(s.crank().to());
        double aside = x + scales.ofWhole(s.crank().dx());
        pen.line(Layer.BARS, x, from, x, lower);
        pen.line(Layer.BARS, x, lower, aside, upper);
        pen.line(Layer.BARS, aside, upper, aside, to);
    }

    /** What tells lifts apart. */
    private String words(int i) {
        ColumnCage.LiftCage c = column.lifts().get(i).cage();
        return column.stack().lifts().get(i).section().shape().whole(us) + c.layout() + Schedules.ties(c, basis);
    }

    /** The section of lifts {@code from} to {@code to} and their bars; answers where the next one may begin. */
    private double section(int from, int to, double x, double top) {
        ColumnStack.Lift l = column.stack().lifts().get(to);
        ColumnCage.LiftCage c = column.lifts().get(to).cage();
        Shape s = l.section().shape();
        double w = scales.ofSection(s.width());
        double h = scales.ofSection(s.depth());
        double cx = x + w / 2;
        double cy = top - h / 2;
        pen.drawing(SectionPicture.of(s, c, basis, scales.section()).moved(cx, cy));
        double text = top - 2;
        double at = x + w + 3;
        for (String line : lines(from, to, c)) {
            pen.text(at, text, TEXT, Drawing.Align.LEFT, line);
            text -= LINE;
        }
        return Math.min(text, top - h) - 3;
    }

    private List<String> lines(int from, int to, ColumnCage.LiftCage c) {
        List<String> out = new ArrayList<>();
        ColumnStack.Lift low = column.stack().lifts().get(from);
        ColumnStack.Lift high = column.stack().lifts().get(to);
        out.add(low.section().shape().whole(us)
                + (from == to ? "" : ", " + (to - from + 1) + " lifts to " + name(high)));
        out.add(c.layout().words());
        out.add(Schedules.ties(c, basis));
        for (int i = to; i >= from; i--) {
            List<String> bars = marks(i);
            String which = from == to ? "" : "to " + name(column.stack().lifts().get(i)) + ": ";
            if (bars.isEmpty()) {
                out.add("not designed");
            }
            for (int k = 0; k < bars.size(); k++) {
                out.add((k == 0 ? which : "") + bars.get(k));
            }
        }
        return out;
    }

    private static String name(ColumnStack.Lift l) {
        return l.storey().isEmpty() ? "top" : l.storey();
    }

    /** Marks of a lift's bars with their numbers and lengths: those of the lift, then starter bars and dowels in lines of their own. */
    private List<String> marks(int lift) {
        List<BarItem> bars = Quantities.bars(column, lift);
        List<String> out = new ArrayList<>();
        lines("", marks(bars, w -> !w.startsWith("starter") && !w.startsWith("dowels")), out);
        lines("dowels ", marks(bars, w -> w.startsWith("dowels")), out);
        lines("starters ", marks(bars, w -> w.startsWith("starter")), out);
        return out;
    }

    /** Of some of a lift's bars; those of corners and faces that are one mark once. */
    private List<String> marks(List<BarItem> bars, Predicate<String> which) {
        Map<String, Integer> number = new LinkedHashMap<>();
        bars.stream().filter(b -> which.test(b.what())).forEach(b -> {
            String mark = group.barMark(b) + " %d" + b.bar().label() + " " + Quantity.LENGTH.digits(b.cutLength(), us);
            number.merge(mark, b.number(), Integer::sum);
        });
        List<String> out = new ArrayList<>();
        number.forEach((mark, n) -> out.add(String.format(Locale.ROOT, mark, n)));
        return out;
    }

    private static void lines(String what, List<String> marks, List<String> out) {
        for (int k = 0; k < marks.size(); k += MARKS) {
            out.add((k == 0 ? what : "") + String.join("  ", marks.subList(k, Math.min(marks.size(), k + MARKS))));
        }
    }
}
