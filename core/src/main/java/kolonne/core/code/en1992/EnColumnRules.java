package kolonne.core.code.en1992;

import java.util.Optional;
import kolonne.core.code.Bar;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.JointRules;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Clause;

/** Steel of columns by EN 1992-1-1. */
final class EnColumnRules implements ColumnRules {
    /** Laps of larger bars have closer ties [mm]. */
    private static final double LAPPED = 14;

    private final En1992 code;
    private final EnParameters p;

    EnColumnRules(En1992 code, EnParameters p) {
        this.code = code;
        this.p = p;
    }

    /** min(20 φ, b, 400) (9.5.3(3)). */
    @Override
    public double columnTieSpacing(
            Bar bar, Bar tie, double leastDimension, double d, boolean shearCounts, boolean highVs) {
        double s = Math.min(Math.min(20 * bar.diameter(), leastDimension), p.get("tieMost"));
        return shearCounts ? Math.min(s, 0.75 * d) : s;
    }

    @Override
    public Clause columnTieSpacingClause() {
        return Clause.of("9.5.3(3)");
    }

    @Override
    public double endTiePart() {
        return 0.6;
    }

    /** The larger side from a beam's face; the whole lap of bars above 14 mm (9.5.3(4)). */
    @Override
    public double endTieReach(double side, double lap, Bar bar) {
        return bar.diameter() > LAPPED ? Math.max(side, lap) : side;
    }

    /** Three ties at least over a lap. */
    @Override
    public double lapTieSpacing(double lap, Bar bar) {
        return bar.diameter() > LAPPED ? lap / 3 : Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause endTieClause() {
        return Clause.of("9.5.3(4)");
    }

    /** No rule of its own; ties next to beams go on through them. */
    @Override
    public double jointTieSpacing() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause jointTieClause() {
        return Clause.of("9.5.3(4)");
    }

    @Override
    public Optional<JointRules> plainJoints() {
        return Optional.empty();
    }

    /** 6 mm and a quarter of the largest bar (9.5.3(1)). */
    @Override
    public double smallestTie(Bar bar) {
        return Math.max(6, bar.diameter() / 4);
    }

    @Override
    public Clause smallestTieClause() {
        return Clause.of("9.5.3(1)");
    }

    @Override
    public boolean columnShearCounts(double v, ShearStrength s) {
        return v > s.concrete();
    }

    /** The least links of beams are not asked for in columns (9.5.3). */
    @Override
    public boolean columnMinimumTies() {
        return false;
    }

    @Override
    public Clause columnMinimumTiesClause() {
        return Clause.of("9.5.3");
    }

    /** Shear in both directions: the code has no rule; as for an ellipse the sum of squares may not pass 1, so that the sum of 1.41 is the most. */
    /** A round tie pulls along the shear by the sine of the angle at which the strut cuts it, π/4 in the mean over the depth; 6.2.3 has straight legs only. */
    @Override
    public double roundTiePart() {
        return Math.PI / 4;
    }

    @Override
    public double shearBothWays() {
        return Math.sqrt(2);
    }

    @Override
    public Clause shearBothWaysClause() {
        return Clause.of("6.2.1");
    }

    @Override
    public int columnFewestBars(boolean circular) {
        return 4;
    }

    @Override
    public Clause columnFewestBarsClause() {
        return Clause.of("9.5.2(4)");
    }

    @Override
    public double greatestUnheldDistance() {
        return 150;
    }

    @Override
    public Clause tieArrangementClause() {
        return Clause.of("9.5.3(6)");
    }

    @Override
    public double columnMinimumRatio() {
        return p.get("columnMinimum");
    }

    /** 0.10 NEd / fyd. */
    @Override
    public double columnMinimumSteel(double compression, double fy) {
        return p.get("columnMinimumForce") * Math.max(0, compression) / code.designSteel(fy);
    }

    /** Recommended value (9.5.2(3)). */
    @Override
    public double lapMaximumRatio() {
        return 0.08;
    }

    @Override
    public double columnMaximumRatio() {
        return p.get("columnMaximum");
    }

    @Override
    public Clause columnRatioClause() {
        return Clause.of("9.5.2(2), (3)");
    }

    /** 1 in 6: the code has no limit, this is ours. */
    @Override
    public double crankSteepest() {
        return 6;
    }

    /** 1 in 12, from which the forces across may be left out (9.5.3(5)). */
    @Override
    public double crankGentle() {
        return 12;
    }

    @Override
    public double crankMost() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause crankClause() {
        return Clause.of("9.5.3(5)");
    }

    @Override
    public double crankTieFactor(double slope) {
        return slope > crankGentle() - 1e-6 ? 0 : 1;
    }

    /** 150 mm: ours, the code says only that they are calculated. */
    @Override
    public double crankTieReach() {
        return 150;
    }

    @Override
    public Clause crankTieClause() {
        return Clause.of("9.5.3(5)");
    }
}
