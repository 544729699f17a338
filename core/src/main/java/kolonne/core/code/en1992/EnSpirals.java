package kolonne.core.code.en1992;

import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Spirals;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Helical reinforcement of columns by EN 1992-1-1: transverse reinforcement like any other (9.5.3(1)), without strength of its own in design. */
final class EnSpirals implements Spirals {
    private final En1992 code;

    EnSpirals(En1992 code) {
        this.code = code;
    }

    /** That the core is confined (3.1.9) is left out, on the safe side. */
    @Override
    public DesignCode strength() {
        return code;
    }

    @Override
    public double smallest(Bar bar) {
        return code.columns().smallestTie(bar);
    }

    @Override
    public Clause smallestClause() {
        return code.columns().smallestTieClause();
    }

    @Override
    public int fewestBars() {
        return code.columns().columnFewestBars(true);
    }

    @Override
    public Clause fewestBarsClause() {
        return code.columns().columnFewestBarsClause();
    }

    /** As bars that are to be surrounded by concrete: dg + 5 mm and 20 mm (8.2(2)). */
    @Override
    public double leastClear(double aggregate) {
        return Math.max(aggregate + 5, 20);
    }

    @Override
    public double mostClear() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause clearClause() {
        return Clause.of("8.2(2)");
    }

    @Override
    public double leastRatio(double ag, double core, double fc, double fyt, Trace t) {
        return 0;
    }

    @Override
    public Clause ratioClause() {
        return Clause.of("9.5.3(1)");
    }

    /** The code has no rule: as much as is usual. */
    @Override
    public double endTurns() {
        return 1.5;
    }
}
