package kolonne.core.code.aci318;

import java.util.Optional;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.JointRules;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Clause;

/** Steel of columns by ACI 318-19. */
final class AciColumnRules implements ColumnRules {
    /** Ties round thick or bundled bars, No. 13 (#4) [mm]. */
    static final double THICK_TIE = 12.7;

    private final UnitForm form;

    AciColumnRules(UnitForm form) {
        this.form = form;
    }

    @Override
    public double columnTieSpacing(
            Bar bar, Bar tie, double leastDimension, double d, boolean shearCounts, boolean highVs) {
        double s = Math.min(Math.min(16 * bar.diameter(), 48 * tie.diameter()), leastDimension);
        if (!shearCounts) {
            return s;
        }
        double forShear = highVs ? Math.min(d / 4, form.length(300, 12)) : Math.min(d / 2, form.length(600, 24));
        return Math.min(s, forShear);
    }

    @Override
    public Clause columnTieSpacingClause() {
        return Clause.of("25.7.2.1, 10.7.6.5.2");
    }

    @Override
    public double endTiePart() {
        return 1;
    }

    @Override
    public double endTieReach(double side, double lap, Bar bar) {
        return 0;
    }

    @Override
    public double lapTieSpacing(double lap, Bar bar) {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause endTieClause() {
        return Clause.of("25.7.2.1");
    }

    @Override
    public double jointTieSpacing() {
        return form.length(200, 8);
    }

    @Override
    public Clause jointTieClause() {
        return Clause.of("15.3.1.4");
    }

    @Override
    public Optional<JointRules> plainJoints() {
        return Optional.of(new AciJoints(Ductility.NONE, form));
    }

    /** No. 10 (#3) for bars up to No. 32 (#10), No. 13 (#4) above (25.7.2.2). */
    @Override
    public double smallestTie(Bar bar) {
        return bar.diameter() <= 32.3 ? 9.5 : THICK_TIE;
    }

    @Override
    public Clause smallestTieClause() {
        return Clause.of("25.7.2.2");
    }

    /** Ties are needed from half φVc (10.6.2.1). */
    @Override
    public boolean columnShearCounts(double v, ShearStrength s) {
        return v > 0.5 * s.concrete();
    }

    @Override
    public boolean columnMinimumTies() {
        return true;
    }

    @Override
    public Clause columnMinimumTiesClause() {
        return Clause.of("10.6.2.2");
    }

    /** Av of a circular tie is twice its bar (22.5.8.5.6). */
    @Override
    public double roundTiePart() {
        return 1;
    }

    @Override
    public double shearBothWays() {
        return 1.5;
    }

    @Override
    public Clause shearBothWaysClause() {
        return Clause.of("22.5.1.11");
    }

    @Override
    public int columnFewestBars(boolean circular) {
        return 4;
    }

    @Override
    public Clause columnFewestBarsClause() {
        return Clause.of("10.7.3.1");
    }

    @Override
    public double greatestUnheldDistance() {
        return form.length(150, 6);
    }

    @Override
    public Clause tieArrangementClause() {
        return Clause.of("25.7.2.3");
    }

    @Override
    public double columnMinimumRatio() {
        return 0.01;
    }

    @Override
    public double columnMinimumSteel(double compression, double fy) {
        return 0;
    }

    /** The cap holds at laps as well (10.6.1.1 with 10.7.5). */
    @Override
    public double lapMaximumRatio() {
        return 0.08;
    }

    @Override
    public double columnMaximumRatio() {
        return 0.08;
    }

    @Override
    public Clause columnRatioClause() {
        return Clause.of("10.6.1.1");
    }

    /** 1 in 6 (10.7.4.1). */
    @Override
    public double crankSteepest() {
        return 6;
    }

    /** 1 in 12: ours, since it halves the force across. */
    @Override
    public double crankGentle() {
        return 12;
    }

    /** 75 mm (3 in) (10.7.4.2). */
    @Override
    public double crankMost() {
        return form.length(75, 3);
    }

    @Override
    public Clause crankClause() {
        return Clause.of("10.7.4");
    }

    /** 1.5 times (10.7.6.4.1), from ties within 150 mm (6 in) of the bends (10.7.6.4.2). */
    @Override
    public double crankTieFactor(double slope) {
        return 1.5;
    }

    @Override
    public double crankTieReach() {
        return form.length(150, 6);
    }

    @Override
    public Clause crankTieClause() {
        return Clause.of("10.7.6.4");
    }
}
