package kolonne.core.column.cage;

import java.util.List;
import kolonne.core.shape.Shape;

/**
 * The concrete inside the hoops of a rectangle, an ell or a tee, to their outside.
 *
 * @param area [mm2]
 * @param held bars that corners of hoops and cross-ties hold
 * @param cuts where legs run through it; of an ell or a tee both legs of the section on their own
 */
public record HoopCore(double area, int held, List<Cut> cuts) {
    /**
     * @param axis  that the legs of ties run along: x (0) or y (1)
     * @param legs  number of them; {@code width} of the core across them [mm]
     */
    public record Cut(int axis, int legs, double width) {}

    /** Of a layout that is no ring. @param cover of the hoops [mm] */
    public static HoopCore of(Shape shape, BarLayout layout, double cover) {
        int held = layout.count() - layout.loose();
        if (layout instanceof LegBars l) {
            Shape.Flanged f = (Shape.Flanged) shape;
            double web = f.bw() - 2 * cover;
            double flange = f.hf() - 2 * cover;
            double up = f.h() - 2 * cover;
            double wide = f.bf() - 2 * cover;
            return new HoopCore(
                    web * up + flange * wide - web * flange,
                    held,
                    List.of(
                            new Cut(0, l.legsAlongX(), flange),
                            new Cut(0, l.linesAcrossWeb(), up),
                            new Cut(1, l.legsAlongY(), web),
                            new Cut(1, l.linesAcrossFlange(), wide)));
        }
        double x = shape.width() - 2 * cover;
        double y = shape.depth() - 2 * cover;
        return new HoopCore(
                x * y, held, List.of(new Cut(0, layout.legsAlongX(), y), new Cut(1, layout.legsAlongY(), x)));
    }
}
