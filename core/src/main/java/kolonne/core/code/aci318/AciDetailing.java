package kolonne.core.code.aci318;

import kolonne.core.code.Bar;
import kolonne.core.code.Bound;
import kolonne.core.code.Detailing;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Bars by ACI 318-19: distances, anchorage, laps, ends along a beam, continuity. */
final class AciDetailing implements Detailing {
    /** No. 36, #11 (9.7.3.5(b)) [mm]. */
    private static final double LARGEST_CUT_BAR = 36.1;

    private final UnitForm form;
    private final AciAnchorage anchorage;

    AciDetailing(UnitForm form) {
        this.form = form;
        this.anchorage = new AciAnchorage(form);
    }

    /** Class B of table 25.5.2.1: 1.3 ld, at least 300 mm (12 in). */
    @Override
    public double lapLength(Bar bar, double fc, double fy, boolean top, double clear, double cover) {
        return Math.max(1.3 * developmentLength(bar, fc, fy, top, clear, cover, true), form.length(300, 12));
    }

    /** The larger of ld of the larger bar and the lap of the smaller (25.5.2.2). */
    @Override
    public double lapLength(Bar thicker, Bar thinner, double fc, double fy, double cover) {
        return Math.max(
                developmentLength(thicker, fc, fy, false, 2 * thicker.diameter(), cover, true),
                lapLength(thinner, fc, fy, false, 2 * thinner.diameter(), cover));
    }

    @Override
    public Clause lapClause() {
        return Clause.of("25.5.2.1");
    }

    /** Only three and more bars are anchored longer (25.6.1.5); ends 40 db apart (25.6.1.4); none above No. 36 (25.6.1.3). */
    @Override
    public double pairAnchorage() {
        return 1;
    }

    @Override
    public double pairStagger(Bar bar) {
        return 40 * bar.diameter();
    }

    @Override
    public double largestInPair() {
        return form.length(36, 1.41);
    }

    @Override
    public Clause pairClause() {
        return Clause.of("25.6.1");
    }

    @Override
    public double beamClearSpacing(double db, double aggregate) {
        return Math.max(Math.max(form.length(25, 1), db), 4.0 / 3 * aggregate);
    }

    @Override
    public double layerClearSpacing(double aggregate) {
        return form.length(25, 1);
    }

    @Override
    public Clause beamClearSpacingClause() {
        return Clause.of("25.2.1");
    }

    @Override
    public Clause layersClause() {
        return Clause.of("25.2.2");
    }

    /** ψt of table 25.4.2.5: more than 12 in (300 mm) of fresh concrete below the bar. */
    @Override
    public boolean poorBond(double height, double h) {
        return !Bound.within(height, form.length(300, 12));
    }

    @Override
    public double columnClearSpacing(double db, double aggregate) {
        return Math.max(Math.max(form.length(40, 1.5), 1.5 * db), 4.0 / 3 * aggregate);
    }

    @Override
    public Clause columnClearSpacingClause() {
        return Clause.of("25.2.3");
    }

    /** As of single bars in 25.2.1. */
    @Override
    public double lapClearSpacing(double db, double aggregate) {
        return beamClearSpacing(db, aggregate);
    }

    @Override
    public Clause lapClearSpacingClause() {
        return Clause.of("25.5.1.2");
    }

    /** Lesser of 380 (280 / fs) − 2.5 cc and 300 (280 / fs), fs = 2/3 fy (24.3.2, 24.3.2.1). */
    @Override
    public double crackSpacing(double fy, double cc) {
        double fs = 2.0 / 3 * fy;
        return form == UnitForm.SI
                ? Math.min(380 * 280 / fs - 2.5 * cc, 300 * 280 / fs)
                : Math.min(15 * 25.4 * 40_000 * UnitForm.PSI / fs - 2.5 * cc, 12 * 25.4 * 40_000 * UnitForm.PSI / fs);
    }

    @Override
    public Clause crackSpacingClause() {
        return Clause.of("24.3.2");
    }

    @Override
    public double developmentLength(
            Bar bar, double fc, double fy, boolean top, double clear, double cover, boolean stirrups) {
        return anchorage.straight(bar, fc, fy, top, clear, cover, stirrups);
    }

