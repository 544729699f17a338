package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/** A section to scale with its bars, stirrups or ties as they were checked: the one picture of drawings, schedules and calculations. */
public final class SectionPicture {
    /** So much of a flange is shown beside the web, on paper [mm]. */
    private static final double FLANGE = 4;

    private final Basis basis;
    private final double scale;
    private final Drawing.Pen pen = new Drawing.Pen();

    private SectionPicture(Basis basis, double scale) {
        this.basis = basis;
        this.scale = scale;
    }

    /** Of a beam; the left corner of its web's soffit is at 0, 0. @param scale of the drawing, 20 for 1 : 20 */
    public static Drawing of(SectionCut c, BeamCage cage, Basis basis, double scale) {
        SectionPicture p = new SectionPicture(basis, scale);
        p.beam(c, cage);
        return p.pen.drawing();
    }

    /** Of a column; its middle is at 0, 0. @param scale of the drawing, 20 for 1 : 20 */
    public static Drawing of(Shape s, ColumnCage.LiftCage c, Basis basis, double scale) {
        SectionPicture p = new SectionPicture(basis, scale);
        p.column(s, c);
        Drawing d = p.pen.drawing();
        if (!(s instanceof Shape.Flanged f)) {
            return d;
        }
        Legs l = Legs.of(f);
        return d.moved(-p.mm((l.from() + l.to()) / 2), -p.mm((l.free() + l.outer()) / 2));
    }

    private double mm(double real) {
        return real / scale;
    }

    private void beam(SectionCut c, BeamCage cage) {
        double b = c.span().shape().webWidth();
        double h = c.span().shape().depth();
        pen.rectangle(Layer.CONCRETE, 0, 0, mm(b), mm(h));
        if (c.span().section().shape() instanceof Shape.Flanged f) {
            flange(f, mm(b), mm(h));
        }
        if (c.zone() != null) {
            double in = basis.beamCover() + c.zone().bar().diameter() / 2;
            double l = mm(in);
            double r = mm(b - in);
            pen.rectangle(Layer.STIRRUPS, l, mm(in), r, mm(h - in));
            for (int k = 1; k < c.zone().legs() - 1; k++) {
                double leg = l + k * (r - l) / (c.zone().legs() - 1);
                pen.line(Layer.STIRRUPS, leg, mm(in), leg, mm(h - in));
            }
        }
        for (BeamCage.Spacers s : c.spacers()) {
            double middle = s.face() == BeamCage.Face.TOP ? h - s.level() : s.level();
            double half = s.bar().diameter() / 2;
            pen.rectangle(
                    Layer.BARS,
                    mm((b - s.length()) / 2),
                    mm(middle - half),
                    mm((b + s.length()) / 2),
                    mm(middle + half));
        }
        c.bars().forEach(q -> bar(q.y(), q.z(), q.bar().diameter()));
        sides(c, cage);
    }

    private void bar(double x, double y, double diameter) {
        pen.disc(Layer.BARS, mm(x), mm(y), mm(diameter / 2), true);
    }

    /** Where a flange begins beside the web: a tee's on both sides, an ell's on one. */
    private void flange(Shape.Flanged f, double wide, double high) {
        boolean below = f instanceof Shape.InvertedTee;
        double outer = below ? 0 : high;
        double inner = below ? mm(f.hf()) : high - mm(f.hf());
        for (double level : new double[] {outer, inner}) {
            pen.line(Layer.CONCRETE, wide, level, wide + FLANGE, level);
            if (!(f instanceof Shape.Ell)) {
                pen.line(Layer.CONCRETE, 0, level, -FLANGE, level);
            }
        }
    }

    /** Bars along the sides of the web, inside the stirrup. */
    private void sides(SectionCut c, BeamCage cage) {
        for (BeamCage.SideBars side : cage.sideBars()) {
            if (side.span() != c.span().number()) {
                continue;
            }
            double d = side.bar().diameter();
            double inside =
                    basis.beamCover() + (c.zone() == null ? 0 : c.zone().bar().diameter()) + d / 2;
            for (int k = 0; k < side.perFace(); k++) {
                double level = side.level(k, c.span().shape().depth(), basis.beamCover());
                bar(inside, level, d);
                bar(c.span().shape().webWidth() - inside, level, d);
            }
        }
    }

