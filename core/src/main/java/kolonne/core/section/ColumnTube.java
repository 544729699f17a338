package kolonne.core.section;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kolonne.core.code.DesignCode;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/**
 * How a column resists torsion: by the tube of its outermost closed ties and the bars along it, all round. Of an ell or a tee the closed tie of one leg counts
 * alone, of the one that needs less steel for a torque.
 */
public final class ColumnTube {
    private final TorsionSection[] along = new TorsionSection[2];
    private final Shape shape;

    private ColumnTube(Shape shape) {
        this.shape = shape;
    }

    /** @param wall cover, tie and the thickest bars */
    public static ColumnTube of(Shape s, double fc, double fy, double fyt, TorsionTube.Wall wall, DesignCode code) {
        ColumnTube out = new ColumnTube(s);
        if (s instanceof Shape.Flanged f) {
            TorsionSection flange = box(f.hf(), f.bf(), fc, fy, fyt, wall);
            TorsionSection web = box(f.bw(), f.h(), fc, fy, fyt, wall);
            int axis = leg(flange, code) <= leg(web, code) ? 0 : 1;
            out.along[axis] = axis == 0 ? flange : web;
        } else if (s instanceof Shape.Circle c) {
            out.along[0] = ring(c, fc, fy, fyt, wall);
            out.along[1] = out.along[0];
        } else {
            out.along[0] = box(s.depth(), s.width(), fc, fy, fyt, wall);
            out.along[1] = box(s.width(), s.depth(), fc, fy, fyt, wall);
        }
        return out;
    }

    private static double leg(TorsionSection s, DesignCode code) {
        return code.torsion().legSteel(1, s, Trace.OFF);
    }

    private static TorsionSection box(double bw, double h, double fc, double fy, double fyt, TorsionTube.Wall wall) {
        double x = Math.max(1, bw - 2 * wall.cover() - wall.stirrup());
        double y = Math.max(1, h - 2 * wall.cover() - wall.stirrup());
        return new TorsionSection(fc, fy, fyt, bw, h, bw * h, 2 * (bw + h), x * y, 2 * (x + y), wall.inset(), false);
    }

    private static TorsionSection ring(Shape.Circle c, double fc, double fy, double fyt, TorsionTube.Wall wall) {
        double d = Math.max(1, c.d() - 2 * wall.cover() - wall.stirrup());
        return new TorsionSection(
                fc, fy, fyt, c.d(), c.d(), c.A(), perimeter(c), Math.PI * d * d / 4, Math.PI * d, wall.inset(), true);
    }

    /** Of the outside of the concrete of a column [mm]. */
    public static double perimeter(Shape s) {
        return s instanceof Shape.Circle c ? Math.PI * c.d() : 2 * (s.width() + s.depth());
    }

    /** Torque below which the torsion of a column may be neglected under an axial force, compression positive [Nmm]. */
    public static double threshold(Shape s, double fc, double nu, DesignCode code, Trace t) {
        double plain = code.torsion().threshold(fc, s.A(), perimeter(s), !(s instanceof Shape.Circle), t);
        return plain * code.torsion().axialFactor(nu, s.A(), fc, t);
    }

    /** The tube as shear along x (axis 0) or y (axis 1) acts beside its torsion; empty where another leg carries that. */
    public Optional<TorsionSection> along(int axis) {
        return Optional.ofNullable(along[axis]);
    }

    /** The tube, whichever way it is looked at. */
    public TorsionSection section() {
        return along[0] != null ? along[0] : along[1];
    }

    /** Bars along the tube, out of those of the column from its centroid. */
    public List<PlacedBar> bars(List<PlacedBar> all) {
        return all.stream().filter(this::holds).toList();
    }

    public boolean holds(PlacedBar b) {
        if (!(shape instanceof Shape.Flanged f)) {
            return true;
        }
        return along[0] != null ? Legs.of(f).inFlange(b.y()) : Legs.of(f).inWeb(b.x());
    }

    /** Largest distance between neighbouring bars round the tube, centre to centre [mm]. */
    public double apart(List<PlacedBar> all) {
        List<PlacedBar> round = new ArrayList<>(bars(all));
        double x = round.stream().mapToDouble(PlacedBar::x).average().orElse(0);
        double y = round.stream().mapToDouble(PlacedBar::y).average().orElse(0);
        round.sort(Comparator.comparingDouble(b -> Math.atan2(b.y() - y, b.x() - x)));
        double out = 0;
        for (int i = 0; i < round.size(); i++) {
            PlacedBar a = round.get(i);
            PlacedBar b = round.get((i + 1) % round.size());
            out = Math.max(out, Math.hypot(a.x() - b.x(), a.y() - b.y()));
        }
        return out;
    }

    /** What the bars bear besides a torque, in the order in which they are told: those of the tube are pulled by it all round. */
    public List<Developed> besides(double torque, List<PlacedBar> all, DesignCode code) {
        double area = bars(all).stream().mapToDouble(PlacedBar::area).sum();
        double part = code.torsion().longitudinalSteel(torque, section(), Trace.OFF) / area;
        Developed less = new Developed(Math.max(0, 1 - part), 1);
        return all.stream().map(b -> holds(b) ? less : Developed.WHOLE).toList();
    }
}
