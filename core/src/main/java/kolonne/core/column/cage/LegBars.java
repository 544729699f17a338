package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;

/**
 * Bars of an ell or a tee: at the corners of the closed ties of both legs, where these cross, and between them along the sides of the legs.
 *
 * @param overhangs  1 for an ell, 2 for a tee
 * @param web        bars along each side of the web between its free end and the flange
 * @param flange     bars along each side of what juts out of the flange, between web and end
 * @param corner     bars of the corners; {@code face} those between them
 * @param heldWeb    which pairs along the web cross-ties hold, from its free end to the flange; the first and the last are held where ties meet
 * @param heldFlange the same from the web to an end of the flange
 */
public record LegBars(
        int overhangs, int web, int flange, Bar corner, Bar face, List<Boolean> heldWeb, List<Boolean> heldFlange)
        implements BarLayout {
    private static final int CORNERS_OF_ELL = 8;
    private static final int CORNERS_OF_TEE = 10;

    public LegBars {
        heldWeb = List.copyOf(heldWeb);
        heldFlange = List.copyOf(heldFlange);
    }

    /** With every pair held. */
    public static LegBars of(int overhangs, int web, int flange, Bar corner, Bar face) {
        return new LegBars(
                overhangs,
                web,
                flange,
                corner,
                face,
                Collections.nCopies(web + 2, true),
                Collections.nCopies(flange + 2, true));
    }

    private int corners() {
        return overhangs == 1 ? CORNERS_OF_ELL : CORNERS_OF_TEE;
    }

    @Override
    public int count() {
        return corners() + 2 * (web + overhangs * flange);
    }

    @Override
    public double area() {
        return corners() * corner.area() + (count() - corners()) * face.area();
    }

    @Override
    public Bar largest() {
        return corner.diameter() >= face.diameter() ? corner : face;
    }

    @Override
    public Bar smallest() {
        return corner.diameter() <= face.diameter() ? corner : face;
    }

    @Override
    public String words() {
        return count() == corners() || corner.equals(face)
                ? count() + corner.label()
                : corners() + corner.label() + " + " + (count() - corners()) + face.label();
    }

    @Override
    public Bar at(PlacedBar place) {
        return Math.abs(place.area() - corner.area()) < 1e-9 ? corner : face;
    }

    @Override
    public List<PlacedBar> bars(Shape shape, double inset) {
        Places p = new Places(Legs.of((Shape.Flanged) shape), inset);
        List<PlacedBar> out = new ArrayList<>(count());
        for (double x : new double[] {p.left, p.right}) {
            out.add(new PlacedBar(x, p.free, corner.area()));
        }
        for (double x : p.columns()) {
            out.add(new PlacedBar(x, p.inner, corner.area()));
            out.add(new PlacedBar(x, p.outer, corner.area()));
        }
        for (int i = 1; i <= web; i++) {
            double y = p.alongWeb(i);
            out.add(new PlacedBar(p.left - p.further, y, face.area()));
            out.add(new PlacedBar(p.right + p.further, y, face.area()));
        }
        for (int side = 0; side < overhangs; side++) {
            for (int i = 1; i <= flange; i++) {
                double x = p.alongFlange(side, i);
                out.add(new PlacedBar(x, p.inner - p.up * p.further, face.area()));
                out.add(new PlacedBar(x, p.outer + p.up * p.further, face.area()));
            }
        }
        return out;
    }

    /** Lines that bars lie on: at the left and right of the web, at its free end, along both faces of the flange and at its ends. */
    private final class Places {
        private final double left;
        private final double right;
        private final double from;
        private final double to;
        private final double free;
        private final double inner;
        private final double outer;
        private final double up;
        /** How much nearer to a face thinner bars between the corners lie. */
        private final double further;

        Places(Legs l, double inset) {
            double in = inset + corner.diameter() / 2;
            this.up = l.up();
            this.left = l.left() + in;
            this.right = l.right() - in;
            this.from = l.from() + in;
            this.to = l.to() - in;
            this.free = l.free() + up * in;
            this.inner = l.inner() + up * in;
            this.outer = l.outer() - up * in;
            this.further = (corner.diameter() - face.diameter()) / 2;
        }

        /** Where corner bars of the flange lie, from left to right. */
        double[] columns() {
            return overhangs == 1 ? new double[] {left, right, to} : new double[] {from, left, right, to};
        }

        double alongWeb(int i) {
            return free + (inner - free) * i / (web + 1);
        }

        /** @param side 0 on the right of the web, 1 on its left; from the web outwards */
        double alongFlange(int side, int i) {
            double a = side == 0 ? right : left;
            double b = side == 0 ? to : from;
            return a + (b - a) * i / (flange + 1);
        }
    }

    /** A cross-tie through a place: across the web, along x, or across the flange, along y. */
    public record CrossTie(double x, double y, boolean acrossWeb) {}

    /** Where cross-ties run: at the pairs that are held, and through the bars where the closed ties cross. */
    public List<CrossTie> crossTies(Shape shape, double inset) {
        Legs l = Legs.of((Shape.Flanged) shape);
        Places p = new Places(l, inset);
        double middle = (l.inner() + l.outer()) / 2;
        List<CrossTie> out = new ArrayList<>();
        for (int i = 1; i <= web; i++) {
            if (heldWeb.get(i)) {
                out.add(new CrossTie((l.left() + l.right()) / 2, p.alongWeb(i), true));
            }
        }
        for (int side = 0; side < overhangs; side++) {
            out.add(new CrossTie(side == 0 ? p.right : p.left, middle, false));
            for (int i = 1; i <= flange; i++) {
                if (heldFlange.get(i)) {
                    out.add(new CrossTie(p.alongFlange(side, i), middle, false));
                }
            }
        }
        return out;
    }

    /** Number of cross-ties. */
    public int crossTies() {
        return held(heldWeb) + overhangs * (held(heldFlange) + 1);
    }

    /** Along the web, along the flange, across the web, across the flange. */
    @Override
    public double[] gaps(Shape shape, double inset) {
        double[] steps = steps(shape, inset);
        return new double[] {
            gap(steps[0], web), gap(steps[1], flange), steps[2] - corner.diameter(), steps[3] - corner.diameter()
        };
    }

    /** The same from centre to centre. */
    public double[] steps(Shape shape, double inset) {
        Places p = new Places(Legs.of((Shape.Flanged) shape), inset);
        return new double[] {
            Math.abs(p.inner - p.free) / (web + 1),
            (p.to - p.right) / (flange + 1),
            p.right - p.left,
            Math.abs(p.outer - p.inner)
        };
    }

    /** Lines on which ties run across the web: at its free end, at both faces of the flange, and cross-ties between. Two ties on one another count as one. */
    public int linesAcrossWeb() {
        return 1 + 2 + held(heldWeb);
    }

    /** The same across the flange: at its ends, at the faces of the web that lie within it, and cross-ties between. */
    public int linesAcrossFlange() {
        return 2 + overhangs + overhangs * held(heldFlange);
    }

    /** Pairs between the first and the last that cross-ties hold. */
    private static int held(List<Boolean> pairs) {
        return (int) pairs.subList(1, pairs.size() - 1).stream().filter(h -> h).count();
    }

    @Override
    public int loose() {
        return 2 * (web - held(heldWeb)) + 2 * overhangs * (flange - held(heldFlange));
    }

    /** Clear distance on a line between two corners with so many bars between them. @param step from centre to centre */
    private double gap(double step, int between) {
        double beside = (corner.diameter() + face.diameter()) / 2;
        return step - (between == 0 ? corner.diameter() : between == 1 ? beside : Math.max(beside, face.diameter()));
    }

    @Override
    public double effectiveDepth(Shape shape, double inset, int axis) {
        return (axis == 0 ? shape.width() : shape.depth()) - inset - largest().diameter() / 2;
    }

    /** The long sides of the flange's closed tie: cross-ties are as short as a leg is wide. */
    @Override
    public int legsAlongX() {
        return 2;
    }

    /** The long sides of the web's closed tie. */
    @Override
    public int legsAlongY() {
        return 2;
    }

    @Override
    public BarLayout unheld() {
        return new LegBars(overhangs, web, flange, corner, face, List.of(), List.of());
    }

    /** The same with every pair held. */
    @Override
    public LegBars holdingAll() {
        return of(overhangs, web, flange, corner, face);
    }

    @Override
    public int below(BarLayout above) {
        if (!(above instanceof LegBars l) || l.overhangs != overhangs) {
            return 0;
        }
        int between = 2 * (Math.min(web, l.web) + overhangs * Math.min(flange, l.flange));
        return (corner.diameter() >= l.corner.diameter() ? corners() : 0)
                + (face.diameter() >= l.face.diameter() ? between : 0);
    }
}
