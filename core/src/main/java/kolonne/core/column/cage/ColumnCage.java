package kolonne.core.column.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/** The reinforcement of a column stack, lift by lift. */
public record ColumnCage(List<LiftCage> lifts) {
    public ColumnCage {
        lifts = List.copyOf(lifts);
    }

    /**
     * Bars and ties of a lift.
     *
     * @param alongX   bars along each face parallel to x, corners included; all bars of a circle
     * @param alongY   bars along each face parallel to y, corners included; 0 for a circle
     * @param corner   corner bars (all bars of a circle)
     * @param face     bars between the corners
     * @param tie      tie bar
     * @param spacing  of ties [mm]
     * @param heldX    which bars of the faces parallel to x are held by legs running along y, corner to corner
     * @param heldY    which bars of the faces parallel to y are held by legs running along x
     */
    public record LiftCage(int alongX, int alongY, Bar corner, Bar face, Bar tie, double spacing, List<Boolean> heldX,
                           List<Boolean> heldY) {
        public LiftCage {
            heldX = List.copyOf(heldX);
            heldY = List.copyOf(heldY);
        }

        public boolean circular() {
            return alongY == 0;
        }

        public int count() {
            return circular() ? alongX : 2 * (alongX + alongY) - 4;
        }

        public double area() {
            return circular() ? alongX * corner.area() : 4 * corner.area() + (count() - 4) * face.area();
        }

        /** Legs that resist shear along y (depth), and along x (width). */
        public int legsAlongY() {
            return circular() ? 2 : (int) heldX.stream().filter(h -> h).count();
        }

        public int legsAlongX() {
            return circular() ? 2 : (int) heldY.stream().filter(h -> h).count();
        }

        /** The larger bar. */
        public Bar largest() {
            return corner.diameter() >= face.diameter() ? corner : face;
        }

        /** Bars in words, for instance {@code 4T25 + 8T20}. */
        public String words() {
            return circular() || count() == 4 || corner.equals(face) ? count() + corner.label()
                : "4" + corner.label() + " + " + (count() - 4) + face.label();
        }

        /** Where the bars lie in a section with clear cover {@code cover} to the ties. */
        public List<PlacedBar> bars(Shape shape, double cover) {
            List<PlacedBar> out = new ArrayList<>(count());
            double inset = cover + tie.diameter();
            if (circular()) {
                double r = shape.width() / 2 - inset - corner.diameter() / 2;
                for (int i = 0; i < alongX; i++) {
                    double a = 2 * Math.PI * i / alongX;
                    out.add(new PlacedBar(r * Math.cos(a), r * Math.sin(a), corner.area()));
                }
                return out;
            }
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
    }
}
