package kolonne.core.code;

import java.util.Optional;
import kolonne.core.explain.Clause;

/** Rules for the steel of columns: amount, ties, and shear in two directions. Units N, mm, MPa. */
public interface ColumnRules {
    /** Largest tie spacing of a column [mm] from tie support of bars, least dimension, and shear if it counts. */
    double columnTieSpacing(Bar bar, Bar tie, double leastDimension, double d, boolean shearCounts, boolean highVs);

    Clause columnTieSpacingClause();

    /** Part of that spacing that ties next to beams and at laps may have. */
    double endTiePart();

    /** How far ties so close reach from the face of a beam [mm]; 0 for none. @param side largest of the column; {@code lap} length of the laps of {@code bar} */
    double endTieReach(double side, double lap, Bar bar);

    /** Most spacing of ties over a lap [mm]. */
    double lapTieSpacing(double lap, Bar bar);

    Clause endTieClause();

    /** Largest spacing of ties within the depth of beams [mm]; infinite where the code has no rule. */
    double jointTieSpacing();

    Clause jointTieClause();

    /** Rules for the joints of frames that need not be ductile; empty where the code asks for no strength of theirs. */
    Optional<JointRules> plainJoints();

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

    /** Least length of the inclined part of a bar that is bent out of its line, over how far. */
    double crankSteepest();

    /** The same where there is room for it. */
    double crankGentle();

    /** Offset of a face from which bars beside it are not bent out of their line but dowels stand for them [mm]; infinite where the code has no such rule. */
    double crankMost();

    Clause crankClause();

    /** Times the force across of bars bent out of their line that ties there resist; 0 where the code asks for none. @param slope length over offset */
    double crankTieFactor(double slope);

    /** From the bends, to which those ties stand [mm]. */
    double crankTieReach();

    Clause crankTieClause();
}
