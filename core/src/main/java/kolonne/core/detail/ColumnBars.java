package kolonne.core.detail;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.RingBars;
import kolonne.core.column.cage.Spiral;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.cage.VerticalBars;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.shape.Shape;

/** The bars of a column cage, lift by lift: vertical bars as they stand, and ties. */
public final class ColumnBars {
    /** Closed ties of an ell or a tee. */
    public static final String WEB_TIES = "ties of the web";

    public static final String FLANGE_TIES = "ties of the flange";

    /** The spiral of a round column. */
    public static final String SPIRAL = "spiral";

    private ColumnBars() {}

    /** Of a lift of a stack. @param cage of the whole stack */
    public static List<BarItem> of(ColumnStack stack, int number, ColumnCage cage, Basis basis) {
        Map<BarItem, Integer> count = new LinkedHashMap<>();
        ColumnCage.LiftCage c = cage.lifts().get(number);
        for (VerticalBars.Standing s : VerticalBars.of(stack, number, cage, basis)) {
            count.merge(item(s, c, basis), 1, Integer::sum);
        }
        List<BarItem> out = new ArrayList<>();
        count.forEach((i, n) -> out.add(new BarItem(i.what(), i.shape(), i.bar(), n, i.dims(), i.cutLength())));
        ties(stack.lifts().get(number), c, basis, out);
        return out;
    }

    /** One bar as the list has it. @param c cage of its lift */
    public static BarItem item(VerticalBars.Standing s, ColumnCage.LiftCage c, Basis basis) {
        BarShapes shapes = BarShapes.of(basis);
        String what = words(s, c);
        return s.crank() == null
                ? shapes.longitudinal(
                        what, s.bar(), 1, s.length(), (s.hookFoot() ? 1 : 0) + (s.hookHead() ? 1 : 0), Double.MAX_VALUE)
                : shapes.cranked(
                        what,
                        s.bar(),
                        1,
                        s.crank().from() - s.from(),
                        s.crank().length(),
                        s.to() - s.crank().to(),
                        s.crank().aside());
    }

    private static String words(VerticalBars.Standing s, ColumnCage.LiftCage c) {
        String which = c.layout() instanceof RectangleBars r && r.count() > 4
                ? s.corner() ? "corner bars" : "face bars"
                : c.layout() instanceof LegBars l
                        ? ofLegs(s, l)
                        : c.layout() instanceof RingBars ? "bars" : "corner bars";
        return switch (s.use()) {
            case ON -> which;
            case COUPLED -> which + ", coupled";
            case ENDS -> which + " that end";
            case DOWEL -> "dowels into the lift above";
            case STARTER -> "starter bars";
        };
    }

    private static String ofLegs(VerticalBars.Standing s, LegBars l) {
        return l.corner().equals(l.face()) ? "bars" : s.bar().equals(l.corner()) ? "corner bars" : "face bars";
    }

    private static void ties(ColumnStack.Lift lift, ColumnCage.LiftCage c, Basis basis, List<BarItem> out) {
        Shape s = lift.section().shape();
        int n = TiePlaces.of(lift, c).size();
        double cover = 2 * basis.columnCover();
        if (c.layout() instanceof RingBars) {
            double outside = s.width() - cover;
            double lap = Math.max(300, 40 * c.tie().diameter());
            if (n > 0) {
                out.add(BarShapes.of(basis).hoop("hoops", c.tie(), n, outside, lap));
            }
            if (c.wound()) {
                Spiral spiral = Spiral.of(lift, c, basis.beamCover());
                out.add(BarShapes.of(basis).spiral(SPIRAL, c.tie(), outside, spiral.pitch(), spiral.turns()));
            }
            return;
        }
        if (c.layout() instanceof LegBars l) {
            ofLegs((Shape.Flanged) s, l, c, n, basis, out);
            return;
        }
        double b = s.width() - cover;
        double h = s.depth() - cover;
        out.add(BarShapes.of(basis).closed("ties", c.tie(), n, b, h));
        int deep = c.layout().legsAlongY() - 2;
        int wide = c.layout().legsAlongX() - 2;
        if (Math.abs(b - h) < 1e-6 && deep > 0 && wide > 0) {
            inner(deep + wide, "cross-ties both ways", h, c, n, basis, out);
        } else {
            inner(deep, "cross-ties along the depth", h, c, n, basis, out);
            inner(wide, "cross-ties along the width", b, c, n, basis, out);
        }
    }

    /** A closed tie in each leg, and cross-ties across them. */
    private static void ofLegs(
            Shape.Flanged s, LegBars l, ColumnCage.LiftCage c, int n, Basis basis, List<BarItem> out) {
        double cover = 2 * basis.columnCover();
        BarShapes shapes = BarShapes.of(basis);
        out.add(shapes.closed(WEB_TIES, c.tie(), n, s.bw() - cover, s.h() - cover));
        out.add(shapes.closed(FLANGE_TIES, c.tie(), n, s.bf() - cover, s.hf() - cover));
        List<LegBars.CrossTie> across =
                l.crossTies(s, basis.columnCover() + c.tie().diameter());
        int web = (int) across.stream().filter(LegBars.CrossTie::acrossWeb).count();
        int flange = across.size() - web;
        if (Math.abs(s.bw() - s.hf()) < 1e-6) {
            inner(web + flange, "cross-ties of both legs", s.bw() - cover, c, n, basis, out);
        } else {
            inner(web, "cross-ties of the web", s.bw() - cover, c, n, basis, out);
            inner(flange, "cross-ties of the flange", s.hf() - cover, c, n, basis, out);
        }
    }

    private static void inner(
            int legs, String what, double length, ColumnCage.LiftCage c, int n, Basis basis, List<BarItem> out) {
        if (legs > 0) {
            out.add(BarShapes.of(basis).crossTie(what, c.tie(), n * legs, length));
        }
    }
}
