package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Rules for bars: distances, anchorage, laps, ends along a beam, continuity. Units N, mm, MPa. */
public interface Detailing {
    /**
     * Lap of bars in tension, all of a layer lapped at one place [mm].
     *
     * @param clear clear spacing to the next bar, and {@code cover} of the bar [mm]
     */
    double lapLength(Bar bar, double fc, double fy, boolean top, double clear, double cover);

    /** Lap of two bars in tension of which one may be thicker, all of a section lapped at one place, with good bond [mm]. */
    double lapLength(Bar thicker, Bar thinner, double fc, double fy, double cover);

    Clause lapClause();

    /** Factor on the anchorage of bars in pairs. */
    double pairAnchorage();

    /** Distance between the ends of the two bars of a pair that end within a span [mm]. */
    double pairStagger(Bar bar);

    /** Largest bar of a pair [mm]. */
    double largestInPair();

    Clause pairClause();

    /** Least clear distance between parallel bars of a layer in a beam [mm]. */
    double beamClearSpacing(double barDiameter, double aggregate);

    /** Least clear distance between layers [mm]. */
    double layerClearSpacing(double aggregate);

    Clause beamClearSpacingClause();

    /** Clause by which bars of upper layers stand over those of lower ones. */
    Clause layersClause();

    /** Whether a bar lies so that bond is poor: {@code height} above the soffit of a member of depth {@code h} [mm], bars of the top face. */
    boolean poorBond(double height, double h);

    /** Least clear distance between bars of a column [mm]. */
    double columnClearSpacing(double barDiameter, double aggregate);

    Clause columnClearSpacingClause();

    /** Least clear distance from bars that lap to bars and laps beside them [mm]. */
    double lapClearSpacing(double barDiameter, double aggregate);

    Clause lapClearSpacingClause();

    /** Largest spacing of the tension bars nearest to the face, for crack control [mm]. */
    double crackSpacing(double fy, double clearCover);

    Clause crackSpacingClause();

    /** Development length of a straight bar in tension [mm]. */
    double developmentLength(Bar bar, double fc, double fy, boolean top, double clear, double cover, boolean stirrups);

    Clause developmentClause();

    /** Development length of a bar with a standard 90° hook [mm]. */
    double hookLength(Bar bar, double fc, double fy, Trace t);

    Clause hookClause();

    /** The same of a bar that stands, so that bond is good [mm]. */
    double standingHookLength(Bar bar, double fc, double fy, Trace t);

    /** Development length of a bar in compression, of which no bend counts [mm]. */
    double compressionDevelopment(Bar bar, double fc, double fy);

    Clause compressionDevelopmentClause();

    /** How far past the point where it is no longer needed a bar must run [mm]. */
    double extension(double d, double barDiameter);

    Clause extensionClause();

    /** How far a bar runs past the place where a part of it that needs the development length is last needed [mm]. */
    double runPastNeed(double d, double barDiameter, double development);

    /** How far the moment is shifted along the beam for its tension bars [mm]; 0 where other rules stand for it. */
    double tensionShift(double d);

    Clause tensionShiftClause();

    /**
     * How far ending bars in a zone of tension is from what the code allows: 1 at the limit, 0 where the code has no such rule.
     *
     * @param v  shear there and {@code vn} its strength [N]
     * @param m  moment there and {@code continuing} the strength of the bars that run on [Nmm]
     */
    double cutOffUse(double v, double vn, double m, double continuing, double barDiameter);

    Clause cutOffClause();

    /** Part of a span's bottom steel that runs into its supports. @param simple support without hogging moment */
    double bottomIntoSupport(boolean simple);

    /** How far past the face of a support those bars run [mm]. */
    double bottomRunIntoSupport();

    Clause bottomIntoSupportClause();

    /** Whether that part is anchored for its yield strength where the support is a column. */
    boolean bottomYieldsAtColumns();

    /** Clause by which every bend of a stirrup encloses a bar. */
    Clause cornerBarsClause();

    /** Part of a perimeter beam's largest steel of a face that is continuous. @param bottom face */
    double integrityPart(boolean bottom);

    Clause integrityClause();

    /** Whether those bars are anchored for their yield strength at the ends of the line. */
    boolean integrityYields();

    Clause integrityEndClause();

    /** Part of the top steel of a support that runs past the point of inflection, and how far [mm]. */
    double inflectionPart();

    double inflectionRun(double d, double barDiameter, double clearSpan);

    Clause inflectionClause();

    /** Depth above which a beam needs steel along its sides [mm], and the largest spacing of it is crackSpacing. */
    double skinSteelDepth();

    Clause skinSteelClause();
}