    @Override
    public Clause developmentClause() {
        return Clause.of("25.4.2.3");
    }

    @Override
    public double hookLength(Bar bar, double fc, double fy, Trace t) {
        return anchorage.hooked(bar, fc, fy, t);
    }

    @Override
    public Clause hookClause() {
        return Clause.of("25.4.3.1");
    }

    @Override
    public double standingHookLength(Bar bar, double fc, double fy, Trace t) {
        return anchorage.hooked(bar, fc, fy, t);
    }

    @Override
    public double compressionDevelopment(Bar bar, double fc, double fy) {
        return anchorage.compressed(bar, fc, fy);
    }

    @Override
    public Clause compressionDevelopmentClause() {
        return Clause.of("25.4.9.2");
    }

    /** Greater of d and 12 db (9.7.3.3). */
    @Override
    public double extension(double d, double db) {
        return Math.max(d, 12 * db);
    }

    @Override
    public Clause extensionClause() {
        return Clause.of("9.7.3.3");
    }

    /** The extension or the development length, whichever is longer (9.7.3.3, 9.7.3.4). */
    @Override
    public double runPastNeed(double d, double db, double development) {
        return Math.max(extension(d, db), development);
    }

    @Override
    public double tensionShift(double d) {
        return 0;
    }

    @Override
    public Clause tensionShiftClause() {
        return Clause.of("9.7.3.3");
    }

    /**
     * 9.7.3.5: shear at most two thirds of its strength; or, for bars to No. 36, twice the steel that flexure needs runs on and the shear
     * is at most three quarters. Further stirrups by 9.7.3.5(c) are not counted.
     */
    @Override
    public double cutOffUse(double v, double vn, double m, double continuing, double db) {
        double shearAlone = v / (2.0 / 3 * vn);
        double doubled = db <= LARGEST_CUT_BAR && continuing > 0
                ? Math.max(2 * m / continuing, v / (0.75 * vn))
                : Double.POSITIVE_INFINITY;
        return Math.min(shearAlone, doubled);
    }

    @Override
    public Clause cutOffClause() {
        return Clause.of("9.7.3.5");
    }

    /** A third at simple supports (9.7.3.8.1), a quarter at others (9.7.3.8.2). */
    @Override
    public double bottomIntoSupport(boolean simple) {
        return simple ? 1.0 / 3 : 1.0 / 4;
    }

    /** 150 mm (9.7.3.8.1, 9.7.3.8.2), in the inch edition as well. */
    @Override
    public double bottomRunIntoSupport() {
        return 150;
    }

    /** 9.7.3.8.2, with every beam on columns taken as part of the system that resists lateral loads. */
    @Override
    public boolean bottomYieldsAtColumns() {
        return true;
    }

    @Override
    public Clause bottomIntoSupportClause() {
        return Clause.of("9.7.3.8");
    }

    @Override
    public Clause cornerBarsClause() {
        return Clause.of("25.7.1.1");
    }

    /** 9.7.7.1: a quarter of the bottom steel, a sixth of the top steel, two bars at least. */
    @Override
    public double integrityPart(boolean bottom) {
        return bottom ? 1.0 / 4 : 1.0 / 6;
    }

    @Override
    public Clause integrityClause() {
        return Clause.of("9.7.7.1");
    }

    /** 9.7.7.3. */
    @Override
    public boolean integrityYields() {
        return true;
    }

    @Override
    public Clause integrityEndClause() {
        return Clause.of("9.7.7.3");
    }

    /** 9.7.3.8.4: a third, past the point of inflection by d, 12 db or ln / 16. */
    @Override
    public double inflectionPart() {
        return 1.0 / 3;
    }

    @Override
    public double inflectionRun(double d, double db, double ln) {
        return Math.max(Math.max(d, 12 * db), ln / 16);
    }

    @Override
    public Clause inflectionClause() {
        return Clause.of("9.7.3.8.4");
    }

    @Override
    public double skinSteelDepth() {
        return form.length(900, 36);
    }

    @Override
    public Clause skinSteelClause() {
        return Clause.of("9.7.2.3");
    }
}
