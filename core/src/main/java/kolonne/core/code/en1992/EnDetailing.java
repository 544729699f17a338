package kolonne.core.code.en1992;

import kolonne.core.code.Bar;
import kolonne.core.code.Bound;
import kolonne.core.code.Detailing;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Bars by EN 1992-1-1: distances, anchorage, laps, ends along a beam, continuity. */
final class EnDetailing implements Detailing {
    private final En1992 code;
    private final EnParameters p;
    private final EnAnchorage anchorage;

    EnDetailing(En1992 code, EnParameters p) {
        this.code = code;
        this.p = p;
        this.anchorage = new EnAnchorage(code);
    }

    /** (8.10) with α6 = 1.5 for more than half of the bars lapped at one place (table 8.3); at least (8.11). */
    @Override
    public double lapLength(Bar bar, double fc, double fy, boolean top, double clear, double cover) {
        double straight = developmentLength(bar, fc, fy, top, clear, cover, true);
        return Math.max(1.5 * straight, Math.max(15 * bar.diameter(), 200));
    }

    /** The lap carries no more than the thinner bar: its own (8.7.3), for which the thicker bar has bond to spare. */
    @Override
    public double lapLength(Bar thicker, Bar thinner, double fc, double fy, double cover) {
        return lapLength(thinner, fc, fy, false, 2 * thinner.diameter(), cover);
    }

    @Override
    public Clause lapClause() {
        return Clause.of("8.7.3");
    }

    /** By the bar as large as both (8.9.3(3)), at most 32 mm: such pairs may end at one place (8.9.3(2)), larger ones are not covered. */
    @Override
    public double pairAnchorage() {
        return Math.sqrt(2);
    }

    @Override
    public double pairStagger(Bar bar) {
        return 0;
    }

    @Override
    public double largestInPair() {
        return 32 / Math.sqrt(2);
    }

    @Override
    public Clause pairClause() {
        return Clause.of("8.9");
    }

    /** max(φ, dg + 5, 20) (8.2(2)). */
    @Override
    public double beamClearSpacing(double barDiameter, double aggregate) {
        return Math.max(Math.max(barDiameter, aggregate + 5), 20);
    }

    @Override
    public double layerClearSpacing(double aggregate) {
        return Math.max(aggregate + 5, 20);
    }

    @Override
    public Clause beamClearSpacingClause() {
        return Clause.of("8.2(2)");
    }

    @Override
    public Clause layersClause() {
        return Clause.of("8.2(3)");
    }

    /** Figure 8.2: good to h = 250 mm; then up to 250 mm above the soffit to h = 600 mm, and 300 mm below the top of deeper members. */
    @Override
    public boolean poorBond(double height, double h) {
        return !Bound.within(h, 250) && !Bound.within(height, Bound.within(h, 600) ? 250 : h - 300);
    }

    @Override
    public double columnClearSpacing(double barDiameter, double aggregate) {
        return beamClearSpacing(barDiameter, aggregate);
    }

    @Override
    public Clause columnClearSpacingClause() {
        return Clause.of("8.2(2)");
    }

    /** Figure 8.7. */
    @Override
    public double lapClearSpacing(double barDiameter, double aggregate) {
        return Math.max(2 * barDiameter, 20);
    }

    @Override
    public Clause lapClearSpacingClause() {
        return Clause.of("8.7.2(3)");
    }

    /** Table 7.3N for wk = 0.3 mm with a quasi-permanent stress of 0.6 fyd; the width itself is checked where it can be. */
    @Override
    public double crackSpacing(double fy, double clearCover) {
        return Math.max(50, Math.min(300, 300 - (0.6 * code.designSteel(fy) - 160) / 40 * 50));
    }

    @Override
    public Clause crackSpacingClause() {
        return Clause.of("7.3.3, table 7.3N");
    }

    @Override
    public double developmentLength(
            Bar bar, double fc, double fy, boolean top, double clear, double cover, boolean stirrups) {
        return anchorage.straight(bar, fc, fy, top);
    }

    @Override
    public Clause developmentClause() {
        return Clause.of("8.4.4(1)");
    }

    @Override
    public double hookLength(Bar bar, double fc, double fy, Trace t) {
        return anchorage.hooked(bar, fc, fy, true, t);
    }

    @Override
    public Clause hookClause() {
        return Clause.of("8.4.4(1)");
    }

    @Override
    public double standingHookLength(Bar bar, double fc, double fy, Trace t) {
        return anchorage.hooked(bar, fc, fy, false, t);
    }

    /** 8.4.4(1) with α1 = 1: bends do not help bars in compression (8.4.1(3)). */
    @Override
    public double compressionDevelopment(Bar bar, double fc, double fy) {
        return anchorage.straight(bar, fc, fy, false);
    }

    @Override
    public Clause compressionDevelopmentClause() {
        return Clause.of("8.4.1(3), 8.4.4(1)");
    }

    /** None beside the shift: bars count by the part of them that is anchored (figure 9.2). */
    @Override
    public double extension(double d, double barDiameter) {
        return 0;
    }

    @Override
    public Clause extensionClause() {
        return Clause.of("9.2.1.3(2)");
    }

    @Override
    public double runPastNeed(double d, double barDiameter, double development) {
        return development; // the moments are shifted before
    }

    /** al = z (cot θ − cot α) / 2 with the flattest strut and z = 0.9 d (9.2). */
    @Override
    public double tensionShift(double d) {
        return 0.45 * d * p.get("cotMost");
    }

    @Override
    public Clause tensionShiftClause() {
        return Clause.of("9.2.1.3(2)");
    }

    @Override
    public double cutOffUse(double v, double vn, double m, double continuing, double barDiameter) {
        return 0;
    }

    @Override
    public Clause cutOffClause() {
        return Clause.of("9.2.1.3");
    }

    @Override
    public double bottomIntoSupport(boolean simple) {
        return p.get("bottomIntoSupport");
    }

    /** 150 mm: the bars that reach the support are checked for their anchorage besides (9.2.1.4, 9.2.1.5). */
    @Override
    public double bottomRunIntoSupport() {
        return 150;
    }

    /** 9.2.1.4 and 9.2.1.5 ask for the force that is there. */
    @Override
    public boolean bottomYieldsAtColumns() {
        return false;
    }

    @Override
    public Clause bottomIntoSupportClause() {
        return Clause.of("9.2.1.4(1), 9.2.1.5(1)");
    }

    @Override
    public Clause cornerBarsClause() {
        return Clause.of("9.2.2(3)");
    }

    /** Ties of the perimeter (9.10.2.2) come from the structure's layout, not from the beam; a quarter of the bottom runs on. */
    @Override
    public double integrityPart(boolean bottom) {
        return bottom ? p.get("bottomIntoSupport") : 0;
    }

    @Override
    public Clause integrityClause() {
        return Clause.of("9.2.1.5(1)");
    }

    @Override
    public boolean integrityYields() {
        return false;
    }

    @Override
    public Clause integrityEndClause() {
        return Clause.of("9.2.1.5(1)");
    }

    @Override
    public double inflectionPart() {
        return 0;
    }

    @Override
    public double inflectionRun(double d, double barDiameter, double clearSpan) {
        return 0;
    }

    @Override
    public Clause inflectionClause() {
        return Clause.of("9.2.1.3");
    }

    @Override
    public double skinSteelDepth() {
        return 1000;
    }

    @Override
    public Clause skinSteelClause() {
        return Clause.of("7.3.3(3)");
    }
}
