package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Rules for columns whose bars stand inside a spiral. Units N, mm, MPa. */
public interface Spirals {
    /** Strength of sections whose bars a spiral encloses. */
    DesignCode strength();

    /** Least diameter of the spiral round bars [mm]. */
    double smallest(Bar bar);

    Clause smallestClause();

    int fewestBars();

    Clause fewestBarsClause();

    /** Least clear distance of its turns [mm]. @param aggregate size of the largest */
    double leastClear(double aggregate);

    /** Greatest clear distance of its turns [mm]; infinite where only the spacing of ties holds. */
    double mostClear();

    Clause clearClause();

    /**
     * Least volume of the spiral over that of the core within it; 0 where the code asks for none.
     *
     * @param ag   gross area; {@code core} area within the outside of the spiral [mm2]
     * @param fyt  of the spiral [MPa]
     */
    double leastRatio(double ag, double core, double fc, double fyt, Trace t);

    Clause ratioClause();

    /** Further turns by which each end is anchored. */
    double endTurns();
}
