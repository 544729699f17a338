package kolonne.core.column.cage;

import java.util.List;
import kolonne.core.code.Bar;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;

/** How the bars of a lift lie, and which of them ties hold. */
public sealed interface BarLayout permits RectangleBars, RingBars, LegBars {
    int count();

    /** [mm2] */
    double area();

    Bar largest();

    Bar smallest();

    /** Bars in words, for instance {@code 4T25 + 8T20}. */
    String words();

    /** The bar at a place that {@link #bars} tells. */
    Bar at(PlacedBar place);

    /** Where the bars lie. @param inset from the surface to the bars: cover and tie [mm] */
    List<PlacedBar> bars(Shape shape, double inset);

    /** Clear distances of neighbouring bars: along x and along y, along the ring, or along and across the legs [mm]. */
    double[] gaps(Shape shape, double inset);

    /** From the compression face to the outermost bars, for shear along x (axis 0) or y (axis 1) [mm]. */
    double effectiveDepth(Shape shape, double inset, int axis);

    /** Legs that resist shear along x (width), and along y (depth). */
    int legsAlongX();

    int legsAlongY();

    /** Bars that lie loose between those that hoops and cross-ties hold. */
    int loose();

    /** The same bars, whatever holds them. */
    BarLayout unheld();

    /** The same with every bar held. */
    BarLayout holdingAll();

    /** How many bars of a lift above find one at least as large to lap with. */
    int below(BarLayout above);
}
