package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/**
 * Bars along the four faces of a rectangle, inside closed ties and cross-ties.
 *
 * @param alongX bars along each face parallel to x, corners included; {@code alongY} along each face parallel to y
 * @param corner corner bars
 * @param face   bars between the corners
 * @param heldX  which bars of the faces parallel to x are held by legs running along y, corner to corner
 * @param heldY  which bars of the faces parallel to y are held by legs running along x
 */
public record RectangleBars(int alongX, int alongY, Bar corner, Bar face, List<Boolean> heldX, List<Boolean> heldY)
        implements BarLayout {
    public RectangleBars {
        heldX = List.copyOf(heldX);
        heldY = List.copyOf(heldY);
    }

    @Override
    public int count() {
        return 2 * (alongX + alongY) - 4;
    }

    @Override
    public double area() {
        return 4 * corner.area() + (count() - 4) * face.area();
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
        return count() == 4 || corner.equals(face)
                ? count() + corner.label()
                : "4" + corner.label() + " + " + (count() - 4) + face.label();
    }

    @Override
    public Bar at(PlacedBar place) {
        return Math.abs(place.area() - corner.area()) < 1e-9 ? corner : face;
    }

    @Override
    public List<PlacedBar> bars(Shape shape, double inset) {
        List<PlacedBar> out = new ArrayList<>(count());
        double xc = shape.width() / 2 - inset - corner.diameter() / 2;
        double yc = shape.depth() / 2 - inset - corner.diameter() / 2;
        double xf = shape.width() / 2 - inset - face.diameter() / 2;
        double yf = shape.depth() / 2 - inset - face.diameter() / 2;
        for (int i = 0; i < alongX; i++) {
            boolean isCorner = i == 0 || i == alongX - 1;
            double x = -xc + 2 * xc * i / (alongX - 1);
            double y = isCorner ? yc : yf;
            double a = isCorner ? corner.area() : face.area();
            out.add(new PlacedBar(x, -y, a));
            out.add(new PlacedBar(x, y, a));
        }
        for (int j = 1; j < alongY - 1; j++) {
            double y = -yc + 2 * yc * j / (alongY - 1);
            out.add(new PlacedBar(-xf, y, face.area()));
            out.add(new PlacedBar(xf, y, face.area()));
        }
        return out;
    }

    @Override
    public double[] gaps(Shape shape, double inset) {
        return new double[] {gap(shape.width() - 2 * inset, alongX), gap(shape.depth() - 2 * inset, alongY)};
    }

    private double gap(double width, int n) {
        double centres = (width - corner.diameter()) / (n - 1);
        double beside = (corner.diameter() + face.diameter()) / 2;
        // from four bars on two of the face are neighbours; by hand they may be thicker than the corners
        return centres - (n == 2 ? corner.diameter() : n == 3 ? beside : Math.max(beside, face.diameter()));
    }

    @Override
    public double effectiveDepth(Shape shape, double inset, int axis) {
        return (axis == 0 ? shape.width() : shape.depth()) - inset - largest().diameter() / 2;
    }

    @Override
    public int legsAlongX() {
        return (int) heldY.stream().filter(h -> h).count();
    }

    @Override
    public int legsAlongY() {
        return (int) heldX.stream().filter(h -> h).count();
    }

    @Override
    public int loose() {
        return 2 * (alongX - legsAlongY() + alongY - legsAlongX());
    }

    @Override
    public BarLayout unheld() {
        return new RectangleBars(alongX, alongY, corner, face, List.of(), List.of());
    }

    /** The same with every bar held. */
    @Override
    public RectangleBars holdingAll() {
        return new RectangleBars(
                alongX, alongY, corner, face, Collections.nCopies(alongX, true), Collections.nCopies(alongY, true));
    }

    @Override
    public int below(BarLayout above) {
        if (!(above instanceof RectangleBars r)) {
            return 0;
        }
        int between = 2 * Math.min(alongX - 2, r.alongX - 2) + 2 * Math.min(alongY - 2, r.alongY - 2);
        return (corner.diameter() >= r.corner.diameter() ? 4 : 0)
                + (face.diameter() >= r.face.diameter() ? between : 0);
    }
}
