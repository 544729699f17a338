package kolonne.core.code;

import kolonne.core.explain.Clause;

/** Rules for the steel of columns: amount, ties, and shear in two directions. Units N, mm, MPa. */
public interface ColumnRules {
    /** Largest tie spacing of a column [mm] from tie support of bars, least dimension, and shear if it counts. */
    double columnTieSpacing(Bar bar, Bar tie, double leastDimension, double d, boolean shearCounts, boolean highVs);

    Clause columnTieSpacingClause();

    /** Smallest tie bar for a longitudinal bar [mm]. */
    double smallestTie(Bar bar);

    Clause smallestTieClause();

    /** Whether the shear of a column asks for ties of its own. */
    boolean columnShearCounts(double v, ShearStrength s);

    /** Whether ties then have a least area. */
    boolean columnMinimumTies();

    Clause columnMinimumTiesClause();

    /** Part of the two legs of a round tie that counts in shear. */
    double roundTiePart();

    /** Most sum of the utilisations in shear of both directions. */
    double shearBothWays();

    Clause shearBothWaysClause();

    /** Fewest bars of a column. */
    int columnFewestBars(boolean circular);

    Clause columnFewestBarsClause();

    /** Greatest clear distance of an unsupported bar from a bar held by a tie [mm]. */
    double greatestUnheldDistance();

    Clause tieArrangementClause();

    /** Steel limits of a column as parts of the gross area. */
    double columnMinimumRatio();

    /** Steel that a column's compression asks for beside that [mm2]. */
    double columnMinimumSteel(double compression, double fy);

    double columnMaximumRatio();

    /** The same where bars lap, both of a lap counted. */
    double lapMaximumRatio();

    Clause columnRatioClause();
}