    private void column(Shape s, ColumnCage.LiftCage c) {
        double in = basis.columnCover() + c.tie().diameter() / 2;
        double w = s.width() / 2;
        double h = s.depth() / 2;
        if (s instanceof Shape.Circle) {
            pen.disc(Layer.CONCRETE, 0, 0, mm(w), false);
            pen.disc(Layer.STIRRUPS, 0, 0, mm(w - in), false);
        } else if (s instanceof Shape.Flanged f) {
            legs(f, c, in);
        } else {
            pen.rectangle(Layer.CONCRETE, mm(-w), mm(-h), mm(w), mm(h));
            pen.rectangle(Layer.STIRRUPS, mm(in - w), mm(in - h), mm(w - in), mm(h - in));
        }
        List<PlacedBar> bars = c.bars(s, basis.columnCover());
        if (c.layout() instanceof RectangleBars r) {
            crossTies(r, bars, mm(w - in), mm(h - in));
        }
        bars.forEach(b -> bar(b.x(), b.y(), c.layout().at(b).diameter()));
    }

    /** An ell or a tee with the closed ties of its legs and the cross-ties. @param in from the surface to the middle of a tie [mm] */
    private void legs(Shape.Flanged f, ColumnCage.LiftCage c, double in) {
        List<Outline.Corner> corners = Outline.centred(f).rings().get(0).corners();
        for (int i = 0; i < corners.size(); i++) {
            Outline.Corner a = corners.get(i);
            Outline.Corner b = corners.get((i + 1) % corners.size());
            pen.line(Layer.CONCRETE, mm(a.x()), mm(a.y()), mm(b.x()), mm(b.y()));
        }
        Legs l = Legs.of(f);
        double up = l.up();
        pen.rectangle(
                Layer.STIRRUPS, mm(l.left() + in), mm(l.free() + up * in), mm(l.right() - in), mm(l.outer() - up * in));
        pen.rectangle(
                Layer.STIRRUPS, mm(l.from() + in), mm(l.inner() + up * in), mm(l.to() - in), mm(l.outer() - up * in));
        if (c.layout() instanceof LegBars bars) {
            for (LegBars.CrossTie t :
                    bars.crossTies(f, basis.columnCover() + c.tie().diameter())) {
                if (t.acrossWeb()) {
                    pen.line(Layer.STIRRUPS, mm(l.left() + in), mm(t.y()), mm(l.right() - in), mm(t.y()));
                } else {
                    pen.line(Layer.STIRRUPS, mm(t.x()), mm(l.inner() + up * in), mm(t.x()), mm(l.outer() - up * in));
                }
            }
        }
    }

    /** Legs between the corners, where bars are held. */
    private void crossTies(RectangleBars r, List<PlacedBar> bars, double hx, double hy) {
        List<Double> xs = inner(bars.stream().map(PlacedBar::x).toList());
        for (int i = 0; i < xs.size() && i + 1 < r.heldX().size() - 1; i++) {
            if (r.heldX().get(i + 1)) {
                pen.line(Layer.STIRRUPS, mm(xs.get(i)), -hy, mm(xs.get(i)), hy);
            }
        }
        List<Double> ys = inner(bars.stream().map(PlacedBar::y).toList());
        for (int i = 0; i < ys.size() && i + 1 < r.heldY().size() - 1; i++) {
            if (r.heldY().get(i + 1)) {
                pen.line(Layer.STIRRUPS, -hx, mm(ys.get(i)), hx, mm(ys.get(i)));
            }
        }
    }

    /** Places between the outermost ones, in order; corner and face bars of unlike sizes lie a little apart. */
    private static List<Double> inner(List<Double> all) {
        List<Double> out = new ArrayList<>();
        for (double v : all.stream().sorted().toList()) {
            if (out.isEmpty() || v - out.get(out.size() - 1) > 12) {
                out.add(v);
            }
        }
        return out.size() <= 2 ? List.of() : out.subList(1, out.size() - 1);
    }
}
