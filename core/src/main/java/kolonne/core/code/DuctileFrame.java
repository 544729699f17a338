package kolonne.core.code;

import kolonne.core.explain.Clause;

/** Rules for the beams of a moment frame in earthquakes, and what leads to its columns. Units N, mm, MPa. Parts and factors are 0, and limits infinite, where a kind of frame has none. */
public interface DuctileFrame {
    /** Rules for the columns and joints of such frames. */
    DuctileColumns columns();

    /** Name of the kind of frame. */
    String name();

    /** Part of a span's most bottom steel that runs through. */
    double continuousBottom();

    Clause continuousClause();

    /** Part of the hogging strength at a column's face that the sagging strength there reaches. */
    double saggingAtFace();

    /** Part of the largest strength at the faces of both columns that both strengths reach everywhere. */
    double anywhere();

    Clause strengthClause();

    /** Whether top and bottom have the least steel everywhere, whatever the moments. */
    boolean leastSteelOnBothFaces();

    /** Most steel of a face over bw d. */
    double mostRatio(double fy);

    Clause ratioClause();

    /** Factor on the yield strength of bars whose end moments the shear must stand; 0 for none. */
    double steelFactor();

    /** Factor on earthquake that limits the shear from end moments; infinite where nothing limits it. */
    double earthquakeFactor();

    /** Whether the concrete carries no shear near the columns where earthquake causes half of the shear or more. */
    boolean concreteMayBeLost();

    Clause capacityShearClause();

    Clause withoutConcreteClause();

    /** Length of hoops from a column's face, in depths of the beam. */
    double hoopDepths();

    /** Largest spacing of hoops there. @param thinnest main bar */
    double hoopSpacing(double d, Bar thinnest, Bar hoop, double fy);

    Clause hoopClause();

    /** Largest spacing of hoops over laps; infinite where laps ask for none. */
    double lapHoops(double d);

    /** Whether laps keep clear of the columns by the length of the hoops. */
    boolean lapsAwayFromColumns();

    Clause lapClause();

    /** Whether hoops hold bars as ties of a column do. */
    boolean hoopsHoldBars();

    /** Greatest distance of bars that are held [mm]. */
    double heldDistance();

    Clause heldClause();

    /** Largest spacing of stirrups elsewhere. */
    double spacingElsewhere(double d);

    Clause spacingElsewhereClause();

    /** Least clear span over d. */
    double leastSpanToDepth();

    /** Least width of the beam. */
    double leastWidth(double h);

    /** Most that a beam juts out past either side of a column. @param along depth of the column along the beam, {@code across} its width */
    double mostProjection(double along, double across);

    Clause proportionsClause();

    /** Depth of a column over the diameter of bars that pass through it. */
    double columnDepthInBars(double fy);

    Clause columnDepthClause();

    /** Length of a hook in a column; 0 where the usual length holds. */
    double hookLength(Bar bar, double fc, double fy);

    Clause hookClause();
}
